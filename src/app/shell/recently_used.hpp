#pragma once

#include <QString>

namespace yes_square::app {

/// Puts a file among the desktop's own recently used ones (freedesktop, recently-used.xbel), as its file chooser and
/// its search show them. A list that is not there is made; one that cannot be read is left as it is.
/// @return whether it is there now
bool remember_on_desktop(const QString& path);

} // namespace yes_square::app
