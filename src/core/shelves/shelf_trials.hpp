#pragma once

#include "core/shelves/layouts.hpp"

#include <deque>
#include <set>

namespace yes_square {

/// Tries edits on one shelf and keeps those that help: after them a check is gone, and no kind of error is new.
class ShelfTrials {
public:
    ShelfTrials(const Shelf& shelf, const WallSite& site, LayoutScales& scales, const ShelfPlan& plan);

protected:
    /// Adds the cure if it helps. Checks of one kind share their edits: the first one carries them.
    bool offer(Check& check, Sentence words, Edit edit) const;
    /// A larger change, as `make` makes it on a copy.
    bool change(Check& check, Sentence words, auto&& make) const {
        Shelf other = shelf_;
        make(other);
        return other != shelf_ && offer(check, std::move(words), ChangeShelf{other});
    }
    /// What only the fitter can do.
    static void say(Check& check, Sentence words) { check.cures.push_back({std::move(words), std::nullopt}); }

    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfPlan& plan_;

private:
    /// What is left after an edit. Kept, since the checks of one shelf often try the same edits.
    struct Outcome {
        std::set<CheckCode> codes;
        bool new_error = false;
    };
    const Outcome& outcome_of(const Edit& edit) const;
    ShelfPlan draft_after(const Edit& edit, const Shelf& changed) const;
    bool helps(const Edit& edit, CheckCode code) const;
    bool repeated(const Check& check) const;

    LayoutScales& scales_;
    std::set<CheckCode> errors_before_;
    mutable std::deque<std::pair<Edit, Outcome>> tried_;
};

} // namespace yes_square
