#include "core/plan/part.hpp"
#include "core/job/field_visits.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// Boards that are made in sheets; the others are planks.
bool in_sheets(BoardMaterial material) {
    return material <= BoardMaterial::plywood;
}
/// Nobody sees which way these lie.
bool grainless(BoardMaterial material) {
    return material <= BoardMaterial::particleboard_p5;
}

} // namespace

CutPart board_part(std::string item, Sentence name, BoardMaterial material, Length length, Length breadth,
                   Length thickness) {
    return {std::move(item),
            std::move(name),
            {in_sheets(material) ? StuffKind::sheet : StuffKind::board, std::string{properties(material).words},
             material, thickness, in_sheets(material) ? Length{} : breadth},
            length,
            breadth,
            grainless(material)};
}

CutPart strip_part(std::string item, Sentence name, Length length, Length breadth, Length thickness, StuffKind kind,
                   std::string_view what) {
    return {std::move(item), std::move(name), {kind, std::string{what}, {}, thickness, breadth}, length, breadth};
}

namespace {

Working longer(Sentence title, Length wanted, Length on) {
    return {"cut",
            std::move(title),
            "{0} + {1}",
            {{"wanted", quantity(wanted), {Provenance::derived}}, {"left on", quantity(on), {Provenance::house_rule}}},
            quantity(wanted + on),
            {Provenance::derived}};
}

} // namespace

void leave_long(CutPart& part, Length on) {
    if (on <= Length{})
        return;
    part.working = longer({"Left long to be cut to what stands beside it"}, part.length, on);
    part.length += on;
    // What is cut out of it is said first: its places are measured when it has its length.
    if (part.mind.empty())
        part.mind = {"left long: measure between what it stands between, at its height, then cut"};
}

void leave_broad(CutPart& part, Length on) {
    if (on <= Length{})
        return;
    part.working = longer({"Left broad to be scribed"}, part.breadth, on);
    part.breadth += on;
    part.mind = {"left broad, then scribed by its cutting table"};
}

std::size_t passes_for(Length depth, Length at_a_time) {
    if (depth <= Length{} || at_a_time <= Length{})
        return 1;
    return static_cast<std::size_t>(std::max(1.0, std::ceil(depth.in_mm() / at_a_time.in_mm() - 1e-9)));
}

std::string_view words(StuffKind kind) {
    return enum_words(kind);
}

std::string_view words(Machining kind) {
    switch (kind) {
    case Machining::housing:
        return "housing";
    case Machining::rebate:
        return "rebate";
    case Machining::groove:
        return "groove";
    case Machining::mitre:
        return "mitre";
    case Machining::notch:
        return "notch";
    case Machining::screw_hole:
        return "screw hole";
    case Machining::bore:
        return "bore";
    case Machining::slot:
        return "slot";
    }
    return {};
}

} // namespace yes_square
