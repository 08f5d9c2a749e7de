#include "core/reckon/reckon_survey.hpp"

#include "core/job/field_visits.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/packing.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

using sources::derived;
using sources::measured;
constexpr Source tape_limit{Provenance::from_memory, "OIML R 35-1; a laser's from its sheet"};
constexpr Source evidence{Provenance::derived,
                          "Bayes' rule over spacing, phase and set-out, house rules for each trace"};

class SurveyReckoner : CheckWriter {
public:
    SurveyReckoner(const Wall& wall, const WallSurroundings& around, const HouseRules& rules, WallSurvey& found)
        : CheckWriter{found.checks}
        , wall_{wall}
        , around_{around}
        , rules_{rules}
        , found_{found} {}

    void reckon() {
        if (!wall_.open_floor()) // nothing runs in a wall that is not there
            found_.strips = service_strips(wall_, rules_);
        found_.left = around_.left;
        found_.right = around_.right;
        found_.corner_things = around_.corner_things;
        found_.behind = around_.behind;
        found_.set_out_from = around_.set_out_from;
        set_out_island();
        off_wall();
        studs();
        build_up();
        floor();
        face();
        widths();
        corner();
    }

private:
    void set_out_island() {
        if (wall_.open_floor() && !around_.set_out_from)
            advise(add(checks::island_unplaced,
                       {"Nobody has said which wall of the room {0} is set out from: it is in no view from above, and "
                        "what stands opposite it is not known",
                        {wall_.name}}),
                   {"In Survey, choose the wall it is set out from, and how far out of it"});
    }

    void off_wall() {
        std::size_t number = 0;
        const auto count_off = [&](const auto& readings, auto&& off) {
            number += static_cast<std::size_t>(std::ranges::count_if(readings, off));
        };
        const auto beyond = [&](const auto& reading) { return reading.x > wall_.length; };
        const auto off_face = [&](const auto& reading) { return reading.x > wall_.length || reading.z > wall_.height; };
        count_off(wall_.observations,
                  [&](const Observation& seen) { return beyond(seen) || (seen.z && *seen.z > wall_.height); });
        count_off(wall_.floor, beyond);
        count_off(wall_.ceiling, beyond);
        count_off(wall_.face, off_face);
        count_off(wall_.trial_holes, off_face);
        count_off(wall_.joists, [&](Length x) { return x > wall_.length; });
        if (number == 0)
            return;
        Check& off = add(checks::reading_off_wall,
                         {number == 1 ? std::string_view{"{0} reading lies beyond this wall, {1} long and {2} high: "
                                                         "it is kept and not used"}
                                      : "{0} readings lie beyond this wall, {1} long and {2} high: they are kept and "
                                        "not used",
                          {count(number), quantity(wall_.length), quantity(wall_.height)}},
                         count(number));
        off.cures.push_back({{"Take them out"}, DropReadingsOffWall{wall_.id}});
        advise(off, {"If the wall is longer or higher than its figures say, put those right"});
    }

    void studs() {
        found_.studs = wall_.studs;
        const auto* framing = std::get_if<Framing>(&wall_.structure);
        if (!framing || framing->material == StudMaterial::steel) {
            if (framing)
                add(checks::no_wood_behind,
                    {"Steel studs: wood screws do not hold in them, so brackets count as held by the lining. Toggles "
                     "by "
                     "their maker's figures, or wood behind; nothing tall is anchored to bare steel studs"});
            else if (std::holds_alternative<LiningOnly>(wall_.structure))
                add(checks::no_wood_behind,
                    {"Nothing behind this lining can be reached: everything hangs on the lining alone"});
            if (!framing)
                found_.studs.clear();
            return;
        }
        if (wall_.observations.empty())
            return;
        found_.findings = find_studs(wall_, *framing, rules_.studs);
        found_.studs.clear();
        for (std::size_t i = 0; i < found_.findings->studs.size(); ++i) {
            const FoundStud& stud = found_.findings->studs[i];
            found_.studs.push_back(stud.stud);
            stud_working(i, stud);
        }
        for (const Doubt& doubt : found_.findings->doubts)
            if (doubt.on_wall) {
                Check& doubtful = add(checks::evidence_doubtful, doubt.words, std::nullopt, doubt.x);
                advise(doubtful, {"Read it once more, a little above or below"});
            }
    }

    void stud_working(std::size_t index, const FoundStud& stud) {
        Working working{
            "stud/" + std::to_string(index + 1),
            {"Stud {0}, {1}: its middle from the reference end", {count(index + 1), enum_name(stud.stud.state)}},
            {},
            {},
            along(wall_, stud.stud.centre),
            stud.proof ? measured : evidence};
        if (stud.proof) {
            working.sum = "({0} + {1}) / 2";
            working.terms = {{"left edge, between its miss and its hit", along(wall_, stud.proof->left), measured},
                             {"right edge", along(wall_, stud.proof->right), measured}};
        } else {
            set_out(working, stud.stud.centre);
        }
        working.facts = stud.working;
        working.terms.push_back({"known to", fine(stud.stud.uncertainty.in_metres()), derived});
        if (!stud.proof)
            working.terms.push_back({"chance that it is there", {Kind::share, stud.probability}, evidence});
        found_.workings.push_back(std::move(working));
    }

    /// A middle that nobody probed: so many bays from the nearest proved stud, or from the reference end, and what the
    /// traces on the wall move it by.
    void set_out(Working& working, Length centre) const {
        Length from;
        for (const FoundStud& other : found_.findings->studs)
            if (other.proof && (from == Length{} || absolute(other.stud.centre - centre) < absolute(from - centre)))
                from = other.stud.centre;
        const Length spacing = found_.findings->posterior.spacings().front().spacing;
        // As the tape runs.
        const Length apart = wall_.tape().reads(centre) - wall_.tape().reads(from);
        const std::int64_t bays = spacing > Length{} ? apart.in_steps_of(spacing) : 0;
        const Length moved = apart - spacing * bays;
        working.sum = bays < 0 ? "{0} - {1} x {2} + {3}" : "{0} + {1} x {2} + {3}";
        if (moved < Length{})
            working.sum = bays < 0 ? "{0} - {1} x {2} - {3}" : "{0} + {1} x {2} - {3}";
        const bool from_end = from == Length{};
        working.terms = {{from_end ? by_tape(wall_, "reference end", "the wall's left end") : "nearest proved stud",
                          along(wall_, from), from_end ? measured : derived},
                         {"bays", count(static_cast<std::size_t>(std::abs(bays))), evidence},
                         {"likeliest spacing", quantity(spacing), evidence},
                         {"the traces on the wall move it by", quantity(absolute(moved)), evidence}};
    }

    void build_up() {
        for (const TrialHole& hole : wall_.trial_holes) {
            const WallBuildUp& met = found_.build_ups.emplace_back(build_up_of(hole, wall_.structure));
            const bool same_structure =
                !met.structure || (met.structure->index() == wall_.structure.index() && same_kind(*met.structure));
            if (hole.x > wall_.length ||
                (same_structure && met.behind_lining + lining_hollow(met) == wall_.lining_thickness()))
                continue;
            Check& differs =
                add(checks::build_up_differs,
                    {"The trial hole at {0} says otherwise than this wall's figures", {along(wall_, hole.x)}},
                    std::nullopt, hole.x, hole.z);
            differs.cures.push_back({met.words, std::nullopt});
            differs.cures.push_back({{"Take what the hole met"},
                                     TakeBuildUp{wall_.id, met.structure.value_or(wall_.structure), met.lining}});
        }
    }
    static Length lining_hollow(const WallBuildUp& met) {
        return !met.lining.empty() && met.lining.back().material == LiningMaterial::hollow ? met.lining.back().thickness
                                                                                           : Length{};
    }
    bool same_kind(const Structure& met) const {
        if (const auto* masonry = std::get_if<Masonry>(&met))
            return *masonry == std::get<Masonry>(wall_.structure);
        if (const auto* framing = std::get_if<Framing>(&met))
            return framing->material == std::get<Framing>(wall_.structure).material;
        return true;
    }

    void floor() {
        found_.floor = floor_profile(wall_, around_.floor, around_.reader);
        const FloorProfile& floor = found_.floor;
        if (!wall_.ceiling.empty() && !floor.level_line) {
            Check& bare = add(checks::ceiling_without_floor,
                              {"The ceiling was read up from a level line, and nothing was read down to the floor: its "
                               "height is not known"});
            advise(bare, {"Read down to the floor from the same line, at one place at least"});
        }
        if (floor.level_line)
            found_.workings.push_back(
                {"datum",
                 {"Level line above the datum, the finished floor at its highest"},
                 "{0} - {1}",
                 {{"least reading down, in this room", quantity(*around_.floor.least_down), measured},
                  {"floor still to be laid", quantity(floor.build_up), measured}},
                 quantity(*floor.level_line),
                 derived});
        if (floor.measured()) {
            found_.workings.push_back(
                {"floor",
                 {"Fall of the floor along this wall, from {0} to {1}",
                  {along(wall_, floor.high.x), along(wall_, floor.low.x)}},
                 "{0} - {1}",
                 {{"down to the floor at its lowest", quantity(*floor.level_line - floor.low.z), measured},
                  {"down to it at its highest", quantity(*floor.level_line - floor.high.z), measured},
                  {"limit of error of the difference", fine(floor.limit.in_metres()), tape_limit}},
                 quantity(floor.fall()),
                 derived});
            if (floor.uneven)
                add(checks::floor_falls,
                    {"The floor falls {0} from {1} to {2}: heights are taken from its high point, not from the floor "
                     "under them",
                     {quantity(floor.fall()), along(wall_, floor.high.x), along(wall_, floor.low.x)}},
                    quantity(floor.fall()), floor.low.x, Length{});
        }
        ceiling();
    }

    void ceiling() {
        const auto& points = found_.floor.ceiling;
        if (points.empty())
            return;
        const ProfilePoint lowest = *std::ranges::min_element(points, {}, &ProfilePoint::z);
        found_.workings.push_back({"ceiling",
                                   {"Ceiling at its lowest along this wall, at {0}", {along(wall_, lowest.x)}},
                                   "{0} + {1}",
                                   {{"level line", quantity(*found_.floor.level_line), derived},
                                    {"up to the ceiling", quantity(lowest.z - *found_.floor.level_line), measured}},
                                   quantity(lowest.z),
                                   derived});
        if (!differ(lowest.z, wall_.height, around_.reader))
            return;
        Check& differs = add(checks::ceiling_differs,
                             {"The ceiling was read at {0} above the datum at its lowest, at {1}; this wall is entered "
                              "as {2} high",
                              {quantity(lowest.z), along(wall_, lowest.x), quantity(wall_.height)}},
                             quantity(absolute(wall_.height - lowest.z)), lowest.x, lowest.z);
        if (lowest.z > Length{})
            differs.cures.push_back(
                {{"Take {0} as its height", {quantity(lowest.z)}}, SetWallHeight{wall_.id, lowest.z}});
    }

    void face() {
        found_.face = face_profile(wall_, around_.reader);
        const FaceProfile& face = found_.face;
        if (!face.measured())
            return;
        FaceProfile::Deepest deepest{face.proud_x, face.proud_z, {}};
        for (const FaceRow& row : face.rows)
            if (const auto here = *face.deepest_between(row.places.front().x, row.places.back().x, row.z);
                here.packing > deepest.packing)
                deepest = here;
        Working working = packing_working(
            "face",
            {"Most packing behind a straight, plumb front, at {0}, {1} up; the proudest place is at "
             "{2}, {3} up",
             {along(wall_, deepest.x), quantity(deepest.z), along(wall_, face.proud_x), quantity(face.proud_z)}},
            face, deepest, wall_.tape());
        working.terms.push_back({"lean back per metre of height", fine(face.lean), derived});
        working.terms.push_back({"limit of error of a difference", fine(face.limit.in_metres()), tape_limit});
        found_.workings.push_back(std::move(working));
        for (const FaceRow& row : face.rows) {
            if (row.straight)
                continue;
            const bool bow = row.bow > row.hollow;
            add(checks::face_not_straight,
                {bow ? std::string_view{"At {0} up the wall bows out {1} at {2}: everything beside it is packed out"}
                     : "At {0} up the wall is hollow by {1} at {2}: pack there",
                 {quantity(row.z), fine(std::max(row.bow, row.hollow).in_metres()),
                  along(wall_, bow ? row.bow_x : row.hollow_x)}},
                fine(std::max(row.bow, row.hollow).in_metres()), bow ? row.bow_x : row.hollow_x, row.z);
        }
        if (!face.plumb)
            add(checks::face_not_straight,
                {face.lean > 0 ? std::string_view{"The wall leans back {0} over {1} of height"}
                               : "The wall leans into the room {0} over {1} of height",
                 {fine(std::abs(face.lean) * face.lean_over.in_metres()), quantity(face.lean_over)}},
                fine(std::abs(face.lean) * face.lean_over.in_metres()));
    }

    void widths() {
        found_.widths = width_profile(wall_, around_.reader);
        if (!found_.widths)
            return;
        const WidthProfile& widths = *found_.widths;
        found_.workings.push_back(
            {"width",
             {"Width between the ends that a run may take, read at {0} up", {quantity(widths.least_z)}},
             "min({0}, {1})",
             {{"least reading", quantity(widths.least), measured},
              {"greatest reading", quantity(widths.most), measured},
              {"limit of error of the difference", fine(widths.limit.in_metres()), tape_limit}},
             quantity(widths.least),
             derived});
        if (!widths.parallel)
            add(checks::ends_not_parallel,
                {"Between the ends it is {0} at {1} up and up to {2} elsewhere: what goes between takes the least, and "
                 "a filler or scribe takes {3}",
                 {quantity(widths.least), quantity(widths.least_z), quantity(widths.most),
                  quantity(widths.most - widths.least)}},
                quantity(widths.most - widths.least), Length{}, widths.least_z);
    }

    void corner() {
        if (!wall_.corner)
            return;
        const auto found = corner_angle(*wall_.corner, wall_.right_end, around_.reader);
        if (const auto* problem = std::get_if<CornerProblem>(&found)) {
            add(checks::corner_impossible,
                {"No triangle has the sides read in the right-hand corner: across must be more than {0} and less than "
                 "{1}. It is taken as square",
                 {quantity(problem->least), quantity(problem->most)}},
                std::nullopt, wall_.length, Length{});
            return;
        }
        const CornerAngle& angle = *(found_.corner = std::get<CornerAngle>(found));
        const bool diagonals = wall_.corner->other_across.has_value();
        Working working{"corner",
                        {"Angle of the room in the right-hand corner"},
                        diagonals ? "arccos(({3} x {3} - {2} x {2}) / (4 x {0} x {1}))"
                                  : "arccos(({0} x {0} + {1} x {1} - {2} x {2}) / (2 x {0} x {1}))",
                        {{"along this wall", quantity(wall_.corner->along), measured},
                         {"along the next", quantity(wall_.corner->along_next), measured},
                         {"across", quantity(wall_.corner->across), measured}},
                        {Kind::angle, angle.room_side},
                        derived};
        if (diagonals)
            working.terms.push_back({"other diagonal", quantity(*wall_.corner->other_across), measured});
        working.terms.push_back({"limit of error", {Kind::angle, angle.limit}, tape_limit});
        if (wall_.right_end == WallEnd::outside_corner) {
            working.sum = diagonals ? "{5} - arccos(({3} x {3} - {2} x {2}) / (4 x {0} x {1}))"
                                    : "{4} - arccos(({0} x {0} + {1} x {1} - {2} x {2}) / (2 x {0} x {1}))";
            working.terms.push_back({"all the way round", {Kind::angle, 2 * std::numbers::pi}, derived});
        }
        found_.workings.push_back(std::move(working));
        if (!angle.square)
            add(checks::corner_not_square,
                {angle.off > 0
                     ? std::string_view{"The right-hand corner is {0}, not square: the next wall opens by {1} "
                                        "over {2}"}
                     : "The right-hand corner is {0}, not square: the next wall closes in by {1} over {2}",
                 {Quantity{Kind::angle, angle.room_side}, fine(std::abs(angle.out_of_square.in_metres())),
                  quantity(wall_.corner->along_next)}},
                fine(std::abs(angle.out_of_square.in_metres())), wall_.length, Length{});
    }

    const Wall& wall_;
    const WallSurroundings& around_;
    const HouseRules& rules_;
    WallSurvey& found_;
};

} // namespace

WallSurvey reckon_survey(const Wall& wall, const WallSurroundings& around, const HouseRules& rules) {
    WallSurvey found;
    SurveyReckoner{wall, around, rules, found}.reckon();
    return found;
}

bool same_survey(const Wall& a, const Wall& b) {
    const auto bare = [](Wall wall) {
        for_each_list(wall, [](auto& parts) { parts.clear(); });
        wall.made.clear();
        wall.work_readings.clear();
        return wall;
    };
    return bare(a) == bare(b);
}

RoomSurvey reckon_room(const Job& job, const Room& room) {
    RoomSurvey survey{room_plan(job, room.id, Reader::of(job)), {}, {}};
    const RoomPlan& plan = survey.plan;
    if (plan.closes)
        return survey;
    Check check{
        checks::room_does_not_close,
        plan.every_turn_measured ? Severity::warning : Severity::note,
        plan.every_turn_measured
            ? Sentence{"Drawn from its readings, {0} comes round {1} off where it began; the limits of error allow "
                       "{2}",
                       {room.name, quantity(plan.closing_error), quantity(plan.closing_limit)}}
            : Sentence{"Drawn with square corners where none was measured, {0} comes round {1} off where it began",
                       {room.name, quantity(plan.closing_error)}},
        quantity(plan.closing_error),
        {},
        {},
        {}};
    check.cures.push_back({plan.every_turn_measured ? Sentence{"Measure the walls and corners again, longest first"}
                                                    : Sentence{"Measure the corners"},
                           std::nullopt});
    survey.checks.push_back(std::move(check));
    return survey;
}

} // namespace yes_square
