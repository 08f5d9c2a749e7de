#pragma once

#include "core/job/materials.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>
#include <vector>

namespace yes_square {

/// What a fitter fixes a thing with, in place of what the program would take: a screw into wood, or else an anchor.
struct ChosenFixing {
    std::optional<ScrewGauge> gauge = {}; ///< of a screw; none: an anchor
    std::string anchor = {};              ///< id of an anchor of the catalogue
    Length length = {};                   ///< 0: the shortest at hand that will do
    UnknownMembers unknown = {};
    bool operator==(const ChosenFixing&) const = default;

    /// The same kind, whatever its length.
    bool like(const ChosenFixing& other) const { return gauge == other.gauge && anchor == other.anchor; }
};

/// Which of a thing's holes: numbers from 1 as they are told, 0 and empty for all of them.
struct FixingSpot {
    std::string unit = {}; ///< id of a unit of a run; of a shelf "left" or "right": its strip on the wall beside
    int place = 0;         ///< along it, from the left
    int row = 0;           ///< of what is screwed on there, from the top
    bool operator==(const FixingSpot&) const = default;

    bool everywhere() const { return *this == FixingSpot{}; }
    /// How closely it says it.
    int closeness() const { return !unit.empty() + (place > 0) + (row > 0); }
    /// Whether all holes of another are among its own.
    bool covers(const FixingSpot& other) const {
        return (unit.empty() || unit == other.unit) && (place == 0 || place == other.place) &&
               (row == 0 || row == other.row);
    }
};

/// What is chosen for some of a thing's holes.
struct FixingAt {
    FixingSpot where;
    ChosenFixing fixing;
    UnknownMembers unknown = {};
    bool operator==(const FixingAt&) const = default;
};

/// What the fitter chose for a thing: for all of it, and otherwise for some of its holes.
struct FixingChoices {
    std::optional<ChosenFixing> all = {};
    std::vector<FixingAt> at = {}; ///< as they were chosen
    bool operator==(const FixingChoices&) const = default;

    bool any() const { return all.has_value() || !at.empty(); }
    /// For one hole: what was said most closely, of what is said alike the last; nullptr: the program chooses.
    const ChosenFixing* of(const FixingSpot& hole) const;
    /// What was chosen for exactly these; nullptr: nothing.
    const ChosenFixing* exactly(const FixingSpot& where) const;
    /// None: nothing is chosen for these any more.
    void choose(const FixingSpot& where, std::optional<ChosenFixing> fixing);
};

} // namespace yes_square
