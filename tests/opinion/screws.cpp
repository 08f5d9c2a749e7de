#include "screws.hpp"

#include <algorithm>
#include <cmath>

namespace opinion {
namespace {

/// The least positive root of the yield equations in the form A P^2 + B P + C = 0 (AWC TR12).
double root_of(double a, double b, double c) {
    return (std::sqrt(b * b - 4 * a * c) - b) / 2 / a;
}

Screw metric(double d_mm, double root_mm, bool coach) {
    return {d_mm / 25.4, root_mm / 25.4, coach ? 45e3 : 70e3, (coach ? 1 : 2) * d_mm / 25.4, coach};
}

} // namespace

const std::map<std::string, double> specific_gravity{{"unknown", 0.36},       {"spruce_pine_fir", 0.42},
                                                     {"southern_pine", 0.55}, {"douglas_fir_larch", 0.50},
                                                     {"red_oak", 0.67},       {"western_cedars", 0.36},
                                                     {"c16", 0.36},           {"c18", 0.36},
                                                     {"c24", 0.36},           {"c30", 0.36}};

const std::map<std::string, double> density{{"unknown", 290},       {"spruce_pine_fir", 310},
                                            {"southern_pine", 350}, {"douglas_fir_larch", 350},
                                            {"red_oak", 530},       {"western_cedars", 290},
                                            {"c16", 310},           {"c18", 320},
                                            {"c24", 350},           {"c30", 380}};

const std::map<std::string, Screw> screws{{"#8 wood screw", {0.164, 0.131, 90e3, 0.328, false}},
                                          {"#10 wood screw", {0.190, 0.152, 80e3, 0.380, false}},
                                          {"#14 wood screw", {0.242, 0.196, 70e3, 0.484, false}},
                                          {"1/4 in coach screw", {0.25, 0.173, 70e3, 5.0 / 32, true}},
                                          {"5/16 in coach screw", {0.3125, 0.227, 60e3, 3.0 / 16, true}},
                                          {"3/8 in coach screw", {0.375, 0.265, 45e3, 7.0 / 32, true}},
                                          {"3.5 mm wood screw", metric(3.5, 2.24, false)},
                                          {"4 mm wood screw", metric(4, 2.6, false)},
                                          {"4.5 mm wood screw", metric(4.5, 2.9, false)},
                                          {"5 mm wood screw", metric(5, 3.2, false)},
                                          {"6 mm wood screw", metric(6, 3.9, false)},
                                          {"M6 coach screw", metric(6, 4.2, true)},
                                          {"M8 coach screw", metric(8, 5.6, true)},
                                          {"M10 coach screw", metric(10, 7, true)}};

Strength in_wood(const Screw& s, double g, bool across, const Json& hole, double length_in) {
    const double p = hole["penetration_m"].get<double>() / inch;
    const double side = hole["side_m"].get<double>() / inch;
    const double gap = hole["gap_m"].get<double>() / inch;
    const double thread = std::max(0.0, std::min(p, 2 * length_in / 3) - s.tip);
    const double per_inch = s.coach ? 1800 * std::pow(g, 1.5) * std::pow(s.d, 0.75) : 2850 * g * g * s.d;
    double pull = std::min(per_inch * thread, 24'000 * pi * s.root * s.root / 4);
    double side_bearing = 61'850;
    if (!hole["side_gravity"].is_null()) {
        const double gs = hole["side_gravity"];
        const double head = hole["head_m"].get<double>() / inch;
        pull = std::min(pull, 690 * pi * head * gs * gs * std::min(side, 2.5 * head));
        side_bearing = std::round(16'600 * std::pow(gs, 1.84) / 50) * 50;
    }
    const double lm = s.coach ? (p - s.tip >= 4 * s.d ? p - s.tip : 0) : (p >= 6 * s.d ? p - s.d : 0);
    double shear = 0;
    if (lm > 0) {
        const double fem = s.d < 0.25 ? std::round(16'600 * std::pow(g, 1.84) / 50) * 50
                           : across   ? 6100 * std::pow(g, 1.45) / std::sqrt(s.d)
                                      : 11'200 * g;
        const double qm = fem * s.root, qs = side_bearing * s.root, m = s.fyb * std::pow(s.root, 3) / 6;
        const double theta = s.d >= 0.25 && across ? 1.25 : 1;
        const double kd = s.root <= 0.17 ? 2.2 : 10 * s.root + 0.5;
        const bool thick = s.root >= 0.25;
        const double r1 = (thick ? 4 : kd) * theta, r2 = (thick ? 3.6 : kd) * theta, r3 = (thick ? 3.2 : kd) * theta;
        shear = std::min(
            {qm * lm / r1, qs * side / r1,
             root_of(0.25 / qs + 0.25 / qm, side / 2 + gap + lm / 2, -qs * side * side / 4 - qm * lm * lm / 4) / r2,
             root_of(0.5 / qs + 0.25 / qm, gap + lm / 2, -m - qm * lm * lm / 4) / r3,
             root_of(0.25 / qs + 0.5 / qm, side / 2 + gap, -qs * side * side / 4 - m) / r3,
             root_of(0.5 / qs + 0.5 / qm, gap, -2 * m) / r3});
        if (s.coach)
            shear *= std::min(1.0, lm / (8 * s.d));
    }
    return {0.9 * pull * newton, 0.9 * shear * newton};
}

/// EN 1995-1-1: characteristic figures, then k_mod / (1.3 gamma) for what stands there.
Strength in_wood_en(const Screw& s, double rho, bool across, const Json& hole, double length_in) {
    const double stored = 0.6 / 1.3 / 1.35;
    const double nds = stored / (0.9 / 1.3 / 1.5); // what NDS allows for people, as EN's figure for goods
    const double d = s.d * 25.4, core = s.root * 25.4, eff = 1.1 * core;
    const double p = hole["penetration_m"].get<double>() * 1000, side = hole["side_m"].get<double>() * 1000;
    const double gap = hole["gap_m"].get<double>() * 1000;
    const double thread = std::min(p, 2.0 / 3 * length_in * 25.4);
    const double slim = core / d;
    double pull = 0;
    if (thread >= 6 * d - 1e-6)
        pull = d > 6 - 1e-6 && d < 12 + 1e-6 && slim >= 0.6 && slim <= 0.75
                   ? 0.52 * std::sqrt(d) * std::pow(thread, 0.9) * std::pow(rho, 0.8) * std::min(1.0, d / 8)
                   : 9 * d * thread * std::pow(rho / 350, 0.8);
    pull *= stored * std::pow(hole["together"].get<double>(), -0.1);
    pull = std::min(pull, nds * 24'000 * pi * s.root * s.root / 4 * newton);
    const auto bears = [&](double density_k, bool turned) {
        return eff <= 6 ? 0.082 * density_k * std::pow(eff, -0.3)
                        : 0.082 * (1 - 0.01 * eff) * density_k / (turned ? 1.35 + 0.015 * eff : 1);
    };
    double passed = 600;
    if (!hole["side_gravity"].is_null()) {
        const double gs = hole["side_gravity"], head = hole["head_m"].get<double>() * 1000;
        passed = bears(800 * gs, false);
        pull = std::min({pull, stored * 9 * head * head * std::pow(800 * gs / 350, 0.8),
                         nds * 690 * pi * head / 25.4 * gs * gs * std::min(side, 2.5 * head) / 25.4 * newton});
    }
    double shear = 0;
    if (p >= 6 * d - 1e-6) {
        const double qm = bears(rho, across) * eff, qs = passed * eff, m = 120 * std::pow(eff, 2.6);
        shear =
            std::min({qm * p, qs * side,
                      root_of(0.25 / qs + 0.25 / qm, side / 2 + gap + p / 2, -qs * side * side / 4 - qm * p * p / 4),
                      root_of(0.5 / qs + 0.25 / qm, gap + p / 2, -m - qm * p * p / 4),
                      root_of(0.25 / qs + 0.5 / qm, side / 2 + gap, -qs * side * side / 4 - m),
                      root_of(0.5 / qs + 0.5 / qm, gap, -2 * m)});
    }
    return {pull, stored * shear, true};
}

Strength in_masonry(const Json& anchor, const Json& hole, double lining_share) {
    const std::string basis = anchor.value("basis", "not_stated");
    const std::string kind = anchor.value("kind", "plug");
    const double by = basis == "recommended"                     ? 1
                      : basis == "characteristic"                ? 3.5
                      : (kind == "plug" || kind == "frame_plug") ? 5
                                                                 : 4;
    double pull = anchor["tension_n"].get<double>() / by;
    double shear = anchor["shear_n"].get<double>() / by * lining_share;
    const double root = 0.64 * anchor["screw_diameter"].get<double>() / 25.4;
    const double kd = root <= 0.17 ? 2.2 : 10 * root + 0.5;
    const double lever = hole["gap_m"].get<double>() / inch;
    if (lever > 0)
        shear = std::min(shear, 0.9 * 70e3 * std::pow(root, 3) / 6 / kd / lever * newton);
    const double side = hole["side_m"].get<double>() / inch;
    double bearing = 61'850;
    if (!hole["side_gravity"].is_null()) {
        const double gs = hole["side_gravity"];
        const double head = hole["head_m"].get<double>() / inch;
        pull = std::min(pull, 0.9 * 690 * pi * head * gs * gs * std::min(side, 2.5 * head) * newton);
        bearing = std::round(16'600 * std::pow(gs, 1.84) / 50) * 50;
    }
    const double rd = root >= 0.25 ? 4 : kd;
    shear = std::min(shear, 0.9 * bearing * root * side / rd * newton);
    return {pull, shear};
}

double lasting(const Strength& holds, double duration) {
    return holds.en ? (duration > 0.95 ? (0.9 / 1.5) / (0.6 / 1.35) : 1) : duration / 0.9;
}

double used(const Strength& holds, const Json& demand, bool masonry) {
    const auto share = [](double asked, double held) { return asked == 0 ? 0.0 : held > 0 ? asked / held : INFINITY; };
    const double pull = demand["pull_n"].is_null() ? INFINITY : demand["pull_n"].get<double>();
    const double v = std::hypot(demand["down_n"].get<double>(), demand["across_n"].get<double>());
    const double lasts = masonry ? 1 : lasting(holds, demand["duration"]);
    const double w = holds.pull * lasts, z = holds.shear * lasts;
    if (masonry)
        return share(pull, w) + share(v, z);
    const double alone = std::max(share(pull, w), share(v, z));
    if (pull == 0 || v == 0 || !std::isfinite(alone))
        return alone;
    if (holds.en)
        return std::hypot(share(pull, w), share(v, z));
    const double r = std::hypot(pull, v), sine = pull / r, cosine = v / r;
    return std::max(alone, r / (w * z / (w * cosine * cosine + z * sine * sine)));
}

} // namespace opinion
