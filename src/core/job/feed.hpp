#pragma once

#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>

/// Low-voltage light along a shelf or a run, as chosen.
namespace yes_square {

/// Copper of flexible lead: by mm2 (IEC 60228) or by AWG.
enum class Conductor { mm2_0_5, mm2_0_75, mm2_1, mm2_1_5, mm2_2_5, awg_22, awg_20, awg_18, awg_16, awg_14 };

struct LightFeed {
    std::string id;
    std::string name;
    std::string item; ///< id of the shelf or run it is along; empty: from `left` to `right`
    Length left;
    Length right;
    Length height; ///< above the datum, where it is along nothing
    double volts = 12;
    double watts_per_m = 10;                 ///< of strip or track
    Length lead = Length::mm(2000);          ///< of lead from the driver to the near end
    bool both_ends = false;                  ///< fed at the far end too
    Length far_lead;                         ///< of lead from the driver to the far end; 0: the near lead and along it
    bool by_gauge = false;                   ///< lead is sold by AWG, not by mm2
    std::optional<Conductor> conductor = {}; ///< none: the thinnest that will do
    UnknownMembers unknown = {};
    bool operator==(const LightFeed&) const = default;
};

} // namespace yes_square
