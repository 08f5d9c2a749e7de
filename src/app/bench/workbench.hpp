#pragma once

#include "app/bench/job_snapshot.hpp"
#include "app/bench/words.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/reckon/reckon.hpp"

#include <QObject>
#include <QUndoStack>
#include <algorithm>
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

    /// Makes one edit. `what` names it in the undo menu. An edit that changes nothing leaves no trace; one that takes a
    /// figure, a text or a list out of its range is refused, and the job stays as it was.
    void edit(const QString& what, const std::function<void(Job&)>& change);
    void apply(const QString& what, const Edit& edit);

    /// Shows a job that is not settled yet, as while dragging; settle() makes one edit of it all, withdraw() none.
    void preview(const std::function<void(Job&)>& change);
    void settle(const QString& what);
    void withdraw();

    /// Looks at every edit before it is made and may add to it: the log of changes.
    std::function<void(const QString& what, const Job& before, Job& after)> look_at_edit;

    QUndoStack& undo_stack() { return undo_; }

    const Wall* wall() const; ///< nullptr: the job has none
    const WallPlan* wall_plan() const;
    /// Of the wall in hand.
    Tape tape() const { return wall() ? wall()->tape() : Tape{}; }
    /// Of what is selected on it, which may have a reference end of its own.
    Tape tape_in_hand() const { return thing_plan() ? thing_plan()->tape : tape(); }
    /// A place along that wall as its tape reads it, in the unit of the hand; the same as another tape reads it.
    QString along(Length x) const { return along(tape(), x); }
    QString along(const Tape& tape, Length x) const;

    /// What is selected, if it is of this kind, and what follows from it; nullptr: it is not.
    template <class Part>
    const Part* selected() const {
        const Wall* here = wall();
        if (!here)
            return nullptr;
        const auto found = std::ranges::find(here->*parts_of<Part>, item_, &Part::id);
        return found == (here->*parts_of<Part>).end() ? nullptr : &*found;
    }
    template <class Part>
    auto selected_plan() const -> decltype((std::declval<const WallPlan&>().*plans_of<Part>).data()) {
        const Part* part = selected<Part>();
        return part ? &(wall_plan()->*plans_of<Part>)[static_cast<std::size_t>(part - (wall()->*parts_of<Part>).data())]
                    : nullptr;
    }

    const Shelf* shelf() const { return selected<Shelf>(); }
    const ShelfPlan* shelf_plan() const { return selected_plan<Shelf>(); }
    /// The selected shelf looked at closely; nullptr: none is selected. Worked out when first asked for.
    const ShelfStudy* shelf_study() const;
    /// What the selected thing, or some of its holes, could be fixed with, from the core's fixing_options(); reckoned
    /// when first asked for.
    const std::vector<FixingOption>& fixing_options(const FixingSpot& where = {}) const;
    const Run* run() const { return selected<Run>(); }
    const RunPlan* run_plan() const { return selected_plan<Run>(); }
    const CabinetUnit* unit() const; ///< of the selected run; nullptr: none
    const UnitPlan* unit_plan() const;
    const Bay* bay() const; ///< of the selected wardrobe; nullptr: none
    const BayPlan* bay_plan() const;
    /// Wardrobe, piece, box, hung cabinet or light: its id; empty: none of them is selected.
    std::string thing() const;

    /// The plan of the selected thing, whatever its kind; nullptr: none is selected.
    const ThingPlan* thing_plan() const;
    /// Its holes; of a run those of the selected unit, where that has some. They live as long as the plan.
    std::vector<const PlannedHole*> holes() const;
    /// The hole that is looked at: the one that was taken, else the one that tells most; nullptr: there is none.
    const PlannedHole* hole() const;
    /// @param number  of holes()
    void take_hole(std::size_t number);

    /// Ids of all that is selected together, on one wall; what the figures are of comes first. Empty: nothing is.
    std::vector<std::string> selected_ids() const;
    /// Whether a thing, or a part of one, is among them.
    bool is_selected(const std::string& id) const;
    /// Takes a thing of the wall to those selected, or lets go of it.
    void select_too(const std::string& id);

    /// Goes to a wall and points at a place on it, as where a check says something is wrong.
    void point_out(std::size_t wall, const Outline& place);
    /// Selects a thing or a part of one and points at it, as at what a step or a part is of.
    void point_out(const std::string& id);

    /// The room of the selected wall, and its plan.
    const Room* room() const;
    const RoomSurvey* room_plan() const;
    std::size_t wall_index() const { return wall_; }

    void select_wall(std::size_t index);
    /// Selects a shelf, run, unit, wardrobe, bay, piece, box or hung cabinet, and with it its wall. A run or wardrobe
    /// comes with its first part. An id that nothing has changes nothing.
    void select(const std::string& id);
    /// Which working the scrap shows: "bracket/2".
    void ask(const std::string& subject);
    const std::string& subject() const { return subject_; }
    /// A working that stands for itself, as of a part to be cut or a reading: shown until something else is asked for.
    void show_working(const Working& working);
    const std::optional<Working>& shown_working() const { return shown_working_; }

signals:
    void changed();                   ///< job and plan
    void refused(const QString& why); ///< an edit that no file could keep; the job is as it was
    void selection_changed();
    void subject_changed();
    void hole_taken();
    void pointed_out(const yes_square::Outline& place); ///< on the selected wall

private:
    friend class JobCommand;
    void put(Job job);
    void make(const QString& what, const Job& before, Job after);
    void keep_selection();

    Job job_;
    std::shared_ptr<const JobSnapshot> settled_; ///< the job without what is only shown
    std::optional<Job> before_preview_;
    Reckoner reckoner_;
    const Plan* plan_ = nullptr;
    QUndoStack undo_;
    mutable std::optional<std::vector<FixingOption>> options_; ///< of `optioned_`, while the job stays as it is
    mutable std::string optioned_;
    mutable FixingSpot optioned_at_;
    mutable std::optional<ShelfStudy> study_; ///< of `studied_`, while the job stays as it is
    mutable std::string studied_;
    std::size_t wall_ = 0;
    std::string item_;                ///< id of what is selected
    std::string part_;                ///< and of a unit or bay of it
    std::vector<std::string> also_;   ///< things of the wall that are selected with it
    std::optional<std::size_t> hole_; ///< of holes()
    std::string subject_;
    std::optional<Working> shown_working_;
};

} // namespace yes_square::app
