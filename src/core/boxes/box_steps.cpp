#include "core/boxes/box_steps.hpp"

#include "core/boxes/box_work.hpp"
#include "core/site/lifting.hpp"

#include <algorithm>

namespace yes_square {
namespace {

class BoxSteps {
public:
    BoxSteps(const WallBox& box, const BoxPlan& plan, const WallSite& site)
        : box_{box}
        , plan_{plan}
        , site_{site} {}

    std::vector<Step> all() {
        steps_.push_back(detector_step());
        step({"Cut the parts by the list and mark each; the saw's kerf comes off the stock, not off the part"});
        bench_work();
        phase_ = Phase::assemble;
        put_together();
        phase_ = Phase::drill;
        if (const auto& fixing = plan_.hang.fixing) {
            step({"Drill the wall: pilot {0}, tape on the bit at {1}; clearance {2} through the back",
                  {stock(fixing->hole_diameter), stock(fixing->drill_depth), stock(fixing->clearance)}});
            if (fixing->coach)
                step({"Wax or grease the coach screws, above all in hardwood; a washer under each head; drive them "
                      "with a "
                      "socket, by hand at the end"});
        }
        phase_ = Phase::hang;
        const Lift lift = lift_of(plan_.mass, (box_.bottom() + box_.top) / 2, box_.top, false, site_.rules.runs);
        steps_.push_back(lifting(
            {lift.persons() > 1 ? std::string_view{"Two lift it, {0}, onto a ledger or a jack: keep hold until one "
                                                   "screw at the top is in"}
                                : "Lift it, {0}, onto a ledger or a jack: keep hold until one screw at the top is in",
             {quantity(plan_.mass)}},
            phase_, lift, true));
        phase_ = Phase::adjust;
        step({"Level it, drive the other screws, then tighten them all"});
        phase_ = Phase::prove;
        step({"Pull on its top and bottom: nothing may move. Heavy books go to the bottom"}, true);
        return std::move(steps_);
    }

private:
    void step(Sentence said, bool hold = false, int persons = 1) {
        steps_.push_back({std::move(said), hold, phase_, persons});
    }
    bool grooved() const { return box_.back == BoxBack::grooved; }

    /// What is routed, sawn and drilled before anything is put together.
    void bench_work() {
        const auto has = [&](Machining kind) {
            return std::ranges::any_of(plan_.pieces, [&](const BoxPart& part) {
                return std::ranges::find(part.work.cuts, kind, &PartCut::kind) != part.work.cuts.end();
            });
        };
        if (has(Machining::housing) || has(Machining::rebate) || has(Machining::groove) || has(Machining::notch))
            step({"Mark the inner face and the back edge of each part: sides are a pair, not two alike. Rout by the "
                  "schedule, a pass at a time; try each width in an offcut first"});
        if (has(Machining::mitre))
            step({"Mitre the ends at 45 degrees; try four offcuts in a square before the first part"});
        if (has(Machining::screw_hole)) {
            const JointScrew screw = joint_screw(box_, site_.rules);
            step({"Drill the joints by the schedule: {0} through, countersunk {1}; pilot {2} into the end, {3} deep",
                  {stock(screw.clearance), stock(screw.countersink), stock(screw.pilot), stock(screw.in_end)}});
        }
    }

    void put_together() {
        step({"Put it together dry, lying on its front: everything seats, and both diagonals are {0}",
              {quantity(plan_.diagonal)}});
        if (box_.joint == BoxJoint::housing && box_.shelves > 0)
            step({"Glue the shelves into one side, from the middle outwards, then the other side onto all of them"});
        else if (box_.shelves > 0)
            step({"Glue and screw the shelves to one side, then the other side onto them"});
        if (grooved())
            step({"Slide the back into its grooves, dry, before the last board goes on"});
        if (box_.corner == BoxCorner::over_sides)
            step({"Glue top and bottom onto the sides' ends and screw them down"});
        else if (box_.corner == BoxCorner::mitred)
            step({"Glue the mitres, a tongue or dowels in each, and pull them tight with bands"});
        else if (box_.joint == BoxJoint::butt)
            step({"Glue and screw top and bottom between the sides"});
        step({"Clamp it and measure both diagonals: {0} each. A clamp along the longer one pulls it square; leave it "
              "so until the glue holds",
              {quantity(plan_.diagonal)}},
             true);
        if (!grooved() && box_.rail_thickness > Length{})
            step({"Glue and screw the strips under the top and over the bottom to the sides: they carry the box"});
        if (!grooved())
            step({"Screw the back on all round, {0} screws: it carries the box", {count(plan_.back_screws)}});
        else if (box_.rail_thickness > Length{})
            step({"Glue and screw the strips behind the back to the sides: they carry the box"});
    }

    const WallBox& box_;
    const BoxPlan& plan_;
    const WallSite& site_;
    Phase phase_ = Phase::ready;
    std::vector<Step> steps_;
};

} // namespace

std::vector<Step> box_steps(const WallBox& box, const BoxPlan& plan, const WallSite& site) {
    return BoxSteps{box, plan, site}.all();
}

} // namespace yes_square
