#include "core/shelves/bracket_search.hpp"
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

TEST_CASE("joints that must lie on brackets cost no more than a mixed-integer program says",
          "[shelves][search][reference]") {
    std::mt19937 random{20261126};
    int possible = 0;
    for (int round = 0; round < 200; ++round) {
        BracketQuestion question = random_question(random);
        const int cells = static_cast<int>(question.length.in_mm()) / grid_mm;
        const int joints = 1 + round % 2;
        for (int i = 0; i < joints; ++i)
            question.musts.push_back(
                Length::mm(grid_mm * std::uniform_int_distribution<int>{cells / 4, 3 * cells / 4}(random)));
        std::ranges::sort(question.musts);
        question.musts.erase(std::ranges::unique(question.musts).begin(), question.musts.end());
        const Placement ours = place_by_search(question);
        const Placement theirs = place_by_mip(question);
        INFO("shelf " << round << ", " << question.length.in_mm() << " mm, a joint at "
                      << question.musts.front().in_mm());
        REQUIRE(ours.possible == theirs.possible);
        if (!theirs.possible)
            continue;
        ++possible;
        CHECK(ours.on_lining == theirs.on_lining);
        CHECK(ours.count == theirs.count);
    }
    CHECK(possible > 100);
}

TEST_CASE("every layout with joints has a bracket under each and brackets on both sides of it", "[shelves][search]") {
    std::mt19937 random{7};
    for (int round = 0; round < 100; ++round) {
        BracketQuestion question = random_question(random);
        question.musts = {question.length / 2};
        for (const School school : {School::studs_first, School::even, School::mirrored})
            for (const BracketLayout& layout : best_layouts(question, school)) {
                CHECK(std::ranges::any_of(
                    layout.places, [&](Length place) { return absolute(place - question.musts.front()) < 1_mm; }));
                CHECK(layout.places.front() < question.musts.front());
                CHECK(layout.places.back() > question.musts.front());
            }
    }
}
