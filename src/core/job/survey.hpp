#pragma once

#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// What a fitter finds out about a wall and its room, as it was read off tape, level, string, probe and detector.
namespace yes_square {

/// A trace of framing behind the lining, from a thin probe to a knock.
enum class EvidenceKind {
    probe_hit,           ///< the probe stops in wood
    probe_miss,          ///< it goes through into the void
    left_edge,           ///< probed: wood begins here, going right; `error` is the gap between miss and hit
    right_edge,          ///< probed: wood ends here
    detector,            ///< the middle an electronic detector shows; `error` is its stated limit of error
    detector_left_edge,  ///< where it says that wood begins, going right; `error` likewise
    detector_right_edge, ///< where it says that wood ends
    screw_line,          ///< a line of lining screws, found by magnet or eye
    nail_pop,            ///< a nail pop or dimple under a flat light
    box_stud_left,       ///< an outlet box's left side, with wood against it
    box_stud_right,      ///< an outlet box's right side, with wood against it
    knock_solid,         ///< it sounds solid here
    knock_hollow,        ///< it sounds hollow here
    skirting_nails,      ///< a pair of nails in the skirting
};

struct Observation {
    EvidenceKind kind = EvidenceKind::probe_hit;
    Length x;
    std::optional<Length> z = {};
    std::optional<Length> error = {};
    UnknownMembers unknown = {};
    bool operator==(const Observation&) const = default;
};

/// Down from the level line to the floor that is there now. All readings of a room are from one level line.
struct FloorReading {
    Length x;
    Length down;
    UnknownMembers unknown = {};
    bool operator==(const FloorReading&) const = default;
};

/// Up from the same level line to the ceiling.
struct CeilingReading {
    Length x;
    Length up;
    UnknownMembers unknown = {};
    bool operator==(const CeilingReading&) const = default;
};

/// From a string or straightedge at height z back to the face of the wall.
struct FaceReading {
    Length x;
    Length z;
    Length gap;
    UnknownMembers unknown = {};
    bool operator==(const FaceReading&) const = default;
};

/// The width between the wall's two ends, measured at height z.
struct WidthReading {
    Length z;
    Length width;
    UnknownMembers unknown = {};
    bool operator==(const WidthReading&) const = default;
};

/// How a wall's right-hand corner turns and how far from square it is: `along` marked on this wall, `along_next` on the
/// next, `across` from mark to mark. Whole walls and a room's diagonal will do as well as 3, 4 and 5.
/// With `other_across`, the two diagonals of a rectangle set out in the corner, along x along_next.
struct CornerReading {
    Length along;
    Length along_next;
    Length across;
    std::optional<Length> other_across = {};
    UnknownMembers unknown = {};
    bool operator==(const CornerReading&) const = default;
};

enum class ObstacleKind { radiator, boiler, pipe_run, beam, column, fireplace, other };

/// Something on the wall that stays where it is.
/// "the radiator": as a message names it.
std::string_view words(ObstacleKind kind);

struct Obstacle {
    ObstacleKind kind = ObstacleKind::radiator;
    Length left;
    Length bottom;
    Length width;
    Length height;
    Length clearance; ///< kept free all round it
    UnknownMembers unknown = {};
    bool operator==(const Obstacle&) const = default;
};

/// What a services detector said of a part of the wall, or what a fitter knows of it.
enum class ScanResult { clear, cable, pipe, keep_out };

struct ScannedArea {
    ScanResult result = ScanResult::clear;
    Length left;
    Length bottom;
    Length width;
    Length height;
    UnknownMembers unknown = {};
    bool operator==(const ScannedArea&) const = default;
};

/// What a drill meets on its way into a wall, by the feel and by the dust.
enum class DrillMet {
    white_soft_dust, ///< gypsum: plasterboard or plaster
    grey_sandy_dust, ///< render or sand-cement
    glazed_chips,    ///< tile
    grey_fibrous,    ///< fibre cement
    nothing,         ///< the drill falls into a void
    wood_shavings,
    metal,
    red_dust,       ///< brick
    grey_hard,      ///< dense block or concrete, hammer needed
    grey_very_hard, ///< concrete: slow even with a hammer, stones
    pale_soft,      ///< aerated block: no hammer needed
};

struct TrialLayer {
    DrillMet met = DrillMet::white_soft_dust;
    Length from; ///< depth at which it began, from the face of the wall
    UnknownMembers unknown = {};
    bool operator==(const TrialLayer&) const = default;
};

/// A trial hole: what was met, in order, and how deep the hole was at its end.
struct TrialHole {
    Length x;
    Length z;
    std::vector<TrialLayer> layers;
    Length depth;
    UnknownMembers unknown = {};
    bool operator==(const TrialHole&) const = default;
};

/// A layer of floor still to be laid.
struct FloorLayer {
    std::string name;
    Length thickness;
    UnknownMembers unknown = {};
    bool operator==(const FloorLayer&) const = default;
};

/// What the readings are taken with. Limits of error in measure/limits.hpp.
enum class Instrument { tape_class_1, tape_class_2, laser };

} // namespace yes_square
