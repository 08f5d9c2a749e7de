#include "core/job/field_visits.hpp"
#include "core/shelves/angled_screws.hpp"
#include "core/shelves/hidden_rods.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/under_board.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>

/// Boards on brackets in a line; a desk is one of them.
namespace yes_square {
namespace {

std::optional<Bracket> choose_bracket(const Shelf& shelf, const WallSite& site) {
    const auto& brackets = site.catalogue.brackets;
    if (!shelf.bracket.empty()) {
        const auto named = std::ranges::find(brackets, shelf.bracket, &Bracket::id);
        return named == brackets.end() ? std::nullopt : std::optional{*named};
    }
    const ArmRange range = arm_range(shelf.depth, site.rules);
    const Bracket* best = nullptr;
    for (const Bracket& bracket : brackets)
        if (bracket.at_hand && bracket.arm <= range.most && (!best || bracket.arm > best->arm))
            best = &bracket;
    return best ? std::optional{*best} : std::nullopt;
}

constexpr Length stretcher_screws = 300_mm;
constexpr Length beside_leg = 100_mm;

/// Its leg over the arm: the holes seen from the leg's top.
void turn_up(Bracket& bracket) {
    for (Length& drop : bracket.hole_drops)
        drop = bracket.leg - drop;
    std::ranges::reverse(bracket.hole_drops);
}

class BracketsWay final : public WayOf<OnBrackets> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {
            {"brackets", "Brackets", 1200_mm, 1500_mm, 250_mm, 22_mm},
            {"desk", "Brackets, a desk", 1400_mm, 730_mm, 600_mm, 30_mm, BoardMaterial::birch_plywood, LoadKind::desk}};
    }
    Holding usual(const Shelf&) const override { return OnBrackets{}; }
    bool boards_on_arms() const override { return true; }
    bool chooses_bracket() const override { return true; }
    bool takes_lip() const override { return true; }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        std::optional<Bracket> bracket = choose_bracket(shelf, site);
        if (!bracket)
            return std::nullopt;
        const bool leg_up = of(shelf).leg_up;
        if (leg_up)
            turn_up(*bracket);
        Carrier carrier = even_carrier(*bracket, shelf, site);
        carrier.over = leg_up ? bracket->leg : Length{};
        return carrier;
    }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const auto& [least, most] = std::pair{checker.rules().desk_least, checker.rules().desk_most};
        check_others(checker);
        if (shelf.load.kind == LoadKind::desk && (shelf.height < least || shelf.height > most))
            checker.add(checks::desk_height, {"The desk's top is {0} up; {1} to {2} is usual",
                                              {quantity(shelf.height), quantity(least), quantity(most)}});
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        const bool fouls = check.code == checks::leg_fouls_shelf;
        if (fouls || check.code == checks::tiers_too_close)
            curer.change(check, {"Turn the brackets over, legs up"}, [](Shelf& shelf) {
                auto& how = std::get<OnBrackets>(shelf.holding);
                how.leg_up = !how.leg_up;
            });
        cure_rods(curer, check);
        cure_angled(curer, check);
        if (check.code == checks::loose_lifts)
            curer.change(check, {"Screw it down to its brackets"}, [](Shelf& shelf) { shelf.loose = false; });
        if (check.code == checks::others_one_board)
            curer.change(check, {"One shelf alone"}, [](Shelf& shelf) { shelf.tiers = 1; });
        if (check.code == checks::leg_back_free && check.x)
            bracket_beside(curer, check);
        if (!fouls)
            return;
        curer.other_bracket(check);
        if (check.amount)
            curer.raise(check, Length::nearest_to_metres(check.amount->si));
        curer.slide_upright(check);
    }

    /// Boards, and what carries them besides brackets.
    std::vector<CutPart> cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const override {
        std::vector<CutPart> parts = boards_cut(shelf, site, plan);
        const OtherSizes& sizes = shelf.other_sizes;
        for (const BracketPlan& place : plan.brackets) {
            if (place.is(OtherKind::leg))
                parts.push_back(strip_part(shelf.id, {"leg of {0}", {shelf.name}}, leg_length(shelf, site, place),
                                           sizes.leg, sizes.leg, StuffKind::cleat, "leg"));
        }
        for (const CleatPlan& cleat : plan.cleats)
            parts.push_back(strip_part(shelf.id, {"{0} cleat of {1}", {cleat.wall, shelf.name}}, cleat.length,
                                       sizes.strip_breadth, sizes.strip));
        if (shelf.stretcher)
            parts.push_back(board_part(shelf.id, {"stretcher of {0}", {shelf.name}}, shelf.stretcher->material,
                                       shelf.length, shelf.stretcher->height, shelf.stretcher->breadth));
        return parts;
    }

    void say_steps(ShelfSteps& steps) const override {
        const Shelf& shelf = steps.shelf();
        say_others(steps);
        if (in_left_corner(shelf, steps.site()) && in_right_corner(shelf, steps.site()))
            steps.say(
                {"From corner to corner: the brackets in the corners first, then measure between the walls at the "
                 "line and cut the boards to that, not to this sheet"});
        std::vector<std::size_t> brackets; // by their numbers
        for (std::size_t i = 0; i < steps.places(); ++i)
            if (steps.plan().brackets[i].is_bracket())
                brackets.push_back(i + 1);
        if (!brackets.empty())
            steps.say({of(shelf).leg_up
                           ? std::string_view{"Bracket {0}, its leg up: top screw first, plumb the leg, other "
                                              "screws in loosely"}
                           : "Bracket {0}: top screw first, plumb the leg, other screws in loosely",
                       {count(brackets.front())}});
        if (brackets.size() >= 2)
            steps.say({"Bracket {0}: screw its top in loosely and bring it up by a level laid across from bracket {1}",
                       {count(brackets.back()), count(brackets.front())}});
        if (brackets.size() > 2)
            steps.say({"Those between: bring each up to a straightedge laid over the outer two"});
        if (shelf.load.kind == LoadKind::desk) {
            steps.say({"Desk: a stretcher on edge along the wall under its back, screwed to the wall and to the top, "
                       "keeps a top of boards flat between the brackets"});
            steps.hold(
                {"Desk: all tops in one plane, or they do not share the load. Lay a straightedge over them: the gaps, "
                 "entered with the readings, say what goes between each low one and the top"});
        }
        if (shelf.stretcher)
            steps.say(
                {"Screw the stretcher up under the board all along, on edge, in front of the arms, every {0} or so",
                 {quantity(stretcher_screws)}});
        steps.hold(Phase::adjust, {"Check plumb and level again, then tighten all, top screws first"});
        if (shelf.tiers > 1)
            steps.say(
                {"The next row {0} lower, off the one above by a stick cut to that length", {quantity(shelf.rise)}});
        steps.lay_board();
    }

private:
    static void check_rod(Length x, KindChecker& checker) {
        const auto& places = checker.plan().brackets;
        const auto rod = std::ranges::find(places, x, &BracketPlan::x);
        if (rod != places.end() && !carries(rod->substrate))
            checker.add(checks::rod_in_lining,
                        {"The rod at {0} meets no stud: in a lining it holds nothing", {checker.site().along(x)}},
                        std::nullopt, x, checker.shelf().underside());
    }

    /// Beside a leg, in the nearest stud where the wall is framed.
    static void bracket_beside(const ShelfCurer& curer, Check& check) {
        const Shelf& shelf = curer.shelf();
        const Length leg = *check.x - shelf.left;
        std::vector<Length> places{leg - beside_leg, leg + beside_leg};
        for (const Stud& stud : curer.site().survey.studs)
            places.push_back(stud.centre - shelf.left);
        std::ranges::stable_sort(places, {}, [&](Length at) { return absolute(at - leg); });
        for (const Length at : places)
            if (at > Length{} && at < shelf.length && at != leg &&
                absolute(at - leg) <= curer.site().rules.shelves.leg_back_within &&
                curer.change(check, {"A bracket beside the leg, pinned at {0}", {curer.site().along(shelf.left + at)}},
                             [&](Shelf& changed) { changed.pins.push_back(at); }))
                return;
    }

    static void say_others(ShelfSteps& steps) {
        for (const CleatPlan& cleat : steps.plan().cleats)
            steps.say({"The strip on the {0} wall first, its top on the level line: {1} long, {2} screws",
                       {cleat.wall, quantity(cleat.length), count(cleat.screws)}});
        const auto& places = steps.plan().brackets;
        if (std::ranges::any_of(places,
                                [](const BracketPlan& place) { return place.is(OtherKind::rod) && place.fixing; })) {
            say_rods_set(steps, steps.shelf().other_sizes.rods);
            steps.say(drill_board_step(steps.shelf().other_sizes.rods, steps.shelf()));
        }
    }

public:
    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan& plan) const override {
        std::vector<Supply> supplies = WayOf::bought(shelf, plan);
        if (shelf.other_sizes.rods.resin &&
            std::ranges::any_of(plan.brackets, [](const BracketPlan& place) { return place.is(OtherKind::rod); }))
            supplies.push_back({KitGroup::consumables, "resin", {"Resin, its gun and nozzles"}});
        return supplies;
    }

private:
    /// What carries it besides brackets: on the board, and a leg with something that holds the back near it.
    static void check_others(KindChecker& checker) {
        const Shelf& shelf = checker.shelf();
        for (const CleatPlan& cleat : checker.plan().cleats)
            checker.strip(cleat);
        if (shelf.tiers > 1 && !shelf.others.empty())
            checker.add(checks::others_one_board,
                        {"Legs, end strips, rods and angled screws carry one board, and {0} lie under one another: "
                         "enter these shelves "
                         "one by one",
                         {count(static_cast<std::size_t>(shelf.tiers))}},
                        std::nullopt, shelf.left, shelf.underside());
        if (std::ranges::any_of(checker.plan().brackets,
                                [](const BracketPlan& place) { return place.is(OtherKind::rod); }))
            check_rods(shelf.other_sizes.rods, checker);
        check_angled(checker);
        for (const OtherSupport& other : shelf.others) {
            const Length at = shelf.place_of(other);
            const bool leg = other.kind == OtherKind::leg;
            if (at <= Length{} || at >= shelf.length || (leg && (other.out <= Length{} || other.out > shelf.depth))) {
                checker.add(checks::other_off_board,
                            {"{0} at {1} from the left end, {2} out of the wall, is not under the board",
                             {enum_words(other.kind), quantity(at), quantity(other.out)}},
                            std::nullopt, shelf.left + at, shelf.underside());
                continue;
            }
            if (other.kind == OtherKind::rod)
                check_rod(shelf.left + at, checker);
            const auto holds_back = [&](const BracketPlan& place) {
                return place.substrate != Substrate::floor && place.bears_board() &&
                       absolute(place.x - shelf.left - at) <= checker.rules().leg_back_within;
            };
            if (leg && std::ranges::none_of(checker.plan().brackets, holds_back))
                checker.add(checks::leg_back_free,
                            {"Nothing holds the board's back within {0} of the leg at {1}: it tips over the leg",
                             {quantity(checker.rules().leg_back_within), checker.site().along(shelf.left + at)}},
                            std::nullopt, shelf.left + at, shelf.underside());
        }
    }
};

} // namespace

const Way& way(const OnBrackets&) {
    static const BracketsWay all;
    return all;
}

} // namespace yes_square
