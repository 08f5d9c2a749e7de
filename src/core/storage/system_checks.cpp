#include "core/storage/system_checks.hpp"

#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/system_words.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

class SystemChecker : CheckWriter {
public:
    SystemChecker(const StorageSystem& system, const WallSite& site, SystemPlan& plan)
        : CheckWriter{plan.checks}
        , system_{system}
        , site_{site}
        , rules_{site.rules.storage}
        , plan_{plan} {}

    void check() {
        widths();
        for (std::size_t i = 0; i < plan_.bays.size(); ++i)
            bay(system_.bays[i], plan_.bays[i]);
        studs();
        lift();
        plumb();
    }

private:
    static Quantity number_of(const BayPlan& bay) { return count(bay.number); }

    void widths() {
        if (plan_.left_over < Length{}) {
            Check& over = add(checks::bays_overrun,
                              {"The bays of {0} with their panels come to {1} more than its width",
                               {system_.name, quantity(-plan_.left_over)}},
                              quantity(-plan_.left_over), system_.right(), plan_.head);
            advise(over, {"Share the width evenly"},
                   changed(system_, [](StorageSystem& s) { s.widths = BayWidths::equal; }));
            advise(over, {"Make one bay {0} narrower, or leave one out", {quantity(-plan_.left_over)}});
        } else if (plan_.left_over > Length{} && !plan_.bays.empty()) {
            advise(add(checks::gap_beside,
                       {"{0} of the width of {1} is left over at its right end",
                        {quantity(plan_.left_over), system_.name}},
                       quantity(plan_.left_over), system_.right(), plan_.head),
                   {"Give one bay no width of its own: it takes what is left"});
        }
        for (const BayPlan& bay : plan_.bays) {
            if (bay.width < rules_.bay_least)
                advise(add(checks::bay_narrow,
                           {"Bay {0} is {1} wide: less than {2} is hard to use and seldom meets a stud",
                            {number_of(bay), quantity(bay.width), quantity(rules_.bay_least)}},
                           quantity(rules_.bay_least - bay.width), bay.left, bay.sides.head),
                       {"One bay fewer"});
            else if (bay.width > rules_.bay_most)
                advise(add(checks::bay_width,
                           {"Bay {0} is {1} wide: rods and shelves over {2} sag",
                            {number_of(bay), quantity(bay.width), quantity(rules_.bay_most)}},
                           quantity(bay.width - rules_.bay_most), bay.left, bay.sides.head),
                       {"One bay more, or a post in its middle"});
        }
    }

    void bay(const Bay& chosen, const BayPlan& bay) {
        boards(bay);
        rods(chosen, bay);
        cleats(bay);
        corner(chosen, bay);
        if (chosen.kind == BayKind::drawers && !bay.drawers.empty() &&
            bay.drawers.front() > bay.sides.head - system_.panel)
            advise(add(checks::goods_do_not_fit, Severity::error,
                       {"Bay {0}: its drawers come to {1}, over the panels' top at {2}",
                        {number_of(bay), quantity(bay.drawers.front()), quantity(bay.sides.head)}},
                       quantity(bay.drawers.front() - bay.sides.head), bay.left, bay.sides.head),
                   {"Fewer or lower drawers"});
    }

    void boards(const BayPlan& bay) {
        if (site_.service_class == ServiceClass::damp && properties(system_.material).kdef_damp == 0 && bay.number == 1)
            advise(add(checks::board_not_for_damp,
                       {"{0} is not made for a damp room", {properties(system_.material).words}}),
                   {"Choose a board for damp rooms: plywood, or moisture-resistant MDF"});
        const BayShelf* worst = nullptr;
        for (const BayShelf& shelf : bay.shelves) {
            if (shelf.sag.share() > 1 && (!worst || shelf.sag.share() > worst->sag.share()))
                worst = &shelf;
            if (shelf.board_utilisation.over())
                advise(add(checks::board_overloaded,
                           {"Shelf {0} is bent to {1} of what its board bears",
                            {shelf.label, ratio(shelf.board_utilisation)}},
                           ratio(shelf.board_utilisation), bay.left, shelf.top),
                       {"A narrower bay, or a thicker board"});
        }
        if (!worst)
            return;
        Check& sags = add(checks::sag_over_limit,
                          {"Shelf {0} sags {1} in time, {2} more than its limit",
                           {worst->label, fine(worst->sag.long_term), fine(worst->sag.long_term - worst->sag.limit)}},
                          fine(worst->sag.long_term - worst->sag.limit), bay.left + bay.width / 2, worst->top);
        // Sag falls with the cube of the thickness: the next stock thickness that brings it within its limit.
        for (const Length thickness : {22_mm, 25_mm, 30_mm, 38_mm})
            if (thickness > system_.panel &&
                worst->sag.share() * std::pow(system_.panel.in_metres() / thickness.in_metres(), 3) < 0.95) {
                advise(sags, {"Boards {0} thick", {stock(thickness)}},
                       changed(system_, [&](StorageSystem& s) { s.panel = thickness; }));
                break;
            }
        advise(sags, {"Or a narrower bay; or less on it"});
    }

    void rods(const Bay& chosen, const BayPlan& bay) {
        for (const BayRod& rod : bay.rods) {
            const auto stronger = [&](Check& check) {
                if (system_.rod_stuff == PoleStuff::steel && system_.rod_diameter < 32_mm)
                    advise(check, {"A steel tube of {0}", {stock(32_mm)}},
                           changed(system_, [](StorageSystem& s) { s.rod_diameter = 32_mm; }));
                else if (system_.rod_stuff != PoleStuff::steel)
                    advise(check, {"A steel tube of {0}", {stock(25_mm)}}, changed(system_, [](StorageSystem& s) {
                               s.rod_stuff = PoleStuff::steel;
                               s.rod_diameter = 25_mm;
                               s.rod_wall = Length::micrometres(1200);
                           }));
                advise(check, {"Or a hanger from the shelf over it, at its middle"});
            };
            if (rod.sag.share() > 1)
                stronger(add(checks::rod_sags,
                             {"Rod {0} sags {1} full of clothes, {2} more than its limit",
                              {rod.label, fine(rod.sag.long_term), fine(rod.sag.long_term - rod.sag.limit)}},
                             fine(rod.sag.long_term - rod.sag.limit), bay.left + bay.width / 2, rod.z));
            if (rod.utilisation.over())
                stronger(add(
                    checks::rod_overloaded,
                    {"Rod {0} is bent to {1} of what it bears, full of clothes", {rod.label, ratio(rod.utilisation)}},
                    ratio(rod.utilisation), bay.left + bay.width / 2, rod.z));
            const Length wanted = drop_of(chosen.garment, rules_) + rules_.hem_clear;
            if (rod.under < wanted) {
                Check& low = add(checks::clothes_too_long,
                                 {"Under rod {0} there is {1}; {2} want {3}",
                                  {rod.label, quantity(rod.under), words(chosen.garment), quantity(wanted)}},
                                 quantity(wanted - rod.under), bay.left + bay.width / 2, rod.z);
                if (chosen.kind == BayKind::double_hanging)
                    advise(low, {"Make it a bay for long hanging"}, changed(system_, [&](StorageSystem& s) {
                               s.bays[bay.number - 1].kind = BayKind::long_hanging;
                               s.bays[bay.number - 1].rod = s.bays[bay.number - 1].low_rod = {};
                           }));
                advise(low, {"A rod {0} higher, or shorter things on it", {quantity(wanted - rod.under)}});
            }
        }
        std::size_t holds = 0;
        for (const BayRod& rod : bay.rods)
            holds += rod.holds;
        if (!bay.rods.empty() && chosen.garments > 0 && holds < static_cast<std::size_t>(chosen.garments)) {
            Check& tight =
                add(checks::goods_do_not_fit, Severity::warning,
                    {"Bay {0} holds {1} {2}; {3} are to hang in it",
                     {number_of(bay), count(holds), words(chosen.garment),
                      count(static_cast<std::size_t>(chosen.garments))}},
                    count(static_cast<std::size_t>(chosen.garments) - holds), bay.left + bay.width / 2, bay.sides.head);
            if (system_.widths != BayWidths::by_garments)
                advise(tight, {"Share the width by what hangs in each bay"},
                       changed(system_, [](StorageSystem& s) { s.widths = BayWidths::by_garments; }));
            advise(tight, {"A wider bay"});
        }
    }

    void cleats(const BayPlan& bay) {
        for (const BayCleat& cleat : bay.cleats) {
            if (!cleat.screws.empty() && !cleat.utilisation.known()) {
                advise(add(checks::no_fixing,
                           {bay.sides.hung && bay.cleats.size() == 1
                                ? std::string_view{"Nothing keeps the bay of shelf {0} from turning about its only "
                                                   "cleat, or no screw holds it"}
                                : "No screw or plug at hand holds the cleat of shelf {0}",
                            {cleat.shelf}},
                           std::nullopt, bay.left, cleat.z),
                       {"Add a longer screw, or a plug for this wall, to those at hand"});
            } else if (cleat.utilisation.over()) {
                Check& over = add(checks::fixing_overloaded,
                                  {"The cleat of shelf {0} uses its worst screw to {1} of what it holds",
                                   {cleat.shelf, ratio(cleat.utilisation)}},
                                  ratio(cleat.utilisation), bay.left + bay.width / 2, cleat.z);
                if (bay.sides.hung)
                    advise(over, {"Let it stand on the floor"}, changed(system_, [&](StorageSystem& s) {
                               Bay& here = s.bays[bay.number - 1];
                               if (here.stands == BayStands::hung)
                                   here.stands = BayStands::on_floor;
                               else
                                   s.hung = false;
                           }));
                advise(over, {"Narrower bays, or a nogging behind the lining for another screw"});
            }
        }
    }

    /// What is hidden in a corner, and doors and drawers that would meet what stands there.
    void corner(const Bay& chosen, const BayPlan& bay) {
        if (bay.hidden > Length{}) {
            const bool drawers = chosen.kind == BayKind::drawers;
            Check& hidden =
                add(checks::bay_hidden, drawers ? Severity::error : Severity::warning,
                    {drawers ? std::string_view{"Bay {0}: {1} of its width is behind what stands on the next wall: its "
                                                "drawers cannot open"}
                             : "Bay {0}: {1} of its width is behind what stands on the next wall",
                     {number_of(bay), quantity(bay.hidden)}},
                    quantity(bay.hidden), bay.left, bay.sides.head);
            if (drawers)
                advise(hidden, {"Make it a bay for shelves"},
                       changed(system_, [&](StorageSystem& s) { s.bays[bay.number - 1].kind = BayKind::shelves; }));
            if (chosen.kind != BayKind::open && !drawers)
                advise(hidden, {"Leave it open: things are reached from its free side"},
                       changed(system_, [&](StorageSystem& s) { s.bays[bay.number - 1].kind = BayKind::open; }));
        }
        const bool drawers = chosen.kind == BayKind::drawers;
        if (chosen.door == DoorHinge::none && !drawers)
            return;
        for (const bool right : {false, true}) {
            const bool swings = drawers || chosen.door == DoorHinge::both ||
                                chosen.door == (right ? DoorHinge::right : DoorHinge::left);
            const std::optional<Length> edge = obstacle_in_front(right);
            if (!swings || !edge)
                continue;
            const Length free = right ? *edge - bay.right() : bay.left - *edge;
            if (free >= site_.rules.runs.corner_clear || bay.hidden > Length{})
                continue;
            advise(add(checks::door_meets_wall,
                       {drawers ? std::string_view{"The drawers of bay {0} open {1} from what stands beside them; {2} "
                                                   "is wanted"}
                                : "The door of bay {0} opens {1} from what stands beside it; {2} is wanted",
                        {number_of(bay), quantity(free), quantity(site_.rules.runs.corner_clear)}},
                       quantity(site_.rules.runs.corner_clear - free), right ? bay.right() : bay.left, bay.sides.head),
                   {"A filler beside the bay, or hinge its door on the other side"});
        }
    }

    /// What stands beside the front at an end: the wall of a corner, or the front of what stands on the next wall.
    std::optional<Length> obstacle_in_front(bool right) const {
        std::optional<Length> edge;
        const Wall& wall = site_.wall;
        if ((right ? wall.right_end : wall.left_end) == WallEnd::corner)
            edge = right ? wall.length : Length{};
        for (const CornerThing& thing : site_.survey.corner_things)
            if (thing.at_right_end == right && thing.bottom < plan_.head && thing.top > plan_.foot) {
                const Length front = right ? wall.length - thing.along : thing.along;
                edge = !edge ? front : (right ? std::min(*edge, front) : std::max(*edge, front));
            }
        return edge;
    }

    void studs() {
        if (site_.masonry() || plan_.bays.empty())
            return;
        if (!site_.timber()) {
            advise(add(checks::cleat_misses_studs, Severity::error,
                       {"Nothing behind this lining holds the cleats of {0}", {system_.name}}, std::nullopt,
                       system_.left, plan_.head),
                   {"Put wood behind the lining first: tall storage never hangs on lining alone"});
            return;
        }
        for (const std::size_t i : plan_.slide.lost) {
            const BayPlan& bay = plan_.bays[i];
            const std::size_t here = bay.cleats.empty() ? 0 : bay.cleats.front().places();
            Check& misses = add(checks::cleat_misses_studs, here == 0 ? Severity::error : Severity::warning,
                                {"Bay {0}: proved studs behind its cleats: {1}", {number_of(bay), count(here)}},
                                count(here), bay.left, plan_.head);
            if (plan_.slide_moves != Length{})
                advise(misses,
                       {"Slide the system {0}: every bay has its studs", {quantity(absolute(plan_.slide_moves))}},
                       changed(system_, [&](StorageSystem& s) { s.left += plan_.slide_moves; }));
            else
                advise(misses, {"No place along the wall gives every bay its studs: other widths may"});
            advise(misses, {"Prove the studs behind it with a probe, or set noggings"});
        }
    }

    void lift() {
        if (plan_.panels.empty())
            return;
        const int wanted = persons_for(plan_, site_.rules.runs);
        if (wanted > system_.crew) {
            const Mass heaviest = std::ranges::max(plan_.panels, {}, &PanelPlan::mass).mass;
            Check& heavy = add(checks::panel_lift,
                               {"A panel weighs {0}; one person lifts {1}",
                                {quantity(heaviest), quantity(site_.rules.runs.lift_floor_alone)}},
                               quantity(heaviest - site_.rules.runs.lift_floor_alone));
            advise(heavy, {"Two persons"}, changed(system_, [](StorageSystem& s) { s.crew = 2; }));
        }
        // Stood up from the floor a panel turns about its lower back edge: its diagonal must clear the ceiling.
        Length tallest; // of those that stand
        for (std::size_t i = 0; i < plan_.panels.size(); ++i)
            if (stands(i))
                tallest = std::max(tallest, plan_.panels[i].height());
        const double swing = std::hypot(tallest.in_metres(), system_.panel.in_metres());
        const Length room =
            lowest_between(site_.survey.floor.ceiling, system_.left, system_.right()).value_or(site_.wall.height) -
            site_.rules.runs.tilt_clear;
        if (tallest > Length{} && Length::nearest_to_metres(swing) > room)
            advise(add(checks::panel_cannot_tilt,
                       {"A panel {0} tall cannot be stood up: {1} is free under the ceiling",
                        {quantity(tallest), quantity(room)}},
                       quantity(Length::nearest_to_metres(swing) - room), system_.left, plan_.head),
                   {"Lower panels"});
    }
    /// Whether a bay beside a panel does.
    bool stands(std::size_t panel) const {
        return (panel > 0 && !plan_.bays[panel - 1].sides.hung) ||
               (panel < plan_.bays.size() && !plan_.bays[panel].sides.hung);
    }

    void plumb() {
        for (const PanelCorrection& found : plan_.corrections) {
            if (found.panel < 1 || static_cast<std::size_t>(found.panel) > plan_.panels.size() || found.within)
                continue;
            advise(add(checks::panel_out_of_plumb,
                       {"Panel {0} leans: over its height {1}",
                        {count(static_cast<std::size_t>(found.panel)), quantity(found.foot_moves)}},
                       quantity(found.foot_moves), plan_.panels[static_cast<std::size_t>(found.panel - 1)].left,
                       plan_.panels[static_cast<std::size_t>(found.panel - 1)].foot),
                   {found.to_right ? std::string_view{"Move its foot {0} to the right; the reading is good to {1}"}
                                   : "Move its foot {0} to the left; the reading is good to {1}",
                    {quantity(found.foot_moves), quantity(found.error)}});
        }
    }

    const StorageSystem& system_;
    const WallSite& site_;
    const StorageRules& rules_;
    SystemPlan& plan_;
};

} // namespace

void check_system(const StorageSystem& system, const WallSite& site, SystemPlan& plan) {
    SystemChecker{system, site, plan}.check();
}

} // namespace yes_square
