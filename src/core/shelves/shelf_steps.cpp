#include "core/shelves/shelf_steps.hpp"

#include <algorithm>
#include <set>
#include <string>

namespace yes_square {
namespace {

constexpr Length near_corner = 10_mm;   ///< a shelf's end this near the wall's is in the corner
constexpr Length helper_from = 1800_mm; ///< a board this long wants two pairs of hands (house rule)

/// The least cover that NEC 300.4 (from memory) gives a cable bored through a stud.
constexpr Length cable_cover = Length::inches(1, {1, 4});

} // namespace

namespace {

class Steps {
public:
    Steps(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan)
        : shelf_{shelf}
        , site_{site}
        , plan_{plan} {}

    std::vector<Step> all() {
        begin();
        phase_ = Phase::mark;
        if (plan_.bracket)
            mark_places();
        else
            mark_holes();
        phase_ = Phase::drill;
        drill();
        phase_ = Phase::hang;
        std::visit([this](const auto& how) { hang(how); }, shelf_.holding);
        phase_ = Phase::prove;
        load_it();
        return std::move(steps_);
    }

private:
    void say(Sentence words, int persons = 1) { steps_.push_back({std::move(words), false, phase_, persons}); }
    void hold(Sentence words) { steps_.push_back({std::move(words), true, phase_}); }
    void hold(Phase phase, Sentence words) {
        phase_ = phase;
        hold(std::move(words));
    }

    bool tiled() const {
        return std::ranges::find(site_.wall.lining, LiningMaterial::tile, &LiningLayer::material) !=
               site_.wall.lining.end();
    }
    std::size_t places() const { return plan_.brackets.size(); }
    Quantity mass() const { return {Kind::mass, plan_.mass_kg}; }

    void begin() {
        if (site_.open_framing()) {
            hold({"Set the noggings of the nogging list first, and line the wall over them"});
            steps_.back().of_wall = true;
        }
        steps_.push_back(detector_step());
        if (std::ranges::any_of(plan_.checks, [](const Check& c) { return c.severity == Severity::error; }))
            hold({"Clear the errors on this sheet first: as it stands the shelf is not fit to hang"});
        if (tiled())
            say({"Tile: put masking tape over each mark and draw the marks on it"});
    }

    void mark_places() {
        say({"Strike a level line at {0} above the datum, from {1} to {2}",
             {quantity(shelf_.underside()), quantity(shelf_.left), quantity(shelf_.right())}});
        if (const FloorProfile& floor = site_.survey.floor; floor.measured() || floor.build_up > Length{})
            say({"From the floor as it is now that line is {0} up at the shelf's left end and {1} at its right "
                 "end: for a look only, measure from the datum",
                 {quantity(floor.above_floor_now(shelf_.left, shelf_.underside())),
                  quantity(floor.above_floor_now(shelf_.right(), shelf_.underside()))}});
        for (std::size_t i = 0; i < places(); ++i) {
            const BracketPlan& place = plan_.brackets[i];
            if (place.hanger)
                say({"Hanger {0}: plumb up from {1} on the line to the ceiling and find the joist there",
                     {count(i + 1), quantity(place.x)}});
            else
                say({plan_.bracket->hole_drops.size() > 1 && !shelf_.held<OnHiddenRods>()
                         ? std::string_view{"{0} {1}: mark its centre on the line at {2} from the reference end, and "
                                            "plumb down from it"}
                         : "{0} {1}: mark its centre at {2} from the reference end",
                     {noun(), count(i + 1), quantity(place.x)}});
        }
        hold({"Check the marks once more from the reference end, each by itself"});
    }

    void mark_holes() {
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            const PlannedHole& hole = plan_.holes[i];
            if (carries(plan_.brackets[hole.place].hold))
                say({"Hole {0}: mark it at {1} from the reference end, {2} above the datum",
                     {count(i + 1), quantity(hole.x), quantity(hole.z)}});
            else
                say({"Hole {0} has only the lining behind it: leave it, or a lining anchor to steady it",
                     {count(i + 1)}});
        }
        if (plan_.holes.size() > 1)
            hold({"Check the marks once more from the reference end, and the second row with a plumb line through the "
                  "first"});
    }

    void drill() {
        std::set<std::string> told;
        for (const BracketPlan& place : plan_.brackets) {
            if (!place.fixing || place.hanger || !told.insert(place.fixing->name).second)
                continue;
            const Fixing& fixing = *place.fixing;
            if (!site_.masonry() && fixing.penetration > cable_cover)
                say({"These screws go {0} into the stud, and a cable bored through it may lie {1} behind its "
                     "face: isolate where one is likely",
                     {stock(fixing.penetration), stock(cable_cover)}});
            if (site_.masonry())
                say({tiled() ? std::string_view{"Drill {0}, hammer off until through the tile; tape on the bit at "
                                                "{1}. Blow out the dust. Plug: {2}, screw {3}"}
                             : std::string_view{"Drill {0} for the plugs, tape on the bit at {1}. Blow out the "
                                                "dust. Plug: {2}, screw {3}"},
                     {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name,
                      stock(fixing.screw_length)}});
            else
                say({"Drill pilots of {0}, tape on the bit at {1}, for screws {2}: {3} long, {4} in the stud",
                     {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name, stock(fixing.screw_length),
                      stock(fixing.penetration)}});
            if (!site_.masonry())
                hold({"No wood on the bit, or it goes light: stop, find the stud, do not hang on the lining"});
        }
        if (plan_.bracket && plan_.bracket->hole_drops.size() > 1)
            say({"The top row takes the pull: the soundest hole and the best screw go there. A hole that came out "
                 "ragged is "
                 "moved or set in resin, never left at the top"});
        if (plan_.bracket && std::ranges::any_of(plan_.brackets, [](const BracketPlan& p) { return !carries(p.hold); }))
            say({"Brackets off the studs: lining anchors as their packet says. They steady the shelf only"});
    }

    std::string_view noun() const {
        if (shelf_.held<OnStandards>())
            return "Upright";
        if (shelf_.held<OnHiddenRods>())
            return "Rod";
        if (shelf_.held<HookRail>())
            return "Screws";
        return "Bracket";
    }

    void hang(const OnBrackets& how) {
        if (shelf_.left <= near_corner && site_.wall.length - shelf_.right() <= near_corner)
            say({"From corner to corner: the brackets in the corners first, then measure between the walls at the line "
                 "and "
                 "cut the boards to that, not to this sheet"});
        say({how.leg_up
                 ? std::string_view{"Bracket 1, its leg up: top screw first, plumb the leg, other screws in loosely"}
                 : "Bracket 1: top screw first, plumb the leg, other screws in loosely"});
        if (places() >= 2)
            say({"Bracket {0}: screw its top in loosely and bring it up by a level laid across from bracket 1",
                 {count(places())}});
        if (places() > 2)
            say({"Those between: bring each up to a straightedge laid over the outer two"});
        if (shelf_.load.kind == LoadKind::desk)
            say({"Desk: a stretcher on edge along the wall under its back, screwed to the wall and to the top, keeps a "
                 "top "
                 "of boards flat between the brackets"});
        if (shelf_.load.kind == LoadKind::desk)
            hold({"Desk: all tops in one plane, or they do not share the load. Lay a straightedge over them, pack "
                  "behind the low ones"});
        hold(Phase::adjust, {"Check plumb and level again, then tighten all, top screws first"});
        if (shelf_.tiers > 1)
            say({"The next row {0} lower, off the one above by a stick cut to that length", {quantity(shelf_.rise)}});
        board();
    }

    void board() {
        phase_ = Phase::adjust;
        if (shelf_.length >= helper_from)
            say({"With a helper: lay the board on, {0} of {1}", {mass(), quantity(shelf_.length)}}, 2);
        else
            say({"Lay the board on, {0}", {mass()}});
        if (plan_.pieces.size() > 1)
            say({"The boards meet on the middle of a bracket: screw both down to it, or strap them underneath"});
        say({"Set the overhang: {0} at the left, {1} at the right",
             {quantity(plan_.left_overhang), quantity(plan_.right_overhang)}});
        if (plan_.shelf_screw)
            say({"Screw up through the arms into the board with screws of {0}: no longer, or the points show",
                 {stock(*plan_.shelf_screw)}});
        hold(Phase::prove, {"Lean on the front edge over each bracket: nothing may move"});
    }

    void hang(const OnStandards& how) {
        say({"Upright 1: top screw in loosely, its top {0} over the line, let it hang plumb, then the others",
             {quantity(plan_.leg_over)}});
        say({"Every other upright: first slots in one level line with those of upright 1, not the tops"});
        hold({"Clip a bracket into the same slot of every upright and lay a level over them before you tighten"});
        say({"Clip the brackets in: slots counted from the top, {0} apart", {quantity(how.slot_pitch)}});
        board();
    }

    void hang(const OnHiddenBracket& how) {
        say({"The hanger's left end goes at {0}: the shelf's end and its offset of {1} inside",
             {quantity(shelf_.left + how.offset), quantity(how.offset)}});
        say({"Middle screw first, all others loose; level it; then tighten, those its maker names above all"});
        say({"Slide the shelf on, {0}, up to the wall", {mass()}});
        if (how.retaining_screws > 0)
            say({"Retaining screws: {0}, from below or behind, until the shelf cannot slide off",
                 {count(static_cast<std::size_t>(how.retaining_screws))}});
        hold(Phase::prove, {"Pull the shelf outwards and lean on its front edge: nothing may move"});
    }

    void hang(const OnHiddenRods& how) {
        say({"Drill square to the wall: a block drilled on the bench guides the bit"});
        if (how.resin) {
            say({"Blow the holes out twice, fill from the bottom with resin, turn the bars in, prop them level"});
            steps_.push_back(
                {{"Do not load or touch the bars until the resin has set, as its packet says for this temperature"},
                 true,
                 Phase::cure,
                 1,
                 site_.rules.fitting.resin_min});
        } else {
            say({"Drive the rods in, outermost first, and check each for level and square"});
        }
        phase_ = Phase::adjust;
        say({"Carry the outermost hole centres onto the shelf's back edge, in the middle of its thickness. Drill {0}, "
             "{1} deep",
             {stock(how.diameter), stock(how.in_shelf + 5_mm)}});
        say({"Slide the shelf on these, mark the rods between through it, take it off, drill them"});
        say({"Slide it home, {0}. A rod set off centre in its hole can be turned to bring an end up a little",
             {mass()}});
        hold(Phase::prove, {"Lean on the front edge over each rod: nothing may move"});
    }

    void hang(const OnKeyholes& how) {
        say({"Drive the screws until {0} stands proud of the wall, all alike: the slot's lip goes behind the head",
             {stock(how.lip)}});
        say({"Lift the shelf on, {0}: it must drop the whole slot, {1}, on every screw", {mass(), quantity(how.slot)}});
        hold(Phase::prove,
             {"Push up on each end: neither may lift. If one does, drive its screw a quarter turn in and try again"});
    }

    void hang(const OnCleats& how) {
        const BoardPiece& piece = plan_.pieces.front();
        say({"Strips: {0} x {1}, cut to the lengths of this sheet, their tops on the level line",
             {quantity(how.breadth), quantity(how.thickness)}});
        if (how.back)
            say({"The back strip first, level, one screw at its middle, then its ends"});
        say({"Side strips level from it, {0} screws each", {count(static_cast<std::size_t>(how.screws))}});
        say({"Cut the board {0} at its back and {1} at its front; try it in slanting, scribe the ends to the walls",
             {quantity(piece.back), quantity(piece.front)}});
        say({"Lay it in, {0}, and pin it to the strips from above, or screw up through them", {mass()}});
        hold(Phase::prove, {"Lean on the front edge in the middle and at both ends: nothing may move"});
    }

    void hang(const HookRail& how) {
        say({"Drill the rail for its screws, hold it on the line, first screw in loosely, level it, then the others"});
        say({"Hooks: {0}, spread between the screws, never through one", {count(static_cast<std::size_t>(how.hooks))}});
        hold(Phase::prove, {"Pull down on a hook at each end with your weight held back: nothing may move"});
    }

    void hang(const Pole&) {
        say({"Into the wall beside an opening's trim, never into the trim"});
        say({"End brackets on their marks, level across, one screw each; then all screws"});
        if (places() > 2)
            say({"Those between: up to a string from end to end"});
        say({"Pole: {0} long. Lay it in and lock it so that it cannot roll or lift out", {quantity(shelf_.length)}});
        hold(Phase::prove, {"Pull down on its middle by hand, as hard as what hangs there will: nothing may move. "
                            "Nobody hangs on it"});
    }

    void hang(const Fixture& how) {
        say({"Screws at the top first, loosely; level it; then the others"});
        if (how.mass_kg > site_.rules.runs.lift_alone_kg)
            say({"Two people: it weighs {0} before anything is in it", {Quantity{Kind::mass, how.mass_kg}}}, 2);
        say({"Water, gas and mains connections belong to the licensed trade"});
        hold(Phase::prove, {"Lean on it by degrees: nothing may move"});
    }

    void load_it() {
        if (plan_.sag && !shelf_.held<Fixture>())
            say({"Stick the load label under it or behind it, and date it"});
    }

    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfPlan& plan_;
    Phase phase_ = Phase::ready;
    std::vector<Step> steps_;
};

} // namespace

std::vector<Step> steps_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    return Steps{shelf, site, plan}.all();
}

std::vector<Sentence> general_cautions() {
    return {
        {"Cables run straight up, down and sideways from sockets and switches, and pipes near taps and radiators: find "
         "them with a detector and switch off before drilling"},
        {"Old paint and linings may hold lead or asbestos: have them tested before you drill or sand"},
        {"Glasses on; a mask for masonry dust; ear protection with the hammer drill"},
        {"Stand on steps or a platform, not on a chair or a worktop"},
        {"Electrical, gas and structural work belongs to licensed trades; local code has the last word"},
        {"Figures marked from memory are cautious but unchecked: where a maker's packet says less, take the packet's"},
    };
}

} // namespace yes_square
