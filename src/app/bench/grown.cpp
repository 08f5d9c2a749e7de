#include "app/bench/grown.hpp"

#include "app/bench/reading_order.hpp"

#include "app/bench/view_fitter.hpp"

#include <QAbstractTextDocumentLayout>
#include <QHeaderView>
#include <QScrollArea>
#include <QTableView>
#include <QTextBrowser>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

/// Keeps one view as high as its rows.
class Grower : public ViewFitter {
public:
    explicit Grower(QAbstractItemView& view)
        : ViewFitter{view}
        , view_{view} {
        view.setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        view.setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
        if (const auto* table = qobject_cast<QTableView*>(&view))
            connect(table->verticalHeader(), &QHeaderView::sectionResized, this, [this] { later(); });
        later();
    }

private:
    void fit() override {
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
};

} // namespace

QScrollArea* scrolled(QWidget* inside) {
    auto* area = new QScrollArea;
    auto* margin = new QWidget;
    new ReadingOrder{*margin};
    auto* column = new QVBoxLayout{margin};
    column->setContentsMargins(6, 0, 6, 0);
    column->addWidget(inside);
    area->setWidget(margin);
    area->setWidgetResizable(true);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return area;
}

void grow_to_rows(QAbstractItemView& view) {
    new Grower{view};
}

void grow_to_words(QTextBrowser& words) {
    words.setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    words.setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    QObject::connect(words.document()->documentLayout(), &QAbstractTextDocumentLayout::documentSizeChanged, &words,
                     [&words](const QSizeF& size) {
                         constexpr int edge = 8; // of its style
                         words.setFixedHeight(static_cast<int>(std::ceil(size.height())) + edge);
                     });
}

} // namespace yes_square::app
