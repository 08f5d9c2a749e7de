#include "core/plan/supply.hpp"

namespace yes_square {

std::string_view words(KitGroup group) {
    switch (group) {
    case KitGroup::fixings:
        return "fixings";
    case KitGroup::hardware:
        return "hardware";
    case KitGroup::bits:
        return "bits";
    case KitGroup::tools:
        return "tools";
    case KitGroup::consumables:
        return "used up";
    }
    return {};
}

} // namespace yes_square
