#include "core/boxes/audit_cabinet.hpp"

#include "core/runs/hang_unit.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

Quantity mass(double kg) {
    return {Kind::mass, kg};
}

class Auditor {
public:
    Auditor(const HungCabinet& hung, const WallSite& site)
        : hung_{hung}
        , sure_{proved_only(site.survey)}
        , site_{site.rules, site.catalogue, site.wall, site.service_class, sure_}
        , rails_{rails_of(hung.unit, site.rules.runs)} {}

    HungPlan audit() {
        plan_.hung_id = hung_.id;
        plan_.hung_name = hung_.unit.name;
        CabinetUnit afresh = hung_.unit;
        afresh.hanging = Hanging::screws;
        plan_.wanted = hang_unit({afresh, RunLevel::wall, {hung_.left, hung_.unit.width}, bottom()}, site_);
        plan_.loaded_kg = plan_.wanted.loaded_kg;
        as_found();
        to_add();
        judge();
        words();
        return std::move(plan_);
    }

private:
    Length bottom() const { return hung_.top - hung_.unit.height; }
    bool known() const { return hung_.gauge && hung_.screw_length > Length{} && site_.timber(); }

    Check& add(CheckCode code, Severity severity, Sentence message, std::optional<Quantity> amount = std::nullopt) {
        return plan_.checks.emplace_back(Check{code, severity, std::move(message), amount, {}, hung_.left, hung_.top});
    }
    static void advise(Check& check, Sentence said) { check.cures.push_back({std::move(said), std::nullopt}); }

    std::vector<double> proved_columns() const {
        std::vector<double> columns;
        std::optional<std::size_t> last;
        for (const UnitHole& hole : plan_.wanted.holes)
            if (hole.rail == 0 && hole.hold == Hold::proved_stud && hole.stud != last) {
                last = hole.stud;
                columns.push_back(hole.from_left.in_metres());
            }
        return columns;
    }

    /// The load on what was found, on no more studs than were ticked and are proved.
    void as_found() {
        if (!known() || rails_.empty() || hung_.top_screws + hung_.bottom_screws == 0)
            return;
        std::vector<double> all = proved_columns();
        const auto studs = std::min(all.size(), static_cast<std::size_t>(std::max(0, hung_.studs)));
        if (studs == 0)
            return;
        // Which of them is not told: the ones that leave most of the load on one screw.
        std::optional<double> worst;
        std::size_t counted = 0;
        for (std::size_t first = 0; first + studs <= all.size(); ++first) {
            ScrewPattern pattern;
            pattern.columns.assign(all.begin() + static_cast<std::ptrdiff_t>(first),
                                   all.begin() + static_cast<std::ptrdiff_t>(first + studs));
            const bool bottom_too = rails_.size() > 1 && hung_.bottom_screws > 0;
            int fewest = hung_.top_screws;
            if (hung_.top_screws > 0)
                pattern.rows.push_back((hung_.top - rails_.front().down - bottom()).in_metres());
            if (bottom_too) {
                pattern.rows.push_back((hung_.top - rails_.back().down - bottom()).in_metres());
                fewest = hung_.top_screws > 0 ? std::min(fewest, hung_.bottom_screws) : hung_.bottom_screws;
            }
            if (pattern.rows.empty() || fewest == 0)
                return;
            pattern.screws_in_row = fewest / static_cast<double>(studs);
            counted = static_cast<std::size_t>(hung_.top_screws + (bottom_too ? hung_.bottom_screws : 0));
            const UnitForces forces = unit_forces(hung_.unit, plan_.wanted.empty_kg, plan_.loaded_kg, pattern);
            if (forces.refused)
                return;
            DrivenThrough through = driven_through_rails(hung_.unit, rails_, site_.rules.runs);
            if (!hung_.broad_heads)
                through.head = Length::nearest_to_metres(properties(*hung_.gauge).head_in * 0.0254);
            const auto choice = weigh_given(*hung_.gauge, hung_.screw_length, site_.wall, through,
                                            {{forces.tension_n, forces.shear_n, duration_stored}});
            if (!choice)
                return;
            worst = std::max(worst.value_or(0), choice->utilisation);
        }
        plan_.utilisation = worst;
        plan_.counts = counted;
    }

    std::size_t holes_in(std::size_t rail) const {
        return static_cast<std::size_t>(std::ranges::count_if(plan_.wanted.holes, [&](const UnitHole& hole) {
            return hole.rail == rail && hole.hold != Hold::assumed_stud && hole.hold != Hold::lining;
        }));
    }

    void to_add() {
        const auto missing = [](std::size_t wanted, int there, bool count) {
            const std::size_t have = count ? static_cast<std::size_t>(std::max(0, there)) : 0;
            return wanted > have ? wanted - have : 0;
        };
        const bool count = plan_.utilisation.has_value() && *plan_.utilisation <= 1;
        plan_.add_top = missing(std::max<std::size_t>(2, holes_in(0)), hung_.top_screws, count);
        if (rails_.size() > 1)
            plan_.add_bottom =
                missing(std::max<std::size_t>(2, holes_in(rails_.size() - 1)), hung_.bottom_screws, count);
    }

    void judge() {
        const bool two_studs =
            std::min<std::size_t>(static_cast<std::size_t>(std::max(0, hung_.studs)), proved_columns().size()) >= 2;
        const bool beside = hung_.joined_left || hung_.joined_right;
        const bool enough = hung_.top_screws >= 2 && (rails_.size() < 2 || hung_.bottom_screws >= 2);
        if (!plan_.utilisation || *plan_.utilisation > 1)
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
            return add(CheckCode::hung_unsound, Severity::error, std::move(said));
        };
        if (rails_.empty())
            return grave({"{0} has no rail, and its back of {1} holds nothing: empty it before anything else",
                          {name, quantity(hung_.unit.back)}});
        if (hung_.top_screws + hung_.bottom_screws == 0)
            return grave({"No screw through a rail of {0} is in a stud: empty it before anything else", {name}});
        if (site_.masonry())
            return grave({"What the plugs of {0} hold is not known: empty it until its fixings are made good", {name}});
        if (!known())
            return grave(
                {"The screws of {0} are not known: lining screws snap. Empty it until they are replaced", {name}});
        if (proved_columns().empty())
            return grave({"No stud behind {0} is proved: what its screws are in is a guess", {name}});
        if (!plan_.utilisation)
            return grave({"The screws of {0} do not hold: too short, or nothing keeps it from turning", {name}});
        if (*plan_.utilisation > 1) {
            Check& over = grave({"{0}, with {1} in and of it, uses its worst screw to {2} of what it holds",
                                 {name, mass(plan_.loaded_kg), ratio(*plan_.utilisation)}});
            over.amount = ratio(*plan_.utilisation);
            return over;
        }
        if (hung_.top_screws < 2 || (rails_.size() > 1 && hung_.bottom_screws < 2))
            return add(CheckCode::hung_unsound, Severity::warning,
                       {"{0} has {1} screws in its top rail and {2} in its bottom rail: two in each are wanted",
                        {name, count(static_cast<std::size_t>(std::max(0, hung_.top_screws))),
                         count(static_cast<std::size_t>(std::max(0, hung_.bottom_screws)))}});
        return add(CheckCode::hung_unsound, Severity::warning, {"{0} hangs on one stud and on no neighbour", {name}});
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
        if (wanted.utilisation && *wanted.utilisation > 1)
            advise(check, {"Even so it holds {0} at most: a cleat under it takes the rest",
                           {mass(plan_.loaded_kg / *wanted.utilisation)}});
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
        if (plan_.utilisation) {
            Working& used = plan_.workings.emplace_back();
            used.subject = "found";
            used.title = {"{0}, as found: its worst screw is used to", {hung_.unit.name}};
            used.terms = {
                {"loaded", mass(plan_.loaded_kg), {Provenance::measured}},
                {"screws that count", count(plan_.counts), {Provenance::measured}},
                {"studs that they are in", count(static_cast<std::size_t>(hung_.studs)), {Provenance::measured}}};
            used.result = ratio(*plan_.utilisation);
            used.source = {Provenance::from_memory, "NDS-2018 12.2 to 12.4, AWC TR12"};
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
        for (const UnitHole& hole : plan_.wanted.holes)
            if (hole.hold != Hold::assumed_stud && hole.hold != Hold::lining)
                step({"A screw is wanted at {0}, {1} up: inside, {2} from its left side",
                      {quantity(hole.x), quantity(hole.z), quantity(hole.inside_left)}});
        phase = Phase::drill;
        if (plan_.wanted.fixing)
            step({"{0}, {1} long, pilot {2}; a broad head or a washer",
                  {plan_.wanted.fixing->name, stock(plan_.wanted.fixing->screw_length),
                   stock(plan_.wanted.fixing->hole_diameter)}});
        phase = Phase::prove;
        step({"Pull on its top and bottom: nothing may move. Then load it"}, true);
    }

    const HungCabinet& hung_;
    const WallSurvey sure_; ///< nothing hangs on a stud that is only indicated
    const WallSite site_;
    const std::vector<HangingRail> rails_;
    HungPlan plan_;
};

} // namespace

HungPlan audit_cabinet(const HungCabinet& hung, const WallSite& site) {
    return Auditor{hung, site}.audit();
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
