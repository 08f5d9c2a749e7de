#pragma once

#include "app/notes/scrap_panel.hpp"

#include <QFrame>
#include <QLabel>
#include <QToolButton>
#include <functional>
#include <optional>

class QPrinter;

namespace yes_square::app {

/// A chit of board with one sum on it, lying on the wall beside its figure: moved by its upper edge, put away with
/// Escape.
class Chit : public QFrame {
    Q_OBJECT
public:
    /// @param sum  what stands on it; taken over
    Chit(Document* sum, QWidget* wall);

    Document& sum() { return *sum_; }
    /// As high as its sum, beside a place on the wall and inside it.
    void lie_beside(QPoint place);
    /// Grows or shrinks with its sum, where it lies.
    void fit();
    QToolButton* add_tool(const QString& sign, const QString& what, const char* name);

signals:
    void put_away();
    void walked(int by); ///< the sum before or after this one is wanted

protected:
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    Document* sum_;
    QLayout* tools_;
    QPoint grabbed_;
};

/// The sums on the wall: one that follows what is asked for, and those that were pinned.
class Chits : public QObject {
    Q_OBJECT
public:
    /// @param asked_at  where on the wall the figure stands that was just asked for; none: not there
    Chits(Workbench& bench, QWidget& wall, std::function<std::optional<QPoint>()> asked_at);

    void show();
    void put_away();
    void pin();
    /// To the sum before or after this one of the same thing.
    void walk(int by);

signals:
    void print_wanted(QTextDocument* sum);

private:
    void follow();

    Workbench& bench_;
    QWidget& wall_;
    std::function<std::optional<QPoint>()> asked_at_;
    ScrapPanel* sum_;
    Chit* chit_;
};

} // namespace yes_square::app
