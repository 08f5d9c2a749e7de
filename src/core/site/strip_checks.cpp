#include "core/site/strip_checks.hpp"

#include "core/plan/outline.hpp"
#include "core/site/check_writer.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Holes that lie in one strip.
struct InStrip {
    const Strip& strip;
    std::size_t holes;
    const PlannedHole& first; ///< from the left
    Outline swept;            ///< the part of the wall to go over: all of them, with room round them
    bool inferred() const { return strip.basis == Strip::Basis::inferred; }
};

std::vector<InStrip> in_strips(const std::vector<PlannedHole>& holes, const std::vector<Strip>& strips, Length sweep) {
    std::vector<InStrip> met;
    for (std::size_t s = 0; s < strips.size(); ++s) {
        std::vector<const PlannedHole*> inside;
        for (const PlannedHole& hole : holes)
            // What is drilled is drilled: a guess says nothing of it any more.
            if (hole.in_strip(s) && !(hole.made && strips[s].basis == Strip::Basis::inferred))
                inside.push_back(&hole);
        if (inside.empty())
            continue;
        const auto round = [&](const PlannedHole& hole) {
            const Length reach = hole.radius + sweep;
            return Outline{hole.x - reach, hole.x + reach, hole.z - reach, hole.z + reach};
        };
        Outline swept = round(*inside.front());
        for (const PlannedHole* hole : inside)
            swept = swept.joined(round(*hole));
        met.push_back({strips[s], inside.size(), **std::ranges::min_element(inside, {}, &PlannedHole::x), swept});
    }
    return met;
}

/// @param of  whose they are, where the thing has several: a unit, its rail
Sentence words_of(const std::string& of, const InStrip& in, const WallSite& site) {
    const bool one = in.holes == 1;
    if (of.empty())
        return {in.inferred()
                    ? one ? std::string_view{"The hole at {1} lies where {2} is likely; detect before you drill"}
                          : "{0} holes, the first at {1}, lie where {2} is likely; detect before you drill"
                : one ? "The hole at {1} lies in {2}"
                      : "{0} holes, the first at {1}, lie in {2}",
                {count(in.holes), site.along(in.first.x), in.strip.what}};
    return {in.inferred()
                ? one ? std::string_view{"{3}: the hole at {1} lies where {2} is likely; detect before you drill"}
                      : "{3}: {0} holes, the first at {1}, lie where {2} is likely; detect before you drill"
            : one ? "{3}: the hole at {1} lies in {2}"
                  : "{3}: {0} holes, the first at {1}, lie in {2}",
            {count(in.holes), site.along(in.first.x), in.strip.what, of}};
}

} // namespace

std::vector<Check> strip_checks(const std::string& of, const std::vector<PlannedHole>& holes, const WallSite& site) {
    std::vector<Check> found;
    for (const InStrip& in : in_strips(holes, site.survey.strips, site.rules.detector_sweep)) {
        Check& check = add_check(found, in.inferred() ? checks::detect_first : checks::in_service_strip,
                                 words_of(of, in, site), std::nullopt, in.first.x, in.first.z);
        const Outline& swept = in.swept;
        if (in.inferred())
            check.cures.push_back(
                {{"Go over {0} to {1} along and {2} to {3} up with a detector, and enter what it reads "
                  "under Survey, Services: where it reads clear you may drill",
                  {site.near(swept.left, swept.right), site.far(swept.left, swept.right), quantity(swept.bottom),
                   quantity(swept.top)}},
                 {}});
        else if (in.strip.basis == Strip::Basis::detected)
            check.cures.push_back({{"Move it, or have the service moved or taken out by who may do that"}, {}});
        else
            check.cures.push_back({{"Move it, or let that part of the wall be drilled"}, {}});
    }
    return found;
}

void say_pilot_first(ThingPlan& thing, const WallSite& site) {
    std::vector<std::size_t> said;
    std::vector<Step> steps;
    for (const PlannedHole& hole : thing.holes) {
        if (hole.substrate != Substrate::detected_stud || !hole.stud || hole.passes.empty() || hole.made ||
            std::ranges::find(said, *hole.stud) != said.end())
            continue;
        said.push_back(*hole.stud);
        steps.push_back(
            {{"A detector alone found the stud at {0}. Drill one pilot hole in it first, at {0} and {1} up: "
              "wood on the bit all the way proves it. None: stop, enter it, the plan changes",
              {site.along(hole.x), quantity(hole.z)}},
             true,
             Phase::drill});
    }
    const auto drilling = std::ranges::find(thing.steps, Phase::drill, &Step::phase);
    thing.steps.insert(drilling, steps.begin(), steps.end());
}

void say_detect_first(ThingPlan& thing, const WallSite& site) {
    std::vector<Step> steps;
    for (const InStrip& in : in_strips(thing.holes, site.survey.strips, site.rules.detector_sweep)) {
        if (!in.inferred())
            continue;
        const Outline& swept = in.swept;
        steps.push_back(
            {{in.holes == 1
                  ? std::string_view{"Before the hole at {4}: go over {0} to {1} along and {2} to {3} up with "
                                     "a detector; {5} is likely there. Clear: enter it and drill. Else stop"}
                  : "Before {6} holes, the first at {4}: go over {0} to {1} along and {2} to {3} up with a "
                    "detector; {5} is likely there. Clear: enter it and drill. Else stop",
              {site.near(swept.left, swept.right), site.far(swept.left, swept.right), quantity(swept.bottom),
               quantity(swept.top), site.along(in.first.x), in.strip.what, count(in.holes)}},
             true});
    }
    const auto detector =
        std::ranges::find_if(thing.steps, [](const Step& step) { return step.words == detector_step().words; });
    thing.steps.insert(detector == thing.steps.end() ? thing.steps.begin() : detector + 1, steps.begin(), steps.end());
}

} // namespace yes_square
