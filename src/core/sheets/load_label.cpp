#include "core/sheets/load_label.hpp"

#include "core/shelves/way.hpp"

#include <cmath>
#include <set>

namespace yes_square {

Mass made_for(const Shelf& shelf, const ShelfPlan& plan) {
    return mass_of(plan.goods_load * shelf.length);
}

LoadLabel load_label(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const Capacity& capacity) {
    LoadLabel label;
    label.name = shelf.name;
    label.wall = wall.name;
    const Promise promise = promise_of(shelf, plan, capacity);
    label.fit = promise.made;
    label.greatest = promise.words;
    if (!label.fit) {
        label.assumes.push_back(promise.why);
        return label;
    }
    const Quantity per_metre = quantity(floor(capacity.per_metre));
    if (!way_of(shelf).whole(shelf))
        label.assumes.push_back({"{0}, limited by {1}", {per_metre, words(capacity.governs)}});
    const bool light = holds(plan) == Holds::light;
    if (light)
        label.assumes.push_back({"It hangs on the lining: nobody leans on it"});
    if (shelf.out_of_reach)
        label.assumes.push_back({"Nobody can lean on it: out of reach, or furniture stands before it"});
    std::set<std::string> told;
    const auto tell = [&](const Fixing& fixing) {
        if (told.insert(fixing.name).second)
            label.assumes.push_back({"Fixed with {0}, {1}", {fixing.name, stock(fixing.screw_length)}});
    };
    for (const BracketPlan& place : plan.brackets)
        if (place.fixing && (carries(place.substrate) || light)) {
            tell(*place.fixing);
            for (const Fixing& fixing : place.row_fixings)
                tell(fixing);
        }
    for (const CleatPlan& cleat : plan.cleats)
        if (cleat.fixing)
            tell(*cleat.fixing);
    if (capacity.from_memory)
        label.assumes.push_back({"Figures from memory, unchecked"});
    label.assumes.push_back({"Makers' instructions and local code come first where they say less"});
    label.assumes.push_back({"Nobody climbs, sits or hangs on it"});
    return label;
}

} // namespace yes_square
