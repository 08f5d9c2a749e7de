#include "core/stability/restraint.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/site/plan_hole.hpp"
#include "core/stability/tipping.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// Places behind the piece that may count, left to right.
std::vector<PlannedHole> places_behind(const Piece& piece, const WallSite& site, Length z) {
    std::vector<PlannedHole> places;
    const auto add = [&](Length x, Substrate substrate, std::optional<std::size_t> stud) {
        PlannedHole& place = places.emplace_back();
        place.item = piece.id;
        place.x = x;
        place.z = z;
        place.substrate = substrate;
        place.stud = stud;
        place.drilled = usual_hole;
        plan_hole(site, place);
    };
    const Length from = piece.left + site.rules.tipping.side_inset;
    const Length to = piece.right() - site.rules.tipping.side_inset;
    if (site.masonry()) {
        const int number = std::max(1, piece.restraint.number);
        for (int i = 0; i < number; ++i)
            add(number == 1 ? piece.left + piece.width / 2 : from + (to - from) * i / (number - 1), Substrate::masonry,
                {});
    } else if (const Framing* framing = site.timber()) {
        for (std::size_t i = 0; i < site.survey.studs.size(); ++i)
            if (const Stud& stud = site.survey.studs[i]; stud.state == StudState::proved && stud.centre >= from &&
                                                         stud.centre <= to &&
                                                         holds_usual_screw(*framing, stud, site.rules))
                add(site.screw_place(piece.id, stud), Substrate::proved_stud, i);
    }
    return places;
}

/// So many of them, the outermost first: spread evenly over what there is.
std::vector<PlannedHole> spread(const std::vector<PlannedHole>& all, std::size_t number) {
    if (all.size() <= number)
        return all;
    if (number == 1)
        return {all[all.size() / 2]};
    std::vector<PlannedHole> chosen;
    for (std::size_t i = 0; i < number; ++i)
        chosen.push_back(all[i * (all.size() - 1) / (number - 1)]);
    return chosen;
}

DrivenThrough driven_through(const Piece& piece, const WallSite& site, Length packing) {
    const Restraint& how = piece.restraint;
    const TippingRules& rules = site.rules.tipping;
    if (has_hardware(how.kind))
        return {rules.angle_steel, steel_sheet_bearing, rules.angle_hole};
    const double gravity = specific_gravity(how.wood);
    DrivenThrough through{how.through, wood_bearing(gravity)};
    through.gravity = gravity;
    through.head = site.rules.runs.screw_head;
    // A cleat lies on the wall itself.
    through.packing = how.kind == RestraintKind::cleat ? Length{} : packing;
    return through;
}

} // namespace

bool has_hardware(RestraintKind kind) {
    return kind == RestraintKind::top_brackets || kind == RestraintKind::straps;
}

Length restraint_height(const Piece& piece) {
    return piece.restraint.kind == RestraintKind::top_brackets ? piece.height : piece.height - piece.restraint.down;
}

Length fixing_height(const Piece& piece, const TippingRules& rules) {
    switch (piece.restraint.kind) {
    case RestraintKind::top_brackets:
        return piece.height + rules.angle_up;
    case RestraintKind::straps:
        return restraint_height(piece) - piece.restraint.strap_rise;
    default:
        return restraint_height(piece);
    }
}

Length gap_behind(const Piece& piece, const Wall& wall) {
    if (piece.gap > Length{})
        return piece.gap;
    return wall.skirting_height > Length{} ? wall.skirting_depth : Length{};
}

double slope_cosine(const Restraint& restraint) {
    if (restraint.kind != RestraintKind::straps)
        return 1;
    const double out = restraint.strap_out.in_metres();
    const double length = std::hypot(out, restraint.strap_rise.in_metres());
    return length > 0 ? out / length : 1;
}

std::optional<Sentence> refusal(const Piece& piece, const HouseRules& rules) {
    const Restraint& how = piece.restraint;
    if (how.in_lining)
        return Sentence{"Anchors in the lining do not hold {0} back: they pull out when it begins to fall",
                        {piece.name}};
    if (!has_hardware(how.kind) && how.through <= rules.runs.thin_back)
        return Sentence{"A back or strip of {0} does not hold {1}: the screw's head pulls through it",
                        {quantity(how.through), piece.name}};
    if (restraint_height(piece) <= piece.height / 2)
        return Sentence{"Held at {0}, in its lower half, {1} turns over its restraint",
                        {quantity(restraint_height(piece)), piece.name}};
    return std::nullopt;
}

Force hold_in_cleat(const Restraint& restraint) {
    const ScrewProperties& screw = properties(ScrewGauge::number_8);
    const double in = restraint.through.in_inches();
    // Twice the cleat: long enough for its frame, its thread all the cleat is thick.
    return duration_people * withdrawal_strength(screw, {specific_gravity(restraint.wood)}, 2 * in, in);
}

void hold_piece(const Piece& piece, const WallSite& site, PiecePlan& plan) {
    const Restraint& how = piece.restraint;
    const auto wanted = static_cast<std::size_t>(std::max(1, how.number));
    const bool refused = how.kind == RestraintKind::none || refusal(piece, site.rules);
    if (how.kind != RestraintKind::none && !how.in_lining)
        plan.holes = places_behind(piece, site, fixing_height(piece, site.rules.tipping));
    std::erase_if(plan.holes, [&](const PlannedHole& place) {
        return !no_wall_at(site.wall, place.x, place.z, usual_hole / 2).empty();
    });
    const bool in_strips = std::ranges::any_of(plan.holes, [](const PlannedHole& hole) { return hole.in_strip(); });
    std::vector<PlannedHole> free;
    std::ranges::copy_if(plan.holes, std::back_inserter(free),
                         [](const PlannedHole& place) { return !place.in_strip(); });
    if (!free.empty() || !in_strips)
        plan.holes = spread(free, wanted);
    else
        plan.holes = spread(plan.holes, wanted);
    for (std::size_t i = 0; i < plan.holes.size(); ++i) {
        plan.holes[i].place = i;
        plan.holes[i].what = {"{0}: place {1} that holds it", {piece.name, count(i + 1)}};
    }
    plan.each =
        each_restraint(plan.needs, std::max<std::size_t>(1, plan.holes.size()), slope_cosine(how), site.rules.tipping);
    if (refused || plan.holes.empty())
        return;
    plan.rating_utilisation = Utilisation::of(plan.each, how.rating);
    Length packing = gap_behind(piece, site.wall);
    for (const PlannedHole& place : plan.holes)
        packing = std::max(packing, gap_behind(piece, site.wall) +
                                        site.survey.face.shim_at(place.x, place.z).value_or(Length{}));
    const std::vector<HoleDemand> demands{{plan.each, 0, duration_people, "it begins to tip"}};
    std::vector<SpottedPart> parts;
    for (std::size_t i = 0; i < plan.holes.size(); ++i) {
        PlannedHole& place = plan.holes[i];
        place.spot.place = static_cast<int>(i) + 1;
        HeldPart part{driven_through(piece, site, packing), demands};
        if (const Framing* framing = site.timber(); framing && place.stud)
            part.through.to_edge = to_edge_of(*framing, site.survey.studs[*place.stud], place.x, site.rules);
        parts.push_back({std::move(part), place.spot, i}); // each place bears its own share
    }
    const Substrate ground = plan.holes.front().substrate;
    const bool given = how.gauge && how.screw_length > Length{} && site.timber();
    const FixedGroup fixed =
        choose_each(parts, site.chosen, [&](const ChosenFixing* chosen, const std::vector<HeldPart>& held) {
            return given ? weigh_given(*how.gauge, how.screw_length, site.fixings(chosen), held)
                         : choose_fixing(site.fixings(chosen), ground, held);
        });
    if (!fixed.worst)
        return;
    plan.fixing = fixed.worst->fixing;
    plan.fixing_utilisation = fixed.worst->utilisation;
    for (std::size_t i = 0; i < plan.holes.size(); ++i) {
        PlannedHole& place = plan.holes[i];
        place.demands = demands;
        place.fixing = fixed.parts[i]->fixing;
        place.strength = fixed.parts[i]->strength;
        place.utilisation = utilisation_of(place.strength, ground, demands);
        plan_hole(site, place);
    }
    if (const Force one = how.kind == RestraintKind::cleat ? hold_in_cleat(how) : Force{}; one > 0)
        plan.frame_screws = plan.holes.size() * static_cast<std::size_t>(std::ceil(plan.each / one));
}

} // namespace yes_square
