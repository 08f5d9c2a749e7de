#include "core/runs/place_run.hpp"

#include <algorithm>
#include <numeric>

namespace yes_square {
namespace {

/// Shares room among fillers, evenly but for those at their least or most; what is left over is given back. Where a
/// fair share breaks limits both ways, those are settled first that are broken by more in total: so all the room is
/// shared out whenever the limits let it be.
Length share_among_fillers(Length room, const std::vector<const CabinetUnit*>& fillers, std::vector<Length>& widths) {
    widths.assign(fillers.size(), Length{});
    std::vector<std::size_t> open(fillers.size());
    std::iota(open.begin(), open.end(), std::size_t{0});
    Length rest = room;
    while (!open.empty()) {
        const Length share = rest / static_cast<std::int64_t>(open.size());
        const auto within = [&](std::size_t i) {
            return std::max(least_of(*fillers[i]), std::min(share, most_of(*fillers[i])));
        };
        Length broken;
        bool any = false;
        for (const std::size_t i : open) {
            broken += within(i) - share;
            any = any || within(i) != share;
        }
        if (!any) {
            for (const std::size_t i : open)
                rest -= widths[i] = i == open.back() ? rest : share;
            return rest;
        }
        std::erase_if(open, [&](std::size_t i) {
            const Length width = within(i);
            const bool settle = width != share && (broken >= Length{} ? width > share : width < share);
            if (settle || (broken == Length{} && width != share)) {
                widths[i] = width;
                rest -= width;
                return true;
            }
            return false;
        });
    }
    return rest;
}

class RunPlacer {
public:
    RunPlacer(const Wall& wall, Length width, const RunNeighbours& neighbours)
        : wall_{wall}
        , width_{width}
        , neighbours_{neighbours}
        , layouts_(wall.runs.size())
        , state_(wall.runs.size(), State::open) {}

    std::vector<RunLayout> place() {
        for (std::size_t i = 0; i < wall_.runs.size(); ++i)
            place(i);
        return std::move(layouts_);
    }

private:
    enum class State { open, under_way, done };

    /// The run of this number once it is placed; nullptr: it waits for itself.
    const RunLayout* place(std::size_t index) {
        if (state_[index] == State::under_way)
            return nullptr;
        if (state_[index] == State::open) {
            state_[index] = State::under_way;
            layouts_[index] = layout_of(wall_.runs[index]);
            state_[index] = State::done;
        }
        return &layouts_[index];
    }

    std::optional<Length> boundary(const RunEnd& end, bool at_start) {
        const std::int64_t inward = at_start ? 1 : -1;
        switch (end.at) {
        case EndKind::wall_end:
            return (at_start ? Length{} : width_) + end.clear * inward;
        case EndKind::place:
            return end.place + end.clear * inward;
        case EndKind::opening: {
            const auto number = static_cast<std::size_t>(end.opening);
            if (number < 1 || number > wall_.openings.size())
                return std::nullopt;
            const Opening& opening = wall_.openings[number - 1];
            return (at_start ? opening.left + opening.width : opening.left) + end.clear * inward;
        }
        case EndKind::run: {
            if (const auto reach = neighbours_.reach.find(end.run); reach != neighbours_.reach.end())
                return (at_start ? reach->second : width_ - reach->second) + end.clear * inward;
            const auto other = std::ranges::find(wall_.runs, end.run, &Run::id);
            if (other == wall_.runs.end())
                return std::nullopt;
            const RunLayout* layout = place(static_cast<std::size_t>(other - wall_.runs.begin()));
            if (!layout)
                return std::nullopt;
            return (at_start ? layout->right() : layout->left()) + end.clear * inward;
        }
        }
        return std::nullopt;
    }

    RunLayout layout_of(const Run& run) {
        RunLayout layout;
        const auto from = boundary(run.start, true);
        const auto to = run.open_end ? std::nullopt : boundary(run.end, false);
        layout.from = from.value_or(Length{});
        layout.to = to;
        layout.ends_known = from && (to || run.open_end);

        std::vector<Length> widths;
        Length total;
        std::vector<const CabinetUnit*> fillers;
        for (const CabinetUnit& unit : run.units) {
            widths.push_back(unit.width);
            total += unit.width;
            if (is_filler(unit))
                fillers.push_back(&unit);
        }
        layout.slack = to ? *to - layout.from - total : Length{};
        Length left = layout.from + offset(run, layout, widths);
        if (run.slack == Slack::fillers && to && !fillers.empty()) {
            Length fixed;
            for (const CabinetUnit& unit : run.units)
                fixed += is_filler(unit) ? Length{} : unit.width;
            std::vector<Length> filled;
            layout.slack = share_among_fillers(*to - layout.from - fixed, fillers, filled);
            std::size_t next = 0;
            for (std::size_t i = 0; i < run.units.size(); ++i)
                if (is_filler(run.units[i]))
                    widths[i] = filled[next++];
            left = layout.from;
        }
        for (const Length width : widths) {
            layout.units.push_back({left, width});
            left += width;
        }
        return layout;
    }

    /// Where the run begins, from where it may begin.
    Length offset(const Run& run, const RunLayout& layout, const std::vector<Length>& widths) {
        const Length spare = std::max(Length{}, layout.slack);
        switch (run.slack) {
        case Slack::left_end:
            return spare;
        case Slack::both_ends:
            return spare / 2;
        case Slack::by_hand:
            return run.left - layout.from;
        case Slack::on_opening:
        case Slack::on_hob: {
            const auto centre = run.slack == Slack::on_hob ? hob_centre() : opening_centre(layout);
            if (!centre)
                return spare / 2;
            const Length wanted = *centre - centre_within(run, widths) - layout.from;
            return layout.to ? std::clamp(wanted, Length{}, spare) : std::max(Length{}, wanted);
        }
        case Slack::right_end:
        case Slack::fillers:
            return {};
        }
        return {};
    }

    /// From the run's left end to the middle of the unit that is centred, or of the whole run.
    static Length centre_within(const Run& run, const std::vector<Length>& widths) {
        Length left;
        for (std::size_t i = 0; i < run.units.size(); ++i) {
            const bool hood = run.slack == Slack::on_hob && run.centre_unit.empty() && run.units[i].appliance &&
                              run.units[i].appliance->kind == ApplianceKind::hood;
            if (hood || run.units[i].id == run.centre_unit)
                return left + widths[i] / 2;
            left += widths[i];
        }
        return left / 2;
    }

    std::optional<Length> opening_centre(const RunLayout& layout) const {
        const Length middle = (layout.from + layout.to.value_or(width_)) / 2;
        std::optional<Length> nearest;
        for (const Opening& opening : wall_.openings) {
            const Length centre = opening.left + opening.width / 2;
            if (!nearest || absolute(centre - middle) < absolute(*nearest - middle))
                nearest = centre;
        }
        return nearest;
    }

    std::optional<Length> hob_centre() {
        for (std::size_t r = 0; r < wall_.runs.size(); ++r) {
            const Run& run = wall_.runs[r];
            for (std::size_t i = 0; i < run.units.size(); ++i)
                if (run.level == RunLevel::floor && run.units[i].appliance &&
                    run.units[i].appliance->kind == ApplianceKind::hob)
                    if (const RunLayout* layout = place(r))
                        return layout->units[i].left + layout->units[i].width / 2;
        }
        return std::nullopt;
    }

    const Wall& wall_;
    Length width_;
    const RunNeighbours& neighbours_;
    std::vector<RunLayout> layouts_;
    std::vector<State> state_;
};

} // namespace

Length reach_of(const Run& run, const RunRules& rules, bool at_right_end) {
    Length reach;
    for (const CabinetUnit& unit : run.units)
        reach = std::max(reach, unit.depth + (unit.hinge == DoorHinge::none ? Length{} : rules.door_thickness));
    if (run.units.empty())
        return reach;
    const CabinetUnit& end = at_right_end ? run.units.back() : run.units.front();
    // A post's return strip stands before the fronts, an L corner's arm reaches from the corner itself.
    return std::max(reach, end.kind == UnitKind::corner_post ? end.depth + end.return_width : end.return_width);
}

std::vector<RunLayout> place_runs(const Wall& wall, Length width, const RunNeighbours& neighbours) {
    return RunPlacer{wall, width, neighbours}.place();
}

bool is_filler(const CabinetUnit& unit) {
    return unit.kind == UnitKind::filler;
}

std::vector<UnitChain> chains_of(const Run& run) {
    std::vector<UnitChain> chains;
    bool open = false;
    for (std::size_t i = 0; i < run.units.size(); ++i) {
        if (is_filler(run.units[i])) {
            open = false;
            continue;
        }
        if (!open)
            chains.push_back({i, i});
        chains.back().last = i;
        open = true;
    }
    return chains;
}

Length least_of(const CabinetUnit& filler) {
    return filler.most > Length{} ? filler.least : filler.width;
}

Length most_of(const CabinetUnit& filler) {
    return filler.most > Length{} ? std::max(filler.least, filler.most) : filler.width;
}

} // namespace yes_square
