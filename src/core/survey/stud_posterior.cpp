#include "core/survey/stud_posterior.hpp"

#include <algorithm>
#include <bit>
#include <cmath>
#include <limits>
#include <numeric>
#include <optional>

namespace yes_square {
namespace {

/// The most that all evidence for one place may come to, as a log: two such and a prior still fit in a double.
/// Thousands of readings of one place come to more; then all evidence is tempered alike, so that none is cut off
/// against another.
constexpr double most_log = 300;
/// Where no even spacing holds there is about one stud in each such bay, mm, three times in four.
constexpr double loose_bay = 450;
constexpr double loose_share = 0.75;
/// How finely a place for a cut between two bays is looked for, mm.
constexpr std::ptrdiff_t cut_step = 4;

using Row = std::vector<double>;

/// Any stretch of a row as one piece before and one after the middle of a block, at the level of blocks where its ends
/// part: what sums and additions over stretches are made of. They only ever add. Weights span hundreds of powers of
/// ten, and a difference of running sums would lose the small ones altogether.
struct HalvedStretch {
    unsigned level = 0;
    std::size_t from = 0;
    std::size_t last = 0;

    /// `from` must be less than `to`.
    static HalvedStretch of(std::size_t from, std::size_t to) {
        const std::size_t last = to - 1;
        return {from == last ? 0U : static_cast<unsigned>(std::bit_width(from ^ last)) - 1, from, last};
    }
};

/// Calls visit(level, begin, middle, end) for every block of a row of this size.
void each_block(std::size_t size, auto&& visit) {
    for (unsigned level = 0; (std::size_t{1} << level) < size; ++level) {
        const std::size_t half = std::size_t{1} << level;
        for (std::size_t begin = 0; begin + half < size; begin += 2 * half)
            visit(level, begin, begin + half, std::min(size, begin + 2 * half));
    }
}

unsigned levels_of(std::size_t size) {
    return std::max(1U, static_cast<unsigned>(std::bit_width(size - 1)));
}

/// A sum over any stretch of a row, in two look-ups.
class StretchSum {
public:
    explicit StretchSum(const Row& row)
        : row_{row}
        , sums_(levels_of(row.size()), Row(row.size())) {
        each_block(row.size(), [&](unsigned level, std::size_t begin, std::size_t middle, std::size_t end) {
            double sum = 0;
            for (std::size_t i = middle; i-- > begin;)
                sums_[level][i] = sum += row[i];
            sum = 0;
            for (std::size_t i = middle; i < end; ++i)
                sums_[level][i] = sum += row[i];
        });
    }
    /// Over [from, to), which must lie in the row unless it is empty.
    double over(std::ptrdiff_t from, std::ptrdiff_t to) const {
        if (from >= to)
            return 0;
        const auto piece = HalvedStretch::of(static_cast<std::size_t>(from), static_cast<std::size_t>(to));
        return piece.from == piece.last ? row_[piece.from]
                                        : sums_[piece.level][piece.from] + sums_[piece.level][piece.last];
    }

private:
    Row row_;
    std::vector<Row> sums_; ///< by level: from each place to the middle of its block
};

/// Adds to whole stretches of a row at once; `row()` at the end.
class StretchAdder {
public:
    explicit StretchAdder(std::size_t size)
        : row_(size)
        , added_(levels_of(size), Row(size)) {}
    /// To [from, to), which must lie in the row unless it is empty.
    void add(std::ptrdiff_t from, std::ptrdiff_t to, double value) {
        if (from >= to)
            return;
        const auto piece = HalvedStretch::of(static_cast<std::size_t>(from), static_cast<std::size_t>(to));
        if (piece.from == piece.last) {
            row_[piece.from] += value;
            return;
        }
        added_[piece.level][piece.from] += value;
        added_[piece.level][piece.last] += value;
    }
    Row row() && {
        each_block(row_.size(), [&](unsigned level, std::size_t begin, std::size_t middle, std::size_t end) {
            double sum = 0;
            for (std::size_t i = begin; i < middle; ++i)
                row_[i] += sum += added_[level][i];
            sum = 0;
            for (std::size_t i = end; i-- > middle;)
                row_[i] += sum += added_[level][i];
        });
        return std::move(row_);
    }

private:
    Row row_;
    std::vector<Row> added_; ///< by level: what holds from each place to the middle of its block
};

/// Spreads a row by a symmetric kernel.
Row spread(const Row& row, const Row& kernel) {
    const auto half = static_cast<std::ptrdiff_t>(kernel.size() / 2);
    const auto size = static_cast<std::ptrdiff_t>(row.size());
    Row out(row.size());
    for (std::ptrdiff_t i = 0; i < size; ++i) {
        if (row[static_cast<std::size_t>(i)] == 0)
            continue;
        const std::ptrdiff_t from = std::max<std::ptrdiff_t>(0, i - half);
        const std::ptrdiff_t to = std::min(size - 1, i + half);
        for (std::ptrdiff_t j = from; j <= to; ++j)
            out[static_cast<std::size_t>(j)] +=
                row[static_cast<std::size_t>(i)] * kernel[static_cast<std::size_t>(j - i + half)];
    }
    return out;
}

} // namespace

/// One weighing; its rows are per millimetre of wall.
class StudWeigher {
public:
    StudWeigher(const StudQuestion& question, const std::vector<Observation>& observations)
        : question_{question}
        , rules_{question.rules}
        , width_{question.stud_width.in_mm()}
        , size_{static_cast<std::size_t>(std::max(0.0, std::floor(question.length.in_mm()))) + 1}
        , near_{static_cast<std::ptrdiff_t>(std::ceil(1.5 * width_ + 3 * rules_.scatter.in_mm()))}
        , single_{evidence(observations, width_)}
        , doubled_{evidence(observations, 2 * width_)} {
        result_.own_evidence_ = single_;
        temper();
    }

    StudPosterior weigh() {
        place_extras();
        place_scatter();
        weigh_layouts();
        gather();
        return std::move(result_);
    }

private:
    /// How much likelier all that was seen is with a stud centred at each millimetre than with none near it, as a log.
    Row evidence(const std::vector<Observation>& observations, double width) {
        Row logs(size_);
        for (const Observation& seen : observations) {
            const double reach = reach_of(seen, width, rules_);
            const double x = seen.x.in_mm();
            const auto from = static_cast<std::ptrdiff_t>(std::floor(x - reach));
            const auto to = static_cast<std::ptrdiff_t>(std::ceil(x + reach));
            for (std::ptrdiff_t c = std::max<std::ptrdiff_t>(0, from); c <= to; ++c)
                if (c < static_cast<std::ptrdiff_t>(size_))
                    logs[static_cast<std::size_t>(c)] += log_evidence(seen, static_cast<double>(c), width, rules_);
        }
        return logs;
    }

    /// Turns logs into likelihoods.
    void temper() {
        const double most = std::max(*std::ranges::max_element(single_), *std::ranges::max_element(doubled_));
        const double share = most > most_log ? most_log / most : 1;
        for (Row* row : {&single_, &doubled_})
            for (double& value : *row)
                value = std::exp(std::max(value * share, -most_log));
    }

    /// What an extra stud at each millimetre weighs, prior times likelihood.
    void place_extras() {
        Row prior(size_);
        extra_single_.resize(size_);
        extra_doubled_.resize(size_);
        for (std::size_t i = 0; i < size_; ++i) {
            missing_.push_back(missing_at(static_cast<double>(i), question_));
            const ExtraStuds extra = extra_studs(static_cast<double>(i), question_);
            prior[i] = extra.single + extra.doubled;
            extra_single_[i] = extra.single * single_[i];
            extra_doubled_[i] = extra.doubled * doubled_[i];
        }
        Row both(size_);
        std::ranges::transform(extra_single_, extra_doubled_, both.begin(), std::plus{});
        extras_.emplace(both);
        expected_.emplace(prior);
        singles_.emplace(single_);
        place_guards();
    }

    /// What a stud set out at each millimetre weighs, scattered about it.
    void place_scatter() {
        const double sigma = rules_.scatter.in_mm();
        const auto half = static_cast<std::ptrdiff_t>(std::ceil(3 * sigma));
        for (std::ptrdiff_t d = -half; d <= half; ++d)
            kernel_.push_back(std::exp(-0.5 * static_cast<double>(d * d) / (sigma * sigma)));
        const double sum = std::reduce(kernel_.begin(), kernel_.end());
        for (double& value : kernel_)
            value /= sum;
        regular_ = spread(single_, kernel_);
    }

    /// A stretch of wall about a nominal place, cut so that no piece of evidence counts in two: in it stands the
    /// regular stud or none, and an extra one or none, never one upon the other.
    struct Bay {
        std::ptrdiff_t nominal = 0; ///< may lie beyond the wall's ends, where nothing is set out
        std::ptrdiff_t from = 0;
        std::ptrdiff_t to = 0;
    };
    /// What may stand in a bay, weighed; of all that may stand there, without evidence, the weights make 1.
    struct BayWeight {
        double whole = 0;   ///< everything together
        double far = 0;     ///< extras beside the regular stud
        double absent = 1;  ///< prior of no regular stud and no extra
        double present = 0; ///< prior of the regular stud and no extra, times its own evidence
    };
    BayWeight weigh(const Bay& bay) const {
        const std::ptrdiff_t near_from = std::clamp(bay.nominal - near_, bay.from, bay.to);
        const std::ptrdiff_t near_to = std::clamp(bay.nominal + near_ + 1, bay.from, bay.to);
        const auto beside = [&](const StretchSum& sum) {
            return sum.over(bay.from, near_from) + sum.over(near_to, bay.to);
        };
        BayWeight weight;
        const double near = extras_->over(near_from, near_to);
        const double expected = beside(*expected_);
        weight.far = beside(*extras_);
        weight.absent = 1 / (1 + expected + expected_->over(near_from, near_to));
        if (bay.nominal >= 0 && bay.nominal < static_cast<std::ptrdiff_t>(size_)) {
            const auto at = static_cast<std::size_t>(bay.nominal);
            weight.absent *= missing_[at];
            weight.present = (1 - missing_[at]) * regular_[at] / (1 + expected);
        }
        weight.whole = weight.absent * (1 + near + weight.far) + weight.present * (1 + weight.far);
        return weight;
    }

    /// For each place where a cut between two bays is wanted, in cut steps, one not far from it where the least speaks
    /// for a stud: an extra stud on a cut would be counted in both bays.
    std::vector<std::ptrdiff_t> cuts_for(double spacing) const {
        const auto reach = static_cast<std::ptrdiff_t>(spacing / 6) / cut_step;
        const auto places = static_cast<std::ptrdiff_t>(guarded_.size());
        std::vector<std::ptrdiff_t> cuts;
        for (std::ptrdiff_t wanted = 0; wanted < places; ++wanted) {
            std::ptrdiff_t best = wanted;
            for (std::ptrdiff_t off = 1; off <= reach; ++off)
                for (const std::ptrdiff_t at : {wanted + off, wanted - off})
                    if (at >= 0 && at < places && guarded(at) < guarded(best) * 0.999)
                        best = at;
            cuts.push_back(best * cut_step);
        }
        return cuts;
    }
    double guarded(std::ptrdiff_t at) const { return guarded_[static_cast<std::size_t>(at)]; }

    /// What extras about each possible cut weigh.
    void place_guards() {
        const auto guard = static_cast<std::ptrdiff_t>(width_) + 1;
        const auto size = static_cast<std::ptrdiff_t>(size_);
        for (std::ptrdiff_t at = 0; at < size; at += cut_step)
            guarded_.push_back(extras_->over(std::max<std::ptrdiff_t>(0, at - guard), std::min(size, at + guard)));
    }

    /// The bays of a wall set out at a spacing from a first nominal place, end to end.
    template <class Visit>
    void each_bay(double spacing, std::size_t phase, const std::vector<std::ptrdiff_t>& cuts, Visit&& visit) const {
        const auto size = static_cast<std::ptrdiff_t>(size_);
        std::ptrdiff_t from = 0;
        for (double number = -1; from < size; ++number) {
            const double nominal = static_cast<double>(phase) + number * spacing;
            const auto wanted = static_cast<std::ptrdiff_t>(std::lround(nominal + spacing / 2));
            if (wanted <= 0)
                continue;
            const std::ptrdiff_t to =
                wanted >= size ? size : std::max(from, cuts[static_cast<std::size_t>(wanted / cut_step)]);
            visit(Bay{static_cast<std::ptrdiff_t>(std::lround(nominal)), from, to});
            from = to;
        }
    }

    /// Where no spacing holds: bays of their own, a stud anywhere in each, or an extra one as elsewhere. Visits with
    /// the prior density of the stud, all that may stand in the bay, and what that would come to without evidence.
    template <class Visit>
    void each_loose_bay(const std::vector<std::ptrdiff_t>& cuts, Visit&& visit) const {
        each_bay(loose_bay, static_cast<std::size_t>(loose_bay / 2), cuts, [&](const Bay& bay) {
            const double prior = loose_share / static_cast<double>(std::max<std::ptrdiff_t>(1, bay.to - bay.from));
            const double whole =
                1 - loose_share + prior * singles_->over(bay.from, bay.to) + extras_->over(bay.from, bay.to);
            visit(bay, prior, whole, 1 + expected_->over(bay.from, bay.to));
        });
    }

    void weigh_layouts() {
        priors_ = layout_priors(question_);
        double most = -std::numeric_limits<double>::infinity();
        for (const LayoutPrior& prior : priors_) {
            Row& logs = weights_.emplace_back(std::max<std::size_t>(1, prior.phase.size()));
            const auto& cuts = cuts_.emplace_back(cuts_for(prior.spacing_mm > 0 ? prior.spacing_mm : loose_bay));
            if (prior.spacing_mm == 0) {
                logs[0] = std::log(prior.probability);
                each_loose_bay(cuts, [&](const Bay&, double, double whole, double without) {
                    logs[0] += std::log(whole / without);
                });
            }
            for (std::size_t phase = 0; phase < prior.phase.size(); ++phase) {
                logs[phase] = std::log(prior.phase[phase]);
                each_bay(prior.spacing_mm, phase, cuts,
                         [&](const Bay& bay) { logs[phase] += std::log(weigh(bay).whole); });
            }
            most = std::max(most, *std::ranges::max_element(logs));
        }
        double sum = 0;
        for (Row& row : weights_)
            for (double& weight : row)
                sum += weight = std::exp(weight - most);
        for (std::size_t i = 0; i < weights_.size(); ++i) {
            double share = 0;
            for (double& weight : weights_[i])
                share += weight /= sum;
            result_.spacings_.push_back({Length::nearest_to_metres(priors_[i].spacing_mm / 1e3), share});
        }
        std::ranges::sort(result_.spacings_, std::greater{}, &SpacingShare::probability);
    }

    void gather() {
        constexpr double negligible = 1e-8; // of all weight, for one layout
        Row nominal(size_);                 // weight of a regular stud set out here, before its own likelihood
        Row loose(size_);                   // of a stud anywhere in a loose bay
        StretchAdder room{size_};
        for (std::size_t i = 0; i < priors_.size(); ++i) {
            const double spacing = priors_[i].spacing_mm;
            if (spacing == 0 && weights_[i][0] > negligible)
                each_loose_bay(cuts_[i], [&](const Bay& bay, double prior, double whole, double) {
                    room.add(bay.from, bay.to, weights_[i][0] / whole);
                    for (std::ptrdiff_t at = bay.from; at < bay.to; ++at)
                        loose[static_cast<std::size_t>(at)] += weights_[i][0] * prior / whole;
                });
            for (std::size_t phase = 0; phase < priors_[i].phase.size(); ++phase)
                if (weights_[i][phase] > negligible)
                    each_bay(spacing, phase, cuts_[i], [&](const Bay& bay) {
                        const BayWeight b = weigh(bay);
                        const double weight = weights_[i][phase] / b.whole;
                        const double far = weight * (b.absent + b.present);
                        const std::ptrdiff_t near_from = std::clamp(bay.nominal - near_, bay.from, bay.to);
                        const std::ptrdiff_t near_to = std::clamp(bay.nominal + near_ + 1, bay.from, bay.to);
                        room.add(bay.from, near_from, far);
                        room.add(near_from, near_to, weight * b.absent);
                        room.add(near_to, bay.to, far);
                        if (b.present > 0) {
                            const auto at = static_cast<std::size_t>(bay.nominal);
                            nominal[at] += weight * b.present / regular_[at] * (1 + b.far);
                        }
                    });
        }
        const Row regular = spread(nominal, kernel_);
        const Row free = std::move(room).row();
        Row singles(size_);
        Row pairs(size_);
        for (std::size_t i = 0; i < size_; ++i) {
            singles[i] = (regular[i] + loose[i]) * single_[i] + free[i] * extra_single_[i];
            pairs[i] = free[i] * extra_doubled_[i];
        }
        cover(singles, width_);
        cover(pairs, 2 * width_);
        for (double& wood : result_.wood_)
            wood = std::min(1.0, wood);
        const auto half = static_cast<std::ptrdiff_t>(std::lround(width_ / 2));
        result_.centres_ = singles;
        add_shifted(pairs, half, result_.centres_);
        add_shifted(pairs, -half, result_.centres_);
        result_.left_edges_.resize(size_);
        add_shifted(singles, -half, result_.left_edges_);
        add_shifted(pairs, -2 * half, result_.left_edges_);
        result_.right_edges_.resize(size_);
        add_shifted(singles, half, result_.right_edges_);
        add_shifted(pairs, 2 * half, result_.right_edges_);
    }

    static void add_shifted(const Row& row, std::ptrdiff_t by, Row& sum) {
        const auto size = static_cast<std::ptrdiff_t>(row.size());
        for (std::ptrdiff_t i = std::max<std::ptrdiff_t>(0, -by); i < size - std::max<std::ptrdiff_t>(0, by); ++i)
            sum[static_cast<std::size_t>(i + by)] += row[static_cast<std::size_t>(i)];
    }

    /// Adds to each place the wood, and the doubt a probe keeps at its soft edges, that studs centred here bring.
    void cover(const Row& centres, double width) {
        result_.wood_.resize(size_);
        result_.noise_.resize(size_, binary_entropy(rules_.probe_false));
        const auto half = static_cast<std::ptrdiff_t>(std::ceil(width / 2 + 1));
        Row wood;
        Row noise;
        for (std::ptrdiff_t d = -half; d <= half; ++d) {
            const double on = covered(static_cast<double>(d), width);
            wood.push_back(on);
            noise.push_back(binary_entropy(rules_.probe_false + (1 - 2 * rules_.probe_false) * on) -
                            binary_entropy(rules_.probe_false));
        }
        const Row more_wood = spread(centres, wood);
        const Row more_noise = spread(centres, noise);
        for (std::size_t i = 0; i < size_; ++i) {
            result_.wood_[i] += more_wood[i];
            result_.noise_[i] += more_noise[i];
        }
    }

    const StudQuestion& question_;
    const StudRules& rules_;
    StudPosterior result_;
    double width_;
    std::size_t size_;
    std::ptrdiff_t near_; ///< no extra stud, single or doubled, fits within this of a regular one's nominal place
    Row single_;
    Row doubled_;
    Row missing_;
    Row extra_single_;
    Row extra_doubled_;
    std::optional<StretchSum> extras_;   ///< with their evidence
    std::optional<StretchSum> expected_; ///< without it: how many there would be
    std::optional<StretchSum> singles_;
    Row guarded_; ///< extras about each possible cut, in cut steps
    Row kernel_;
    Row regular_;
    std::vector<LayoutPrior> priors_;
    std::vector<Row> weights_;
    std::vector<std::vector<std::ptrdiff_t>> cuts_; ///< for each prior
};

double StudPosterior::wood_at(Length x) const {
    const auto at = x.in_steps_of(1_mm);
    return at < 0 || at >= static_cast<std::int64_t>(wood_.size()) ? 0 : wood_[static_cast<std::size_t>(at)];
}

double StudPosterior::stud_within(Length x, Length reach) const {
    const auto from = std::max<std::int64_t>(0, (x - reach).in_steps_of(1_mm));
    const auto to =
        std::min<std::int64_t>(static_cast<std::int64_t>(centres_.size()) - 1, (x + reach).in_steps_of(1_mm));
    double sum = 0;
    for (std::int64_t i = from; i <= to; ++i)
        sum += centres_[static_cast<std::size_t>(i)];
    return std::min(1.0, sum);
}

StudPosterior weigh_studs(const StudQuestion& question, const std::vector<Observation>& observations) {
    return StudWeigher{question, observations}.weigh();
}

} // namespace yes_square
