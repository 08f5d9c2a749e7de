#include "core/boxes/audit_cabinet.hpp"
#include "core/job/file.hpp"
#include "piece_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

HungCabinet cabinet() {
    HungCabinet hung = old_cabinet();
    hung.unit.id = "unit";
    return hung;
}

FoundScrew screw(Length across, Length down) {
    return {FoundThrough::rail, FoundIn::wood, across, down, ScrewGauge::number_10, 3_in, true, false, {}};
}

HungCabinet with(std::vector<FoundScrew> screws) {
    HungCabinet hung = cabinet();
    hung.found = std::move(screws);
    return hung;
}

HungPlan plan_of(const HungCabinet& hung, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    job.walls.front().hung = {hung};
    return reckon(job).walls.front()->hung.front();
}

std::string why(const FoundScrew& one, Wall wall = stud_wall()) {
    const HungPlan plan = plan_of(with({one}), std::move(wall));
    REQUIRE(plan.found.size() == 1);
    CHECK_FALSE(plan.found.front().counts);
    CHECK(plan.counts == 0);
    CHECK(plan.verdict == HungVerdict::unload);
    return say(plan.found.front().why, {});
}

} // namespace

TEST_CASE("screws in studs through rails hold as the same numbers do, each where it is", "[boxes][audit]") {
    const HungPlan plan =
        plan_of(with({screw(50_mm, 60_mm), screw(850_mm, 60_mm), screw(50_mm, 660_mm), screw(850_mm, 660_mm)}));
    REQUIRE(plan.found.size() == 4);
    for (const FoundVerdict& found : plan.found)
        CHECK(found.counts);
    CHECK(plan.found[1].x == 2400_mm);
    CHECK(plan.found[1].z == 2040_mm);
    CHECK(plan.utilisation.within());
    CHECK(plan.verdict == HungVerdict::sound);

    // Told by number the worst arrangement is taken, in studs that may be nearer: never less used.
    HungCabinet numbers = cabinet();
    numbers.top_screws = numbers.bottom_screws = 2;
    numbers.studs = 2;
    numbers.gauge = ScrewGauge::number_10;
    numbers.screw_length = 3_in;
    numbers.broad_heads = true;
    const HungPlan by_number = plan_of(numbers);
    CHECK(by_number.utilisation >= plan.utilisation);
}

TEST_CASE("what does not count says why", "[boxes][audit]") {
    FoundScrew one = screw(50_mm, 60_mm);
    one.in = FoundIn::lining;
    CHECK(why(one).find("nothing but lining") != std::string::npos);
    one = screw(50_mm, 60_mm);
    one.in = FoundIn::not_known;
    CHECK(why(one).find("nobody knows") != std::string::npos);
    one = screw(50_mm, 60_mm);
    one.moved = true;
    CHECK(why(one).find("moved") != std::string::npos);
    one = screw(50_mm, 60_mm);
    one.gauge.reset();
    CHECK(why(one).find("lining screws snap") != std::string::npos);
    one = screw(50_mm, 60_mm);
    one.length = {};
    CHECK(why(one).find("not known") != std::string::npos);
    one = screw(50_mm, 60_mm);
    one.through = FoundThrough::back;
    CHECK(why(one).find("extra") != std::string::npos);
    one.through = FoundThrough::ledger;
    CHECK(why(one).find("keeps nothing to the wall") != std::string::npos);
    CHECK(why(screw(50_mm, 300_mm)).find("no rail was entered") != std::string::npos);
    CHECK(why(screw(250_mm, 60_mm)).find("no proved stud") != std::string::npos);
    // 16 mm off the middle of a 38 mm stud is its edge.
    CHECK(why(screw(66_mm, 60_mm)).find("no proved stud") != std::string::npos);
    CHECK(why(screw(-20_mm, 60_mm)).find("not on the cabinet") != std::string::npos);
    CHECK(why(screw(50_mm, 60_mm), masonry_wall()).find("no timber studs") != std::string::npos);
    // A stud that is only indicated proves nothing.
    Wall guessed = stud_wall();
    for (Stud& stud : guessed.studs)
        stud.state = StudState::indicated;
    CHECK(why(screw(50_mm, 60_mm), guessed).find("no proved stud") != std::string::npos);
}

TEST_CASE("a screw in a side joins its neighbour, and a thick back stands for a rail", "[boxes][audit]") {
    FoundScrew joint = screw(10_mm, 200_mm);
    joint.through = FoundThrough::stile;
    // One stud, joined to a neighbour: that will do; without the neighbour screws are wanted.
    const std::vector<FoundScrew> column{screw(450_mm, 40_mm), screw(450_mm, 80_mm), screw(450_mm, 640_mm),
                                         screw(450_mm, 680_mm)};
    CHECK(plan_of(with(column)).verdict != HungVerdict::sound);
    std::vector<FoundScrew> joined = column;
    joined.push_back(joint);
    const HungPlan plan = plan_of(with(joined));
    CHECK_FALSE(plan.found.back().counts);
    if (plan.utilisation.within())
        CHECK(plan.verdict == HungVerdict::sound);

    // One that moved, or of which nobody knows what it is in, joins nothing.
    for (const bool moved : {true, false}) {
        joined.back().moved = moved;
        joined.back().in = moved ? FoundIn::wood : FoundIn::not_known;
        CHECK(plan_of(with(joined)).verdict != HungVerdict::sound);
    }

    HungCabinet thick = cabinet();
    thick.unit.rails.clear();
    thick.unit.back = 18_mm;
    FoundScrew through_back = screw(450_mm, 300_mm);
    through_back.through = FoundThrough::back;
    thick.found = {through_back};
    CHECK(plan_of(thick).found.front().counts);
}

TEST_CASE("one screw that holds nothing more does not make a cabinet worse, screws more never do", "[boxes][audit]") {
    // Two strong ones, and a short one that does not reach the wood: what the two hold they hold.
    FoundScrew shorter = screw(450_mm, 60_mm);
    shorter.length = Length::inches(1);
    const std::vector<FoundScrew> two{screw(50_mm, 60_mm), screw(850_mm, 60_mm), screw(50_mm, 660_mm),
                                      screw(850_mm, 660_mm)};
    const HungPlan plain = plan_of(with(two));
    std::vector<FoundScrew> more = two;
    more.push_back(shorter);
    const HungPlan with_short = plan_of(with(more));
    CHECK(with_short.utilisation == plain.utilisation);
    CHECK(with_short.counts == 4);
    more.push_back(screw(450_mm, 660_mm));
    CHECK(plan_of(with(more)).utilisation <= plain.utilisation);
    // Unlike screws are each weighed as what they are: a thinner one among them is used more than its like.
    std::vector<FoundScrew> unlike = two;
    unlike[0].gauge = ScrewGauge::number_8;
    CHECK(plan_of(with(unlike)).utilisation >= plain.utilisation);
}

TEST_CASE("any screws: sound is said only of what holds, and one more never makes it worse", "[boxes][audit][safety]") {
    rc::prop("laws of an audit", [] {
        const auto any = [] {
            FoundScrew one =
                screw(Length::mm(50 + 400 * *rc::gen::inRange(0, 3)), *rc::gen::inRange(0, 2) ? 60_mm : 660_mm);
            one.across += Length::mm(*rc::gen::inRange(-2, 3));
            one.gauge = *rc::gen::inRange(0, 2) ? ScrewGauge::number_10 : ScrewGauge::number_14;
            one.length = Length::mm(*rc::gen::inRange(60, 95));
            one.moved = *rc::gen::inRange(0, 8) == 0;
            if (*rc::gen::inRange(0, 8) == 0)
                one.in = static_cast<FoundIn>(*rc::gen::inRange(0, 3));
            return one;
        };
        HungCabinet hung = cabinet();
        const int number = *rc::gen::inRange(3, 9);
        for (int i = 0; i < number; ++i)
            hung.found.push_back(any());
        const HungPlan plan = plan_of(hung);
        const auto counts = static_cast<std::size_t>(std::ranges::count_if(plan.found, &FoundVerdict::counts));
        RC_ASSERT(plan.counts <= counts);
        RC_TAG(std::string{words(plan.verdict)});
        if (plan.verdict == HungVerdict::sound) {
            RC_ASSERT(counts >= 4U);
            RC_ASSERT(plan.utilisation.within());
        }
        RC_ASSERT(plan.verdict != HungVerdict::unload || holds(plan) != Holds::yes);
        hung.found.push_back(any());
        const HungPlan more = plan_of(hung);
        if (plan.utilisation.known())
            RC_ASSERT(more.utilisation <= plan.utilisation);
    });
}

TEST_CASE("screws to add go where none is that counts, clear of the sound ones", "[boxes][audit]") {
    const HungPlan plan = plan_of(with({screw(50_mm, 60_mm), screw(850_mm, 60_mm)}));
    CHECK(plan.verdict != HungVerdict::sound);
    CHECK(plan.add_bottom >= 2);
    const double apart = 10 * properties(ScrewGauge::number_10).diameter_in * 25.4;
    for (const Step& step : plan.steps)
        if (step.words.pattern.starts_with("A screw is wanted at")) {
            const double x = std::get<Quantity>(step.words.values[0]).si * 1000;
            const double z = std::get<Quantity>(step.words.values[1]).si * 1000;
            for (const FoundVerdict& found : plan.found)
                CHECK((std::abs(found.x.in_mm() - x) >= apart || std::abs(found.z.in_mm() - z) >= apart));
        }
}

TEST_CASE("what was found screw by screw goes to the file and back", "[boxes][audit][file]") {
    Job job = bare_job();
    FoundScrew one = screw(50_mm, 60_mm);
    one.moved = true;
    one.gauge.reset();
    job.walls.front().hung = {with({one, screw(850_mm, 60_mm)})};
    const auto back = read_job(write_job(job));
    INFO((back ? std::string{} : back.error().text()));
    REQUIRE(back);
    CHECK(back->job == job);
}
