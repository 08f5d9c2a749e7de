#pragma once

#include "core/job/materials.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/physical.hpp"

#include <string>

/// How a board is made up, where it is not of one stuff all through, and what is cut out of it.
namespace yes_square {

/// Two skins of the board's material glued on a frame: light, and nearly as stiff as a solid one.
struct HollowBoard {
    Length skin = 4_mm;                                      ///< each
    BoardMaterial frame = BoardMaterial::eastern_white_pine; ///< of strips and ribs
    Length front = 40_mm;                                    ///< strip along the front, front to back
    Length back = 40_mm;                                     ///< and along the back
    int ribs = 3;                                            ///< from strip to strip, both ends' among them
    Length rib = 40_mm;                                      ///< of each, along the board
    Density core = 0;                                        ///< of what fills the rest: foam, paper; 0: air
    UnknownMembers unknown = {};
    bool operator==(const HollowBoard&) const = default;
};

/// A hole through a board or a worktop, for a cable outlet, a sink, a hob; a notch where it reaches an edge. From
/// above.
struct CutOut {
    std::string name;
    Length across; ///< its left edge from the board's left end
    Length back;   ///< its back edge from the board's back edge
    Length width;  ///< along the board
    Length depth;  ///< front to back
    UnknownMembers unknown = {};
    bool operator==(const CutOut&) const = default;

    Length right() const { return across + width; }
    Length front() const { return back + depth; }
};

} // namespace yes_square
