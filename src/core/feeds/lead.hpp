#pragma once

#include "core/job/feed.hpp"

#include <array>
#include <string_view>

namespace yes_square {

/// Copper lead as it is sold.
struct LeadProperties {
    Conductor conductor;
    std::string_view words; ///< "0.75 mm2", "18 AWG"
    double section_mm2;
    bool by_gauge;    ///< by AWG, else by mm2
    double ohm_per_m; ///< of one conductor at 20 C: 1.7241e-8 ohm m (IEC 60028) over the section
};

/// From the thinnest. AWG diameters: 0.127 mm x 92^((36 - n) / 39) (ASTM B258, from memory).
const std::array<LeadProperties, 10>& all_leads();
const LeadProperties& properties(Conductor conductor);

/// How a load that is spread evenly between two ends is fed.
struct FeedCircuit {
    double amps = 0;      ///< of all of it
    double near_ohm = 0;  ///< there and back, driver to the near end
    double along_ohm = 0; ///< there and back, end to end
    double far_ohm = 0;   ///< there and back, driver to the far end
    bool both_ends = false;
};

struct FeedDrop {
    double near_amps = 0;
    double far_amps = 0;
    double volts = 0;   ///< lost at the lamp that gets least
    double darkest = 1; ///< where that lamp is, as a share of the way from the near end
};

/// Fed at one end: I (near + along / 2). Fed at both ends the currents divide so that the drop on both ways meets at
/// the lamp that gets least; ways of unequal length are taken as they are. Constant current in all lamps.
FeedDrop drop_of(const FeedCircuit& circuit);

} // namespace yes_square
