#include "app/sheets/sheet_writer.hpp"

#include "app/sheets/page.hpp"
#include "app/sheets/run_sheets.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/summary.hpp"
#include "core/shelves/shelf_steps.hpp"

#include <QPageSize>
#include <QPdfWriter>
#include <QSaveFile>
#include <algorithm>

namespace yes_square::app {
namespace {

QString tr(const char* words) {
    return QCoreApplication::translate("Sheets", words);
}

void write_shelf(Page& page, const Job& job, const Wall& wall, const WallPlan& wall_plan, const Shelf& shelf,
                 const ShelfPlan& plan) {
    const Voice voice = app::voice(job.unit);
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    const auto said = [&](const Sentence& sentence) { return text(say(sentence, voice)); };

    page.begin(tr("%1, %2").arg(text(wall.name), text(shelf.name)),
               tr("%1. %2, %3").arg(text(job.title), text(job.client), text(job.place)));
    page.drawing(
        [&](double width, double height) {
            ElevationFrame frame;
            frame.width = width;
            frame.height = height;
            frame.text = 2.7;
            frame.selected_shelf = shelf.id;
            return draw_elevation(wall, wall_plan, frame, voice).drawing;
        },
        105);
    page.write(
        tr("Figures on the rods in %1. Studs: filled square proved, empty indicated, dotted assumed. Grey strips: "
           "hidden cables or pipes likely.")
            .arg(text(heading(job.unit))),
        small_type, false);

    const auto errors = std::ranges::count(plan.checks, Severity::error, &Check::severity);
    if (errors > 0) {
        page.heading(tr("Not fit to hang as it stands"));
        for (const Check& check : plan.checks)
            if (check.severity == Severity::error)
                page.item(QStringLiteral("!"), said(check.message), true);
    }

    page.heading(tr("The board"));
    page.write(tr("%1 x %2 x %3, %4, %5. Left end at %6, right end at %7. Top %8 up, level line under it %9 up.")
                   .arg(shown(quantity(shelf.length)), shown(quantity(shelf.depth)), shown(stock(shelf.thickness)),
                        text(properties(shelf.material).words), shown({Kind::mass, plan.mass_kg}),
                        shown(quantity(shelf.left)), shown(quantity(shelf.right())), shown(quantity(shelf.height)),
                        shown(quantity(shelf.underside()))),
               body_type, false);
    if (plan.sag)
        page.write(tr("Sag in time %1, limit %2. Made for %3 on it, evenly.")
                       .arg(shown(fine(plan.sag->long_term)), shown(fine(plan.sag->limit)),
                            shown({Kind::mass, plan.goods_n_per_m * shelf.length.in_metres() / 9.80665})),
                   body_type, false);

    if (plan.bracket) {
        page.heading(tr("Marks: %1, arm up against the board").arg(text(plan.bracket->name)));
        std::vector<QStringList> rows;
        for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
            const BracketPlan& place = plan.brackets[i];
            QStringList heights;
            for (const Hole& hole : plan.holes)
                if (hole.bracket == i)
                    heights << shown(quantity(hole.z));
            rows.push_back({QString::number(i + 1), shown(quantity(place.x)), heights.join(QStringLiteral(", ")),
                            text(say(words(place.hold), voice)), shown(force(place.reaction.greatest)),
                            place.fixing_utilisation ? shown(ratio(*place.fixing_utilisation)) : tr("not known")});
        }
        page.table({tr("Bracket"), tr("Middle, from ref. end"), tr("Holes, up"), tr("Holds in"), tr("Carries"),
                    tr("Fixing used")},
                   rows, {0.10, 0.20, 0.32, 0.16, 0.11, 0.11});

        page.heading(tr("Drilling"));
        rows.clear();
        for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
            const BracketPlan& place = plan.brackets[i];
            if (place.fixing)
                rows.push_back(
                    {QString::number(i + 1), shown(stock(place.fixing->hole_diameter)),
                     shown(stock(place.fixing->drill_depth)),
                     tr("%1, %2 long").arg(text(place.fixing->name), shown(stock(place.fixing->screw_length))),
                     shown(stock(place.fixing->penetration)), text(source_text(place.fixing->source, voice))});
            else
                rows.push_back({QString::number(i + 1), tr("as packet"), tr("as packet"),
                                tr("lining anchor, steadies only"), QStringLiteral("0"), tr("maker")});
        }
        page.table({tr("Bracket"), tr("Drill"), tr("Tape on bit at"), tr("Fixing"), tr("In stud or masonry"),
                    tr("Capacity from")},
                   rows, {0.10, 0.10, 0.13, 0.27, 0.13, 0.27});
    }

    for (const Check& check : plan.checks)
        if (check.severity == Severity::warning)
            page.item(QStringLiteral("-"), said(check.message), false);

    page.heading(tr("Before you drill"));
    for (const Sentence& caution : general_cautions())
        page.item(QStringLiteral("-"), said(caution), false);
    page.heading(tr("Steps"));
    int number = 1;
    for (const Step& step : plan.steps)
        page.item(QString::number(number++), (step.hold_point ? tr("HOLD. ") : QString{}) + said(step.words), true);
}

void paint_on(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan, double resolution) {
    const double per_mm = resolution / 25.4;
    const QSizeF size = device.pageLayout().pageSize().size(QPageSize::Millimeter);
    Page page{painter, device, size.width(), size.height(), per_mm};
    bool any = false;
    for (std::size_t w = 0; w < plan.walls.size(); ++w) {
        for (std::size_t r = 0; r < plan.walls[w]->runs.size(); ++r) {
            any = true;
            write_run(page, job, plan, w, r);
        }
        for (std::size_t s = 0; s < plan.walls[w]->shelves.size(); ++s) {
            any = true;
            write_shelf(page, job, job.walls[w], *plan.walls[w], job.walls[w].shelves[s], plan.walls[w]->shelves[s]);
        }
    }
    if (!any)
        page.begin(text(job.title), tr("Nothing is laid out in this job yet."));
}

} // namespace

void paint_sheets(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan) {
    paint_on(painter, device, job, plan, painter.device()->logicalDpiX());
}

QString write_sheets_pdf(const QString& path, const Job& job, const Plan& plan) {
    QSaveFile file{path};
    if (!file.open(QIODevice::WriteOnly))
        return tr("%1 cannot be written: %2").arg(path, file.errorString());
    constexpr int resolution = 1200;
    {
        QPdfWriter pdf{&file};
        pdf.setResolution(resolution);
        pdf.setTitle(text(job.title));
        pdf.setPageSize(QPageSize{is_imperial(job.unit) ? QPageSize::Letter : QPageSize::A4});
        pdf.setPageMargins(QMarginsF{0, 0, 0, 0});
        QPainter painter{&pdf};
        if (!painter.isActive())
            return tr("%1 cannot be written as PDF").arg(path);
        paint_on(painter, pdf, job, plan, resolution);
    }
    if (!file.commit())
        return tr("%1 could not be written whole. Is the disk full?").arg(path);
    return {};
}

} // namespace yes_square::app
