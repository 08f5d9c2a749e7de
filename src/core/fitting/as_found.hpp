#pragma once

#include "core/fitting/wall_marks.hpp"

#include <array>
#include <string>
#include <string_view>

/// What happened at the wall, put into the job: ticks, holes that were made, and what was found instead of what the
/// plan said. Each writes its line into the logbook where it departs from the plan.
namespace yes_square {

/// When it happened and who says so.
struct Stamp {
    std::string at; ///< UTC, "2026-03-05T14:20:00Z"
    std::string by;
};

/// Begins, ticks or gives up a step or mark; a tick of the same key is replaced, its beginning kept.
void tick(Job& job, const std::string& key, TickState state, const Stamp& stamp, const std::string& because = {});
/// Takes a tick back.
void untick(Job& job, const std::string& key);
const Tick* find_tick(const Job& job, const std::string& key);
bool is_done(const Job& job, const std::string& key);

/// A hole is in the wall. What is reckoned again keeps it: a bracket stands there, a screw goes there, and a run whose
/// unit it is for stays where it is, its fillers at their widths.
void record_hole(Job& job, const Plan& plan, const std::string& wall, const WallMark& mark, const Stamp& stamp);

/// Why a mark could not be done.
enum class CouldNot {
    no_stud,       ///< the drill found no wood
    service_found, ///< the detector answered, or a cable or pipe was seen
    ragged,        ///< the hole came out ragged or the plug turns
    in_the_way,    ///< something is in the way
    other,
};
inline constexpr std::array all_reasons{CouldNot::no_stud, CouldNot::service_found, CouldNot::ragged,
                                        CouldNot::in_the_way, CouldNot::other};
std::string_view words(CouldNot why);

/// A mark could not be done, and what that says of the wall: where no stud was, what spoke for it is taken away, and on
/// a wall whose studs are found from traces a miss is noted there; where a service answered, the place is kept out. All
/// else stands in the tick and the log only.
void record_could_not(Job& job, const std::string& wall, const WallMark& mark, const std::string& key, CouldNot why,
                      const Stamp& stamp, const std::string& words = {});

/// Once a hole is made or something is signed, what is changed of the plan is written into the log, by its name in the
/// undo menu. Ticks, readings and what has written its own line are no such changes.
void log_change(const Job& before, Job& after, const std::string& what, const Stamp& stamp);

void write_log(Job& job, LogKind kind, const std::string& item, std::string words, const Stamp& stamp);

} // namespace yes_square
