#pragma once

#include <functional>

class QObject;

namespace yes_square::app {

/// Told to end from outside (SIGTERM, SIGINT, SIGHUP), the program keeps its work first and then leaves its loop.
/// @param keep_work  called outside of any signal handler, for as long as `owner` lives
void end_well_on_signals(QObject& owner, const std::function<void()>& keep_work);

} // namespace yes_square::app
