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

/// Width between the wall's ends at a height: straight between readings, the nearest one's beyond them.
std::optional<Length> width_at(const std::vector<WidthReading>& readings, Length z) {
    std::vector<ProfilePoint> points;
    for (const WidthReading& reading : readings)
        points.push_back({reading.z, reading.width});
    std::ranges::sort(points, {}, &ProfilePoint::x);
    return height_at(points, z);
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

std::vector<Scribe> scribes_of(const std::vector<StandingUnit>& units, const RunLayout& layout, bool at_wall_end,
                               const WallSite& site) {
    std::vector<Scribe> scribes;
    const Length step = site.rules.runs.scribe_step;
    for (std::size_t i = 0; i < units.size(); ++i) {
        const StandingUnit& standing = units[i];
        const bool last_filler = standing.unit.kind == UnitKind::filler && i + 1 == units.size() && at_wall_end;
        if (last_filler && site.survey.widths && layout.to) {
            Scribe scribe{i, standing.unit.name, false, standing.place.width, {}};
            for (const Length z : steps_between(standing.bottom, standing.top(), step)) {
                const Length lean = *width_at(site.wall.widths, z) - site.survey.widths->least;
                scribe.cuts.push_back({z, standing.place.width + lean});
            }
            scribes.push_back(std::move(scribe));
        }
        if (standing.unit.kind == UnitKind::end_panel && site.survey.face.measured()) {
            Scribe scribe{i, standing.unit.name, true, standing.unit.depth, {}};
            const Length x = standing.place.left + standing.place.width / 2;
            for (const Length z : steps_between(standing.bottom, standing.top(), step))
                scribe.cuts.push_back({z, standing.unit.depth + *site.survey.face.shim_at(x, z)});
            scribes.push_back(std::move(scribe));
        }
    }
    return scribes;
}

} // namespace yes_square
