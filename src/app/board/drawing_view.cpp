#include "app/board/drawing_view.hpp"

#include "app/bench/theme.hpp"
#include "app/board/painter.hpp"
#include "app/board/picking.hpp"

#include <QMouseEvent>

namespace yes_square::app {

DrawingView::DrawingView(Draw draw, QWidget* parent)
    : QWidget{parent}
    , draw_{std::move(draw)} {}

void DrawingView::redraw() {
    stale_ = !isVisible(); // what nobody looks at is drawn when it is shown
    if (stale_)
        return;
    drawing_ = draw_(width() / pixels_per_mm, height() / pixels_per_mm, font().pixelSize() * 0.9 / pixels_per_mm);
    update();
}

void DrawingView::paintEvent(QPaintEvent*) {
    QPainter painter{this};
    const Theme& theme = worn_theme();
    painter.fillRect(rect(), theme.paper);
    paint(painter, drawing_, theme, pixels_per_mm);
}

void DrawingView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (stale_)
        redraw();
}

void DrawingView::changeEvent(QEvent* event) {
    QWidget::changeEvent(event);
    if (event->type() == QEvent::FontChange)
        redraw();
    else if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange)
        update();
}

void DrawingView::resizeEvent(QResizeEvent*) {
    redraw();
}

void DrawingView::mousePressEvent(QMouseEvent* event) {
    if (const Shape* shape = shape_at(drawing_, event->position()))
        emit picked(shape->reference);
}

} // namespace yes_square::app
