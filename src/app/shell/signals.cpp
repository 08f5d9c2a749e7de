#include "app/shell/signals.hpp"

#include <QCoreApplication>
#include <QSocketNotifier>
#include <csignal>
#include <fcntl.h>
#include <unistd.h>

namespace yes_square::app {
namespace {

// A handler may do next to nothing: it writes a byte, and the loop hears of it.
int signal_pipe[2]{-1, -1};
extern "C" void told_to_end(int) {
    const char byte = 1;
    [[maybe_unused]] const auto written = ::write(signal_pipe[1], &byte, 1);
}

} // namespace

void end_well_on_signals(QObject& owner, const std::function<void()>& keep_work) {
    if (signal_pipe[0] < 0 && ::pipe2(signal_pipe, O_CLOEXEC | O_NONBLOCK) != 0)
        return;
    auto* heard = new QSocketNotifier{signal_pipe[0], QSocketNotifier::Read, &owner};
    QObject::connect(heard, &QSocketNotifier::activated, &owner, [keep_work] {
        char byte = 0;
        [[maybe_unused]] const auto taken = ::read(signal_pipe[0], &byte, 1);
        keep_work();
        QCoreApplication::exit(1);
    });
    for (const int signal : {SIGTERM, SIGINT, SIGHUP})
        ::signal(signal, told_to_end);
}

} // namespace yes_square::app
