#include "app/bench/workbench.hpp"

#include "core/job/job_problem.hpp"
#include "core/sheets/hole_section.hpp"
#include "core/site/guarded.hpp"

#include <QUndoCommand>
#include <algorithm>
#include <utility>

namespace yes_square::app {

/// An edit as the job before it and after it.
class JobCommand : public QUndoCommand {
public:
    JobCommand(Workbench& bench, const QString& what, std::shared_ptr<const JobSnapshot> before, const Job& after)
        : QUndoCommand{what}
        , bench_{bench}
        , before_{std::move(before)}
        , after_{std::make_shared<const JobSnapshot>(after, *before_)} {}
    void undo() override { show(before_); }
    void redo() override { show(after_); }

private:
    void show(const std::shared_ptr<const JobSnapshot>& snapshot) {
        bench_.settled_ = snapshot;
        bench_.put(snapshot->job());
    }

    Workbench& bench_;
    std::shared_ptr<const JobSnapshot> before_;
    std::shared_ptr<const JobSnapshot> after_;
};

namespace {

/// Edits that can be taken back: each keeps what it changed.
constexpr int most_undone = 400;

/// What an edit makes of a job that no file could keep. What is wrong already bars no edit: it may be the one that puts
/// it right.
std::optional<FileProblem> breaks(const Job& before, const Job& after) {
    auto problem = job_problem(after, before);
    return problem && !job_problem(before) ? problem : std::nullopt;
}

} // namespace

Workbench::Workbench(QObject* parent)
    : QObject{parent} {
    undo_.setUndoLimit(most_undone);
    start(new_job());
}

void Workbench::start(Job job) {
    undo_.clear();
    before_preview_.reset();
    wall_ = 0;
    item_.clear();
    part_.clear();
    also_.clear();
    hole_.reset();
    subject_.clear();
    settled_ = std::make_shared<const JobSnapshot>(job);
    put(std::move(job));
}

void Workbench::edit(const QString& what, const std::function<void(Job&)>& change) {
    withdraw();
    Job after = job_;
    change(after);
    if (after == job_)
        return;
    make(what, job_, std::move(after));
}

void Workbench::apply(const QString& what, const Edit& edit_to_make) {
    edit(what, [&](Job& job) { job = yes_square::apply(edit_to_make, std::move(job)); });
}

void Workbench::preview(const std::function<void(Job&)>& change) {
    if (!before_preview_)
        before_preview_ = job_;
    Job next = *before_preview_;
    change(next);
    // What no file could keep is not reckoned either, not even for the moment of a drag.
    if (next != job_ && !breaks(*before_preview_, next))
        put(std::move(next));
}

void Workbench::settle(const QString& what) {
    if (!before_preview_)
        return;
    Job before = std::move(*before_preview_);
    before_preview_.reset();
    if (before == job_)
        return;
    make(what, before, job_);
}

void Workbench::make(const QString& what, const Job& before, Job after) {
    if (look_at_edit)
        look_at_edit(what, before, after);
    if (const auto problem = breaks(before, after)) {
        put(Job{before}); // fields show again what is
        emit refused(tr("%1: that cannot be kept. %2").arg(what, text(problem->text())));
        return;
    }
    undo_.push(new JobCommand{*this, what, settled_, after});
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
    for (const OwnedCheck& owned : all_checks(*plan_, job_))
        if (owned.check->code == checks::not_reckoned) // for a report
            qWarning("%s", say(owned.check->message, {}).c_str());
    study_.reset();
    options_.reset();
    shown_working_.reset(); // its figures may be of the job that was
    const auto selected_before = std::pair{item_, part_};
    keep_selection();
    emit changed();
    if (selected_before != std::pair{item_, part_})
        emit selection_changed();
}

namespace {

/// Calls `visit(parts)` for every kind of part that a wall has, until it returns true.
bool any_kind(const Wall& wall, auto&& visit) {
    bool done = false;
    for_each_list(wall, [&](const auto& parts) { done = done || visit(parts); });
    return done;
}

/// The parts that a part is made of and that are selected within it.
const std::vector<CabinetUnit>* inner_parts(const Run& run) {
    return &run.units;
}
const std::vector<Bay>* inner_parts(const StorageSystem& system) {
    return &system.bays;
}
template <class Part>
const std::vector<CabinetUnit>* inner_parts(const Part&) {
    return nullptr;
}

/// Where an id leads on a wall: to an item, or to a part of one.
struct Place {
    std::string item;
    std::string part;
};
std::optional<Place> place_of(const Wall& wall, const std::string& id) {
    std::optional<Place> found;
    any_kind(wall, [&](const auto& items) {
        for (const auto& item : items) {
            const auto* inside = inner_parts(item);
            if (item.id == id)
                found = Place{item.id, inside && !inside->empty() ? inside->front().id : std::string{}};
            else if (inside)
                for (const auto& part : *inside)
                    if (part.id == id)
                        found = Place{item.id, part.id};
            if (found)
                return true;
        }
        return false;
    });
    return found;
}

} // namespace

void Workbench::keep_selection() {
    if (!job_.walls.empty())
        wall_ = std::min(wall_, job_.walls.size() - 1);
    const Wall* here = wall();
    if (!here)
        return;
    if (const auto part = place_of(*here, part_); part && part->item == item_)
        return;
    if (const auto item = place_of(*here, item_); item && item->item == item_) {
        part_ = item->part;
        return;
    }
    item_.clear();
    part_.clear();
    any_kind(*here, [&](const auto& items) {
        if (!items.empty())
            if (const auto first = place_of(*here, items.front().id)) {
                item_ = first->item;
                part_ = first->part;
            }
        return !items.empty();
    });
}

const Wall* Workbench::wall() const {
    return wall_ < job_.walls.size() ? &job_.walls[wall_] : nullptr;
}

QString Workbench::along(const Tape& tape, Length x) const {
    return text(say(yes_square::along(tape, x), voice()));
}

const WallPlan* Workbench::wall_plan() const {
    return wall_ < plan_->walls.size() ? plan_->walls[wall_].get() : nullptr;
}

const ShelfStudy* Workbench::shelf_study() const {
    if (!study_ || studied_ != item_) {
        study_ = study(job_, *plan_, item_);
        studied_ = item_;
    }
    return study_ ? &*study_ : nullptr;
}

const std::vector<FixingOption>& Workbench::fixing_options(const FixingSpot& where) const {
    if (!options_ || optioned_ != item_ || optioned_at_ != where) {
        options_ = yes_square::fixing_options(job_, *plan_, item_, where);
        optioned_ = item_;
        optioned_at_ = where;
    }
    return *options_;
}

void Workbench::select_wall(std::size_t index) {
    if (index >= job_.walls.size() || index == wall_)
        return;
    wall_ = index;
    item_.clear();
    part_.clear();
    also_.clear();
    hole_.reset();
    subject_.clear();
    keep_selection();
    emit selection_changed();
}

const CabinetUnit* Workbench::unit() const {
    const Run* selected = run();
    if (!selected)
        return nullptr;
    const auto found = std::ranges::find(selected->units, part_, &CabinetUnit::id);
    return found == selected->units.end() ? nullptr : &*found;
}

const UnitPlan* Workbench::unit_plan() const {
    const CabinetUnit* selected = unit();
    return selected ? &run_plan()->units[static_cast<std::size_t>(selected - run()->units.data())] : nullptr;
}

const Bay* Workbench::bay() const {
    const StorageSystem* system = selected<StorageSystem>();
    if (!system)
        return nullptr;
    const auto found = std::ranges::find(system->bays, part_, &Bay::id);
    return found == system->bays.end() ? nullptr : &*found;
}

const BayPlan* Workbench::bay_plan() const {
    const Bay* chosen = bay();
    return chosen ? &selected_plan<StorageSystem>()
                         ->bays[static_cast<std::size_t>(chosen - selected<StorageSystem>()->bays.data())]
                  : nullptr;
}

std::string Workbench::thing() const {
    return shelf() || run() || !wall() ? std::string{} : item_;
}

const ThingPlan* Workbench::thing_plan() const {
    const ThingPlan* plan = nullptr;
    for_each_kind(Things{}, [&]<class Kind>() {
        if (const auto* found = selected_plan<Kind>())
            plan = found;
    });
    return plan;
}

std::vector<const PlannedHole*> Workbench::holes() const {
    std::vector<const PlannedHole*> all;
    std::vector<const PlannedHole*> of_part;
    if (const ThingPlan* plan = thing_plan())
        for (const PlannedHole& hole : plan->holes) {
            all.push_back(&hole);
            if (hole.item == part_)
                of_part.push_back(&hole);
        }
    return of_part.empty() ? all : of_part;
}

const PlannedHole* Workbench::hole() const {
    const auto all = holes();
    if (hole_ && *hole_ < all.size())
        return all[*hole_];
    const auto most = std::ranges::max_element(all, [](const auto* a, const auto* b) { return tells_less(*a, *b); });
    return most == all.end() ? nullptr : *most;
}

void Workbench::take_hole(std::size_t number) {
    hole_ = number;
    emit hole_taken();
}

std::vector<std::string> Workbench::selected_ids() const {
    if (!wall() || item_.empty())
        return {};
    std::vector<std::string> all{item_};
    for (const std::string& id : also_)
        if (id != item_ && place_of(*wall(), id))
            all.push_back(id);
    return all;
}

bool Workbench::is_selected(const std::string& id) const {
    const auto place = wall() ? place_of(*wall(), id) : std::nullopt;
    const auto ids = selected_ids();
    return place && std::ranges::find(ids, place->item) != ids.end();
}

void Workbench::select_too(const std::string& id) {
    if (!wall() || !place_of(*wall(), id))
        return;
    const std::string thing = place_of(*wall(), id)->item;
    auto others = selected_ids();
    if (others.empty())
        return select(id);
    if (std::ranges::find(others, thing) == others.end()) {
        also_ = std::move(others); // what was in hand stays with it
        item_ = thing;
        part_ = place_of(*wall(), id)->part;
    } else {
        std::erase(others, thing);
        if (others.empty())
            return;
        item_ = others.front();
        part_ = place_of(*wall(), item_)->part;
        also_.assign(others.begin() + 1, others.end());
    }
    subject_.clear();
    hole_.reset();
    emit selection_changed();
}

void Workbench::point_out(std::size_t wall, const Outline& place) {
    select_wall(wall);
    emit pointed_out(place);
}

void Workbench::point_out(const std::string& id) {
    select(id);
    if (const WallPlan* plan = wall_plan())
        if (const auto room = whole_room(*plan, id))
            emit pointed_out(*room);
}

const Room* Workbench::room() const {
    return wall() ? room_of(job_, *wall()) : nullptr;
}

const RoomSurvey* Workbench::room_plan() const {
    const Room* here = room();
    return here ? &plan_->rooms[static_cast<std::size_t>(here - job_.rooms.data())] : nullptr;
}

void Workbench::select(const std::string& id) {
    for (std::size_t w = 0; w < job_.walls.size(); ++w) {
        const auto found = place_of(job_.walls[w], id);
        if (!found)
            continue;
        const bool already = w == wall_ && found->item == item_ && (id == item_ || found->part == part_);
        if (already && also_.empty())
            return;
        wall_ = w;
        item_ = found->item;
        part_ = found->part;
        also_.clear();
        hole_.reset();
        subject_.clear();
        shown_working_.reset();
        emit selection_changed();
        return;
    }
}

void Workbench::show_working(const Working& working) {
    shown_working_ = working;
    emit subject_changed();
}

void Workbench::ask(const std::string& subject) {
    shown_working_.reset();
    subject_ = subject;
    emit subject_changed();
}

} // namespace yes_square::app
