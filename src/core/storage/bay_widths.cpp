#include "core/storage/bay_widths.hpp"

#include <algorithm>
#include <numeric>

namespace yes_square {
namespace {

/// What each bay has of its own, and its weight in the rest.
struct Claim {
    Length own;
    std::int64_t weight = 0;
};

std::int64_t weight_by_garments(const Bay& bay, const StorageRules& rules) {
    const auto rods = static_cast<std::int64_t>(rods_of(bay.kind));
    if (rods == 0 || bay.garments <= 0)
        return 0;
    // Tenths of a millimetre of rod: fine enough to share by, small enough never to overflow.
    return std::max<std::int64_t>(1, (room_of(bay.garment, rules) * bay.garments / rods).in_nanometres() / 100'000);
}

Claim claim_of(const Bay& bay, BayWidths policy, const StorageRules& rules) {
    switch (policy) {
    case BayWidths::equal:
        return {{}, 1};
    case BayWidths::fixed:
        return bay.width > Length{} ? Claim{bay.width, 0} : Claim{{}, 1};
    case BayWidths::by_garments:
        if (const std::int64_t weight = weight_by_garments(bay, rules); weight > 0)
            return {{}, weight};
        return {bay.width > Length{} ? bay.width : rules.plain_bay, 0};
    }
    return {};
}

} // namespace

Length room_of(Garment garment, const StorageRules& rules) {
    switch (garment) {
    case Garment::shirts:
        return rules.shirt_room;
    case Garment::trousers:
        return rules.trousers_room;
    case Garment::jackets:
        return rules.jacket_room;
    case Garment::dresses:
        return rules.dress_room;
    case Garment::coats:
        return rules.coat_room;
    }
    return rules.coat_room;
}

Length drop_of(Garment garment, const StorageRules& rules) {
    switch (garment) {
    case Garment::shirts:
        return rules.shirt_drop;
    case Garment::trousers:
        return rules.trousers_drop;
    case Garment::jackets:
        return rules.jacket_drop;
    case Garment::dresses:
        return rules.dress_drop;
    case Garment::coats:
        return rules.coat_drop;
    }
    return rules.coat_drop;
}

std::size_t rods_of(BayKind kind) {
    return kind == BayKind::double_hanging ? 2 : (kind == BayKind::long_hanging ? 1 : 0);
}

BayLayout bay_layout(const StorageSystem& system, const StorageRules& rules) {
    BayLayout layout;
    const auto number = static_cast<std::int64_t>(system.bays.size());
    std::vector<Claim> claims;
    Length rest = system.width - system.panel * (number + 1);
    std::int64_t weights = 0;
    for (const Bay& bay : system.bays) {
        claims.push_back(claim_of(bay, system.widths, rules));
        rest -= claims.back().own;
        weights += claims.back().weight;
    }
    layout.left_over = weights > 0 ? std::min(Length{}, rest) : rest;
    const Length shared = std::max(Length{}, rest);
    Length given;
    std::int64_t left = weights;
    Length at = system.left + system.panel;
    for (const Claim& claim : claims) {
        Length width = claim.own;
        if (claim.weight > 0) {
            left -= claim.weight;
            const Length share = left == 0 ? shared - given : shared * claim.weight / weights;
            given += share;
            width += share;
        }
        layout.lefts.push_back(at);
        layout.widths.push_back(width);
        at += width + system.panel;
    }
    return layout;
}

} // namespace yes_square
