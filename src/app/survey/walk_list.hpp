#pragma once

#include "app/shell/length_field.hpp"
#include "app/shell/workbench.hpp"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QWidget>

namespace yes_square::app {

/// Walking the wall from the reference end: a distance and what is there, Enter, on to the next. What has been found
/// stands in the order of the walk; Delete takes the selected finding out.
class WalkList : public QWidget {
    Q_OBJECT
public:
    explicit WalkList(Workbench& bench, QWidget* parent = nullptr);

private:
    enum class Finding { stud_proved, stud_indicated, stud_assumed, socket, switch_, pipe, window, door };

    void refresh();
    void fit_fields();
    void add();
    void remove_selected();
    Finding finding() const { return static_cast<Finding>(what_->currentIndex()); }

    Workbench& bench_;
    QComboBox* what_;
    LengthField* distance_;
    LengthField* height_;
    LengthField* width_;
    LengthField* tall_;
    QLabel* distance_label_;
    QLabel* height_label_;
    QLabel* width_label_;
    QLabel* tall_label_;
    QListWidget* list_;
};

} // namespace yes_square::app
