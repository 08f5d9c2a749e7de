#include "core/runs/slide.hpp"

#include "core/fixings/choose_fixing.hpp"

#include <algorithm>
#include <limits>
#include <numeric>

namespace yes_square {
namespace {

/// Farther than any wall is long, for a gap that nothing limits.
constexpr Length boundless = 1'000'000_mm;
constexpr std::size_t limits_reach_over = 6; ///< fillers

void keep_each_once(std::vector<Length>& places) {
    std::ranges::sort(places);
    places.erase(std::unique(places.begin(), places.end()), places.end());
}

class Slider {
public:
    explicit Slider(const SlideQuestion& question)
        : ask_{question} {}

    StudSlide slide() {
        StudSlide found;
        found.needed = std::ranges::any_of(ask_.hung, &HungUnit::needs);
        for (std::size_t c = 0; c < ask_.chains.size(); ++c) {
            found.chains.push_back(chain(c));
            for (const std::size_t unit : lost_at(c, ask_.now[c]))
                found.lost.push_back(unit);
        }
        for (const SlideChain& chain : found.chains)
            collect_never(chain, found.never);
        solve(found);
        return found;
    }

private:
    Length length_of(std::size_t c) const {
        const UnitChain& chain = ask_.chains[c];
        return std::accumulate(ask_.widths.begin() + static_cast<std::ptrdiff_t>(chain.first),
                               ask_.widths.begin() + static_cast<std::ptrdiff_t>(chain.last) + 1, Length{});
    }

    /// How many studs, those near one another counted once, a unit at this place meets.
    std::size_t studs_in(std::size_t unit, Length left) const {
        const Length from = left + ask_.hung[unit].inset;
        const Length to = left + ask_.widths[unit] - ask_.hung[unit].inset;
        std::size_t met = 0;
        std::optional<Length> last;
        for (auto stud = std::ranges::lower_bound(ask_.studs, from); stud != ask_.studs.end() && *stud <= to; ++stud)
            if (!last || *stud - *last >= ask_.apart_least) {
                ++met;
                last = *stud;
            }
        return met;
    }

    /// The units of a chain that miss studs with its left end here.
    std::vector<std::size_t> lost_at(std::size_t c, Length left) const {
        const UnitChain& chain = ask_.chains[c];
        std::vector<std::size_t> met;
        Length at = left;
        for (std::size_t i = chain.first; i <= chain.last; ++i) {
            met.push_back(ask_.hung[i].needs ? studs_in(i, at) : 0);
            at += ask_.widths[i];
        }
        std::vector<std::size_t> lost;
        for (std::size_t i = chain.first; i <= chain.last; ++i) {
            const std::size_t k = i - chain.first;
            if (!ask_.hung[i].needs || met[k] >= ask_.hung[i].wants)
                continue;
            const bool beside = (k > 0 && met[k - 1] >= 2) || (k + 1 < met.size() && met[k + 1] >= 2);
            if (!(met[k] == 1 && ask_.hung[i].narrow && beside))
                lost.push_back(i);
        }
        return lost;
    }

    SlideChain chain(std::size_t c) const {
        SlideChain chain{ask_.chains[c].first, ask_.chains[c].last, ask_.now[c], ask_.from, {}, {}};
        for (std::size_t k = 0; k <= c; ++k)
            chain.least += ask_.room_least[k] + (k < c ? length_of(k) : Length{});
        const Length end = ask_.to.value_or(std::max(ask_.now[c], chain.least) + boundless);
        chain.most = end;
        for (std::size_t k = c; k < ask_.chains.size(); ++k)
            chain.most -= ask_.room_least[k + 1] + length_of(k);
        if (!ask_.to) // as far as the last stud matters
            chain.most = std::max({chain.least, ask_.now[c], ask_.studs.empty() ? Length{} : ask_.studs.back()});
        if (chain.most < chain.least)
            return chain;

        std::vector<Length> ends{chain.least, chain.most};
        Length before;
        for (std::size_t i = chain.first; i <= chain.last; ++i) {
            if (ask_.hung[i].needs)
                for (const Length stud : ask_.studs)
                    for (const Length at :
                         {stud - before - ask_.hung[i].inset, stud - before - ask_.widths[i] + ask_.hung[i].inset})
                        if (at > chain.least && at < chain.most)
                            ends.push_back(at);
            before += ask_.widths[i];
        }
        keep_each_once(ends);
        const auto band = [&](Length from, Length to, std::vector<std::size_t> lost) {
            // A place where a stud just enters one unit and leaves another may lose less than either side of it.
            if (!chain.bands.empty() && chain.bands.back().lost == lost)
                chain.bands.back().to = to;
            else
                chain.bands.push_back({from, to, std::move(lost)});
        };
        for (std::size_t i = 0; i < ends.size(); ++i) {
            band(ends[i], ends[i], lost_at(c, ends[i]));
            if (i + 1 < ends.size())
                band(ends[i], ends[i + 1], lost_at(c, ends[i] + (ends[i + 1] - ends[i]) / 2));
        }
        return chain;
    }

    /// Units that miss studs in every band.
    static void collect_never(const SlideChain& chain, std::vector<std::size_t>& never) {
        for (std::size_t i = chain.first; i <= chain.last && !chain.bands.empty(); ++i)
            if (std::ranges::all_of(chain.bands, [&](const SlideBand& band) {
                    return std::ranges::find(band.lost, i) != band.lost.end();
                }))
                never.push_back(i);
    }

    static bool holds(const SlideChain& chain, Length at) {
        return std::ranges::any_of(
            chain.bands, [&](const SlideBand& band) { return band.lost.empty() && band.from <= at && at <= band.to; });
    }

    /// Places at which a chain may stand in a least move: ends of its own bands and its present place, and those of the
    /// other chains carried over by fillers at their least or most.
    std::vector<std::vector<Length>> candidates(const std::vector<SlideChain>& chains) const {
        std::vector<std::vector<Length>> own(chains.size());
        for (std::size_t c = 0; c < chains.size(); ++c) {
            own[c] = {ask_.now[c], chains[c].least, chains[c].most};
            for (const SlideBand& band : chains[c].bands)
                if (band.lost.empty())
                    own[c].insert(own[c].end(), {band.from, band.to});
            keep_each_once(own[c]);
        }
        std::vector<std::vector<Length>> all = own;
        const auto carry = [&](std::size_t from, bool rightward) {
            std::vector<Length> carried = own[from];
            for (std::size_t steps = 0, c = from; steps < limits_reach_over; ++steps) {
                if (rightward ? c + 1 == chains.size() : c == 0)
                    return;
                const std::size_t next = rightward ? c + 1 : c - 1;
                const std::size_t gap = rightward ? next : c;
                const Length between = length_of(rightward ? c : next);
                std::vector<Length> moved;
                for (const Length at : carried)
                    for (const Length room : {ask_.room_least[gap], ask_.room_most[gap]})
                        moved.push_back(rightward ? at + between + room : at - between - room);
                keep_each_once(moved);
                all[next].insert(all[next].end(), moved.begin(), moved.end());
                carried = std::move(moved);
                c = next;
            }
        };
        for (std::size_t c = 0; c < chains.size(); ++c) {
            carry(c, true);
            carry(c, false);
        }
        for (std::size_t c = 0; c < chains.size(); ++c) {
            keep_each_once(all[c]);
            std::erase_if(all[c], [&](Length at) { return !holds(chains[c], at); });
        }
        return all;
    }

    void solve(StudSlide& found) const {
        const std::size_t number = found.chains.size();
        if (number == 0)
            return;
        const auto places = candidates(found.chains);
        constexpr std::int64_t never = std::numeric_limits<std::int64_t>::max();
        std::vector<std::vector<std::int64_t>> cost(number);
        std::vector<std::vector<std::size_t>> before(number);
        for (std::size_t c = 0; c < number; ++c) {
            cost[c].assign(places[c].size(), never);
            before[c].assign(places[c].size(), 0);
            for (std::size_t i = 0; i < places[c].size(); ++i) {
                const std::int64_t move = absolute(places[c][i] - ask_.now[c]).in_nanometres();
                if (c == 0) {
                    if (fits(0, ask_.from, places[0][i]))
                        cost[0][i] = move;
                    continue;
                }
                for (std::size_t j = 0; j < places[c - 1].size(); ++j)
                    if (cost[c - 1][j] != never && fits(c, places[c - 1][j] + length_of(c - 1), places[c][i]) &&
                        cost[c - 1][j] + move < cost[c][i]) {
                        cost[c][i] = cost[c - 1][j] + move;
                        before[c][i] = j;
                    }
            }
        }
        std::size_t best = places.back().size();
        for (std::size_t i = 0; i < places.back().size(); ++i) {
            const bool ends = !ask_.to || fits(number, places.back()[i] + length_of(number - 1), *ask_.to);
            if (ends && cost.back()[i] != never && (best == places.back().size() || cost.back()[i] < cost.back()[best]))
                best = i;
        }
        if (best == places.back().size())
            return;
        found.possible = true;
        found.moved = Length::nanometres(cost.back()[best]);
        found.places.resize(number);
        for (std::size_t c = number; c-- > 0; best = before[c][best])
            found.places[c] = places[c][best];
    }

    /// Whether the room before chain `gap` (after the last: its number) may be from here to there.
    bool fits(std::size_t gap, Length from, Length to) const {
        return to - from >= ask_.room_least[gap] && to - from <= ask_.room_most[gap];
    }

    const SlideQuestion& ask_;
};

} // namespace

StudSlide slide_for_studs(const SlideQuestion& question) {
    return Slider{question}.slide();
}

SlideQuestion slide_question(const Run& run, const RunLayout& layout, const Wall& wall, const std::vector<Stud>& studs,
                             const HouseRules& rules) {
    SlideQuestion ask;
    const auto* framing = std::get_if<Framing>(&wall.structure);
    const bool timber = framing && framing->material == StudMaterial::timber;
    for (std::size_t i = 0; i < run.units.size(); ++i) {
        const CabinetUnit& unit = run.units[i];
        const Length inset = unit.side + rules.runs.driver_room;
        const bool tall = unit.kind == UnitKind::tall || unit.kind == UnitKind::appliance_housing;
        ask.widths.push_back(layout.units[i].width);
        ask.hung.push_back(
            {timber && is_cabinet(unit) && unit.hanging == Hanging::screws && (run.level == RunLevel::wall || tall),
             timber && unit.width - 2 * inset < framing->spacing, inset, 2});
    }
    ask.chains = chains_of(run);
    ask.from = layout.from;
    ask.to = layout.to;
    ask.apart_least = rules.spacing_least;
    if (timber)
        for (const Stud& stud : studs)
            if (stud.state == StudState::proved && holds_usual_screw(*framing, stud, rules))
                ask.studs.push_back(stud.centre);
    std::ranges::sort(ask.studs);
    const auto room = [&](std::size_t after, std::size_t before) {
        // The fillers between two chains; none at an end of the run: any gap.
        Length least;
        Length most;
        for (std::size_t i = after; i < before; ++i) {
            least += least_of(run.units[i]);
            most += most_of(run.units[i]);
        }
        ask.room_least.push_back(least);
        ask.room_most.push_back(after == before ? boundless : most);
    };
    std::size_t after = 0;
    for (const UnitChain& chain : ask.chains) {
        ask.now.push_back(layout.units[chain.first].left);
        room(after, chain.first);
        after = chain.last + 1;
    }
    room(after, run.units.size());
    return ask;
}

PlaceRun push_run(const Run& run, const RunLayout& layout, Length by) {
    PlaceRun edit{run.id, layout.left() + by, {}};
    for (std::size_t i = 0; i < run.units.size(); ++i)
        if (is_filler(run.units[i]))
            edit.fillers.push_back(layout.units[i].width);
    if (run.units.empty() || !is_filler(run.units.front()))
        return edit;
    // The first filler stays against its end.
    const Length first = layout.units.front().width;
    const Length moved =
        std::max(least_of(run.units.front()), std::min(most_of(run.units.front()), first + by)) - first;
    edit.left = layout.left();
    edit.fillers.front() = first + moved;
    if (run.units.size() > 1 && is_filler(run.units.back()))
        edit.fillers.back() = std::max(least_of(run.units.back()),
                                       std::min(most_of(run.units.back()), layout.units.back().width - moved));
    return edit;
}

PlaceRun place_by_slide(const Run& run, const RunLayout& layout, const StudSlide& slide) {
    PlaceRun edit{run.id, layout.left(), {}};
    // Each group of fillers between two chains takes the room between them: shared evenly, the last takes the rest.
    Length at = layout.from;
    std::size_t after = 0;
    const auto fill = [&](std::size_t before, Length to) {
        const std::size_t fillers = before - after;
        Length rest = to - at;
        for (std::size_t i = 0; i < fillers; ++i) {
            const auto left_over = static_cast<std::int64_t>(fillers - i);
            Length later_least;
            Length later_most;
            for (std::size_t k = i + 1; k < fillers; ++k) {
                later_least += least_of(run.units[after + k]);
                later_most += most_of(run.units[after + k]);
            }
            const CabinetUnit& filler = run.units[after + i];
            const Length low = std::max(least_of(filler), rest - later_most);
            const Length high = std::min(most_of(filler), rest - later_least);
            const Length width = std::max(low, std::min(high, rest / left_over));
            edit.fillers.push_back(width);
            rest -= width;
        }
    };
    for (std::size_t c = 0; c < slide.chains.size() && c < slide.places.size(); ++c) {
        const SlideChain& chain = slide.chains[c];
        if (c == 0)
            edit.left = chain.first == 0 ? slide.places[0] : layout.from;
        fill(chain.first, slide.places[c]);
        at = slide.places[c];
        for (std::size_t i = chain.first; i <= chain.last; ++i)
            at += layout.units[i].width;
        after = chain.last + 1;
    }
    fill(run.units.size(), layout.to.value_or(at));
    return edit;
}

} // namespace yes_square
