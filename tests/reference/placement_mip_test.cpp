#include "placement_mip.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;

TEST_CASE("where brackets go is as good as a general mixed-integer program finds, on 500 random shelves",
          "[shelves][search][reference]") {
    std::mt19937 random{20261125};
    int possible = 0;
    for (int round = 0; round < 500; ++round) {
        const BracketQuestion question = random_question(random);
        const Placement ours = place_by_search(question);
        const Placement theirs = place_by_mip(question);
        INFO("shelf " << round << ", " << question.length.in_mm() << " mm, at most " << question.spacing_more.in_mm()
                      << " mm apart");
        REQUIRE(ours.possible == theirs.possible);
        if (!theirs.possible)
            continue;
        ++possible;
        CHECK(ours.on_lining == theirs.on_lining);
        CHECK(ours.count == theirs.count);
    }
    CHECK(possible > 400);
}
