#include "core/boxes/audit_cabinet.hpp"

#include "core/fixings/used_working.hpp"
#include "core/runs/hang_unit.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/plan_hole.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace yes_square {
namespace {

class Auditor : CheckWriter {
public:
    Auditor(const HungCabinet& hung, const WallSite& site, HungPlan& plan)
        : CheckWriter{plan.checks, hung.left, hung.top}
        , hung_{hung}
        , sure_{proved_only(site.survey)}
        , site_{site.with(sure_)}
        , rails_{rails_of(hung.unit, site.rules.runs)}
        , plan_{plan} {
        look_at_found();
    }

    void audit() {
        plan_.id = hung_.id;
        plan_.name = hung_.unit.name;
        CabinetUnit afresh = hung_.unit;
        afresh.hanging = Hanging::screws;
        plan_.wanted = hang_unit({afresh, RunLevel::wall, {hung_.left, hung_.unit.width}, bottom_edge()}, site_);
        plan_.loaded_mass = plan_.wanted.loaded_mass;
        if (hung_.found.empty())
            as_found();
        else
            as_placed();
        to_add();
        judge();
        if (plan_.verdict != HungVerdict::sound) {
            plan_.holes = plan_.wanted.holes;
            for (PlannedHole& hole : plan_.holes) {
                hole.item = hung_.id;
                plan_hole(site_, hole);
            }
        }
        words();
    }

private:
    static constexpr int most_screws = 6; ///< looked at in one rail

    Length bottom_edge() const { return hung_.top - hung_.unit.height; }
    bool known() const {
        return site_.timber() &&
               (hung_.found.empty() ? hung_.gauge && hung_.screw_length > Length{} : !holding_.empty());
    }

    std::vector<double> proved_columns() const {
        std::vector<double> columns;
        std::optional<std::size_t> last;
        for (const PlannedHole& hole : plan_.wanted.holes)
            if (hole.row == 0 && hole.substrate == Substrate::proved_stud && hole.stud != last) {
                last = hole.stud;
                columns.push_back(plan_.wanted.from_left(hole).in_metres());
            }
        return columns;
    }

    /// So many screws in so many studs, as evenly as whole screws allow, the odd ones in any of them.
    static std::vector<std::vector<int>> shared(int screws, std::size_t studs) {
        const auto number = static_cast<int>(studs);
        std::vector<int> each(studs, screws / number);
        std::fill_n(each.rbegin(), screws % number, screws / number + 1);
        std::vector<std::vector<int>> ways;
        do
            ways.push_back(each);
        while (std::ranges::next_permutation(each).found);
        return ways;
    }

    /// A screw that holds: where it is on the cabinet, and what it is.
    struct Holding {
        double across = 0; ///< m from the cabinet's left side
        double up = 0;     ///< m over its bottom edge
        HangingRail rail;
        ScrewGauge gauge;
        Length length;
        bool broad = false;

        auto kind() const { return std::tuple{gauge, length, broad}; }
    };

    /// The worst use of any of these. Refused: nothing keeps the cabinet from turning; unknown: a screw does not reach
    /// the wood.
    struct Used {
        Utilisation of;
        FixingStrength strength; ///< of the screw that is used most
        HoleDemand demand;
    };
    Used used(const std::vector<Holding>& screws) const {
        ScrewPattern pattern;
        for (const Holding& screw : screws)
            pattern.holes.push_back({screw.across, screw.up});
        const UnitForces forces =
            unit_forces(hung_.unit, plan_.wanted.empty_mass, plan_.loaded_mass, pattern, site_.rules.lining_pressure);
        if (forces.refused)
            return {Utilisation::refused(), {}, {}};
        Used worst{Utilisation::none(), {}, {}};
        for (std::size_t first = 0; first < screws.size(); ++first) {
            const auto kind = screws[first].kind();
            if (std::any_of(screws.begin(), screws.begin() + static_cast<std::ptrdiff_t>(first),
                            [&](const Holding& other) { return other.kind() == kind; }))
                continue; // weighed with it
            std::vector<HeldPart> parts;
            for (std::size_t i = first; i < screws.size(); ++i) {
                if (screws[i].kind() != kind)
                    continue;
                HeldPart part{driven_through_rail(hung_.unit, screws[i].rail, site_.rules.runs), {}};
                if (!screws[i].broad)
                    part.through.head = Length::nearest_to_inches(properties(screws[i].gauge).head_in);
                for (const UnitCase& one : forces.cases)
                    part.demands.push_back({one.holes[i].tension, one.holes[i].down, one.load.duration, one.load.when,
                                            one.holes[i].across});
                parts.push_back(std::move(part));
            }
            const auto choice = weigh_given(screws[first].gauge, screws[first].length, site_.fixings(), parts);
            if (!choice)
                return {};
            if (choice->utilisation >= worst.of)
                worst = {choice->utilisation, choice->fixing.strength(), choice->governing};
        }
        return worst;
    }

    /// What counts of the screws that were found each where it is, and why the others do not.
    void look_at_found() {
        if (hung_.found.empty())
            return;
        hung_.top_screws = hung_.bottom_screws = hung_.back_screws = hung_.stray_screws = 0;
        std::set<std::size_t> studs;
        for (const FoundScrew& screw : hung_.found) {
            FoundVerdict& verdict =
                plan_.found.emplace_back(FoundVerdict{false, hung_.left + screw.across, hung_.top - screw.down, {}});
            const auto no = [&](Sentence why) { verdict.why = std::move(why); };
            if (screw.across < Length{} || screw.across > hung_.unit.width || screw.down < Length{} ||
                screw.down > hung_.unit.height) {
                no({"it is not on the cabinet: measure from its left side and its top"});
                continue;
            }
            if (screw.through == FoundThrough::stile && (screw.moved || screw.in != FoundIn::wood)) {
                no({"it does not hold in a neighbour: it moved, or nobody knows what it is in"});
                continue;
            }
            if (screw.through == FoundThrough::stile) {
                (screw.across < hung_.unit.width / 2 ? hung_.joined_left : hung_.joined_right) = true;
                no({"it joins a neighbour and is not in the wall"});
                continue;
            }
            if (screw.through == FoundThrough::ledger) {
                no({"a strip under it takes weight; it keeps nothing to the wall"});
                continue;
            }
            const auto rail = std::ranges::find_if(
                rails_, [&](const HangingRail& each) { return absolute(each.down - screw.down) <= each.breadth / 2; });
            if (screw.in == FoundIn::lining) {
                ++hung_.stray_screws;
                no({"in nothing but lining: take it out and fill the hole"});
                continue;
            }
            // A back as thick as a rail stands for one, wherever it is screwed through.
            const bool thick = hung_.unit.rails.empty() && hung_.unit.back >= site_.rules.runs.rail_back;
            if (!thick && (screw.through == FoundThrough::back || rail == rails_.end())) {
                ++hung_.back_screws;
                no(screw.through == FoundThrough::back
                       ? Sentence{"through the back alone: it is extra"}
                       : Sentence{"no rail was entered where it is, {0} down", {quantity(screw.down)}});
                continue;
            }
            if (screw.moved) {
                no({"it moved when it was pulled"});
                continue;
            }
            if (screw.in == FoundIn::not_known) {
                no({"nobody knows what it is in: turn it out a turn, or probe beside it"});
                continue;
            }
            if (!site_.timber()) {
                no({"there are no timber studs here: what holds it is not known"});
                continue;
            }
            if (!screw.gauge || screw.length <= Length{}) {
                no({"what screw it is is not known: lining screws snap"});
                continue;
            }
            const auto stud = site_.stud_round(verdict.x, properties(*screw.gauge).diameter_in);
            if (!stud || site_.survey.studs[*stud].state != StudState::proved) {
                no({"no proved stud is sure to be there"});
                continue;
            }
            verdict.counts = true;
            verdict.why = {"in the stud at {0}", {site_.along(site_.survey.studs[*stud].centre)}};
            holding_.push_back({screw.across.in_metres(), (hung_.unit.height - screw.down).in_metres(),
                                rail != rails_.end() ? *rail : HangingRail{screw.down, {}, hung_.unit.back, {}},
                                *screw.gauge, screw.length, screw.broad_head});
            studs.insert(*stud);
            ++(screw.down <= hung_.unit.height / 2 ? hung_.top_screws : hung_.bottom_screws);
        }
        hung_.studs = static_cast<int>(studs.size());
    }

    /// The load on screws that are known one by one. What some of them hold by themselves they hold whatever the others
    /// do: the best of all their parts counts.
    void as_placed() {
        constexpr std::size_t most_parts = 8; // 255 of them
        const std::size_t number = std::min(holding_.size(), most_parts);
        for (std::size_t part = 1; part < (std::size_t{1} << number); ++part) {
            std::vector<Holding> some;
            for (std::size_t i = 0; i < number; ++i)
                if (part >> i & 1U)
                    some.push_back(holding_[i]);
            take_if_better(some);
        }
        if (holding_.size() > number)
            take_if_better(holding_);
    }
    void take_if_better(const std::vector<Holding>& screws) {
        const Used here = used(screws);
        if (!plan_.utilisation.known() || (here.of.known() && here.of < plan_.utilisation)) {
            plan_.utilisation = here.of;
            worst_ = here;
            plan_.counts = screws.size();
        }
    }

    /// So many at the top and at the bottom of each of these columns.
    std::vector<Holding> in_columns(const std::vector<double>& columns, const std::vector<int>& top,
                                    const std::vector<int>& bottom) const {
        std::vector<Holding> screws;
        const auto row = [&](const HangingRail& rail, const std::vector<int>& each) {
            for (std::size_t i = 0; i < columns.size(); ++i)
                for (int n = 0; n < each[i]; ++n)
                    screws.push_back({columns[i], (hung_.unit.height - rail.down).in_metres(), rail, *hung_.gauge,
                                      hung_.screw_length, hung_.broad_heads});
        };
        row(rails_.front(), top);
        row(rails_.back(), bottom);
        return screws;
    }

    /// The load on what was found, on no more studs than were ticked and are proved. Which of them is not told, nor
    /// where the odd screw is: the arrangement that uses a screw most counts.
    void as_found() {
        if (!known() || rails_.empty() || hung_.top_screws + hung_.bottom_screws <= 0)
            return;
        const std::vector<double> all = proved_columns();
        const auto studs = std::min(all.size(), static_cast<std::size_t>(std::max(0, hung_.studs)));
        const int top = std::clamp(hung_.top_screws, 0, most_screws);
        const int bottom = rails_.size() > 1 ? std::clamp(hung_.bottom_screws, 0, most_screws) : 0;
        if (studs == 0)
            return;
        const auto worst_of = [&](int of_top, int of_bottom) {
            Used worst{Utilisation::none(), {}, {}};
            for (std::size_t first = 0; first + studs <= all.size(); ++first) {
                const std::vector<double> columns(all.begin() + static_cast<std::ptrdiff_t>(first),
                                                  all.begin() + static_cast<std::ptrdiff_t>(first + studs));
                for (const auto& at_top : shared(of_top, studs))
                    for (const auto& at_bottom : shared(of_bottom, studs))
                        if (const Used here = used(in_columns(columns, at_top, at_bottom)); here.of >= worst.of)
                            worst = here;
            }
            return worst;
        };
        // What some of them hold by themselves they hold whatever the others do.
        for (int of_top = 0; of_top <= top; ++of_top)
            for (int of_bottom = 0; of_bottom <= bottom; ++of_bottom) {
                if (of_top + of_bottom == 0)
                    continue;
                const Used used = worst_of(of_top, of_bottom);
                if (!plan_.utilisation.known() || used.of < plan_.utilisation) {
                    plan_.utilisation = used.of;
                    worst_ = used;
                    plan_.counts = static_cast<std::size_t>(of_top + of_bottom);
                }
            }
    }

    std::size_t holes_in(std::size_t rail) const {
        return static_cast<std::size_t>(std::ranges::count_if(plan_.wanted.holes, [&](const PlannedHole& hole) {
            return hole.row == rail && hole.substrate != Substrate::assumed_stud && hole.substrate != Substrate::lining;
        }));
    }

    /// What is there counts where its screws are known and reach the wood; only the rest is missing.
    void to_add() {
        const auto missing = [&](std::size_t wanted, int there) {
            const std::size_t have = plan_.utilisation.within() ? static_cast<std::size_t>(std::max(0, there)) : 0;
            return wanted > have ? wanted - have : 0;
        };
        plan_.add_top = missing(2, hung_.top_screws);
        if (rails_.size() > 1)
            plan_.add_bottom = missing(2, hung_.bottom_screws);
        if (plan_.utilisation.within())
            return;
        plan_.add_top = std::max<std::size_t>(plan_.add_top, holes_in(0));
        if (rails_.size() > 1)
            plan_.add_bottom = std::max<std::size_t>(plan_.add_bottom, holes_in(rails_.size() - 1));
    }

    /// Whether a screw is in the wall for this cabinet so near a place that another would split the stud.
    bool taken(const PlannedHole& hole) const {
        const Length apart = Length::nearest_to_inches(10 * usual_screw(site_.rules.timber).diameter_in);
        const auto near = [&](Length x, Length z) {
            return absolute(x - hole.x) < apart && absolute(z - hole.z) < apart;
        };
        return std::ranges::any_of(
                   site_.wall.made,
                   [&](const MadeHole& made) { return made.item == hung_.id && near(made.x, made.z); }) ||
               std::ranges::any_of(plan_.found,
                                   [&](const FoundVerdict& found) { return found.counts && near(found.x, found.z); });
    }

    /// Where the missing screws go: places of the plan that have none yet, so many to a rail.
    std::vector<const PlannedHole*> places_to_add() const {
        std::vector<const PlannedHole*> places;
        const auto from_rail = [&](std::size_t rail, std::size_t number) {
            for (const PlannedHole& hole : plan_.wanted.holes)
                if (number > 0 && hole.row == rail && hole.substrate != Substrate::assumed_stud &&
                    hole.substrate != Substrate::lining && !taken(hole)) {
                    places.push_back(&hole);
                    --number;
                }
        };
        from_rail(0, plan_.add_top);
        if (rails_.size() > 1)
            from_rail(rails_.size() - 1, plan_.add_bottom);
        return places;
    }

    void judge() {
        const bool two_studs =
            std::min<std::size_t>(static_cast<std::size_t>(std::max(0, hung_.studs)), proved_columns().size()) >= 2;
        const bool beside = hung_.joined_left || hung_.joined_right;
        const bool enough = hung_.top_screws >= 2 && (rails_.size() < 2 || hung_.bottom_screws >= 2);
        if (!plan_.utilisation.within())
            plan_.verdict = HungVerdict::unload;
        else if (!enough || (!two_studs && !beside))
            plan_.verdict = HungVerdict::add;
        else
            plan_.verdict = HungVerdict::sound;
        if (plan_.verdict == HungVerdict::sound)
            return;
        Check& unsound = reason();
        remedy(unsound);
    }

    Check& reason() {
        const std::string& name = hung_.unit.name;
        const auto grave = [&](Sentence said) -> Check& {
            return add(checks::hung_unsound, Severity::error, std::move(said));
        };
        if (rails_.empty())
            return grave({"What rails {0} has was not entered, and its back of {1} does not stand for them: empty it "
                          "before anything else",
                          {name, quantity(hung_.unit.back)}});
        if (hung_.top_screws + hung_.bottom_screws == 0 && hung_.found.empty())
            return grave({"No screw through a rail of {0} is in a stud: empty it before anything else", {name}});
        if (!hung_.found.empty() && holding_.empty())
            return grave({"None of the {0} screws that were found in {1} counts: empty it before anything else",
                          {count(hung_.found.size()), name}});
        if (site_.masonry())
            return grave({"What the plugs of {0} hold is not known: empty it until its fixings are made good", {name}});
        if (!known())
            return grave(
                {"The screws of {0} are not known: lining screws snap. Empty it until they are replaced", {name}});
        if (proved_columns().empty())
            return grave({"No stud behind {0} is proved: what its screws are in is a guess", {name}});
        if (!plan_.utilisation.known() || plan_.utilisation.is_refused())
            return grave({"The screws of {0} do not hold: too short, or nothing keeps it from turning", {name}});
        if (plan_.utilisation.over()) {
            Check& over = grave({"{0}, with {1} in and of it, uses its worst screw to {2} of what it holds",
                                 {name, quantity(plan_.loaded_mass), ratio(plan_.utilisation)}});
            over.amount = ratio(plan_.utilisation);
            return over;
        }
        if (hung_.top_screws < 2 || (rails_.size() > 1 && hung_.bottom_screws < 2))
            return add(checks::hung_unsound, Severity::warning,
                       {"{0} has {1} screws in its top rail and {2} in its bottom rail: two in each are wanted",
                        {name, count(static_cast<std::size_t>(std::max(0, hung_.top_screws))),
                         count(static_cast<std::size_t>(std::max(0, hung_.bottom_screws)))}});
        return add(checks::hung_unsound, Severity::warning, {"{0} hangs on one stud and on no neighbour", {name}});
    }

    void remedy(Check& check) {
        const UnitPlan& wanted = plan_.wanted;
        if (rails_.empty())
            advise(check, {"Glue and screw a rail of {0} or more across its back, top and bottom", {quantity(15_mm)}});
        if (wanted.fixing && plan_.add_top + plan_.add_bottom > 0)
            advise(check, {"Add {0} screws at the top and {1} at the bottom: {2}, {3} long, in studs",
                           {count(plan_.add_top), count(plan_.add_bottom), wanted.fixing->name,
                            stock(wanted.fixing->screw_length)}});
        else if (!rails_.empty() && !wanted.fixing)
            advise(check,
                   {"Nothing at hand holds it here: hang it on a suspension rail, or put wood behind the lining"});
        if (wanted.utilisation.over() && !wanted.utilisation.is_refused())
            advise(check, {"Even so it holds {0} at most: a cleat under it takes the rest",
                           {quantity(plan_.loaded_mass / wanted.utilisation.number())}});
        if (hung_.back_screws > 0)
            advise(check, {"Screws through the back alone, {0} of them, are extra: do not count on them",
                           {count(static_cast<std::size_t>(hung_.back_screws))}});
        if (hung_.stray_screws > 0)
            advise(check, {"Screws in lining only: {0}. Take them out and fill the holes",
                           {count(static_cast<std::size_t>(hung_.stray_screws))}});
        if (!hung_.joined_left && !hung_.joined_right)
            advise(check, {"Join it to its neighbours through the stiles, where it has any"});
    }

    void words() {
        // Where nothing loads a screw there is no sum to show.
        if (plan_.utilisation.known() && worst_.strength.tension + worst_.strength.shear > 0) {
            Working& used = plan_.workings.emplace_back(used_working(
                "found", {"{0}, as found: its worst screw is used to", {hung_.unit.name}}, worst_.strength,
                Substrate::proved_stud, {worst_.demand}, {Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12"}));
            used.facts.push_back({"loaded with {0}; screws that count: {1}, in {2} studs",
                                  {quantity(plan_.loaded_mass), count(plan_.counts),
                                   count(static_cast<std::size_t>(std::max(0, hung_.studs)))}});
        }
        Phase phase = Phase::ready;
        const auto step = [&](Sentence said, bool hold = false) {
            plan_.steps.push_back({std::move(said), hold, phase});
        };
        if (plan_.verdict == HungVerdict::unload)
            step({"Empty {0} now, and let nobody work under it", {hung_.unit.name}}, true);
        if (plan_.verdict == HungVerdict::sound) {
            phase = Phase::prove;
            step({"Tighten its screws, pull on its top and bottom: nothing may move"}, true);
            return;
        }
        step({"Hold it up with a jack or a ledger before a screw is touched"}, true);
        plan_.steps.push_back(detector_step());
        phase = Phase::mark;
        for (const PlannedHole* hole : places_to_add())
            step({"A screw is wanted at {0}, {1} up: inside, {2} from its left side; where a sound one is near, beside "
                  "it in the same stud, {3} off",
                  {site_.along(hole->x), quantity(hole->z), quantity(plan_.wanted.inside_left(*hole)),
                   quantity(50_mm)}});
        phase = Phase::drill;
        if (plan_.wanted.fixing)
            step({"{0}, {1} long: {2} clear through the rail, pilot {3} in the stud; a broad head or a washer, or "
                  "countersunk under a cap in the colour of the inside",
                  {plan_.wanted.fixing->name, stock(plan_.wanted.fixing->screw_length),
                   stock(plan_.wanted.fixing->clearance), stock(plan_.wanted.fixing->hole_diameter)}});
        phase = Phase::prove;
        step({"Pull on its top and bottom: nothing may move. Then load it"}, true);
    }

    HungCabinet hung_; ///< with the numbers of what was found, where that is told screw by screw
    std::vector<Holding> holding_;
    const WallSurvey sure_; ///< nothing hangs on a stud that is only indicated
    const WallSite site_;
    const std::vector<HangingRail> rails_;
    Used worst_;
    HungPlan& plan_;
};

} // namespace

HungPlan audit_cabinet(const HungCabinet& hung, const WallSite& site) {
    HungPlan plan;
    Auditor{hung, site, plan}.audit();
    return plan;
}

std::string_view words(HungVerdict verdict) {
    switch (verdict) {
    case HungVerdict::sound:
        return "sound";
    case HungVerdict::add:
        return "screws to add";
    case HungVerdict::unload:
        return "to be emptied";
    }
    return {};
}

} // namespace yes_square
