#include "core/shelves/verdicts.hpp"

#include "core/shelves/way.hpp"

#include <algorithm>

namespace yes_square {

SagVerdict worst_sag(const BeamResult& beam, int limit_divisor) {
    SagVerdict worst;
    for (const SpanSag& sag : beam.sags) {
        const double span = sag.overhang ? 2 * sag.length : sag.length;
        const SagVerdict verdict{span, sag.place, sag.instantaneous, sag.long_term, span / limit_divisor, sag.overhang};
        if (worst.limit == 0 || verdict.share() > worst.share())
            worst = verdict;
    }
    return worst;
}

Utilisation board_utilisation(const Shelf& shelf, const BeamResult& beam, Force accidental, const HouseRules& rules,
                              std::optional<double> back_held) {
    const Section section = way_of(shelf).section(shelf);
    const SectionModulus modulus = section.modulus;
    const double by_goods = std::max(1.0, back_held.value_or(1));
    const double by_leaning = back_held ? std::max(1.0, 2 * *back_held) : 1;
    const Moment stored = by_goods * beam.greatest_moment;
    Moment leaned = stored;
    for (const SpanSag& span : beam.sags)
        leaned = std::max(leaned, stored + by_leaning * accidental * metres(span.length) * (span.overhang ? 1 : 0.25));
    if (section.metal)
        return Utilisation::of(leaned / modulus,
                               section.metal == PoleStuff::steel ? rules.shelves.rod_steel : rules.shelves.aluminium);
    const BoardProperties& board = properties(shelf.material);
    return std::max(Utilisation::of(stored / modulus, bending_stored(board)),
                    Utilisation::of(leaned / modulus, bending_leaned(board)));
}

SimpleSpan simple_span(const Shelf& shelf, const HouseRules& rules, ServiceClass service_class,
                       std::optional<double> back_held) {
    SimpleSpan span{loads_of(shelf, rules), {}, {}};
    const BeamResult beam =
        analyse(beam_of(shelf, {Length{}, shelf.length}), span.loads.on_beam(), creep_factor(shelf, service_class));
    span.sag = worst_sag(beam, divisor(rules.sag_limit)).times(back_held.value_or(1));
    span.utilisation = board_utilisation(shelf, beam, span.loads.accidental, rules, back_held);
    return span;
}

} // namespace yes_square
