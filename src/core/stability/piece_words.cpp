#include "core/stability/piece_words.hpp"

#include "core/fixings/drilling.hpp"
#include "core/fixings/used_working.hpp"
#include "core/job/field_visits.hpp"
#include "core/stability/restraint.hpp"

#include <algorithm>
#include <array>

namespace yes_square {
namespace {

constexpr Source statics{Provenance::derived};
constexpr Source tip_test{Provenance::from_memory, "ASTM F2057-23"};
constexpr Source restraint_test{Provenance::from_memory, "ASTM F3096-14"};
using sources::house;
using sources::measured;

/// "1, 3": of the places that are fixed so.
std::string numbers_of(const FixedAlike& alike) {
    std::string numbers;
    for (const PlannedHole* hole : alike.holes)
        numbers += (numbers.empty() ? "" : ", ") + std::to_string(hole->place + 1);
    return numbers;
}

Source source_of(const TipCase& tip) {
    if (tip.kind == TipCaseKind::closed_pulled)
        return house;
    return tip.kind == TipCaseKind::closed ? statics : tip_test;
}

Working working_of(const TipCase& tip, std::size_t number) {
    static constexpr std::array<std::string_view, 6> subjects{"case/1", "case/2", "case/3",
                                                              "case/4", "case/5", "case/6"};
    Working working;
    working.subject = subjects.at(number);
    working.title = {"{0}: what is left over to hold it", {words(tip.kind)}};
    working.sum = "{0} - {1}";
    working.terms = {{"what rights it", quantity(tip.balance.righting), statics},
                     {"what turns it over", quantity(tip.balance.over), statics}};
    working.result = quantity(tip.balance.margin());
    working.source = source_of(tip);
    for (const TipWeight& weight : tip.weights)
        working.facts.push_back(
            {weight.back >= 0 ? std::string_view{"{0}: {1}, {2} behind the line of its front feet, {3} up"}
                              : "{0}: {1}, {2} before the line of its front feet, {3} up",
             {weight.what, quantity(weight.mass), quantity(Length::nearest_to_metres(std::abs(weight.back))),
              quantity(Length::nearest_to_metres(weight.up))}});
    if (tip.pull)
        working.facts.push_back(
            {"pulled with {0} at {1}", {quantity(tip.pull->force), quantity(Length::nearest_to_metres(tip.pull->up))}});
    if (tip.lean != 0)
        working.facts.push_back({"leaning forward by {0} as it stands", {angle(tip.lean)}});
    working.facts.push_back(tip.balance.goes_at > 0 ? Sentence{"it goes by itself at {0}", {angle(tip.balance.goes_at)}}
                                                    : Sentence{"it goes where it stands, level"});
    working.facts.push_back({"goods count only where they turn it over: they may be taken out"});
    return working;
}

} // namespace

std::string_view words(RestraintKind kind) {
    return enum_words(kind);
}

std::vector<Working> workings_of(const Piece& piece, const PiecePlan& plan, const WallSite& site) {
    const TippingRules& rules = site.rules.tipping;
    std::vector<Working> workings;
    for (std::size_t i = 0; i < plan.cases.size(); ++i)
        workings.push_back(working_of(plan.cases[i], i));
    if (plan.cases.empty())
        return workings;
    const TipBalance& worst = plan.cases[plan.worst].balance;
    Working needs{"restraint",
                  {"What holds it must bear, all together"},
                  "max(({0} x {1} - {2} x {3}) / {4}, 0)",
                  {{"on what turns it over", ratio(rules.over_factor), house},
                   {"what turns it over, worst", quantity(worst.over), statics},
                   {"on what rights it", ratio(rules.righting_factor), house},
                   {"what rights it", quantity(worst.righting), statics},
                   {"height of the restraint", quantity(plan.restraint_height), measured}},
                  quantity(plan.needs),
                  statics};
    needs.facts.push_back({"worst: {0}", {words(plan.cases[plan.worst].kind)}});
    needs.facts.push_back({"never less than nothing"});
    workings.push_back(std::move(needs));
    // One place bears all, each of two or more its share, and none less than the test's load.
    Working each{"each", {"One of them must bear"}, "max({0} x {1}, {2})", {}, quantity(plan.each), restraint_test};
    each.terms = {{"all together", quantity(plan.needs), statics},
                  {"share of each", ratio(plan.holes.size() > 1 ? rules.pair_share : 1.0), house},
                  {"least strength", quantity(rules.restraint_least), restraint_test}};
    each.facts.push_back({"places that count: {0}", {count(plan.holes.size())}});
    if (slope_cosine(piece.restraint) < 1) {
        each.sum = "max({0} x {1}, {2}) / {3}";
        each.terms.push_back({"for a sloping strap", ratio(slope_cosine(piece.restraint)), statics});
    }
    workings.push_back(std::move(each));
    if (plan.fixing && plan.fixing_utilisation.known()) {
        Working fixing =
            used_working("fixing", {"The screw is used to"}, plan.fixing->strength(), plan.holes.front().substrate,
                         {{plan.each, 0, duration_people}}, plan.fixing->source);
        fixing.facts.push_back(
            {"{0}, {1} long, {2} of it in the wood or masonry",
             {plan.fixing->name, stock(plan.fixing->screw_length), stock(plan.fixing->penetration)}});
        if (plan.fixing->thread > Length{})
            fixing.facts.push_back({"thread that grips: {0}", {stock(plan.fixing->thread)}});
        workings.push_back(std::move(fixing));
    }
    return workings;
}

std::vector<Sentence> tipping_cautions() {
    return {{"Nobody stands in front of it while it is loose: it falls faster than one can step aside"},
            {"Heavy things go into its lowest drawers; no television stands on it"},
            {"Nothing that children want lies on top"},
            {"Its maker's anchor kit and instructions, and local code, come first where they ask for more"}};
}

std::vector<Step> steps_of(const Piece& piece, const PiecePlan& plan, const WallSite& site) {
    std::vector<Step> steps;
    Phase phase = Phase::ready;
    const auto step = [&](Sentence words, bool hold = false) { steps.push_back({std::move(words), hold, phase}); };
    const Restraint& how = piece.restraint;
    if (how.kind == RestraintKind::none)
        return steps;
    steps.push_back(detector_step());
    if (std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; }))
        step({"Clear the errors first: as it stands {0} is not held", {piece.name}}, true);
    step({"Empty it and take its drawers out; set it where it stays and pack its feet level, none of them loose"});
    phase = Phase::mark;
    for (const PlannedHole& place : plan.holes)
        step({"Mark {0} from the reference end, {1} up", {site.along(place.x), quantity(place.z)}});
    const Length gap = gap_behind(piece, site.wall);
    phase = Phase::hang;
    switch (how.kind) {
    case RestraintKind::through_frame:
        if (gap > Length{})
            step({"Pack between its back and the wall at each screw: {0}", {quantity(gap)}});
        step({"Drill its frame, {0} of solid wood at least, never the thin back, and put a washer under each head",
              {quantity(how.through)}});
        break;
    case RestraintKind::top_brackets:
        step({"Screw the brackets to the wall first, their arms level with its top; then down into its top, into solid "
              "wood"});
        break;
    case RestraintKind::straps:
        step({"Screw the straps to the wall and to solid wood of its back, and draw them tight"});
        break;
    case RestraintKind::cleat:
        step({"Screw the cleat to the wall at the marks, level, its upper edge under what it holds"});
        step({"Screw the frame of {0} to the cleat: {1} screws, #8 or thicker, all the cleat's thickness into it",
              {piece.name, count(plan.frame_screws)}},
             true);
        break;
    case RestraintKind::none:
        break;
    }
    const std::vector<FixedAlike> fixings = fixed_alike(plan.holes);
    for (const FixedAlike& alike : fixings)
        step(
            {fixings.size() == 1
                 ? std::string_view{"Each place: {0}, {1} long; pilot {2}, tape on the bit at {3} from the face of the "
                                    "wall"}
                 : "Place {4}: {0}, {1} long; pilot {2}, tape on the bit at {3} from the face of the wall",
             {alike.fixing().name, stock(alike.fixing().screw_length), stock(alike.fixing().hole_diameter),
              stock(alike.fixing().drill_depth), numbers_of(alike)}});
    phase = Phase::prove;
    step(
        {"Pull at its top with its drawers and doors open, a second adult beside it: nothing may move. Then do it once "
         "more with the drawers in and loaded"},
        true);
    step({"Write into the record who pulled, and when"});
    return steps;
}

} // namespace yes_square
