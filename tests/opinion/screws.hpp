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

struct Screw {
    double d, root, fyb, tip;
    bool coach;
};
extern const std::map<std::string, Screw> screws;

struct Strength {
    double pull = 0, shear = 0; // N, for stored goods
};

Strength in_wood(const Screw& s, double g, bool across, const Json& hole, double length_in);
Strength in_masonry(const Json& anchor, const Json& hole, double lining_share);

/// NDS-2018 12.4; in masonry the sum of the shares. Infinite where something is asked of nothing.
double used(const Strength& holds, const Json& demand, bool masonry);

} // namespace opinion
