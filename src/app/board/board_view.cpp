#include "app/board/board_view.hpp"

#include "app/board/painter.hpp"
#include "app/board/picking.hpp"
#include "core/hands/arrange.hpp"

#include <QAccessible>
#include <QApplication>
#include <QContextMenuEvent>
#include <QLineF>
#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

constexpr double most_zoom = 12;
constexpr int blink_ms = 220;
constexpr int blinks = 7; ///< odd: it stays lit
constexpr double near_hole_px = 8;
constexpr double tape_reach_px = 8;

using Part = Reference::Part;

} // namespace

BoardView::BoardView(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , theme_{&theme(ThemeName::light)} {
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Wall"));
    connect(&bench_, &Workbench::changed, this, &BoardView::redraw);
    connect(&bench_, &Workbench::selection_changed, this, [this] {
        pointed_out_.reset();
        redraw();
        if (QAccessible::isActive() && hasFocus()) { // whoever hears the board is told what is in hand now
            QAccessibleEvent event{this, QAccessible::Focus};
            QAccessible::updateAccessibility(&event);
        }
    });
    connect(&bench_, &Workbench::pointed_out, this, &BoardView::point_out);
    connect(&blink_, &QTimer::timeout, this, [this] {
        if (++blinked_ >= blinks)
            blink_.stop();
        update();
    });
    redraw();
}

void BoardView::set_theme(const Theme& theme) {
    theme_ = &theme;
    update();
}

void BoardView::show_survey(std::optional<SurveyLayer> layer, const std::optional<ProbeAdvice>& advice) {
    survey_ = layer;
    advice_ = advice;
    redraw();
}

void BoardView::show_line_names(bool show) {
    line_names_ = show;
    redraw();
}

void BoardView::zoom_by(double factor) {
    zoom_at(QPointF{rect().center()}, factor);
}

void BoardView::zoom_at(QPointF place, double factor) {
    const double before = zoom_;
    zoom_ = std::clamp(zoom_ * factor, 1.0, most_zoom);
    // What is there stays where it is.
    const QPointF origin{elevation().scale.left, elevation().scale.floor};
    pan_ += (place / pixels_per_mm - origin) * (1 - zoom_ / before);
    if (zoom_ == 1.0)
        pan_ = {};
    redraw();
}

void BoardView::look_again(const Look& look) {
    zoom_ = std::clamp(look.zoom, 1.0, most_zoom);
    pan_ = zoom_ > 1 ? look.pan : QPointF{};
    redraw();
}

void BoardView::fit() {
    zoom_ = 1;
    pan_ = {};
    redraw();
}

void BoardView::look_at(const Outline& part) {
    fit();
    constexpr double share = 0.5; // of the view, so that what is round it is seen too
    const ElevationScale& scale = elevation().scale;
    const double wide = std::max(1.0, scale.x(part.right) - scale.x(part.left));
    const double high = std::max(1.0, scale.y(part.bottom) - scale.y(part.top));
    zoom_by(std::clamp(std::min(share * width() / pixels_per_mm / wide, share * height() / pixels_per_mm / high), 1.0,
                       4.0));
    if (zoom_ == 1.0)
        return;
    const QPointF middle{width() / pixels_per_mm / 2, height() / pixels_per_mm / 2};
    pan_ += middle - QPointF{elevation().scale.x((part.left + part.right) / 2),
                             elevation().scale.y((part.bottom + part.top) / 2)};
    redraw();
}

/// Comes into view, blinks, and stays ringed until something else is taken in hand.
void BoardView::point_out(const Outline& part) {
    const QRectF seen{rect()};
    if (!seen.contains(place(part.left, part.bottom)) || !seen.contains(place(part.right, part.top)))
        fit();
    pointed_out_ = part;
    blinked_ = 0;
    blink_.start(blink_ms);
    update();
}

void BoardView::take_tape(bool out) {
    tape_ready_ = out;
    tape_.put_away();
    if (out && bench_.wall()) {
        // For the keys it hangs at the lower left of what is in hand, else at the wall's.
        const auto ids = bench_.selected_ids();
        const auto room = ids.empty() ? std::nullopt : whole_room(*bench_.wall_plan(), ids.front());
        hook_tape(room ? room->left : Length{}, room ? room->bottom : Length{});
        setFocus();
    }
    setCursor(out ? Qt::CrossCursor : Qt::ArrowCursor);
    update();
    emit tape_taken(out);
}

Length BoardView::tape_reach() const {
    return Length::nearest_to_metres(tape_reach_px / pixels_per_mm / elevation().scale.per_metre);
}

void BoardView::hook_tape(Length x, Length z) {
    const RoomSurvey* room = bench_.room_plan();
    tape_.hook(tape_stops(*bench_.wall(), *bench_.wall_plan(), room ? room->lines.lines : std::vector<LinePlan>{}), x,
               z, tape_reach());
}

QPointF BoardView::place(Length x, Length z) const {
    return QPointF{elevation().scale.x(x), elevation().scale.y(z)} * pixels_per_mm;
}

void BoardView::redraw() {
    drawn_ = false;
    update();
}

const Elevation& BoardView::elevation() const {
    if (!drawn_) {
        drawn_ = true;
        elevation_ = bench_.wall() ? draw(*bench_.wall()) : Elevation{};
    }
    return elevation_;
}

Elevation BoardView::draw(const Wall& wall) const {
    ElevationFrame frame;
    frame.width = width() / pixels_per_mm;
    frame.height = height() / pixels_per_mm;
    frame.text = font().pixelSize() * 0.92 / pixels_per_mm;
    frame.zoom = zoom_;
    frame.pan_x = pan_.x();
    frame.pan_y = pan_.y();
    frame.selected_shelf = bench_.shelf() ? bench_.shelf()->id : std::string{};
    frame.selected_run = bench_.run() ? bench_.run()->id : std::string{};
    frame.selected_unit = bench_.unit() ? bench_.unit()->id : std::string{};
    frame.selected_thing = bench_.thing();
    frame.selected_bay = bench_.bay() ? bench_.bay()->id : std::string{};
    if (const RoomSurvey* room = bench_.room_plan())
        frame.lines = room->lines.lines;
    frame.line_names = line_names_;
    frame.found = survey_.has_value();
    frame.survey = survey_.value_or(SurveyLayer::none);
    frame.advice = advice_;
    return draw_elevation(wall, *bench_.wall_plan(), frame, bench_.voice());
}

void BoardView::paintEvent(QPaintEvent*) {
    QPainter painter{this};
    painter.fillRect(rect(), theme_->paper);
    if (!bench_.wall()) {
        painter.setPen(theme_->faint);
        painter.drawText(rect().adjusted(20, 20, -20, -20), Qt::AlignCenter | Qt::TextWordWrap,
                         tr("No wall yet. In Survey, type the wall's length and height, then walk it from the "
                            "reference end and enter what you find"));
        return;
    }
    paint(painter, elevation().drawing, *theme_, pixels_per_mm);
    if (hovered_) {
        QPen string{theme_->chalk, 1.5};
        painter.setPen(string);
        if (hovered_->x) {
            const double x = place(*hovered_->x, {}).x();
            painter.drawLine(QPointF{x, 0}, QPointF{x, double(height())});
        }
        if (hovered_->z) {
            const double y = place({}, *hovered_->z).y();
            painter.drawLine(QPointF{0, y}, QPointF{double(width()), y});
        }
    }
    paint_hands(painter);
    if (dragging_ && (grip_ == Grip::run || grip_ == Grip::thing || grip_ == Grip::line)) {
        const QString words = cost_of_drag();
        QRectF box = painter.boundingRect(rect().adjusted(16, 12, -16, -12), Qt::AlignTop | Qt::AlignHCenter, words);
        box.adjust(-8, -4, 8, 4);
        painter.fillRect(box, theme_->panel);
        painter.setPen(QPen{theme_->chalk, 1.5});
        painter.drawRect(box);
        painter.setPen(theme_->ink);
        painter.drawText(box, Qt::AlignCenter, words);
    }
    if (hasFocus()) {
        painter.setPen(QPen{theme_->chalk, 1});
        painter.drawRect(QRectF{rect()}.adjusted(0.5, 0.5, -0.5, -0.5));
    }
}

/// What is selected besides, what is pointed out, and the tape.
void BoardView::paint_hands(QPainter& painter) {
    const auto around = [&](const Outline& part, double beyond) {
        QRectF box = QRectF{place(part.left, part.top), place(part.right, part.bottom)}.normalized();
        return box.adjusted(-beyond, -beyond, beyond, beyond);
    };
    const auto ids = bench_.selected_ids();
    painter.setPen(QPen{theme_->chalk, 2, Qt::DashLine});
    if (ids.size() > 1)
        for (const std::string& id : ids)
            if (const auto room = whole_room(*bench_.wall_plan(), id))
                painter.drawRect(around(*room, 3));
    if (pointed_out_ && (!blink_.isActive() || blinked_ % 2 == 0)) {
        painter.setPen(QPen{theme_->chalk, 3});
        painter.drawRoundedRect(around(*pointed_out_, 9), 6, 6);
    }
    tape_.paint(
        painter, rect(), [this](Length x, Length z) { return place(x, z); }, *theme_, bench_.voice());
}

void BoardView::click(const Reference& reference) {
    if (!reference.item.empty() && reference.part != Part::line)
        bench_.select(reference.item);
    switch (reference.part) {
    case Part::bracket:
        bench_.ask("bracket/" + std::to_string(reference.index + 1));
        break;
    case Part::stud:
        bench_.ask("stud/" + std::to_string(reference.index + 1));
        break;
    case Part::hole:
        bench_.ask("hole/" + std::to_string(reference.index % 100 + 1));
        break;
    case Part::shelf:
        if (reference.x || reference.z)
            bench_.ask(reference.z ? "level" : "sag");
        break;
    case Part::unit:
        if (reference.x || reference.z)
            bench_.ask("unit/" + std::to_string(reference.index + 1) + "/place");
        break;
    case Part::unit_hole:
        if (bench_.unit())
            bench_.ask("unit/" +
                       std::to_string(static_cast<std::size_t>(bench_.unit() - bench_.run()->units.data()) + 1) +
                       "/stud");
        break;
    case Part::line:
        bench_.ask("line/" + reference.item);
        break;
    case Part::bay:
        if (reference.x || reference.z)
            bench_.ask("bay/" + std::to_string(reference.index + 1) + "/width");
        break;
    default:
        break;
    }
}

void BoardView::mousePressEvent(QMouseEvent* event) {
    setFocus(Qt::MouseFocusReason);
    pressed_ = event->position();
    pan_before_ = pan_;
    dragging_ = false;
    grip_ = Grip::none;
    if (event->button() == Qt::MiddleButton) {
        grip_ = Grip::pan;
        return;
    }
    if (event->button() != Qt::LeftButton)
        return;
    if (tape_ready_ && bench_.wall()) {
        hook_tape(elevation().scale.wall_x(pressed_.x() / pixels_per_mm),
                  elevation().scale.wall_z(pressed_.y() / pixels_per_mm));
        grip_ = Grip::tape;
        update();
        return;
    }
    if (survey_ == SurveyLayer::studs && bench_.wall()) {
        const Length x = elevation().scale.wall_x(pressed_.x() / pixels_per_mm);
        const Length z = elevation().scale.wall_z(pressed_.y() / pixels_per_mm);
        if (x >= Length{} && x <= bench_.wall()->length && z >= Length{} && z <= bench_.wall()->height)
            emit pointed_at(x, z);
    }
    const Shape* shape = shape_at(elevation().drawing, pressed_);
    if (!shape) {
        grip_ = zoom_ > 1 ? Grip::pan : Grip::none;
        emit nothing_clicked();
        return;
    }
    // The click may redraw, and the shape be gone.
    const Reference reference = shape->reference;
    const bool on_wall = std::holds_alternative<Rectangle>(shape->form) || std::holds_alternative<Text>(shape->form);
    if (event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier) && !reference.item.empty())
        return bench_.select_too(reference.item);
    asked_at_ = pressed_;
    click(reference);
    asked_at_.reset();
    take_hole_at(pressed_);
    grip_at(reference, on_wall);
}

/// The hole under the pointer, of what is selected by now.
void BoardView::take_hole_at(QPointF at) {
    const auto holes = bench_.holes();
    for (std::size_t i = 0; i < holes.size(); ++i)
        if (QLineF{place(holes[i]->x, holes[i]->z), at}.length() <= near_hole_px)
            return bench_.take_hole(i);
}

void BoardView::contextMenuEvent(QContextMenuEvent* event) {
    if (event->reason() == QContextMenuEvent::Mouse) {
        const Shape* shape = shape_at(elevation().drawing, QPointF{event->pos()});
        const Reference reference = shape ? shape->reference : Reference{};
        if (!reference.item.empty() && reference.part != Part::line && !bench_.is_selected(reference.item))
            bench_.select(reference.item);
        take_hole_at(QPointF{event->pos()});
        emit menu_wanted(reference, event->globalPos());
        return;
    }
    // By its key: of what is in hand.
    const auto ids = bench_.selected_ids();
    Reference reference;
    QPoint at = rect().center();
    if (!ids.empty()) {
        reference = {Part::thing, ids.front(), 0, {}, {}};
        if (const auto room = whole_room(*bench_.wall_plan(), ids.front()))
            at = place((room->left + room->right) / 2, (room->bottom + room->top) / 2).toPoint();
    }
    emit menu_wanted(reference, mapToGlobal(at));
}

void BoardView::mouseMoveEvent(QMouseEvent* event) {
    if (grip_ != Grip::none) {
        if (!dragging_ && (event->position() - pressed_).manhattanLength() < QApplication::startDragDistance() / 2.0)
            return;
        dragging_ = true;
        drag_to(event->position());
        return;
    }
    const Shape* shape = shape_at(elevation().drawing, event->position());
    hovered_ = shape ? std::optional{shape->reference} : std::nullopt;
    tell_height(*event);
    const bool shelf = hovered_ && hovered_->part == Part::shelf && !hovered_->x && !hovered_->z;
    bool at_end = false;
    if (shelf && bench_.shelf() && bench_.shelf()->id == hovered_->item) {
        const double left = place(bench_.shelf()->left, {}).x();
        const double right = place(bench_.shelf()->right(), {}).x();
        at_end = event->position().x() - left < end_grip_px || right - event->position().x() < end_grip_px;
    }
    const bool movable =
        hovered_ && (hovered_->part == Part::unit || hovered_->part == Part::thing || hovered_->part == Part::bay);
    if (movable && !hovered_->x && !hovered_->z)
        setCursor(Qt::SizeAllCursor);
    else if (hovered_ && hovered_->part == Part::line && line_names_)
        setCursor(Qt::SizeVerCursor);
    else
        setCursor(shelf ? (at_end ? Qt::SizeHorCursor : Qt::SizeAllCursor)
                        : (hovered_ ? Qt::PointingHandCursor : Qt::ArrowCursor));
    update();
}

/// Of the line under the pointer: its height from the finished floor, from the floor as it is there, and from the level
/// line that was struck.
void BoardView::tell_height(const QMouseEvent& event) {
    const RoomSurvey* room = bench_.room_plan();
    if (!hovered_ || hovered_->part != Part::line || !room) {
        setToolTip({});
        return;
    }
    const auto line = std::ranges::find(room->lines.lines, hovered_->item, &LinePlan::id);
    if (line == room->lines.lines.end())
        return;
    const FloorProfile& floor = bench_.wall_plan()->survey.floor;
    const Length x = elevation().scale.wall_x(event.position().x() / pixels_per_mm);
    const auto shown = [&](Length length) { return text(format(length, bench_.voice())); };
    QString words =
        tr("%1: %2 above the finished floor, %3 above the floor as it is at %4")
            .arg(text(line->name), shown(line->z), shown(floor.above_floor_now(x, line->z)), bench_.along(x));
    if (floor.level_line)
        words += line->z >= *floor.level_line
                     ? tr(", %1 up from the level line").arg(shown(line->z - *floor.level_line))
                     : tr(", %1 down from the level line").arg(shown(*floor.level_line - line->z));
    setToolTip(words);
}

void BoardView::wheelEvent(QWheelEvent* event) {
    zoom_at(event->position(), event->angleDelta().y() > 0 ? 1.2 : 1 / 1.2);
}

void BoardView::keyPressEvent(QKeyEvent* event) {
    const int across = event->key() == Qt::Key_Left ? -1 : (event->key() == Qt::Key_Right ? 1 : 0);
    const int up = event->key() == Qt::Key_Down ? -1 : (event->key() == Qt::Key_Up ? 1 : 0);
    const Length step = display_step(bench_.job().unit) * (event->modifiers() & Qt::ShiftModifier ? 10 : 1);
    if (event->key() == Qt::Key_Escape) {
        pointed_out_.reset();
        if (tape_.out())
            return take_tape(false);
        bench_.withdraw();
        grip_ = Grip::none;
        dragging_ = false;
        return update();
    }
    if (across == 0 && up == 0)
        return QWidget::keyPressEvent(event);
    if (tape_.out()) {
        tape_.pull_by(step * across, step * up);
        return update();
    }
    // With Ctrl the selected unit changes places with its neighbour.
    if (across != 0 && (event->modifiers() & Qt::ControlModifier) && bench_.unit()) {
        const auto to = bench_.unit() - bench_.run()->units.data() + across;
        if (to >= 0)
            bench_.apply(tr("Reorder units"), ReorderUnit{bench_.unit()->id, static_cast<std::size_t>(to)});
        return;
    }
    const auto ids = bench_.selected_ids();
    if (ids.empty())
        return;
    const QString what = ids.size() > 1   ? tr("Move them")
                         : bench_.shelf() ? tr("Move shelf")
                         : bench_.run()   ? tr("Slide run")
                                          : tr("Move it");
    bench_.edit(what, [&](Job& job) {
        for (const Edit& edit : moved_by(*bench_.wall(), *bench_.wall_plan(), ids, step * across, step * up))
            job = apply(edit, std::move(job));
    });
}

void BoardView::leaveEvent(QEvent*) {
    hovered_.reset();
    update();
}

void BoardView::changeEvent(QEvent* event) {
    QWidget::changeEvent(event);
    if (event->type() == QEvent::FontChange)
        redraw();
}

void BoardView::resizeEvent(QResizeEvent*) {
    redraw();
}

} // namespace yes_square::app
