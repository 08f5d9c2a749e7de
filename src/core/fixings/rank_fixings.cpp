#include "core/fixings/rank_fixings.hpp"

#include "core/fixings/practice.hpp"
#include "core/fixings/stud_edge.hpp"

#include <algorithm>
#include <tuple>

namespace yes_square {
namespace {

Sentence good_for(AnchorKind kind) {
    switch (kind) {
    case AnchorKind::plug:
        return {"plain to set: drill, blow out, push in, screw"};
    case AnchorKind::frame_plug:
        return {"long plug, set right through the part"};
    case AnchorKind::concrete_screw:
        return {"no plug; can be taken out again; needs its own drill size exactly"};
    case AnchorKind::sleeve_anchor:
        return {"spreads along its length; tighten with a spanner"};
    case AnchorKind::wedge_anchor:
        return {"for sound concrete, well away from edges; tighten to its torque"};
    case AnchorKind::resin_bar:
        return {"no spreading force: for weak or crumbling masonry; wait until it is cured"};
    case AnchorKind::insert_nut:
        return {"a machine screw goes in and out of it as often as you like"};
    case AnchorKind::cavity_anchor:
    case AnchorKind::toggle:
    case AnchorKind::self_drilling:
        return {"steadies, never carries"};
    }
    return {};
}

FixingOption option_of(const WoodScrew& screws, const WoodPlace& place) {
    FixingOption option;
    option.as.gauge = screws.gauge;
    const ScrewProperties screw = properties(screws);
    const DrivenThrough& through = place.parts.front().through;
    option.choice.fixing.name = name_of(screws);
    if (!passes_hole(screw, place.hole()))
        option.refused.push_back({"Its shank of {0} does not pass the hole of {1}",
                                  {stock(Length::nearest_to_inches(screw.diameter_in)), stock(*place.hole())}});
    if (const Length wanted = middle_distance(screw, place.school); wanted > place.framing.stud_width / 2)
        option.refused.push_back({"It is too stout for the middle of a stud {0} wide: that wants {1} to either edge",
                                  {stock(place.framing.stud_width), stock(wanted)}});
    else if (!keeps_edge(screw, place))
        option.refused.push_back(
            {"It keeps {0} to the stud's edge, and only {1} is sure",
             {stock(edge_distance(screw, place.school)), stock(std::max(Length{}, *through.to_edge))}});
    const auto choice = best_length(screws, place);
    if (!choice) {
        option.refused.push_back(
            {"No length at hand reaches {0} into the wood and stays inside it", {stock(place.least)}});
        return option;
    }
    option.choice = *choice;
    if (choice->utilisation.over())
        option.refused.push_back({"Loaded to {0} of what it bears here", {ratio(choice->utilisation)}});
    option.why.push_back({"{0} of it in the wood", {stock(choice->fixing.penetration)}});
    if (screw.coach)
        option.why.push_back({"driven with a socket, pilot and clearance hole both needed"});
    return option;
}

FixingOption option_of(const MasonryAnchor& anchor, MasonryKind masonry, const FixingGround& ground,
                       const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    FixingOption option;
    option.as.anchor = anchor.id;
    option.choice.fixing.name = anchor.name;
    option.why.push_back(good_for(anchor.kind));
    if (!anchor.at_hand)
        option.refused.push_back({"It is not in the van"});
    if (anchor.in_timber())
        option.refused.push_back({"It goes into bare timber only"});
    else if (!anchor.is_for(masonry))
        option.refused.push_back({"Its figures are for {0}", {words(anchor.substrate)}});
    if (through.hole && anchor.screw_diameter > *through.hole)
        option.refused.push_back(
            {"Its screw of {0} does not pass the hole of {1}", {stock(anchor.screw_diameter), stock(*through.hole)}});
    if (beyond_skill(anchor.kind, ground.rules))
        option.refused.push_back({"Wants a practised hand: say so in the house rules to use it"});
    const auto choice = weigh_anchor(anchor, {ground.catalogue, ground.rules, ground.wall}, {{through, demands}});
    if (!choice) {
        option.refused.push_back({"Its longest screw does not reach {0} into the masonry", {stock(anchor.embedment)}});
        return option;
    }
    option.choice = *choice;
    if (choice->utilisation.over())
        option.refused.push_back({"Loaded to {0} of what it bears here", {ratio(choice->utilisation)}});
    return option;
}

} // namespace

std::vector<FixingOption> rank_fixings(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                       const std::vector<HoleDemand>& demands) {
    const auto& [catalogue, rules, wall, chosen] = ground;
    struct Ranked {
        FixingOption option;
        int practice = 0;
        Utilisation used = Utilisation::none();
        double size = 0;
        bool foreign = false; ///< of the other school
    };
    std::vector<Ranked> ranked;
    const auto* framing = std::get_if<Framing>(&wall.structure);
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    const bool wood = framing && framing->material == StudMaterial::timber && carries(substrate);
    const std::vector<HeldPart> parts{{through, demands}};
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties screw = properties(stock);
        Ranked& next = ranked.emplace_back(Ranked{{},
                                                  screw.coach ? 1 : 0,
                                                  Utilisation::none(),
                                                  through.hole && !screw.coach ? -screw.diameter_in : screw.diameter_in,
                                                  screw.school != rules.timber});
        if (wood) {
            next.option = option_of(stock, {wall, *framing, rules.timber, substrate, parts, rules.penetration_wanted});
        } else {
            next.option.as.gauge = stock.gauge;
            next.option.choice.fixing.name = name_of(stock);
            next.option.refused.push_back({"There is no wood behind this place for its thread"});
        }
    }
    for (const MasonryAnchor& anchor : catalogue.plugs) {
        Ranked& next = ranked.emplace_back(Ranked{{}, practice_for(anchor.kind)});
        if (masonry) {
            next.option = option_of(anchor, masonry->kind, ground, through, demands);
            next.used = next.option.choice.utilisation;
        } else {
            next.option.as.anchor = anchor.id;
            next.option.choice.fixing.name = anchor.name;
            if (anchor.in_timber())
                next.option.why.push_back(good_for(anchor.kind));
            if (!anchor.in_timber())
                next.option.refused.push_back({"It holds in masonry only"});
            else if (!wood || !framing->open)
                next.option.refused.push_back({"It goes into bare timber only, before the lining is on"});
            else if (const auto choice = weigh_insert(
                         anchor, ground, {wall, *framing, rules.timber, substrate, parts, rules.penetration_wanted})) {
                next.option.choice = *choice;
                next.used = choice->utilisation;
                if (choice->utilisation.over())
                    next.option.refused.push_back(
                        {"Loaded to {0} of what it bears here", {ratio(choice->utilisation)}});
            } else {
                next.option.refused.push_back({"Its machine screw does not pass or reach, or its bore of {0} comes too "
                                               "near the wood's edge",
                                               {stock(anchor.hole_diameter)}});
            }
        }
    }
    for (const LiningAnchor& anchor : catalogue.lining_anchors) {
        Ranked& next = ranked.emplace_back(Ranked{{}, practice_for(anchor.kind), Utilisation::none(), 1});
        next.option.as.anchor = anchor.id;
        next.option.choice.fixing.name = anchor.name;
        next.option.choice.fixing.hole_diameter = anchor.hole_diameter;
        next.option.why.push_back(good_for(anchor.kind));
        next.option.refused.push_back(
            {"In the lining alone: it steadies, and holds light things where its packet says so of this lining"});
    }
    std::ranges::stable_sort(ranked, {}, [](const Ranked& next) {
        return std::tuple{!next.option.refused.empty(), next.foreign, next.practice, next.size, next.used};
    });
    std::vector<FixingOption> options;
    for (Ranked& next : ranked)
        options.push_back(std::move(next.option));
    return options;
}

} // namespace yes_square
