#include "app/sheets/finding_sheet.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/sheet_parts.hpp"
#include "core/job/field_visits.hpp"

namespace yes_square::app {
namespace {

class FindingWriter {
public:
    FindingWriter(Page& page, const Job& job)
        : page_{page}
        , voice_{app::voice(job.unit)} {}

    void write(const HungCabinet& hung, const HungPlan& plan, const Wall& wall, const WallPlan& on_wall) {
        page_.heading(tr("%1, %2: %3").arg(text(plan.name), text(wall.name), said(words(plan.verdict))), 48);
        page_.drawing(
            [&](double width, double height) { return picture_of(wall, on_wall, hung.id, width, height, voice_); }, 48);
        switch (plan.verdict) {
        case HungVerdict::sound:
            page_.write(tr("It may stay as it is."), body_type, true);
            break;
        case HungVerdict::add:
            page_.write(tr("It holds, but has less than is wanted: screws are to be added."), body_type, true);
            break;
        case HungVerdict::unload:
            page_.write(tr("Empty it now. Nobody stands or works under it until it is made good."), body_type, true);
            break;
        }
        if (plan.utilisation.known())
            page_.write(tr("Full it weighs %1. Of its screws %2 count, and the worst is used to %3 of what it holds.")
                            .arg(text(say(quantity(plan.loaded_mass), voice_)))
                            .arg(plan.counts)
                            .arg(text(say(ratio(plan.utilisation), voice_))),
                        body_type, false);
        screws(hung, plan);
        for (const Check& check : plan.checks) {
            page_.item(QStringLiteral("!"), said(check.message), true);
            for (const Cure& cure : check.cures)
                page_.item(QStringLiteral("-"), said(cure.words), false);
        }
    }

private:
    template <class Words>
    QString said(const Words& words) const {
        return text(say(words, voice_));
    }
    QString shown(Length length) const { return text(format(length, voice_)); }

    void screws(const HungCabinet& hung, const HungPlan& plan) {
        if (plan.found.empty()) {
            page_.write(
                tr("Found by number: %1 in its top rail, %2 in its bottom rail, %3 through the back alone, %4 in "
                   "lining only, in %5 studs.")
                    .arg(hung.top_screws)
                    .arg(hung.bottom_screws)
                    .arg(hung.back_screws)
                    .arg(hung.stray_screws)
                    .arg(hung.studs),
                body_type, false);
            return;
        }
        std::vector<QStringList> rows;
        for (std::size_t i = 0; i < plan.found.size(); ++i) {
            const FoundScrew& screw = hung.found[i];
            const FoundVerdict& verdict = plan.found[i];
            QString what =
                screw.gauge ? text(std::string_view{properties(*screw.gauge).wood_screw_words}) : tr("not known");
            if (screw.length > Length{})
                what += tr(", %1 long").arg(text(say(stock(screw.length), voice_)));
            rows.push_back({QString::number(i + 1), shown(screw.across), shown(screw.down),
                            said(enum_words(screw.through)), what, verdict.counts ? tr("yes") : tr("no"),
                            said(verdict.why)});
        }
        page_.table({tr("No."), tr("From its left"), tr("Down"), tr("Through"), tr("Screw"), tr("Counts"), tr("Why")},
                    rows, {0.06, 0.11, 0.1, 0.17, 0.19, 0.08, 0.29});
    }

    Page& page_;
    const Voice voice_;
};

} // namespace

bool write_findings(Page& page, const Job& job, const Plan& plan) {
    bool any = false;
    for (std::size_t w = 0; w < job.walls.size(); ++w)
        for (std::size_t i = 0; i < job.walls[w].hung.size(); ++i) {
            if (!std::exchange(any, true)) {
                page.begin(tr("Finding: cabinets that hang already"), under(job));
                page.write(
                    tr("What was seen, turned and pulled at on the day. What is inside a wall is known only as far "
                       "as the last column says. Only screws through a rail in a proved stud count."),
                    small_type, false);
            }
            FindingWriter{page, job}.write(job.walls[w].hung[i], plan.walls[w]->hung[i], job.walls[w], *plan.walls[w]);
        }
    if (any)
        page.write(tr("\nLooked at by ______________________  on ______________   told to ______________________"),
                   body_type, false);
    return any;
}

} // namespace yes_square::app
