#pragma once

#include "core/job/materials.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>

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

} // namespace yes_square
