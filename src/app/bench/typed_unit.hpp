#pragma once

#include "core/measure/physical.hpp"
#include "core/measure/unit.hpp"

#include <QString>

/// The unit that a fitter types and reads a physical figure in: of the hand, as lengths are.
namespace yes_square::app {

struct TypedUnit {
    QString words;
    double si = 1; ///< one of it
};

/// @param by_mass  a force that is known as the mass it bears: a bracket's rating
template <class Figure>
TypedUnit typed_unit(Unit unit, bool by_mass) {
    const bool imperial = is_imperial(unit);
    if constexpr (std::same_as<Figure, Mass>)
        return imperial ? TypedUnit{QStringLiteral("lb"), kg_per_pound} : TypedUnit{QStringLiteral("kg"), 1};
    else if constexpr (std::same_as<Figure, Force>)
        return imperial  ? TypedUnit{QStringLiteral("lb"), newtons_per_pound}
               : by_mass ? TypedUnit{QStringLiteral("kg"), standard_gravity}
                         : TypedUnit{QStringLiteral("N"), 1};
    else if constexpr (std::same_as<Figure, LineMass>)
        return imperial ? TypedUnit{QStringLiteral("lb/ft"), kg_per_pound / metres_per_foot}
                        : TypedUnit{QStringLiteral("kg/m"), 1};
    else if constexpr (std::same_as<Figure, AreaMass>)
        return imperial ? TypedUnit{QStringLiteral("lb/ft\u00b2"), kg_per_pound / (metres_per_foot * metres_per_foot)}
                        : TypedUnit{QStringLiteral("kg/m\u00b2"), 1};
    else if constexpr (std::same_as<Figure, Density>)
        return imperial ? TypedUnit{QStringLiteral("lb/ft\u00b3"),
                                    kg_per_pound / (metres_per_foot * metres_per_foot * metres_per_foot)}
                        : TypedUnit{QStringLiteral("kg/m\u00b3"), 1};
    else if constexpr (std::same_as<Figure, Pressure>)
        return {QStringLiteral("N/mm\u00b2"), 1e6}; // as packets say it everywhere
    else
        static_assert(std::same_as<Figure, Mass>, "nobody types such a figure yet");
}

} // namespace yes_square::app
