#include "core/survey/find_studs.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// One edge of wood that was hit: it lies between a miss and a hit.
struct OpenEdge {
    double outside = 0;  ///< mm, a miss, or as far as the edge could be
    double inside = 0;   ///< mm, the outermost hit
    bool missed = false; ///< `outside` is a real miss
    bool left = true;
};

/// Chooses where to probe so that an edge is closed in the fewest expected probes: dynamic programming over what is
/// left of the gap, against how likely the edge is at each place.
class EdgeCloser {
public:
    EdgeCloser(const OpenEdge& edge, const std::vector<double>& edges, double gap)
        : edge_{edge}
        , gap_{gap} {
        const double span = std::abs(edge.inside - edge.outside);
        steps_ = std::max(2, static_cast<int>(std::ceil(span)));
        step_ = span / steps_;
        cumulative_.assign(static_cast<std::size_t>(steps_) + 1, 0);
        // A little everywhere, so that surprises stay possible.
        std::vector<double> density(static_cast<std::size_t>(steps_), 0.02 / steps_);
        for (std::size_t x = 0; x < edges.size(); ++x) {
            const double at = static_cast<double>(x);
            const double in = std::abs(at - edge.outside);
            if (edges[x] > 0 && (at - edge.outside) * (edge.inside - edge.outside) >= 0 && in < span)
                for (const double wander : {-1.0, 0.0, 1.0})
                    density[static_cast<std::size_t>(std::clamp((in + wander) / step_, 0.0, steps_ - 1.0))] +=
                        edges[x] / 3;
        }
        for (std::size_t i = 0; i < density.size(); ++i)
            cumulative_[i + 1] = cumulative_[i] + density[i];
    }

    /// Place for the next probe, mm.
    double best() {
        const auto size = static_cast<std::size_t>(steps_) + 1;
        cost_.assign(size * size, 0);
        std::size_t choice = size / 2;
        for (std::size_t width = 1; width < size; ++width)
            for (std::size_t from = 0; from + width < size; ++from) {
                const std::size_t to = from + width;
                if ((from > 0 || edge_.missed) && static_cast<double>(width) * step_ <= gap_ + 1e-9)
                    continue;
                double least = width == 1 ? 2 : 1e9;
                const double sum = cumulative_[to] - cumulative_[from];
                for (std::size_t probe = from + 1; probe < to; ++probe) {
                    // Wood at the probe: the edge is farther out.
                    const double wood = (cumulative_[probe] - cumulative_[from]) / sum;
                    const double expected = 1 + wood * cost(from, probe) + (1 - wood) * cost(probe, to);
                    if (expected < least - 1e-12) {
                        least = expected;
                        if (width + 1 == size)
                            choice = probe;
                    }
                }
                cost(from, to) = least;
            }
        const double in = static_cast<double>(choice) * step_;
        return edge_.outside + (edge_.inside > edge_.outside ? in : -in);
    }

private:
    double& cost(std::size_t from, std::size_t to) { return cost_[from * (static_cast<std::size_t>(steps_) + 1) + to]; }

    OpenEdge edge_;
    double gap_;
    int steps_ = 0;
    double step_ = 0;
    std::vector<double> cumulative_;
    std::vector<double> cost_;
};

class ProbeChooser {
public:
    ProbeChooser(const StudFindings& findings, const Framing& framing, const StudRules& rules,
                 const std::vector<Stretch>& stretches, const std::vector<Stretch>& forbidden)
        : found_{findings}
        , rules_{rules}
        , width_{framing.stud_width.in_mm()}
        , stretches_{stretches}
        , forbidden_{forbidden} {}

    std::optional<ProbeAdvice> choose() const {
        if (found_.posterior.wood().empty())
            return std::nullopt;
        if (auto dispute = settle_dispute())
            return dispute;
        if (auto edge = close_edge())
            return edge;
        return find();
    }

private:
    ProbeAdvice advice(double x, ProbeAdvice::Purpose purpose, Sentence words) const {
        const auto at = std::min(found_.posterior.wood().size() - 1, static_cast<std::size_t>(std::max(0.0, x)));
        // Half a millimetre is as fine as a probe is held.
        const Length place = Length::micrometres(500) * std::llround(x * 2);
        return {place, {}, purpose, found_.posterior.wood()[at], information(at), std::move(words)};
    }
    double information(std::size_t at) const {
        const double hit = rules_.probe_false + (1 - 2 * rules_.probe_false) * found_.posterior.wood()[at];
        return std::max(0.0, binary_entropy(hit) - found_.posterior.noise()[at]);
    }
    bool allowed(double x) const {
        return std::ranges::none_of(
            forbidden_, [&](const Stretch& stretch) { return x > stretch.left.in_mm() && x < stretch.right.in_mm(); });
    }
    /// The allowed place next to x strictly between two others.
    std::optional<double> allowed_between(double x, double a, double b) const {
        const double from = std::min(a, b);
        const double to = std::max(a, b);
        for (double off = 0; off < to - from; off += 0.5)
            for (const double at : {x - off, x + off})
                if (at > from && at < to && allowed(at))
                    return at;
        return std::nullopt;
    }
    /// A stud at the very end of a stretch is wanted whole.
    bool wanted(double x) const {
        return std::ranges::any_of(stretches_, [&](const Stretch& stretch) {
            return x >= stretch.left.in_mm() - width_ / 2 && x <= stretch.right.in_mm() + width_ / 2;
        });
    }

    /// Readings of one place that cancel out, and wood whose width is not a stud's because a reading there does not
    /// fit.
    std::optional<ProbeAdvice> settle_dispute() const {
        for (const ProbedPlace& place : found_.places)
            if (wanted(place.x.in_mm()) && allowed(place.x.in_mm()) && !place.settled())
                return advice(place.x.in_mm(), ProbeAdvice::Purpose::settle_dispute,
                              {"As many hits as misses were read here; one more reading settles it"});
        const ProbedPlace* worst = nullptr;
        double most = 0.5;
        for (const ProbedPlace& place : found_.places) {
            const double wood = found_.posterior.wood_at(place.x);
            const double against = place.wood() ? 1 - wood : wood;
            const int readings = place.hits + place.misses;
            if (wanted(place.x.in_mm()) && allowed(place.x.in_mm()) && against > most && readings < 3) {
                most = against;
                worst = &place;
            }
        }
        if (!worst)
            return std::nullopt;
        return advice(worst->x.in_mm(), ProbeAdvice::Purpose::settle_dispute,
                      {worst->wood()
                           ? std::string_view{"A hit was read here where the rest says there is no wood; probe "
                                              "again just above or below it"}
                           : "A miss was read here where the rest says there is wood; probe again just above "
                             "or below it"});
    }

    /// The nearest unclosed edge of wood that was hit and is not yet too wide to be one stud.
    std::optional<ProbeAdvice> close_edge() const {
        const auto& places = found_.places;
        for (std::size_t first = 0; first < places.size(); ++first) {
            if (!places[first].settled() || !places[first].wood())
                continue;
            std::size_t last = first;
            while (last + 1 < places.size() && places[last + 1].settled() && places[last + 1].wood() &&
                   (places[last + 1].x - places[last].x).in_mm() < width_)
                ++last;
            const double left = places[first].x.in_mm();
            const double right = places[last].x.in_mm();
            if (wanted((left + right) / 2)) {
                const double reach = std::max(8.0, 2 * width_ + 6 - (right - left));
                const auto edge = [&](std::size_t beyond, double inside, bool is_left) {
                    OpenEdge open{is_left ? inside - reach : inside + reach, inside, false, is_left};
                    if (beyond < places.size() && std::abs(places[beyond].x.in_mm() - inside) <= reach) {
                        open.outside = places[beyond].x.in_mm();
                        open.missed = !places[beyond].wood();
                    } else {
                        // No farther than one stud can reach from its other end.
                        const double one = std::max(4.0, width_ + 2 - (right - left));
                        open.outside = is_left ? inside - one : inside + one;
                    }
                    return open;
                };
                for (const OpenEdge& open : {edge(first - 1, left, true), edge(last + 1, right, false)}) {
                    const bool closed = open.missed && std::abs(open.inside - open.outside) <= gap() + 1e-9;
                    const bool off_wall =
                        open.outside < 0 || open.outside > static_cast<double>(found_.posterior.wood().size() - 1);
                    if (closed || off_wall)
                        continue;
                    const double best =
                        EdgeCloser{open, open.left ? found_.posterior.left_edges() : found_.posterior.right_edges(),
                                   gap()}
                            .best();
                    const std::optional<double> at = allowed_between(best, open.outside, open.inside);
                    if (!at)
                        continue;
                    return advice(
                        *at, open.left ? ProbeAdvice::Purpose::close_left_edge : ProbeAdvice::Purpose::close_right_edge,
                        {open.left ? std::string_view{"Closes in on the left edge of the wood hit at {0}"}
                                   : "Closes in on the right edge of the wood hit at {0}",
                         {quantity(open.left ? places[first].x : places[last].x)}});
                }
            }
            first = last;
        }
        return std::nullopt;
    }
    double gap() const { return rules_.edge_gap.in_mm(); }

    /// Where a reading is expected to tell most, as long as an unproved stud is likely enough somewhere.
    std::optional<ProbeAdvice> find() const {
        const auto& posterior = found_.posterior;
        const auto last = static_cast<double>(posterior.wood().size() - 1);
        std::optional<std::size_t> best;
        double most = 0;
        for (const Stretch& stretch : stretches_)
            for (double x = std::max(0.0, stretch.left.in_mm()); x <= std::min(stretch.right.in_mm(), last); x += 1) {
                if (near_proved(x) || already_told(x) || !allowed(x))
                    continue;
                const auto at = static_cast<std::size_t>(x);
                if (posterior.wood()[at] < rules_.worth_looking && chance_near(x) < rules_.worth_looking)
                    continue;
                const double tells = information(at);
                if (tells > most + 1e-6) {
                    most = tells;
                    best = at;
                }
            }
        if (!best)
            return std::nullopt;
        const auto& spacings = posterior.spacings();
        constexpr double open_question = 0.2;
        std::vector<Value> values{Quantity{Kind::share, posterior.wood()[*best]}};
        if (spacings.size() < 2 || spacings[1].probability < open_question || spacings[0].spacing == Length{} ||
            spacings[1].spacing == Length{})
            return advice(static_cast<double>(*best), ProbeAdvice::Purpose::find,
                          {"Looks for the next stud: wood here with a chance of {0}", std::move(values)});
        values.insert(values.end(), {quantity(spacings[0].spacing), quantity(spacings[1].spacing)});
        return advice(static_cast<double>(*best), ProbeAdvice::Purpose::find,
                      {"Looks for the next stud: wood here with a chance of {0}. It helps to tell spacings of {1} and "
                       "{2} apart",
                       std::move(values)});
    }
    double chance_near(double x) const {
        return found_.posterior.stud_within(Length::nearest_to_metres(x / 1e3),
                                            Length::nearest_to_metres(width_ / 2e3));
    }
    /// Whether the readings on either side leave nothing to learn here: in wood that was hit on both sides, in the gap
    /// of a closed edge, or where a stud runs on behind the wall's end.
    bool already_told(double x) const {
        const auto& places = found_.places;
        const auto above =
            std::ranges::lower_bound(places, x, {}, [](const ProbedPlace& place) { return place.x.in_mm(); });
        const ProbedPlace* after = above == places.end() ? nullptr : &*above;
        const ProbedPlace* before = above == places.begin() ? nullptr : &*(above - 1);
        const auto hit_near = [&](const ProbedPlace* place) {
            return place && place->settled() && place->wood() && std::abs(place->x.in_mm() - x) < width_;
        };
        if (before && after && before->settled() && after->settled()) {
            const double apart = (after->x - before->x).in_mm();
            return apart <= gap() || (before->wood() && after->wood() && apart < width_);
        }
        const auto last = static_cast<double>(found_.posterior.wood().size() - 1);
        return (!before && x < width_ && hit_near(after)) || (!after && last - x < width_ && hit_near(before));
    }
    bool near_proved(double x) const {
        return std::ranges::any_of(found_.proved, [&](const ProvedWood& wood) {
            return x > wood.left.in_mm() - 4 && x < wood.right.in_mm() + 4;
        });
    }

    const StudFindings& found_;
    const StudRules& rules_;
    double width_;
    const std::vector<Stretch>& stretches_;
    const std::vector<Stretch>& forbidden_;
};

constexpr Length least_height = 150_mm; ///< above the bottom plate

/// A height clear of services at x, as near as may be to a wanted one; none: there is none.
std::optional<Length> clear_height(const Wall& wall, const std::vector<Strip>& strips, Length probe_margin, Length x,
                                   Length wanted) {
    std::vector<Length> heights{wanted};
    for (const Strip& strip : strips) {
        heights.push_back(strip.top + probe_margin);
        heights.push_back(strip.bottom - probe_margin);
    }
    std::ranges::sort(heights, {}, [&](Length z) { return absolute(z - wanted); });
    for (const Length z : heights)
        if (z >= least_height && z < wall.height && strips_at(strips, x, z, probe_margin).empty())
            return z;
    return std::nullopt;
}

/// Stretches where `clear(x)` gives no height.
std::vector<Stretch> forbidden_by(const Wall& wall, const std::vector<Strip>& strips, Length probe_margin,
                                  auto&& clear) {
    std::vector<Length> ends{Length{}, wall.length};
    for (const Strip& strip : strips) {
        ends.push_back(strip.left - probe_margin);
        ends.push_back(strip.right + probe_margin);
    }
    for (const Shelf& shelf : wall.shelves) {
        ends.push_back(shelf.left);
        ends.push_back(shelf.right());
    }
    std::ranges::sort(ends);
    std::vector<Stretch> forbidden;
    for (std::size_t i = 1; i < ends.size(); ++i)
        if (ends[i] > ends[i - 1] && !clear((ends[i - 1] + ends[i]) / 2))
            forbidden.push_back({ends[i - 1], ends[i]});
    // Where two meet, the place between is no gap.
    std::vector<Stretch> joined;
    for (const Stretch& stretch : forbidden) {
        if (!joined.empty() && joined.back().right == stretch.left)
            joined.back().right = stretch.right;
        else
            joined.push_back(stretch);
    }
    return joined;
}

} // namespace

std::optional<ProbeAdvice> next_probe(const StudFindings& findings, const Framing& framing, const StudRules& rules,
                                      const std::vector<Stretch>& stretches, const std::vector<Stretch>& forbidden) {
    return ProbeChooser{findings, framing, rules, stretches, forbidden}.choose();
}

std::vector<Stretch> clear_of_openings(const Wall& wall) {
    std::vector<Stretch> openings;
    for (const Opening& opening : wall.openings)
        openings.push_back({opening.left, opening.left + opening.width});
    std::ranges::sort(openings, {}, &Stretch::left);
    std::vector<Stretch> clear;
    Length from;
    for (const Stretch& opening : openings) {
        if (opening.left > from)
            clear.push_back({from, std::min(opening.left, wall.length)});
        from = std::max(from, opening.right);
    }
    if (from < wall.length)
        clear.push_back({from, wall.length});
    return clear;
}

std::optional<ProbeAdvice> advise_probe(const Wall& wall, const std::optional<StudFindings>& known,
                                        const StudRules& rules, ProbeWhere where, const std::vector<Strip>& strips) {
    const auto* framing = std::get_if<Framing>(&wall.structure);
    if (!framing || framing->material == StudMaterial::steel)
        return std::nullopt;
    std::vector<Stretch> stretches = clear_of_openings(wall);
    if (where == ProbeWhere::under_the_work) {
        std::vector<Stretch> covered;
        for (const Stretch& clear : stretches)
            for (const Shelf& shelf : wall.shelves)
                if (std::max(shelf.left, clear.left) < std::min(shelf.right(), clear.right))
                    covered.push_back({std::max(shelf.left, clear.left), std::min(shelf.right(), clear.right)});
        stretches = std::move(covered);
    }
    const auto covered = [&](Length x) {
        return where == ProbeWhere::under_the_work && std::ranges::any_of(wall.shelves, [&](const Shelf& shelf) {
                   return x >= shelf.left && x <= shelf.right();
               });
    };
    const auto height_at = [&](Length x) -> std::optional<Length> {
        if (!covered(x))
            return clear_height(wall, strips, rules.probe_margin, x, std::min(rules.easy_height, wall.height / 2));
        std::optional<Length> hidden;
        for (const Shelf& shelf : wall.shelves) {
            const Length z = shelf.height - shelf.thickness / 2;
            if (x >= shelf.left && x <= shelf.right() && strips_at(strips, x, z, rules.probe_margin).empty())
                hidden = z;
        }
        return hidden;
    };
    const std::vector<Stretch> forbidden = forbidden_by(wall, strips, rules.probe_margin, height_at);
    std::optional<ProbeAdvice> advice =
        next_probe(known ? *known : find_studs(wall, *framing, rules), *framing, rules, stretches, forbidden);
    if (advice && (covered(advice->x) || !strips.empty()))
        advice->z = height_at(advice->x);
    return advice;
}

} // namespace yes_square
