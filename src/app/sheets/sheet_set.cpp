#include "app/sheets/sheet_set.hpp"

#include "app/sheets/bench_sheets.hpp"
#include "app/sheets/day_sheets.hpp"
#include "app/sheets/finding_sheet.hpp"
#include "app/sheets/furniture_sheets.hpp"
#include "app/sheets/label_sheets.hpp"
#include "app/sheets/thing_sheets.hpp"
#include "core/reckon/reckon.hpp"

#include <algorithm>
#include <stdexcept>

namespace yes_square::app {
namespace {

bool write_all(Page& page, const Job& job, const Plan& plan) {
    const bool any = write_things(page, job, plan);
    write_plain_load_labels(page, job, plan);
    write_plain_part_labels(page, job, plan);
    write_inventory(page, job, plan);
    return any;
}

/// As somebody wants them who hooks the tape on at the other end this time: the job itself stays as it is.
bool write_from_other_ends(Page& page, const Job& job, const Plan&) {
    Job turned = job;
    const auto turn = [](TapeEnd& end) { end = end == TapeEnd::left ? TapeEnd::right : TapeEnd::left; };
    for (Wall& wall : turned.walls) {
        turn(wall.measured_from);
        for_each_kind(Things{}, [&]<class Kind>() {
            if constexpr (requires(Kind thing) { thing.measured_from; })
                for (Kind& thing : wall.*parts_of<Kind>)
                    if (thing.measured_from)
                        turn(*thing.measured_from);
        });
    }
    return write_things(page, turned, reckon(turned));
}

bool write_cut_kit_and_bench(Page& page, const Job& job, const Plan& plan) {
    const bool any = write_cut_and_kit(page, job, plan);
    write_bench_work(page, job, plan);
    return any;
}

bool write_steps_and_days(Page& page, const Job& job, const Plan& plan) {
    const bool any = write_job_steps(page, job, plan);
    if (any)
        write_days(page, job, plan);
    return any;
}

bool write_hand_over_and_labels(Page& page, const Job& job, const Plan& plan) {
    const bool any = write_hand_over(page, job, plan);
    write_plain_load_labels(page, job, plan);
    write_inventory(page, job, plan);
    return any;
}

} // namespace

QPageSize SheetSet::paper_of(const Job& job) const {
    return paper ? paper(job) : QPageSize{is_imperial(job.unit) ? QPageSize::Letter : QPageSize::A4};
}

QString SheetSet::words() const {
    return tr(in_english);
}

QString SheetSet::when_none() const {
    return tr(none_in_english);
}

const std::vector<SheetSet>& sheet_sets() {
    static const std::vector<SheetSet> all{
        {QStringLiteral("sheets"), QT_TRANSLATE_NOOP("Words", "Sheets"),
         QT_TRANSLATE_NOOP("Words", "Nothing is laid out in this job yet."), write_all},
        {QStringLiteral("sheets-other-ends"), QT_TRANSLATE_NOOP("Words", "Sheets, measured from the other ends"),
         QT_TRANSLATE_NOOP("Words", "Nothing is laid out in this job yet."), write_from_other_ends},
        {QStringLiteral("cut-and-kit"), QT_TRANSLATE_NOOP("Words", "Cut and kit"),
         QT_TRANSLATE_NOOP("Words", "Nothing is to be cut or taken along yet."), write_cut_kit_and_bench, true},
        {QStringLiteral("steps"), QT_TRANSLATE_NOOP("Words", "Steps of the job"),
         QT_TRANSLATE_NOOP("Words", "There is nothing to do in this job yet."), write_steps_and_days, true},
        {QStringLiteral("templates"), QT_TRANSLATE_NOOP("Words", "Drilling templates 1:1"),
         QT_TRANSLATE_NOOP("Words", "Nothing in this job is drilled for."), write_templates, true},
        {QStringLiteral("part-labels"), QT_TRANSLATE_NOOP("Words", "Part labels"),
         QT_TRANSLATE_NOOP("Words", "Nothing in this job is cut, so there are no parts to label."), write_part_labels,
         false, label_paper},
        {QStringLiteral("load-labels"), QT_TRANSLATE_NOOP("Words", "Load labels"),
         QT_TRANSLATE_NOOP("Words", "No shelf is in this job."), write_load_labels, false, label_paper},
        {QStringLiteral("inventory"), QT_TRANSLATE_NOOP("Words", "Tipping inventory"),
         QT_TRANSLATE_NOOP("Words", "Nothing in this job is so tall that it could tip."), write_inventory},
        {QStringLiteral("finding"), QT_TRANSLATE_NOOP("Words", "Finding of what hangs already"),
         QT_TRANSLATE_NOOP("Words", "No cabinet that hung already is in this job."), write_findings, true},
        {QStringLiteral("hand-over"), QT_TRANSLATE_NOOP("Words", "Hand-over"),
         QT_TRANSLATE_NOOP("Words", "Nothing is laid out in this job yet."), write_hand_over_and_labels, true},
    };
    return all;
}

const SheetSet& sheet_set(QStringView file_name) {
    const auto found = std::ranges::find(sheet_sets(), file_name, &SheetSet::file_name);
    if (found == sheet_sets().end())
        throw std::out_of_range("there are no sheets called " + file_name.toString().toStdString());
    return *found;
}

} // namespace yes_square::app
