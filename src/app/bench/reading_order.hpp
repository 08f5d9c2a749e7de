#pragma once

#include <QObject>
#include <QPointer>
#include <QTimer>
#include <vector>

class QWidget;

namespace yes_square::app {

/// Keeps Tab going as one reads, down a page and along each row of it, whatever is shown and hidden on it and in
/// whatever order it was made. Lives as long as the page.
class ReadingOrder : public QObject {
public:
    explicit ReadingOrder(QWidget& page);

    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void put_in_order();

    QWidget& page_;
    QTimer later_;
    std::vector<QPointer<QWidget>> order_;
};

} // namespace yes_square::app
