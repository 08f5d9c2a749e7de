#include "core/sheets/rods.hpp"

#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yes_square {
namespace {

constexpr double between = 0.5;             ///< two figures side by side, type sizes
constexpr double stub = 0.35;               ///< of a tick, over the thin line to a figure that stands beside it
constexpr double reach = 0.8;               ///< of that line
constexpr double widest_mixed_figure = 5.6; ///< 100 15/16, type sizes

/// A rod lies on the wall: what is under it does not show through.
void clear(Drawing& drawing, double left, double top, double width, double height) {
    drawing.shapes.push_back({Rectangle{{left, top}, width, height, Ink::paper, Fill::plain, 0, Stroke::solid}});
}

} // namespace

Ink ink_of(StudState state) {
    return state == StudState::proved    ? Ink::stud_proved
           : state == StudState::assumed ? Ink::stud_assumed
                                         : Ink::stud_indicated;
}

Stroke stroke_of(StudState state) {
    return state == StudState::assumed     ? Stroke::dotted
           : state == StudState::indicated ? Stroke::dashed
                                           : Stroke::solid;
}

Rods::Rods(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice)
    : wall_{wall}
    , plan_{plan}
    , frame_{frame}
    , voice_{voice} {
    for (const Length length : {wall_.length, wall_.height})
        longest_figure_ = std::max(longest_figure_, text_width(format_bare(length, voice_), 1, true) + 1);
    if (is_imperial(voice_.unit))
        longest_figure_ = std::max(longest_figure_, widest_mixed_figure);
    if (frame_.rods)
        collect_lanes();
}

double Rods::run_rod_height() const {
    if (!frame_.rods)
        return text();
    return std::accumulate(lanes_.begin(), lanes_.end(), 0.6 * text(),
                           [this](double sum, const Lane& lane) { return sum + lane_height(lane); });
}

double Rods::height_rod_width() const {
    return frame_.rods ? (std::max(7.0, longest_figure_ + 2.4) + (two_floors() ? longest_figure_ : 0)) * text()
                       : text();
}

/// The floor there is now is not the finished floor: heights are told from both.
bool Rods::two_floors() const {
    return plan_.survey.floor.measured() || plan_.survey.floor.build_up > Length{};
}

double Rods::lane_height(const Lane& lane) const {
    return (lane.figures ? 2.0 + (lane.aside ? reach : 0.0) : 1.4) * text() + (lane.bands.empty() ? 0 : 1.1 * text());
}

double Rods::room_of(const Tick& tick) const {
    return text_width(format_bare(tape().reads(tick.at), voice_), text(), tick.strong) + between * text();
}

/// The ticks whose figures are shown: all that are in sight, else the strong ones, else every second of those.
std::vector<std::size_t> Rods::shown_figures(const Lane& lane, const ElevationScale& scale, double from,
                                             double to) const {
    std::vector<std::size_t> shown;
    for (std::size_t i = 0; i < lane.ticks.size(); ++i)
        if (const double at = scale.x(lane.ticks[i].at); at >= from && at <= to)
            shown.push_back(i);
    const auto too_many = [&] {
        return std::accumulate(shown.begin(), shown.end(), 0.0,
                               [&](double sum, std::size_t i) { return sum + room_of(lane.ticks[i]); }) > to - from;
    };
    if (too_many())
        std::erase_if(shown, [&](std::size_t i) { return !lane.ticks[i].strong; });
    while (shown.size() > 1 && too_many()) {
        std::size_t number = 0;
        std::erase_if(shown, [&](std::size_t) { return number++ % 2 == 1; });
    }
    if (too_many()) // not even for one
        shown.clear();
    return shown;
}

/// Figures stand in one row under their ticks. Where they would overlap they step aside and a thin line leads to each;
/// where even that has no room, the lesser ones are left to a nearer view.
void Rods::settle(const ElevationScale& scale) {
    const double from = height_rod_width() - 0.4 * text();
    const double to = frame_.width - 0.3 * text();
    for (Lane& lane : lanes_) {
        lane.places.assign(lane.ticks.size(), std::nullopt);
        lane.aside = false;
        if (!lane.figures)
            continue;
        const std::vector<std::size_t> shown = shown_figures(lane, scale, from, to);
        // Pushed right where they overlap, then left again from the end.
        std::vector<double> middles;
        double last = from;
        for (const std::size_t i : shown) {
            const double half = room_of(lane.ticks[i]) / 2;
            middles.push_back(std::max(scale.x(lane.ticks[i].at), last + half));
            last = middles.back() + half;
        }
        double next = to;
        for (std::size_t k = shown.size(); k-- > 0;) {
            const double half = room_of(lane.ticks[shown[k]]) / 2;
            middles[k] = std::min(middles[k], next - half);
            next = middles[k] - half;
            lane.places[shown[k]] = middles[k];
            lane.aside |= std::abs(middles[k] - scale.x(lane.ticks[shown[k]].at)) > 0.05 * text();
        }
    }
}

void Rods::draw_tick(const Lane& lane, std::size_t i, double at, double top, Drawing& drawing) const {
    const Tick& tick = lane.ticks[i];
    const auto add = [&](auto form) { drawing.shapes.push_back({std::move(form), tick.reference}); };
    const double mark = stub * text();
    add(Line{{at, top}, {at, top + mark}, tick.strong ? Ink::tick : Ink::faint, tick.strong ? 0.5 : 0.25});
    if (tick.stud)
        add(Rectangle{{at - 0.28 * text(), top - 0.28 * text()},
                      0.56 * text(),
                      0.56 * text(),
                      ink_of(*tick.stud),
                      tick.stud == StudState::proved     ? Fill::plain
                      : tick.stud == StudState::detected ? Fill::light
                                                         : Fill::none,
                      0.3,
                      tick.stud == StudState::assumed ? Stroke::dotted : Stroke::solid});
    if (!lane.places[i])
        return;
    const double foot = top + mark + (lane.aside ? reach : 0.1) * text();
    if (lane.aside)
        add(Line{{at, top + mark}, {*lane.places[i], foot}, tick.strong ? Ink::tick : Ink::faint, 0.15});
    add(Text{{*lane.places[i], foot + 0.95 * text()},
             format_bare(tape().reads(tick.at), voice_),
             text(),
             Align::centre,
             tick.strong ? Ink::figure : Ink::faint,
             tick.strong});
}

void Rods::draw_bands(const Lane& lane, const ElevationScale& scale, double foot, Drawing& drawing) const {
    if (lane.bands.empty())
        return;
    for (const Stretch& band : lane.bands)
        drawing.shapes.push_back({Rectangle{{scale.x(band.left), foot - 0.9 * text()},
                                            std::max(0.6, scale.x(band.right) - scale.x(band.left)),
                                            0.6 * text(),
                                            Ink::stud_proved,
                                            Fill::plain,
                                            0.2,
                                            Stroke::solid}});
    drawing.shapes.push_back({Text{
        {0.4 * text(), foot - 0.35 * text()}, say("left end may be", voice_), 0.8 * text(), Align::left, Ink::faint}});
}

void Rods::draw_run_rod(const ElevationScale& scale, Drawing& drawing) const {
    const double left = height_rod_width();
    double top = frame_.height - run_rod_height();
    clear(drawing, 0, top - 0.3 * text(), frame_.width, run_rod_height() + 0.3 * text());
    for (const Lane& lane : lanes_) {
        const double height = lane_height(lane);
        drawing.shapes.push_back({Rectangle{{left - 0.5 * text(), top},
                                            frame_.width - left,
                                            height,
                                            Ink::rod,
                                            lane.selected ? Fill::plain : Fill::light,
                                            0.2,
                                            Stroke::solid}});
        draw_title(lane, top, left - 1.3 * text(), drawing);
        draw_bands(lane, scale, top + height, drawing);
        for (std::size_t i = 0; i < lane.ticks.size(); ++i)
            if (const double at = scale.x(lane.ticks[i].at);
                at >= left - 0.5 * text() && at <= frame_.width - 0.5 * text())
                draw_tick(lane, i, at, top, drawing);
        top += height;
    }
}

/// In one line, or in two smaller ones; what has no room even so keeps the words that have.
void Rods::draw_title(const Lane& lane, double top, double room, Drawing& drawing) const {
    const auto line = [&](double down, const std::string& words, double size) {
        drawing.shapes.push_back(
            {Text{{0.4 * text(), top + down * text()}, words, size * text(), Align::left, Ink::figure, lane.selected}});
    };
    constexpr double small = 0.78;
    const auto fits = [&](const std::string& words, double size) {
        return text_width(words, size * text(), lane.selected) <= room;
    };
    if (fits(lane.title, 0.9) || !lane.figures)
        return line(lane.figures ? 1.35 : 1.05, lane.title, fits(lane.title, 0.9) ? 0.9 : small);
    std::string first = lane.title;
    while (!fits(first, small) && first.find(' ') != std::string::npos)
        first.erase(first.rfind(' '));
    std::string second = lane.title.substr(std::min(lane.title.size(), first.size() + 1));
    while (!fits(second, small) && second.find(' ') != std::string::npos)
        second.erase(second.rfind(' '));
    line(0.85, first, small);
    line(1.75, second, small);
}

void Rods::draw_height_rod(const ElevationScale& scale, Drawing& drawing) const {
    const auto add = [&](auto form, Reference reference = {}) {
        drawing.shapes.push_back({std::move(form), std::move(reference)});
    };
    std::vector<HeightTick> ticks = height_ticks();
    const double right = height_rod_width() - 1.0 * text();
    const double bottom = frame_.height - run_rod_height() - 0.5 * text();
    clear(drawing, 0, 0, right, bottom);
    // Where not all figures find room, those of holes are left to a nearer view.
    const auto room = static_cast<std::size_t>(std::max(1.0, (bottom - 2.4 * text()) / (1.15 * text())));
    if (ticks.size() > room)
        std::erase_if(ticks, [](const HeightTick& tick) { return !tick.strong; });
    add(Rectangle{{right - 0.5 * text(), 0.5 * text()},
                  0.5 * text(),
                  bottom - 0.5 * text(),
                  Ink::rod,
                  Fill::light,
                  0.2,
                  Stroke::solid});
    if (two_floors() && !ticks.empty()) {
        add(Text{
            {right - 1.4 * text(), 1.0 * text()}, say("finished", voice_), 0.8 * text(), Align::right, Ink::faint});
        add(Text{{right - (1.8 + longest_figure_) * text(), 1.0 * text()},
                 say("floor now", voice_),
                 0.8 * text(),
                 Align::right,
                 Ink::faint});
    }
    // Figures are pushed down where they would overlap, then up again from the floor where they ran out of rod.
    std::vector<double> places;
    for (const HeightTick& t : ticks)
        places.push_back(std::max(scale.y(t.at), places.empty() ? 2.2 * text() : places.back() + 1.15 * text()));
    for (std::size_t i = places.size(); i-- > 0;)
        places[i] = std::min(places[i], (i + 1 < places.size() ? places[i + 1] : bottom) -
                                            (i + 1 < places.size() ? 1.15 * text() : 0.2 * text()));
    for (std::size_t i = 0; i < ticks.size(); ++i) {
        const double at = scale.y(ticks[i].at);
        if (at < 0 || at > bottom + 0.5 * text())
            continue;
        const Ink ink = ticks[i].strong ? Ink::level : Ink::faint;
        add(Line{{right - 0.5 * text(), at}, {right, at}, ink, ticks[i].strong ? 0.6 : 0.3}, ticks[i].reference);
        add(Line{{right - 1.2 * text(), places[i]}, {right - 0.5 * text(), at}, ink, 0.15});
        add(Text{{right - 1.4 * text(), places[i] + 0.35 * text()},
                 format_bare(ticks[i].at, voice_),
                 text(),
                 Align::right,
                 ticks[i].strong ? Ink::level : Ink::figure,
                 ticks[i].strong},
            ticks[i].reference);
        if (two_floors())
            add(Text{{right - (1.8 + longest_figure_) * text(), places[i] + 0.35 * text()},
                     format_bare(plan_.survey.floor.above_floor_now({}, ticks[i].at), voice_),
                     text(),
                     Align::right,
                     Ink::faint});
    }
}

void Rods::draw(const ElevationScale& scale, Drawing& drawing) const {
    if (!frame_.rods)
        return;
    draw_run_rod(scale, drawing);
    draw_height_rod(scale, drawing);
}

} // namespace yes_square
