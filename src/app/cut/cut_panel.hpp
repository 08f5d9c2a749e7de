#pragma once

#include "app/bench/day.hpp"
#include "app/bench/pages.hpp"
#include "app/board/drawing_view.hpp"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QTableWidget>

namespace yes_square::app {

class BenchPage;
class DeliveryPage;
class KitPage;
class StockPage;

/// The stage "Cut & kit": what is cut from what, what is taken along, what came.
class CutPanel : public QWidget {
    Q_OBJECT
public:
    CutPanel(Workbench& bench, Day& day, QWidget* parent = nullptr);

    /// The cutting plan, shown where the wall is.
    QWidget* view() { return scroll_; }
    bool show_page(const QString& name); ///< whether it has such a page
    DeliveryPage& delivery() { return *delivery_; }
    /// The wall is to be seen in the cutting plan's place.
    bool on_wall() const { return on_wall_->isChecked(); }

signals:
    /// A packing list is wanted from a file.
    void packing_list_wanted();
    void wall_wanted();

protected:
    void showEvent(QShowEvent* event) override;

private:
    Scope scope() const;
    bool at_bench() const; ///< its parts are seen where the wall is
    void refresh();
    void refresh_parts();
    void pick(const std::string& label);
    Drawing draw(double width, double height, double text);
    const StuffPlan* chosen();

    Workbench& bench_;
    Day& day_;
    QComboBox* scope_;
    Pages* pages_;
    QLabel* summary_;
    QTableWidget* stuffs_;
    QTableWidget* parts_;
    BenchPage* at_bench_;
    StockPage* stock_;
    KitPage* kit_;
    DeliveryPage* delivery_;
    DrawingView* drawing_;
    QScrollArea* scroll_;
    QPushButton* on_wall_;
    std::string picked_;    ///< label of a part
    std::vector<int> tops_; ///< of each stuff in the cutting plan, px
};

} // namespace yes_square::app
