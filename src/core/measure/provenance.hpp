#pragma once

#include <string_view>

namespace yes_square {

/// Where a figure comes from, so that a user can judge how far to trust it.
enum class Provenance {
    measured,        ///< typed from the wall or the work
    standard,        ///< a publication, named
    common_practice, ///< the trade does it so
    maker,           ///< typed from a packet or a data sheet
    house_rule,      ///< ours, changeable
    from_memory,     ///< a publication's figure recalled without the text at hand; to be checked
    derived,         ///< follows from other figures shown
};

struct Source {
    Provenance provenance = Provenance::derived;
    std::string_view publication = {}; ///< empty where there is none
    bool operator==(const Source&) const = default;
};

/// The sources that stand in most sums.
namespace sources {
inline constexpr Source measured{Provenance::measured};
inline constexpr Source house{Provenance::house_rule};
inline constexpr Source practice{Provenance::common_practice};
inline constexpr Source derived{Provenance::derived};
} // namespace sources

/// "measured", "from memory": as shown beside a figure.
std::string_view words(Provenance provenance);

} // namespace yes_square
