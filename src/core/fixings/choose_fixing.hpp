#pragma once

#include "core/fixings/wood_screw.hpp"
#include "core/job/job.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/check.hpp"
#include "core/plan/substrate.hpp"

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

/// What a chosen fixing is called; its id where the catalogue has it no more.
std::string name_of(const ChosenFixing& chosen, const Catalogue& catalogue);

/// The largest gauge of wood screws of a school in the catalogue whose shank passes a hole; none where none does.
const WoodScrew* screw_for(const Catalogue& catalogue, TimberSchool school, Length hole);

/// The wood screw that a stud has to have room for.
const ScrewProperties& usual_screw(TimberSchool school);

/// What is driven or bored into a stud, and how near its edge that may come.
enum class Driven { screw, rod };

/// How far off a stud's centre a fixing may go: half the stud - edge - 2 s - wander, where edge = max(10 mm, n D), n of
/// screws 2.5 by NDS (common practice) and 3 by EN 1995-1-1 (table 8.2, piloted), of rods and of coach screws by NDS,
/// piloted, 1.5; s is the standard uncertainty of the centre. Zero or less: refuse, or prove the stud better.
Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in, const HouseRules& rules,
                         Driven driven = Driven::screw);

/// How far inside a stud's edge a hole at x is sure to be, the stud's centre known to its uncertainty.
Length to_edge_of(const Framing& framing, const Stud& stud, Length x, const HouseRules& rules);

/// How near a stud's centre a fixing in a nogging beside it may not come: the stud, the edge distance from the
/// nogging's end, and the drill's wander.
Length blocked_half_width(const Framing& framing, const HouseRules& rules);

/// Whether a usual screw aimed at a stud's centre is sure to be in it, as well as its place is known.
bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules);

/// Pilot for a wood screw: 70 % of the root, 90 % in wood denser than 0.6 (NDS-2018 12.1.5); for a coach screw 70 % of
/// the shank up to G 0.5, 75 % up to 0.6, else 85 % (NDS-2018 12.1.4, the upper figures). Down to 0.5 mm steps.
Length pilot_diameter(const ScrewProperties& screw, double gravity);

/// What of an anchor's figure may be used: recommended as it is; characteristic / 3.5; ultimate or not stated / 4, of
/// plugs and lining anchors / 5 (house rules).
Force allowable(Force figure, FigureBasis basis, AnchorKind kind);
/// What one bracket may bear, of its rating as of an anchor of steel; none: nobody rates it.
std::optional<Force> allowed_on(const Bracket& bracket);
/// What `allowable` divides by.
double basis_divisor(FigureBasis basis, bool soft);

/// One fixing at hand, weighed for a place, with what speaks for and against it.
struct FixingOption {
    ChosenFixing as;               ///< what the fitter chooses with it; nothing: it never carries
    FixingChoice choice;           ///< meaningless where nothing of it fits
    std::vector<Sentence> why;     ///< what it is good for, best first
    std::vector<Sentence> refused; ///< why it will not do; empty: it will
};

/// All fixings at hand for a place, those that will do first, the easiest to set well before harder ones, screws of the
/// job's own school before those of the other; of wood screws the smallest gauge first, or through a metal part the
/// largest that passes its hole; of anchors the one loaded least. `hold` says what the point is in; nothing in the
/// lining alone is ever a carrier. Wood screws reach the wanted penetration and never through the stud; of each gauge
/// the shortest stock length that bears the demands, else the one that bears most. Anchors: T/Ta + V/Va, embedded in
/// the masonry only, the hole 6 mm deeper. Behind a lining that is not plaster or tile on the masonry itself, and
/// behind packing, an anchor's screw bends: its shear is cut down. What is fixed bears around the screw and under its
/// head as in studs.
std::vector<FixingOption> rank_fixings(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                       const std::vector<HoleDemand>& demands);

/// How far a screw keeps from the edge of the wood it is in: see usable_half_width().
Length edge_distance(const ScrewProperties& screw, TimberSchool school);

/// What the fitter chose, whatever it bears and however hard it is to set, or else what the program takes, of screws
/// those of the job's own school: through a
/// metal part the largest gauge of wood screw that passes its hole and keeps off the stud's edge, or where that does
/// not bear the demands a coach screw that passes it; else the smallest gauge that bears them. Of anchors within the
/// skill at hand the easiest to set that bears them. Where none does, the one that comes nearest. None: nothing suits
/// the hole and the wall, or it is lining alone.
std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                          const std::vector<HoleDemand>& demands);
/// One fixing for parts of unlike thickness or packing, judged at each.
std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate,
                                          const std::vector<HeldPart>& parts);

/// A screw as it came with a packet, or as it was found, in a timber stud: whatever reaches the wood, however little.
/// None: it does not reach it, comes out behind it, or there is no wood.
std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands);
std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const std::vector<HeldPart>& parts);

/// What a screw in wood bears for a load of some duration (duration_stored, duration_people), of what it bears for
/// stored goods.
double lasting(const FixingStrength& strength, double duration);

/// How much of a fixing that has been chosen another load would use.
Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const HoleDemand& demand);
/// The worst of several loads.
Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const std::vector<HoleDemand>& demands);

/// Largest stock length for a screw up into the shelf: at most board + bracket - margin. None: the board is too thin.
std::optional<Length> shelf_screw_length(const Catalogue& catalogue, const HouseRules& rules, Length board,
                                         Length bracket);

} // namespace yes_square
