#include "core/shelves/shelf_kind_checks.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/shelves/place_words.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/under_board.hpp"
#include "core/shelves/way.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class Checker : public KindChecker {
public:
    using KindChecker::KindChecker;

    void check() {
        boards();
        if (way_of(shelf_).is_board()) {
            make_up();
            cut_outs();
        }
        tiers();
        goods();
        hangers();
        pins();
        if (site_.open_framing())
            noggings();
        way_of(shelf_).check(*this);
    }

private:
    void boards() {
        if (way_of(shelf_).whole(shelf_))
            return;
        // Between walls it is sawn longer than it is.
        const Length on = in_left_corner(shelf_, site_) && in_right_corner(shelf_, site_)
                              ? site_.rules.cutting.scribe_allowance
                              : Length{};
        for (const BoardPiece& piece : plan_.pieces)
            if (const Length sawn = piece.back + on; sawn > rules_.board_longest)
                add(checks::board_too_long,
                    {"A board of {0} is {1} longer than boards are to be had: join two over a bracket",
                     {quantity(sawn), quantity(sawn - rules_.board_longest)}},
                    quantity(sawn - rules_.board_longest), piece.left, shelf_.height);
        if (!plan_.bracket)
            return;
        for (const Length joint : shelf_.joints) {
            const bool carried = std::ranges::any_of(plan_.brackets, [&](const BracketPlan& place) {
                return place.bears_board() && absolute(place.x - shelf_.left - joint) <= 1_mm / 2;
            });
            if (!carried)
                add(checks::joint_unsupported,
                    {"The boards meet at {0}, and nothing that carries is under them there",
                     {site_.along(shelf_.left + joint)}},
                    std::nullopt, shelf_.left + joint, shelf_.underside());
        }
        // No moment passes a joint, so a board on one bracket would tip.
        for (std::size_t i = 0; i < plan_.pieces.size() && plan_.pieces.size() > 1; ++i) {
            const BoardPiece& piece = plan_.pieces[i];
            const auto under = std::ranges::count_if(plan_.brackets, [&](const BracketPlan& place) {
                return place.bears_board() && place.x >= piece.left - 1_mm / 2 &&
                       place.x <= piece.left + piece.back + 1_mm / 2;
            });
            if (under < 2)
                add(checks::joint_unsupported,
                    {"Board {0}, from {1} to {2}, has less than two places under it that carry: it would tip",
                     {count(i + 1), site_.along(piece.left), site_.along(piece.left + piece.back)}},
                    std::nullopt, piece.left, shelf_.underside());
        }
    }

    /// Skins with room between them, and something that joins them.
    void make_up() {
        if (!shelf_.hollow)
            return;
        const HollowBoard& board = *shelf_.hollow;
        if (2 * board.skin >= shelf_.thickness)
            add(checks::skins_meet,
                {"Two skins of {0} leave nothing between them in a board of {1}: thinner skins, or a solid board",
                 {stock(board.skin), stock(shelf_.thickness)}},
                quantity(2 * board.skin - shelf_.thickness), shelf_.left, shelf_.height);
        else if (board.front <= Length{})
            add(checks::skins_loose,
                {"No strip runs along the front between the skins: nothing joins them there, and the edge bears nobody "
                 "who leans on it"},
                std::nullopt, shelf_.left, shelf_.height);
    }

    void cut_outs() {
        check_cut_outs(shelf_.cut_outs, shelf_.length, shelf_.board_depth(), site_.rules, shelf_.left, shelf_.height,
                       plan_.checks);
        if (!plan_.bracket)
            return;
        for (const CutOut& cut : shelf_.cut_outs)
            for (const BracketPlan& place : plan_.brackets) {
                const UnderBoard there = under_board(shelf_, plan_, place);
                if (there.to > cut.across && there.from < cut.right() && there.front > cut.back &&
                    there.back < cut.front())
                    add(checks::cut_out_over_bracket,
                        {"{0} at {1} reaches into what is cut out for {2}: move one of them",
                         {name_of_place(place, shelf_), site_.along(place.x),
                          cut.name.empty() ? std::string{"the cut-out"} : cut.name}},
                        std::nullopt, place.x, shelf_.underside());
            }
    }

    void tiers() {
        if (shelf_.tiers < 2)
            return;
        Length least = shelf_.thickness + rules_.tier_room;
        if (way_of(shelf_).chooses_bracket() && plan_.bracket)
            least = shelf_.thickness + plan_.bracket->leg + rules_.tier_room;
        if (shelf_.rise < least)
            add(checks::tiers_too_close,
                {"The shelves are {0} apart; with these brackets {1} is the least",
                 {quantity(shelf_.rise), quantity(least)}},
                quantity(least - shelf_.rise), shelf_.left, shelf_.top_of(1));
    }

    void goods() {
        for (const Goods& goods : shelf_.goods)
            if (goods.from > shelf_.length || goods.to > shelf_.length)
                add(checks::goods_off_shelf,
                    {"{0} stands beyond the shelf's end: it is reckoned at the end", {goods.name}}, std::nullopt,
                    shelf_.right(), shelf_.height);
    }

    /// Places that the fitter chose: where a bracket stands the search works round it, so they must be places at all.
    void pins() {
        if (!plan_.bracket)
            return;
        std::vector<Length> pins = shelf_.pins;
        for (const Length pin : pins)
            if (pin <= Length{} || pin >= shelf_.length)
                add(checks::pin_off_board,
                    {"What is pinned at {0} is off the board, which runs from {1} to {2}",
                     {site_.along(shelf_.left + pin), site_.along(shelf_.left), site_.along(shelf_.right())}},
                    std::nullopt, shelf_.left + pin, shelf_.underside());
        if (way_of(shelf_).chooses_bracket())
            for (const OtherSupport& other : shelf_.others)
                pins.push_back(shelf_.place_of(other));
        std::ranges::sort(pins);
        for (std::size_t i = 1; i < pins.size(); ++i)
            if (pins[i] - pins[i - 1] < plan_.bracket->width)
                add(checks::pins_too_close,
                    {"Two places are pinned {0} apart, at {1}: what stands there is {2} broad",
                     {quantity(pins[i] - pins[i - 1]), site_.along(shelf_.left + pins[i]),
                      quantity(plan_.bracket->width)}},
                    quantity(plan_.bracket->width - (pins[i] - pins[i - 1])), shelf_.left + pins[i],
                    shelf_.underside());
    }

    void hangers() {
        if (std::ranges::any_of(plan_.brackets, &BracketPlan::hanger) && !shelf_.hanger_rating)
            add(checks::bracket_unrated,
                {"What the hangers themselves bear is unknown: their packet has the last word"});
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i) {
            const BracketPlan& place = plan_.brackets[i];
            if (!place.hanger)
                continue;
            if (place.substrate == Substrate::assumed_stud)
                add(checks::hanger_misses_joist,
                    {"Hanger {0}: nobody has found the ceiling joists yet", {count(i + 1)}}, std::nullopt, place.x,
                    shelf_.height);
            else if (place.substrate == Substrate::lining)
                add(checks::hanger_misses_joist,
                    {"Hanger {0} at {1} meets no ceiling joist: it would hang on the ceiling's lining",
                     {count(i + 1), site_.along(place.x)}},
                    std::nullopt, place.x, shelf_.height);
        }
    }

    void noggings() {
        const auto number =
            static_cast<std::size_t>(std::ranges::count(plan_.brackets, Substrate::nogging, &BracketPlan::substrate));
        if (number > 0)
            add(checks::nogging_needed,
                {"{0} of {1} fixings want a nogging before the wall is lined: see the nogging list",
                 {count(number), count(plan_.brackets.size())}},
                count(number));
    }
};

} // namespace

/// Holes drilled beside the thing hold nothing of it.
void KindChecker::holes_in_it(const HungPlate& hung) {
    const bool plate_outside = hung.left < shelf_.left || hung.left + hung.width > shelf_.right() ||
                               (hung.whole && hung.height > shelf_.thickness);
    if (plate_outside)
        add(checks::hole_outside,
            {"Its plate, {0} wide from {1}, reaches beyond the thing it carries",
             {quantity(hung.width), site_.along(hung.left)}},
            std::nullopt, hung.left, hung.top);
    for (std::size_t i = 0; i < hung.plate->holes.size(); ++i) {
        const PlateHole& hole = hung.plate->holes[i];
        if (hole.across < Length{} || hole.across > hung.width || hole.down < Length{} || hole.down > hung.height)
            add(checks::hole_outside,
                {"Hole {0}, {1} across and {2} down, lies outside its plate of {3} by {4}",
                 {count(i + 1), quantity(hole.across), quantity(hole.down), quantity(hung.width),
                  quantity(hung.height)}},
                std::nullopt, hung.left + hole.across, hung.top - hole.down);
    }
}

void KindChecker::strip(const CleatPlan& cleat) {
    if (!cleat.wall_known)
        add(checks::cleat_wall_unknown,
            {"The {0} wall is not surveyed: it is taken to be built like this one. Prove it before you drill",
             {cleat.wall}});
    if (cleat.few_studs)
        add(checks::one_stud,
            {"The {0} wall is framed, and the strip on it meets {1} of its found studs: two at least",
             {cleat.wall, count(cleat.screws)}},
            count(cleat.screws));
    else if (cleat.screws == 0 || !cleat.fixing)
        add(checks::no_fixing, {"The {0} strip: nothing at hand holds it in what is behind it", {cleat.wall}});
    else if (!cleat.utilisation.within())
        add(checks::fixing_overloaded,
            {"The {0} strip: its screws are loaded to {1} of what they bear", {cleat.wall, ratio(cleat.utilisation)}},
            ratio(cleat.utilisation));
}

void KindChecker::plate() {
    const HungPlate hung = plate_of(shelf_);
    holes_in_it(hung);
    const auto carrying = static_cast<std::size_t>(
        std::ranges::count_if(plan_.brackets, [](const BracketPlan& place) { return carries(place.substrate); }));
    for (std::size_t i = 0; i < plan_.brackets.size(); ++i) {
        const BracketPlan& place = plan_.brackets[i];
        const PlannedHole& hole = plan_.holes[i];
        if (!carries(place.substrate) && site_.open_framing())
            add(checks::hole_must_hold,
                {"Hole {0} at {1} falls on a stud's edge, which would split, and leaves a nogging no room: move it "
                 "a "
                 "little",
                 {count(i + 1), site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        else if (!carries(place.substrate) && hung.plate->holes[i].must)
            add(checks::hole_must_hold,
                {"Hole {0} at {1} must be used, and there is nothing behind it but the lining",
                 {count(i + 1), site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        if (place.substrate == Substrate::assumed_stud)
            add(checks::stud_assumed,
                {"Hole {0} counts on an assumed stud at {1}: nobody has found it yet",
                 {count(i + 1), site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        if (place.substrate == Substrate::detected_stud)
            add(checks::stud_detected,
                {"Hole {0}: a detector found the stud at {1}; its first pilot hole is the proof",
                 {count(i + 1), site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        if (place.substrate == Substrate::indicated_stud)
            add(checks::stud_indicated, Severity::warning,
                {"Hole {0}: the stud at {1} is indicated, not proved", {count(i + 1), site_.along(hole.x)}},
                std::nullopt, hole.x, hole.z);
        if (carries(place.substrate) && !plan_.plate_turns && !place.fixing)
            add(checks::no_fixing, {"Hole {0}: no screw or plug at hand suits it and this wall", {count(i + 1)}},
                std::nullopt, hole.x, hole.z);
        if (place.fixing_utilisation.over()) {
            add(checks::fixing_overloaded,
                {"Its fixings are loaded to {0} of what they bear ({1} pull, {2} shear on hole {3})",
                 {ratio(place.fixing_utilisation), quantity(place.tension), quantity(place.shear), count(i + 1)}},
                ratio(place.fixing_utilisation), hole.x, hole.z);
            break;
        }
    }
    if (plan_.plate_turns || carrying < 2)
        add(checks::plate_few_holes,
            {"{0} of its {1} holes have something behind them: two at least, one of them above the edge it turns "
             "about",
             {count(carrying), count(plan_.brackets.size())}},
            count(carrying), shelf_.left, shelf_.height);
    if (!hung.plate->rating)
        add(checks::bracket_unrated,
            {"What the hanger itself bears is unknown: enter the maker's figure from its sheet"});
    else if (plan_.plate_utilisation.over())
        add(checks::bracket_overloaded, {"It carries {0} times the maker's figure", {ratio(plan_.plate_utilisation)}},
            ratio(plan_.plate_utilisation), shelf_.left, shelf_.height);
}

void check_kind(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    Checker{shelf, site, plan}.check();
}

} // namespace yes_square
