#include "core/survey/face.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace yes_square {
namespace {

/// A straight line through points, by least squares.
struct FittedLine {
    double intercept = 0;
    double slope = 0;
    double at(double x) const { return intercept + slope * x; }
};

/// Sums for slopes within groups: each group has its own intercept, all share one slope.
struct PooledSlope {
    double xx = 0;
    double xy = 0;
    void add(const std::vector<FaceRow::Place>& places) {
        const FittedLine means = mean(places);
        for (const FaceRow::Place& place : places) {
            const double dx = place.x.in_metres() - means.slope;
            xx += dx * dx;
            xy += dx * (place.gap.in_metres() - means.intercept);
        }
    }
    double slope() const { return xx > 0 ? xy / xx : 0; }

    /// Mean gap as intercept, mean x as slope.
    static FittedLine mean(const std::vector<FaceRow::Place>& places) {
        FittedLine sum;
        for (const FaceRow::Place& place : places) {
            sum.intercept += place.gap.in_metres();
            sum.slope += place.x.in_metres();
        }
        const auto number = static_cast<double>(places.size());
        return {sum.intercept / number, sum.slope / number};
    }
};

FittedLine fit(const std::vector<FaceRow::Place>& places) {
    PooledSlope pooled;
    pooled.add(places);
    const FittedLine means = PooledSlope::mean(places);
    return {means.intercept - pooled.slope() * means.slope, pooled.slope()};
}

double straight_between(double at, double from, double to, double value_from, double value_to) {
    return to > from ? value_from + (value_to - value_from) * (at - from) / (to - from) : value_from;
}

double gap_in_row(const FaceRow& row, Length x) {
    const auto after = std::ranges::lower_bound(row.places, x, {}, &FaceRow::Place::x);
    if (after == row.places.begin())
        return row.places.front().gap.in_metres();
    if (after == row.places.end())
        return row.places.back().gap.in_metres();
    const FaceRow::Place& from = *(after - 1);
    return straight_between(x.in_metres(), from.x.in_metres(), after->x.in_metres(), from.gap.in_metres(),
                            after->gap.in_metres());
}

std::vector<FaceRow> rows_of(const Wall& wall) {
    std::map<Length, std::map<Length, std::pair<Length, std::int64_t>>> heights;
    for (const FaceReading& reading : wall.face)
        if (reading.x <= wall.length && reading.z <= wall.height) {
            auto& [sum, number] = heights[reading.z][reading.x];
            sum += reading.gap;
            ++number;
        }
    std::vector<FaceRow> rows;
    for (const auto& [z, places] : heights) {
        FaceRow& row = rows.emplace_back();
        row.z = z;
        for (const auto& [x, gap] : places)
            row.places.push_back({x, gap.first / gap.second, {}});
    }
    return rows;
}

void judge(FaceRow& row, Length limit) {
    const FittedLine line = fit(row.places);
    for (FaceRow::Place& place : row.places) {
        place.off = Length::nearest_to_metres(line.at(place.x.in_metres()) - place.gap.in_metres());
        if (place.off > row.bow) {
            row.bow = place.off;
            row.bow_x = place.x;
        }
        if (-place.off > row.hollow) {
            row.hollow = -place.off;
            row.hollow_x = place.x;
        }
    }
    row.straight = std::max(row.bow, row.hollow) <= limit;
}

} // namespace

FaceProfile face_profile(const Wall& wall, const Reader& reader) {
    FaceProfile profile;
    profile.rows = rows_of(wall);
    if (profile.rows.empty())
        return profile;
    Length most_gap;
    PooledSlope along;
    for (const FaceRow& row : profile.rows) {
        along.add(row.places);
        for (const FaceRow::Place& place : row.places)
            most_gap = std::max(most_gap, place.gap);
    }
    const Length one = limit_of_error(most_gap, reader);
    profile.limit = combined_limit({one, one});
    for (FaceRow& row : profile.rows)
        judge(row, profile.limit);

    profile.slope = along.slope();
    double least = 0;
    bool first = true;
    std::vector<FaceRow::Place> rows; // each row's mean gap, with its height for x
    for (const FaceRow& row : profile.rows) {
        double sum = 0;
        for (const FaceRow::Place& place : row.places) {
            const double rest = place.gap.in_metres() - profile.slope * place.x.in_metres();
            sum += rest;
            if (first || rest < least) {
                first = false;
                least = rest;
                profile.proud_x = place.x;
                profile.proud_z = row.z;
            }
        }
        rows.push_back({row.z, Length::nearest_to_metres(sum / static_cast<double>(row.places.size())), {}});
    }
    profile.intercept = least;
    if (rows.size() > 1) {
        profile.lean = fit(rows).slope;
        profile.lean_over = rows.back().x - rows.front().x;
        profile.plumb = std::abs(profile.lean) * profile.lean_over.in_metres() <= profile.limit.in_metres();
    }
    return profile;
}

double FaceProfile::gap_at(Length x, Length z) const {
    const auto above = std::ranges::lower_bound(rows, z, {}, &FaceRow::z);
    if (above == rows.begin())
        return gap_in_row(rows.front(), x);
    if (above == rows.end())
        return gap_in_row(rows.back(), x);
    const FaceRow& below = *(above - 1);
    return straight_between(z.in_metres(), below.z.in_metres(), above->z.in_metres(), gap_in_row(below, x),
                            gap_in_row(*above, x));
}

std::optional<Length> FaceProfile::shim_at(Length x, Length z) const {
    if (rows.empty())
        return std::nullopt;
    // Beyond the readings the straight line may pass in front of the wall's last gap: no shim is less than nothing.
    return Length::nearest_to_metres(std::max(0.0, gap_at(x, z) - intercept - slope * x.in_metres()));
}

bool FaceProfile::covers(Length x, Length z) const {
    if (rows.empty() || z < rows.front().z || z > rows.back().z)
        return false;
    const auto above = std::ranges::lower_bound(rows, z, {}, &FaceRow::z);
    const auto in = [&](const FaceRow& row) { return x >= row.places.front().x && x <= row.places.back().x; };
    return in(*above) && (above->z == z || in(*(above - 1)));
}

std::optional<FaceProfile::Deepest> FaceProfile::deepest_between(Length from, Length to, Length z) const {
    if (rows.empty())
        return std::nullopt;
    Deepest most{from, z, *shim_at(from, z)};
    const auto look = [&](Length x) {
        if (const Length packing = *shim_at(x, z); packing > most.packing)
            most = {x, z, packing};
    };
    look(to);
    for (const FaceRow& row : rows)
        for (const FaceRow::Place& place : row.places)
            if (place.x > from && place.x < to)
                look(place.x);
    return most;
}

std::optional<WidthProfile> width_profile(const Wall& wall, const Reader& reader) {
    std::optional<WidthProfile> profile;
    for (const WidthReading& reading : wall.widths) {
        if (!profile)
            profile = WidthProfile{reading.width, reading.z, reading.width, {}, true};
        if (reading.width < profile->least) {
            profile->least = reading.width;
            profile->least_z = reading.z;
        }
        profile->most = std::max(profile->most, reading.width);
    }
    if (profile) {
        profile->limit =
            combined_limit({limit_of_error(profile->least, reader), limit_of_error(profile->most, reader)});
        profile->parallel = profile->most - profile->least <= profile->limit;
    }
    return profile;
}

} // namespace yes_square
