#include "core/feeds/driver_place.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class DriverPlacer {
public:
    DriverPlacer(const LightFeed& light, const FeedPlan& feed, const WallSite& site, const WallPlan& plan)
        : driver_{light.driver}
        , feed_{feed}
        , rules_{site.rules.feeds}
        , site_{site} {
        for (const RunPlan& run : plan.runs)
            for (const UnitPlan& unit : run.units)
                units_.push_back(&unit);
    }

    DriverPlan place() {
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
        placed_.lead = way_to(feed_.left);
        placed_.far_lead = way_to(feed_.right);
        return std::move(placed_);
    }

private:
    static bool spans(const UnitPlan& unit, Length x) { return unit.place.left <= x && x <= unit.place.right(); }

    /// The unit that an end of the light is in or under; nullptr: none.
    const UnitPlan* unit_over(Length x) const {
        const auto found = std::ranges::find_if(units_, [&](const UnitPlan* unit) {
            return spans(*unit, x) && unit->bottom <= feed_.height && feed_.height <= unit->top;
        });
        return found == units_.end() ? nullptr : *found;
    }

    Length way_to(Length end) const { return absolute(placed_.x - end) + absolute(placed_.z - feed_.height); }

    void on_wall() {
        placed_.z = driver_.height;
        const bool in_opening = std::ranges::any_of(site_.wall.openings, [&](const Opening& opening) {
            const Outline hole = box_of(opening);
            return hole.left < driver_.x && driver_.x < hole.right && hole.bottom < driver_.height &&
                   driver_.height < hole.top;
        });
        placed_.known = driver_.x >= Length{} && driver_.x <= site_.wall.length && driver_.height >= Length{} &&
                        driver_.height <= site_.wall.height && !in_opening;
    }

    void over_units() {
        const UnitPlan* under = nullptr; // the driver
        for (const UnitPlan* unit : units_)
            if (spans(*unit, driver_.x) && (!under || unit->top > under->top))
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

    void in_unit() {
        const auto found = std::ranges::find(units_, driver_.unit, [](const UnitPlan* unit) { return unit->unit_id; });
        placed_.known = found != units_.end();
        if (!placed_.known)
            return;
        const UnitPlan& holds = **found;
        placed_.x = holds.place.left + holds.place.width / 2;
        placed_.z = holds.bottom + holds.side + rules_.lead_in;
        const UnitPlan* near = unit_over(feed_.left);
        if (!near)
            return hole(holds, LeadPanel::bottom, holds.side + rules_.lead_in);
        const bool from_right = holds.place.left > near->place.left;
        for (const UnitPlan* unit : units_) {
            const bool between = unit->place.left >= std::min(holds.place.left, near->place.left) &&
                                 unit->place.left <= std::max(holds.place.left, near->place.left) &&
                                 unit->bottom < placed_.z && placed_.z < unit->top;
            if (!between || &holds == near)
                continue;
            const bool first = unit->unit_id == (from_right ? near : &holds)->unit_id; // from the left
            const bool last = unit->unit_id == (from_right ? &holds : near)->unit_id;
            if (!first)
                hole(*unit, LeadPanel::left_side, rules_.lead_in);
            if (!last)
                hole(*unit, LeadPanel::right_side, rules_.lead_in);
        }
        hole(*near, LeadPanel::bottom, near->side + rules_.lead_in);
    }

    /// @param in  from the unit's left side, of a top or bottom; up from the inside of the bottom, of a side
    void hole(const UnitPlan& unit, LeadPanel panel, Length in) {
        placed_.holes.push_back({unit.unit_id, unit.name, panel, in, rules_.lead_in});
    }

    const DriverPlace& driver_;
    const FeedPlan& feed_;
    const FeedRules& rules_;
    const WallSite& site_;
    std::vector<const UnitPlan*> units_;
    DriverPlan placed_;
};

} // namespace

std::optional<DriverPlan> place_driver(const LightFeed& light, const FeedPlan& feed, const WallSite& site,
                                       const WallPlan& plan) {
    if (light.driver.at == DriverAt::not_told)
        return std::nullopt;
    return DriverPlacer{light, feed, site, plan}.place();
}

} // namespace yes_square
