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

Utilisation board_utilisation(const Shelf& shelf, const BeamResult& beam, Force accidental, const HouseRules& rules) {
    const Section section = way_of(shelf).section(shelf);
    const SectionModulus modulus = section.modulus;
    Moment leaned = beam.greatest_moment;
    for (const SpanSag& span : beam.sags)
        leaned = std::max(leaned, beam.greatest_moment + accidental * metres(span.length) * (span.overhang ? 1 : 0.25));
    if (section.metal)
        return Utilisation::of(leaned / modulus,
                               section.metal == PoleStuff::steel ? rules.shelves.rod_steel : rules.shelves.aluminium);
    const BoardProperties& board = properties(shelf.material);
    return std::max(Utilisation::of(beam.greatest_moment / modulus, bending_stored(board)),
                    Utilisation::of(leaned / modulus, bending_leaned(board)));
}

SimpleSpan simple_span(const Shelf& shelf, const HouseRules& rules, ServiceClass service_class) {
    SimpleSpan span{loads_of(shelf, rules), {}, {}};
    const BeamResult beam =
        analyse(beam_of(shelf, {Length{}, shelf.length}), span.loads.on_beam(), creep_factor(shelf, service_class));
    span.sag = worst_sag(beam, divisor(rules.sag_limit));
    span.utilisation = board_utilisation(shelf, beam, span.loads.accidental, rules);
    return span;
}

} // namespace yes_square
