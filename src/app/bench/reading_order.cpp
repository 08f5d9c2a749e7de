#include "app/bench/reading_order.hpp"

#include <QEvent>
#include <QWidget>
#include <algorithm>

namespace yes_square::app {
namespace {

struct Stop {
    QWidget* widget;
    QRect box; ///< in the page
};

/// What stands beside the first of a row is in its row.
std::vector<Stop> as_one_reads(std::vector<Stop> stops) {
    std::ranges::stable_sort(stops, {}, [](const Stop& stop) { return stop.box.top(); });
    for (auto row = stops.begin(); row != stops.end();) {
        const auto next =
            std::find_if(row, stops.end(), [&](const Stop& stop) { return stop.box.top() > row->box.center().y(); });
        std::stable_sort(row, next, [](const Stop& a, const Stop& b) { return a.box.left() < b.box.left(); });
        row = next;
    }
    return stops;
}

} // namespace

ReadingOrder::ReadingOrder(QWidget& page)
    : QObject{&page}
    , page_{page} {
    later_.setSingleShot(true);
    later_.setInterval(0); // when the page is laid out
    connect(&later_, &QTimer::timeout, this, [this] { put_in_order(); });
    page.installEventFilter(this);
}

bool ReadingOrder::eventFilter(QObject*, QEvent* event) {
    if (event->type() == QEvent::LayoutRequest || event->type() == QEvent::Show || event->type() == QEvent::Resize)
        later_.start();
    return false;
}

void ReadingOrder::put_in_order() {
    std::vector<Stop> stops;
    for (QWidget* widget : page_.findChildren<QWidget*>())
        if ((widget->focusPolicy() & Qt::TabFocus) && !widget->focusProxy() && widget->isVisibleTo(&page_))
            stops.push_back({widget, {widget->mapTo(&page_, QPoint{}), widget->size()}});
    stops = as_one_reads(std::move(stops));
    if (std::ranges::equal(stops, order_, {}, &Stop::widget, &QPointer<QWidget>::data))
        return;
    order_.clear();
    for (const Stop& stop : stops) {
        if (!order_.empty())
            QWidget::setTabOrder(order_.back(), stop.widget);
        order_.emplace_back(stop.widget);
    }
}

} // namespace yes_square::app
