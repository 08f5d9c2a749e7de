#pragma once

#include "core/job/edits.hpp"
#include "core/measure/provenance.hpp"
#include "core/plan/sentence.hpp"
#include "core/shelves/bracket_search.hpp"
#include "core/statics/beam.hpp"
#include "core/survey/strips.hpp"

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
    std::optional<std::size_t> stud; ///< index in the wall's studs
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
    Length z;
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

struct WallPlan {
    std::string wall_id;
    std::vector<Strip> strips;
    std::vector<ShelfPlan> shelves; ///< as in the wall
};

struct Plan {
    std::vector<std::shared_ptr<const WallPlan>> walls; ///< as in the job; shared while a wall does not change
};

/// How many checks of a severity a plan holds.
std::size_t count_checks(const Plan& plan, Severity severity);

} // namespace yes_square
