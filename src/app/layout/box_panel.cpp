#include "app/layout/box_panel.hpp"

#include "app/bench/choices.hpp"
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
    parts_->setMinimumHeight(190);
    build();
    lay_out("remove-box", add_button,
            tr("An open bookcase or box made for this wall: outer sizes and joints give its parts, its diagonals and "
               "what holds it."),
            {words_, parts_});
}

void BoxPanel::build() {
    using B = WallBox;
    form_->heading(tr("The box"));
    form_->name(tr("Name"), "box-name", &B::name);
    form_->place(tr("Left"), "box-left", &B::left);
    form_->place(tr("Top at"), "box-top", &B::top);
    form_->size(tr("Width"), "box-width", &B::width);
    form_->size(tr("Height"), "box-height", &B::height);
    form_->size(tr("Depth"), "box-depth", &B::depth);
    form_->count(tr("Shelves"), "box-shelves", &B::shelves, 0, 12);
    form_->one_of(tr("Boards"), "box-board", &B::material);
    form_->size(tr("Boards, thick"), "box-side", &B::side);
    form_->one_of(tr("Joints"), "box-joint", &B::joint);
    const auto housed = [](const B& box) { return box.joint == BoxJoint::housing; };
    form_->distance(tr("Housing, deep"), "box-housing", &B::housing, housed);
    form_->distance(tr("Clearance"), "box-clearance", &B::clearance, housed);
    form_->one_of(tr("Back"), "box-back", &B::back);
    form_->distance(tr("Rebate"), "box-rebate", &B::rebate, [](const B& box) { return box.back == BoxBack::rebated; });
    form_->size(tr("Back, thick"), "box-back-thickness", &B::back_thickness);
    form_->one_of(tr("Back of"), "box-back-board", &B::back_material);
    form_->either(tr("The back is"), "box-back-screwed", tr("only pinned"), tr("screwed all round"), &B::back_screwed);
    form_->distance(tr("Strips, thick"), "box-rail", &B::rail_thickness);
    form_->choice(tr("Carries"), "box-load", words_of<LoadKind>(),
                  form_->read<int>([](const B& box) { return row_for(box.load.kind); }),
                  form_->write<int>([](B& box, int row) { box.load.kind = at_row<LoadKind>(row); }));
    const auto diagonal = [this](const QString& label, const char* row, std::optional<Length> B::*member) {
        form_->optional_length(label, row, tr("not measured"),
                               form_->read<std::optional<Length>>([member](const B& box) { return box.*member; }),
                               form_->write<std::optional<Length>>(
                                   [member](B& box, std::optional<Length> value) { box.*member = value; }));
    };
    diagonal(tr("Diagonal, rising"), "box-rising", &B::diagonal_rising);
    diagonal(tr("Diagonal, falling"), "box-falling", &B::diagonal_falling);
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
                     .arg(shown(quantity(plan->diagonal)), shown({Kind::mass, plan->kg}),
                          shown({Kind::mass, plan->loaded_kg}));
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
    add(tr("Add a box"), "box", [](const Job&, const Wall& wall) {
        WallBox box = new_box(wall);
        box.name = tr("Box %1").arg(wall.boxes.size() + 1).toStdString();
        return box;
    });
}

} // namespace yes_square::app
