#include "core/survey/strips.hpp"

#include <algorithm>

namespace yes_square {
namespace {

std::string_view cable_to(const ServicePoint& service) {
    switch (service.kind) {
    case ServiceKind::socket:
        return service.far_side ? "a cable to the socket on the far side" : "a cable to the socket";
    case ServiceKind::switch_:
        return service.far_side ? "a cable to the switch on the far side" : "a cable to the switch";
    case ServiceKind::fixed_appliance:
        return service.far_side ? "a cable to the fixed appliance on the far side" : "a cable to the fixed appliance";
    case ServiceKind::pipe:
        break;
    }
    return "a pipe";
}

class StripFinder {
public:
    StripFinder(const Wall& wall, const HouseRules& rules)
        : wall_{wall}
        , rules_{rules} {}

    std::vector<Strip> find() {
        for (const ServicePoint& service : wall_.services)
            from_service(service);
        for (const Obstacle& obstacle : wall_.obstacles)
            from_obstacle(obstacle);
        along_edges();
        for (const ScannedArea& area : wall_.scans)
            if (area.result == ScanResult::clear)
                clear(area);
        for (const ScannedArea& area : wall_.scans)
            add_found(area);
        return std::move(strips_);
    }

private:
    void upright(Length left, Length right, std::string_view what) {
        strips_.push_back({left, right, {}, wall_.height, what});
    }

    void from_service(const ServicePoint& service) {
        if (service.far_side && wall_.thickness && *wall_.thickness > rules_.strip_thin_wall)
            return;
        const Length half = service.width / 2;
        upright(service.centre - half, service.centre + half, cable_to(service));
        if (service.kind != ServiceKind::pipe)
            strips_.push_back({{}, wall_.length, service.height - half, service.height + half, cable_to(service)});
    }

    void from_obstacle(const Obstacle& obstacle) {
        const Length right = obstacle.left + obstacle.width;
        if (obstacle.kind == ObstacleKind::radiator)
            for (const Length end : {obstacle.left, right})
                upright(end - rules_.pipe_strip / 2, end + rules_.pipe_strip / 2, "a pipe to the radiator");
        else if (obstacle.kind == ObstacleKind::boiler)
            upright(obstacle.left, right, "a pipe to the boiler");
    }

    void along_edges() {
        const Length corner = rules_.strip_corner;
        if (corner <= Length{})
            return;
        if (wall_.left_end != WallEnd::open)
            upright({}, corner, "a cable beside the corner");
        if (wall_.right_end != WallEnd::open)
            upright(wall_.length - corner, wall_.length, "a cable beside the corner");
        strips_.push_back({{}, wall_.length, wall_.height - corner, wall_.height, "a cable along the ceiling"});
    }

    /// Cuts the area out of every inferred strip: what is left beside, over and under it.
    void clear(const ScannedArea& area) {
        const Length left = area.left;
        const Length right = area.left + area.width;
        const Length bottom = area.bottom;
        const Length top = area.bottom + area.height;
        std::vector<Strip> rest;
        for (const Strip& strip : strips_) {
            if (strip.right <= left || strip.left >= right || strip.top <= bottom || strip.bottom >= top) {
                rest.push_back(strip);
                continue;
            }
            const auto keep = [&](Length l, Length r, Length b, Length t) {
                if (l < r && b < t)
                    rest.push_back({l, r, b, t, strip.what, strip.basis});
            };
            keep(strip.left, left, strip.bottom, strip.top);
            keep(right, strip.right, strip.bottom, strip.top);
            const Length from = std::max(strip.left, left);
            const Length to = std::min(strip.right, right);
            keep(from, to, strip.bottom, bottom);
            keep(from, to, top, strip.top);
        }
        strips_ = std::move(rest);
    }

    void add_found(const ScannedArea& area) {
        const bool own = area.result == ScanResult::keep_out;
        if (area.result == ScanResult::clear)
            return;
        const Length margin = own ? Length{} : rules_.scan_margin;
        strips_.push_back({area.left - margin, area.left + area.width + margin, area.bottom - margin,
                           area.bottom + area.height + margin,
                           own                                ? std::string_view{"a part you keep free"}
                           : area.result == ScanResult::cable ? "a cable the detector found"
                                                              : "a pipe the detector found",
                           own ? Strip::Basis::own : Strip::Basis::detected});
    }

    const Wall& wall_;
    const HouseRules& rules_;
    std::vector<Strip> strips_;
};

} // namespace

std::vector<std::size_t> strips_at(const std::vector<Strip>& strips, Length x, Length z, Length radius) {
    std::vector<std::size_t> met;
    for (std::size_t i = 0; i < strips.size(); ++i)
        if (strips[i].meets(x, z, radius))
            met.push_back(i);
    std::ranges::stable_partition(met, [&](std::size_t i) { return strips[i].basis != Strip::Basis::inferred; });
    return met;
}

std::vector<Strip> service_strips(const Wall& wall, const HouseRules& rules) {
    return StripFinder{wall, rules}.find();
}

} // namespace yes_square
