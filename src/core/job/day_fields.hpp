#pragma once

#include "core/job/field_visits.hpp"

/// The members of stock, of a delivery, of what was done and found on the day, and of light feeds: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<Stock> auto& stock) {
    constexpr Meaning section{"a size of the section", Range::not_negative};
    visit.required("kind", stock.kind);
    visit.maybe("material", stock.material, Meaning{"a material"});
    visit.optional("thickness", stock.thickness, section);
    visit.optional("breadth", stock.breadth, section);
    visit.required("length", stock.length, Meaning{"a length", Range::more_than_zero});
    visit.optional("on_hand", stock.on_hand, Meaning{"a number of pieces", Range::not_negative});
    visit.optional("to_buy", stock.to_buy);
    visit.maybe("price", stock.price, Meaning{"a price", Range::not_negative});
}

void fields(auto& visit, Is<KitSupply> auto& supply) {
    visit.required("item", supply.item);
    visit.optional("pack", supply.pack, Meaning{"a number in a pack", Range::more_than_zero});
    visit.maybe("price", supply.price, Meaning{"a price", Range::not_negative});
    visit.optional("on_hand", supply.on_hand, Meaning{"a number", Range::not_negative});
}

void fields(auto& visit, Is<DeliveryLine> auto& line) {
    visit.required("code", line.code);
    visit.optional("name", line.name);
    visit.optional("listed", line.listed, Meaning{"a number", Range::not_negative});
    visit.optional("received", line.received);
    visit.optional("sound", line.sound, Meaning{"a number", Range::not_negative});
    visit.optional("note", line.note);
}

void fields(auto& visit, Is<MadeHole> auto& hole) {
    visit.required("item", hole.item);
    visit.required("x", hole.x, Meaning{"a distance from the reference end", Range::any});
    visit.required("z", hole.z, Meaning{"a height", Range::any});
    visit.optional("at", hole.at);
    visit.optional("by", hole.by);
}

void fields(auto& visit, Is<Tick> auto& tick) {
    visit.required("key", tick.key);
    visit.optional("state", tick.state);
    visit.optional("begun", tick.begun);
    visit.optional("at", tick.at);
    visit.optional("by", tick.by);
    visit.optional("because", tick.because);
}

void fields(auto& visit, Is<Gap> auto& gap) {
    visit.required("x", gap.x, Meaning{"a distance from the reference end", Range::any});
    visit.required("gap", gap.gap, Meaning{"a gap", Range::not_negative});
}

void fields(auto& visit, Is<WorkReading> auto& reading) {
    constexpr Meaning distance{"a distance", Range::not_negative};
    visit.required("id", reading.id);
    visit.required("kind", reading.kind);
    visit.required("item", reading.item);
    visit.optional("off_at", reading.off_at);
    visit.optional("off", reading.off, distance);
    visit.optional("over", reading.over, Meaning{"a length", Range::more_than_zero});
    visit.optional("height", reading.height, distance);
    visit.optional("wanted", reading.wanted, distance);
    visit.optional("read", reading.read, distance);
    visit.optional("other", reading.other, distance);
    visit.list("gaps", reading.gaps);
    visit.optional("at", reading.at);
    visit.optional("by", reading.by);
}

void fields(auto& visit, Is<LogEntry> auto& entry) {
    visit.required("kind", entry.kind);
    visit.optional("at", entry.at);
    visit.optional("by", entry.by);
    visit.optional("item", entry.item);
    visit.optional("words", entry.words);
    visit.optional("file", entry.file);
    visit.optional("sha256", entry.sha256);
    visit.optional("strokes", entry.strokes);
}

void fields(auto& visit, Is<LightFeed> auto& feed) {
    visit.required("id", feed.id);
    visit.required("name", feed.name);
    visit.optional("item", feed.item);
    visit.optional("left", feed.left, Meaning{"a distance from the reference end", Range::any});
    visit.optional("right", feed.right, Meaning{"a distance from the reference end", Range::any});
    visit.optional("height", feed.height, Meaning{"a height", Range::any});
    visit.optional("volts", feed.volts, Meaning{"a voltage", Range::more_than_zero});
    visit.optional("watts_per_m", feed.watts_per_m, Meaning{"a load", Range::more_than_zero});
    visit.optional("lead", feed.lead, Meaning{"a length", Range::not_negative});
    visit.optional("both_ends", feed.both_ends);
    visit.optional("far_lead", feed.far_lead, Meaning{"a length", Range::not_negative});
    visit.optional("by_gauge", feed.by_gauge);
    visit.maybe("conductor", feed.conductor, Meaning{"a conductor"});
}

} // namespace yes_square
