#include "app/board/tape.hpp"

#include "app/bench/words.hpp"

#include <QCoreApplication>
#include <cmath>

namespace yes_square::app {

void HandTape::hook(const TapeStops& stops, Length x, Length z, Length reach) {
    stops_ = stops;
    const Length from_x = held_at(stops_.x, x, reach);
    const Length from_z = held_at(stops_.z, z, reach);
    ends_ = Ends{from_x, from_z, from_x, from_z};
}

void HandTape::pull_to(Length x, Length z, Length reach) {
    if (!ends_)
        return;
    ends_->to_x = held_at(stops_.x, x, reach);
    ends_->to_z = held_at(stops_.z, z, reach);
}

void HandTape::pull_by(Length dx, Length dz) {
    if (!ends_)
        return;
    ends_->to_x += dx;
    ends_->to_z += dz;
}

QString HandTape::words(const Voice& voice) const {
    if (!ends_)
        return {};
    const Length dx = ends_->to_x - ends_->from_x;
    const Length dz = ends_->to_z - ends_->from_z;
    const auto shown = [&](Length length) { return text(say(quantity(length), voice)); };
    const QString up = dz >= Length{} ? QCoreApplication::translate("Tape", "%1 along, %2 up")
                                      : QCoreApplication::translate("Tape", "%1 along, %2 down");
    QString all = up.arg(shown(absolute(dx)), shown(absolute(dz)));
    if (dx != Length{} && dz != Length{})
        all += QCoreApplication::translate("Tape", ", %1 across")
                   .arg(shown(Length::nearest_to_metres(std::hypot(dx.in_metres(), dz.in_metres()))));
    return all;
}

void HandTape::paint(QPainter& painter, const QRect& area, const ToScreen& place, const Theme& theme,
                     const Voice& voice) const {
    if (!ends_)
        return;
    const QPointF from = place(ends_->from_x, ends_->from_z);
    const QPointF to = place(ends_->to_x, ends_->to_z);
    painter.setPen(QPen{theme.chalk, 3});
    painter.drawLine(from, to);
    painter.setPen(QPen{theme.chalk, 1, Qt::DashLine});
    painter.drawLine(from, QPointF{to.x(), from.y()});
    painter.drawLine(QPointF{to.x(), from.y()}, to);
    painter.setBrush(theme.chalk);
    for (const QPointF& end : {from, to})
        painter.drawEllipse(end, 4, 4);
    painter.setBrush(Qt::NoBrush);
    const QString all = words(voice);
    QFont bold = painter.font();
    bold.setBold(true);
    painter.setFont(bold);
    QRectF box = painter.boundingRect(QRectF{area}, Qt::AlignLeft | Qt::AlignTop, all).adjusted(-8, -4, 8, 4);
    box.moveCenter(to + QPointF{0, to.y() > box.height() * 2 ? -box.height() : box.height()});
    box.moveLeft(std::clamp(box.left(), 4.0, std::max(4.0, area.width() - box.width() - 4.0)));
    painter.fillRect(box, theme.panel);
    painter.setPen(QPen{theme.chalk, 1.5});
    painter.drawRect(box);
    painter.setPen(theme.ink);
    painter.drawText(box, Qt::AlignCenter, all);
}

} // namespace yes_square::app
