#include "core/survey/stud_posterior.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

/// A stud every so often, before anything is known: turns "nine times in ten true" into a likelihood.
constexpr double one_stud_in_mm = 450;
/// A knock is heard this far beyond the stud's edge.
constexpr double knock_spread_mm = 10;
/// Where wood stands against a box's side, its edge is this near to it.
constexpr double box_scatter_mm = 5;

double reading(double wood, bool hit, double wrong) {
    const double says_wood = wrong + (1 - 2 * wrong) * wood;
    return hit ? says_wood : 1 - says_wood;
}

/// A trace that stands at a stud's middle with this probability and means nothing otherwise.
double trace(double off, double sigma, double true_share) {
    const double density = std::exp(-0.5 * off * off / (sigma * sigma)) / (sigma * std::sqrt(2 * std::numbers::pi));
    return std::log(1 - true_share + true_share * one_stud_in_mm * density) - std::log(1 - true_share);
}

bool by_detector(EvidenceKind kind) {
    return kind == EvidenceKind::detector || kind == EvidenceKind::detector_left_edge ||
           kind == EvidenceKind::detector_right_edge;
}

double sigma_of(const Observation& seen, const StudRules& rules) {
    if (by_detector(seen.kind))
        return std::max(1.0, seen.error.value_or(rules.detector_error).in_mm() / 2);
    if (seen.kind == EvidenceKind::box_stud_left || seen.kind == EvidenceKind::box_stud_right)
        return box_scatter_mm;
    return rules.screw_scatter.in_mm();
}

/// Sure enough for the sums: a rule of 1 would make any contradiction impossible.
double share(double rule) {
    return std::min(rule, 0.995);
}

} // namespace

double covered(double from_centre, double stud_width) {
    return std::clamp((stud_width / 2 + 1 - std::abs(from_centre)) / 2, 0.0, 1.0);
}

double binary_entropy(double p) {
    return p <= 0 || p >= 1 ? 0 : -p * std::log2(p) - (1 - p) * std::log2(1 - p);
}

double reach_of(const Observation& seen, double stud_width, const StudRules& rules) {
    switch (seen.kind) {
    case EvidenceKind::probe_hit:
    case EvidenceKind::probe_miss:
        return stud_width / 2 + 1;
    case EvidenceKind::left_edge:
    case EvidenceKind::right_edge:
        return stud_width / 2 + 1 + seen.error.value_or(rules.edge_gap).in_mm() / 2;
    case EvidenceKind::knock_solid:
    case EvidenceKind::knock_hollow:
        return stud_width / 2 + knock_spread_mm;
    case EvidenceKind::box_stud_left:
    case EvidenceKind::box_stud_right:
        return stud_width / 2 + 4 * box_scatter_mm;
    case EvidenceKind::detector_left_edge:
    case EvidenceKind::detector_right_edge:
        return stud_width / 2 + 4 * sigma_of(seen, rules);
    default:
        return 4 * sigma_of(seen, rules);
    }
}

double log_evidence(const Observation& seen, double centre, double stud_width, const StudRules& rules) {
    const double x = seen.x.in_mm();
    const double half = seen.error.value_or(rules.edge_gap).in_mm() / 2;
    const auto probe = [&](double at, bool hit) {
        return std::log(reading(covered(at - centre, stud_width), hit, rules.probe_false)) -
               std::log(reading(0, hit, rules.probe_false));
    };
    switch (seen.kind) {
    case EvidenceKind::probe_hit:
        return probe(x, true);
    case EvidenceKind::probe_miss:
        return probe(x, false);
    case EvidenceKind::left_edge:
        return probe(x - half, false) + probe(x + half, true);
    case EvidenceKind::right_edge:
        return probe(x - half, true) + probe(x + half, false);
    case EvidenceKind::knock_solid:
    case EvidenceKind::knock_hollow: {
        if (std::abs(x - centre) > stud_width / 2 + knock_spread_mm)
            return 0;
        const double right = std::log(share(rules.knock_right)) - std::log(1 - share(rules.knock_right));
        return seen.kind == EvidenceKind::knock_solid ? right : -right;
    }
    case EvidenceKind::box_stud_left:
        return trace(x - stud_width / 2 - centre, sigma_of(seen, rules), share(rules.box_side_right));
    case EvidenceKind::box_stud_right:
        return trace(x + stud_width / 2 - centre, sigma_of(seen, rules), share(rules.box_side_right));
    case EvidenceKind::detector_left_edge:
        return trace(x + stud_width / 2 - centre, sigma_of(seen, rules), share(rules.detector_true));
    case EvidenceKind::detector_right_edge:
        return trace(x - stud_width / 2 - centre, sigma_of(seen, rules), share(rules.detector_true));
    case EvidenceKind::detector:
        return trace(x - centre, sigma_of(seen, rules), share(rules.detector_true));
    case EvidenceKind::screw_line:
        return trace(x - centre, sigma_of(seen, rules), share(rules.screw_line_true));
    case EvidenceKind::nail_pop:
        return trace(x - centre, sigma_of(seen, rules), share(rules.nail_pop_true));
    case EvidenceKind::skirting_nails:
        return trace(x - centre, sigma_of(seen, rules), share(rules.skirting_nails_true));
    }
    return 0;
}

} // namespace yes_square
