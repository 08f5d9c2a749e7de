#include "app/shell/workbench.hpp"

#include <QUndoCommand>
#include <algorithm>

namespace yes_square::app {

/// An edit as the job before it and after it.
class JobCommand : public QUndoCommand {
public:
    JobCommand(Workbench& bench, const QString& what, Job before, Job after)
        : QUndoCommand{what}
        , bench_{bench}
        , before_{std::move(before)}
        , after_{std::move(after)} {}
    void undo() override { bench_.put(before_); }
    void redo() override { bench_.put(after_); }

private:
    Workbench& bench_;
    Job before_;
    Job after_;
};

Workbench::Workbench(QObject* parent)
    : QObject{parent} {
    start(new_job());
}

void Workbench::start(Job job) {
    undo_.clear();
    before_preview_.reset();
    wall_ = 0;
    shelf_.clear();
    run_.clear();
    unit_.clear();
    subject_.clear();
    put(std::move(job));
}

void Workbench::edit(const QString& what, const std::function<void(Job&)>& change) {
    withdraw();
    Job after = job_;
    change(after);
    if (after != job_)
        undo_.push(new JobCommand{*this, what, job_, std::move(after)});
}

void Workbench::apply(const QString& what, const Edit& edit_to_make) {
    edit(what, [&](Job& job) { job = yes_square::apply(edit_to_make, std::move(job)); });
}

void Workbench::preview(const std::function<void(Job&)>& change) {
    if (!before_preview_)
        before_preview_ = job_;
    Job next = *before_preview_;
    change(next);
    if (next != job_)
        put(std::move(next));
}

void Workbench::settle(const QString& what) {
    if (!before_preview_)
        return;
    Job before = std::move(*before_preview_);
    before_preview_.reset();
    if (before != job_)
        undo_.push(new JobCommand{*this, what, std::move(before), job_});
}

void Workbench::withdraw() {
    if (!before_preview_)
        return;
    Job before = std::move(*before_preview_);
    before_preview_.reset();
    put(std::move(before));
}

void Workbench::put(Job job) {
    job_ = std::move(job);
    plan_ = &reckoner_.reckon(job_);
    study_.reset();
    keep_selection();
    emit changed();
}

void Workbench::keep_selection() {
    if (!job_.walls.empty())
        wall_ = std::min(wall_, job_.walls.size() - 1);
    const Wall* here = wall();
    const auto on_wall = [&](const std::string& id, auto member) {
        return here &&
               std::ranges::find(here->*member, id, [](const auto& part) { return part.id; }) != (here->*member).end();
    };
    if (!on_wall(shelf_, &Wall::shelves))
        shelf_.clear();
    if (!on_wall(run_, &Wall::runs))
        run_.clear();
    if (here && shelf_.empty() && run_.empty()) {
        if (!here->shelves.empty())
            shelf_ = here->shelves.front().id;
        else if (!here->runs.empty())
            run_ = here->runs.front().id;
    }
    const Run* of = run();
    if (!of || std::ranges::find(of->units, unit_, &CabinetUnit::id) == of->units.end())
        unit_ = of && !of->units.empty() ? of->units.front().id : std::string{};
}

const Wall* Workbench::wall() const {
    return wall_ < job_.walls.size() ? &job_.walls[wall_] : nullptr;
}

const WallPlan* Workbench::wall_plan() const {
    return wall_ < plan_->walls.size() ? plan_->walls[wall_].get() : nullptr;
}

const Shelf* Workbench::shelf() const {
    return find_shelf(job_, shelf_);
}

const ShelfPlan* Workbench::shelf_plan() const {
    const WallPlan* here = wall_plan();
    if (!here)
        return nullptr;
    const auto found = std::ranges::find(here->shelves, shelf_, &ShelfPlan::shelf_id);
    return found == here->shelves.end() ? nullptr : &*found;
}

const ShelfStudy* Workbench::shelf_study() const {
    if (!study_ || studied_ != shelf_) {
        study_ = study(job_, *plan_, shelf_);
        studied_ = shelf_;
    }
    return study_ ? &*study_ : nullptr;
}

void Workbench::select_wall(std::size_t index) {
    if (index >= job_.walls.size() || index == wall_)
        return;
    wall_ = index;
    shelf_.clear();
    run_.clear();
    unit_.clear();
    subject_.clear();
    keep_selection();
    emit selection_changed();
}

void Workbench::select_shelf(const std::string& id) {
    const Wall* holder = wall_of(job_, id);
    if (!holder || (id == shelf_ && holder == wall()))
        return;
    wall_ = static_cast<std::size_t>(holder - job_.walls.data());
    shelf_ = id;
    run_.clear();
    unit_.clear();
    subject_.clear();
    emit selection_changed();
}

const Run* Workbench::run() const {
    const Wall* here = wall();
    if (!here)
        return nullptr;
    const auto found = std::ranges::find(here->runs, run_, &Run::id);
    return found == here->runs.end() ? nullptr : &*found;
}

const RunPlan* Workbench::run_plan() const {
    const Run* selected = run();
    return selected ? &wall_plan()->runs[static_cast<std::size_t>(selected - wall()->runs.data())] : nullptr;
}

const CabinetUnit* Workbench::unit() const {
    const Run* selected = run();
    if (!selected)
        return nullptr;
    const auto found = std::ranges::find(selected->units, unit_, &CabinetUnit::id);
    return found == selected->units.end() ? nullptr : &*found;
}

const UnitPlan* Workbench::unit_plan() const {
    const CabinetUnit* selected = unit();
    return selected ? &run_plan()->units[static_cast<std::size_t>(selected - run()->units.data())] : nullptr;
}

const Room* Workbench::room() const {
    return wall() ? room_of(job_, *wall()) : nullptr;
}

const RoomSurvey* Workbench::room_plan() const {
    const Room* here = room();
    return here ? &plan_->rooms[static_cast<std::size_t>(here - job_.rooms.data())] : nullptr;
}

void Workbench::select_unit(const std::string& id) {
    const UnitInRun found = find_unit(job_, id);
    if (!found.run || id == unit_)
        return;
    select_in_run(*found.run, id);
}

void Workbench::select_run(const std::string& id) {
    const RunOnWall found = find_run(job_, id);
    if (!found.run || (id == run_ && found.wall == wall()))
        return;
    select_in_run(*found.run, found.run->units.empty() ? std::string{} : found.run->units.front().id);
}

void Workbench::select_in_run(const Run& run, const std::string& unit) {
    const RunOnWall holder = find_run(job_, run.id);
    wall_ = static_cast<std::size_t>(holder.wall - job_.walls.data());
    run_ = run.id;
    unit_ = unit;
    shelf_.clear();
    subject_.clear();
    emit selection_changed();
}

void Workbench::ask(const std::string& subject) {
    subject_ = subject;
    emit subject_changed();
}

} // namespace yes_square::app
