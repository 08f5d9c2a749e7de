#pragma once

#include "core/job/field_visits.hpp"

/// The members of what hangs on a wall by itself: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<PlateHole> auto& hole) {
    visit.required("across", hole.across, Meaning{"a distance from the left end", Range::not_negative});
    visit.required("down", hole.down, Meaning{"a distance from the top", Range::not_negative});
    visit.optional("must", hole.must);
}

void fields(auto& visit, Is<Plate> auto& plate) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.required("width", plate.width, size);
    visit.required("height", plate.height, size);
    visit.optional("thickness", plate.thickness, size);
    visit.optional("hole_diameter", plate.hole_diameter, Meaning{"a hole diameter", Range::more_than_zero});
    visit.list("holes", plate.holes);
    visit.maybe("rating_n", plate.rating_n, Meaning{"a rating", Range::more_than_zero});
}

void fields(auto& visit, Is<Lip> auto& lip) {
    visit.required("material", lip.material);
    visit.required("breadth", lip.breadth, Meaning{"a breadth", Range::more_than_zero});
    visit.required("height", lip.height, Meaning{"a height", Range::more_than_zero});
}

void fields(auto& visit, Is<Goods> auto& goods) {
    visit.optional("name", goods.name);
    visit.required("from", goods.from, Meaning{"a distance from the left end", Range::not_negative});
    visit.required("to", goods.to, Meaning{"a distance from the left end", Range::not_negative});
    visit.required("kg", goods.kg, Meaning{"a mass", Range::not_negative});
}

void fields(auto& visit, Is<OnBrackets> auto& how) {
    visit.optional("leg_up", how.leg_up);
}

void fields(auto& visit, Is<OnStandards> auto& how) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    constexpr Meaning place{"a distance", Range::not_negative};
    visit.optional("standard", how.standard, size);
    visit.optional("slot_pitch", how.slot_pitch, size);
    visit.optional("first_slot", how.first_slot, place);
    visit.optional("top_over", how.top_over, place);
    visit.optional("thickness", how.thickness, size);
    visit.optional("width", how.width, size);
    visit.optional("hole_diameter", how.hole_diameter, size);
    visit.optional("hole_every", how.hole_every, size);
    visit.optional("first_hole", how.first_hole, place);
}

void fields(auto& visit, Is<OnHiddenBracket> auto& how) {
    visit.part("plate", how.plate);
    visit.optional("offset", how.offset, Meaning{"a distance", Range::not_negative});
    visit.optional("down", how.down, Meaning{"a distance", Range::not_negative});
    visit.optional("retaining_screws", how.retaining_screws, Meaning{"a number of screws", Range::not_negative});
}

void fields(auto& visit, Is<OnHiddenRods> auto& how) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("diameter", how.diameter, size);
    visit.optional("in_wall", how.in_wall, size);
    visit.optional("in_shelf", how.in_shelf, size);
    visit.optional("resin", how.resin);
}

void fields(auto& visit, Is<OnKeyholes> auto& how) {
    visit.part("plate", how.plate);
    visit.optional("lip", how.lip, Meaning{"a distance", Range::not_negative});
    visit.optional("slot", how.slot, Meaning{"a height", Range::not_negative});
}

void fields(auto& visit, Is<OnCleats> auto& how) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("left", how.left);
    visit.optional("back", how.back);
    visit.optional("right", how.right);
    visit.optional("breadth", how.breadth, size);
    visit.optional("thickness", how.thickness, size);
    visit.optional("wood", how.wood);
    visit.optional("screws", how.screws, Meaning{"a number of screws", Range::more_than_zero});
    visit.optional("left_leans", how.left_leans, Meaning{"a distance", Range::any});
    visit.optional("right_leans", how.right_leans, Meaning{"a distance", Range::any});
}

void fields(auto& visit, Is<HookRail> auto& how) {
    visit.optional("board", how.board, Meaning{"a thickness", Range::more_than_zero});
    visit.optional("hooks", how.hooks, Meaning{"a number of hooks", Range::more_than_zero});
    visit.optional("kg_per_hook", how.kg_per_hook, Meaning{"a mass", Range::not_negative});
}

void fields(auto& visit, Is<Pole> auto& how) {
    visit.optional("stuff", how.stuff);
    visit.optional("wall", how.wall, Meaning{"a thickness", Range::not_negative});
    visit.optional("plate", how.plate, Meaning{"a height", Range::more_than_zero});
    visit.optional("hole_diameter", how.hole_diameter, Meaning{"a hole diameter", Range::more_than_zero});
}

void fields(auto& visit, Is<Fixture> auto& how) {
    visit.part("plate", how.plate);
    visit.optional("mass_kg", how.mass_kg, Meaning{"a mass", Range::not_negative});
    visit.optional("contents_kg", how.contents_kg, Meaning{"a mass", Range::not_negative});
    visit.optional("leaned_n", how.leaned_n, Meaning{"a force", Range::not_negative});
}

template <>
inline constexpr std::array<std::string_view, std::variant_size_v<Holding>> kind_names<Holding>{
    "brackets", "standards", "hidden_bracket", "hidden_rods", "keyholes", "cleats", "hook_rail", "pole", "fixture"};

void fields(auto& visit, Is<Shelf> auto& shelf) {
    visit.required("id", shelf.id);
    visit.required("name", shelf.name);
    visit.required("left", shelf.left, Meaning{"a distance from the reference end", Range::any});
    visit.required("height", shelf.height, Meaning{"a height", Range::any});
    visit.required("length", shelf.length, Meaning{"a length", Range::more_than_zero});
    visit.required("depth", shelf.depth, Meaning{"a depth", Range::more_than_zero});
    visit.required("thickness", shelf.thickness, Meaning{"a thickness", Range::more_than_zero});
    visit.required("material", shelf.material);
    visit.required("load", shelf.load.kind);
    visit.optional("own_load_kg_per_m", shelf.load.own_kg_per_m, Meaning{"a load", Range::not_negative});
    visit.optional("bracket", shelf.bracket);
    visit.optional("school", shelf.school);
    visit.optional("extra_brackets", shelf.extra_brackets, Meaning{"a number of brackets", Range::not_negative});
    visit.maybe_one_of("held_by", shelf.holding);
    visit.lengths("joints", shelf.joints, Meaning{"a distance from the left end", Range::more_than_zero});
    visit.lengths("hangers", shelf.hangers, Meaning{"a distance from the left end", Range::more_than_zero});
    visit.optional("tiers", shelf.tiers, Meaning{"a number of shelves", Range::more_than_zero});
    visit.optional("rise", shelf.rise, Meaning{"a height", Range::not_negative});
    visit.maybe_part("lip", shelf.lip);
    visit.list("goods", shelf.goods);
}

} // namespace yes_square
