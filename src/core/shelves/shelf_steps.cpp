#include "core/shelves/shelf_steps.hpp"

#include "core/fixings/hole_spacing.hpp"
#include "core/shelves/angled_screws.hpp"
#include "core/shelves/place_words.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/under_board.hpp"
#include "core/shelves/way.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/lifting.hpp"

#include <algorithm>
#include <set>
#include <string>

namespace yes_square {
namespace {

/// The least cover that NEC 300.4 (from memory) gives a cable bored through a stud.
constexpr Length cable_cover = Length::inches(1, {1, 4});

} // namespace

void ShelfSteps::lift(Sentence words, int persons) {
    Step& step = steps_.emplace_back(lifting(
        std::move(words), phase_,
        lift_of(plan_.mass, shelf_.lowest_underside() + shelf_.thickness / 2, shelf_.height, false, site_.rules.runs)));
    step.persons = std::max(step.persons, persons);
}

void ShelfSteps::pack_thinner() {
    constexpr Length meets = 3_mm; // less between two ends, and up, is no gap on purpose
    const Outline ends{shelf_.left - meets, shelf_.right() + meets, shelf_.underside(), shelf_.height};
    std::set<std::string> told;
    each_other_board(site_, shelf_, ends, [&](const Shelf& other, const Outline& board) {
        const bool at_right = absolute(board.left - shelf_.right()) <= meets;
        const bool at_left = absolute(board.right - shelf_.left) <= meets;
        if (!(at_right || at_left) || absolute(other.height - shelf_.height) > meets ||
            other.thickness <= shelf_.thickness || !way_of(other).boards_on_arms() || !told.insert(other.id).second)
            return;
        say({"It meets {0} at {1} and is {2} thinner: on a bracket that both lie on, which is set for the thicker, "
             "pack "
             "it up by that, so that their tops are flush",
             {other.name, site_.along(at_right ? shelf_.right() : shelf_.left),
              quantity(other.thickness - shelf_.thickness)}});
    });
}

void ShelfSteps::lay_board() {
    phase_ = Phase::adjust;
    if (shelf_.length >= site_.rules.shelves.helper_from)
        lift({"With a helper: lay the board on, {0} of {1}", {mass(), quantity(shelf_.length)}}, 2);
    else
        lift({"Lay the board on, {0}", {mass()}});
    if (is_loose(shelf_))
        say({"It goes in loose: measure between its neighbours at back and front when they are up, cut it {0} short at "
             "either end, and drop it in on pads that do not slide",
             {quantity(site_.rules.shelves.loose_play)}});
    else if (plan_.pieces.size() > 1)
        say({"The boards meet on the middle of a bracket: screw both down to it, or strap them underneath"});
    say({"Set the overhang: {0} at the left, {1} at the right",
         {quantity(plan_.left_overhang), quantity(plan_.right_overhang)}});
    pack_thinner();
    if (plan_.shelf_screw)
        say({shelf_.hollow
                 ? std::string_view{"Screw up through the arms into the strips inside the board, not its skin alone, "
                                    "with screws of {0}: no longer, or the points show"}
                 : "Screw up through the arms into the board with screws of {0}: no longer, or the points show",
             {stock(*plan_.shelf_screw)}});
    for (std::size_t i = 0; i < places(); ++i) {
        const BracketPlan& place = plan_.brackets[i];
        if (place.is(OtherKind::leg))
            say({"Leg {0}: {1} long, its middle {2} from the reference end and {3} out of the wall. Set it under the "
                 "board "
                 "where that lies level, screw it from above or with a plate",
                 {count(i + 1), quantity(leg_length(shelf_, site_, place)), site_.along(place.x),
                  quantity(place.other->out)}});
    }
    say_angled(*this);
    hold(Phase::prove, {"Lean on the front edge over each bracket: nothing may move"});
}

namespace {

class ShelfOrder : public ShelfSteps {
public:
    using ShelfSteps::ShelfSteps;

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
        way_of(shelf_).say_steps(*this);
        phase_ = Phase::prove;
        load_it();
        return std::move(steps_);
    }

private:
    /// After its edges are scribed, from which its places are measured.
    void cut_out() {
        if (in_left_corner(shelf_, site_) && in_right_corner(shelf_, site_))
            say({"Scribe its ends before anything is cut out of it: share what was left over between both, so that "
                 "each cut-out stays as far from its wall as it was meant to"});
        for (const CutOut& cut : shelf_.cut_outs)
            say(cut_out_step(cut));
        if (shelf_.hollow)
            say({"A hollow board: glue a rim of strip into every cut-out before its upper skin goes on"});
    }
    bool tiled() const {
        return std::ranges::find(site_.wall.lining, LiningMaterial::tile, &LiningLayer::material) !=
               site_.wall.lining.end();
    }
    void begin() {
        if (site_.open_framing()) {
            hold({"Set the noggings of the nogging list first, and line the wall over them"});
            steps_.back().of_wall = true;
        }
        steps_.push_back(detector_step());
        if (std::ranges::any_of(plan_.checks, [](const Check& c) { return c.severity == Severity::error; }))
            hold({"Clear the errors on this sheet first: as it stands the shelf is not fit to hang"});
        if (!plan_.back_cuts.empty())
            say({"The wall bows by {0} behind it: the board is left so much broader and its back edge scribed by its "
                 "table, tried on the brackets, then cut. Its front then stands straight",
                 {quantity(bow_of(plan_.back_cuts))}});
        if (way_of(shelf_).is_board() && !shelf_.cut_outs.empty())
            cut_out();
        if (tiled())
            say({"Tile: put masking tape over each mark and draw the marks on it"});
        if (way_of(shelf_).is_board())
            paint();
    }

    /// Coat by coat, off the wall: the edges cannot be reached there.
    void paint() {
        const auto bench = [&](Step step) {
            step.at_bench = true;
            steps_.push_back(std::move(step));
        };
        for (int coat = 1; coat <= shelf_.coats; ++coat) {
            const std::vector<Value> which{count(static_cast<std::size_t>(coat)),
                                           count(static_cast<std::size_t>(shelf_.coats))};
            bench({{"Paint or oil its boards all round, coat {0} of {1}, their sawn edges first", which},
                   false,
                   Phase::assemble});
            bench({{"Let coat {0} of {1} dry, as its tin says, laid flat where no dust falls", which},
                   true,
                   Phase::cure,
                   1,
                   site_.rules.fitting.paint_min});
        }
    }

    void mark_places() {
        say({"Strike a level line at {0} above the datum, from {1} to {2}",
             {quantity(shelf_.underside()), site_.near(shelf_.left, shelf_.right()),
              site_.far(shelf_.left, shelf_.right())}});
        if (const FloorProfile& floor = site_.survey.floor; floor.measured() || floor.build_up > Length{})
            say({"From the floor as it is now that line is {0} up at the shelf's left end and {1} at its right "
                 "end: for a look only, measure from the datum",
                 {quantity(floor.above_floor_now(shelf_.left, shelf_.underside())),
                  quantity(floor.above_floor_now(shelf_.right(), shelf_.underside()))}});
        for (std::size_t i = 0; i < places(); ++i) {
            const BracketPlan& place = plan_.brackets[i];
            if (place.hanger)
                say({site_.wall.ceiling_built == CeilingBuilt::concrete
                         ? std::string_view{"Hanger {0}: plumb up from {1} on the line and mark it on the ceiling"}
                         : "Hanger {0}: plumb up from {1} on the line to the ceiling and find the joist there",
                     {count(i + 1), site_.along(place.x)}});
            else if (place.other && !place.let_in)
                continue; // said where it is set
            else
                say({plan_.bracket->hole_drops.size() > 1 && plan_.bracket->off_middle() == Length{} && !place.let_in &&
                             way_of(shelf_).plumbed()
                         ? std::string_view{"{0} {1}: mark its centre on the line at {2} from the reference end, and "
                                            "plumb down from it"}
                         : "{0} {1}: mark its centre at {2} from the reference end",
                     {name_of_place(place, shelf_), count(i + 1), site_.along(place.x)}});
        }
        if (shelf_.drilled)
            say({"The board has its holes already: hold it up to the marks and see that each bracket meets its own, "
                 "before the wall is drilled"});
        if (plan_.bracket && plan_.bracket->off_middle() > Length{})
            say({"Its holes lie beside the middle of the leg: mark each by its own figures, or through the bracket "
                 "held to its mark"});
        hold({"Check the marks once more from the reference end, each by itself"});
        if (plan_.bracket && plan_.bracket->marks_through)
            say({"Hold each bracket to its mark, the upper face of its arm on the line and its leg plumb, and prick "
                 "the "
                 "wall through its own holes: its hole heights need no measuring"});
    }

    void mark_holes() {
        if (const HungPlate hung = plate_of(shelf_); hung.plate && hung.plate->marks_through) {
            say({by_tape(site_.tape,
                         "Hold it with its left end at {0} from the reference end and its top edge {1} above the "
                         "datum, level it, and prick the wall through its own holes",
                         "Hold it with its right end at {0} from the reference end and its top edge {1} above the "
                         "datum, level it, and prick the wall through its own holes"),
                 {site_.near(hung.left, hung.left + hung.width), quantity(hung.top)}});
            for (std::size_t i = 0; i < plan_.holes.size(); ++i)
                if (!carries(plan_.brackets[plan_.holes[i].place].substrate))
                    say({"Hole {0} has only the lining behind it: leave it, or a lining anchor to steady it",
                         {count(i + 1)}});
            return;
        }
        for (const PlannedLine& line : plan_.lines)
            if (line.plumb)
                say({"Strike a plumb line at {0} from the reference end: its middle", {site_.along(line.x)}});
            else
                say({"Strike a level line through its holes, {0} above the datum, from {1} to {2}",
                     {quantity(line.z), site_.near(line.x, line.to_x), site_.far(line.x, line.to_x)}});
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            const PlannedHole& hole = plan_.holes[i];
            if (carries(plan_.brackets[hole.place].substrate))
                say({"Hole {0}: mark it at {1} from the reference end, {2} above the datum",
                     {count(i + 1), site_.along(hole.x), quantity(hole.z)}});
            else
                say({"Hole {0} has only the lining behind it: leave it, or a lining anchor to steady it",
                     {count(i + 1)}});
        }
        if (plan_.holes.size() > 1)
            hold({"Check the marks once more from the reference end, and the second row with a plumb line through the "
                  "first"});
    }

    /// All of a shelf's hangers hang alike: what the worst of them needs holds them all.
    void drill_ceiling() {
        const BracketPlan* hanger = nullptr;
        for (const BracketPlan& place : plan_.brackets)
            if (place.hanger && place.fixing && (!hanger || place.fixing_utilisation > hanger->fixing_utilisation))
                hanger = &place;
        if (!hanger)
            return;
        const Fixing& fixing = *hanger->fixing;
        const Length tape = fixing.drill_depth + shelf_.hanger_spacer;
        say({"Cables and pipes run over ceilings too: detect both ways at each hanger before a hole is made"});
        if (shelf_.hanger_spacer > Length{})
            say({"Between the ceiling and each hanger goes a block {0} thick: drill through it",
                 {quantity(shelf_.hanger_spacer)}});
        if (hanger->substrate == Substrate::masonry)
            say({"Hangers: drill {0} up into the ceiling, tape on the bit at {1}, blow out the dust, set {2} as its "
                 "packet says: never a plastic plug overhead",
                 {stock(fixing.hole_diameter), stock(tape), fixing.name}});
        else
            say({"Hangers: drill pilots of {0} up into the middle of the joist, tape on the bit at {1}, and drive {2}, "
                 "{3} long",
                 {stock(fixing.hole_diameter), stock(tape), fixing.name, stock(fixing.screw_length)}});
        if (shelf_.hanger.screws > 1)
            say({"Screws of one hanger: at least {0} apart, along the joist where there is one. A hanger whose holes "
                 "lie "
                 "nearer takes one",
                 {stock(least_apart(fixing, hanger->substrate == Substrate::masonry))}});
        hold({"Pull down hard on each hanger before a board goes on it: one that gives is moved to where it holds"});
    }

    void drill() {
        drill_ceiling();
        std::set<std::pair<std::string, Length>> told;
        for (const PlannedHole& hole : plan_.holes) {
            if (!hole.fixing || !told.insert({hole.fixing->name, hole.fixing->screw_length}).second)
                continue;
            const Fixing& fixing = *hole.fixing;
            const BracketPlan& place = plan_.brackets[hole.place];
            if (!carries(place.substrate)) {
                say({"Lining anchors: drill {0} through the lining and no further, set {1} as its packet says",
                     {stock(fixing.hole_diameter), fixing.name}});
                hold({"Wood or metal behind the lining, or a hole that tears: stop, that anchor does not hold there"});
                continue;
            }
            const bool rod = place.is(OtherKind::rod) || std::holds_alternative<OnHiddenRods>(shelf_.holding);
            if (!site_.masonry() && fixing.penetration > cable_cover)
                say({rod ? std::string_view{"The rods go {0} into the stud, and a cable bored through it may lie {1} "
                                            "behind its face: isolate where one is likely"}
                         : "These screws go {0} into the stud, and a cable bored through it may lie {1} behind its "
                           "face: isolate where one is likely",
                     {stock(fixing.penetration), stock(cable_cover)}});
            if (hole.angled)
                continue; // it is drilled when the board lies
            if (rod)
                say({"Drill {0} for the rods, square to the wall, tape on the bit at {1}: {2}, {3} long",
                     {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name,
                      stock(fixing.screw_length)}});
            else if (site_.masonry())
                say({tiled() ? std::string_view{"Drill {0}, hammer off until through the tile; tape on the bit at "
                                                "{1}. Blow out the dust. Plug: {2}, screw {3}"}
                             : std::string_view{"Drill {0} for the plugs, tape on the bit at {1}. Blow out the "
                                                "dust. Plug: {2}, screw {3}"},
                     {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name,
                      stock(fixing.screw_length)}});
            else if (fixing.by_packet)
                say({"Bore {0} square into the bare wood for {1}, turn each nut in flush, and run its machine screw, "
                     "{2} "
                     "long, in and out once before the lining hides it",
                     {stock(fixing.hole_diameter), fixing.name, stock(fixing.screw_length)}});
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
        if (plan_.bracket && std::ranges::any_of(plan_.brackets, [](const BracketPlan& p) {
                return !carries(p.substrate) && !p.fixing;
            }))
            say({"Brackets off the studs: lining anchors as their packet says. They steady the shelf only"});
    }

    void load_it() {
        if (plan_.sag && !way_of(shelf_).whole(shelf_))
            say({"Stick the load label under it or behind it, and date it"});
    }
};

} // namespace

std::vector<Step> steps_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    return ShelfOrder{shelf, site, plan}.all();
}

} // namespace yes_square
