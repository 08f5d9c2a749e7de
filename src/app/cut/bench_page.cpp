#include "app/cut/bench_page.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/sheets/work_drawing.hpp"

#include <QVBoxLayout>
#include <fmt/ranges.h>

namespace yes_square::app {

BenchPage::BenchPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , words_{new QLabel{this}}
    , table_{read_only_table({tr("No."), tr("Part"), tr("Cuts")}, "worked-parts", this)}
    , cuts_{read_only_table({tr("Along"), tr("Across"), tr("Cut")}, "part-cuts", this)} {
    words_->setObjectName(QStringLiteral("bench-words"));
    words_->setWordWrap(true);
    grow_to_rows(*table_);
    grow_to_rows(*cuts_);
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int row, int, int before, int) {
        if (row == before)
            return;
        show_cuts();
        emit chosen(row);
        if (row >= 0 && static_cast<std::size_t>(row) < parts_.size())
            bench_.point_out(std::string{parts_[static_cast<std::size_t>(row)].part.item});
    });
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addWidget(table_);
    column->addWidget(words_);
    column->addWidget(cuts_);
    column->addStretch(1);
}

void BenchPage::show_parts(std::vector<WorkedPart> parts) {
    parts_ = std::move(parts);
    const Voice voice = bench_.voice();
    const int before = std::max(0, table_->currentRow());
    {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        for (const WorkedPart& worked : parts_)
            add_row(table_, {text(fmt::format("{}", fmt::join(worked.labels, ", "))),
                             text(say(worked.part.name, voice)), QString::number(worked.part.work.cuts.size())});
        if (table_->rowCount() > 0)
            table_->setCurrentCell(std::min(before, table_->rowCount() - 1), 0);
    }
    table_->setVisible(!parts_.empty());
    show_cuts();
}

void BenchPage::show_cuts() {
    const Voice voice = bench_.voice();
    const auto shown = [&](Length length) { return text(format_bare(length, voice)); };
    cuts_->setRowCount(0);
    const auto row = static_cast<std::size_t>(std::max(0, table_->currentRow()));
    cuts_->setVisible(row < parts_.size());
    if (row >= parts_.size()) {
        words_->setText(tr("Nothing here is routed, mitred or drilled on the bench."));
        return;
    }
    const PartWork& work = parts_[row].part.work;
    words_->setText(
        text(say(Sentence{"On its {0}: along from its {1}, across from its {2}; of holes and slots the middle",
                          {work.face, work.end, work.edge}},
                 voice)));
    for (const PartCut& cut : work.cuts) {
        add_row(cuts_, {shown(cut.from), shown(cut.in), text(cut_words(cut, voice))});
    }
}

Drawing BenchPage::draw(double width, double size, std::vector<double>& tops) const {
    const double margin = 4;
    const double tallest = 60;
    const Voice voice = bench_.voice();
    Drawing drawing{width, margin, {}};
    tops.clear();
    for (std::size_t i = 0; i < parts_.size(); ++i) {
        tops.push_back(drawing.height);
        const bool here = static_cast<int>(i) == table_->currentRow();
        const WorkedPart& worked = parts_[i];
        drawing.shapes.push_back(
            {Text{{margin, drawing.height + size},
                  fmt::format("{}  {}, {} x {} x {}", fmt::join(worked.labels, ", "), say(worked.part.name, voice),
                              format_bare(worked.part.length, voice), format_bare(worked.part.breadth, voice),
                              say(stock(worked.part.thickness()), voice)),
                  size,
                  Align::left,
                  here ? Ink::level : Ink::figure,
                  true},
             {}});
        Drawing inside = draw_work(worked.part.work, width - 2 * margin, tallest, size, voice);
        const double high = inside.height;
        append(drawing, std::move(inside), margin, drawing.height + 1.7 * size);
        drawing.height += high + 3.2 * size;
    }
    return drawing;
}

} // namespace yes_square::app
