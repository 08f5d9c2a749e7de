#include "app/sheets/sheet_writer.hpp"

#include "core/job/field_visits.hpp"
#include "core/measure/conversions.hpp"

#include "app/bench/picture_box.hpp"
#include "app/bench/words.hpp"
#include "app/sheets/page.hpp"
#include "app/sheets/revision.hpp"

#include <QBuffer>
#include <QPdfWriter>
#include <QSaveFile>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

void fill(Page& page, const Job& job, const Plan& plan, const SheetSet& set) {
    if (!set.write(page, job, plan))
        page.begin(text(job.title), set.when_none());
}

/// Once for the number of pages, on paper that nobody sees, then for good.
void paint_on(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan, double resolution,
              const SheetSet& set, PageRange range = {}) {
    const Speaking as_the_client_reads{language_of_sheets(job)};
    const QPageSize paper = device.pageLayout().pageSize();
    const QSizeF size = paper.size(QPageSize::Millimeter);
    const QString revision =
        tr("Revision %1, timber joints by %2").arg(revision_of(job), text(enum_name(job.rules.timber)));
    const PageHead head{text(job.head.firm), text(job.head.address), picture_of(job.head.logo)};
    {
        QBuffer nowhere;
        nowhere.open(QIODevice::WriteOnly);
        QPdfWriter pdf{&nowhere};
        pdf.setResolution(static_cast<int>(std::lround(resolution)));
        pdf.setPageSize(paper);
        pdf.setPageMargins(QMarginsF{0, 0, 0, 0});
        QPainter counting{&pdf};
        Page page{counting, pdf, size.width(), size.height(), resolution / mm_per_inch, head, revision, {0, 0, 0}};
        fill(page, job, plan, set);
        range.total = page.pages();
    }
    Page page{painter, device, size.width(), size.height(), resolution / mm_per_inch, head, revision, range};
    fill(page, job, plan, set);
}

} // namespace

QString language_of_sheets(const Job& job) {
    switch (job.head.language) {
    case SheetLanguage::as_window:
        return spoken();
    case SheetLanguage::english:
        return QStringLiteral("en");
    case SheetLanguage::german:
        return QStringLiteral("de");
    }
    std::abort();
}

void paint_sheets(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan, const SheetSet& set,
                  int first, int last) {
    PageRange range;
    if (first > 0) {
        range.first = first;
        range.last = std::max(first, last);
    }
    paint_on(painter, device, job, plan, painter.device()->logicalDpiX(), set, range);
}

QString write_sheets_pdf(const QString& path, const Job& job, const Plan& plan, const SheetSet& set) {
    QSaveFile file{path};
    if (!file.open(QIODevice::WriteOnly))
        return tr("%1 cannot be written: %2").arg(path, file.errorString());
    constexpr int resolution = 1200;
    {
        QPdfWriter pdf{&file};
        pdf.setResolution(resolution);
        pdf.setTitle(text(job.title));
        pdf.setPageSize(set.paper_of(job));
        pdf.setPageMargins(QMarginsF{0, 0, 0, 0});
        QPainter painter{&pdf};
        if (!painter.isActive())
            return tr("%1 cannot be written as PDF").arg(path);
        paint_on(painter, pdf, job, plan, resolution, set);
    }
    if (!file.commit())
        return tr("%1 could not be written whole. Is the disk full?").arg(path);
    return {};
}

} // namespace yes_square::app
