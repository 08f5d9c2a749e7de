#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

/// A hollow shelf that slides over a bracket on the wall.
namespace yes_square {
namespace {

class HiddenBracketWay final : public WayOf<OnHiddenBracket> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {{"hidden_bracket", "Hidden bracket", 900_mm, 1500_mm, 235_mm, 50_mm, BoardMaterial::particleboard_p2,
                 LoadKind::display}};
    }
    Holding usual(const Shelf& shelf) const override {
        OnHiddenBracket how;
        how.offset = 40_mm;
        how.down = 10_mm;
        how.plate.width = shelf.length - 2 * how.offset;
        how.plate.height = 40_mm;
        how.plate.thickness = 5_mm;
        how.plate.hole_diameter = Length::micrometres(5500);
        for (int i = 0; i < 4; ++i)
            how.plate.holes.push_back({30_mm + (how.plate.width - 60_mm) * i / 3, 8_mm, i == 0 || i == 3});
        return how;
    }
    bool own_thickness() const override { return true; }
    /// Its back is open, to slide over the bracket.
    std::optional<HollowBoard> make_up() const override {
        HollowBoard open_behind;
        open_behind.back = {};
        return open_behind;
    }

    bool at_places() const override { return false; }
    HungPlate plate(const Shelf& shelf) const override {
        const OnHiddenBracket& how = of(shelf);
        return {&how.plate, shelf.left + how.offset, shelf.height - how.down, how.plate.width, how.plate.height, {}};
    }
    Plate* plate_in(Shelf& shelf) const override { return &std::get<OnHiddenBracket>(shelf.holding).plate; }

    void check(KindChecker& checker) const override { checker.plate(); }

    void say_steps(ShelfSteps& steps) const override {
        const OnHiddenBracket& how = of(steps.shelf());
        steps.say({"The hanger's left end goes at {0}: the shelf's end and its offset of {1} inside",
                   {steps.site().along(steps.shelf().left + how.offset), quantity(how.offset)}});
        steps.say({"Middle screw first, all others loose; level it; then tighten, those its maker names above all"});
        steps.lift({"Slide the shelf on, {0}, up to the wall", {steps.mass()}});
        if (how.retaining_screws > 0)
            steps.say({"Retaining screws: {0}, from below or behind, until the shelf cannot slide off",
                       {count(static_cast<std::size_t>(how.retaining_screws))}});
        steps.hold(Phase::prove, {"Pull the shelf outwards and lean on its front edge: nothing may move"});
    }
};

} // namespace

const Way& way(const OnHiddenBracket&) {
    static const HiddenBracketWay all;
    return all;
}

} // namespace yes_square
