#include "app/sheets/bench_sheets.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/sheet_parts.hpp"
#include "core/cutting/worked_parts.hpp"
#include "core/sheets/day_drawing.hpp"
#include "core/sheets/work_drawing.hpp"

#include <fmt/ranges.h>

namespace yes_square::app {
namespace {

/// "5, 89 to 94, 101".
QString as_ranges(const std::vector<std::size_t>& numbers) {
    QStringList ranges;
    for (std::size_t i = 0; i < numbers.size();) {
        std::size_t last = i;
        while (last + 1 < numbers.size() && numbers[last + 1] == numbers[last] + 1)
            ++last;
        ranges << (last - i > 1 ? tr("%1 to %2").arg(numbers[i]).arg(numbers[last]) : QString::number(numbers[i]));
        i = last - i > 1 ? last + 1 : i + 1;
    }
    return ranges.join(QStringLiteral(", "));
}

} // namespace

bool write_bench_work(Page& page, const Job& job, const Plan& plan) {
    const std::vector<WorkedPart> parts = worked_parts(job, plan);
    if (parts.empty())
        return false;
    const Voice voice = app::voice(job.unit);
    const auto said = [&](const Sentence& sentence) { return text(say(sentence, voice)); };
    const auto shown = [&](Length length) { return text(format(length, voice)); };
    page.begin(tr("Router and saw schedule"), under(job));
    page.write(
        tr("Every distance is from the same end and the same edge of a part, never from the last cut. Of holes and "
           "slots it is to the middle. Try each width in an offcut of the same stuff; guards on, glasses and ear "
           "protection, the part held down, hands behind the cutter."),
        body_type, false);
    constexpr double most_height = 46;
    for (const WorkedPart& worked : parts) {
        const PartWork& work = worked.part.work;
        const Drawing drawn = draw_work(work, page.width(), most_height, 2.6, voice);
        page.heading(tr("%1  %2, %3 x %4 x %5")
                         .arg(text(fmt::format("{}", fmt::join(worked.labels, ", "))), said(worked.part.name),
                              shown(worked.part.length), shown(worked.part.breadth),
                              text(say(stock(worked.part.thickness()), voice))),
                     drawn.height);
        page.drawing([&](double, double) { return drawn; }, drawn.height + 1);
        std::vector<QStringList> rows;
        for (const PartCut& cut : work.cuts) {
            const bool round = cut.kind == Machining::screw_hole || cut.kind == Machining::bore;
            QString what = text(say(words(cut.kind), voice));
            if (!cut.mind.empty())
                what += QStringLiteral(", ") + said(cut.mind);
            rows.push_back({shown(cut.from), shown(cut.in), what,
                            round ? QStringLiteral("\u00d8 %1").arg(text(say(stock(cut.along), voice)))
                                  : tr("%1 x %2").arg(shown(cut.along), shown(cut.across)),
                            text(say(stock(cut.depth), voice)), QString::number(cut.passes)});
        }
        page.table({said({"From its {0}", {work.end}}), said({"From its {0}", {work.edge}}), tr("Cut"),
                    tr("Along x across"), tr("Deep"), tr("Passes")},
                   rows, {0.15, 0.15, 0.35, 0.17, 0.1, 0.08});
    }
    return true;
}

bool write_days(Page& page, const Job& job, const Plan& plan) {
    const JobOrder order = job_order(job, plan);
    const DaySchedule schedule = day_schedule(job, order);
    if (schedule.tasks.empty() && schedule.impossible.empty())
        return false;
    const Voice voice = app::voice(job.unit);
    const auto said = [&](const Sentence& sentence) { return text(say(sentence, voice)); };
    page.begin(tr("Day plan"), under(job));
    for (const Sentence& each : schedule_words(schedule))
        page.item(QStringLiteral("-"), said(each), false);
    for (const Sentence& each : wait_words(order, schedule))
        page.item(QStringLiteral("-"), said(each), false);
    page.write(tr("By the house's minutes for each step. Numbers are those of the steps of the whole job."), small_type,
               false);
    const std::vector<DayBlock> blocks = blocks_of(job, order, schedule);
    for (int day = 1; day <= schedule.days(); ++day) {
        if (std::ranges::find(blocks, day, &DayBlock::day) == blocks.end())
            continue;
        const Drawing drawn = draw_day(job, order, schedule, day, page.width(), 2.6, voice);
        page.heading(tr("Day %1").arg(day), drawn.height);
        page.drawing([&](double, double) { return drawn; }, drawn.height + 1);
        std::vector<QStringList> rows;
        for (const DayBlock& block : blocks) {
            if (block.day != day)
                continue;
            std::vector<std::size_t> numbers;
            QStringList things;
            for (const std::string& thing : block.things)
                if (thing != block.where)
                    things << text(thing);
            for (const std::size_t number : block.tasks)
                numbers.push_back(schedule.tasks[number].task + 1);
            rows.push_back({text(clock(block.begins)), text(clock(block.ends)),
                            block.wait ? tr("nobody") : said(person_words(schedule, block.who)), text(block.where),
                            things.join(QStringLiteral(", ")), as_ranges(numbers)});
        }
        page.table({tr("From"), tr("To"), tr("Who"), tr("Where"), tr("What"), tr("Steps")}, rows,
                   {0.07, 0.07, 0.13, 0.15, 0.33, 0.25});
    }
    return true;
}

} // namespace yes_square::app
