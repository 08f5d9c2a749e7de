#pragma once

#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>
#include <vector>

/// Low-voltage light along a shelf or a run, as chosen.
namespace yes_square {

/// Copper of flexible lead: by mm2 (IEC 60228) or by AWG.
enum class Conductor { mm2_0_5, mm2_0_75, mm2_1, mm2_1_5, mm2_2_5, awg_22, awg_20, awg_18, awg_16, awg_14 };

/// How its load lies on it.
enum class FeedLoad {
    spread, ///< evenly: a strip of lamps
    moving, ///< one load that may stand anywhere: a lamp on a track, something that drives
};

/// Where its driver is.
enum class DriverAt { not_told, on_wall, over_units, behind_plinth, in_unit };
struct DriverPlace {
    DriverAt at = DriverAt::not_told;
    Length x = {};         ///< of its middle from the wall's left end
    Length height = {};    ///< above the datum, on the wall
    std::string unit = {}; ///< id of the unit that it is in
    UnknownMembers unknown = {};
    bool operator==(const DriverPlace&) const = default;
};

/// Where its own switch is, in the line between driver and light. One before the driver is of the mains, which is not
/// ours.
enum class SwitchAt { none, on_wall, in_unit };
struct SwitchPlace {
    SwitchAt at = SwitchAt::none;
    Length x = {};         ///< of its middle from the wall's left end
    Length height = {};    ///< above the datum, on the wall
    std::string unit = {}; ///< id of the unit in whose bottom it is
    UnknownMembers unknown = {};
    bool operator==(const SwitchPlace&) const = default;
};

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
    double own_ohm = 0; ///< of a metre of its own two conductors together; 0: a lead runs beside it
    FeedLoad load = FeedLoad::spread;
    double moving_watts = 5; ///< of a load that moves
    bool loop = false;       ///< its ends meet
    DriverPlace driver = {};
    SwitchPlace switched = {};
    std::vector<Length> fed_at = {}; ///< where its own conductors are fed, from its left end; none: at its end or ends
    UnknownMembers unknown = {};
    bool operator==(const LightFeed&) const = default;
};

} // namespace yes_square
