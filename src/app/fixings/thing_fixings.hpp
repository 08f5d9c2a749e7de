#pragma once

#include "app/bench/workbench.hpp"

#include <QLabel>
#include <QTableWidget>
#include <QWidget>

namespace yes_square::app {

/// Where a wardrobe's cleats, a piece's restraint, a box or a hung cabinet are screwed, with which screw; and the parts
/// of a wardrobe or box.
class ThingFixings : public QWidget {
    Q_OBJECT
public:
    explicit ThingFixings(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();
    void system(const SystemPlan& plan);
    void piece(const PiecePlan& plan);
    void unit(const UnitPlan& plan);
    void listed(const ThingPlan& plan);

    QString shown(const Quantity& quantity) const { return text(say(quantity, bench_.voice())); }
    QString bare(Length length) const { return text(format_bare(length, bench_.voice())); }
    QString used(Utilisation utilisation) const;
    QString screw_words(const Fixing& fixing) const;
    QString screws_words(const ThingPlan& plan) const;

    Workbench& bench_;
    QLabel* words_;
    QTableWidget* marks_;
    QLabel* parts_heading_;
    QTableWidget* parts_;
};

} // namespace yes_square::app
