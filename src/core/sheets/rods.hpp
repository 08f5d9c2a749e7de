#pragma once

#include "core/sheets/elevation.hpp"

/// The setting-out rods of an elevation: the run rod under the wall, its figures from the reference end, and the height
/// rod beside it.
namespace yes_square {

/// A stud's ink by how sure it is.
Ink ink_of(StudState state);
Stroke stroke_of(StudState state);

/// Refers to what it is given, which must outlive it.
class Rods {
public:
    Rods(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice);

    /// Room the rods take under the wall and beside it, mm of paper. The first depends on whether figures step aside,
    /// which settle() finds out.
    double run_rod_height() const;
    double height_rod_width() const;

    /// Lets figures that would overlap at this scale step aside.
    void settle(const ElevationScale& scale);
    void draw(const ElevationScale& scale, Drawing& drawing) const;

private:
    struct Tick {
        Length at;
        bool strong = false;
        Reference reference;
        std::optional<StudState> stud = {};
    };
    /// One row of the run rod: a shelf's marks, the studs', or what was found.
    struct Lane {
        std::string title;
        std::vector<Tick> ticks;
        bool selected = false;
        bool figures = true;                            ///< false: ticks alone
        std::vector<std::optional<double>> places = {}; ///< the middle of each tick's figure; none: no room
        bool aside = false;                             ///< some stand beside their ticks
        std::vector<Stretch> bands = {};                ///< where something may stand, under the figures
    };
    struct HeightTick {
        Length at;
        bool strong = false;
        Reference reference;
    };

    double text() const { return frame_.text; }
    const Tape& tape() const { return frame_.tape ? *frame_.tape : plan_.tape; }
    bool selected(const std::string& shelf) const { return shelf == frame_.selected_shelf; }
    bool two_floors() const;
    void collect_lanes();
    Lane found_lane() const;
    void collect_run_lanes();
    void collect_thing_lanes();
    bool thing_shown(const std::string& id) const;
    double lane_height(const Lane& lane) const;
    double room_of(const Tick& tick) const;
    std::vector<std::size_t> shown_figures(const Lane& lane, const ElevationScale& scale, double from, double to) const;
    void draw_title(const Lane& lane, double top, double room, Drawing& drawing) const;
    void draw_tick(const Lane& lane, std::size_t i, double at, double top, Drawing& drawing) const;
    void draw_bands(const Lane& lane, const ElevationScale& scale, double foot, Drawing& drawing) const;
    bool hangs_here(const std::string& line) const;
    std::vector<HeightTick> height_ticks() const;
    /// Calls `tick(at, strong, reference)` for the heights of the selected wardrobe, piece, box or hung cabinet.
    void thing_heights(const auto& tick) const;
    void draw_run_rod(const ElevationScale& scale, Drawing& drawing) const;
    void draw_height_rod(const ElevationScale& scale, Drawing& drawing) const;

    const Wall& wall_;
    const WallPlan& plan_;
    const ElevationFrame& frame_;
    const Voice& voice_;
    std::vector<Lane> lanes_;
    double longest_figure_ = 0; ///< in type sizes
};

} // namespace yes_square
