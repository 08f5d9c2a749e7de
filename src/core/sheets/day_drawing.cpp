#include "core/sheets/day_drawing.hpp"

#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace yes_square {
namespace {

constexpr JobTime pause = 60; ///< steps nearer than this are one block

class DayDrawing {
public:
    DayDrawing(const std::vector<DayBlock>& blocks, const DaySchedule& schedule, int day, double width, double text,
               const Voice& voice)
        : schedule_{schedule}
        , text_{text}
        , voice_{voice}
        , persons_{schedule.crew + schedule.helpers} {
        for (const DayBlock& block : blocks)
            if (block.day == day)
                blocks_.push_back(&block);
        for (const DayBlock* block : blocks_)
            if (block->wait)
                waits_ = std::max(waits_, block->who + 1);
        from_ = (day - 1) * seconds_a_day;
        JobTime first = from_ + seconds_a_day;
        JobTime last = from_;
        for (const DayBlock* block : blocks_)
            if (!block->wait) {
                first = std::min(first, block->begins);
                last = std::max(last, block->ends);
            }
        for (const DayBlock* block : blocks_)
            if (block->wait && last <= from_) {
                first = std::min(first, block->begins);
                last = std::max(last, block->ends);
            }
        constexpr JobTime hour = 3600;
        first_ = first / hour * hour;
        last_ = std::max((last + hour - 1) / hour * hour, first_ + hour);
        left_ = 6.5 * text;
        right_ = width - text;
        drawing_.width = width;
        drawing_.height = top() + static_cast<double>(persons_ + waits_) * lane() + 0.5 * text;
    }

    Drawing draw() {
        const double bottom = drawing_.height - 0.5 * text_;
        constexpr JobTime hour = 3600;
        const double wide = text_width("00:00", text_, false) + text_;
        const auto each = static_cast<JobTime>(std::ceil(wide / std::max(0.1, x(first_ + hour) - x(first_))));
        for (JobTime at = first_; at <= last_; at += hour) {
            add(Line{{x(at), top() - 0.4 * text_}, {x(at), bottom}, Ink::faint, 0.2});
            if ((at - first_) / hour % std::max<JobTime>(1, each) == 0 && x(at) + wide / 2 <= drawing_.width)
                words({x(at), top() - 0.8 * text_}, clock(at), Align::centre, Ink::tick);
        }
        for (std::size_t who = 0; who < persons_; ++who)
            words({left_ - 0.6 * text_, y(who) + 0.95 * text_}, say(person_words(schedule_, who), voice_), Align::right,
                  Ink::figure);
        if (waits_ > 0)
            words({left_ - 0.6 * text_, y(persons_) + 0.95 * text_}, say(word("waits"), voice_), Align::right,
                  Ink::figure);
        for (const DayBlock* block : blocks_)
            draw(*block);
        return std::move(drawing_);
    }

private:
    double top() const { return 2 * text_; }
    double lane() const { return 2.1 * text_; }
    double y(std::size_t who) const { return top() + static_cast<double>(who) * lane(); }
    double x(JobTime at) const {
        const double share = static_cast<double>(at - first_) / static_cast<double>(last_ - first_);
        return left_ + std::clamp(share, 0.0, 1.0) * (right_ - left_);
    }
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void words(Point at, std::string said, Align align, Ink ink) { add(Text{at, std::move(said), text_, align, ink}); }

    void draw(const DayBlock& block) {
        const double from = x(block.begins);
        const double wide = std::max(0.4, x(block.ends) - from);
        const double up = y(block.wait ? persons_ + block.who : block.who);
        const double high = lane() - 0.5 * text_;
        const Ink ink = block.wait ? Ink::faint : block.who < schedule_.crew ? Ink::board : Ink::bracket;
        drawing_.shapes.push_back(
            {Rectangle{{from, up},
                       wide,
                       high,
                       ink,
                       block.wait ? Fill::hatched : Fill::light,
                       0.3,
                       block.wait ? Stroke::dashed : Stroke::solid},
             {Reference::Part::thing, {}, block.tasks.empty() ? 0 : block.tasks.front(), {}, {}}});
        // Where one goes over to another thing.
        for (const std::size_t task : block.tasks)
            if (const JobTime at = schedule_.tasks[task].begins; !block.wait && at > block.begins)
                add(Line{{x(at), up + 0.75 * high}, {x(at), up + high}, Ink::tick, 0.15});
        // As much of its name as there is room for, never half a word.
        std::string said = block.where;
        while (!said.empty() && text_width(said, text_, false) + 0.6 * text_ > wide) {
            const std::size_t blank = said.find_last_of(' ');
            said =
                blank == std::string::npos ? std::string{} : said.substr(0, said.find_last_not_of(" ,;:", blank) + 1);
        }
        if (!said.empty())
            words({from + 0.3 * text_, up + 1.05 * text_}, said, Align::left, Ink::figure);
    }

    const DaySchedule& schedule_;
    double text_;
    const Voice& voice_;
    std::size_t persons_;
    std::vector<const DayBlock*> blocks_;
    std::size_t waits_ = 0; ///< most at a time
    JobTime from_ = 0;
    JobTime first_ = 0;
    JobTime last_ = 0;
    double left_ = 0;
    double right_ = 0;
    Drawing drawing_;
};

} // namespace

std::vector<DayBlock> blocks_of(const Job& job, const JobOrder& order, const DaySchedule& schedule) {
    std::vector<DayBlock> blocks;
    const auto put = [&](std::size_t who, bool wait, std::size_t number, JobTime begins, JobTime ends) {
        const Task& task = order.tasks[schedule.tasks[number].task];
        const auto wall = std::ranges::find(job.walls, task.wall, &Wall::id);
        const std::string& where = wait || wall == job.walls.end() ? task.item_name : wall->name;
        const auto last = std::find_if(blocks.rbegin(), blocks.rend(), [&](const DayBlock& block) {
            return block.wait == wait && (wait ? block.tasks.back() == number : block.who == who);
        });
        if (last == blocks.rend() || last->where != where || begins - last->ends > pause || last->day != day_of(begins))
            blocks.push_back({day_of(begins), who, where, {}, begins, ends, {}, wait});
        DayBlock& block = last == blocks.rend() || blocks.back().tasks.empty() ? blocks.back() : *last;
        block.ends = std::max(block.ends, ends);
        block.tasks.push_back(number);
        if (std::ranges::find(block.things, task.item_name) == block.things.end())
            block.things.push_back(task.item_name);
    };
    std::vector<JobTime> waits; // until when each row of them is taken
    for (std::size_t i = 0; i < schedule.tasks.size(); ++i) {
        const ScheduledTask& each = schedule.tasks[i];
        for (const std::size_t person : each.by)
            put(person, false, i, each.begins, each.ends);
        if (!each.by.empty())
            continue;
        auto row = std::ranges::find_if(waits, [&](JobTime until) { return until <= each.begins; });
        if (row == waits.end())
            row = waits.insert(waits.end(), 0);
        *row = each.ends;
        // A wait goes on overnight: a block for each day of it.
        for (JobTime from = each.begins; from < each.ends;) {
            const JobTime to = std::min(each.ends, static_cast<JobTime>(day_of(from)) * seconds_a_day);
            put(static_cast<std::size_t>(row - waits.begin()), true, i, from, to);
            from = to;
        }
    }
    std::ranges::stable_sort(blocks, {}, [](const DayBlock& block) {
        return std::tuple{block.day, block.begins, block.wait, block.who};
    });
    return blocks;
}

std::string clock(JobTime time) {
    const JobTime minutes = (time % seconds_a_day + 30) / 60;
    return fmt::format("{}:{:02}", minutes / 60, minutes % 60);
}

Sentence person_words(const DaySchedule& schedule, std::size_t who) {
    if (who < schedule.crew && who < schedule.names.size())
        return {"{0}", {schedule.names[who]}};
    if (who < schedule.crew)
        return {"Person {0}", {count(who + 1)}};
    return schedule.helpers > 1 ? Sentence{"Helper {0}", {count(who - schedule.crew + 1)}} : Sentence{"Helper"};
}

Drawing draw_day(const Job& job, const JobOrder& order, const DaySchedule& schedule, int day, double width, double text,
                 const Voice& voice) {
    const std::vector<DayBlock> blocks = blocks_of(job, order, schedule);
    return DayDrawing{blocks, schedule, day, width, text, voice}.draw();
}

std::vector<Sentence> schedule_words(const DaySchedule& schedule) {
    if (!schedule.impossible.empty())
        return schedule.impossible;
    std::vector<Sentence> words;
    if (schedule.tasks.empty()) {
        if (schedule.done > 0)
            words.push_back({"All {0} steps are ticked off", {count(schedule.done)}});
        return words;
    }
    const auto day = [](JobTime time) { return count(static_cast<std::size_t>(day_of(time))); };
    const JobTime last = schedule.ends - 1;
    if (schedule.earliest())
        words.push_back({"Done on day {0} at {1}: no schedule ends earlier", {day(last), clock(schedule.ends)}});
    else
        words.push_back({"Done on day {0} at {1}; no schedule ends before day {2} at {3}",
                         {day(last), clock(schedule.ends), day(schedule.least_end - 1), clock(schedule.least_end)}});
    std::map<int, std::pair<JobTime, JobTime>> helped;
    for (const ScheduledTask& each : schedule.tasks)
        if (std::ranges::any_of(each.by, [&](std::size_t who) { return who >= schedule.crew; })) {
            auto& [from, to] = helped.try_emplace(day_of(each.begins), each.begins, each.ends).first->second;
            from = std::min(from, each.begins);
            to = std::max(to, each.ends);
        }
    for (const auto& [number, time] : helped)
        words.push_back({"A helper is wanted on day {0} from {1} to {2}",
                         {count(static_cast<std::size_t>(number)), clock(time.first), clock(time.second)}});
    if (!helped.empty() && schedule.helper_there > schedule.least_helper)
        words.push_back({"A helper is there for {0}; what wants one takes {1}",
                         {minutes(static_cast<double>(schedule.helper_there) / 60),
                          minutes(static_cast<double>(schedule.least_helper) / 60)}});
    if (schedule.done > 0)
        words.push_back({"Steps ticked off: {0}. Left, and planned here: {1}",
                         {count(schedule.done), count(schedule.tasks.size())}});
    return words;
}

std::vector<Sentence> wait_words(const JobOrder& order, const DaySchedule& schedule) {
    std::vector<Sentence> words;
    const auto day = [](JobTime time) { return count(static_cast<std::size_t>(day_of(time))); };
    for (const ScheduledTask& each : schedule.tasks)
        if (each.by.empty() && each.ends > each.begins)
            words.push_back({"{0}: left alone from day {1}, {2}, to day {3}, {4}",
                             {order.tasks[each.task].item_name, day(each.begins), clock(each.begins), day(each.ends),
                              clock(each.ends)}});
    return words;
}

Drawing draw_days(const Job& job, const JobOrder& order, const DaySchedule& schedule, double width, double text,
                  const Voice& voice) {
    Drawing all{width, 0, {}};
    std::vector<int> days;
    for (const DayBlock& block : blocks_of(job, order, schedule))
        days.push_back(block.day);
    days.erase(std::ranges::unique(days).begin(), days.end());
    for (const int day : days) {
        all.shapes.push_back({Text{{0, all.height + text},
                                   say(Sentence{"Day {0}", {count(static_cast<std::size_t>(day))}}, voice),
                                   text,
                                   Align::left,
                                   Ink::figure,
                                   true},
                              {}});
        Drawing one = draw_day(job, order, schedule, day, width, text, voice);
        const double high = one.height;
        append(all, std::move(one), 0, all.height + 1.5 * text);
        all.height += high + 3 * text;
    }
    return all;
}

} // namespace yes_square
