#include "core/shelves/noggings.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/job/along.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace yes_square {
namespace {

struct Wanted {
    std::size_t bay = 0; ///< between stud `bay` - 1 and stud `bay`
    Nogging::For what;
};

constexpr std::size_t most_screws = 3; ///< in the end of a stud's section

/// On an end, N: as it is, and as much of what lies there for good as would use its screws alike.
struct EndLoad {
    double is = 0;
    double counts = 0;
};

/// What its fixings put on one of its ends: of each thing the worst of its cases, since those of different things may
/// come together. Wood bears more of what people do for a moment.
EndLoad end_load(const Nogging& nogging, bool left, TimberSchool school) {
    const double length = nogging.length().in_metres();
    std::map<std::string, std::size_t> cases;
    for (const Nogging::For& one : nogging.holds)
        cases[one.item] = std::max(cases[one.item], one.demands.size());
    EndLoad all;
    for (const auto& [item, number] : cases) {
        EndLoad worst;
        for (std::size_t which = 0; which < number; ++which) {
            double down = 0;
            double pull = 0;
            bool for_a_moment = true;
            for (const Nogging::For& one : nogging.holds) {
                if (one.item != item || which >= one.demands.size())
                    continue;
                const double from_left = (one.x - nogging.left).in_metres() / length;
                const double part = left ? 1 - from_left : from_left;
                down += one.demands[which].down.in_si() * part;
                pull += one.demands[which].tension.in_si() * part;
                for_a_moment = for_a_moment && one.demands[which].duration > duration_stored;
            }
            const double here = std::hypot(down, pull);
            const double counts = for_a_moment ? here / people_share(school) : here;
            if (counts > worst.counts)
                worst = {here, counts};
        }
        all.is += worst.is;
        all.counts += worst.counts;
    }
    return all;
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
            const EndLoad worse =
                std::max(end_load(nogging, true, rules_.timber), end_load(nogging, false, rules_.timber),
                         [](const EndLoad& a, const EndLoad& b) { return a.counts < b.counts; });
            nogging.end_load = Force::si(worse.is);
            do
                nogging.ends = Utilisation::of(Force::si(worse.counts) / static_cast<double>(nogging.screws), bears);
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
        if (nogging.left_end == Nogging::End::unknown || nogging.right_end == Nogging::End::unknown)
            say(checks::nogging_end_unknown,
                {"The nogging at {0}, {1} up, runs to the wall's end, and no stud is entered there",
                 {along(wall, middle), quantity(nogging.z)}},
                {"Enter the stud at the wall's end: framing in the open shows it"});
    }
}

} // namespace yes_square
