#pragma once

#include "core/job/chosen_fixing.hpp"
#include "core/job/materials.hpp"
#include "core/job/tape.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/physical.hpp"

#include <algorithm>
#include <optional>
#include <string>

namespace yes_square {

enum class BattenUse {
    pegs,   ///< coats, tools, a row of hooks: the load hangs out of it
    ledger, ///< something lies on its upper edge, and it stays
};

/// A straight timber screwed to the wall, level.
struct Batten {
    static constexpr std::string_view list_name = "battens"; ///< in the file and in tables

    std::string id;
    std::string name;
    BattenUse use = BattenUse::pegs;
    Length left;
    Length length;
    Length top;               ///< its upper edge, above the datum
    Length breadth = 95_mm;   ///< up the wall
    Length thickness = 20_mm; ///< out of it
    Species wood = Species::unknown;
    LineMass per_metre = LineMass::kg_per_metre(15); ///< that hangs or lies on it
    Length out = 60_mm;                              ///< of pegs: how far off the wall that load hangs
    int pegs = 0;                                    ///< to be had with it
    FixingChoices fixing = {};                       ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {};       ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const Batten&) const = default;

    Length right() const { return left + length; }
    Length bottom() const { return top - breadth; }
    /// Out of the wall, with what hangs on it.
    Length depth() const { return use == BattenUse::pegs ? std::max(out, thickness) : thickness; }
    void move(Length dx, Length dz) {
        left += dx;
        top += dz;
    }
};

} // namespace yes_square
