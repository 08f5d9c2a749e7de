#include "core/shelves/shelf_checks.hpp"

#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hole_spacing.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/place_words.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/way.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {

void check_bracket_choice(const Shelf& shelf, const WallSite&, ShelfPlan& plan) {
    if (!plan.bracket) {
        add_check(plan.checks, checks::no_bracket_fits,
                  shelf.bracket.empty()
                      ? Sentence{"No bracket at hand has an arm of {0} or less", {quantity(plan.arm_most)}}
                      : Sentence{"The bracket \"{0}\" is not among the brackets at hand", {shelf.bracket}});
        return;
    }
    if (!plan.bracket->rating && way_of(shelf).maker_rates_it())
        add_check(plan.checks, checks::bracket_unrated,
                  {"What the bracket itself bears is unknown: enter the maker's rating from its packet"});
    if (!way_of(shelf).chooses_bracket())
        return;
    const Bracket& bracket = *plan.bracket;
    for (std::size_t hole = 0; hole < bracket.hole_drops.size(); ++hole) {
        const Length radius = bracket.hole_diameter / 2;
        const Length drop = bracket.hole_drops[hole];
        if (drop - radius >= Length{} && drop + radius <= bracket.leg &&
            absolute(bracket.across(hole)) + radius <= bracket.width / 2)
            continue;
        Check& off =
            add_check(plan.checks, checks::bracket_hole_off,
                      {"Hole {0} of {1}, {2} down and {3} beside its middle, lies outside its leg of {4} by {5}",
                       {count(hole + 1), bracket.name, quantity(drop), quantity(absolute(bracket.across(hole))),
                        quantity(bracket.width), quantity(bracket.leg)}});
        off.cures.push_back({{"Measure it anew and enter it under \"At hand\""}, {}});
    }
    if (bracket.arm > plan.arm_most) {
        const bool sticks_out = bracket.arm > shelf.depth;
        add_check(plan.checks, checks::arm_too_long, sticks_out ? Severity::error : Severity::warning,
                  {sticks_out ? std::string_view{"The arm of {0} stands {1} out beyond the shelf's front edge"}
                              : std::string_view{"The arm of {0} is {2} longer than {3}, the most under this depth"},
                   {quantity(bracket.arm), quantity(bracket.arm - shelf.depth), quantity(bracket.arm - plan.arm_most),
                    quantity(plan.arm_most)}},
                  quantity(bracket.arm - plan.arm_most));
    } else if (bracket.arm < plan.arm_least) {
        add_check(plan.checks, checks::arm_too_short,
                  {"The arm of {0} is {1} shorter than 70 % of the depth",
                   {quantity(bracket.arm), quantity(plan.arm_least - bracket.arm)}},
                  quantity(plan.arm_least - bracket.arm));
    }
    if (!plan.shelf_screw && !is_loose(shelf))
        add_check(plan.checks, checks::shelf_screw_none,
                  {"No screw at hand is short enough for a board of {0}", {quantity(shelf.thickness)}});
}

namespace {

/// The stud behind one place: found, and known closely enough for its screw.
void check_stud(const Shelf& shelf, const WallSite& site, std::size_t i, ShelfPlan& plan) {
    const BracketPlan& place = plan.brackets[i];
    const Framing* framing = site.timber();
    const Stud& stud = site.survey.studs[*place.stud];
    // Judged for the screw that is chosen; where none is, the edge may be why.
    const TimberSchool school = site.rules.timber;
    const bool loose = framing && !place.fixing && !place.turns &&
                       to_edge_of(*framing, stud, place.x, site.rules) < edge_distance(thinnest_screw(school), school);
    if (stud.state == StudState::assumed)
        add_check(plan.checks, checks::stud_assumed,
                  {of_place(place, shelf, "Bracket {0} hangs on an assumed stud at {1}: nobody has found it yet",
                            "No. {0} hangs on an assumed stud at {1}: nobody has found it yet"),
                   {place_number(i), site.along(stud.centre)}},
                  std::nullopt, place.x, shelf.underside());
    else if (loose)
        add_check(plan.checks, checks::stud_indicated, Severity::error,
                  {of_place(place, shelf,
                            "Bracket {0}: the stud's centre at {1} is known to {2} only, too loosely for a screw",
                            "No. {0}: the stud's centre at {1} is known to {2} only, too loosely for a screw"),
                   {place_number(i), site.along(stud.centre), fine(stud.uncertainty.in_metres())}},
                  fine(stud.uncertainty.in_metres()), place.x, shelf.underside());
    else if (stud.state == StudState::detected)
        add_check(
            plan.checks, checks::stud_detected,
            {of_place(place, shelf, "Bracket {0}: a detector found the stud at {1}; its first pilot hole is the proof",
                      "No. {0}: a detector found the stud at {1}; its first pilot hole is the proof"),
             {place_number(i), site.along(stud.centre)}},
            std::nullopt, place.x, shelf.underside());
    else if (stud.state == StudState::indicated)
        add_check(plan.checks, checks::stud_indicated, Severity::warning,
                  {of_place(place, shelf, "Bracket {0}: the stud at {1} is indicated, not proved",
                            "No. {0}: the stud at {1} is indicated, not proved"),
                   {place_number(i), site.along(stud.centre)}},
                  std::nullopt, place.x, shelf.underside());
}

/// @param carrying  places that are not in the lining alone; fewer than all
void check_lining(const Shelf& shelf, const WallSite& site, std::size_t carrying, ShelfPlan& plan) {
    // What hangs on the lining alone, against its limits: the whole shelf, or the share of all places in it where one
    // bracket is in a stud. Whoever leans on a shelf leans on these too.
    const Force total = (plan.self_weight + plan.goods_load) * shelf.length;
    Force hangs = carrying == 0 ? total : Force{};
    Force tension = 0;
    bool turns = false;
    for (const BracketPlan& place : plan.brackets)
        if (!carries(place.substrate)) {
            if (carrying > 0)
                hangs += place.reaction.sustained;
            turns |= place.turns;
            tension = std::max(tension, place.tension);
        }
    const Mass mass = mass_of(hangs);
    const bool within = !turns && mass <= site.rules.lining_mass_most && shelf.depth <= site.rules.lining_reach_most &&
                        tension <= site.rules.lining_tension_most;
    const Severity severity = within ? Severity::warning : Severity::error;
    const std::vector<Value> figures{quantity(mass),        quantity(site.rules.lining_mass_most),
                                     quantity(shelf.depth), quantity(site.rules.lining_reach_most),
                                     quantity(tension),     quantity(site.rules.lining_tension_most)};
    const auto first = std::ranges::find(plan.brackets, Substrate::lining, &BracketPlan::substrate);
    if (carrying < 2 && !turns && hangs_on_lining(plan.brackets))
        add_check(plan.checks, checks::light_use,
                  {carrying == 0
                       ? std::string_view{"It hangs on the lining alone, by {0}: for light use, no more than "
                                          "its label says"}
                       : "Only one place is in a stud, the rest hangs on the lining by {0}: for light use, no "
                         "more than its label says",
                   {first->fixing->name}},
                  quantity(mass), first->x, shelf.underside());
    else if (carrying == 0)
        add_check(
            plan.checks, checks::no_stud, severity,
            {within ? std::string_view{"No bracket is in a stud: {0} hangs on the lining alone"}
                    : std::string_view{"No bracket is in a stud, and the lining cannot carry this: {0} (at most {1}), "
                                       "reach {2} (at most {3}), pull {4} an anchor (at most {5})"},
             figures},
            quantity(mass), first->x, shelf.underside());
    else if (carrying == 1)
        add_check(
            plan.checks, checks::one_stud, severity,
            {within ? std::string_view{"Only one bracket is in a stud: {0} hangs on the lining alone"}
                    : std::string_view{"Only one bracket is in a stud, and the lining cannot carry the rest: {0} (at "
                                       "most {1}), reach {2} (at most {3}), pull {4} an anchor (at most {5})"},
             figures},
            quantity(mass), first->x, shelf.underside());
    else
        add_check(
            plan.checks, checks::on_lining,
            {"{0} of {1} brackets hold in the lining alone: they steady the shelf and are not counted on to carry it",
             {count(plan.brackets.size() - carrying), count(plan.brackets.size())}},
            std::nullopt, first->x, shelf.underside());
}

} // namespace

void check_hold(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    if (site.masonry())
        return;
    std::size_t carrying = 0;
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        if (!carries(plan.brackets[i].substrate))
            continue;
        ++carrying;
        if (plan.brackets[i].stud)
            check_stud(shelf, site, i, plan);
    }
    if (carrying < plan.brackets.size())
        check_lining(shelf, site, carrying, plan);
}

/// Along the grain of a stud 10 screw diameters, in masonry 10 hole diameters between fixings and to a free edge
/// (common practice): nearer, the wood splits and the brick breaks out.
void check_hole_spacing(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const auto fixed = std::ranges::find_if(plan.brackets, [](const BracketPlan& p) { return p.fixing.has_value(); });
    if (fixed == plan.brackets.end())
        return;
    const Fixing& fixing = *fixed->fixing;
    const Length apart = usual_apart(fixing, site.masonry());
    // Two holes of one place or plate that are near enough to break the wall between them; of places alike, once.
    const auto too_near = [&](const PlannedHole& a, const PlannedHole& b) -> std::optional<Length> {
        const BracketPlan& one = plan.brackets[a.place];
        const BracketPlan& other = plan.brackets[b.place];
        if (!carries(one.substrate) || !carries(other.substrate) || (!site.masonry() && one.stud != other.stud) ||
            (plan.bracket && a.place != b.place))
            return std::nullopt;
        const Length off = Length::nearest_to_metres(std::hypot((a.x - b.x).in_metres(), (a.z - b.z).in_metres()));
        return off < apart ? std::optional{off} : std::nullopt;
    };
    for (std::size_t i = 1; i < plan.holes.size(); ++i) {
        if (plan.bracket && plan.holes[i].place != plan.holes.front().place)
            break;
        for (std::size_t k = 0; k < i; ++k)
            if (const auto off = too_near(plan.holes[k], plan.holes[i]))
                add_check(plan.checks, checks::holes_close,
                          {plan.bracket
                               ? std::string_view{"The bracket's holes {0} and {1} are {2} apart; {3} ({4} "
                                                  "diameters) keeps the wall from splitting"}
                               : "Holes {0} and {1} are {2} apart; {3} ({4} diameters) keeps the wall from splitting",
                           {count(k + 1), count(i + 1), quantity(*off), quantity(apart),
                            count(static_cast<std::size_t>(usual_diameters(fixing, site.masonry())))}},
                          quantity(apart - *off));
    }
    if (!site.masonry())
        return;
    const auto near_edge = [&](const PlannedHole& hole) {
        if ((site.wall.left_end == WallEnd::open && hole.x < apart) ||
            (site.wall.right_end == WallEnd::open && site.wall.length - hole.x < apart))
            return true;
        return std::ranges::any_of(site.wall.openings, [&](const Opening& opening) {
            const Outline box = box_of(opening);
            return hole.x > box.left - apart && hole.x < box.right + apart && hole.z > box.bottom - apart &&
                   hole.z < box.top + apart;
        });
    };
    for (const PlannedHole& hole : plan.holes)
        if (near_edge(hole)) {
            add_check(plan.checks, checks::holes_close,
                      {of_place(shelf, "Bracket {0} drills within {1} (10 diameters) of a free edge of the masonry",
                                "No. {0} drills within {1} (10 diameters) of a free edge of the masonry"),
                       {count(hole.place + 1), quantity(apart)}},
                      quantity(apart), hole.x, hole.z);
            return;
        }
}

void check_board_strength(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    if (plan.sag && plan.sag->share() > 1)
        add_check(plan.checks, checks::sag_over_limit,
                  {plan.sag->overhang
                       ? std::string_view{"In time the end sags {0}; {1} is the limit for an overhang of {3} (L/{2})"}
                       : std::string_view{"In time the shelf sags {0}; {1} is the limit over {3} (L/{2})"},
                   {fine(plan.sag->long_term), fine(plan.sag->limit),
                    count(static_cast<std::size_t>(divisor(site.rules.sag_limit))),
                    quantity(Length::nearest_to_metres(plan.sag->overhang ? plan.sag->span / 2 : plan.sag->span))}},
                  fine(plan.sag->long_term - plan.sag->limit), shelf.left + Length::nearest_to_metres(plan.sag->place),
                  shelf.underside());
    if (plan.board_utilisation.over())
        add_check(plan.checks, checks::board_overloaded,
                  {"The board itself is bent to {0} of what it may bear, somebody on its edge included",
                   {ratio(plan.board_utilisation)}},
                  ratio(plan.board_utilisation), shelf.left, shelf.underside());
}

namespace {

constexpr double least_board_gravity = 0.36;

/// What the screws up through an arm hold in the board: #8 by NDS 12.2.2, in the least dense wood of its table,
/// whatever the board.
Force held_down(const ShelfPlan& plan, const ShelfRules& rules) {
    const ScrewProperties& screw = properties(ScrewGauge::number_8);
    const Length in_board = *plan.shelf_screw - plan.bracket->thickness;
    return rules.screws_in_arm * duration_stored *
           withdrawal_strength(screw, {least_board_gravity}, plan.shelf_screw->in_inches(), in_board.in_inches());
}

void check_uplift(const Shelf& shelf, const WallSite& site, std::size_t i, ShelfPlan& plan) {
    const BracketPlan& place = plan.brackets[i];
    if (place.is(OtherKind::angled_screw))
        return; // the board is judged without it too, and so are those that hold it down then
    const Force up = -place.reaction.least;
    // Screws go up through an arm or a strip; a leg stands there, and a rod lets its board slide off.
    const bool screwed = !place.other || place.substrate == Substrate::side_wall;
    const Force held = screwed && plan.shelf_screw ? held_down(plan, site.rules.shelves) : Force{};
    if (screwed && is_loose(shelf))
        add_check(
            plan.checks, checks::loose_lifts,
            {"With the other end loaded or leaned on, the board lifts off bracket {0}, {1} up: it lies there loose",
             {place_number(i), quantity(up)}},
            quantity(up), place.x, shelf.underside());
    else if (!screwed)
        add_check(plan.checks, checks::pulls_up, place.let_in ? Severity::note : Severity::error,
                  {place.let_in
                       ? std::string_view{"With the other end loaded or leaned on, the board bears up on rod {0} "
                                          "with {1}: it must sit tight on it"}
                       : "With the other end loaded or leaned on, the board lifts off leg {0}, {1} up: nothing "
                         "holds it down there",
                   {place_number(i), quantity(up)}},
                  quantity(up), place.x, shelf.underside());
    else if (plan.shelf_screw && up > held)
        add_check(
            plan.checks, checks::pulls_up, Severity::error,
            {of_place(place, shelf,
                      "With the other end loaded or leaned on, the shelf pulls up on bracket {0} with {1}, and its "
                      "two screws hold {2}",
                      "With the other end loaded or leaned on, the shelf pulls up on no. {0} with {1}, and its two "
                      "screws hold {2}"),
             {place_number(i), quantity(up), quantity(held)}},
            quantity(up - held), place.x, shelf.underside());
    else
        add_check(plan.checks, checks::pulls_up, plan.shelf_screw ? Severity::note : Severity::warning,
                  {of_place(place, shelf,
                            "With the other end loaded or leaned on, the shelf pulls up on bracket {0} with {1}: screw "
                            "it down to the arm",
                            "With the other end loaded or leaned on, the shelf pulls up on no. {0} with {1}: screw it "
                            "down there"),
                   {place_number(i), quantity(up)}},
                  quantity(up), place.x, shelf.underside());
}

} // namespace

void check_strength(const Shelf& shelf, const WallSite& site, ShelfPlan& plan, const Weighed& weighed) {
    if (plan.brackets.size() < 2)
        add_check(plan.checks, checks::too_short,
                  {"The shelf is too short for two brackets: {0}", {quantity(shelf.length)}}, quantity(shelf.length));
    check_board_strength(shelf, site, plan);
    if (plan.goods_load <= 0 && shelf.goods.empty())
        add_check(plan.checks, checks::load_missing, {"No load is entered: the shelf is reckoned empty"});
    for (std::size_t i = 1; i < plan.brackets.size(); ++i) {
        const Length space = plan.brackets[i].x - plan.brackets[i - 1].x;
        if (space > plan.spacing_most + Length::nanometres(1))
            add_check(plan.checks, checks::spacing_over_limit, Severity::error,
                      {"Brackets {0} and {1} are {2} apart; {3} is the most",
                       {count(i), count(i + 1), quantity(space), quantity(plan.spacing_most)}},
                      quantity(space - plan.spacing_most), plan.brackets[i - 1].x, shelf.underside());
        else if (way_of(shelf).chooses_bracket() && space > site.rules.spacing_good + Length::nanometres(1))
            add_check(plan.checks, checks::spacing_over_good,
                      {"Brackets {0} and {1} are {2} apart; {3} or less is better",
                       {count(i), count(i + 1), quantity(space), quantity(site.rules.spacing_good)}},
                      quantity(space), plan.brackets[i - 1].x, shelf.underside());
    }

    if (weighed.bracket_turns)
        add_check(
            plan.checks, checks::bracket_turns,
            {"With its load, or with somebody leaning on it, a bracket has no hole above the point it turns about: it "
             "would pull off the wall"});
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        if (place.bracket_utilisation.over())
            add_check(plan.checks, checks::bracket_overloaded,
                      {of_place(place, shelf, "Bracket {0} carries {1}, {2} times its rating",
                                "No. {0} carries {1}, {2} times its rating"),
                       {place_number(i), quantity(place.reaction.greatest), ratio(place.bracket_utilisation)}},
                      ratio(place.bracket_utilisation), place.x, shelf.underside());
        if (!carries(place.substrate))
            continue;
        if (place.reaction.least < 0 && way_of(shelf).boards_on_arms())
            check_uplift(shelf, site, i, plan);
        const bool nobody_knows = place.stud && site.survey.studs[*place.stud].state == StudState::assumed;
        if (!place.fixing && (place.turns || nobody_knows))
            continue; // said already
        if (place.substrate == Substrate::side_wall)
            continue; // its strip is looked at by itself
        if (place.substrate == Substrate::floor) {
            if (place.fixing_utilisation.over())
                add_check(plan.checks, checks::leg_overloaded,
                          {"Leg {0} bears {1}, {2} times what one so thin and so long may",
                           {place_number(i), quantity(place.reaction.greatest), ratio(place.fixing_utilisation)}},
                          ratio(place.fixing_utilisation), place.x, shelf.underside());
            continue;
        }
        const bool over = place.substrate == Substrate::joist || place.substrate == Substrate::masonry;
        if (place.hanger && !place.fixing) {
            if (over) // else it is said that it misses its joist
                add_check(plan.checks, checks::no_fixing,
                          {"Hanger {0}: no screw or anchor at hand passes its hole and holds in the ceiling",
                           {place_number(i)}},
                          std::nullopt, place.x, shelf.height)
                    .cures.push_back(
                        {{"Take hangers with a larger hole or a thinner block, or longer screws or another "
                          "anchor: never a plastic plug overhead"},
                         {}});
            continue;
        }
        if (!place.fixing)
            add_check(plan.checks, checks::no_fixing,
                      {of_place(place, shelf, "Bracket {0}: no screw or plug at hand suits its holes and this wall",
                                "No. {0}: no screw or plug at hand suits its holes and this wall"),
                       {place_number(i)}},
                      std::nullopt, place.x, shelf.underside());
        else if (place.fixing_utilisation.over())
            add_check(
                plan.checks, checks::fixing_overloaded,
                {of_place(place, shelf,
                          "Bracket {0}: its fixings are loaded to {1} of what they bear ({2} pull, {3} shear each)",
                          "No. {0}: its fixings are loaded to {1} of what they bear ({2} pull, {3} shear each)"),
                 {place_number(i), ratio(place.fixing_utilisation), quantity(place.tension), quantity(place.shear)}},
                ratio(place.fixing_utilisation), place.x, shelf.underside());
    }
}

void check_looks(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const Alternative& chosen = plan.alternatives[plan.chosen];
    if (chosen.layout.school != shelf.school || chosen.extra_brackets != shelf.extra_brackets)
        add_check(plan.checks, checks::school_not_kept,
                  {"The layout asked for cannot be kept here; the nearest that can stands in its place"});
    const Length difference = plan.left_overhang - plan.right_overhang;
    if (absolute(difference) > site.rules.overhang_difference)
        add_check(plan.checks, checks::overhang_unequal,
                  {"The shelf overhangs {0} at the left and {1} at the right",
                   {quantity(plan.left_overhang), quantity(plan.right_overhang)}},
                  quantity(absolute(difference)));
}

} // namespace yes_square
