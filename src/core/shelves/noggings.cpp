#include "core/shelves/noggings.hpp"

#include "core/fixings/beam_ends.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/job/along.hpp"

#include <algorithm>
#include <map>

namespace yes_square {
namespace {

struct Wanted {
    std::size_t bay = 0; ///< between stud `bay` - 1 and stud `bay`
    Nogging::For what;
};

constexpr std::size_t most_screws = 3; ///< in the end of a stud's section

/// What all that hangs on it puts on its worse end: of each thing the worst, since those of different things may come
/// together. None: of one fixing nobody knows what it has to bear.
std::optional<EndLoad> worse_end(const Nogging& nogging, TimberSchool school) {
    std::map<std::string, std::vector<OnBeam>> by_thing;
    for (const Nogging::For& one : nogging.holds)
        by_thing[one.item].push_back({(one.x - nogging.left).in_metres() / nogging.length().in_metres(), one.demands});
    BeamEnds all;
    for (const auto& [item, loads] : by_thing) {
        const auto ends = beam_ends(loads, school);
        if (!ends)
            return std::nullopt;
        all = {all.left + ends->left, all.right + ends->right};
    }
    return std::max(all.left, all.right);
}

/// How the ends of all are held, and what that bears.
class EndHolder {
public:
    EndHolder(const Wall& wall, const Framing& framing, const std::vector<Length>& studs, const HouseRules& rules,
              std::vector<Nogging>& noggings)
        : wall_{wall}
        , framing_{framing}
        , studs_{studs}
        , rules_{rules}
        , noggings_{noggings} {}

    void hold() {
        const EndScrew screw{nogging_gauge(rules_.timber), specific_gravity(framing_.species), framing_.stud_width,
                             std::max(Length{}, rules_.shelves.nogging_screw - framing_.stud_width)};
        const Force bears = end_screw_bears(screw, rules_.timber);
        for (Nogging& nogging : noggings_) {
            nogging.left_end = end_of(nogging, true);
            nogging.right_end = end_of(nogging, false);
            const auto worse = worse_end(nogging, rules_.timber);
            if (!worse)
                continue; // its use stays unknown
            nogging.end_load = worse->is;
            do
                nogging.ends = Utilisation::of(worse->counts / static_cast<double>(nogging.screws), bears);
            while (nogging.ends.over() && nogging.screws++ < most_screws);
            nogging.screws = std::min(nogging.screws, most_screws);
        }
    }

private:
    Nogging::End end_of(const Nogging& nogging, bool left) const {
        const Length half = framing_.stud_width / 2;
        const Length at = left ? nogging.left - half : nogging.right + half;
        const auto stud = std::ranges::find(studs_, at);
        if (stud == studs_.end())
            return Nogging::End::unknown;
        // The bay beyond that stud, from whose side its screws are driven.
        const auto beyond = left                       ? stud == studs_.begin() ? Length{} : *(stud - 1) + half
                            : stud + 1 == studs_.end() ? wall_.length
                                                       : *(stud + 1) - half;
        if (absolute(beyond - (left ? at - half : at + half)) < rules_.shelves.nogging_driver)
            return Nogging::End::pocket;
        const bool in_the_way = std::ranges::any_of(noggings_, [&](const Nogging& other) {
            return (left ? other.right == at - half : other.left == at + half) &&
                   absolute(other.z - nogging.z) < framing_.stud_width;
        });
        return in_the_way ? Nogging::End::pocket : Nogging::End::through;
    }

    const Wall& wall_;
    const Framing& framing_;
    const std::vector<Length>& studs_;
    const HouseRules& rules_;
    std::vector<Nogging>& noggings_;
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
                wanted.push_back({static_cast<std::size_t>(next - studs.begin()),
                                  {shelf.name, hole.x, hole.z, shelf.id, hole.demands}});
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
    EndHolder{wall, *framing, studs, rules, noggings}.hold();
    return noggings;
}

Sentence words(Nogging::End end) {
    switch (end) {
    case Nogging::End::through:
        return {"through the stud"};
    case Nogging::End::pocket:
        return {"pocket screws"};
    case Nogging::End::unknown:
        break;
    }
    return {"no stud entered there"};
}

void check_noggings(const std::vector<Nogging>& noggings, const Wall& wall, const HouseRules& rules,
                    std::vector<ShelfPlan>& shelves) {
    for (ShelfPlan& shelf : shelves)
        std::erase_if(shelf.checks, [](const Check& check) {
            return check.code == checks::nogging_ends || check.code == checks::nogging_end_unknown;
        });
    for (const Nogging& nogging : noggings) {
        const Length middle = (nogging.left + nogging.right) / 2;
        const auto say = [&](CheckCode code, Sentence words, Sentence cure) {
            std::string last;
            for (const Nogging::For& one : nogging.holds) {
                const auto shelf = std::ranges::find(shelves, one.item, &ShelfPlan::id);
                if (shelf == shelves.end() || one.item == last)
                    continue;
                last = one.item;
                Check& check = shelf->checks.emplace_back(Check{code, code.severity(), words});
                check.x = middle;
                check.z = nogging.z;
                check.cures.push_back({cure, {}});
            }
        };
        if (nogging.ends.over())
            say(checks::nogging_ends,
                {"The nogging at {0}, {1} up: {2} on one end, and {3} screws of {4} there are used to {5} of what they "
                 "bear",
                 {along(wall, middle), quantity(nogging.z), quantity(nogging.end_load), count(nogging.screws),
                  stock(rules.shelves.nogging_screw), ratio(nogging.ends)}},
                {"A stud or a post behind it from plate to plate, or a plywood panel let in over two studs"});
        if (!nogging.ends.known())
            say(checks::nogging_end_unknown,
                {"The nogging at {0}, {1} up: what its fixings have to bear is not known, nor then what its ends do",
                 {along(wall, middle), quantity(nogging.z)}},
                {"Give what hangs there a fixing that is known"});
        if (nogging.left_end == Nogging::End::unknown || nogging.right_end == Nogging::End::unknown)
            say(checks::nogging_end_unknown,
                {"The nogging at {0}, {1} up, runs to the wall's end, and no stud is entered there",
                 {along(wall, middle), quantity(nogging.z)}},
                {"Enter the stud at the wall's end: framing in the open shows it"});
    }
}

} // namespace yes_square
