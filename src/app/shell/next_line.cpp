#include "app/shell/next_line.hpp"

#include <QHBoxLayout>
#include <QTextDocumentFragment>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int most_on_button = 30;

bool is_about_a_fault(const NextStep& next) {
    return next.kind == NextStep::Kind::find_stud || next.kind == NextStep::Kind::detect ||
           next.kind == NextStep::Kind::cure || next.kind == NextStep::Kind::put_right;
}

} // namespace

NextLine::NextLine(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , words_{new QLabel{this}}
    , act_{new QPushButton{this}}
    , checks_{new QPushButton{this}}
    , turn_{new QPushButton{this}} {
    words_->setObjectName(QStringLiteral("next-words"));
    words_->setWordWrap(true);
    words_->setMinimumWidth(120);
    words_->setTextFormat(Qt::RichText); // what stands in it is escaped
    act_->setObjectName(QStringLiteral("next-act"));
    act_->setProperty("role", "first");
    checks_->setObjectName(QStringLiteral("show-checks"));
    checks_->setCheckable(true);
    turn_->setObjectName(QStringLiteral("turn"));
    turn_->setCheckable(true);
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    row->addWidget(words_, 1);
    row->addWidget(act_);
    row->addWidget(checks_);
    row->addWidget(turn_);
    connect(act_, &QPushButton::clicked, this, [this] {
        refresh(); // of this moment, whatever was waiting to be shown
        emit pressed(NextStep{next_});
    });
    connect(&bench_, &Workbench::changed, this, [this] { say_.wake(); });
    connect(&bench_, &Workbench::selection_changed, this, [this] { say_.wake(); });
}

void NextLine::say_next() {
    const Job& job = bench_.job();
    const Plan& plan = bench_.plan();
    next_ = next_step(job, plan,
                      {bench_.wall() ? bench_.wall()->id : std::string{},
                       [this]() -> const JobOrder& { return day_.order(); }, printed});
    const Voice voice = bench_.voice();
    const auto shown = [&](const Sentence& sentence) { return text(say(sentence, voice)).toHtmlEscaped(); };
    QString where = text(next_.owner).toHtmlEscaped();
    const auto wall = std::ranges::find(job.walls, next_.wall, &Wall::id);
    if (job.walls.size() > 1 && wall != job.walls.end() && wall->name != next_.owner)
        where = where.isEmpty() ? text(wall->name).toHtmlEscaped()
                                : tr("%1, %2").arg(text(wall->name).toHtmlEscaped(), where);
    QString words = tr("<b>Next:</b> ");
    if (!where.isEmpty() && next_.kind != NextStep::Kind::print && next_.kind != NextStep::Kind::sign &&
        next_.kind != NextStep::Kind::over)
        words += QStringLiteral("<b>%1.</b> ").arg(where);
    words += shown(next_.words) + QLatin1Char('.');
    if (next_.how)
        words += QLatin1Char(' ') + shown(*next_.how) + QLatin1Char('.');
    const bool in_sight = next_.kind == NextStep::Kind::task && step_in_sight(next_.task);
    const QString act = text(say(next_.button, voice));
    // What is too long for a button is said in the sentence.
    const bool long_words = act.size() > most_on_button;
    if (long_words)
        words += QLatin1Char(' ') + act.toHtmlEscaped() + QLatin1Char('.');
    words_->setText(words);
    words_->setAccessibleName(QTextDocumentFragment::fromHtml(words).toPlainText());
    act_->setText(in_sight ? tr("Done") : long_words ? tr("Do that") : act);
    const std::size_t wrong = count_checks(plan, Severity::error);
    const std::size_t warned = count_checks(plan, Severity::warning);
    // What is not known to hold is not nothing, even where no check says so.
    checks_->setText(wrong > 0                 ? tr("%1 to put right").arg(wrong)
                     : warned > 0              ? tr("%1 to mind").arg(warned)
                     : is_about_a_fault(next_) ? tr("Not known to hold")
                                               : tr("Nothing wrong"));
    checks_->setVisible(!job.walls.empty());
    checks_->setToolTip(tr("What is to be put right and minded, this wall first, each with what can be done"));
    set_flag(*checks_, "refused", wrong > 0);
}

} // namespace yes_square::app
