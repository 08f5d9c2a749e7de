#include "core/survey/look_for.hpp"

namespace yes_square {

Sentence what_to_look_for(EvidenceKind kind) {
    switch (kind) {
    case EvidenceKind::probe_hit:
    case EvidenceKind::probe_miss:
        return {"A thin nail or bit through the lining, square to it: wood stops it and clings, the void lets it fall "
                "through. In steps of half an inch, where the work will cover the holes"};
    case EvidenceKind::left_edge:
    case EvidenceKind::right_edge:
        return {
            "Finer steps from wood to nothing: the edge is between the last hit and the first miss. Both edges give "
            "the middle"};
    case EvidenceKind::detector:
    case EvidenceKind::detector_left_edge:
    case EvidenceKind::detector_right_edge:
        return {"Calibrate it on bare lining, slide it slowly from either side, mark where it speaks both ways. Pipes, "
                "cables and foil speak too"};
    case EvidenceKind::screw_line:
        return {"A magnet moved over the wall clings to the lining's screws: one over another in a plumb line are a "
                "stud; a single one is nothing"};
    case EvidenceKind::nail_pop:
        return {"A lamp held flat to the wall in a dark room: dimples and pops in a plumb line, and the joints of the "
                "sheets, throw shadows"};
    case EvidenceKind::box_stud_left:
    case EvidenceKind::box_stud_right:
        return {"Power off, cover off: the box is mostly nailed to a stud beside it. Feel or probe along its side, on "
                "which the wood is; more often the left"};
    case EvidenceKind::knock_solid:
    case EvidenceKind::knock_hollow:
        return {"Knuckles along a level line: it sounds hollow, then short and high over wood. The weakest sign; it "
                "says where to look"};
    case EvidenceKind::skirting_nails:
        return {"Two nails over one another in the skirting, filled and painted, are driven where a stud is"};
    }
    return {};
}

} // namespace yes_square
