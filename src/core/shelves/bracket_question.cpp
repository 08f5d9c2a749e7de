#include "core/shelves/layouts.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/shelves/fix_place.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <cmath>

/// From a shelf and its wall to what the search is asked.
namespace yes_square {
namespace {

constexpr double simple_span_sag = 5.0 / 384;
constexpr double continuous_span_sag = 0.0100;

/// Where no bracket centre may be, from the shelf's left end: strips that do not run along the whole shelf, things a
/// leg would foul, and what is cut out of the board over an arm.
std::vector<Interval> keep_outs(const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    const Bracket& bracket = carrier.bracket;
    std::vector<Interval> intervals;
    std::vector<Outline> legs; // wherever along the shelf
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        const Length under = shelf.top_of(tier) - shelf.thickness;
        legs.push_back({shelf.left, shelf.right(), under + carrier.bottom(), under + carrier.over});
    }
    const auto in_the_way = [&](const Outline& box) {
        return std::ranges::any_of(legs, [&](const Outline& leg) { return box.overlaps(leg); });
    };
    const auto keep_out = [&](const Outline& box, Length margin) {
        if (!in_the_way(box) || (box.left <= shelf.left && box.right >= shelf.right()))
            return;
        intervals.push_back({box.left - margin - shelf.left, box.right + margin - shelf.left});
    };
    for (const Strip& strip : site.survey.strips)
        keep_out(box_of(strip), bracket.hole_diameter / 2 + bracket.off_middle());
    for (const Obstacle& obstacle : site.wall.obstacles)
        keep_out(box_of(obstacle), bracket.width / 2);
    for (const Opening& opening : site.wall.openings)
        keep_out(box_of(opening), bracket.width / 2);
    for (const ServicePoint& service : site.wall.services)
        if (!service.far_side)
            keep_out(box_of(service), bracket.width / 2);
    if (way_of(shelf).is_board())
        for (const CutOut& cut : shelf.cut_outs)
            if (cut.back < bracket.arm)
                intervals.push_back({cut.across - bracket.width / 2, cut.right() + bracket.width / 2});
    if (!legs.empty())
        each_other_board(site, shelf, legs.front().joined(legs.back()),
                         [&](const Shelf&, const Outline& board) { keep_out(board, bracket.width / 2); });
    return intervals;
}

Length span_keeping_limit(double coefficient, double limit_divisor, LineLoad load, Stiffness stiffness) {
    // c w L^4 / EI = L / n  =>  L = cbrt(EI / (c n w))
    return Length::nearest_to_metres(
        std::min(100.0, std::cbrt((stiffness / (coefficient * limit_divisor * load)).in_si())));
}

/// The studs that could be under a shelf, with how far off each one's middle a fixing may stand.
std::vector<StudUnder> studs_under(const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    const Framing* framing = site.timber();
    if (!framing)
        return {};
    const HouseRules& rules = site.rules;
    const Bracket& bracket = carrier.bracket;
    std::vector<StudUnder> studs;
    const WoodScrew* screw = carrier.rod ? nullptr : screw_for(site.catalogue, rules.timber, bracket.hole_diameter);
    const double diameter = carrier.rod ? bracket.leg.in_inches() : screw ? properties(screw->gauge).diameter_in : 0.25;
    const Driven driven = carrier.rod ? Driven::rod : Driven::screw;
    for (const Stud& stud : site.survey.studs) {
        // One just beyond an end still leaves no room for a nogging beside it.
        const Length blocked = blocked_half_width(*framing, rules);
        if (stud.centre < shelf.left - blocked || stud.centre > shelf.right() + blocked)
            continue;
        studs.push_back({stud.centre - shelf.left,
                         std::max(Length{}, usable_half_width(*framing, stud.uncertainty, diameter, rules, driven) -
                                                bracket.off_middle()),
                         substrate_of(stud.state), blocked});
    }
    return studs;
}

/// Where the middles of brackets are that holes were made for, from the shelf's left end. A hole beside its leg's
/// middle is known by its height; where two of a leg are alike in that, by the middle that others share, or a stud.
std::vector<Length> made_places(const Shelf& shelf, const WallSite& site, const Carrier& carrier,
                                const std::vector<StudUnder>& studs) {
    const Bracket& bracket = carrier.bracket;
    const Length near = site.rules.fitting.same_hole;
    std::vector<std::vector<Length>> may_be; // of each made hole
    for (const MadeHole& hole : site.wall.made) {
        if (hole.item != shelf.id || hole.x <= shelf.left || hole.x >= shelf.right())
            continue;
        std::vector<Length>& middles = may_be.emplace_back();
        for (int tier = 0; tier < shelf.tiers && bracket.off_middle() > Length{}; ++tier)
            for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
                if (absolute(shelf.top_of(tier) - shelf.thickness + carrier.over - bracket.hole_drops[row] - hole.z) <=
                    near)
                    middles.push_back(hole.x - bracket.across(row) - shelf.left);
        if (middles.empty())
            middles.push_back(hole.x - shelf.left);
    }
    const auto shared = [&](Length middle) {
        return std::ranges::count_if(may_be, [&](const std::vector<Length>& middles) {
            return std::ranges::any_of(middles, [&](Length other) { return absolute(other - middle) <= near; });
        });
    };
    const auto off_stud = [&](Length middle) {
        Length least = shelf.length;
        for (const StudUnder& stud : studs)
            least = std::min(least, absolute(stud.place - middle));
        return least;
    };
    std::vector<Length> places;
    for (const std::vector<Length>& middles : may_be) {
        const Length middle = *std::ranges::max_element(middles, {}, [&](Length each) {
            return std::pair{shared(each), Length{} - off_stud(each)};
        });
        if (middle > Length{} && middle < shelf.length &&
            (bracket.off_middle() == Length{} ||
             std::ranges::none_of(places, [&](Length place) { return absolute(place - middle) <= near; })))
            places.push_back(middle);
    }
    return places;
}

} // namespace

BracketQuestion bracket_question(const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    const HouseRules& rules = site.rules;
    const Bracket& bracket = carrier.bracket;
    BracketQuestion question;
    question.length = shelf.length;
    question.solid_wall = site.masonry();
    question.noggings = site.open_framing();
    question.studs = studs_under(shelf, site, carrier);
    question.keep_outs = keep_outs(shelf, site, carrier);
    for (const Length joint : shelf.joints)
        if (joint > Length{} && joint < shelf.length)
            question.musts.push_back(joint);
    for (const Length hanger : shelf.hangers) {
        if (hanger <= Length{} || hanger >= shelf.length)
            continue;
        question.hangers.push_back({hanger, {}, hold_of_hanger(shelf.left + hanger, site)});
        question.musts.push_back(hanger);
    }
    std::ranges::sort(question.musts);
    question.made_alone = shelf.drilled;
    question.made = made_places(shelf, site, carrier, question.studs);
    for (const Length pin : shelf.pins)
        if (pin > Length{} && pin < shelf.length)
            question.made.push_back(pin);
    if (way_of(shelf).chooses_bracket())
        for (const OtherSupport& other : shelf.others) {
            const Length at = shelf.place_of(other);
            if (at <= Length{} || at >= shelf.length)
                continue;
            question.made.push_back(at);
            if (other.kind != OtherKind::rod && other.kind != OtherKind::angled_screw)
                question.hangers.push_back(
                    {at, {}, other.kind == OtherKind::leg ? Substrate::floor : Substrate::side_wall});
        }
    std::ranges::sort(question.made);
    question.made.erase(std::ranges::unique(question.made).begin(), question.made.end());

    const ShelfLoads loads = loads_of(shelf, rules);
    const LineLoad creeping_load = (loads.self_load + loads.goods_load) * (1 + creep_factor(shelf, site.service_class));
    const double limit = divisor(rules.sag_limit);
    const Stiffness stiffness = way_of(shelf).section(shelf).stiffness;
    const auto capped = [&](double coefficient) {
        return std::max(rules.spacing_least,
                        std::min(carrier.most, span_keeping_limit(coefficient, limit, creeping_load, stiffness)));
    };
    question.spacing_least = rules.spacing_least;
    question.spacing_good = std::min(rules.spacing_good, carrier.most);
    question.spacing_two = capped(simple_span_sag);
    question.spacing_more = capped(continuous_span_sag);
    question.inset_least = std::max(rules.inset_least, bracket.width / 2);
    question.inset_usual = std::max(rules.inset_usual, question.inset_least);
    question.overhang_most = std::max(rules.overhang_most, question.inset_usual);
    return question;
}

} // namespace yes_square
