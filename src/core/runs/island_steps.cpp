#include "core/runs/island.hpp"
#include "core/site/lifting.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class IslandSteps {
public:
    IslandSteps(const DraftRun& draft, const RunPlan& plan)
        : draft_{draft}
        , plan_{plan}
        , floor_{*draft.site.wall.open_floor()} {}

    std::vector<Step> write() {
        set_out();
        for (const IslandHold& hold : plan_.islands)
            base(hold);
        stand();
        for (const IslandHold& hold : plan_.islands)
            hold_down(hold);
        close();
        return std::move(steps_);
    }

private:
    const WallSite& site() const { return draft_.site.wall; }
    Quantity near(Length from, Length to) const { return site().near(from, to); }
    Quantity far(Length from, Length to) const { return site().far(from, to); }

    void step(Phase phase, Sentence words, bool hold_point = false, int persons = 1) {
        steps_.push_back({std::move(words), hold_point, phase, persons});
    }

    void set_out() {
        const auto& from = draft_.site.wall.survey.set_out_from;
        if (!from)
            step(Phase::mark, {"Chalk the line of its backs on the floor: nobody has said yet where it lies"}, true);
        else if (from->other_side)
            step(Phase::mark, {"Its backs stand {0} behind those of {1}", {quantity(floor_.out), from->name}}, true);
        else
            step(Phase::mark,
                 {"Chalk the line of its backs on the floor, {0} out from {1} at both ends: it begins {2} along that "
                  "wall from its left end and is {3} long",
                  {quantity(floor_.out), from->name, quantity(floor_.along), quantity(site().wall.length)}},
                 true);
        const RunLayout& layout = plan_.layout;
        step(Phase::mark,
             {by_tape(site().tape,
                      "On that line, from its left end as one looks at the fronts, mark where the units begin, at {0}, "
                      "and where they end, at {1}; square both over to the fronts and measure both diagonals: they are "
                      "alike",
                      "On that line, from its right end as one looks at the fronts, mark where the units begin, at "
                      "{0}, and where they end, at {1}; square both over to the fronts and measure both diagonals: "
                      "they are alike"),
              {near(layout.left(), layout.right()), far(layout.left(), layout.right())}},
             true);
        if (!plan_.units.empty())
            step(Phase::mark, {"Carry the room's level line over with a laser: the units' tops stand {0} above the "
                               "datum",
                               {quantity(plan_.units.front().top)}});
    }

    void base(const IslandHold& hold) {
        if (hold.frame_height > Length{}) {
            step(Phase::assemble,
                 {"Screw the frame together, {0} by {1} and {2} high: a rail under the backs, one behind the plinth, "
                  "a piece across at each end and under each joint of two units",
                  {quantity(hold.to - hold.from), quantity(hold.frame_depth), quantity(hold.frame_height)}});
            step(Phase::hang,
                 {"Set the frame on its marks, its back on the line; shim it until it is level both ways, along and "
                  "across, its top {0} above the datum",
                  {quantity(hold.frame_height)}},
                 true);
        } else {
            step(Phase::hang,
                 {"Lay a cleat inside each side of each unit, from the back to {0} behind the fronts, its outer face "
                  "where the side's inner one will be",
                  {quantity(draft_.units[hold.first].unit.depth - hold.frame_depth)}});
        }
        if (floor_.floor == FloorBuilt::heated) {
            step(Phase::hang,
                 {"The floor is heated: glue the cleats to it with the adhesive its maker names, and drill nothing"},
                 true);
            steps_.push_back({{"Nobody stands on it or leans on it until the adhesive has set, as its packet says"},
                              true,
                              Phase::cure,
                              1,
                              draft_.site.wall.rules.fitting.sealant_min});
            return;
        }
        step(Phase::hang,
             {"Pipes, cables and heating lie in floors too. Before it is drilled ask who laid it, go over the marks "
              "with a detector, and set the bit's stop"},
             true);
        const IslandJoint& floor = hold.joints.back();
        if (!floor.fixing)
            return;
        step(Phase::hang,
             {floor_.floor == FloorBuilt::joists
                  ? std::string_view{"Cleats to the floor, {0} screws for each unit, each of them in a joist: {1}, {2} "
                                     "long, hole {3} deep {4} from the floor"}
                  : "Cleats to the floor, {0} screws for each unit, half of them near each of its sides: {1}, {2} "
                    "long, hole {3} deep {4} from the floor",
              {count(hold.screws), floor.fixing->name, stock(floor.fixing->screw_length),
               stock(floor.fixing->hole_diameter), stock(floor.fixing->drill_depth)}},
             true);
        if (hold.frame_height > Length{})
            driven(hold, IslandJoint::What::frame_to_cleat);
    }

    void stand() {
        for (const IslandHold& hold : plan_.islands)
            for (std::size_t i = hold.first; i <= hold.last; ++i) {
                const UnitPlan& unit = plan_.units[i];
                const Lift lift =
                    lift_of(unit.lift_mass, (unit.bottom + unit.top) / 2, unit.top, false, draft_.site.rules());
                steps_.push_back(lifting(
                    {"{0}: doors and drawers out; stand it on its place, {1}", {unit.name, quantity(unit.lift_mass)}},
                    Phase::hang, lift));
            }
        step(Phase::hang,
             {"Check each with a level both ways, along and across; clamp neighbours together, faces flush"}, true);
        for (const JoinScrew& join : plan_.joins)
            if (join.length) {
                step(Phase::hang,
                     {"Join them through the sides, above and below, behind the hinges: screws of {0}, shorter than "
                      "the {1} they pass; clamps off, caps on",
                      {stock(*join.length), stock(join.passes)}});
                break;
            }
        for (const StandsBehind& other : draft_.site.wall.survey.behind)
            if (other.gap <= draft_.site.rules().backs_apart_most) {
                step(Phase::hang,
                     {other.gap > Length{}
                          ? std::string_view{"Screw the backs to those of the other side, above and below, over "
                                             "packings {0} thick: through rails, not through a thin back alone"}
                          : "Screw the backs to those of the other side, above and below: through rails, not through a "
                            "thin back alone",
                      {quantity(other.gap)}},
                     true);
                break;
            }
    }

    void hold_down(const IslandHold& hold) {
        driven(hold,
               hold.frame_height > Length{} ? IslandJoint::What::unit_to_frame : IslandJoint::What::side_to_cleat);
    }

    void driven(const IslandHold& hold, IslandJoint::What what) {
        for (const IslandJoint& joint : hold.joints)
            if (joint.what == what && joint.fixing)
                step(Phase::hang, {"Screw {0}, {1} for each unit near its back: {2}, {3} long, pilot {4}",
                                   {words(what), count(hold.screws), joint.fixing->name,
                                    stock(joint.fixing->screw_length), stock(joint.fixing->hole_diameter)}});
    }

    /// What is seen from outside comes last, when nothing moves any more.
    void close() {
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (draft_.units[i].unit.kind == UnitKind::end_panel)
                step(Phase::adjust, {"{0}: last of all, scribed to the floor, screwed from inside the unit beside it",
                                     {draft_.units[i].unit.name}});
        if (!plan_.islands.empty() && draft_.site.wall.survey.behind.empty())
            step(Phase::adjust, {"Close the backs with their panel, scribed to the floor, screwed from inside"});
    }

    const DraftRun& draft_;
    const RunPlan& plan_;
    const OpenFloor& floor_;
    std::vector<Step> steps_;
};

} // namespace

std::vector<Step> island_steps(const DraftRun& draft, const RunPlan& plan) {
    return IslandSteps{draft, plan}.write();
}

} // namespace yes_square
