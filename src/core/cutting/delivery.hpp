#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <string>
#include <string_view>
#include <tl/expected.hpp>

/// What came against what was listed and what the plan wants.
namespace yes_square {

/// Reads a packing list: columns code, name and quantity in any order, code needed. On error the text names line,
/// column and cure.
tl::expected<std::vector<DeliveryLine>, std::string> packing_list_from_csv(std::string_view table);

/// Something about the delivery that is not as it should be.
struct DeliveryFinding {
    std::string code;
    Sentence problem;
    std::vector<Sentence> stops; ///< what cannot be done until it is there; empty: nothing on the plan wants it
};

/// Lines that are short, wrong or damaged, lines nobody has checked, and cabinets of the plan that are on no line.
std::vector<DeliveryFinding> check_delivery(const Job& job, const Plan& plan);

} // namespace yes_square
