#include "core/runs/island.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class IslandChecker : RunChecker {
public:
    IslandChecker(const DraftRun& draft, RunPlan& plan)
        : RunChecker{draft, plan}
        , floor_{*draft.site.wall.open_floor()} {}

    void check() {
        for (const StandingUnit& standing : draft_.units)
            wants_wall(standing);
        for (const IslandHold& hold : plan_.islands)
            held(hold);
        backs();
    }

private:
    void wants_wall(const StandingUnit& standing) {
        if (!is_cabinet(standing.unit))
            return;
        const bool hangs = standing.level == RunLevel::wall || standing.on_rail();
        if (!hangs && !standing.tall())
            return;
        advise(add(checks::island_no_wall,
                   {hangs ? std::string_view{"{0} hangs on nothing: there is no wall on the open floor"}
                          : "{0} is tall, and there is no wall that keeps it from tipping: no such unit stands free",
                    {standing.unit.name}},
                   std::nullopt, standing.place.left, standing.top()),
               {hangs ? std::string_view{"Put it on a wall; under an island units stand on its frame"}
                      : "Put it against a wall"});
    }

    void held(const IslandHold& hold) {
        const std::string& name = draft_.units[hold.worst].unit.name;
        const Length x = draft_.units[hold.worst].place.left;
        for (const IslandJoint& joint : hold.joints) {
            if (!joint.used.known()) {
                const bool heated = floor_.floor == FloorBuilt::heated;
                Check& unknown = add(
                    checks::island_floor_unknown,
                    {heated ? std::string_view{"{0} would tip ({1}) but for what holds its back down with {2}, and a "
                                               "heated floor is not drilled: what an adhesive holds is not known"}
                            : "{0} would tip ({1}) but for what holds its back down with {2}, and what the floor is "
                              "made of is not known",
                     {name, hold.when, quantity(hold.pull)}},
                    quantity(hold.pull), x, Length{});
                if (!heated)
                    advise(unknown, {"In Survey, say what the floor is made of"});
                lighten(unknown, hold);
                if (heated)
                    advise(unknown, {"Find where its pipes or cables run, with a thermal picture and who laid them, "
                                     "before anybody drills it"});
            } else if (joint.used.over()) {
                lifts(hold, joint, name, x);
            }
        }
        if (floor_.floor == FloorBuilt::not_known && hold.pull == 0)
            advise(add(checks::island_floor_untold,
                       {"{0} stands by itself; what its cleats are screwed into is not said yet, so their screws are "
                        "not in the kit",
                        {draft_.run.name}},
                       std::nullopt, hold.from, Length{}),
                   {"In Survey, say what the floor is made of"});
    }

    void lifts(const IslandHold& hold, const IslandJoint& joint, const std::string& name, Length x) {
        Check& lifted =
            joint.fixing
                ? add(checks::island_lifts,
                      {"{0} lifts its back with {1} ({2}): the screws {3}, {4} for each unit, are used to {5}",
                       {name, quantity(hold.pull), hold.when, words(joint.what), count(hold.screws),
                        ratio(joint.used)}},
                      ratio(joint.used), x, Length{})
                : add(checks::island_lifts, {"{0}: no screw or plug at hand holds {1}", {name, words(joint.what)}},
                      std::nullopt, x, Length{});
        if (joint.what == IslandJoint::What::cleat_to_floor && floor_.floor == FloorBuilt::boards) {
            OpenFloor joists = floor_;
            joists.floor = FloorBuilt::joists;
            advise(lifted, {"Put the cleats' screws where joists are"},
                   TakeBuildUp{site_.wall.wall.id, joists, site_.wall.wall.lining});
        }
        if (!joint.fixing)
            advise(lifted, {"Add a screw or plug that suits it to those at hand"});
        lighten(lifted, hold);
    }

    /// What makes it ask for less.
    void lighten(Check& check, const IslandHold& hold) const {
        if (hold.behind == Mass{0})
            advise(check, {"Units of the island's other side, back to back with it, hold it down"});
        if (draft_.units[hold.worst].unit.hinge == DoorHinge::drawers)
            advise(check, {"Doors or narrower drawers in its place: full drawers, open, turn it over"});
    }

    void backs() {
        const auto& behind = site_.wall.survey.behind;
        const auto shares = [&](const StandsBehind& other) {
            return std::ranges::any_of(draft_.units, [&](const StandingUnit& standing) {
                return is_cabinet(standing.unit) && other.left < standing.place.right() &&
                       standing.place.left < other.right;
            });
        };
        const auto other = std::ranges::find_if(behind, shares);
        if (other == behind.end())
            return;
        if (other->gap > site_.rules().backs_apart_most)
            advise(add(checks::island_backs_apart,
                       {"The backs stand {0} apart, {1} more than they are screwed to one another over: each side "
                        "stands for itself",
                        {quantity(other->gap), quantity(other->gap - site_.rules().backs_apart_most)}},
                       quantity(other->gap), other->left, Length{}),
                   {"Set them nearer, or join them by a frame between"});
    }

    const OpenFloor& floor_;
};

} // namespace

void check_island(const DraftRun& draft, RunPlan& plan) {
    IslandChecker{draft, plan}.check();
}

} // namespace yes_square
