#pragma once

#include "core/job/field_visits.hpp"

/// The members of stock, of a delivery, of what was done and found on the day, and of light feeds: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<Stock> auto& stock) {
    constexpr Meaning section{"a size of the section", Range::not_negative};
    visit.required("kind", stock.kind, Meaning{}.told("What it is"));
    visit.maybe("material", stock.material, Meaning{"a material"});
    visit.optional("thickness", stock.thickness, section.told("Of the section, mm; 0: any"));
    visit.optional("breadth", stock.breadth, section.told("A sheet's width, or breadth of the section, mm; 0: any"));
    visit.required("length", stock.length, Meaning{"a length", Range::more_than_zero}.told("mm"));
    visit.optional("on_hand", stock.on_hand,
                   Meaning{"a number of pieces", Range::not_negative}.told("So many lie there"));
    visit.optional("to_buy", stock.to_buy, Meaning{}.told("More can be bought"));
    visit.maybe("price", stock.price, Meaning{"a price", Range::not_negative}.told("Of one"));
}

void fields(auto& visit, Is<KitSupply> auto& supply) {
    visit.required("item", supply.item);
    visit.optional("pack", supply.pack, Meaning{"a number in a pack", Range::more_than_zero});
    visit.maybe("price", supply.price, Meaning{"a price", Range::not_negative});
    visit.optional("on_hand", supply.on_hand, Meaning{"a number", Range::not_negative});
}

void fields(auto& visit, Is<DeliveryLine> auto& line) {
    visit.required("code", line.code, Meaning{}.told("On the packing list"));
    visit.optional("name", line.name, Meaning{}.told("On the packing list"));
    visit.optional("listed", line.listed, Meaning{"a number", Range::not_negative}.told("How many it lists"));
    visit.optional("received", line.received, Meaning{}.told("What was found"));
    visit.optional("sound", line.sound, Meaning{"a number", Range::not_negative}.told("So many came whole"));
    visit.optional("note", line.note, Meaning{}.told("In the words of who checked"));
}

void fields(auto& visit, Is<HelperTime> auto& time) {
    visit.required("day", time.day, Meaning{"a day", Range::more_than_zero}.told("Counted from the first of the work"));
    visit.required("from", time.from, Meaning{"an hour", Range::not_negative}.told("O'clock: 7.5 is half past seven"));
    visit.required("to", time.to, Meaning{"an hour", Range::more_than_zero}.told("O'clock"));
}

void fields(auto& visit, Is<NotBefore> auto& wait) {
    visit.optional("of", wait.of,
                   Meaning{}.told("Id of a room that is not free or of a thing whose parts are not there; empty: the "
                                  "delivery"));
    visit.required("day", wait.day, Meaning{"a day", Range::more_than_zero}.told("Counted from the first of the work"));
    visit.optional("from", wait.from,
                   Meaning{"an hour", Range::not_negative}.told("O'clock; 0: as the day's work begins"));
}

void fields(auto& visit, Is<RoomShut> auto& shut) {
    visit.required("room", shut.room, Meaning{}.told("Id of the room"));
    visit.required("day", shut.day, Meaning{"a day", Range::more_than_zero}.told("Counted from the first of the work"));
    visit.required("from", shut.from, Meaning{"an hour", Range::not_negative}.told("O'clock: 7.5 is half past seven"));
    visit.required("to", shut.to, Meaning{"an hour", Range::more_than_zero}.told("O'clock"));
}

void fields(auto& visit, Is<WorkDays> auto& days) {
    visit.optional("begins", days.begins, Meaning{"an hour", Range::not_negative}.told("O'clock").asked("Work begins"));
    visit.optional("hours", days.hours,
                   Meaning{"a number of hours", Range::more_than_zero}.told("Of work a day").asked("Hours a day"));
    visit.optional("next", days.next,
                   Meaning{"a day of work", Range::more_than_zero}.told("That comes next").asked("Next is day"));
    visit.list("helpers", days.helpers);
    visit.list("not_before", days.not_before);
    visit.list("shut", days.shut);
}

void fields(auto& visit, Is<MadeHole> auto& hole) {
    visit.required("item", hole.item, Meaning{}.told("Id of what it was made for"));
    visit.required("x", hole.x, along_wall(Range::any).told("From the wall's left end"));
    visit.required("z", hole.z, Meaning{"a height", Range::any}.told("Above the datum"));
    visit.optional("at", hole.at, Meaning{}.told("When, UTC"));
    visit.optional("by", hole.by, Meaning{}.told("Who"));
}

void fields(auto& visit, Is<Tick> auto& tick) {
    visit.required("key", tick.key, Meaning{}.told("Of the step or mark"));
    visit.optional("state", tick.state);
    visit.optional("begun", tick.begun, Meaning{}.told("When, UTC"));
    visit.optional("at", tick.at, Meaning{}.told("When, UTC"));
    visit.optional("by", tick.by, Meaning{}.told("Who"));
    visit.optional("because", tick.because, Meaning{}.told("Why not"));
}

void fields(auto& visit, Is<Gap> auto& gap) {
    visit.required("x", gap.x, along_wall(Range::any).told("From the wall's left end"));
    visit.required("gap", gap.gap, Meaning{"a gap", Range::not_negative}.told("Behind the straight edge"));
}

void fields(auto& visit, Is<WorkReading> auto& reading) {
    constexpr Meaning distance{"a distance", Range::not_negative};
    visit.required("id", reading.id, Meaning{}.told("Unlike any other id"));
    visit.required("kind", reading.kind, Meaning{}.told("What was held to the work"));
    visit.required("item", reading.item, Meaning{}.told("Id of what was read"));
    visit.optional("off_at", reading.off_at,
                   Meaning{}.asked("Low end, or leans to").told("The low end, or where its top leans to"));
    visit.optional("off", reading.off, distance.told("Under or behind the level").asked("Off by"));
    visit.optional("over", reading.over,
                   Meaning{"a length", Range::more_than_zero}
                       .told("Length of the level, or width of the frame")
                       .asked("Level, long"));
    visit.optional("height", reading.height, distance.told("Of the frame").asked("Frame, high"));
    visit.optional("from", reading.from, Meaning{}.told("By tape, the end of the wall that it was held to"));
    visit.optional("wanted", reading.wanted, distance.told("By tape").asked("Wanted"));
    visit.optional("read", reading.read, distance.told("By tape, or the rising diagonal").asked("Read"));
    visit.optional("other", reading.other, distance.told("The falling diagonal").asked("Falling diagonal"));
    visit.list("gaps", reading.gaps);
    visit.optional("at", reading.at, Meaning{}.told("When, UTC"));
    visit.optional("by", reading.by, Meaning{}.told("Who"));
}

void fields(auto& visit, Is<LogEntry> auto& entry) {
    visit.required("kind", entry.kind, Meaning{}.told("What it tells"));
    visit.optional("at", entry.at, Meaning{}.told("When, UTC"));
    visit.optional("by", entry.by, Meaning{}.told("Who"));
    visit.optional("item", entry.item, Meaning{}.told("Id of what it is about"));
    visit.optional("words", entry.words, Meaning{}.told("What was done or found"));
    visit.optional("file", entry.file, Meaning{}.told("Of a photo: its name in the folder beside the job"));
    visit.optional("sha256", entry.sha256, Meaning{}.told("Of that file when it was attached"));
    visit.optional("strokes", entry.strokes,
                   Meaning{}.told("Of a drawn signature: an SVG path in a field 1000 wide and 300 high"));
}

void fields(auto& visit, Is<DriverPlace> auto& driver) {
    visit.optional("at", driver.at, Meaning{}.told("Where it is").asked("Its driver is"));
    visit.optional("x", driver.x,
                   along_wall(Range::any).told("Its middle, from the wall's left end").asked("Driver at"));
    visit.optional("height", driver.height,
                   Meaning{"a height", Range::any}.told("Above the datum, of one on the wall").asked("Driver, up"));
    visit.optional("unit", driver.unit, Meaning{}.told("Id of the unit that it is in"));
}

void fields(auto& visit, Is<SwitchPlace> auto& place) {
    visit.optional("at", place.at, Meaning{}.told("Where it is").asked("Its switch is"));
    visit.optional("x", place.x,
                   along_wall(Range::any).told("Its middle, from the wall's left end").asked("Switch at"));
    visit.optional("height", place.height,
                   Meaning{"a height", Range::any}.told("Above the datum, of one on the wall").asked("Switch, up"));
    visit.optional("unit", place.unit, Meaning{}.told("Id of the unit in whose bottom it is"));
}

void fields(auto& visit, Is<LightFeed> auto& feed) {
    visit.required("id", feed.id, Meaning{}.told("Unlike any other id"));
    visit.required("name", feed.name, Meaning{}.told("As the fitter calls it").asked("Name"));
    visit.optional("item", feed.item, Meaning{}.told("Id of the shelf or run it is along"));
    visit.optional("left", feed.left, along_wall(Range::any).told("Of one along nothing").asked("Left end at"));
    visit.optional("right", feed.right, along_wall(Range::any).told("Of one along nothing").asked("Right end at"));
    visit.optional("height", feed.height,
                   Meaning{"a height", Range::any}.told("Of one along nothing, above the datum").asked("Height"));
    visit.optional("volts", feed.volts, Meaning{"a voltage", Range::more_than_zero, "Voltage", "V"});
    visit.optional("watts_per_m", feed.watts_per_m, Meaning{"a load", Range::more_than_zero, "Load", "W/m"});
    visit.optional(
        "lead", feed.lead,
        Meaning{"a length", Range::not_negative}.told("From the driver to the left end").asked("Lead to its left end"));
    visit.optional("both_ends", feed.both_ends,
                   Meaning{}.told("Fed at both ends").asked("Fed at").either("its left end", "both ends"));
    visit.optional("far_lead", feed.far_lead,
                   Meaning{"a length", Range::not_negative}
                       .told("From the driver to the right end, mm; 0: the other lead and along it")
                       .asked("Lead to its right end")
                       .or_none("the other and along it"));
    visit.optional("by_gauge", feed.by_gauge,
                   Meaning{}.told("Lead is sold by AWG, not by mm2").asked("Lead is sold").either("by mm²", "by AWG"));
    visit.maybe("conductor", feed.conductor, Meaning{"a conductor"}.told("None: the thinnest that will do"));
    visit.optional("own_ohm_per_m", feed.own_ohm,
                   Meaning{"a resistance", Range::not_negative, "Its own wires", "\u03a9/m"}
                       .told("Of a strip's copper or a track's rails, both together")
                       .or_none("a lead beside it"));
    visit.optional("load", feed.load, Meaning{}.told("How it lies on it").asked("Its load"));
    visit.optional("moving_watts", feed.moving_watts,
                   Meaning{"a load", Range::more_than_zero, "That draws", "W"}.told("Of a load that moves"));
    visit.optional("loop", feed.loop,
                   Meaning{}.told("Its ends meet").asked("Its ends").either("are free", "meet: a loop"));
    visit.part("driver", feed.driver);
    visit.part("switch", feed.switched);
    visit.lengths("fed_at", feed.fed_at,
                  Meaning{"a distance from its left end", Range::not_negative}
                      .told("Where its own conductors are fed, by taps of the bus wire")
                      .asked("Fed at (; between)")
                      .or_none("its end or ends"));
}

} // namespace yes_square
