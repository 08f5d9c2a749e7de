#pragma once

#include "core/job/tape.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>
#include <vector>

/// What was done and found on the day, as it was ticked, read and written down. Times are UTC, "2026-03-05T14:20:00Z";
/// whoever records gives the time, so that the core needs no clock.
namespace yes_square {

/// A hole that is in the wall: what is reckoned again keeps it.
struct MadeHole {
    std::string item; ///< id of what it was made for
    Length x;
    Length z;
    std::string at;
    std::string by;
    UnknownMembers unknown = {};
    bool operator==(const MadeHole&) const = default;
};

enum class TickState { begun, done, could_not };

/// A step or a mark that was begun, done, or could not be done and why.
struct Tick {
    std::string key; ///< of the step or mark
    TickState state = TickState::done;
    std::string begun; ///< empty: not told
    std::string at;    ///< when it was done, or given up
    std::string by;
    std::string because; ///< of one that could not be done
    UnknownMembers unknown = {};
    bool operator==(const Tick&) const = default;
};

/// What was held to the work.
enum class ReadingKind {
    level,        ///< `off` under the low end of a level `over` long
    plumb,        ///< `off` between a level `over` long and the work, at its top or its foot
    tape,         ///< `read` where `wanted` should be
    diagonals,    ///< of a frame `over` wide and `height` high: rising and falling
    straightedge, ///< gaps under or behind a straight edge
};

/// The end that is out: of a level the low one, of a plumb reading the one that leans away.
enum class OffAt { left, right, front, back };

struct Gap {
    Length x; ///< from the wall's left end
    Length gap;
    UnknownMembers unknown = {};
    bool operator==(const Gap&) const = default;
};

/// A reading of work that is being fitted, and of what.
struct WorkReading {
    std::string id;
    ReadingKind kind = ReadingKind::level;
    std::string item;               ///< id of a shelf, a cabinet, a wardrobe, a box
    OffAt off_at = OffAt::left;     ///< level: the low end; plumb: where its top leans to
    Length off;                     ///< level, plumb
    Length over = Length::mm(1200); ///< length of the level; width of a frame
    Length height;                  ///< of a frame
    TapeEnd from = TapeEnd::left;   ///< tape: the end of the wall that it was held to
    Length wanted;                  ///< tape
    Length read;                    ///< tape; the rising diagonal
    Length other;                   ///< the falling diagonal
    std::vector<Gap> gaps = {};     ///< straightedge
    std::string at;
    std::string by;
    UnknownMembers unknown = {};
    bool operator==(const WorkReading&) const = default;
};

enum class LogKind { note, reading, deviation, change, photo, signature, delivery };

/// A line of the job's logbook.
struct LogEntry {
    LogKind kind = LogKind::note;
    std::string at;
    std::string by;
    std::string item; ///< id of what it is about; empty: the job
    std::string words;
    std::string file;    ///< of a photo: its name in the folder beside the job
    std::string sha256;  ///< of that file when it was attached
    std::string strokes; ///< of a drawn signature: an SVG path in a field 1000 wide and 300 high
    UnknownMembers unknown = {};
    bool operator==(const LogEntry&) const = default;
};

} // namespace yes_square
