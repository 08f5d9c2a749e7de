#pragma once

#include "app/bench/part_form.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// Wardrobes: adding and removing them and their bays, the figures of the selected one, of its selected bay, and a
/// level's readings of its panels.
class SystemPanel : public QWidget {
    Q_OBJECT
public:
    explicit SystemPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_system();
    void add_bay(BayKind kind);
    void remove_bay();
    void slide();

private:
    void build_system();
    void build_bay();
    void build_reading();
    void move_bay(int by);
    void refresh();
    PanelReading* reading_in(Job& job) const;

    Workbench& bench_;
    PartForm<StorageSystem>* system_;
    PartForm<Bay>* bay_;
    BoundForm* reading_;
    Fold* reading_fold_ = nullptr;
    QLabel* fits_;
    QLabel* empty_;
    QPushButton* slide_;
    std::vector<QWidget*> of_system_; ///< of use only while a wardrobe is selected
    int panel_ = 1;                   ///< whose reading is shown
};

} // namespace yes_square::app
