#pragma once

#include <QElapsedTimer>
#include <QTimer>
#include <functional>

namespace yes_square::app {

/// Work that follows every edit: done at once while it is quick, and where it was not, when a hand rests.
class Patience {
public:
    explicit Patience(std::function<void()> work)
        : work_{std::move(work)} {
        later_.setSingleShot(true);
        later_.setInterval(rest_ms);
        QObject::connect(&later_, &QTimer::timeout, [this] { now(); });
    }
    void wake() {
        if (took_ms_ <= quick_ms)
            now();
        else
            later_.start();
    }
    /// Does what is waiting, so that what follows is of this moment.
    void catch_up() {
        if (later_.isActive())
            now();
    }
    void now() {
        later_.stop();
        QElapsedTimer clock;
        clock.start();
        work_();
        took_ms_ = clock.elapsed();
    }

private:
    static constexpr int quick_ms = 3;
    static constexpr int rest_ms = 250;

    std::function<void()> work_;
    QTimer later_;
    qint64 took_ms_ = 0;
};

} // namespace yes_square::app
