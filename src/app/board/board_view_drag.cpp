#include "app/board/board_view.hpp"

#include "app/board/painter.hpp"
#include "app/board/picking.hpp"
#include "core/runs/slide.hpp"
#include "core/runs/unit_library.hpp"

#include <QMouseEvent>
#include <algorithm>

/// What is pulled over the wall: shelves by their ends, runs along their line, units out of them, lines up and down.
namespace yes_square::app {
namespace {

using Part = Reference::Part;

} // namespace

void BoardView::grip_at(const Reference& reference, bool on_wall) {
    const Shelf* shelf = bench_.shelf();
    if (reference.part == Part::shelf && shelf && shelf->id == reference.item && !reference.x && !reference.z &&
        on_wall) {
        grabbed_ = *shelf;
        const double left = place(shelf->left, {}).x();
        const double right = place(shelf->right(), {}).x();
        grip_ = pressed_.x() - left < end_grip_px    ? Grip::left_end
                : right - pressed_.x() < end_grip_px ? Grip::right_end
                                                     : Grip::whole;
    }
    // A bracket by its leg or by one of its holes, where it is the search that places it; a hanger by its rod.
    if (const bool by_hole = reference.part == Part::hole; by_hole || reference.part == Part::bracket) {
        const std::size_t number = by_hole ? reference.index / 100 : reference.index;
        const ShelfPlan* plan = bench_.shelf_plan();
        if (shelf && shelf->id == reference.item && !survey_ && !line_names_ && plan->bracket &&
            number < plan->brackets.size() && !plan->brackets[number].other) {
            grabbed_ = *shelf;
            grabbed_place_ = plan->brackets[number].x - shelf->left;
            grip_ = Grip::bracket;
        }
    }
    // A screw of a unit, or of its run's rail.
    if (reference.part == Part::unit_hole && bench_.run() && reference.x && !line_names_ && !survey_)
        if (const auto screw = pinnable_screw(*bench_.run(), *bench_.run_plan(), reference.item, *reference.x)) {
            grabbed_screw_ = *screw;
            grip_ = Grip::screw;
        }
    if (reference.part == Part::unit && bench_.run() && !reference.x && !line_names_ && !survey_) {
        grabbed_run_ = *bench_.run();
        grabbed_layout_ = bench_.run_plan()->layout;
        grabbed_unit_ = reference.item;
        lifted_ = false;
        grip_ = Grip::run;
    }
    const bool of_thing = reference.part == Part::thing || reference.part == Part::bay;
    if (of_thing && !reference.x && !reference.z && !line_names_ && !survey_) {
        grabbed_thing_ = bench_.thing();
        grip_ = Grip::thing;
    }
    if (reference.part == Part::line && line_names_ && bench_.room_plan()) {
        grabbed_line_ = reference.item;
        line_from_ = bench_.room_plan()->lines.height_of(reference.item);
        grip_ = Grip::line;
    }
}

void BoardView::drag_to(QPointF at) {
    if (grip_ == Grip::pan) {
        pan_ = pan_before_ + (at - pressed_) / pixels_per_mm;
        redraw();
        return;
    }
    if (grip_ == Grip::tape) {
        tape_.pull_to(elevation().scale.wall_x(at.x() / pixels_per_mm),
                      elevation().scale.wall_z(at.y() / pixels_per_mm), tape_reach());
        return update();
    }
    // Whole display steps, so that a dragged shelf stands at a figure one can say.
    const Length step = display_step(bench_.job().unit);
    const auto whole = [&](double pixels) {
        const double metres = pixels / pixels_per_mm / elevation().scale.per_metre;
        return step * Length::nearest_to_metres(metres).in_steps_of(step);
    };
    const Length dx = whole(at.x() - pressed_.x());
    const Length dz = whole(pressed_.y() - at.y());
    if (grip_ == Grip::run)
        return drag_run(dx, dz, at);
    if (grip_ == Grip::thing) {
        bench_.preview([&](Job& job) { job = apply(MoveThing{grabbed_thing_, dx, dz}, std::move(job)); });
        return;
    }
    if (grip_ == Grip::line) {
        const std::string room = bench_.room()->id;
        bench_.preview([&](Job& job) { job = apply(SetLine{room, grabbed_line_, line_from_ + dz}, std::move(job)); });
        return;
    }
    if (grip_ == Grip::bracket)
        return drag_bracket(dx);
    if (grip_ == Grip::screw)
        return drag_screw(dx);
    drag_shelf(dx, dz);
}

/// Where it is let go it stays: the others are placed round it.
void BoardView::drag_bracket(Length dx) {
    const Length to = std::clamp(grabbed_place_ + dx, 1_mm, grabbed_.length - 1_mm);
    bench_.preview([&](Job& job) { job = apply(PinPlace{grabbed_.id, grabbed_place_, to}, std::move(job)); });
}

void BoardView::drag_screw(Length dx) {
    const PinnableScrew& screw = grabbed_screw_;
    const Length to = std::clamp(screw.at + dx, 1_mm, screw.most - 1_mm);
    bench_.preview([&](Job& job) { job = apply(PinScrew{screw.id, screw.at, to}, std::move(job)); });
}

void BoardView::drag_shelf(Length dx, Length dz) {
    constexpr Length shortest = 100_mm;
    bench_.preview([&](Job& job) {
        Shelf* shelf = find_shelf(job, grabbed_.id);
        if (!shelf)
            return;
        if (grip_ == Grip::whole) {
            shelf->left = grabbed_.left + dx;
            shelf->height = grabbed_.height + dz;
        } else if (grip_ == Grip::left_end) {
            const Length by = std::min(dx, grabbed_.length - shortest);
            job = apply(ResizeShelf{grabbed_.id, grabbed_.left + by, grabbed_.length - by}, std::move(job));
        } else {
            shelf->length = std::max(shortest, grabbed_.length + dx);
        }
    });
}

/// Pushed along its line the whole run slides; pulled clear of it, a unit is lifted out and put back where the pointer
/// is.
void BoardView::drag_run(Length dx, Length dz, QPointF at) {
    const auto unit = std::ranges::find(grabbed_run_.units, grabbed_unit_, &CabinetUnit::id);
    if (unit == grabbed_run_.units.end())
        return;
    lifted_ = absolute(dz) > unit->height / 3;
    const Length pointer = elevation().scale.wall_x(at.x() / pixels_per_mm);
    bench_.preview([&](Job& job) {
        if (!lifted_) {
            job = apply(push_run(grabbed_run_, grabbed_layout_, dx), std::move(job));
            return;
        }
        std::size_t to = 0;
        for (std::size_t i = 0; i < grabbed_run_.units.size(); ++i) {
            const PlacedUnit& place = grabbed_layout_.units[i];
            to += grabbed_run_.units[i].id != grabbed_unit_ && pointer > place.left + place.width / 2;
        }
        job = apply(ReorderUnit{grabbed_unit_, to}, std::move(job));
    });
}

void BoardView::carry(const std::vector<CabinetUnit>& units, QPoint screen) {
    const QPointF at = mapFromGlobal(screen);
    if (!bench_.wall() || units.empty() || !rect().contains(at.toPoint())) {
        bench_.withdraw();
        return;
    }
    const Length x = elevation().scale.wall_x(at.x() / pixels_per_mm);
    const std::string run = bench_.run() ? bench_.run()->id : std::string{};
    bench_.preview([&](Job& job) { put_units(job, bench_.wall_index(), units, run, x); });
}

void BoardView::drop(const std::vector<CabinetUnit>& units, QPoint screen) {
    if (!bench_.wall() || units.empty() || !rect().contains(mapFromGlobal(screen))) {
        bench_.withdraw();
        return;
    }
    bench_.withdraw();
    const Length x = elevation().scale.wall_x(mapFromGlobal(screen).x() / pixels_per_mm);
    const std::string run = bench_.run() ? bench_.run()->id : std::string{};
    std::string id;
    bench_.edit(units.size() == 1 ? tr("Add unit") : tr("Add units"),
                [&](Job& job) { id = put_units(job, bench_.wall_index(), units, run, x); });
    bench_.select(id);
}

void BoardView::mouseReleaseEvent(QMouseEvent*) {
    if (dragging_ && grip_ != Grip::pan && grip_ != Grip::tape)
        bench_.settle(grip_ == Grip::whole     ? tr("Move shelf")
                      : grip_ == Grip::run     ? (lifted_ ? tr("Reorder units") : tr("Slide run"))
                      : grip_ == Grip::thing   ? tr("Move it")
                      : grip_ == Grip::line    ? tr("Pull line")
                      : grip_ == Grip::bracket ? tr("Pin a bracket")
                      : grip_ == Grip::screw   ? tr("Pin a screw")
                                               : tr("Resize shelf"));
    grip_ = Grip::none;
    dragging_ = false;
}

} // namespace yes_square::app
