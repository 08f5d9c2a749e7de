#include "core/battens/reckon_batten.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/fixings/used_working.hpp"
#include "core/measure/conversions.hpp"
#include "core/shelves/cleats.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/evenly.hpp"
#include "core/site/lifting.hpp"
#include "core/site/plan_hole.hpp"
#include "core/site/site_checks.hpp"
#include "core/statics/beam.hpp"

#include <algorithm>

namespace yes_square {
namespace {

using sources::derived;
using sources::house;
using sources::measured;

class BattenReckoner : CheckWriter {
public:
    BattenReckoner(const Batten& batten, const WallSite& site, BattenPlan& plan)
        : CheckWriter{plan.checks, batten.left + batten.length / 2, batten.top}
        , batten_{batten}
        , site_{site}
        , plan_{plan} {}

    void reckon() {
        plan_.id = batten_.id;
        plan_.name = batten_.name;
        plan_.lines = {{false, {"{0}: its upper edge", {batten_.name}}, batten_.left, batten_.top, batten_.right()}};
        plan_.parts = {strip_part(batten_.id, {"batten of {0}", {batten_.name}}, batten_.length, batten_.breadth,
                                  batten_.thickness)};
        if (batten_.use == BattenUse::pegs && batten_.pegs > 0)
            plan_.supplies = {{KitGroup::hardware, "peg", {"Peg"}, static_cast<std::size_t>(batten_.pegs)}};
        plan_.load = line_load() * batten_.length;
        find_places();
        weigh();
        for (PlannedHole& hole : plan_.holes)
            plan_hole(site_, hole);
        check();
        work();
        steps();
    }

private:
    LineLoad goods_load() const { return weight_of(batten_.per_metre); }
    LineLoad own_load() const {
        // Its gravity is dry wood's over water's: 1,000 kg to the cubic metre.
        return weight_of(specific_gravity(batten_.wood) * 1000_kg_m3 * batten_.breadth * batten_.thickness);
    }
    LineLoad line_load() const { return goods_load() + own_load(); }
    /// How far off the wall what is on it acts, from the wall's face.
    Length acts_at() const { return batten_.use == BattenUse::pegs ? batten_.out : batten_.thickness / 2; }
    /// Somebody hangs from pegs however high they are; on a ledger people lean below the house rule's height.
    Force leaning() const {
        const bool within_reach = batten_.use == BattenUse::pegs || batten_.top < site_.rules.accidental_below;
        return within_reach ? site_.rules.accidental : Force{};
    }

    void find_places() {
        const Length inset = std::min(site_.rules.strips.end_inset, batten_.length / 4);
        const Length from = batten_.left + inset;
        const Length to = batten_.right() - inset;
        const auto add = [&](Length x, Substrate substrate, std::optional<std::size_t> stud) {
            PlannedHole& hole = plan_.holes.emplace_back();
            hole.item = batten_.id;
            hole.place = plan_.holes.size() - 1;
            hole.what = {"{0}: screw {1}", {batten_.name, count(hole.place + 1)}};
            hole.x = x;
            hole.z = batten_.top - batten_.breadth / 2;
            hole.substrate = substrate;
            hole.stud = stud;
            hole.through = batten_.thickness;
            hole.packing = site_.survey.face.shim_at(hole.x, hole.z).value_or(Length{});
        };
        if (site_.masonry()) {
            for (const Length x : evenly(from, to, site_.rules.strips.masonry_every))
                add(x, Substrate::masonry, {});
        } else if (const Framing* framing = site_.timber()) {
            for (std::size_t i = 0; i < site_.survey.studs.size(); ++i) {
                const Stud& stud = site_.survey.studs[i];
                if (stud.centre < from || stud.centre > to || !holds_usual_screw(*framing, stud, site_.rules))
                    continue;
                add(site_.screw_place(batten_.id, stud), substrate_of(stud.state), i);
            }
        }
        std::ranges::sort(plan_.holes, {}, &PlannedHole::x);
        for (std::size_t i = 0; i < plan_.holes.size(); ++i)
            plan_.holes[i].spot = {{}, static_cast<int>(i) + 1, 0};
    }

    /// What comes on each screw: goods for good, and with somebody leaning.
    void weigh() {
        if (plan_.holes.size() < 2)
            return;
        Beam beam{batten_.length.in_metres(),
                  {},
                  Stiffness::newton_square_metres(1)}; // as stiff all along: reactions do not depend on it
        for (const PlannedHole& hole : plan_.holes)
            beam.supports.push_back((hole.x - batten_.left).in_metres());
        BeamLoad load;
        load.permanent = own_load();
        load.variable = goods_load();
        load.accidental = leaning();
        std::vector<Reaction> worst = analyse(beam, load, 0).reactions;
        for (std::size_t i = 1; i + 1 < plan_.holes.size(); ++i)
            beam.joints.push_back(i);
        const std::vector<Reaction> cut = analyse(beam, load, 0).reactions;
        std::vector<SpottedPart> parts;
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            PlannedHole& hole = plan_.holes[i];
            hole.demands = {demand(std::max(worst[i].sustained, cut[i].sustained), duration_stored, "goods")};
            if (leaning() > 0)
                hole.demands.push_back(demand(std::max(worst[i].greatest, cut[i].greatest), duration_people,
                                              "somebody leans or hangs on it"));
            HeldPart& part = parts
                                 .emplace_back(SpottedPart{
                                     {DrivenThrough::strip(batten_.thickness, batten_.wood), hole.demands}, hole.spot})
                                 .part;
            part.through.packing = hole.packing;
            if (const Framing* framing = site_.timber(); framing && hole.stud)
                part.through.to_edge = to_edge_of(*framing, site_.survey.studs[*hole.stud], hole.x, site_.rules);
        }
        const Substrate ground = site_.masonry() ? Substrate::masonry : Substrate::proved_stud;
        const FixedGroup fixed = choose_each(site_.fixings(), site_.chosen, ground, parts);
        for (std::size_t i = 0; i < plan_.holes.size(); ++i)
            if (const auto& part = fixed.parts[i]) {
                PlannedHole& hole = plan_.holes[i];
                hole.fixing = part->fixing;
                hole.strength = part->strength;
                hole.utilisation = utilisation_of(hole.strength, ground, hole.demands);
            }
        if (fixed.worst)
            plan_.utilisation = fixed.worst->utilisation;
    }

    HoleDemand demand(Force load, double duration, std::string_view when) const {
        HoleDemand of = cleat_screw_demand(load, batten_.breadth, 2 * acts_at(), site_.rules.strips.pivot, duration);
        of.when = when;
        return of;
    }

    void check() {
        if (plan_.holes.empty())
            advise(add(checks::no_stud, Severity::error,
                       {"No stud behind {0} is known well enough for a screw", {batten_.name}}),
                   {"Prove the studs behind it with a probe, move it, or put wood behind the lining first"});
        else if (plan_.holes.size() == 1)
            advise(add(checks::one_stud, Severity::error,
                       {"{0} would hang on one screw and turn about it", {batten_.name}}),
                   {"Make it long enough for two studs"});
        for (const PlannedHole& hole : plan_.holes)
            place(hole);
        if (plan_.holes.size() < 2)
            return;
        if (!plan_.utilisation.known())
            advise(add(checks::no_fixing, {"No screw or plug at hand holds {0} to this wall", {batten_.name}}),
                   {"Add a longer screw, or a plug for this wall, to those at hand"});
        else if (plan_.utilisation.over())
            advise(add(checks::fixing_overloaded,
                       {"{0} uses its worst screw to {1} of what it holds", {batten_.name, ratio(plan_.utilisation)}},
                       ratio(plan_.utilisation)),
                   {"Less on it, a broader batten, or more studs behind it"});
        for (std::size_t i = 1; i < plan_.holes.size(); ++i)
            if (const Length apart = plan_.holes[i].x - plan_.holes[i - 1].x; apart > site_.rules.spacing_most)
                advise(add(checks::spacing_over_limit, Severity::warning,
                           {"{0}: {1} between two screws, {2} more than the most",
                            {batten_.name, quantity(apart), quantity(apart - site_.rules.spacing_most)}},
                           quantity(apart), plan_.holes[i].x, plan_.holes[i].z),
                       {"Prove the stud between them"});
    }

    void place(const PlannedHole& hole) {
        if (hole.substrate == Substrate::assumed_stud)
            advise(add(checks::stud_assumed,
                       {"{0}: the stud at {1} is only assumed", {batten_.name, site_.along(hole.x)}}, std::nullopt,
                       hole.x, hole.z),
                   {"Probe both its edges and enter it as proved"});
        if (hole.substrate == Substrate::detected_stud)
            add(checks::stud_detected,
                {"{0}: a detector found the stud at {1}; its first pilot hole is the proof",
                 {batten_.name, site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        if (hole.substrate == Substrate::indicated_stud)
            advise(add(checks::stud_indicated, Severity::warning,
                       {"{0}: the stud at {1} is indicated, not proved", {batten_.name, site_.along(hole.x)}},
                       std::nullopt, hole.x, hole.z),
                   {"Probe both its edges and enter it as proved"});
    }

    void work() {
        plan_.workings.push_back({"load",
                                  {"What {0} carries, with itself", {batten_.name}},
                                  "({0} + {1}) x {2}",
                                  {{"what hangs or lies on it", quantity(goods_load()), measured},
                                   {"its own weight", quantity(own_load()), derived},
                                   {"length", quantity(batten_.length), measured}},
                                  quantity(plan_.load),
                                  derived});
        const auto worst = std::ranges::max_element(plan_.holes, {}, &PlannedHole::utilisation);
        if (worst == plan_.holes.end() || !worst->fixing)
            return;
        const HoleDemand& last = worst->demands.back();
        plan_.workings.push_back({"pull",
                                  {"The worst screw is pulled, {0}", {last.when}},
                                  "{0} x {1} / ({2} / 2 - {3})",
                                  {{"load on it", quantity(last.down), derived},
                                   {"off the wall", quantity(acts_at()), measured},
                                   {"breadth", quantity(batten_.breadth), measured},
                                   {"it turns about, over its lower edge", quantity(site_.rules.strips.pivot), house}},
                                  quantity(last.tension),
                                  derived});
        plan_.workings.push_back(used_working("fixing", {"Its worst screw is used to"}, worst->strength,
                                              site_.masonry() ? Substrate::masonry : Substrate::proved_stud,
                                              worst->demands, worst->fixing->source));
    }

    void steps() {
        const auto step = [&](Phase phase, Sentence words, bool hold = false, int persons = 1) {
            plan_.steps.push_back({std::move(words), hold, phase, persons});
        };
        step(Phase::ready,
             {"Cut it to {0}, take its edges off, drill its screw holes through", {quantity(batten_.length)}});
        plan_.steps.push_back(detector_step());
        step(Phase::mark, {"Strike its upper edge level, {0} above the datum", {quantity(batten_.top)}});
        if (plan_.holes.empty() || !plan_.holes.front().fixing)
            return;
        const Fixing& fixing = *plan_.holes.front().fixing;
        step(Phase::drill,
             {"Drill {0}, tape on the bit at {1}", {stock(fixing.hole_diameter), stock(fixing.drill_depth)}});
        const Lift lift = lift_of(mass_of(own_load() * batten_.length), batten_.top - batten_.breadth / 2, batten_.top,
                                  false, site_.rules.runs);
        Step hung = lifting({"One screw in the middle, level it, then the others: {0}, {1} long",
                             {fixing.name, stock(fixing.screw_length)}},
                            Phase::hang, lift, false);
        hung.persons = std::max(hung.persons, batten_.length > site_.rules.strips.alone_up_to ? 2 : 1);
        plan_.steps.push_back(std::move(hung));
        step(Phase::prove, {"Pull on each end and in the middle: nothing may move"}, true);
    }

    const Batten& batten_;
    const WallSite& site_;
    BattenPlan& plan_;
};

} // namespace

Batten new_batten(const Wall& wall) {
    Batten batten;
    batten.name = "Batten";
    batten.length = std::min(1200_mm, wall.length);
    batten.left = (wall.length - batten.length) / 2;
    batten.top = std::min(1700_mm, highest_top(wall));
    batten.pegs = 6;
    return batten;
}

BattenPlan reckon_thing(const Batten& batten, const WallSite& site) {
    BattenPlan plan;
    BattenReckoner{batten, site, plan}.reckon();
    return plan;
}

} // namespace yes_square
