#include "app/bench/theme.hpp"

#include <QApplication>
#include <QFile>
#include <QFontDatabase>
#include <QFontInfo>
#include <QScreen>
#include <QStyle>
#include <QStyleFactory>
#include <QWidget>
#include <algorithm>
#include <cmath>
#include <cstdlib>

/// Resources of a static library are not there until asked for; Qt wants this outside any namespace.
static void load_resources() {
    Q_INIT_RESOURCE(resources);
}

namespace yes_square::app {
namespace {

const Theme light_theme{
    .paper = "#f7f4ec",
    .panel = "#fffdf8",
    .ink = "#22262b",
    .faint = "#5c6067",
    .chalk = "#1c569c",
    .timber = "#d9bc8c",
    .board = "#b98746",
    .steel = "#4a5159",
    .line = "#c9c2b2",
    .edge = "#8a8473",
    .alarm = "#b3221a",
};

const Theme dark_theme{
    .paper = "#1d2125",
    .panel = "#262b30",
    .ink = "#ece7dc",
    .faint = "#a9aeb5",
    .chalk = "#8fc0f5",
    .timber = "#6f5836",
    .board = "#96703c",
    .steel = "#b9c0c8",
    .line = "#454c54",
    .edge = "#7f8891",
    .alarm = "#ff8b7e",
};

const Theme light_sharp_theme{
    .paper = "#ffffff",
    .panel = "#ffffff",
    .ink = "#000000",
    .faint = "#33363a",
    .chalk = "#0b3a75",
    .timber = "#d9bc8c",
    .board = "#9a6a2c",
    .steel = "#24292e",
    .line = "#6f6a5e",
    .edge = "#3f3b32",
    .alarm = "#8c0f0a",
};

const Theme dark_sharp_theme{
    .paper = "#000000",
    .panel = "#0c0e10",
    .ink = "#ffffff",
    .faint = "#d6dae0",
    .chalk = "#b5d8ff",
    .timber = "#7a6440",
    .board = "#b98746",
    .steel = "#e2e6ea",
    .line = "#8a929b",
    .edge = "#c3cad2",
    .alarm = "#ffb0a6",
};

const Theme paper_theme{
    .paper = "#ffffff",
    .panel = "#ffffff",
    .ink = "#000000",
    .faint = "#4d4d4d",
    .chalk = "#1c4a8a",
    .timber = "#e6d3b0",
    .board = "#c79a5b",
    .steel = "#3a3f45",
    .line = "#b0b0b0",
    .edge = "#707070",
    .alarm = "#a8160f",
};

double points_of_desktop = 0; ///< of its own type, before ours was set
const Theme* worn = nullptr;

QColor with_alpha(QColor colour, double alpha) {
    colour.setAlphaF(static_cast<float>(alpha));
    return colour;
}

} // namespace

QColor Theme::of(Ink which) const {
    switch (which) {
    case Ink::paper:
        return paper;
    case Ink::wall:
    case Ink::floor:
    case Ink::opening:
    case Ink::figure:
    case Ink::tick:
    case Ink::caution:
        return ink;
    case Ink::masonry:
    case Ink::rod:
        return line;
    case Ink::stud_proved:
    case Ink::stud_indicated:
    case Ink::stud_assumed:
        return faint;
    case Ink::service:
    case Ink::bracket:
    case Ink::detected:
        return steel;
    case Ink::probe:
        return ink;
    case Ink::chance:
        return timber;
    case Ink::strip:
        return with_alpha(faint, 0.75);
    case Ink::board:
    case Ink::board_selected:
        return ink;
    case Ink::hole:
        return ink;
    case Ink::level:
        return chalk;
    case Ink::faint:
        return faint;
    case Ink::alarm:
        return alarm;
    }
    return ink;
}

QColor Theme::fill_of(Ink which) const {
    switch (which) {
    case Ink::stud_proved:
        return timber;
    case Ink::stud_indicated:
        return with_alpha(timber, 0.45);
    case Ink::board:
        return with_alpha(board, 0.75);
    case Ink::board_selected:
        return board;
    case Ink::rod:
        return panel;
    case Ink::strip:
        return with_alpha(faint, 0.10);
    case Ink::service:
        return panel;
    case Ink::hole:
        return paper;
    default:
        return of(which);
    }
}

QPalette Theme::palette() const {
    QPalette palette;
    palette.setColor(QPalette::Window, paper);
    palette.setColor(QPalette::WindowText, ink);
    palette.setColor(QPalette::Base, panel);
    palette.setColor(QPalette::AlternateBase, paper);
    palette.setColor(QPalette::Text, ink);
    palette.setColor(QPalette::Button, panel);
    palette.setColor(QPalette::ButtonText, ink);
    palette.setColor(QPalette::BrightText, ink);
    palette.setColor(QPalette::PlaceholderText, faint);
    palette.setColor(QPalette::Highlight, chalk);
    palette.setColor(QPalette::HighlightedText, paper);
    palette.setColor(QPalette::ToolTipBase, panel);
    palette.setColor(QPalette::ToolTipText, ink);
    palette.setColor(QPalette::Link, chalk);
    palette.setColor(QPalette::Mid, edge);
    palette.setColor(QPalette::Dark, line);
    palette.setColor(QPalette::Light, panel);
    palette.setColor(QPalette::Disabled, QPalette::Text, faint);
    palette.setColor(QPalette::Disabled, QPalette::ButtonText, faint);
    palette.setColor(QPalette::Disabled, QPalette::WindowText, faint);
    return palette;
}

QString Theme::style_sheet() const {
    return QStringLiteral(
               "QLineEdit, QComboBox, QAbstractSpinBox, QTableWidget, QListWidget, QTextBrowser {"
               "  background: %1; color: %2; border: 1px solid %9; border-radius: 2px; padding: 2px 6px; }"
               "QLineEdit, QComboBox, QAbstractSpinBox { min-height: 24px; }"
               "QLineEdit:focus, QComboBox:focus, QAbstractSpinBox:focus, QTableWidget:focus, QListWidget:focus,"
               "QTextBrowser:focus { border: 2px solid %4; padding: 1px 5px; }"
               "QLineEdit[refused=\"true\"] { border: 2px solid %5; padding: 1px 5px; }"
               "QComboBox QAbstractItemView { background: %1; color: %2; selection-background-color: %4;"
               "  selection-color: %6; }"
               "QPushButton, QToolButton { background: %1; color: %2; border: 1px solid %9; border-radius: 2px;"
               "  padding: 4px 10px; min-height: 20px; }"
               "QPushButton:hover, QToolButton:hover { border-color: %4; }"
               "QPushButton:focus, QToolButton:focus { border: 2px solid %4; padding: 3px 9px; }"
               "QPushButton:checked { background: %2; color: %6; }"
               "QPushButton:disabled { color: %7; }"
               "QLabel[role=\"heading\"] { font-weight: 700; }"
               "QLabel[role=\"figure\"] { font-size: %8px; font-weight: 700; color: %4; }"
               "QLabel[role=\"faint\"] { color: %7; }"
               "QLabel[role=\"tag\"] { background: %2; color: %6; padding: 4px 8px; border-radius: 2px; }"
               "QLabel[role=\"tag\"][refused=\"true\"] { background: %5; color: %6; }"
               "QLabel[role=\"alarm\"], QLabel[role=\"figure\"][alarm=\"true\"] { color: %5; font-weight: 700; }"
               "QLabel[role=\"caution\"] { background: %1; border: 1px solid %3; border-left: 3px "
               "solid %5; padding: 4px 6px; }"
               "QFrame[role=\"card\"] { background: %1; border: 1px solid %3; border-radius: 2px; }"
               "QFrame[role=\"card\"][severity=\"error\"] { border: 2px solid %5; }"
               "QFrame[role=\"card\"][chosen=\"true\"] { border: 2px solid %4; }"
               "QScrollArea { border: none; background: transparent; }"
               "QHeaderView::section { background: %6; color: %2; border: none; border-bottom: 1px solid %3;"
               "  padding: 3px 6px; font-weight: 500; }"
               "QTableWidget { gridline-color: %3; }"
               "QToolButton[role=\"fold\"] { text-align: left; border: none; border-top: 1px solid %3; font-weight: "
               "700;"
               "  padding: 5px 2px; background: transparent; }"
               "QToolButton[role=\"fold\"]:focus { border: 2px solid %4; padding: 4px 0px; }"
               "QToolButton[role=\"quiet\"] { border: none; background: transparent; padding: 2px 6px; }"
               "QToolButton[role=\"quiet\"]:focus { border: 2px solid %4; padding: 0px 4px; }"
               "QToolButton:checked { background: %2; color: %6; }"
               "QToolButton[role=\"fold\"]:checked { background: transparent; color: %2; }"
               "QPushButton[role=\"page\"] { padding: 4px 4px; }"
               "QPushButton[role=\"first\"] { background: %4; color: %6; border-color: %4; font-weight: 700; }"
               "QPushButton[role=\"first\"]:focus { border: 2px solid %2; }"
               "QPushButton[refused=\"true\"] { color: %5; border-color: %5; }"
               "QPushButton[refused=\"true\"]:checked { color: %6; background: %5; }"
               "QFrame[role=\"chit\"] { background: %1; border: 2px solid %4; border-radius: 3px; }"
               "QFrame[role=\"chit\"] QTextBrowser { border: none; padding: 0px; }"
               "QMenuBar { background: %6; } QMenuBar::item { padding: 6px 8px; } QMenuBar::item:selected, "
               "QMenu::item:selected { background: %4;"
               "  color: %6; } QMenu { background: %1; border: 1px solid %3; }"
               "QSplitter::handle { background: %3; }")
        .arg(panel.name(), ink.name(), line.name(), chalk.name(), alarm.name(), paper.name(), faint.name())
        .arg(qRound(1.47 * QApplication::font().pixelSize()))
        .arg(edge.name());
}

const Theme& theme(ThemeName name) {
    switch (name) {
    case ThemeName::light:
        return light_theme;
    case ThemeName::dark:
        return dark_theme;
    case ThemeName::light_sharp:
        return light_sharp_theme;
    case ThemeName::dark_sharp:
        return dark_sharp_theme;
    }
    std::abort();
}

const Theme& print_theme() {
    return paper_theme;
}

void wear(const Theme& theme) {
    worn = &theme;
    const QString sheet = theme.style_sheet();
    if (qApp->styleSheet() == sheet)
        return;
    if (qApp->styleSheet().isEmpty())
        QApplication::setStyle(QStyleFactory::create(QStringLiteral("Fusion")));
    // From one sheet straight to another every widget asks all its parents again: six times as long.
    qApp->setStyleSheet({});
    QApplication::setPalette(theme.palette());
    qApp->setStyleSheet(sheet);
}

const Theme& worn_theme() {
    return worn ? *worn : theme(ThemeName::light);
}

void set_flag(QWidget& widget, const char* name, bool on) {
    if (widget.property(name).toBool() == on)
        return;
    widget.setProperty(name, on);
    widget.style()->unpolish(&widget);
    widget.style()->polish(&widget);
}

bool use_our_font() {
    load_resources();
    const QString family = QStringLiteral("Roboto");
    for (const char* face : {":/fonts/Roboto-Regular.ttf", ":/fonts/Roboto-Medium.ttf", ":/fonts/Roboto-Bold.ttf"})
        if (const QString file = QString::fromLatin1(face);
            QFile::exists(file) && QFontDatabase::addApplicationFont(file) < 0)
            return false;
    if (!QFontDatabase::hasFamily(family))
        return false;
    points_of_desktop = QFontInfo{QApplication::font()}.pointSizeF();
    QFont font{family};
    font.setPixelSize(usual_type);
    QApplication::setFont(font);
    return true;
}

int type_for(double desktop_points, double dots_per_inch) {
    constexpr double usual_points = 10;
    constexpr double usual_dots = 110; // up to there a pixel is as large as it is on most desks
    const double by_desktop = usual_type * std::max(1.0, desktop_points / usual_points);
    const double by_screen = usual_type * std::max(1.0, dots_per_inch / usual_dots);
    // A desktop that was told of its dense screen has large type already: whichever is larger.
    return std::clamp(static_cast<int>(std::lround(std::max(by_desktop, by_screen))), usual_type, largest_type);
}

int desktop_type() {
    const QScreen* screen = QGuiApplication::primaryScreen();
    return type_for(points_of_desktop, screen ? screen->physicalDotsPerInch() / screen->devicePixelRatio() : 0);
}

void set_type(int pixels) {
    QFont font = QApplication::font();
    if (font.pixelSize() == pixels)
        return;
    font.setPixelSize(pixels);
    QApplication::setFont(font);
    if (worn)
        wear(*worn);
}

} // namespace yes_square::app
