#include "core/shelves/cleats.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>

/// A shelf on strips on the walls of an alcove.
namespace yes_square {
namespace {

class CleatsWay final : public WayOf<OnCleats> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {{"cleats", "Cleats, alcove", 900_mm, 1500_mm, 300_mm, 25_mm}};
    }
    Holding usual(const Shelf&) const override { return OnCleats{}; }
    void place(const Wall& wall, Shelf& shelf) const override {
        shelf.left = {};
        shelf.length = wall.length;
    }
    bool takes_lip() const override { return true; }

    bool at_places() const override { return false; }
    void hang(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) const override {
        hang_on_cleats(shelf, site, plan);
    }
    std::vector<Length> bears_at(const Shelf& shelf, const ShelfPlan&) const override {
        const Length inset = std::min(of(shelf).thickness / 2, shelf.length / 4);
        return {inset, shelf.length - inset};
    }
    Length drilled(const Shelf& shelf) const override { return of(shelf).thickness; }
    Length screwed_on(const Shelf& shelf, const ShelfPlan&) const override { return of(shelf).thickness; }

    std::vector<CutPart> cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const override {
        const OnCleats& how = of(shelf);
        std::vector<CutPart> parts = boards_cut(shelf, site, plan, true);
        for (const CleatPlan& cleat : plan.cleats)
            parts.push_back(strip_part(shelf.id, {"{0} cleat of {1}", {cleat.wall, shelf.name}}, cleat.length,
                                       how.breadth, how.thickness));
        return parts;
    }

    void check(KindChecker& checker) const override {
        const OnCleats& how = of(checker.shelf());
        if (!how.left || !how.right)
            checker.add(
                checks::cleat_sides_missing,
                {"Without a strip on both side walls the shelf's front hangs free and the back strip is wrung off"});
        for (const CleatPlan& cleat : checker.plan().cleats)
            checker.strip(cleat);
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        if (check.code == checks::cleat_sides_missing)
            curer.change(check, {"A strip on both sides"}, [](Shelf& shelf) {
                auto& how = std::get<OnCleats>(shelf.holding);
                how.left = how.right = true;
            });
        if (check.code == checks::cleat_wall_unknown)
            ShelfCurer::say(check, {"Survey that wall, or drill a trial hole where the strip will cover it"});
    }

    void say_steps(ShelfSteps& steps) const override {
        const OnCleats& how = of(steps.shelf());
        const BoardPiece& piece = steps.plan().pieces.front();
        steps.say({"Strips: {0} x {1}, cut to the lengths of this sheet, their tops on the level line",
                   {quantity(how.breadth), quantity(how.thickness)}});
        if (how.back)
            steps.say({"The back strip first, level, one screw at its middle, then its ends"});
        steps.say({"Side strips level from it, {0} screws each", {count(static_cast<std::size_t>(how.screws))}});
        steps.say(
            {"Cut the board {0} at its back and {1} at its front; try it in slanting, scribe the ends to the walls",
             {quantity(piece.back), quantity(piece.front)}});
        steps.lift({"Lay it in, {0}, and pin it to the strips from above, or screw up through them", {steps.mass()}});
        steps.hold(Phase::prove, {"Lean on the front edge in the middle and at both ends: nothing may move"});
    }

    std::vector<SeenPart> seen(const Shelf& shelf) const override {
        const OnCleats& how = of(shelf);
        const Length top = shelf.underside();
        const Length bottom = top - how.breadth;
        std::vector<SeenPart> parts;
        if (how.back)
            parts.push_back({SeenPart::Look::strip_behind, {shelf.left, shelf.right(), bottom, top}, how.thickness});
        if (how.left)
            parts.push_back(
                {SeenPart::Look::strip, {shelf.left, shelf.left + how.thickness, bottom, top}, shelf.depth});
        if (how.right)
            parts.push_back(
                {SeenPart::Look::strip, {shelf.right() - how.thickness, shelf.right(), bottom, top}, shelf.depth});
        return parts;
    }
};

} // namespace

const Way& way(const OnCleats&) {
    static const CleatsWay all;
    return all;
}

} // namespace yes_square
