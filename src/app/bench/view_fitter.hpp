#pragma once

#include <QAbstractItemView>
#include <QEvent>
#include <QTimer>

namespace yes_square::app {

/// Fits a list or a table to what it holds whenever that or its width changes, once all that changed has changed. A
/// child of the view.
class ViewFitter : public QObject {
public:
    explicit ViewFitter(QAbstractItemView& view)
        : QObject{&view} {
        // A view tells of its own size and of being shown; its viewport of the room that is left in it.
        view.installEventFilter(this);
        view.viewport()->installEventFilter(this);
        soon_.setSingleShot(true);
        connect(&soon_, &QTimer::timeout, this, [this] { fit(); });
        const QAbstractItemModel* model = view.model();
        for (const auto change : {&QAbstractItemModel::rowsInserted, &QAbstractItemModel::rowsRemoved})
            connect(model, change, this, [this] { later(); });
        connect(model, &QAbstractItemModel::modelReset, this, [this] { later(); });
        connect(model, &QAbstractItemModel::dataChanged, this, [this] { later(); });
    }
    bool eventFilter(QObject*, QEvent* event) override {
        if (event->type() == QEvent::Resize || event->type() == QEvent::Show)
            later();
        return false;
    }

protected:
    virtual void fit() = 0;
    void later() { soon_.start(0); }

private:
    QTimer soon_;
};

} // namespace yes_square::app
