#include "app/devices/device_link.hpp"

#include <QFileInfo>
#include <cmath>
#include <unistd.h>

namespace yes_square::app {
namespace {

constexpr int look_again_ms = 1000;
constexpr qsizetype longest_line = 200;
constexpr double longest_reading_mm = 1'000'000;

/// A figure in mm; none: not one that a wall could have.
std::optional<Length> figure(const QByteArray& word) {
    bool readable = false;
    const double mm = word.toDouble(&readable);
    if (!readable || !std::isfinite(mm) || mm < 0 || mm > longest_reading_mm)
        return std::nullopt;
    return Length::micrometres(std::llround(mm * 1000));
}

} // namespace

DeviceLink::DeviceLink(QString socket, QObject* parent)
    : QObject{parent}
    , socket_name_{std::move(socket)} {
    again_.setInterval(look_again_ms);
    connect(&again_, &QTimer::timeout, this, &DeviceLink::look);
    connect(&socket_, &QLocalSocket::connected, this, [this] {
        again_.stop();
        state_ = State::linked;
        emit changed();
    });
    connect(&socket_, &QLocalSocket::disconnected, this, &DeviceLink::lost);
    connect(&socket_, &QLocalSocket::readyRead, this, &DeviceLink::read);
}

/// The socket says goodbye while it is taken down, when the rest of the link is gone already.
DeviceLink::~DeviceLink() {
    socket_.disconnect(this);
}

void DeviceLink::start() {
    if (state_ != State::off)
        return;
    state_ = State::looking;
    trouble_.clear();
    emit changed();
    again_.start();
    look();
}

void DeviceLink::stop() {
    state_ = State::off;
    again_.stop();
    socket_.abort();
    begun_.clear();
    device_.clear();
    trouble_.clear();
    emit changed();
}

void DeviceLink::look() {
    if (socket_.state() != QLocalSocket::UnconnectedState)
        return;
    // Nobody else's socket is listened to.
    if (const QFileInfo file{socket_name_}; file.isAbsolute() && file.exists() && file.ownerId() != ::geteuid())
        return say(tr("Its socket %1 is somebody else's; it is not listened to").arg(socket_name_));
    socket_.connectToServer(socket_name_);
}

void DeviceLink::measure() {
    if (state_ == State::linked)
        socket_.write("MEASURE\n");
}

void DeviceLink::lost() {
    const bool in_a_line = !begun_.isEmpty();
    begun_.clear();
    overlong_ = false;
    device_.clear();
    if (state_ == State::off)
        return;
    state_ = State::looking;
    say(in_a_line ? tr("It went away in the middle of a reading; nothing was taken") : tr("It went away"));
    again_.start();
}

void DeviceLink::say(const QString& trouble) {
    trouble_ = trouble;
    emit changed();
}

void DeviceLink::read() {
    begun_ += socket_.readAll();
    for (qsizetype end = begun_.indexOf('\n'); end >= 0; end = begun_.indexOf('\n')) {
        const QByteArray line = begun_.left(end).trimmed();
        begun_.remove(0, end + 1);
        if (!overlong_ && !line.isEmpty())
            take(line);
        overlong_ = false;
    }
    if (begun_.size() > longest_line) {
        begun_.clear();
        overlong_ = true;
        say(tr("It sent a line without end, which was passed over"));
    }
}

void DeviceLink::take(const QByteArray& line) {
    const QList<QByteArray> words = line.simplified().split(' ');
    const QByteArray& what = words.front();
    if (what == "HELLO" && words.size() >= 3) {
        if (words[1] != "1")
            return say(
                tr("It speaks version %1 of the line protocol; this program knows 1").arg(QString::fromUtf8(words[1])));
        device_ = words.size() > 3 ? QString::fromUtf8(words.mid(3).join(' ')) : QString::fromUtf8(words[2]);
        return say({});
    }
    if (what == "END")
        return say(tr("It is at the end of the wall"));
    const auto first = words.size() > 1 ? figure(words[1]) : std::nullopt;
    const auto second = words.size() > 2 ? figure(words[2]) : std::nullopt;
    if (what == "DISTANCE" && first && (words.size() == 2 || second)) {
        say({});
        emit distance(*first);
    } else if (first && second && *second > Length{} && words.size() == 3 &&
               (what == "STUD" || what == "CABLE" || what == "PIPE")) {
        say({});
        if (what == "STUD")
            emit stud(*first, *second);
        else if (what == "CABLE")
            emit cable(*first, *second);
        else
            emit pipe(*first, *second);
    } else {
        say(tr("It sent \"%1\", which is no reading; it was passed over").arg(QString::fromUtf8(line.left(40))));
    }
}

} // namespace yes_square::app
