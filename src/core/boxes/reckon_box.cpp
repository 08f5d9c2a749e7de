#include "core/boxes/reckon_box.hpp"

#include "core/boxes/box_parts.hpp"
#include "core/fixings/used_working.hpp"
#include "core/runs/hang_unit.hpp"
#include "core/shelves/verdicts.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

using sources::derived;
using sources::measured;
using sources::practice;

class BoxReckoner : CheckWriter {
public:
    BoxReckoner(const WallBox& box, const WallSite& site, BoxPlan& plan)
        : CheckWriter{plan.checks, box.left, box.top}
        , box_{box}
        , sure_{proved_only(site.survey)}
        , site_{site.with(sure_)}
        , plan_{plan} {}

    void reckon() {
        plan_.id = box_.id;
        plan_.name = box_.name;
        if (cannot_be_made())
            return;
        plan_.pieces = box_parts(box_);
        plan_.diagonal = Length::nearest_to_metres(std::hypot(box_.width.in_metres(), box_.height.in_metres()));
        plan_.shelf_tops = shelf_tops(box_);
        plan_.back_screws = back_screws(box_, site_.rules.boxes);
        if (box_.diagonal_rising && box_.diagonal_falling)
            plan_.square =
                squareness(box_.width, box_.height, *box_.diagonal_rising, *box_.diagonal_falling, site_.rules.boxes);
        weigh();
        const CabinetUnit unit = unit_of();
        plan_.hang = hang_unit({unit, RunLevel::wall, {box_.left, box_.width}, box_.bottom(), true}, site_);
        plan_.holes = plan_.hang.holes;
        check();
        words();
        parts();
    }

private:
    bool cannot_be_made() {
        const auto refuse = [&](Sentence why, Sentence cure) {
            advise(add(checks::box_cannot_be_made, Severity::error, std::move(why)), std::move(cure));
            return true;
        };
        if (box_.width <= 2 * box_.side || box_.height <= box_.side * (box_.shelves + 2))
            return refuse({"{0} has no room between its boards", {box_.name}},
                          {"Make it larger, or give it fewer shelves"});
        if (box_.joint == BoxJoint::housing && box_.housing >= box_.side)
            return refuse(
                {"A housing {0} deep goes through a side {1} thick", {quantity(box_.housing), quantity(box_.side)}},
                {"Half the side's thickness is usual"});
        if (box_.joint == BoxJoint::housing && box_.clearance >= box_.housing)
            return refuse({"With a clearance of {0} nothing enters the housings", {quantity(box_.clearance)}},
                          {"{0} is usual", {quantity(1_mm)}});
        if (box_.back == BoxBack::rebated && box_.rebate >= box_.depth)
            return refuse({"A rebate of {0} takes all of the depth", {quantity(box_.rebate)}},
                          {"As deep as the back is thick"});
        return false;
    }

    Length inner_width() const { return box_.width - 2 * box_.side; }

    void weigh() {
        for (const BoxPart& part : plan_.pieces) {
            const BoardMaterial material = part.what == "back" ? box_.back_material : box_.material;
            plan_.mass += static_cast<double>(part.number) * properties(material).density * part.length * part.breadth *
                          part.thickness;
        }
        Shelf shelf;
        shelf.left = box_.left + box_.side;
        shelf.length = inner_width();
        shelf.depth = box_.back == BoxBack::rebated ? box_.depth - box_.rebate : box_.depth;
        shelf.thickness = box_.side;
        shelf.material = box_.material;
        shelf.load = box_.load;
        shelf.height = plan_.shelf_tops.empty() ? box_.bottom() + box_.side : plan_.shelf_tops.back();
        const SimpleSpan span = simple_span(shelf, site_.rules, site_.service_class);
        plan_.sag = span.sag;
        plan_.board_utilisation = span.utilisation;
        goods_source_ = span.loads.goods_source;
        // On every shelf, on the bottom, and on its top, where things come to stand too.
        goods_ = mass_of(span.loads.goods_load * shelf.length);
        plan_.loaded_mass = plan_.mass + goods_ * (box_.shelves + 2);
    }

    Length through() const { return box_.back_thickness + box_.rail_thickness; }

    /// The box as a cabinet that hangs by screws through its back.
    CabinetUnit unit_of() const {
        CabinetUnit unit;
        unit.id = box_.id;
        unit.name = box_.name;
        unit.kind = UnitKind::open_shelf;
        unit.width = box_.width;
        unit.height = box_.height;
        unit.depth = box_.depth;
        unit.mass = plan_.mass;
        unit.loaded_mass = plan_.loaded_mass;
        unit.side = box_.side;
        unit.back = box_.back_thickness;
        const Length in = std::min(site_.rules.boxes.hole_in, box_.height / 2);
        if (through() > site_.rules.runs.thin_back && box_.back_screwed)
            unit.rails = {{in, 2 * in, through()}, {box_.height - in, 2 * in, through()}};
        else
            unit.back = {};
        return unit;
    }

    void check() {
        if (!box_.back_screwed) {
            Check& pinned = add(checks::box_back_pinned,
                                {"The back of {0} is only pinned: the box would come off it", {box_.name}});
            advise(pinned, {"Screw it all round, {0} screws", {count(plan_.back_screws)}},
                   changed(box_, [](WallBox& b) { b.back_screwed = true; }));
        }
        if (through() <= site_.rules.runs.thin_back) {
            Check& thin = add(checks::box_back_thin,
                              {"A back of {0} holds nothing: screws pull through it", {quantity(through())}});
            advise(thin, {"Strips of {0} before it, under top and bottom", {quantity(18_mm)}},
                   changed(box_, [](WallBox& b) { b.rail_thickness = 18_mm; }));
        }
        if (box_.back == BoxBack::rebated && box_.rebate < box_.back_thickness) {
            Check& proud =
                add(checks::box_cannot_be_made, Severity::warning,
                    {"The back stands {0} proud of its rebate", {quantity(box_.back_thickness - box_.rebate)}},
                    quantity(box_.back_thickness - box_.rebate));
            advise(proud, {"A rebate as deep as the back is thick"},
                   changed(box_, [](WallBox& b) { b.rebate = b.back_thickness; }));
        }
        if (plan_.sag.share() > 1) {
            Check& sags = add(checks::sag_over_limit,
                              {"A shelf of {0} sags {1} in time, {2} more than its limit",
                               {box_.name, fine(plan_.sag.long_term), fine(plan_.sag.long_term - plan_.sag.limit)}},
                              fine(plan_.sag.long_term - plan_.sag.limit));
            advise(sags, {"Thicker boards, or an upright in its middle"});
        }
        if (plan_.board_utilisation.over())
            advise(add(checks::board_overloaded,
                       {"A shelf of {0} is bent to {1} of what its board bears",
                        {box_.name, ratio(plan_.board_utilisation)}},
                       ratio(plan_.board_utilisation)),
                   {"Thicker boards, or an upright in its middle"});
        if (plan_.square && !plan_.square->within)
            advise(
                add(checks::box_not_square,
                    {"{0} is out of square: its top stands {1} aside", {box_.name, quantity(plan_.square->top_moves)}},
                    quantity(plan_.square->top_moves)),
                {plan_.square->to_right
                     ? std::string_view{"Push its top {0} to the right, measure again, then screw the back on"}
                     : "Push its top {0} to the left, measure again, then screw the back on",
                 {quantity(plan_.square->top_moves)}});
        fixings();
    }

    void fixings() {
        const UnitPlan& hang = plan_.hang;
        const auto carries_here = [](const PlannedHole& hole) {
            return hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry ||
                   hole.substrate == Substrate::nogging;
        };
        const auto sure = std::ranges::count_if(hang.holes, carries_here);
        const auto found = std::ranges::count(hang.holes, Substrate::detected_stud, &PlannedHole::substrate) + sure;
        const auto detected = std::ranges::find(hang.holes, Substrate::detected_stud, &PlannedHole::substrate);
        const bool backed = through() > site_.rules.runs.thin_back && box_.back_screwed;
        if (!backed)
            return;
        if (sure == 0 && detected != hang.holes.end()) {
            advise(add(checks::pilot_first,
                       {"{0}: only a detector found the studs behind it. Drill one pilot hole, at {1}, before the rest",
                        {box_.name, quantity(detected->x)}},
                       std::nullopt, detected->x, detected->z),
                   {"Drill it and enter what it met as a probe: wood proves the stud"});
        } else if (sure == 0) {
            advise(
                add(checks::few_studs, Severity::error, {"No proved stud or masonry stands behind {0}", {box_.name}}),
                {"Prove the studs behind it with a probe, or move it to where two are"});
            return;
        }
        if (!site_.masonry() && found < 4)
            advise(add(checks::few_studs, Severity::warning,
                       {"{0} hangs on one stud: it must not turn on the wall", {box_.name}}),
                   {"Move it to where two studs are behind it"});
        if (hang.turns) {
            advise(add(checks::bracket_turns, {"{0} would turn off the wall about its screws", {box_.name}}),
                   {"Screws at its top and at its bottom, or a wider stud"});
            return;
        }
        if (!hang.fixing) {
            advise(add(checks::no_fixing, {"{0}: no screw or plug at hand holds it", {box_.name}}),
                   {"Add a longer coach screw, or a plug for this wall, to those at hand"});
            return;
        }
        if (hang.utilisation.over())
            advise(add(checks::fixing_overloaded,
                       {"{0}, loaded with {1}, uses its worst screw to {2} of what it holds",
                        {box_.name, quantity(plan_.loaded_mass), ratio(hang.utilisation)}},
                       ratio(hang.utilisation)),
                   hang.utilisation.is_refused()
                       ? Sentence{"A cleat under it takes its weight; its screws then only keep it to the wall"}
                       : Sentence{"Load it with {0} at most, or put a cleat under it",
                                  {quantity(plan_.loaded_mass / hang.utilisation.number())}});
        const Length passed = through() + site_.wall.lining_thickness();
        if (site_.timber() && hang.fixing->penetration < passed)
            advise(add(checks::thread_short, Severity::warning,
                       {"{0}: {1} of the screw in the stud is less than the {2} it passes through",
                        {box_.name, stock(hang.fixing->penetration), stock(passed)}},
                       stock(passed - hang.fixing->penetration)),
                   {"A longer screw: as much in the stud as before it, or more"});
    }

    void words() {
        const auto work = [&](std::string subject, Sentence title, std::string_view sum, std::vector<Term> terms,
                              Quantity result, Source source) {
            plan_.workings.push_back({std::move(subject), std::move(title), sum, std::move(terms), result, source});
        };
        const bool housed = box_.joint == BoxJoint::housing;
        std::vector<Term> across{{"outer width", quantity(box_.width), measured},
                                 {"side", quantity(box_.side), measured}};
        if (housed) {
            across.push_back({"housing", quantity(box_.housing), measured});
            across.push_back({"clearance", quantity(box_.clearance), practice});
        }
        work("shelf", {"Top, bottom and shelves of {0} are cut to", {box_.name}},
             housed ? "{0} - 2 x {1} + 2 x {2} - 2 x {3}" : "{0} - 2 x {1}", across, quantity(plan_.pieces[1].length),
             derived);
        if (box_.back == BoxBack::rebated)
            work("depth", {"The shelves between are"}, "{0} - {1}",
                 {{"board", quantity(box_.depth), measured}, {"rebate", quantity(box_.rebate), measured}},
                 quantity(box_.depth - box_.rebate), derived);
        work("diagonal", {"Square when both diagonals are"}, "sqrt({0} x {0} + {1} x {1})",
             {{"width", quantity(box_.width), measured}, {"height", quantity(box_.height), measured}},
             quantity(plan_.diagonal), derived);
        if (plan_.square)
            work("square", {"Its top stands aside by"}, "({0} x {0} - {1} x {1}) / (4 x {2})",
                 {{"rising diagonal", quantity(*box_.diagonal_rising), measured},
                  {"falling diagonal", quantity(*box_.diagonal_falling), measured},
                  {"width", quantity(box_.width), measured}},
                 quantity(plan_.square->top_moves), derived);
        work("load", {"{0} weighs, full", {box_.name}}, "{0} + {1} x {2}",
             {{"empty", quantity(plan_.mass), derived},
              {"shelves, bottom and top", count(static_cast<std::size_t>(box_.shelves + 2)), measured},
              {"on each", quantity(goods_), goods_source_}},
             quantity(plan_.loaded_mass), derived);
        if (plan_.hang.fixing && plan_.hang.utilisation.known()) {
            const auto worst = std::ranges::max_element(plan_.hang.holes, {}, &PlannedHole::utilisation);
            plan_.workings.push_back(used_working("fixing", {"Its worst screw is used to"}, worst->strength,
                                                  worst->substrate, worst->demands, plan_.hang.fixing->source));
        }
        steps();
    }

    void parts() {
        for (const BoxPart& piece : plan_.pieces)
            for (std::size_t n = 0; n < piece.number; ++n) {
                CutPart& part =
                    plan_.parts.emplace_back(board_part(box_.id, {"{0} of {1}", {piece.what, box_.name}},
                                                        piece.what == "back" ? box_.back_material : box_.material,
                                                        piece.length, piece.breadth, piece.thickness));
                part.what = piece.what;
                part.mind = {piece.mind};
                if (piece.mind == "its ends enter housings")
                    part.working = plan_.workings.front(); // how long top, bottom and shelves are
            }
        if (plan_.back_screws > 0)
            plan_.supplies.push_back(
                {KitGroup::fixings, "back screw", {"Screw that holds a back to its box"}, plan_.back_screws});
    }

    void steps() {
        Phase phase = Phase::ready;
        const auto step = [&](Sentence said, bool hold = false, int persons = 1) {
            plan_.steps.push_back({std::move(said), hold, phase, persons});
        };
        plan_.steps.push_back(detector_step());
        step({"Cut the parts by the list and mark each; the saw's kerf comes off the stock, not off the part"});
        phase = Phase::assemble;
        step({"Put it together lying down: both diagonals {0}, then glue and screw", {quantity(plan_.diagonal)}}, true);
        step({"Screw the back on all round, {0} screws: it carries the box", {count(plan_.back_screws)}});
        phase = Phase::drill;
        if (const auto& fixing = plan_.hang.fixing) {
            step({"Drill the wall: pilot {0}, tape on the bit at {1}; clearance {2} through the back",
                  {stock(fixing->hole_diameter), stock(fixing->drill_depth), stock(fixing->clearance)}});
            if (fixing->coach)
                step({"Wax or grease the coach screws, above all in hardwood; a washer under each head; drive them "
                      "with a "
                      "socket, by hand at the end"});
        }
        phase = Phase::hang;
        step({"Two lift it, {0}, onto a ledger or a jack: keep hold until one screw at the top is in",
              {quantity(plan_.mass)}},
             true, 2);
        phase = Phase::adjust;
        step({"Level it, drive the other screws, then tighten them all"});
        phase = Phase::prove;
        step({"Pull on its top and bottom: nothing may move. Heavy books go to the bottom"}, true);
    }

    const WallBox& box_;
    const WallSurvey sure_; ///< nothing hangs on a stud that is only indicated
    const WallSite site_;
    Mass goods_ = 0;
    Source goods_source_;
    BoxPlan& plan_;
};

} // namespace

BoxPlan reckon_box(const WallBox& box, const WallSite& site) {
    BoxPlan plan;
    BoxReckoner{box, site, plan}.reckon();
    return plan;
}

} // namespace yes_square
