#pragma once

#include "app/bench/workbench.hpp"
#include "app/board/drawing_view.hpp"

#include <QLabel>
#include <QTableWidget>
#include <QVBoxLayout>
#include <QWidget>

namespace yes_square::app {

/// How much the selected shelf would hold and what gives first; and what would make it hold more, each at a click.
class StudyPanel : public QWidget {
    Q_OBJECT
public:
    explicit StudyPanel(Workbench& bench, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();

    Workbench& bench_;
    QLabel* greatest_;
    QLabel* governs_;
    QTableWidget* limits_;
    QLabel* caution_;
    DrawingView* bending_;
    QVBoxLayout* stronger_;
};

} // namespace yes_square::app
