#pragma once

#include "app/bench/workbench.hpp"
#include "core/cutting/worked_parts.hpp"
#include "core/sheets/drawing.hpp"

#include <QLabel>
#include <QTableWidget>

namespace yes_square::app {

/// What is routed, sawn and drilled in the parts before anything is put together: the parts, and of the chosen one
/// every cut. Drawn where the wall is.
class BenchPage : public QWidget {
    Q_OBJECT
public:
    explicit BenchPage(Workbench& bench, QWidget* parent = nullptr);

    void show_parts(std::vector<WorkedPart> parts);
    bool empty() const { return parts_.empty(); }
    /// All parts one under another, the chosen one's name standing out. Where each begins goes to `tops`, mm of paper.
    Drawing draw(double width, double text, std::vector<double>& tops) const;

signals:
    void chosen(int row);

private:
    void show_cuts();

    Workbench& bench_;
    QLabel* words_;
    QTableWidget* table_;
    QTableWidget* cuts_;
    std::vector<WorkedPart> parts_;
};

} // namespace yes_square::app
