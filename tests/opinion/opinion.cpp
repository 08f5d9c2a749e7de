#include "opinion.hpp"

#include "beams.hpp"
#include "screws.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <optional>

namespace opinion {
namespace {

constexpr double within = 0.01;
constexpr double gravity = 9.80665;
constexpr double partial = 1.3 * 1.5; // of material and load, EN 1990 and EN 1995-1-1 (from memory)

class Weigher {
public:
    Weigher(const Json& job, const Json& wall, const Json& plan, Findings& findings)
        : job_{job}
        , wall_{wall}
        , plan_{plan}
        , found_{findings} {
        const Json& structure = wall_["structure"];
        if (structure.value("species", "") != "")
            wood_ = specific_gravity.at(structure["species"]), rho_ = density.at(structure["species"]);
        en_ = job_["rules"]["timber"] == "EN 1995-1-1";
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

    static bool at_an_angle(const Json& thing, const Json& group) {
        const auto supports = thing.find("supports");
        return supports != thing.end() && std::ranges::any_of(*supports, [&](const Json& support) {
                   return support["stands"] == "angled_screw" &&
                          std::to_string(support["number"].get<int>()) == group["name"];
               });
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
            if (at_an_angle(thing, group)) {
                // Along the screw and across it, both at 45 degrees to the wall: together they carry what comes down.
                if (!agree((pull + down) / std::sqrt(2.0), weight, found_.worst_balance))
                    wrong(thing, where + fmt::format("an angled screw carries {:.1f} N of {:.1f} N",
                                                     (pull + down) / std::sqrt(2.0), weight));
                continue;
            }
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
            return en_ ? in_wood_en(screw->second, rho_, across, hole, length_m / inch)
                       : in_wood(screw->second, wood_, across, hole, length_m / inch);
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
            if (hole["fixing"].is_null())
                continue; // nothing holds there
            const std::string hold = hole["hold"];
            auto own = hold == "lining" || hold == "assumed_stud"
                           ? std::nullopt
                           : strength(hole["fixing"], hole["screw_length_m"], hole, hold == "nogging");
            if (!own)
                continue;
            if (at_an_angle(thing, group)) { // as toe-nails, NDS-2018 12.5.4 (from memory)
                own->pull *= 0.67;
                own->shear *= 0.83;
            }
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
        if (least_top >= job_["rules"]["accidental_below"].get<double>() || shelf.value("out_of_reach", false))
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

    /// What is left of a board's depth where most is cut out of it, m: half a millimetre by half a millimetre.
    static double uncut(const Json& shelf) {
        const double depth = shelf["depth"].get<double>();
        double least = depth;
        for (const Json& begins : shelf.value("cut_outs", Json::array())) {
            double left = 0;
            for (double y = 0.25; y < depth; y += 0.5) {
                bool gone = false;
                for (const Json& cut : shelf["cut_outs"])
                    gone = gone ||
                           (cut["across"] <= begins["across"] &&
                            cut["across"].get<double>() + cut["width"].get<double>() > begins["across"].get<double>() &&
                            y > cut["back"] && y < cut["back"].get<double>() + cut["depth"].get<double>());
                left += gone ? 0 : 0.5;
            }
            least = std::min(least, left);
        }
        return least / 1000;
    }

    /// A plain board on brackets or uprights: its sag where it sags most, and its bending strength.
    void board(const Json& shelf, const Json& plan) {
        const std::string kind = shelf["held_by"]["kind"];
        const Json& supports = plan["supports"];
        if ((kind != "brackets" && kind != "standards") || !plan.contains("sag") || !shelf["joints"].empty() ||
            !shelf["hangers"].empty() || !shelf["goods"].empty() || !shelf.value("lip", Json{}).is_null() ||
            !shelf.value("hollow", Json{}).is_null() || !shelf.value("stretcher", Json{}).is_null() ||
            supports.size() < 2)
            return;
        ++found_.boards;
        const Board& of = boards.at(shelf["material"]);
        const double length = shelf["length"].get<double>() / 1000, b = shelf["depth"].get<double>() / 1000,
                     t = shelf["thickness"].get<double>() / 1000;
        const double left = uncut(shelf);
        const double stiffness = of.e * left * t * t * t / 12, modulus = left * t * t / 6;
        const double dead = plan["self_weight_n_per_m"], live = plan["goods_n_per_m"];
        const double scales = shelf.value("board_kg", 0.0);
        const double heavy = scales > 0 ? scales / length * gravity : of.density * b * t * gravity;
        if (!agree(dead, heavy, found_.worst_balance))
            wrong(plan, fmt::format("its board weighs {:.2f} N/m, not {:.2f}", heavy, dead));
        const Json& sag = plan["sag"];
        const double said_used =
            plan["board_utilisation"].is_number() ? plan["board_utilisation"].get<double>() : INFINITY;
        // What stands in the lining alone steadies and carries nothing: with it and without it.
        bool any_sag = false;
        double worst_share = 0, most = 0;
        for (const int without : {0, 1, 2}) { // nothing, what is in the lining alone, rods besides
            const bool all = without == 0;
            std::vector<double> places;
            for (const Json& support : supports)
                if (all || (support["hold"] != "lining" &&
                            (without == 1 || (support["stands"] != "rod" && support["stands"] != "angled_screw"))))
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
            const Strength own{place["holds_n"]["pull"], place["holds_n"]["shear"], en_};
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
        const double lasts = wall_["structure"]["kind"] == "masonry" || !own ? 1 : lasting(*own, 1);
        if (own && each > own->pull * lasts * (1 + within))
            wrong(piece, fmt::format("held, and each place must hold {:.0f} N where its screw holds {:.0f}", each,
                                     own->pull * lasts));
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
    double rho_ = 290;
    bool en_ = false;
    double lining_share_ = 1;
};

} // namespace

void weigh(const Json& job, const Json& plan, Findings& findings) {
    for (std::size_t i = 0; i < plan["walls"].size(); ++i)
        Weigher{job, job["walls"][i], plan["walls"][i], findings}.weigh();
}

} // namespace opinion
