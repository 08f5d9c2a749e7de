#include "core/measure/provenance.hpp"

#include <cstdlib>

namespace yes_square {

std::string_view words(Provenance provenance) {
    switch (provenance) {
    case Provenance::measured:
        return "measured";
    case Provenance::standard:
        return "standard";
    case Provenance::common_practice:
        return "common practice";
    case Provenance::maker:
        return "maker";
    case Provenance::house_rule:
        return "house rule";
    case Provenance::from_memory:
        return "from memory";
    case Provenance::derived:
        return "worked out";
    }
    std::abort();
}

} // namespace yes_square
