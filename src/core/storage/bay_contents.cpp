#include "core/storage/bay_contents.hpp"

#include "core/shelves/verdicts.hpp"
#include "core/statics/back_held.hpp"
#include "core/storage/bay_widths.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr Length near_top = 150_mm; ///< a shelf this near the top one is the top one

class HeightsWriter {
public:
    HeightsWriter(const StorageSystem& system, const Bay& bay, const StorageRules& rules)
        : system_{system}
        , bay_{bay}
        , rules_{rules}
        , height_{system.sides_of(bay).height()}
        , most_{height_ - system.panel - rules.under_shelf} {}

    BayHeights write() {
        heights_.shelves.push_back({height_});
        switch (bay_.kind) {
        case BayKind::double_hanging: {
            const Length upper = settled(bay_.rod > Length{} ? bay_.rod : std::min(rules_.upper_rod, most_));
            rod(upper);
            const Length usual = upper >= rules_.upper_rod ? rules_.lower_rod : upper / 2;
            rod(std::min(bay_.low_rod > Length{} ? bay_.low_rod : usual, upper - system_.panel - rules_.under_shelf));
            break;
        }
        case BayKind::long_hanging:
            rod(settled(bay_.rod > Length{} ? bay_.rod : std::min(rules_.long_rod, most_)));
            break;
        case BayKind::shelves:
        case BayKind::shoes:
            spread(system_.panel, 3);
            break;
        case BayKind::drawers: {
            const int number = std::max(1, bay_.loose);
            for (int i = number; i > 0; --i)
                heights_.drawers.push_back(system_.panel + bay_.drawer_height * i);
            const Length over = heights_.drawers.front() + system_.panel;
            if (over < height_ - near_top)
                heights_.shelves.push_back({over});
            heights_.shelves.push_back({system_.panel, false});
            break;
        }
        case BayKind::open:
            break;
        }
        return std::move(heights_);
    }

private:
    void rod(Length middle) {
        heights_.rods.push_back(middle);
        if (const Length over = middle + rules_.under_shelf + system_.panel; over < heights_.shelves.back().top - 1_mm)
            heights_.shelves.push_back({over});
    }

    /// Up under the top shelf where its own shelf would come too near that; never so low that nothing goes under it.
    Length settled(Length wanted) const {
        return wanted > most_ - near_top ? most_ : std::max(wanted, 2 * (system_.panel + rules_.under_shelf));
    }

    /// A plain shelf at the base, and so many cleated ones above it with the top one, evenly.
    void spread(Length base, std::int64_t number) {
        const Length each = (height_ - base) / number;
        for (std::int64_t i = number - 1; i > 0; --i)
            heights_.shelves.push_back({base + each * i});
        heights_.shelves.push_back({base, false});
    }

    const StorageSystem& system_;
    const Bay& bay_;
    const StorageRules& rules_;
    const Length height_; ///< of its sides
    const Length most_;   ///< highest that a rod's middle may be
    BayHeights heights_;
};

class BayFiller {
public:
    BayFiller(const StorageSystem& system, const Bay& bay, const WallSite& site, BayPlan& plan)
        : system_{system}
        , bay_{bay}
        , site_{site}
        , rules_{site.rules.storage}
        , plan_{plan}
        , sides_{system.sides_of(bay)}
        , heights_{bay_heights(system, bay, rules_)} {}

    void fill() {
        plan_.sides = sides_;
        for (const BayHeights::Fixed& fixed : heights_.shelves)
            shelf(fixed.top, fixed.cleated ? ShelfOfBay::cleated : ShelfOfBay::plain, {});
        loose();
        std::ranges::stable_sort(plan_.shelves, std::ranges::greater{}, &BayShelf::top);
        for (std::size_t i = 0; i < plan_.shelves.size(); ++i)
            plan_.shelves[i].label = fmt::format("{}{}", plan_.number, letters(i));
        for (const Length middle : heights_.rods)
            rod(middle);
        for (const Length top : heights_.drawers)
            plan_.drawers.push_back(sides_.foot + top);
        fits();
    }

private:
    static std::string letters(std::size_t i) {
        std::string text{static_cast<char>('A' + i % 26)};
        return i < 26 ? text : letters(i / 26 - 1) + text;
    }

    /// A board from panel to panel, its upper face at a height above the foot.
    Shelf board(Length top) const {
        Shelf shelf;
        shelf.left = plan_.left;
        shelf.length = std::max(1_mm, plan_.width);
        shelf.depth = system_.depth;
        shelf.thickness = system_.panel;
        shelf.material = system_.material;
        shelf.height = sides_.foot + top;
        shelf.load = bay_.load;
        return shelf;
    }

    SimpleSpan bend(const Shelf& shelf, std::optional<double> back_held = {}) const {
        return simple_span(shelf, site_.rules, site_.service_class, back_held);
    }

    void shelf(Length top, ShelfOfBay what, std::optional<std::size_t> pin_hole) {
        const Shelf board_here = board(top);
        std::optional<double> held;
        if (what == ShelfOfBay::cleated)
            held = back_held_share(board_here.length, board_here.depth, shear_share(board_here.material));
        SimpleSpan bent = bend(board_here, held);
        if (!sides_.hung && top <= system_.panel) {
            // It lies on the floor.
            bent.sag = {};
            bent.utilisation = Utilisation::none();
        }
        plan_.shelves.push_back({{},
                                 what,
                                 board_here.height,
                                 pin_hole,
                                 bent.loads.board_mass,
                                 bent.loads.total(board_here.length) - weight_of(bent.loads.board_mass),
                                 bent.sag,
                                 bent.utilisation});
    }

    /// Loose shelves go one by one where the clear height is greatest, and stand evenly there, on pin holes.
    void loose() {
        if (bay_.kind == BayKind::drawers)
            return;
        std::vector<std::pair<Length, Length>> openings; ///< from a shelf's top to the next one's underside
        std::vector<BayHeights::Fixed> fixed = heights_.shelves;
        for (std::size_t i = 0; i + 1 < fixed.size(); ++i)
            openings.push_back({fixed[i + 1].top, fixed[i].top - system_.panel});
        if (openings.empty() || rods_of(bay_.kind) > 0)
            return;
        std::vector<std::int64_t> in(openings.size(), 0);
        const auto clear = [&](std::size_t i) {
            return (openings[i].second - openings[i].first - system_.panel * in[i]) / (in[i] + 1);
        };
        const bool shoes = bay_.kind == BayKind::shoes && bay_.loose == 0;
        const int most = shoes ? 60 : std::min(bay_.loose, 60);
        for (int n = 0; n < most; ++n) {
            std::size_t best = 0;
            for (std::size_t i = 1; i < openings.size(); ++i)
                if (clear(i) > clear(best))
                    best = i;
            ++in[best];
            if (shoes && clear(best) + system_.panel < rules_.shoe_pitch) {
                --in[best];
                break;
            }
        }
        for (std::size_t i = 0; i < openings.size(); ++i)
            for (std::int64_t k = 1; k <= in[i]; ++k)
                on_pins(openings[i].first + (clear(i) + system_.panel) * k - system_.panel);
    }

    /// The pin hole nearest to where an underside is wanted.
    void on_pins(Length underside) {
        const Length from_first = underside - system_.first_hole;
        if (from_first < Length{} - rules_.hole_pitch)
            return;
        const auto hole = std::max<std::int64_t>(0, from_first.in_steps_of(rules_.hole_pitch));
        const Length z = system_.first_hole + rules_.hole_pitch * hole;
        shelf(z + system_.panel, ShelfOfBay::loose, static_cast<std::size_t>(hole) + 1);
    }

    void rod(Length middle) {
        BayRod rod;
        rod.label = fmt::format("{}R{}", plan_.number, plan_.rods.size() + 1);
        rod.z = sides_.foot + middle;
        rod.cut = plan_.width - 2 * system_.end_cup;
        Shelf bar = board(middle);
        bar.length = std::max(1_mm, rod.cut);
        bar.height = site_.rules.accidental_below; // nobody leans on a rod with clothes on it
        bar.depth = bar.thickness = system_.rod_diameter;
        bar.material = BoardMaterial::eastern_white_pine;
        bar.load.kind = LoadKind::clothes;
        Pole pole;
        pole.stuff = system_.rod_stuff;
        pole.wall = system_.rod_wall;
        bar.holding = pole;
        const SimpleSpan bent = bend(bar);
        rod.load = bent.loads.total(bar.length);
        rod.sag = bent.sag;
        rod.utilisation = bent.utilisation;
        Length below = sides_.foot;
        for (const BayShelf& shelf : plan_.shelves)
            if (shelf.top < rod.z)
                below = std::max(below, shelf.top);
        rod.under = rod.z - below;
        rod.holds =
            rod.cut > Length{}
                ? static_cast<std::size_t>(rod.cut.in_nanometres() / room_of(bay_.garment, rules_).in_nanometres())
                : 0;
        plan_.rods.push_back(std::move(rod));
    }

    static std::size_t whole(Length room, Length each) {
        return room <= Length{} ? 0 : static_cast<std::size_t>(room.in_nanometres() / each.in_nanometres());
    }

    /// Adds to what fits of a kind: the least clear height and the lowest pile tell for all.
    void fit(GoodsKind what, std::size_t number, std::size_t each, Length clear) {
        if (number == 0)
            return;
        const auto same = std::ranges::find(plan_.fits, what, &Fits::what);
        if (same == plan_.fits.end()) {
            plan_.fits.push_back({what, number, each, clear});
            return;
        }
        same->number += number;
        same->each = std::min(same->each, each);
        same->clear = std::min(same->clear, clear);
    }

    void fits() {
        for (const BayRod& rod : plan_.rods) // two rods are two answers
            plan_.fits.push_back({GoodsKind::garments, rod.holds, 0, rod.under});
        if (!plan_.drawers.empty())
            plan_.fits.push_back({GoodsKind::drawers, plan_.drawers.size(), 0, bay_.drawer_height});
        if (!plan_.rods.empty() || bay_.kind == BayKind::open)
            return;
        // Over the topmost nothing is counted on, and drawers have their own place.
        for (std::size_t i = 1; i < plan_.shelves.size(); ++i)
            if (plan_.drawers.empty() || plan_.shelves[i].top >= plan_.drawers.front())
                opening(plan_.shelves[i - 1].top - system_.panel - plan_.shelves[i].top);
    }

    /// What stands on one shelf.
    void opening(Length clear) {
        if (bay_.kind == BayKind::shoes)
            return fit(GoodsKind::shoes, whole(plan_.width, rules_.shoe_width), 0, clear);
        const Length room = clear - rules_.hand_room;
        if (const std::size_t each = whole(std::min(room, rules_.pile_most), rules_.fold_high); each > 0)
            fit(GoodsKind::piles, whole(plan_.width, rules_.stack_width), each, clear);
        fit(GoodsKind::boxes,
            whole(plan_.width, rules_.box_width) * whole(system_.depth, rules_.box_depth) *
                whole(room, rules_.box_height),
            0, clear);
    }

    const StorageSystem& system_;
    const Bay& bay_;
    const WallSite& site_;
    const StorageRules& rules_;
    BayPlan& plan_;
    const BaySides sides_;
    const BayHeights heights_;
};

} // namespace

BayHeights bay_heights(const StorageSystem& system, const Bay& bay, const StorageRules& rules) {
    return HeightsWriter{system, bay, rules}.write();
}

void fill_bay(const StorageSystem& system, const Bay& bay, const WallSite& site, BayPlan& plan) {
    BayFiller{system, bay, site, plan}.fill();
}

std::string_view words(ShelfOfBay what) {
    switch (what) {
    case ShelfOfBay::plain:
        return "plain shelf";
    case ShelfOfBay::cleated:
        return "cleated shelf";
    case ShelfOfBay::loose:
        return "loose shelf";
    }
    return {};
}

} // namespace yes_square
