#pragma once

#include "core/job/job.hpp"

#include <array>
#include <string_view>
#include <vector>

/// How a wall seen square on stands in a drawing: what lies on which layer. One table for writing and reading, so that
/// what goes out comes back.
namespace yes_square {

struct OpeningLayer {
    std::string_view layer;
    std::string_view trim; ///< the clear opening within the trim
    OpeningKind kind;
};
inline constexpr std::array opening_layers{OpeningLayer{"WINDOW", "WINDOW_TRIM", OpeningKind::window},
                                           OpeningLayer{"DOOR", "DOOR_TRIM", OpeningKind::door}};

struct ServiceLayer {
    std::string_view layer;
    std::string_view far_side; ///< on the other face of the wall
    ServiceKind kind;
};
inline constexpr std::array service_layers{
    ServiceLayer{"SOCKET", "SOCKET_FAR_SIDE", ServiceKind::socket},
    ServiceLayer{"SWITCH", "SWITCH_FAR_SIDE", ServiceKind::switch_},
    ServiceLayer{"PIPE", "PIPE_FAR_SIDE", ServiceKind::pipe},
    ServiceLayer{"APPLIANCE", "APPLIANCE_FAR_SIDE", ServiceKind::fixed_appliance}};

/// A stud is a line; where it is an outline, half its breadth is the standard uncertainty of its middle.
struct StudLayer {
    std::string_view layer;
    StudState state;
};
inline constexpr std::array stud_layers{
    StudLayer{"STUD_PROVED", StudState::proved}, StudLayer{"STUD_DETECTED", StudState::detected},
    StudLayer{"STUD_INDICATED", StudState::indicated}, StudLayer{"STUD_ASSUMED", StudState::assumed}};
/// Of any drawing: assumed, however broad it is drawn.
inline constexpr std::string_view plain_stud_layer = "STUD";

struct ObstacleLayer {
    std::string_view layer;
    ObstacleKind kind;
};
inline constexpr std::array obstacle_layers{
    ObstacleLayer{"RADIATOR", ObstacleKind::radiator}, ObstacleLayer{"BOILER", ObstacleKind::boiler},
    ObstacleLayer{"PIPE_RUN", ObstacleKind::pipe_run}, ObstacleLayer{"BEAM", ObstacleKind::beam},
    ObstacleLayer{"COLUMN", ObstacleKind::column},     ObstacleLayer{"FIREPLACE", ObstacleKind::fireplace},
    ObstacleLayer{"OBSTACLE", ObstacleKind::other}};
/// Kept free round the obstacle that lies in it.
inline constexpr std::string_view clearance_layer = "CLEARANCE";

inline constexpr std::string_view wall_layer = "WALL";
/// Layers that begin so carry the sheet's drawing, not the wall.
inline constexpr std::string_view sheet_prefix = "SHEET_";

/// A closed outline, or a line where it has no breadth; mm, from the wall's left end and the datum.
struct OutlineMark {
    std::string_view layer;
    double left = 0;
    double right = 0;
    double bottom = 0;
    double top = 0;
};

/// The wall with what is in and on it, for the layers above; `studs` are those the survey found.
std::vector<OutlineMark> outline_of(const Wall& wall, const std::vector<Stud>& studs);

} // namespace yes_square
