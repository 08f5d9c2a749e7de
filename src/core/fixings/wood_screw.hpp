#pragma once

#include "core/job/materials.hpp"
#include "core/measure/conversions.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/utilisation.hpp"

/// What a wood screw holds in a stud, after ANSI/AWC NDS-2018 chapter 12 and AWC TR12 (both from memory).
///
/// Inputs are inches as in the source; results are newtons, before the load duration factor unless it is named.
namespace yes_square {

/// Load duration factors: self-weight and stored goods; people, pulls and anti-tip. Never more.
inline constexpr double duration_stored = 0.9;
inline constexpr double duration_people = 1.0;

/// The wood that holds the point of a screw.
struct Wood {
    double gravity = 0.36;
    bool across = false;    ///< the load lies across its grain: a nogging or a plate, not a stud
    bool end_grain = false; ///< the screw runs along its grain
};

/// Of a screw's length, unless its maker says otherwise.
inline constexpr double threaded_share = 2.0 / 3.0;

/// How much of a screw's length is threaded, its point included: by its packet, else the usual share.
double thread_of_in(const ScrewProperties& screw, double length_in);

/// The thread that grips: the least of penetration and thread length, less the point. Never negative.
double thread_in_wood_in(const ScrewProperties& screw, double length_in, double penetration_in);

/// Withdrawal per inch of thread in wood, lb/in: wood screws 2850 G^2 D (NDS 12.2.2), coach screws
/// 1800 G^(3/2) D^(3/4) (NDS 12.2.1). In end grain wood screws hold nothing, coach screws three quarters.
double withdrawal_lb_per_in(const ScrewProperties& screw, Wood wood);

/// Withdrawal of the whole screw, N.
Force withdrawal_strength(const ScrewProperties& screw, Wood wood, double length_in, double penetration_in);

/// Pull-through of a round head or washer in a wooden side member, N:
/// 690 pi D_H G^2 t up to t = 2.5 D_H, beyond that 1725 pi D_H^2 G^2, in lb (NDS-2018 12.2.5).
Force head_pull_through(double gravity, double head_in, double thickness_in);

/// What the screw passes through before the wood, held in single shear.
struct SideMember {
    double thickness_in = 0;
    Pressure bearing = 0; ///< dowel bearing strength Fe
    double gap_in = 0;    ///< lining and packing behind it, which bear nothing
};

inline constexpr Pressure steel_sheet_bearing = Pressure::psi(61'850);

/// Fe of wood for fasteners under 1/4 in: 16600 G^1.84, rounded to 50 psi (NDS 12.3.3).
Pressure wood_bearing(double gravity);
/// Fe for any screw: as above, or from 1/4 in up 11200 G along the grain and 6100 G^1.45 / sqrt(D) across it
/// (NDS-2018 12.3.3).
Pressure wood_bearing(const ScrewProperties& screw, Wood wood);

/// Lateral capacity by the yield modes Im, Is, II, IIIm, IIIs, IV with a gap (AWC TR12), the least governing; in end
/// grain two thirds of it (NDS 12.5.2).
/// @param penetration_in  in the wood: below 6 D of a wood screw and 4 D of a coach screw, point off, it does not
///                        count; below 8 D a coach screw counts in proportion (NDS 12.1.4)
/// @return N; 0 for a screw too short to count
Force lateral_strength(const ScrewProperties& screw, Wood wood, SideMember side, double penetration_in);

/// What of a penetration bears: of a wood screw p - D (half of a 2 D point), of a coach screw p less its point. 0: the
/// screw is too short to count.
double main_bearing_length_in(const ScrewProperties& screw, double penetration_in);

/// Steel of the root in tension, N: 24 ksi on the root area (house rule, well under what screw steel bears).
Force steel_tension(const ScrewProperties& screw);

/// What a side member bears around a screw of a root diameter, N: q l / Rd, mode Is (NDS-2018 12.3.1, from memory).
Force bearing_strength(double diameter_in, SideMember side);

/// Shear that bends a screw through a gap that bears nothing, N: M / e, M its yield moment 70 ksi D^3 / 6 at the root
/// over KD (NDS-2018 12.3.1, from memory). Without a gap it does not limit.
Force bent_shear_strength(double root_in, double lever_in);

/// Utilisation of one screw under tension and shear together (NDS 12.4):
/// capacity along the load = W Z / (W cos^2 a + Z sin^2 a), a the load's angle to the wood surface; never less than
/// either alone, as that formula gives where W is more than twice Z. Pure pull is pull over withdrawal, pure shear
/// shear over lateral: what is not asked of it need not be there. Refused where there is load and no capacity.
Utilisation combined_utilisation(Force tension, Force shear, Force withdrawal, Force lateral);

} // namespace yes_square
