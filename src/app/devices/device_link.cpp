#include "app/devices/device_link.hpp"

#include <QFileInfo>
#include <unistd.h>

namespace yes_square::app {
namespace {

constexpr int look_again_ms = 1000;
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
    lines_.break_off();
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
    const bool in_a_line = lines_.break_off();
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
    for (const DeviceWord& word : lines_.take(socket_.readAll().toStdString()))
        std::visit([&](const auto& said) { hear(said); }, word);
}

void DeviceLink::hear(const DeviceHello& hello) {
    if (hello.version != "1")
        return say(tr("It speaks version %1 of the line protocol; this program knows 1")
                       .arg(QString::fromStdString(hello.version)));
    device_ = QString::fromStdString(hello.name);
    say({});
}

void DeviceLink::hear(const DeviceDistance& measured) {
    say({});
    emit distance(measured.length);
}

void DeviceLink::hear(const DeviceFind& found) {
    say({});
    switch (found.what) {
    case ScannerFind::stud:
        return emit stud(found.centre, found.half);
    case ScannerFind::cable:
        return emit cable(found.centre, found.half);
    case ScannerFind::pipe:
        return emit pipe(found.centre, found.half);
    }
}

void DeviceLink::hear(const DeviceAtEnd&) {
    say(tr("It is at the end of the wall"));
}

void DeviceLink::hear(const DeviceNonsense& nonsense) {
    say(tr("It sent \"%1\", which is no reading; it was passed over")
            .arg(QString::fromStdString(nonsense.line).trimmed().left(40)));
}

void DeviceLink::hear(const DeviceEndless&) {
    say(tr("It sent a line without end, which was passed over"));
}

} // namespace yes_square::app
