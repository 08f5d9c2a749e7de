#include "core/fitting/judge_reading.hpp"

#include "core/boxes/box_parts.hpp"
#include "core/survey/limits.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

using sources::derived;
using sources::house;
using sources::measured;

Length rounded(double value) {
    return Length::nearest_to_metres(value);
}

/// The thing a reading is of, whatever its kind.
struct Work {
    std::string name;
    Length left;
    Length right;
    Length bottom;
    Length top;
    Length depth;
    const ShelfPlan* shelf = nullptr;
    const UnitPlan* unit = nullptr;
    const RunPlan* run = nullptr;
    bool hooks = false;   ///< of a unit: it hangs on hooks
    bool opening = false; ///< nothing but room for an appliance
    bool panel = false;   ///< of a wardrobe: stands on its panels' feet
};

/// Where it stands, and what a reading of its kind has to know besides.
Work work_of(const WallThing& room) {
    return {room.name, room.box.left, room.box.right, room.box.bottom, room.box.top, room.depth};
}
void add_own(Work&, const auto&, const ThingPlan&) {}
void add_own(Work& work, const StorageSystem&, const SystemPlan& plan) {
    work.left = plan.room.front().box.left;
    work.right = plan.room.back().box.right;
    work.bottom = plan.foot;
    work.top = plan.head;
    work.panel = true;
}
void add_own(Work& work, const WallBox&, const BoxPlan& plan) {
    work.unit = &plan.hang;
}
void add_own(Work& work, const HungCabinet&, const HungPlan& plan) {
    work.unit = &plan.wanted;
}

template <class Part>
std::optional<Work> find_in(const std::string& id, const Part& part, const auto& plan) {
    if (part.id != id || plan.room.empty())
        return std::nullopt;
    Work work = work_of(plan.room.front());
    add_own(work, part, plan);
    return work;
}
std::optional<Work> find_in(const std::string& id, const Shelf& shelf, const ShelfPlan& plan) {
    if (shelf.id != id)
        return std::nullopt;
    return Work{shelf.name, shelf.left, shelf.right(), shelf.underside(), shelf.height, shelf.depth, &plan};
}
/// All of its units, or one of them.
std::optional<Work> find_in(const std::string& id, const Run& chosen, const RunPlan& run) {
    if (run.id == id && !run.units.empty()) {
        Work work{run.name, run.layout.left(), run.layout.right(), run.units.front().bottom, run.units.front().top, {}};
        work.run = &run;
        return work;
    }
    for (std::size_t i = 0; i < run.units.size(); ++i)
        if (const UnitPlan& unit = run.units[i]; unit.unit_id == id) {
            Work work{unit.name, unit.place.left, unit.place.right(), unit.bottom, unit.top, chosen.units[i].depth};
            work.unit = &unit;
            work.hooks = chosen.units[i].hanging != Hanging::screws;
            work.opening = chosen.units[i].kind == UnitKind::appliance_gap;
            return work;
        }
    return std::nullopt;
}

std::optional<Work> find_work(const std::string& id, const WallSite& site, const WallPlan& plan) {
    std::optional<Work> found;
    for_each_kind(Things{}, [&]<class Kind>() {
        each_of<Kind>(site.wall, plan, [&](const Kind& part, const auto& of_it) {
            if (!found)
                found = find_in(id, part, of_it);
        });
    });
    return found;
}

class Judge {
public:
    Judge(const WorkReading& reading, const Work& work, const WallSite& site)
        : reading_{reading}
        , work_{work}
        , site_{site}
        , rules_{site.rules.fitting} {}

    ReadingPlan judge() {
        plan_.reading_id = reading_.id;
        plan_.item_name = work_.name;
        plan_.working.subject = "reading/" + reading_.id;
        switch (reading_.kind) {
        case ReadingKind::level:
            level();
            break;
        case ReadingKind::plumb:
            plumb();
            break;
        case ReadingKind::tape:
            tape();
            break;
        case ReadingKind::diagonals:
            diagonals();
            break;
        case ReadingKind::straightedge:
            straightedge();
            break;
        }
        plan_.working.result = stock(plan_.off);
        return std::move(plan_);
    }

private:
    bool across() const { return reading_.off_at == OffAt::left || reading_.off_at == OffAt::right; }
    double slope() const { return reading_.off.in_metres() / reading_.over.in_metres(); }
    void correct(Sentence words) { plan_.corrections.push_back(std::move(words)); }

    static std::string_view end_word(OffAt end) {
        switch (end) {
        case OffAt::left:
            return "left";
        case OffAt::right:
            return "right";
        case OffAt::front:
            return "front";
        case OffAt::back:
            return "back";
        }
        return {};
    }

    /// Too near the limit for the instrument: neither in nor out.
    void weigh() {
        plan_.verdict = plan_.off + plan_.error <= plan_.limit  ? Verdict::within
                        : plan_.off - plan_.error > plan_.limit ? Verdict::out
                                                                : Verdict::unsure;
    }

    /// Of a level: its own error over its length, and the rule or feeler under its end.
    Length error_over(Length span) const {
        const double own = site_.rules.storage.level_error.in_metres() * reading_.over.in_metres();
        const double feeler = limit_of_error(reading_.off, {Instrument::tape_class_2, {}}).in_metres();
        return rounded(std::hypot(own, feeler) * span.in_metres() / reading_.over.in_metres());
    }

    void turn_the_level() {
        if (plan_.verdict == Verdict::unsure)
            correct({"Turn the level end for end and read again: half the difference is its own error. Then decide"});
    }

    void sloped(Length span, Length per_m, Sentence title, std::string_view what) {
        plan_.off = rounded(slope() * span.in_metres());
        plan_.limit = rounded(per_m.in_metres() * span.in_metres());
        plan_.error = error_over(span);
        weigh();
        plan_.found = {"{0} {1} over {2}: {3} over all of it",
                       {stock(reading_.off), what, quantity(reading_.over), stock(plan_.off)}};
        plan_.working.title = std::move(title);
        plan_.working.sum = "{0} / {1} x {2}";
        plan_.working.terms = {{"under or behind the level", quantity(reading_.off), measured},
                               {"length of the level", quantity(reading_.over), measured},
                               {"span", quantity(span), derived}};
        plan_.working.source = derived;
        plan_.working.facts = {{"it may be {0}", {stock(plan_.limit)}},
                               {"level and rule are sure to {0}", {stock(plan_.error)}}};
    }

    void level() {
        const Length span = across() ? work_.right - work_.left : work_.depth;
        sloped(span, rules_.level_per_m, {"{0} is out of level by", {work_.name}}, word("low"));
        if (plan_.verdict == Verdict::within)
            return;
        turn_the_level();
        if (work_.unit && !work_.unit->feet.empty())
            raise_feet();
        else if (work_.shelf && !work_.shelf->brackets.empty() && across())
            raise_brackets();
        else if (work_.shelf && !across())
            pack_legs();
        else if (work_.hooks)
            correct({"{0}: turn its {1} hook up by {2}, hooks locked",
                     {work_.name, end_word(reading_.off_at), stock(plan_.off)}});
        else if (across())
            correct({"{0}: slacken its screws, lift its {1} end by {2}, tighten the top screws first",
                     {work_.name, end_word(reading_.off_at), stock(plan_.off)}});
        else
            pack_tilted(plan_.off, reading_.off_at == OffAt::front);
    }

    /// From the highest foot, so that none has to be let down.
    void raise_feet() {
        const std::vector<Foot>& feet = work_.unit->feet;
        const auto [least, most] = std::ranges::minmax(feet, {}, &Foot::x);
        const Length deep = work_.depth - 2 * site_.rules.runs.foot_inset;
        for (const Foot& foot : feet) {
            Length from_high;
            if (reading_.off_at == OffAt::left)
                from_high = most.x - foot.x;
            else if (reading_.off_at == OffAt::right)
                from_high = foot.x - least.x;
            else if (foot.front == (reading_.off_at == OffAt::front))
                from_high = deep;
            const double rise = slope() * from_high.in_metres();
            if (rounded(rise) < rules_.shim_step)
                continue;
            const double turns = rise / rules_.leg_pitch.in_metres();
            correct({foot.front ? std::string_view{"{0}, front foot at {1}: up {2}, {3} turns"}
                                : "{0}, back foot at {1}: up {2}, {3} turns",
                     {work_.name, site_.along(foot.x), stock(rounded(rise)), ratio(turns)}});
        }
    }

    void raise_brackets() {
        const auto& brackets = work_.shelf->brackets;
        const Length high = reading_.off_at == OffAt::left ? brackets.back().x : brackets.front().x;
        for (std::size_t i = 0; i < brackets.size(); ++i) {
            const Length rise = rounded(slope() * absolute(high - brackets[i].x).in_metres());
            if (rise >= rules_.shim_step)
                correct({"Bracket {0} at {1}: up {2}", {count(i + 1), site_.along(brackets[i].x), stock(rise)}});
        }
    }

    /// A bracket tilts up in front when the foot of its leg is packed off the wall.
    void pack_legs() {
        const ShelfPlan& shelf = *work_.shelf;
        if (!shelf.bracket || shelf.holes.empty())
            return correct({"{0}: slacken its screws, set it level front to back, tighten", {work_.name}});
        const Length pack = rounded(slope() * shelf.bracket->leg.in_metres());
        correct({reading_.off_at == OffAt::front
                     ? std::string_view{"Pack {0} behind the lower end of each bracket's leg: that brings the front up"}
                     : "Pack {0} behind the upper end of each bracket's leg: that lets the front down",
                 {stock(pack)}});
    }

    /// Between the highest and the lowest row of screws of what hangs.
    void pack_tilted(Length off, bool at_bottom) {
        Length between = work_.top - work_.bottom;
        const Length whole = reading_.kind == ReadingKind::plumb ? between : work_.depth;
        if (work_.unit && !work_.unit->holes.empty()) {
            const auto [low, high] = std::ranges::minmax(work_.unit->holes, {}, &PlannedHole::z);
            between = high.z - low.z;
        }
        const Length pack = rounded(off.in_metres() / whole.in_metres() * between.in_metres());
        correct({at_bottom ? std::string_view{"{0}: pack {1} behind its lower screws"}
                           : "{0}: pack {1} behind its upper screws",
                 {work_.name, stock(pack)}});
    }

    void plumb() {
        const Length height = work_.top - work_.bottom;
        sloped(height, rules_.plumb_per_m, {"{0} is out of plumb by", {work_.name}}, "out of plumb");
        if (plan_.verdict == Verdict::within)
            return;
        turn_the_level();
        const bool feet = work_.unit && !work_.unit->feet.empty();
        if (work_.panel || (across() && !feet)) {
            correct({reading_.off_at == OffAt::right
                         ? std::string_view{"{0}: foot {1} to the right, or top as much to the left"}
                     : reading_.off_at == OffAt::left  ? "{0}: foot {1} to the left, or top as much to the right"
                     : reading_.off_at == OffAt::front ? "{0}: foot {1} out from the wall, or top as much back"
                                                       : "{0}: foot {1} back to the wall, or top as much out",
                     {work_.name, stock(plan_.off)}});
        } else if (feet) {
            raise_feet(); // the side it leans to is the low one
        } else {
            // Its top leans out: the lower end comes out too, and the other way round.
            pack_tilted(plan_.off, reading_.off_at == OffAt::front);
        }
    }

    void tape() {
        plan_.off = absolute(reading_.read - reading_.wanted);
        plan_.limit = work_.opening ? site_.rules.runs.opening_parallel : rules_.place;
        plan_.error = limit_of_error(reading_.read, {Instrument::tape_class_2, site_.rules.laser_limit});
        weigh();
        const bool more = reading_.read > reading_.wanted;
        plan_.found = {"{0} where {1} is wanted", {quantity(reading_.read), quantity(reading_.wanted)}};
        plan_.working = {plan_.working.subject,
                         {"{0} is off by", {work_.name}},
                         more ? "{0} - {1}" : "{1} - {0}",
                         {{"read", quantity(reading_.read), measured}, {"wanted", quantity(reading_.wanted), derived}},
                         {},
                         derived};
        plan_.working.facts = {{"it may be {0}", {stock(plan_.limit)}},
                               {"the tape is sure to {0}", {stock(plan_.error)}}};
        if (plan_.verdict == Verdict::within)
            return;
        if (plan_.verdict == Verdict::unsure)
            correct({"Measure once more from the reference end, tape flat and drawn tight"});
        if (work_.opening)
            correct({more ? std::string_view{"{0} is {1} wide of it at the {2}: bring its neighbour in there"}
                          : "{0} is {1} narrow at the {2}: shim its neighbour open there",
                     {work_.name, stock(plan_.off), end_word(reading_.off_at)}});
        else
            correct({more == (reading_.from == TapeEnd::left) ? std::string_view{"{0}: {1} to the left"}
                                                              : "{0}: {1} to the right",
                     {work_.name, stock(plan_.off)}});
    }

    void diagonals() {
        const Length top = shear_of_top(reading_.read, reading_.other, reading_.over);
        plan_.off = absolute(top);
        plan_.limit = rounded(site_.rules.boxes.square_per_m.in_metres() * reading_.height.in_metres());
        // d(offset) = d x error / (2 W), from both readings.
        const auto share = [&](Length read) {
            return read.in_metres() *
                   limit_of_error(read, {Instrument::tape_class_2, site_.rules.laser_limit}).in_metres() /
                   (2 * reading_.over.in_metres());
        };
        plan_.error = rounded(std::hypot(share(reading_.read), share(reading_.other)));
        weigh();
        const double angle = reading_.height > Length{}
                                 ? std::asin(std::min(1.0, plan_.off.in_metres() / reading_.height.in_metres()))
                                 : 0;
        plan_.found = {
            "diagonals {0} and {1}: its top stands {2} aside, {3}",
            {quantity(reading_.read), quantity(reading_.other), stock(plan_.off), Quantity{Kind::angle, angle}}};
        plan_.working = {plan_.working.subject,
                         {"The top of {0} stands aside by", {work_.name}},
                         "({0} x {0} - {1} x {1}) / (4 x {2})",
                         {{"longer diagonal", quantity(std::max(reading_.read, reading_.other)), measured},
                          {"shorter diagonal", quantity(std::min(reading_.read, reading_.other)), measured},
                          {"width", quantity(reading_.over), measured}},
                         {},
                         derived};
        plan_.working.facts = {{"it may be {0}", {stock(plan_.limit)}},
                               {"both readings are sure to {0} of it", {stock(plan_.error)}}};
        if (plan_.verdict == Verdict::within)
            return;
        if (plan_.verdict == Verdict::unsure)
            correct({"Measure both diagonals again from the same corners, hooked alike"});
        correct({top > Length{}
                     ? std::string_view{"{0}: push its top {1} to the left, squeeze it along the rising "
                                        "diagonal until both are alike"}
                     : "{0}: push its top {1} to the right, squeeze it along the falling diagonal until both "
                       "are alike",
                 {work_.name, stock(plan_.off)}});
    }

    void straightedge() {
        const std::vector<Length> pack = packing_to_proudest(reading_.gaps);
        plan_.limit = rules_.straight;
        plan_.error = limit_of_error({}, {Instrument::tape_class_2, {}});
        plan_.off = pack.empty() ? Length{} : std::ranges::max(pack);
        weigh();
        // Over brackets it is laid before the board is; against anything else's front.
        const bool tops = work_.shelf && work_.shelf->bracket;
        plan_.found = {tops ? std::string_view{"{0} places read, the lowest {1} under the highest"}
                            : "{0} places read, the deepest {1} behind the proudest",
                       {count(reading_.gaps.size()), stock(plan_.off)}};
        plan_.working.title = {tops ? std::string_view{"The tops of the brackets of {0} are off one plane by"}
                                    : "The front of {0} is off a straight line by",
                               {work_.name}};
        plan_.working.source = derived;
        plan_.working.facts = {{"the straight line that fits the gaps best (least squares), from the proudest place"},
                               {"it may be {0}", {stock(plan_.limit)}}};
        for (std::size_t i = 0; i < pack.size(); ++i)
            plan_.working.facts.push_back(
                {tops ? std::string_view{"at {0}: gap {1}, so {2} low"} : "at {0}: gap {1}, so {2} behind",
                 {site_.along(reading_.gaps[i].x), stock(reading_.gaps[i].gap), stock(pack[i])}});
        if (plan_.verdict == Verdict::within)
            return;
        const auto at = [&](Length x) { return shim_at(pack, x); };
        std::vector<Length> told;
        const auto tell = [&](const std::string& whose, Length x) {
            const Length shim = at(x);
            if (shim < rules_.shim_step || std::ranges::find(told, x) != told.end())
                return;
            told.push_back(x);
            const auto steps = shim.in_steps_of(rules_.shim_step);
            correct({tops ? std::string_view{"{0}: pack {2} between the bracket at {1} and the board"}
                          : "{0}: slacken the screws at {1} and pack {2} behind them",
                     {whose, site_.along(x), stock(steps * rules_.shim_step)}});
        };
        if (work_.run)
            for (const UnitPlan& unit : work_.run->units)
                for (const PlannedHole& hole : unit.holes)
                    tell(unit.name, hole.x);
        else if (work_.unit)
            for (const PlannedHole& hole : work_.unit->holes)
                tell(work_.name, hole.x);
        else if (work_.shelf)
            for (const BracketPlan& bracket : work_.shelf->brackets)
                tell(work_.name, bracket.x);
        if (plan_.corrections.empty())
            for (std::size_t i = 0; i < pack.size(); ++i)
                tell(work_.name, reading_.gaps[i].x);
    }

    /// Between the places that were read, as a straight edge would lie; beyond them as at the last.
    Length shim_at(const std::vector<Length>& pack, Length x) const {
        const auto& gaps = reading_.gaps;
        if (pack.empty())
            return {};
        std::vector<std::pair<Length, Length>> points;
        for (std::size_t i = 0; i < pack.size(); ++i)
            points.emplace_back(gaps[i].x, pack[i]);
        std::ranges::sort(points);
        if (x <= points.front().first)
            return points.front().second;
        for (std::size_t i = 1; i < points.size(); ++i)
            if (x <= points[i].first) {
                const auto& [x0, p0] = points[i - 1];
                const auto& [x1, p1] = points[i];
                if (x1 == x0)
                    return std::max(p0, p1);
                const double share = (x - x0).in_metres() / (x1 - x0).in_metres();
                return p0 + rounded(share * (p1 - p0).in_metres());
            }
        return points.back().second;
    }

    const WorkReading& reading_;
    const Work& work_;
    const WallSite& site_;
    const FitRules& rules_;
    ReadingPlan plan_;
};

} // namespace

std::vector<Length> packing_to_proudest(const std::vector<Gap>& gaps) {
    const auto n = static_cast<double>(gaps.size());
    if (gaps.size() < 2)
        return std::vector<Length>(gaps.size());
    double mean_x = 0;
    double mean_gap = 0;
    for (const Gap& gap : gaps) {
        mean_x += gap.x.in_metres() / n;
        mean_gap += gap.gap.in_metres() / n;
    }
    double xx = 0;
    double xg = 0;
    for (const Gap& gap : gaps) {
        xx += (gap.x.in_metres() - mean_x) * (gap.x.in_metres() - mean_x);
        xg += (gap.x.in_metres() - mean_x) * (gap.gap.in_metres() - mean_gap);
    }
    const double tilt = xx > 0 ? xg / xx : 0;
    std::vector<double> off;
    for (const Gap& gap : gaps)
        off.push_back(gap.gap.in_metres() - mean_gap - tilt * (gap.x.in_metres() - mean_x));
    const double proudest = std::ranges::min(off);
    std::vector<Length> packing;
    for (const double each : off)
        packing.push_back(rounded(each - proudest));
    return packing;
}

ReadingPlan judge_reading(const WorkReading& reading, const WallSite& site, const WallPlan& plan) {
    const auto work = find_work(reading.item, site, plan);
    if (work)
        return Judge{reading, *work, site}.judge();
    ReadingPlan lost;
    lost.reading_id = reading.id;
    lost.item_name = reading.item;
    lost.found = {"What this was read of is not on the wall any more"};
    lost.verdict = Verdict::unsure;
    lost.corrections = {{"Take the reading away, or read it again"}};
    return lost;
}

} // namespace yes_square
