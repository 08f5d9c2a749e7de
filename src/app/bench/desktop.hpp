#pragma once

#include <QString>

/// What the desktop around the program says and hears, over its session bus; with no bus nothing is asked and nothing
/// is heard.
namespace yes_square::app {

/// Whether whoever sits there wants dark windows (the freedesktop appearance setting).
bool desktop_is_dark();

/// Whether they want what is written to stand out more.
bool desktop_wants_contrast();

/// A notice of the desktop's own, which is seen while another window is in front (freedesktop notifications).
/// @return whether there was somebody to show it
bool tell_desktop(const QString& title, const QString& words);

} // namespace yes_square::app
