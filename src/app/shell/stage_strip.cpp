#include "app/shell/stage_strip.hpp"

#include "app/bench/words.hpp"

#include "core/cutting/cut_list.hpp"
#include "core/fitting/as_found.hpp"

#include <QAbstractButton>
#include <QElapsedTimer>
#include <QHBoxLayout>
#include <QPainter>
#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

/// How far a stage is: told by a mark and in words.
enum class Progress { missing, wrong, done };

struct Standing {
    Progress progress = Progress::missing;
    QString words;
};

constexpr int quick_ms = 3; ///< the day's standings are worked out at once while they take no longer
constexpr int patience_ms = 250;

constexpr std::array names{"survey", "lines", "layout", "fixings", "cut", "fit", "record"};

QString counted(std::size_t number, const QString& one, const QString& many) {
    return number == 1 ? one : many.arg(number);
}

Standing survey_standing(const Job& job, const Plan& plan) {
    if (job.walls.empty())
        return {Progress::missing, tr("no wall yet")};
    std::size_t studs = 0;
    std::size_t proved = 0;
    for (const auto& wall : plan.walls) {
        studs += wall->survey.studs.size();
        proved += static_cast<std::size_t>(std::ranges::count(wall->survey.studs, StudState::proved, &Stud::state));
    }
    const QString walls = counted(job.walls.size(), tr("1 wall"), tr("%1 walls"));
    if (studs == 0)
        return {Progress::done, walls};
    return {proved == studs ? Progress::done : Progress::missing,
            tr("%1, %2 of %3 studs proved").arg(walls).arg(proved).arg(studs)};
}

Standing lines_standing(const Job& job, const Plan& plan) {
    std::size_t lines = 0;
    std::size_t fighting = 0;
    for (std::size_t i = 0; i < job.rooms.size(); ++i) {
        lines += job.rooms[i].lines.size();
        fighting +=
            static_cast<std::size_t>(std::ranges::count(plan.rooms[i].lines.checks, Severity::error, &Check::severity));
    }
    const QString words = lines == 0 ? tr("no lines yet") : counted(lines, tr("1 line"), tr("%1 lines"));
    if (fighting > 0)
        return {Progress::wrong, tr("%1, %2 wrong").arg(words).arg(fighting)};
    return {lines == 0 ? Progress::missing : Progress::done, words};
}

Standing layout_standing(const Job& job, const Plan& plan) {
    std::size_t shelves = 0;
    std::size_t cabinets = 0;
    std::size_t things = 0; // that are neither
    for (const Wall& wall : job.walls)
        for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
            if constexpr (std::is_same_v<Thing, Run>)
                cabinets += static_cast<std::size_t>(std::ranges::count_if(thing.units, is_cabinet));
            else
                ++(std::is_same_v<Thing, Shelf> ? shelves : things);
        });
    if (shelves + cabinets + things == 0)
        return {Progress::missing, tr("nothing laid out yet")};
    const std::size_t errors = count_checks(plan, Severity::error);
    QStringList counts;
    if (things > 0) {
        counts << counted(shelves + cabinets + things, tr("1 thing"), tr("%1 things"));
    } else {
        if (shelves > 0)
            counts << counted(shelves, tr("1 shelf"), tr("%1 shelves"));
        if (cabinets > 0)
            counts << counted(cabinets, tr("1 cabinet"), tr("%1 cabinets"));
    }
    const QString words = counts.join(QStringLiteral(", "));
    return errors > 0 ? Standing{Progress::wrong, tr("%1, %2 wrong").arg(words).arg(errors)}
                      : Standing{Progress::done, words};
}

Standing fixings_standing(const Plan& plan) {
    std::size_t brackets = 0; // and cabinets
    std::size_t unknown = 0;
    for (const auto& wall : plan.walls) {
        for (const RunPlan& run : wall->runs)
            for (const UnitPlan& unit : run.units) {
                const bool hung = run.level == RunLevel::wall && unit.loaded_kg > 0;
                brackets += hung;
                unknown += hung && !unit.utilisation.known() && !unit.hook_utilisation.known();
            }
        const auto add = [&](bool there, bool known) {
            brackets += there;
            unknown += there && !known;
        };
        for (const SystemPlan& system : wall->systems)
            for (const BayPlan& bay : system.bays)
                for (const BayCleat& cleat : bay.cleats)
                    add(true, cleat.utilisation.known());
        for (const PiecePlan& piece : wall->pieces)
            add(!piece.holes.empty(), piece.fixing_utilisation.known());
        for (const BoxPlan& box : wall->boxes)
            add(true, box.hang.utilisation.known());
        for (const ShelfPlan& shelf : wall->shelves)
            for (const BracketPlan& place : shelf.brackets) {
                ++brackets;
                unknown += !place.fixing_utilisation.known() || !place.bracket_utilisation.known();
            }
    }
    if (brackets == 0)
        return {Progress::missing, tr("nothing to fix yet")};
    return unknown > 0 ? Standing{Progress::missing, tr("%1 of %2 fixings not known").arg(unknown).arg(brackets)}
                       : Standing{Progress::done, counted(brackets, tr("1 thing fixed"), tr("%1 things fixed"))};
}

Standing cut_standing(const Job& job, const Plan& plan) {
    const std::size_t parts = cut_list(job, plan).size();
    const QString words = parts == 0 ? tr("nothing to cut") : counted(parts, tr("1 part"), tr("%1 parts"));
    std::size_t unchecked = 0;
    std::size_t bad = 0;
    for (const DeliveryLine& line : job.delivery) {
        unchecked += line.received == Received::unchecked;
        bad += line.received != Received::unchecked && line.received != Received::whole;
    }
    if (bad > 0)
        return {Progress::wrong, tr("%1, %2 of the delivery not whole").arg(words).arg(bad)};
    if (unchecked > 0)
        return {Progress::missing, tr("%1, %2 delivered unchecked").arg(words).arg(unchecked)};
    return {parts == 0 ? Progress::missing : Progress::done, words};
}

Standing fit_standing(const Job& job, const Plan& plan, const JobOrder& order) {
    if (order.tasks.empty())
        return {Progress::missing, tr("no steps yet")};
    const auto done = static_cast<std::size_t>(
        std::ranges::count_if(order.tasks, [&](const Task& task) { return is_done(job, task.key); }));
    for (const auto& wall : plan.walls)
        for (const ReadingPlan& reading : wall->readings)
            if (reading.verdict == Verdict::out)
                return {Progress::wrong, tr("%1 is to be put right").arg(text(reading.item_name))};
    if (count_checks(plan, Severity::error) > 0)
        return {Progress::wrong, tr("clear what is wrong first")};
    return {done == order.tasks.size() ? Progress::done : Progress::missing,
            tr("%1 of %2 steps").arg(done).arg(order.tasks.size())};
}

Standing record_standing(const Job& job) {
    if (std::ranges::find(job.log, LogKind::signature, &LogEntry::kind) != job.log.end())
        return {Progress::done, tr("signed")};
    return {Progress::missing,
            job.log.empty() ? tr("nothing written yet") : counted(job.log.size(), tr("1 line"), tr("%1 lines"))};
}

} // namespace

std::optional<Stage> stage_from_name(const QString& name) {
    const auto found = std::ranges::find(names, name.toStdString());
    return found == names.end() ? std::nullopt : std::optional{static_cast<Stage>(found - names.begin())};
}

/// A stretch of a rod: the stage's name and standing over it, a thick tick where it begins.
class StageStrip::Button : public QAbstractButton {
public:
    Button(const QString& title, QWidget* parent)
        : QAbstractButton{parent}
        , title_{title} {
        setCheckable(true);
        setMinimumSize(110, 48);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    }
    void show_standing(const Standing& standing) {
        standing_ = standing;
        setAccessibleName(title_ + QStringLiteral(": ") + standing.words);
        update();
    }
    void set_theme(const Theme& theme) {
        theme_ = &theme;
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter{this};
        painter.setRenderHint(QPainter::Antialiasing);
        painter.fillRect(rect(), isChecked() ? theme_->panel : theme_->paper);
        const int rod = height() - 7;
        painter.fillRect(QRect{0, rod, width(), 7}, isChecked() ? theme_->timber : theme_->line);
        painter.fillRect(QRect{0, rod - (isChecked() ? 8 : 0), 3, 15}, theme_->ink);
        QFont bold = font();
        bold.setBold(true);
        painter.setFont(bold);
        painter.setPen(theme_->ink);
        const QFontMetrics metrics{bold};
        const int x = 12;
        painter.drawText(QPoint{x, 4 + metrics.ascent()}, title_);
        QFont small = font();
        small.setPixelSize(font().pixelSize() - 2);
        painter.setFont(small);
        const QFontMetrics fine{small};
        const int base = 4 + metrics.height() + fine.ascent();
        const bool wrong = standing_.progress == Progress::wrong;
        painter.setPen(wrong ? theme_->alarm : theme_->faint);
        const QString mark =
            standing_.progress == Progress::done ? tr("Done: ") : (wrong ? tr("Wrong: ") : tr("Open: "));
        painter.drawText(QPoint{x, base}, fine.elidedText(mark + standing_.words, Qt::ElideRight, width() - x - 6));
        if (hasFocus()) {
            painter.setPen(QPen{theme_->chalk, 2});
            painter.drawRect(QRectF{rect()}.adjusted(1, 1, -1, -1));
        }
    }

private:
    QString title_;
    Standing standing_;
    const Theme* theme_ = &theme(ThemeName::light);
};

StageStrip::StageStrip(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day} {
    later_.setSingleShot(true);
    later_.setInterval(patience_ms);
    connect(&later_, &QTimer::timeout, this, &StageStrip::refresh_day);
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    for (const QString& title :
         {tr("Survey"), tr("Lines"), tr("Layout"), tr("Fixings"), tr("Cut & kit"), tr("Fit"), tr("Record")}) {
        auto* button = new Button{title, this};
        const auto stage = static_cast<Stage>(buttons_.size());
        button->setObjectName(QStringLiteral("stage-") + QString::fromLatin1(names[buttons_.size()]));
        connect(button, &QAbstractButton::clicked, this, [this, stage] { set_stage(stage); });
        buttons_.push_back(button);
        row->addWidget(button);
    }
    connect(&bench_, &Workbench::changed, this, &StageStrip::refresh);
    set_stage(stage_);
    refresh();
}

void StageStrip::set_theme(const Theme& theme) {
    for (Button* button : buttons_)
        button->set_theme(theme);
}

void StageStrip::set_stage(Stage stage) {
    stage_ = stage;
    for (std::size_t i = 0; i < buttons_.size(); ++i)
        buttons_[i]->setChecked(static_cast<Stage>(i) == stage);
    emit stage_chosen(stage);
}

void StageStrip::refresh() {
    const Job& job = bench_.job();
    const Plan& plan = bench_.plan();
    buttons_[0]->show_standing(survey_standing(job, plan));
    buttons_[1]->show_standing(lines_standing(job, plan));
    buttons_[2]->show_standing(layout_standing(job, plan));
    buttons_[3]->show_standing(fixings_standing(plan));
    if (took_ <= quick_ms)
        refresh_day();
    else
        later_.start();
}

void StageStrip::refresh_day() {
    const Job& job = bench_.job();
    QElapsedTimer clock;
    clock.start();
    buttons_[4]->show_standing(cut_standing(job, bench_.plan()));
    buttons_[5]->show_standing(fit_standing(job, bench_.plan(), day_.order()));
    buttons_[6]->show_standing(record_standing(job));
    took_ = clock.elapsed();
}

} // namespace yes_square::app
