#include "../opinion/printed_sum.hpp"
#include "../random_jobs.hpp"
#include "core/measure/sum.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/summary.hpp"
#include "demo_job.hpp"

#include <catch2/catch.hpp>
#include <cmath>

using namespace yes_square;

TEST_CASE("the sums on paper add up as printed, in mm and in 1/16 in", "[workings]") {
    std::vector<Job> jobs{demo_job()};
    for (std::uint64_t seed = 50'000; seed < 50'060; ++seed)
        jobs.push_back(RandomJobs{seed}.next());
    std::size_t sums = 0;
    const auto look = [&](const Working& working) {
        INFO(working.subject);
        CHECK_FALSE(working.sum.empty());
        for (const Unit unit : {Unit::mm, Unit::inch_16}) {
            const std::string text = sum_text(working, {unit, {}});
            if (working.result.si != working.result.si || std::isinf(working.result.si))
                continue; // "beyond all measure": there is nothing to redo
            ++sums;
            INFO(text);
            CHECK(opinion::halves_off(text).value_or(INFINITY) <= 1 + 1e-6);
        }
    };
    for (const Job& job : jobs) {
        const Plan plan = reckon(job);
        for (const auto& wall : plan.walls) {
            for (const Working& working : wall->survey.workings)
                look(working);
            const auto all = [&](const auto& plans) {
                for (const auto& each : plans)
                    for (const Working& working : each.workings)
                        look(working);
            };
            all(wall->shelves);
            all(wall->runs);
            all(wall->systems);
            all(wall->pieces);
            all(wall->boxes);
            all(wall->hung);
            all(wall->feeds);
        }
        for (const RoomSurvey& room : plan.rooms)
            for (const Working& working : room.lines.workings)
                look(working);
    }
    CHECK(sums > 1000);
}

TEST_CASE("the reader of printed sums sees what does not add up", "[workings]") {
    CHECK(opinion::halves_off("1665 mm - 22 mm = 1643 mm").value() == Approx(0).margin(1e-6));
    CHECK(opinion::halves_off("1665 mm - 22 mm = 1644 mm").value() > 1.9);
    CHECK(opinion::halves_off("(32 3/4 in + 1/2 in) / 2 = 16 5/8 in").value() < 1);
    CHECK(opinion::halves_off("(32 3/4 in + 1/2 in) / 2 = 16 3/4 in").value() > 1);
    CHECK(opinion::halves_off("max(2.5 kg x 9.81, 3 N) / 2 = 12.3 N").value() < 1);
    CHECK_FALSE(opinion::halves_off("as it is = 3"));
    CHECK_FALSE(opinion::halves_off("nothing"));
}

TEST_CASE("a sum is redone as a person would", "[measure][workings]") {
    const std::vector<double> terms{10, 4, 3};
    CHECK(redo("({0} - 2 x {1}) / {2}", terms).value() == Approx(2.0 / 3));
    CHECK(redo("sqrt({1} x {1} + {2} x {2})", terms).value() == Approx(5));
    CHECK(redo("max({0} / {1}, {2})", terms).value() == Approx(3));
    CHECK_FALSE(redo("{0} + {7}", terms));
    CHECK_FALSE(redo("{0} as it is", terms));
    CHECK(printed(quantity(123.456_n), {Unit::mm, {}}).text == "123 N");
    CHECK(printed(quantity(123.456_n), {Unit::mm, {}}, 2).text == "123.46 N");
}
