#include "app/devices/devices_bar.hpp"

#include <QGridLayout>
#include <QStandardPaths>

namespace yes_square::app {
namespace {

/// A socket in the user's own runtime folder, where there is one.
QString in_own_folder(const char* name) {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    return folder.isEmpty() ? QString::fromLatin1(name) : folder + QLatin1Char('/') + QString::fromLatin1(name);
}

QString standing(const DeviceLink& link) {
    switch (link.state()) {
    case DeviceLink::State::off:
        return DevicesBar::tr("not linked");
    case DeviceLink::State::looking:
        return DevicesBar::tr("looking for it");
    case DeviceLink::State::linked:
        return DevicesBar::tr("linked");
    }
    return {};
}

} // namespace

DevicesBar::DevicesBar(QWidget* parent)
    : QWidget{parent}
    , laser_{new DeviceLink{qEnvironmentVariable("YES_SQUARE_LASER", in_own_folder("yes-square-laser")), this}}
    , scanner_{new DeviceLink{qEnvironmentVariable("YES_SQUARE_SCANNER", in_own_folder("yes-square-scanner")), this}}
    , words_{new QLabel{this}} {
    auto* grid = new QGridLayout{this};
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(4);
    laser_button_ = add(laser_, tr("Laser"), "link-laser");
    scanner_button_ = add(scanner_, tr("Scanner"), "link-scanner");
    grid->addWidget(laser_button_, 0, 0);
    grid->addWidget(scanner_button_, 0, 1);
    words_->setObjectName(QStringLiteral("device-words"));
    words_->setWordWrap(true);
    words_->setProperty("role", "faint");
    grid->addWidget(words_, 1, 0, 1, 2);
    refresh();
}

QPushButton* DevicesBar::add(DeviceLink* link, const QString& words, const char* name) {
    auto* button = new QPushButton{this};
    button->setCheckable(true);
    button->setObjectName(QLatin1String(name));
    button->setProperty("device", words);
    connect(button, &QPushButton::toggled, link, [link](bool on) { on ? link->start() : link->stop(); });
    connect(link, &DeviceLink::changed, this, &DevicesBar::refresh);
    return button;
}

void DevicesBar::refresh() {
    QStringList said;
    for (auto [button, link] : {std::pair{laser_button_, laser_}, {scanner_button_, scanner_}}) {
        const QString device = button->property("device").toString();
        button->setText(QStringLiteral("%1: %2").arg(device, standing(*link)));
        if (!link->trouble().isEmpty())
            said << QStringLiteral("%1: %2").arg(device, link->trouble());
    }
    words_->setText(said.join(QLatin1Char('\n')));
    words_->setVisible(!said.isEmpty());
}

void DevicesBar::say_nowhere_to_put(const QString& words) {
    words_->setText(words);
    words_->show();
}

} // namespace yes_square::app
