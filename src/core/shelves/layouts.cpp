#include "core/shelves/layouts.hpp"

#include "core/shelves/way.hpp"

#include "core/shelves/fix_place.hpp"
#include "core/shelves/verdicts.hpp"

#include <algorithm>
#include <array>
#include <cassert>
#include <cmath>
#include <cstdlib>
#include <functional>
#include <limits>
#include <map>

namespace yes_square {
namespace {

constexpr std::array all_schools{School::studs_first, School::even, School::mirrored};

std::optional<OtherSupport> other_at(const Shelf& shelf, Length place) {
    if (way_of(shelf).chooses_bracket())
        for (const OtherSupport& other : shelf.others)
            if (shelf.place_of(other) == place)
                return other;
    return std::nullopt;
}

/// A board turns about its legs. Goods in the middle of its depth press on a leg by (depth / 2) / out of what comes
/// down there, and leave the rest to the back, or lift that where the leg stands behind the middle; whoever leans on
/// the front edge presses by depth / out and lifts the back. What holds the back nearest takes that besides its own. A
/// leg is reckoned with no less than all that comes down there (safe side).
void turn_about_legs(const Shelf& shelf, std::vector<BracketPlan>& places) {
    for (BracketPlan& leg : places) {
        if (!leg.is(OtherKind::leg) || leg.other->out <= Length{})
            continue;
        const double edge = shelf.depth.in_metres() / leg.other->out.in_metres();
        const Force goods = leg.reaction.sustained;
        const Force leaning = leg.reaction.greatest - goods;
        leg.reaction.sustained = goods * std::max(1.0, edge / 2);
        leg.reaction.greatest = leg.reaction.sustained + leaning * std::max(1.0, edge);
        BracketPlan* nearest = nullptr;
        for (BracketPlan& place : places)
            if (place.substrate != Substrate::floor && place.bears_board() &&
                (!nearest || absolute(place.x - leg.x) < absolute(nearest->x - leg.x)))
                nearest = &place;
        if (!nearest)
            continue;
        const Force behind = goods * (1 - edge / 2);
        nearest->reaction.sustained += std::max<Force>(0, behind);
        nearest->reaction.greatest += std::max<Force>(0, behind);
        nearest->reaction.least += std::min<Force>(0, behind) - leaning * std::max(0.0, edge - 1);
    }
}

/// Whether what stands at a place gives under its load, nobody can say by how much.
bool gives(const BracketPlan& place) {
    return (place.is(OtherKind::rod) || place.is(OtherKind::angled_screw)) && carries(place.substrate);
}

/// A rod gives under its load, by as much as the wall round it lets it, which nobody measures, and what is stiffer
/// takes that. Every reaction, moment and sag moves one way only with the stiffness of each single spring, so that its
/// worst lies where each rod stands firm or is not there: the board is judged on every such set of its places. With
/// more rods than five, on those with all, none, or one of them, and with all but one. Angled screws are as rods.
/// @return places from the shelf's left end, of two or more; those with all rods are not among them
std::vector<std::vector<Length>> without_rods(const Shelf& shelf, const std::vector<BracketPlan>& places) {
    constexpr std::size_t most_rods = 5;
    const auto rods = static_cast<std::size_t>(std::ranges::count_if(places, gives));
    std::vector<std::vector<Length>> sets;
    const auto add = [&](const std::function<bool(std::size_t)>& stands) {
        std::vector<Length> set;
        std::size_t rod = 0;
        for (const BracketPlan& place : places)
            if (carries(place.substrate) && (!gives(place) || stands(rod++)))
                set.push_back(place.x - shelf.left);
        if (set.size() >= 2)
            sets.push_back(std::move(set));
    };
    if (rods == 0)
        return sets;
    if (rods <= most_rods) {
        for (std::size_t firm = 0; firm + 1 < std::size_t{1} << rods; ++firm)
            add([&](std::size_t rod) { return (firm >> rod & 1U) != 0; });
        return sets;
    }
    add([](std::size_t) { return false; });
    for (std::size_t one = 0; one < rods; ++one) {
        add([&](std::size_t rod) { return rod == one; });
        add([&](std::size_t rod) { return rod != one; });
    }
    return sets;
}

/// The board on its places, and what comes down on each.
Weighed weigh_board(const Shelf& shelf, const WallSite& site, const BracketQuestion& question,
                    const std::vector<Length>& places) {
    const HouseRules& rules = site.rules;
    const ShelfLoads loads = loads_of(shelf, rules);
    const BeamLoad beam_load = loads.on_beam();
    const double kdef = creep_factor(shelf, site.service_class);

    Weighed weighed;
    std::vector<Length> carrying;
    for (const Length place : places) {
        BracketPlan plan;
        plan.x = shelf.left + place;
        plan.substrate = hold_at(question, place);
        if (const auto other = other_at(shelf, place); other)
            plan.other = *other;
        else
            plan.hanger = std::ranges::find(question.hangers, place, &StudUnder::place) != question.hangers.end();
        plan.pinned = std::ranges::find(shelf.pins, place) != shelf.pins.end();
        const auto& studs = site.survey.studs;
        const bool in_stud = !plan.hanger && plan.substrate != Substrate::nogging &&
                             plan.substrate != Substrate::floor && plan.substrate != Substrate::side_wall;
        if (site.timber() && in_stud && carries(plan.substrate))
            for (std::size_t i = 0; i < studs.size(); ++i)
                if (!plan.stud || absolute(studs[i].centre - plan.x) < absolute(studs[*plan.stud].centre - plan.x))
                    plan.stud = i;
        if (plan.bears_board())
            carrying.push_back(place);
        weighed.brackets.push_back(std::move(plan));
    }
    // The load between a bracket and half way to the next: patterns on a continuous shelf can give an end bracket less.
    const auto at_least_its_share = [&](Reaction& reaction, const std::vector<Length>& supports, std::size_t i) {
        const Length from = i == 0 ? Length{} : (supports[i - 1] + supports[i]) / 2;
        const Length to = i + 1 == supports.size() ? shelf.length : (supports[i] + supports[i + 1]) / 2;
        const Force missing = loads.between(from, to) - reaction.sustained;
        if (missing > 0) {
            reaction.sustained += missing;
            reaction.greatest += missing;
        }
    };
    std::optional<BeamResult> whole;
    if (places.size() >= 2) {
        whole = analyse(beam_of(shelf, places), beam_load, kdef);
        weighed.sag = worst_sag(*whole, divisor(rules.sag_limit));
        weighed.board_utilisation = board_utilisation(shelf, *whole, loads.accidental, rules);
        weighed.utilisation = weighed.board_utilisation;
        for (std::size_t i = 0; i < places.size(); ++i) {
            weighed.brackets[i].reaction = whole->reactions[i];
            at_least_its_share(weighed.brackets[i].reaction, places, i);
        }
    }
    // The board is judged on some of its places too, and each place with the worse.
    const auto also_on = [&](const std::vector<Length>& fewer) {
        const BeamResult bare = analyse(beam_of(shelf, fewer), beam_load, kdef);
        if (const SagVerdict sag = worst_sag(bare, divisor(rules.sag_limit)); sag.share() > weighed.sag.share())
            weighed.sag = sag;
        weighed.board_utilisation =
            std::max(weighed.board_utilisation, board_utilisation(shelf, bare, loads.accidental, rules));
        weighed.utilisation = weighed.board_utilisation;
        for (std::size_t next = 0; next < fewer.size(); ++next) {
            const auto place = std::ranges::find(weighed.brackets, shelf.left + fewer[next], &BracketPlan::x);
            Reaction alone = bare.reactions[next];
            at_least_its_share(alone, fewer, next);
            place->reaction.greatest = std::max(place->reaction.greatest, alone.greatest);
            place->reaction.sustained = std::max(place->reaction.sustained, alone.sustained);
            place->reaction.least = std::min(place->reaction.least, alone.least);
        }
    };
    if (carrying.size() >= 2 && carrying.size() < places.size()) {
        also_on(carrying); // those in the lining, or at an angle, steady and carry nothing
    } else if (carrying.size() == 1) {
        // With one bracket that carries, it carries all.
        for (BracketPlan& place : weighed.brackets)
            if (place.bears_board()) {
                place.reaction.sustained = loads.total(shelf.length);
                place.reaction.greatest = place.reaction.sustained + loads.accidental;
            }
    }
    for (const std::vector<Length>& fewer : without_rods(shelf, weighed.brackets))
        also_on(fewer);
    turn_about_legs(shelf, weighed.brackets);
    return weighed;
}

} // namespace

bool hangs_on_lining(const std::vector<BracketPlan>& places) {
    return std::ranges::all_of(places, [](const BracketPlan& place) {
        return carries(place.substrate) || (place.fixing && place.fixing_utilisation.within());
    });
}

namespace {

/// What holds each place of a board that has been weighed.
void weigh_fixings(Weighed& weighed, const Shelf& shelf, const WallSite& site, const Carrier& carrier,
                   const BracketQuestion& question) {
    const Bracket& bracket = carrier.bracket;
    std::vector<Length> carrying;
    for (const BracketPlan& place : weighed.brackets)
        if (place.bears_board())
            carrying.push_back(place.x - shelf.left);
    for (std::size_t i = 0; i < weighed.brackets.size(); ++i) {
        BracketPlan& place = weighed.brackets[i];
        const Reaction& reaction = place.reaction;
        place.carries = (carrier.boards - 1) * reaction.sustained + reaction.greatest;
        fix_place(place, i, shelf, site, carrier);
        weighed.bracket_turns |= place.turns;
        if (bracket.rating && place.is_bracket())
            place.bracket_utilisation = Utilisation::of(reaction.greatest, allowed_on(bracket));
        if (place.hanger)
            place.bracket_utilisation =
                Utilisation::of(reaction.greatest, allowed_of(shelf.hanger_rating, shelf.hanger_basis));
        if (carries(place.substrate)) {
            // An unrated bracket is said so; it does not choose between layouts.
            const bool held = place.fixing_utilisation.known();
            weighed.utilisation =
                std::max({weighed.utilisation, held ? place.fixing_utilisation : Utilisation::refused(),
                          place.bracket_utilisation.known() ? place.bracket_utilisation : Utilisation::none()});
        }
    }
    for (const Length joint : question.musts)
        if (std::ranges::none_of(carrying, [&](Length place) { return under_joint(place, joint); }))
            weighed.utilisation = Utilisation::refused();
    if (carrying.size() >= 2)
        return;
    if (!hangs_on_lining(weighed.brackets))
        weighed.utilisation = Utilisation::refused();
    else
        for (const BracketPlan& place : weighed.brackets)
            weighed.utilisation = std::max(weighed.utilisation, place.fixing_utilisation);
}

} // namespace

Weighed weigh(const Shelf& shelf, const WallSite& site, const Carrier& carrier, const BracketQuestion& question,
              const std::vector<Length>& places) {
    Weighed weighed = weigh_board(shelf, site, question, places);
    weigh_fixings(weighed, shelf, site, carrier, question);
    return weighed;
}

namespace {

/// A layout for a shelf that no search can place: its two ends, or its middle when it is too short for two.
BracketLayout plain_layout(const Shelf& shelf, School school, const BracketQuestion& question) {
    BracketLayout layout{school, {}, {}};
    const Length inset = std::min(question.inset_usual, shelf.length / 4);
    if (shelf.length - 2 * inset >= question.spacing_least)
        layout.places = {inset, shelf.length - inset};
    else
        layout.places = {shelf.length / 2};
    if (question.made.size() >= 2)
        layout.places.clear();
    layout.places.insert(layout.places.end(), question.musts.begin(), question.musts.end());
    layout.places.insert(layout.places.end(), question.made.begin(), question.made.end());
    std::ranges::sort(layout.places);
    layout.places.erase(std::ranges::unique(layout.places).begin(), layout.places.end());
    layout.merits = merits_of(question, layout.places);
    return layout;
}

void say_what_each_gives_up(std::vector<Alternative>& alternatives, Length inset_usual) {
    Merits best = alternatives.front().layout.merits;
    for (const Alternative& alternative : alternatives) {
        const Merits& merits = alternative.layout.merits;
        best.count = std::min(best.count, merits.count);
        best.on_lining = std::min(best.on_lining, merits.on_lining);
        best.unevenness_mm2 = std::min(best.unevenness_mm2, merits.unevenness_mm2);
    }
    for (Alternative& alternative : alternatives) {
        const Merits& merits = alternative.layout.merits;
        const std::vector<Length>& places = alternative.layout.places;
        auto& says = alternative.gives_up;
        if (merits.on_lining > 0)
            says.push_back({"{0} of {1} off the studs",
                            {count(static_cast<std::size_t>(merits.on_lining)), count(places.size())}});
        if (merits.in_assumed + merits.in_indicated > 0)
            says.push_back({"{0} in studs not proved",
                            {count(static_cast<std::size_t>(merits.in_assumed + merits.in_indicated))}});
        if (merits.count > best.count)
            says.push_back({"{0} more to fix", {count(static_cast<std::size_t>(merits.count - best.count))}});
        if (merits.unevenness_mm2 > 0 && places.size() > 2) {
            Length widest;
            Length narrowest = places[1] - places[0];
            for (std::size_t i = 1; i < places.size(); ++i) {
                widest = std::max(widest, places[i] - places[i - 1]);
                narrowest = std::min(narrowest, places[i] - places[i - 1]);
            }
            if (widest - narrowest > 1_mm)
                says.push_back({"spaces {0} to {1}", {quantity(narrowest), quantity(widest)}});
        }
        if (merits.overhang_difference > 1_mm)
            says.push_back({"overhangs differ by {0}", {quantity(merits.overhang_difference)}});
        else if (merits.extra_overhang > inset_usual)
            says.push_back({"overhangs {0}", {quantity(places.front())}});
        if (alternative.sag_share > 1)
            says.push_back({"sags {0} times its limit", {ratio(alternative.sag_share)}});
        if (alternative.utilisation.over())
            says.push_back(alternative.utilisation.is_refused()
                               ? Sentence{"too little holds"}
                               : Sentence{"loaded to {0} of what it bears", {ratio(alternative.utilisation)}});
    }
}

} // namespace

/// Layouts of one shelf for one question, none of them weighed twice.
class LayoutScales::Weighing {
public:
    Weighing(const Shelf& shelf, const WallSite& site, const Carrier& carrier, bool keep_outs)
        : shelf_{shelf}
        , site_{site}
        , carrier_{carrier}
        , question_{bracket_question(shelf, site, carrier)} {
        if (!keep_outs)
            question_.keep_outs.clear();
    }

    const BracketQuestion& question() const { return question_; }

    const Weighed& weighed(const std::vector<Length>& places) {
        OnScales& on = on_scales(places);
        if (!on.whole)
            weigh_fixings(on.weighed, shelf_, site_, carrier_, question_);
        on.whole = true;
        return on.weighed;
    }

    Alternative alternative(const BracketLayout& layout, int extra) {
        const Weighed& weighed = this->weighed(layout.places);
        return {layout, extra, weighed.sag.share(), weighed.utilisation, weighed.keeps_limits(), {}};
    }

    /// Layouts by one school, weighed in the school's order until one keeps the limits.
    std::optional<Alternative> best_of(School school, int extra) {
        const std::vector<BracketLayout>& layouts = layouts_of(school);
        if (layouts.empty())
            return std::nullopt;
        // Where nothing keeps every limit, the first with a sag inside its own is at least straight.
        const auto straight = [&](const BracketLayout& layout) { return sag_share(layout.places) <= 1; };
        auto base = std::ranges::find_if(layouts, [&](const BracketLayout& layout) {
            return straight(layout) && weighed(layout.places).keeps_limits();
        });
        if (base == layouts.end())
            base = std::ranges::find_if(layouts, straight);
        if (base == layouts.end())
            base = layouts.begin();
        if (extra == 0)
            return alternative(*base, 0);
        const BracketLayout* more = nullptr;
        for (const BracketLayout& layout : layouts)
            if (layout.merits.count >= base->merits.count + extra &&
                (!more || layout.merits.count < more->merits.count))
                more = &layout;
        return more ? std::optional{alternative(*more, extra)} : std::nullopt;
    }

private:
    struct OnScales {
        Weighed weighed;
        bool whole = false; ///< its fixings too
    };

    OnScales& on_scales(const std::vector<Length>& places) {
        const auto found = weighed_.find(places);
        return found != weighed_.end()
                   ? found->second
                   : weighed_.emplace(places, OnScales{weigh_board(shelf_, site_, question_, places)}).first->second;
    }
    double sag_share(const std::vector<Length>& places) { return on_scales(places).weighed.sag.share(); }

    const std::vector<BracketLayout>& layouts_of(School school) {
        auto [found, fresh] = layouts_.try_emplace(school);
        if (fresh) {
            found->second = best_layouts(question_, school);
            std::ranges::sort(found->second,
                              [&](const auto& a, const auto& b) { return better(a.merits, b.merits, school); });
        }
        return found->second;
    }

    const Shelf& shelf_;
    const WallSite& site_;
    const Carrier& carrier_;
    BracketQuestion question_;
    std::map<std::vector<Length>, OnScales> weighed_;
    std::map<School, std::vector<BracketLayout>> layouts_;
};

LayoutScales::LayoutScales(const Shelf& shelf, const WallSite& site)
    : shelf_{shelf}
    , site_{site} {}

LayoutScales::~LayoutScales() = default;

const std::optional<Carrier>& LayoutScales::carrier() {
    if (!carrier_)
        carrier_ = carrier_of(shelf_, site_);
    return *carrier_;
}

LayoutScales::Weighing& LayoutScales::weighing(bool keep_outs) {
    assert(carrier_ && *carrier_); // asked for, and there
    std::unique_ptr<Weighing>& kept = keep_outs ? with_keep_outs_ : without_;
    if (!kept)
        kept = std::make_unique<Weighing>(shelf_, site_, **carrier_, keep_outs);
    return *kept;
}

WeighedLayout LayoutScales::chosen(School school, int extra) {
    for (const bool keep_outs : {true, false}) {
        Weighing& scales = weighing(keep_outs);
        const auto taken = [&](Alternative alternative) {
            const Weighed& weighed = scales.weighed(alternative.layout.places);
            return WeighedLayout{std::move(alternative), weighed};
        };
        if (auto own = scales.best_of(school, extra))
            return taken(std::move(*own));
        for (const School each : all_schools)
            if (auto other = scales.best_of(each, 0))
                return taken(std::move(*other));
        if (!keep_outs || scales.question().keep_outs.empty())
            return taken(scales.alternative(plain_layout(shelf_, school, scales.question()), 0));
    }
    std::abort(); // without keep-outs there is a plain layout
}

std::vector<Alternative> LayoutScales::alternatives_to(Alternative chosen, School school, int extra) {
    Weighing& scales = weighing(true);
    std::vector<Alternative> alternatives{std::move(chosen)};
    const auto add = [&](School of, int more) {
        auto found = scales.best_of(of, more);
        if (found && std::ranges::none_of(alternatives, [&](const Alternative& other) {
                return other.layout.places == found->layout.places;
            }))
            alternatives.push_back(std::move(*found));
    };
    for (const School each : all_schools)
        if (each != school || extra > 0)
            add(each, 0);
    add(school, extra + 1);
    say_what_each_gives_up(alternatives, scales.question().inset_usual);
    return alternatives;
}

} // namespace yes_square
