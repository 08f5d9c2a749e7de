#pragma once

#include "core/job/feed.hpp"
#include "core/plan/thing_plan.hpp"

#include <optional>
#include <string>
#include <vector>

/// What follows from the day's readings and from light feeds.
namespace yes_square {

/// `unsure`: the instrument's error decides, not the reading.
enum class Verdict { within, unsure, out };

std::string_view words(Verdict verdict);

/// A reading of the work, judged, and what puts the work right.
struct ReadingPlan {
    std::string reading_id;
    std::string item_name;
    Sentence found; ///< in words: how much, over what
    Length off;     ///< what is judged: out of level over the item, out of square of its top, off a straight line
    Length limit;   ///< that it may be
    Length error;   ///< of the reading, as it counts in `off`
    Verdict verdict = Verdict::within;
    std::vector<Sentence> corrections; ///< none: it may stay
    Working working;
};

/// A lead, weighed for a feed.
struct LeadChoice {
    Conductor conductor = Conductor::mm2_0_5;
    double ohm_per_m = 0; ///< of one conductor
    double drop_v = 0;    ///< at the lamp that gets least
    double drop_share = 0;
    double amps_share = 0; ///< of what it carries at most
    bool does = false;
};

/// A hole for a lead, drilled before its unit goes up.
enum class LeadPanel { top, bottom, left_side, right_side };
struct LeadHole {
    std::string unit; ///< id
    std::string name; ///< the unit's
    LeadPanel panel = LeadPanel::bottom;
    Length in; ///< of its middle: from the unit's left side, of a top or bottom; up from inside the bottom, of a side
    Length from_back; ///< from the back's inside
};

/// "bottom", "left side".
std::string_view words(LeadPanel panel);

/// Where a driver is, and what its leads want.
struct DriverPlan {
    DriverAt at = DriverAt::not_told;
    bool known = true; ///< false: there is no such place
    Length x;
    Length z;                       ///< above the datum
    Length lead;                    ///< to the light's left end, along and up, by its switch where it has one
    Length far_lead;                ///< to its right end
    std::optional<Length> air = {}; ///< over it, of one on top of units
    std::vector<LeadHole> holes;
};

/// Where a light's own switch is.
struct SwitchPlan {
    bool known = true; ///< false: there is no such place
    std::string unit;  ///< name of the unit in whose bottom it is; empty: on the wall
    Length x;
    Length z;                    ///< above the datum
    std::vector<LeadHole> holes; ///< besides the driver's
};

struct FeedPlan : ThingPlan {
    Length left;
    Length right;
    Length height;
    double watts = 0;
    double amps = 0;
    double near_amps = 0; ///< through the lead to the left end
    double far_amps = 0;  ///< to the right end; 0: fed at one end
    Length near_lead;
    Length far_lead;
    Length darkest;                  ///< place of the lamp that gets least
    std::vector<Length> fed_at;      ///< of one that carries its current itself: where, along the wall
    std::vector<LeadChoice> leads;   ///< from the thinnest
    std::optional<std::size_t> lead; ///< chosen; none: none will do
    int drivers = 1;
    double driver_watts = 0;                 ///< that each must be rated for at least
    std::optional<DriverPlan> driver;        ///< none: nobody told where
    std::optional<SwitchPlan> switched = {}; ///< none: it has none of its own
    /// Through what its leads go, each hole once.
    std::vector<LeadHole> lead_holes() const {
        std::vector<LeadHole> all;
        if (driver)
            all = driver->holes;
        if (switched)
            all.insert(all.end(), switched->holes.begin(), switched->holes.end());
        return all;
    }
    Length length() const { return right - left; }
};

} // namespace yes_square
