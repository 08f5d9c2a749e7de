#pragma once

#include <QStringList>

namespace yes_square::app {

/// Rows that lists of several forms offer, in the order of their enumerations.
QStringList board_words();
QStringList load_words();
QStringList species_words();
/// Screws by gauge.
QStringList gauge_words();

} // namespace yes_square::app
