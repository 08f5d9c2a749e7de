#include "app/board/board_access.hpp"

#include "core/sheets/summary.hpp"

#include <QPointer>
#include <QWindow>

namespace yes_square::app {
namespace {

using Kind = BoardAccess::Kind;
using Node = BoardAccess::Node;

constexpr int mark_px = 8;

std::vector<const ThingPlan*> things_of(const WallPlan* wall) {
    std::vector<const ThingPlan*> things;
    if (wall)
        for_each_thing(*wall, [&](const ThingPlan& thing) { things.push_back(&thing); });
    return things;
}

QString words_of(Holds holds) {
    return holds == Holds::yes       ? BoardView::tr("it holds")
           : holds == Holds::light   ? BoardView::tr("it holds light use")
           : holds == Holds::unknown ? BoardView::tr("not known whether it holds")
                                     : BoardView::tr("it does not hold");
}

class PartAccess final : public QAccessibleInterface, public QAccessibleActionInterface {
public:
    PartAccess(BoardView& board, const BoardAccess& tree, Node node)
        : board_{&board}
        , tree_{tree}
        , node_{std::move(node)} {}

    const Node& of() const { return node_; }

    bool isValid() const override { return board_ && thing() && (node_.kind == Kind::thing || node_.index < count()); }
    QObject* object() const override { return nullptr; }
    QWindow* window() const override { return board_ ? board_->window()->windowHandle() : nullptr; }
    QAccessibleInterface* parent() const override {
        return node_.kind == Kind::thing ? QAccessible::queryAccessibleInterface(board_)
                                         : tree_.node({Kind::thing, node_.thing, 0});
    }
    int childCount() const override {
        const ThingPlan* plan = thing();
        return node_.kind == Kind::thing && plan ? static_cast<int>(plan->holes.size() + plan->workings.size()) : 0;
    }
    /// Marks first, then figures.
    QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount())
            return nullptr;
        const auto at = static_cast<std::size_t>(index);
        const std::size_t marks = thing()->holes.size();
        return tree_.node(at < marks ? Node{Kind::mark, node_.thing, at} : Node{Kind::figure, node_.thing, at - marks});
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        for (int i = 0; i < childCount(); ++i)
            if (this->child(i) == child)
                return i;
        return -1;
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        for (int i = 0; i < childCount(); ++i)
            if (QAccessibleInterface* each = child(i);
                each->role() == QAccessible::ListItem && each->rect().contains(x, y))
                return each;
        return nullptr;
    }

    QString text(QAccessible::Text kind) const override {
        if (!isValid())
            return {};
        if (kind == QAccessible::Name)
            return name();
        return kind == QAccessible::Value ? value() : QString{};
    }
    void setText(QAccessible::Text, const QString&) override {}

    QRect rect() const override {
        if (!isValid())
            return {};
        QRectF on_board = board_->rect();
        if (node_.kind == Kind::mark) {
            const PlannedHole& hole = thing()->holes[node_.index];
            on_board = QRectF{board_->place(hole.x, hole.z), QSizeF{}}.adjusted(-mark_px, -mark_px, mark_px, mark_px);
        } else if (const auto room = whole_room(*board_->bench().wall_plan(), node_.thing)) {
            on_board = QRectF{board_->place(room->left, room->top), board_->place(room->right, room->bottom)};
        }
        return {board_->mapToGlobal(on_board.topLeft().toPoint()), on_board.size().toSize()};
    }
    QAccessible::Role role() const override {
        return node_.kind == Kind::thing  ? QAccessible::TreeItem
               : node_.kind == Kind::mark ? QAccessible::ListItem
                                          : QAccessible::StaticText;
    }
    QAccessible::State state() const override {
        QAccessible::State state;
        state.invalid = !isValid();
        state.selectable = state.focusable = node_.kind == Kind::thing;
        state.selected = node_.kind == Kind::thing && isValid() && board_->bench().is_selected(node_.thing);
        state.focused = state.selected && board_->hasFocus();
        return state;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ActionInterface ? static_cast<QAccessibleActionInterface*>(this) : nullptr;
    }

    QStringList actionNames() const override { return {pressAction(), showMenuAction()}; }
    QStringList keyBindingsForAction(const QString&) const override { return {}; }
    void doAction(const QString& action) override {
        if (!isValid())
            return;
        Workbench& bench = board_->bench();
        bench.select(node_.thing);
        if (action == showMenuAction()) {
            emit board_->menu_wanted({Reference::Part::thing, node_.thing, 0, {}, {}}, rect().center());
        } else if (node_.kind == Kind::mark) {
            const PlannedHole* hole = &thing()->holes[node_.index];
            const auto holes = bench.holes();
            if (const auto at = std::ranges::find(holes, hole); at != holes.end())
                bench.take_hole(static_cast<std::size_t>(at - holes.begin()));
            bench.point_out(bench.wall_index(), {hole->x, hole->x, hole->z, hole->z});
        } else if (node_.kind == Kind::figure) {
            bench.ask(thing()->workings[node_.index].subject);
        }
    }

private:
    const ThingPlan* thing() const {
        for (const ThingPlan* plan : things_of(board_ ? board_->bench().wall_plan() : nullptr))
            if (plan->id == node_.thing)
                return plan;
        return nullptr;
    }
    std::size_t count() const { return node_.kind == Kind::mark ? thing()->holes.size() : thing()->workings.size(); }
    const Tape& tape() const { return thing()->tape; }
    QString said(const auto& what) const { return app::text(say(what, board_->bench().voice())); }

    QString name() const {
        return node_.kind == Kind::thing  ? app::text(thing()->name)
               : node_.kind == Kind::mark ? said(thing()->holes[node_.index].what)
                                          : said(thing()->workings[node_.index].title);
    }
    QString value() const {
        if (node_.kind == Kind::figure) {
            const Working& sum = thing()->workings[node_.index];
            const std::string whole = sum_text(sum, board_->bench().voice());
            return whole.empty() ? said(sum.result) : app::text(whole);
        }
        if (node_.kind == Kind::mark) {
            const PlannedHole& hole = thing()->holes[node_.index];
            return (tape().from_right() ? BoardView::tr("%1 from the right end, %2 up, in %3")
                                        : BoardView::tr("%1 from the left end, %2 up, in %3"))
                .arg(said(quantity(tape().reads(hole.x))), said(quantity(hole.z)), said(words(hole.substrate)));
        }
        const auto room = whole_room(*board_->bench().wall_plan(), node_.thing);
        const QString held = words_of(holds(*thing()));
        return room
                   ? BoardView::tr("from %1 to %2, top %3 up, %4")
                         .arg(said(along(tape(), tape().near(room->left, room->right))),
                              said(along(tape(), tape().far(room->left, room->right))), said(quantity(room->top)), held)
                   : held;
    }

    QPointer<BoardView> board_;
    const BoardAccess& tree_;
    Node node_;
};

} // namespace

BoardAccess::BoardAccess(BoardView& board)
    : QAccessibleWidget{&board, QAccessible::Tree}
    , board_{board} {}

BoardAccess::~BoardAccess() {
    for (const auto& [node, id] : nodes_)
        QAccessible::deleteAccessibleInterface(id);
}

int BoardAccess::childCount() const {
    return static_cast<int>(things_of(board_.bench().wall_plan()).size());
}

QAccessibleInterface* BoardAccess::child(int index) const {
    const auto things = things_of(board_.bench().wall_plan());
    return index >= 0 && static_cast<std::size_t>(index) < things.size()
               ? node({Kind::thing, things[static_cast<std::size_t>(index)]->id, 0})
               : nullptr;
}

int BoardAccess::indexOfChild(const QAccessibleInterface* wanted) const {
    for (int i = 0; i < childCount(); ++i)
        if (child(i) == wanted)
            return i;
    return -1;
}

QAccessibleInterface* BoardAccess::childAt(int x, int y) const {
    for (int i = childCount(); i-- > 0;)
        if (QAccessibleInterface* each = child(i); each->rect().contains(x, y)) {
            QAccessibleInterface* mark = each->childAt(x, y);
            return mark ? mark : each;
        }
    return nullptr;
}

QAccessibleInterface* BoardAccess::focusChild() const {
    const auto ids = board_.bench().selected_ids();
    return ids.empty() || !board_.hasFocus() ? nullptr : node({Kind::thing, ids.front(), 0});
}

QString BoardAccess::text(QAccessible::Text kind) const {
    const Wall* wall = board_.bench().wall();
    if (kind == QAccessible::Value && wall)
        return BoardView::tr("%1, %2 long, %3 high")
            .arg(app::text(wall->name), app::text(format(wall->length, board_.bench().voice())),
                 app::text(format(wall->height, board_.bench().voice())));
    return QAccessibleWidget::text(kind);
}

QAccessibleInterface* BoardAccess::node(const Node& of) const {
    if (const auto known = nodes_.find(of); known != nodes_.end())
        return QAccessible::accessibleInterface(known->second);
    auto* made = new PartAccess{board_, *this, of};
    nodes_[of] = QAccessible::registerAccessibleInterface(made);
    return made;
}

void let_boards_be_heard() {
    QAccessible::installFactory([](const QString&, QObject* object) -> QAccessibleInterface* {
        auto* board = qobject_cast<BoardView*>(object);
        return board ? new BoardAccess{*board} : nullptr;
    });
}

} // namespace yes_square::app
