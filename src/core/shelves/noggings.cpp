#include "core/shelves/noggings.hpp"

#include "core/fixings/choose_fixing.hpp"

#include <algorithm>

namespace yes_square {
namespace {

struct Wanted {
    std::size_t bay = 0; ///< between stud `bay` - 1 and stud `bay`
    Nogging::For what;
};

} // namespace

std::vector<Nogging> noggings_of(const Wall& wall, const WallSurvey& survey, const std::vector<ShelfPlan>& shelves,
                                 const HouseRules& rules) {
    const auto* framing = std::get_if<Framing>(&wall.structure);
    if (!framing || !framing->open || framing->material != StudMaterial::timber)
        return {};
    std::vector<Length> studs;
    for (const Stud& stud : survey.studs)
        studs.push_back(stud.centre);
    std::ranges::sort(studs);

    std::vector<Wanted> wanted;
    for (const ShelfPlan& shelf : shelves)
        for (const PlannedHole& hole : shelf.holes)
            if (hole.substrate == Substrate::nogging) {
                const auto next = std::ranges::upper_bound(studs, hole.x);
                wanted.push_back({static_cast<std::size_t>(next - studs.begin()), {shelf.name, hole.x, hole.z}});
            }
    std::ranges::sort(wanted, {}, [](const Wanted& one) { return std::pair{one.bay, one.what.z}; });

    const Length half = framing->stud_width / 2;
    // All its fixings at least the edge distance from its lower and upper edge.
    const Length reach = 2 * usable_half_width(*framing, {}, usual_screw(rules.timber).diameter_in, rules);
    std::vector<Nogging> noggings;
    std::size_t bay = 0;
    for (const Wanted& one : wanted) {
        const bool shares =
            !noggings.empty() && one.bay == bay && one.what.z - noggings.back().holds.front().z <= reach;
        if (!shares) {
            bay = one.bay;
            Nogging next;
            next.left = bay == 0 ? Length{} : studs[bay - 1] + half;
            next.right = bay == studs.size() ? wall.length : studs[bay] - half;
            noggings.push_back(next);
        }
        Nogging& nogging = noggings.back();
        nogging.holds.push_back(one.what);
        nogging.z = (nogging.holds.front().z + one.what.z) / 2;
    }
    return noggings;
}

} // namespace yes_square
