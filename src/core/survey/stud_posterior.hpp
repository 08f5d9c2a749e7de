#pragma once

#include "core/job/job.hpp"

#include <vector>

/// Where the studs are, from what was seen: Bayes' rule over the ways a wall may have been framed.
///
/// Hypotheses: a spacing on centre (16, 19.2, 24 in, 400, 450, 600 mm, the spacing told, or none) and a phase in 1 mm
/// steps; the phases that setting out from either end would give are likelier. Under each, a stud stands at every
/// nominal place but for a few missing ones, scattered about it, and an extra stud may stand in any bay, likeliest at
/// the wall's ends and beside openings. Each observation bears on the one stud that explains it.
///
///     const StudPosterior posterior = weigh_studs(StudQuestion::of(wall, framing, rules.studs), wall.observations);
///     posterior.wood_at(812_mm);   // 0.97
namespace yes_square {

/// What is known of the wall before anything was seen behind its lining.
struct StudQuestion {
    Length length;
    Length height;
    Length stud_width = 38_mm;
    Length told_spacing = 400_mm;
    Length lining;
    WallEnd left_end = WallEnd::corner;
    WallEnd right_end = WallEnd::corner;
    std::vector<std::pair<Length, Length>> openings = {}; ///< left and right, trim included
    StudRules rules = {};
    bool told = false;                    ///< the spacing was said by somebody who should know
    std::optional<Length> told_stud = {}; ///< and so was where a stud's centre is

    static StudQuestion of(const Wall& wall, const Framing& framing, const StudRules& rules);
};

struct SpacingShare {
    Length spacing; ///< 0: no even spacing
    double probability = 0;
};

class StudPosterior {
public:
    /// Probability of wood at x; 0 outside the wall.
    double wood_at(Length x) const;
    /// Probability that a stud's centre is within `reach` of x.
    double stud_within(Length x, Length reach) const;

    /// Per millimetre from the wall's left end: probability density of a stud's centre.
    const std::vector<double>& centres() const { return centres_; }
    /// The same of where wood begins, going right, and where it ends; two studs side by side are one piece of wood.
    const std::vector<double>& left_edges() const { return left_edges_; }
    const std::vector<double>& right_edges() const { return right_edges_; }
    const std::vector<double>& wood() const { return wood_; }
    /// Expected entropy of a probe reading at each millimetre once the studs were known, bits.
    const std::vector<double>& noise() const { return noise_; }
    /// Log of how much likelier the observations nearby are with a stud centred here than with none.
    const std::vector<double>& own_evidence() const { return own_evidence_; }
    /// Spacings in falling probability.
    const std::vector<SpacingShare>& spacings() const { return spacings_; }

private:
    friend class StudWeigher;
    std::vector<double> centres_;
    std::vector<double> left_edges_;
    std::vector<double> right_edges_;
    std::vector<double> wood_;
    std::vector<double> noise_;
    std::vector<double> own_evidence_;
    std::vector<SpacingShare> spacings_;
};

/// Probability that a probe at a distance from a stud's centre meets it; an edge is soft by 1 mm either way, since
/// studs are not all quite as wide.
double covered(double from_centre_mm, double stud_width_mm);

/// Entropy of a yes-or-no with this probability, bits.
double binary_entropy(double probability);

/// How much likelier each observation is with a stud of this width centred at c than with none near, as a log.
/// Likelihoods are StudRules'.
double log_evidence(const Observation& seen, double centre_mm, double stud_width_mm, const StudRules& rules);

/// How far from a stud's centre an observation can still speak of it, mm.
double reach_of(const Observation& seen, double stud_width_mm, const StudRules& rules);

/// Prior density per millimetre of an extra stud, single or doubled, at a place.
struct ExtraStuds {
    double single = 0;
    double doubled = 0;
};
ExtraStuds extra_studs(double x_mm, const StudQuestion& question);
/// Prior probability that a stud set out at a place is not there: beside an opening king and jack stand instead.
double missing_at(double x_mm, const StudQuestion& question);

/// A way the wall may be set out, with its prior probability.
struct LayoutPrior {
    double spacing_mm = 0;     ///< 0: none
    std::vector<double> phase; ///< prior of the first nominal centre being at 0, 1, 2 ... mm; sums to `probability`
    double probability = 0;
};
std::vector<LayoutPrior> layout_priors(const StudQuestion& question);

StudPosterior weigh_studs(const StudQuestion& question, const std::vector<Observation>& observations);

} // namespace yes_square
