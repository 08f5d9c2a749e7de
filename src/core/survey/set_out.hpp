#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"

#include <vector>

/// Where the framing of a wall usually begins, before anybody has looked.
namespace yes_square {

/// A first stud's centre by how the corner is built, on the face of the wall from that corner.
struct SetOut {
    Length from_corner;
    std::string_view built; ///< "this wall runs behind the next": how the corner is built then
};

/// Sheet edges fall on stud centres from the outside of the framing on. Where this wall butts its return: spacing -
/// lining (16 - 1/2 in: 15 1/2 in). Where it runs behind: spacing - (return framing + lining), 16 - 4 = 12 in. At a
/// free end or outside corner the lining stands before the framing. Common practice.
std::vector<SetOut> first_studs(Length spacing, Length lining, WallEnd end);

/// Where to look first, from either end: framing may have been set out from the other one.
std::vector<Sentence> where_studs_begin(const Wall& wall);

} // namespace yes_square
