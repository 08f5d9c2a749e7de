#pragma once

#include "core/sheets/drawing.hpp"

#include <QColor>
#include <QPalette>
#include <QString>

class QWidget;

namespace yes_square::app {

/// The last two are for glare and for eyes that want it: words stand out by 7 to 1.
enum class ThemeName { light, dark, light_sharp, dark_sharp };
constexpr ThemeName theme_name(bool dark, bool sharp) {
    return dark ? (sharp ? ThemeName::dark_sharp : ThemeName::dark)
                : (sharp ? ThemeName::light_sharp : ThemeName::light);
}

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
    QColor edge;  ///< of fields and buttons: what tells that there is one
    QColor alarm; ///< used for nothing but errors

    QColor of(Ink ink) const;
    QColor fill_of(Ink ink) const;
    QPalette palette() const;
    QString style_sheet() const;
};

const Theme& theme(ThemeName name);
const Theme& print_theme();

/// Gives the program's style, palette and style sheet to the application; nothing is done where it wears them.
void wear(const Theme& theme);
/// What it wears; light before it was given anything.
const Theme& worn_theme();

/// Sets a property that the style sheet looks at, and restyles the widget if it changed.
void set_flag(QWidget& widget, const char* name, bool on);

/// Sets our typeface for the application at its usual size: the one that is built in, else the system's. False if
/// there is neither.
bool use_our_font();

inline constexpr int usual_type = 15; ///< px
inline constexpr int largest_type = 40;
/// How large type is, in px, on a desktop whose own is so large, on a screen of so many dots to the inch that count as
/// one pixel; never less than usual.
int type_for(double desktop_points, double dots_per_inch);
/// On this desktop and its first screen. To be asked after use_our_font.
int desktop_type();
/// Gives the whole program type of this size.
void set_type(int pixels);

} // namespace yes_square::app
