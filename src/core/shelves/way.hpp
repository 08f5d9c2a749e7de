#pragma once

#include "core/measure/physical.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/site/wall_thing.hpp"

#include <string_view>
#include <vector>

/// Ways of holding a shelf. Each is one file of this folder that says all the rest of the house asks of it; the
/// `Holding` variant and a line at the end of this header are its registration, and what lacks one does not compile.
namespace yes_square {

class KindChecker;
class ShelfCurer;
class ShelfSteps;
class Way;

/// What a fitter begins with: a way of holding, usual sizes and what it usually carries. A desk is one of brackets.
struct ShelfPreset {
    std::string_view name; ///< stable: "hidden_rods"
    std::string_view words;
    Length length;
    Length height;
    Length depth;
    Length thickness;
    BoardMaterial material = BoardMaterial::birch_plywood;
    LoadKind load = LoadKind::books;
    const Way* way = nullptr; ///< set in the list of all

    bool operator==(const ShelfPreset& other) const { return name == other.name; }
};

/// What spans and bends.
struct Section {
    LineMass per_metre = 0;
    Stiffness stiffness = 0;             ///< EI
    SectionModulus modulus = 0;          ///< bending moment over stress, where it is stressed most
    std::optional<PoleStuff> metal = {}; ///< none: wood, of the shelf's material
    Force shear = 0;                     ///< GA of what joins a hollow board's skins; 0: nothing gives by shear
};

/// A thing that comes with its mass, and is not cut from boards.
struct WholeThing {
    Mass mass = 0;
    Mass contents_mass = 0;
    Force leaned = 0; ///< by somebody, on its front edge
};

/// What is seen of it from the front besides boards, brackets and holes.
struct SeenPart {
    enum class Look { strip, strip_behind, lip, hook };
    Look look = Look::strip;
    Outline box;
    Length out = {}; ///< of the wall, of a strip
};

class Way {
public:
    virtual ~Way() = default;

    /// One at least; the first is what a shelf of this way is where no other fits.
    virtual std::vector<ShelfPreset> presets() const = 0;
    /// How a new shelf of these sizes is held.
    virtual Holding usual(const Shelf& shelf) const = 0;
    /// Where a new one goes on this wall, where that is not its middle.
    virtual void place(const Wall&, Shelf&) const {}

    // What it is.
    virtual bool boards_on_arms() const { return false; }  ///< tiers of them, joined, hung from the ceiling between
    virtual bool chooses_bracket() const { return false; } ///< of those at hand
    virtual bool takes_lip() const { return false; }
    virtual bool is_board() const { return true; } ///< of one stuff or hollow, with things cut out of it
    virtual std::optional<HollowBoard> make_up() const { return std::nullopt; } ///< of a new one
    virtual bool own_thickness() const { return false; }                        ///< that is no board's
    virtual bool sat_on() const { return true; }                                ///< where it is low and deep enough
    virtual bool carries_goods() const { return true; }                         ///< of a kind that is chosen
    virtual std::optional<WholeThing> whole(const Shelf&) const { return std::nullopt; }
    virtual std::string_view one_of_them() const { return "Bracket"; }
    virtual std::string_view one_more() const { return "One bracket more"; }

    // What it weighs and bears.
    virtual Section section(const Shelf& shelf) const; ///< of a board, with its lip
    virtual void add_goods(const Shelf&, ShelfLoads&) const {}
    /// Makes it carry so many kg/m.
    virtual void load(Shelf& shelf, LineMass per_metre) const;

    // What holds it: places that the program seeks, a plate's holes, or neither.
    virtual bool at_places() const { return true; }
    virtual std::optional<Carrier> carrier(const Shelf&, const WallSite&) const { return std::nullopt; }
    /// Fixes what stands at a place, where that is no bracket on screws or plugs. @return whether it did
    virtual bool fix(BracketPlan&, const Shelf&, const WallSite&, const Carrier&) const { return false; }
    virtual bool maker_rates_it() const { return true; } ///< what stands at a place has a maker's figure
    virtual bool plumbed() const { return true; }        ///< from its place on the line
    virtual HungPlate plate(const Shelf&) const { return {}; }
    virtual Plate* plate_in(Shelf&) const { return nullptr; }
    virtual bool bends_over_holes() const { return false; } ///< of its plate
    /// Fills in what holds it, where that is not at places.
    virtual void hang(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) const;
    /// Where what spans lies on something, from its left end: as it is judged.
    virtual std::vector<Length> bears_at(const Shelf& shelf, const ShelfPlan& plan) const;
    virtual Length drilled(const Shelf&) const { return {}; } ///< wood that its wall screws pass
    /// What is screwed to the wall there, out of it.
    virtual Length screwed_on(const Shelf& shelf, const ShelfPlan& plan) const;

    // What is done with it.
    virtual std::vector<CutPart> cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const;
    /// What is bored or routed in its board before it is hung, from the shelf's left end.
    virtual PartWork work(const Shelf&, const WallSite&, const ShelfPlan&) const { return {}; }
    /// Bought for it besides fixings.
    virtual std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan& plan) const;
    virtual void check(KindChecker&) const {}
    /// What helps against a check that shelves of this way may have, besides what helps any shelf.
    virtual void cure(const ShelfCurer&, Check&) const {}
    virtual void say_steps(ShelfSteps& steps) const = 0; ///< of hanging it
    virtual std::vector<SeenPart> seen(const Shelf&) const { return {}; }
};

const Way& way_of(const Shelf& shelf);

/// Whether an end is so near the wall's that it is cut to what is measured there.
bool in_left_corner(const Shelf& shelf, const WallSite& site);
bool in_right_corner(const Shelf& shelf, const WallSite& site);

/// All presets, in the order of `Holding`.
const std::vector<ShelfPreset>& shelf_presets();
/// By its stable name. Throws std::out_of_range for a name that nobody has.
const ShelfPreset& shelf_preset(std::string_view name);
/// What a shelf would be begun as.
const ShelfPreset& preset_of(const Shelf& shelf);

/// How `Shelf::holding` is told: those of the same shelf.
template <class How>
struct WayOf : Way {
    static const How& of(const Shelf& shelf) { return std::get<How>(shelf.holding); }
};

// One a way.
const Way& way(const OnBrackets&);
const Way& way(const OnStandards&);
const Way& way(const OnHiddenBracket&);
const Way& way(const OnHiddenRods&);
const Way& way(const OnKeyholes&);
const Way& way(const OnCleats&);
const Way& way(const HookRail&);
const Way& way(const Pole&);
const Way& way(const Fixture&);
const Way& way(const PictureLedge&);

/// Its board lies on its arms and is screwed to nothing.
inline bool is_loose(const Shelf& shelf) {
    return shelf.loose && way_of(shelf).boards_on_arms();
}

} // namespace yes_square
