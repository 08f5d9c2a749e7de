#include "../opinion/printed_sum.hpp"
#include "box_walls.hpp"
#include "core/sheets/summary.hpp"

using namespace yes_square;

TEST_CASE("the sum printed for a screwed joint and for strips gives the use that is judged", "[boxes][workings]") {
    std::size_t sums = 0;
    for (const TimberSchool school : {TimberSchool::nds, TimberSchool::en})
        for (const Length top : {1200_mm, 1900_mm}) { // somebody leans on the low one
            WallBox box = on_strips();
            box.top = top;
            box.depth = 300_mm;
            box.joint = BoxJoint::butt;
            box.corner = BoxCorner::sides_through;
            const BoxPlan plan = plan_of(job_of(box, school));
            for (const Working& working : plan.workings)
                for (const auto& [subject, use] :
                     {std::pair{std::string{"joint"}, plan.joint}, std::pair{std::string{"strips"}, plan.strips}})
                    if (working.subject == subject) {
                        const std::string text = sum_text(working, {});
                        INFO(text);
                        CHECK(opinion::halves_off(text).value_or(INFINITY) <= 1 + 1e-6);
                        CHECK(working.result == ratio(use));
                        ++sums;
                    }
        }
    CHECK(sums >= 4);
}
