#include "app/sheets/label_sheets.hpp"

#include "core/sheets/labels.hpp"

namespace yes_square::app {
namespace {

bool write(Page& page, const Job& job, const std::vector<Label>& labels, const LabelGrid& grid) {
    for (const Drawing& sheet : label_pages(labels, grid, voice(job.unit)))
        page.bare(sheet, grid.to_cut);
    return !labels.empty();
}

/// Load labels have many words: on plain paper they are larger.
LabelGrid plain(const Job& job, bool load) {
    LabelGrid grid = label_grid(LabelSheet::cut_out, is_imperial(job.unit));
    if (!load)
        return grid;
    grid.width *= grid.across / 2.0;
    grid.height *= grid.down / 5.0;
    grid.across = 2;
    grid.down = 5;
    return grid;
}

LabelGrid of_house(const Job& job, bool load) {
    return job.head.labels == LabelSheet::cut_out ? plain(job, load)
                                                  : label_grid(job.head.labels, is_imperial(job.unit));
}

} // namespace

bool write_plain_part_labels(Page& page, const Job& job, const Plan& plan) {
    return write(page, job, part_labels(job, plan, voice(job.unit)), plain(job, false));
}

bool write_plain_load_labels(Page& page, const Job& job, const Plan& plan) {
    return write(page, job, load_labels(job, plan, voice(job.unit)), plain(job, true));
}

bool write_part_labels(Page& page, const Job& job, const Plan& plan) {
    return write(page, job, part_labels(job, plan, voice(job.unit)), of_house(job, false));
}

bool write_load_labels(Page& page, const Job& job, const Plan& plan) {
    return write(page, job, load_labels(job, plan, voice(job.unit)), of_house(job, true));
}

QPageSize label_paper(const Job& job) {
    const LabelGrid grid = of_house(job, false);
    return QPageSize{grid.paper_width > 212 ? QPageSize::Letter : QPageSize::A4};
}

} // namespace yes_square::app
