#pragma once

#include "core/sheets/drawing.hpp"

#include <QWidget>
#include <functional>

namespace yes_square::app {

/// A drawing of the core that is looked at and picked from, no more: profiles, the plan of a room. In the colours that
/// the program wears.
class DrawingView : public QWidget {
    Q_OBJECT
public:
    /// Draws for a size in mm of paper and a size of type.
    using Draw = std::function<Drawing(double width, double height, double text)>;

    explicit DrawingView(Draw draw, QWidget* parent = nullptr);

    void redraw();

signals:
    void picked(const yes_square::Reference& reference);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    Draw draw_;
    Drawing drawing_;
    bool stale_ = true;
};

} // namespace yes_square::app
