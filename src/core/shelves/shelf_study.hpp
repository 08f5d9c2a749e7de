#pragma once

#include "core/fixings/rank_fixings.hpp"
#include "core/measure/physical.hpp"
#include "core/site/wall_site.hpp"

/// One shelf looked at closely, on demand: how it bends, how much it would hold, what would make it hold more, and all
/// fixings at hand for it. Beside the plan, since it takes many times as long.
namespace yes_square {

/// What would give first.
enum class Governs { nothing, sag, board, hanger, fixing };
std::string_view words(Governs governs);

/// The greatest even load beside what stands on the shelf in places, as it is planned: its boards, places and fixings.
struct Capacity {
    LineMass per_metre = 0; ///< of shelf; of a fixture, all its contents divided by its length
    Mass mass = 0;          ///< all along
    double length = 0;      ///< m, of the shelf
    Mass on_all(LineMass load) const { return load * metres(length); }
    Governs governs = Governs::nothing;
    LineMass by_sag = 0; ///< each limit by itself; infinite: it does not bind
    LineMass by_board = 0;
    LineMass by_hanger = 0; ///< the bracket's or plate's rating; infinite where that is unknown
    LineMass by_fixing = 0;
    bool from_memory = false;    ///< a figure of it is from memory
    bool hanger_unknown = false; ///< nobody knows what the bracket itself bears
    bool stud_assumed = false;   ///< a stud it counts on was never found: the figure is not to be used
};

/// Another way, with what it would hold.
struct Stronger {
    Sentence words;
    Edit edit;
    LineMass per_metre = 0;
    Governs governs = Governs::nothing;
    double sag_share = 0; ///< of the limit, under the shelf's own load
};

struct ShelfStudy {
    std::vector<BeamPlace> diagram; ///< from the shelf's left end; empty where no board spans
    std::size_t worst_sag = 0;      ///< indices in the diagram
    std::size_t worst_moment = 0;
    Capacity capacity;
    std::vector<Stronger> stronger;    ///< those that hold more than now, most first
    std::vector<FixingOption> fixings; ///< for the place that is loaded most
};

/// @param plan  of the shelf, as reckon() gave it
Capacity capacity_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);
ShelfStudy study_shelf(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

/// What may be promised of a shelf on paper and on screen, in one place: a load, or why there is none.
struct Promise {
    bool made = false;
    Sentence words; ///< "At most 24 kg, evenly"; "Not known: enter the packet's figure"; "Do not load"
    Sentence why;   ///< where none is made
};
/// No load is stated where an error stands, where a stud was never found, or where what the bracket, the hanger or the
/// fixing bears is not known. Never rounded up.
Promise promise_of(const Shelf& shelf, const ShelfPlan& plan, const Capacity& capacity);

} // namespace yes_square
