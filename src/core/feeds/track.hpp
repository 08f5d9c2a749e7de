#pragma once

#include <vector>

/// A strip or track that carries its current itself, in copper of its own or in bare rails, fed at places along it.
namespace yes_square {

/// The bus wire runs along it from its left end, where the lead from the driver comes to, and is tapped at each place.
struct TrackCircuit {
    double length = 0;            ///< m
    double rail_ohm = 0;          ///< of a metre, both conductors together
    double bus_ohm = 0;           ///< of a metre of bus wire, there and back
    double lead_ohm = 0;          ///< driver to its left end, there and back
    std::vector<double> fed_at{}; ///< m from its left end, in order, one at least
    bool loop = false;            ///< its ends meet
};

/// What is lost where least arrives.
struct TrackDrop {
    double volts = 0;
    double at = 0; ///< m from its left end
};

/// A load spread evenly over all of it.
TrackDrop spread_drop(const TrackCircuit& track, double amps);

/// One load, wherever it stands: at x between feeds at a and b through (x - a) (b - x) / (b - a) of the rails, and
/// through what lies before those feeds; beyond the last feed through all of the rail to it. A loop is fed from both
/// sides everywhere.
TrackDrop moving_drop(const TrackCircuit& track, double amps);

/// So many places evenly along it: each feeds as much to its left as to its right.
std::vector<double> evenly_fed(double length, int places, bool loop);

} // namespace yes_square
