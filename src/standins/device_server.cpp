#include "standins/device_server.hpp"

#include <QCoreApplication>
#include <QTextStream>
#include <cstdio>

namespace yes_square::standins {

DeviceServer::DeviceServer(QString kind, QString words, std::function<QByteArray()> next, QObject* parent)
    : QObject{parent}
    , kind_{std::move(kind)}
    , words_{std::move(words)}
    , next_{std::move(next)} {
    server_.setSocketOptions(QLocalServer::UserAccessOption);
    connect(&server_, &QLocalServer::newConnection, this, &DeviceServer::greet);
}

bool DeviceServer::listen(const QString& socket) {
    if (server_.listen(socket))
        return true;
    // One that was killed leaves its socket behind; another that runs still answers there.
    QLocalSocket probe;
    probe.connectToServer(socket);
    if (probe.waitForConnected(200))
        return false;
    QLocalServer::removeServer(socket);
    return server_.listen(socket);
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
    hands_ = new QSocketNotifier{fileno(stdin), QSocketNotifier::Read, this};
    connect(hands_, &QSocketNotifier::activated, this, [this] {
        QTextStream in{stdin};
        const QString line = in.readLine();
        if (line.isNull())
            hands_->setEnabled(false); // nobody is there any more; the socket goes on
        else if (line.trimmed().isEmpty())
            press();
        else
            send(line.toUtf8());
    });
}

} // namespace yes_square::standins
