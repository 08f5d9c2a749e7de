#include "app/bench/theme.hpp"

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
    for (const Theme* theme : {&app::theme(ThemeName::light), &app::theme(ThemeName::dark), &print_theme()})
        for (const QColor& ground : {theme->paper, theme->panel})
            for (const QColor& words : {theme->ink, theme->faint, theme->chalk, theme->alarm, theme->steel}) {
                INFO(words.name().toStdString() << " on " << ground.name().toStdString());
                CHECK(contrast(words, ground) >= 4.5);
            }
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
    REQUIRE(use_bundled_font());
    QFont font{"Roboto"};
    font.setPixelSize(40);
    for (const bool bold : {false, true}) {
        font.setBold(bold);
        const QFontMetricsF metrics{font};
        for (const QChar figure : QString{"123456789"})
            CHECK(metrics.horizontalAdvance(figure) == Approx(metrics.horizontalAdvance('0')));
    }
}
