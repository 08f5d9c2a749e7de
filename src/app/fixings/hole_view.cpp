#include "app/fixings/hole_view.hpp"

#include "app/bench/heading.hpp"
#include "app/bench/rows.hpp"
#include "core/sheets/hole_section.hpp"

#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr int section_height = 250;

} // namespace

HoleView::HoleView(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , holes_{new QComboBox{this}}
    , section_{new DrawingView{[this](double width, double height, double size) {
                                   const PlannedHole* hole = bench_.hole();
                                   return hole ? draw_hole_section(*bench_.wall(), *bench_.wall_plan(), *hole, width,
                                                                   height, size, bench_.voice())
                                               : Drawing{width, height, {}};
                               },
                               this}} {
    QLabel* heading = heading_label(tr("Through the wall, seen from above"), this);
    heading->setBuddy(holes_);
    holes_->setObjectName(QStringLiteral("hole-picker"));
    holes_->setAccessibleName(tr("Hole"));
    holes_->setMinimumContentsLength(8);
    holes_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    section_->setObjectName(QStringLiteral("hole-section"));
    section_->setMinimumHeight(section_height);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading);
    column->addWidget(holes_);
    column->addWidget(section_);
    connect(holes_, &QComboBox::activated, this, [this](int row) {
        bench_.take_hole(static_cast<std::size_t>(row));
        if (const PlannedHole* hole = bench_.hole())
            bench_.point_out(bench_.wall_index(), {hole->x, hole->x, hole->z, hole->z});
    });
    connect(&bench_, &Workbench::changed, this, &HoleView::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &HoleView::refresh);
    connect(&bench_, &Workbench::hole_taken, this, &HoleView::refresh);
    refresh();
}

void HoleView::refresh() {
    const auto holes = bench_.holes();
    setVisible(!holes.empty());
    QStringList words;
    for (const PlannedHole* hole : holes)
        words << text(say(hole->what, bench_.voice()));
    fill(*holes_, words);
    const PlannedHole* taken = bench_.hole();
    holes_->setCurrentIndex(static_cast<int>(std::ranges::find(holes, taken) - holes.begin()));
    section_->setAccessibleName(taken ? tr("Through the wall at %1").arg(text(say(taken->what, bench_.voice())))
                                      : tr("Through the wall"));
    section_->redraw();
}

} // namespace yes_square::app
