#pragma once

#include "core/job/job.hpp"
#include "core/plan/bracket_layout.hpp"
#include "core/plan/substrate.hpp"

#include <vector>

/// Where the brackets of a shelf go: exact searches by the three schools. See docs/brackets.md.
///
/// All places are bracket centres, measured from the shelf's left end. An end bracket stands in a stud, at the usual
/// inset, or at the edge of a keep-out; those between stand anywhere. The even school alone also moves its insets,
/// between the least and the usual. Within that the searches are exact.
namespace yes_square {

struct StudUnder {
    Length place;
    Length usable_half_width; ///< how far off its centre a fixing may still go
    Substrate substrate = Substrate::assumed_stud;
    Length blocked_half_width = {}; ///< nearer than this no nogging has room for a fixing beside it
};

struct Interval {
    Length from;
    Length to;
    bool operator==(const Interval&) const = default;
};

/// What a layout has to keep, and what lies behind the shelf.
struct BracketQuestion {
    Length length;
    bool solid_wall = false; ///< masonry: a bracket holds anywhere
    bool noggings = false;   ///< bare framing: one goes wherever a bracket misses the studs
    std::vector<StudUnder> studs;
    std::vector<Interval> keep_outs; ///< no bracket centre strictly inside
    std::vector<Length> musts = {};  ///< a bracket stands right here, under a joint, and further ones on both sides
    std::vector<Length> made = {}; ///< a bracket stands right here, its holes are in the wall or the fitter pinned it:
                                   ///< keep-outs come too late
    bool made_alone = false;       ///< and nowhere else: the board has its holes
    std::vector<StudUnder> hangers = {}; ///< musts that hang from the ceiling: keep-outs do not touch them
    Length spacing_least;
    Length spacing_good; ///< the even school divides by this
    Length spacing_two;  ///< most between two brackets alone
    Length spacing_more; ///< most between brackets where there are three or more
    Length inset_usual;
    Length inset_least;
    Length overhang_most; ///< at least inset_least
};

/// True where `a` is better than `b` in the order of the school:
/// studs first: most in studs, fewest, overhangs near the usual, most even, most mirrored;
/// even: exactly even by construction, so fewest, most in studs, overhangs; mirrored: most in studs, fewest, overhangs,
/// most even.
bool better(const Merits& a, const Merits& b, School school);

/// The best layout of each number of brackets, fewest first, as far as `most_counts` different numbers that can be had.
/// Empty where the limits cannot be kept at all, keep-outs included.
std::vector<BracketLayout> best_layouts(const BracketQuestion& question, School school, int most_counts = 4);

/// The merits of given places under a question, by the same measure that the searches use: a bracket is in a stud when
/// it is within the usable half width of its centre.
Merits merits_of(const BracketQuestion& question, const std::vector<Length>& places);

/// The hold at a place, and which stud (index) if any.
Substrate hold_at(const BracketQuestion& question, Length place);

} // namespace yes_square
