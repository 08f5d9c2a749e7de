#include "core/shelves/bracket_search.hpp"

#include "core/shelves/even_layouts.hpp"

#include <algorithm>
#include <cassert>
#include <limits>
#include <numeric>
#include <optional>
#include <tuple>

namespace yes_square {
namespace {

constexpr int most_brackets = 64;

bool any_between(const std::vector<Length>& places, Length from, Length to) {
    return std::ranges::any_of(places, [&](Length place) { return place > from && place < to; });
}

/// Whether something of `musts` lies between two places, ends excluded.
bool must_between(const BracketQuestion& question, Length from, Length to) {
    return any_between(question.musts, from, to);
}

/// A cost that adds up along a path of brackets and compares in this order: brackets by what they stand on, the worst
/// first, then the spaces.
struct Cost {
    /// Numbers of brackets, each a digit of a thousand, so that they add and compare at once.
    enum Standing : std::int64_t {
        noggings = 1,
        detected = 1000 * noggings,
        indicated = 1000 * detected,
        assumed = 1000 * indicated,
        lining = 1000 * assumed,
    };
    static_assert(2 * most_brackets < 1000);

    std::int64_t standing = 0;
    double squares = 0; ///< of the spaces, mm2

    auto operator<=>(const Cost&) const = default;
    Cost operator+(const Cost& other) const { return {standing + other.standing, squares + other.squares}; }
    int number(Standing one) const { return static_cast<int>(standing / one % 1000); }
};

Cost cost_of(Substrate substrate) {
    switch (substrate) {
    case Substrate::lining:
        return {Cost::lining};
    case Substrate::assumed_stud:
        return {Cost::assumed};
    case Substrate::indicated_stud:
        return {Cost::indicated};
    case Substrate::detected_stud:
        return {Cost::detected};
    case Substrate::nogging:
        return {Cost::noggings};
    default:
        return {};
    }
}

void count_standing(const Cost& cost, Merits& merits) {
    merits.on_lining += cost.number(Cost::lining);
    merits.in_assumed += cost.number(Cost::assumed);
    merits.in_indicated += cost.number(Cost::indicated);
    merits.in_noggings += cost.number(Cost::noggings);
}

/// Layouts are sought among stations: places where a bracket has a reason to stand (a stud, a usual inset, the edge of
/// a keep-out). Between two stations in use, further brackets stand evenly: no other spread has smaller squares. So
/// the best path over the stations is the best of all layouts.
///
/// In a mirrored search the stations are those of the left half and each stands for itself and its image.
class Search {
public:
    Search(const BracketQuestion& question, bool mirrored, Length spacing_most)
        : question_{question}
        , mirrored_{mirrored}
        , spacing_most_{spacing_most} {
        collect_stations();
    }

    /// The best layout of every number of brackets up to `most_count`.
    std::vector<std::vector<Length>> layouts(int most_count) {
        most_count_ = most_count;
        best_.assign(static_cast<std::size_t>(most_count) + 1, std::nullopt);
        collect_moves();
        for (std::size_t first = 0; first < stations_.size(); ++first)
            if (stations_[first].place <= question_.overhang_most && stations_[first].count <= most_count &&
                !must_between(question_, -1_mm, stations_[first].place + Length::nanometres(1)) &&
                !made_beyond(stations_[first].place))
                from(first);
        std::vector<std::vector<Length>> found;
        for (auto& best : best_)
            if (best)
                found.push_back(std::move(best->places));
        return found;
    }

private:
    struct Station {
        Length place;
        Cost cost;
        int count = 1;
    };
    struct Reached {
        std::optional<Cost> cost;
        int before = -1; ///< station index
        int spaces = 0;  ///< between it and this one
    };

    Length middle() const { return question_.length / 2; }
    Length mirror(Length place) const { return question_.length - place; }

    void add_station(Length place) {
        const Length furthest = mirrored_ ? middle() : mirror(question_.inset_least);
        if (place < question_.inset_least || place > furthest || kept_out(question_, place))
            return;
        if (!mirrored_) {
            stations_.push_back({place, cost_of(hold_at(question_, place)), 1});
            return;
        }
        if (kept_out(question_, mirror(place)))
            return;
        if (place == middle())
            stations_.push_back({place, cost_of(hold_at(question_, place)), 1});
        else
            stations_.push_back(
                {place, cost_of(hold_at(question_, place)) + cost_of(hold_at(question_, mirror(place))), 2});
    }

    void collect_stations() {
        std::vector<Length> places{question_.inset_usual, mirror(question_.inset_usual)};
        for (const StudUnder& stud : question_.studs)
            places.push_back(stud.place);
        places.insert(places.end(), question_.musts.begin(), question_.musts.end());
        places.insert(places.end(), question_.made.begin(), question_.made.end());
        for (const Interval& strip : question_.keep_outs) {
            places.push_back(strip.from);
            places.push_back(strip.to);
        }
        if (mirrored_) {
            const std::vector<Length> own = places;
            for (const Length place : own)
                places.push_back(mirror(place));
            places.push_back(middle());
            // Where a stud and the image of another nearly meet, both may be used from between them.
            for (const StudUnder& a : question_.studs)
                for (const StudUnder& b : question_.studs)
                    if (absolute(a.place - mirror(b.place)) <= a.usable_half_width + b.usable_half_width)
                        places.push_back(std::clamp((a.place + mirror(b.place)) / 2, a.place - a.usable_half_width,
                                                    a.place + a.usable_half_width));
        }
        std::ranges::sort(places);
        places.erase(std::ranges::unique(places).begin(), places.end());
        for (const Length place : places)
            add_station(place);
    }

    /// A must that a step from one station to the next would leave out, in its image too.
    bool must_within(Length from, Length to) const {
        const auto within = [&](const std::vector<Length>& places) {
            return !places.empty() &&
                   (any_between(places, from, to) || (mirrored_ && any_between(places, mirror(to), mirror(from))));
        };
        return within(question_.musts) || within(question_.made);
    }

    /// Whether a bracket that is up already would be left outside of the first one, or in a mirrored search of either.
    bool made_beyond(Length first) const {
        return any_between(question_.made, -1_mm, first) ||
               (mirrored_ && any_between(question_.made, mirror(first), question_.length + 1_mm));
    }

    Length division(Length from, Length to, int i, int spaces) const { return from + (to - from) * i / spaces; }

    /// Brackets evenly between two places; false where one would stand in a keep-out.
    bool may_divide(Length from, Length to, int spaces) const {
        if (question_.keep_outs.empty())
            return true;
        for (int i = 1; i < spaces; ++i) {
            const Length place = division(from, to, i, spaces);
            if (kept_out(question_, place) || (mirrored_ && kept_out(question_, mirror(place))))
                return false;
        }
        return true;
    }

    /// The numbers of spaces a gap may be divided into.
    std::pair<int, int> divisions(Length gap) const {
        const auto nm = gap.in_nanometres();
        const auto most = spacing_most_.in_nanometres();
        const auto least = std::max<std::int64_t>(1, question_.spacing_least.in_nanometres());
        return {static_cast<int>((nm + most - 1) / most), static_cast<int>(std::min<std::int64_t>(nm / least, 64))};
    }

    Cost cost_between(Length gap, int spaces) const {
        const double mm = gap.in_mm();
        Cost cost;
        if (!question_.solid_wall)
            cost.standing = (spaces - 1) * (question_.noggings ? Cost::noggings : Cost::lining);
        cost.squares = mm * mm / spaces;
        return cost;
    }

    Reached& reached(std::size_t station, int count) {
        return reached_[station * static_cast<std::size_t>(most_count_ + 1) + static_cast<std::size_t>(count)];
    }

    /// From one station to a later one by so many spaces.
    struct Move {
        int from = 0;
        int to = 0;
        int spaces = 0;
        int added = 0; ///< brackets
        Cost cost;
    };

    /// Every move there is, by where it leads: they are the same whichever station a layout begins at.
    void collect_moves() {
        moves_.clear();
        const int images = mirrored_ ? 2 : 1;
        for (std::size_t to = 1; to < stations_.size(); ++to)
            for (std::size_t at = 0; at < to; ++at) {
                const Length gap = stations_[to].place - stations_[at].place;
                const auto [fewest, most] = divisions(gap);
                if (fewest > most || must_within(stations_[at].place, stations_[to].place))
                    continue;
                for (int spaces = fewest; spaces <= most; ++spaces) {
                    const int added = images * (spaces - 1) + stations_[to].count;
                    if (added >= most_count_)
                        break;
                    if (!may_divide(stations_[at].place, stations_[to].place, spaces))
                        continue;
                    const Cost once = cost_between(gap, spaces);
                    moves_.push_back({static_cast<int>(at), static_cast<int>(to), spaces, added,
                                      (mirrored_ ? once + once : once) + stations_[to].cost});
                }
            }
    }

    void from(std::size_t first) {
        const std::size_t stations = stations_.size();
        reached_.assign(stations * static_cast<std::size_t>(most_count_ + 1), {});
        reached(first, stations_[first].count).cost = stations_[first].cost;
        for (const Move& move : moves_) {
            if (static_cast<std::size_t>(move.from) < first)
                continue;
            const Reached* before = &reached(static_cast<std::size_t>(move.from), 1);
            Reached* here = &reached(static_cast<std::size_t>(move.to), 1 + move.added);
            for (int count = 1; count + move.added <= most_count_; ++count, ++before, ++here) {
                if (!before->cost)
                    continue;
                const Cost total = *before->cost + move.cost;
                if (!here->cost || total < *here->cost)
                    *here = {total, move.from, move.spaces};
            }
        }
        for (std::size_t last = first; last < stations; ++last)
            mirrored_ ? close_mirrored(first, last) : close(first, last);
    }

    /// Keeps a path if it is the best of its number of brackets so far; the places are made out only then.
    void offer(std::size_t first, std::size_t last, int count, int middle_spaces, const Cost& cost) {
        const Length left = stations_[first].place;
        const Length right = mirrored_ ? left : mirror(stations_[last].place);
        const int total = mirrored_ && stations_[last].count == 2 ? count + middle_spaces - 1 : count;
        if (total < 2 || total > most_count_)
            return;
        if (total == 2 && question_.length - left - right > question_.spacing_two)
            return;
        Merits merits;
        count_standing(cost, merits);
        merits.count = total;
        merits.extra_overhang =
            std::max(Length{}, left - question_.inset_usual) + std::max(Length{}, right - question_.inset_usual);
        merits.overhang_difference = absolute(left - right);
        const double span = (question_.length - left - right).in_mm();
        merits.unevenness_mm2 = std::max(0.0, cost.squares - span * span / (total - 1));
        auto& best = best_[static_cast<std::size_t>(total)];
        if (!best || better(merits, best->merits, mirrored_ ? School::mirrored : School::studs_first))
            best = Best{merits, path(first, last, count, middle_spaces)};
    }

    void close(std::size_t first, std::size_t last) {
        if (mirror(stations_[last].place) > question_.overhang_most ||
            must_between(question_, stations_[last].place - Length::nanometres(1), question_.length + 1_mm) ||
            any_between(question_.made, stations_[last].place, question_.length + 1_mm))
            return;
        for (int count = 2; count <= most_count_; ++count)
            if (const auto& cost = reached(last, count).cost)
                offer(first, last, count, 0, *cost);
    }

    void close_mirrored(std::size_t first, std::size_t last) {
        const Length here = stations_[last].place;
        const bool at_middle = stations_[last].count == 1;
        if (!at_middle && must_within(here, mirror(here)))
            return;
        if (first == last && !question_.musts.empty() && must_within(here - Length::nanometres(1), mirror(here)))
            return;
        const auto [fewest, most] = divisions(mirror(here) - here);
        const int from_spaces = at_middle ? 1 : fewest;
        const int to_spaces = at_middle ? 1 : std::min(most, most_count_);
        for (int spaces = from_spaces; spaces <= to_spaces; ++spaces) {
            if (!at_middle && !may_divide(here, mirror(here), spaces))
                continue;
            const Cost middle_cost = at_middle ? Cost{} : cost_between(mirror(here) - here, spaces);
            for (int count = 1; count <= most_count_; ++count)
                if (const auto& cost = reached(last, count).cost)
                    offer(first, last, count, spaces, *cost + middle_cost);
        }
    }

    std::vector<Length> path(std::size_t first, std::size_t last, int count, int middle_spaces) {
        std::vector<Length> backwards{stations_[last].place};
        const int images = mirrored_ ? 2 : 1;
        for (std::size_t at = last; at != first;) {
            const Reached here = reached(at, count);
            const Length from = stations_[static_cast<std::size_t>(here.before)].place;
            for (int i = here.spaces - 1; i >= 0; --i)
                backwards.push_back(division(from, stations_[at].place, i, here.spaces));
            count -= images * (here.spaces - 1) + stations_[at].count;
            at = static_cast<std::size_t>(here.before);
        }
        std::vector<Length> places{backwards.rbegin(), backwards.rend()};
        if (!mirrored_)
            return places;
        const Length here = places.back();
        for (int i = 1; i < middle_spaces && stations_[last].count == 2; ++i)
            places.push_back(division(here, mirror(here), i, middle_spaces));
        for (const Length place : backwards)
            if (place != middle())
                places.push_back(mirror(place));
        return places;
    }

    const BracketQuestion& question_;
    bool mirrored_;
    Length spacing_most_;
    std::vector<Station> stations_;
    std::vector<Move> moves_;

    struct Best {
        Merits merits;
        std::vector<Length> places;
    };
    int most_count_ = 0;
    std::vector<Reached> reached_; ///< by station and number of brackets, for the first station in hand
    std::vector<std::optional<Best>> best_;
};

} // namespace

Substrate hold_at(const BracketQuestion& question, Length place) {
    if (const StudUnder* hanger = hanger_at(question, place))
        return hanger->substrate;
    if (question.solid_wall)
        return Substrate::masonry;
    Substrate best = Substrate::lining;
    bool beside_a_stud = false; // on its edge, or with no room for a nogging's end
    for (const StudUnder& stud : question.studs) {
        const Length off = absolute(place - stud.place);
        if (off <= stud.usable_half_width)
            best = std::min(best, stud.substrate);
        beside_a_stud |= off < stud.blocked_half_width;
    }
    return best == Substrate::lining && question.noggings && !beside_a_stud ? Substrate::nogging : best;
}

Merits merits_of(const BracketQuestion& question, const std::vector<Length>& places) {
    Merits merits;
    merits.count = static_cast<int>(places.size());
    for (const Length place : places)
        count_standing(cost_of(hold_at(question, place)), merits);
    if (places.empty())
        return merits;
    const Length left = places.front();
    const Length right = question.length - places.back();
    merits.extra_overhang =
        std::max(Length{}, left - question.inset_usual) + std::max(Length{}, right - question.inset_usual);
    merits.overhang_difference = absolute(left - right);
    const double mean = (places.back() - places.front()).in_mm() / std::max(1, merits.count - 1);
    for (std::size_t i = 1; i < places.size(); ++i) {
        const double off = (places[i] - places[i - 1]).in_mm() - mean;
        merits.unevenness_mm2 += off * off;
    }
    // Less than this is rounding of the even division.
    if (merits.unevenness_mm2 < 1e-6)
        merits.unevenness_mm2 = 0;
    return merits;
}

bool better(const Merits& a, const Merits& b, School school) {
    const auto in_studs = [](const Merits& m) {
        return std::tuple{m.on_lining, m.in_assumed, m.in_indicated, m.in_noggings};
    };
    switch (school) {
    case School::studs_first:
        return std::tuple{in_studs(a), a.count, a.extra_overhang, a.unevenness_mm2, a.overhang_difference} <
               std::tuple{in_studs(b), b.count, b.extra_overhang, b.unevenness_mm2, b.overhang_difference};
    case School::even:
        return std::tuple{a.count, in_studs(a), a.extra_overhang} < std::tuple{b.count, in_studs(b), b.extra_overhang};
    case School::mirrored:
        return std::tuple{in_studs(a), a.count, a.extra_overhang, a.unevenness_mm2} <
               std::tuple{in_studs(b), b.count, b.extra_overhang, b.unevenness_mm2};
    }
    return false;
}

std::vector<BracketLayout> best_layouts(const BracketQuestion& question, School school, int most_counts) {
    if (question.made_alone) {
        BracketLayout given{school, question.made, {}};
        for (const StudUnder& hanger : question.hangers)
            given.places.push_back(hanger.place);
        std::ranges::sort(given.places);
        given.places.erase(std::ranges::unique(given.places).begin(), given.places.end());
        given.merits = merits_of(question, given.places);
        if (given.merits.count >= 2)
            return {given};
    }
    const Length reach = question.length - 2 * question.overhang_most;
    const Length widest = std::max(question.spacing_two, question.spacing_more);
    const auto fewest = std::max<std::int64_t>(2, reach.in_nanometres() / widest.in_nanometres() + 1);
    int count = static_cast<int>(fewest); // the next number of even brackets to try
    for (int most = static_cast<int>(std::min<std::int64_t>(fewest + most_counts, most_brackets));;) {
        std::vector<std::vector<Length>> found;
        if (school == School::even) {
            BracketQuestion good = question;
            good.spacing_two = std::min(good.spacing_two, good.spacing_good);
            good.spacing_more = std::min(good.spacing_more, good.spacing_good);
            for (; count <= most; ++count)
                even_layouts(question, good, count, found);
        } else {
            const bool mirrored = school == School::mirrored;
            found = Search{question, mirrored, question.spacing_more}.layouts(most);
            if (question.spacing_two > question.spacing_more) {
                const auto two = Search{question, mirrored, question.spacing_two}.layouts(2);
                found.insert(found.end(), two.begin(), two.end());
            }
            std::erase_if(found, [&](const auto& places) { return !keeps_limits(question, places); });
        }
        std::vector<BracketLayout> best(static_cast<std::size_t>(most) + 1);
        for (auto& places : found) {
            assert(std::ranges::is_sorted(places) && places.front() >= Length{} && places.back() <= question.length);
            const Merits merits = merits_of(question, places);
            BracketLayout& slot = best[places.size()];
            if (slot.places.empty() || better(merits, slot.merits, school))
                slot = {school, std::move(places), merits};
        }
        std::erase_if(best, [](const BracketLayout& layout) { return layout.places.empty(); });
        if (!best.empty() || most >= most_brackets) {
            best.resize(std::min(best.size(), static_cast<std::size_t>(most_counts)));
            return best;
        }
        most = std::min(most * 2, most_brackets);
    }
}

} // namespace yes_square
