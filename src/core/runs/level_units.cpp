#include "core/runs/level_units.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Heights at which a table says a width: both ends and every step between.
std::vector<Length> steps_between(Length bottom, Length top, Length step) {
    std::vector<Length> heights;
    for (Length z = bottom; z < top; z += step)
        heights.push_back(z);
    heights.push_back(top);
    return heights;
}

} // namespace

Length Scribe::least() const {
    return std::ranges::min_element(cuts, {}, &ScribeCut::width)->width;
}
Length Scribe::most() const {
    return std::ranges::max_element(cuts, {}, &ScribeCut::width)->width;
}

std::vector<Foot> feet_of(const StandingUnit& standing, const WallSite& site) {
    std::vector<Foot> feet;
    if (standing.level == RunLevel::wall || !is_cabinet(standing.unit))
        return feet;
    const RunRules& rules = site.rules.runs;
    const bool legs = standing.bottom > Length{};
    const Length most = legs ? rules.leg_most : rules.shim_most;
    const Length inset = std::min(rules.foot_inset, standing.unit.width / 2);
    for (const Length x : {standing.place.left + inset, standing.place.right() - inset})
        for (const bool front : {true, false}) {
            const Length height = standing.bottom - site.survey.floor.standing_at(x);
            feet.push_back({x, front, height, std::max(Length{}, height - most)});
        }
    return feet;
}

namespace {

/// A filler's table where the wall beside it leans: as wide as it was reckoned where that wall stands out most.
Scribe side_scribe(std::size_t number, const StandingUnit& standing, const std::vector<ProfilePoint>& lean,
                   Length step) {
    Scribe scribe{number, standing.unit.name, false, standing.place.width, {}};
    const Length proudest = std::ranges::min_element(lean, {}, &ProfilePoint::z)->z;
    for (const Length z : steps_between(standing.bottom, standing.top(), step))
        scribe.cuts.push_back({z, standing.place.width + *height_at(lean, z) - proudest});
    return scribe;
}

bool at_wall(const RunEnd& end) {
    return end.at == EndKind::wall_end;
}

} // namespace

std::vector<Scribe> scribes_of(const Run& run, const std::vector<StandingUnit>& units, const RunSite& site) {
    std::vector<Scribe> scribes;
    const Length step = site.rules().scribe_step;
    const WallSurvey& survey = site.wall.survey;
    for (std::size_t i = 0; i < units.size(); ++i) {
        const StandingUnit& standing = units[i];
        if (standing.unit.kind == UnitKind::filler && i == 0 && at_wall(run.start) && !site.left_lean.empty())
            scribes.push_back(side_scribe(i, standing, site.left_lean, step));
        if (standing.unit.kind == UnitKind::filler && i + 1 == units.size() && at_wall(run.end) && !run.open_end) {
            std::vector<ProfilePoint> lean = site.right_lean;
            if (lean.empty() && survey.widths)
                for (const WidthReading& reading : site.wall.wall.widths)
                    lean.push_back({reading.z, reading.width});
            std::ranges::sort(lean, {}, &ProfilePoint::x);
            if (!lean.empty())
                scribes.push_back(side_scribe(i, standing, lean, step));
        }
        if (standing.unit.kind == UnitKind::end_panel && survey.face.measured()) {
            Scribe scribe{i, standing.unit.name, true, standing.unit.depth, {}};
            const Length x = standing.place.left + standing.place.width / 2;
            for (const Length z : steps_between(standing.bottom, standing.top(), step))
                scribe.cuts.push_back({z, standing.unit.depth + *survey.face.shim_at(x, z)});
            scribes.push_back(std::move(scribe));
        }
    }
    return scribes;
}

} // namespace yes_square
