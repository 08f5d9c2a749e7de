#include "app/wallside/wall_side.hpp"

#include "app/board/painter.hpp"
#include "app/board/picking.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/hole_section.hpp"
#include "core/sheets/summary.hpp"

#include <QPainter>
#include <algorithm>

/// What is seen from three metres: the mark in hand with its figures, the wall small, the section; lists to choose
/// from.
namespace yes_square::app {
namespace {

/// The largest type up to a height that fits a width.
QFont fitting(QFont font, const QString& words, double width, double height, bool bold) {
    font.setBold(bold);
    font.setPixelSize(std::max(8, static_cast<int>(height)));
    const double wide = QFontMetricsF{font}.horizontalAdvance(words);
    if (wide > width)
        font.setPixelSize(std::max(8, static_cast<int>(height * width / wide)));
    return font;
}

} // namespace

void WallSide::paintEvent(QPaintEvent*) {
    QPainter painter{this};
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.paper);
    switch (screen_) {
    case Screen::mark:
        if (mark())
            paint_mark(painter);
        break;
    case Screen::gate:
        paint_list(painter, tr("Before you drill"), rows());
        paint_foot(painter, answered_.size() == gate_questions().size()
                                ? tr("Space: all of it is so, go on")
                                : tr("1 to 4: tick what is so. Nothing is drilled before all four are"));
        break;
    case Screen::reasons:
        paint_list(painter, tr("Could not, because"), rows());
        paint_foot(painter, tr("1 to %1: choose. Esc: go back").arg(all_reasons.size()));
        break;
    case Screen::things:
        paint_list(painter, tr("Go to"), rows());
        paint_foot(painter, tr("Its number: go there. Esc: go back"));
        break;
    case Screen::finished:
        paint_list(painter,
                   walk_.empty() ? tr("Nothing is marked on this wall") : tr("All marks of this wall are done"), {});
        paint_foot(painter, tr("Backspace: back. Esc: leave"));
        break;
    }
}

/// The wall, small, with the mark blinking.
void WallSide::paint_small_wall(QPainter& painter, const QRectF& area) {
    const WallMark& at = *mark();
    const double h = height();
    ElevationFrame frame;
    const double per_mm = pixels_per_mm;
    frame.width = area.width() / per_mm;
    frame.height = area.height() / per_mm;
    frame.rods = false;
    frame.text = 0.1;
    const Elevation wall = draw_elevation(*bench_.wall(), *bench_.wall_plan(), frame, bench_.voice());
    painter.save();
    painter.translate(area.topLeft());
    paint(painter, wall.drawing, theme_, per_mm);
    const QPointF place = QPointF{wall.scale.x(at.x), wall.scale.y(at.z)} * per_mm;
    painter.setPen(QPen{theme_.alarm, 0.006 * h});
    if (at.kind == MarkKind::level_line)
        painter.drawLine(place, QPointF{wall.scale.x(at.to_x), wall.scale.y(at.z)} * per_mm);
    if (lit_) {
        painter.setBrush(theme_.alarm);
        painter.drawEllipse(place, 0.012 * h, 0.012 * h);
    } else {
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(place, 0.02 * h, 0.02 * h);
    }
    painter.restore();
}

void WallSide::paint_section(QPainter& painter, const QRectF& area) {
    constexpr double type = 0.022; // of the window's height
    painter.save();
    painter.translate(area.topLeft());
    paint(painter,
          draw_hole_section(*bench_.wall(), *bench_.wall_plan(), *mark(), area.width() / pixels_per_mm,
                            area.height() / pixels_per_mm, type * height() / pixels_per_mm, bench_.voice()),
          theme_, pixels_per_mm);
    painter.restore();
}

void WallSide::paint_mark(QPainter& painter) {
    const WallMark& at = *mark();
    const Voice voice = bench_.voice();
    const double h = height();
    const double margin = 0.03 * width();
    const double wide = width() - 2 * margin;
    double y = 0.02 * h;
    const auto line = [&](const QString& words, double size, bool bold, const QColor& colour, double room) {
        const QFont font = fitting(painter.font(), words, room, size * h, bold);
        painter.setFont(font);
        painter.setPen(colour);
        y += 1.12 * size * h;
        painter.drawText(QPointF{margin, y - 0.22 * size * h}, words);
    };
    const std::size_t total = pass()->marks.size();
    line(tr("%1   %2   %3 of %4").arg(text(bench_.wall()->name), pass_title()).arg(mark_ + 1).arg(total), 0.055, false,
         theme_.ink, wide);
    const double figures = 0.62 * wide;
    const QString along = bench_.along(at.tape.told_once(), at.tape.near(at.x, std::max(at.x, at.to_x)));
    const QString up = text(format(at.z, voice));
    line(along, 0.22, true, theme_.ink, figures);
    const bool from_right = at.tape.from_right();
    line(at.kind == MarkKind::level_line
             ? (from_right ? tr("from the right end, to %1") : tr("from the left end, to %1"))
                   .arg(bench_.along(at.tape.told_once(), at.tape.far(at.x, at.to_x)))
         : at.tape.turned ? (from_right ? tr("from the RIGHT end, other than the rest")
                                        : tr("from the LEFT end, other than the rest"))
         : from_right     ? tr("from the right end")
                          : tr("from the left end"),
         0.05, false, theme_.faint, figures);
    line(up, 0.22, true, theme_.chalk, figures);
    line(at.through_it ? tr("as it comes: held to its mark, through its own hole")
         : at.above_now != at.z
             ? tr("up from the datum; %1 from the floor as it is").arg(text(format(at.above_now, voice)))
             : tr("up from the floor"),
         0.05, false, theme_.faint, figures);
    y += 0.01 * h;
    line(text(say(at.what, voice)), 0.06, true, theme_.ink, wide);
    QString what =
        at.kind == MarkKind::level_line   ? tr("Strike a level line")
        : at.kind == MarkKind::plumb_line ? tr("Strike a plumb line")
        : pass()->drill                   ? text(say(pass()->drill->how, voice))
        : at.fixing
            ? tr("A cross. %1 goes here, in %2").arg(text(at.fixing->name), text(say(words(at.substrate), voice)))
            : tr("A cross. Nothing known holds here");
    if (at.in_strip())
        what = tr("STOP: a cable or pipe is likely here. Detect and isolate first");
    line(what, 0.05, at.in_strip(), at.in_strip() ? theme_.alarm : theme_.ink, wide);
    const Tick* tick = find_tick(bench_.job(), tick_key(at, *pass()));
    if (tick || !told_.isEmpty())
        line(tick ? (tick->state == TickState::done ? tr("Done before. Space goes on")
                                                    : tr("Given up before: %1").arg(text(tick->because)))
                  : told_,
             0.04, false, theme_.faint, wide);

    // With a drill in the hand: how deep it goes and what it meets, under the wall.
    const bool drilled = pass()->drill && at.kind == MarkKind::hole;
    paint_small_wall(painter, {margin + 0.65 * wide, 0.1 * h, 0.35 * wide, (drilled ? 0.24 : 0.5) * h});
    if (drilled)
        paint_section(painter, {margin + 0.65 * wide, 0.35 * h, 0.35 * wide, 0.27 * h});
    paint_foot(painter, tr("Space, Enter or click: done, next. Backspace: back. N: could not. J: go to. R: say again. "
                           "A: by itself%1. Page keys: other walk. Esc: leave")
                            .arg(auto_.isActive() ? tr(" (on)") : QString{}));
}

void WallSide::paint_list(QPainter& painter, const QString& title, const QStringList& rows) {
    const double row_height = height() / 11.0;
    const double margin = 0.03 * width();
    const double wide = width() - 2 * margin;
    painter.setFont(fitting(painter.font(), title, wide, 1.1 * row_height, true));
    painter.setPen(theme_.ink);
    painter.drawText(QPointF{margin, 1.5 * row_height}, title);
    const bool ticks = screen_ == Screen::gate;
    for (int i = 0; i < rows.size(); ++i) {
        const QString words =
            tr("%1  %2%3")
                .arg(i + 1)
                .arg(ticks ? (answered_.contains(i) ? tr("[yes] ") : tr("[    ] ")) : QString{}, rows[i]);
        painter.setFont(fitting(painter.font(), words, wide, 0.75 * row_height, ticks && answered_.contains(i)));
        painter.drawText(QPointF{margin, (3.1 + 1.3 * i) * row_height}, words);
    }
}

void WallSide::paint_foot(QPainter& painter, const QString& words) {
    const double size = 0.032 * height();
    painter.setFont(fitting(painter.font(), words, 0.94 * width(), size, false));
    painter.setPen(theme_.faint);
    painter.drawText(QPointF{0.03 * width(), height() - 0.6 * size}, words);
}

} // namespace yes_square::app
