#pragma once

#include "core/job/edits.hpp"
#include "core/measure/provenance.hpp"
#include "core/measure/sentence.hpp"
#include "core/shelves/bracket_search.hpp"
#include "core/statics/beam.hpp"
#include "core/survey/face.hpp"
#include "core/survey/find_studs.hpp"
#include "core/survey/floor.hpp"
#include "core/survey/room_plan.hpp"
#include "core/survey/strips.hpp"
#include "core/survey/trial_hole.hpp"

#include <memory>
#include <optional>

/// Everything that follows from a job. A plan is never saved or edited: it is reckoned again.
namespace yes_square {

/// The arithmetic behind a figure, as a person would do it on a scrap of board.
struct Term {
    std::string_view name;
    Quantity value;
    Source source;
};

struct Working {
    /// What it explains, by a stable name: "bracket/2", "sag", "screw". A tick or a figure on screen leads here.
    std::string subject;
    Sentence title;
    std::string_view sum; ///< "({0} - 2 x {1}) / {2}" over the terms; empty: a list of facts
    std::vector<Term> terms;
    Quantity result;
    Source source;
    std::vector<Sentence> facts = {}; ///< what speaks for it, where that is no figure
};

enum class Severity { note, warning, error };

/// What a fitter can do about a check; with an edit where the program can do it.
struct Cure {
    Sentence words;
    std::optional<Edit> edit;
};

/// A stable name for each thing that may be wrong.
enum class CheckCode {
    stud_assumed,
    stud_indicated,
    no_stud,
    one_stud,
    on_lining,
    in_service_strip,
    spacing_over_limit,
    spacing_over_good,
    sag_over_limit,
    board_not_for_damp,
    arm_too_long,
    arm_too_short,
    no_bracket_fits,
    bracket_unrated,
    bracket_overloaded,
    bracket_turns,
    fixing_overloaded,
    no_fixing,
    holes_close,
    leg_fouls_shelf,
    leg_fouls_service,
    shelf_over_opening,
    shelf_over_service,
    shelf_over_shelf,
    leaves_wall,
    pulls_up,
    overhang_unequal,
    too_short,
    shelf_screw_none,
    school_not_kept,
    load_missing,
    shelf_over_obstacle,
    shelf_meets_neighbour,
    shelf_over_ceiling,
    reading_off_wall,
    evidence_doubtful,
    no_wood_behind,
    ceiling_differs,
    floor_falls,
    ceiling_without_floor,
    ends_not_parallel,
    face_not_straight,
    corner_not_square,
    corner_impossible,
    build_up_differs,
    room_does_not_close,
};

std::string_view name(CheckCode code);
std::string_view name(Severity severity);

struct Check {
    CheckCode code = CheckCode::no_stud;
    Severity severity = Severity::note;
    Sentence message; ///< what is wrong, where, by how much
    std::optional<Quantity> amount;
    std::vector<Cure> cures;
    std::optional<Length> x; ///< where on the wall
    std::optional<Length> z;
};

/// How a bracket is held: one kind of screw or plug for all its wall holes.
struct Fixing {
    std::string name;
    Length screw_length;
    Length penetration; ///< in stud or masonry
    Length thread;      ///< thread that grips, of a wood screw
    Length hole_diameter;
    Length drill_depth;   ///< from the face of the wall: where the tape goes on the bit
    double tension_n = 0; ///< capacity per fixing, duration included
    double shear_n = 0;
    Source source;
};

struct BracketPlan {
    Length x; ///< centre, from the reference end
    Hold hold = Hold::lining;
    std::optional<std::size_t> stud; ///< index in WallSurvey::studs
    Reaction reaction;
    double tension_n = 0; ///< on the worst hole, governing case
    double shear_n = 0;   ///< per hole, governing case
    std::optional<Fixing> fixing;
    std::optional<double> fixing_utilisation;  ///< none: nothing to hold it, or nothing known
    std::optional<double> bracket_utilisation; ///< none: the maker's rating is unknown
};

struct Hole {
    std::size_t bracket = 0; ///< index
    std::size_t row = 0;     ///< from the top
    Length x;
    Length z;         ///< above the datum, the finished floor
    Length above_now; ///< above the floor as it is now, at x
};

/// A layout by one school, with what it comes to.
struct Alternative {
    BracketLayout layout;
    int extra_brackets = 0;
    double sag_share = 0;      ///< worst long-term sag divided by its limit
    double utilisation = 0;    ///< worst of fixings and rated brackets; infinite where nothing holds
    bool keeps_limits = false; ///< sag, utilisation and hold
    std::vector<Sentence> gives_up;
};

struct SagVerdict {
    double span = 0;  ///< m, what the limit is taken of: the span, or twice the overhang
    double place = 0; ///< m from the shelf's left end
    double instantaneous = 0;
    double long_term = 0;
    double limit = 0;
    bool overhang = false;
    double share() const { return limit > 0 ? long_term / limit : 0; }
};

struct Step {
    Sentence words;
    bool hold_point = false; ///< do not go on before it is right
};

struct ShelfPlan {
    std::string shelf_id;
    std::string shelf_name;
    Length arm_least;
    Length arm_most;
    std::optional<Bracket> bracket;
    std::vector<Alternative> alternatives; ///< the chosen school's first
    std::size_t chosen = 0;
    std::vector<BracketPlan> brackets;
    std::vector<Hole> holes;
    std::optional<SagVerdict> sag;
    double self_weight_n_per_m = 0;
    double goods_n_per_m = 0;
    double mass_kg = 0;                ///< board alone
    std::optional<Length> shelf_screw; ///< up into the board
    Length left_overhang;
    Length right_overhang;
    std::vector<Step> steps;
    std::vector<Working> workings;
    std::vector<Check> checks;
};

/// Something on the next wall that stands in the corner: at an inside corner depths meet.
struct CornerThing {
    bool at_right_end = false; ///< of this wall
    Length along;              ///< how far it reaches along this wall from the corner
    Length off;                ///< how far out of this wall it begins
    Length bottom;
    Length top;
    std::string name;
    bool operator==(const CornerThing&) const = default;
};

/// What the survey of a wall comes to.
struct WallSurvey {
    std::vector<Stud> studs;              ///< what fixings use: found from evidence, or as told where there is none
    std::optional<StudFindings> findings; ///< timber framing with evidence
    std::vector<Strip> strips;
    FloorProfile floor;
    FaceProfile face;
    std::optional<WidthProfile> widths;
    std::optional<CornerAngle> corner; ///< at the right end, as measured
    std::optional<Neighbour> left;
    std::optional<Neighbour> right;
    std::vector<CornerThing> corner_things;
    std::vector<WallBuildUp> build_ups; ///< as the wall's trial holes
    std::vector<Working> workings;
    std::vector<Check> checks;
};

struct WallPlan {
    std::string wall_id;
    std::string wall_name;
    WallSurvey survey;
    std::vector<ShelfPlan> shelves; ///< as in the wall
};

struct RoomSurvey {
    RoomPlan plan;
    std::vector<Check> checks;
};

struct Plan {
    std::vector<std::shared_ptr<const WallPlan>> walls; ///< as in the job; shared while a wall does not change
    std::vector<RoomSurvey> rooms;                      ///< as in the job
};

/// A check and whose it is.
struct OwnedCheck {
    std::string_view place; ///< name of the wall, or empty for a room's
    std::string_view owner; ///< name of the shelf, the wall or the room
    const Check* check = nullptr;
};

/// Every check of a wall, its own first.
std::vector<OwnedCheck> checks_of(const WallPlan& wall);
/// Every check of a plan: rooms, then walls. Refers to the plan.
std::vector<OwnedCheck> all_checks(const Plan& plan, const Job& job);

/// How many checks of a severity a plan holds.
std::size_t count_checks(const Plan& plan, Severity severity);

} // namespace yes_square
