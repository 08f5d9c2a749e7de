#include "app/fixings/study_panel.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/sheets/shelf_layer.hpp"

#include <QPushButton>
#include <cmath>

namespace yes_square::app {
namespace {

constexpr int bending_height = 190;

} // namespace

StudyPanel::StudyPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , greatest_{new QLabel{this}}
    , governs_{new QLabel{this}}
    , limits_{read_only_table({tr("Limit"), tr("At most"), tr("On all of it")}, "limits-table", this)}
    , caution_{new QLabel{this}}
    , bending_{new DrawingView{[this](double width, double height, double text) {
                                   const ShelfStudy* study = isVisible() ? bench_.shelf_study() : nullptr;
                                   return study ? draw_bending(*bench_.shelf(), *bench_.shelf_plan(), *study, width,
                                                               height, text, bench_.voice())
                                                : Drawing{width, height, {}};
                               },
                               this}}
    , stronger_{new QVBoxLayout} {
    greatest_->setObjectName(QStringLiteral("greatest-load"));
    greatest_->setProperty("role", "figure");
    greatest_->setWordWrap(true);
    governs_->setObjectName(QStringLiteral("governs"));
    caution_->setObjectName(QStringLiteral("capacity-caution"));
    for (QLabel* label : {governs_, caution_})
        label->setWordWrap(true);
    auto* column = new QVBoxLayout{this};
    column->addWidget(heading_label(tr("How much will it hold?"), this));
    column->addWidget(greatest_);
    column->addWidget(governs_);
    grow_to_rows(*limits_);
    column->addWidget(limits_);
    column->addWidget(caution_);
    column->addWidget(heading_label(tr("To make it hold more"), this));
    column->addLayout(stronger_);
    column->addWidget(heading_label(tr("Load, bending, sag"), this));
    bending_->setFixedHeight(bending_height);
    column->addWidget(bending_);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &StudyPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &StudyPanel::refresh);
}

void StudyPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void StudyPanel::refresh() {
    if (!isVisible())
        return; // it is worked out only for who looks at it
    bending_->redraw();
    limits_->setRowCount(0);
    while (QLayoutItem* item = stronger_->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    const ShelfStudy* study = bench_.shelf_study();
    if (!study || study->capacity.governs == Governs::nothing) {
        greatest_->setText(tr("Nothing to reckon yet"));
        governs_->clear();
        caution_->clear();
        return;
    }
    const Voice voice = bench_.voice();
    const Capacity& capacity = study->capacity;
    const auto shown = [&](auto figure) { return text(say(quantity(figure), voice)); };
    const Promise promise = promise_of(*bench_.shelf(), *bench_.shelf_plan(), capacity);
    greatest_->setText(text(say(promise.words, voice)));
    governs_->setText(
        !promise.made
            ? text(say(promise.why, voice))
            : tr("%1 of shelf, limited by %2").arg(shown(capacity.per_metre), core_words(words(capacity.governs))));
    const auto limit = [&](Governs which, LineMass per_metre) {
        const bool binds = isfinite(per_metre);
        add_row(limits_, {core_words(words(which)), binds ? shown(per_metre) : tr("does not bind"),
                          binds ? shown(capacity.on_all(per_metre)) : QString{}});
    };
    limit(Governs::sag, capacity.by_sag);
    limit(Governs::board, capacity.by_board);
    if (capacity.hanger_unknown)
        add_row(limits_, {core_words(words(Governs::hanger)), tr("not known"), QString{}});
    else
        limit(Governs::hanger, capacity.by_hanger);
    limit(Governs::fixing, capacity.by_fixing);
    QStringList cautions;
    if (capacity.stud_assumed)
        cautions << tr("It counts on a stud that nobody has found: this figure is not to be used.");
    if (capacity.hanger_unknown)
        cautions << tr("What the bracket itself bears is not known: its packet comes first.");
    if (capacity.from_memory)
        cautions << tr("Figures from memory, unchecked.");
    cautions << tr("Makers' instructions and local code come first where they say less.");
    caution_->setText(cautions.join(QStringLiteral(" ")));
    for (const Stronger& other : study->stronger) {
        auto* button = new QPushButton{tr("%1:\n%2, limited by %3")
                                           .arg(text(say(other.words, voice)), shown(capacity.on_all(other.per_metre)),
                                                core_words(words(other.governs))),
                                       this};
        button->setProperty("role", "cure");
        button->setMinimumHeight(2 * button->fontMetrics().lineSpacing() + 14); // its words take two lines
        connect(button, &QPushButton::clicked, this,
                [this, other] { bench_.apply(text(say(other.words, bench_.voice())), other.edit); });
        stronger_->addWidget(button);
    }
    if (study->stronger.empty())
        stronger_->addWidget(new QLabel{tr("Nothing at hand makes it hold more"), this});
}

} // namespace yes_square::app
