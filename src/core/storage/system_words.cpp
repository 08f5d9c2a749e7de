#include "core/storage/system_words.hpp"

#include "core/fixings/used_working.hpp"
#include "core/job/field_visits.hpp"
#include "core/site/lifting.hpp"
#include "core/statics/back_held.hpp"
#include "core/storage/bay_cleats.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/panel_plumb.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

using sources::derived;
using sources::house;
using sources::measured;
using sources::practice;

class SystemWorkings {
public:
    SystemWorkings(const StorageSystem& system, const SystemPlan& plan, const WallSite& site)
        : system_{system}
        , plan_{plan}
        , site_{site} {}

    std::vector<Working> write() {
        widths();
        for (const BayPlan& bay : plan_.bays) {
            this->width(bay);
            rod(bay);
            shelf(bay);
            cleat(bay);
        }
        for (std::size_t i = 0; i < plan_.corrections.size(); ++i)
            plumb(i);
        return std::move(workings_);
    }

private:
    std::string subject(const BayPlan& bay, const char* what) const {
        return fmt::format("bay/{}/{}", bay.number, what);
    }

    void widths() {
        Working& all = workings_.emplace_back();
        all.subject = "widths";
        all.title = {"Left for the bays of {0}", {system_.name}};
        all.sum = "{0} - {1} x {2}";
        all.terms = {{"over all", quantity(system_.width), measured},
                     {"panels", count(plan_.panels.size()), derived},
                     {"each", quantity(system_.panel), measured}};
        all.result = quantity(system_.width - system_.panel * static_cast<std::int64_t>(plan_.panels.size()));
        all.source = derived;
    }

    void width(const BayPlan& bay) {
        Working& one = workings_.emplace_back();
        one.subject = subject(bay, "width");
        one.title = {"Bay {0} is wide", {count(bay.number)}};
        one.sum = by_tape(site_.tape, "{0} - {1}", "{1} - {0}");
        one.terms = {{"its right panel's face", site_.along(bay.right()), derived},
                     {"its left panel's", site_.along(bay.left), derived}};
        one.result = quantity(bay.width);
        one.source = derived;
        const Bay& chosen = system_.bays[bay.number - 1];
        for (const Fits& fits : bay.fits)
            one.facts.push_back(words(fits, chosen));
    }

    void rod(const BayPlan& bay) {
        if (bay.rods.empty())
            return;
        const BayRod& top = bay.rods.front();
        Working& cut = workings_.emplace_back();
        cut.subject = subject(bay, "rod");
        cut.title = {"Rod {0} is cut to", {top.label}};
        cut.sum = "{0} - 2 x {1}";
        cut.terms = {{"bay", quantity(bay.width), derived}, {"end cup", quantity(system_.end_cup), measured}};
        cut.result = quantity(top.cut);
        cut.source = derived;
        cut.facts.push_back({"full of clothes it carries {0} and sags {1}; its limit is {2}",
                             {quantity(top.load), fine(top.sag.long_term), fine(top.sag.limit)}});
        cut.facts.push_back({"bent to {0} of what it bears", {ratio(top.utilisation)}});
        cut.facts.push_back({"clothes weigh {0} on a rod, common practice", {quantity(site_.rules.shelves.clothes)}});
    }

    void shelf(const BayPlan& bay) {
        const auto worst = std::ranges::max_element(bay.shelves, {}, [](const BayShelf& s) { return s.sag.share(); });
        if (worst == bay.shelves.end())
            return;
        Working& sag = workings_.emplace_back();
        sag.subject = subject(bay, "shelf");
        sag.title = {"Shelf {0} sags, of its limit", {worst->label}};
        sag.sum = "{0} / {1}";
        sag.terms = {{"sag in time", fine(worst->sag.long_term), {Provenance::from_memory, "EN 1995-1-1 creep"}},
                     {"limit", fine(worst->sag.limit), house}};
        sag.result = ratio(worst->sag.share());
        sag.source = derived;
        sag.facts.push_back({"goods on it {0}; it spans from panel to panel", {quantity(worst->load)}});
        if (worst->what == ShelfOfBay::cleated)
            sag.facts.push_back({"its back lies on its cleat, so that it sags {0} times what it would without",
                                 {ratio(back_held_share(bay.width, system_.depth, shear_share(system_.material)))}});
    }

    void cleat(const BayPlan& bay) {
        if (bay.cleats.empty() || !bay.cleats.front().utilisation.known())
            return;
        const BayCleat& top = bay.cleats.front();
        const auto worst = std::ranges::max_element(top.screws, {}, &PlannedHole::utilisation);
        if (worst == top.screws.end() || !worst->fixing)
            return;
        Working& used = workings_.emplace_back(used_working(
            subject(bay, "cleat"), {"The top cleat of bay {0}: its worst screw is used to", {count(bay.number)}},
            worst->strength, worst->substrate, top.demands, worst->fixing->source));
        used.facts.push_back({"{0}, {1} long", {worst->fixing->name, stock(worst->fixing->screw_length)}});
        used.facts.push_back({"screws behind it: {0}", {count(top.screws.size())}});
        if (!bay.sides.hung)
            used.facts.push_back({"it also keeps the bay from tipping: {0} in all", {quantity(bay.needs)}});
    }

    void plumb(std::size_t i) {
        const PanelCorrection& found = plan_.corrections[i];
        const PanelReading& reading = system_.readings[i];
        Working& moves = workings_.emplace_back();
        moves.subject = fmt::format("plumb/{}", i + 1);
        moves.title = {"The foot of panel {0} moves", {count(static_cast<std::size_t>(found.panel))}};
        moves.sum = "{0} x {1} / {2}";
        moves.terms = {{"off the level's end", quantity(reading.off), measured},
                       {"the panel's height", quantity(panel_height(system_, plan_, found.panel)), measured},
                       {"the level", quantity(reading.over), measured}};
        moves.result = quantity(found.foot_moves);
        moves.source = derived;
    }

    const StorageSystem& system_;
    const SystemPlan& plan_;
    const WallSite& site_;
    std::vector<Working> workings_;
};

class SystemSteps {
public:
    SystemSteps(const StorageSystem& system, const SystemPlan& plan, const WallSite& site)
        : system_{system}
        , plan_{plan}
        , site_{site} {}

    std::vector<Step> write() {
        if (plan_.bays.empty())
            return {};
        steps_.push_back(detector_step());
        if (std::ranges::any_of(plan_.checks, [](const Check& c) { return c.severity == Severity::error; }))
            step({"Clear the errors on this sheet first: as it stands the system is not fit to build"}, true);
        step({"Lay all parts out by their labels, panels P1 to {0} from the left, and check them against the list",
              {plan_.panels.back().label}});
        phase_ = Phase::assemble;
        step(
            {"Make the panels up lying down: end cups, pins and drawer runners on, none of them facing the wrong way"});
        phase_ = Phase::mark;
        marks();
        phase_ = Phase::hang;
        lean();
        raise();
        phase_ = Phase::adjust;
        finish();
        return std::move(steps_);
    }

private:
    void step(Sentence words, bool hold = false, int persons = 1) {
        steps_.push_back({std::move(words), hold, phase_, persons});
    }
    bool alone() const { return system_.crew < 2; }

    void marks() {
        const auto line_of = [](const BayPlan& bay) {
            return bay.cleats.empty() ? bay.sides.head : bay.cleats.front().z;
        };
        const BayPlan& first = plan_.bays.front();
        step({"Strike a plumb line at {0}, the outer face of P1, and a level line at {1}, the screws of the top cleats",
              {site_.along(system_.left), quantity(line_of(first))}});
        for (std::size_t i = 1; i < plan_.bays.size(); ++i)
            if (const BayPlan& bay = plan_.bays[i]; line_of(bay) != line_of(plan_.bays[i - 1]))
                step({"Behind bay {0} the top cleat's line is at {1}", {count(bay.number), quantity(line_of(bay))}});
        step({site_.masonry()
                  ? std::string_view{"Mark the holes of every cleat, and check each once more from the reference end"}
                  : "Mark every stud on that line, and check each once more from the reference end"},
             true);
        const auto hangs = [](const BayPlan& bay) { return bay.sides.hung; };
        const bool all_hang = std::ranges::all_of(plan_.bays, hangs);
        const bool alike =
            std::ranges::all_of(plan_.bays, [&](const BayPlan& bay) { return bay.sides.foot == first.sides.foot; });
        if (all_hang && alike)
            step({"Screw a temporary ledger on, its top edge at {0}: the panels stand on it until they are held",
                  {quantity(plan_.foot)}},
                 true);
        else
            for (const BayPlan& bay : plan_.bays)
                if (bay.sides.hung && rests_on_ledger(bay))
                    step({"Screw a temporary ledger on behind bay {0}, its top edge at {1}: what hangs there stands on "
                          "it until it is held",
                          {count(bay.number), quantity(bay.sides.foot)}},
                         true);
        if (all_hang || site_.wall.skirting_height <= Length{})
            return;
        step({alike ? std::string_view{"Notch the back of each panel's foot round the skirting: {0} up, {1} deep"}
                    : "Notch the back of each panel's foot that comes down to the floor round the skirting: {0} up, "
                      "{1} deep",
              {quantity(site_.wall.skirting_height), quantity(site_.wall.skirting_depth)}});
    }

    /// A panel ends where the bay does; between panels that stand nothing wants a ledger.
    bool rests_on_ledger(const BayPlan& bay) const {
        return plan_.panels[bay.number - 1].foot == bay.sides.foot || plan_.panels[bay.number].foot == bay.sides.foot;
    }

    void lean() {
        const Length tall = std::ranges::max(plan_.panels, {}, &PanelPlan::height).height();
        const Length foot = std::min(site_.rules.storage.lean_foot, tall);
        step({"Lean the waiting panels on the wall beyond the work, feet out {0}, {1} from plumb, on something that "
              "does "
              "not slip",
              {quantity(foot), Quantity{Kind::angle, std::asin(foot.in_metres() / tall.in_metres())}}});
    }

    void raise() {
        const PanelPlan& stood_up = plan_.panels.front();
        const Quantity mass = quantity(stood_up.mass);
        const bool two = persons_for(plan_, site_.rules.runs) > 1;
        // Its foot stays on the floor, or on the ledger: hands raise the other half of it, about its middle.
        const Lift lift =
            lift_of(stood_up.mass / 2, stood_up.foot + stood_up.height() / 2, stood_up.head, false, site_.rules.runs);
        Step stood = lifting({two ? std::string_view{"Two stand {0} up, {1}, and one keeps hold of it"}
                                  : "Stand {0} up, {1}, and keep hold of it",
                              {stood_up.label, mass}},
                             phase_, lift, true);
        stood.persons = two ? 2 : std::max(1, stood.persons);
        steps_.push_back(std::move(stood));
        for (std::size_t i = 0; i < plan_.bays.size(); ++i) {
            const BayPlan& bay = plan_.bays[i];
            const std::string& right = plan_.panels[i + 1].label;
            step({alone()
                      ? std::string_view{"Alone: prop {0} with a batten screwed to its edge before you let go of it"}
                      : "One holds {0} while the other brings {1}",
                  {plan_.panels[i].label, right}});
            if (bay.cleats.empty()) {
                step({"Stand {0} beside it and join them", {right}}, true);
                continue;
            }
            const BayCleat& top = bay.cleats.front();
            step({"Stand {0}, put shelf {1} between, and screw it to both panels, {2} screws at each end",
                  {right, top.shelf, count(static_cast<std::size_t>(site_.rules.storage.panel_screws))}});
            if (top.screws.empty())
                step({"Stop: nothing holds behind bay {0}. Do not let go of {1}", {count(bay.number), right}}, true);
            else if (const auto& first = top.screws.front(); first.fixing)
                step({"Hold {0} until one screw through the cleat of {1} is in at {2}: {3}, {4} long",
                      {right, top.shelf, site_.along(first.x), first.fixing->name, stock(first.fixing->screw_length)}},
                     true);
        }
    }

    void finish() {
        step({"Plumb each panel at its foot, then screw the lower cleats to the wall, from the left"}, true);
        for (const PanelCorrection& found : plan_.corrections)
            if (!found.within)
                step({found.to_right ? std::string_view{"Panel {0}: foot {1} to the right"}
                                     : "Panel {0}: foot {1} to the left",
                      {count(static_cast<std::size_t>(found.panel)), quantity(found.foot_moves)}});
        for (const BayPlan& bay : plan_.bays)
            for (const BayCleat& cleat : bay.cleats)
                if (!cleat.screws.empty() && &cleat != &bay.cleats.front())
                    step({"Cleat of {0}: screws at {1} up, {2} of them",
                          {cleat.shelf, quantity(cleat.z), count(cleat.screws.size())}});
        for (const BayPlan& bay : plan_.bays)
            for (const BayRod& rod : bay.rods)
                step({"Rod {0}: cut to {1}, lay it into its cups under the shelf", {rod.label, quantity(rod.cut)}});
        for (const BayPlan& bay : plan_.bays)
            for (const BayShelf& shelf : bay.shelves)
                if (shelf.pin_hole)
                    step({"Shelf {0}: on the pins in hole {1} from the foot", {shelf.label, count(*shelf.pin_hole)}});
        step({"Caps over the screws, drawers and doors last"});
        phase_ = Phase::prove;
        step({"Pull on each panel's top with the drawers open: nothing may move"}, true);
    }

    const StorageSystem& system_;
    const SystemPlan& plan_;
    const WallSite& site_;
    Phase phase_ = Phase::ready;
    std::vector<Step> steps_;
};

} // namespace

int persons_for(const SystemPlan& plan, const RunRules& rules) {
    return std::ranges::any_of(plan.panels, [&](const PanelPlan& panel) { return panel.mass > rules.lift_floor_alone; })
               ? 2
               : 1;
}

std::string_view words(BayKind kind) {
    return enum_words(kind);
}

std::string_view words(Garment garment) {
    return enum_words(garment);
}

Sentence words(const Fits& fits, const Bay& bay) {
    switch (fits.what) {
    case GoodsKind::garments:
        return {"{0} {1}, {2} to hang in", {count(fits.number), words(bay.garment), quantity(fits.clear)}};
    case GoodsKind::piles:
        return {"{0} piles of folded clothes, {1} or more in each, {2} clear or more",
                {count(fits.number), count(fits.each), quantity(fits.clear)}};
    case GoodsKind::boxes:
        return {"or {0} storage boxes", {count(fits.number)}};
    case GoodsKind::shoes:
        return {"{0} pairs of shoes, {1} clear or more", {count(fits.number), quantity(fits.clear)}};
    case GoodsKind::drawers:
        return {"{0} drawers of {1}", {count(fits.number), quantity(fits.clear)}};
    }
    return {};
}

std::vector<Working> workings_of(const StorageSystem& system, const SystemPlan& plan, const WallSite& site) {
    return SystemWorkings{system, plan, site}.write();
}

std::vector<Step> steps_of(const StorageSystem& system, const SystemPlan& plan, const WallSite& site) {
    return SystemSteps{system, plan, site}.write();
}

} // namespace yes_square
