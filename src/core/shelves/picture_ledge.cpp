#include "core/shelves/screwed_board.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>

/// A shallow board for pictures to stand on: a lip along its front, and a strip that stands up behind it, through which
/// it is screwed to the wall. The three are glued up on the bench and hung as one.
namespace yes_square {

namespace checks {
inline constexpr CheckCode ledge_strip_low{"ledge_strip_low", Severity::error};
inline constexpr CheckCode ledge_no_room{"ledge_no_room", Severity::error};
inline constexpr CheckCode ledge_deep{"ledge_deep", Severity::warning};
} // namespace checks

namespace {

class PictureLedgeWay final : public WayOf<PictureLedge> {
public:
    /// Over the height that people lean on; lower ones are judged with somebody on their lip.
    bool is_board() const override { return false; }
    std::vector<ShelfPreset> presets() const override {
        return {{"picture_ledge", "Picture ledge", 1200_mm, 1550_mm, 100_mm, 18_mm, BoardMaterial::red_oak,
                 LoadKind::display}};
    }
    Holding usual(const Shelf&) const override { return PictureLedge{}; }
    bool own_thickness() const override { return true; }
    std::string_view one_of_them() const override { return "Screws"; }

    /// The strip on edge alone: what the board glued to its foot adds is left out.
    Section section(const Shelf& shelf) const override {
        const PictureLedge& how = of(shelf);
        const BoardProperties& wood = properties(shelf.material);
        const double height = how.strip.in_metres();
        const double thick = how.strip_thickness.in_metres();
        const double area = height * thick + board_depth(shelf).in_metres() * shelf.thickness.in_metres() +
                            how.lip.in_metres() * how.lip_thickness.in_metres();
        return {wood.density * metres(area) * metres(1), board_stiffness(wood.modulus, thick, height),
                SectionModulus::si(thick * height * height / 6)};
    }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        const PictureLedge& how = of(shelf);
        // Near the top, where they pull with the longest lever; the board covers the strip's foot.
        const Length free = std::max(Length{}, how.strip - shelf.thickness);
        return screwed_through(shelf, site, "Screws through the strip", how.strip, how.strip_thickness,
                               {std::min(screw_inset, free / 2)});
    }
    bool maker_rates_it() const override { return false; }
    Length drilled(const Shelf& shelf) const override { return of(shelf).strip_thickness; }
    Length screwed_on(const Shelf& shelf, const ShelfPlan&) const override { return of(shelf).strip_thickness; }

    std::vector<CutPart> cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const override {
        const PictureLedge& how = of(shelf);
        std::vector<CutPart> parts =
            boards_cut(shelf, site, plan, false, {"board of {0}", {shelf.name}}, board_depth(shelf), shelf.thickness);
        for (const BoardPiece& piece : plan.pieces) {
            parts.push_back(board_part(shelf.id, {"strip of {0}", {shelf.name}}, shelf.material, piece.back, how.strip,
                                       how.strip_thickness));
            parts.push_back(board_part(shelf.id, {"lip of {0}", {shelf.name}}, shelf.material, piece.back, how.lip,
                                       how.lip_thickness));
        }
        return parts;
    }
    std::vector<Supply> bought(const Shelf&, const ShelfPlan&) const override {
        return {{KitGroup::consumables, "wood glue", {"Wood glue"}}};
    }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const PictureLedge& how = of(shelf);
        const ShelfRules& rules = checker.rules();
        if (const Length least = shelf.thickness + rules.ledge_screw_room; how.strip < least)
            checker.add(
                checks::ledge_strip_low,
                {"The strip stands {0} over the ledge's underside: {1} at least, so that a screw finds room over "
                 "its board",
                 {quantity(how.strip), quantity(least)}},
                quantity(least - how.strip), shelf.left, shelf.height);
        if (board_depth(shelf) <= Length{})
            checker.add(checks::ledge_no_room,
                        {"Strip and lip are {0} thick together: the ledge, {1} deep, has no room between them",
                         {quantity(how.strip_thickness + how.lip_thickness), quantity(shelf.depth)}},
                        quantity(how.strip_thickness + how.lip_thickness - shelf.depth), shelf.left, shelf.height);
        if (shelf.depth > rules.ledge_deepest)
            checker.add(checks::ledge_deep,
                        {"A ledge {0} deep wrings its strip: {1} at most, or brackets under it",
                         {quantity(shelf.depth), quantity(rules.ledge_deepest)}},
                        quantity(shelf.depth - rules.ledge_deepest), shelf.left, shelf.height);
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        const ShelfRules& rules = curer.site().rules.shelves;
        if (check.code == checks::ledge_strip_low) {
            const Length strip = curer.shelf().thickness + rules.ledge_screw_room;
            curer.change(check, {"A strip {0} high", {quantity(strip)}},
                         [&](Shelf& shelf) { std::get<PictureLedge>(shelf.holding).strip = strip; });
        }
        if (check.code == checks::ledge_deep)
            curer.change(check, {"Make it {0} deep", {quantity(rules.ledge_deepest)}},
                         [&](Shelf& shelf) { shelf.depth = rules.ledge_deepest; });
        if (check.code == checks::ledge_no_room) {
            const PictureLedge& how = of(curer.shelf());
            const Length depth = how.strip_thickness + how.lip_thickness + 40_mm; // for a frame's edge
            curer.change(check, {"Make it {0} deep", {quantity(depth)}}, [&](Shelf& shelf) { shelf.depth = depth; });
        }
    }

    void say_steps(ShelfSteps& steps) const override {
        const PictureLedge& how = of(steps.shelf());
        steps.go_to(Phase::assemble);
        steps.say({"Glue up on the bench: the board against the strip's foot, {0} of the strip standing over it, the "
                   "lip along the front. Clamp it and wipe off what comes out",
                   {quantity(how.strip - steps.shelf().thickness)}});
        steps.wait({"Leave it in its clamps until the glue has set, as its packet says"},
                   steps.site().rules.fitting.sealant_min);
        steps.say({"Drill the strip for its screws at the marks carried over from the wall"});
        steps.go_to(Phase::hang);
        steps.lift({"Hold it on the line, {0}: the screw nearest the middle first, loosely; level it; then the others",
                    {steps.mass()}});
        steps.say({"Not tighter than the strip stays straight: pack behind it where the wall is hollow"});
        steps.hold(Phase::prove, {"Press down on the lip at each end and in the middle: nothing may move"});
    }

    std::vector<SeenPart> seen(const Shelf& shelf) const override {
        const PictureLedge& how = of(shelf);
        const Length foot = shelf.underside();
        return {
            {SeenPart::Look::strip_behind, {shelf.left, shelf.right(), foot, foot + how.strip}, how.strip_thickness},
            {SeenPart::Look::lip, {shelf.left, shelf.right(), foot, foot + how.lip}}};
    }

private:
    static Length board_depth(const Shelf& shelf) {
        const PictureLedge& how = of(shelf);
        return std::max(Length{}, shelf.depth - how.strip_thickness - how.lip_thickness);
    }
};

} // namespace

const Way& way(const PictureLedge&) {
    static const PictureLedgeWay all;
    return all;
}

} // namespace yes_square
