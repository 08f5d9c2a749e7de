#pragma once

#include "app/devices/device_link.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// The devices at hand, each with a button that links it, and what it has to say.
class DevicesBar : public QWidget {
    Q_OBJECT
public:
    explicit DevicesBar(QWidget* parent = nullptr);

    DeviceLink& laser() { return *laser_; }
    DeviceLink& scanner() { return *scanner_; }
    /// A reading came for which nothing waits.
    void say_nowhere_to_put(const QString& words);

private:
    QPushButton* add(DeviceLink* link, const QString& words, const char* name);
    void refresh();

    DeviceLink* laser_;
    DeviceLink* scanner_;
    QPushButton* laser_button_;
    QPushButton* scanner_button_;
    QLabel* words_;
};

} // namespace yes_square::app
