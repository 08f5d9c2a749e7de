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
        const Length trim = window->bottom + window->height;
        shelf.left = std::max(Length{}, window->left - past_trim);
        shelf.length = std::min(wall.length, window->left + window->width + past_trim) - shelf.left;
        shelf.height = trim + (wall.height - trim) * 6 / 10;
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
        return {strip_part(shelf.id, {"pole of {0}", {shelf.name}}, shelf.length, shelf.thickness, shelf.thickness,
                           StuffKind::rod, of(shelf).stuff == PoleStuff::wood ? "wooden rod" : "metal tube")};
    }
    std::vector<Supply> bought(const Shelf&, const ShelfPlan& plan) const override {
        return {{KitGroup::hardware, "pole bracket", {"Pole bracket"}, plan.brackets.size()}};
    }

    void say_steps(ShelfSteps& steps) const override {
        steps.say({"Into the wall beside an opening's trim, never into the trim"});
        steps.say({"End brackets on their marks, level across, one screw each; then all screws"});
        if (steps.places() > 2)
            steps.say({"Those between: up to a string from end to end"});
        steps.say({"Pole: {0} long. Lay it in and lock it so that it cannot roll or lift out",
                   {quantity(steps.shelf().length)}});
        steps.hold(Phase::prove, {"Pull down on its middle by hand, as hard as what hangs there will: nothing may "
                                  "move. Nobody hangs on it"});
    }
};

} // namespace

const Way& way(const Pole&) {
    static const PoleWay all;
    return all;
}

} // namespace yes_square
