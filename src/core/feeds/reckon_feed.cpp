#include "core/feeds/reckon_feed.hpp"

#include "core/feeds/driver_place.hpp"
#include "core/feeds/lead.hpp"
#include "core/feeds/track.hpp"
#include "core/site/check_writer.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr int most_told = 3;    ///< numbers of feeds that the sum compares
constexpr int most_places = 12; ///< that it is fed at before it is cut into lengths

constexpr Source law{Provenance::standard, "Ohm's law; copper by IEC 60028"};
using sources::house;
using sources::measured;

class FeedReckoner {
public:
    FeedReckoner(const LightFeed& feed, const WallSite& site, const WallPlan& walls)
        : feed_{feed}
        , rules_{site.rules.feeds}
        , site_{site}
        , wall_{walls} {}

    FeedPlan reckon() {
        plan_.id = feed_.id;
        plan_.name = feed_.name;
        place();
        if (plan_.length() <= Length{}) {
            check(checks::feed_along_nothing,
                  {"{0} runs along nothing: the shelf or run it was for is gone, or its ends are the wrong way round",
                   {feed_.name}},
                  {"Choose what it runs along, or give both its ends"});
            return std::move(plan_);
        }
        plan_.watts = moving() ? feed_.moving_watts : feed_.watts_per_m * plan_.length().in_metres();
        plan_.amps = plan_.watts / feed_.volts;
        plan_.near_lead = feed_.lead;
        if (carries_itself())
            feed_places();
        else if (feed_.both_ends)
            plan_.far_lead = feed_.far_lead > Length{} ? feed_.far_lead : feed_.lead + plan_.length();
        place_driver(feed_, site_, wall_, plan_);
        weigh();
        drivers();
        checks();
        steps();
        supplies();
        return std::move(plan_);
    }

private:
    void check(CheckCode code, Sentence message, Sentence cure, std::optional<Edit> edit = {}) {
        Check& added = add_check(plan_.checks, code, std::move(message), std::nullopt, plan_.left, plan_.height);
        added.cures.push_back({std::move(cure), std::move(edit)});
    }

    void place() {
        plan_.left = feed_.left;
        plan_.right = feed_.right;
        plan_.height = feed_.height;
        if (feed_.item.empty())
            return;
        plan_.right = plan_.left;
        for (const Shelf& shelf : site_.wall.shelves)
            if (shelf.id == feed_.item) {
                plan_.left = shelf.left;
                plan_.right = shelf.right();
                plan_.height = shelf.underside();
            }
        for (const RunPlan& run : wall_.runs)
            if (run.id == feed_.item && !run.units.empty()) {
                plan_.left = run.layout.left();
                plan_.right = run.layout.right();
                plan_.height = run.units.front().bottom;
            }
    }

    bool moving() const { return feed_.load == FeedLoad::moving; }
    /// Its current goes through copper or rails of its own, or one load of it may stand at its far end: no even load in
    /// a lead beside it.
    bool carries_itself() const { return feed_.own_ohm > 0 || moving(); }

    /// Where it is fed, in order; what lies off it is said and left out. A lead beside it is fed at its left end.
    void feed_places() {
        plan_.fed_at = {plan_.left};
        if (feed_.own_ohm <= 0)
            return;
        plan_.fed_at.clear();
        for (const Length at : feed_.fed_at)
            if (at >= Length{} && at <= plan_.length())
                plan_.fed_at.push_back(plan_.left + at);
            else
                check(
                    checks::feed_place_off,
                    {"{0} is {1} long and cannot be fed at {2}", {feed_.name, quantity(plan_.length()), quantity(at)}},
                    {"Give a place on it, from its left end"});
        if (plan_.fed_at.empty()) {
            plan_.fed_at = {plan_.left};
            if (feed_.both_ends)
                plan_.fed_at.push_back(plan_.right);
        }
        std::ranges::sort(plan_.fed_at);
        plan_.fed_at.erase(std::ranges::unique(plan_.fed_at).begin(), plan_.fed_at.end());
    }

    TrackCircuit track(double ohm_per_m) const {
        const double pair = 2 * ohm_per_m;
        // With nothing of its own it is the lead that runs on beside it to the load.
        TrackCircuit track{plan_.length().in_metres(),
                           feed_.own_ohm > 0 ? feed_.own_ohm : pair,
                           pair,
                           pair * plan_.near_lead.in_metres(),
                           {},
                           feed_.own_ohm > 0 && feed_.loop};
        for (const Length at : plan_.fed_at)
            track.fed_at.push_back((at - plan_.left).in_metres());
        return track;
    }
    TrackDrop lost(const TrackCircuit& track) const {
        return moving() ? moving_drop(track, plan_.amps) : spread_drop(track, plan_.amps);
    }
    FeedDrop drop(double ohm_per_m) const {
        if (!carries_itself())
            return drop_of(circuit(ohm_per_m));
        const TrackDrop found = lost(track(ohm_per_m));
        return {plan_.amps, 0, found.volts, found.at / plan_.length().in_metres()};
    }

    FeedCircuit circuit(double ohm_per_m) const {
        const auto loop = [&](Length length) { return 2 * length.in_metres() * ohm_per_m; };
        return {plan_.amps, loop(plan_.near_lead), loop(plan_.length()), loop(plan_.far_lead), feed_.both_ends};
    }

    void weigh() {
        for (const LeadProperties& lead : all_leads()) {
            if (lead.by_gauge != feed_.by_gauge && lead.conductor != feed_.conductor)
                continue;
            const FeedDrop drop = this->drop(lead.ohm_per_m);
            LeadChoice choice{lead.conductor, lead.ohm_per_m, drop.volts, drop.volts / feed_.volts, 0, false};
            choice.amps_share = std::max(drop.near_amps, drop.far_amps) / (rules_.amps_per_mm2 * lead.section_mm2);
            choice.does = choice.drop_share <= rules_.drop_most && choice.amps_share <= 1;
            plan_.leads.push_back(choice);
        }
        const auto chosen = feed_.conductor ? std::ranges::find(plan_.leads, *feed_.conductor, &LeadChoice::conductor)
                                            : std::ranges::find(plan_.leads, true, &LeadChoice::does);
        if (chosen == plan_.leads.end())
            return;
        plan_.lead = static_cast<std::size_t>(chosen - plan_.leads.begin());
        const FeedDrop drop = this->drop(chosen->ohm_per_m);
        plan_.near_amps = drop.near_amps;
        plan_.far_amps = drop.far_amps;
        plan_.darkest = plan_.left + Length::nearest_to_metres(drop.darkest * plan_.length().in_metres());
        tell(*chosen, drop);
    }

    /// Of one that carries its current itself: through what, and what more feeds would make of it.
    void track_words(const LeadChoice& lead) {
        Working working{"drop",
                        {"Lost where least arrives, at {0}", {site_.along(plan_.darkest)}},
                        "{0} x {1} x {2}",
                        {},
                        volts(lead.drop_v),
                        law};
        const double ways = plan_.amps > 0 ? lead.drop_v / plan_.amps / plan_.length().in_metres() : 0;
        working.terms = {{"current", amps(plan_.amps), law},
                         {"all ways there together, for each metre of it", {Kind::resistance_per_m, ways}, law},
                         {"along it", quantity(plan_.length()), measured},
                         {"one conductor of the bus wire, each metre", {Kind::resistance_per_m, lead.ohm_per_m}, law},
                         {"lead to its left end", quantity(plan_.near_lead), measured},
                         {"places it is fed at", count(plan_.fed_at.size()), measured}};
        if (feed_.own_ohm > 0)
            working.terms.push_back(
                {"its own two conductors, each metre", {Kind::resistance_per_m, feed_.own_ohm}, {Provenance::maker}});
        working.facts.push_back(
            {moving()
                 ? std::string_view{"One load that may stand anywhere: between two feeds it draws through both ways"}
                 : "The load is spread evenly: between two feeds half of it comes from each"});
        for (int places = 1; feed_.own_ohm > 0 && places <= most_told; ++places) {
            TrackCircuit tried = track(lead.ohm_per_m);
            tried.fed_at = evenly_fed(tried.length, places, tried.loop);
            const TrackDrop found = lost(tried);
            working.facts.push_back({"Fed at {0} places evenly along it: {1} at {2}",
                                     {count(static_cast<std::size_t>(places)), volts(found.volts),
                                      site_.along(plan_.left + Length::nearest_to_metres(found.at))}});
        }
        plan_.workings.push_back(std::move(working));
    }

    /// The fewest places along it that make it good with some lead; none: not even the most.
    std::optional<std::vector<Length>> places_that_do() const {
        if (feed_.own_ohm <= 0)
            return std::nullopt;
        for (int places = 1; places <= most_places; ++places) {
            std::vector<Length> at; // to the millimetre, as they are marked
            for (const double metres : evenly_fed(plan_.length().in_metres(), places, feed_.loop))
                at.push_back(Length::mm(std::llround(metres * 1000)));
            for (const LeadChoice& lead : plan_.leads) {
                TrackCircuit tried = track(lead.ohm_per_m);
                tried.fed_at.clear();
                for (const Length place : at)
                    tried.fed_at.push_back(place.in_metres());
                if (lead.amps_share <= 1 && lost(tried).volts <= rules_.drop_most * feed_.volts)
                    return at;
            }
        }
        return std::nullopt;
    }

    void tell(const LeadChoice& lead, const FeedDrop& drop) {
        if (moving())
            plan_.workings.push_back({"load",
                                      {"{0} draws", {feed_.name}},
                                      "{0} / {1}",
                                      {{"load that moves", watts(plan_.watts), {Provenance::maker}},
                                       {"voltage", volts(feed_.volts), {Provenance::maker}}},
                                      amps(plan_.amps),
                                      law});
        if (carries_itself()) {
            if (!moving())
                even_load();
            return track_words(lead);
        }
        even_load();
        even_words(lead, drop);
    }

    void even_load() {
        plan_.workings.push_back({"load",
                                  {"{0} draws", {feed_.name}},
                                  "{0} x {1} / {2}",
                                  {{"length", quantity(plan_.length()), measured},
                                   {"load of each metre", {Kind::power_per_m, feed_.watts_per_m}, {Provenance::maker}},
                                   {"voltage", volts(feed_.volts), {Provenance::maker}}},
                                  amps(plan_.amps),
                                  law});
    }

    void even_words(const LeadChoice& lead, const FeedDrop& drop) {
        Working working{"drop", {"Lost at the lamp that gets least"}, {}, {}, volts(lead.drop_v), law};
        working.terms = {{"one conductor, each metre", {Kind::resistance_per_m, lead.ohm_per_m}, law},
                         {"lead to the left end", quantity(plan_.near_lead), measured},
                         {"along it", quantity(plan_.length()), measured},
                         {"current from the left", amps(drop.near_amps), law}};
        if (feed_.both_ends) {
            working.terms.push_back({"lead to the right end", quantity(plan_.far_lead), measured});
            working.terms.push_back({"current from the right", amps(drop.far_amps), law});
            working.facts.push_back(
                {"Both ways lose as much by the time they meet, at {0}", {site_.along(plan_.darkest)}});
        } else {
            working.sum = "2 x {0} x ({1} + {2} / 2) x {3}";
            working.facts.push_back({"The load is spread evenly, so half of it goes half the way"});
        }
        plan_.workings.push_back(std::move(working));
    }

    void drivers() {
        plan_.drivers =
            std::max(1, static_cast<int>(std::ceil(plan_.watts / rules_.driver_share / rules_.driver_watts - 1e-9)));
        plan_.driver_watts = plan_.watts / rules_.driver_share / plan_.drivers;
        plan_.workings.push_back({"driver",
                                  {"Each driver is rated for at least"},
                                  "{0} / {1} / {2}",
                                  {{"load", watts(plan_.watts), law},
                                   {"share of its rating", ratio(rules_.driver_share), house},
                                   {"drivers", count(static_cast<std::size_t>(plan_.drivers)), house}},
                                  watts(plan_.driver_watts),
                                  house});
    }

    /// Leads longer than what was entered would be too short on the wall, and lose more than was reckoned.
    void driver_checks(const DriverPlan& driver) {
        if (!driver.known)
            return check(checks::driver_nowhere,
                         {"{0}: its driver is told to be where nothing is to put it on", {feed_.name}},
                         {"Choose another place for it"});
        const auto short_by = [&](Length given, Length wanted, Length LightFeed::*member, std::string_view words) {
            if (given >= wanted)
                return;
            LightFeed longer = feed_;
            longer.*member = Length::mm(static_cast<std::int64_t>(std::ceil(wanted.in_mm() / 100)) * 100);
            check(checks::lead_short, {words, {feed_.name, quantity(given), quantity(wanted)}},
                  {"A lead of {0}", {quantity(longer.*member)}}, Change<LightFeed>{longer});
        };
        short_by(plan_.near_lead, driver.lead, &LightFeed::lead,
                 "{0}: a lead of {1} does not reach its left end, {2} from the driver along and up");
        if (feed_.both_ends && !carries_itself())
            short_by(plan_.far_lead, driver.far_lead, &LightFeed::far_lead,
                     "{0}: a lead of {1} does not reach its right end, {2} from the driver along and up");
        if (driver.air && *driver.air < rules_.driver_room)
            check(checks::driver_no_air,
                  {"{0}: over the units the ceiling leaves its driver {1}, and it wants {2} for air and a hand",
                   {feed_.name, quantity(*driver.air), quantity(rules_.driver_room)}},
                  {"Put it where air and a hand get to it"});
    }

    void checks() {
        if (plan_.driver)
            driver_checks(*plan_.driver);
        if (plan_.switched && !plan_.switched->known)
            check(checks::switch_nowhere, {"{0}: its switch is told to be where nothing is to put it in", {feed_.name}},
                  {"Choose another place for it"});
        if (!plan_.lead && carries_itself()) {
            const LeadChoice& thickest = plan_.leads.back();
            LightFeed fed = feed_;
            const auto places = places_that_do();
            if (places)
                fed.fed_at = *places;
            check(checks::feed_drops,
                  {"{0}: even with {1} it loses {2} of {3} where least arrives",
                   {feed_.name, words_of(thickest), volts(thickest.drop_v), volts(feed_.volts)}},
                  places ? Sentence{"Feed it at {0} places, evenly along it", {count(places->size())}}
                         : Sentence{"Cut it into lengths with a driver each, put the driver nearer, or take a higher "
                                    "voltage"},
                  places ? std::optional<Edit>{Change<LightFeed>{fed}} : std::nullopt);
            return;
        }
        if (!plan_.lead) {
            const LeadChoice& thickest = plan_.leads.back();
            LightFeed fed = feed_;
            fed.both_ends = true;
            check(checks::feed_drops,
                  {"{0}: even with {1} it loses {2} of {3} at the far end",
                   {feed_.name, words_of(thickest), volts(thickest.drop_v), volts(feed_.volts)}},
                  {feed_.both_ends ? std::string_view{"Put the driver nearer, share the length between two feeds, or "
                                                      "take a higher voltage"}
                                   : "Feed it at both ends"},
                  feed_.both_ends ? std::nullopt : std::optional<Edit>{Change<LightFeed>{fed}});
            return;
        }
        const LeadChoice& lead = plan_.leads[*plan_.lead];
        LightFeed free = feed_;
        free.conductor.reset();
        const bool some_does = std::ranges::find(plan_.leads, true, &LeadChoice::does) != plan_.leads.end();
        const Sentence cure{some_does ? std::string_view{"Take the thinnest lead that will do"}
                                      : "Feed it at both ends, or put the driver nearer"};
        const std::optional<Edit> edit = some_does ? std::optional<Edit>{Change<LightFeed>{free}} : std::nullopt;
        if (lead.drop_share > rules_.drop_most)
            check(checks::feed_drops,
                  {"{0} loses {1} of {2} by its darkest lamp: {3} is the most",
                   {feed_.name, volts(lead.drop_v), volts(feed_.volts), volts(rules_.drop_most * feed_.volts)}},
                  cure, edit);
        if (lead.amps_share > 1)
            check(checks::feed_overloaded,
                  {"{0}: {1} through {2} is more than it carries without growing warm",
                   {feed_.name, amps(std::max(plan_.near_amps, plan_.far_amps)), words_of(lead)}},
                  cure, edit);
        if (const auto [socket, away] = nearest_socket(); !plan_.driver && socket && away > feed_.lead)
            check(checks::lead_short,
                  {"{0}: a lead of {1} does not reach the nearest socket, {2} away along and up the wall",
                   {feed_.name, quantity(feed_.lead), quantity(away)}},
                  {"Give the lead its length, or have a socket put nearer by who is licensed for it"});
    }

    static std::string words_of(const LeadChoice& lead) { return std::string{properties(lead.conductor).words}; }

    /// And how far a lead has to go to it: along the wall and up it.
    std::pair<const ServicePoint*, Length> nearest_socket() const {
        std::pair<const ServicePoint*, Length> nearest{nullptr, {}};
        for (const ServicePoint& service : site_.wall.services) {
            if (service.kind != ServiceKind::socket || service.far_side)
                continue;
            const Length away = absolute(service.centre - plan_.left) + absolute(service.height - plan_.height);
            if (!nearest.first || away < nearest.second)
                nearest = {&service, away};
        }
        return nearest;
    }

    void steps() {
        if (!plan_.lead)
            return;
        const LeadChoice& lead = plan_.leads[*plan_.lead];
        const auto add = [&](Phase phase, Sentence words, bool hold = false) {
            plan_.steps.push_back({std::move(words), hold, phase});
        };
        add(Phase::ready,
            {"The driver's mains side is work for a licensed electrician where local code says so: a socket it plugs "
             "into, or a spur, is asked for before anything is closed up"},
            true);
        driver_step(add);
        plan_.steps.push_back(detector_step());
        if (plan_.switched && plan_.switched->known)
            add(Phase::mark, put_switch(*plan_.switched, plan_.amps, site_));
        for (const LeadHole& hole : plan_.lead_holes())
            add(Phase::drill, drill_for_lead(hole, rules_.lead_hole));
        if (!plan_.driver)
            add(Phase::drill, {"Drill the holes for the leads before anything is fixed; no lead through the part of a "
                               "wall where a screw is to go"});
        add(Phase::adjust,
            {"{0}: {1} of lead {2} to its left end", {feed_.name, quantity(plan_.near_lead), words_of(lead)}});
        if (carries_itself())
            return track_steps(lead, add);
        even_steps(lead, add);
    }

    void driver_step(const auto& add) {
        if (plan_.driver && plan_.driver->known)
            return add(Phase::mark, put_driver(*plan_.driver, plan_.near_lead, site_));
        const bool floor_run = std::ranges::find(wall_.runs, RunLevel::floor, &RunPlan::level) != wall_.runs.end();
        add(Phase::mark,
            {floor_run ? std::string_view{"Driver: behind the plinth, where it can be reached and air gets to "
                                          "it, {0} of lead from {1} at the most"}
                       : "Driver: on top, out of sight, where it can be reached and air gets to it, {0} of lead "
                         "from {1} at the most",
             {quantity(plan_.near_lead), site_.along(plan_.left)}});
    }

    void even_steps(const LeadChoice& lead, const auto& add) {
        add(Phase::adjust,
            {"This lead runs along all of {0}, beside the strip. A strip that carries the current in its own thin "
             "copper "
             "loses more: keep to its maker's longest length, or feed it again on the way",
             {feed_.name}},
            true);
        if (feed_.both_ends)
            add(Phase::adjust, {"{0}: {1} to its right end, plus to plus", {feed_.name, quantity(plan_.far_lead)}},
                true);
        add(Phase::prove, {"Switch it on and measure at {0}: {1} or more, of {2}",
                           {site_.along(plan_.darkest), volts(feed_.volts - lead.drop_v), volts(feed_.volts)}});
    }

    void track_steps(const LeadChoice& lead, const auto& add) {
        if (plan_.fed_at.size() > 1 || plan_.fed_at.front() > plan_.left)
            add(Phase::adjust, {"Bus wire {0}, {1} of it in a groove along {2}, behind or under it",
                                {words_of(lead), quantity(plan_.fed_at.back() - plan_.left), feed_.name}});
        for (const Length at : plan_.fed_at)
            add(Phase::adjust, {"{0}: feed it at {1}, plus to plus", {feed_.name, site_.along(at)}}, true);
        if (feed_.own_ohm > 0 && feed_.loop)
            add(Phase::adjust,
                {"{0}: join its ends, plus to plus: a loop is fed from both sides everywhere", {feed_.name}}, true);
        add(Phase::prove, {moving() ? std::string_view{"Put the load at {0}, switch it on and measure there: {1} or "
                                                       "more, of {2}"}
                                    : "Switch it on and measure at {0}: {1} or more, of {2}",
                           {site_.along(plan_.darkest), volts(feed_.volts - lead.drop_v), volts(feed_.volts)}});
    }

    void supplies() {
        if (!plan_.lead)
            return;
        const std::string lead{properties(plan_.leads[*plan_.lead].conductor).words};
        plan_.supplies = {{KitGroup::hardware,
                           "lead " + lead,
                           {"Lead {0}: {1} in all", {lead, quantity(plan_.near_lead + plan_.far_lead + beside_it())}}},
                          {KitGroup::hardware,
                           fmt::format("driver {:.0f} W", std::ceil(plan_.driver_watts)),
                           {"Driver of {0} or more", {watts(plan_.driver_watts)}},
                           static_cast<std::size_t>(plan_.drivers)}};
        if (plan_.switched)
            plan_.supplies.push_back({KitGroup::hardware,
                                      fmt::format("switch {:.1f} A", plan_.amps),
                                      {"Switch for {0} or more", {Quantity{Kind::current, plan_.amps}}}});
        if (const std::size_t holes = plan_.lead_holes().size(); holes > 0) {
            plan_.supplies.push_back({KitGroup::bits,
                                      fmt::format("wood bit {:.4g} mm", rules_.lead_hole.in_mm()),
                                      {"{0} {1}", {std::string_view{"wood bit"}, stock(rules_.lead_hole)}}});
            plan_.supplies.push_back({KitGroup::consumables, "grommet", {"Grommet for a lead's hole"}, holes});
        }
    }

    /// Of lead: along all of it, or as bus wire to the last place it is fed at.
    Length beside_it() const {
        return carries_itself() && feed_.own_ohm > 0 ? plan_.fed_at.back() - plan_.left : plan_.length();
    }

    const LightFeed& feed_;
    const FeedRules& rules_;
    const WallSite& site_;
    const WallPlan& wall_;
    FeedPlan plan_;
};

} // namespace

FeedPlan reckon_feed(const LightFeed& feed, const WallSite& site, const WallPlan& plan) {
    return FeedReckoner{feed, site, plan}.reckon();
}

} // namespace yes_square
