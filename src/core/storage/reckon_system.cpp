#include "core/storage/reckon_system.hpp"

#include "core/measure/conversions.hpp"
#include "core/storage/bay_cleats.hpp"
#include "core/storage/bay_contents.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/panel_plumb.hpp"
#include "core/storage/system_checks.hpp"
#include "core/storage/system_words.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr std::size_t pins_of_shelf = 4;

/// How much of a bay lies behind what stands on the next wall.
Length hidden_of(const StorageSystem& system, const BayPlan& bay, const SystemPlan& plan, const WallSite& site) {
    Length hidden;
    for (const CornerThing& thing : site.survey.corner_things) {
        if (thing.off < system.depth || thing.bottom >= plan.head || thing.top <= plan.foot)
            continue;
        const Length edge = thing.at_right_end ? site.wall.length - thing.along : thing.along;
        const Length behind =
            thing.at_right_end ? bay.right() - std::max(bay.left, edge) : std::min(bay.right(), edge) - bay.left;
        hidden = std::max(hidden, behind);
    }
    return std::max(Length{}, hidden);
}

void weigh(BayPlan& bay, Mass panel_mass, std::size_t bays) {
    const bool first = bay.number == 1;
    const bool last = bay.number == bays;
    bay.mass = panel_mass * (first ? 1 : 0.5) + panel_mass * (last ? 1 : 0.5);
    Force goods = 0;
    for (const BayShelf& shelf : bay.shelves) {
        bay.mass += shelf.mass;
        goods += shelf.load;
    }
    for (const BayRod& rod : bay.rods)
        goods += rod.load;
    // A drawer with its front, sides and thin bottom weighs about as much as a shelf of its bay (house rule).
    bay.drawer_mass = bay.drawers.empty() || bay.shelves.empty() ? Mass{} : bay.shelves.front().mass;
    bay.mass += bay.drawer_mass * static_cast<double>(bay.drawers.size());
    bay.loaded_mass = bay.mass + mass_of(goods);
}

/// Parts with the labels that go on them.
class SystemParts {
public:
    SystemParts(const StorageSystem& system, const SystemPlan& plan)
        : system_{system}
        , plan_{plan} {}

    std::vector<CutPart> list() {
        for (const PanelPlan& panel : plan_.panels)
            board(panel.label, "side panel", system_.panel_height, {});
        for (const BayPlan& bay : plan_.bays) {
            const Sentence where{"bay {0}", {count(bay.number)}};
            for (const BayShelf& shelf : bay.shelves)
                board(shelf.label, words(shelf.what), bay.width, where);
            for (const BayCleat& cleat : bay.cleats)
                add(strip_part(system_.id, name("cleat"), cleat.length, system_.cleat_breadth, system_.cleat_thickness),
                    cleat.shelf + "c", "cleat", where);
            for (const BayRod& rod : bay.rods)
                add(strip_part(system_.id, name("rod"), rod.cut, system_.rod_diameter, system_.rod_diameter,
                               StuffKind::rod, system_.rod_stuff == PoleStuff::wood ? "wooden rod" : "metal tube"),
                    rod.label, "rod", where);
        }
        return std::move(parts_);
    }

private:
    Sentence name(std::string_view what) const { return {"{0} of {1}", {what, system_.name}}; }
    void add(CutPart part, std::string label, std::string_view what, Sentence where) {
        part.label = std::move(label);
        part.what = what;
        part.where = std::move(where);
        parts_.push_back(std::move(part));
    }
    void board(std::string label, std::string_view what, Length length, Sentence where) {
        add(board_part(system_.id, name(what), system_.material, length, system_.depth, system_.panel),
            std::move(label), what, std::move(where));
    }

    const StorageSystem& system_;
    const SystemPlan& plan_;
    std::vector<CutPart> parts_;
};

std::vector<Supply> bought_for(const SystemPlan& plan, const StorageRules& rules) {
    if (plan.bays.empty())
        return {};
    std::size_t cups = 0;
    std::size_t pins = 0;
    std::size_t fixed = 0;
    for (const BayPlan& bay : plan.bays) {
        cups += 2 * bay.rods.size();
        for (const BayShelf& shelf : bay.shelves)
            ++(shelf.what == ShelfOfBay::loose ? pins : fixed);
    }
    std::vector<Supply> supplies{
        {KitGroup::hardware, "rod cup", {"Cup for a rod's end"}, cups},
        {KitGroup::hardware, "shelf pin", {"Shelf pin"}, pins * pins_of_shelf},
        {KitGroup::fixings,
         "panel screw",
         {"Screw through a panel into a shelf's end: as long as the panel is thick and {0} more",
          {stock(rules.panel_screw_grip)}},
         2 * fixed * static_cast<std::size_t>(rules.panel_screws)}};
    std::erase_if(supplies, [](const Supply& supply) { return supply.number == 0; });
    supplies.push_back({KitGroup::tools, "prop", {"Batten to prop a panel, a mat for its foot"}});
    return supplies;
}

} // namespace

SystemPlan reckon_system(const StorageSystem& system, const WallSite& site) {
    SystemPlan plan;
    plan.id = system.id;
    plan.name = system.name;
    plan.foot = system.foot();
    plan.head = system.head();
    const BayLayout layout = bay_layout(system, site.rules.storage);
    plan.left_over = layout.left_over;
    const Mass panel_mass = properties(system.material).density * system.panel_height * system.depth * system.panel;
    Length at = system.left;
    for (std::size_t i = 0; i < system.bays.size(); ++i) {
        plan.panels.push_back({fmt::format("P{}", i + 1), at, panel_mass});
        BayPlan& bay = plan.bays.emplace_back();
        bay.number = i + 1;
        bay.left = layout.lefts[i];
        bay.width = layout.widths[i];
        fill_bay(system, system.bays[i], site, bay);
        bay.hidden = hidden_of(system, bay, plan, site);
        weigh(bay, panel_mass, system.bays.size());
        at = bay.right();
    }
    if (!system.bays.empty())
        plan.panels.push_back({fmt::format("P{}", plan.panels.size() + 1), at, panel_mass});
    if (!plan.panels.empty())
        plan.lines = {{true, {"{0}: outer face of P1", {system.name}}, plan.panels.front().left, plan.foot}};
    hold_bays(system, site, plan);
    if (!plan.bays.empty()) {
        plan.slide = slide_for_studs(slide_question(system, plan, site));
        if (plan.slide.possible && !plan.slide.holds_now())
            plan.slide_moves = plan.slide.places.front() - plan.slide.chains.front().now;
    }
    plan.parts = SystemParts{system, plan}.list();
    plan.supplies = bought_for(plan, site.rules.storage);
    for (const PanelReading& reading : system.readings)
        plan.corrections.push_back(plumb_correction(reading, system.panel_height, site.rules.storage));
    check_system(system, site, plan);
    plan.workings = workings_of(system, plan, site);
    plan.steps = steps_of(system, plan, site);
    return plan;
}

} // namespace yes_square
