#include "core/plan/plan.hpp"

#include <algorithm>
#include <array>
#include <cstdlib>

namespace yes_square {

void add_holes(ThingPlan& plan, const std::vector<PlannedHole>& holes) {
    const std::size_t from = plan.holes.empty() ? 0 : std::ranges::max(plan.holes, {}, &PlannedHole::place).place + 1;
    for (const PlannedHole& hole : holes)
        plan.holes.emplace_back(hole).place += from;
}

std::string_view sum_of(std::size_t terms) {
    static const auto patterns = [] {
        std::array<std::string, 300> all; // more than anything has terms (job/ranges.hpp)
        for (std::size_t i = 1; i < all.size(); ++i)
            all[i] = all[i - 1] + (i > 1 ? " + " : "") + "{" + std::to_string(i - 1) + "}";
        return all;
    }();
    return terms < patterns.size() ? std::string_view{patterns[terms]} : std::string_view{};
}

Step lifting(Sentence words, Phase phase, const Lift& lift, bool hold_point) {
    Step step{std::move(words), hold_point, phase, lift.persons()};
    step.lift = lift;
    return step;
}

Step detector_step() {
    Step step{{"Go over the marks with a detector, services switched off. Do not drill where it answers"}, true};
    step.of_wall = true;
    return step;
}

std::string_view words(Phase phase) {
    switch (phase) {
    case Phase::ready:
        return "make ready";
    case Phase::mark:
        return "mark";
    case Phase::drill:
        return "drill";
    case Phase::assemble:
        return "put together";
    case Phase::hang:
        return "hang";
    case Phase::cure:
        return "wait";
    case Phase::adjust:
        return "set true and tighten";
    case Phase::prove:
        return "prove";
    }
    return {};
}

std::string_view words(RunPiece::What what) {
    switch (what) {
    case RunPiece::What::worktop:
        return "Worktop";
    case RunPiece::What::plinth:
        return "Plinth";
    case RunPiece::What::suspension_rail:
        return "Suspension rail";
    case RunPiece::What::ledger:
        return "Temporary ledger";
    case RunPiece::What::channel:
        return "Handle channel";
    }
    return {};
}

std::string_view words(IslandJoint::What what) {
    switch (what) {
    case IslandJoint::What::unit_to_frame:
        return "down through the units' bottoms into the frame";
    case IslandJoint::What::frame_to_cleat:
        return "through the frame into the cleats";
    case IslandJoint::What::side_to_cleat:
        return "through the units' sides into the cleats";
    case IslandJoint::What::cleat_to_floor:
        return "through the cleats into the floor";
    }
    return {};
}

std::string_view words(LeadPanel panel) {
    switch (panel) {
    case LeadPanel::top:
        return "top";
    case LeadPanel::bottom:
        return "bottom";
    case LeadPanel::left_side:
        return "left side";
    case LeadPanel::right_side:
        return "right side";
    }
    return {};
}

std::string_view words(Verdict verdict) {
    switch (verdict) {
    case Verdict::within:
        return "may stay";
    case Verdict::unsure:
        return "too close to tell";
    case Verdict::out:
        return "to be put right";
    }
    return {};
}

std::string_view name(Holds holds) {
    switch (holds) {
    case Holds::yes:
        return "yes";
    case Holds::light:
        return "light";
    case Holds::unknown:
        return "unknown";
    case Holds::no:
        return "no";
    }
    return {};
}

Holds holds(const ThingPlan& plan) {
    const auto counts = [](const PlannedHole& hole) { return carries(hole.substrate); };
    const bool wrong =
        std::ranges::any_of(plan.checks,
                            [](const Check& check) {
                                return check.severity == Severity::error && check.code.bears() == Bears::on_hold;
                            }) ||
        std::ranges::any_of(plan.holes,
                            [&](const PlannedHole& hole) { return counts(hole) && hole.utilisation.over(); });
    if (wrong)
        return Holds::no;
    // What hangs in the lining alone may bear a light thing; by how much nobody knows but a packet.
    const auto any = [&](Bears what) {
        return std::ranges::any_of(plan.checks, [&](const Check& check) { return check.code.bears() == what; });
    };
    const bool light = any(Bears::on_light_use);
    const bool nothing_carries = !light && !plan.holes.empty() && std::ranges::none_of(plan.holes, counts);
    const bool doubtful = nothing_carries || any(Bears::on_what_is_known) ||
                          std::ranges::any_of(plan.holes, [&](const PlannedHole& hole) {
                              return counts(hole) && !hole.utilisation.known();
                          });
    return doubtful ? Holds::unknown : light ? Holds::light : Holds::yes;
}

std::string_view name(Severity severity) {
    switch (severity) {
    case Severity::note:
        return "note";
    case Severity::warning:
        return "warning";
    case Severity::error:
        return "error";
    }
    std::abort();
}

std::vector<WallThing> things_on(const WallPlan& wall) {
    std::vector<WallThing> things;
    for_each_thing(wall,
                   [&](const ThingPlan& thing) { things.insert(things.end(), thing.room.begin(), thing.room.end()); });
    return things;
}

std::optional<Outline> whole_room(const WallPlan& wall, const std::string& id) {
    std::optional<Outline> all;
    for_each_thing(wall, [&](const ThingPlan& thing) {
        for (const WallThing& part : thing.room)
            if (part.id == id || thing.id == id)
                all = all ? all->joined(part.box) : part.box;
    });
    return all;
}

std::vector<OwnedCheck> checks_of(const WallPlan& wall) {
    std::vector<OwnedCheck> checks;
    const auto add = [&](std::string_view owner, const std::vector<Check>& of, std::string_view thing = {}) {
        for (const Check& check : of)
            checks.push_back({wall.wall_name, owner, &check, wall.wall_id, thing});
    };
    add(wall.wall_name, wall.survey.checks);
    add(wall.wall_name, wall.checks);
    for_each_thing(wall, [&](const ThingPlan& thing) { add(thing.name, thing.checks, thing.id); });
    return checks;
}

std::vector<OwnedCheck> all_checks(const Plan& plan, const Job& job) {
    std::vector<OwnedCheck> checks;
    for (std::size_t i = 0; i < plan.rooms.size(); ++i)
        for (const auto* of_room : {&plan.rooms[i].checks, &plan.rooms[i].lines.checks})
            for (const Check& check : *of_room)
                checks.push_back({{}, job.rooms[i].name, &check});
    for (const auto& wall : plan.walls)
        std::ranges::copy(checks_of(*wall), std::back_inserter(checks));
    return checks;
}

std::size_t count_checks(const Plan& plan, Severity severity) {
    const auto in = [&](const std::vector<Check>& checks) {
        return static_cast<std::size_t>(std::ranges::count(checks, severity, &Check::severity));
    };
    std::size_t total = 0;
    for (const RoomSurvey& room : plan.rooms)
        total += in(room.checks) + in(room.lines.checks);
    for (const auto& wall : plan.walls)
        for (const OwnedCheck& owned : checks_of(*wall))
            total += owned.check->severity == severity;
    return total;
}

} // namespace yes_square
