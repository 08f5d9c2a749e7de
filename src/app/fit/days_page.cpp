#include "app/fit/days_page.hpp"

#include "app/bench/fold.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/bench/rows.hpp"
#include "app/board/picking.hpp"
#include "core/sheets/day_drawing.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

double hours_of(QTime time) {
    return time.msecsSinceStartOfDay() / 3'600'000.0;
}
QString said(double hours) {
    return text(clock(static_cast<JobTime>(std::llround(hours * 3600))));
}

QSpinBox* day_box(const char* name) {
    auto* box = new QSpinBox;
    box->setObjectName(QString::fromLatin1(name));
    box->setRange(1, 366);
    box->setPrefix(DaysPage::tr("day "));
    box->setAccessibleName(DaysPage::tr("Day of the work"));
    return box;
}

QTimeEdit* time_box(const char* name, QTime time, const QString& words) {
    auto* box = new QTimeEdit{time};
    box->setObjectName(QString::fromLatin1(name));
    box->setDisplayFormat(QStringLiteral("H:mm"));
    box->setAccessibleName(words);
    return box;
}

} // namespace

DaysPage::DaysPage(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , form_{new BoundForm{bench, this}}
    , ends_{heading_label({}, this)}
    , words_{new QLabel{this}}
    , helper_day_{day_box("helper-day")}
    , helper_from_{time_box("helper-from", {8, 0}, tr("From"))}
    , helper_to_{time_box("helper-to", {12, 0}, tr("To"))}
    , helper_problem_{new QLabel}
    , helpers_{new QListWidget}
    , wait_of_{new QComboBox}
    , wait_day_{day_box("wait-day")}
    , wait_from_{time_box("wait-from", {0, 0}, tr("From; 0:00: as work begins"))}
    , waits_{new QListWidget}
    , shut_room_{new QComboBox}
    , shut_day_{day_box("shut-day")}
    , shut_from_{time_box("shut-from", {12, 0}, tr("From"))}
    , shut_to_{time_box("shut-to", {13, 0}, tr("To"))}
    , shut_problem_{new QLabel}
    , shut_{new QListWidget}
    , step_{new QComboBox{this}}
    , longer_{new QSpinBox{this}}
    , slip_{new QLabel{this}}
    , learned_{new QLabel{this}}
    , as_measured_{new QPushButton{tr("Go by these"), this}}
    , as_house_{new QPushButton{tr("As at first"), this}}
    , drawing_{new DrawingView{[this](double width, double, double size) {
        if (!isVisible())
            return Drawing{};
        const double margin = 4;
        Drawing drawing{width, margin, {}};
        Drawing days = draw_days(bench_.job(), day_.order(), day_.schedule(), width - 2 * margin, size, bench_.voice());
        drawing.height += days.height;
        append(drawing, std::move(days), margin, margin);
        drawing_->setMinimumHeight(static_cast<int>(drawing.height * pixels_per_mm));
        return drawing;
    }}}
    , scroll_{new QScrollArea} {
    ends_->setObjectName(QStringLiteral("days-end"));
    words_->setObjectName(QStringLiteral("days-words"));
    words_->setWordWrap(true);
    form_->number(
        tr("Persons"), "days-crew", {{}, Range::more_than_zero, 20, {}, false},
        [this] { return std::optional{std::optional<double>{bench_.job().crew}}; },
        [](Job& job, std::optional<double> value) { job.crew = std::max(1, static_cast<int>(value.value_or(1))); });
    form_->number(
        tr("Work begins at"), "days-begins", {[] { return tr("o'clock"); }, Range::not_negative, 23, {}, false},
        [this] { return std::optional{std::optional<double>{bench_.job().days.begins}}; },
        [](Job& job, std::optional<double> value) { job.days.begins = value.value_or(8); });
    form_->number(
        tr("Hours a day"), "days-hours", {{}, Range::more_than_zero, 24, {}, false},
        [this] { return std::optional{std::optional<double>{bench_.job().days.hours}}; },
        [](Job& job, std::optional<double> value) { job.days.hours = value.value_or(8); });
    form_->number(
        tr("Next is day"), "days-next", {{}, Range::more_than_zero, 366, {}, false},
        [this] { return std::optional{std::optional<double>{bench_.job().days.next}}; },
        [](Job& job, std::optional<double> value) {
            job.days.next = std::max(1, static_cast<int>(value.value_or(1)));
        });

    step_->setObjectName(QStringLiteral("slip-step"));
    step_->setAccessibleName(tr("The step that takes longer"));
    step_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    longer_->setObjectName(QStringLiteral("slip-minutes"));
    longer_->setRange(5, 600);
    longer_->setSingleStep(5);
    longer_->setValue(60);
    longer_->setSuffix(tr(" min longer"));
    longer_->setAccessibleName(tr("So much longer"));
    slip_->setObjectName(QStringLiteral("slip-words"));
    slip_->setWordWrap(true);
    connect(step_, &QComboBox::activated, this, &DaysPage::show_slip);
    connect(longer_, &QSpinBox::valueChanged, this, &DaysPage::show_slip);

    learned_->setObjectName(QStringLiteral("learned-minutes"));
    learned_->setWordWrap(true);
    as_measured_->setObjectName(QStringLiteral("minutes-as-measured"));
    as_house_->setObjectName(QStringLiteral("minutes-as-house"));
    connect(as_measured_, &QPushButton::clicked, this, [this] { take_minutes(true); });
    connect(as_house_, &QPushButton::clicked, this, [this] { take_minutes(false); });

    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addWidget(ends_);
    column->addWidget(words_);
    column->addWidget(form_);
    column->addWidget(folded(tr("When a helper is there"), QStringLiteral("days-fold-helpers"), helpers_editor()));
    column->addWidget(folded(tr("What cannot begin yet"), QStringLiteral("days-fold-waits"), waits_editor()));
    column->addWidget(folded(tr("When a room is shut"), QStringLiteral("days-fold-shut"), shut_editor()));
    column->addWidget(heading_label(tr("If a step takes longer")));
    column->addWidget(step_);
    column->addWidget(longer_);
    column->addWidget(slip_);
    column->addWidget(heading_label(tr("How long steps take")));
    column->addWidget(learned_);
    auto* row = new QHBoxLayout;
    for (QPushButton* button : {as_measured_, as_house_}) {
        button->setMinimumWidth(1);
        row->addWidget(button);
    }
    column->addLayout(row);
    column->addStretch(1);

    drawing_->setObjectName(QStringLiteral("days"));
    drawing_->setAccessibleName(tr("The days, by person"));
    scroll_->setWidget(drawing_);
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(drawing_, &DrawingView::picked, this, [this](const Reference& reference) {
        const DaySchedule& schedule = day_.schedule();
        if (reference.index >= schedule.tasks.size())
            return;
        const std::size_t task = schedule.tasks[reference.index].task;
        step_->setCurrentIndex(step_->findData(text(day_.order().tasks[task].key)));
        show_slip();
    });
    connect(&bench_, &Workbench::changed, this, &DaysPage::refresh);
}

QWidget* DaysPage::helpers_editor() {
    auto* editor = new QWidget;
    auto* column = new QVBoxLayout{editor};
    column->setContentsMargins(0, 0, 0, 0);
    auto* row = new QHBoxLayout;
    auto* add = new QPushButton{tr("Add")};
    add->setObjectName(QStringLiteral("add-helper"));
    for (QWidget* each : {static_cast<QWidget*>(helper_day_), static_cast<QWidget*>(helper_from_),
                          static_cast<QWidget*>(helper_to_), static_cast<QWidget*>(add)}) {
        each->setMinimumWidth(1);
        row->addWidget(each);
    }
    helpers_->setObjectName(QStringLiteral("helpers"));
    helpers_->setAccessibleName(tr("When a helper is there"));
    grow_to_rows(*helpers_);
    auto* remove = new QPushButton{tr("Remove")};
    remove->setObjectName(QStringLiteral("remove-helper"));
    column->addLayout(row);
    helper_problem_->setObjectName(QStringLiteral("helper-problem"));
    helper_problem_->setProperty("role", "alarm");
    helper_problem_->setWordWrap(true);
    column->addWidget(helper_problem_);
    column->addWidget(helpers_);
    column->addWidget(remove);
    connect(add, &QPushButton::clicked, this, [this] {
        const HelperTime time{helper_day_->value(), hours_of(helper_from_->time()), hours_of(helper_to_->time()), {}};
        if (time.to <= time.from)
            return helper_problem_->setText(tr("The helper would leave before coming: put the later time second."));
        helper_problem_->clear();
        bench_.edit(tr("A helper is there"), [&](Job& job) {
            job.days.helpers.push_back(time);
            std::ranges::sort(job.days.helpers, {}, [](const HelperTime& each) {
                return std::pair{each.day, each.from};
            });
        });
    });
    connect(remove, &QPushButton::clicked, this, [this] {
        if (const int chosen = helpers_->currentRow(); chosen >= 0)
            bench_.edit(tr("No helper then"),
                        [&](Job& job) { job.days.helpers.erase(job.days.helpers.begin() + chosen); });
    });
    return editor;
}

QWidget* DaysPage::waits_editor() {
    auto* editor = new QWidget;
    auto* column = new QVBoxLayout{editor};
    column->setContentsMargins(0, 0, 0, 0);
    wait_of_->setObjectName(QStringLiteral("wait-of"));
    wait_of_->setAccessibleName(tr("What cannot begin yet"));
    wait_of_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    auto* row = new QHBoxLayout;
    auto* add = new QPushButton{tr("Add")};
    add->setObjectName(QStringLiteral("add-wait"));
    row->addWidget(wait_day_, 1);
    row->addWidget(wait_from_, 1);
    row->addWidget(add, 1);
    waits_->setObjectName(QStringLiteral("waits"));
    waits_->setAccessibleName(tr("What cannot begin yet"));
    grow_to_rows(*waits_);
    auto* remove = new QPushButton{tr("Remove")};
    remove->setObjectName(QStringLiteral("remove-wait"));
    column->addWidget(wait_of_);
    column->addLayout(row);
    column->addWidget(waits_);
    column->addWidget(remove);
    connect(add, &QPushButton::clicked, this, [this] {
        const NotBefore wait{
            wait_of_->currentData().toString().toStdString(), wait_day_->value(), hours_of(wait_from_->time()), {}};
        bench_.edit(tr("Nothing before day %1").arg(wait.day), [&](Job& job) {
            std::erase_if(job.days.not_before, [&](const NotBefore& other) { return other.of == wait.of; });
            job.days.not_before.push_back(wait);
        });
    });
    connect(remove, &QPushButton::clicked, this, [this] {
        if (const int chosen = waits_->currentRow(); chosen >= 0)
            bench_.edit(tr("It may begin at once"),
                        [&](Job& job) { job.days.not_before.erase(job.days.not_before.begin() + chosen); });
    });
    return editor;
}

QWidget* DaysPage::shut_editor() {
    auto* editor = new QWidget;
    auto* column = new QVBoxLayout{editor};
    column->setContentsMargins(0, 0, 0, 0);
    shut_room_->setObjectName(QStringLiteral("shut-room"));
    shut_room_->setAccessibleName(tr("The room that nobody works in then"));
    shut_room_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    auto* add = new QPushButton{tr("Add")};
    add->setObjectName(QStringLiteral("add-shut"));
    auto* row = new QHBoxLayout;
    for (QWidget* each : {static_cast<QWidget*>(shut_day_), static_cast<QWidget*>(shut_from_),
                          static_cast<QWidget*>(shut_to_), static_cast<QWidget*>(add)}) {
        each->setMinimumWidth(1);
        row->addWidget(each);
    }
    shut_problem_->setObjectName(QStringLiteral("shut-problem"));
    shut_problem_->setProperty("role", "alarm");
    shut_problem_->setWordWrap(true);
    shut_->setObjectName(QStringLiteral("shut"));
    shut_->setAccessibleName(tr("When a room is shut"));
    grow_to_rows(*shut_);
    auto* remove = new QPushButton{tr("Remove")};
    remove->setObjectName(QStringLiteral("remove-shut"));
    column->addWidget(shut_room_);
    column->addLayout(row);
    column->addWidget(shut_problem_);
    column->addWidget(shut_);
    column->addWidget(remove);
    connect(add, &QPushButton::clicked, this, [this] {
        const RoomShut shut{shut_room_->currentData().toString().toStdString(),
                            shut_day_->value(),
                            hours_of(shut_from_->time()),
                            hours_of(shut_to_->time()),
                            {}};
        if (shut.to <= shut.from)
            return shut_problem_->setText(tr("The room would be free before it is shut: put the later time second."));
        shut_problem_->clear();
        bench_.edit(tr("A room is shut"), [&](Job& job) {
            job.days.shut.push_back(shut);
            std::ranges::sort(job.days.shut, {}, [](const RoomShut& each) { return std::pair{each.day, each.from}; });
        });
    });
    connect(remove, &QPushButton::clicked, this, [this] {
        if (const int chosen = shut_->currentRow(); chosen >= 0)
            bench_.edit(tr("The room is free then"),
                        [&](Job& job) { job.days.shut.erase(job.days.shut.begin() + chosen); });
    });
    return editor;
}

void DaysPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

/// Only while it is looked at: a schedule is a search.
void DaysPage::refresh() {
    if (!isVisible())
        return;
    QStringList lines;
    for (const Sentence& each : schedule_words(day_.schedule()))
        lines << text(say(each, bench_.voice())) + QLatin1Char('.');
    ends_->setText(lines.isEmpty() ? tr("There is nothing to do in this job yet.") : lines.takeFirst());
    words_->setText(lines.join(QLatin1Char('\n')));
    words_->setVisible(!lines.isEmpty());
    show_lists();
    show_steps();
    show_learned();
    drawing_->redraw();
}

void DaysPage::show_lists() {
    const WorkDays& days = bench_.job().days;
    QStringList helpers;
    for (const HelperTime& time : days.helpers)
        helpers << tr("Day %1, %2 to %3").arg(time.day).arg(said(time.from), said(time.to));
    fill(*helpers_, helpers);
    const QVariant before = wait_of_->currentData();
    QStringList of{tr("What waits for the delivery")};
    QVariantList ids{QString{}};
    const auto add = [&](const QString& words, const std::string& id) {
        of << words;
        ids << text(id);
    };
    for (const Room& room : bench_.job().rooms)
        add(tr("Work in %1").arg(text(room.name)), room.id);
    for (const auto& wall : bench_.plan().walls)
        for_each_thing(*wall, [&](const ThingPlan& thing) { add(text(thing.name), thing.id); });
    fill(*wait_of_, of, ids);
    wait_of_->setCurrentIndex(std::max(0, wait_of_->findData(before)));
    QStringList waits;
    for (const NotBefore& wait : days.not_before) {
        const int at = wait_of_->findData(text(wait.of));
        const QString what = at < 0 ? text(wait.of) : wait_of_->itemText(at);
        waits << (wait.from > 0 ? tr("%1: not before day %2 at %3").arg(what).arg(wait.day).arg(said(wait.from))
                                : tr("%1: not before day %2").arg(what).arg(wait.day));
    }
    fill(*waits_, waits);
    const QVariant room_before = shut_room_->currentData();
    QStringList rooms;
    QVariantList room_ids;
    for (const Room& room : bench_.job().rooms) {
        rooms << text(room.name);
        room_ids << text(room.id);
    }
    fill(*shut_room_, rooms, room_ids);
    shut_room_->setCurrentIndex(std::max(0, shut_room_->findData(room_before)));
    QStringList shut;
    for (const RoomShut& each : days.shut) {
        const int at = shut_room_->findData(text(each.room));
        shut << tr("%1: day %2, %3 to %4")
                    .arg(at < 0 ? text(each.room) : shut_room_->itemText(at))
                    .arg(each.day)
                    .arg(said(each.from), said(each.to));
    }
    fill(*shut_, shut);
}

void DaysPage::show_steps() {
    const QVariant before = step_->currentData();
    const JobOrder& order = day_.order();
    QStringList steps;
    QVariantList keys;
    for (const ScheduledTask& each : day_.schedule().tasks) {
        const Task& task = order.tasks[each.task];
        const QString words = text(say(task.step.words, bench_.voice()));
        steps << tr("Day %1, %2: %3")
                     .arg(day_of(each.begins))
                     .arg(text(clock(each.begins)),
                          task.item_name.empty() ? words : tr("%1, %2").arg(text(task.item_name), words));
        keys << text(task.key);
    }
    fill(*step_, steps, keys);
    step_->setCurrentIndex(std::max(0, step_->findData(before)));
    step_->setEnabled(step_->count() > 0);
    longer_->setEnabled(step_->count() > 0);
    show_slip();
}

void DaysPage::show_slip() {
    const DaySchedule& schedule = day_.schedule();
    const auto& tasks = day_.order().tasks;
    const auto task = std::ranges::find(tasks, step_->currentData().toString().toStdString(), &Task::key);
    if (task == tasks.end() || schedule.tasks.empty())
        return slip_->clear();
    const auto number = static_cast<std::size_t>(task - tasks.begin());
    const Slips slips = slips_when(bench_.job(), day_.order(), schedule, number, longer_->value() * 60);
    const auto when = [](JobTime time) { return tr("day %1 at %2").arg(day_of(time)).arg(text(clock(time))); };
    QString words = slips.ends > schedule.ends
                        ? tr("The job ends on %1 instead of %2.").arg(when(slips.ends), when(schedule.ends))
                        : tr("The job ends as before, on %1.").arg(when(schedule.ends));
    words += QLatin1Char(' ');
    words += slips.tasks.empty()       ? tr("Nothing else begins later.")
             : slips.tasks.size() == 1 ? tr("One step begins later:")
                                       : tr("%1 steps begin later:").arg(slips.tasks.size());
    constexpr std::size_t named = 3;
    for (std::size_t i = 0; i < std::min(named, slips.tasks.size()); ++i) {
        const Slip& slip = slips.tasks[i];
        words += tr("\n%1: %2, not %3")
                     .arg(text(tasks[slip.task].item_name) + QStringLiteral(", ") +
                              text(say(tasks[slip.task].step.words, bench_.voice())),
                          when(slip.to), when(slip.from));
    }
    slip_->setText(words);
}

void DaysPage::show_learned() {
    const std::array names{tr("A mark"), tr("A hole"), tr("Any other step")};
    QStringList lines;
    bool any = false;
    const std::vector<LearnedMinutes> learned = learned_minutes(bench_.job(), day_.order());
    for (std::size_t i = 0; i < learned.size(); ++i) {
        const QString house = QLocale{}.toString(learned[i].house, 'g', 3);
        if (learned[i].times == 0) {
            lines << tr("%1: %2 min, none measured yet").arg(names[i], house);
            continue;
        }
        any = true;
        lines << tr("%1: %2 min; %3 min as measured, the middle one of %4")
                     .arg(names[i], house, QLocale{}.toString(learned[i].median, 'g', 3))
                     .arg(learned[i].times);
    }
    learned_->setText(lines.join(QLatin1Char('\n')));
    as_measured_->setEnabled(any);
    const FitRules& rules = bench_.job().rules.fitting;
    const FitRules first;
    as_house_->setEnabled(rules.mark_min != first.mark_min || rules.drill_min != first.drill_min ||
                          rules.step_min != first.step_min);
}

void DaysPage::take_minutes(bool as_measured) {
    const std::vector<LearnedMinutes> learned = learned_minutes(bench_.job(), day_.order());
    constexpr std::array rules{&FitRules::mark_min, &FitRules::drill_min, &FitRules::step_min};
    bench_.edit(as_measured ? tr("Go by the minutes measured") : tr("Minutes as at first"), [&](Job& job) {
        for (std::size_t i = 0; i < rules.size(); ++i) {
            if (!as_measured)
                job.rules.fitting.*rules[i] = FitRules{}.*rules[i];
            else if (learned[i].times > 0)
                job.rules.fitting.*rules[i] = learned[i].median;
        }
    });
}

} // namespace yes_square::app
