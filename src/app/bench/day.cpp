#include "app/bench/day.hpp"

#include <QDateTime>
#include <QLocale>

namespace yes_square::app {

Day::Day(Workbench& bench)
    : bench_{bench} {
    QObject::connect(&bench_, &Workbench::changed, &bench_, [this] { forget(); });
    bench_.look_at_edit = [this](const QString& what, const Job& before, Job& after) {
        log_change(before, after, what.toStdString(), stamp());
    };
}

void Day::forget() {
    order_.reset();
    schedule_.reset();
    cutting_.reset();
    kit_.reset();
}

const JobOrder& Day::order() {
    if (!order_)
        order_ = job_order(bench_.job(), bench_.plan());
    return *order_;
}

const DaySchedule& Day::schedule() {
    if (!schedule_)
        schedule_ = day_schedule(bench_.job(), order());
    return *schedule_;
}

const CuttingPlan& Day::cutting(const Scope& scope) {
    const std::pair of{scope.wall, scope.room};
    if (!cutting_ || cutting_of_ != of) {
        constexpr double seconds = 0.5; // of one stuff: a hand is waiting
        cutting_ = cutting_plan(bench_.job(), bench_.plan(), scope, seconds);
        cutting_of_ = of;
    }
    return *cutting_;
}

const Kit& Day::kit(const Scope& scope) {
    const std::pair of{scope.wall, scope.room};
    if (!kit_ || kit_of_ != of) {
        kit_ = yes_square::kit_of(bench_.job(), bench_.plan(), scope);
        kit_of_ = of;
    }
    return *kit_;
}

Stamp Day::stamp() const {
    return {QDateTime::currentDateTimeUtc().toString(Qt::ISODate).toStdString(), bench_.job().fitter};
}

QString shown_time(const std::string& utc) {
    const QDateTime time = QDateTime::fromString(text(utc), Qt::ISODate);
    return time.isValid() ? spoken_locale().toString(time.toLocalTime(), QStringLiteral("d MMM yyyy HH:mm"))
                          : QString{};
}

} // namespace yes_square::app
