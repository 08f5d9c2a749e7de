#include "core/site/packing.hpp"

namespace yes_square {

Working packing_working(std::string subject, Sentence title, const FaceProfile& face,
                        const FaceProfile::Deepest& deepest, const Tape& tape) {
    using sources::derived;
    using sources::measured;
    Working working{
        std::move(subject),
        std::move(title),
        // Beyond the readings the straight line may pass in front of the wall: no packing is less than none.
        by_tape(tape, "max({0} - {1} - {2} x ({3} - {4}), 0)", "max({0} - {1} - {2} x ({4} - {3}), 0)"),
        {{"gap there", fine(face.gap_at(deepest.x, deepest.z)), measured},
         {"gap at the proudest place", fine(face.gap_at(face.proud_x, face.proud_z)), measured},
         {"the wall runs away from the string, for each unit of length", ratio(face.slope), derived},
         {"there, from the reference end", along(tape, deepest.x), measured},
         {"the proudest place", along(tape, face.proud_x), measured}},
        fine(deepest.packing.in_metres()),
        derived};
    return working;
}

} // namespace yes_square
