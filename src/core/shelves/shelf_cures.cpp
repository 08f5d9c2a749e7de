#include "core/shelves/shelf_cures.hpp"

#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/slide_whole.hpp"
#include "core/shelves/way.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>
#include <array>

namespace yes_square {
namespace {

constexpr std::size_t most_slides = 4;
constexpr std::size_t most_plate_slides = 12;
constexpr Length slide_reach = 600_mm; ///< a thing with its own holes is slid no farther, unless studs are wider apart
constexpr Length strip_room = 10_mm;   ///< between a hole and the edge of a strip

/// Which edits are tried for which check, whatever the way; a way adds its own.
class Curer : public ShelfCurer {
public:
    using ShelfCurer::ShelfCurer;

    void cure(Check& check) const {
        for (const Row& row : rows())
            if (std::ranges::find(row.codes, check.code) != row.codes.end())
                row.cure(*this, check);
        way_of(shelf_).cure(*this, check);
    }

private:
    struct Row {
        std::vector<CheckCode> codes;
        void (*cure)(const Curer& self, Check& check);
    };

    static const std::vector<Row>& rows() {
        static const std::vector<Row> all{
            {{checks::stud_assumed, checks::stud_indicated},
             [](const Curer& self, Check& check) {
                 say(check,
                     {"Probe both edges of the stud at {0} and enter it as proved", {self.site_.along(*check.x)}});
                 self.slide_to_studs(check);
             }},
            {{checks::no_stud, checks::one_stud},
             [](const Curer& self, Check& check) {
                 if (!self.plan_.cleats.empty()) {
                     say(check,
                         {"Find two studs of that wall over the shelf's depth and enter them, or set a nogging"});
                     return;
                 }
                 self.slide_given_holes(check);
                 self.other_layouts(check);
                 self.slide_to_studs(check);
                 if (self.site_.timber() == nullptr)
                     say(check, {"Put a nogging or a wood backing behind the brackets, or hang less"});
                 else if (check.cures.empty())
                     say(check, {"Find and enter more studs, or put a nogging or cleat behind the brackets"});
             }},
            {{checks::on_lining},
             [](const Curer& self, Check& check) {
                 self.slide_given_holes(check);
                 self.other_layouts(check);
             }},
            {{checks::in_service_strip, checks::detect_first},
             [](const Curer& self, Check& check) {
                 self.other_layouts(check);
                 self.slide_out_of_strip(check);
             }},
            {{checks::sag_over_limit, checks::spacing_over_limit, checks::bracket_overloaded,
              checks::fixing_overloaded},
             [](const Curer& self, Check& check) {
                 self.more_brackets(check);
                 if (check.code == checks::sag_over_limit)
                     self.thicker_board(check);
                 self.other_layouts(check);
             }},
            {{checks::spacing_over_good}, [](const Curer& self, Check& check) { self.more_brackets(check); }},
            {{checks::board_not_for_damp}, [](const Curer& self, Check& check) { self.other_board(check); }},
            {{checks::arm_too_long, checks::arm_too_short, checks::no_bracket_fits, checks::no_fixing,
              checks::bracket_turns},
             [](const Curer& self, Check& check) {
                 if (!check.cures.empty())
                     return; // of a hanger: no bracket helps it
                 if (check.code == checks::no_fixing && !way_of(self.shelf_).chooses_bracket()) {
                     say(check, {"Choose another fixing for it, or put it where something sound lies behind"});
                     return;
                 }
                 self.other_bracket(check);
                 if (check.cures.empty())
                     say(check, {"Add a bracket with an arm from {0} to {1}",
                                 {quantity(self.plan_.arm_least), quantity(self.plan_.arm_most)}});
             }},
            {{checks::leg_fouls_service, checks::over_service, checks::over_thing, checks::over_obstacle},
             [](const Curer& self, Check& check) {
                 self.slide_upright(check);
                 self.slide_sideways(check);
             }},
            {{checks::meets_neighbour},
             [](const Curer& self, Check& check) {
                 self.end_at_neighbour(check);
                 self.slide_upright(check);
             }},
            {{checks::over_ceiling},
             [](const Curer& self, Check& check) {
                 if (check.amount)
                     self.raise(check, -Length::nearest_to_metres(check.amount->si));
             }},
            {{checks::over_opening},
             [](const Curer& self, Check& check) {
                 self.trim_at_openings(check);
                 self.slide_sideways(check);
             }},
            {{checks::leaves_wall}, [](const Curer& self, Check& check) { self.bring_onto_wall(check); }},
            {{checks::overhang_unequal}, [](const Curer& self, Check& check) { self.centre_on_brackets(check); }},
            {{checks::board_too_long, checks::joint_unsupported},
             [](const Curer& self, Check& check) { self.join_over_stud(check); }},
            {{checks::board_overloaded},
             [](const Curer& self, Check& check) {
                 self.more_brackets(check);
                 self.thicker_board(check);
             }},
            {{checks::tiers_too_close},
             [](const Curer& self, Check& check) {
                 if (check.amount)
                     self.spread_tiers(check, self.shelf_.rise + Length::nearest_to_metres(check.amount->si));
             }},
            {{checks::hole_must_hold, checks::plate_few_holes},
             [](const Curer& self, Check& check) {
                 self.slide_given_holes(check);
                 self.plate_to_studs(check);
                 say(check, {"A nogging, a board across two studs, or anchors its maker allows in this lining"});
             }},
            {{checks::goods_off_shelf},
             [](const Curer& self, Check& check) {
                 self.change(check, {"Put it at the shelf's end"}, [](Shelf& shelf) {
                     for (Goods& goods : shelf.goods) {
                         goods.to = std::min(goods.to, shelf.length);
                         goods.from = std::min(goods.from, shelf.length);
                     }
                 });
             }},
            {{checks::hanger_misses_joist},
             [](const Curer& self, Check& check) {
                 self.hangers_to_joists(check);
                 say(check, {"Find the joists over it and enter them with the ceiling"});
             }},
            {{checks::pin_off_board, checks::pins_too_close},
             [](const Curer& self, Check& check) { self.let_go_of_pin(check); }},
            {{checks::desk_height},
             [](const Curer& self, Check& check) { self.raise(check, 730_mm - self.shelf_.height); }},
            {{checks::bracket_unrated, checks::pulls_up},
             [](const Curer& self, Check& check) {
                 if (check.severity == Severity::error) {
                     self.other_layouts(check);
                     say(check, {"Bolts through the arm with washers on top, or less beyond the end brackets"});
                 }
             }},
        };
        return all;
    }

    void other_layouts(Check& check) const {
        static constexpr std::array names{std::string_view{"Studs first"}, std::string_view{"Even spacing"},
                                          std::string_view{"Mirrored"}};
        for (const School school : {School::studs_first, School::mirrored, School::even})
            if (school != shelf_.school &&
                offer(check, {names[static_cast<std::size_t>(school)]}, ChooseLayout{shelf_.id, school, 0}))
                return;
    }

    /// One joint, over the found stud nearest the middle that leaves both boards short enough.
    void join_over_stud(Check& check) const {
        std::vector<Length> places;
        if (site_.masonry() || site_.open_framing())
            places.push_back(shelf_.length / 2);
        for (const Stud& stud : site_.survey.studs)
            if (stud.state != StudState::assumed && stud.centre > shelf_.left && stud.centre < shelf_.right())
                places.push_back(stud.centre - shelf_.left);
        std::ranges::sort(places, {}, [&](Length place) { return absolute(place - shelf_.length / 2); });
        places.resize(std::min(places.size(), most_slides));
        for (const Length place : places)
            if (change(check, {"Join two boards over a bracket at {0}", {site_.along(shelf_.left + place)}},
                       [&](Shelf& shelf) { shelf.joints = {place}; }))
                return;
        if (!shelf_.joints.empty())
            change(check, {"One board without a joint"}, [](Shelf& shelf) { shelf.joints.clear(); });
    }

    void let_go_of_pin(Check& check) const {
        change(check, {"Let go of what is pinned there"},
               [&](Shelf& shelf) { std::erase(shelf.pins, *check.x - shelf.left); });
    }

    void spread_tiers(Check& check, Length rise) const {
        change(check, {"Set the shelves {0} apart", {quantity(rise)}}, [&](Shelf& shelf) { shelf.rise = rise; });
    }

    void hangers_to_joists(Check& check) const {
        change(check, {"Move the hangers to the joists"}, [&](Shelf& shelf) {
            for (Length& hanger : shelf.hangers) {
                const Length x = shelf.left + hanger;
                const auto nearest =
                    std::ranges::min_element(site_.wall.joists, {}, [&](Length joist) { return absolute(joist - x); });
                if (nearest != site_.wall.joists.end() && *nearest > shelf.left && *nearest < shelf.right())
                    hanger = *nearest - shelf.left;
            }
        });
    }

    /// Slides the whole thing, whose holes or pins set its places, so that most of these meet wood: offered where that
    /// puts it right, said where it only helps.
    void slide_given_holes(Check& check) const {
        std::vector<Length> holes;
        if (plate_of(shelf_).plate)
            for (const PlannedHole& hole : plan_.holes)
                holes.push_back(hole.x);
        else
            for (const Length pin : shelf_.pins)
                holes.push_back(shelf_.left + pin);
        if (holes.empty() || !site_.timber() || site_.open_framing())
            return;
        // Studs come again every spacing: farther there is nothing new.
        const Length reach = std::max(site_.timber()->spacing, slide_reach);
        const WholeSlide slide =
            slide_whole(holes, wood_found(site_), std::max(-reach, std::min(Length{}, -shelf_.left)),
                        std::min(reach, std::max(Length{}, site_.wall.length - shelf_.right())));
        if (slide.meet <= slide.meet_now)
            return;
        const Sentence words{slide.by < Length{}
                                 ? std::string_view{"Move it {0} left: {1} of its {2} places are in studs then"}
                                 : "Move it {0} right: {1} of its {2} places are in studs then",
                             {stock(absolute(slide.by)), count(slide.meet), count(holes.size())}};
        if (!offer(check, words, MoveShelf{shelf_.id, shelf_.left + slide.by, shelf_.height}))
            say(check, words);
    }

    /// Slides a plate so that one of its holes comes onto a found stud, the smallest slide first; in open framing also
    /// off a stud's edge.
    void plate_to_studs(Check& check) const {
        std::vector<Length> moves;
        if (site_.open_framing())
            for (const Length by : nudges)
                moves.insert(moves.end(), {by, -by});
        for (const PlannedHole& hole : plan_.holes)
            for (const Stud& stud : site_.survey.studs)
                if (stud.state != StudState::assumed)
                    moves.push_back(stud.centre - hole.x);
        std::ranges::sort(moves, {}, [](Length by) { return absolute(by); });
        moves.erase(std::ranges::unique(moves).begin(), moves.end());
        moves.resize(std::min(moves.size(), most_plate_slides));
        for (const Length by : moves)
            if (offer(check,
                      {by < Length{} ? std::string_view{"Move {0} left"} : "Move {0} right", {stock(absolute(by))}},
                      MoveShelf{shelf_.id, shelf_.left + by, shelf_.height}))
                return;
    }

    void slide_sideways(Check& check) const {
        for (const Length nudge : nudges) {
            if (offer(check, {"Move {0} left", {quantity(nudge)}},
                      MoveShelf{shelf_.id, shelf_.left - nudge, shelf_.height}))
                return;
            if (offer(check, {"Move {0} right", {quantity(nudge)}},
                      MoveShelf{shelf_.id, shelf_.left + nudge, shelf_.height}))
                return;
        }
    }

    /// Centres the shelf on two studs that have been found, the nearest such places first.
    void slide_to_studs(Check& check) const {
        std::vector<Length> places;
        const auto& studs = site_.survey.studs;
        for (const Stud& a : studs)
            for (const Stud& b : studs)
                if (a.state != StudState::assumed && b.state != StudState::assumed && a.centre < b.centre &&
                    b.centre - a.centre < shelf_.length)
                    places.push_back((a.centre + b.centre) / 2 - shelf_.length / 2);
        std::ranges::sort(places, {}, [&](Length left) { return absolute(left - shelf_.left); });
        places.erase(std::ranges::unique(places).begin(), places.end());
        places.resize(std::min(places.size(), most_slides));
        for (const Length left : places) {
            const Length by = left - shelf_.left;
            if (offer(check,
                      {by < Length{} ? std::string_view{"Move {0} left"} : "Move {0} right", {quantity(absolute(by))}},
                      MoveShelf{shelf_.id, left, shelf_.height}))
                return;
        }
    }

    /// Past a strip that runs along the shelf, all holes over it or all under it; sideways from one that crosses it.
    void slide_out_of_strip(Check& check) const {
        Length lowest = plan_.holes.front().z;
        Length highest = lowest;
        for (const PlannedHole& hole : plan_.holes) {
            lowest = std::min(lowest, hole.z);
            highest = std::max(highest, hole.z);
        }
        for (const Strip& strip : site_.survey.strips) {
            if (*check.z < strip.bottom || *check.z > strip.top || strip.left > shelf_.left ||
                strip.right < shelf_.right())
                continue;
            const Length up = strip.top - lowest + strip_room;
            const Length down = highest - strip.bottom + strip_room;
            if (!offer(check, {"Raise the shelf {0}", {quantity(up)}},
                       MoveShelf{shelf_.id, shelf_.left, shelf_.height + up}))
                offer(check, {"Lower the shelf {0}", {quantity(down)}},
                      MoveShelf{shelf_.id, shelf_.left, shelf_.height - down});
            return;
        }
        slide_sideways(check);
    }

    /// Before or after what stands in the corner.
    void end_at_neighbour(Check& check) const {
        for (const CornerThing& thing : site_.survey.corner_things) {
            const Outline box = box_of(thing, site_.wall);
            if (!board_box(shelf_).overlaps(box) || thing.off >= shelf_.depth)
                continue;
            if (thing.at_right_end)
                offer(check, {"End the shelf at {0}", {site_.along(box.left)}},
                      ResizeShelf{shelf_.id, shelf_.left, box.left - shelf_.left});
            else
                offer(check, {"Begin the shelf at {0}", {site_.along(box.right)}},
                      ResizeShelf{shelf_.id, box.right, shelf_.right() - box.right});
        }
    }

    void trim_at_openings(Check& check) const {
        for (const Opening& opening : site_.wall.openings) {
            const Outline box = box_of(opening);
            if (!board_box(shelf_).overlaps(box))
                continue;
            if (box.left > shelf_.left)
                offer(check, {"End the shelf at {0}", {site_.along(box.left)}},
                      ResizeShelf{shelf_.id, shelf_.left, box.left - shelf_.left});
            if (box.right < shelf_.right())
                offer(check, {"Begin the shelf at {0}", {site_.along(box.right)}},
                      ResizeShelf{shelf_.id, box.right, shelf_.right() - box.right});
        }
    }

    void bring_onto_wall(Check& check) const {
        const Wall& wall = site_.wall;
        const Length leg = plan_.bracket ? plan_.bracket->leg : Length{};
        const Length left = std::max(Length{}, std::min(shelf_.left, wall.length - shelf_.length));
        const Length height = std::max(shelf_.thickness + leg, std::min(shelf_.height, wall.height));
        if (offer(check, {"Move the shelf onto the wall"}, MoveShelf{shelf_.id, left, height}))
            return;
        const Length from = std::max(Length{}, shelf_.left);
        const Length to = std::min(shelf_.right(), wall.length);
        if (to > from)
            offer(check, {"Cut the shelf to {0}", {quantity(to - from)}}, ResizeShelf{shelf_.id, from, to - from});
    }

    void centre_on_brackets(Check& check) const {
        const Length by = (plan_.left_overhang - plan_.right_overhang) / 2;
        offer(check,
              {by > Length{} ? std::string_view{"Move {0} right: {1} at both ends"}
                             : std::string_view{"Move {0} left: {1} at both ends"},
               {quantity(absolute(by)), quantity((plan_.left_overhang + plan_.right_overhang) / 2)}},
              MoveShelf{shelf_.id, shelf_.left + by, shelf_.height});
    }
};

} // namespace

void add_cures(const Shelf& shelf, const WallSite& site, LayoutScales& scales, ShelfPlan& plan) {
    if (plan.checks.empty())
        return;
    const Curer curer{shelf, site, scales, plan};
    for (Check& check : plan.checks)
        curer.cure(check);
}

} // namespace yes_square
