#pragma once

#include "app/bench/theme.hpp"
#include "app/bench/workbench.hpp"
#include "app/board/tape.hpp"
#include "core/hands/screw_pins.hpp"
#include "core/sheets/elevation.hpp"
#include "core/site/wall_site.hpp"

#include <QTimer>
#include <QWidget>

namespace yes_square::app {

/// The wall with its rods. A shelf is dragged along the wall or by its ends; a tick, bracket or stud clicked shows its
/// working; a tick under the pointer strings a line across the wall. Wheel zooms, middle button pans, arrow keys nudge
/// the selected shelf by one display step.
class BoardView : public QWidget {
    Q_OBJECT
public:
    explicit BoardView(Workbench& bench, QWidget* parent = nullptr);

    Workbench& bench() const { return bench_; }
    void set_theme(const Theme& theme);
    /// While a wall is surveyed: which readings are drawn over it, and where to probe next. None: it is not.
    void show_survey(std::optional<SurveyLayer> layer, const std::optional<ProbeAdvice>& advice);
    /// While lines are set: every line with its name, to be pulled up or down.
    void show_line_names(bool show);
    void zoom_by(double factor);
    void zoom_at(QPointF place, double factor);

    /// How near it is seen, and from where: to be kept and come back to.
    struct Look {
        double zoom = 1;
        QPointF pan;
    };
    Look look() const { return {zoom_, pan_}; }
    void look_again(const Look& look);

    /// A unit from the list is carried over the wall, or let go there, at a place on the screen.
    void carry(const std::vector<yes_square::CabinetUnit>& units, QPoint screen);
    void drop(const std::vector<yes_square::CabinetUnit>& units, QPoint screen);
    void fit();
    /// Comes so near that this part of the wall fills most of the view.
    void look_at(const Outline& part);

    /// Brings a part of the wall into view, blinks, and leaves a ring round it.
    void point_out(const Outline& part);
    const std::optional<Outline>& pointed_out() const { return pointed_out_; }

    /// With the tape in hand a drag measures, and so do the arrow keys.
    void take_tape(bool out);
    const HandTape& tape() const { return tape_; }

    /// Where a place on the wall is in the widget; for tests and tags.
    QPointF place(Length x, Length z) const;

signals:
    /// While studs are looked for: a place on the wall was clicked.
    void pointed_at(yes_square::Length x, yes_square::Length z);
    /// A click on the bare wall.
    void nothing_clicked();
    /// What can be done is asked for, of what lies there or of the bare wall, at a place on the screen.
    void menu_wanted(const yes_square::Reference& reference, QPoint screen);
    void tape_taken(bool out);

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
    void contextMenuEvent(QContextMenuEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void changeEvent(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    static constexpr double end_grip_px = 10;
    enum class Grip { none, whole, left_end, right_end, pan, run, thing, line, tape, bracket, screw };

    /// What is seen has changed; it is drawn anew when it is next asked for, however often it changes until then.
    void redraw();
    const Elevation& elevation() const;
    Elevation draw(const Wall& wall) const;
    void drag_to(QPointF at);
    void click(const Reference& reference);
    void grip_at(const Reference& reference, bool on_wall);
    void drag_shelf(Length dx, Length dz);
    void drag_bracket(Length dx);
    void drag_screw(Length dx);
    void drag_run(Length dx, Length dz, QPointF at);
    QString cost_of_drag() const;
    QString cost_of_thing() const;
    QString end_at(Length left, Length right) const;
    void tell_height(const QMouseEvent& event);
    void take_hole_at(QPointF at);
    void paint_hands(QPainter& painter);
    void hook_tape(Length x, Length z);
    Length tape_reach() const;

    Workbench& bench_;
    const Theme* theme_;
    mutable Elevation elevation_; ///< as last drawn
    mutable bool drawn_ = false;  ///< nothing changed since
    double zoom_ = 1;
    QPointF pan_; ///< mm of paper
    std::optional<Reference> hovered_;
    std::optional<QPointF> asked_at_;
    std::optional<SurveyLayer> survey_;
    std::optional<ProbeAdvice> advice_;
    bool line_names_ = false;
    std::optional<Outline> pointed_out_;
    QTimer blink_;
    int blinked_ = 0;
    HandTape tape_;
    bool tape_ready_ = false;

    Grip grip_ = Grip::none;
    bool dragging_ = false;
    QPointF pressed_;
    QPointF pan_before_;
    Shelf grabbed_;
    Length grabbed_place_; ///< of a bracket, from its shelf's left end
    PinnableScrew grabbed_screw_;
    Run grabbed_run_;
    RunLayout grabbed_layout_;
    std::string grabbed_unit_;
    bool lifted_ = false; ///< the unit is pulled clear of its run, to be put back elsewhere
    std::string grabbed_thing_;
    std::string grabbed_line_;
    Length line_from_;
};

} // namespace yes_square::app
