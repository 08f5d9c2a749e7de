#include "core/storage/panel_plumb.hpp"

namespace yes_square {

PanelCorrection plumb_correction(const PanelReading& reading, Length panel_height, const StorageRules& rules) {
    PanelCorrection correction;
    correction.panel = reading.panel;
    const double height = panel_height.in_metres();
    correction.slope = reading.off.in_metres() / reading.over.in_metres();
    correction.foot_moves = Length::nearest_to_metres(correction.slope * height);
    correction.to_right = reading.top_to_right;
    correction.error = Length::nearest_to_metres(rules.level_error.in_metres() * height);
    correction.within = correction.foot_moves <= Length::nearest_to_metres(rules.plumb_per_m.in_metres() * height);
    return correction;
}

Length panel_height(const StorageSystem& system, const SystemPlan& plan, int panel) {
    const auto at = static_cast<std::size_t>(panel) - 1;
    return at < plan.panels.size() ? plan.panels[at].height() : system.panel_height;
}

} // namespace yes_square
