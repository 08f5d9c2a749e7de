#pragma once

#include "app/bench/length_field.hpp"
#include "app/bench/workbench.hpp"
#include "app/survey/readings_editor.hpp"

#include <QLineEdit>
#include <QListWidget>

namespace yes_square::app {

/// What a shelf has several of: holes of its plate, joints between its boards, hangers, cut-outs, and goods that stand
/// on a part of it. Figures from its left end.
class ShelfParts : public QWidget {
    Q_OBJECT
public:
    explicit ShelfParts(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();
    void add_goods();
    void remove_goods();
    Shelf* selected_in(Job& job) const;

    Workbench& bench_;
    QWidget* along_;
    QWidget* holes_;
    QWidget* cut_outs_;
    QWidget* goods_figures_;
    QWidget* goods_;
    QLineEdit* goods_name_;
    LengthField* goods_from_;
    LengthField* goods_to_;
    QLineEdit* goods_kg_;
    QListWidget* goods_list_;
};

} // namespace yes_square::app
