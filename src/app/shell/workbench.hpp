#pragma once

#include "app/shell/words.hpp"
#include "core/plan/reckon.hpp"

#include <QObject>
#include <QUndoStack>
#include <functional>

namespace yes_square::app {

/// The job on the bench: what is edited, what follows from it, and what is looked at. Every edit goes through here,
/// is reckoned at once and can be undone.
class Workbench : public QObject {
    Q_OBJECT
public:
    explicit Workbench(QObject* parent = nullptr);

    const Job& job() const { return job_; }
    const Plan& plan() const { return *plan_; }
    Voice voice() const { return app::voice(job_.unit); }

    /// Puts another job on the bench; nothing of the old one can be undone.
    void start(Job job);

    /// Makes one edit. `what` names it in the undo menu. An edit that changes nothing leaves no trace.
    void edit(const QString& what, const std::function<void(Job&)>& change);
    void apply(const QString& what, const Edit& edit);

    /// Shows a job that is not settled yet, as while dragging; settle() makes one edit of it all, withdraw() none.
    void preview(const std::function<void(Job&)>& change);
    void settle(const QString& what);
    void withdraw();

    QUndoStack& undo_stack() { return undo_; }

    const Wall* wall() const; ///< nullptr: the job has none
    const WallPlan* wall_plan() const;
    const Shelf* shelf() const; ///< nullptr: none is selected
    const ShelfPlan* shelf_plan() const;
    /// The selected shelf looked at closely; nullptr: none is selected. Worked out when first asked for.
    const ShelfStudy* shelf_study() const;
    const Run* run() const; ///< nullptr: none is selected
    const RunPlan* run_plan() const;
    const CabinetUnit* unit() const; ///< of the selected run; nullptr: none
    const UnitPlan* unit_plan() const;
    /// The room of the selected wall, and its plan.
    const Room* room() const;
    const RoomSurvey* room_plan() const;
    std::size_t wall_index() const { return wall_; }

    void select_wall(std::size_t index);
    void select_shelf(const std::string& id); ///< also selects its wall; empty: none
    void select_unit(const std::string& id);  ///< also selects its run and wall
    void select_run(const std::string& id);   ///< and its first unit
    /// Which working the scrap shows: "bracket/2".
    void ask(const std::string& subject);
    const std::string& subject() const { return subject_; }

signals:
    void changed(); ///< job and plan
    void selection_changed();
    void subject_changed();

private:
    friend class JobCommand;
    void put(Job job);
    void keep_selection();
    void select_in_run(const Run& run, const std::string& unit);

    Job job_;
    std::optional<Job> before_preview_;
    Reckoner reckoner_;
    const Plan* plan_ = nullptr;
    QUndoStack undo_;
    mutable std::optional<ShelfStudy> study_; ///< of `studied_`, while the job stays as it is
    mutable std::string studied_;
    std::size_t wall_ = 0;
    std::string shelf_; ///< one shelf, or one run and a unit of it, is selected
    std::string run_;
    std::string unit_;
    std::string subject_;
};

} // namespace yes_square::app
