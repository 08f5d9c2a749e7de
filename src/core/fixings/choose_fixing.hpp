#pragma once

#include "core/fixings/wood_screw.hpp"
#include "core/plan/plan.hpp"

namespace yes_square {

/// What one wall hole of a bracket has to bear.
struct HoleDemand {
    double tension_n = 0;
    double shear_n = 0;
    double duration = 0.9; ///< load duration factor, for wood
};

struct FixingChoice {
    Fixing fixing;
    double utilisation = 0; ///< worst of the demands
    HoleDemand governing;
};

/// What a screw is driven through before it reaches the lining.
struct DrivenThrough {
    Length thickness;
    double bearing_psi = steel_sheet_bearing_psi;
    std::optional<Length> hole = {};    ///< of a metal part: the screw must pass it; none: any screw
    std::optional<double> gravity = {}; ///< of wood: the head may pull through it
    Length head = {};                   ///< diameter of that head, or of its washer
    Length packing = {};                ///< between it and the lining, bearing nothing

    static DrivenThrough leg_of(const Bracket& bracket) {
        return {bracket.thickness, steel_sheet_bearing_psi, bracket.hole_diameter};
    }
};

/// The largest gauge in the catalogue whose shank passes a hole; none where none does.
const WoodScrew* screw_for(const Catalogue& catalogue, Length hole);

/// How far off a stud's centre a fixing may go: half the stud - edge - 2 s - wander, where
/// edge = max(10 mm, 2.5 D) and s is the standard uncertainty of the centre (house rule on common practice).
/// Zero or less: refuse, or prove the stud better.
Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in, const HouseRules& rules);

/// Whether a usual #10 screw aimed at a stud's centre is sure to be in it, as well as its place is known.
bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules);

/// Pilot for a wood screw: 70 % of the root, 90 % in wood denser than 0.6 (NDS-2018 12.1.5), down to 0.5 mm steps.
Length pilot_diameter(const ScrewProperties& screw, double gravity);

/// Shortest stock length that reaches the wanted penetration and bears the demands; the one that bears most where none
/// bears them, and none that reaches through the stud. Through a metal part the largest gauge that passes its hole;
/// else the smallest gauge that bears them. None: no screw passes the hole or none is long enough.
std::optional<FixingChoice> choose_wood_screw(const Catalogue& catalogue, const HouseRules& rules, const Wall& wall,
                                              const DrivenThrough& through, const std::vector<HoleDemand>& demands);

/// A plug for the wall's masonry: T/Ta + V/Va, the catalogue's figures, least utilisation first.
/// Embedment counts in the masonry only; the hole is 6 mm deeper.
/// Behind a lining that is not plaster or tile on the masonry itself, the screw may bend: its shear is cut down.
std::optional<FixingChoice> choose_plug(const Catalogue& catalogue, const HouseRules& rules, const Wall& wall,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands);

/// Largest stock length for a screw up into the shelf: at most board + bracket - margin. None: the board is too thin.
std::optional<Length> shelf_screw_length(const Catalogue& catalogue, const HouseRules& rules, Length board,
                                         Length bracket);

} // namespace yes_square
