#pragma once

#include "core/job/field_visits.hpp"

namespace yes_square {

template <>
inline std::span<const EnumName<BattenUse>> enum_names() {
    static constexpr EnumName<BattenUse> names[]{{BattenUse::pegs, "pegs"}, {BattenUse::ledger, "ledger"}};
    return names;
}

void fields(auto& visit, Is<Batten> auto& batten) {
    visit.required("id", batten.id);
    visit.required("name", batten.name);
    visit.required("use", batten.use);
    visit.required("left", batten.left, along_wall(Range::any).asked("Left end at", "Right end at").told("Left end"));
    visit.required("length", batten.length, Meaning{"a length", Range::more_than_zero, "Length"}.told("Length"));
    visit.required("top", batten.top,
                   Meaning{"a height", Range::any, "Upper edge at"}.told("Upper edge above the datum"));
    visit.optional("breadth", batten.breadth,
                   Meaning{"a breadth", Range::more_than_zero, "Broad, up the wall"}.told("Up the wall"));
    visit.optional("thickness", batten.thickness,
                   Meaning{"a thickness", Range::more_than_zero, "Thick, out of it"}.told("Out of the wall"));
    visit.optional("wood", batten.wood);
    visit.optional(
        "kg_per_m", batten.per_metre,
        Meaning{"a load", Range::not_negative, "Hangs or lies on it", "kg/m"}.told("Hangs or lies on it, kg/m"));
    visit.optional("out", batten.out,
                   Meaning{"a distance from the wall", Range::not_negative, "Pegs: load off the wall"}.told(
                       "Of pegs: how far off the wall the load hangs"));
    visit.optional("pegs", batten.pegs,
                   Meaning{"a number of pegs", Range::not_negative, "Pegs"}.told("Pegs to be had with it"));
    visit.maybe("measured_from", batten.measured_from, own_reference_end());
    visit.maybe_part("fixing", batten.fixing.all);
    visit.list("fixings_at", batten.fixing.at);
}

} // namespace yes_square
