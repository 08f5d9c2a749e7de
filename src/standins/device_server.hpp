#pragma once

#include <QLocalServer>
#include <QLocalSocket>
#include <QObject>
#include <QSocketNotifier>
#include <functional>

namespace yes_square::standins {

/// A device at its end of the line: it greets whoever connects, answers MEASURE, and sends a reading when its button is
/// pressed, which here is a line on standard input. See docs/devices.md.
class DeviceServer : public QObject {
    Q_OBJECT
public:
    /// `next` gives the line of the next reading.
    DeviceServer(QString kind, QString words, std::function<QByteArray()> next, QObject* parent = nullptr);

    /// False if the socket cannot be had; `problem` says why.
    bool listen(const QString& socket);
    const QString& problem() const { return problem_; }
    /// Reads standard input: an empty line presses the button, any other is sent as it stands.
    void listen_to_hands();
    void press();
    void send(const QByteArray& line);

private:
    void greet();

    QString kind_;
    QString words_;
    std::function<QByteArray()> next_;
    QLocalServer server_;
    QList<QLocalSocket*> listeners_;
    QSocketNotifier* hands_ = nullptr;
    QByteArray typed_; ///< of a line that has not ended
    QString problem_;
};

/// Puts a device on its socket and lets it work until the program is ended; presses its button every so many ms where
/// that is wanted. Returns the program's exit code, 2 if the socket cannot be had.
int serve(DeviceServer& device, const QString& program, const QString& socket, const QString& every_ms);

/// A socket in the user's own runtime folder, where there is one; the program looks for it there.
QString in_own_folder(const char* name);

} // namespace yes_square::standins
