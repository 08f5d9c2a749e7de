#include "app/layout/box_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/boxes/new_box.hpp"

namespace yes_square::app {

BoxPanel::BoxPanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , words_{new QLabel{this}}
    , parts_{read_only_table({tr("No."), tr("Part"), tr("Long"), tr("Broad"), tr("Thick")}, "box-parts", this)} {
    auto* add_button = new QPushButton{tr("Add a box"), this};
    add_button->setObjectName(QStringLiteral("add-box"));
    connect(add_button, &QPushButton::clicked, this, &BoxPanel::add_box);
    words_->setObjectName(QStringLiteral("box-words"));
    words_->setWordWrap(true);
    grow_to_rows(*parts_);
    build();
    lay_out("remove-box", add_button,
            tr("An open bookcase or box made for this wall: outer sizes and joints give its parts, its diagonals and "
               "what holds it."),
            {words_, parts_});
}

void BoxPanel::build() {
    const auto housed = [](const WallBox& box) { return box.joint == BoxJoint::housing; };
    const auto rebated = [](const WallBox& box) { return box.back == BoxBack::rebated; };
    const auto grooved = [](const WallBox& box) { return box.back == BoxBack::grooved; };
    form_->heading(tr("The box"));
    FieldForm<WallBox>{*form_, "box"}.row("left").row("top").row("width").row("height").row("depth").row("shelves");
    form_->fold(tr("Name, joints, what it carries"), "box-fold-made");
    FieldForm<WallBox>{*form_, "box"}
        .row("name")
        .row("measured_from")
        .row("material")
        .row("side")
        .row("corner")
        .row("joint")
        .row("housing", housed)
        .row("clearance", housed)
        .row("stop", housed)
        .row("back")
        .row("rebate", rebated)
        .row("groove_in", grooved)
        .row("back_thickness")
        .row("back_material")
        .row("back_screwed", [grooved](const WallBox& box) { return !grooved(box); })
        .row("rail_thickness")
        .row("load")
        .row("own_load_kg_per_m", [](const WallBox& box) { return box.load.kind == LoadKind::own; })
        .row("diagonal_rising")
        .row("diagonal_falling");
}

void BoxPanel::refresh() {
    const BoxPlan* plan = bench_.selected_plan<WallBox>();
    words_->setVisible(plan != nullptr);
    parts_->setVisible(plan != nullptr);
    parts_->setRowCount(0);
    if (!plan)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    for (const BoxPart& part : plan->pieces) {
        add_row(parts_, {QString::number(part.number), text(say(part.what, voice)), shown(quantity(part.length)),
                         shown(quantity(part.breadth)), shown(stock(part.thickness))});
        for (int column = 0; column < parts_->columnCount() && !part.mind.empty(); ++column)
            parts_->item(parts_->rowCount() - 1, column)->setToolTip(text(say(part.mind, voice)));
    }
    QStringList lines;
    if (!plan->pieces.empty())
        lines << tr("Both diagonals %1. Empty %2, full %3.")
                     .arg(shown(quantity(plan->diagonal)), shown(quantity(plan->mass)),
                          shown(quantity(plan->loaded_mass)));
    if (plan->square)
        lines << (plan->square->within ? tr("It stands square within %1.").arg(shown(quantity(plan->square->top_moves)))
                  : plan->square->to_right
                      ? tr("Push its top %1 to the right.").arg(shown(quantity(plan->square->top_moves)))
                      : tr("Push its top %1 to the left.").arg(shown(quantity(plan->square->top_moves))));
    if (plan->hang.fixing && plan->hang.utilisation.known())
        lines << tr("Through its back: %1, %2 long, used to %3.")
                     .arg(text(plan->hang.fixing->name), shown(stock(plan->hang.fixing->screw_length)),
                          shown(ratio(plan->hang.utilisation)));
    words_->setText(lines.join(QStringLiteral("\n")));
}

void BoxPanel::add_box() {
    add(tr("Add a box"), "box", [](const Job& job, const Wall& wall) {
        WallBox box = new_box(wall);
        box.name = fresh_name(job, tr("Box %1").toStdString());
        return box;
    });
}

} // namespace yes_square::app
