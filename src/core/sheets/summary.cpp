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
        text += fmt::format("  {}: {}\n", name(check.severity), say(check.message, voice));
    return text.empty() ? text : fmt::format("{}, survey\n", wall.name) + text;
}

std::string shelf_text(const Wall& wall, const Shelf& asked, const ShelfPlan& shelf,
                       const std::optional<Capacity>& capacity, const Voice& voice) {
    const Promise promise = promise_of(asked, shelf, capacity.value_or(Capacity{}));
    std::string text = fmt::format("{}, {}\n", wall.name, shelf.name);
    if (shelf.bracket && !shelf.bracket->id.empty())
        text += fmt::format("  bracket: {}; arm from {} to {}\n", shelf.bracket->name,
                            format(shelf.arm_least, voice.unit), format(shelf.arm_most, voice.unit));
    for (std::size_t i = 0; i < shelf.brackets.size(); ++i) {
        const BracketPlan& place = shelf.brackets[i];
        text += fmt::format("  bracket {} at {}, {}, carries {}", i + 1, say(along(shelf.tape, place.x), voice),
                            words(place.substrate), say(quantity(place.carries), voice));
        if (place.fixing)
            text += fmt::format(
                "; {} {}, hole {} deep {}, used {}", place.fixing->name, say(stock(place.fixing->screw_length), voice),
                say(stock(place.fixing->hole_diameter), voice), say(stock(place.fixing->drill_depth), voice),
                say(ratio(place.fixing_utilisation), voice));
        text += "\n";
        for (const PlannedHole& hole : shelf.holes)
            if (hole.place == i)
                text +=
                    fmt::format("    hole {} at {}, {} up{}\n", hole.row + 1, say(along(shelf.tape, hole.x), voice),
                                format(hole.z, voice.unit),
                                place.row_fixings.empty() || !hole.fixing ? std::string{} : ", " + hole.fixing->name);
    }
    for (const CleatPlan& cleat : shelf.cleats)
        text += fmt::format("  {} strip, {} long, {} screws{}\n", cleat.wall, format(cleat.length, voice.unit),
                            cleat.screws,
                            cleat.fixing ? fmt::format(": {} {}, used {}", cleat.fixing->name,
                                                       say(stock(cleat.fixing->screw_length), voice),
                                                       say(ratio(cleat.utilisation), voice))
                                         : std::string{});
    if (shelf.sag)
        text += fmt::format("  sag {} at once, {} in time; limit {}\n", say(fine(shelf.sag->instantaneous), voice),
                            say(fine(shelf.sag->long_term), voice), say(fine(shelf.sag->limit), voice));
    if (capacity && capacity->governs != Governs::nothing && !promise.made)
        text += fmt::format("  holds: {}. {}\n", say(promise.words, voice), say(promise.why, voice));
    else if (capacity && capacity->governs != Governs::nothing)
        text += fmt::format("  holds: {}; {}, limited by {}{}\n", say(promise.words, voice),
                            say(quantity(floor(capacity->per_metre)), voice), words(capacity->governs),
                            capacity->from_memory ? "; figures from memory" : "");
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
    std::string text = fmt::format("{}, level lines above the datum\n", room.name);
    for (const LinePlan& line : lines.lines)
        text += fmt::format("  {:<24} {:>12}  {}\n", line.name, format(line.z, voice.unit), line.set_by);
    return text + checks_of_one(lines.checks, voice);
}

/// Where each unit stands and each of its holes.
std::string run_text(const WallPlan& wall, const RunPlan& run, const Voice& voice) {
    std::string text = fmt::format("{}, {}\n", wall.wall_name, run.name);
    for (const UnitPlan& unit : run.units) {
        text += fmt::format("  {:<24} {} to {}, {} to {} up", unit.name,
                            say(along(run.tape, run.tape.near(unit.place.left, unit.place.right())), voice),
                            say(along(run.tape, run.tape.far(unit.place.left, unit.place.right())), voice),
                            format(unit.bottom, voice.unit), format(unit.top, voice.unit));
        if (unit.fixing)
            text += fmt::format("; {}, {} long", unit.fixing->name, say(stock(unit.fixing->screw_length), voice));
        if (unit.utilisation.known() && unit.tension + unit.shear > 0)
            text += fmt::format(", used to {}", say(ratio(unit.utilisation), voice));
        text += "\n";
        for (const PlannedHole& hole : unit.holes)
            text += fmt::format("    hole at {}, {} up; inside {} from the left; {}\n",
                                say(along(run.tape, hole.x), voice), format(hole.z, voice.unit),
                                format(unit.inside_left(hole), voice.unit), say(words(hole.substrate), voice));
    }
    for (const RunPiece& piece : run.pieces)
        if (piece.hold.fixing)
            text += fmt::format("  rail: {}, {} long, {} at each of {} places, used to {}\n", piece.hold.fixing->name,
                                say(stock(piece.hold.fixing->screw_length), voice), piece.hold.screws,
                                piece.hold.places.size(), say(ratio(piece.hold.utilisation), voice));
    for (const IslandHold& hold : run.islands)
        text += fmt::format("  held down at its backs with {} ({}, {}); screws for each unit {}, used to {}\n",
                            say(quantity(hold.pull), voice), run.units[hold.worst].name, say(hold.when, voice),
                            hold.screws, say(ratio(hold.used()), voice));
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
            text += fmt::format("\n{}, holes\n{}", wall->wall_name, checks_of_one(wall->checks, voice));
    }
    for (std::size_t i = 0; i < plan.rooms.size(); ++i)
        if (!plan.rooms[i].checks.empty())
            text += fmt::format("\n{}\n{}", job.rooms[i].name, checks_of_one(plan.rooms[i].checks, voice));
    text += inventory_text(job, plan, voice);
    text += fmt::format("\n{} errors, {} warnings, {} notes\n", count_checks(plan, Severity::error),
                        count_checks(plan, Severity::warning), count_checks(plan, Severity::note));
    return text;
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
    std::abort();
}

std::string checks_text(const Job& job, const Plan& plan, const Voice& voice) {
    std::string text;
    for (const OwnedCheck& owned : all_checks(plan, job)) {
        const bool own = owned.place.empty() || owned.place == owned.owner;
        text += fmt::format("{:<8}{}{}{}: {}\n", name(owned.check->severity), own ? "" : owned.place, own ? "" : ", ",
                            owned.owner, say(owned.check->message, voice));
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
