#include "app/fixings/unit_fixings.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/fixings/fix_with.hpp"
#include "core/sheets/fixing_words.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/sheets/summary.hpp"

#include <QVBoxLayout>

namespace yes_square::app {

UnitFixings::UnitFixings(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , words_{new QLabel{this}}
    , holes_{read_only_table({tr("At"), tr("Up"), tr("Inside"), tr("Pack", "behind a screw"), tr("Holds in")},
                             "unit-holes", this)}
    , card_{new DrawingView{[this](double width, double height, double size) {
                                const CabinetUnit* unit = bench_.unit();
                                return unit ? draw_back_card(*unit, *bench_.unit_plan(), width, height, size,
                                                             bench_.voice())
                                            : Drawing{width, height, {}};
                            },
                            this}} {
    words_->setTextFormat(Qt::RichText); // names in it are escaped
    words_->setWordWrap(true);
    words_->setObjectName(QStringLiteral("unit-fixing-words"));
    grow_to_rows(*holes_);
    card_->setObjectName(QStringLiteral("back-card"));
    card_->setAccessibleName(tr("Back of the unit with its holes"));
    card_->setMinimumHeight(200);
    auto* column = new QVBoxLayout{this};
    column->addWidget(words_);
    column->addWidget(holes_);
    column->addWidget(card_, 5);
    column->addWidget(new FixWith{bench});
    connect(&bench_, &Workbench::changed, this, &UnitFixings::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &UnitFixings::refresh);
    refresh();
}

QString UnitFixings::words() const {
    const UnitPlan* plan = bench_.unit_plan();
    const RunPlan* run = bench_.run_plan();
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    QStringList lines{QStringLiteral("<b>%1</b>").arg(text(plan->name).toHtmlEscaped())};
    for (const Sentence& fixing : words_of_fixings(plan->holes))
        lines << text(say(fixing, voice)).toHtmlEscaped();
    if (plan->fixing && !plan->on_plates)
        lines << tr("Broad head or washer, %1.").arg(shown(stock(bench_.job().rules.runs.screw_head)));
    if (plan->fixing && plan->utilisation.known() && run->level == RunLevel::wall)
        lines << tr("Loaded with %1 the worst pulls %2 and shears %3: used to %4.")
                     .arg(shown(quantity(plan->loaded_mass)), shown(quantity(plan->tension)),
                          shown(quantity(plan->shear)), shown(ratio(plan->utilisation)));
    else if (plan->fixing && plan->utilisation.known() && plan->tension > 0)
        lines << tr("Held upright against a pull of %1 on each screw: used to %2.")
                     .arg(shown(quantity(plan->tension)), shown(ratio(plan->utilisation)));
    if (plan->hook_load)
        lines << tr("Each hook carries up to %1.").arg(shown(quantity(*plan->hook_load)));
    for (const RunPiece& piece : run->pieces)
        if (piece.hold.fixing)
            lines << tr("Rail: %1, %2 long, %3 at each place, used to %4.")
                         .arg(text(piece.hold.fixing->name).toHtmlEscaped(),
                              shown(stock(piece.hold.fixing->screw_length)))
                         .arg(piece.hold.screws)
                         .arg(shown(ratio(piece.hold.utilisation)));
    const auto index = static_cast<std::size_t>(bench_.unit() - bench_.run()->units.data());
    for (const JoinScrew& join : run->joins)
        if (join.left_unit == index && join.length)
            lines << tr("To its right neighbour: screws of %1 through both sides.").arg(shown(stock(*join.length)));
    for (const Foot& foot : plan->feet)
        if (foot.front)
            lines << tr("Foot at %1: %2.").arg(bench_.along(run->tape, foot.x), shown(quantity(foot.height)));
    return lines.join(QStringLiteral("<br>"));
}

void UnitFixings::refresh() {
    holes_->setRowCount(0);
    card_->redraw();
    const UnitPlan* plan = bench_.unit_plan();
    const bool drilled = plan && !plan->holes.empty();
    holes_->setVisible(drilled);
    card_->setVisible(plan && ((drilled && !plan->on_plates) || !bench_.unit()->cut_outs.empty()));
    words_->setText(plan ? words() : QString{});
    if (!plan)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](Length length) { return text(format_bare(length, voice)); };
    const Tape tape = bench_.tape_in_hand();
    for (const PlannedHole& hole : plan->holes) {
        const int row = holes_->rowCount();
        holes_->insertRow(row);
        const QStringList cells{tape.turned ? bench_.along(tape, hole.x) : shown(tape.reads(hole.x)), shown(hole.z),
                                shown(plan->inside_left(hole)), shown(hole.packing),
                                text(say(yes_square::words(hole.substrate), voice))};
        for (int column = 0; column < cells.size(); ++column)
            holes_->setItem(row, column, new QTableWidgetItem{cells[column]});
    }
}

} // namespace yes_square::app
