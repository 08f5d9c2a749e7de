#include "core/survey/find_studs.hpp"
#include "core/job/along.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// A place less likely than this is not called a stud.
constexpr double likely = 0.5;
/// Evidence that makes a stud at least this much likelier counts as its own.
constexpr double own_evidence_least = 3;
/// A reading that the rest makes this unlikely does not fit.
constexpr double misfit = 0.1;
/// No detector tells a stud's middle better.
constexpr Length detected_best = 1_mm;
/// Plates run along floor and ceiling: a probe meets wood there whatever the studs do.
constexpr Length plate = 45_mm;

/// What was told of a stud counts as the readings it must have come from.
void add_told(const Stud& stud, Length width, std::vector<Observation>& observations) {
    if (stud.state == StudState::proved) {
        observations.push_back({EvidenceKind::left_edge, stud.centre - width / 2});
        observations.push_back({EvidenceKind::right_edge, stud.centre + width / 2});
    } else if (stud.state == StudState::detected) {
        const Length error = stud.uncertainty * 3; // 2 sqrt 2 of it, rounded up
        observations.push_back({EvidenceKind::detector_left_edge, stud.centre - width / 2, std::nullopt, error});
        observations.push_back({EvidenceKind::detector_right_edge, stud.centre + width / 2, std::nullopt, error});
    } else if (stud.state == StudState::indicated) {
        observations.push_back({EvidenceKind::detector, stud.centre, std::nullopt, stud.uncertainty * 2});
    }
}

std::string_view trace_words(EvidenceKind kind) {
    switch (kind) {
    case EvidenceKind::probe_hit:
        return "probe hit {0} away";
    case EvidenceKind::left_edge:
    case EvidenceKind::right_edge:
        return "probed edge {0} from its middle";
    case EvidenceKind::detector_left_edge:
    case EvidenceKind::detector_right_edge:
        return "detector's edge {0} from its middle";
    case EvidenceKind::detector:
        return "detector's middle {0} away";
    case EvidenceKind::screw_line:
        return "screw line {0} away";
    case EvidenceKind::nail_pop:
        return "nail pop {0} away";
    case EvidenceKind::box_stud_left:
    case EvidenceKind::box_stud_right:
        return "outlet box side {0} from its middle";
    case EvidenceKind::knock_solid:
        return "sounds solid {0} away";
    case EvidenceKind::skirting_nails:
        return "skirting nails {0} away";
    case EvidenceKind::probe_miss:
    case EvidenceKind::knock_hollow:
        break;
    }
    return {};
}

class StudFinder {
public:
    StudFinder(const Wall& wall, const Framing& framing, const StudRules& rules)
        : wall_{wall}
        , framing_{framing}
        , rules_{rules} {}

    StudFindings find() {
        take_observations();
        found_.posterior = weigh_studs(StudQuestion::of(wall_, framing_, rules_), usable_);
        found_.places = probed_places(readings_, rules_);
        found_.proved = proved_wood(found_.places, framing_.stud_width, rules_);
        add_proved();
        add_detected();
        add_told_studs();
        add_likely();
        std::ranges::sort(found_.studs, {}, [](const FoundStud& found) { return found.stud.centre; });
        for (FoundStud& found : found_.studs)
            explain(found);
        doubt_readings();
        std::ranges::sort(found_.doubts, {}, &Doubt::x);
        return std::move(found_);
    }

private:
    Length width() const { return framing_.stud_width; }

    void take_observations() {
        for (const Observation& seen : wall_.observations) {
            if (seen.x < Length{} || seen.x > wall_.length ||
                (seen.z && (*seen.z < Length{} || *seen.z > wall_.height))) {
                found_.doubts.push_back(
                    {std::clamp(seen.x, Length{}, wall_.length),
                     {"The reading at {0} is not on this wall; it is left out", {along(wall_, seen.x)}},
                     false});
                continue;
            }
            const bool probe = seen.kind == EvidenceKind::probe_hit || seen.kind == EvidenceKind::left_edge ||
                               seen.kind == EvidenceKind::right_edge;
            if (probe && seen.z && (*seen.z < plate || *seen.z > wall_.height - plate)) {
                found_.doubts.push_back({seen.x,
                                         {"The probe at {0}, {1} up, met the plate that runs along the wall; it says "
                                          "nothing of studs",
                                          {along(wall_, seen.x), quantity(*seen.z)}}});
                continue;
            }
            readings_.push_back(seen);
        }
        usable_ = readings_;
        for (const Stud& stud : wall_.studs)
            add_told(stud, width(), usable_);
    }

    bool taken(Length centre) const {
        return std::ranges::any_of(found_.studs, [&](const FoundStud& found) {
            return absolute(found.stud.centre - centre) < width() * 3 / 4;
        });
    }

    void add_proved() {
        for (const ProvedWood& wood : found_.proved) {
            if (wood.verdict == ProvedWood::Verdict::not_a_plain_stud) {
                found_.doubts.push_back(
                    {wood.centre(),
                     {"The wood at {0} is {1} wide: not a plain stud. It may be a nogging, a pipe, a "
                      "plate or a corner pack",
                      {along(wall_, wood.centre()), quantity(wood.width())}}});
                continue;
            }
            if (wood.verdict == ProvedWood::Verdict::stud) {
                found_.studs.push_back({{wood.centre(), StudState::proved, wood.uncertainty, {}}, 1, wood});
                continue;
            }
            // Each of the two is known by its outer edge alone.
            for (const Length centre : {wood.left + width() / 2, wood.right - width() / 2})
                found_.studs.push_back({{centre, StudState::proved, wood.uncertainty * 2, {}}, 1, wood});
        }
    }

    /// A stud that a detector found is as good as its first pilot hole: wood there proves it, a miss says it is none,
    /// and so do holes that contradict one another.
    void after_pilot(Stud& stud) const {
        if (stud.state != StudState::detected)
            return;
        bool met = false;
        bool missed = false;
        for (const ProbedPlace& place : found_.places)
            if (absolute(place.x - stud.centre) <= width() / 2 - stud.uncertainty * 2) {
                met |= place.settled() && place.wood();
                missed |= !place.settled() || !place.wood();
            }
        if (missed)
            stud.state = StudState::assumed;
        else if (met)
            stud.state = StudState::proved;
        if (found_.posterior.stud_within(stud.centre, width() / 2) < likely)
            stud.state = StudState::assumed;
    }

    /// Both edges by a detector, a stud's width apart as near as their errors let one say.
    void add_detected() {
        const auto error = [&](const Observation& edge) { return edge.error.value_or(rules_.detector_error); };
        for (const Observation& left : readings_) {
            if (left.kind != EvidenceKind::detector_left_edge)
                continue;
            const Observation* right = nullptr;
            for (const Observation& other : readings_)
                if (other.kind == EvidenceKind::detector_right_edge && other.x > left.x &&
                    (!right || other.x < right->x))
                    right = &other;
            if (!right || right->x - left.x > width() * 3)
                continue;
            const Length centre = (left.x + right->x) / 2;
            const double together = std::hypot(error(left).in_metres(), error(*right).in_metres());
            if (std::abs((right->x - left.x - width()).in_metres()) > together) {
                found_.doubts.push_back(
                    {centre,
                     {"The detector's edges at {0} and {1} are {2} apart: not one plain stud",
                      {along(wall_, left.x), along(wall_, right->x), quantity(right->x - left.x)}}});
                continue;
            }
            // Of limits of error that hold 95 times in 100 the half is a standard deviation; the middle has half of
            // both.
            Stud stud{
                centre, StudState::detected, std::max(detected_best, Length::nearest_to_metres(together / 4)), {}};
            after_pilot(stud);
            if (!taken(centre))
                found_.studs.push_back({stud, found_.posterior.stud_within(centre, width() / 2)});
        }
    }

    /// What was told stands as told, unless the readings speak against it: then nothing is to hang there.
    void add_told_studs() {
        for (Stud stud : wall_.studs) {
            if (taken(stud.centre))
                continue;
            after_pilot(stud);
            const double probability = found_.posterior.stud_within(stud.centre, width() / 2);
            if (probability < likely)
                stud.state = StudState::assumed;
            found_.studs.push_back({stud, probability});
        }
    }

    /// The likeliest places left, one after another, none nearer than a stud's width to another.
    void add_likely() {
        std::vector<double> left = found_.posterior.centres();
        const auto size = static_cast<std::ptrdiff_t>(left.size());
        const auto half = static_cast<std::ptrdiff_t>(width().in_mm() / 2);
        const auto clear = [&](Length from, Length to) {
            const auto begin = std::clamp<std::ptrdiff_t>(from.in_steps_of(1_mm), 0, size);
            const auto end = std::clamp<std::ptrdiff_t>(to.in_steps_of(1_mm) + 1, begin, size);
            std::fill(left.begin() + begin, left.begin() + end, 0.0);
        };
        for (const ProvedWood& wood : found_.proved)
            clear(wood.left, wood.right);
        for (const FoundStud& found : found_.studs)
            clear(found.stud.centre - width(), found.stud.centre + width());
        for (;;) {
            double best = 0;
            std::ptrdiff_t middle = 0;
            double sum = 0;
            for (std::ptrdiff_t i = 0; i < size + half; ++i) {
                sum += i < size ? left[static_cast<std::size_t>(i)] : 0;
                if (i - 2 * half - 1 >= 0)
                    sum -= left[static_cast<std::size_t>(i - 2 * half - 1)];
                if (i >= half && sum > best + 1e-9) {
                    best = sum;
                    middle = i - half;
                }
            }
            if (best < likely)
                return;
            double mass = 0;
            double mean = 0;
            double square = 0;
            for (std::ptrdiff_t i = std::max<std::ptrdiff_t>(0, middle - half); i <= std::min(size - 1, middle + half);
                 ++i) {
                const double at = static_cast<double>(i);
                mass += left[static_cast<std::size_t>(i)];
                mean += at * left[static_cast<std::size_t>(i)];
                square += at * at * left[static_cast<std::size_t>(i)];
            }
            mean /= mass;
            const double deviation = std::max(1.0, std::sqrt(std::max(0.0, square / mass - mean * mean)));
            const Length centre = Length::micrometres(500) * std::llround(mean * 2);
            const double own = found_.posterior.own_evidence()[static_cast<std::size_t>(std::lround(mean))];
            const double probability = std::min(1.0, mass);
            const bool indicated = probability >= rules_.indicated_at && own >= std::log(own_evidence_least);
            if (!taken(centre))
                found_.studs.push_back({{centre,
                                         indicated ? StudState::indicated : StudState::assumed,
                                         Length::nearest_to_metres(deviation / 1e3),
                                         {}},
                                        probability});
            const Length reach = width();
            clear(centre - reach, centre + reach);
        }
    }

    /// "16 in from the proved stud at 1 043, nail pop 3 mm away".
    void explain(FoundStud& found) const {
        const Length centre = found.stud.centre;
        if (found.proof)
            found.working.push_back(
                {"both edges probed, {0} and {1}: {2} wide",
                 {along(wall_, found.proof->left), along(wall_, found.proof->right), quantity(found.proof->width())}});
        const Length spacing = found_.posterior.spacings().front().spacing;
        const FoundStud* nearest = nullptr;
        for (const FoundStud& other : found_.studs)
            if (&other != &found && other.stud.state == StudState::proved && spacing > Length{} &&
                (!nearest || absolute(other.stud.centre - centre) < absolute(nearest->stud.centre - centre)))
                nearest = &other;
        if (nearest) {
            const std::int64_t bays = (centre - nearest->stud.centre).in_steps_of(spacing);
            if (bays != 0 && absolute(centre - nearest->stud.centre - spacing * bays) <= rules_.scatter * 3) {
                if (std::abs(bays) == 1)
                    found.working.push_back(
                        {"{0} from the proved stud at {1}",
                         {quantity(absolute(centre - nearest->stud.centre)), along(wall_, nearest->stud.centre)}});
                else
                    found.working.push_back({"{0} bays of {1} from the proved stud at {2}",
                                             {count(static_cast<std::size_t>(std::abs(bays))), quantity(spacing),
                                              along(wall_, nearest->stud.centre)}});
            }
        }
        for (const Observation& seen : wall_.observations) {
            if (found.working.size() > 4)
                break;
            const std::string_view words = trace_words(seen.kind);
            const bool probe = seen.kind == EvidenceKind::probe_hit || seen.kind == EvidenceKind::left_edge ||
                               seen.kind == EvidenceKind::right_edge;
            if (words.empty() || (found.proof && probe))
                continue;
            const Length away = absolute(seen.x - centre);
            if (away.in_mm() <= reach_of(seen, width().in_mm(), rules_))
                found.working.push_back({words, {quantity(away)}});
        }
        if (found.working.empty())
            found.working.push_back({"only the spacing says so"});
    }

    void doubt_readings() {
        for (const ProbedPlace& place : found_.places) {
            if (place.disputed()) {
                found_.doubts.push_back({place.x,
                                         {"At {0} the probe read {1} times wood and {2} times nothing",
                                          {along(wall_, place.x), count(static_cast<std::size_t>(place.hits)),
                                           count(static_cast<std::size_t>(place.misses))}}});
                continue;
            }
            const double wood = found_.posterior.wood_at(place.x);
            if (place.wood() && wood < misfit)
                found_.doubts.push_back(
                    {place.x, {"The probe hit at {0} does not fit the rest", {along(wall_, place.x)}}});
            else if (!place.wood() && wood > 1 - misfit)
                found_.doubts.push_back(
                    {place.x, {"The probe miss at {0} does not fit the rest", {along(wall_, place.x)}}});
        }
        for (const Stud& stud : wall_.studs)
            if (stud.state != StudState::assumed && found_.posterior.stud_within(stud.centre, width() / 2) < likely)
                found_.doubts.push_back(
                    {stud.centre, {"The readings speak against the stud told at {0}", {along(wall_, stud.centre)}}});
    }

    const Wall& wall_;
    const Framing& framing_;
    const StudRules& rules_;
    StudFindings found_;
    std::vector<Observation> readings_; ///< that are on the wall and tell of studs
    std::vector<Observation> usable_;   ///< those, and what was told as the readings it must have come from
};

} // namespace

StudFindings find_studs(const Wall& wall, const Framing& framing, const StudRules& rules) {
    return StudFinder{wall, framing, rules}.find();
}

} // namespace yes_square
