#include "core/sheets/room_drawing.hpp"

#include "core/sheets/lettering.hpp"
#include "core/site/footprint.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <set>

namespace yes_square {
namespace {

class RoomDrawer {
public:
    RoomDrawer(const Job& job, const Plan& plan, const RoomSurvey& room, const RoomFrame& frame, const Voice& voice)
        : job_{job}
        , all_{plan}
        , plan_{room.plan}
        , frame_{frame}
        , voice_{voice} {
        drawing_.width = frame.width;
        drawing_.height = frame.height;
    }

    Drawing draw() {
        if (plan_.walls.empty())
            return std::move(drawing_);
        for (const auto* lines : {&plan_.walls, &plan_.islands})
            for (const PlanWall& placed : *lines)
                find_footprints(placed);
        fit();
        find_clashes();
        things();
        for (const PlanWall& placed : plan_.walls)
            wall(placed);
        for (const PlanWall& placed : plan_.islands)
            island(placed);
        for (const PlanWall& placed : plan_.walls)
            corner(placed);
        closing();
        settle_lettering(drawing_, {0, 0, drawing_.width, drawing_.height});
        return std::move(drawing_);
    }

private:
    double text() const { return frame_.text; }

    void fit() {
        PlanPoint least{1e9, 1e9};
        PlanPoint most{-1e9, -1e9};
        const auto take = [&](const PlanPoint& point) {
            least = {std::min(least.x, point.x), std::min(least.y, point.y)};
            most = {std::max(most.x, point.x), std::max(most.y, point.y)};
        };
        for (const auto* lines : {&plan_.walls, &plan_.islands})
            for (const PlanWall& placed : *lines) {
                take(placed.from);
                take(placed.to);
            }
        for (const Seen& each : footprints_)
            for (const PlanPoint& corner : each.corners)
                take(corner);
        // A single wall has no depth; leave room for what hangs on it.
        least.y = std::min(least.y, most.y - 1.0);
        const double margin_x = 9 * text();
        const double margin_y = 5.5 * text();
        per_metre_ = std::min((frame_.width - 2 * margin_x) / std::max(0.5, most.x - least.x),
                              (frame_.height - 2 * margin_y) / std::max(0.5, most.y - least.y));
        origin_ = {(frame_.width - (most.x - least.x) * per_metre_) / 2 - least.x * per_metre_,
                   (frame_.height - (most.y - least.y) * per_metre_) / 2 + most.y * per_metre_};
        middle_ = {(least.x + most.x) / 2, (least.y + most.y) / 2};
    }
    Point place(const PlanPoint& at) const { return {origin_.x + at.x * per_metre_, origin_.y - at.y * per_metre_}; }

    void segment(const PlanPoint& a, const PlanPoint& b, Ink ink, double width, Stroke stroke = Stroke::solid,
                 Reference reference = {}) {
        drawing_.shapes.push_back({Line{place(a), place(b), ink, width, stroke}, std::move(reference)});
    }
    void words(const PlanPoint& at, double shift_y, std::string said, Ink ink, Align align, bool bold,
               Reference reference = {}) {
        const Point p = place(at);
        drawing_.shapes.push_back(
            {Text{{p.x, p.y + shift_y}, std::move(said), text(), align, ink, bold}, std::move(reference)});
    }

    const Wall& of(const PlanWall& placed) const { return job_.walls[placed.wall]; }

    /// What is seen from above, and whether it would clash.
    struct Seen : Footprint {
        bool clashes = false;
    };

    void find_footprints(const PlanWall& placed) {
        const WallPlan& plan = *all_.walls[placed.wall];
        for (Footprint& footprint : footprints_of(placed, of(placed), plan))
            footprints_.push_back({std::move(footprint)});
        for (const WallThing& thing : things_on(plan))
            names_.push_back({thing.name,
                              off(placed, (thing.box.left + thing.box.right) / 2, thing.depth.in_metres() / 2),
                              thing.id, placed.wall});
    }

    /// Things of one wall against those of another, at the same height: what only touches does not clash, and two open
    /// leaves need not be open at once.
    void find_clashes() {
        for (Seen& one : footprints_)
            for (Seen& other : footprints_)
                if (&one < &other && one.wall != other.wall && !(one.leaf && other.leaf) && one.at_height_of(other) &&
                    overlap(one.corners, other.corners))
                    one.clashes = other.clashes = true;
    }

    void things() {
        for (const bool leaf : {true, false})
            for (const Seen& each : footprints_) {
                if (each.leaf != leaf)
                    continue;
                const Reference reference{Reference::Part::thing, each.item, each.wall, {}, {}};
                const bool chosen = std::ranges::find(frame_.selected, each.item) != frame_.selected.end();
                const Ink ink = each.clashes ? Ink::alarm
                                : leaf       ? Ink::faint
                                : chosen     ? Ink::board_selected
                                             : Ink::board;
                for (std::size_t i = 0; i < each.corners.size(); ++i)
                    segment(each.corners[i], each.corners[(i + 1) % each.corners.size()], ink,
                            each.clashes || chosen ? 0.6 : 0.3, leaf ? Stroke::dotted : Stroke::solid, reference);
            }
        // Tiers of one shelf have one name.
        std::set<std::string> named;
        for (const Name& name : names_)
            if (named.insert(name.item).second) {
                const Point p = place(name.at);
                drawing_.shapes.push_back({Text{{p.x, p.y + 0.35 * text()}, name.words, 0.85 * text(), Align::centre},
                                           Reference{Reference::Part::thing, name.item, name.wall, {}, {}}});
            }
    }

    void wall(const PlanWall& placed) {
        const Wall& wall = of(placed);
        const bool chosen = wall.id == frame_.selected_wall;
        const Reference reference{Reference::Part::wall, {}, placed.wall, {}, {}};
        segment(placed.from, placed.to, chosen ? Ink::level : Ink::wall, chosen ? 1.6 : 1.0, Stroke::solid, reference);
        for (const Opening& opening : wall.openings) {
            segment(off(placed, opening.left, 0), off(placed, opening.left + opening.width, 0), Ink::paper, 1.2);
            for (const double into : {-0.05, 0.05})
                segment(off(placed, opening.left, into), off(placed, opening.left + opening.width, into), Ink::opening,
                        0.3);
        }
        // The name stands outside the room, at the side the wall faces away to.
        const PlanPoint name = off(placed, wall.length / 2, 0);
        const double outward_x = -std::sin(placed.heading);
        const double outward_y = std::cos(placed.heading);
        const Align align = outward_x > 0.5 ? Align::left : (outward_x < -0.5 ? Align::right : Align::centre);
        const double away = 0.9 * text() / per_metre_;
        const PlanPoint at{name.x + outward_x * away, name.y + outward_y * away};
        const double shift = outward_y > 0.5 ? -1.2 * text() : (outward_y < -0.5 ? 1.2 * text() : 0.0);
        words(at, shift, wall.name, chosen ? Ink::level : Ink::figure, align, chosen, reference);
        words(at, shift + 1.25 * text(), format(wall.length, voice_), chosen ? Ink::level : Ink::figure, align, false,
              reference);
    }

    /// The line of its backs, and its name where one stands before its fronts.
    void island(const PlanWall& placed) {
        const Wall& island = of(placed);
        const bool chosen = island.id == frame_.selected_wall;
        const Ink ink = chosen ? Ink::level : Ink::figure;
        const Reference reference{Reference::Part::wall, {}, placed.wall, {}, {}};
        segment(placed.from, placed.to, chosen ? Ink::level : Ink::wall, chosen ? 1.2 : 0.5, Stroke::dashed, reference);
        Length deepest;
        for (const WallThing& thing : things_on(*all_.walls[placed.wall]))
            deepest = std::max(deepest, thing.depth);
        const PlanPoint at = off(placed, island.length / 2, deepest.in_metres() + 1.4 * text() / per_metre_);
        words(at, 0.35 * text(), island.name + ", " + format(island.length, voice_), ink, Align::centre, chosen,
              reference);
    }

    void corner(const PlanWall& placed) {
        const Wall& wall = of(placed);
        if (wall.right_end == WallEnd::open || !placed.turn_measured)
            return;
        const auto angle = corner_angle(*wall.corner, wall.right_end, Reader::of(job_));
        if (const auto* found = std::get_if<CornerAngle>(&angle)) {
            const double to_middle = std::hypot(middle_.x - placed.to.x, middle_.y - placed.to.y);
            const double step = std::min(0.5, 4.0 * text() / per_metre_ / std::max(0.1, to_middle));
            const PlanPoint at{placed.to.x + (middle_.x - placed.to.x) * step,
                               placed.to.y + (middle_.y - placed.to.y) * step};
            words(at, 0.4 * text(), say(Quantity{Kind::angle, found->room_side}, voice_),
                  found->square ? Ink::faint : Ink::figure, Align::centre, !found->square);
        }
    }

    void closing() {
        if (!plan_.closed)
            return;
        const bool bad = !plan_.closes;
        if (bad)
            segment(plan_.walls.back().to, plan_.walls.front().from, Ink::caution, 0.5, Stroke::dashed);
        const Sentence said = bad ? Sentence{"Closes with {0} missing; the limits of error allow {1}",
                                             {quantity(plan_.closing_error), quantity(plan_.closing_limit)}}
                                  : Sentence{"Closes within the limits of error: {0} of {1}",
                                             {quantity(plan_.closing_error), quantity(plan_.closing_limit)}};
        drawing_.shapes.push_back({Text{{frame_.width / 2, frame_.height - 0.6 * text()},
                                        say(said, voice_),
                                        text(),
                                        Align::centre,
                                        bad ? Ink::caution : Ink::faint,
                                        bad}});
    }

    struct Name {
        std::string words;
        PlanPoint at;
        std::string item;
        std::size_t wall = 0;
    };

    const Job& job_;
    const Plan& all_;
    const RoomPlan& plan_;
    const RoomFrame& frame_;
    const Voice& voice_;
    Drawing drawing_;
    double per_metre_ = 1;
    Point origin_;
    PlanPoint middle_;
    std::vector<Seen> footprints_;
    std::vector<Name> names_;
};

} // namespace

Drawing draw_room(const Job& job, const Plan& plan, const RoomSurvey& room, const RoomFrame& frame,
                  const Voice& voice) {
    return RoomDrawer{job, plan, room, frame, voice}.draw();
}

} // namespace yes_square
