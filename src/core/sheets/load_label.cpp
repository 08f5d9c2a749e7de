#include "core/sheets/load_label.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace yes_square {

LoadLabel load_label(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const Capacity& capacity) {
    LoadLabel label;
    label.name = shelf.name;
    label.wall = wall.name;
    const bool errors =
        std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; });
    label.fit = !errors && !capacity.stud_assumed && capacity.kg >= 1;
    // A label is never rounded up.
    const Quantity whole{Kind::mass, std::floor(capacity.kg)};
    const Quantity per_metre{Kind::mass_per_m, std::floor(capacity.kg_per_m)};
    if (!label.fit)
        label.greatest = {"Do not load"};
    else if (shelf.held<Fixture>())
        label.greatest = {"At most {0} in it", {whole}};
    else if (shelf.tiers > 1)
        label.greatest = {"At most {0} on each shelf, evenly", {whole}};
    else
        label.greatest = {"At most {0}, evenly", {whole}};
    if (!label.fit) {
        label.assumes.push_back({errors ? std::string_view{"Its sheet has errors that are not cleared"}
                                        : "A stud it counts on was never found, or nothing holds it"});
        return label;
    }
    if (!shelf.held<Fixture>())
        label.assumes.push_back({"{0}, limited by {1}", {per_metre, words(capacity.governs)}});
    std::set<std::string> told;
    const auto tell = [&](const Fixing& fixing) {
        if (told.insert(fixing.name).second)
            label.assumes.push_back({"Fixed with {0}, {1}", {fixing.name, stock(fixing.screw_length)}});
    };
    for (const BracketPlan& place : plan.brackets)
        if (place.fixing && carries(place.hold))
            tell(*place.fixing);
    for (const CleatPlan& cleat : plan.cleats)
        if (cleat.fixing)
            tell(*cleat.fixing);
    if (capacity.hanger_unknown)
        label.assumes.push_back({"What the bracket itself bears was not known: its packet comes first"});
    if (capacity.from_memory)
        label.assumes.push_back({"Figures from memory, unchecked"});
    label.assumes.push_back({"Makers' instructions and local code come first where they say less"});
    label.assumes.push_back({"Nobody climbs, sits or hangs on it"});
    return label;
}

} // namespace yes_square
