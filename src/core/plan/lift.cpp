#include "core/plan/lift.hpp"

namespace yes_square {

std::vector<Sentence> lift_words(const Lift& lift) {
    std::vector<Sentence> words;
    if (lift.borne())
        words.push_back({lift.at_arms_length
                             ? std::string_view{"{0} to {1} up at arm's length is more than two hold there ({2}): a "
                                                "jack, a ledger or a prop bears it, hands only steady it"}
                             : "{0} to {1} up is more than two hold there ({2}): a jack, a ledger or a prop bears it, "
                               "hands only steady it",
                         {quantity(lift.mass), quantity(lift.to), quantity(lift.by_two)}});
    else if (lift.persons() > 1)
        words.push_back({lift.at_arms_length
                             ? std::string_view{"{0} to {1} up at arm's length is for two: one alone lifts {2} there, "
                                                "or has a jack or a ledger under it"}
                             : "{0} to {1} up is for two: one alone lifts {2} there, or has a jack or a ledger under "
                               "it",
                         {quantity(lift.mass), quantity(lift.to), quantity(lift.alone)}});
    if (lift.from == Lift::From::step)
        words.push_back({"Hands go to {0}: a step with a platform stands there first, never a chair or a worktop",
                         {quantity(lift.work_up)}});
    if (lift.from == Lift::From::tower)
        words.push_back({"Hands go to {0}: from a tower or trestles with a guard; nobody lifts from a ladder",
                         {quantity(lift.work_up)}});
    return words;
}

} // namespace yes_square
