#pragma once

#include <nlohmann/json.hpp>
#include <string>
#include <vector>

/// A second opinion on a plan: written from the trade's formulas, knowing nothing of the program but the JSON of a job
/// and of its plan. What it finds wrong it says in words that name the thing.
namespace opinion {

using Json = nlohmann::json;

struct Findings {
    std::vector<std::string> wrong; ///< forces that do not balance, capacities and verdicts that do not hold
    std::size_t things = 0;
    std::size_t groups = 0;    ///< of holes whose forces were balanced
    std::size_t holes = 0;     ///< whose fixing was weighed again
    std::size_t boards = 0;    ///< bent again
    double worst_balance = 0;  ///< greatest share by which forces missed their load
    double worst_capacity = 0; ///< greatest share by which a capacity or a use differed
};

/// Equilibrium of every group of holes in every load case, every fixing's pull, shear and use again by NDS-2018 (from
/// memory) or by the packet, leaning along the whole edge by influence lines from beam elements, and the verdict:
/// nothing without an error or a warning is used beyond what it bears.
void weigh(const Json& job, const Json& plan, Findings& findings);

} // namespace opinion
