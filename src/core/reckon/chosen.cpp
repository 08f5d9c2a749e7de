#include "core/reckon/chosen.hpp"

#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>
#include <array>

namespace yes_square {
namespace {

/// The holes of a thing that are meant. One that cannot be told apart is fixed as the whole is.
std::vector<const PlannedHole*> holes_at(const ThingPlan& thing, const FixingSpot& where) {
    std::vector<const PlannedHole*> holes;
    for (const PlannedHole& hole : thing.holes)
        if (where.everywhere() || (!hole.spot.everywhere() && where.covers(hole.spot)))
            holes.push_back(&hole);
    for (const StripBeside& strip : thing.beside)
        if (where.covers(strip.worst.spot))
            holes.push_back(&strip.worst);
    return holes;
}

const StripBeside* strip_at(const FixingSpot& where, const ThingPlan& thing) {
    const auto strip =
        std::ranges::find(thing.beside, where.unit, [](const StripBeside& s) { return s.worst.spot.unit; });
    return where.unit.empty() || strip == thing.beside.end() ? nullptr : &*strip;
}

std::string_view name_of_unit(const std::string& id, const ThingPlan& thing) {
    for (const WallThing& room : thing.room)
        if (room.id == id)
            return room.name;
    return thing.name;
}

enum class Came { used, unused, failed };

/// What came of a choice, by whether it was made for all of its subject, a place, a row of them, or one hole.
std::string_view pattern_of(Came came, const FixingSpot& where) {
    using Patterns = std::array<std::string_view, 4>;
    constexpr Patterns used{"{0}: {1}, chosen by hand", "{0}, place {2}: {1}, chosen by hand",
                            "{0}, row {3} from the top: {1}, chosen by hand",
                            "{0}, place {2}, row {3} from the top: {1}, chosen by hand"};
    constexpr Patterns unused{
        "{0}: {1}, chosen by hand, is not used: it is fixed with its own, or with nothing",
        "{0}, place {2}: {1}, chosen by hand, is not used: it is fixed with its own, or with nothing",
        "{0}, row {3} from the top: {1}, chosen by hand, is not used: it is fixed with its own, or with nothing",
        "{0}, place {2}, row {3} from the top: {1}, chosen by hand, is not used: it is fixed with its own, or with "
        "nothing"};
    constexpr Patterns failed{"{0}: {1}, chosen by hand, will not do here",
                              "{0}, place {2}: {1}, chosen by hand, will not do here",
                              "{0}, row {3} from the top: {1}, chosen by hand, will not do here",
                              "{0}, place {2}, row {3} from the top: {1}, chosen by hand, will not do here"};
    const Patterns& all = came == Came::used ? used : came == Came::unused ? unused : failed;
    return all[(where.place > 0 ? 1U : 0U) + (where.row > 0 ? 2U : 0U)];
}

/// The same of a strip on the wall beside.
std::string_view pattern_of_strip(Came came, const FixingSpot& where) {
    if (where.unit == "left")
        return came == Came::failed ? "{0}, the strip on the wall at its left: {1}, chosen by hand, will not do here"
                                    : "{0}, the strip on the wall at its left: {1}, chosen by hand";
    return came == Came::failed ? "{0}, the strip on the wall at its right: {1}, chosen by hand, will not do here"
                                : "{0}, the strip on the wall at its right: {1}, chosen by hand";
}

Check& say_came(std::vector<Check>& said, Came came, const FixingAt& at, const ThingPlan& thing,
                const Catalogue& catalogue) {
    const std::string subject{at.where.unit.empty() || strip_at(at.where, thing) ? thing.name
                                                                                 : name_of_unit(at.where.unit, thing)};
    return add_check(said, came == Came::failed ? checks::fixing_by_hand_fails : checks::fixing_by_hand,
                     {strip_at(at.where, thing) ? pattern_of_strip(came, at.where) : pattern_of(came, at.where),
                      {subject, name_of(at.fixing, catalogue), count(static_cast<std::size_t>(at.where.place)),
                       count(static_cast<std::size_t>(at.where.row))}});
}

} // namespace

bool fixing_fails(const ThingPlan& thing) {
    return std::ranges::any_of(thing.checks, [](const Check& check) {
        return check.severity == Severity::error &&
               (check.code == checks::no_fixing || check.code == checks::fixing_overloaded);
    });
}

bool fixing_fails(const ThingPlan& thing, const FixingSpot& where) {
    if (where.everywhere())
        return fixing_fails(thing);
    return std::ranges::any_of(holes_at(thing, where), [](const PlannedHole* hole) {
        return carries(hole->substrate) && (!hole->fixing || hole->utilisation.over());
    });
}

bool fixed_with(const ThingPlan& thing, const FixingSpot& where, const ChosenFixing& chosen,
                const Catalogue& catalogue) {
    const std::string name = name_of(chosen, catalogue);
    return std::ranges::any_of(holes_at(thing, where),
                               [&](const PlannedHole* hole) { return hole->fixing && hole->fixing->name == name; });
}

std::vector<FixingSpot> fixing_spots(const ThingPlan& thing) {
    struct Found {
        FixingSpot spot;
        std::vector<const PlannedHole*> holes;
    };
    const auto one = [](const FixingSpot& hole, unsigned parts) {
        return FixingSpot{parts & 1U ? hole.unit : std::string{}, parts & 2U ? hole.place : 0,
                          parts & 4U ? hole.row : 0};
    };
    std::vector<const PlannedHole*> all;
    for (const PlannedHole& hole : thing.holes)
        if (!hole.spot.everywhere())
            all.push_back(&hole);
    for (const StripBeside& strip : thing.beside)
        all.push_back(&strip.worst);
    std::vector<Found> found;
    // Rows, units and places before what is said more closely.
    for (const unsigned parts : {4U, 1U, 2U, 5U, 3U, 6U, 7U})
        for (const PlannedHole* hole : all) {
            const FixingSpot spot = one(hole->spot, parts);
            if (spot.everywhere() || std::ranges::any_of(found, [&](const Found& f) { return f.spot == spot; }))
                continue;
            std::vector<const PlannedHole*> holes = holes_at(thing, spot);
            // A place of the whole run says nothing: each unit counts its own.
            const bool mixed = spot.unit.empty() && spot.place > 0 && std::ranges::any_of(holes, [&](const auto* h) {
                                   return h->spot.unit != hole->spot.unit;
                               });
            if (!mixed && holes.size() < all.size() &&
                std::ranges::none_of(found, [&](const Found& f) { return f.holes == holes; }))
                found.push_back({spot, std::move(holes)});
        }
    std::vector<FixingSpot> spots;
    for (Found& each : found)
        spots.push_back(std::move(each.spot));
    return spots;
}

Sentence words(const FixingSpot& where, const ThingPlan& thing) {
    const auto place = count(static_cast<std::size_t>(where.place));
    const auto row = count(static_cast<std::size_t>(where.row));
    if (where.unit.empty()) {
        if (where.place > 0)
            return where.row > 0 ? Sentence{"place {0}, hole {1} from the top", {place, row}}
                                 : Sentence{"place {0}", {place}};
        return where.row > 0 ? Sentence{"row {0} from the top", {row}} : Sentence{"all of it"};
    }
    if (strip_at(where, thing))
        return {where.unit == "left" ? std::string_view{"the strip on the wall at its left"}
                                     : "the strip on the wall at its right"};
    const std::string unit{name_of_unit(where.unit, thing)};
    if (where.place > 0)
        return where.row > 0 ? Sentence{"{0}: place {1}, row {2} from the top", {unit, place, row}}
                             : Sentence{"{0}: place {1}", {unit, place}};
    return where.row > 0 ? Sentence{"{0}: row {1} from the top", {unit, row}} : Sentence{"{0}", {unit}};
}

const Wall& ground_at(const FixingSpot& where, const ThingPlan& thing, const Wall& own) {
    const StripBeside* strip = strip_at(where, thing);
    return strip ? strip->ground : own;
}

Force pull_on(const FixingSpot& where, const ThingPlan& thing) {
    Force most = 0;
    for (const PlannedHole* hole : holes_at(thing, where))
        for (const HoleDemand& demand : hole->demands)
            most = std::max(most, demand.tension);
    return most;
}

void say_chosen(ThingPlan& thing, const FixingChoices& chosen, const Catalogue& catalogue,
                const std::function<bool(const FixingChoices&)>& fails_with) {
    const bool fails = fixing_fails(thing);
    std::vector<FixingAt> all;
    if (chosen.all)
        all.emplace_back().fixing = *chosen.all;
    all.insert(all.end(), chosen.at.begin(), chosen.at.end());
    const auto at_its_holes = [&](const FixingAt& at) {
        return !at.where.everywhere() && fixing_fails(thing, at.where);
    };
    const bool seen = std::ranges::any_of(all, at_its_holes);
    std::vector<Check> said;
    for (const FixingAt& at : all) {
        FixingChoices without = chosen;
        without.choose(at.where, {});
        // What is chosen for all of it is to blame where it would not do alone; for some holes, where those fail, or
        // where none is seen to fail and all would do without it.
        bool to_blame = fails;
        if (fails && at.where.everywhere())
            to_blame = chosen.at.empty() || fails_with({chosen.all, {}});
        else if (fails)
            to_blame = at_its_holes(at) || (!seen && !fails_with(without));
        const bool used = fixed_with(thing, at.where, at.fixing, catalogue);
        Check& check = say_came(said, to_blame ? Came::failed : used ? Came::used : Came::unused, at, thing, catalogue);
        if (!to_blame)
            continue;
        check.cures.push_back(!fails_with(without)
                                  ? Cure{{"Let the program choose"}, ChooseFixing{thing.id, {}, at.where}}
                                  : Cure{{all.size() > 1 ? std::string_view{"Without it the rest will not do either"}
                                                         : "What the program would take will not do either"},
                                         {}});
    }
    thing.checks.insert(thing.checks.begin(), said.begin(), said.end());
}

} // namespace yes_square
