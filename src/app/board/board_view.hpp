#pragma once

#include "app/bench/theme.hpp"
#include "app/bench/workbench.hpp"
#include "core/sheets/elevation.hpp"
#include "core/site/wall_site.hpp"

#include <QWidget>

namespace yes_square::app {

/// The wall with its rods. A shelf is dragged along the wall or by its ends; a tick, bracket or stud clicked shows its
/// working; a tick under the pointer strings a line across the wall. Wheel zooms, middle button pans, arrow keys nudge
/// the selected shelf by one display step.
class BoardView : public QWidget {
    Q_OBJECT
public:
    explicit BoardView(Workbench& bench, QWidget* parent = nullptr);

    void set_theme(const Theme& theme);
    /// While a wall is surveyed: which readings are drawn over it, and where to probe next. None: it is not.
    void show_survey(std::optional<SurveyLayer> layer, const std::optional<ProbeAdvice>& advice);
    /// While lines are set: every line with its name, to be pulled up or down.
    void show_line_names(bool show);
    void zoom_by(double factor);
    void zoom_at(QPointF place, double factor);

    /// A unit from the list is carried over the wall, or let go there, at a place on the screen.
    void carry(const yes_square::CabinetUnit& unit, QPoint screen);
    void drop(const yes_square::CabinetUnit& unit, QPoint screen);
    void fit();
    /// Comes so near that this part of the wall fills most of the view.
    void look_at(const Outline& part);

    /// Where a place on the wall is in the widget; for tests and tags.
    QPointF place(Length x, Length z) const;

signals:
    /// While studs are looked for: a place on the wall was clicked.
    void pointed_at(yes_square::Length x, yes_square::Length z);
    /// A click on the bare wall.
    void nothing_clicked();

public:
    /// Where the figure stands that is being asked for; none: it is not asked for here.
    std::optional<QPointF> asked_at() const { return asked_at_; }
    QSize minimumSizeHint() const override { return {320, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    enum class Grip { none, whole, left_end, right_end, pan, run, thing, line };

    void redraw();
    void drag_to(QPointF at);
    void click(const Reference& reference);
    void grip_at(const Reference& reference, bool on_wall);
    void drag_shelf(Length dx, Length dz);
    void drag_run(Length dx, Length dz, QPointF at);
    QString cost_of_drag() const;
    QString cost_of_thing() const;
    void tell_height(const QMouseEvent& event);

    Workbench& bench_;
    const Theme* theme_;
    Elevation elevation_;
    double zoom_ = 1;
    QPointF pan_; ///< mm of paper
    std::optional<Reference> hovered_;
    std::optional<QPointF> asked_at_;
    std::optional<SurveyLayer> survey_;
    std::optional<ProbeAdvice> advice_;
    bool line_names_ = false;

    Grip grip_ = Grip::none;
    bool dragging_ = false;
    QPointF pressed_;
    QPointF pan_before_;
    Shelf grabbed_;
    Run grabbed_run_;
    RunLayout grabbed_layout_;
    std::string grabbed_unit_;
    bool lifted_ = false; ///< the unit is pulled clear of its run, to be put back elsewhere
    std::string grabbed_thing_;
    std::string grabbed_line_;
    Length line_from_;
};

} // namespace yes_square::app
