#pragma once

#include "core/survey/device_lines.hpp"

#include <QLocalSocket>
#include <QObject>
#include <QTimer>

namespace yes_square::app {

/// A link to a device that sends readings as lines of text; see docs/devices.md. It comes back by itself when the
/// device does. What is no reading is passed over and said to be; a line that breaks off is never taken.
class DeviceLink : public QObject {
    Q_OBJECT
public:
    enum class State { off, looking, linked };

    explicit DeviceLink(QString socket, QObject* parent = nullptr);
    ~DeviceLink() override;

    void start();
    void stop();
    /// Asks for a reading now.
    void measure();

    State state() const { return state_; }
    const QString& device() const { return device_; }   ///< its own name for itself, once it has greeted
    const QString& trouble() const { return trouble_; } ///< what went wrong last; empty: nothing

signals:
    void changed(); ///< state, device or trouble
    void distance(yes_square::Length length);
    void stud(yes_square::Length centre, yes_square::Length limit);
    void cable(yes_square::Length centre, yes_square::Length half_width);
    void pipe(yes_square::Length centre, yes_square::Length half_width);

private:
    void look();
    void read();
    void hear(const DeviceHello& hello);
    void hear(const DeviceDistance& measured);
    void hear(const DeviceFind& found);
    void hear(const DeviceAtEnd&);
    void hear(const DeviceNonsense& nonsense);
    void hear(const DeviceEndless&);
    void lost();
    void say(const QString& trouble);

    QString socket_name_;
    QLocalSocket socket_;
    QTimer again_;
    DeviceLines lines_;
    State state_ = State::off;
    QString device_;
    QString trouble_;
};

} // namespace yes_square::app
