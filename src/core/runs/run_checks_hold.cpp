#include "core/runs/run_checks.hpp"

#include "core/runs/slide.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

class HoldChecker : RunChecker {
public:
    HoldChecker(const DraftRun& draft, RunPlan& plan)
        : RunChecker{draft, plan} {}

    void check() {
        for (std::size_t i = 0; i < draft_.units.size(); ++i) {
            const StandingUnit& standing = draft_.units[i];
            if (!is_cabinet(standing.unit) || site_.wall.open_floor())
                continue;
            const bool hung = standing.level == RunLevel::wall;
            if (standing.on_rail() || standing.on_plates()) {
                hardware(i);
                if (standing.on_plates())
                    plates(i);
            } else {
                backs(i);
                studs(i);
                pins(i);
            }
            strips(i);
            loads(i);
            if (hung)
                lift(i);
        }
        rail();
        rail_pins();
        for (const JoinScrew& join : plan_.joins)
            if (!join.length)
                advise(add(checks::joint_screw_none,
                           {"No screw at hand joins {0} to its neighbour: it must be shorter than {1}",
                            {plan_.units[join.left_unit].name, quantity(join.passes)}}),
                       {"Connecting screws of two parts, through both sides, do as well"});
    }

private:
    const std::string& name(std::size_t i) const { return draft_.units[i].unit.name; }
    Length left(std::size_t i) const { return draft_.units[i].place.left; }

    void backs(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const auto rails = rails_of(standing.unit, site_.rules());
        const bool hung = standing.level == RunLevel::wall;
        if (rails.empty()) {
            // A base unit's screws hold nothing but its place.
            const bool matters = hung || standing.tall();
            Check& unknown = add(checks::rails_unknown, matters ? Severity::error : Severity::note,
                                 {"What rails {0} has was not entered, and its back of {1} does not stand for them",
                                  {name(i), quantity(standing.unit.back)}},
                                 quantity(standing.unit.back), left(i), standing.top());
            advise(unknown, {"Enter its rails: how far down each is, how broad and how thick"});
            if (hung)
                advise(unknown, {"Hang the run on a suspension rail"},
                       SetHanging{draft_.run.id, Hanging::suspension_rail});
            advise(unknown, {"Without one, glue and screw a rail of {0} or more across its back, top and bottom",
                             {quantity(15_mm)}});
        } else if (plan_.units[i].turns) {
            Check& top = add(checks::unit_top_only, Severity::error,
                             {"{0} would turn about its screws: nothing above its pressed edge holds it", {name(i)}},
                             std::nullopt, left(i), standing.bottom);
            advise(top, {"Add a bottom rail, or join it to neighbours that have one"});
        } else if (rails.size() == 1 && hung) {
            Check& top = add(checks::unit_top_only, Severity::warning,
                             {"{0} has a top rail only: nothing holds its foot to the wall", {name(i)}}, std::nullopt,
                             left(i), standing.bottom);
            advise(top, {"Add a bottom rail, or join it to neighbours that have one"});
        }
    }

    void studs(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        if (site_.wall.masonry() || rails_of(standing.unit, site_.rules()).empty())
            return;
        std::size_t proved = 0;
        std::size_t found = 0; // by a detector or by some other trace
        std::size_t assumed = 0;
        const PlannedHole* pilot = nullptr;
        std::optional<std::size_t> last;
        for (const PlannedHole& hole : plan_.units[i].holes) {
            if (hole.row > 0 || hole.stud == last)
                continue;
            last = hole.stud;
            proved += hole.substrate == Substrate::proved_stud;
            if (hole.substrate == Substrate::detected_stud || hole.substrate == Substrate::indicated_stud) {
                ++found;
                pilot = pilot ? pilot : &hole;
            }
            assumed += hole.substrate == Substrate::assumed_stud;
        }
        if (standing.level == RunLevel::floor) {
            if (proved + found == 0)
                few(i, standing.tall() ? Severity::error : Severity::note, proved, assumed);
            else if (standing.tall() && proved == 0) {
                few(i, Severity::warning, proved, assumed);
                pilot_first(i, pilot);
            }
            return;
        }
        const bool misses = !site_.wall.timber() || std::ranges::find(plan_.slide.lost, i) != plan_.slide.lost.end();
        if (misses)
            few(i, proved + found == 0 ? Severity::error : Severity::warning, proved, assumed);
        if (proved == 0)
            pilot_first(i, pilot);
    }

    void pilot_first(std::size_t i, const PlannedHole* pilot) {
        if (pilot)
            advise(
                add(checks::pilot_first,
                    {"{0}: nobody has met the wood of a stud behind it. Drill one pilot hole, at {1}, before the rest",
                     {name(i), site_.wall.along(pilot->x)}},
                    std::nullopt, pilot->x, pilot->z),
                {"Drill it and enter what it met as a probe: wood proves the stud"});
    }

    /// A stud that lies behind a unit and takes no screw of it: in a corner, mostly.
    void stud_at_edge(Check& check, std::size_t i, Length stud) {
        const StandingUnit& standing = draft_.units[i];
        const Length head = site_.rules().screw_head / 2;
        const Length in = std::min(stud - standing.place.left, standing.place.right() - stud) - standing.unit.side;
        if (in >= head)
            advise(check,
                   {"Pin a screw in the stud at {0}, {1} from a side's inner face: only an angle driver or a long bit "
                    "comes to it, and it counts then",
                    {site_.wall.along(stud), quantity(in)}},
                   PinScrew{standing.unit.id, std::nullopt, stud - standing.place.left});
        else
            advise(check,
                   {"The stud at {0} lies behind its side, where no screw goes in: a cleat under it takes that one",
                    {site_.wall.along(stud)}});
    }

    void few(std::size_t i, Severity severity, std::size_t proved, std::size_t assumed) {
        const StandingUnit& standing = draft_.units[i];
        Check& check = add(
            checks::few_studs, severity,
            !site_.wall.timber()
                ? Sentence{"{0}: nothing behind this lining holds a wood screw", {name(i)}}
                : (assumed > 0 ? Sentence{"Proved studs behind {0}: {1}. Assumed only: {2}",
                                          {name(i), count(proved), count(assumed)}}
                               : Sentence{"Proved studs behind {0} where it stands: {1}", {name(i), count(proved)}}),
            count(proved), left(i), standing.top());
        if (plan_.slide.possible && !plan_.slide.holds_now()) {
            const PlaceRun slid = place_by_slide(draft_.run, plan_.layout, plan_.slide);
            advise(check,
                   {"Slide the run: moved {0} in all, every unit has its screws in proved studs",
                    {quantity(plan_.slide.moved)}},
                   slid);
        } else if (std::ranges::find(plan_.slide.never, i) != plan_.slide.never.end()) {
            advise(check, {"No place within the slack gives it its studs"});
        }
        for (const Length stud : plan_.units[i].out_of_reach)
            stud_at_edge(check, i, stud);
        if (standing.level == RunLevel::wall) {
            advise(check, {"Hang the run on a suspension rail, screwed to every stud"},
                   SetHanging{draft_.run.id, Hanging::suspension_rail});
            advise(check, {"Or a cleat under it, screwed to the studs from end to end"});
        }
        if (site_.wall.wall.lining.empty())
            advise(check, {"The framing is open: set a nogging behind each of its rails"});
        else if (assumed > 0)
            advise(check, {"Prove the studs behind it with a probe"});
        else
            advise(check,
                   {"Anchors in the lining do not hang a cabinet; where masonry lies behind, plugs by their packet"});
    }

    /// Screws that the fitter pinned: within the unit's rails, and in something that holds.
    void pins(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const CabinetUnit& unit = standing.unit;
        const auto let_go = [&](Check& check, Length pin) {
            advise(check, {"Let go of that pin"},
                   changed(draft_.run, [&](Run& run) { std::erase(run.units[i].pins, pin); }));
        };
        pins_close(unit.pins, name(i), standing.place.left);
        for (const Length pin : unit.pins) {
            const Length x = standing.place.left + pin;
            if (pin <= unit.side || pin >= unit.width - unit.side)
                let_go(add(checks::screw_pin_off,
                           {"{0}: a screw is pinned {1} from its left side, and its rails run from {2} to {3}",
                            {name(i), quantity(pin), quantity(unit.side), quantity(unit.width - unit.side)}},
                           std::nullopt, x, standing.top()),
                       pin);
            else if (misses(x))
                let_go(add(checks::screw_pin_misses,
                           {"{0}: a screw is pinned at {1}, and no stud is sure to be there: it holds nothing",
                            {name(i), site_.wall.along(x)}},
                           std::nullopt, x, standing.top()),
                       pin);
        }
    }

    void rail_pins() {
        pins_close(draft_.run.rail_pins, draft_.run.name, plan_.layout.left());
        for (const Length pin : draft_.run.rail_pins) {
            const Length x = plan_.units.empty() ? pin : plan_.units.front().place.left + pin;
            const bool on_rail = std::ranges::any_of(plan_.pieces, [&](const RunPiece& piece) {
                return piece.what == RunPiece::What::suspension_rail && x >= piece.from && x <= piece.to;
            });
            if (on_rail && site_.rail_holds(x))
                continue;
            advise(
                on_rail
                    ? add(checks::screw_pin_misses,
                          {"The rail is pinned at {0}, and no proved stud is sure to be there: it is not fixed there",
                           {site_.wall.along(x)}},
                          std::nullopt, x, std::nullopt)
                    : add(checks::screw_pin_off,
                          {"A rail is pinned at {0}, and no rail of this run is there", {site_.wall.along(x)}},
                          std::nullopt, x, std::nullopt),
                {"Let go of that pin"}, changed(draft_.run, [&](Run& run) { std::erase(run.rail_pins, pin); }));
        }
    }

    /// Pins in one place hold once.
    void pins_close(const std::vector<Length>& pins, const std::string& of, Length left) {
        if (const std::size_t apart = site_.wall.apart(pins).size(); apart < pins.size())
            add(checks::screw_pins_close,
                {"{0}: {1} of its {2} pins are nearer than {3} to another: screws so near one another count once",
                 {of, count(pins.size() - apart), count(pins.size()), quantity(site_.wall.pin_room())}},
                std::nullopt, left + pins.front(), std::nullopt);
    }

    bool misses(Length x) const { return !site_.wall.masonry() && !site_.wall.stud_round(x); }

    void strips(std::size_t i) {
        for (Check& check : strip_checks(name(i), plan_.units[i].holes, site_.wall)) {
            advise(check, {"Or leave that stud out: a suspension rail can be screwed beside it"},
                   SetHanging{draft_.run.id, Hanging::suspension_rail});
            plan_.checks.push_back(std::move(check));
        }
    }

    void hardware(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (!unit.hook_utilisation.known())
            advise(
                add(checks::unit_hardware_unrated,
                    {"{0} puts {1} on one hook; what that hook bears is unknown", {name(i), quantity(*unit.hook_load)}},
                    quantity(*unit.hook_load), left(i), unit.top),
                {"Enter the figure of its maker's load table"});
        else if (unit.hook_utilisation.over())
            advise(add(checks::fixing_overloaded,
                       {"{0} loads one hook to {1} of what its maker allows", {name(i), ratio(unit.hook_utilisation)}},
                       ratio(unit.hook_utilisation), left(i), unit.top),
                   {"A stronger hook, or screws through its rails besides"});
    }

    /// Each of its hook plates has a screw in something that holds; where a hook is, no screw can be moved to a stud.
    void plates(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const UnitPlan& unit = plan_.units[i];
        const HookPlate& plate = standing.unit.hook_plate;
        const Length lowest = standing.hooks_at - plate.apart * (plate.screws - 1);
        if (plate.in >= standing.unit.width / 2 || lowest <= standing.bottom || standing.hooks_at >= unit.top) {
            advise(add(checks::hook_plate_off,
                       {"{0}: its hook plates are set {1} in from its sides and {2} below its top, off its own back",
                        {name(i), quantity(plate.in), quantity(unit.top - standing.hooks_at)}},
                       std::nullopt, left(i), unit.top),
                   {"Enter where they sit by their maker's sheet"});
            return;
        }
        if (unit.turns)
            advise(add(checks::unit_top_only,
                       {"{0} would turn about its hook plates: they sit too low on it", {name(i)}}, std::nullopt,
                       left(i), unit.bottom),
                   {"Hooks near its top, by their maker's sheet"});
        // Half of it hangs on each: one stud that nobody has met is one too many.
        const auto unmet = std::ranges::find_if(unit.holes, [](const PlannedHole& hole) {
            return hole.substrate == Substrate::detected_stud || hole.substrate == Substrate::indicated_stud;
        });
        if (unmet != unit.holes.end())
            pilot_first(i, &*unmet);
        for (const PlannedHole& hole : unit.holes) {
            if (hole.row > 0 || (hole.substrate != Substrate::lining && hole.substrate != Substrate::assumed_stud))
                continue;
            Check& loose =
                add(checks::hook_plate_loose,
                    {"{0}: no stud is known well enough behind the hook plate at {1}, and the lining does not "
                     "hold a cabinet",
                     {name(i), site_.wall.along(hole.x)}},
                    std::nullopt, hole.x, hole.z);
            advise(loose, {"Hang the run on a suspension rail, screwed to every stud"},
                   SetHanging{draft_.run.id, Hanging::suspension_rail});
            advise(loose,
                   {site_.wall.open_framing() ? std::string_view{"The framing is open: set a nogging behind it"}
                                              : "Or a batten on the studs behind the plates, and the backs packed out "
                                                "by as much"});
        }
    }

    void loads(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (!unit.utilisation.known()) {
            const StandingUnit& standing = draft_.units[i];
            const auto held = [](const PlannedHole& hole) {
                return hole.substrate != Substrate::assumed_stud && hole.substrate != Substrate::lining;
            };
            const bool all = standing.on_plates(); // a loose plate is said already
            if ((standing.level == RunLevel::wall || standing.tall()) && !standing.on_rail() && !unit.holes.empty() &&
                !unit.turns && (all ? std::ranges::all_of(unit.holes, held) : std::ranges::any_of(unit.holes, held)))
                advise(add(checks::no_fixing,
                           {"{0}: no screw or plug at hand reaches through its rail, packing and lining and holds",
                            {name(i)}},
                           std::nullopt, left(i), unit.top),
                       {"Add a longer screw, or a plug for this wall, to those at hand"});
            return;
        }
        if (unit.utilisation.within())
            return;
        Check& over = add(checks::fixing_overloaded,
                          {"{0}, loaded with {1}, uses its worst screw to {2} of what it holds: pull {3}, shear {4}",
                           {name(i), quantity(unit.loaded_mass), ratio(unit.utilisation), quantity(unit.tension),
                            quantity(unit.shear)}},
                          ratio(unit.utilisation), left(i), unit.top);
        advise(over, {"Hang the run on a suspension rail, screwed to every stud"},
               SetHanging{draft_.run.id, Hanging::suspension_rail});
        if (unit.utilisation.is_refused())
            advise(over, {"Or a cleat under it takes the shear"});
        else
            advise(over, {"Or a cleat under it takes the shear; or load it with {0} at most",
                          {quantity(unit.loaded_mass / unit.utilisation.number())}});
    }

    void rail() {
        for (const RunPiece& piece : plan_.pieces) {
            if (piece.what != RunPiece::What::suspension_rail)
                continue;
            for (Check& check : strip_checks("The rail", piece.hold.places, site_.wall))
                plan_.checks.push_back(std::move(check));
            if (piece.fixings.size() < 2) {
                Check& few = add(checks::few_studs, Severity::error,
                                 {"Proved studs behind the rail from {0} to {1}: {2}. It needs two at least",
                                  {site_.wall.near(piece.from, piece.to), site_.wall.far(piece.from, piece.to),
                                   count(piece.fixings.size())}},
                                 count(piece.fixings.size()), piece.from, piece.z);
                advise(few, {"Prove more studs behind it with a probe"});
                continue;
            }
            rail_hold(piece);
            const Length most = site_.wall.masonry() ? site_.rules().rail_masonry : site_.rules().rail_studs;
            const Length beyond = std::max(piece.fixings.front() - piece.from, piece.to - piece.fixings.back());
            if (beyond > most)
                advise(add(checks::spacing_over_limit, Severity::warning,
                           {"The rail reaches {0} beyond its last fixing, {1} more than the {2} between fixings",
                            {quantity(beyond), quantity(beyond - most), quantity(most)}},
                           quantity(beyond - most), piece.from, piece.z),
                       {"Prove a stud nearer to its end, set a nogging there, or end the rail sooner"});
            for (std::size_t i = 1; i < piece.fixings.size(); ++i)
                if (const Length apart = piece.fixings[i] - piece.fixings[i - 1]; apart > most + 25_mm)
                    advise(add(checks::spacing_over_limit, Severity::warning,
                               {"The rail is fixed at {0} and next at {1}: {2} farther than the {3} a rail is fixed at",
                                {site_.wall.along(piece.fixings[i - 1]), site_.wall.along(piece.fixings[i]),
                                 quantity(apart - most), quantity(most)}},
                               quantity(apart - most), piece.fixings[i - 1], piece.z),
                           {"Its maker's sheet has the last word; a nogging between takes another screw"});
        }
    }

    void rail_hold(const RunPiece& rail) {
        const RailHold& hold = rail.hold;
        if (!hold.utilisation.known())
            return;
        if (!hold.fixing)
            advise(add(checks::no_fixing, {"Nothing at hand fixes the rail to this wall"}, std::nullopt, rail.from,
                       rail.z),
                   {"Add a screw or plug that suits it, or put wood behind the lining"});
        else if (hold.utilisation.over())
            advise(add(checks::fixing_overloaded,
                       {"The rail, with {1} screws at each place, uses its worst to {0} of what it holds",
                        {ratio(hold.utilisation), count(hold.screws)}},
                       ratio(hold.utilisation), rail.from, rail.z),
                   {"Screws through the units' rails besides, or a cleat under them"});
    }

    void lift(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        const Mass limit = site_.rules().lift_alone;
        if (unit.lift_mass <= limit)
            return;
        Check& heavy = add(checks::lift_over_limit,
                           {unit.empty_known ? std::string_view{"{0} weighs {1} to lift; one person above the shoulder "
                                                                "lifts {2}"}
                                             : "{0} weighs about {1} to lift, by its panels; one person above the "
                                               "shoulder lifts {2}",
                            {name(i), quantity(unit.lift_mass), quantity(limit)}},
                           quantity(unit.lift_mass - limit));
        advise(heavy, {"A second person, or a jack, and the ledger of this plan under it"});
    }
};

} // namespace

void check_hold(const DraftRun& draft, RunPlan& plan) {
    HoldChecker{draft, plan}.check();
}

} // namespace yes_square
