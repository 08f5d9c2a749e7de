#include "core/fixings/choose_fixing.hpp"

#include "core/fixings/wood_screw.hpp"

#include <algorithm>

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

std::vector<Length> sorted(std::vector<Length> lengths) {
    std::ranges::sort(lengths);
    return lengths;
}

struct Governing {
    double utilisation = 0;
    HoleDemand demand;
};

Governing worst_of(const std::vector<HoleDemand>& demands, auto&& utilisation) {
    Governing worst;
    for (const HoleDemand& demand : demands)
        if (const double used = utilisation(demand); used >= worst.utilisation)
            worst = {used, demand};
    return worst;
}

} // namespace

const WoodScrew* screw_for(const Catalogue& catalogue, Length hole) {
    const WoodScrew* best = nullptr;
    for (const WoodScrew& screw : catalogue.wood_screws) {
        const double diameter = properties(screw.gauge).diameter_in;
        if (from_inches(diameter) <= hole && (!best || diameter > properties(best->gauge).diameter_in))
            best = &screw;
    }
    return best;
}

Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in,
                         const HouseRules& rules) {
    const Length edge = std::max(least_edge, from_inches(edge_diameters * screw_diameter_in));
    return framing.stud_width / 2 - edge - 2 * uncertainty - rules.stud_wander;
}

bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules) {
    return stud.state != StudState::assumed &&
           usable_half_width(framing, stud.uncertainty, properties(ScrewGauge::number_10).diameter_in, rules) >
               Length{};
}

Length pilot_diameter(const ScrewProperties& screw, double gravity) {
    const Length exact = from_inches(screw.root_in * (gravity > 0.6 ? 0.9 : 0.7));
    return pilot_step * (exact.in_nanometres() / pilot_step.in_nanometres());
}

namespace {

/// The stock length of one gauge that bears the demands best, as choose_wood_screw() says.
std::optional<FixingChoice> best_length(const WoodScrew& stock, const HouseRules& rules, const Wall& wall,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    const auto& framing = std::get<Framing>(wall.structure);
    const ScrewProperties& screw = properties(stock.gauge);
    const double gravity = specific_gravity(framing.species);
    const Length gap = wall.lining_thickness() + through.packing;
    const SideMember side{through.thickness.in_inches(), through.bearing_psi, gap.in_inches()};
    double side_tension = steel_tension_n(screw);
    if (through.gravity)
        side_tension = std::min(side_tension, head_pull_through_n(*through.gravity, through.head.in_inches(),
                                                                  through.thickness.in_inches()));

    struct Candidate {
        Length length;
        Length penetration;
        double tension = 0;
        double lateral = 0;
        Governing governing;
    };
    std::optional<Candidate> best;
    for (const Length length : sorted(stock.lengths)) {
        const Length penetration = length - through.thickness - gap;
        if (penetration < rules.penetration_wanted || penetration > framing.stud_depth - back_cover)
            continue;
        const double p = penetration.in_inches();
        const double tension = std::min(withdrawal_n(screw, gravity, length.in_inches(), p), side_tension);
        const double lateral = lateral_n(screw, gravity, side, main_bearing_length_in(screw, p));
        const Governing governing = worst_of(demands, [&](const HoleDemand& demand) {
            return combined_utilisation(demand.tension_n, demand.shear_n, tension * demand.duration,
                                        lateral * demand.duration);
        });
        if (!best || governing.utilisation < best->governing.utilisation)
            best = {length, penetration, tension, lateral, governing};
        if (best->governing.utilisation <= 1)
            break;
    }
    if (!best)
        return std::nullopt;
    return FixingChoice{{screw.wood_screw_words, best->length, best->penetration,
                         from_inches(thread_in_wood_in(screw, best->length.in_inches(), best->penetration.in_inches())),
                         pilot_diameter(screw, gravity), gap + best->penetration, best->tension * duration_stored,
                         best->lateral * duration_stored, nds},
                        best->governing.utilisation,
                        best->governing.demand};
}

} // namespace

std::optional<FixingChoice> choose_wood_screw(const Catalogue& catalogue, const HouseRules& rules, const Wall& wall,
                                              const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    if (through.hole) {
        const WoodScrew* stock = screw_for(catalogue, *through.hole);
        return stock ? best_length(*stock, rules, wall, through, demands) : std::nullopt;
    }
    std::vector<WoodScrew> stocks = catalogue.wood_screws;
    std::ranges::sort(stocks, {}, [](const WoodScrew& stock) { return properties(stock.gauge).diameter_in; });
    std::optional<FixingChoice> best;
    for (const WoodScrew& stock : stocks) {
        const auto choice = best_length(stock, rules, wall, through, demands);
        if (choice && (!best || choice->utilisation < best->utilisation))
            best = choice;
        if (best && best->utilisation <= 1)
            break;
    }
    return best;
}

std::optional<FixingChoice> choose_plug(const Catalogue& catalogue, const HouseRules& rules, const Wall& wall,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    const auto& masonry = std::get<Masonry>(wall.structure);
    const Length lining = wall.lining_thickness() + through.packing;
    const bool stands_off = std::ranges::any_of(wall.lining, [](const LiningLayer& layer) {
        return layer.material != LiningMaterial::plaster && layer.material != LiningMaterial::tile;
    });
    std::optional<FixingChoice> best;
    for (const MasonryPlug& plug : catalogue.plugs) {
        if (plug.substrate != masonry.kind || (through.hole && plug.screw_diameter > *through.hole))
            continue;
        const std::vector<Length> lengths = sorted(plug.screw_lengths);
        const auto length = std::ranges::lower_bound(lengths, through.thickness + lining + plug.embedment);
        if (length == lengths.end())
            continue;
        const double shear_n = plug.shear_n * (stands_off ? rules.lining_shear_share : 1.0);
        const Governing governing = worst_of(demands, [&](const HoleDemand& demand) {
            return demand.tension_n / plug.tension_n + demand.shear_n / shear_n;
        });
        if (best && governing.utilisation >= best->utilisation)
            continue;
        // The screw may reach past the plug; the hole leaves room for its point and for dust.
        const Length reach = *length - through.thickness;
        best = FixingChoice{{plug.name,
                             *length,
                             plug.embedment,
                             {},
                             plug.hole_diameter,
                             std::max(lining + plug.embedment, reach) + dust_room,
                             plug.tension_n,
                             shear_n,
                             plug_source},
                            governing.utilisation,
                            governing.demand};
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
