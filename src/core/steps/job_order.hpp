#pragma once

#include "core/cutting/cut_list.hpp"

#include <string>
#include <vector>

namespace yes_square {

enum class TaskKind {
    step,     ///< of a thing
    lines,    ///< a room's level lines
    gate,     ///< of a wall: nobody drills before it is passed
    parts,    ///< count and check what was delivered
    cut,      ///< a room's parts by the cutting plan
    for_wall, ///< a step said once for all that hangs on a wall
};

/// One thing to do, when and by how many. Keys name it in Job::ticks: "wall-3/gate", "shelf-1/hang/5f0a12cc"; the
/// letters stand for its words and figures, so that a step which changed is not taken for done.
struct Task {
    TaskKind kind = TaskKind::step;
    std::string key;
    std::string wall; ///< id; empty: the job's
    std::string item; ///< id; empty: the wall's or the room's
    std::string item_name;
    Step step;
    std::vector<Sentence> cautions; ///< read before it
    std::vector<std::size_t> after; ///< tasks that come before it, by their place in the order
    double minutes = 0;             ///< it takes, by the house rules
    double begins = 0;              ///< minutes from the start of work
    bool wants_helper = false;      ///< more persons than there are on the job
    double ends() const { return begins + minutes; }
};

struct JobOrder {
    std::vector<Task> tasks; ///< in the order they are begun
    double minutes = 0;      ///< until all is done, by the house rules
    double idle = 0;         ///< of that, waiting for something to cure with nothing else to do
};

/// Every step of a wall, a room or the job in an order that keeps what must come first: what is unsafe now is emptied
/// first; delivery and cutting before hanging; noggings before marks, all marks of a wall before its gate, the gate
/// before the drill; wall units and base units by the house rule; leads before what hides them; furniture that would
/// stand in the way last; nothing touched while it cures, other work meanwhile. Within that: room by room, all marks of
/// a wall together and all holes together, so that each tool comes out once; what wants two persons close together.
JobOrder job_order(const Job& job, const Plan& plan, const Scope& scope = {});

/// The questions a gate asks; all are answered before it is ticked.
std::vector<Sentence> gate_questions();

} // namespace yes_square
