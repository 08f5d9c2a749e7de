#include "core/storage/reckon_system.hpp"

#include "core/statics/gravity.hpp"
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

void weigh(BayPlan& bay, double panel_kg, std::size_t bays) {
    const bool first = bay.number == 1;
    const bool last = bay.number == bays;
    bay.kg = panel_kg * (first ? 1 : 0.5) + panel_kg * (last ? 1 : 0.5);
    double goods_n = 0;
    for (const BayShelf& shelf : bay.shelves) {
        bay.kg += shelf.kg;
        goods_n += shelf.load_n;
    }
    for (const BayRod& rod : bay.rods)
        goods_n += rod.load_n;
    // A drawer with its front, sides and thin bottom weighs about as much as a shelf of its bay (house rule).
    bay.drawer_kg = bay.drawers.empty() || bay.shelves.empty() ? 0 : bay.shelves.front().kg;
    bay.kg += bay.drawer_kg * static_cast<double>(bay.drawers.size());
    bay.loaded_kg = bay.kg + goods_n / standard_gravity;
}

void list_parts(const StorageSystem& system, SystemPlan& plan) {
    for (const PanelPlan& panel : plan.panels)
        plan.parts.push_back({panel.label, "side panel", system.panel_height, system.depth, system.panel, 0});
    for (const BayPlan& bay : plan.bays) {
        for (const BayShelf& shelf : bay.shelves)
            plan.parts.push_back({shelf.label, words(shelf.what), bay.width, system.depth, system.panel, bay.number});
        for (const BayCleat& cleat : bay.cleats)
            plan.parts.push_back(
                {cleat.shelf + "c", "cleat", cleat.length, system.cleat_breadth, system.cleat_thickness, bay.number});
        for (const BayRod& rod : bay.rods)
            plan.parts.push_back({rod.label, "rod", rod.cut, system.rod_diameter, system.rod_diameter, bay.number});
    }
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
    const double panel_kg = system.panel_height.in_metres() * system.depth.in_metres() * system.panel.in_metres() *
                            properties(system.material).density;
    Length at = system.left;
    for (std::size_t i = 0; i < system.bays.size(); ++i) {
        plan.panels.push_back({fmt::format("P{}", i + 1), at, panel_kg});
        BayPlan& bay = plan.bays.emplace_back();
        bay.number = i + 1;
        bay.left = layout.lefts[i];
        bay.width = layout.widths[i];
        fill_bay(system, system.bays[i], site, bay);
        bay.hidden = hidden_of(system, bay, plan, site);
        weigh(bay, panel_kg, system.bays.size());
        at = bay.right();
    }
    if (!system.bays.empty())
        plan.panels.push_back({fmt::format("P{}", plan.panels.size() + 1), at, panel_kg});
    hold_bays(system, site, plan);
    if (!plan.bays.empty()) {
        plan.slide = slide_for_studs(slide_question(system, plan, site));
        if (plan.slide.possible && !plan.slide.holds_now())
            plan.slide_moves = plan.slide.places.front() - plan.slide.chains.front().now;
    }
    list_parts(system, plan);
    for (const PanelReading& reading : system.readings)
        plan.corrections.push_back(plumb_correction(reading, system.panel_height, site.rules.storage));
    check_system(system, site, plan);
    plan.workings = workings_of(system, plan, site);
    plan.steps = steps_of(system, plan, site);
    return plan;
}

} // namespace yes_square
