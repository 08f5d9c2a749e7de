#include "core/steps/day_schedule.hpp"

#include <catch2/catch.hpp>
#include <glpk.h>
#include <random>

/// When a job ends at the earliest, as a mixed-integer program with a binary for each step and each half hour that it
/// may begin at, solved by GLPK.
using namespace yes_square;

namespace {

constexpr int slots_a_day = 8; ///< of half an hour
constexpr double begins = 9;

struct Chore {
    int slots;
    int persons;
    std::vector<std::size_t> after;
    std::size_t room;
};

/// A room is shut in slots [from, to) of the first days.
struct Shut {
    std::size_t room;
    int from;
    int to;
};

std::vector<Chore> random_steps(std::mt19937& random, int crew) {
    const auto any = [&](int least, int most) { return std::uniform_int_distribution<int>{least, most}(random); };
    std::vector<Chore> steps;
    const int number = any(8, 10);
    for (int t = 0; t < number; ++t) {
        Chore step{any(1, 4), any(1, crew), {}, static_cast<std::size_t>(any(0, 1))};
        for (int first = std::max(0, t - 4); first < t; ++first)
            if (any(0, 3) == 0)
                step.after.push_back(static_cast<std::size_t>(first));
        steps.push_back(step);
    }
    return steps;
}

/// The slot at whose end all is done at the earliest, no later than the horizon.
int end_by_mip(const std::vector<Chore>& steps, const std::vector<Shut>& shut, int crew, int horizon) {
    glp_term_out(GLP_OFF);
    glp_prob* problem = glp_create_prob();
    glp_set_obj_dir(problem, GLP_MIN);
    struct Begin {
        std::size_t step;
        int slot;
    };
    std::vector<Begin> columns;
    for (std::size_t t = 0; t < steps.size(); ++t)
        for (int s = 0; s < horizon; ++s)
            if (s % slots_a_day + steps[t].slots <= slots_a_day && std::ranges::none_of(shut, [&](const Shut& each) {
                    return each.room == steps[t].room && s < each.to && each.from < s + steps[t].slots;
                }))
                columns.push_back({t, s});
    const int last = static_cast<int>(columns.size()) + 1; // the end
    glp_add_cols(problem, last);
    for (int c = 1; c < last; ++c)
        glp_set_col_kind(problem, c, GLP_BV);
    glp_set_col_bnds(problem, last, GLP_DB, 0, horizon);
    glp_set_obj_coef(problem, last, 1);
    const auto row = [&](int type, double low, double high, auto&& weigh) {
        std::vector<int> places{0};
        std::vector<double> weights{0};
        for (std::size_t c = 0; c < columns.size(); ++c)
            if (const double weight = weigh(columns[c]); weight != 0) {
                places.push_back(static_cast<int>(c) + 1);
                weights.push_back(weight);
            }
        const int number = glp_add_rows(problem, 1);
        glp_set_row_bnds(problem, number, type, low, high);
        return std::tuple{number, places, weights};
    };
    const auto set = [&](const auto& made) {
        const auto& [number, places, weights] = made;
        glp_set_mat_row(problem, number, static_cast<int>(places.size()) - 1, places.data(), weights.data());
    };
    for (std::size_t t = 0; t < steps.size(); ++t) {
        set(row(GLP_FX, 1, 1, [&](const Begin& b) { return b.step == t ? 1.0 : 0.0; }));
        auto ends = row(GLP_UP, 0, 0, [&](const Begin& b) { return b.step == t ? b.slot + steps[t].slots : 0.0; });
        std::get<1>(ends).push_back(last);
        std::get<2>(ends).push_back(-1);
        set(ends);
        for (const std::size_t first : steps[t].after)
            set(row(GLP_LO, steps[first].slots, 0, [&](const Begin& b) {
                return b.step == t ? b.slot : b.step == first ? -b.slot : 0.0;
            }));
    }
    for (int s = 0; s < horizon; ++s)
        set(row(GLP_UP, 0, crew, [&](const Begin& b) {
            return b.slot <= s && s < b.slot + steps[b.step].slots ? steps[b.step].persons : 0.0;
        }));
    glp_iocp settings;
    glp_init_iocp(&settings);
    settings.presolve = GLP_ON;
    settings.tm_lim = 60'000;
    REQUIRE(glp_intopt(problem, &settings) == 0);
    REQUIRE(glp_mip_status(problem) == GLP_OPT);
    const int end = static_cast<int>(std::lround(glp_mip_obj_val(problem)));
    glp_delete_prob(problem);
    return end;
}

JobTime time_of(int end) {
    const int slot = end - 1;
    return slot / slots_a_day * seconds_a_day + static_cast<JobTime>(begins * 3600) +
           (slot % slots_a_day + 1) * JobTime{1800};
}

} // namespace

TEST_CASE("a job over days ends when a mixed-integer program says that it can at the earliest",
          "[schedule][reference][slow]") {
    std::mt19937 random{20260305};
    int proved = 0;
    for (int round = 0; round < 25; ++round) {
        const int crew = 1 + round % 3;
        const std::vector<Chore> steps = random_steps(random, crew);
        Job job;
        job.crew = crew;
        job.days.begins = begins;
        job.days.hours = slots_a_day * 0.5;
        job.rooms = {{}, {}};
        job.walls = {{}, {}};
        for (std::size_t room = 0; room < 2; ++room) {
            job.rooms[room].id = "room " + std::to_string(room);
            job.walls[room].id = "wall " + std::to_string(room);
            job.walls[room].room = job.rooms[room].id;
        }
        // Every other job has rooms that are shut for some hours.
        std::vector<Shut> shut;
        for (int each = 0; each < 3 && round % 2 == 1; ++each) {
            const int day = std::uniform_int_distribution<int>{0, 2}(random);
            const int from = std::uniform_int_distribution<int>{0, slots_a_day - 2}(random);
            const int to = std::uniform_int_distribution<int>{from + 1, slots_a_day}(random);
            shut.push_back({static_cast<std::size_t>(each % 2), day * slots_a_day + from, day * slots_a_day + to});
            job.days.shut.push_back(
                {job.rooms[shut.back().room].id, day + 1, begins + from * 0.5, begins + to * 0.5, {}});
        }
        JobOrder order;
        for (const Chore& step : steps) {
            Task task;
            task.step = {{"Do it"}, false, Phase::hang, step.persons};
            task.minutes = step.slots * 30;
            task.after = step.after;
            task.key = std::to_string(order.tasks.size());
            task.wall = job.walls[step.room].id;
            order.tasks.push_back(task);
        }
        const DaySchedule schedule = day_schedule(job, order);
        const JobTime best = time_of(end_by_mip(steps, shut, crew, schedule.days() * slots_a_day));
        CAPTURE(round, crew, steps.size());
        CHECK(schedule.least_end <= best); // the bound is one
        CHECK(schedule.ends == best);
        proved += schedule.earliest();
    }
    CHECK(proved >= 8); // and often says by itself that it is reached
}
