#include "core/fixings/choose_fixing.hpp"

#include "core/shelves/carrier.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/check_writer.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length desk_least = 680_mm; ///< a desk's top is usually 700 to 760 up (common practice)
constexpr Length desk_most = 780_mm;

class KindChecker : CheckWriter {
public:
    KindChecker(const Shelf& shelf, const WallSite& site, ShelfPlan& plan)
        : CheckWriter{plan.checks}
        , shelf_{shelf}
        , site_{site}
        , rules_{site.rules.shelves}
        , plan_{plan} {}

    void check() {
        boards();
        tiers();
        goods();
        hangers();
        if (site_.open_framing())
            noggings();
        std::visit([this](const auto& how) { kind(how); }, shelf_.holding);
    }

private:
    void boards() {
        if (shelf_.held<Fixture>())
            return;
        for (const BoardPiece& piece : plan_.pieces)
            if (piece.back > rules_.board_longest)
                add(CheckCode::board_too_long, Severity::warning,
                    {"A board of {0} is {1} longer than boards are to be had: join two over a bracket",
                     {quantity(piece.back), quantity(piece.back - rules_.board_longest)}},
                    quantity(piece.back - rules_.board_longest), piece.left, shelf_.height);
        if (!hangs_at_places(shelf_) || !plan_.bracket)
            return;
        for (const Length joint : shelf_.joints) {
            const bool carried = std::ranges::any_of(plan_.brackets, [&](const BracketPlan& place) {
                return carries(place.hold) && absolute(place.x - shelf_.left - joint) <= 1_mm / 2;
            });
            if (!carried)
                add(CheckCode::joint_unsupported, Severity::error,
                    {"The boards meet at {0}, and nothing that carries is under them there",
                     {quantity(shelf_.left + joint)}},
                    std::nullopt, shelf_.left + joint, shelf_.underside());
        }
        // No moment passes a joint, so a board on one bracket would tip.
        for (std::size_t i = 0; i < plan_.pieces.size() && plan_.pieces.size() > 1; ++i) {
            const BoardPiece& piece = plan_.pieces[i];
            const auto under = std::ranges::count_if(plan_.brackets, [&](const BracketPlan& place) {
                return carries(place.hold) && place.x >= piece.left - 1_mm / 2 &&
                       place.x <= piece.left + piece.back + 1_mm / 2;
            });
            if (under < 2)
                add(CheckCode::joint_unsupported, Severity::error,
                    {"Board {0}, from {1} to {2}, has less than two places under it that carry: it would tip",
                     {count(i + 1), quantity(piece.left), quantity(piece.left + piece.back)}},
                    std::nullopt, piece.left, shelf_.underside());
        }
    }

    void tiers() {
        if (shelf_.tiers < 2)
            return;
        Length least = shelf_.thickness + rules_.tier_room;
        if (shelf_.held<OnBrackets>() && plan_.bracket)
            least = shelf_.thickness + plan_.bracket->leg + rules_.tier_room;
        if (shelf_.rise < least)
            add(CheckCode::tiers_too_close, Severity::error,
                {"The shelves are {0} apart; with these brackets {1} is the least",
                 {quantity(shelf_.rise), quantity(least)}},
                quantity(least - shelf_.rise), shelf_.left, shelf_.top_of(1));
    }

    void goods() {
        for (const Goods& goods : shelf_.goods)
            if (goods.from > shelf_.length || goods.to > shelf_.length)
                add(CheckCode::goods_off_shelf, Severity::warning,
                    {"{0} stands beyond the shelf's end: it is reckoned at the end", {goods.name}}, std::nullopt,
                    shelf_.right(), shelf_.height);
    }

    void hangers() {
        if (std::ranges::any_of(plan_.brackets, &BracketPlan::hanger))
            add(CheckCode::bracket_unrated, Severity::warning,
                {"What the hangers themselves bear is unknown: their packet has the last word"});
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i) {
            const BracketPlan& place = plan_.brackets[i];
            if (!place.hanger)
                continue;
            if (place.hold == Hold::assumed_stud)
                add(CheckCode::hanger_misses_joist, Severity::error,
                    {"Hanger {0}: nobody has found the ceiling joists yet", {count(i + 1)}}, std::nullopt, place.x,
                    shelf_.height);
            else if (place.hold == Hold::lining)
                add(CheckCode::hanger_misses_joist, Severity::error,
                    {"Hanger {0} at {1} meets no ceiling joist: it would hang on the ceiling's lining",
                     {count(i + 1), quantity(place.x)}},
                    std::nullopt, place.x, shelf_.height);
        }
    }

    void noggings() {
        const auto number =
            static_cast<std::size_t>(std::ranges::count(plan_.brackets, Hold::nogging, &BracketPlan::hold));
        if (number > 0)
            add(CheckCode::nogging_needed, Severity::note,
                {"{0} of {1} fixings want a nogging before the wall is lined: see the nogging list",
                 {count(number), count(plan_.brackets.size())}},
                count(number));
    }

    void kind(const OnBrackets&) {
        if (shelf_.load.kind == LoadKind::desk && (shelf_.height < desk_least || shelf_.height > desk_most))
            add(CheckCode::desk_height, Severity::note,
                {"The desk's top is {0} up; {1} to {2} is usual",
                 {quantity(shelf_.height), quantity(desk_least), quantity(desk_most)}});
    }

    void kind(const OnStandards& how) {
        const Length deepest = how.top_over + shelf_.rise * (shelf_.tiers - 1);
        if (deepest > how.standard)
            add(CheckCode::upright_too_short, Severity::error,
                {"The lowest shelf is {0} below the foot of the uprights", {quantity(deepest - how.standard)}},
                quantity(deepest - how.standard), shelf_.left, shelf_.lowest_underside());
        const auto off_slot = [&](Length from_top) {
            const std::int64_t pitch = how.slot_pitch.in_nanometres();
            const std::int64_t off = ((from_top - how.first_slot).in_nanometres() % pitch + pitch) % pitch;
            return Length::nanometres(std::min(off, pitch - off));
        };
        const Length off = shelf_.tiers > 1 ? std::max(off_slot(how.top_over), off_slot(how.top_over + shelf_.rise))
                                            : off_slot(how.top_over);
        if (off > Length::micrometres(500))
            add(CheckCode::slots_missed, Severity::warning,
                {"The shelves miss the slots by up to {0}: with slots every {1} the rise is a multiple of that",
                 {quantity(off), quantity(how.slot_pitch)}},
                quantity(off), shelf_.left, shelf_.height);
    }

    void kind(const OnHiddenRods& how) {
        const Length least = Length::nearest_to_metres(how.diameter.in_metres() * rules_.rod_cover);
        if (shelf_.thickness < least)
            add(CheckCode::rod_too_thick, Severity::error,
                {"A shelf of {0} is too thin for rods of {1}: {2} at least",
                 {quantity(shelf_.thickness), quantity(how.diameter), quantity(least)}},
                quantity(least - shelf_.thickness), shelf_.left, shelf_.underside());
        if (how.in_shelf > shelf_.depth - 20_mm)
            add(CheckCode::rod_too_thick, Severity::error,
                {"Rods {0} long inside the shelf come within 20 mm of its front edge", {quantity(how.in_shelf)}},
                quantity(how.in_shelf - shelf_.depth + 20_mm), shelf_.left, shelf_.underside());
        const BoardProperties& board = properties(shelf_.material);
        if (board.material <= BoardMaterial::osb3)
            add(CheckCode::rod_edge_unknown, Severity::warning,
                {"What the edge of {0} bears around a rod only its maker can say: the figure here is a guess",
                 {board.words}});
        const Framing* framing = site_.timber();
        if (framing && how.in_wall > framing->stud_depth)
            add(CheckCode::rod_through_stud, Severity::error,
                {"Rods {0} deep would come out behind studs of {1}",
                 {quantity(how.in_wall), quantity(framing->stud_depth)}},
                quantity(how.in_wall - framing->stud_depth), shelf_.left, shelf_.underside());
        double sink = 0;
        for (const BracketPlan& place : plan_.brackets)
            sink = std::max(sink, place.rod_sink);
        const double most = rules_.rod_slope * shelf_.depth.in_metres();
        if (sink > most)
            add(CheckCode::rod_sinks, Severity::warning,
                {"The rods bend so that the front edge sinks {0}; {1} would pass unseen: thicker rods, more of them",
                 {fine(sink), fine(most)}},
                fine(sink - most), shelf_.left, shelf_.underside());
    }

    void kind(const OnHiddenBracket&) { plate(); }

    void kind(const Fixture&) { plate(); }

    void kind(const OnKeyholes& how) {
        plate();
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i)
            if (plan_.brackets[i].reaction.least < 0)
                add(CheckCode::keyhole_lifts, Severity::error,
                    {"With the goods on one end the shelf lifts off screw {0} by {1}: nothing holds it down there",
                     {count(i + 1), force(-plan_.brackets[i].reaction.least)}},
                    force(-plan_.brackets[i].reaction.least), plan_.brackets[i].x, shelf_.height);
        const Length room = how.slot + rules_.lift_off_room;
        for (const Shelf& other : site_.wall.shelves)
            for (const Box& box : board_boxes(other))
                if (other.id != shelf_.id && box.left < shelf_.right() && box.right > shelf_.left &&
                    box.bottom >= shelf_.height && box.bottom - shelf_.height < room)
                    add(CheckCode::keyhole_no_room, Severity::error,
                        {"{0} above leaves {1}: the shelf must rise {2} to go on and come off",
                         {other.name, quantity(box.bottom - shelf_.height), quantity(room)}},
                        quantity(room - (box.bottom - shelf_.height)), shelf_.left, shelf_.height);
        if (site_.wall.height - shelf_.height < room)
            add(CheckCode::keyhole_no_room, Severity::error,
                {"The ceiling leaves {0}: the shelf must rise {1} to go on and come off",
                 {quantity(site_.wall.height - shelf_.height), quantity(room)}},
                quantity(room - (site_.wall.height - shelf_.height)), shelf_.left, shelf_.height);
    }

    void kind(const OnCleats& how) {
        if (!how.left || !how.right)
            add(CheckCode::cleat_sides_missing, Severity::error,
                {"Without a strip on both side walls the shelf's front hangs free and the back strip is wrung off"});
        for (const CleatPlan& cleat : plan_.cleats) {
            if (!cleat.wall_known)
                add(CheckCode::cleat_wall_unknown, Severity::warning,
                    {"The {0} wall is not surveyed: it is taken to be built like this one. Prove it before you drill",
                     {cleat.wall}});
            if (cleat.few_studs)
                add(CheckCode::one_stud, Severity::error,
                    {"The {0} wall is framed, and the strip on it meets {1} of its found studs: two at least",
                     {cleat.wall, count(cleat.screws)}},
                    count(cleat.screws));
            else if (cleat.screws == 0 || !cleat.fixing)
                add(CheckCode::no_fixing, Severity::error,
                    {"The {0} strip: nothing at hand holds it in what is behind it", {cleat.wall}});
            else if (!cleat.utilisation.within())
                add(CheckCode::fixing_overloaded, Severity::error,
                    {"The {0} strip: its screws are loaded to {1} of what they bear",
                     {cleat.wall, ratio(cleat.utilisation)}},
                    ratio(cleat.utilisation));
        }
    }

    void kind(const HookRail&) {}
    void kind(const Pole&) {}

    /// Holes drilled beside the thing hold nothing of it.
    void holes_in_it(const HungPlate& hung) {
        const bool plate_outside = hung.left < shelf_.left || hung.left + hung.width > shelf_.right() ||
                                   (!shelf_.held<OnHiddenBracket>() && hung.height > shelf_.thickness);
        if (plate_outside)
            add(CheckCode::hole_outside, Severity::error,
                {"Its plate, {0} wide from {1}, reaches beyond the thing it carries",
                 {quantity(hung.width), quantity(hung.left)}},
                std::nullopt, hung.left, hung.top);
        for (std::size_t i = 0; i < hung.plate->holes.size(); ++i) {
            const PlateHole& hole = hung.plate->holes[i];
            if (hole.across < Length{} || hole.across > hung.width || hole.down < Length{} || hole.down > hung.height)
                add(CheckCode::hole_outside, Severity::error,
                    {"Hole {0}, {1} across and {2} down, lies outside its plate of {3} by {4}",
                     {count(i + 1), quantity(hole.across), quantity(hole.down), quantity(hung.width),
                      quantity(hung.height)}},
                    std::nullopt, hung.left + hole.across, hung.top - hole.down);
        }
    }

    void plate() {
        const HungPlate hung = plate_of(shelf_);
        holes_in_it(hung);
        const auto carrying = static_cast<std::size_t>(
            std::ranges::count_if(plan_.brackets, [](const BracketPlan& place) { return carries(place.hold); }));
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i) {
            const BracketPlan& place = plan_.brackets[i];
            const PlannedHole& hole = plan_.holes[i];
            if (!carries(place.hold) && site_.open_framing())
                add(CheckCode::hole_must_hold, Severity::error,
                    {"Hole {0} at {1} falls on a stud's edge, which would split, and leaves a nogging no room: move it "
                     "a "
                     "little",
                     {count(i + 1), quantity(hole.x)}},
                    std::nullopt, hole.x, hole.z);
            else if (!carries(place.hold) && hung.plate->holes[i].must)
                add(CheckCode::hole_must_hold, Severity::error,
                    {"Hole {0} at {1} must be used, and there is nothing behind it but the lining",
                     {count(i + 1), quantity(hole.x)}},
                    std::nullopt, hole.x, hole.z);
            if (place.hold == Hold::assumed_stud)
                add(CheckCode::stud_assumed, Severity::error,
                    {"Hole {0} counts on an assumed stud at {1}: nobody has found it yet",
                     {count(i + 1), quantity(hole.x)}},
                    std::nullopt, hole.x, hole.z);
            if (place.hold == Hold::indicated_stud)
                add(CheckCode::stud_indicated, Severity::warning,
                    {"Hole {0}: the stud at {1} is indicated, not proved", {count(i + 1), quantity(hole.x)}},
                    std::nullopt, hole.x, hole.z);
            if (carries(place.hold) && !plan_.plate_turns && !place.fixing)
                add(CheckCode::no_fixing, Severity::error,
                    {"Hole {0}: no screw or plug at hand suits it and this wall", {count(i + 1)}}, std::nullopt, hole.x,
                    hole.z);
            if (place.fixing_utilisation.over()) {
                add(CheckCode::fixing_overloaded, Severity::error,
                    {"Its fixings are loaded to {0} of what they bear ({1} pull, {2} shear on hole {3})",
                     {ratio(place.fixing_utilisation), force(place.tension_n), force(place.shear_n), count(i + 1)}},
                    ratio(place.fixing_utilisation), hole.x, hole.z);
                break;
            }
        }
        if (plan_.plate_turns || carrying < 2)
            add(CheckCode::plate_few_holes, Severity::error,
                {"{0} of its {1} holes have something behind them: two at least, one of them above the edge it turns "
                 "about",
                 {count(carrying), count(plan_.brackets.size())}},
                count(carrying), shelf_.left, shelf_.height);
        if (!hung.plate->rating_n)
            add(CheckCode::bracket_unrated, Severity::warning,
                {"What the hanger itself bears is unknown: enter the maker's figure from its sheet"});
        else if (plan_.plate_utilisation.over())
            add(CheckCode::bracket_overloaded, Severity::error,
                {"It carries {0} times the maker's figure", {ratio(plan_.plate_utilisation)}},
                ratio(plan_.plate_utilisation), shelf_.left, shelf_.height);
    }

    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfRules& rules_;
    ShelfPlan& plan_;
};

} // namespace

void check_kind(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    KindChecker{shelf, site, plan}.check();
}

} // namespace yes_square
