#include "core/steps/job_order.hpp"
#include "core/plan/cautions.hpp"

#include "core/fitting/wall_marks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/stability/piece_words.hpp"

#include <algorithm>
#include <cassert>
#include <fmt/format.h>
#include <map>
#include <queue>
#include <set>
#include <tuple>
#include <utility>

namespace yes_square {
namespace {

/// Which of a wall's things are hung or stood first, all else being free.
enum class Turn { emptied, first_run, second_run, system, shelf, box, feed, furniture };

/// What stands before another task among those that could be begun: the lower goes first.
using Rank = std::tuple<int, std::size_t, int, int, std::size_t, std::size_t, std::size_t>;

/// A few letters that stand for a step's words and figures: a step that says something else is another one, and not
/// done. FNV-1a over pattern and values, whatever unit they are shown in.
std::string letters_of(const Sentence& words) {
    std::uint32_t hash = 2166136261U;
    const auto take = [&](std::string_view bytes) {
        for (const char c : bytes)
            hash = (hash ^ static_cast<unsigned char>(c)) * 16777619U;
    };
    take(words.pattern);
    for (const Value& value : words.values)
        std::visit(
            [&](const auto& each) {
                if constexpr (std::is_same_v<std::decay_t<decltype(each)>, Quantity>)
                    take(fmt::format("{}:{:.6g}", static_cast<int>(each.kind), each.si));
                else
                    take(each);
            },
            value);
    return fmt::format("{:08x}", hash);
}

/// A thing's tasks, first to last.
struct Thing {
    std::string id;
    std::size_t wall = 0;
    Turn turn = Turn::shelf;
    std::vector<std::size_t> tasks;
    std::string along; ///< of a feed: what it is along
    bool is_cut = false;
    bool is_run = false;
};

class Orderer {
public:
    Orderer(const Job& job, const Plan& plan, const Scope& scope)
        : job_{job}
        , plan_{plan}
        , rules_{job.rules.fitting} {
        for (const CutPiece& piece : cut_list(job, plan, scope))
            cut_.insert(piece.item);
        for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w)
            if (scope.takes(job.walls[w]))
                add_wall(w);
        tie();
    }

    JobOrder order() {
        schedule();
        return std::move(order_);
    }

private:
    std::size_t room_index(const Wall& wall) const {
        const auto room = std::ranges::find(job_.rooms, wall.room, &Room::id);
        return static_cast<std::size_t>(room - job_.rooms.begin());
    }

    std::size_t add(Task task, Rank rank) {
        task.minutes = task.step.phase == Phase::cure    ? task.step.wait_min
                       : task.step.minutes > 0           ? task.step.minutes
                       : task.step.phase == Phase::mark  ? rules_.mark_min
                       : task.step.phase == Phase::drill ? rules_.drill_min
                                                         : rules_.step_min;
        task.wants_helper = task.step.persons > job_.crew;
        tasks_.push_back(std::move(task));
        ranks_.push_back(rank);
        before_.emplace_back();
        return tasks_.size() - 1;
    }
    void tie(std::size_t first, std::size_t then) { before_[then].insert(first); }

    /// Marks and holes of a wall together; then thing by thing.
    Rank rank(std::size_t w, Turn turn, Phase phase, bool two, std::size_t thing, std::size_t number) const {
        const int urgent = turn == Turn::emptied ? 0 : 1;
        const int group = phase == Phase::ready ? 0 : phase == Phase::mark ? 1 : phase == Phase::drill ? 3 : 4;
        // What wants a second pair of hands goes first, so that a helper can leave.
        const int hands = group == 4 && job_.crew < 2 && !two ? 1 : 0;
        return {
            urgent, room_index(job_.walls[w]), group, hands * 100 + (group == 4 ? static_cast<int>(turn) : 0), w, thing,
            number};
    }

    void add_thing(const std::string& id, const std::string& name, std::size_t w, Turn turn,
                   const std::vector<Step>& steps, const std::string& along = {}) {
        if (steps.empty())
            return;
        Thing thing{id, w, turn, {}, along, cut_.contains(id), turn == Turn::first_run || turn == Turn::second_run};
        const bool two = std::ranges::any_of(steps, [](const Step& step) { return step.persons > 1; });
        std::map<std::string, int> times;
        std::optional<std::size_t> at_wall; // the last of either
        std::optional<std::size_t> at_bench;
        for (const Step& step : steps) {
            if (step.of_wall) {
                of_wall(w, step);
                continue;
            }
            Task task;
            task.key = fmt::format("{}/{}/{}", id, key_word(step.phase), letters_of(step.words));
            if (const int again = ++times[task.key]; again > 1)
                task.key += fmt::format("-{}", again);
            task.wall = job_.walls[w].id;
            task.item = id;
            task.item_name = name;
            task.step = step;
            task.cautions = cautions(step, turn, w);
            const std::size_t added = add(std::move(task), rank(w, turn, step.at_bench ? Phase::mark : step.phase, two,
                                                                things_.size(), thing.tasks.size()));
            std::optional<std::size_t>& before = step.at_bench ? at_bench : at_wall;
            if (before)
                tie(*before, added);
            if (at_bench && !step.at_bench && step.phase >= Phase::hang)
                tie(*std::exchange(at_bench, {}), added);
            before = added;
            thing.tasks.push_back(added);
        }
        things_.push_back(std::move(thing));
    }

    static std::string_view key_word(Phase phase) {
        switch (phase) {
        case Phase::ready:
            return "ready";
        case Phase::mark:
            return "mark";
        case Phase::drill:
            return "drill";
        case Phase::assemble:
            return "assemble";
        case Phase::hang:
            return "hang";
        case Phase::cure:
            return "cure";
        case Phase::adjust:
            return "adjust";
        case Phase::prove:
            return "prove";
        }
        return {};
    }

    std::vector<Sentence> cautions(const Step& step, Turn turn, std::size_t w) const {
        std::vector<Sentence> found;
        if (step.phase == Phase::drill) {
            if (!plan_.walls[w]->survey.strips.empty())
                found.push_back({"Cables or pipes are likely on this wall: detect and isolate first"});
            found.push_back(std::holds_alternative<Masonry>(job_.walls[w].structure)
                                ? Sentence{"Glasses on, a mask for the dust, ear protection with the hammer drill"}
                                : Sentence{"Glasses on; old paint and linings may hold lead or asbestos"});
        }
        if (step.lift)
            std::ranges::move(lift_words(*step.lift), std::back_inserter(found));
        if (step.phase == Phase::hang && step.persons > 1)
            found.push_back({"Keep hold until a screw is in, and stand beside it, not under"});
        if (!step.lift && step.phase == Phase::hang && turn != Turn::furniture)
            found.push_back({"Stand on steps or a platform, not on a chair or a worktop"});
        if (turn == Turn::furniture && step.phase >= Phase::hang)
            found.push_back(tipping_cautions().front());
        return found;
    }

    /// A step said once for a wall. The detector's is the gate.
    void of_wall(std::size_t w, const Step& step) {
        const bool detector = step.words == detector_step().words;
        const auto known = std::ranges::find_if(of_walls_, [&](const OfWall& other) {
            return other.wall == w && tasks_[other.task].step.words == step.words;
        });
        if (known != of_walls_.end())
            return;
        Task task;
        task.kind = detector ? TaskKind::gate : TaskKind::for_wall;
        task.wall = job_.walls[w].id;
        task.item_name = job_.walls[w].name;
        task.step = step;
        if (detector) {
            task.key = task.wall + "/gate";
            task.cautions = general_cautions();
        } else {
            task.key = fmt::format("{}/first/{}", task.wall, letters_of(step.words));
        }
        const std::size_t added = add(std::move(task), {1, room_index(job_.walls[w]), detector ? 2 : 0, 0, w, 0, 0});
        of_walls_.push_back({w, added, detector});
    }

    // When each kind has its turn.
    Turn turn_of(const HungCabinet&, const HungPlan& plan) const {
        return plan.verdict == HungVerdict::unload ? Turn::emptied : Turn::box;
    }
    Turn turn_of(const Run& run, const RunPlan&) const {
        const bool wall_first = job_.rules.runs.hang_first == HangFirst::wall_units;
        return (run.level == RunLevel::wall) == wall_first ? Turn::first_run : Turn::second_run;
    }
    Turn turn_of(const StorageSystem&, const SystemPlan&) const { return Turn::system; }
    Turn turn_of(const WallBox&, const BoxPlan&) const { return Turn::box; }
    Turn turn_of(const LightFeed&, const FeedPlan&) const { return Turn::feed; }
    Turn turn_of(const Piece&, const PiecePlan&) const { return Turn::furniture; }
    /// Shelves, and what is hung like them.
    template <class Kind>
    Turn turn_of(const Kind&, const ThingPlan&) const {
        return Turn::shelf;
    }

    void add_wall(std::size_t w) {
        struct Waiting {
            Turn turn;
            const ThingPlan* plan;
            std::string along; ///< of a light, the thing that it runs along
        };
        std::vector<Waiting> waiting;
        for_each_kind(Things{}, [&]<class Kind>() {
            const std::vector<Kind>& things = job_.walls[w].*parts_of<Kind>;
            const auto& plans = (*plan_.walls[w]).*plans_of<Kind>;
            for (std::size_t i = 0; i < things.size() && i < plans.size(); ++i) {
                Waiting& thing = waiting.emplace_back(Waiting{turn_of(things[i], plans[i]), &plans[i], {}});
                if constexpr (std::same_as<Kind, LightFeed>)
                    thing.along = things[i].item;
            }
        });
        std::ranges::stable_sort(waiting, {}, &Waiting::turn);
        for (const Waiting& thing : waiting)
            add_thing(thing.plan->id, thing.plan->name, w, thing.turn, thing.plan->steps, thing.along);
    }

    void tie() {
        tie_walls();
        tie_rooms();
        tie_things();
    }

    /// Once for all, then all marks, then the gate, then holes.
    void tie_walls() {
        for (const OfWall& once : of_walls_)
            for (const Thing& thing : things_)
                if (thing.wall == once.wall)
                    for (const std::size_t t : thing.tasks) {
                        const Phase phase = tasks_[t].step.phase;
                        if (thing.turn == Turn::emptied && phase == Phase::ready)
                            continue; // what is unsafe waits for nothing
                        if (tasks_[t].step.at_bench)
                            continue; // no hole is made there
                        if (!once.gate)
                            tie(once.task, t);
                        else if (phase <= Phase::mark)
                            tie(t, once.task);
                        else if (phase == Phase::drill || phase >= Phase::hang)
                            tie(once.task, t);
                    }
        for (const OfWall& first : of_walls_)
            for (const OfWall& gate : of_walls_)
                if (first.wall == gate.wall && !first.gate && gate.gate)
                    tie(first.task, gate.task);
    }

    /// A room's lines before its runs are marked; its parts counted, then cut, before they are put together or hung.
    void tie_rooms() {
        std::optional<std::size_t> parts;
        if (!things_.empty() && !job_.delivery.empty()) {
            Task task;
            task.kind = TaskKind::parts;
            task.key = "parts";
            task.step = {{"Count and check every delivered part against the packing list, before work begins"}, true};
            parts = add(std::move(task), {1, 0, -1, 0, 0, 0, 0});
        }
        for (std::size_t r = 0; r < job_.rooms.size(); ++r) {
            const Room& room = job_.rooms[r];
            std::optional<std::size_t> lines;
            std::optional<std::size_t> cut;
            for (const Thing& thing : things_) {
                if (room_index(job_.walls[thing.wall]) != r)
                    continue;
                if (thing.is_run && !lines && !plan_.rooms[r].lines.lines.empty()) {
                    Task task;
                    task.kind = TaskKind::lines;
                    task.key = room.id + "/lines";
                    task.wall = job_.walls[thing.wall].id;
                    task.item_name = room.name;
                    task.step = {{"Strike the level lines of {0} round the room from one reading of the level: {1} of "
                                  "them, check the long ones twice",
                                  {room.name, count(plan_.rooms[r].lines.lines.size())}},
                                 true,
                                 Phase::mark};
                    lines = add(std::move(task), {1, r, 1, -1, 0, 0, 0});
                }
                if (thing.is_cut && !cut) {
                    Task task;
                    task.kind = TaskKind::cut;
                    task.key = room.id + "/cut";
                    task.item_name = room.name;
                    task.step = {{"Cut the parts of {0} by the cutting plan, each labelled as it leaves the saw; those "
                                  "left long wait for what is measured",
                                  {room.name}},
                                 false,
                                 Phase::ready};
                    task.cautions = {{"Saw guard on, glasses and ear protection, the part held down"}};
                    cut = add(std::move(task), {1, r, 0, 1, 0, 0, 0});
                    if (parts)
                        tie(*parts, *cut);
                }
                for (const std::size_t t : thing.tasks) {
                    const Phase phase = tasks_[t].step.phase;
                    if (lines && thing.is_run && phase == Phase::mark)
                        tie(*lines, t);
                    if (cut && thing.is_cut && phase >= Phase::assemble)
                        tie(*cut, t);
                    if (parts && phase >= Phase::assemble && thing.turn != Turn::emptied)
                        tie(*parts, t);
                }
            }
        }
    }

    /// The first task of a phase or later, at the wall; none: it has none.
    std::optional<std::size_t> first_from(const Thing& thing, Phase phase) const {
        for (const std::size_t t : thing.tasks)
            if (tasks_[t].step.phase >= phase && !tasks_[t].step.at_bench)
                return t;
        return std::nullopt;
    }

    void tie_things() {
        const auto ends_before = [&](const Thing& first, const Thing& then, Phase from) {
            if (first.tasks.empty())
                return;
            if (const auto begin = first_from(then, from))
                tie(first.tasks.back(), *begin);
        };
        // Only what waits for others looks round for them: a wall of a thousand shelves has none.
        for (const Thing& then : things_) {
            if (then.turn == Turn::second_run || then.turn == Turn::furniture)
                for (const Thing& first : things_)
                    if (&first != &then && waits_for(then, first))
                        ends_before(first, then, Phase::hang);
            if (then.turn == Turn::feed)
                lead(then, ends_before);
        }
    }

    bool waits_for(const Thing& then, const Thing& first) const {
        const bool same_wall = first.wall == then.wall;
        if (then.turn == Turn::furniture) // it would stand in the way
            return same_wall && first.turn != Turn::furniture && first.turn != Turn::feed;
        if (first.turn == Turn::first_run)
            return job_.walls[first.wall].room == job_.walls[then.wall].room;
        // What hangs over base units goes up while nothing stands in the way underneath.
        return same_wall && job_.rules.runs.hang_first == HangFirst::wall_units &&
               (first.turn == Turn::shelf || first.turn == Turn::box);
    }

    /// Holes for leads before what hides them; the leads when it is up.
    void lead(const Thing& feed, auto&& ends_before) {
        const auto along = std::ranges::find(things_, feed.along, &Thing::id);
        if (along == things_.end())
            return;
        for (const std::size_t t : feed.tasks)
            if (tasks_[t].step.phase <= Phase::drill)
                if (const auto begin = first_from(*along, Phase::hang))
                    tie(t, *begin);
        ends_before(*along, feed, Phase::adjust);
    }

    /// List scheduling: of all that could be begun, what ranks first, as soon as there are hands for it.
    void schedule() {
        const std::size_t number = tasks_.size();
        std::vector<std::vector<std::size_t>> then(number);
        std::vector<std::size_t> waiting(number);
        for (std::size_t t = 0; t < number; ++t) {
            waiting[t] = before_[t].size();
            for (const std::size_t first : before_[t])
                then[first].push_back(t);
        }
        const auto later = [&](std::size_t a, std::size_t b) {
            return std::pair{ranks_[a], a} > std::pair{ranks_[b], b};
        };
        std::priority_queue<std::size_t, std::vector<std::size_t>, decltype(later)> ready{later};
        for (std::size_t t = 0; t < number; ++t)
            if (waiting[t] == 0)
                ready.push(t);
        using Ending = std::pair<double, std::size_t>;
        std::priority_queue<Ending, std::vector<Ending>, std::greater<>> running;
        const int crew = std::max(1, job_.crew);
        int free = crew;
        int curing = 0;
        double now = 0;
        std::vector<std::size_t> place(number, number);
        const auto hands = [&](std::size_t t) {
            return tasks_[t].step.phase == Phase::cure ? 0 : std::min(crew, tasks_[t].step.persons);
        };
        while (!ready.empty() || !running.empty()) {
            while (!ready.empty() && hands(ready.top()) <= free) {
                const std::size_t t = ready.top();
                ready.pop();
                free -= hands(t);
                curing += hands(t) == 0;
                place[t] = order_.tasks.size();
                Task task = tasks_[t];
                task.begins = now;
                order_.tasks.push_back(std::move(task));
                running.push({now + tasks_[t].minutes, t});
            }
            const auto [end, t] = running.top();
            running.pop();
            if (free == crew && curing > 0)
                order_.idle += end - now;
            now = end;
            free += hands(t);
            curing -= hands(t) == 0;
            for (const std::size_t next : then[t])
                if (--waiting[next] == 0)
                    ready.push(next);
        }
        order_.minutes = now;
        for (std::size_t t = 0; t < number; ++t)
            if (place[t] < number)
                for (const std::size_t first : before_[t])
                    order_.tasks[place[t]].after.push_back(place[first]);
    }

    struct OfWall {
        std::size_t wall = 0;
        std::size_t task = 0;
        bool gate = false;
    };

    const Job& job_;
    const Plan& plan_;
    const FitRules& rules_;
    std::set<std::string> cut_;
    std::vector<Task> tasks_;
    std::vector<Rank> ranks_;
    std::vector<std::set<std::size_t>> before_;
    std::vector<Thing> things_;
    std::vector<OfWall> of_walls_;
    JobOrder order_;
};

} // namespace

JobOrder job_order(const Job& job, const Plan& plan, const Scope& scope) {
    JobOrder order = Orderer{job, plan, scope}.order();
    for (std::size_t t = 0; t < order.tasks.size(); ++t)
        assert(std::ranges::all_of(order.tasks[t].after, [&](std::size_t before) { return before < t; }));
    return order;
}

std::vector<Sentence> gate_questions() {
    return {{"Services looked for with a detector at every mark"},
            {"What lies near a mark switched off and proved dead, water shut"},
            {"Glasses, mask and ear protection on"},
            {"Others out of the way, floor and worktop covered"}};
}

} // namespace yes_square
