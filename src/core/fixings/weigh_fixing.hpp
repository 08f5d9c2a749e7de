#pragma once

#include "core/fixings/wood_screw.hpp"
#include "core/job/job.hpp"
#include "core/plan/check.hpp"
#include "core/plan/substrate.hpp"

#include <algorithm>

/// What one fixing holds behind the parts it passes.
namespace yes_square {

/// What a fixing is chosen among, and for which wall. Refers to the job, which must outlive it.
struct FixingGround {
    const Catalogue& catalogue;
    const HouseRules& rules;
    const Wall& wall;
    const ChosenFixing* chosen = nullptr; ///< by the fitter: no other is weighed; nullptr: the program chooses
};

struct FixingChoice {
    Fixing fixing;
    Utilisation utilisation; ///< worst of the demands
    HoleDemand governing;
    std::vector<FixingStrength> at = {}; ///< as the parts it passes through
};

/// What a screw is driven through before it reaches the lining.
struct DrivenThrough {
    Length thickness;
    Pressure bearing = steel_sheet_bearing;
    std::optional<Length> hole = {};    ///< of a metal part: the screw must pass it; none: any screw
    std::optional<double> gravity = {}; ///< of wood: the head may pull through it
    Length head = {};                   ///< diameter of that head, or of its washer
    Length packing = {};                ///< between it and the lining, bearing nothing
    bool coach = false;                 ///< coach screws are wanted in wood, where no hole says more
    /// From its middle to the edge of the wood it is in, as well as both places are known; none: nothing near.
    std::optional<Length> to_edge = {};
    std::size_t together = 1; ///< screws that are pulled as one group, of which this part is judged by the worst
    bool angled = false;      ///< driven at 45 degrees, as a nail is toed in

    /// A strip of wood, its screws' heads as small as any.
    static DrivenThrough strip(Length thickness, Species wood);
    static DrivenThrough leg_of(const Bracket& bracket) {
        DrivenThrough through{bracket.thickness, steel_sheet_bearing, bracket.hole_diameter};
        through.together = bracket.hole_drops.size();
        return through;
    }
};

/// A part that a fixing passes through and what it bears there.
struct HeldPart {
    DrivenThrough through;
    std::vector<HoleDemand> demands;
};

/// What a screw in timber is weighed for. Refers to what it is given, which must outlive it.
struct WoodPlace {
    const Wall& wall;
    const Framing& framing;
    TimberSchool school;
    Substrate substrate;
    const std::vector<HeldPart>& parts; ///< one at least
    Length least;                       ///< penetration: less is not taken

    bool across() const { return substrate == Substrate::nogging; }
    Wood wood() const { return {specific_gravity(framing.species), across()}; }
    /// Screws that are pulled as one group.
    std::size_t together(const HeldPart& part) const { return std::max(parts.size(), part.through.together); }
    Length gap(const HeldPart& part) const { return wall.lining_thickness() + part.through.packing; }
    /// Of what it is driven through, where that is metal.
    const std::optional<Length>& hole() const { return parts.front().through.hole; }
};

/// Pilot for a wood screw: 70 % of the root, 90 % in wood denser than 0.6 (NDS-2018 12.1.5); for a coach screw 70 % of
/// the shank up to G 0.5, 75 % up to 0.6, else 85 % (NDS-2018 12.1.4, the upper figures). Down to 0.5 mm steps.
Length pilot_diameter(const ScrewProperties& screw, double gravity);

/// Whether its shank passes a hole; a part without one passes any.
bool passes_hole(const ScrewProperties& screw, const std::optional<Length>& hole);
/// Whether it keeps off the edge of its wood as far as that is sure, and its stud has room for it in the middle.
bool keeps_edge(const ScrewProperties& screw, const WoodPlace& place);

/// The shortest length of a gauge that bears the demands, else the one that bears most. None: none reaches deep enough
/// and stays inside the stud.
std::optional<FixingChoice> best_length(const WoodScrew& screws, const WoodPlace& place);

/// An anchor of the ground's masonry with the shortest of its screws that is long enough, or the one that was chosen.
/// None: no screw of it is long enough.
std::optional<FixingChoice> weigh_anchor(const MasonryAnchor& anchor, const FixingGround& ground,
                                         const std::vector<HeldPart>& parts);

/// An insert nut in bare timber with the shortest of its machine screws that fills it. None: no screw of it is long
/// enough and stays inside the stud, or the bore comes too near the wood's edge: less than 1.5 of its diameters, or
/// what its packet says (house rule).
std::optional<FixingChoice> weigh_insert(const MasonryAnchor& nut, const FixingGround& ground, const WoodPlace& place);

/// What a screw in wood bears for a load of some duration (duration_stored, duration_people), of what it bears for
/// stored goods.
double lasting(const FixingStrength& strength, double duration);

/// How much of a fixing that has been chosen another load would use.
Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const HoleDemand& demand);
/// The worst of several loads.
Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const std::vector<HoleDemand>& demands);

} // namespace yes_square
