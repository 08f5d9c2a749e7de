#pragma once

#include "app/layout/run_form.hpp"
#include "app/layout/unit_form.hpp"

#include <QListWidget>
#include <QPushButton>

namespace yes_square::app {

class Fold;

/// Units to choose from, in a list: carried to the wall with the mouse, or added with Enter.
class UnitList : public QListWidget {
    Q_OBJECT
public:
    explicit UnitList(QWidget* parent = nullptr);

signals:
    /// What is chosen is being dragged, or let go, at a place on the screen.
    void carried(QPoint screen);
    void dropped(QPoint screen);

protected:
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    bool carrying_ = false;
    bool several_ = false; ///< pressed on one of several that are chosen: they stay chosen while they are dragged
};

/// The runs of the wall: the units to choose from, the selected run's figures and those of its selected unit.
class RunPanel : public QWidget {
    Q_OBJECT
public:
    explicit RunPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_run(RunLevel level);
    void remove_run();
    void add_listed(int row);
    void add_units(const std::vector<CabinetUnit>& units);
    void add_chosen();   ///< every chosen row of the list, one beside the other
    void put_in_place(); ///< the chosen one, of the selected unit
    void mirror();
    void remove_unit();
    void move_unit(int by);
    void slide();
    /// Adds the units of a CSV list to those at hand. Empty: done; else what is wrong with it.
    QString take_in_list(const QString& path);

signals:
    void units_carried(const std::vector<yes_square::CabinetUnit>& units, QPoint screen);
    void units_dropped(const std::vector<yes_square::CabinetUnit>& units, QPoint screen);

private:
    void refresh();
    void refresh_list();
    void choose_list();
    std::vector<CabinetUnit> chosen_units() const;
    std::vector<CabinetUnit> carried_;

    Workbench& bench_;
    UnitList* library_;
    RunForm* run_form_;
    UnitForm* unit_form_;
    std::vector<CabinetUnit> at_hand_; ///< as the rows of the list
    QPushButton* slide_;
    QPushButton* mirror_;
    std::vector<QPushButton*> unit_buttons_;
    Fold* cut_outs_ = nullptr;
    Fold* panels_ = nullptr;
};

} // namespace yes_square::app
