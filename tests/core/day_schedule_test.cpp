#include "core/reckon/reckon.hpp"
#include "core/sheets/day_drawing.hpp"
#include "core/steps/day_schedule.hpp"
#include "demo_job.hpp"
#include "schedules.hpp"

#include <functional>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

/// The earliest end of all, for one person and no hours: every order, the steps one after another.
JobTime earliest_of_all(const JobOrder& order, JobTime begins, JobTime day_long) {
    std::vector<std::size_t> numbers(order.tasks.size());
    for (std::size_t i = 0; i < numbers.size(); ++i)
        numbers[i] = i;
    JobTime best = std::numeric_limits<JobTime>::max();
    do {
        std::vector<JobTime> ends(numbers.size(), 0);
        JobTime free = 0;
        JobTime last = 0;
        bool allowed = true;
        std::vector<bool> done(numbers.size());
        for (const std::size_t t : numbers) {
            const Task& task = order.tasks[t];
            JobTime from = 0;
            for (const std::size_t first : task.after) {
                allowed = allowed && done[first];
                from = std::max(from, ends[first]);
            }
            if (!allowed)
                break;
            const auto takes = static_cast<JobTime>(task.minutes * 60);
            if (task.step.phase != Phase::cure) {
                from = std::max(from, free);
                JobTime day = from / seconds_a_day * seconds_a_day;
                from = std::max(from, day + begins);
                if (from + takes > day + begins + day_long)
                    from = day + seconds_a_day + begins;
                free = from + takes;
            }
            ends[t] = from + takes;
            last = std::max(last, ends[t]);
            done[t] = true;
        }
        if (allowed)
            best = std::min(best, last);
    } while (std::ranges::next_permutation(numbers).found);
    return best;
}

} // namespace

TEST_CASE("while resin sets others work, nobody is needed for it and it goes on overnight", "[schedule]") {
    // Set the bars 30 min, they cure 60 min, hang 30 min; 90 min of other work. One person, from 8:00.
    const JobOrder order = order_of({task(30), task(60, 1, {0}, Phase::cure), task(30, 1, {1}), task(90)});
    const Job job = crew_of(1);
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    // Nothing is waited for: 150 minutes of work, the bars first.
    CHECK(schedule.ends == at(1, 8) + 150 * minute);
    CHECK(schedule.earliest());
    CHECK(of(schedule, 0).begins == at(1, 8));
    CHECK(of(schedule, 1).by.empty());

    // Glue that wants twelve hours, set at the end of a short day, is dry next morning.
    const JobOrder glue = order_of({task(60), task(720, 1, {0}, Phase::cure), task(60, 1, {1})});
    const Job short_day = crew_of(1, 15, 2);
    const DaySchedule overnight = day_schedule(short_day, glue);
    CHECK(wrong_with(short_day, glue, overnight) == "");
    CHECK(of(overnight, 1).ends == at(2, 4));
    CHECK(of(overnight, 2).begins == at(2, 15));
    CHECK(overnight.days() == 2);
}

TEST_CASE("steps are not broken off overnight", "[schedule]") {
    // Three steps of 100 minutes in days of 240: two on the first day, one on the second.
    const JobOrder order = order_of({task(100), task(100), task(100)});
    const Job job = crew_of(1, 9, 4);
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    CHECK(schedule.ends == at(2, 9) + 100 * minute);
    // 300 minutes would end at 10:00 of the second day if they could be broken off: the bound says no more.
    CHECK(schedule.least_end <= schedule.ends);
}

TEST_CASE("who helps is asked for as short as can be, or comes when the job says", "[schedule]") {
    // One fitter: lifts (two persons) among other work that must lie between them in no way.
    const JobOrder order =
        order_of({task(20, 2), task(60), task(20, 2), task(60), task(20, 2), task(60), task(60), task(60), task(60)});
    const Job job = crew_of(1);
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    CHECK(schedule.helpers == 1);
    CHECK(schedule.ends == at(1, 8) + 420 * minute);
    CHECK(schedule.least_helper == 60 * minute);
    CHECK(schedule.helper_there == 60 * minute); // the lifts one after another

    // The neighbour has an hour from eleven.
    Job told = job;
    told.days.helpers = {{1, 11, 12, {}}};
    const DaySchedule at_eleven = day_schedule(told, order);
    CHECK(wrong_with(told, order, at_eleven) == "");
    for (const std::size_t lift : {0U, 2U, 4U}) {
        CHECK(of(at_eleven, lift).begins >= at(1, 11));
        CHECK(of(at_eleven, lift).ends <= at(1, 12));
    }
    CHECK(at_eleven.ends == at(1, 8) + 420 * minute);

    // Nobody is ever there long enough: said with the step and a way out.
    told.days.helpers = {{1, 11, 11.25, {}}};
    const DaySchedule never = day_schedule(told, order);
    CHECK(never.tasks.empty());
    REQUIRE(never.impossible.size() == 1);
    const std::string words = say(never.impossible.front(), {});
    CHECK(words.find("Do it") != std::string::npos);
    CHECK(words.find("20 min") != std::string::npos);
    // Long enough for one lift, and only one such stretch.
    told.days.helpers = {{1, 11, 11.5, {}}};
    CHECK_FALSE(day_schedule(told, order).impossible.empty());
    // Out of working hours is as good as not there.
    told.days.helpers = {{1, 5, 7, {}}};
    CHECK_FALSE(day_schedule(told, order).impossible.empty());
}

TEST_CASE("hours that are none are refused in words, and so is a step longer than a day", "[schedule]") {
    const JobOrder order = order_of({task(60)});
    Job job = crew_of(1, 20, 8);
    CHECK(say(day_schedule(job, order).impossible.at(0), {}).find("midnight") != std::string::npos);
    job = crew_of(1, 8, 0.5);
    const DaySchedule schedule = day_schedule(job, order);
    REQUIRE(schedule.impossible.size() == 1);
    CHECK(say(schedule.impossible.front(), {}).find("more than a day's work") != std::string::npos);
}

TEST_CASE("strange hours, steps of no time and days of no length are reckoned or refused, never fallen over",
          "[schedule][strange]") {
    const JobOrder order = order_of({task(0), task(0, 2, {0}), task(30, 1, {1}), task(0, 1, {2}, Phase::cure)});
    for (const double begins : {0.0, 8.0, 23.9, 24.0, 30.0, 1e6})
        for (const double hours : {1e-6, 0.5, 8.0, 24.0, 1e6})
            for (const int crew : {1, 2, 40}) {
                Job job = crew_of(crew, begins, hours);
                job.days.helpers = {{1, 30, 40, {}}, {2, 12, 8, {}}};
                for (int told = 0; told < 2; ++told) {
                    const DaySchedule schedule = day_schedule(job, order);
                    CHECK(schedule.tasks.empty() != schedule.impossible.empty());
                    job.days.helpers.clear();
                }
            }
    const Job job = crew_of(1);
    CHECK(wrong_with(job, order, day_schedule(job, order)) == "");
}

TEST_CASE("nothing begins before its room is free and its parts are there", "[schedule]") {
    Job job = crew_of(2);
    job.rooms = {{}, {}};
    job.rooms[0].id = "kitchen";
    job.rooms[1].id = "hall";
    job.walls = {{}, {}};
    job.walls[0].id = "kitchen-wall";
    job.walls[0].room = "kitchen";
    job.walls[1].id = "hall-wall";
    job.walls[1].room = "hall";
    std::vector<Task> tasks{task(60), task(60), task(60), task(60, 1, {}, Phase::mark)};
    tasks[0].wall = "kitchen-wall";
    tasks[1].wall = "hall-wall";
    tasks[2].wall = "hall-wall";
    tasks[2].item = "shelf";
    tasks[3].wall = "hall-wall";
    const JobOrder order = order_of(tasks);
    job.days.not_before = {{"kitchen", 3, {}}, {"shelf", 2, {}}};
    DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    CHECK(of(schedule, 0).begins == at(3, 8));
    CHECK(of(schedule, 1).begins == at(1, 8));
    CHECK(of(schedule, 2).begins == at(2, 8));
    // The delivery on day 4: marks are made before it, nothing is hung.
    job.days.not_before = {{"", 4, {}}};
    schedule = day_schedule(job, order);
    CHECK(of(schedule, 3).begins == at(1, 8));
    CHECK(of(schedule, 1).begins == at(4, 8));
    CHECK(schedule.earliest());
}

TEST_CASE("few steps: no order of all ends earlier", "[schedule]") {
    rc::prop("as every order tried by hand", [] {
        const int number = *rc::gen::inRange(2, 7);
        std::vector<Task> tasks;
        for (int t = 0; t < number; ++t) {
            std::vector<std::size_t> after;
            for (int first = 0; first < t; ++first)
                if (*rc::gen::inRange(0, 4) == 0)
                    after.push_back(static_cast<std::size_t>(first));
            const bool cures = *rc::gen::inRange(0, 4) == 0;
            tasks.push_back(task(*rc::gen::inRange(1, 13) * 10, 1, after, cures ? Phase::cure : Phase::hang));
        }
        const JobOrder order = order_of(tasks);
        const Job job = crew_of(1, 8, 4);
        const DaySchedule schedule = day_schedule(job, order);
        RC_ASSERT(wrong_with(job, order, schedule) == "");
        RC_ASSERT(schedule.ends == earliest_of_all(order, 8 * hour, 4 * hour));
        RC_ASSERT(schedule.earliest());
    });
}

TEST_CASE("any job, crew and hours: the laws of a schedule hold", "[schedule]") {
    rc::prop("laws", [] {
        const int number = *rc::gen::inRange(1, 40);
        const int crew = *rc::gen::inRange(1, 4);
        std::vector<Task> tasks;
        for (int t = 0; t < number; ++t) {
            std::vector<std::size_t> after;
            for (int first = std::max(0, t - 6); first < t; ++first)
                if (*rc::gen::inRange(0, 5) == 0)
                    after.push_back(static_cast<std::size_t>(first));
            const bool cures = *rc::gen::inRange(0, 8) == 0;
            tasks.push_back(task(*rc::gen::inRange(1, 12) * 5, cures ? 1 : *rc::gen::inRange(1, crew + 2), after,
                                 cures ? Phase::cure : Phase::hang));
        }
        const JobOrder order = order_of(tasks);
        Job job = crew_of(crew, *rc::gen::inRange(6, 12), *rc::gen::inRange(2, 9));
        if (*rc::gen::inRange(0, 2) == 1)
            for (int day = 1; day <= 30; ++day)
                job.days.helpers.push_back({day, job.days.begins, job.days.begins + 1.5, {}});
        const DaySchedule schedule = day_schedule(job, order);
        RC_ASSERT(schedule.impossible.empty());
        RC_ASSERT(wrong_with(job, order, schedule) == "");
        // The same again is the same.
        const DaySchedule again = day_schedule(job, order);
        RC_ASSERT(again.ends == schedule.ends);
        // A step that takes as much longer as it has slack does not make the job end later.
        for (std::size_t t = 0; t < order.tasks.size(); t += 7) {
            if (schedule.helpers > 0 && !job.days.helpers.empty())
                break; // the helper's hours are not in the slack
            const JobTime slack = of(schedule, t).slack;
            if (slack > 0)
                RC_ASSERT(slips_when(job, order, schedule, t, slack).ends == schedule.ends);
        }
    });
}

TEST_CASE("what slips when a step takes longer: what waits for it and for its hands, by how much", "[schedule]") {
    const JobOrder order = order_of({task(60), task(30, 1, {0}), task(30, 1, {1}), task(45)});
    const Job job = crew_of(2);
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(schedule.ends == at(1, 10));
    CHECK(of(schedule, 3).slack == 75 * minute);
    const Slips slips = slips_when(job, order, schedule, 0, 20 * minute);
    CHECK(slips.ends == schedule.ends + 20 * minute);
    REQUIRE(slips.tasks.size() == 2);
    for (const Slip& slip : slips.tasks) {
        CHECK((slip.task == 1 || slip.task == 2));
        CHECK(slip.to - slip.from == 20 * minute);
    }
    CHECK(slips_when(job, order, schedule, 3, 75 * minute).tasks.empty());
    CHECK(slips_when(job, order, schedule, 3, 75 * minute).ends == schedule.ends);
}

TEST_CASE("minutes as measured: the median of steps that were begun and ticked, breaks left out", "[schedule]") {
    std::vector<Task> tasks;
    for (int t = 0; t < 6; ++t)
        tasks.push_back(task(5));
    tasks.push_back(task(1, 1, {}, Phase::mark));
    const JobOrder order = order_of(tasks);
    Job job;
    const auto tick = [&](int number, const std::string& begun, const std::string& at, TickState state) {
        Tick made;
        made.key = "task " + std::to_string(number);
        made.begun = begun;
        made.at = at;
        made.state = state;
        job.ticks.push_back(made);
    };
    tick(0, "2026-03-05T09:00:00Z", "2026-03-05T09:08:00Z", TickState::done);
    tick(1, "2026-03-05T23:55:00Z", "2026-03-06T00:07:00Z", TickState::done); // over midnight
    tick(2, "2026-03-05T10:00:00Z", "2026-03-05T10:10:00Z", TickState::done);
    tick(3, "2026-03-05T11:00:00Z", "2026-03-05T18:00:00Z", TickState::done); // a break
    tick(4, "", "2026-03-05T12:00:00Z", TickState::done);                     // nobody said when it began
    tick(5, "2026-03-05T12:00:00Z", "2026-03-05T12:30:00Z", TickState::could_not);
    tick(6, "not a time", "2026-03-05T12:00:00Z", TickState::done);
    const std::vector<LearnedMinutes> learned = learned_minutes(job, order);
    REQUIRE(learned.size() == 3);
    CHECK(learned[2].times == 3);
    CHECK(learned[2].median == Approx(10));
    CHECK(learned[2].house == job.rules.fitting.step_min);
    CHECK(learned[0].times == 0);
}

TEST_CASE("the demo's days: every step in its hours, drawn once a person, told in words", "[schedule][demo]") {
    Job job = demo_job();
    const Plan plan = reckon(job);
    for (const int crew : {1, 2}) {
        job.crew = crew;
        const JobOrder order = job_order(job, plan);
        const DaySchedule schedule = day_schedule(job, order);
        REQUIRE(schedule.impossible.empty());
        CHECK(wrong_with(job, order, schedule) == "");
        // Close to the bound: within a twentieth of the working time.
        CHECK(schedule.ends - schedule.least_end <= 24 * minute);
        JobTime drawn = 0;
        JobTime worked = 0;
        for (const DayBlock& block : blocks_of(job, order, schedule))
            if (!block.wait) {
                CHECK(day_of(block.ends - 1) == block.day);
                drawn += block.ends - block.begins;
            }
        for (const ScheduledTask& each : schedule.tasks)
            worked += (each.ends - each.begins) * static_cast<JobTime>(each.by.size());
        CHECK(drawn >= worked); // a block covers its pauses of a minute
        CHECK_FALSE(schedule_words(schedule).empty());
    }
}

TEST_CASE("what is ticked off is done, and the rest begins on the day that comes next", "[schedule]") {
    const JobOrder order = order_of({task(100), task(100, 1, {0}), task(60, 1, {1}), task(60)});
    Job job = crew_of(1);
    job.ticks.push_back({"task 0", TickState::done, {}, {}, {}, {}, {}});
    job.ticks.push_back({"task 3", TickState::begun, {}, {}, {}, {}, {}});
    job.days.next = 3;
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(schedule.done == 1);
    CHECK(schedule.tasks.size() == 3); // what is only begun is still to be done
    for (const ScheduledTask& each : schedule.tasks) {
        CHECK(each.task != 0);
        CHECK(each.begins >= at(3, 8));
    }
    CHECK(schedule.ends == at(3, 8) + 220 * minute);
    CHECK(schedule.earliest());
    bool told = false;
    for (const Sentence& each : schedule_words(schedule))
        told |= say(each, {}).find("Steps ticked off: 1. Left, and planned here: 3") != std::string::npos;
    CHECK(told);
    // A longer step pushes on what follows it, as ever.
    const Slips slips = slips_when(job, order, schedule, 1, 30 * minute);
    CHECK(slips.ends == schedule.ends + 30 * minute);
}

TEST_CASE("when all is ticked off there is nothing to plan", "[schedule]") {
    const JobOrder order = order_of({task(100), task(100, 1, {0})});
    Job job = crew_of(1);
    for (const char* key : {"task 0", "task 1"})
        job.ticks.push_back({key, TickState::done, {}, {}, {}, {}, {}});
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(schedule.tasks.empty());
    REQUIRE(schedule_words(schedule).size() == 1);
    CHECK(say(schedule_words(schedule).front(), {}) == "All 2 steps are ticked off");
}
