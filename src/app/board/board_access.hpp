#pragma once

#include "app/board/board_view.hpp"

#include <QAccessibleWidget>
#include <map>

namespace yes_square::app {

/// The board to those who hear it: the wall, each thing on it, and of each thing its marks and figures, with what they
/// are called, what they come to, and what a press does.
class BoardAccess : public QAccessibleWidget {
public:
    explicit BoardAccess(BoardView& board);
    ~BoardAccess() override;

    int childCount() const override;
    QAccessibleInterface* child(int index) const override;
    int indexOfChild(const QAccessibleInterface* child) const override;
    QAccessibleInterface* childAt(int x, int y) const override;
    QAccessibleInterface* focusChild() const override;
    QString text(QAccessible::Text kind) const override;

    enum class Kind { thing, mark, figure };
    /// What one node stands for.
    struct Node {
        Kind kind = Kind::thing;
        std::string thing;
        std::size_t index = 0; ///< of a mark or a figure among the thing's
        auto operator<=>(const Node&) const = default;
    };
    QAccessibleInterface* node(const Node& of) const;

private:
    BoardView& board_;
    mutable std::map<Node, QAccessible::Id> nodes_;
};

/// From now on boards tell what is on them.
void let_boards_be_heard();

} // namespace yes_square::app
