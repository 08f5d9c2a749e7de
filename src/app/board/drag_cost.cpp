// What the place under the pointer costs, in words, while something is dragged.
#include "app/board/board_view.hpp"

#include <algorithm>

namespace yes_square::app {

QString BoardView::cost_of_drag() const {
    const auto shown = [&](Length length) { return text(format(length, bench_.voice())); };
    if (grip_ == Grip::line) {
        if (const RoomSurvey* room = bench_.room_plan())
            for (const LinePlan& line : room->lines.lines)
                if (line.id == grabbed_line_)
                    return tr("%1 at %2").arg(text(line.name), shown(line.z));
        return {};
    }
    if (grip_ == Grip::thing)
        return cost_of_thing();
    const RunPlan* plan = bench_.run_plan();
    if (!plan || plan->units.empty())
        return {};
    QString words =
        lifted_ ? tr("Lifted out: put it back where it is wanted") : end_at(plan->layout.left(), plan->layout.right());
    QStringList lost;
    for (const std::size_t unit : plan->slide.lost)
        lost << text(plan->units[unit].name);
    if (plan->slide.needed)
        words += lost.isEmpty() ? tr(" · every unit in proved studs")
                                : tr(" · misses studs: %1").arg(lost.join(QStringLiteral(", ")));
    if (plan->layout.to && plan->layout.right() > *plan->layout.to)
        words += tr(" · %1 too far").arg(shown(plan->layout.right() - *plan->layout.to));
    return words;
}

/// Of what is dragged, the end that the tape reaches first.
QString BoardView::end_at(Length left, Length right) const {
    const Tape tape = bench_.tape_in_hand();
    return (tape.from_right() ? tr("Right end at %1") : tr("Left end at %1"))
        .arg(bench_.along(tape, tape.near(left, right)));
}

QString BoardView::cost_of_thing() const {
    if (const StorageSystem* system = bench_.selected<StorageSystem>()) {
        QStringList lost;
        for (const std::size_t bay : bench_.selected_plan<StorageSystem>()->slide.lost)
            lost << QString::number(bay + 1);
        return end_at(system->left, system->right()) +
               (lost.isEmpty() ? tr(" · every bay has its studs")
                               : tr(" · misses studs: bay %1").arg(lost.join(QStringLiteral(", "))));
    }
    if (const Piece* piece = bench_.selected<Piece>())
        return end_at(piece->left, piece->right()) +
               tr(" · proved studs behind it: %1").arg(bench_.selected_plan<Piece>()->holes.size());
    if (const WallBox* box = bench_.selected<WallBox>())
        return end_at(box->left, box->right()) + tr(" · top at %1").arg(text(format(box->top, bench_.voice())));
    if (const HungCabinet* hung = bench_.selected<HungCabinet>())
        return end_at(hung->left, hung->right()) + tr(" · top at %1").arg(text(format(hung->top, bench_.voice())));
    QString of_listed;
    for_each_kind(ListedKinds{}, [&]<class Kind>() {
        if (const Kind* thing = bench_.selected<Kind>())
            of_listed = end_at(thing->left, thing->right()) +
                        tr(" · top at %1").arg(text(format(thing->top, bench_.voice()))) +
                        tr(" · fixings: %1").arg(bench_.selected_plan<Kind>()->holes.size());
    });
    return of_listed;
}

} // namespace yes_square::app
