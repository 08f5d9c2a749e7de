#include "core/runs/run_words.hpp"

#include "core/fixings/hole_spacing.hpp"
#include "core/runs/island.hpp"
#include "core/runs/run_parts.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/lifting.hpp"

#include <algorithm>
#include <numeric>

namespace yes_square {
namespace {

class StepWriter {
public:
    StepWriter(const DraftRun& draft, const RunPlan& plan)
        : draft_{draft}
        , plan_{plan}
        , rules_{draft.site.rules()} {}

    std::vector<Step> write() {
        if (plan_.units.empty())
            return {};
        steps_.push_back(detector_step());
        if (std::ranges::any_of(plan_.checks, [](const Check& c) { return c.severity == Severity::error; }))
            step({"Clear the errors on this sheet first: as it stands the run is not fit to hang"}, true);
        if (draft_.site.wall.open_floor()) {
            phase_ = Phase::assemble;
            cut_panels();
            std::ranges::move(island_steps(draft_, plan_), std::back_inserter(steps_));
            phase_ = Phase::adjust;
            finish();
            return std::move(steps_);
        }
        step(reason_of(rules_.hang_first));
        step(reason_of(rules_.start_at));
        phase_ = Phase::mark;
        lines();
        phase_ = Phase::assemble;
        cut_panels();
        phase_ = Phase::hang;
        if (draft_.run.level == RunLevel::wall)
            hang();
        else
            stand();
        finish();
        return std::move(steps_);
    }

private:
    const WallSite& site() const { return draft_.site.wall; }

    void step(Sentence words, bool hold = false, int persons = 1) {
        steps_.push_back({std::move(words), hold, phase_, persons});
    }

    void timed(double minutes, Sentence words) {
        step(std::move(words));
        steps_.back().minutes = minutes;
    }
    const FitRules& minutes() const { return draft_.site.wall.rules.fitting; }

    /// Cabinets in the order they go up.
    std::vector<std::size_t> order() const {
        std::vector<std::size_t> cabinets;
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (is_cabinet(draft_.units[i].unit))
                cabinets.push_back(i);
        const Wall& wall = draft_.site.wall.wall;
        const auto is_corner = [&](const RunEnd& end, bool at_start) {
            return end.at == EndKind::run ||
                   (end.at == EndKind::wall_end && (at_start ? wall.left_end : wall.right_end) == WallEnd::corner);
        };
        const bool right_corner = !draft_.run.open_end && is_corner(draft_.run.end, false);
        const bool left_corner = is_corner(draft_.run.start, true);
        const bool from_right =
            rules_.start_at == StartAt::corner ? right_corner && !left_corner : left_corner && !right_corner;
        if (from_right)
            std::ranges::reverse(cabinets);
        return cabinets;
    }

    void lines() {
        const RunLayout& layout = plan_.layout;
        step({"Strike a plumb line at {0} from the reference end: the run begins there",
              {site().near(layout.left(), layout.right())}});
        step(
            {"Its end is at {0}: measure it from the same reference end", {site().far(layout.left(), layout.right())}});
        const Length z = draft_.run.level == RunLevel::wall ? plan_.units.front().bottom : plan_.units.front().top;
        step({draft_.run.level == RunLevel::wall ? std::string_view{"Strike a level line at {0} above the datum, the "
                                                                    "units' bottoms"}
                                                 : "Strike a level line at {0} above the datum, the units' tops",
              {quantity(z)}});
        step(draft_.site.wall.timber() ? Sentence{"Mark both edges of every stud on that line, and check each once "
                                                  "more from the reference end"}
                                       : Sentence{"Mark every hole of this sheet on tape or wall, and check each once "
                                                  "more from the reference end"},
             true);
    }

    /// While a unit still stands on the floor.
    void cut_panels() {
        for (const std::size_t i : order())
            for (const PanelCutOut& cut : draft_.units[i].unit.cut_outs)
                step({cut.panel == UnitPanel::back
                          ? std::string_view{"{0}: cut its back for {1}: {2} wide, {3} high; from the front its left "
                                             "edge "
                                             "is {4} from the unit's left side, its top {5} below the unit's top"}
                      : cut.panel == UnitPanel::left_side
                          ? "{0}: cut its left side for {1}: {2} wide, {3} high, {4} from its back edge, its top {5} "
                            "below "
                            "the unit's top"
                          : "{0}: cut its right side for {1}: {2} wide, {3} high, {4} from its back edge, its top {5} "
                            "below the unit's top",
                      {draft_.units[i].unit.name, cut.name, quantity(cut.width), quantity(cut.height),
                       quantity(cut.across), quantity(cut.down)}});
    }

    /// What is on the wall before the first unit comes to it.
    void hang_first() {
        for (const RunPiece& piece : plan_.pieces)
            if (piece.what == RunPiece::What::suspension_rail)
                step(
                    {piece.hold.screws > 1
                         ? std::string_view{"Screw the rail on, its lower edge at {0}, from {1} to {2}, at {3} places, "
                                            "screws at each: {4}, at least {5} apart along it; check it is level"}
                         : "Screw the rail on, its lower edge at {0}, from {1} to {2}, at {3} places, screws at each: "
                           "{4}; check it is level",
                     {quantity(piece.z), site().near(piece.from, piece.to), site().far(piece.from, piece.to),
                      count(piece.fixings.size()), count(piece.hold.screws),
                      stock(piece.hold.fixing ? least_apart(*piece.hold.fixing, true) : Length{})}},
                    true);
            else if (piece.what == RunPiece::What::ledger)
                step({"Screw a temporary ledger to the wall, its top edge at {0}, from {1} to {2}, or set a jack to "
                      "that height",
                      {quantity(piece.z), site().near(piece.from, piece.to), site().far(piece.from, piece.to)}});
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (const UnitPlan& unit = plan_.units[i]; draft_.units[i].on_plates() && unit.fixing)
                step({"{0}: hook plates at {1} and {2}, their upper screws at {3}: hole {4} deep {5}, {6}, {7} long. "
                      "Check their line with a level",
                      {unit.name, site().near(unit.holes.front().x, unit.holes.back().x),
                       site().far(unit.holes.front().x, unit.holes.back().x), quantity(unit.holes.front().z),
                       stock(unit.fixing->hole_diameter), stock(unit.fixing->drill_depth), unit.fixing->name,
                       stock(unit.fixing->screw_length)}},
                     true);
    }

    void lift(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        const StandingUnit& standing = draft_.units[i];
        // Over base units that stand already it is held out in front of them.
        const bool over = draft_.run.level == RunLevel::wall && rules_.hang_first == HangFirst::base_units;
        const Lift lift = lift_of(unit.lift_mass, (standing.bottom + standing.top()) / 2, standing.top(), over, rules_);
        const bool alone = lift.persons() == 1;
        steps_.push_back(
            lifting({alone ? std::string_view{"{0}: doors, drawers and shelves out; lift {1} up and hold it"}
                           : "{0}: doors, drawers and shelves out; two lift {1}, or a jack does",
                     {unit.name, quantity(unit.lift_mass)}},
                    phase_, lift, !alone));
    }

    void hang() {
        hang_first();
        bool first = true;
        for (const std::size_t i : order()) {
            const UnitPlan& unit = plan_.units[i];
            lift(i);
            if (draft_.units[i].on_rail()) {
                step({"{0}: hang it on its hooks and lock them; only then level it", {unit.name}}, true);
            } else if (draft_.units[i].on_plates()) {
                step({"{0}: hang it on its hooks, level it by their screws, then lock them", {unit.name}}, true);
            } else {
                if (const auto& top = unit.holes.empty() ? unit.fixing : unit.holes.front().fixing)
                    step({"{0}: one screw in at the top, and keep hold until it is in: {1}, {2} long, pilot {3}",
                          {unit.name, top->name, stock(top->screw_length), stock(top->hole_diameter)}},
                         true);
                step({"{0}: level across, plumb front to back, then the other screws, loosely", {unit.name}});
            }
            if (!first)
                join(i);
            first = false;
        }
        shims();
    }

    /// To what stands beside it already.
    void join(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        step({"{0}: clamp it to its neighbour, faces flush", {unit.name}}, true);
        for (const JoinScrew& join : plan_.joins)
            if ((join.left_unit == i || join.left_unit + 1 == i) && join.length) {
                timed(minutes().join_min,
                      {"{0}: join them through the sides, above and below, behind the hinges: screws of {1}, shorter "
                       "than "
                       "the {2} they pass; clamps off, caps on",
                       {unit.name, stock(*join.length), stock(join.passes)}});
                return;
            }
        timed(
            minutes().join_min,
            {"{0}: join them through the sides, above and below, behind the hinges; clamps off, caps on", {unit.name}});
    }

    void feet(const UnitPlan& unit) {
        if (unit.feet.empty())
            return;
        const auto [low, high] = std::ranges::minmax_element(unit.feet, {}, &Foot::height);
        step({"{0}: set its legs to {1} at {2} and {3} at {4} before it goes in",
              {unit.name, quantity(low->height), site().along(low->x), quantity(high->height), site().along(high->x)}});
        if (high->packer > Length{})
            step({"{0}: a packer strip {1} to {2} thick goes under it first; level that",
                  {unit.name, quantity(low->packer), quantity(high->packer)}},
                 true);
    }

    void stand() {
        hang_first();
        bool railed = false;
        for (const std::size_t i : order()) {
            const UnitPlan& unit = plan_.units[i];
            feet(unit);
            if (draft_.units[i].on_rail()) {
                railed = true;
                lift(i);
                step({"{0}: hang its back on the rail and lock the hooks; only then wind its feet down", {unit.name}},
                     true);
            }
            if (draft_.units[i].tall() && unit.fixing)
                step({"{0}: hold it until its top screws are in the studs: {1}, {2} long",
                      {unit.name, unit.fixing->name, stock(unit.fixing->screw_length)}},
                     true);
        }
        step(railed ? Sentence{"Join the units, faces flush; level them by their feet: back feet to the floor first. "
                               "Levelling before the hooks are locked lifts them off the rail"}
                    : Sentence{"Join the units where they can lie, faces flush; then stand and level them: back feet "
                               "first"});
        steps_.back().minutes = minutes().step_min + static_cast<double>(plan_.joins.size()) * minutes().join_min;
        shims();
        for (const std::size_t i : order())
            if (const UnitPlan& unit = plan_.units[i];
                !draft_.units[i].tall() && !draft_.units[i].on_rail() && unit.fixing)
                step(
                    {"{0}: level, then through its back rail: {1}, {2} long, pilot {3}, packed where a gap is given; a "
                     "screw draws no unit off its line",
                     {unit.name, unit.fixing->name, stock(unit.fixing->screw_length),
                      stock(unit.fixing->hole_diameter)}});
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (draft_.units[i].unit.kind == UnitKind::appliance_gap)
                step({"{0}: measure its opening in front and at the back; shim where it is narrow",
                      {draft_.units[i].unit.name}},
                     true);
    }

    void shims() {
        phase_ = Phase::adjust;
        for (const UnitPlan& unit : plan_.units)
            for (const PlannedHole& hole : unit.holes)
                if (hole.packing >= 1_mm) {
                    step({"Lay a straightedge along the faces: where a screw's packing is given, slacken it and pack: "
                          "{0} of {1} at {2}, {3} up",
                          {quantity(hole.packing), unit.name, site().along(hole.x), quantity(hole.z)}});
                    return;
                }
        step({"Lay a straightedge along the faces; pack behind the screws where the wall is hollow"});
    }

    void finish() {
        step({"Check level, plumb, flush faces and equal gaps; then tighten every screw"}, true);
        const bool ledger = std::ranges::any_of(
            plan_.pieces, [](const RunPiece& piece) { return piece.what == RunPiece::What::ledger; });
        if (ledger)
            step({"Take the ledger away and fill its holes"});
        worktops();
        doors();
        phase_ = Phase::prove;
        step({"Pull on each unit's top and bottom: nothing may move"}, true);
    }

    /// Posts and handle channels: the fronts are set to them.
    void between() {
        for (std::size_t i = 0; i < plan_.units.size(); ++i) {
            const CabinetUnit& unit = draft_.units[i].unit;
            if (unit.kind == UnitKind::corner_post)
                step(
                    {"{0}: glue and screw its two strips along one edge, {1} and {2} broad in all; set it plumb in the "
                     "corner, flush with the fronts to come, and screw it from inside both neighbours",
                     {unit.name, quantity(unit.width), quantity(unit.return_width)}});
            else if (unit.kind == UnitKind::handle_channel)
                step({"{0}: screw its clips to the sides left and right, press it on, {1} long, its edge plumb; cap "
                      "its ends",
                      {unit.name, quantity(unit.height)}});
        }
        for (const RunPiece& piece : plan_.pieces)
            if (piece.what == RunPiece::What::channel)
                timed(minutes().plinth_min,
                      {"Handle channel from {0} to {1}: into the cut-outs of the units' sides, {2} high under their "
                       "tops, "
                       "screwed to each side, ends capped. Fronts below it are so much lower",
                       {site().near(piece.from, piece.to), site().far(piece.from, piece.to), quantity(piece.breadth)}});
    }

    /// What was taken out for lifting, unit by unit: the heavy ones first, those that are set by their neighbours last.
    void doors() {
        const auto fronts = [&](bool drawers) {
            std::string all;
            for (const std::size_t i : order()) {
                const CabinetUnit& unit = draft_.units[i].unit;
                if (unit.hinge != DoorHinge::none && (unit.hinge == DoorHinge::drawers) == drawers)
                    all += (all.empty() ? "" : ", ") + unit.name;
            }
            return all;
        };
        between();
        const auto doors_in = [&](bool drawers) {
            int number = 0;
            for (const StandingUnit& standing : draft_.units)
                if (const DoorHinge hinge = standing.unit.hinge;
                    hinge != DoorHinge::none && (hinge == DoorHinge::drawers) == drawers)
                    number += hinge == DoorHinge::both ? 2 : 1;
            return number;
        };
        if (const std::string drawers = fronts(true); !drawers.empty())
            timed(doors_in(true) * minutes().drawer_min, {"Drawers in, their fronts in line: {0}", {drawers}});
        if (const std::string doors = fronts(false); !doors.empty())
            timed(doors_in(false) * minutes().door_min, {"Hang the doors and set them, gaps alike: {0}", {doors}});
        step({"Shelves in, covers on the hinges and on every screw head inside"});
        for (const RunPiece& piece : plan_.pieces)
            if (piece.what == RunPiece::What::plinth)
                timed(minutes().plinth_min,
                      {draft_.site.wall.open_floor()
                           ? std::string_view{"Plinth from {0} to {1}, {2} high: scribe it to the floor, fix it to the "
                                              "frame"}
                           : "Plinth from {0} to {1}, {2} high: scribe it to the floor, clip it to the legs",
                       {site().near(piece.from, piece.to), site().far(piece.from, piece.to), quantity(piece.breadth)}});
    }

    /// One length of a worktop.
    void lay(const RunPiece& piece, Length length) {
        // Over the units that stand before the wall it is held out at arm's length.
        const Mass mass = piece.mass * (length.in_metres() / (piece.to - piece.from).in_metres());
        const Lift lift = lift_of(mass, piece.z, piece.z, true, rules_);
        const bool two = lift.persons() > 1 || length > rules_.two_carry_from;
        Step laid = lifting(
            {draft_.site.wall.open_floor()
                 ? std::string_view{two ? "Two carry the worktop in, {0} by {1}, {2}: its overhangs alike, screw it up "
                                          "from under, screws shorter than it and its rail together"
                                        : "Lay the worktop on, {0} by {1}, {2}: its overhangs alike, screw it up from "
                                          "under, screws shorter than it and its rail together"}
             : two ? "Two carry the worktop in, {0} by {1}, {2}: scribe it to the wall, screw it up from under, screws "
                     "shorter than it and its rail together"
                   : "Lay the worktop on, {0} by {1}, {2}: scribe it to the wall, screw it up from under, screws "
                     "shorter than it and its rail together",
             {quantity(length), quantity(piece.breadth), quantity(mass)}},
            phase_, lift, false);
        laid.persons = two ? 2 : 1;
        laid.minutes = minutes().worktop_min;
        steps_.push_back(std::move(laid));
    }

    void joint_worktop(const RunPiece& piece, Length joint) {
        const bool corner = joint == piece.from || joint == piece.to;
        timed(minutes().worktop_joint_min,
              {corner
                   ? std::string_view{"Worktop joint in the corner, at {0}: cut it to the other worktop as the corner "
                                      "is, not square, try it dry, then seal both edges and draw it up with its "
                                      "bolts from under, the front ones first, faces flush"}
                   : "Worktop joint at {0}: try it dry, seal both edges, draw it up with its bolts from under, the "
                     "front ones first, faces flush; wipe off what comes out",
               {site().along(joint)}});
    }

    /// Laid when what carries it is level; sealed last, and left alone.
    void worktops() {
        bool any = false;
        for (const RunPiece& piece : plan_.pieces)
            if (piece.what == RunPiece::What::worktop) {
                any = true;
                for (const CutOut& cut : piece.cut_outs)
                    step(cut_out_step(cut));
                for (const Length length : piece.cuts)
                    lay(piece, length);
                for (const Length joint : piece.joints)
                    joint_worktop(piece, joint);
            }
        if (!any || draft_.site.wall.open_floor())
            return;
        step({"Seal the worktop's back edge to the wall"});
        steps_.push_back({{"Keep water and weight off the joint until the sealant has set, as its tube says"},
                          true,
                          Phase::cure,
                          1,
                          draft_.site.wall.rules.fitting.sealant_min});
    }

    const DraftRun& draft_;
    const RunPlan& plan_;
    const RunRules& rules_;
    Phase phase_ = Phase::ready;
    std::vector<Step> steps_;
};

} // namespace

Sentence reason_of(HangFirst first) {
    if (first == HangFirst::wall_units)
        return {"Wall units go up before base units: nothing stands in the way, and your back is saved"};
    return {"Base units go in before wall units: they carry the wall units while those are hung"};
}

Sentence reason_of(StartAt start) {
    if (start == StartAt::corner)
        return {"Begin in the corner: it sets height and line, and the rest follows from it"};
    return {"Begin at the run's free end, where its place matters most to the eye"};
}

std::vector<Step> steps_of(const DraftRun& draft, const RunPlan& plan) {
    return StepWriter{draft, plan}.write();
}

} // namespace yes_square
