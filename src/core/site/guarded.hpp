#pragma once

#include "core/plan/check.hpp"

#include <exception>
#include <new>

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode not_reckoned{"not_reckoned", Severity::error};
} // namespace checks

/// "Map shelf could not be reckoned: ..." as an error: a thing that is not reckoned is never fine.
Check not_reckoned(const std::string& name, std::string_view why);

/// A plan filled in by `work(plan)`. One thing that cannot be reckoned never takes others with it: where `work` throws,
/// the plan stays as it was given, with a check that says so.
/// @param name  of the thing, as the fitter knows it
template <class Plan>
Plan guarded(Plan plan, const std::string& name, auto&& work) {
    Plan filled = plan;
    try {
        work(filled);
        return filled;
    } catch (const std::bad_alloc&) {
        throw;
    } catch (const std::exception& problem) {
        plan.checks.insert(plan.checks.begin(), not_reckoned(name, problem.what()));
        return plan;
    }
}

} // namespace yes_square
