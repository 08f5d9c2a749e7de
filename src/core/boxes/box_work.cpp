#include "core/boxes/box_work.hpp"

#include "core/boxes/box_parts.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/weigh_fixing.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/site/evenly.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

ScrewGauge gauge_of_joints(const HouseRules& rules) {
    return rules.timber == TimberSchool::en ? ScrewGauge::metric_4 : ScrewGauge::number_8;
}

/// Specific gravity that the end of a board is taken to have.
double end_gravity(const WallBox& box) {
    return std::min(0.36, properties(box.material).density.in_si() / 1000);
}

/// Works the parts of one box, one face each.
class BoxWorker {
public:
    BoxWorker(const WallBox& box, const HouseRules& rules)
        : box_{box}
        , rules_{rules.boxes}
        , screw_{joint_screw(box, rules)} {}

    void side(BoxPart& part) {
        begin(part, "inner face", "top end");
        const Length top = box_.corner == BoxCorner::over_sides ? box_.top - box_.side : box_.top;
        const bool corners = box_.corner == BoxCorner::sides_through;
        if (corners)
            let_in(part, {}, Machining::rebate, {"for the top"});
        const std::vector<Length> tops = shelf_tops(box_);
        for (std::size_t i = 0; i < tops.size(); ++i)
            let_in(part, top - tops[i], Machining::housing, {"for shelf {0}", {count(i + 1)}});
        if (corners)
            let_in(part, part.length - box_.side, Machining::rebate, {"for the bottom"});
        if (box_.corner == BoxCorner::mitred)
            mitres(part);
        strips(part);
        back(part, {});
    }

    void top_or_bottom(BoxPart& part) {
        begin(part, "inner face", "left end");
        if (box_.corner == BoxCorner::over_sides)
            for (const Length from : {box_.side / 2, part.length - box_.side / 2})
                screws(part, from, {}, {"down into a side's end"});
        if (box_.corner == BoxCorner::mitred)
            mitres(part);
        // Over the sides its ends are seen: what the back lies in stops before them.
        back(part, box_.corner == BoxCorner::over_sides ? box_.side - back_let_in(box_) : Length{});
    }

    void shelf(BoxPart& part) {
        if (box_.joint != BoxJoint::housing || box_.stop <= Length{})
            return;
        begin(part, "upper face", "left end");
        part.work.edge = "front edge";
        const Length deep = box_.housing - box_.clearance;
        for (const Length from : {Length{}, part.length - deep})
            cut(part,
                {Machining::notch, from, {}, deep, box_.stop, box_.side, 1, {"sawn out, so that its front runs on"}});
    }

private:
    static void begin(BoxPart& part, std::string_view face, std::string_view end) {
        part.work = {face, end, "back edge", part.length, part.breadth, {}};
    }
    void cut(BoxPart& part, PartCut made) const {
        if (made.kind != Machining::notch && made.kind != Machining::screw_hole && made.kind != Machining::mitre)
            made.passes = passes_for(made.depth, rules_.router_pass);
        part.work.cuts.push_back(std::move(made));
    }

    /// What a shelf, a top or a bottom enters, or the screws that go into its end.
    void let_in(BoxPart& side, Length from, Machining kind, Sentence what) const {
        if (box_.joint == BoxJoint::housing)
            cut(side, {kind, from, {}, box_.side, box_.depth - box_.stop, box_.housing, 1, std::move(what)});
        else
            screws(side, from + box_.side / 2, kind == Machining::housing ? shelf_back() : Length{}, std::move(what));
    }
    /// A shelf's back edge from that of the sides.
    Length shelf_back() const { return box_.depth - shelf_depth(box_); }
    void screws(BoxPart& part, Length from, Length back, Sentence what) const {
        for (const Length in : joint_places(back, box_.depth, rules_))
            cut(part, {Machining::screw_hole, from, in, screw_.clearance, screw_.clearance, box_.side, 1, what});
    }
    /// The screws through a side into the ends of the strips under the top and over the bottom.
    void strips(BoxPart& side) const {
        if (box_.rail_thickness <= Length{})
            return;
        // Over the sides they do not begin where the box does.
        const Length first = box_.corner == BoxCorner::over_sides ? Length{} : box_.side;
        const Length in = strip_middle(box_);
        for (const auto& [from, what] : {std::pair{first, std::string_view{"into the end of the strip under the top"}},
                                         {side.length - first - strip_breadth, "into the end of the strip over the "
                                                                               "bottom"}})
            for (const Length place : joint_places(from, from + strip_breadth, rules_))
                cut(side, {Machining::screw_hole, place, in, screw_.clearance, screw_.clearance, box_.side, 1, {what}});
    }
    void mitres(BoxPart& part) const {
        for (const Length from : {Length{}, part.length - box_.side})
            cut(part, {Machining::mitre,
                       from,
                       {},
                       box_.side,
                       part.breadth,
                       box_.side,
                       1,
                       {"45 degrees: the long side is the outer face"}});
    }
    /// @param short_of  how far before both ends it stops
    void back(BoxPart& part, Length short_of) const {
        if (box_.back == BoxBack::planted)
            return;
        const bool groove = box_.back == BoxBack::grooved;
        cut(part,
            {groove ? Machining::groove : Machining::rebate, short_of, groove ? box_.groove_in : Length{},
             part.length - 2 * short_of, groove ? box_.back_thickness : box_.rebate, back_let_in(box_), 1,
             short_of > Length{} ? Sentence{"for the back; it stops before both ends"} : Sentence{"for the back"}});
    }

    const WallBox& box_;
    const BoxRules& rules_;
    const JointScrew screw_;
};

} // namespace

Length back_let_in(const WallBox& box) {
    return box.side / 2;
}

std::vector<Length> joint_places(Length from, Length to, const BoxRules& rules) {
    const Length first = from + rules.joint_in;
    const Length last = to - rules.joint_in;
    if (last - first < rules.joint_in)
        return {from + (to - from) / 2};
    return evenly(first, last, rules.joint_every);
}

JointScrew joint_screw(const WallBox& box, const HouseRules& rules) {
    const ScrewProperties& gauge = properties(gauge_of_joints(rules));
    const Length half = Length::micrometres(500);
    const auto up = [&](double inches) {
        return half *
               static_cast<std::int64_t>(std::ceil(Length::nearest_to_inches(inches).in_mm() / half.in_mm() - 1e-9));
    };
    return {rules.boxes.joint_screw, up(gauge.diameter_in) + half, pilot_diameter(gauge, end_gravity(box)),
            Length::nearest_to_inches(gauge.head_in), std::max(Length{}, rules.boxes.joint_screw - box.side)};
}

Force joint_screw_bears(const WallBox& box, const HouseRules& rules) {
    return end_screw_bears({gauge_of_joints(rules), end_gravity(box), box.side, joint_screw(box, rules).in_end},
                           rules.timber);
}

Length strip_middle(const WallBox& box) {
    const Length from = box.back == BoxBack::rebated ? box.rebate : Length{};
    return from + box.rail_thickness / 2;
}

std::optional<EndLoad> on_strip_end(const WallBox& box, const UnitPlan& hang, const HouseRules& rules) {
    const double between = (box.width - 2 * box.side).in_metres();
    EndLoad worst;
    for (const std::size_t row : {std::size_t{0}, std::size_t{1}}) {
        std::vector<OnBeam> screws;
        for (const PlannedHole& hole : hang.holes)
            if (hole.row == row && carries(hole.substrate) && hole.substrate != Substrate::assumed_stud)
                screws.push_back({hang.inside_left(hole).in_metres() / between, hole.demands});
        const auto ends = beam_ends(screws, rules.timber);
        if (!ends)
            return std::nullopt;
        worst = std::max({worst, ends->left, ends->right});
    }
    return worst;
}

std::optional<JointGroup> joint_group(const WallBox& box, const BoxRules& rules) {
    const std::vector<Length> places = joint_places(box.depth - shelf_depth(box), box.depth, rules);
    if (places.size() < 2)
        return std::nullopt;
    const double middle = (places.front() + places.back()).in_metres() / 2;
    double spread = 0; // sum of squares, m2
    for (const Length place : places)
        spread += (place.in_metres() - middle) * (place.in_metres() - middle);
    const double out = box.depth.in_metres() - middle;
    return JointGroup{places.size(),
                      1 / static_cast<double>(places.size()) + out * (places.back().in_metres() - middle) / spread};
}

Utilisation joint_used(const WallBox& box, Force goods, Force leaning, const HouseRules& rules) {
    const auto group = joint_group(box, rules.boxes);
    if (!group)
        return Utilisation::refused();
    const auto number = static_cast<double>(group->number);
    const Force bears = joint_screw_bears(box, rules);
    return std::max(Utilisation::of(goods / number, bears),
                    Utilisation::of(goods / number + leaning * group->foremost, bears * people_share(rules.timber)));
}

void work_parts(const WallBox& box, const HouseRules& rules, std::vector<BoxPart>& parts) {
    BoxWorker worker{box, rules};
    for (BoxPart& part : parts) {
        if (part.what == "side")
            worker.side(part);
        if (part.what == "top" || part.what == "bottom")
            worker.top_or_bottom(part);
        if (part.what == "shelf")
            worker.shelf(part);
    }
}

std::size_t joint_screws(const std::vector<BoxPart>& parts) {
    std::size_t number = 0;
    for (const BoxPart& part : parts)
        number += part.number *
                  static_cast<std::size_t>(std::ranges::count(part.work.cuts, Machining::screw_hole, &PartCut::kind));
    return number;
}

} // namespace yes_square
