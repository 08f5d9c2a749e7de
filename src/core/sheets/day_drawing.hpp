#pragma once

#include "core/measure/sentence.hpp"
#include "core/sheets/drawing.hpp"
#include "core/steps/day_schedule.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// What somebody does on one wall, or in one room, without going over to another; or a wait that nobody is needed for.
struct DayBlock {
    int day = 1;
    std::size_t who = 0;             ///< as in ScheduledTask::by; of a wait 0 for the first at a time, 1 for the next
    std::string where;               ///< name of the wall or the room; of a wait of the thing
    std::vector<std::string> things; ///< names, each once, as they are come to
    JobTime begins = 0;
    JobTime ends = 0;
    std::vector<std::size_t> tasks; ///< in the schedule
    bool wait = false;
};

/// A schedule as blocks of work, by day, time and person.
std::vector<DayBlock> blocks_of(const Job& job, const JobOrder& order, const DaySchedule& schedule);

/// "7:30", of the clock.
std::string clock(JobTime time);
/// "Person 1", "Helper"; with several helpers "Helper 2".
Sentence person_words(const DaySchedule& schedule, std::size_t who);

/// Where a schedule ends and how sure that is, when a helper is wanted, what stands in its way.
std::vector<Sentence> schedule_words(const DaySchedule& schedule);
/// What is left alone to set or dry, from when to when.
std::vector<Sentence> wait_words(const JobOrder& order, const DaySchedule& schedule);

/// One day as a lane for each person, hours along it.
/// @param width, text  mm of paper; the drawing is as high as it needs
Drawing draw_day(const Job& job, const JobOrder& order, const DaySchedule& schedule, int day, double width, double text,
                 const Voice& voice);

/// All days one under another, each under its heading.
Drawing draw_days(const Job& job, const JobOrder& order, const DaySchedule& schedule, double width, double text,
                  const Voice& voice);

} // namespace yes_square
