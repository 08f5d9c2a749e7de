#include "app/shell/wall_key.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/board/drawing_view.hpp"
#include "core/sheets/room_drawing.hpp"

#include <QFrame>
#include <QScreen>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int plan_width = 420;
constexpr int plan_height = 230;

} // namespace

WallKey::WallKey(const Workbench& bench, QWidget* parent)
    : QComboBox{parent}
    , bench_{bench} {}

void WallKey::showPopup() {
    auto* popup = new QFrame{this, Qt::Popup};
    popup->setObjectName(QStringLiteral("wall-key"));
    popup->setAttribute(Qt::WA_DeleteOnClose);
    popup->setFrameShape(QFrame::Box);
    auto* inside = new QWidget;
    auto* column = new QVBoxLayout{inside};
    std::vector<std::size_t> rooms(bench_.job().rooms.size());
    for (std::size_t i = 0; i < rooms.size(); ++i)
        rooms[i] = i;
    const std::string here = bench_.wall() ? bench_.wall()->room : std::string{};
    std::ranges::stable_partition(rooms, [&](std::size_t room) { return bench_.job().rooms[room].id == here; });
    for (const std::size_t room : rooms) {
        if (bench_.plan().rooms[room].plan.walls.empty())
            continue;
        column->addWidget(heading_label(text(bench_.job().rooms[room].name)));
        column->addWidget(plan_of(room, popup));
    }
    auto* whole = new QVBoxLayout{popup};
    whole->setContentsMargins(2, 2, 2, 2);
    QScrollArea* area = scrolled(inside);
    whole->addWidget(area);
    const int high = inside->sizeHint().height() + 12;
    popup->resize(plan_width + 60, std::min(high, screen()->availableGeometry().height() * 3 / 4));
    popup->move(mapToGlobal(QPoint{0, height()}));
    popup->show();
}

QWidget* WallKey::plan_of(std::size_t room, QWidget* popup) {
    auto* plan = new DrawingView{[this, room](double width, double height, double size) {
        const std::string here = bench_.wall() ? bench_.wall()->id : std::string{};
        return draw_room(bench_.job(), bench_.plan(), bench_.plan().rooms[room], {width, height, 0.85 * size, here},
                         bench_.voice());
    }};
    plan->setMinimumSize(plan_width, plan_height);
    plan->setAccessibleName(tr("%1 from above").arg(text(bench_.job().rooms[room].name)));
    connect(plan, &DrawingView::picked, this, [this, popup](const Reference& reference) {
        popup->close();
        emit activated(static_cast<int>(reference.index));
    });
    return plan;
}

} // namespace yes_square::app
