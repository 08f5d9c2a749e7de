#include "core/sheets/things_text.hpp"

#include "core/fixings/drilling.hpp"
#include "core/job/along.hpp"
#include "core/sheets/summary.hpp"
#include "core/stability/inventory.hpp"
#include "core/storage/system_words.hpp"

#include <fmt/format.h>

namespace yes_square {
namespace {

std::string used(Utilisation utilisation, const Voice& voice) {
    return say(ratio(utilisation), voice);
}

std::string own_text(const SystemPlan& plan, const Voice& voice) {
    std::string text;
    for (const BayPlan& bay : plan.bays) {
        text += fmt::format("  bay {} at {}, {} wide\n", bay.number, say(along(plan.tape, bay.left), voice),
                            format(bay.width, voice.unit));
        for (const BayShelf& shelf : bay.shelves)
            text +=
                fmt::format("    {:<5} {}, top {} up\n", shelf.label, words(shelf.what), format(shelf.top, voice.unit));
        for (const BayRod& rod : bay.rods)
            text += fmt::format("    {:<5} rod {} up, cut to {}\n", rod.label, format(rod.z, voice.unit),
                                format(rod.cut, voice.unit));
        for (const BayCleat& cleat : bay.cleats) {
            text += fmt::format("    cleat of {}, screws {} up at", cleat.shelf, format(cleat.z, voice.unit));
            for (const PlannedHole& screw : cleat.screws)
                text += " " + say(along(plan.tape, screw.x), voice);
            text += fmt::format("; used {}\n", used(cleat.utilisation, voice));
        }
    }
    for (const FixedAlike& alike : fixed_alike(plan.holes))
        text += fmt::format("  {}, {} long\n", alike.fixing().name, say(stock(alike.fixing().screw_length), voice));
    return text;
}

std::string own_text(const PiecePlan& plan, const Voice& voice) {
    std::string text = fmt::format("  {}\n", words(plan.verdict));
    for (const TipCase& tip : plan.cases)
        text += fmt::format("  {}: over {}, righting {}{}\n", words(tip.kind), say(quantity(tip.balance.over), voice),
                            say(quantity(tip.balance.righting), voice), tip.balance.tips() ? ", tips" : "");
    for (const PlannedHole& place : plan.holes)
        text += fmt::format("  held at {}, {} up, {}\n", say(along(plan.tape, place.x), voice),
                            format(place.z, voice.unit), words(place.substrate));
    for (const FixedAlike& alike : fixed_alike(plan.holes))
        text += fmt::format("  {}, {} long; each {}, used {}\n", alike.fixing().name,
                            say(stock(alike.fixing().screw_length), voice), say(quantity(plan.each), voice),
                            used(alike.holes.front()->utilisation, voice));
    return text;
}

std::string unit_text(const UnitPlan& unit, const Tape& tape, const Voice& voice) {
    std::string text;
    for (const PlannedHole& hole : unit.holes)
        text += fmt::format("    hole at {}, {} up; {}\n", say(along(tape, hole.x), voice), format(hole.z, voice.unit),
                            words(hole.substrate));
    if (unit.fixing)
        text += fmt::format("    {}, {} long, used {}\n", unit.fixing->name,
                            say(stock(unit.fixing->screw_length), voice), used(unit.utilisation, voice));
    return text;
}

std::string own_text(const BoxPlan& plan, const Voice& voice) {
    std::string text =
        fmt::format("  {} empty, {} full\n", say(quantity(plan.mass), voice), say(quantity(plan.loaded_mass), voice));
    for (const BoxPart& part : plan.pieces)
        text += fmt::format("    {} x {}: {} x {} x {}\n", part.number, part.what, format(part.length, voice.unit),
                            format(part.breadth, voice.unit), say(stock(part.thickness), voice));
    return text + unit_text(plan.hang, plan.tape, voice);
}

std::string own_text(const HungPlan& plan, const Voice& voice) {
    return fmt::format("  {}; as found used {}; add {} at the top, {} at the bottom\n", words(plan.verdict),
                       used(plan.utilisation, voice), plan.add_top, plan.add_bottom) +
           unit_text(plan.wanted, plan.tape, voice);
}

/// Of a thing of any kind: its holes with what holds them, and its parts.
std::string own_text(const ThingPlan& plan, const Voice& voice) {
    std::string text;
    for (const PlannedHole& hole : plan.holes) {
        text += fmt::format("  hole at {}, {} up; {}", say(along(plan.tape, hole.x), voice), format(hole.z, voice.unit),
                            say(words(hole.substrate), voice));
        if (hole.fixing)
            text += fmt::format("; {}, {} long, used {}", hole.fixing->name,
                                say(stock(hole.fixing->screw_length), voice), used(hole.utilisation, voice));
        text += "\n";
    }
    for (const CutPart& part : plan.parts)
        text += fmt::format("  {}: {} x {} x {}\n", say(part.name, voice), format(part.length, voice.unit),
                            format(part.breadth, voice.unit), format(part.thickness(), voice.unit));
    return text;
}

} // namespace

std::string checks_of_one(const std::vector<Check>& checks, const Voice& voice) {
    std::string text;
    for (const Check& check : checks) {
        text += fmt::format("  {}: {}\n", name(check.severity), say(check.message, voice));
        for (const Cure& cure : check.cures)
            text += fmt::format("    cure: {}\n", say(cure.words, voice));
    }
    return text;
}

std::string things_text(const WallPlan& wall, const Voice& voice) {
    std::string text;
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind>)
            for (const auto& thing : wall.*plans_of<Kind>)
                text += fmt::format("\n{}, {}\n{}{}", wall.wall_name, thing.name, own_text(thing, voice),
                                    checks_of_one(thing.checks, voice));
    });
    return text;
}

std::string inventory_text(const Job& job, const Plan& plan, const Voice& voice) {
    std::string text;
    for (const InventoryRow& row : inventory(job, plan))
        text += fmt::format("  {}, {}: {} tall, {}, {}\n", row.wall, row.name, format(row.height, voice.unit),
                            words(row.verdict), row.held_by);
    return text.empty() ? text : "\nWhat could tip\n" + text;
}

} // namespace yes_square
