#include "core/fixings/lining_anchor.hpp"

#include "core/fixings/allowable.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length screw_step = 5_mm;

} // namespace

std::optional<FixingStrength> by_packet(const LiningAnchor& anchor, const Wall& wall) {
    const bool this_lining = !wall.lining.empty() && std::ranges::all_of(wall.lining, [&](const LiningLayer& layer) {
        return layer.material == anchor.lining;
    });
    // Nothing is set through tile, or in a void, by the figures of a board.
    const bool board = anchor.lining != LiningMaterial::tile && anchor.lining != LiningMaterial::hollow;
    const Length thick = wall.lining_thickness();
    if (!anchor.tension || !anchor.shear || !board || !this_lining || thick < anchor.lining_least ||
        thick > anchor.lining_most)
        return std::nullopt;
    FixingStrength strength;
    strength.tension = allowable(*anchor.tension, anchor.basis, anchor.kind);
    strength.shear = allowable(*anchor.shear, anchor.basis, anchor.kind);
    strength.penetration = thick;
    return strength;
}

std::optional<FixingChoice> choose_lining_anchor(const FixingGround& ground, const DrivenThrough& through,
                                                 const std::vector<HoleDemand>& demands) {
    std::optional<FixingChoice> best;
    const auto& anchors = ground.catalogue.lining_anchors;
    const bool by_hand = ground.chosen && std::ranges::find(anchors, ground.chosen->anchor, &LiningAnchor::id) !=
                                              anchors.end(); // nothing else is weighed then
    for (const LiningAnchor& anchor : anchors) {
        if (by_hand && anchor.id != ground.chosen->anchor)
            continue;
        auto strength = by_packet(anchor, ground.wall);
        if (!strength || demands.empty() || (through.hole && anchor.screw_diameter > *through.hole) ||
            through.packing > Length{})
            continue;
        if (through.gravity) // its head may pull through a thin part before the lining gives
            strength->tension = std::min(strength->tension,
                                         duration_stored * head_pull_through(*through.gravity, through.head.in_inches(),
                                                                             through.thickness.in_inches()));
        FixingChoice choice;
        static_cast<FixingStrength&>(choice.fixing) = *strength;
        choice.fixing.side = through.thickness;
        choice.fixing.side_gravity = through.gravity;
        choice.fixing.head = through.head;
        choice.fixing.name = anchor.name;
        choice.fixing.screw_length = screw_step * (through.thickness + ground.wall.lining_thickness() +
                                                   ground.rules.behind_lining + screw_step / 2)
                                                      .in_steps_of(screw_step);
        choice.fixing.hole_diameter = anchor.hole_diameter;
        choice.fixing.drill_depth = ground.wall.lining_thickness();
        choice.fixing.clearance = anchor.screw_diameter;
        choice.fixing.source = {Provenance::maker, "the packet"};
        choice.utilisation = Utilisation::none();
        for (const HoleDemand& demand : demands)
            if (const Utilisation used = utilisation_of(*strength, Substrate::lining, demand);
                used >= choice.utilisation) {
                choice.utilisation = used;
                choice.governing = demand;
            }
        choice.at = {choice.fixing};
        if (!best || choice.utilisation < best->utilisation)
            best = std::move(choice);
    }
    return best;
}

std::optional<FixingChoice> choose_lining_anchor(const FixingGround& ground, const std::vector<HeldPart>& parts) {
    std::vector<HoleDemand> demands;
    for (const HeldPart& part : parts)
        demands.insert(demands.end(), part.demands.begin(), part.demands.end());
    auto choice = choose_lining_anchor(ground, parts.front().through, demands);
    if (choice)
        choice->at.resize(parts.size(), choice->fixing);
    return choice;
}

} // namespace yes_square
