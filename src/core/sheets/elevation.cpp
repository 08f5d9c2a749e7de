#include "core/sheets/elevation.hpp"

#include "core/sheets/furniture_layer.hpp"
#include "core/sheets/lettering.hpp"
#include "core/sheets/pen.hpp"
#include "core/sheets/rods.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/sheets/shelf_layer.hpp"
#include "core/sheets/survey_layer.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

using Part = Reference::Part;

class ElevationDrawer {
public:
    ElevationDrawer(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice)
        : wall_{wall}
        , plan_{plan}
        , frame_{frame}
        , voice_{voice}
        , rods_{wall, plan, frame, voice} {
        drawing_.width = frame.width;
        drawing_.height = frame.height;
    }

    Elevation draw() {
        place_wall();
        wall_itself();
        if (frame_.survey == SurveyLayer::studs && plan_.survey.findings)
            draw_wood_chance(plan_.survey.findings->posterior, wall_, scale_, drawing_);
        studs();
        draw_noggings(plan_, scale_, drawing_);
        openings();
        strips();
        draw_edges(wall_, scale_, frame_, voice_, drawing_);
        services();
        corner_things();
        draw_furniture(wall_, plan_, scale_, frame_, voice_, drawing_);
        draw_runs(wall_, plan_, scale_, frame_, voice_, drawing_);
        draw_lines(wall_, scale_, frame_, voice_, drawing_);
        for (std::size_t i = 0; i < wall_.shelves.size() && i < plan_.shelves.size(); ++i)
            draw_shelf(wall_, wall_.shelves[i], plan_.shelves[i], scale_, frame_, drawing_);
        for_each_thing(plan_, [&](const ThingPlan& thing) { checks(thing.checks, thing.id); });
        made_holes();
        lights();
        checks(plan_.checks, {});
        draw_readings(wall_, plan_.survey, scale_, frame_, voice_, drawing_);
        const double edge = 0.2 * text();
        settle_lettering(drawing_, {rods_.height_rod_width() - text(), edge, frame_.width - edge,
                                    frame_.height - rods_.run_rod_height() - 0.4 * text()});
        rods_.draw(scale_, drawing_);
        return {std::move(drawing_), scale_};
    }

private:
    double text() const { return frame_.text; }
    double x(Length at) const { return scale_.x(at); }
    double y(Length at) const { return scale_.y(at); }

    void place_wall() {
        // The rows of the run rod depend on the scale and the scale on the rows: a few turns settle it.
        for (int turn = 0; turn < 4; ++turn) {
            const double left = rods_.height_rod_width();
            const double right = 1.6 * text();
            const double top = 2.2 * text();
            const double room_x = std::max(10.0, frame_.width - left - right);
            const double room_y = std::max(10.0, frame_.height - top - rods_.run_rod_height() - text());
            const double fit = std::min(room_x / wall_.length.in_metres(), room_y / wall_.height.in_metres());
            scale_.per_metre = fit * frame_.zoom;
            const double spare_x = room_x - wall_.length.in_metres() * fit;
            const double spare_y = room_y - wall_.height.in_metres() * fit;
            scale_.left = left + spare_x / 2 + frame_.pan_x;
            scale_.floor = top + spare_y / 2 + wall_.height.in_metres() * fit + frame_.pan_y;
            rods_.settle(scale_);
        }
    }

    void wall_itself() {
        const bool masonry = std::holds_alternative<Masonry>(wall_.structure);
        const bool open_floor = wall_.open_floor() != nullptr;
        pen_.rectangle({{}, wall_.length, {}, wall_.height}, masonry ? Ink::masonry : Ink::wall,
                       masonry ? Fill::hatched : Fill::none, open_floor ? 0.2 : 0.35, {},
                       open_floor ? Stroke::dotted : Stroke::solid);
        pen_.add(Line{{x({}) - 1.2 * text(), y({})}, {x(wall_.length) + 1.2 * text(), y({})}, Ink::floor, 0.7});
        pen_.add(Text{{x(wall_.length) - 0.3 * text(), y({}) - 0.4 * text()},
                      say("datum", voice_),
                      0.85 * text(),
                      Align::right,
                      Ink::faint});
    }

    void studs() {
        const auto* framing = std::get_if<Framing>(&wall_.structure);
        if (!framing)
            return;
        for (std::size_t i = 0; i < plan_.survey.studs.size(); ++i) {
            const Stud& stud = plan_.survey.studs[i];
            const Length half = framing->stud_width / 2;
            const Reference reference{Part::stud, {}, i, stud.centre, {}};
            const Ink ink = ink_of(stud.state);
            // Proved: a solid band. Detected: its edges. Indicated: dashed. Assumed: a dotted centre line and no more.
            if (stud.state == StudState::proved)
                pen_.rectangle({stud.centre - half, stud.centre + half, {}, wall_.height}, ink, Fill::plain, 0.15,
                               reference);
            else if (stud.state != StudState::assumed)
                pen_.rectangle({stud.centre - half, stud.centre + half, {}, wall_.height}, ink, Fill::light, 0.25,
                               reference, stroke_of(stud.state));
            else
                pen_.add(Line{{x(stud.centre), y({})}, {x(stud.centre), y(wall_.height)}, ink, 0.35, Stroke::dotted},
                         reference);
        }
    }

    void openings() {
        for (std::size_t i = 0; i < wall_.openings.size(); ++i) {
            const Opening& opening = wall_.openings[i];
            const Outline box = box_of(opening);
            const Reference reference{Part::opening, {}, i, {}, {}};
            pen_.rectangle({box.left, box.right, box.bottom, box.top}, Ink::paper, Fill::plain, 0);
            pen_.rectangle({box.left, box.right, box.bottom, box.top}, Ink::opening, Fill::none, 0.35, reference);
            if (opening.trim > Length{} && opening.trim * 2 < opening.width)
                pen_.rectangle({box.left + opening.trim, box.right - opening.trim,
                                opening.kind == OpeningKind::window ? box.bottom + opening.trim : box.bottom,
                                box.top - opening.trim},
                               Ink::opening, Fill::none, 0.2);
            pen_.add(Line{{x(box.left), y(box.bottom)}, {x(box.right), y(box.top)}, Ink::opening, 0.12});
            pen_.add(Line{{x(box.left), y(box.top)}, {x(box.right), y(box.bottom)}, Ink::opening, 0.12});
            pen_.add(Text{{(x(box.left) + x(box.right)) / 2,
                           y(box.top) + opening.trim.in_metres() * scale_.per_metre + 1.5 * text()},
                          say(opening.kind == OpeningKind::window ? std::string_view{"Window"} : "Door", voice_),
                          text(),
                          Align::centre,
                          Ink::opening},
                     reference);
        }
    }

    void strips() {
        for (const Strip& strip : plan_.survey.strips) {
            const bool inferred = strip.basis == Strip::Basis::inferred;
            pen_.rectangle({std::max(Length{}, strip.left), std::min(wall_.length, strip.right),
                            std::max(Length{}, strip.bottom), std::min(wall_.height, strip.top)},
                           inferred ? Ink::strip : Ink::detected, inferred ? Fill::light : Fill::hatched,
                           inferred ? 0.15 : 0.35, {}, inferred ? Stroke::dotted : Stroke::solid);
        }
    }

    /// What stands in from the next wall: its board's end, dashed.
    void corner_things() {
        for (const CornerThing& thing : plan_.survey.corner_things) {
            const Outline box = box_of(thing, wall_);
            pen_.rectangle({box.left, box.right, box.bottom, box.top}, Ink::board, Fill::light, 0.3, {},
                           Stroke::dashed);
        }
    }

    void services() {
        for (std::size_t i = 0; i < wall_.services.size(); ++i) {
            const ServicePoint& service = wall_.services[i];
            if (service.far_side) // behind this wall: only its strips show
                continue;
            const Outline box = box_of(service);
            const Reference reference{Part::service, {}, i, service.centre, service.height};
            pen_.rectangle({box.left, box.right, box.bottom, box.top}, Ink::service, Fill::plain, 0.3, reference);
            const std::string_view word = service.kind == ServiceKind::socket    ? "Socket"
                                          : service.kind == ServiceKind::switch_ ? "Switch"
                                          : service.kind == ServiceKind::pipe    ? "Pipe"
                                                                                 : "Appliance";
            pen_.add(Text{{x(service.centre), y(box.top) - 0.4 * text()},
                          say(word, voice_),
                          0.85 * text(),
                          Align::centre,
                          Ink::service,
                          true});
        }
    }

    /// What is in the wall already.
    void made_holes() {
        for (const MadeHole& made : wall_.made)
            pen_.add(Circle{{x(made.x), y(made.z)}, 0.22 * text(), Ink::hole, Fill::plain});
    }

    /// A light: a dashed line along it, a dot where it gets least.
    void lights() {
        for (const FeedPlan& feed : plan_.feeds) {
            if (feed.length() <= Length{})
                continue;
            const Reference reference{Part::thing, feed.id, 0, {}, {}};
            const double under = y(feed.height) + 0.25 * text();
            pen_.add(Line{{x(feed.left), under},
                          {x(feed.right), under},
                          Ink::service,
                          feed.id == frame_.selected_thing ? 0.9 : 0.5,
                          Stroke::dashed},
                     reference);
            if (feed.driver && feed.driver->known) {
                const DriverPlan& driver = *feed.driver;
                const Point near{x(feed.left), under};
                // Over units it comes up through the one at the light's end.
                const Point corner =
                    driver.at == DriverAt::over_units ? Point{near.x, y(driver.z)} : Point{x(driver.x), under};
                const Point at{x(driver.x), y(driver.z)};
                for (const auto& [from, to] : {std::pair{near, corner}, std::pair{corner, at}})
                    pen_.add(Line{from, to, Ink::service, 0.25, Stroke::dashed}, reference);
                pen_.rectangle({driver.x - 80_mm, driver.x + 80_mm, driver.z, driver.z + 35_mm}, Ink::service,
                               Fill::light, 0.3, reference);
            }
            if (feed.switched && feed.switched->known) {
                const SwitchPlan& at = *feed.switched;
                pen_.rectangle({at.x - 25_mm, at.x + 25_mm, at.z - 50_mm, at.z}, Ink::service, Fill::plain, 0.3,
                               reference);
            }
            if (feed.lead)
                pen_.add(Circle{{x(feed.darkest), under}, 0.2 * text(), Ink::service, Fill::plain}, reference);
            checks(feed.checks, feed.id);
        }
    }

    /// A triangle with an exclamation mark where trouble is.
    void checks(const std::vector<Check>& checks, const std::string& item) {
        const double size = 1.5 * text();
        for (std::size_t i = 0; i < checks.size(); ++i) {
            const Check& check = checks[i];
            if (check.severity == Severity::note || !check.x || !check.z)
                continue;
            const Point at{x(*check.x) + 0.9 * size, y(*check.z) + 0.5 * size};
            const Ink ink = check.severity == Severity::error ? Ink::alarm : Ink::caution;
            const Reference reference{Part::check, item, i, {}, {}};
            pen_.add(Triangle{{at.x, at.y}, {at.x + size, at.y}, {at.x + size / 2, at.y - size}, ink}, reference);
            pen_.add(Text{{at.x + size / 2, at.y - 0.12 * size}, "!", 0.75 * size, Align::centre, Ink::paper, true},
                     reference);
        }
    }

    const Wall& wall_;
    const WallPlan& plan_;
    const ElevationFrame& frame_;
    const Voice& voice_;
    Rods rods_;
    Drawing drawing_;
    ElevationScale scale_;
    Pen pen_{scale_, drawing_};
};

} // namespace

Elevation draw_elevation(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice) {
    return ElevationDrawer{wall, plan, frame, voice}.draw();
}

Drawing draw_alternative(const std::vector<Stud>& studs, const Shelf& shelf, const std::optional<Bracket>& bracket,
                         const Alternative& alternative, double width, double height) {
    Drawing drawing{width, height, {}};
    const double margin = 2;
    const double length = shelf.length.in_metres();
    const double per_metre = (width - 2 * margin) / length;
    const auto x = [&](Length from_shelf_end) { return margin + from_shelf_end.in_metres() * per_metre; };
    const double top = height * 0.38;
    for (const Stud& stud : studs) {
        const Length at = stud.centre - shelf.left;
        if (at < Length{} || at > shelf.length)
            continue;
        drawing.shapes.push_back({Line{{x(at), 1},
                                       {x(at), height - 1},
                                       ink_of(stud.state),
                                       stud.state == StudState::proved ? 1.0 : 0.5,
                                       stroke_of(stud.state)}});
    }
    const double leg = height * 0.42;
    const double half = std::max(0.8, bracket ? bracket->width.in_metres() * per_metre / 2 : 0.8);
    for (const Length place : alternative.layout.places)
        drawing.shapes.push_back({Rectangle{{x(place) - half, top}, 2 * half, leg, Ink::bracket, Fill::plain, 0.2}});
    drawing.shapes.push_back({Rectangle{{margin, top - 1.6}, width - 2 * margin, 1.6, Ink::board, Fill::plain, 0.25}});
    return drawing;
}

} // namespace yes_square
