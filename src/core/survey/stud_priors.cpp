#include "core/survey/set_out.hpp"
#include "core/survey/stud_posterior.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

/// How usual a spacing is (house rule).
struct UsualSpacing {
    Length spacing;
    double weight;
};
constexpr std::array usual_spacings{UsualSpacing{16_in, 0.28},  UsualSpacing{Length::micrometres(487'680), 0.03},
                                    UsualSpacing{24_in, 0.13},  UsualSpacing{400_mm, 0.22},
                                    UsualSpacing{450_mm, 0.08}, UsualSpacing{600_mm, 0.16}};
constexpr double none_weight = 0.10;
constexpr double told_weight = 0.05;    ///< of a told spacing that is not usual
constexpr double near_convention = 0.6; ///< of the phases are those that setting out from an end gives
constexpr double never_sure = 0.99;     ///< of what was told
constexpr double convention_sigma = 7;  ///< mm: linings and plates differ

double normal(double x, double sigma) {
    return std::exp(-0.5 * x * x / (sigma * sigma)) / (sigma * std::sqrt(2 * std::numbers::pi));
}

/// Off a nominal place to the nearer side, by the spacing.
double off_phase(double phase, double place, double spacing) {
    const double off = std::fmod(phase - place, spacing);
    return off < -spacing / 2 ? off + spacing : off > spacing / 2 ? off - spacing : off;
}

/// A stud that somebody told of is one of those set out, unless whoever said so was wrong: the phases that put one
/// there take that share of all.
/// @param sum  what all phases come to, before and after
void believe_stud(LayoutPrior& prior, Length told, double sum, const StudRules& rules) {
    const double sigma = std::hypot(rules.scatter.in_mm(), rules.told_scatter.in_mm());
    std::vector<double> there(prior.phase.size());
    double all = 0;
    for (std::size_t phase = 0; phase < there.size(); ++phase) {
        there[phase] = normal(off_phase(static_cast<double>(phase), told.in_mm(), prior.spacing_mm), sigma);
        all += there[phase];
    }
    const double right = std::min(never_sure, rules.told_right);
    for (std::size_t phase = 0; phase < there.size(); ++phase)
        prior.phase[phase] = (1 - right) * prior.phase[phase] + right * sum * there[phase] / all;
}

LayoutPrior prior_of(double spacing, double weight, const StudQuestion& question) {
    LayoutPrior prior{spacing, std::vector<double>(static_cast<std::size_t>(std::ceil(spacing))), weight};
    const double length = question.length.in_mm();
    const Length apart = Length::nearest_to_metres(spacing / 1000);
    std::vector<double> places;
    for (const SetOut& first : first_studs(apart, question.lining, question.left_end))
        places.push_back(first.from_corner.in_mm());
    for (const SetOut& first : first_studs(apart, question.lining, question.right_end))
        places.push_back(length - first.from_corner.in_mm());
    double sum = 0;
    for (std::size_t phase = 0; phase < prior.phase.size(); ++phase) {
        double density = (1 - near_convention) / spacing;
        for (const double place : places) {
            density += near_convention / static_cast<double>(places.size()) *
                       normal(off_phase(static_cast<double>(phase), place, spacing), convention_sigma);
        }
        prior.phase[phase] = density;
        sum += density;
    }
    if (question.told_stud)
        believe_stud(prior, *question.told_stud, sum, question.rules);
    for (double& phase : prior.phase)
        phase *= weight / sum;
    return prior;
}

} // namespace

std::vector<LayoutPrior> layout_priors(const StudQuestion& question) {
    std::vector<UsualSpacing> spacings{usual_spacings.begin(), usual_spacings.end()};
    const auto told = std::ranges::find_if(
        spacings, [&](const UsualSpacing& usual) { return absolute(usual.spacing - question.told_spacing) < 1_mm; });
    if (told == spacings.end() && question.told_spacing > 4 * question.stud_width)
        spacings.push_back({question.told_spacing, told_weight});
    double sum = none_weight;
    for (const UsualSpacing& usual : spacings)
        sum += usual.weight;
    double none = none_weight;
    if (question.told) {
        // Who said so was right, or else it is as it is anywhere.
        const double right = std::min(never_sure, question.rules.told_right);
        for (UsualSpacing& usual : spacings)
            usual.weight =
                (1 - right) * usual.weight / sum + (absolute(usual.spacing - question.told_spacing) < 1_mm ? right : 0);
        none = (1 - right) * none / sum;
        sum = 1;
    }
    std::vector<LayoutPrior> priors;
    for (const UsualSpacing& usual : spacings)
        priors.push_back(prior_of(usual.spacing.in_mm(), usual.weight / sum, question));
    priors.push_back({0, {}, none / sum});
    return priors;
}

namespace {

/// A set-out stud nearer than this to that face gives way to king and jack, mm.
constexpr double gives_way = 75;

/// How far x lies into the nearer side of an opening from the outer edge of its trim, mm; negative: outside it.
double depth_into(double x, const std::pair<Length, Length>& opening) {
    return std::min(x - opening.first.in_mm(), opening.second.in_mm() - x);
}

/// Uniform over where something stands that is centred this far outside the face of the framing.
double beside_framing(double into, double outside, const StudRules& rules) {
    const double at = into + outside;
    const double from = rules.framing_from.in_mm();
    const double to = rules.framing_to.in_mm();
    return at >= from && at <= to ? 1 / (to - from) : 0;
}

} // namespace

double missing_at(double x, const StudQuestion& question) {
    constexpr double replaced = 0.85;
    return std::ranges::any_of(question.openings,
                               [&](const auto& opening) {
                                   const double into = depth_into(x, opening);
                                   return into >= question.rules.framing_from.in_mm() - gives_way &&
                                          into <= question.rules.framing_to.in_mm() + gives_way / 2;
                               })
               ? replaced
               : question.rules.missing;
}

ExtraStuds extra_studs(double x, const StudQuestion& question) {
    constexpr double at_end = 45; // mm from a wall's end to its end stud's far edge
    ExtraStuds extra{question.rules.extra_per_m / 1000, question.rules.extra_per_m / 20'000};
    const double length = question.length.in_mm();
    if (x <= at_end || x >= length - at_end) {
        extra.single += 0.6 / at_end;
        extra.doubled += 0.2 / at_end;
    }
    const double width = question.stud_width.in_mm();
    for (const auto& opening : question.openings) {
        const double into = depth_into(x, opening);
        extra.single += 0.25 * beside_framing(into, width / 2, question.rules);
        extra.doubled += 0.65 * beside_framing(into, width, question.rules);
    }
    return extra;
}

StudQuestion StudQuestion::of(const Wall& wall, const Framing& framing, const StudRules& rules) {
    StudQuestion question{wall.length,
                          wall.height,
                          framing.stud_width,
                          framing.spacing,
                          wall.lining_thickness(),
                          wall.left_end,
                          wall.right_end,
                          {},
                          rules,
                          framing.told,
                          framing.told_stud};
    for (const Opening& opening : wall.openings)
        question.openings.emplace_back(opening.left, opening.left + opening.width);
    return question;
}

} // namespace yes_square
