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
    subject_.clear();
    put(std::move(job));
    if (const Wall* first = wall(); first && !first->shelves.empty())
        select_shelf(first->shelves.front().id);
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
    keep_selection();
    emit changed();
}

void Workbench::keep_selection() {
    if (!job_.walls.empty())
        wall_ = std::min(wall_, job_.walls.size() - 1);
    const Wall* here = wall();
    if (!here || std::ranges::find(here->shelves, shelf_, &Shelf::id) == here->shelves.end())
        shelf_ = here && !here->shelves.empty() ? here->shelves.front().id : std::string{};
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

void Workbench::select_wall(std::size_t index) {
    if (index >= job_.walls.size() || index == wall_)
        return;
    wall_ = index;
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
    subject_.clear();
    emit selection_changed();
}

void Workbench::ask(const std::string& subject) {
    subject_ = subject;
    emit subject_changed();
}

} // namespace yes_square::app
