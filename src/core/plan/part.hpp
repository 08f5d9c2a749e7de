#pragma once

#include "core/job/materials.hpp"
#include "core/job/stock.hpp"
#include "core/plan/check.hpp"

#include <optional>
#include <string>
#include <vector>

namespace yes_square {

/// What parts are cut from: those of one stuff share its lengths or sheets.
struct Stuff {
    StuffKind kind = StuffKind::board;
    std::string words; ///< "MDF", "strip"
    std::optional<BoardMaterial> material = {};
    Length thickness;
    Length breadth; ///< of a length's section; 0 for sheets, whose parts have each their own
    bool operator==(const Stuff&) const = default;
};

/// How a part is worked after it is cut to size.
enum class Machining { housing, rebate, groove, mitre, notch, screw_hole, bore, slot };

/// A cut that a router, a saw or a drill makes in a part. Of holes and slots `from` and `in` are of the middle, of all
/// else of the nearer side.
struct PartCut {
    Machining kind = Machining::housing;
    Length from;   ///< along the part, from the end that its work is measured from
    Length in;     ///< across it, from the edge
    Length along;  ///< how long the cut is along the part
    Length across; ///< and across it
    Length depth;
    std::size_t passes = 1;
    Sentence mind = {};
    bool operator==(const PartCut&) const = default;
};

/// All that is worked on one face of a part. Everything is measured from one end and one edge, so that errors do not
/// add up and two sides come out alike.
struct PartWork {
    std::string_view face = {}; ///< "inner face"
    std::string_view end = {};  ///< that `from` is measured from: "top end"
    std::string_view edge = {}; ///< that `in` is measured from: "back edge"
    Length length;              ///< of that face
    Length breadth;
    std::vector<PartCut> cuts = {};
    bool operator==(const PartWork&) const = default;
};

/// A part to be cut for a thing.
struct CutPart {
    std::string item; ///< id of what it is for: the thing, or one of its units
    Sentence name;    ///< "shelf of Linen bay"
    Stuff stuff;
    Length length; ///< to be cut, allowances in it; along the grain
    Length breadth;
    bool may_turn = false;               ///< no grain
    Sentence mind = {};                  ///< how it is let in, what is left on it; empty: nothing to mind
    std::optional<Working> working = {}; ///< of a length that is more than what was asked for
    std::string label = {};     ///< "P1": written on it, where its thing numbers its parts; empty: the job does
    std::string_view what = {}; ///< "side panel"
    Sentence where = {};        ///< "bay 2"; empty: of the whole thing
    PartWork work = {};         ///< on the bench, before anything is put together
    Length thickness() const { return stuff.thickness; }
};

/// From a sheet or from a plank, as the material is made.
CutPart board_part(std::string item, Sentence name, BoardMaterial material, Length length, Length breadth,
                   Length thickness);
/// From a length of some section.
CutPart strip_part(std::string item, Sentence name, Length length, Length breadth, Length thickness,
                   StuffKind kind = StuffKind::cleat, std::string_view what = "strip");
/// Leaves `on` on a part's length that is cut to what the wall says.
void leave_long(CutPart& part, Length on);

/// And on its breadth, where its edge is scribed.
void leave_broad(CutPart& part, Length on);

/// How many passes of a router so deep a cut takes.
std::size_t passes_for(Length depth, Length at_a_time);

/// "board", "sheet".
std::string_view words(StuffKind kind);
/// "housing", "rebate".
std::string_view words(Machining kind);

} // namespace yes_square
