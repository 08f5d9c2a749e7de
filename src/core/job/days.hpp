#pragma once

#include "core/job/unknown_members.hpp"

#include <string>
#include <vector>

/// On which days and hours a job is worked, who is there, and what cannot begin yet. Days are counted from 1, the first
/// day of work; hours are of the clock, 7.5 is half past seven.
namespace yes_square {

/// Somebody more than the crew is there.
struct HelperTime {
    int day = 1;
    double from = 8;
    double to = 12;
    UnknownMembers unknown = {};
    bool operator==(const HelperTime&) const = default;
};

/// What cannot begin before an hour of a day: work in a room that is not free, a thing whose parts are not there.
struct NotBefore {
    std::string of; ///< id of a room or of a thing; empty: all that waits for the delivery
    int day = 1;
    double from = 0; ///< o'clock; 0: as the day's work begins
    UnknownMembers unknown = {};
    bool operator==(const NotBefore&) const = default;
};

/// Hours of a day in which nobody works in a room: it is slept in, taught in, being painted.
struct RoomShut {
    std::string room; ///< id
    int day = 1;
    double from = 12;
    double to = 13;
    UnknownMembers unknown = {};
    bool operator==(const RoomShut&) const = default;
};

struct WorkDays {
    double begins = 8; ///< o'clock
    double hours = 8;  ///< of work a day
    int next = 1;      ///< the day of work that comes next: what is ticked off was done before it
    std::vector<HelperTime> helpers = {};
    std::vector<NotBefore> not_before = {};
    std::vector<RoomShut> shut = {};
    UnknownMembers unknown = {};
    bool operator==(const WorkDays&) const = default;

    double ends() const { return begins + hours; }
};

} // namespace yes_square
