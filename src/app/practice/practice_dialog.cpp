#include "app/practice/practice_dialog.hpp"

#include <QHBoxLayout>
#include <QRandomGenerator>
#include <QVBoxLayout>

namespace yes_square::app {

PracticeDialog::PracticeDialog(std::uint64_t seed, Unit unit, const Theme& theme, QWidget* parent)
    : QDialog{parent}
    , exercise_{seed}
    , board_{new BoardView{bench_, this}}
    , task_{new QLabel{this}}
    , said_{new QLabel{this}}
    , results_{new QLabel{this}}
    , at_{new LengthField{this}}
    , advice_{new QPushButton{tr("Where would you probe?"), this}}
    , finish_{new QPushButton{tr("I know enough: show the studs"), this}} {
    setWindowTitle(tr("Practice wall"));
    resize(1000, 660);
    bench_.edit(tr("Unit"), [unit](Job& job) { job.unit = unit; });
    board_->set_theme(theme);
    task_->setWordWrap(true);
    said_->setObjectName(QStringLiteral("practice-said"));
    said_->setProperty("role", "heading");
    said_->setWordWrap(true);
    results_->setObjectName(QStringLiteral("practice-results"));
    results_->setWordWrap(true);
    at_->setObjectName(QStringLiteral("practice-at"));
    at_->setPlaceholderText(tr("type it, then Enter"));
    at_->set_least({}, tr("It cannot be less than 0"));
    at_->set_unit(unit);
    advice_->setObjectName(QStringLiteral("practice-advice"));
    finish_->setObjectName(QStringLiteral("practice-finish"));
    auto* another = new QPushButton{tr("Another wall"), this};
    another->setObjectName(QStringLiteral("practice-another"));
    for (QPushButton* button : {advice_, finish_, another})
        button->setAutoDefault(false); // Enter belongs to the figure

    auto* row = new QHBoxLayout;
    row->addWidget(new QLabel{tr("Probe at"), this});
    row->addWidget(at_, 1);
    row->addWidget(advice_);
    row->addWidget(finish_);
    row->addWidget(another);
    auto* column = new QVBoxLayout{this};
    column->addWidget(task_);
    column->addWidget(board_, 1);
    column->addWidget(said_);
    column->addLayout(row);
    column->addWidget(results_);

    connect(board_, &BoardView::pointed_at, this, [this](Length x, Length) { probe(x); });
    connect(at_, &LengthField::committed, this, &PracticeDialog::probe);
    connect(advice_, &QPushButton::clicked, this, &PracticeDialog::ask_advice);
    connect(finish_, &QPushButton::clicked, this, &PracticeDialog::finish);
    connect(another, &QPushButton::clicked, this, [this] { begin(QRandomGenerator::global()->generate64()); });
    begin(seed);
}

void PracticeDialog::begin(std::uint64_t seed) {
    exercise_ = PracticeWall{seed};
    const Voice voice = bench_.voice();
    task_->setText(
        tr("Behind this wall stand studs. Prove all of them between %1 and %2 with as few holes as you can: find "
           "wood, then close both its edges to %3. Click on the wall or type a distance. The probe reads wrong "
           "once in a hundred times; the marks already there are what a detector and a lamp showed, and some "
           "mislead.")
            .arg(text(format(exercise_.stretch().left, voice)), text(format(exercise_.stretch().right, voice)),
                 text(format(3_mm, voice))));
    said_->setText(tr("No hole yet"));
    show_wall();
    show_results();
    at_->setFocus();
}

/// While the truth is hidden the wall is shown as one that nothing is known of.
void PracticeDialog::show_wall() {
    Job job = bench_.job();
    Wall wall = exercise_.hidden().wall;
    wall.id = "practice";
    wall.name = tr("Practice wall").toStdString();
    wall.observations = exercise_.readings();
    wall.structure = LiningOnly{};
    if (exercise_.result()) {
        wall.structure = Framing{};
        for (const HiddenStud& stud : exercise_.hidden().studs)
            wall.studs.push_back({stud.centre, StudState::proved, Length::micrometres(600)});
    }
    job.walls = {std::move(wall)};
    bench_.start(std::move(job));
    board_->show_survey(SurveyLayer::studs, std::nullopt);
    advice_->setEnabled(!exercise_.result());
    finish_->setEnabled(!exercise_.result());
    at_->setEnabled(!exercise_.result());
}

void PracticeDialog::probe(Length x) {
    if (exercise_.result())
        return;
    if (x > exercise_.hidden().wall.length) {
        said_->setText(tr("The wall ends at %1").arg(text(format(exercise_.hidden().wall.length, bench_.voice()))));
        return;
    }
    const bool wood = exercise_.probe_at(x);
    std::size_t holes = 0;
    for (const Observation& seen : exercise_.readings())
        holes += seen.kind == EvidenceKind::probe_hit || seen.kind == EvidenceKind::probe_miss ? 1 : 0;
    said_->setText(
        tr("Hole %1, at %2: %3").arg(holes).arg(text(format(x, bench_.voice())), wood ? tr("wood") : tr("nothing")));
    at_->clear_length();
    show_wall();
}

void PracticeDialog::follow_advice(int holes) {
    for (; holes > 0; --holes)
        if (const auto advice = exercise_.advice())
            probe(advice->x);
    ask_advice();
}

void PracticeDialog::ask_advice() {
    const auto advice = exercise_.advice();
    board_->show_survey(SurveyLayer::studs, advice);
    said_->setText(
        advice ? tr("At %1. %2").arg(text(format(advice->x, bench_.voice())), text(say(advice->words, bench_.voice())))
               : tr("Nowhere: every stud that is likely there is proved"));
}

void PracticeDialog::finish() {
    const PracticeResult& result = exercise_.finish();
    said_->setText(
        tr("%1 of %2 studs proved with %3 holes, %4 wrongly. By the advice alone it would have taken %5 holes.")
            .arg(result.proved)
            .arg(result.studs)
            .arg(result.holes)
            .arg(result.wrong)
            .arg(result.advice_holes));
    const QString problem = keep_result(result);
    show_wall();
    show_results();
    if (!problem.isEmpty())
        results_->setText(problem);
}

void PracticeDialog::show_results() {
    const std::vector<KeptResult> kept = kept_results();
    if (kept.empty()) {
        results_->setText(tr("No wall finished yet"));
        return;
    }
    std::size_t holes = 0;
    std::size_t studs = 0;
    std::size_t proved = 0;
    std::size_t wrong = 0;
    std::size_t advice = 0;
    for (const KeptResult& one : kept) {
        holes += one.result.holes;
        studs += one.result.studs;
        proved += one.result.proved;
        wrong += one.result.wrong;
        advice += one.result.advice_holes;
    }
    results_->setText(
        tr("So far: %1 walls, %2 of %3 studs proved with %4 holes, %5 wrongly; the advice would have taken %6")
            .arg(kept.size())
            .arg(proved)
            .arg(studs)
            .arg(holes)
            .arg(wrong)
            .arg(advice));
}

} // namespace yes_square::app
