#include "core/sheets/things_text.hpp"

#include "core/fixings/drilling.hpp"
#include "core/job/along.hpp"
#include "core/sheets/summary.hpp"
#include "core/stability/inventory.hpp"
#include "core/storage/system_words.hpp"

#include <fmt/format.h>

namespace yes_square {
namespace {

std::string own_text(const SystemPlan& plan, const Voice& voice) {
    std::string text;
    for (const BayPlan& bay : plan.bays) {
        text +=
            line(2, {"bay {0} at {1}, {2} wide", {count(bay.number), along(plan.tape, bay.left), quantity(bay.width)}},
                 voice);
        for (const BayShelf& shelf : bay.shelves)
            text += line(4, {"{0}: {1}, top {2} up", {shelf.label, words(shelf.what), quantity(shelf.top)}}, voice);
        for (const BayRod& rod : bay.rods)
            text += line(4, {"{0}: rod {1} up, cut to {2}", {rod.label, quantity(rod.z), quantity(rod.cut)}}, voice);
        for (const BayCleat& cleat : bay.cleats) {
            std::string places;
            for (const PlannedHole& screw : cleat.screws)
                places += (places.empty() ? "" : ", ") + say(along(plan.tape, screw.x), voice);
            text += line(4,
                         {"cleat of {0}, screws {1} up at {2}; used {3}",
                          {cleat.shelf, quantity(cleat.z), places, ratio(cleat.utilisation)}},
                         voice);
        }
    }
    for (const FixedAlike& alike : fixed_alike(plan.holes))
        text += line(2, {"{0}, {1} long", {alike.fixing().name, stock(alike.fixing().screw_length)}}, voice);
    return text;
}

std::string own_text(const PiecePlan& plan, const Voice& voice) {
    std::string text = line(2, {words(plan.verdict)}, voice);
    for (const TipCase& tip : plan.cases)
        text += line(
            2,
            {tip.balance.tips() ? std::string_view{"{0}: over {1}, righting {2}, tips"} : "{0}: over {1}, righting {2}",
             {words(tip.kind), quantity(tip.balance.over), quantity(tip.balance.righting)}},
            voice);
    for (const PlannedHole& place : plan.holes)
        text += line(
            2, {"held at {0}, {1} up, {2}", {along(plan.tape, place.x), quantity(place.z), words(place.substrate)}},
            voice);
    for (const FixedAlike& alike : fixed_alike(plan.holes))
        text += line(2,
                     {"{0}, {1} long; each {2}, used {3}",
                      {alike.fixing().name, stock(alike.fixing().screw_length), quantity(plan.each),
                       ratio(alike.holes.front()->utilisation)}},
                     voice);
    return text;
}

std::string hole_text(std::size_t indent, const PlannedHole& hole, const Tape& tape, const Voice& voice) {
    return line(indent, {"hole at {0}, {1} up; {2}", {along(tape, hole.x), quantity(hole.z), words(hole.substrate)}},
                voice);
}

std::string fixing_text(std::size_t indent, const Fixing& fixing, Utilisation used, const Voice& voice) {
    return line(indent, {"{0}, {1} long, used {2}", {fixing.name, stock(fixing.screw_length), ratio(used)}}, voice);
}

std::string unit_text(const UnitPlan& unit, const Tape& tape, const Voice& voice) {
    std::string text;
    for (const PlannedHole& hole : unit.holes)
        text += hole_text(4, hole, tape, voice);
    if (unit.fixing)
        text += fixing_text(4, *unit.fixing, unit.utilisation, voice);
    return text;
}

std::string own_text(const BoxPlan& plan, const Voice& voice) {
    std::string text = line(2, {"{0} empty, {1} full", {quantity(plan.mass), quantity(plan.loaded_mass)}}, voice);
    for (const BoxPart& part : plan.pieces)
        text += line(
            4,
            {"{0} x {1}: {2} x {3} x {4}",
             {count(part.number), part.what, quantity(part.length), quantity(part.breadth), stock(part.thickness)}},
            voice);
    return text + unit_text(plan.hang, plan.tape, voice);
}

std::string own_text(const HungPlan& plan, const Voice& voice) {
    return line(2,
                {"{0}; as found used {1}; add {2} at the top, {3} at the bottom",
                 {words(plan.verdict), ratio(plan.utilisation), count(plan.add_top), count(plan.add_bottom)}},
                voice) +
           unit_text(plan.wanted, plan.tape, voice);
}

/// Of a thing of any kind: its holes with what holds them, and its parts.
std::string own_text(const ThingPlan& plan, const Voice& voice) {
    std::string text;
    for (const PlannedHole& hole : plan.holes) {
        text += hole_text(2, hole, plan.tape, voice);
        if (hole.fixing)
            text += fixing_text(4, *hole.fixing, hole.utilisation, voice);
    }
    for (const CutPart& part : plan.parts)
        text +=
            line(2,
                 {"{0}: {1} x {2} x {3}",
                  {say(part.name, voice), quantity(part.length), quantity(part.breadth), quantity(part.thickness())}},
                 voice);
    return text;
}

} // namespace

std::string line(std::size_t indent, const Sentence& sentence, const Voice& voice) {
    return std::string(indent, ' ') + say(sentence, voice) + "\n";
}

std::string checks_of_one(const std::vector<Check>& checks, const Voice& voice) {
    std::string text;
    for (const Check& check : checks) {
        text += fmt::format("  {}: {}\n", say(name(check.severity), voice), say(check.message, voice));
        for (const Cure& cure : check.cures)
            text += line(4, {"cure: {0}", {say(cure.words, voice)}}, voice);
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
        text += line(2,
                     {"{0}, {1}: {2} tall, {3}, {4}",
                      {row.wall, row.name, quantity(row.height), words(row.verdict), row.held_by}},
                     voice);
    return text.empty() ? text : "\n" + line(0, {"What could tip"}, voice) + text;
}

} // namespace yes_square
