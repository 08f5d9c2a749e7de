#pragma once

#include "core/runs/hang_unit.hpp"
#include "core/runs/place_run.hpp"

namespace yes_square {

/// Heights of a room's lines by id.
using LineHeights = std::map<std::string, Length>;

/// What a run is reckoned against: its wall, the room's lines and the other runs. Refers to the job, which must outlive
/// it.
struct RunSite {
    const WallSite& wall;
    const LineHeights& lines;
    const std::vector<RunLayout>& layouts; ///< of the wall's runs
    /// How the walls at its ends lean: x a height, z the packing behind a plumb line there; empty: not read.
    const std::vector<ProfilePoint>& left_lean;
    const std::vector<ProfilePoint>& right_lean;

    /// Whether a rail's screw at x is sure to be in something that carries: masonry, or a stud that was met.
    bool rail_holds(Length x) const {
        const auto stud = wall.stud_round(x);
        return wall.masonry() || (stud && wall.survey.studs[*stud].state == StudState::proved);
    }
    const RunRules& rules() const { return wall.rules.runs; }
    /// None: nobody drew that line.
    std::optional<Length> line(const std::string& id) const {
        if (id == line_id::floor)
            return Length{};
        const auto found = lines.find(id);
        return found == lines.end() ? std::nullopt : std::optional{found->second};
    }
};

/// The units of a run where they stand. A unit on a line that nobody drew stands on the floor, a wall unit hangs from
/// it.
std::vector<StandingUnit> standing_units(const Run& run, const RunLayout& layout, const RunSite& site);

} // namespace yes_square
