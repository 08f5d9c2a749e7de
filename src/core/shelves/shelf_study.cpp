#include "core/shelves/shelf_study.hpp"

#include "core/shelves/way.hpp"

#include "core/shelves/bracket_search.hpp"
#include "core/shelves/fix_place.hpp"
#include "core/shelves/layouts.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/reckon_shelf.hpp"
#include "core/shelves/shelf_checks.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

namespace yes_square {
namespace {

double known_or(Utilisation used, double otherwise) {
    return used.known() ? used.number() : otherwise;
}

constexpr double infinite = std::numeric_limits<double>::infinity();
constexpr LineMass most = LineMass::kg_per_metre(2000); ///< more than any shelf is asked for
constexpr int halvings = 26;
constexpr double worth_showing = 1.02;
constexpr std::size_t thicker_shown = 2;
constexpr Length lip_breadth = 20_mm;
constexpr Length lip_height = 40_mm;

/// How near each limit a shelf is: 1 is the limit.
struct Strain {
    double sag = 0;
    double board = 0;
    double hanger = 0;
    double fixing = 0;
    double greatest() const { return std::max({sag, board, hanger, fixing}); }
};

/// The shelf with another even load, so many kg/m.
Shelf loaded(const Shelf& shelf, LineMass per_metre) {
    Shelf other = shelf;
    way_of(shelf).load(other, per_metre);
    return other;
}

/// Strains under another even load, everything else as planned: fixings are not exchanged for longer ones.
class AsPlanned {
public:
    AsPlanned(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan)
        : shelf_{shelf}
        , site_{site}
        , plan_{plan}
        , carrier_{carrier_of(shelf, site)}
        , light_{holds(plan) == Holds::light} {
        if (!carrier_)
            return;
        question_ = bracket_question(shelf, site, *carrier_);
        for (const BracketPlan& place : plan.brackets)
            places_.push_back(place.x - shelf.left);
    }

    Strain under(LineMass per_metre) const {
        const Shelf other = loaded(shelf_, per_metre);
        return carrier_ ? along(other) : by_itself(other);
    }

private:
    Strain along(const Shelf& other) const {
        const Weighed weighed = weigh(other, site_, *carrier_, question_, places_);
        Strain strain{weighed.sag.share(), weighed.board_utilisation.number(), 0, 0};
        for (std::size_t i = 0; i < places_.size(); ++i) {
            const BracketPlan& before = plan_.brackets[i];
            const BracketPlan& now = weighed.brackets[i];
            strain.hanger = std::max(strain.hanger, known_or(now.bracket_utilisation, 0));
            if (!carries(before.substrate) && !light_)
                continue;
            if (before.other) {
                strain.fixing = std::max(strain.fixing, known_or(now.fixing_utilisation, infinite));
            } else if (!before.fixing) {
                strain.fixing = infinite;
            } else if (before.hanger) {
                strain.fixing = std::max(
                    strain.fixing,
                    utilisation_of(before.fixing->strength(), before.substrate,
                                   HoleDemand{now.reaction.greatest / shelf_.hanger.screws, 0, duration_stored})
                        .number());
            } else if (carrier_->rod) {
                strain.fixing = std::max(strain.fixing, known_or(now.fixing_utilisation, infinite));
            } else {
                const PlaceDemands demands = demands_of(now.reaction, *carrier_, site_.rules);
                if (demands.turns)
                    strain.fixing = infinite;
                for (std::size_t row = 0; row < demands.rows.size(); ++row)
                    strain.fixing = std::max(strain.fixing, utilisation_of(before.fixing_of(row)->strength(),
                                                                           before.substrate, demands.rows[row])
                                                                .number());
            }
        }
        if (!light_ && std::ranges::count_if(plan_.brackets, &BracketPlan::bears_board) < 2)
            strain.fixing = infinite;
        return strain;
    }

    /// On a plate or on cleats: drafted anew, its pulls held against the fixings there are.
    Strain by_itself(const Shelf& other) const {
        const ShelfPlan now = draft_shelf(other, site_);
        Strain strain{now.sag ? now.sag->share() : 0, now.board_utilisation.number(),
                      known_or(now.plate_utilisation, 0), 0};
        if (now.plate_turns)
            strain.fixing = infinite;
        const auto note = [&](const std::optional<Fixing>& fixing, const FixingStrength& strength, Substrate substrate,
                              const std::vector<HoleDemand>& demands) {
            strain.fixing =
                std::max(strain.fixing, fixing ? utilisation_of(strength, substrate, demands).number() : infinite);
        };
        for (std::size_t i = 0; i < plan_.holes.size() && i < now.holes.size(); ++i)
            if (const BracketPlan& place = plan_.brackets[plan_.holes[i].place]; carries(place.substrate))
                note(place.fixing, plan_.holes[i].strength, place.substrate, now.holes[i].demands);
        for (std::size_t i = 0; i < now.cleats.size(); ++i)
            note(plan_.cleats[i].fixing, plan_.cleats[i].fixing ? plan_.cleats[i].fixing->strength() : FixingStrength{},
                 plan_.cleats[i].substrate, now.cleats[i].loads);
        return strain;
    }

    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfPlan& plan_;
    std::optional<Carrier> carrier_;
    const bool light_; ///< its places in the lining carry too
    BracketQuestion question_;
    std::vector<Length> places_;
};

/// The load at which one of the strains comes to 1: every strain grows with the load.
LineMass load_where(const AsPlanned& shelf, double Strain::*limit) {
    if (shelf.under(0).*limit > 1)
        return 0;
    if (shelf.under(most).*limit <= 1)
        return LineMass::kg_per_metre(infinite);
    LineMass low = 0;
    LineMass high = most;
    for (int i = 0; i < halvings; ++i) {
        const LineMass middle = (low + high) / 2;
        (shelf.under(middle).*limit > 1 ? high : low) = middle;
    }
    return low;
}

bool from_memory(const Shelf& shelf, const ShelfPlan& plan) {
    const auto memory = [](const Source& source) { return source.provenance == Provenance::from_memory; };
    const BoardProperties& board = properties(shelf.material);
    return (plan.sag && (memory(board.modulus_source) || memory(board.kdef_source))) ||
           std::ranges::any_of(plan.brackets,
                               [&](const BracketPlan& p) { return p.fixing && memory(p.fixing->source); }) ||
           std::ranges::any_of(plan.cleats, [&](const CleatPlan& c) { return c.fixing && memory(c.fixing->source); });
}

class Strengthener {
public:
    Strengthener(const Shelf& shelf, const WallSite& site, LineMass now)
        : shelf_{shelf}
        , site_{site}
        , now_{now} {}

    std::vector<Stronger> all() {
        thicker();
        lipped();
        stiffer();
        more_places();
        other_brackets();
        practised_hands();
        std::ranges::stable_sort(found_, std::ranges::greater{}, &Stronger::per_metre);
        return std::move(found_);
    }

private:
    bool try_it(Sentence words, const Shelf& other) {
        const ShelfPlan plan = draft_shelf(other, site_);
        const Capacity capacity = capacity_of(other, site_, plan);
        if (!(capacity.per_metre > now_ * worth_showing))
            return false;
        found_.push_back({std::move(words), ChangeShelf{other}, capacity.per_metre, capacity.governs,
                          plan.sag ? plan.sag->share() : 0});
        return true;
    }

    const Way& way() const { return way_of(shelf_); }
    /// Of the fitter's own choice.
    bool has_board() const { return way().sat_on() && !way().whole(shelf_); }

    void thicker() {
        if (!has_board() || (way().own_thickness() && !way().at_places()))
            return;
        std::size_t shown = 0;
        for (const Length thickness : board_thicknesses) {
            if (thickness <= shelf_.thickness || shown == thicker_shown)
                continue;
            Shelf other = shelf_;
            other.thickness = thickness;
            shown += try_it({"Board {0} thick", {quantity(thickness)}}, other);
        }
    }

    void lipped() {
        if (shelf_.lip || !way().takes_lip())
            return;
        Shelf other = shelf_;
        other.lip = Lip{BoardMaterial::red_oak, lip_breadth, std::max(lip_height, shelf_.thickness), {}};
        try_it({"A lip of oak along the front, {0} x {1}", {quantity(other.lip->breadth), quantity(other.lip->height)}},
               other);
    }

    void stiffer() {
        if (!has_board())
            return;
        Shelf other = shelf_;
        other.material = BoardMaterial::birch_plywood;
        if (other.material != shelf_.material)
            try_it({"The same in {0}", {properties(other.material).words}}, other);
    }

    void more_places() {
        if (!way().at_places())
            return;
        Shelf other = shelf_;
        ++other.extra_brackets;
        try_it({way().one_more()}, other);
    }

    void other_brackets() {
        if (!way().chooses_bracket())
            return;
        const ArmRange range = arm_range(shelf_.depth, site_.rules);
        const auto now = carrier_of(shelf_, site_);
        for (const Bracket& bracket : site_.catalogue.brackets) {
            if (!bracket.at_hand)
                continue;
            if (!range.holds(bracket.arm) || (now && now->bracket.id == bracket.id))
                continue;
            Shelf other = shelf_;
            other.bracket = bracket.id;
            try_it({"Bracket: {0}", {bracket.name}}, other);
        }
    }

    /// Expanding and resin-set anchors, if somebody who can set them does the work.
    void practised_hands() {
        if (!site_.masonry() || site_.rules.shelves.skill == Skill::practised)
            return;
        HouseRules rules = site_.rules;
        rules.shelves.skill = Skill::practised;
        const WallSite site = site_.with(rules);
        const ShelfPlan plan = draft_shelf(shelf_, site);
        const Capacity capacity = capacity_of(shelf_, site, plan);
        if (capacity.per_metre > now_ * worth_showing)
            found_.push_back({{"Anchors for practised hands"},
                              SetSkill{Skill::practised},
                              capacity.per_metre,
                              capacity.governs,
                              plan.sag ? plan.sag->share() : 0});
    }

    const Shelf& shelf_;
    const WallSite& site_;
    LineMass now_;
    std::vector<Stronger> found_;
};

/// The board over what carries it; nothing where no board spans.
std::vector<BeamPlace> bending(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    const std::vector<Length> places = way_of(shelf).bears_at(shelf, plan);
    if (places.size() < 2)
        return {};
    return diagram(beam_of(shelf, places), loads_of(shelf, site.rules).on_beam(),
                   creep_factor(shelf, site.service_class));
}

/// All fixings at hand, for the place that is loaded most.
std::vector<FixingOption> ranked(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    const auto carrier = carrier_of(shelf, site);
    const HungPlate hung = plate_of(shelf);
    if (plan.brackets.empty() || (carrier && carrier->rod))
        return {};
    const auto worst = std::ranges::max_element(plan.brackets, {}, [](const BracketPlan& place) {
        return carries(place.substrate) ? known_or(place.fixing_utilisation, infinite) : -1;
    });
    if (!worst->is_bracket())
        return {};
    DrivenThrough through;
    std::vector<HoleDemand> demands;
    if (carrier) {
        through = carrier->through;
        for (const auto& row : worst->row_demands)
            demands.insert(demands.end(), row.begin(), row.end());
    } else if (hung.plate) {
        through = {hung.plate->thickness, steel_sheet_bearing, hung.plate->hole_diameter};
        through.packing = hung.proud;
        demands = plan.holes[static_cast<std::size_t>(worst - plan.brackets.begin())].demands;
    } else {
        return {};
    }
    return rank_fixings(site.fixings(), worst->substrate, through, demands);
}

} // namespace

std::string_view words(Governs governs) {
    switch (governs) {
    case Governs::nothing:
        return "nothing";
    case Governs::sag:
        return "the sag";
    case Governs::board:
        return "the board's strength";
    case Governs::hanger:
        return "the bracket's rating";
    case Governs::fixing:
        return "the fixings";
    }
    return {};
}

Capacity capacity_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    Capacity capacity;
    if (plan.brackets.empty() && plan.cleats.empty())
        return capacity;
    const AsPlanned as_planned{shelf, site, plan};
    capacity.by_sag = load_where(as_planned, &Strain::sag);
    capacity.by_board = load_where(as_planned, &Strain::board);
    capacity.by_hanger = load_where(as_planned, &Strain::hanger);
    capacity.by_fixing = load_where(as_planned, &Strain::fixing);
    const std::array limits{std::pair{capacity.by_sag, Governs::sag}, std::pair{capacity.by_board, Governs::board},
                            std::pair{capacity.by_hanger, Governs::hanger},
                            std::pair{capacity.by_fixing, Governs::fixing}};
    const auto least = std::ranges::min_element(limits, {}, [](const auto& limit) { return limit.first; });
    capacity.governs = least->second;
    capacity.per_metre = std::min(least->first, most);
    capacity.length = shelf.length.in_metres();
    capacity.mass = capacity.on_all(capacity.per_metre);
    capacity.from_memory = from_memory(shelf, plan);
    const HungPlate hung = plate_of(shelf);
    capacity.hanger_unknown =
        hung.plate ? !hung.plate->rating : plan.bracket && !plan.bracket->rating && way_of(shelf).maker_rates_it();
    capacity.hanger_unknown |= !shelf.hanger_rating && std::ranges::any_of(plan.brackets, &BracketPlan::hanger);
    capacity.stud_assumed = std::ranges::count(plan.brackets, Substrate::assumed_stud, &BracketPlan::substrate) > 0;
    return capacity;
}

Promise promise_of(const Shelf& shelf, const ShelfPlan& plan, const Capacity& capacity) {
    const bool errors =
        std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; });
    const Holds held = holds(plan);
    const bool unknown = capacity.hanger_unknown || held == Holds::unknown;
    if (errors)
        return {false, {"Do not load"}, {"Its sheet has errors that are not cleared"}};
    if (capacity.stud_assumed)
        return {false, {"Do not load"}, {"A stud it counts on was never found"}};
    // What has to be found out first is no figure of a packet.
    const auto first = std::ranges::find_if(plan.checks, [](const Check& check) {
        return check.code.bears() == Bears::on_what_is_known && check.code != checks::bracket_unrated;
    });
    if (!capacity.hanger_unknown && first != plan.checks.end())
        return {false, {"Not known yet"}, first->message};
    if (unknown)
        return {
            false, {"Not known: enter the packet's figure"}, {"What holds it is not known until its packet says so"}};
    if (capacity.mass < 1_kg)
        return {false, {"Do not load"}, {"Nothing holds it"}};
    const Quantity whole = quantity(floor(capacity.mass));
    if (held == Holds::light)
        return {true, {"Light use: at most {0}, evenly", {whole}}, {}};
    if (way_of(shelf).whole(shelf))
        return {true, {"At most {0} in it", {whole}}, {}};
    if (shelf.tiers > 1)
        return {true, {"At most {0} on each shelf, evenly", {whole}}, {}};
    return {true, {"At most {0}, evenly", {whole}}, {}};
}

ShelfStudy study_shelf(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    ShelfStudy study;
    study.diagram = bending(shelf, site, plan);
    const auto worst = [&](auto&& figure) {
        const auto found = std::ranges::max_element(study.diagram, {}, figure);
        return static_cast<std::size_t>(found - study.diagram.begin());
    };
    if (!study.diagram.empty()) {
        study.worst_sag = worst([](const BeamPlace& place) { return std::abs(place.sag); });
        study.worst_moment =
            worst([](const BeamPlace& place) { return std::max(place.greatest_moment, -place.least_moment); });
    }
    study.capacity = capacity_of(shelf, site, plan);
    study.stronger = Strengthener{shelf, site, study.capacity.per_metre}.all();
    study.fixings = ranked(shelf, site, plan);
    return study;
}

} // namespace yes_square
