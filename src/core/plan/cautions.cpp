#include "core/plan/cautions.hpp"

namespace yes_square {

Sentence caution_of_services() {
    return {
        "Cables run straight up, down and sideways from sockets and switches, and pipes near taps and radiators: find "
        "them with a detector and switch off before drilling"};
}

std::vector<Sentence> general_cautions() {
    return {
        caution_of_services(),
        {"Old paint and linings may hold lead or asbestos: have them tested before you drill or sand"},
        {"Glasses on; a mask for masonry dust; ear protection with the hammer drill"},
        {"Stand on steps or a platform, not on a chair or a worktop"},
        {"Electrical, gas and structural work belongs to licensed trades; local code has the last word"},
        {"Figures marked from memory are cautious but unchecked: where a maker's packet says less, take the packet's"},
    };
}

} // namespace yes_square
