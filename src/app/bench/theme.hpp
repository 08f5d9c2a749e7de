#pragma once

#include "core/sheets/drawing.hpp"

#include <QColor>
#include <QPalette>
#include <QString>

class QWidget;

namespace yes_square::app {

enum class ThemeName { light, dark };

/// Colours of one medium: the two screen themes, and paper.
struct Theme {
    QColor paper;
    QColor panel;
    QColor ink;
    QColor faint;
    QColor chalk; ///< level and plumb lines, figures taken from them
    QColor timber;
    QColor board;
    QColor steel;
    QColor line;
    QColor alarm; ///< used for nothing but errors

    QColor of(Ink ink) const;
    QColor fill_of(Ink ink) const;
    QPalette palette() const;
    QString style_sheet() const;
};

const Theme& theme(ThemeName name);
const Theme& print_theme();

/// Sets a property that the style sheet looks at, and restyles the widget if it changed.
/// Gives the program's style, palette and style sheet to the application; nothing is done where it wears them.
void wear(const Theme& theme);

void set_flag(QWidget& widget, const char* name, bool on);

/// Loads the bundled typeface and sets it for the application. False if it cannot be loaded.
bool use_bundled_font();

} // namespace yes_square::app
