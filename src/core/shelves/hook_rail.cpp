#include "core/shelves/screwed_board.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>

/// A board flat on the wall with hooks or pegs along it.
namespace yes_square {
namespace {

class HookRailWay final : public WayOf<HookRail> {
public:
    bool is_board() const override { return false; }
    std::vector<ShelfPreset> presets() const override {
        return {{"hook_rail", "Rail with hooks", 1000_mm, 1700_mm, 80_mm, 95_mm, BoardMaterial::red_oak,
                 LoadKind::clothes}};
    }
    Holding usual(const Shelf&) const override { return HookRail{}; }
    bool own_thickness() const override { return true; }
    bool sat_on() const override { return false; }
    bool carries_goods() const override { return false; }
    std::string_view one_of_them() const override { return "Screws"; }

    Section section(const Shelf& shelf) const override { // stands on edge
        const BoardProperties& board = properties(shelf.material);
        const double thickness = of(shelf).board.in_metres();
        const double height = shelf.thickness.in_metres();
        return {board.density * of(shelf).board * shelf.thickness, board_stiffness(board.modulus, thickness, height),
                SectionModulus::si(thickness * height * height / 6)};
    }
    void add_goods(const Shelf& shelf, ShelfLoads& loads) const override {
        const HookRail& rail = of(shelf);
        loads.goods_load = weight_of(rail.hooks * rail.on_hook) / shelf.length;
        loads.goods_source = {Provenance::measured};
    }
    void load(Shelf& shelf, LineMass per_metre) const override {
        auto& rail = std::get<HookRail>(shelf.holding);
        rail.on_hook = per_metre * shelf.length / std::max(1, rail.hooks);
    }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        Carrier carrier = screwed_through(shelf, site, "Screws through the rail", shelf.thickness, of(shelf).board,
                                          screw_rows(shelf.thickness));
        carrier.load_at = carrier.edge_at;
        return carrier;
    }
    bool maker_rates_it() const override { return false; }
    Length drilled(const Shelf& shelf) const override { return of(shelf).board; }
    Length screwed_on(const Shelf& shelf, const ShelfPlan&) const override { return of(shelf).board; }

    std::vector<CutPart> cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const override {
        return boards_cut(shelf, site, plan, false, {"rail of {0}", {shelf.name}}, shelf.thickness, of(shelf).board);
    }
    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan&) const override {
        return {{KitGroup::hardware, "hook", {"Hook"}, static_cast<std::size_t>(std::max(0, of(shelf).hooks))}};
    }

    void say_steps(ShelfSteps& steps) const override {
        steps.say(
            {"Drill the rail for its screws, hold it on the line, first screw in loosely, level it, then the others"});
        steps.say({"Hooks: {0}, spread between the screws, never through one",
                   {count(static_cast<std::size_t>(of(steps.shelf()).hooks))}});
        steps.hold(Phase::prove, {"Pull down on a hook at each end with your weight held back: nothing may move"});
    }

    std::vector<SeenPart> seen(const Shelf& shelf) const override {
        std::vector<SeenPart> hooks;
        const int number = of(shelf).hooks;
        const Length middle = shelf.height - shelf.thickness / 2;
        for (int i = 0; i < number; ++i) {
            const Length x = shelf.left + shelf.length * (2 * i + 1) / (2 * number);
            hooks.push_back({SeenPart::Look::hook, {x, x, middle, middle}});
        }
        return hooks;
    }
};

} // namespace

const Way& way(const HookRail&) {
    static const HookRailWay all;
    return all;
}

} // namespace yes_square
