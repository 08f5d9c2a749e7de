#include "standins/device_server.hpp"

#include <QCoreApplication>
#include <QStandardPaths>
#include <QTextStream>
#include <QTimer>
#include <algorithm>
#include <unistd.h>

namespace yes_square::standins {
namespace {

constexpr int connect_ms = 200;

} // namespace

DeviceServer::DeviceServer(QString kind, QString words, std::function<QByteArray()> next, QObject* parent)
    : QObject{parent}
    , kind_{std::move(kind)}
    , words_{std::move(words)}
    , next_{std::move(next)} {
    server_.setSocketOptions(QLocalServer::UserAccessOption);
    connect(&server_, &QLocalServer::newConnection, this, &DeviceServer::greet);
}

bool DeviceServer::listen(const QString& socket) {
    // Another that runs answers there; one that was killed leaves a socket behind that does not.
    QLocalSocket other;
    other.connectToServer(socket);
    if (other.waitForConnected(connect_ms)) {
        problem_ = QStringLiteral("another device has it");
        return false;
    }
    QLocalServer::removeServer(socket);
    if (server_.listen(socket))
        return true;
    problem_ = server_.errorString();
    return false;
}

void DeviceServer::greet() {
    while (QLocalSocket* listener = server_.nextPendingConnection()) {
        listeners_ << listener;
        connect(listener, &QLocalSocket::disconnected, this, [this, listener] {
            listeners_.removeAll(listener);
            listener->deleteLater();
        });
        connect(listener, &QLocalSocket::readyRead, this, [this, listener] {
            while (listener->canReadLine())
                if (listener->readLine().trimmed() == "MEASURE")
                    press();
        });
        listener->write(QStringLiteral("HELLO 1 %1 %2\n").arg(kind_, words_).toUtf8());
    }
}

void DeviceServer::press() {
    send(next_());
}

void DeviceServer::send(const QByteArray& line) {
    for (QLocalSocket* listener : listeners_) {
        listener->write(line + '\n');
        listener->flush();
    }
    QTextStream{stdout} << line << "\n";
}

void DeviceServer::listen_to_hands() {
    hands_ = new QSocketNotifier{STDIN_FILENO, QSocketNotifier::Read, this};
    connect(hands_, &QSocketNotifier::activated, this, [this] {
        // Unbuffered: what a stream read ahead would wait there unseen.
        QByteArray read(4096, Qt::Uninitialized);
        const auto size = ::read(STDIN_FILENO, read.data(), static_cast<std::size_t>(read.size()));
        if (size <= 0) {
            hands_->setEnabled(false); // nobody is there any more; the socket goes on
            return;
        }
        typed_ += read.left(size);
        for (qsizetype end = typed_.indexOf('\n'); end >= 0; end = typed_.indexOf('\n')) {
            const QByteArray line = typed_.left(end);
            typed_.remove(0, end + 1);
            line.trimmed().isEmpty() ? press() : send(line);
        }
    });
}

int serve(DeviceServer& device, const QString& program, const QString& socket, const QString& every_ms) {
    if (!device.listen(socket)) {
        QTextStream{stderr} << program << ": the socket " << socket << " cannot be had (" << device.problem()
                            << "); name another with --socket\n";
        return 2;
    }
    device.listen_to_hands();
    QTimer timer;
    if (!every_ms.isEmpty()) {
        QObject::connect(&timer, &QTimer::timeout, &device, &DeviceServer::press);
        timer.start(std::max(1, every_ms.toInt()));
    }
    return QCoreApplication::exec();
}

QString in_own_folder(const char* name) {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    return folder.isEmpty() ? QString::fromLatin1(name) : folder + QLatin1Char('/') + QString::fromLatin1(name);
}

} // namespace yes_square::standins
