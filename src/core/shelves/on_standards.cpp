#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <stdexcept>

/// Clip brackets in slotted uprights.
namespace yes_square {
namespace {

constexpr std::size_t most_holes = 200; ///< of an upright

class StandardsWay final : public WayOf<OnStandards> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {{"standards", "Slotted uprights", 1200_mm, 1800_mm, 250_mm, 22_mm}};
    }
    Holding usual(const Shelf&) const override {
        OnStandards how;
        how.top_over = how.first_slot + 2 * how.slot_pitch;
        return how;
    }
    void place(const Wall&, Shelf& shelf) const override {
        shelf.tiers = 3;
        shelf.rise = 320_mm;
    }
    bool boards_on_arms() const override { return true; }
    bool takes_lip() const override { return true; }
    std::string_view one_of_them() const override { return "Upright"; }
    std::string_view one_more() const override { return "One upright more"; }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        const OnStandards& how = of(shelf);
        Bracket upright;
        upright.name = "Slotted upright";
        upright.arm = arm_range(shelf.depth, site.rules).most;
        upright.leg = how.standard;
        upright.width = how.width;
        upright.thickness = how.thickness;
        upright.hole_diameter = how.hole_diameter;
        for (Length at = how.first_hole; at < how.standard && how.hole_every > Length{}; at += how.hole_every) {
            if (upright.hole_drops.size() == most_holes)
                throw std::invalid_argument("an upright has more than 200 holes: is their distance right?");
            upright.hole_drops.push_back(at);
        }
        if (const auto named = std::ranges::find(site.catalogue.brackets, shelf.bracket, &Bracket::id);
            named != site.catalogue.brackets.end()) {
            // Of the clips it takes, as their packet has it.
            upright.rating = named->rating;
            upright.rated_per_pair = named->rated_per_pair;
            upright.basis = named->basis;
        }
        Carrier carrier = even_carrier(upright, shelf, site);
        carrier.over = how.top_over;
        carrier.boards = shelf.tiers;
        carrier.one_leg = true;
        carrier.limp_lever = how.hole_every.in_metres();
        carrier.most = std::min(carrier.most, site.rules.shelves.standards_most);
        return carrier;
    }

    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan& plan) const override {
        const Length standard = of(shelf).standard;
        return {{KitGroup::hardware,
                 fmt::format("upright {:.4g} mm", standard.in_mm()),
                 {"Slotted upright, {0} long", {stock(standard)}},
                 plan.brackets.size()}};
    }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const OnStandards& how = of(shelf);
        const Length deepest = how.top_over + shelf.rise * (shelf.tiers - 1);
        if (deepest > how.standard)
            checker.add(checks::upright_too_short,
                        {"The lowest shelf is {0} below the foot of the uprights", {quantity(deepest - how.standard)}},
                        quantity(deepest - how.standard), shelf.left, shelf.lowest_underside());
        const auto off_slot = [&](Length from_top) {
            const std::int64_t pitch = how.slot_pitch.in_nanometres();
            const std::int64_t off = ((from_top - how.first_slot).in_nanometres() % pitch + pitch) % pitch;
            return Length::nanometres(std::min(off, pitch - off));
        };
        const Length off = shelf.tiers > 1 ? std::max(off_slot(how.top_over), off_slot(how.top_over + shelf.rise))
                                           : off_slot(how.top_over);
        if (off > Length::micrometres(500))
            checker.add(checks::slots_missed,
                        {"The shelves miss the slots by up to {0}: with slots every {1} the rise is a multiple of that",
                         {quantity(off), quantity(how.slot_pitch)}},
                        quantity(off), shelf.left, shelf.height);
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        if (check.code == checks::slots_missed)
            onto_slots(curer, check);
        if (check.code == checks::upright_too_short && check.amount)
            longer_upright(curer, check);
    }

    void say_steps(ShelfSteps& steps) const override {
        steps.say({"Upright 1: top screw in loosely, its top {0} over the line, let it hang plumb, then the others",
                   {quantity(steps.plan().leg_over)}});
        steps.say({"Every other upright: first slots in one level line with those of upright 1, not the tops"});
        steps.hold({"Clip a bracket into the same slot of every upright and lay a level over them before you tighten"});
        steps.say(
            {"Clip the brackets in: slots counted from the top, {0} apart", {quantity(of(steps.shelf()).slot_pitch)}});
        steps.lay_board();
    }

private:
    static void onto_slots(const ShelfCurer& curer, Check& check) {
        const auto& how = of(curer.shelf());
        const auto nearest = [&](Length length) {
            const std::int64_t pitch = how.slot_pitch.in_nanometres();
            return Length::nanometres((length.in_nanometres() + pitch / 2) / pitch * pitch);
        };
        const Length top = nearest(how.top_over - how.first_slot) + how.first_slot;
        const Length rise =
            curer.shelf().tiers > 1 ? std::max(how.slot_pitch, nearest(curer.shelf().rise)) : curer.shelf().rise;
        curer.change(
            check, {"Set the shelves {0} apart and the uprights {1} over the highest", {quantity(rise), quantity(top)}},
            [&](Shelf& shelf) {
                shelf.rise = rise;
                std::get<OnStandards>(shelf.holding).top_over = top;
            });
    }

    static void longer_upright(const ShelfCurer& curer, Check& check) {
        const Length longer = of(curer.shelf()).standard + Length::nearest_to_metres(check.amount->si);
        for (const Length standard : {500_mm, 1000_mm, 1500_mm, 2000_mm, 2400_mm})
            if (standard >= longer) {
                curer.change(check, {"Uprights of {0}", {quantity(standard)}},
                             [&](Shelf& shelf) { std::get<OnStandards>(shelf.holding).standard = standard; });
                return;
            }
    }
};

} // namespace

const Way& way(const OnStandards&) {
    static const StandardsWay all;
    return all;
}

} // namespace yes_square
