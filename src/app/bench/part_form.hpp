#pragma once

#include "app/bench/bound_form.hpp"
#include "core/job/edits.hpp"

namespace yes_square::app {

/// How a form reads a part of the job, and writes the same part of another.
template <class Part>
class PartAccess {
public:
    using Look = std::function<const Part*()>;
    using Change = std::function<void(Job&, const std::function<void(Part&)>&)>;
    using When = std::function<bool(const Part&)>;

    /// @param look  the part that is shown; nullptr: none, and its rows are hidden
    /// @param change  does something to that part of a job, or to all that are shown as one
    PartAccess(Look look, Change change)
        : look_{std::move(look)}
        , change_{std::move(change)} {}

    /// The selected part of its kind.
    explicit PartAccess(Workbench& bench)
        : PartAccess{[&bench] { return bench.selected<Part>(); },
                     [&bench](Job& job, const std::function<void(Part&)>& to) {
                         const Part* chosen = bench.selected<Part>();
                         if (Part* part = chosen ? find_part<Part>(job, chosen->id).part : nullptr)
                             to(*part);
                     }} {}

    /// What a getter reads of the part, where there is one and it has that row.
    template <class T>
    BoundForm::Get<T> read(std::function<T(const Part&)> of, When when = {}) const {
        return [look = look_, of, when]() -> std::optional<T> {
            if (const Part* part = look(); part && (!when || when(*part)))
                return std::optional<T>{std::in_place, of(*part)};
            return std::nullopt;
        };
    }
    template <class T>
    BoundForm::Set<T> write(std::function<void(Part&, T)> to) const {
        return [change = change_, to](Job& job, T value) { change(job, [&](Part& part) { to(part, value); }); };
    }

    const Part* shown() const { return look_(); }
    void change(Job& job, const std::function<void(Part&)>& to) const { change_(job, to); }

    /// A part of it: the cabinet that was found, what holds a piece to the wall.
    template <class Inner>
    PartAccess<Inner> inner(Inner Part::*member) const {
        return {[look = look_, member] {
                    const Part* part = look();
                    return part ? &(part->*member) : nullptr;
                },
                [change = change_, member](Job& job, const std::function<void(Inner&)>& to) {
                    change(job, [&](Part& part) { to(part.*member); });
                }};
    }

private:
    Look look_;
    Change change_;
};

/// A form about one part of the job: the selected wardrobe, piece, box, or a bay. FieldForm gives it its rows.
template <class Part>
class PartForm : public BoundForm, public PartAccess<Part> {
public:
    PartForm(Workbench& bench, PartAccess<Part> access, QWidget* parent = nullptr)
        : BoundForm{bench, parent}
        , PartAccess<Part>{std::move(access)} {}
    explicit PartForm(Workbench& bench, QWidget* parent = nullptr)
        : PartForm{bench, PartAccess<Part>{bench}, parent} {}
};

} // namespace yes_square::app
