#include "app/shell/wait_watch.hpp"

#include "app/bench/words.hpp"
#include "core/fitting/as_found.hpp"

#include <QDateTime>
#include <algorithm>

namespace yes_square::app {

WaitWatch::WaitWatch(Workbench& bench, Day& day, QObject* parent)
    : QObject{parent}
    , bench_{bench}
    , day_{day} {
    constexpr int between_looks_ms = 5000;
    timer_.setInterval(between_looks_ms);
    connect(&timer_, &QTimer::timeout, this, &WaitWatch::look);
    timer_.start();
}

void WaitWatch::look() {
    const auto begun = [](const Tick& tick) { return tick.state == TickState::begun; };
    if (std::ranges::none_of(bench_.job().ticks, begun))
        return;
    for (const Task& task : day_.order().tasks) {
        const Tick* tick = find_tick(bench_.job(), task.key);
        if (task.step.phase != Phase::cure || !tick || !begun(*tick))
            continue;
        const QDateTime from = QDateTime::fromString(text(tick->begun), Qt::ISODate);
        if (!from.isValid() || from.addSecs(static_cast<qint64>(task.minutes * 60)) > QDateTime::currentDateTimeUtc())
            continue;
        if (told_.insert(task.key + " " + tick->begun).second)
            emit over(text(say(task.step.words, bench_.voice())));
    }
}

} // namespace yes_square::app
