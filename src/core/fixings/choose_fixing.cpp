#include "core/fixings/choose_fixing.hpp"

#include "core/fixings/en_screw.hpp"
#include "core/fixings/wood_screw.hpp"

#include <algorithm>
#include <tuple>

namespace yes_square {
namespace {

constexpr Length least_edge = 10_mm;
constexpr Length pilot_step = Length::micrometres(500);
constexpr Length dust_room = 6_mm;
constexpr Length back_cover = 6_mm; ///< a point stays this far inside the stud's far face

constexpr Source nds{Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12"};
constexpr Source en5{Provenance::from_memory, "EN 1995-1-1 8.2, 8.3, 8.7, EN 338"};
constexpr Source packet_source{Provenance::maker, "the packet"};
constexpr Source plug_source{Provenance::from_memory, "cautious figures of the catalogue; the packet's own come first"};

std::vector<Length> sorted(std::vector<Length> lengths) {
    std::ranges::sort(lengths);
    return lengths;
}

bool grips_lining(AnchorKind kind) {
    return kind == AnchorKind::cavity_anchor || kind == AnchorKind::toggle || kind == AnchorKind::self_drilling;
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

} // namespace

std::string name_of(const ChosenFixing& chosen, const Catalogue& catalogue) {
    if (chosen.gauge)
        return properties(*chosen.gauge).wood_screw_words;
    const auto anchor = std::ranges::find(catalogue.plugs, chosen.anchor, &MasonryAnchor::id);
    return anchor == catalogue.plugs.end() ? chosen.anchor : anchor->name;
}

const WoodScrew* screw_for(const Catalogue& catalogue, TimberSchool school, Length hole) {
    const WoodScrew* best = nullptr;
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties& screw = properties(stock.gauge);
        if (!screw.coach && screw.school == school && Length::nearest_to_inches(screw.diameter_in) <= hole &&
            (!best || screw.diameter_in > properties(best->gauge).diameter_in))
            best = &stock;
    }
    return best;
}

const ScrewProperties& usual_screw(TimberSchool school) {
    return properties(school == TimberSchool::en ? ScrewGauge::metric_4 : ScrewGauge::number_10);
}

namespace {

constexpr double edge_driven = 2.5;
constexpr double edge_piloted = 1.5;

} // namespace

Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in, const HouseRules& rules,
                         Driven driven) {
    const double by_school = rules.timber == TimberSchool::en ? en_edge : edge_driven;
    const double diameters = driven == Driven::rod ? edge_piloted : by_school;
    const Length edge = std::max(least_edge, Length::nearest_to_inches(diameters * screw_diameter_in));
    return framing.stud_width / 2 - edge - 2 * uncertainty - rules.stud_wander;
}

Length to_edge_of(const Framing& framing, const Stud& stud, Length x, const HouseRules& rules) {
    return framing.stud_width / 2 - absolute(x - stud.centre) - 2 * stud.uncertainty - rules.stud_wander;
}

Length edge_distance(const ScrewProperties& screw, TimberSchool school) {
    const double diameters = school == TimberSchool::en ? en_edge : screw.coach ? edge_piloted : edge_driven;
    return std::max(least_edge, Length::nearest_to_inches(diameters * screw.diameter_in));
}

Length blocked_half_width(const Framing& framing, const HouseRules& rules) {
    return framing.stud_width / 2 + least_edge + rules.stud_wander;
}

bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules) {
    return stud.state != StudState::assumed &&
           usable_half_width(framing, stud.uncertainty, usual_screw(rules.timber).diameter_in, rules) > Length{};
}

Length pilot_diameter(const ScrewProperties& screw, double gravity) {
    const double coach_share = gravity <= 0.5 ? 0.70 : (gravity <= 0.6 ? 0.75 : 0.85);
    const Length exact = Length::nearest_to_inches(screw.coach ? screw.diameter_in * coach_share
                                                               : screw.root_in * (gravity > 0.6 ? 0.9 : 0.7));
    return pilot_step * (exact.in_nanometres() / pilot_step.in_nanometres());
}

double basis_divisor(FigureBasis basis, bool soft) {
    switch (basis) {
    case FigureBasis::recommended:
        return 1;
    case FigureBasis::characteristic:
        return 3.5;
    case FigureBasis::ultimate:
    case FigureBasis::not_stated:
        break;
    }
    return soft ? 5 : 4;
}

Force allowable(Force figure, FigureBasis basis, AnchorKind kind) {
    const bool soft = kind == AnchorKind::plug || kind == AnchorKind::frame_plug || grips_lining(kind);
    return figure / basis_divisor(basis, soft);
}

std::optional<Force> allowed_on(const Bracket& bracket) {
    if (!bracket.rating)
        return std::nullopt;
    return *bracket.rating / (bracket.rated_per_pair ? 2 : 1) / basis_divisor(bracket.basis, false);
}

namespace {

/// What a wood screw of one gauge is weighed for.
struct WoodPlace {
    const Wall& wall;
    const Framing& framing;
    TimberSchool school;
    Substrate substrate;
    const std::vector<HeldPart>& parts;
    Length least; ///< penetration: less is not taken

    bool across() const { return substrate == Substrate::nogging; }
    std::size_t together(const HeldPart& part) const { return std::max(parts.size(), part.through.together); }
    Wood wood() const { return {specific_gravity(framing.species), across()}; }

    Length gap(const HeldPart& part) const { return wall.lining_thickness() + part.through.packing; }
};

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
    if (through.gravity)
        tension = std::min(
            tension, head_pull_through(*through.gravity, through.head.in_inches(), through.thickness.in_inches()));
    const SideMember side{through.thickness.in_inches(), through.bearing, place.gap(part).in_inches()};
    return {tension * duration_stored, lateral_strength(screw, place.wood(), side, p) * duration_stored,
            Length::nearest_to_inches(thread_in_wood_in(screw, length.in_inches(), p))};
}

/// EN 1995-1-1 has no thin parts that a head tears through, nor the steel of a screw nobody declares: there the less of
/// it and of NDS (safe side).
ScrewHolds by_en(const ScrewProperties& screw, Length length, const HeldPart& part, const WoodPlace& place,
                 Length penetration) {
    const DrivenThrough& through = part.through;
    const Density wood = characteristic_density(place.framing.species);
    const Length thread = std::min(penetration, Length::nearest_to_metres(threaded_share * length.in_metres()));
    Force tension =
        en_stored * en_together(std::max(place.parts.size(), through.together)) * en_withdrawal(screw, wood, thread);
    tension = std::min(tension, duration_stored * steel_tension(screw));
    EnSide side{through.thickness, {}, place.gap(part)};
    if (through.gravity) {
        side.wood = characteristic_density(*through.gravity);
        tension = std::min({tension, en_stored * en_pull_through(*side.wood, through.head),
                            duration_stored * head_pull_through(*through.gravity, through.head.in_inches(),
                                                                through.thickness.in_inches())});
    }
    return {tension, en_stored * en_lateral(screw, wood, place.across(), side, penetration), thread};
}

/// What a wood screw of a length holds behind a part; none: it does not reach far enough, or comes out behind.
std::optional<FixingStrength> strength_of(const ScrewProperties& screw, Length length, const HeldPart& part,
                                          const WoodPlace& place) {
    const DrivenThrough& through = part.through;
    const Length gap = place.gap(part);
    const Length penetration = length - through.thickness - gap;
    if (penetration < place.least || penetration > place.framing.stud_depth - back_cover)
        return std::nullopt;
    const ScrewHolds held =
        (place.school == TimberSchool::en ? by_en : by_nds)(screw, length, part, place, penetration);
    return FixingStrength{held.tension,    held.shear,   penetration, held.thread,  through.thickness,
                          through.gravity, through.head, gap,         place.school, place.together(part)};
}

Length middle_distance(const ScrewProperties& screw) {
    return Length::nearest_to_inches(en_middle * screw.diameter_in);
}

/// By EN, for the middle of its stud.
bool too_stout(const ScrewProperties& screw, const WoodPlace& place) {
    return place.school == TimberSchool::en && middle_distance(screw) > place.framing.stud_width / 2;
}

/// Off the edge as far as is sure, and thin enough for its stud.
bool keeps_edge(const ScrewProperties& screw, const WoodPlace& place) {
    return !too_stout(screw, place) && std::ranges::all_of(place.parts, [&](const HeldPart& part) {
        return !part.through.to_edge || edge_distance(screw, place.school) <= *part.through.to_edge;
    });
}

/// The stock length of one gauge that bears the demands best, as rank_fixings() says.
std::optional<FixingChoice> best_length(const WoodScrew& screws, const WoodPlace& place) {
    const ScrewProperties& screw = properties(screws.gauge);
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
        best = FixingChoice{{there, screw.wood_screw_words, length, pilot_diameter(screw, place.wood().gravity),
                             place.wall.lining_thickness() + deepest, place.school == TimberSchool::en ? en5 : nds,
                             Length::nearest_to_inches(screw.diameter_in), screw.coach},
                            governing.utilisation,
                            governing.demand,
                            std::move(at)};
        if (best->utilisation.within())
            break;
    }
    return best;
}

/// The largest gauge of the school's wood screws whose shank passes a hole and that keeps off the wood's edge.
const WoodScrew* screw_for(const Catalogue& catalogue, Length hole, const WoodPlace& place) {
    const WoodScrew* best = nullptr;
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties& screw = properties(stock.gauge);
        if (!screw.coach && screw.school == place.school && Length::nearest_to_inches(screw.diameter_in) <= hole &&
            keeps_edge(screw, place) && (!best || screw.diameter_in > properties(best->gauge).diameter_in))
            best = &stock;
    }
    return best;
}

FixingOption weigh_screw(const WoodScrew& screws, const WoodPlace& place) {
    FixingOption option;
    option.as.gauge = screws.gauge;
    const ScrewProperties& screw = properties(screws.gauge);
    const DrivenThrough& through = place.parts.front().through;
    option.choice.fixing.name = screw.wood_screw_words;
    if (through.hole && Length::nearest_to_inches(screw.diameter_in) > *through.hole)
        option.refused.push_back({"Its shank of {0} does not pass the hole of {1}",
                                  {stock(Length::nearest_to_inches(screw.diameter_in)), stock(*through.hole)}});
    if (too_stout(screw, place))
        option.refused.push_back({"It is too stout for the middle of a stud {0} wide: that wants {1} to either edge",
                                  {stock(place.framing.stud_width), stock(middle_distance(screw))}});
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

bool lining_stands_off(const Wall& wall) {
    return std::ranges::any_of(wall.lining, [](const LiningLayer& layer) {
        return layer.material != LiningMaterial::plaster && layer.material != LiningMaterial::tile;
    });
}

/// How hard an anchor is to set well: 0 like a plug, up to resin.
int practice_for(AnchorKind kind) {
    switch (kind) {
    case AnchorKind::plug:
    case AnchorKind::frame_plug:
    case AnchorKind::cavity_anchor:
    case AnchorKind::self_drilling:
        return 0;
    case AnchorKind::concrete_screw:
    case AnchorKind::toggle:
        return 1;
    case AnchorKind::sleeve_anchor:
    case AnchorKind::wedge_anchor:
        return 2;
    case AnchorKind::resin_bar:
        return 3;
    }
    return 3;
}

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
    case AnchorKind::cavity_anchor:
    case AnchorKind::toggle:
    case AnchorKind::self_drilling:
        return {"steadies, never carries"};
    }
    return {};
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

/// None: no screw of it is long enough.
std::optional<FixingChoice> anchor_choice(const MasonryAnchor& anchor, const FixingGround& ground,
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
    return FixingChoice{{at[governing.part], anchor.name, *length, anchor.hole_diameter,
                         std::max(lining + anchor.embedment, reach) + dust_room,
                         anchor.own ? packet_source : plug_source, anchor.screw_diameter},
                        governing.utilisation,
                        governing.demand,
                        std::move(at)};
}

bool beyond_skill(AnchorKind kind, const HouseRules& rules) {
    return rules.shelves.skill == Skill::everyday && practice_for(kind) >= 2;
}

FixingOption weigh_anchor(const MasonryAnchor& anchor, MasonryKind masonry, const FixingGround& ground,
                          const DrivenThrough& through, const std::vector<HoleDemand>& demands) {
    FixingOption option;
    option.as.anchor = anchor.id;
    option.choice.fixing.name = anchor.name;
    option.why.push_back(good_for(anchor.kind));
    if (!anchor.at_hand)
        option.refused.push_back({"It is not in the van"});
    if (anchor.substrate != masonry)
        option.refused.push_back({"Its figures are for {0}", {words(anchor.substrate)}});
    if (through.hole && anchor.screw_diameter > *through.hole)
        option.refused.push_back(
            {"Its screw of {0} does not pass the hole of {1}", {stock(anchor.screw_diameter), stock(*through.hole)}});
    if (beyond_skill(anchor.kind, ground.rules))
        option.refused.push_back({"Wants a practised hand: say so in the house rules to use it"});
    const auto choice = anchor_choice(anchor, {ground.catalogue, ground.rules, ground.wall}, {{through, demands}});
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
        const ScrewProperties& screw = properties(stock.gauge);
        Ranked& next = ranked.emplace_back(Ranked{{},
                                                  screw.coach ? 1 : 0,
                                                  Utilisation::none(),
                                                  through.hole && !screw.coach ? -screw.diameter_in : screw.diameter_in,
                                                  screw.school != rules.timber});
        if (wood) {
            next.option =
                weigh_screw(stock, {wall, *framing, rules.timber, substrate, parts, rules.penetration_wanted});
        } else {
            next.option.as.gauge = stock.gauge;
            next.option.choice.fixing.name = screw.wood_screw_words;
            next.option.refused.push_back({"There is no wood behind this place for its thread"});
        }
    }
    for (const MasonryAnchor& anchor : catalogue.plugs) {
        Ranked& next = ranked.emplace_back(Ranked{{}, practice_for(anchor.kind)});
        if (masonry) {
            next.option = weigh_anchor(anchor, masonry->kind, ground, through, demands);
            next.used = next.option.choice.utilisation;
        } else {
            next.option.as.anchor = anchor.id;
            next.option.choice.fixing.name = anchor.name;
            next.option.refused.push_back({"It holds in masonry only"});
        }
    }
    for (const LiningAnchor& anchor : catalogue.lining_anchors) {
        Ranked& next = ranked.emplace_back(Ranked{{}, practice_for(anchor.kind), Utilisation::none(), 1});
        next.option.choice.fixing.name = anchor.name;
        next.option.choice.fixing.hole_diameter = anchor.hole_diameter;
        next.option.why.push_back(good_for(anchor.kind));
        next.option.refused.push_back({"In the lining alone: it may steady, never carry"});
    }
    std::ranges::stable_sort(ranked, {}, [](const Ranked& next) {
        return std::tuple{!next.option.refused.empty(), next.foreign, next.practice, next.size, next.used};
    });
    std::vector<FixingOption> options;
    for (Ranked& next : ranked)
        options.push_back(std::move(next.option));
    return options;
}

namespace {

/// The easiest anchor to set of those that bear the demands, of those alike the one loaded least.
std::optional<FixingChoice> choose_anchor(const FixingGround& ground, MasonryKind masonry,
                                          const std::vector<HeldPart>& parts) {
    const std::optional<Length>& hole = parts.front().through.hole;
    std::optional<FixingChoice> best;
    int best_practice = 0;
    for (const MasonryAnchor& anchor : ground.catalogue.plugs) {
        const bool wanted = ground.chosen ? anchor.id == ground.chosen->anchor
                                          : anchor.at_hand && !beyond_skill(anchor.kind, ground.rules);
        if (!wanted || anchor.substrate != masonry || (hole && anchor.screw_diameter > *hole))
            continue;
        const auto choice = anchor_choice(anchor, ground, parts);
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

/// The screw that the fitter chose, where it goes in at all.
std::optional<FixingChoice> chosen_screw(const Catalogue& catalogue, const ChosenFixing& chosen,
                                         const WoodPlace& place) {
    if (!chosen.gauge)
        return std::nullopt;
    const ScrewProperties& screw = properties(*chosen.gauge);
    const std::optional<Length>& hole = place.parts.front().through.hole;
    if ((hole && Length::nearest_to_inches(screw.diameter_in) > *hole) || !keeps_edge(screw, place))
        return std::nullopt;
    WoodScrew stock{*chosen.gauge, {}, {}};
    if (chosen.length > Length{})
        stock.lengths = {chosen.length};
    else if (const auto at_hand = std::ranges::find(catalogue.wood_screws, *chosen.gauge, &WoodScrew::gauge);
             at_hand != catalogue.wood_screws.end())
        stock.lengths = at_hand->lengths;
    return best_length(stock, place);
}

} // namespace

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
        return chosen_screw(catalogue, *chosen, place);
    const DrivenThrough& through = parts.front().through;
    std::optional<FixingChoice> best;
    if (through.hole)
        if (const WoodScrew* stock = screw_for(catalogue, *through.hole, place)) {
            best = best_length(*stock, place);
            if (best && best->utilisation.within())
                return best;
        }
    // Through a metal part where its wood screw does not bear them: coach screws that pass its hole.
    std::vector<const WoodScrew*> stocks;
    for (const WoodScrew& stock : catalogue.wood_screws) {
        const ScrewProperties& screw = properties(stock.gauge);
        const bool suits = through.hole ? screw.coach && Length::nearest_to_inches(screw.diameter_in) <= *through.hole
                                        : screw.coach == through.coach;
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
    return best_length({gauge, {length}, {}},
                       {ground.wall, *framing, ground.rules.timber, Substrate::proved_stud, parts, Length{}});
}

double lasting(const FixingStrength& strength, double duration) {
    if (strength.school == TimberSchool::en)
        return duration > duration_stored ? en_people / en_stored : 1;
    return duration / duration_stored;
}

Utilisation utilisation_of(const FixingStrength& strength, Substrate substrate, const HoleDemand& demand) {
    if (substrate == Substrate::masonry) {
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

std::optional<Length> shelf_screw_length(const Catalogue& catalogue, const HouseRules& rules, Length board,
                                         Length bracket) {
    std::optional<Length> best;
    for (const Length length : catalogue.shelf_screws)
        if (length > bracket && length <= board + bracket - rules.shelf_screw_margin && (!best || length > *best))
            best = length;
    return best;
}

} // namespace yes_square
