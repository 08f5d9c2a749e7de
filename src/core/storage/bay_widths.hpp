#pragma once

#include "core/job/house_rules.hpp"
#include "core/job/storage.hpp"

/// How a system's width is shared among its bays.
namespace yes_square {

struct BayLayout {
    std::vector<Length> lefts;  ///< of the clear openings, from the wall's left end
    std::vector<Length> widths; ///< between panels
    Length left_over;           ///< width that no bay takes; less than 0: they need more than there is
};

/// How much rod one takes, and how far it hangs below the rod's middle.
Length room_of(Garment garment, const StorageRules& rules);
Length drop_of(Garment garment, const StorageRules& rules);

/// How many rods a bay has.
std::size_t rods_of(BayKind kind);

/// Widths by the system's policy, one panel more than bays taken off first. Fixed: bays with a width keep it, those
/// without share the rest evenly; where every bay has one, the rest is left over. By garments: hanging bays that say
/// how many they take share the rest by the rod those need on each of their rods; others keep their width, or the
/// rules' plain one. Shares are whole display-free nanometres; the last bay takes what division leaves.
BayLayout bay_layout(const StorageSystem& system, const StorageRules& rules);

} // namespace yes_square
