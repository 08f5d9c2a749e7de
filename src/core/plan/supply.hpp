#pragma once

#include "core/measure/sentence.hpp"

#include <string>

namespace yes_square {

enum class KitGroup { fixings, hardware, bits, tools, consumables };

std::string_view words(KitGroup group);

/// What a thing takes besides the fixings of its holes and the parts cut for it.
struct Supply {
    KitGroup group = KitGroup::hardware;
    std::string item; ///< by which its packet and price are told, and alike ones are counted together
    Sentence name;
    std::size_t number = 0; ///< 0: one of it serves the whole job, as a tool does
    std::string of = {};    ///< id of the unit that wants it; empty: the thing itself
};

} // namespace yes_square
