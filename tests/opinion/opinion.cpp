#include "opinion.hpp"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <optional>

namespace opinion {
namespace {

constexpr double within = 0.01;
constexpr double newton = 4.4482216152605; // a pound
constexpr double inch = 0.0254;
constexpr double pi = 3.14159265358979;
constexpr double gravity = 9.80665;

/// NDS-2018 table 12.3.3A, appendix L (from memory).
const std::map<std::string, double> specific_gravity{{"unknown", 0.36},
                                                     {"spruce_pine_fir", 0.42},
                                                     {"southern_pine", 0.55},
                                                     {"douglas_fir_larch", 0.50},
                                                     {"red_oak", 0.67},
                                                     {"western_cedars", 0.36},
                                                     {"c16", 0.36}};

struct Screw {
    double d, root, fyb, tip;
    bool coach;
};
const std::map<std::string, Screw> screws{{"#8 wood screw", {0.164, 0.131, 90e3, 0.328, false}},
                                          {"#10 wood screw", {0.190, 0.152, 80e3, 0.380, false}},
                                          {"#14 wood screw", {0.242, 0.196, 70e3, 0.484, false}},
                                          {"1/4 in coach screw", {0.25, 0.173, 70e3, 5.0 / 32, true}},
                                          {"5/16 in coach screw", {0.3125, 0.227, 60e3, 3.0 / 16, true}},
                                          {"3/8 in coach screw", {0.375, 0.265, 45e3, 7.0 / 32, true}}};

struct Strength {
    double pull = 0, shear = 0; // N, for stored goods
};

/// The least positive root of the yield equations in the form A P^2 + B P + C = 0 (AWC TR12).
double root_of(double a, double b, double c) {
    return (std::sqrt(b * b - 4 * a * c) - b) / 2 / a;
}

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

/// NDS-2018 12.4; in masonry the sum of the shares. Infinite where something is asked of nothing.
double used(const Strength& holds, const Json& demand, bool masonry) {
    const auto share = [](double asked, double held) { return asked == 0 ? 0.0 : held > 0 ? asked / held : INFINITY; };
    const double pull = demand["pull_n"].is_null() ? INFINITY : demand["pull_n"].get<double>();
    const double v = std::hypot(demand["down_n"].get<double>(), demand["across_n"].get<double>());
    const double lasts = masonry ? 1 : demand["duration"].get<double>() / 0.9;
    const double w = holds.pull * lasts, z = holds.shear * lasts;
    if (masonry)
        return share(pull, w) + share(v, z);
    const double alone = std::max(share(pull, w), share(v, z));
    if (pull == 0 || v == 0 || !std::isfinite(alone))
        return alone;
    const double r = std::hypot(pull, v), sine = pull / r, cosine = v / r;
    return std::max(alone, r / (w * z / (w * cosine * cosine + z * sine * sine)));
}

/// The greatest and least reaction of each support under 1 N that walks along a beam, by beam elements.
struct Walked {
    std::vector<double> greatest, least;
};
Walked influence(double length, const std::vector<double>& supports) {
    std::vector<double> nodes{0.0, length};
    for (double s : supports)
        nodes.push_back(s);
    for (int i = 1; i < 80; ++i)
        nodes.push_back(length * i / 80);
    std::sort(nodes.begin(), nodes.end());
    nodes.erase(std::unique(nodes.begin(), nodes.end(), [](double a, double b) { return b - a < 1e-6; }), nodes.end());
    const auto n = static_cast<Eigen::Index>(nodes.size());
    Eigen::MatrixXd k = Eigen::MatrixXd::Zero(2 * n, 2 * n);
    for (Eigen::Index e = 0; e + 1 < n; ++e) {
        const double l = nodes[e + 1] - nodes[e];
        Eigen::Matrix4d one;
        one << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l, 6 * l, 2 * l * l,
            -6 * l, 4 * l * l;
        k.block<4, 4>(2 * e, 2 * e) += one / (l * l * l);
    }
    std::vector<Eigen::Index> held;
    for (double s : supports)
        held.push_back(std::min_element(nodes.begin(), nodes.end(),
                                        [&](double a, double b) { return std::abs(a - s) < std::abs(b - s); }) -
                       nodes.begin());
    Eigen::MatrixXd fixed = k;
    for (Eigen::Index h : held) {
        fixed.row(2 * h).setZero();
        fixed.col(2 * h).setZero();
        fixed(2 * h, 2 * h) = 1;
    }
    const Eigen::PartialPivLU<Eigen::MatrixXd> solve{fixed};
    Walked walked{std::vector<double>(supports.size(), 0.0), std::vector<double>(supports.size(), 0.0)};
    for (Eigen::Index at = 0; at < n; ++at) {
        Eigen::VectorXd load = Eigen::VectorXd::Zero(2 * n);
        load(2 * at) = 1;
        Eigen::VectorXd free = load;
        for (Eigen::Index h : held)
            free(2 * h) = 0;
        const Eigen::VectorXd moved = solve.solve(free);
        const Eigen::VectorXd reaction = load - k * moved;
        for (std::size_t i = 0; i < held.size(); ++i) {
            walked.greatest[i] = std::max(walked.greatest[i], reaction(2 * held[i]));
            walked.least[i] = std::min(walked.least[i], reaction(2 * held[i]));
        }
    }
    return walked;
}

/// A board: modulus and bending strength in Pa, creep dry and damp, kmod for what is stored and for people, kg/m3.
struct Board {
    double e, f, dry, damp, stored, leaned, density;
};
/// EN 622-5, EN 312, EN 300, Wood Handbook chapter 5; EN 1995-1-1 tables 3.1 and 3.2 (from memory).
const std::map<std::string, Board> boards{{"mdf", {2.2e9, 20e6, 2.25, 3, 0.20, 0.65, 780}},
                                          {"mdf_moisture_resistant", {2.2e9, 20e6, 2.25, 3, 0.20, 0.65, 780}},
                                          {"particleboard_p2", {1.6e9, 11e6, 2.25, 3, 0.30, 0.85, 700}},
                                          {"particleboard_p5", {1.6e9, 16e6, 2.25, 3, 0.30, 0.85, 720}},
                                          {"osb3", {3.5e9, 18e6, 1.5, 2.25, 0.40, 0.90, 650}},
                                          {"birch_plywood", {9.0e9, 30e6, 0.8, 1, 0.60, 0.90, 700}},
                                          {"plywood", {6.0e9, 15e6, 0.8, 1, 0.60, 0.90, 600}},
                                          {"eastern_white_pine", {8.5e9, 14e6, 0.6, 0.8, 0.60, 0.90, 400}},
                                          {"ponderosa_pine", {8.9e9, 14e6, 0.6, 0.8, 0.60, 0.90, 450}},
                                          {"yellow_poplar", {10.9e9, 18e6, 0.6, 0.8, 0.60, 0.90, 470}},
                                          {"douglas_fir", {13.4e9, 18e6, 0.6, 0.8, 0.60, 0.90, 530}},
                                          {"red_oak", {12.5e9, 30e6, 0.6, 0.8, 0.60, 0.90, 700}},
                                          {"sugar_maple", {12.6e9, 30e6, 0.6, 0.8, 0.60, 0.90, 705}}};
constexpr double partial = 1.3 * 1.5; // of material and load, EN 1990 and EN 1995-1-1 (from memory)

/// A beam on points, loaded evenly stretch by stretch in every pattern, by beam elements.
class Bent {
public:
    /// @param dead, live  N/m
    Bent(double length, std::vector<double> supports, double stiffness, double dead, double live)
        : supports_{std::move(supports)} {
        std::vector<double> ends{0.0, length};
        ends.insert(ends.end(), supports_.begin(), supports_.end());
        std::sort(ends.begin(), ends.end());
        ends.erase(std::unique(ends.begin(), ends.end(), [](double a, double b) { return b - a < 1e-6; }), ends.end());
        constexpr int parts = 24;
        for (std::size_t s = 0; s + 1 < ends.size(); ++s)
            for (int i = 0; i < parts; ++i) {
                nodes.push_back(ends[s] + (ends[s + 1] - ends[s]) * i / parts);
                stretch_.push_back(s);
            }
        nodes.push_back(ends.back());
        const auto n = static_cast<Eigen::Index>(nodes.size());
        Eigen::MatrixXd k = Eigen::MatrixXd::Zero(2 * n, 2 * n);
        for (Eigen::Index e = 0; e + 1 < n; ++e)
            k.block<4, 4>(2 * e, 2 * e) += element(e, stiffness);
        for (double s : supports_) {
            const Eigen::Index h =
                std::min_element(nodes.begin(), nodes.end(),
                                 [&](double a, double b) { return std::abs(a - s) < std::abs(b - s); }) -
                nodes.begin();
            k.row(2 * h).setZero();
            k.col(2 * h).setZero();
            k(2 * h, 2 * h) = 1;
            held_.push_back(h);
        }
        const Eigen::PartialPivLU<Eigen::MatrixXd> solve{k};
        sag.assign(nodes.size(), 0.0);
        hog.assign(nodes.size(), 0.0);
        sagging.assign(nodes.size(), 0.0);
        // Dead load lies everywhere; live load on those stretches that make it worse there.
        for (std::size_t s = 0; s + 1 < ends.size(); ++s) {
            const auto [moved, moment] = under(s, solve, stiffness);
            for (std::size_t i = 0; i < nodes.size(); ++i) {
                sag[i] += dead * moved[i] + live * std::max(0.0, moved[i]);
                sagging[i] += dead * moment[i] + live * std::max(0.0, moment[i]);
                hog[i] += dead * moment[i] + live * std::min(0.0, moment[i]);
            }
        }
    }

    std::vector<double> nodes, sag, sagging, hog; ///< m, N m

    double at(double x) const {
        const auto right = std::min<std::size_t>(
            nodes.size() - 1,
            static_cast<std::size_t>(std::lower_bound(nodes.begin(), nodes.end(), x) - nodes.begin()));
        if (right == 0 || nodes[right] <= x)
            return sag[right];
        const double share = (x - nodes[right - 1]) / (nodes[right] - nodes[right - 1]);
        return sag[right - 1] + share * (sag[right] - sag[right - 1]);
    }
    double greatest_moment() const {
        return std::max(*std::max_element(sagging.begin(), sagging.end()), -*std::min_element(hog.begin(), hog.end()));
    }

private:
    Eigen::Matrix4d element(Eigen::Index e, double stiffness) const {
        const double l = nodes[e + 1] - nodes[e];
        Eigen::Matrix4d one;
        one << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l, 6 * l, 2 * l * l,
            -6 * l, 4 * l * l;
        return one * stiffness / (l * l * l);
    }
    /// Down at every node, and the moment there (sagging positive), under 1 N/m on one stretch.
    std::pair<std::vector<double>, std::vector<double>>
    under(std::size_t stretch, const Eigen::PartialPivLU<Eigen::MatrixXd>& solve, double stiffness) const {
        const auto n = static_cast<Eigen::Index>(nodes.size());
        Eigen::VectorXd load = Eigen::VectorXd::Zero(2 * n);
        const auto even = [&](Eigen::Index e) -> Eigen::Vector4d {
            const double l = nodes[e + 1] - nodes[e];
            const double w = stretch_[static_cast<std::size_t>(e)] == stretch ? 1 : 0;
            return Eigen::Vector4d{w * l / 2, w * l * l / 12, w * l / 2, -w * l * l / 12};
        };
        for (Eigen::Index e = 0; e + 1 < n; ++e)
            load.segment<4>(2 * e) += even(e);
        for (Eigen::Index h : held_)
            load(2 * h) = 0;
        const Eigen::VectorXd moved = solve.solve(load);
        std::pair<std::vector<double>, std::vector<double>> found{std::vector<double>(nodes.size()),
                                                                  std::vector<double>(nodes.size())};
        for (Eigen::Index e = 0; e + 1 < n; ++e) {
            const Eigen::Vector4d forces = element(e, stiffness) * moved.segment<4>(2 * e) - even(e);
            found.first[static_cast<std::size_t>(e)] = moved(2 * e);
            found.second[static_cast<std::size_t>(e)] = -forces(1);
            found.first[static_cast<std::size_t>(e + 1)] = moved(2 * e + 2);
            found.second[static_cast<std::size_t>(e + 1)] = forces(3);
        }
        return found;
    }

    std::vector<double> supports_;
    std::vector<std::size_t> stretch_;
    std::vector<Eigen::Index> held_;
};

class Weigher {
public:
    Weigher(const Json& job, const Json& wall, const Json& plan, Findings& findings)
        : job_{job}
        , wall_{wall}
        , plan_{plan}
        , found_{findings} {
        const Json& structure = wall_["structure"];
        if (structure.value("species", "") != "")
            wood_ = specific_gravity.at(structure["species"]);
        bool off = false;
        for (const Json& layer : wall_["lining"])
            off = off || (layer["material"] != "plaster" && layer["material"] != "tile");
        lining_share_ = off ? job_["rules"]["lining_shear_share"].get<double>() : 1;
    }

    void weigh() {
        for (std::size_t i = 0; i < plan_["shelves"].size(); ++i) {
            const Json& shelf = plan_["shelves"][i];
            thing(shelf, shelf["groups"]);
            leaning(wall_["shelves"][i], shelf);
            weight_comes_down(wall_["shelves"][i], shelf);
            board(wall_["shelves"][i], shelf);
            rods(wall_["shelves"][i], shelf);
        }
        for (const Json& run : plan_["runs"]) {
            Json groups = Json::array();
            for (const Json& unit : run["units"])
                for (const Json& group : unit["groups"])
                    groups.push_back(group);
            thing(run, groups);
            for (const Json& piece : run["pieces"])
                if (piece.contains("hold"))
                    rail(run, piece);
        }
        for (const Json& box : plan_["boxes"])
            thing(box, box["hang"]["groups"]);
        for (const Json& hung : plan_["hung"])
            thing(hung, hung["wanted"]["groups"], false);
        for (const Json& piece : plan_["pieces"])
            tipping(piece);
        for (const Json& system : plan_["systems"])
            cleats(system);
    }

private:
    void wrong(const Json& thing, const std::string& what) {
        found_.wrong.push_back(thing.value("name", "?") + ": " + what);
    }
    static bool has_error(const Json& thing) {
        return std::any_of(thing["checks"].begin(), thing["checks"].end(),
                           [](const Json& check) { return check["severity"] == "error"; });
    }
    static bool clean(const Json& thing) {
        return std::none_of(thing["checks"].begin(), thing["checks"].end(),
                            [](const Json& check) { return check["severity"] != "note"; });
    }
    /// Whether two figures agree within 1 %, and by how much the worst so far did not.
    static bool agree(double a, double b, double& worst, double floor = 0.5) {
        if (!std::isfinite(a) || !std::isfinite(b))
            return std::isfinite(a) == std::isfinite(b);
        const double off = std::abs(a - b) / std::max({std::abs(a), std::abs(b), floor});
        worst = std::max(worst, off);
        return off <= within;
    }

    void thing(const Json& thing, const Json& groups, bool judged = true) {
        ++found_.things;
        double worst = 0;
        for (const Json& group : groups) {
            if (group["turns"] == true) {
                if (!has_error(thing))
                    wrong(thing, group["name"].get<std::string>() + " turns off the wall, and no error says so");
                continue;
            }
            balance(thing, group);
            worst = std::max(worst, capacities(thing, group));
        }
        if (judged && clean(thing) && worst > 1 + 1e-9)
            wrong(thing, fmt::format("no error and no warning, and a fixing is used to {:.3f}", worst));
    }

    void balance(const Json& thing, const Json& group) {
        for (const Json& load : group["loads"]) {
            double down = 0, across = 0, turn = 0, pull = 0, lift = 0, top = -1e9;
            bool any = false;
            for (const Json& hole : group["holes"])
                for (const Json& demand : hole["demands"])
                    if (demand["case"] == load["case"]) {
                        any = true;
                        const double x = hole["x_m"], z = hole["z_m"];
                        down += demand["down_n"].get<double>();
                        across += demand["across_n"].get<double>();
                        turn += demand["down_n"].get<double>() * x + demand["across_n"].get<double>() * z;
                        pull += demand["pull_n"].get<double>();
                        lift += demand["pull_n"].get<double>() * z;
                        top = std::max(top, z);
                    }
            if (!any)
                continue;
            ++found_.groups;
            const std::string where =
                fmt::format("{}, {}: ", group["name"].get<std::string>(), load["case"].get<std::string>());
            const double weight = load["down_n"];
            if (!agree(down, weight, found_.worst_balance))
                wrong(thing, where + fmt::format("holes carry {:.1f} N of {:.1f} N", down, weight));
            if (std::abs(across) > within * std::max(1.0, weight))
                wrong(thing, where + fmt::format("{:.1f} N are left over sideways", across));
            if (std::abs(turn - weight * load["at_m"].get<double>()) > within * std::max(1.0, weight) * 0.1 + 0.05)
                wrong(thing, where + fmt::format("moments along the wall differ by {:.2f} N m",
                                                 turn - weight * load["at_m"].get<double>()));
            const double moment = load["moment_nm"];
            if (moment <= 0)
                continue;
            if (pull <= 0) {
                wrong(thing, where + "nothing pulls against its moment off the wall");
                continue;
            }
            // The edge presses with the sum of the pulls where the moments balance: no lower than the part reaches.
            const double pressed = (lift - moment) / pull;
            const double edge = group["edge_m"];
            if (pressed < edge - within * moment / pull || pressed > top)
                wrong(thing,
                      where + fmt::format("the pulls balance its moment only about {:.4f} m, its edge is at {:.4f} m",
                                          pressed, edge));
        }
    }

    std::optional<Strength> strength(const std::string& fixing, double length_m, const Json& hole, bool across) const {
        if (const auto screw = screws.find(fixing); screw != screws.end())
            return in_wood(screw->second, wood_, across, hole, length_m / inch);
        for (const Json& anchor : job_["catalogue"]["plugs"])
            if (anchor["name"] == fixing && anchor["substrate"] == wall_["structure"].value("of", ""))
                return in_masonry(anchor, hole, lining_share_);
        return std::nullopt;
    }

    /// The worst use of any hole's fixing, by own sums.
    double capacities(const Json& thing, const Json& group) {
        double worst = 0;
        if (group["fixing"].is_null())
            return 0;
        for (const Json& hole : group["holes"]) {
            const std::string hold = hole["hold"];
            const auto own = hold == "lining" || hold == "assumed_stud"
                                 ? std::nullopt
                                 : strength(group["fixing"], group["screw_length_m"], hole, hold == "nogging");
            if (!own)
                continue;
            ++found_.holes;
            const std::string where =
                group["name"].get<std::string>() + ", " + group["fixing"].get<std::string>() + ": ";
            if (!agree(own->pull, hole["holds_n"]["pull"], found_.worst_capacity, 1))
                wrong(thing, where + fmt::format("holds {:.1f} N of pull, not {:.1f}", own->pull,
                                                 hole["holds_n"]["pull"].get<double>()));
            if (!agree(own->shear, hole["holds_n"]["shear"], found_.worst_capacity, 1))
                wrong(thing, where + fmt::format("holds {:.1f} N of shear, not {:.1f}", own->shear,
                                                 hole["holds_n"]["shear"].get<double>()));
            double most = 0;
            for (const Json& demand : hole["demands"])
                most = std::max(most, used(*own, demand, hold == "masonry"));
            const double said = hole["utilisation"].is_number() ? hole["utilisation"].get<double>() : INFINITY;
            if (!agree(most, said, found_.worst_capacity, 0.01))
                wrong(thing, where + fmt::format("used to {:.4f}, not {:.4f}", most, said));
            worst = std::max(worst, most);
        }
        return worst;
    }

    /// Somebody leaning at the worst place for each bracket adds at least what the influence line says.
    void leaning(const Json& shelf, const Json& plan) {
        const Json& supports = plan["supports"];
        if (plan["bracket"].is_null() || !shelf["joints"].empty() || !shelf["hangers"].empty() || supports.size() < 2)
            return;
        // With some in the lining alone the greater of two beams counts, with and without them.
        if (std::any_of(supports.begin(), supports.end(), [](const Json& s) { return s["hold"] == "lining"; }))
            return;
        double least_top = shelf["height"].get<double>();
        least_top -= shelf["rise"].get<double>() * (shelf.value("tiers", 1) - 1);
        if (least_top >= job_["rules"]["accidental_below"].get<double>())
            return;
        const double leaning = job_["rules"]["accidental_n"];
        std::vector<double> places;
        for (const Json& support : supports)
            places.push_back(support["x_m"].get<double>() - shelf["left"].get<double>() / 1000);
        const Walked walked = influence(shelf["length"].get<double>() / 1000, places);
        for (std::size_t i = 0; i < places.size(); ++i) {
            const Json& reaction = supports[i]["reaction_n"];
            const double more = reaction["greatest"].get<double>() - reaction["sustained"].get<double>();
            if (more < leaning * walked.greatest[i] * (1 - within))
                wrong(plan, fmt::format("leaning puts {:.0f} N on no. {}, not {:.0f}", leaning * walked.greatest[i],
                                        i + 1, more));
            if (reaction["least"].get<double>() >
                leaning * walked.least[i] * (1 - within) + reaction["sustained"].get<double>())
                wrong(plan, fmt::format("leaning lifts no. {} by {:.0f} N", i + 1, -leaning * walked.least[i]));
        }
    }

    /// What lies on a shelf comes down on its supports, all of it.
    void weight_comes_down(const Json& shelf, const Json& plan) {
        const Json& supports = plan["supports"];
        const std::string kind = shelf["held_by"]["kind"];
        if (plan["bracket"].is_null() || supports.size() < 2)
            return;
        const double length = shelf["length"].get<double>() / 1000;
        double load = (plan["goods_n_per_m"].get<double>() + plan["self_weight_n_per_m"].get<double>()) * length;
        for (const Json& goods : shelf["goods"])
            load += goods["kg"].get<double>() * gravity;
        double borne = 0;
        for (const Json& support : supports)
            borne += support["reaction_n"]["sustained"].get<double>();
        if (borne < load * (1 - within))
            wrong(plan, fmt::format("its supports carry {:.0f} N of {:.0f} N ({})", borne, load, kind));
    }

    double creep(const Board& of) const {
        for (const Json& room : job_["rooms"])
            if (room["id"] == wall_["room"] && room.value("service_class", "dry") != "dry")
                return of.damp;
        return of.dry;
    }

    /// A plain board on brackets or uprights: its sag where it sags most, and its bending strength.
    void board(const Json& shelf, const Json& plan) {
        const std::string kind = shelf["held_by"]["kind"];
        const Json& supports = plan["supports"];
        if ((kind != "brackets" && kind != "standards") || !plan.contains("sag") || !shelf["joints"].empty() ||
            !shelf["hangers"].empty() || !shelf["goods"].empty() || !shelf.value("lip", Json{}).is_null() ||
            supports.size() < 2)
            return;
        ++found_.boards;
        const Board& of = boards.at(shelf["material"]);
        const double length = shelf["length"].get<double>() / 1000, b = shelf["depth"].get<double>() / 1000,
                     t = shelf["thickness"].get<double>() / 1000;
        const double stiffness = of.e * b * t * t * t / 12, modulus = b * t * t / 6;
        const double dead = plan["self_weight_n_per_m"], live = plan["goods_n_per_m"];
        if (!agree(dead, of.density * b * t * gravity, found_.worst_balance))
            wrong(plan, fmt::format("its board weighs {:.2f} N/m, not {:.2f}", of.density * b * t * gravity, dead));
        const Json& sag = plan["sag"];
        const double said_used =
            plan["board_utilisation"].is_number() ? plan["board_utilisation"].get<double>() : INFINITY;
        // What stands in the lining alone steadies and carries nothing: with it and without it.
        bool any_sag = false;
        double worst_share = 0, most = 0;
        for (const bool all : {true, false}) {
            std::vector<double> places;
            for (const Json& support : supports)
                if (all || support["hold"] != "lining")
                    places.push_back(support["x_m"].get<double>() - shelf["left"].get<double>() / 1000);
            if (places.size() < 2 || (!all && places.size() == supports.size()))
                continue;
            const Bent bent{length, places, stiffness, dead, live};
            const double creeps = 1 + creep(of);
            any_sag = any_sag || std::abs(bent.at(sag["at_m"]) * creeps - sag["long_term_m"].get<double>()) <=
                                     2 * within * std::max(sag["long_term_m"].get<double>(), 1e-5);
            const double divisor = sag["span_m"].get<double>() / sag["limit_m"].get<double>();
            const auto share = [&](double from, double to) {
                for (std::size_t i = 0; i < bent.nodes.size(); ++i)
                    if (bent.nodes[i] >= from - 1e-9 && bent.nodes[i] <= to + 1e-9 && to - from > 1e-6)
                        worst_share = std::max(worst_share, bent.sag[i] * creeps * divisor / (to - from));
            };
            for (std::size_t i = 0; i + 1 < places.size(); ++i)
                share(places[i], places[i + 1]);
            most = std::max(most, bent.greatest_moment() / modulus / (of.f * of.stored / partial));
        }
        if (!any_sag)
            wrong(plan, fmt::format("it does not sag {:.2f} mm at {:.0f} mm", sag["long_term_m"].get<double>() * 1000,
                                    sag["at_m"].get<double>() * 1000));
        const double said_share = sag["long_term_m"].get<double>() / sag["limit_m"].get<double>();
        if (worst_share > said_share * (1 + 2 * within) + 1e-3)
            wrong(plan, fmt::format("a span sags {:.3f} of its limit, and {:.3f} is said", worst_share, said_share));
        if (most > said_used * (1 + within) + 1e-3)
            wrong(plan, fmt::format("its board is used to {:.3f}, not {:.3f}", most, said_used));
        if (clean(plan) && (worst_share > 1 + 2 * within || most > 1 + within))
            wrong(plan, "no error and no warning, and its board sags or bends too much");
    }

    /// A rod is a cantilever from the face of what holds it. In its hole an even pressure carries its load and an
    /// evenly varying one the moment, greatest at the mouth.
    void rods(const Json& shelf, const Json& plan) {
        if (shelf["held_by"]["kind"] != "hidden_rods")
            return;
        const Json& rod = shelf["held_by"];
        double lining = 0;
        for (const Json& layer : wall_["lining"])
            lining += layer["thickness"].get<double>() / 1000;
        const double d = rod["diameter"].get<double>() / 1000, in_wall = rod["in_wall"].get<double>() / 1000;
        const double b = shelf["depth"].get<double>() / 1000;
        const double in_shelf = std::min(rod["in_shelf"].get<double>() / 1000, b);
        const Json& rules = job_["rules"]["shelves"];
        const bool masonry = wall_["structure"]["kind"] == "masonry";
        double worst = 0;
        for (const Json& support : plan["supports"]) {
            if (!support.contains("fixing"))
                continue;
            ++found_.holes;
            const double goods = support["reaction_n"]["sustained"];
            const double leaning = support["reaction_n"]["greatest"].get<double>() - goods;
            const auto mouth = [](double force, double moment, double length, double breadth) {
                // p(x) = p0 + p1 x over the length from its middle: force and moment about the middle balance.
                const double even = force / (breadth * length), varying = moment * 6 / (breadth * length * length);
                return even + varying;
            };
            double steel = 0, wall = 0, board = 0;
            for (const auto& [force, at] : {std::pair{goods, b / 2}, std::pair{leaning, b}}) {
                const double arm = at + lining;
                steel += force * arm * 32 / (pi * d * d * d);
                wall += mouth(force, force * (arm + in_wall / 2), in_wall, d);
                board += mouth(force, force * std::abs(at - in_shelf / 2), in_shelf, d);
            }
            const double nominal = std::max(0.25, d / inch);
            const auto wood = [&](double g, bool across) {
                return (across ? 6100 * std::pow(g, 1.45) / std::sqrt(nominal) : 11'200 * g) * 6894.757 / 4;
            };
            const double wall_bears =
                masonry ? rules[wall_["structure"]["of"].get<std::string>() + "_mpa"].get<double>() * 1e6
                        : wood(wood_, support["hold"] == "nogging");
            const double shelf_bears = wood(std::min(0.5, 0.9 * boards.at(shelf["material"]).density / 1000), true);
            const double most = std::max(
                {steel / (rules["rod_steel_mpa"].get<double>() * 1e6), wall / wall_bears, board / shelf_bears});
            const double said =
                support["fixing_utilisation"].is_number() ? support["fixing_utilisation"].get<double>() : INFINITY;
            if (!agree(most, said, found_.worst_capacity, 0.02))
                wrong(plan, fmt::format("a rod is used to {:.3f}, not {:.3f}", most, said));
            worst = std::max(worst, most);
        }
        if (clean(plan) && worst > 1 + within)
            wrong(plan, fmt::format("no error and no warning, and a rod is used to {:.3f}", worst));
    }

    /// A rail's fixings carry its hooks, whole, and each no less than a beam cut over it would put there.
    void rail(const Json& run, const Json& piece) {
        const Json& hold = piece["hold"];
        double hooks = 0, moments = 0, borne = 0;
        for (const Json& hook : hold["hooks"]) {
            hooks += hook["down_n"].get<double>();
            moments += hook["moment_nm"].get<double>();
        }
        double worst = 0;
        for (const Json& place : hold["places"]) {
            borne += place["down_n"].get<double>() * hold["screws_at_each"].get<double>();
            const Strength own{place["holds_n"]["pull"], place["holds_n"]["shear"]};
            const Json demand{
                {"pull_n", place["pull_n"]}, {"down_n", place["down_n"]}, {"across_n", 0}, {"duration", 0.9}};
            worst = std::max(worst, used(own, demand, wall_["structure"]["kind"] == "masonry"));
        }
        if (hold["places"].empty())
            return;
        ++found_.groups;
        if (borne < hooks * (1 - within))
            wrong(run, fmt::format("its rail's fixings carry {:.0f} N of {:.0f} N", borne, hooks));
        const double said = hold["utilisation"].is_number() ? hold["utilisation"].get<double>() : INFINITY;
        if (!agree(worst, said, found_.worst_capacity, 0.01))
            wrong(run, fmt::format("its rail is used to {:.3f}, not {:.3f}", worst, said));
        if (clean(run) && worst > 1 + 1e-9)
            wrong(run, fmt::format("no error and no warning, and its rail is used to {:.3f}", worst));
    }

    /// F = max(0, 1.5 M_over - 0.9 M_right) / h; each of two or more 0.6 of it, none less than 220 N (ASTM F3096, from
    /// memory).
    void tipping(const Json& piece) {
        ++found_.things;
        double needs = 0;
        for (const Json& tip : piece["cases"]) {
            needs = std::max(
                needs, std::max(0.0, 1.5 * tip["over_nm"].get<double>() - 0.9 * tip["righting_nm"].get<double>()) /
                           piece["restraint_height_m"].get<double>());
            if (tip["tips"] != (tip["over_nm"].get<double>() > tip["righting_nm"].get<double>()))
                wrong(piece, "a case tips and is not said to, or the other way");
        }
        if (!agree(needs, piece["needs_n"], found_.worst_balance))
            wrong(piece, fmt::format("needs {:.1f} N, not {:.1f}", needs, piece["needs_n"].get<double>()));
        if (piece["verdict"] != "held" || !piece.contains("fixing"))
            return;
        const Json& fixing = piece["fixing"];
        const double number = static_cast<double>(piece["places"].size());
        const double each = std::max(220.0, number < 2 ? needs : 0.6 * needs);
        if (piece["each_n"].get<double>() < each * (1 - within))
            wrong(piece, fmt::format("each place must hold {:.0f} N, not {:.0f}", each, piece["each_n"].get<double>()));
        const auto own = strength(fixing["name"], fixing["screw_length_m"], fixing, false);
        ++found_.holes;
        if (own && each > own->pull / (wall_["structure"]["kind"] == "masonry" ? 1 : 0.9) * (1 + within))
            wrong(piece, fmt::format("held, and each place must hold {:.0f} N where its screw holds {:.0f}", each,
                                     own->pull / 0.9));
    }

    /// Each cleat's screws together bear at least its load, and no screw more than it holds.
    void cleats(const Json& system) {
        ++found_.things;
        double worst = 0;
        for (const Json& bay : system["bays"])
            for (const Json& cleat : bay["cleats"]) {
                const double number = static_cast<double>(cleat["screws"].size());
                for (const Json& demand : cleat["worst_screw"]) {
                    if (demand["down_n"].get<double>() * number < cleat["load_n"].get<double>() * (1 - within))
                        wrong(system, "the cleat of " + cleat["shelf"].get<std::string>() + " sheds some of its load");
                    if (!system.contains("fixing"))
                        continue;
                    const Json& fixing = system["fixing"];
                    if (const auto own = strength(fixing["name"], fixing["screw_length_m"], fixing, false)) {
                        ++found_.holes;
                        worst = std::max(worst, used(*own, demand, wall_["structure"]["kind"] == "masonry"));
                    }
                }
            }
        if (clean(system) && worst > 1 + within)
            wrong(system, fmt::format("no error and no warning, and a cleat's screw is used to {:.3f}", worst));
    }

    const Json& job_;
    const Json& wall_;
    const Json& plan_;
    Findings& found_;
    double wood_ = 0.36;
    double lining_share_ = 1;
};

} // namespace

void weigh(const Json& job, const Json& plan, Findings& findings) {
    for (std::size_t i = 0; i < plan["walls"].size(); ++i)
        Weigher{job, job["walls"][i], plan["walls"][i], findings}.weigh();
}

} // namespace opinion
