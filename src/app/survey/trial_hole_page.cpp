#include "app/survey/trial_hole_page.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/heading.hpp"

#include "app/survey/readings_editor.hpp"

#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr int met_kinds = static_cast<int>(DrillMet::pale_soft) + 1;

ReadingsSpec holes() {
    return {QStringLiteral("hole"),
            {},
            {},
            [](int) {
                return std::vector<ReadingField>{
                    {QStringLiteral("x"), TrialHolePage::tr("At"), false, false, false, Along::point},
                    {QStringLiteral("z"), TrialHolePage::tr("Height")},
                    {QStringLiteral("depth"), TrialHolePage::tr("It got this deep"), false, false, true}};
            },
            [](Wall& wall, int, const std::vector<std::optional<Length>>& figures) {
                wall.trial_holes.push_back({*figures[0], *figures[1], {}, *figures[2]});
            },
            [](const Wall& wall, const Voice& voice, const Reader&) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.trial_holes.size(); ++i) {
                    const TrialHole& hole = wall.trial_holes[i];
                    rows.push_back({hole.x,
                                    TrialHolePage::tr("%1   %2 up, %3 deep")
                                        .arg(text(format(wall.tape().reads(hole.x), voice)),
                                             text(format(hole.z, voice)), text(format(hole.depth, voice))),
                                    0, i});
                }
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) {
                wall.trial_holes.erase(wall.trial_holes.begin() + static_cast<std::ptrdiff_t>(row.index));
            }};
}

/// What the drill met goes to the hole entered last.
ReadingsSpec layers() {
    const QStringList kinds = words_of<DrillMet>();
    return {QStringLiteral("met"),
            TrialHolePage::tr("The drill met"),
            kinds,
            [](int) {
                return std::vector<ReadingField>{{QStringLiteral("from"), TrialHolePage::tr("From this depth")}};
            },
            [](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
                if (!wall.trial_holes.empty())
                    wall.trial_holes.back().layers.push_back({at_row<DrillMet>(kind), *figures[0]});
            },
            [kinds](const Wall& wall, const Voice& shown, const Reader&) {
                std::vector<ReadingRow> rows;
                if (wall.trial_holes.empty())
                    return rows;
                const TrialHole& hole = wall.trial_holes.back();
                for (std::size_t i = 0; i < hole.layers.size(); ++i)
                    rows.push_back({hole.layers[i].from,
                                    TrialHolePage::tr("from %1   %2")
                                        .arg(text(format(hole.layers[i].from, shown)), word_of(hole.layers[i].met)),
                                    0, i});
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) {
                auto& met = wall.trial_holes.back().layers;
                met.erase(met.begin() + static_cast<std::ptrdiff_t>(row.index));
            }};
}

} // namespace

TrialHolePage::TrialHolePage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , verdict_{new QLabel{this}}
    , take_{new QPushButton{tr("Take this as what the wall is made of"), this}} {
    auto* why =
        new QLabel{tr("Drill slowly where the work will cover it, services off and detector first. Note the depth at "
                      "which the dust or the feel changes."),
                   this};
    why->setWordWrap(true);
    verdict_->setTextFormat(Qt::RichText); // what stands in it is escaped
    verdict_->setWordWrap(true);
    verdict_->setObjectName(QStringLiteral("hole-verdict"));
    take_->setObjectName(QStringLiteral("hole-take"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(why);
    column->addWidget(services_caution(this));
    column->addWidget(new ReadingsEditor{bench, holes(), this});
    column->addWidget(new ReadingsEditor{bench, layers(), this});
    column->addWidget(verdict_);
    column->addWidget(take_, 0, Qt::AlignLeft);
    column->addStretch(1);
    connect(take_, &QPushButton::clicked, this, &TrialHolePage::take);
    connect(&bench_, &Workbench::changed, this, &TrialHolePage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &TrialHolePage::refresh);
    refresh();
}

void TrialHolePage::take() {
    const WallBuildUp& met = bench_.wall_plan()->survey.build_ups.back();
    bench_.apply(tr("Take the trial hole's build-up"), TakeBuildUp{bench_.wall()->id, *met.structure, met.lining});
}

void TrialHolePage::refresh() {
    const WallPlan* plan = bench_.wall_plan();
    take_->setEnabled(false);
    if (!plan || plan->survey.build_ups.empty() || bench_.wall()->trial_holes.back().layers.empty()) {
        verdict_->setText(tr("Nothing drilled yet"));
        return;
    }
    const WallBuildUp& met = plan->survey.build_ups.back();
    const Voice voice = bench_.voice();
    QString said = QStringLiteral("<b>%1</b>").arg(text(say(met.words, voice)).toHtmlEscaped());
    for (const Sentence& doubt : met.doubts)
        said += QStringLiteral("<br>%1").arg(text(say(doubt, voice)).toHtmlEscaped());
    verdict_->setText(said);
    take_->setEnabled(met.structure.has_value());
}

} // namespace yes_square::app
