#pragma once

#include "core/steps/job_order.hpp"

#include <functional>

namespace yes_square {

/// The one thing to do next in a job, whatever state it is in: said in a sentence, done by one button.
struct NextStep {
    enum class Kind {
        begin,     ///< there is no wall
        hang,      ///< the wall in hand has nothing on it, nor any other
        find_stud, ///< something hangs on a stud that nobody found: at `x`
        detect,    ///< a hole lies where a service is likely: what a detector reads there is to be entered
        cure,      ///< something is wrong, and `edit` puts it right
        put_right, ///< something is wrong that the fitter must put right
        print,     ///< the sheets of the job as it is now
        read,      ///< a reading of the work is out: put it right, read again
        task,      ///< the next step of the day, by its key
        sign,      ///< all is done
        over,      ///< handed over
    };

    Kind kind = Kind::begin;
    std::string owner = {}; ///< whose it is, by name: "Low shelf"
    Sentence words;         ///< what is to be done, or what is wrong
    Sentence button;        ///< what pressing does
    std::string wall = {};  ///< id
    std::string item = {};  ///< id
    std::optional<Edit> edit = {};
    std::string task = {};
    std::string_view field = {}; ///< where the figure is typed that is missing
    std::optional<Length> x = {};
    std::optional<Sentence> how = {}; ///< how it is put right, where the fitter must
};

/// What next_step may have to ask; only asked where nothing is wrong, since the order of work takes its time.
struct NextAsked {
    std::string wall; ///< id of the wall in hand: of two things that are wrong, that on this wall comes first
    std::function<const JobOrder&()> order;
    std::function<bool()> printed; ///< whether the sheets of the job as it is now have been printed
};

NextStep next_step(const Job& job, const Plan& plan, const NextAsked& asked);

} // namespace yes_square
