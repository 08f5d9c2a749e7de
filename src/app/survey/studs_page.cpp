#include "app/survey/studs_page.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/heading.hpp"
#include "app/survey/readings.hpp"
#include "app/survey/working_links.hpp"
#include "core/sheets/evidence_drawing.hpp"
#include "core/survey/look_for.hpp"
#include "core/survey/set_out.hpp"

#include <QFrame>
#include <QHBoxLayout>
#include <QVBoxLayout>

namespace yes_square::app {

StudsPage::StudsPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , where_{new QLabel{this}}
    , why_{new QLabel{this}}
    , wood_{new QPushButton{tr("&Wood"), this}}
    , nothing_{new QPushButton{tr("&Nothing"), this}}
    , under_work_{new QCheckBox{tr("Only where a shelf will cover the holes"), this}}
    , evidence_{new ReadingsEditor{bench, stud_evidence(), this}}
    , begin_{new QLabel{this}}
    , how_{new QLabel{this}}
    , picture_{new DrawingView{[this](double width, double height, double) {
                                   return draw_evidence(at_row<EvidenceKind>(evidence_->kind()), width, height);
                               },
                               this}} {
    where_->setObjectName(QStringLiteral("probe-where"));
    where_->setProperty("role", "figure");
    why_->setObjectName(QStringLiteral("probe-why"));
    why_->setWordWrap(true);
    wood_->setObjectName(QStringLiteral("probe-wood"));
    wood_->setToolTip(tr("The probe stopped in wood there"));
    nothing_->setObjectName(QStringLiteral("probe-nothing"));
    nothing_->setToolTip(tr("The probe went through there"));
    under_work_->setObjectName(QStringLiteral("probe-under-work"));

    auto* card = new QFrame{this};
    card->setProperty("role", "card");
    auto* inside = new QVBoxLayout{card};
    inside->setContentsMargins(10, 8, 10, 8);
    inside->setSpacing(4);
    inside->addWidget(where_);
    inside->addWidget(why_);
    auto* answers = new QHBoxLayout;
    answers->addWidget(wood_, 1);
    answers->addWidget(nothing_, 1);
    inside->addLayout(answers);
    inside->addWidget(under_work_);

    begin_->setObjectName(QStringLiteral("studs-begin"));
    begin_->setWordWrap(true);
    how_->setObjectName(QStringLiteral("evidence-how"));
    how_->setWordWrap(true);
    picture_->setObjectName(QStringLiteral("evidence-picture"));
    picture_->setAccessibleName(tr("What it looks like"));
    picture_->setFixedSize(110, 76);
    auto* look = new QHBoxLayout;
    look->addWidget(picture_, 0, Qt::AlignTop);
    look->addWidget(how_, 1);

    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(card);
    column->addWidget(services_caution(this));
    auto* heading = new QLabel{tr("What was seen or felt"), this};
    heading->setProperty("role", "heading");
    column->addWidget(heading);
    column->addLayout(look);
    column->addWidget(evidence_);
    column->addWidget(begin_);
    auto* found = new QLabel{tr("Studs that follow from it"), this};
    found->setProperty("role", "heading");
    column->addWidget(found);
    column->addWidget(new WorkingLinks{
        bench, {QStringLiteral("stud")}, tr("None yet. Told studs stand on the page \"Walk\"."), this});
    column->addStretch(1);

    connect(evidence_, &ReadingsEditor::kind_chosen, this, &StudsPage::show_how);
    show_how(evidence_->kind());
    connect(wood_, &QPushButton::clicked, this, [this] { record(EvidenceKind::probe_hit); });
    connect(nothing_, &QPushButton::clicked, this, [this] { record(EvidenceKind::probe_miss); });
    connect(under_work_, &QCheckBox::toggled, this, &StudsPage::refresh);
    connect(&bench_, &Workbench::changed, this, &StudsPage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &StudsPage::refresh);
}

void StudsPage::showEvent(QShowEvent*) {
    refresh();
}

void StudsPage::record(EvidenceKind kind) {
    if (!advice_)
        return;
    const Observation seen{kind, advice_->x, advice_->z};
    bench_.edit(kind == EvidenceKind::probe_hit ? tr("Probe, wood") : tr("Probe, nothing"),
                [&](Job& job) { job.walls[bench_.wall_index()].observations.push_back(seen); });
}

void StudsPage::show_how(int kind) {
    how_->setText(text(say(what_to_look_for(at_row<EvidenceKind>(kind)), bench_.voice())));
    picture_->redraw();
}

void StudsPage::refresh() {
    if (!isVisible())
        return;
    const Wall* wall = bench_.wall();
    QStringList places;
    if (wall && wall->observations.empty() && wall->studs.empty())
        for (const Sentence& place : where_studs_begin(*wall))
            places << text(say(place, bench_.voice()));
    begin_->setVisible(!places.isEmpty());
    begin_->setText(tr("By how framing is set out the middle of the first stud is likely here. %1.")
                        .arg(places.join(QStringLiteral(". "))));
    const auto* framing = wall ? std::get_if<Framing>(&wall->structure) : nullptr;
    const bool timber = framing && framing->material == StudMaterial::timber;
    const ProbeWhere where = under_work_->isChecked() ? ProbeWhere::under_the_work : ProbeWhere::anywhere;
    advice_ = timber ? advise_probe(*wall, bench_.wall_plan()->survey.findings, bench_.job().rules.studs, where,
                                    bench_.wall_plan()->survey.strips)
                     : std::nullopt;
    const Voice voice = bench_.voice();
    if (advice_) {
        where_->setText(tr("Probe at %1").arg(bench_.along(advice_->x)));
        QString why = text(say(advice_->words, voice));
        if (advice_->z)
            why += (where == ProbeWhere::under_the_work ? tr(". At %1 up the shelf hides the hole")
                                                        : tr(". At %1 up it keeps clear of cables and pipes"))
                       .arg(text(format(*advice_->z, voice)));
        why_->setText(why);
    } else if (!timber) {
        where_->setText(tr("No timber to probe for"));
        why_->setText(!wall ? tr("There is no wall yet")
                      : framing != nullptr
                          ? tr("Steel studs stop a probe hard, and a magnet holds to them all the way up")
                          : tr("This wall is not framed"));
    } else if (where == ProbeWhere::under_the_work && wall->shelves.empty()) {
        where_->setText(tr("Nothing to hide a hole behind"));
        why_->setText(tr("No shelf hangs on this wall yet"));
    } else {
        where_->setText(tr("Nothing left to probe"));
        why_->setText(tr("Every stud that is likely there is proved"));
    }
    wood_->setEnabled(advice_.has_value());
    nothing_->setEnabled(advice_.has_value());
    emit advised();
}

} // namespace yes_square::app
