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
Length hidden_of(const StorageSystem& system, const BayPlan& bay, const WallSite& site) {
    Length hidden;
    for (const CornerThing& thing : site.survey.corner_things) {
        if (thing.off < system.depth || thing.bottom >= bay.sides.head || thing.top <= bay.sides.foot)
            continue;
        const Length edge = thing.at_right_end ? site.wall.length - thing.along : thing.along;
        const Length behind =
            thing.at_right_end ? bay.right() - std::max(bay.left, edge) : std::min(bay.right(), edge) - bay.left;
        hidden = std::max(hidden, behind);
    }
    return std::max(Length{}, hidden);
}

/// Of a panel between two bays half is each one's. To one that stands no more of it counts than is as tall as itself:
/// it keeps it from tipping; to one that hangs all of it does.
void weigh(BayPlan& bay, const SystemPlan& plan) {
    const auto share = [&](const PanelPlan& panel, bool last) {
        const double own = bay.sides.hung || panel.height() <= Length{}
                               ? 1
                               : std::min(1.0, bay.sides.height().in_metres() / panel.height().in_metres());
        return panel.mass * own * (last ? 1 : 0.5);
    };
    bay.mass = share(plan.panels[bay.number - 1], bay.number == 1) +
               share(plan.panels[bay.number], bay.number == plan.bays.size());
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
            board(panel.label, "side panel", panel.height(), {});
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

/// A panel at either side of every bay, as low and as high as the bays beside it.
void stand_panels(const StorageSystem& system, SystemPlan& plan) {
    plan.foot = plan.bays.empty() ? Length{} : plan.bays.front().sides.foot;
    for (std::size_t i = 0; i <= plan.bays.size() && !plan.bays.empty(); ++i) {
        const BayPlan& left = plan.bays[i == 0 ? 0 : i - 1];
        const BayPlan& right = plan.bays[std::min(i, plan.bays.size() - 1)];
        PanelPlan panel{fmt::format("P{}", i + 1), i == 0 ? system.left : left.right()};
        panel.foot = std::min(left.sides.foot, right.sides.foot);
        panel.head = std::max(left.sides.head, right.sides.head);
        panel.mass = properties(system.material).density * panel.height() * system.depth * system.panel;
        plan.foot = std::min(plan.foot, panel.foot);
        plan.head = std::max(plan.head, panel.head);
        plan.panels.push_back(std::move(panel));
    }
}

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
    const BayLayout layout = bay_layout(system, site.rules.storage);
    plan.left_over = layout.left_over;
    for (std::size_t i = 0; i < system.bays.size(); ++i) {
        BayPlan& bay = plan.bays.emplace_back();
        bay.number = i + 1;
        bay.left = layout.lefts[i];
        bay.width = layout.widths[i];
        fill_bay(system, system.bays[i], site, bay);
        bay.hidden = hidden_of(system, bay, site);
    }
    stand_panels(system, plan);
    for (BayPlan& bay : plan.bays)
        weigh(bay, plan);
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
        plan.corrections.push_back(
            plumb_correction(reading, panel_height(system, plan, reading.panel), site.rules.storage));
    check_system(system, site, plan);
    plan.workings = workings_of(system, plan, site);
    plan.steps = steps_of(system, plan, site);
    return plan;
}

} // namespace yes_square
