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
#include <functional>

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

void name(QWidget& widget, const char* object, const QString& words) {
    widget.setObjectName(QString::fromLatin1(object));
    widget.setAccessibleName(words);
}

/// By day and hour.
void put_by_day(auto& stretches, const auto& stretch) {
    stretches.push_back(stretch);
    std::ranges::sort(stretches, {}, [](const auto& each) { return std::pair{each.day, each.from}; });
}

/// Figures that are added to a list, and its rows taken out again.
/// @param what  that they are told of, over them; nullptr: of nothing more
/// @param problem  nullptr: nothing can be wrong with them
/// @param add  what is wrong with what is typed; empty: it was added
QWidget* list_editor(const QString& of, QComboBox* what, const std::vector<QWidget*>& figures, QLabel* problem,
                     QListWidget* list, const std::function<QString()>& add, const std::function<void(int)>& remove) {
    auto* editor = new QWidget;
    auto* column = new QVBoxLayout{editor};
    column->setContentsMargins(0, 0, 0, 0);
    if (what) {
        what->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        column->addWidget(what);
    }
    auto* put_in = new QPushButton{DaysPage::tr("Add")};
    put_in->setObjectName(QStringLiteral("add-%1").arg(of));
    auto* row = new QHBoxLayout;
    for (QWidget* figure : figures) {
        figure->setMinimumWidth(1);
        row->addWidget(figure);
    }
    put_in->setMinimumWidth(1);
    row->addWidget(put_in);
    column->addLayout(row);
    if (problem) {
        problem->setObjectName(QStringLiteral("%1-problem").arg(of));
        problem->setProperty("role", "alarm");
        problem->setWordWrap(true);
        column->addWidget(problem);
    }
    grow_to_rows(*list);
    column->addWidget(list);
    auto* take_out = new QPushButton{DaysPage::tr("Remove")};
    take_out->setObjectName(QStringLiteral("remove-%1").arg(of));
    column->addWidget(take_out);
    QObject::connect(put_in, &QPushButton::clicked, editor, [add, problem] {
        if (const QString wrong = add(); problem)
            problem->setText(wrong);
    });
    QObject::connect(take_out, &QPushButton::clicked, editor, [remove, list] {
        if (const int chosen = list->currentRow(); chosen >= 0)
            remove(chosen);
    });
    return editor;
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
    name(*helpers_, "helpers", tr("When a helper is there"));
    return list_editor(
        QStringLiteral("helper"), nullptr, {helper_day_, helper_from_, helper_to_}, helper_problem_, helpers_,
        [this] {
            const HelperTime time{
                helper_day_->value(), hours_of(helper_from_->time()), hours_of(helper_to_->time()), {}};
            if (time.to <= time.from)
                return tr("The helper would leave before coming: put the later time second.");
            bench_.edit(tr("A helper is there"), [&](Job& job) { put_by_day(job.days.helpers, time); });
            return QString{};
        },
        [this](int row) {
            bench_.edit(tr("No helper then"),
                        [&](Job& job) { job.days.helpers.erase(job.days.helpers.begin() + row); });
        });
}

QWidget* DaysPage::waits_editor() {
    name(*wait_of_, "wait-of", tr("What cannot begin yet"));
    name(*waits_, "waits", tr("What cannot begin yet"));
    return list_editor(
        QStringLiteral("wait"), wait_of_, {wait_day_, wait_from_}, nullptr, waits_,
        [this] {
            const NotBefore wait{
                wait_of_->currentData().toString().toStdString(), wait_day_->value(), hours_of(wait_from_->time()), {}};
            bench_.edit(tr("Nothing before day %1").arg(wait.day), [&](Job& job) {
                std::erase_if(job.days.not_before, [&](const NotBefore& other) { return other.of == wait.of; });
                job.days.not_before.push_back(wait);
            });
            return QString{};
        },
        [this](int row) {
            bench_.edit(tr("It may begin at once"),
                        [&](Job& job) { job.days.not_before.erase(job.days.not_before.begin() + row); });
        });
}

QWidget* DaysPage::shut_editor() {
    name(*shut_room_, "shut-room", tr("The room that nobody works in then"));
    name(*shut_, "shut", tr("When a room is shut"));
    return list_editor(
        QStringLiteral("shut"), shut_room_, {shut_day_, shut_from_, shut_to_}, shut_problem_, shut_,
        [this] {
            const RoomShut shut{shut_room_->currentData().toString().toStdString(),
                                shut_day_->value(),
                                hours_of(shut_from_->time()),
                                hours_of(shut_to_->time()),
                                {}};
            if (shut.to <= shut.from)
                return tr("The room would be free before it is shut: put the later time second.");
            bench_.edit(tr("A room is shut"), [&](Job& job) { put_by_day(job.days.shut, shut); });
            return QString{};
        },
        [this](int row) {
            bench_.edit(tr("The room is free then"),
                        [&](Job& job) { job.days.shut.erase(job.days.shut.begin() + row); });
        });
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
        const QString house = spoken_locale().toString(learned[i].house, 'g', 3);
        if (learned[i].times == 0) {
            lines << tr("%1: %2 min, none measured yet").arg(names[i], house);
            continue;
        }
        any = true;
        lines << tr("%1: %2 min; %3 min as measured, the middle one of %4")
                     .arg(names[i], house, spoken_locale().toString(learned[i].median, 'g', 3))
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
