#include "core/boxes/reckon_box.hpp"

#include "core/boxes/box_parts.hpp"
#include "core/boxes/box_steps.hpp"
#include "core/boxes/box_work.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/used_working.hpp"
#include "core/runs/hang_unit.hpp"
#include "core/shelves/verdicts.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <set>

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
        work_parts(box_, site_.rules, plan_.pieces);
        plan_.joint_screws = joint_screws(plan_.pieces);
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
        if (backed() && box_.rail_thickness > Length{} && !plan_.hang.turns)
            weigh_strips();
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
        if (box_.joint == BoxJoint::housing && box_.stop > Length{} && box_.stop >= shelf_depth(box_))
            return refuse({"Housings that stop {0} before the front edge are none: the shelves are {1} deep",
                           {quantity(box_.stop), quantity(shelf_depth(box_))}},
                          {"{0} is usual, or 0: they run through", {quantity(12_mm)}});
        if (box_.back == BoxBack::rebated && box_.rebate >= box_.depth)
            return refuse({"A rebate of {0} takes all of the depth", {quantity(box_.rebate)}},
                          {"As deep as the back is thick"});
        if (box_.back == BoxBack::grooved && shelf_depth(box_) <= Length{})
            return refuse({"A back {0} in from the wall leaves the shelves no depth", {quantity(box_.groove_in)}},
                          {"{0} is usual: room for a strip that carries the box", {quantity(18_mm)}});
        if (screwed() && joint_screw(box_, site_.rules).in_end <= Length{})
            return refuse({"Joint screws of {0} do not come through boards of {1}",
                           {stock(site_.rules.boxes.joint_screw), stock(box_.side)}},
                          {"Longer ones by the house rule, or house the shelves and let the sides run through"});
        return false;
    }

    Length inner_width() const { return box_.width - 2 * box_.side; }
    /// Some of its boards are held to one another by screws.
    bool screwed() const { return box_.joint == BoxJoint::butt || box_.corner == BoxCorner::over_sides; }
    bool grooved() const { return box_.back == BoxBack::grooved; }
    BoardMaterial made_of(const BoxPart& part) const {
        return part.what == "back" ? box_.back_material : box_.material;
    }

    void weigh() {
        for (const BoxPart& part : plan_.pieces)
            plan_.mass += static_cast<double>(part.number) * properties(made_of(part)).density * part.length *
                          part.breadth * part.thickness;
        Shelf shelf;
        shelf.left = box_.left + box_.side;
        shelf.length = inner_width();
        shelf.depth = shelf_depth(box_);
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
        if (box_.joint == BoxJoint::butt) {
            // Half of a shelf, its goods and itself, on the screws of one end; top and bottom are deeper than it.
            on_joint_ = (span.loads.goods_load + span.loads.self_load) * inner_width() / 2 *
                        (box_.depth.in_metres() / shelf.depth.in_metres());
            leans_on_joint_ = span.loads.accidental;
            plan_.joint = joint_used(box_, on_joint_, leans_on_joint_, site_.rules);
        }
    }

    std::size_t in_strip() const { return joint_places({}, strip_breadth, site_.rules.boxes).size(); }
    void weigh_strips() {
        plan_.strips = {};
        if (const auto load = on_strip_end(box_, plan_.hang, site_.rules)) {
            on_strip_ = load->counts;
            plan_.strips =
                Utilisation::of(on_strip_ / static_cast<double>(in_strip()), joint_screw_bears(box_, site_.rules));
        }
    }

    /// What a wall screw passes. A back in grooves stands off the wall: only strips behind it bear on it.
    Length through() const {
        if (grooved() && box_.rail_thickness < box_.groove_in)
            return box_.back_thickness;
        return box_.back_thickness + box_.rail_thickness;
    }
    bool stands_off() const { return grooved() && box_.rail_thickness < box_.groove_in; }
    /// The back carries the box: thick enough, held to it, and on the wall.
    bool backed() const {
        return through() > site_.rules.runs.thin_back && (box_.back_screwed || grooved()) && !stands_off();
    }

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
        if (backed())
            unit.rails = {{in, 2 * in, through()}, {box_.height - in, 2 * in, through()}};
        else
            unit.back = {};
        return unit;
    }

    void check() {
        if (stands_off())
            advise(add(checks::box_back_off_wall,
                       {"The back of {0} stands {1} off the wall, and nothing behind it bears on the wall",
                        {box_.name, quantity(box_.groove_in - box_.rail_thickness)}},
                       quantity(box_.groove_in - box_.rail_thickness)),
                   {"Strips of {0} behind it, under top and bottom, screwed to the sides", {quantity(box_.groove_in)}},
                   changed(box_, [](WallBox& b) { b.rail_thickness = b.groove_in; }));
        if (!box_.back_screwed && !grooved())
            advise(add(checks::box_back_pinned,
                       {"The back of {0} is only pinned: the box would come off it", {box_.name}}),
                   {"Screw it all round, {0} screws", {count(plan_.back_screws)}},
                   changed(box_, [](WallBox& b) { b.back_screwed = true; }));
        if (through() <= site_.rules.runs.thin_back && !grooved())
            advise(add(checks::box_back_thin,
                       {"A back of {0} holds nothing: screws pull through it", {quantity(through())}}),
                   {"Strips of {0} before it, under top and bottom", {quantity(18_mm)}},
                   changed(box_, [](WallBox& b) { b.rail_thickness = 18_mm; }));
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
        joints();
        strips();
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

    /// What boards that meet hold one another with.
    void joints() {
        const auto through = changed(box_, [](WallBox& b) { b.corner = BoxCorner::sides_through; });
        if (box_.joint == BoxJoint::housing && 2 * box_.housing > box_.side)
            add(checks::box_cannot_be_made, Severity::warning,
                {"A housing {0} deep takes more than half of a side {1} thick: the side is weak there",
                 {quantity(box_.housing), quantity(box_.side)}});
        if (box_.corner == BoxCorner::over_sides)
            advise(add(checks::box_corner_unknown,
                       {"The bottom of {0} hangs from the sides by screws in their end grain, which are not counted on "
                        "to be pulled: glue it, and keep what is heavy off it",
                        {box_.name}}),
                   {"Let the sides run through: the bottom then stands in them"}, through);
        if (box_.corner == BoxCorner::mitred)
            advise(add(checks::box_corner_unknown,
                       {"The mitres of {0} hold by glue and what is let into them, which is not reckoned: a tongue or "
                        "dowels in each, and keep what is heavy off the bottom",
                        {box_.name}}),
                   {"Let the sides run through: the bottom then stands in them"}, through);
        if (plan_.joint.over())
            advise(add(checks::box_joint_overloaded,
                       {"A shelf of {0} uses the screws in its ends to {1} of what they bear",
                        {box_.name, ratio(plan_.joint)}},
                       ratio(plan_.joint)),
                   {"House the shelves in the sides: they then stand on wood"},
                   changed(box_, [](WallBox& b) { b.joint = BoxJoint::housing; }));
    }

    /// What it hangs by is held to its sides.
    void strips() {
        if (plan_.strips.over())
            advise(
                add(checks::box_joint_overloaded,
                    {"The strips that {0} hangs by use the screws in their ends to {1} of what they bear",
                     {box_.name, ratio(plan_.strips)}},
                    ratio(plan_.strips)),
                {"A cleat under it takes its weight; or longer screws by the house rule, or a back of {0} that needs "
                 "no strips",
                 {quantity(site_.rules.runs.rail_back)}});
    }

    void fixings() {
        const UnitPlan& hang = plan_.hang;
        const auto carries_here = [](const PlannedHole& hole) {
            return hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry ||
                   hole.substrate == Substrate::nogging;
        };
        const auto sure = std::ranges::count_if(hang.holes, carries_here);
        const auto detected = std::ranges::find(hang.holes, Substrate::detected_stud, &PlannedHole::substrate);
        if (!backed())
            return;
        if (sure == 0 && detected != hang.holes.end()) {
            advise(add(checks::pilot_first,
                       {"{0}: only a detector found the studs behind it. Drill one pilot hole, at {1}, before the rest",
                        {box_.name, site_.along(detected->x)}},
                       std::nullopt, detected->x, detected->z),
                   {"Drill it and enter what it met as a probe: wood proves the stud"});
        } else if (sure == 0) {
            advise(
                add(checks::few_studs, Severity::error, {"No proved stud or masonry stands behind {0}", {box_.name}}),
                {"Prove the studs behind it with a probe, or move it to where two are"});
            return;
        }
        if (!site_.masonry() && studs_held() < 2)
            on_one_stud();
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

    /// Different studs that its screws are in.
    std::size_t studs_held() const {
        std::set<std::size_t> studs;
        for (const PlannedHole& hole : plan_.hang.holes)
            if (hole.stud && hole.substrate != Substrate::assumed_stud)
                studs.insert(*hole.stud);
        return studs.size();
    }

    /// What of goods it holds, spread out, or half of them in one half: found by halves, a kilogram near.
    Mass holds_on_one() const {
        CabinetUnit unit = unit_of();
        const auto holds = [&](Mass goods) {
            unit.loaded_mass = plan_.mass + goods;
            const UnitPlan tried =
                hang_unit({unit, RunLevel::wall, {box_.left, box_.width}, box_.bottom(), true}, site_);
            return !tried.turns && tried.fixing && tried.utilisation.known() && !tried.utilisation.over();
        };
        const Mass most = plan_.loaded_mass - plan_.mass;
        if (holds(most))
            return most;
        double least = 0;
        double over = most.in_si();
        while (over - least > 0.5) {
            const double middle = (least + over) / 2;
            (holds(Mass::si(middle)) ? least : over) = middle;
        }
        return holds(Mass::si(least)) ? Mass::si(std::floor(least)) : Mass{0};
    }

    /// Nothing but the distance between its upper and lower screws keeps it from turning: what that holds, said.
    void on_one_stud() {
        const auto hole = std::ranges::find_if(plan_.hang.holes, [](const PlannedHole& each) {
            return each.stud && each.substrate != Substrate::assumed_stud;
        });
        if (hole == plan_.hang.holes.end())
            return;
        plan_.holds = holds_on_one();
        const Length off = absolute(hole->x - (box_.left + box_.width / 2));
        Check& one =
            add(checks::few_studs, Severity::warning,
                {"{0} hangs on one stud, {1} from its middle: only its screws one above the other keep it from "
                 "turning. It holds {2}, spread out, or half of that in one half of it",
                 {box_.name, quantity(off), quantity(*plan_.holds)}},
                quantity(off), hole->x, hole->z);
        advise(one, {"Move it to where two studs are behind it"});
        if (off > Length{})
            advise(one, {"Or move it by {0}, so that the stud is behind its middle", {quantity(off)}},
                   MoveThing{box_.id, hole->x - (box_.left + box_.width / 2), {}});
        for (const Length stud : plan_.hang.out_of_reach)
            advise(one, {"The stud at {0} lies behind its edge, where no driver inside it comes: it does not count. A "
                         "cleat under the box, screwed to it and to the other, takes the weight",
                         {site_.along(stud)}});
    }

    void words() {
        const auto work = [&](std::string subject, Sentence title, std::string_view sum, std::vector<Term> terms,
                              Quantity result, Source source) {
            plan_.workings.push_back({std::move(subject), std::move(title), sum, std::move(terms), result, source});
        };
        const bool housed = box_.joint == BoxJoint::housing;
        const bool through = box_.corner == BoxCorner::sides_through;
        std::vector<Term> across{{"outer width", quantity(box_.width), measured},
                                 {"side", quantity(box_.side), measured}};
        if (housed) {
            across.push_back({"housing", quantity(box_.housing), measured});
            across.push_back({"clearance", quantity(box_.clearance), practice});
        }
        const auto between = std::ranges::find(plan_.pieces, through ? "top" : "shelf", &BoxPart::what);
        if (between != plan_.pieces.end())
            work("shelf",
                 {through ? std::string_view{"Top, bottom and shelves of {0} are cut to"}
                          : "The shelves of {0} are cut to",
                  {box_.name}},
                 housed ? "{0} - 2 x {1} + 2 x {2} - 2 x {3}" : "{0} - 2 x {1}", across, quantity(between->length),
                 derived);
        if (box_.corner == BoxCorner::over_sides)
            work("side", {"The sides stand between top and bottom"}, "{0} - 2 x {1}",
                 {{"outer height", quantity(box_.height), measured}, {"board", quantity(box_.side), measured}},
                 quantity(plan_.pieces.front().length), derived);
        if (plan_.joint.known() && !plan_.joint.is_refused())
            joint_words(work);
        if (plan_.strips.known() && !plan_.strips.is_refused() && plan_.strips.number() > 0)
            work("strips", {"Screws in the ends of its strips are used to"}, "{0} / ({1} x {2})",
                 {{"on the worst end of a strip, by the wall's screws", quantity(on_strip_), derived},
                  {"screws in one end", count(in_strip()), derived},
                  one_in_end_grain()},
                 ratio(plan_.strips), derived);
        if (grooved())
            work("depth", {"The shelves between are"}, "{0} - {1} - {2}",
                 {{"board", quantity(box_.depth), measured},
                  {"room behind the back", quantity(box_.groove_in), measured},
                  {"back", stock(box_.back_thickness), measured}},
                 quantity(shelf_depth(box_)), derived);
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
        plan_.steps = box_steps(box_, plan_, site_);
    }

    void joint_words(const auto& work) const {
        const auto group = joint_group(box_, site_.rules.boxes);
        work("joint", {"Screws in the end of a shelf are used to, goods alone or somebody leaning on it too"},
             "max({0} / ({2} x {3}), ({0} / {2} + {1} x {4}) / ({3} x {5}))",
             {{"half of a full shelf", quantity(on_joint_), derived},
              {"somebody leans on its front edge", quantity(leans_on_joint_), sources::house},
              {"screws in one end", count(group->number), derived},
              one_in_end_grain(),
              {"share of the leaning that the foremost takes", ratio(group->foremost), derived},
              {"so much more it bears for a moment", ratio(people_share(site_.rules.timber)), derived}},
             ratio(plan_.joint), derived);
    }
    Term one_in_end_grain() const {
        return {
            "one bears across itself, in end grain",
            quantity(joint_screw_bears(box_, site_.rules)),
            {Provenance::from_memory, site_.rules.timber == TimberSchool::en
                                          ? std::string_view{"EN 1995-1-1:2004 8.2.2, a third in end grain, 8.3.1.2(4)"}
                                          : "ANSI/AWC NDS-2018 12.3 and 12.5.2"}};
    }

    void parts() {
        for (const BoxPart& piece : plan_.pieces)
            for (std::size_t n = 0; n < piece.number; ++n) {
                CutPart& part =
                    plan_.parts.emplace_back(board_part(box_.id, {"{0} of {1}", {piece.what, box_.name}},
                                                        made_of(piece), piece.length, piece.breadth, piece.thickness));
                part.what = piece.what;
                part.mind = {piece.mind};
                part.work = piece.work;
                if (piece.mind == "its ends enter housings")
                    part.working = plan_.workings.front(); // how long top, bottom and shelves are
            }
        if (plan_.joint_screws > 0)
            plan_.supplies.push_back(
                {KitGroup::fixings,
                 fmt::format("joint screw {}", site_.rules.boxes.joint_screw.in_nanometres()),
                 {"Screw of {0} that joins the boards of a box", {stock(site_.rules.boxes.joint_screw)}},
                 plan_.joint_screws});
        if (plan_.back_screws > 0 && !grooved())
            plan_.supplies.push_back(
                {KitGroup::fixings, "back screw", {"Screw that holds a back to its box"}, plan_.back_screws});
    }

    const WallBox& box_;
    const WallSurvey sure_; ///< nothing hangs on a stud that is only indicated
    const WallSite site_;
    Mass goods_ = 0;
    Force on_joint_ = 0; ///< that stands between the sides on screws alone
    Force leans_on_joint_ = 0;
    Force on_strip_ = 0; ///< on the worst end of the strips it hangs by
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
