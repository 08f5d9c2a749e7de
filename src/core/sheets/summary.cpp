#include "core/sheets/summary.hpp"

#include "core/job/along.hpp"
#include "core/measure/sum.hpp"

#include "core/reckon/reckon.hpp"
#include "core/sheets/things_text.hpp"

#include <cmath>
#include <cstdlib>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr int most_digits = 5; ///< more than usual, of a term in a printed sum

void each_shelf(const Job& job, const Plan& plan, auto&& visit) {
    for (std::size_t w = 0; w < plan.walls.size(); ++w)
        for (std::size_t i = 0; i < plan.walls[w]->shelves.size(); ++i)
            visit(job.walls[w], job.walls[w].shelves[i], plan.walls[w]->shelves[i]);
}

std::string survey_text(const Wall& wall, const WallSurvey& survey, const Voice& voice) {
    std::string text;
    for (const Working& working : survey.workings)
        text += fmt::format("  {}: {}\n", say(working.title, voice), say(working.result, voice));
    for (const Check& check : survey.checks)
        text += fmt::format("  {}: {}\n", say(name(check.severity), voice), say(check.message, voice));
    return text.empty() ? text : line(0, {"{0}, survey", {wall.name}}, voice) + text;
}

std::string shelf_text(const Wall& wall, const Shelf& asked, const ShelfPlan& shelf,
                       const std::optional<Capacity>& capacity, const Voice& voice) {
    const Promise promise = promise_of(asked, shelf, capacity.value_or(Capacity{}));
    std::string text = fmt::format("{}, {}\n", wall.name, shelf.name);
    if (shelf.bracket && !shelf.bracket->id.empty())
        text += line(2,
                     {"bracket: {0}; arm from {1} to {2}",
                      {shelf.bracket->name, quantity(shelf.arm_least), quantity(shelf.arm_most)}},
                     voice);
    for (std::size_t i = 0; i < shelf.brackets.size(); ++i) {
        const BracketPlan& place = shelf.brackets[i];
        const std::vector<Value> stands{count(i + 1), along(shelf.tape, place.x), words(place.substrate),
                                        quantity(place.carries)};
        if (place.fixing)
            text += line(2,
                         {"bracket {0} at {1}, {2}, carries {3}; {4} {5}, hole {6} deep {7}, used {8}",
                          {stands[0], stands[1], stands[2], stands[3], place.fixing->name,
                           stock(place.fixing->screw_length), stock(place.fixing->hole_diameter),
                           stock(place.fixing->drill_depth), ratio(place.fixing_utilisation)}},
                         voice);
        else
            text += line(2, {"bracket {0} at {1}, {2}, carries {3}", stands}, voice);
        for (const PlannedHole& hole : shelf.holes)
            if (hole.place == i) {
                const bool own = !place.row_fixings.empty() && hole.fixing;
                text += line(4,
                             {own ? std::string_view{"hole {0} at {1}, {2} up, {3}"} : "hole {0} at {1}, {2} up",
                              {count(hole.row + 1), along(shelf.tape, hole.x), quantity(hole.z),
                               own ? hole.fixing->name : std::string{}}},
                             voice);
            }
    }
    for (const CleatPlan& cleat : shelf.cleats)
        text += line(2,
                     {cleat.fixing ? std::string_view{"{0} strip, {1} long, {2} screws: {3} {4}, used {5}"}
                                   : "{0} strip, {1} long, {2} screws",
                      {std::string_view{cleat.wall}, quantity(cleat.length), count(cleat.screws),
                       cleat.fixing ? cleat.fixing->name : std::string{},
                       stock(cleat.fixing ? cleat.fixing->screw_length : Length{}), ratio(cleat.utilisation)}},
                     voice);
    if (shelf.sag)
        text += line(2,
                     {"sag {0} at once, {1} in time; limit {2}",
                      {fine(shelf.sag->instantaneous), fine(shelf.sag->long_term), fine(shelf.sag->limit)}},
                     voice);
    if (capacity && capacity->governs != Governs::nothing && !promise.made)
        text += line(2, {"holds: {0}. {1}", {say(promise.words, voice), say(promise.why, voice)}}, voice);
    else if (capacity && capacity->governs != Governs::nothing)
        text += line(2,
                     {capacity->from_memory ? std::string_view{"holds: {0}; {1}, limited by {2}; figures from memory"}
                                            : "holds: {0}; {1}, limited by {2}",
                      {say(promise.words, voice), quantity(floor(capacity->per_metre)), words(capacity->governs)}},
                     voice);
    return text + checks_of_one(shelf.checks, voice);
}

} // namespace

std::string_view words(Substrate substrate) {
    switch (substrate) {
    case Substrate::masonry:
        return "masonry";
    case Substrate::proved_stud:
        return "proved stud";
    case Substrate::joist:
        return "ceiling joist";
    case Substrate::floor:
        return "floor";
    case Substrate::side_wall:
        return "side wall";
    case Substrate::nogging:
        return "nogging";
    case Substrate::detected_stud:
        return "detected stud";
    case Substrate::indicated_stud:
        return "indicated stud";
    case Substrate::assumed_stud:
        return "assumed stud";
    case Substrate::lining:
        return "lining alone";
    }
    std::abort();
}

namespace {

std::string lines_text(const Room& room, const RoomLines& lines, const Voice& voice) {
    std::string text = line(0, {"{0}, level lines above the datum", {room.name}}, voice);
    for (const LinePlan& each : lines.lines)
        text += fmt::format("  {:<24} {:>12}  {}\n", each.name, format(each.z, voice), each.set_by);
    return text + checks_of_one(lines.checks, voice);
}

/// Where each unit stands and each of its holes.
std::string run_text(const WallPlan& wall, const RunPlan& run, const Voice& voice) {
    std::string text = fmt::format("{}, {}\n", wall.wall_name, run.name);
    for (const UnitPlan& unit : run.units) {
        const Length left = unit.place.left;
        text +=
            line(2,
                 {"{0}: {1} to {2}, {3} to {4} up",
                  {unit.name, along(run.tape, run.tape.near(left, unit.place.right())),
                   along(run.tape, run.tape.far(left, unit.place.right())), quantity(unit.bottom), quantity(unit.top)}},
                 voice);
        if (unit.fixing)
            text += line(4, {"{0}, {1} long", {unit.fixing->name, stock(unit.fixing->screw_length)}}, voice);
        if (unit.utilisation.known() && unit.tension + unit.shear > 0)
            text += line(4, {"used to {0}", {ratio(unit.utilisation)}}, voice);
        for (const PlannedHole& hole : unit.holes)
            text += line(
                4,
                {"hole at {0}, {1} up; inside {2} from the left; {3}",
                 {along(run.tape, hole.x), quantity(hole.z), quantity(unit.inside_left(hole)), words(hole.substrate)}},
                voice);
    }
    for (const RunPiece& piece : run.pieces)
        if (piece.hold.fixing)
            text += line(2,
                         {"rail: {0}, {1} long, {2} at each of {3} places, used to {4}",
                          {piece.hold.fixing->name, stock(piece.hold.fixing->screw_length), count(piece.hold.screws),
                           count(piece.hold.places.size()), ratio(piece.hold.utilisation)}},
                         voice);
    for (const IslandHold& hold : run.islands)
        text += line(2,
                     {"held down at its backs with {0} ({1}, {2}); screws for each unit {3}, used to {4}",
                      {quantity(hold.pull), run.units[hold.worst].name, say(hold.when, voice), count(hold.screws),
                       ratio(hold.used())}},
                     voice);
    return text + checks_of_one(run.checks, voice);
}

} // namespace

std::string summary(const Job& job, const Plan& plan, const Voice& voice) {
    std::string text = fmt::format("{}\n{}, {}\n", job.title, job.client, job.place);
    for (std::size_t i = 0; i < plan.walls.size(); ++i)
        if (const std::string survey = survey_text(job.walls[i], plan.walls[i]->survey, voice); !survey.empty())
            text += "\n" + survey;
    each_shelf(job, plan, [&](const Wall& wall, const Shelf& asked, const ShelfPlan& shelf) {
        text += "\n" + shelf_text(wall, asked, shelf, capacity(job, plan, shelf.id), voice);
    });
    for (std::size_t i = 0; i < plan.rooms.size(); ++i)
        if (!plan.rooms[i].lines.lines.empty() || !plan.rooms[i].lines.checks.empty())
            text += "\n" + lines_text(job.rooms[i], plan.rooms[i].lines, voice);
    for (const auto& wall : plan.walls)
        for (const RunPlan& run : wall->runs)
            text += "\n" + run_text(*wall, run, voice);
    for (const auto& wall : plan.walls) {
        text += things_text(*wall, voice);
        for (const FeedPlan& feed : wall->feeds)
            text += fmt::format("\n{}, {}\n{}", wall->wall_name, feed.name, checks_of_one(feed.checks, voice));
        if (!wall->checks.empty())
            text += "\n" + line(0, {"{0}, holes", {wall->wall_name}}, voice) + checks_of_one(wall->checks, voice);
    }
    for (std::size_t i = 0; i < plan.rooms.size(); ++i)
        if (!plan.rooms[i].checks.empty())
            text += fmt::format("\n{}\n{}", job.rooms[i].name, checks_of_one(plan.rooms[i].checks, voice));
    text += inventory_text(job, plan, voice);
    return text + "\n" +
           line(0,
                {"{0} errors, {1} warnings, {2} notes",
                 {count(count_checks(plan, Severity::error)), count(count_checks(plan, Severity::warning)),
                  count(count_checks(plan, Severity::note))}},
                voice);
}

std::string checks_text(const Job& job, const Plan& plan, const Voice& voice) {
    std::string text;
    for (const OwnedCheck& owned : all_checks(plan, job)) {
        const bool own = owned.place.empty() || owned.place == owned.owner;
        text += fmt::format("{:<8}{}{}{}: {}\n", say(name(owned.check->severity), voice), own ? "" : owned.place,
                            own ? "" : ", ", owned.owner, say(owned.check->message, voice));
    }
    return text;
}

namespace {

/// A place along a wall says its end beside the sum, among the terms: in it there are figures alone.
Quantity in_sum(Quantity quantity) {
    if (quantity.kind == Kind::from_left_end || quantity.kind == Kind::from_right_end)
        quantity.kind = Kind::length;
    return quantity;
}

} // namespace

std::string sum_text(const Working& working, const Voice& voice) {
    if (working.sum.empty())
        return {};
    // Terms are printed as fine as it takes for the printed sum to come to the printed result.
    const std::string result = say(in_sum(working.result), voice);
    std::string text;
    for (int digits = 0; digits <= most_digits; ++digits) {
        Sentence sum{working.sum};
        std::vector<double> terms;
        for (const Term& term : working.terms) {
            Printed shown = printed(in_sum(term.value), voice, digits);
            terms.push_back(shown.si);
            sum.values.emplace_back(std::move(shown.text));
        }
        text = fmt::format("{} = {}", say(sum, voice), result);
        const auto comes_to = redo(working.sum, terms);
        if (comes_to && say(Quantity{in_sum(working.result).kind, *comes_to}, voice) == result)
            break;
    }
    return text;
}

std::string source_text(const Source& source, const Voice& voice) {
    const std::string kind = say(words(source.provenance), voice);
    return source.publication.empty() ? kind : fmt::format("{}: {}", kind, say(source.publication, voice));
}

std::string working_text(const Working& working, const Voice& voice) {
    std::string text = say(working.title, voice) + "\n";
    const std::string sum = sum_text(working, voice);
    if (!sum.empty())
        text += "  " + sum + "\n";
    for (const Term& term : working.terms)
        text += fmt::format("  {}: {} ({})\n", term.own.empty() ? say(term.name, voice) : term.own,
                            say(term.value, voice), source_text(term.source, voice));
    return text + fmt::format("  {}\n", source_text(working.source, voice));
}

} // namespace yes_square
