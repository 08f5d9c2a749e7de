#include "core/fixings/choose_fixing.hpp"

#include "core/fixings/wood_screw.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr Length least_edge = 10_mm;
constexpr double edge_diameters = 2.5;
constexpr Length pilot_step = Length::micrometres(500);
constexpr Length dust_room = 6_mm;
constexpr Length back_cover = 6_mm; ///< a point stays this far inside the stud's far face

constexpr Source nds{Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12"};
constexpr Source plug_source{Provenance::from_memory, "cautious figures of the catalogue; the packet's own come first"};

Length from_inches(double inches) {
    return Length::nearest_to_metres(inches * 0.0254);
}

} // namespace

const WoodScrew* screw_for(const Catalogue& catalogue, const Bracket& bracket) {
    const WoodScrew* best = nullptr;
    for (const WoodScrew& screw : catalogue.wood_screws) {
        const double diameter = properties(screw.gauge).diameter_in;
        if (from_inches(diameter) <= bracket.hole_diameter && (!best || diameter > properties(best->gauge).diameter_in))
            best = &screw;
    }
    return best;
}

Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in,
                         const HouseRules& rules) {
    const Length edge = std::max(least_edge, from_inches(edge_diameters * screw_diameter_in));
    return framing.stud_width / 2 - edge - 2 * uncertainty - rules.stud_wander;
}

Length pilot_diameter(const ScrewProperties& screw, double gravity) {
    const Length exact = from_inches(screw.root_in * (gravity > 0.6 ? 0.9 : 0.7));
    return pilot_step * (exact.in_nanometres() / pilot_step.in_nanometres());
}

std::optional<FixingChoice> choose_wood_screw(const Catalogue& catalogue, const HouseRules& rules, const Wall& wall,
                                              const Bracket& bracket, const std::vector<HoleDemand>& demands) {
    const auto& framing = std::get<Framing>(wall.structure);
    const WoodScrew* stock = screw_for(catalogue, bracket);
    if (!stock)
        return std::nullopt;
    const ScrewProperties& screw = properties(stock->gauge);
    const double gravity = specific_gravity(framing.species);
    const Length lining = wall.lining_thickness();
    const Length passed = bracket.thickness + lining;
    const SideMember side{bracket.thickness.in_inches(), steel_sheet_bearing_psi, lining.in_inches()};

    std::vector<Length> lengths = stock->lengths;
    std::ranges::sort(lengths);
    std::optional<FixingChoice> best;
    for (const Length length : lengths) {
        const Length penetration = length - passed;
        if (penetration < rules.penetration_wanted || penetration > framing.stud_depth - back_cover)
            continue;
        const double p = penetration.in_inches();
        const double withdrawal =
            std::min(withdrawal_n(screw, gravity, length.in_inches(), p), steel_tension_n(screw) / duration_people);
        const double lateral = lateral_n(screw, gravity, side, main_bearing_length_in(screw, p));
        FixingChoice choice;
        choice.fixing = {fmt::format("{} wood screw", screw.words),
                         length,
                         penetration,
                         from_inches(thread_in_wood_in(screw, length.in_inches(), p)),
                         pilot_diameter(screw, gravity),
                         lining + penetration,
                         withdrawal * duration_stored,
                         lateral * duration_stored,
                         nds};
        for (const HoleDemand& demand : demands) {
            const double used = combined_utilisation(demand.tension_n, demand.shear_n, withdrawal * demand.duration,
                                                     lateral * demand.duration);
            if (used >= choice.utilisation) {
                choice.utilisation = used;
                choice.governing = demand;
            }
        }
        if (!best || choice.utilisation < best->utilisation)
            best = choice;
        if (best->utilisation <= 1)
            break;
    }
    return best;
}

std::optional<FixingChoice> choose_plug(const Catalogue& catalogue, const Wall& wall, const Bracket& bracket,
                                        const std::vector<HoleDemand>& demands) {
    const auto& masonry = std::get<Masonry>(wall.structure);
    const Length lining = wall.lining_thickness();
    std::optional<FixingChoice> best;
    for (const MasonryPlug& plug : catalogue.plugs) {
        if (plug.substrate != masonry.kind || plug.screw_diameter > bracket.hole_diameter)
            continue;
        const Length wanted = bracket.thickness + lining + plug.embedment;
        std::vector<Length> lengths = plug.screw_lengths;
        std::ranges::sort(lengths);
        const auto length = std::ranges::lower_bound(lengths, wanted);
        if (length == lengths.end())
            continue;
        FixingChoice choice;
        // The screw may reach past the plug; the hole leaves room for its point and for dust.
        const Length reach = *length - bracket.thickness;
        choice.fixing = {plug.name,          *length,
                         plug.embedment,     {},
                         plug.hole_diameter, std::max(lining + plug.embedment, reach) + dust_room,
                         plug.tension_n,     plug.shear_n,
                         plug_source};
        for (const HoleDemand& demand : demands) {
            const double used = demand.tension_n / plug.tension_n + demand.shear_n / plug.shear_n;
            if (used >= choice.utilisation) {
                choice.utilisation = used;
                choice.governing = demand;
            }
        }
        if (!best || choice.utilisation < best->utilisation)
            best = choice;
    }
    return best;
}

std::optional<Length> shelf_screw_length(const Catalogue& catalogue, const HouseRules& rules, Length board,
                                         Length bracket) {
    std::optional<Length> best;
    for (const Length length : catalogue.shelf_screws)
        if (length > bracket && length <= board + bracket - rules.shelf_screw_margin && (!best || length > *best))
            best = length;
    return best;
}

} // namespace yes_square
