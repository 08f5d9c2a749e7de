#pragma once

#include "core/job/batten.hpp"

#include <type_traits>
#include <vector>

/// Kinds of thing that need no more than their own folder: a wall keeps them by their kind, and every list, drawing,
/// table, sheet and form takes them as they come.
namespace yes_square {

template <class... Kinds>
struct KindList {};

using ListedKinds = KindList<Batten>;

template <class Kind>
struct Kept {
    std::vector<Kind> kept;
    bool operator==(const Kept&) const = default;
};

template <class List>
struct KeptOf;
/// A list of each kind.
template <class... Kinds>
struct KeptOf<KindList<Kinds...>> : Kept<Kinds>... {
    bool operator==(const KeptOf&) const = default;
};

/// The list of a kind that a wall keeps.
template <class Kind>
auto& kept(auto& wall) {
    using List =
        std::conditional_t<std::is_const_v<std::remove_reference_t<decltype(wall)>>, const Kept<Kind>, Kept<Kind>>;
    return static_cast<List&>(wall).kept;
}

/// Calls `look.operator()<Kind>()` for every kind, in their order.
template <class... Kinds>
void for_each_kind(KindList<Kinds...>, auto&& look) {
    (look.template operator()<Kinds>(), ...);
}

} // namespace yes_square
