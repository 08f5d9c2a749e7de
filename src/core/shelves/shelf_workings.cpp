#include "core/shelves/shelf_workings.hpp"

#include "core/shelves/fix_place.hpp"

#include "core/shelves/way.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/packing.hpp"

#include "core/fixings/used_working.hpp"
#include "core/shelves/layouts.hpp"
#include "core/shelves/plate.hpp"

#include <fmt/format.h>

namespace yes_square {
namespace {

using sources::derived;
using sources::house;
using sources::measured;
using sources::practice;
constexpr Source beam_source{Provenance::derived, "continuous beam, worst spans loaded"};

std::string numbered(std::string_view stem, std::size_t index) {
    return fmt::format("{}/{}", stem, index + 1);
}

std::string_view word(Substrate substrate) {
    switch (substrate) {
    case Substrate::masonry:
        return "in masonry";
    case Substrate::proved_stud:
        return "in a proved stud";
    case Substrate::joist:
        return "from a ceiling joist";
    case Substrate::floor:
        return "on the floor";
    case Substrate::side_wall:
        return "on the side wall";
    case Substrate::nogging:
        return "in a nogging";
    case Substrate::detected_stud:
        return "in a detected stud";
    case Substrate::indicated_stud:
        return "in an indicated stud";
    case Substrate::assumed_stud:
        return "in an assumed stud";
    case Substrate::lining:
        return "in the lining alone";
    }
    return {};
}

class Workings {
public:
    Workings(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan)
        : shelf_{shelf}
        , site_{site}
        , plan_{plan} {}

    std::vector<Working> all() {
        load();
        if (way_of(shelf_).chooses_bracket())
            arm();
        level();
        spacing();
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i) {
            place(i);
            if (plan_.bracket)
                reaction(i);
            fixing(i);
            rating(i);
        }
        for (const CleatPlan& cleat : plan_.cleats)
            strip(cleat);
        heights();
        pieces();
        back_edge();
        sag();
        shelf_screw();
        return std::move(workings_);
    }

private:
    void add(Working working) { workings_.push_back(std::move(working)); }

    void load() {
        const ShelfLoads loads = loads_of(shelf_, site_.rules);
        if (const auto whole = way_of(shelf_).whole(shelf_)) {
            add({"load",
                 {"What hangs on it"},
                 "{0} + {1}",
                 {{"the thing itself", quantity(whole->mass), {Provenance::maker}},
                  {"what is in it", quantity(whole->contents_mass), measured}},
                 quantity(whole->mass + whole->contents_mass),
                 derived});
            return;
        }
        for (const Goods& goods : shelf_.goods) {
            Working working{"goods/" + goods.name,
                            {"{0}, at {1} of the shelf", {goods.name, quantity(goods.from)}},
                            "{0}",
                            {{"mass", quantity(goods.mass), measured}},
                            quantity(goods.mass),
                            measured};
            if (const Length along = goods.to - goods.from; along > Length{}) {
                working.title = {"{0}, from {1} to {2} of the shelf",
                                 {goods.name, quantity(goods.from), quantity(goods.to)}};
                working.sum = "{0} / ({1} - {2})";
                working.terms.push_back({"to", quantity(goods.to), measured});
                working.terms.push_back({"from", quantity(goods.from), measured});
                working.result = quantity(goods.mass / along);
            }
            add(std::move(working));
        }
        add({"load",
             {"Load on the shelf"},
             "{0} + {1}",
             {{"goods", quantity(loads.goods_load), loads.goods_source},
              {"the board itself", quantity(loads.self_load), practice}},
             quantity(loads.goods_load + loads.self_load),
             derived});
    }

    void arm() {
        Working working{"arm",
                        {"Arm of the bracket: at least"},
                        "{0} x {1}",
                        {{"depth", quantity(shelf_.depth), measured},
                         {"least share", ratio(site_.rules.arm_least_share), practice}},
                        quantity(plan_.arm_least),
                        practice};
        working.facts = {
            {"At most {0}: set back by {1}", {quantity(plan_.arm_most), quantity(shelf_.depth - plan_.arm_most)}},
            {"This one: {0}", {quantity(plan_.bracket->arm)}}};
        add(std::move(working));
    }

    void level() {
        add({"level",
             {"Level line under the shelf: tops of the brackets"},
             "{0} - {1}",
             {{"top of the shelf", quantity(shelf_.height), measured}, {"board", quantity(shelf_.thickness), measured}},
             quantity(shelf_.underside()),
             derived});
        above_floor_now("level-left", "at its left end", shelf_.left);
        above_floor_now("level-right", "at its right end", shelf_.right());
    }

    /// What the tape shows today, before the floor is finished.
    void above_floor_now(std::string_view subject, std::string_view where, Length x) {
        const FloorProfile& floor = site_.survey.floor;
        if (!floor.measured() && floor.build_up == Length{})
            return;
        const Length now = floor.above_floor_now(x, {});
        add({std::string{subject},
             {"Level line above the floor as it is now, {0}", {where}},
             "{0} + {1} + {2}",
             {{"above the finished floor", quantity(shelf_.underside()), derived},
              {"floor still to be laid", quantity(floor.build_up), measured},
              {"floor below its high point here", quantity(now - floor.build_up), measured}},
             quantity(shelf_.underside() + now),
             derived});
    }

    void spacing() {
        const auto& places = plan_.brackets;
        if (places.size() < 2 || plan_.alternatives.empty() ||
            plan_.alternatives[plan_.chosen].layout.merits.unevenness_mm2 > 0)
            return;
        add({"spacing",
             {"Even spaces"},
             "({0} - {1} - {2}) / {3}",
             {{"shelf", quantity(shelf_.length), measured},
              {"left overhang", quantity(plan_.left_overhang), practice},
              {"right overhang", quantity(plan_.right_overhang), practice},
              {"spaces", count(places.size() - 1), derived}},
             quantity((places.back().x - places.front().x) / static_cast<std::int64_t>(places.size() - 1)),
             practice});
    }

    void place(std::size_t i) {
        const BracketPlan& place = plan_.brackets[i];
        Working working{numbered("bracket", i),
                        {"Bracket {0}, {1}: centre from the reference end", {count(i + 1), word(place.substrate)}},
                        by_tape(site_.tape, "{0} + {1}", "{0} - {1}"),
                        {{"shelf's left end", site_.along(shelf_.left), measured},
                         {"from its left end", quantity(place.x - shelf_.left), derived}},
                        site_.along(place.x),
                        derived};
        if (place.stud) {
            const Stud& stud = site_.survey.studs[*place.stud];
            working.terms.push_back({"stud's centre", site_.along(stud.centre), measured});
            working.terms.push_back({"known to", fine(stud.uncertainty.in_metres()), measured});
        }
        add(std::move(working));
    }

    void reaction(std::size_t i) {
        const Reaction& reaction = plan_.brackets[i].reaction;
        Working working{numbered("reaction", i),
                        {"Bracket {0} carries at worst", {count(i + 1)}},
                        "{0} + {1}",
                        {{"worst spans loaded, lining brackets left out", quantity(reaction.sustained), beam_source},
                         {"somebody leaning on the edge where it is worst for it",
                          quantity(reaction.greatest - reaction.sustained), house}},
                        quantity(reaction.greatest),
                        beam_source};
        working.facts = {{"everything loaded: {0}", {quantity(reaction.all_loaded)}},
                         {"least: {0}", {quantity(reaction.least)}}};
        add(std::move(working));
    }

    void fixing(std::size_t i) {
        const BracketPlan& place = plan_.brackets[i];
        if (!place.fixing || place.substrate == Substrate::side_wall)
            return; // a strip has a sum of its own
        const PlannedHole* worst = nullptr;
        for (const PlannedHole& hole : plan_.holes)
            if (hole.place == i && (!worst || hole.utilisation > worst->utilisation))
                worst = &hole;
        const Fixing& fixing = worst && worst->fixing ? *worst->fixing : *place.fixing;
        std::vector<HoleDemand> of_hanger;
        for (const auto& row : place.row_demands)
            of_hanger.insert(of_hanger.end(), row.begin(), row.end());
        Working working = used_working(
            numbered("fixing", i),
            {place.hanger ? std::string_view{"Fixing of hanger {0}: {1}, {2}"} : "Fixing of bracket {0}: {1}, {2}",
             {count(i + 1), fixing.name, stock(fixing.screw_length)}},
            worst ? worst->strength : fixing.strength(), place.hanger ? ground_over(place.substrate) : place.substrate,
            worst ? worst->demands : of_hanger, fixing.source);
        auto& facts = working.facts;
        if (place.hanger)
            facts.push_back({"It passes {0} of the hanger's plate and {1} of the block over it; {2} of it holds",
                             {stock(shelf_.hanger.plate), stock(shelf_.hanger_spacer), stock(fixing.penetration)}});
        else
            facts.push_back({"It passes {0} of what is screwed on and {1} of lining; {2} of it holds",
                             {stock(way_of(shelf_).screwed_on(shelf_, plan_)), stock(site_.wall.lining_thickness()),
                              stock(fixing.penetration)}});
        if (fixing.thread > Length{})
            facts.push_back({"thread that grips: {0}", {stock(fixing.thread)}});
        for (const LoadCase& load : place.loads)
            facts.push_back({"{0}: {1} down, a moment of {2} off the wall",
                             {load.when, quantity(load.down), quantity(load.moment)}});
        add(std::move(working));
    }

    void rating(std::size_t i) {
        const BracketPlan& place = plan_.brackets[i];
        if (!place.bracket_utilisation.known() || !plan_.bracket)
            return;
        const Bracket& bracket = *plan_.bracket;
        const bool of_pair = !place.hanger && bracket.rated_per_pair;
        Working working{numbered("rating", i),
                        {place.hanger ? std::string_view{"Hanger {0} itself: share of its rating"}
                                      : "Bracket {0} itself: share of its rating",
                         {count(i + 1)}},
                        of_pair ? "{0} / ({1} / 2)" : "{0} / {1}",
                        {{"carries", quantity(place.reaction.greatest), beam_source},
                         {of_pair ? "rating of a pair" : "rating",
                          quantity(place.hanger ? *shelf_.hanger_rating : *bracket.rating),
                          {Provenance::maker}}},
                        ratio(place.bracket_utilisation),
                        derived};
        const FigureBasis basis = place.hanger ? shelf_.hanger_basis : bracket.basis;
        if (const double divisor = basis_divisor(basis, false); divisor > 1) {
            working.sum = of_pair ? "{0} / ({1} / 2 / {2})" : "{0} / ({1} / {2})";
            working.terms.push_back({"for what the packet calls it", ratio(divisor), {Provenance::house_rule}});
        }
        add(std::move(working));
    }

    /// Of the holes at one place: those at the others are as high.
    void heights() {
        if (plan_.bracket) {
            const auto first = std::ranges::find_if(
                plan_.holes, [&](const PlannedHole& hole) { return plan_.brackets[hole.place].is_bracket(); });
            for (auto at = first; at != plan_.holes.end() && at->place == first->place; ++at) {
                const PlannedHole& hole = *at;
                const std::size_t rows = plan_.bracket->hole_drops.size();
                const auto tier = static_cast<int>(hole.row / rows);
                Working working{numbered("hole", hole.row),
                                {"Height of hole {0} at every place", {count(hole.row + 1)}},
                                "{0} - {1}",
                                {{"underside of the board", quantity(shelf_.top_of(tier) - shelf_.thickness), derived},
                                 {"hole below that", quantity(plan_.bracket->hole_drops[hole.row % rows]), measured}},
                                quantity(hole.z),
                                derived};
                if (plan_.leg_over != Length{}) {
                    working.sum = "{0} - {1} + {2}";
                    working.terms[1].name = "hole below the top of what stands there";
                    working.terms.push_back({"that top over the underside", quantity(plan_.leg_over), derived});
                }
                add(std::move(working));
            }
            return;
        }
        const HungPlate hung = plate_of(shelf_);
        if (!hung.plate)
            return;
        for (std::size_t i = 0; i < plan_.holes.size(); ++i)
            add({numbered("hole", i),
                 {"Hole {0}, {1}: {2} from the reference end and this high",
                  {count(i + 1), word(plan_.brackets[i].substrate), site_.along(plan_.holes[i].x)}},
                 "{0} - {1}",
                 {{"top edge", quantity(hung.top), derived},
                  {"hole below it", quantity(hung.plate->holes[i].down), measured}},
                 quantity(plan_.holes[i].z),
                 derived});
    }

    void strip(const CleatPlan& cleat) {
        if (!cleat.fixing)
            return;
        Working working = used_working("cleat/" + std::string{cleat.wall},
                                       {"The {0} strip, {1} long, {2} screws: its worst is used to",
                                        {cleat.wall, quantity(cleat.length), count(cleat.screws)}},
                                       cleat.fixing->strength(), cleat.substrate, cleat.loads, cleat.fixing->source);
        working.facts.push_back({"The strip carries {0}", {quantity(cleat.load)}});
        add(std::move(working));
    }

    void pieces() {
        for (std::size_t i = 0; i < plan_.pieces.size(); ++i) {
            const BoardPiece& piece = plan_.pieces[i];
            Working working{numbered("board", i),
                            {"Board {0}, cut to", {count(i + 1)}},
                            by_tape(site_.tape, "{0} - {1}", "{1} - {0}"),
                            {{"its right end, from the reference end", site_.along(piece.left + piece.back), derived},
                             {"its left end", site_.along(piece.left), derived}},
                            quantity(piece.back),
                            derived};
            if (piece.front != piece.back)
                working.terms.push_back({"at its front", quantity(piece.front), derived});
            add(std::move(working));
        }
    }

    /// What the wall takes off the board's back edge where it bows, or packs behind its brackets where it is hollow.
    void back_edge() {
        const FaceProfile& face = site_.survey.face;
        if (!face.measured())
            return;
        Working working = packing_working(
            "scribe",
            {"Most room between the wall and a straight back edge: leave it on to scribe, or pack the brackets"}, face,
            *face.deepest_between(shelf_.left, shelf_.right(), shelf_.underside()), site_.tape);
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i)
            working.terms.push_back({"packing behind a bracket, left to right",
                                     fine(face.shim_at(plan_.brackets[i].x, shelf_.underside())->in_metres()),
                                     derived});
        add(std::move(working));
    }

    void sag() {
        if (!plan_.sag)
            return;
        const BoardProperties& board = properties(shelf_.material);
        Working working{
            "sag",
            {"Sag in time; the limit is {0}", {fine(plan_.sag->limit)}},
            "{0} x (1 + {1})",
            {{"at once", fine(plan_.sag->instantaneous), beam_source},
             {"creep", ratio(creep_factor(shelf_, site_.service_class)), board.kdef_source},
             {"modulus", quantity(board.modulus), board.modulus_source},
             {"stiffness EI", quantity(way_of(shelf_).section(shelf_).stiffness), derived},
             {plan_.sag->overhang ? "twice the overhang" : "span", quantity(Length::nearest_to_metres(plan_.sag->span)),
              derived},
             {"limit: span divided by", count(static_cast<std::size_t>(divisor(site_.rules.sag_limit))), practice}},
            fine(plan_.sag->long_term),
            {Provenance::from_memory, "EN 1995-1-1 2.2.3"}};
        const Section section = way_of(shelf_).section(shelf_);
        if (shelf_.hollow && way_of(shelf_).is_board()) {
            working.facts.push_back(
                {"Hollow: skins of {0} glued on strips of {1} in front and {2} behind, by the "
                 "transformed section",
                 {stock(shelf_.hollow->skin), stock(shelf_.hollow->front), stock(shelf_.hollow->back)}});
            if (section.shear > 0)
                working.facts.push_back(
                    {"what joins the skins gives too: GA {0}, taken off the stiffness", {quantity(section.shear)}});
        }
        if (!shelf_.cut_outs.empty() && way_of(shelf_).is_board())
            working.facts.push_back({"Cut-outs leave {0} of {1}: reckoned as if it were so all along",
                                     {quantity(least_left(shelf_.cut_outs, Length{}, shelf_.board_depth())),
                                      quantity(shelf_.board_depth())}});
        if (plan_.back_held)
            working.facts.push_back({"its back lies on its strip, so that it sags {0} times what it would without",
                                     {ratio(*plan_.back_held)}});
        add(std::move(working));
    }

    void shelf_screw() {
        if (!plan_.shelf_screw)
            return;
        Working working{"shelf-screw",
                        {"Screw up into the shelf: at most"},
                        "{0} + {1} - {2}",
                        {{"board", stock(shelf_.thickness), measured},
                         {"bracket", stock(plan_.bracket->thickness), measured},
                         {"left over the point", stock(site_.rules.shelf_screw_margin), house}},
                        stock(shelf_.thickness + plan_.bracket->thickness - site_.rules.shelf_screw_margin),
                        practice};
        working.facts = {{"The longest of those at hand: {0}", {stock(*plan_.shelf_screw)}}};
        add(std::move(working));
    }

    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfPlan& plan_;
    std::vector<Working> workings_;
};

} // namespace

std::vector<Working> workings_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    return Workings{shelf, site, plan}.all();
}

} // namespace yes_square
