#pragma once

#include "app/bench/workbench.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/kit.hpp"
#include "core/fitting/as_found.hpp"
#include "core/steps/day_schedule.hpp"

namespace yes_square::app {

/// What the day's stages show of the job, worked out when first asked for and kept while the job stays as it is.
class Day {
public:
    explicit Day(Workbench& bench);

    const JobOrder& order();
    const DaySchedule& schedule();
    const CuttingPlan& cutting(const Scope& scope);
    const Kit& kit(const Scope& scope);

    /// The time now and who is named as fitting: what a tick or a reading is signed with.
    Stamp stamp() const;

private:
    void forget();

    Workbench& bench_;
    std::optional<JobOrder> order_;
    std::optional<DaySchedule> schedule_;
    std::optional<CuttingPlan> cutting_;
    std::optional<Kit> kit_;
    std::pair<std::string, std::string> cutting_of_;
    std::pair<std::string, std::string> kit_of_;
};

/// "5 Mar 14:20" in the user's own time; empty for an empty or unreadable one.
QString shown_time(const std::string& utc);

} // namespace yes_square::app
