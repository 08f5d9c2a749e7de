#include "core/fixings/weigh_fixing.hpp"

#include "core/fixings/allowable.hpp"
#include "core/fixings/en_screw.hpp"
#include "core/fixings/stud_edge.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length pilot_step = Length::micrometres(500);
constexpr Length dust_room = 6_mm;
constexpr Length back_cover = 6_mm; ///< a point stays this far inside the stud's far face

constexpr Source nds{Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12"};
constexpr Source en5{Provenance::from_memory, "EN 1995-1-1 8.2, 8.3, 8.7, EN 338"};
constexpr Source nds_packet{Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12; the screw by its packet"};
constexpr Source en5_packet{Provenance::from_memory, "EN 1995-1-1 8.2, 8.3, 8.7, EN 338; the screw by its packet"};
constexpr Source packet_source{Provenance::maker, "the packet"};
constexpr Source plug_source{Provenance::from_memory, "cautious figures of the catalogue; the packet's own come first"};

std::vector<Length> sorted(std::vector<Length> lengths) {
    std::ranges::sort(lengths);
    return lengths;
}

struct Governing {
    Utilisation utilisation;
    HoleDemand demand;
    std::size_t part = 0; ///< where it is used most
};

/// The worst of all demands on the parts, each with what the fixing holds there.
Governing worst_of(const std::vector<HeldPart>& parts, const std::vector<FixingStrength>& at, Substrate substrate) {
    Governing worst{Utilisation::none(), {}, 0};
    bool first = true;
    for (std::size_t i = 0; i < parts.size(); ++i)
        for (const HoleDemand& demand : parts[i].demands)
            if (const Utilisation used = utilisation_of(at[i], substrate, demand); first || used > worst.utilisation) {
                worst = {used, demand, i};
                first = false;
            }
    return worst;
}

/// What a screw holds for stored goods.
struct ScrewHolds {
    Force tension;
    Force shear;
    Length thread; ///< that grips
};

ScrewHolds by_nds(const ScrewProperties& screw, Length length, const HeldPart& part, const WoodPlace& place,
                  Length penetration) {
    const DrivenThrough& through = part.through;
    const double p = penetration.in_inches();
    Force tension = std::min(withdrawal_strength(screw, place.wood(), length.in_inches(), p), steel_tension(screw));
    if (screw.tensile > 0)
        tension = std::min(tension, en_tension(screw));
    if (through.gravity)
        tension = std::min(
            tension, head_pull_through(*through.gravity, through.head.in_inches(), through.thickness.in_inches()));
    const SideMember side{through.thickness.in_inches(), through.bearing, place.gap(part).in_inches()};
    return {tension * duration_stored, lateral_strength(screw, place.wood(), side, p) * duration_stored,
            Length::nearest_to_inches(thread_in_wood_in(screw, length.in_inches(), p))};
}

/// Of what NDS allows for people and pulls, what an EN figure for stored goods may come to, so that it never comes to
/// more than NDS for either.
constexpr double nds_in_en = duration_people * en_stored / en_people;

/// EN 1995-1-1 has no thin parts that a head tears through, nor the steel of a screw nobody declares: there the less of
/// it and of NDS (safe side).
ScrewHolds by_en(const ScrewProperties& screw, Length length, const HeldPart& part, const WoodPlace& place,
                 Length penetration) {
    const DrivenThrough& through = part.through;
    const Density wood = characteristic_density(place.framing.species);
    const Length thread = std::min(penetration, Length::nearest_to_inches(thread_of_in(screw, length.in_inches())));
    Force tension = en_stored * en_together(place.together(part)) * en_withdrawal(screw, wood, thread);
    tension = std::min(tension, screw.tensile > 0 ? nds_in_en * en_tension(screw) : nds_in_en * steel_tension(screw));
    EnSide side{through.thickness, {}, place.gap(part)};
    if (through.gravity) {
        side.wood = characteristic_density(*through.gravity);
        tension = std::min(
            {tension, en_stored * en_pull_through(*side.wood, through.head, screw.pull_through),
             nds_in_en * head_pull_through(*through.gravity, through.head.in_inches(), through.thickness.in_inches())});
    }
    return {tension, en_stored * en_lateral(screw, wood, place.across(), side, penetration), thread};
}

/// What a nail toed in holds of one driven square: NDS-2018 12.5.4, from memory. Nobody publishes as much for screws at
/// an angle; EN 1995-1-1 8.7.2 takes a tenth off what is drawn at 45 degrees to the grain, which is less (safe side).
constexpr double toe_nailed_pull = 0.67;
constexpr double toe_nailed_shear = 0.83;

/// What a wood screw of a length holds behind a part; none: it does not reach far enough, or comes out behind.
std::optional<FixingStrength> strength_of(const ScrewProperties& screw, Length length, const HeldPart& part,
                                          const WoodPlace& place) {
    const DrivenThrough& through = part.through;
    const Length gap = place.gap(part);
    const Length penetration = length - through.thickness - gap;
    if (penetration < place.least || penetration > place.framing.stud_depth - back_cover)
        return std::nullopt;
    ScrewHolds held = (place.school == TimberSchool::en ? by_en : by_nds)(screw, length, part, place, penetration);
    if (through.angled) {
        held.tension *= toe_nailed_pull;
        held.shear *= toe_nailed_shear;
    }
    return FixingStrength{held.tension,    held.shear,   penetration, held.thread,  through.thickness,
                          through.gravity, through.head, gap,         place.school, place.together(part)};
}

const Source& source_of(const WoodScrew& screws, TimberSchool school) {
    if (school == TimberSchool::en)
        return screws.packet ? en5_packet : en5;
    return screws.packet ? nds_packet : nds;
}

bool lining_stands_off(const Wall& wall) {
    return std::ranges::any_of(wall.lining, [](const LiningLayer& layer) {
        return layer.material != LiningMaterial::plaster && layer.material != LiningMaterial::tile;
    });
}

/// What an anchor holds behind a part: the masonry, what bends its screw, and the part itself.
FixingStrength strength_of(const MasonryAnchor& anchor, const HouseRules& rules, const Wall& wall,
                           const HeldPart& part) {
    const DrivenThrough& through = part.through;
    const bool off = lining_stands_off(wall);
    const double root_in = rules.screw_root_share * anchor.screw_diameter.in_inches();
    const Length lever = through.packing + (off ? wall.lining_thickness() : Length{});
    Force tension = allowable(anchor.tension, anchor.basis, anchor.kind);
    Force shear = allowable(anchor.shear, anchor.basis, anchor.kind) * (off ? rules.lining_shear_share : 1.0);
    shear =
        std::min({shear, bent_shear_strength(root_in, lever.in_inches()) * duration_stored,
                  bearing_strength(root_in, {through.thickness.in_inches(), through.bearing, 0}) * duration_stored});
    if (through.gravity)
        tension = std::min(tension, duration_stored * head_pull_through(*through.gravity, through.head.in_inches(),
                                                                        through.thickness.in_inches()));
    return {tension, shear, anchor.embedment, {}, through.thickness, through.gravity, through.head, lever};
}

} // namespace

DrivenThrough DrivenThrough::strip(Length thickness, Species wood) {
    const double gravity = specific_gravity(wood);
    DrivenThrough through{thickness, wood_bearing(gravity)};
    through.gravity = gravity;
    through.head = Length::nearest_to_inches(properties(ScrewGauge::number_8).head_in);
    return through;
}

Length pilot_diameter(const ScrewProperties& screw, double gravity) {
    const double coach_share = gravity <= 0.5 ? 0.70 : (gravity <= 0.6 ? 0.75 : 0.85);
    const Length exact = Length::nearest_to_inches(screw.coach ? screw.diameter_in * coach_share
                                                               : screw.root_in * (gravity > 0.6 ? 0.9 : 0.7));
    return pilot_step * (exact.in_nanometres() / pilot_step.in_nanometres());
}

bool passes_hole(const ScrewProperties& screw, const std::optional<Length>& hole) {
    return !hole || Length::nearest_to_inches(screw.diameter_in) <= *hole;
}

bool keeps_edge(const ScrewProperties& screw, const WoodPlace& place) {
    return middle_distance(screw, place.school) <= place.framing.stud_width / 2 &&
           std::ranges::all_of(place.parts, [&](const HeldPart& part) {
               return !part.through.to_edge || edge_distance(screw, place.school) <= *part.through.to_edge;
           });
}

std::optional<FixingChoice> best_length(const WoodScrew& screws, const WoodPlace& place) {
    const ScrewProperties screw = properties(screws);
    std::optional<FixingChoice> best;
    for (const Length length : sorted(screws.lengths)) {
        std::vector<FixingStrength> at;
        for (const HeldPart& part : place.parts)
            if (const auto strength = strength_of(screw, length, part, place))
                at.push_back(*strength);
        if (at.size() < place.parts.size())
            continue;
        const Governing governing = worst_of(place.parts, at, place.substrate);
        if (best && governing.utilisation >= best->utilisation)
            continue;
        const FixingStrength& there = at[governing.part];
        Length deepest;
        for (const FixingStrength& strength : at)
            deepest = std::max(deepest, strength.penetration);
        best = FixingChoice{{there, name_of(screws), length, pilot_diameter(screw, place.wood().gravity),
                             place.wall.lining_thickness() + deepest, source_of(screws, place.school),
                             Length::nearest_to_inches(screw.diameter_in), screw.coach},
                            governing.utilisation,
                            governing.demand,
                            std::move(at)};
        if (best->utilisation.within())
            break;
    }
    return best;
}

std::optional<FixingChoice> weigh_anchor(const MasonryAnchor& anchor, const FixingGround& ground,
                                         const std::vector<HeldPart>& parts) {
    Length most; // what the screw passes before the masonry
    Length least = 10'000_mm;
    for (const HeldPart& part : parts) {
        most = std::max(most, part.through.thickness + part.through.packing);
        least = std::min(least, part.through.thickness + part.through.packing);
    }
    const Length lining = ground.wall.lining_thickness();
    std::vector<Length> lengths = sorted(anchor.screw_lengths);
    if (ground.chosen && ground.chosen->length > Length{})
        lengths = {ground.chosen->length};
    const auto length = std::ranges::lower_bound(lengths, most + lining + anchor.embedment);
    if (length == lengths.end())
        return std::nullopt;
    std::vector<FixingStrength> at;
    for (const HeldPart& part : parts)
        at.push_back(strength_of(anchor, ground.rules, ground.wall, part));
    const Governing governing = worst_of(parts, at, Substrate::masonry);
    // The screw may reach past the plug; the hole, from the wall's face, leaves room for its point and for dust.
    const Length reach = *length - least;
    FixingChoice choice{{at[governing.part], anchor.name, *length, anchor.hole_diameter,
                         std::max(lining + anchor.embedment, reach) + dust_room,
                         anchor.own ? packet_source : plug_source, anchor.screw_diameter},
                        governing.utilisation,
                        governing.demand,
                        std::move(at)};
    choice.fixing.apart = anchor.apart;
    choice.fixing.edge = anchor.edge;
    return choice;
}

std::optional<FixingChoice> weigh_insert(const MasonryAnchor& nut, const FixingGround& ground, const WoodPlace& place) {
    const Length edge = std::max(nut.edge, nut.hole_diameter * 3 / 2);
    const bool near_edge =
        edge > place.framing.stud_width / 2 || std::ranges::any_of(place.parts, [&](const HeldPart& part) {
            return part.through.to_edge && *part.through.to_edge < edge;
        });
    if (near_edge || (place.hole() && nut.screw_diameter > *place.hole()))
        return std::nullopt;
    auto choice = weigh_anchor(nut, ground, place.parts);
    if (!choice || choice->fixing.drill_depth - place.wall.lining_thickness() > place.framing.stud_depth - back_cover)
        return std::nullopt;
    choice->fixing.by_packet = true;
    for (FixingStrength& strength : choice->at)
        strength.by_packet = true;
    return choice;
}

double lasting(const FixingStrength& strength, double duration) {
    if (strength.school == TimberSchool::en)
        return duration > duration_stored ? en_people / en_stored : 1;
    return duration / duration_stored;
}

Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const HoleDemand& demand) {
    if (substrate == Substrate::masonry || substrate == Substrate::lining || strength.by_packet) {
        const Utilisation pulled = Utilisation::of(demand.tension, strength.tension);
        const Utilisation sheared = Utilisation::of(demand.shear(), strength.shear);
        return Utilisation{pulled.number() + sheared.number()};
    }
    const double share = lasting(strength, demand.duration);
    return (strength.school == TimberSchool::en ? en_combined : combined_utilisation)(
        demand.tension, demand.shear(), strength.tension * share, strength.shear * share);
}

Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate,
                           const std::vector<HoleDemand>& demands) {
    Utilisation worst = Utilisation::none();
    for (const HoleDemand& demand : demands)
        worst = std::max(worst, utilisation_of(strength, substrate, demand));
    return worst;
}

} // namespace yes_square
