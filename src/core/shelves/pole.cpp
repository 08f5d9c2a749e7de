#include "core/shelves/pole_height.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <numbers>

/// A round rod for clothes or a curtain.
namespace yes_square {
namespace {

constexpr Length plate_inset = 10_mm;
constexpr Length plate_width = 40_mm;
constexpr Length plate_thickness = 4_mm;
constexpr Length past_trim = 5_in;
constexpr double usual_share = 0.6;

struct Metal {
    Pressure modulus;
    Density density;
};
/// Structural steel and aluminium alloys (EN 1993-1-1 and EN 1999-1-1, from memory).
Metal metal_of(PoleStuff stuff) {
    return stuff == PoleStuff::steel ? Metal{210_gpa, 7850_kg_m3} : Metal{70_gpa, 2700_kg_m3};
}

class PoleWay final : public WayOf<Pole> {
public:
    bool is_board() const override { return false; }
    std::vector<ShelfPreset> presets() const override {
        return {{"pole", "Pole", 1400_mm, 2100_mm, 90_mm, 28_mm, BoardMaterial::red_oak, LoadKind::display}};
    }
    Holding usual(const Shelf&) const override { return Pole{}; }

    /// Over the first window: 5 in past its trim at each end, six tenths of the way from trim to ceiling (common
    /// practice: 4 to 6 in, one half to two thirds).
    void place(const Wall& wall, Shelf& shelf) const override {
        const auto window = std::ranges::find(wall.openings, OpeningKind::window, &Opening::kind);
        if (window == wall.openings.end())
            return;
        shelf.left = std::max(Length{}, window->left - past_trim);
        shelf.length = std::min(wall.length, window->left + window->width + past_trim) - shelf.left;
        if (const auto room = pole_room(wall, shelf, HouseRules{}))
            shelf.height = pole_height(*room, usual_share);
    }
    bool own_thickness() const override { return true; }
    bool sat_on() const override { return false; }

    Section section(const Shelf& shelf) const override {
        const Pole& pole = of(shelf);
        const double outside = shelf.thickness.in_metres();
        const double inside =
            pole.wall > Length{} ? std::max(Length{}, shelf.thickness - 2 * pole.wall).in_metres() : 0.0;
        const BoardProperties& wood = properties(shelf.material);
        const bool wooden = pole.stuff == PoleStuff::wood;
        const Metal stuff = wooden ? Metal{wood.modulus, wood.density} : metal_of(pole.stuff);
        const double area = std::numbers::pi / 4 * (outside * outside - inside * inside); // m2
        const Stiffness stiffness = round_stiffness(stuff.modulus, outside, inside);
        return {stuff.density * metres(area) * metres(1), stiffness, stiffness / stuff.modulus / metres(outside / 2),
                wooden ? std::nullopt : std::optional{pole.stuff}};
    }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        const Pole& how = of(shelf);
        Bracket end;
        end.name = "Pole bracket";
        end.arm = shelf.depth;
        end.leg = how.plate;
        end.width = plate_width;
        end.thickness = plate_thickness;
        end.hole_drops = {plate_inset, how.plate - plate_inset};
        end.hole_diameter = how.hole_diameter;
        end.stiffened = true;
        end.rating = how.rating;
        end.basis = how.basis;
        Carrier carrier = even_carrier(end, shelf, site);
        carrier.over = (shelf.thickness + how.plate) / 2;
        carrier.load_at = carrier.edge_at;
        carrier.most = site.rules.shelves.pole_most;
        return carrier;
    }

    std::vector<CutPart> cut(const Shelf& shelf, const WallSite&, const ShelfPlan&) const override {
        return {strip_part(shelf.id, {"pole of {0}", {shelf.name}}, pole_length(shelf), shelf.thickness,
                           shelf.thickness, StuffKind::rod,
                           of(shelf).stuff == PoleStuff::wood ? "wooden rod" : "metal tube")};
    }
    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan& plan) const override {
        std::vector<Supply> supplies{{KitGroup::hardware, "pole bracket", {"Pole bracket"}, plan.brackets.size()}};
        if (of(shelf).finial > Length{} && !of(shelf).returns)
            supplies.push_back({KitGroup::hardware, "finial", {"Finial of a pole"}, 2});
        if (of(shelf).returns)
            supplies.push_back({KitGroup::hardware, "return plate", {"Wall plate for a pole's return"}, 2});
        return supplies;
    }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const Pole& how = of(shelf);
        const Wall& wall = checker.site().wall;
        if (how.returns && how.finial > Length{})
            checker.add(
                checks::pole_ends,
                {"{0} has finials and ends that return to the wall: it can have one or the other", {shelf.name}},
                std::nullopt, shelf.left, shelf.height);
        const auto meets = [&](Length over, Length x, std::string_view words) {
            if (!how.returns && how.finial > Length{} && over > Length{})
                checker.add(checks::pole_finial, {words, {quantity(over)}}, quantity(over), x, shelf.height);
        };
        if (wall.left_end == WallEnd::corner)
            meets(how.finial - shelf.left, shelf.left, "The left finial reaches {0} into the wall beside it");
        if (wall.right_end == WallEnd::corner)
            meets(how.finial - (wall.length - shelf.right()), shelf.right(),
                  "The right finial reaches {0} into the wall beside it");
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        if (check.code == checks::pole_ends) {
            curer.change(check, {"Open ends with finials"},
                         [](Shelf& shelf) { std::get<Pole>(shelf.holding).returns = false; });
            curer.change(check, {"Returns without finials"},
                         [](Shelf& shelf) { std::get<Pole>(shelf.holding).finial = {}; });
        }
        if (check.code == checks::pole_finial && check.amount) {
            const Length by = Length::nearest_to_metres(check.amount->si);
            const bool left = check.x && *check.x == curer.shelf().left;
            curer.change(check, {"A pole {0} shorter at that end", {quantity(by)}}, [&](Shelf& shelf) {
                if (left)
                    shelf.left += by;
                shelf.length -= by;
            });
        }
    }

    void say_steps(ShelfSteps& steps) const override {
        const Shelf& shelf = steps.shelf();
        const Pole& how = of(shelf);
        const std::size_t places = steps.places();
        steps.say({"Into the wall beside an opening's trim, never into the trim"});
        steps.say({"The screws that came with the brackets are for plaster: leave them, take those of this sheet"});
        steps.say({"Bracket 1 on its mark, plumb, one screw"});
        for (std::size_t i = 1; i < places; ++i)
            steps.say({"Bracket {0}: level across from bracket {1}, plumb, one screw", {count(i + 1), count(i)}});
        steps.say({"Sight along them from one end: all cups in a line, then all screws"});
        if (how.returns)
            steps.say({"Cut the pole to {0}: {1} from end to end and {2} back to the wall at each. Bend or joint it, "
                       "then screw its return plates on",
                       {quantity(pole_length(shelf)), quantity(shelf.length), quantity(shelf.depth)}});
        else
            steps.say({"Cut the pole to {0}", {quantity(pole_length(shelf))}});
        if (how.finial > Length{} && !how.returns)
            steps.say({"Rings on, one of them between each end bracket and its finial; finials of {0} last",
                       {quantity(how.finial)}});
        steps.lift({"Lay the pole in, {0}, and lock it so that it cannot roll or lift out", {steps.mass()}});
        steps.hold(Phase::prove, {"Pull down on its middle by hand, as hard as what hangs there will: nothing may "
                                  "move. Nobody hangs on it"});
    }

private:
    /// Its returns are of the same rod.
    static Length pole_length(const Shelf& shelf) {
        return of(shelf).returns ? shelf.length + 2 * shelf.depth : shelf.length;
    }
};

} // namespace

const Way& way(const Pole&) {
    static const PoleWay all;
    return all;
}

} // namespace yes_square
