#include "core/lines/solve_lines.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr std::size_t none = static_cast<std::size_t>(-1);
constexpr std::size_t floor_node = 0;

/// Longest paths away from one node along bounds, or, turned round, towards it.
class LongestPaths {
public:
    LongestPaths(std::size_t nodes, const std::vector<HeightBound>& bounds, std::size_t source, bool turned)
        : bounds_{bounds}
        , turned_{turned}
        , far_(nodes)
        , by_(nodes, none) {
        far_[source] = Length{};
        // A path visits no node twice, so that a change in the last round means a circle that climbs for ever.
        for (std::size_t round = 0; round < nodes; ++round) {
            std::size_t changed = none;
            for (std::size_t i = 0; i < bounds.size(); ++i)
                if (far_[tail(i)] && (!far_[head(i)] || *far_[tail(i)] + bounds[i].by > *far_[head(i)])) {
                    far_[head(i)] = *far_[tail(i)] + bounds[i].by;
                    by_[head(i)] = i;
                    changed = head(i);
                }
            if (changed == none)
                return;
            on_circle_ = changed;
        }
    }

    const std::optional<Length>& far(std::size_t node) const { return far_[node]; }
    bool climbs_for_ever() const { return on_circle_ != none && circle_found(); }

    /// The bounds of a circle that climbs for ever.
    std::vector<std::size_t> circle() const {
        std::size_t node = on_circle_;
        for (std::size_t i = 0; i < far_.size(); ++i) // far enough back to be on the circle itself
            node = tail(by_[node]);
        std::vector<std::size_t> around;
        std::size_t at = node;
        do {
            around.push_back(by_[at]);
            at = tail(by_[at]);
        } while (at != node);
        std::ranges::reverse(around);
        return around;
    }

    /// The bounds from the source to a node.
    std::vector<std::size_t> path(std::size_t node) const {
        std::vector<std::size_t> path;
        for (; by_[node] != none; node = tail(by_[node]))
            path.push_back(by_[node]);
        std::ranges::reverse(path);
        return path;
    }

private:
    std::size_t tail(std::size_t i) const { return turned_ ? bounds_[i].upper : bounds_[i].lower; }
    std::size_t head(std::size_t i) const { return turned_ ? bounds_[i].lower : bounds_[i].upper; }

    bool circle_found() const {
        std::size_t node = on_circle_;
        for (std::size_t i = 0; i < far_.size(); ++i) {
            if (by_[node] == none)
                return false;
            node = tail(by_[node]);
        }
        return true;
    }

    const std::vector<HeightBound>& bounds_;
    bool turned_;
    std::vector<std::optional<Length>> far_;
    std::vector<std::size_t> by_;
    std::size_t on_circle_ = none;
};

/// No height lies under the floor, but for those that a bound holds there: as near under it as that lets them.
void stand_on_floor(std::size_t nodes, std::vector<HeightBound>& bounds) {
    std::vector<HeightBound> all = bounds;
    for (std::size_t node = 1; node < nodes; ++node)
        all.push_back({node, floor_node, Length{}, HeightBound::no_relation});
    if (!LongestPaths{nodes, all, floor_node, false}.climbs_for_ever()) {
        bounds = std::move(all);
        return;
    }
    for (std::size_t node = 1; node < nodes; ++node) {
        const auto down = LongestPaths{nodes, bounds, floor_node, true}.far(node);
        bounds.push_back({node, floor_node, std::min(Length{}, down ? -*down : Length{}), HeightBound::no_relation});
    }
}

HeightConflict conflict_of(const std::vector<HeightBound>& bounds, const std::vector<std::size_t>& circle) {
    HeightConflict conflict;
    for (const std::size_t i : circle) {
        conflict.amount += bounds[i].by;
        const std::size_t relation = bounds[i].relation;
        if (std::ranges::find(conflict.relations, relation) == conflict.relations.end())
            conflict.relations.push_back(relation);
    }
    conflict.dropped = std::ranges::max(conflict.relations);
    return conflict;
}

} // namespace

SolvedHeights solve_heights(std::size_t nodes, const std::vector<HeightBound>& given,
                            const std::vector<std::optional<Length>>& wanted) {
    SolvedHeights solved;
    std::vector<HeightBound> kept = given;
    // Circles are looked for from every node at once: bounds too low to join one reach them all from the floor.
    Length deep = Length::nanometres(1);
    for (const HeightBound& bound : given)
        deep += absolute(bound.by);
    for (;;) {
        std::vector<HeightBound> reached = kept;
        for (std::size_t node = 1; node < nodes; ++node)
            reached.push_back({node, floor_node, -deep, HeightBound::no_relation});
        const LongestPaths paths{nodes, reached, floor_node, false};
        if (!paths.climbs_for_ever())
            break;
        HeightConflict& conflict = solved.conflicts.emplace_back(conflict_of(reached, paths.circle()));
        std::erase_if(kept, [&](const HeightBound& bound) { return bound.relation == conflict.dropped; });
    }
    stand_on_floor(nodes, kept);

    const auto lowest = [&] { return LongestPaths{nodes, kept, floor_node, false}; };
    const auto highest = [&] { return LongestPaths{nodes, kept, floor_node, true}; };
    const auto upper_limit = [](const LongestPaths& down, std::size_t node) {
        return down.far(node) ? std::optional{-*down.far(node)} : std::nullopt;
    };
    const LongestPaths free = lowest();
    const LongestPaths held = highest();
    for (std::size_t node = 0; node < nodes; ++node) {
        solved.least.push_back(*free.far(node));
        solved.most.push_back(upper_limit(held, node));
    }
    for (std::size_t node = 1; node < nodes && node < wanted.size(); ++node)
        if (wanted[node]) {
            const Length low = *lowest().far(node);
            const auto high = upper_limit(highest(), node);
            const Length at = std::max(low, high ? std::min(*high, *wanted[node]) : *wanted[node]);
            kept.push_back({node, floor_node, at, HeightBound::no_relation});
            kept.push_back({floor_node, node, -at, HeightBound::no_relation});
        }
    const LongestPaths settled = lowest();
    for (std::size_t node = 0; node < nodes; ++node) {
        solved.z.push_back(*settled.far(node));
        std::vector<HeightBound>& carried = solved.up.emplace_back();
        for (const std::size_t i : settled.path(node))
            carried.push_back(kept[i]);
    }
    return solved;
}

} // namespace yes_square
