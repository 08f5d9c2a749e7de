#include "core/feeds/lead.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

constexpr double copper_ohm_mm2_per_m = 1.7241e-2; // 1.7241e-8 ohm m, IEC 60028

LeadProperties metric(Conductor conductor, std::string_view words, double mm2) {
    return {conductor, words, mm2, false, copper_ohm_mm2_per_m / mm2};
}

LeadProperties gauge(Conductor conductor, std::string_view words, int awg) {
    const double diameter = 0.127 * std::pow(92.0, (36 - awg) / 39.0);
    LeadProperties lead = metric(conductor, words, std::numbers::pi / 4 * diameter * diameter);
    lead.by_gauge = true;
    return lead;
}

} // namespace

const std::array<LeadProperties, 10>& all_leads() {
    static const auto leads = [] {
        std::array<LeadProperties, 10> all{
            gauge(Conductor::awg_22, "22 AWG", 22), metric(Conductor::mm2_0_5, "0.5 mm\u00b2", 0.5),
            gauge(Conductor::awg_20, "20 AWG", 20), metric(Conductor::mm2_0_75, "0.75 mm\u00b2", 0.75),
            gauge(Conductor::awg_18, "18 AWG", 18), metric(Conductor::mm2_1, "1 mm\u00b2", 1),
            gauge(Conductor::awg_16, "16 AWG", 16), metric(Conductor::mm2_1_5, "1.5 mm\u00b2", 1.5),
            gauge(Conductor::awg_14, "14 AWG", 14), metric(Conductor::mm2_2_5, "2.5 mm\u00b2", 2.5),
        };
        std::ranges::sort(all, {}, &LeadProperties::section_mm2);
        return all;
    }();
    return leads;
}

const LeadProperties& properties(Conductor conductor) {
    return *std::ranges::find(all_leads(), conductor, &LeadProperties::conductor);
}

FeedDrop drop_of(const FeedCircuit& circuit) {
    const double i = circuit.amps;
    if (i <= 0)
        return {};
    const double all = circuit.near_ohm + circuit.along_ohm + circuit.far_ohm;
    if (!circuit.both_ends || all <= 0)
        return {i, 0, circuit.both_ends ? 0 : i * (circuit.near_ohm + circuit.along_ohm / 2), 1};
    // Round the loop the drops cancel: near I1 + along (I1 - I/2) = far (I - I1).
    const double near = i * (circuit.far_ohm + circuit.along_ohm / 2) / all;
    const double share = near / i; // lamps from the near end up to here are fed from it
    return {near, i - near, near * circuit.near_ohm + circuit.along_ohm * near * share / 2, share};
}

} // namespace yes_square
