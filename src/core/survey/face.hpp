#pragma once

#include "core/survey/limits.hpp"

#include <optional>
#include <vector>

/// How flat and plumb the face of a wall is, from a string or straightedge in front of it. All strings of a wall hang
/// in one plumb plane, so that readings at different heights tell its lean.
namespace yes_square {

/// Readings at one height.
struct FaceRow {
    struct Place {
        Length x;
        Length gap;
        Length off; ///< out of the row's own straight line into the room: a bow; negative: a hollow
    };
    Length z;
    std::vector<Place> places; ///< in order
    Length bow;                ///< farthest into the room of the row's line
    Length hollow;             ///< farthest behind it
    Length bow_x;
    Length hollow_x;
    bool straight = true; ///< nothing off the line by more than the limit of error
};

struct FaceProfile {
    std::vector<FaceRow> rows; ///< from the lowest
    double slope = 0;          ///< of the front line against the string, m of gap per m along the wall
    double intercept = 0;      ///< m: gap at the left end of the front line, which touches the proudest place
    double lean = 0;           ///< m per m of height; more than 0: the wall leans back as it rises
    bool plumb = true;         ///< the lean over the heights read is within the limits of error
    Length lean_over;          ///< the height it was read over; 0: one row only
    Length limit;              ///< of a difference between two gaps
    Length proud_x;            ///< the proudest place: everything is shimmed out to it
    Length proud_z;

    bool measured() const { return !rows.empty(); }

    /// Thickness of packing between the wall and a straight plumb front, at any place: straight between readings, the
    /// nearest reading's beyond them. None without readings.
    std::optional<Length> shim_at(Length x, Length z) const;
    /// Whether (x, z) lies among the readings, not beyond them.
    bool covers(Length x, Length z) const;
    /// Where the most packing is.
    struct Deepest {
        Length x;
        Length z;
        Length packing;
    };
    /// The most packing over a stretch at a height: what a scribe or filler there must have to spare.
    std::optional<Deepest> deepest_between(Length from, Length to, Length z) const;
    /// m from the string to the wall: straight between readings, the nearest reading's beyond them.
    double gap_at(Length x, Length z) const;
};

/// The front line is plumb and runs along the wall by least squares over all readings; it is then moved forward until
/// it touches the proudest place, so that no shim is less than nothing. Readings off the wall are left out.
FaceProfile face_profile(const Wall& wall, const Reader& reader);

/// The widths between a wall's ends: a run takes the least.
struct WidthProfile {
    Length least;
    Length least_z;
    Length most;
    Length limit;
    bool parallel = true; ///< least and most differ by no more than the limit
};
std::optional<WidthProfile> width_profile(const Wall& wall, const Reader& reader);

} // namespace yes_square
