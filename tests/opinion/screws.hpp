#pragma once

#include "opinion.hpp"

#include <map>

/// What screws and plugs hold, by NDS-2018 (from memory) and by the packet.
namespace opinion {

inline constexpr double newton = 4.4482216152605; // a pound
inline constexpr double inch = 0.0254;
inline constexpr double pi = 3.14159265358979;

/// NDS-2018 table 12.3.3A, appendix L (from memory).
extern const std::map<std::string, double> specific_gravity;
/// EN 338 (from memory) and house rules, kg/m3.
extern const std::map<std::string, double> density;

struct Screw {
    double d, root, fyb, tip;
    bool coach;
};
extern const std::map<std::string, Screw> screws;

struct Strength {
    double pull = 0, shear = 0; // N, for stored goods
    bool en = false;            // by EN 1995-1-1
};

Strength in_wood(const Screw& s, double g, bool across, const Json& hole, double length_in);
Strength in_wood_en(const Screw& s, double rho, bool across, const Json& hole, double length_in);
Strength in_masonry(const Json& anchor, const Json& hole, double lining_share);

/// What a screw bears for a duration of that for stored goods: NDS by the ratio of the durations; EN by k_mod and the
/// load factors, people and pulls against own weight.
double lasting(const Strength& holds, double duration);

/// NDS-2018 12.4, EN 1995-1-1 8.28; in masonry the sum of the shares. Infinite where something is asked of nothing.
double used(const Strength& holds, const Json& demand, bool masonry);

} // namespace opinion
