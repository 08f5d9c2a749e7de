#pragma once

#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>

/// The level lines of a room: named heights, each held to another by a relation. Heights are above the datum, the
/// finished floor at its highest.
namespace yes_square {

/// Lines the program itself looks for. A room may have others.
namespace line_id {
inline constexpr const char* floor = "floor"; ///< the datum; not in the list of lines, always 0
inline constexpr const char* plinth = "plinth";
inline constexpr const char* carcass = "carcass";
inline constexpr const char* worktop = "worktop";
inline constexpr const char* wall_bottom = "wall-bottom";
inline constexpr const char* wall_top = "wall-top";
inline constexpr const char* tall_top = "tall-top";
inline constexpr const char* over_cooling = "over-cooling";
inline constexpr const char* hood = "hood";
inline constexpr const char* hooks = "hooks";
inline constexpr const char* rail = "rail";
} // namespace line_id

struct LevelLine {
    std::string id;
    std::string name;
    std::optional<Length> wanted = {}; ///< where it was pulled to; none: as low as its relations let it lie
    UnknownMembers unknown = {};
    bool operator==(const LevelLine&) const = default;
};

enum class HowFar { exactly, at_least, at_most };

/// `line` lies exactly, at least or at most `by` above `over`. Less than 0: below it.
struct LineRelation {
    std::string line;
    std::string over;
    HowFar how = HowFar::exactly;
    Length by;
    std::string reason; ///< in the fitter's words: "splash gap"
    UnknownMembers unknown = {};
    bool operator==(const LineRelation&) const = default;
};

} // namespace yes_square
