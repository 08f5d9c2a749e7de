#include "app/bench/theme.hpp"

#include <QApplication>
#include <QFontMetricsF>
#include <catch2/catch.hpp>
#include <cmath>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// Relative luminance and contrast ratio as WCAG 2.2 defines them.
double luminance(const QColor& colour) {
    const auto channel = [](double c) { return c <= 0.04045 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4); };
    return 0.2126 * channel(colour.redF()) + 0.7152 * channel(colour.greenF()) + 0.0722 * channel(colour.blueF());
}
double contrast(const QColor& a, const QColor& b) {
    const double light = std::max(luminance(a), luminance(b));
    const double dark = std::min(luminance(a), luminance(b));
    return (light + 0.05) / (dark + 0.05);
}

} // namespace

TEST_CASE("contrast: black on white is 21, the source's own example", "[app][look]") {
    CHECK(contrast(Qt::black, Qt::white) == Approx(21));
}

TEST_CASE("words stand out from their ground by 4.5 to 1 at least (WCAG 2.2, 1.4.3)", "[app][look]") {
    for (const Theme* theme : {&app::theme(ThemeName::light), &app::theme(ThemeName::dark),
                               &app::theme(ThemeName::light_sharp), &app::theme(ThemeName::dark_sharp), &print_theme()})
        for (const QColor& ground : {theme->paper, theme->panel})
            for (const QColor& words : {theme->ink, theme->faint, theme->chalk, theme->alarm, theme->steel}) {
                INFO(words.name().toStdString() << " on " << ground.name().toStdString());
                CHECK(contrast(words, ground) >= 4.5);
            }
}

TEST_CASE("with more contrast words stand out by 7 to 1, edges by 4.5 (WCAG 2.2, 1.4.6)", "[app][look]") {
    for (const Theme* theme : {&app::theme(ThemeName::light_sharp), &app::theme(ThemeName::dark_sharp)})
        for (const QColor& ground : {theme->paper, theme->panel}) {
            for (const QColor& words : {theme->ink, theme->faint, theme->chalk, theme->alarm, theme->steel}) {
                INFO(words.name().toStdString() << " on " << ground.name().toStdString());
                CHECK(contrast(words, ground) >= 7);
            }
            CHECK(contrast(theme->edge, ground) >= 4.5);
        }
}

TEST_CASE("what tells that a field, a mark or a strip is there stands out by 3 to 1 (WCAG 2.2, 1.4.11)",
          "[app][look]") {
    const auto over = [](const QColor& colour, const QColor& ground) { // as it is painted
        const auto mixed = [&](float c, float g) { return c * colour.alphaF() + g * (1 - colour.alphaF()); };
        return QColor::fromRgbF(mixed(colour.redF(), ground.redF()), mixed(colour.greenF(), ground.greenF()),
                                mixed(colour.blueF(), ground.blueF()));
    };
    for (const Theme* theme :
         {&app::theme(ThemeName::light), &app::theme(ThemeName::dark), &app::theme(ThemeName::light_sharp),
          &app::theme(ThemeName::dark_sharp), &print_theme()}) {
        for (const QColor& ground : {theme->paper, theme->panel})
            CHECK(contrast(theme->edge, ground) >= 3);
        // Whatever can lie under a line of the wall: the paper, a strip, a stud, a board.
        const QColor strip = over(theme->fill_of(Ink::strip), theme->paper);
        const QColor stud = over(theme->fill_of(Ink::stud_proved), theme->paper);
        const QColor board = over(theme->fill_of(Ink::board), theme->paper);
        for (const Ink ink : {Ink::wall, Ink::opening, Ink::stud_proved, Ink::stud_indicated, Ink::stud_assumed,
                              Ink::service, Ink::detected, Ink::strip, Ink::level, Ink::alarm}) {
            INFO(static_cast<int>(ink) << " " << theme->paper.name().toStdString());
            CHECK(contrast(over(theme->of(ink), theme->paper), theme->paper) >= 3);
        }
        for (const Ink ink : {Ink::wall, Ink::service, Ink::level, Ink::alarm})
            CHECK(contrast(theme->of(ink), strip) >= 3);
        for (const Ink ink : {Ink::board, Ink::hole, Ink::bracket})
            CHECK(contrast(theme->of(ink), stud) >= 3);
        for (const Ink ink : {Ink::figure, Ink::faint}) { // words lie on paper, strips and studs
            CHECK(contrast(theme->of(ink), strip) >= 4.5);
        }
        CHECK(contrast(theme->of(Ink::figure), stud) >= 4.5);
        CHECK(contrast(theme->of(Ink::figure), board) >= 4.5);
        // A chosen row, a chosen button, a first button, a disabled word.
        const QPalette palette = theme->palette();
        CHECK(contrast(palette.color(QPalette::HighlightedText), palette.color(QPalette::Highlight)) >= 4.5);
        CHECK(contrast(theme->paper, theme->ink) >= 4.5);
        CHECK(contrast(theme->paper, theme->alarm) >= 4.5);
    }
}

TEST_CASE("type follows the desktop's and the screen, and is never less than usual", "[app][look]") {
    CHECK(type_for(10, 96) == 15);
    CHECK(type_for(9, 96) == 15);
    CHECK(type_for(12, 96) == 18);
    CHECK(type_for(10, 163) == 22); // 27 inches of 3840x2160 at 100 %
    CHECK(type_for(20, 163) == 30); // where the desktop was told already
    CHECK(type_for(200, 96) == largest_type);
    const int before = QApplication::font().pixelSize();
    set_type(22);
    CHECK(QApplication::font().pixelSize() == 22);
    set_type(before);
}

TEST_CASE("the alarm colour is used for errors and nothing else", "[app][look]") {
    for (const ThemeName name : {ThemeName::light, ThemeName::dark}) {
        const Theme& theme = app::theme(name);
        for (int ink = 0; ink <= static_cast<int>(Ink::probe); ++ink)
            if (static_cast<Ink>(ink) != Ink::alarm) {
                CHECK(theme.of(static_cast<Ink>(ink)) != theme.alarm);
                CHECK(theme.fill_of(static_cast<Ink>(ink)) != theme.alarm);
            }
    }
}

TEST_CASE("the bundled typeface has tabular figures, so that columns of figures line up", "[app][look]") {
    REQUIRE(use_our_font());
    QFont font{"Roboto"};
    font.setPixelSize(40);
    for (const bool bold : {false, true}) {
        font.setBold(bold);
        const QFontMetricsF metrics{font};
        for (const QChar figure : QString{"123456789"})
            CHECK(metrics.horizontalAdvance(figure) == Approx(metrics.horizontalAdvance('0')));
    }
}
