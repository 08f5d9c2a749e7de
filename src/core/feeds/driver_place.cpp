#include "core/feeds/driver_place.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class DriverPlacer {
public:
    DriverPlacer(const LightFeed& light, const FeedPlan& feed, const WallSite& site, const WallPlan& plan)
        : driver_{light.driver}
        , switch_{light.switched}
        , feed_{feed}
        , rules_{site.rules.feeds}
        , site_{site} {
        for (std::size_t r = 0; r < site.wall.runs.size() && r < plan.runs.size(); ++r)
            for (std::size_t u = 0; u < site.wall.runs[r].units.size() && u < plan.runs[r].units.size(); ++u)
                if (is_cabinet(site.wall.runs[r].units[u])) // a filler has no bottom to drill
                    units_.push_back(&plan.runs[r].units[u]);
    }

    void place() {
        placed_.at = driver_.at;
        placed_.x = driver_.x;
        switch (driver_.at) {
        case DriverAt::not_told:
            break;
        case DriverAt::on_wall:
            on_wall();
            break;
        case DriverAt::over_units:
            over_units();
            break;
        case DriverAt::behind_plinth:
            placed_.z = site_.rules.feeds.plinth_driver;
            placed_.known = std::ranges::any_of(
                units_, [&](const UnitPlan* unit) { return spans(*unit, driver_.x) && !unit->feet.empty(); });
            break;
        case DriverAt::in_unit:
            in_unit();
            break;
        }
        placed_.lead = way(placed_.x, placed_.z, feed_.left, feed_.height);
        placed_.far_lead = way(placed_.x, placed_.z, feed_.right, feed_.height);
    }

    /// After its driver, where that is told: both leads go by it, else the light stays lit by the other.
    SwitchPlan place_switch() {
        into_ = &switched_.holes;
        if (switch_.at == SwitchAt::on_wall) {
            switched_.x = switch_.x;
            switched_.z = switch_.height;
            switched_.known = on_bare_wall(switch_.x, switch_.height);
        } else {
            under_unit();
        }
        if (switched_.known && placed_.at != DriverAt::not_told && placed_.known) {
            const Length there = way(placed_.x, placed_.z, switched_.x, switched_.z);
            placed_.lead = there + way(switched_.x, switched_.z, feed_.left, feed_.height);
            placed_.far_lead = there + way(switched_.x, switched_.z, feed_.right, feed_.height);
        }
        return switched_;
    }
    const DriverPlan& driver() const { return placed_; }

private:
    /// Where two meet, the right one.
    static bool spans(const UnitPlan& unit, Length x) { return unit.place.left <= x && x < unit.place.right(); }

    /// The unit that the light's left end is in or under; nullptr: none.
    const UnitPlan* unit_over(Length x) const {
        const auto found = std::ranges::find_if(units_, [&](const UnitPlan* unit) {
            return spans(*unit, x) && unit->bottom <= feed_.height && feed_.height <= unit->top;
        });
        return found == units_.end() ? nullptr : *found;
    }

    /// Along and up.
    static Length way(Length x, Length z, Length to_x, Length to_z) { return absolute(x - to_x) + absolute(z - to_z); }

    bool on_bare_wall(Length x, Length z) const {
        const bool in_opening = std::ranges::any_of(site_.wall.openings, [&](const Opening& opening) {
            const Outline hole = box_of(opening);
            return hole.left < x && x < hole.right && hole.bottom < z && z < hole.top;
        });
        return x >= Length{} && x <= site_.wall.length && z >= Length{} && z <= site_.wall.height && !in_opening;
    }

    void on_wall() {
        placed_.z = driver_.height;
        placed_.known = on_bare_wall(driver_.x, driver_.height);
    }

    void over_units() {
        const UnitPlan* under = nullptr; // the driver
        for (const UnitPlan* unit : units_)
            if (spans(*unit, driver_.x) && unit->top > feed_.height && (!under || unit->top > under->top))
                under = unit;
        placed_.known = under != nullptr;
        if (!under)
            return;
        placed_.z = under->top;
        placed_.air = site_.wall.height - under->top;
        if (const UnitPlan* near = unit_over(feed_.left)) {
            hole(*near, LeadPanel::top, near->side + rules_.lead_in);
            hole(*near, LeadPanel::bottom, near->side + rules_.lead_in);
        }
    }

    const UnitPlan* unit_of(const std::string& id) const {
        const auto found = std::ranges::find(units_, id, [](const UnitPlan* unit) { return unit->unit_id; });
        return found == units_.end() ? nullptr : *found;
    }

    void under_unit() {
        const UnitPlan* unit = unit_of(switch_.unit);
        switched_.known = unit != nullptr;
        if (!unit)
            return;
        switched_.unit = unit->name;
        switched_.x = unit->place.left + unit->place.width / 2;
        switched_.z = unit->bottom;
        hole(*unit, LeadPanel::bottom, unit->side + rules_.lead_in);
        if (placed_.at == DriverAt::over_units && placed_.known)
            hole(*unit, LeadPanel::top, unit->side + rules_.lead_in);
        else if (const UnitPlan* holds = unit_of(driver_.unit); placed_.at == DriverAt::in_unit && holds)
            through_sides(*holds, *unit);
    }

    void in_unit() {
        const UnitPlan* found = unit_of(driver_.unit);
        placed_.known = found != nullptr;
        if (!placed_.known)
            return;
        const UnitPlan& holds = *found;
        placed_.x = holds.place.left + holds.place.width / 2;
        placed_.z = holds.bottom + holds.side + rules_.lead_in;
        const UnitPlan* near = unit_over(feed_.left);
        if (!near)
            return hole(holds, LeadPanel::bottom, holds.side + rules_.lead_in);
        through_sides(holds, *near);
        hole(*near, LeadPanel::bottom, near->side + rules_.lead_in);
    }

    /// From the unit that the driver is in to another, at the driver's height.
    void through_sides(const UnitPlan& holds, const UnitPlan& near) {
        const bool from_right = holds.place.left > near.place.left;
        for (const UnitPlan* unit : units_) {
            const bool between = unit->place.left >= std::min(holds.place.left, near.place.left) &&
                                 unit->place.left <= std::max(holds.place.left, near.place.left) &&
                                 unit->bottom < placed_.z && placed_.z < unit->top;
            if (!between || &holds == &near)
                continue;
            const bool first = unit == (from_right ? &near : &holds); // from the left
            const bool last = unit == (from_right ? &holds : &near);
            if (!first)
                hole(*unit, LeadPanel::left_side, rules_.lead_in);
            if (!last)
                hole(*unit, LeadPanel::right_side, rules_.lead_in);
        }
    }

    /// One that a lead has already serves the next too.
    /// @param in  from the unit's left side, of a top or bottom; up from the inside of the bottom, of a side
    void hole(const UnitPlan& unit, LeadPanel panel, Length in) {
        const auto same = [&](const LeadHole& one) { return one.unit == unit.unit_id && one.panel == panel; };
        if (std::ranges::none_of(placed_.holes, same) && std::ranges::none_of(switched_.holes, same))
            into_->push_back({unit.unit_id, unit.name, panel, in, rules_.lead_in});
    }

    const DriverPlace& driver_;
    const SwitchPlace& switch_;
    const FeedPlan& feed_;
    const FeedRules& rules_;
    const WallSite& site_;
    std::vector<const UnitPlan*> units_;
    DriverPlan placed_;
    SwitchPlan switched_;
    std::vector<LeadHole>* into_ = &placed_.holes;
};

} // namespace

void place_driver(const LightFeed& light, const WallSite& site, const WallPlan& plan, FeedPlan& feed) {
    DriverPlacer placer{light, feed, site, plan};
    const bool told = light.driver.at != DriverAt::not_told;
    if (told)
        placer.place();
    if (light.switched.at != SwitchAt::none)
        feed.switched = placer.place_switch();
    if (told)
        feed.driver = placer.driver();
}

Sentence put_driver(const DriverPlan& driver, Length lead, const WallSite& site) {
    const Value at = site.along(driver.x);
    const Value up = quantity(driver.z);
    const Value so_much = quantity(lead);
    switch (driver.at) {
    case DriverAt::on_wall:
        return {"Driver: on the wall at {0}, {1} up, screwed as its maker says, with air round it: {2} of lead from "
                "there",
                {at, up, so_much}};
    case DriverAt::over_units:
        return {
            "Driver: on top of the units at {0}, on nothing soft and under nothing, where a hand gets to it: {1} of "
            "lead from there",
            {at, so_much}};
    case DriverAt::behind_plinth:
        return {"Driver: behind the plinth at {0}, off the floor, the plinth there left to unclip, not glued: {1} of "
                "lead from there",
                {at, so_much}};
    case DriverAt::in_unit:
        return {"Driver: in the unit at {0}, {1} up at its back, nothing stored against it: {2} of lead from there",
                {at, up, so_much}};
    case DriverAt::not_told:
        break;
    }
    return {};
}

Sentence put_switch(const SwitchPlan& place, double amps, const WallSite& site) {
    const Value bears = Quantity{Kind::current, amps};
    if (place.unit.empty())
        return {"Switch: on the wall at {0}, {1} up, in the lead from the driver to the light, for {2} or more",
                {site.along(place.x), quantity(place.z), bears}};
    return {"Switch: in the bottom of {0}, near its front, in the lead from the driver to the light, for {1} or more",
            {place.unit, bears}};
}

Sentence drill_for_lead(const LeadHole& hole, Length bore) {
    const bool side = hole.panel == LeadPanel::left_side || hole.panel == LeadPanel::right_side;
    return {side ? std::string_view{"{0}: drill {1} through its {2} for the lead before it goes up, {3} up from its "
                                    "bottom's inside and {4} from its back"}
                 : "{0}: drill {1} through its {2} for the lead before it goes up, {3} from its left side and {4} from "
                   "its back",
            {hole.name, stock(bore), words(hole.panel), quantity(hole.in), quantity(hole.from_back)}};
}

} // namespace yes_square
