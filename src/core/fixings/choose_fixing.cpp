#include "core/fixings/choose_fixing.hpp"

#include "core/fixings/lining_anchor.hpp"
#include "core/fixings/practice.hpp"

#include <algorithm>
#include <tuple>

namespace yes_square {
namespace {

/// The largest gauge of a school's wood screws that passes a hole and that `takes` agrees to.
const WoodScrew* widest(const Catalogue& catalogue, TimberSchool school, Length hole, auto&& takes) {
    const WoodScrew* best = nullptr;
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties screw = properties(stock);
        if (!screw.coach && screw.school == school && passes_hole(screw, hole) && takes(screw) &&
            (!best || screw.diameter_in > properties(best->gauge).diameter_in))
            best = &stock;
    }
    return best;
}

/// The easiest anchor to set of those that bear the demands, of those alike the one loaded least.
std::optional<FixingChoice> choose_anchor(const FixingGround& ground, MasonryKind masonry,
                                          const std::vector<HeldPart>& parts) {
    const std::optional<Length>& hole = parts.front().through.hole;
    std::optional<FixingChoice> best;
    int best_practice = 0;
    for (const MasonryAnchor& anchor : ground.catalogue.plugs) {
        const bool wanted = ground.chosen ? anchor.id == ground.chosen->anchor
                                          : anchor.at_hand && !beyond_skill(anchor.kind, ground.rules);
        if (!wanted || !anchor.is_for(masonry) || (hole && anchor.screw_diameter > *hole))
            continue;
        const auto choice = weigh_anchor(anchor, ground, parts);
        if (!choice)
            continue;
        const auto rank = [](const FixingChoice& c, int practice) {
            return std::tuple{!c.utilisation.within(), c.utilisation.within() ? practice : 0, c.utilisation};
        };
        if (!best || rank(*choice, practice_for(anchor.kind)) < rank(*best, best_practice)) {
            best = choice;
            best_practice = practice_for(anchor.kind);
        }
    }
    return best;
}

/// The screw or the insert nut that the fitter chose, where it goes in at all.
std::optional<FixingChoice> chosen_screw(const FixingGround& ground, const WoodPlace& place) {
    const Catalogue& catalogue = ground.catalogue;
    const ChosenFixing& chosen = *ground.chosen;
    if (!chosen.gauge) {
        const auto nut = std::ranges::find(catalogue.plugs, chosen.anchor, &MasonryAnchor::id);
        return nut != catalogue.plugs.end() && nut->in_timber() && place.framing.open
                   ? weigh_insert(*nut, ground, place)
                   : std::nullopt;
    }
    const auto at_hand = std::ranges::find(catalogue.wood_screws, *chosen.gauge, &WoodScrew::gauge);
    WoodScrew stock = at_hand == catalogue.wood_screws.end() ? WoodScrew{*chosen.gauge, {}} : *at_hand;
    const ScrewProperties screw = properties(stock);
    if (!passes_hole(screw, place.hole()) || !keeps_edge(screw, place))
        return std::nullopt;
    if (chosen.length > Length{})
        stock.lengths = {chosen.length};
    return best_length(stock, place);
}

} // namespace

std::string name_of(const ChosenFixing& chosen, const Catalogue& catalogue) {
    if (chosen.gauge) {
        const auto at_hand = std::ranges::find(catalogue.wood_screws, *chosen.gauge, &WoodScrew::gauge);
        return at_hand == catalogue.wood_screws.end() ? properties(*chosen.gauge).wood_screw_words : name_of(*at_hand);
    }
    const auto anchor = std::ranges::find(catalogue.plugs, chosen.anchor, &MasonryAnchor::id);
    if (anchor != catalogue.plugs.end())
        return anchor->name;
    const auto lining = std::ranges::find(catalogue.lining_anchors, chosen.anchor, &LiningAnchor::id);
    return lining == catalogue.lining_anchors.end() ? chosen.anchor : lining->name;
}

bool goes_into(const ChosenFixing& fixing, const Wall& wall, const Catalogue& catalogue) {
    if (fixing.gauge)
        return std::holds_alternative<Framing>(wall.structure);
    const auto lining = std::ranges::find(catalogue.lining_anchors, fixing.anchor, &LiningAnchor::id);
    if (lining != catalogue.lining_anchors.end())
        return by_packet(*lining, wall).has_value();
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    const auto* framing = std::get_if<Framing>(&wall.structure);
    const auto anchor = std::ranges::find(catalogue.plugs, fixing.anchor, &MasonryAnchor::id);
    if (anchor == catalogue.plugs.end())
        return false;
    return anchor->in_timber() ? framing && framing->material == StudMaterial::timber && framing->open
                               : masonry && anchor->is_for(masonry->kind);
}

const WoodScrew* screw_for(const Catalogue& catalogue, TimberSchool school, Length hole) {
    return widest(catalogue, school, hole, [](const ScrewProperties&) { return true; });
}

std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                          const std::vector<HoleDemand>& demands) {
    return choose_fixing(ground, substrate, {{through, demands}});
}

std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate,
                                          const std::vector<HeldPart>& parts) {
    if (parts.empty())
        return std::nullopt;
    const auto& [catalogue, rules, wall, chosen] = ground;
    if (const auto* masonry = std::get_if<Masonry>(&wall.structure))
        return choose_anchor(ground, masonry->kind, parts);
    const auto* framing = std::get_if<Framing>(&wall.structure);
    if (!framing || framing->material != StudMaterial::timber || !carries(substrate))
        return std::nullopt;
    const WoodPlace place{wall, *framing, rules.timber, substrate, parts, rules.penetration_wanted};
    if (chosen)
        return chosen_screw(ground, place);
    const DrivenThrough& through = parts.front().through;
    std::optional<FixingChoice> best;
    if (through.hole)
        if (const WoodScrew* stock = widest(catalogue, place.school, *through.hole,
                                            [&](const ScrewProperties& screw) { return keeps_edge(screw, place); })) {
            best = best_length(*stock, place);
            if (best && best->utilisation.within())
                return best;
        }
    // Through a metal part where its wood screw does not bear them: coach screws that pass its hole.
    std::vector<const WoodScrew*> stocks;
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties screw = properties(stock);
        const bool suits =
            through.hole ? screw.coach && passes_hole(screw, through.hole) : screw.coach == through.coach;
        if (suits && screw.school == rules.timber && keeps_edge(screw, place))
            stocks.push_back(&stock);
    }
    std::ranges::sort(stocks, {}, [](const WoodScrew* stock) { return properties(stock->gauge).diameter_in; });
    for (const WoodScrew* stock : stocks) {
        const auto choice = best_length(*stock, place);
        if (choice && (!best || choice->utilisation < best->utilisation))
            best = choice;
        if (best && best->utilisation.within())
            break;
    }
    return best;
}

std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    return weigh_given(gauge, length, ground, {{through, demands}});
}

std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const std::vector<HeldPart>& parts) {
    const auto* framing = std::get_if<Framing>(&ground.wall.structure);
    if (!framing || framing->material != StudMaterial::timber || parts.empty())
        return std::nullopt;
    return best_length({gauge, {length}},
                       {ground.wall, *framing, ground.rules.timber, Substrate::proved_stud, parts, Length{}});
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
