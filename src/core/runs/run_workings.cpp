#include "core/runs/run_words.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Source of_unit{Provenance::maker, "the unit's own size"};
using sources::derived;
using sources::house;
constexpr Source statics{Provenance::derived, "moments about the pivot, levers across the width"};
constexpr Source surveyed{Provenance::measured, "the survey of this wall"};
constexpr Source kcma{Provenance::from_memory, "0.72 kPa on each shelf, ANSI/KCMA A161.1"};
constexpr Source panels{Provenance::common_practice, "its panels as 700 kg/m3 board"};
constexpr Source hse{Provenance::from_memory, "HSE lifting filter, the lower figures"};

class Writer {
public:
    Writer(const DraftRun& draft, const RunPlan& plan)
        : draft_{draft}
        , plan_{plan}
        , rules_{draft.site.rules()} {}

    std::vector<Working> write() {
        tally();
        slack();
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            unit(i);
        for (std::size_t i = 0; i < plan_.joins.size(); ++i)
            join(i);
        for (std::size_t i = 0; i < plan_.islands.size(); ++i)
            island(i);
        return std::move(all_);
    }

private:
    const WallSite& site() const { return draft_.site.wall; }

    Working& add(std::string subject, Sentence title, std::string_view sum, std::vector<Term> terms, Quantity result,
                 Source source) {
        return all_.emplace_back(
            Working{std::move(subject), std::move(title), sum, std::move(terms), result, source, {}});
    }

    /// All the terms, one after the other.
    Working& add_up(std::string subject, Sentence title, std::vector<Term> terms, Quantity result) {
        const std::string_view sum = sum_of(terms.size());
        return add(std::move(subject), std::move(title), sum, std::move(terms), result, derived);
    }

    void tally() {
        std::vector<Term> terms;
        Length total;
        for (const StandingUnit& standing : draft_.units) {
            terms.push_back({{}, quantity(standing.place.width), of_unit, standing.unit.name});
            total += standing.place.width;
        }
        add_up("tally", {"The run's units side by side"}, std::move(terms), quantity(total));
    }

    void slack() {
        const RunLayout& layout = plan_.layout;
        if (!layout.to)
            return;
        Working& working = add("slack", {"Room left over"}, "{0} - {1} - {2}",
                               {{"where it must end", site().far(layout.from, *layout.to), surveyed},
                                {"where it may begin", site().near(layout.from, *layout.to), surveyed},
                                {"its units", quantity(layout.right() - layout.left()), derived}},
                               quantity(*layout.to - layout.from - (layout.right() - layout.left())), derived);
        if (draft_.site.wall.survey.widths && draft_.run.end.at == EndKind::wall_end)
            working.facts.push_back(
                {"The wall's ends are nearest together {0} up, {1}: the run takes that width",
                 {quantity(draft_.site.wall.survey.widths->least_z), quantity(draft_.site.wall.survey.widths->least)}});
    }

    std::string subject(std::size_t i, const char* what) const { return "unit/" + std::to_string(i + 1) + "/" + what; }

    void unit(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        // As the tape meets it: what stands between it and the end that the run is set out from.
        const bool from_right = site().tape.from_right();
        std::vector<Term> terms{
            {"where the run begins", site().near(plan_.layout.left(), plan_.layout.right()), derived}};
        const auto before = [&](std::size_t k) {
            terms.push_back({{}, quantity(draft_.units[k].place.width), of_unit, draft_.units[k].unit.name});
        };
        if (from_right)
            for (std::size_t k = draft_.units.size(); k-- > i + 1;)
                before(k);
        else
            for (std::size_t k = 0; k < i; ++k)
                before(k);
        Working& place = add_up(subject(i, "place"),
                                {by_tape(site().tape, "Left edge of {0} from the reference end",
                                         "Right edge of {0} from the reference end"),
                                 {standing.unit.name}},
                                std::move(terms), site().near(standing.place.left, standing.place.right()));
        place.facts.push_back(
            {"Its bottom is {0} above the datum, its top {1}", {quantity(standing.bottom), quantity(standing.top())}});
        if (!is_cabinet(standing.unit))
            return;
        transfer(i);
        load(i);
        screw(i);
        lift(i);
        feet(i);
    }

    void transfer(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const UnitPlan& unit = plan_.units[i];
        const auto& holes = unit.holes;
        if (holes.empty() || standing.on_plates())
            return; // nothing goes through its back
        const PlannedHole& first = holes.front();
        Working& working = add(subject(i, "stud"), {"The first hole on {0}, inside the carcass", {standing.unit.name}},
                               by_tape(site().tape, "{0} - {1} - {2}", "{1} - {0} - {2}"),
                               {{"the hole from the reference end", site().along(first.x), surveyed},
                                {"the unit's left edge", site().along(standing.place.left), derived},
                                {"its side", quantity(standing.unit.side), of_unit}},
                               quantity(unit.inside_left(first)), derived);
        for (const PlannedHole& hole : holes)
            if (hole.row == 0)
                working.facts.push_back({"Hole at {0} outside, {1} inside from the left, {2} from the right",
                                         {quantity(unit.from_left(hole)), quantity(unit.inside_left(hole)),
                                          quantity(unit.inside_right(hole))}});
    }

    void load(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (draft_.units[i].level == RunLevel::floor)
            return;
        const bool stated = draft_.units[i].unit.loaded_mass.has_value();
        Working& working = add(subject(i, "load"), {"{0} with everything in it", {unit.name}}, "{0} + {1}",
                               {{"empty", quantity(unit.empty_mass), unit.empty_known ? of_unit : panels},
                                {"contents", quantity(unit.loaded_mass - unit.empty_mass), stated ? of_unit : kcma}},
                               quantity(unit.loaded_mass), derived);
        if (unit.hook_load)
            working.facts.push_back({"The worse of its two hooks carries {0}", {quantity(*unit.hook_load)}});
        if (unit.fixing) {
            working.facts.push_back(
                {"The worst screw: pull {0}, shear {1}", {quantity(unit.tension), quantity(unit.shear)}});
            working.facts.push_back({"One screw holds {0} of pull alone, {1} of shear alone",
                                     {quantity(unit.fixing->tension), quantity(unit.fixing->shear)}});
            working.facts.push_back({"Used to {0}", {ratio(unit.utilisation)}});
            working.terms.push_back({"pull on the worst screw", quantity(unit.tension), statics});
            working.terms.push_back({"what a screw holds", quantity(unit.fixing->tension), unit.fixing->source});
        }
    }

    void screw(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (!unit.fixing)
            return;
        const bool on_plates = draft_.units[i].on_plates();
        Length rail = draft_.units[i].unit.hook_plate.thickness;
        if (!on_plates) {
            const auto rails = rails_of(draft_.units[i].unit, rules_);
            rail = std::ranges::max_element(rails, {}, &HangingRail::thickness)->thickness;
        }
        Length shim;
        for (const PlannedHole& hole : unit.holes)
            shim = std::max(shim, hole.packing);
        const Length lining = draft_.site.wall.wall.lining_thickness();
        const bool masonry = draft_.site.wall.masonry();
        add(subject(i, "screw"), {"Screw for {0}: at least", {unit.name}}, "{0} + {1} + {2} + {3}",
            {{on_plates ? std::string_view{"hook plate"} : "rail", stock(rail), of_unit},
             {"packing", stock(shim), surveyed},
             {"lining", stock(lining), surveyed},
             {masonry ? std::string_view{"in the masonry, by its packet"} : "wanted in the stud",
              stock(masonry ? unit.fixing->penetration : draft_.site.wall.rules.penetration_wanted), house}},
            stock(rail + shim + lining +
                  (masonry ? unit.fixing->penetration : draft_.site.wall.rules.penetration_wanted)),
            derived)
            .facts.push_back({"Taken from those at hand: {0} long, {1} in the wall",
                              {stock(unit.fixing->screw_length), stock(unit.fixing->penetration)}});
    }

    void lift(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (draft_.units[i].level == RunLevel::floor)
            return;
        add(subject(i, "lift"), {"{0} to lift, doors off", {unit.name}}, "{0} - {1}",
            {{"empty", quantity(unit.empty_mass), unit.empty_known ? of_unit : panels},
             {"doors", quantity(unit.empty_mass - unit.lift_mass), of_unit},
             {"one person above the shoulder", quantity(rules_.lift_alone), hse}},
            quantity(unit.lift_mass), derived);
    }

    void feet(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        if (unit.feet.empty())
            return;
        const Foot& first = unit.feet.front();
        Working& working =
            add(subject(i, "feet"), {"Under {0}, at {1}", {unit.name, site().along(first.x)}}, "{0} - {1}",
                {{"its bottom above the datum", quantity(unit.bottom), derived},
                 {"the floor it stands on", quantity(unit.bottom - first.height), surveyed}},
                quantity(first.height), derived);
        for (const Foot& foot : unit.feet)
            if (foot.front)
                working.facts.push_back({"Foot at {0}: {1}", {site().along(foot.x), quantity(foot.height)}});
    }

    void join(std::size_t i) {
        const JoinScrew& join = plan_.joins[i];
        if (!join.length)
            return;
        add("join/" + std::to_string(i + 1),
            {"Screw from {0} into its neighbour: at most", {plan_.units[join.left_unit].name}}, "{0} - {1}",
            {{"both sides together", stock(join.passes), of_unit}, {"kept back", stock(rules_.joint_cover), house}},
            stock(join.passes - rules_.joint_cover), derived)
            .facts.push_back({"Taken from those at hand: {0}", {stock(*join.length)}});
    }

    void island(std::size_t i) {
        const IslandHold& hold = plan_.islands[i];
        const TippingRules& tipping = draft_.site.wall.rules.tipping;
        const std::string of = "island/" + std::to_string(i + 1) + "/";
        Working& pull = add(of + "pull", {"Held down at its back: {0}, {1}", {plan_.units[hold.worst].name, hold.when}},
                            "max(0, {0} x {1} - {2} x {3}) / {4}",
                            {{"factor", ratio(tipping.over_factor), house},
                             {"turns it over its foot line", quantity(hold.over), statics},
                             {"factor", ratio(tipping.righting_factor), house},
                             {"keeps it there", quantity(hold.righting), statics},
                             {"its screws at the back, from that line", quantity(hold.lever), derived}},
                            quantity(hold.pull), derived);
        if (hold.behind > 0)
            pull.facts.push_back(
                {"Of what stands behind it, screwed to it, {0} hold it down, empty", {quantity(hold.behind)}});
        for (std::size_t j = 0; j < hold.joints.size(); ++j) {
            const IslandJoint& joint = hold.joints[j];
            if (!joint.fixing)
                continue;
            const Force lifts = std::max(joint.demand.tension, joint.demand.down);
            const bool pried = joint.what == IslandJoint::What::cleat_to_floor;
            add(of + "joint/" + std::to_string(j + 1), {"On one of the screws {0}", {words(joint.what)}},
                pried ? "2 x {0} / {1}" : "{0} / {1}",
                {{"held down", quantity(hold.pull), derived}, {"screws for each unit", count(hold.screws), house}},
                quantity(lifts), derived)
                .facts = {
                {"Pushed along by {0} besides; used to {1}", {quantity(joint.demand.across), ratio(joint.used)}},
                {"One holds {0} of pull alone, {1} of shear alone",
                 {quantity(joint.fixing->tension), quantity(joint.fixing->shear)}}};
        }
    }

    const DraftRun& draft_;
    const RunPlan& plan_;
    const RunRules& rules_;
    std::vector<Working> all_;
};

} // namespace

std::vector<Working> workings_of(const DraftRun& draft, const RunPlan& plan) {
    return Writer{draft, plan}.write();
}

} // namespace yes_square
