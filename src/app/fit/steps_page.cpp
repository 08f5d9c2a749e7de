#include "app/fit/steps_page.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/plan/cautions.hpp"

#include <QCompleter>
#include <QDateTime>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

enum Shown { to_do, all, of_wall, of_thing };

QString hours(double taken) {
    return text(say(minutes(taken), {}));
}

} // namespace

StepsPage::StepsPage(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , who_{new QLineEdit{this}}
    , names_{new QStringListModel{this}}
    , crew_{new QComboBox{this}}
    , shown_{new QComboBox{this}}
    , progress_{new QLabel{this}}
    , table_{read_only_table({QString{}, tr("Step"), tr("Of")}, "job-steps", this)}
    , words_{new Document{this}}
    , before_{new Document{this}}
    , gate_{new QWidget{this}}
    , timer_words_{new QLabel{this}}
    , begin_{new QPushButton{tr("Begin"), this}}
    , done_{new QPushButton{tr("Done"), this}}
    , could_not_{new QPushButton{tr("Could not..."), this}}
    , back_{new QPushButton{tr("Take back"), this}} {
    who_->setObjectName(QStringLiteral("fitter"));
    who_->setPlaceholderText(tr("Who ticks"));
    auto* offered = new QCompleter{names_, who_};
    offered->setCaseSensitivity(Qt::CaseInsensitive);
    who_->setCompleter(offered);
    who_->setAccessibleName(tr("Who ticks"));
    connect(who_, &QLineEdit::editingFinished, this, [this] {
        const std::string name = who_->text().trimmed().toStdString();
        if (name != bench_.job().fitter)
            bench_.edit(tr("Name who ticks"), [&](Job& job) { job.fitter = name; });
    });
    crew_->addItems({tr("one person"), tr("two persons"), tr("three persons")});
    crew_->setObjectName(QStringLiteral("crew"));
    crew_->setAccessibleName(tr("Hands"));
    connect(crew_, &QComboBox::activated, this,
            [this](int row) { bench_.edit(tr("Change the crew"), [&](Job& job) { job.crew = row + 1; }); });
    shown_->addItems({tr("What is to do"), tr("All steps"), tr("This wall's steps"), tr("The selected thing's steps")});
    shown_->setObjectName(QStringLiteral("steps-shown"));
    progress_->setObjectName(QStringLiteral("steps-progress"));
    progress_->setWordWrap(true);
    words_->setObjectName(QStringLiteral("step-words"));
    before_->setObjectName(QStringLiteral("step-before"));
    timer_words_->setObjectName(QStringLiteral("step-timer"));
    timer_words_->setProperty("role", "heading");
    auto* asked = new QVBoxLayout{gate_};
    asked->setContentsMargins(0, 0, 0, 0);
    asked->setSpacing(2);
    for (const Sentence& question : gate_questions()) {
        auto* box = new QCheckBox{text(say(question, bench.voice())), gate_};
        box->setObjectName(QStringLiteral("gate-%1").arg(questions_.size() + 1));
        connect(box, &QCheckBox::toggled, this, &StepsPage::show_timer);
        questions_.push_back(box);
        asked->addWidget(box);
    }
    auto* buttons = new QGridLayout;
    const auto place = [&](QPushButton* button, const char* name, int at) {
        button->setObjectName(QString::fromLatin1(name));
        button->setMinimumWidth(1);
        buttons->addWidget(button, at / 2, at % 2);
    };
    place(begin_, "step-begin", 0);
    place(done_, "step-done", 1);
    place(could_not_, "step-could-not", 2);
    place(back_, "step-back", 3);
    connect(begin_, &QPushButton::clicked, this, [this] { set(TickState::begun); });
    connect(done_, &QPushButton::clicked, this, [this] { set(TickState::done); });
    connect(could_not_, &QPushButton::clicked, this, [this] {
        bool said = false;
        const QString because =
            QInputDialog::getText(this, tr("Could not"), tr("Because:"), QLineEdit::Normal, {}, &said);
        if (said && !because.trimmed().isEmpty())
            set(TickState::could_not, because.trimmed().toStdString());
    });
    connect(back_, &QPushButton::clicked, this, &StepsPage::take_back);
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int row, int, int before, int) {
        if (row == before)
            return;
        for (QCheckBox* box : questions_)
            box->setChecked(false);
        show_task();
        if (const Task* chosen = task(); chosen && table_->hasFocus()) {
            if (!chosen->wall.empty())
                for (std::size_t w = 0; w < bench_.job().walls.size(); ++w)
                    if (bench_.job().walls[w].id == chosen->wall)
                        bench_.select_wall(w);
            if (!chosen->item.empty()) {
                const std::string item = chosen->item;
                emit look_wanted(item);
                bench_.point_out(item);
            }
        }
    });
    connect(shown_, &QComboBox::activated, this, &StepsPage::refresh);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->setSpacing(4);
    auto* hands = new QHBoxLayout;
    hands->setSpacing(4);
    hands->addWidget(who_, 1);
    hands->addWidget(crew_, 1);
    column->addLayout(hands);
    // What is to be done now stands first; the whole list goes on under it.
    grow_to_words(*words_);
    grow_to_words(*before_);
    grow_to_rows(*table_);
    column->addWidget(words_);
    column->addWidget(gate_);
    column->addWidget(timer_words_);
    column->addLayout(buttons);
    column->addWidget(before_);
    column->addWidget(progress_);
    column->addWidget(shown_);
    column->addWidget(table_);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &StepsPage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, [this] {
        if (shown_->currentIndex() >= of_wall)
            refresh();
    });
    timer_.setInterval(1000);
    connect(&timer_, &QTimer::timeout, this, &StepsPage::show_timer);
}

void StepsPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

std::string StepsPage::current() const {
    const QTableWidgetItem* cell = table_->item(table_->currentRow(), 0);
    return cell ? cell->data(Qt::UserRole).toString().toStdString() : std::string{};
}

void StepsPage::go_to(const std::string& key) {
    for (int row = 0; row < table_->rowCount(); ++row)
        if (table_->item(row, 0)->data(Qt::UserRole).toString().toStdString() == key)
            table_->setCurrentCell(row, 1);
}

const Task* StepsPage::task() {
    const auto& tasks = day_.order().tasks;
    const auto found = std::ranges::find(tasks, current(), &Task::key);
    return found == tasks.end() ? nullptr : &*found;
}

void StepsPage::refresh() {
    if (!isVisible())
        return;
    if (!who_->hasFocus())
        who_->setText(text(bench_.job().fitter));
    QStringList fitters;
    for (const Fitter& fitter : bench_.job().fitters)
        fitters << text(fitter.name);
    names_->setStringList(fitters);
    crew_->setCurrentIndex(std::clamp(bench_.job().crew, 1, 3) - 1);
    const std::string thing = bench_.shelf() ? bench_.shelf()->id : bench_.run() ? bench_.run()->id : bench_.thing();
    const std::string before = current();
    const int row_before = std::max(0, table_->currentRow());
    const JobOrder& order = day_.order();
    const Voice voice = bench_.voice();
    std::size_t done = 0;
    double left = 0;
    {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        int kept = -1;
        for (const Task& each : order.tasks) {
            const Tick* tick = find_tick(bench_.job(), each.key);
            const bool is_over = tick && tick->state == TickState::done;
            done += is_over;
            if (!is_over)
                left += each.step.phase == Phase::cure ? 0 : each.minutes;
            if (shown_->currentIndex() == to_do && is_over)
                continue;
            if (shown_->currentIndex() == of_wall && (!bench_.wall() || each.wall != bench_.wall()->id))
                continue;
            if (shown_->currentIndex() == of_thing && each.item != thing)
                continue;
            QString mark = is_over                                       ? tr("done")
                           : tick && tick->state == TickState::could_not ? tr("not")
                           : tick && tick->state == TickState::begun     ? tr("begun")
                           : each.kind == TaskKind::gate                 ? tr("GATE")
                           : each.step.phase == Phase::cure              ? tr("wait")
                           : each.step.hold_point                        ? tr("HOLD")
                                                                         : QString{};
            if (each.key == before)
                kept = table_->rowCount();
            add_row(table_, {mark, text(say(each.step.words, voice)), text(each.item_name)}, text(each.key));
        }
        if (table_->rowCount() > 0)
            table_->setCurrentCell(kept >= 0 ? kept : std::min(row_before, table_->rowCount() - 1), 1);
    }
    progress_->setText(order.tasks.empty() ? tr("Nothing to do: lay something out first.")
                                           : tr("%1 of %2 steps done; about %3 of work left by the house rules.")
                                                 .arg(done)
                                                 .arg(order.tasks.size())
                                                 .arg(hours(left / std::max(1, bench_.job().crew))));
    show_task();
}

QStringList StepsPage::still_before(const Task& task) {
    QStringList open;
    for (const std::size_t first : task.after) {
        const Task& before = day_.order().tasks[first];
        if (!is_done(bench_.job(), before.key) && !open.contains(text(before.item_name)))
            open << text(before.item_name);
    }
    return open;
}

void StepsPage::show_task() {
    const Task* chosen = task();
    gate_->setVisible(chosen && chosen->kind == TaskKind::gate && !is_done(bench_.job(), chosen->key));
    if (!chosen) {
        words_->clear();
        before_->hide();
        show_timer();
        return;
    }
    const Voice voice = bench_.voice();
    const auto shown = [&](const Sentence& sentence) { return text(say(sentence, voice)).toHtmlEscaped(); };
    QString html;
    if (!chosen->cautions.empty()) {
        html += QStringLiteral("<p style=\"margin-bottom:2px\"><b>%1</b></p>").arg(tr("Mind first"));
        for (const Sentence& caution : chosen->cautions)
            html += QStringLiteral("<p style=\"margin:0 0 3px 8px\">%1</p>").arg(shown(caution));
    }
    html += QStringLiteral("<p style=\"font-size:large\">%1<b>%2</b></p>")
                .arg(chosen->step.hold_point ? tr("Hold: ") : QString{}, shown(chosen->step.words));
    QStringList facts;
    if (!chosen->item_name.empty())
        facts << text(chosen->item_name);
    facts << text(say(words(chosen->step.phase), voice));
    if (chosen->step.persons > 1)
        facts << (chosen->wants_helper ? tr("two persons: ask for a helper") : tr("two persons"));
    facts << hours(chosen->minutes);
    html += QStringLiteral("<p>%1</p>").arg(facts.join(QStringLiteral(" \u00b7 ")).toHtmlEscaped());
    if (const QStringList open = still_before(*chosen); !open.isEmpty())
        html += QStringLiteral("<p>%1</p>")
                    .arg(tr("Before it: %1").arg(open.mid(0, 4).join(QStringLiteral(", "))).toHtmlEscaped());
    if (const Tick* tick = find_tick(bench_.job(), chosen->key)) {
        QString said = tick->state == TickState::done        ? tr("Done %1 by %2")
                       : tick->state == TickState::could_not ? tr("Given up %1 by %2: ") + text(tick->because)
                                                             : tr("Begun %1 by %2");
        said = said.arg(shown_time(tick->state == TickState::begun ? tick->begun : tick->at),
                        tick->by.empty() ? tr("nobody named") : text(tick->by));
        html += QStringLiteral("<p><i>%1</i></p>").arg(said.toHtmlEscaped());
    }
    words_->setHtml(html);
    // As long as nobody has passed the wall's gate.
    const bool drills =
        !chosen->wall.empty() && !is_done(bench_.job(), chosen->wall + "/gate") && chosen->kind != TaskKind::gate;
    before_->setVisible(drills);
    if (drills) {
        QString cautions =
            QStringLiteral("<p style=\"margin-bottom:2px\"><b>%1</b></p>").arg(tr("Before you drill on this wall"));
        for (const Sentence& caution : general_cautions())
            cautions += QStringLiteral("<p style=\"margin:0 0 3px 8px\">%1</p>").arg(shown(caution));
        before_->setHtml(cautions);
    }
    show_timer();
}

/// What a wait still takes, and which buttons make sense now.
void StepsPage::show_timer() {
    const Task* chosen = task();
    const Tick* tick = chosen ? find_tick(bench_.job(), chosen->key) : nullptr;
    const bool over = tick && tick->state == TickState::done;
    const bool waits = chosen && chosen->step.phase == Phase::cure;
    bool set = true;
    timer_words_->setVisible(waits && !over);
    if (waits && !over) {
        const QDateTime begun = tick ? QDateTime::fromString(text(tick->begun), Qt::ISODate) : QDateTime{};
        const qint64 left =
            begun.isValid()
                ? QDateTime::currentDateTimeUtc().secsTo(begun.addSecs(static_cast<qint64>(chosen->minutes * 60)))
                : 0;
        set = begun.isValid() && left <= 0;
        timer_words_->setText(!begun.isValid()
                                  ? tr("Begin it when the resin is in: it waits %1").arg(hours(chosen->minutes))
                              : left > 0 ? tr("Still %1:%2").arg(left / 60).arg(left % 60, 2, 10, QLatin1Char('0'))
                                         : tr("It has had its time. Try it before you trust it"));
        begin_->setText(tr("Begin the wait"));
    } else {
        begin_->setText(tr("Begin"));
    }
    const bool gate_shut = chosen && chosen->kind == TaskKind::gate &&
                           std::ranges::any_of(questions_, [](const QCheckBox* box) { return !box->isChecked(); });
    emit step_shown();
    begin_->setEnabled(chosen && !over);
    done_->setEnabled(chosen && !over && !gate_shut && set);
    could_not_->setEnabled(chosen && !over);
    back_->setEnabled(tick != nullptr);
    waits && !over ? timer_.start() : timer_.stop();
}

void StepsPage::set(TickState state, const std::string& because) {
    const Task* chosen = task();
    if (!chosen)
        return;
    const std::string key = chosen->key;
    const std::string item = chosen->item;
    const std::string said = say(chosen->step.words, bench_.voice());
    const bool passed_gate = chosen->kind == TaskKind::gate && state == TickState::done;
    const std::string where = chosen->item_name;
    bench_.edit(state == TickState::done ? tr("Tick a step") : tr("Note a step"), [&](Job& job) {
        const Stamp stamp = day_.stamp();
        tick(job, key, state, stamp, because);
        if (state == TickState::could_not)
            write_log(job, LogKind::deviation, item, said + ": " + because, stamp);
        if (passed_gate)
            write_log(job, LogKind::note, item,
                      tr("Before drilling on %1: detected, isolated, protected, others out of the way")
                          .arg(text(where))
                          .toStdString(),
                      stamp);
    });
}

void StepsPage::tick_off() {
    if (done_->isEnabled())
        set(TickState::done);
}

void StepsPage::take_back() {
    const std::string key = current();
    bench_.edit(tr("Take a tick back"), [&](Job& job) { untick(job, key); });
}

} // namespace yes_square::app
