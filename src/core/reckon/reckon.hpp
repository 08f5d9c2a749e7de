#pragma once

#include "core/reckon/reckon_survey.hpp"
#include "core/shelves/shelf_study.hpp"

namespace yes_square {

/// Everything that follows from a job. Never throws for a strange wall or shelf: what cannot be reckoned becomes a
/// check on it.
Plan reckon(const Job& job);

/// One shelf of a plan looked at closely; nothing where the job has no such shelf. Takes milliseconds: for the shelf in
/// hand, not for all.
std::optional<ShelfStudy> study(const Job& job, const Plan& plan, const std::string& shelf);
/// Only what it would hold.
std::optional<Capacity> capacity(const Job& job, const Plan& plan, const std::string& shelf);

/// What a wardrobe comes to by each policy of sharing its width, in their order; empty: there is no such wardrobe.
std::vector<SystemPlan> width_choices(const Job& job, const Plan& plan, const std::string& system);

/// Where on its wall each shelf looked for others as it was reckoned, in their order.
using LookedAt = std::vector<std::vector<Outline>>;

/// Reckons the same job again and again, as it is edited: walls that did not change keep their plan, and on a wall that
/// did those shelves that looked at nothing that changed.
///
///     Reckoner reckoner;
///     const Plan& plan = reckoner.reckon(job);
class Reckoner {
public:
    const Plan& reckon(const Job& job);

private:
    Job last_;
    std::vector<WallSurroundings> last_around_;
    std::vector<std::shared_ptr<const LookedAt>> looked_at_; ///< of every wall
    Plan plan_;
};

} // namespace yes_square
