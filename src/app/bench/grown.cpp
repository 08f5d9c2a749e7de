#include "app/bench/grown.hpp"

#include <QAbstractItemView>
#include <QEvent>
#include <QHeaderView>
#include <QTableView>
#include <QTimer>
#include <algorithm>

namespace yes_square::app {
namespace {

/// Keeps one view as high as its rows; a child of it.
class Grower : public QObject {
public:
    explicit Grower(QAbstractItemView& view)
        : QObject{&view}
        , view_{view} {
        view.setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        view.setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
        view.installEventFilter(this);
        soon_.setSingleShot(true);
        connect(&soon_, &QTimer::timeout, this, [this] { fit(); });
        const auto later = [this] { soon_.start(0); };
        const QAbstractItemModel* model = view.model();
        connect(model, &QAbstractItemModel::rowsInserted, this, later);
        connect(model, &QAbstractItemModel::rowsRemoved, this, later);
        connect(model, &QAbstractItemModel::modelReset, this, later);
        connect(model, &QAbstractItemModel::dataChanged, this, later);
        if (const auto* table = qobject_cast<QTableView*>(&view))
            connect(table->verticalHeader(), &QHeaderView::sectionResized, this, later);
        fit();
    }

    bool eventFilter(QObject*, QEvent* event) override {
        // Words that wrap need more rows of type in a narrower list.
        if (event->type() == QEvent::Resize || event->type() == QEvent::Show)
            soon_.start(0);
        return false;
    }

private:
    void fit() {
        int high = view_.height() - view_.viewport()->height(); // its edge and its headings
        if (const auto* table = qobject_cast<QTableView*>(&view_)) {
            for (int row = 0; row < table->model()->rowCount(); ++row)
                high += table->rowHeight(row);
        } else {
            for (int row = 0; row < view_.model()->rowCount(); ++row)
                high += std::max(view_.sizeHintForRow(row), view_.visualRect(view_.model()->index(row, 0)).height());
        }
        const int least = view_.fontMetrics().height() + 10; // an empty list is seen to be one
        if (const int wanted = std::max(least, high); view_.minimumHeight() != wanted)
            view_.setFixedHeight(wanted);
    }

    QAbstractItemView& view_;
    QTimer soon_;
};

} // namespace

void grow_to_rows(QAbstractItemView& view) {
    new Grower{view};
}

} // namespace yes_square::app
