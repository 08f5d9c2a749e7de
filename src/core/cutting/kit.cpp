#include "core/cutting/kit.hpp"

#include "core/feeds/lead.hpp"
#include "core/fitting/wall_marks.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr std::size_t pins_of_shelf = 4;

class KitPacker {
public:
    KitPacker(const Job& job, const Plan& plan, const Scope& scope)
        : job_{job}
        , plan_{plan}
        , scope_{scope} {}

    Kit pack() {
        for (std::size_t w = 0; w < job_.walls.size() && w < plan_.walls.size(); ++w)
            if (scope_.takes(job_.walls[w]))
                wall(job_.walls[w], *plan_.walls[w]);
        if (!lines_.empty())
            usual_tools();
        supply();
        std::ranges::stable_sort(lines_, std::less{}, &KitLine::group);
        kit_.lines = std::move(lines_);
        return std::move(kit_);
    }

private:
    KitLine& line(KitGroup group, std::string item, Sentence name) {
        const auto known = std::ranges::find(lines_, item, &KitLine::item);
        if (known != lines_.end())
            return *known;
        KitLine& added = lines_.emplace_back();
        added.group = group;
        added.item = std::move(item);
        added.name = std::move(name);
        return added;
    }
    void add(KitLine& to, std::size_t number, const std::string& item) {
        to.wanted += number;
        if (std::ranges::find(to.for_items, item) == to.for_items.end())
            to.for_items.push_back(item);
    }
    void count_in(KitGroup group, std::string item, Sentence name, std::size_t number, const std::string& whose) {
        if (number > 0)
            add(line(group, std::move(item), std::move(name)), number, whose);
    }
    void tool(std::string item, Sentence name, const std::string& whose, KitGroup group = KitGroup::tools) {
        KitLine& of = line(group, std::move(item), std::move(name));
        add(of, 0, whose);
        of.wanted = 1;
    }

    void fixing(const Fixing& fixing, std::size_t number, const std::string& whose) {
        count_in(KitGroup::fixings, fmt::format("{} {:.4g} mm", fixing.name, fixing.screw_length.in_mm()),
                 {"{0}, {1} long", {fixing.name, stock(fixing.screw_length)}}, number, whose);
        if (fixing.coach) {
            tool("socket", {"Socket for coach screws, and a ratchet"}, whose);
            tool("wax", {"Wax or grease for coach screws"}, whose, KitGroup::consumables);
            count_in(KitGroup::fixings, "washer", {"Washer under each coach screw's head"}, number, whose);
        }
    }
    void screw(Length length, std::string_view what, std::size_t number, const std::string& whose) {
        count_in(KitGroup::fixings, fmt::format("{} {:.4g} mm", what, length.in_mm()),
                 {"{0}, {1} long", {what, stock(length)}}, number, whose);
    }

    void wall(const Wall& wall, const WallPlan& plan) {
        for (const WallPass& pass : walk_wall(wall, plan, job_.rules.fitting)) {
            for (const WallMark& mark : pass.marks)
                if (!pass.drill && mark.kind == MarkKind::hole && mark.fixing && carries(mark.hold) && !mark.made)
                    fixing(*mark.fixing, mark.screws, mark.item);
            if (!pass.drill)
                continue;
            const DrillPass& drill = *pass.drill;
            tool(fmt::format("{} {:.4g} mm", drill.bit, drill.diameter.in_mm()),
                 {"{0} {1}, tape on it at {2}", {drill.bit, stock(drill.diameter), stock(drill.depth)}},
                 pass.marks.front().item, KitGroup::bits);
            if (drill.hammer)
                tool("hammer drill", {"Hammer drill, ear protection"}, pass.marks.front().item);
            if (std::holds_alternative<Masonry>(wall.structure))
                tool("blower", {"Blower or pump for dust, vacuum cleaner"}, pass.marks.front().item);
        }
        for (std::size_t i = 0; i < plan.shelves.size(); ++i)
            shelf(wall.shelves[i], plan.shelves[i]);
        for (std::size_t i = 0; i < plan.runs.size(); ++i)
            run(wall.runs[i], plan.runs[i]);
        for (std::size_t i = 0; i < plan.systems.size(); ++i)
            system(wall.systems[i], plan.systems[i]);
        for (std::size_t i = 0; i < plan.pieces.size(); ++i)
            piece(wall.pieces[i], plan.pieces[i]);
        for (const BoxPlan& box : plan.boxes)
            count_in(KitGroup::fixings, "back screw", {"Screw that holds a back to its box"}, box.back_screws, box.id);
        count_in(KitGroup::fixings, "nogging screw", {"Screw for a nogging's ends, two at each: #10, 75 mm or 3 in"},
                 4 * plan.noggings.size(), wall.id);
        for (const FeedPlan& feed : plan.feeds)
            this->feed(feed);
        if (std::ranges::find(wall.lining, LiningMaterial::tile, &LiningLayer::material) != wall.lining.end())
            tool("masking tape", {"Masking tape for marks on tile"}, wall.id, KitGroup::consumables);
        const auto probes = std::ranges::count_if(
            wall.observations, [](const Observation& seen) { return seen.kind <= EvidenceKind::right_edge; });
        if (probes > 0 || !wall.trial_holes.empty())
            tool("filler", {"Filler for probe and trial holes"}, wall.id, KitGroup::consumables);
    }

    void shelf(const Shelf& shelf, const ShelfPlan& plan) {
        const auto places = plan.brackets.size();
        if (plan.bracket && !plan.bracket->id.empty() && !shelf.held<OnHiddenRods>())
            count_in(KitGroup::hardware, plan.bracket->id, {"Bracket: {0}", {plan.bracket->name}},
                     places * (plan.one_leg ? 1 : static_cast<std::size_t>(shelf.tiers)), shelf.id);
        if (const auto* rods = shelf.held<OnHiddenRods>()) {
            count_in(KitGroup::hardware, fmt::format("rod {:.4g} mm", rods->diameter.in_mm()),
                     {"Steel rod {0} thick, {1} long", {stock(rods->diameter), stock(rods->in_wall + rods->in_shelf)}},
                     places, shelf.id);
            if (rods->resin)
                tool("resin", {"Resin, its gun and nozzles"}, shelf.id, KitGroup::consumables);
        }
        if (const auto* standards = shelf.held<OnStandards>())
            count_in(KitGroup::hardware, fmt::format("upright {:.4g} mm", standards->standard.in_mm()),
                     {"Slotted upright, {0} long", {stock(standards->standard)}}, places, shelf.id);
        if (const auto* rail = shelf.held<HookRail>())
            count_in(KitGroup::hardware, "hook", {"Hook"}, static_cast<std::size_t>(rail->hooks), shelf.id);
        if (plan.shelf_screw)
            screw(*plan.shelf_screw, "Screw up into a shelf", 2 * places * static_cast<std::size_t>(shelf.tiers),
                  shelf.id);
        for (const CleatPlan& cleat : plan.cleats)
            if (cleat.fixing && !cleat.on_this_wall) // those of this wall are among its holes
                fixing(*cleat.fixing, cleat.screws, shelf.id);
        for (const BracketPlan& place : plan.brackets) {
            if (place.hanger) {
                count_in(KitGroup::hardware, "hanger", {"Hanger from a ceiling joist"}, 1, shelf.id);
                if (place.fixing)
                    fixing(*place.fixing, 1, shelf.id);
            }
        }
        steadied(shelf, plan);
        if (const auto* pole = shelf.held<Pole>(); pole)
            count_in(KitGroup::hardware, "pole bracket", {"Pole bracket"}, places, shelf.id);
    }

    /// Places in the lining alone steady a shelf: they want an anchor that grips it.
    void steadied(const Shelf& shelf, const ShelfPlan& plan) {
        const auto number = static_cast<std::size_t>(std::ranges::count_if(
            plan.holes, [&](const Hole& hole) { return plan.brackets[hole.bracket].hold == Hold::lining; }));
        const auto& anchors = job_.catalogue.lining_anchors;
        if (number > 0 && plan.bracket) // a plate's hole with nothing behind it is left empty
            count_in(KitGroup::fixings, anchors.empty() ? std::string{"lining anchor"} : anchors.front().id,
                     {"{0}: it steadies, never carries",
                      {anchors.empty() ? std::string{"Anchor for the lining"} : anchors.front().name}},
                     number, shelf.id);
    }

    void run(const Run& run, const RunPlan& plan) {
        for (const JoinScrew& join : plan.joins)
            if (join.length)
                screw(*join.length, "Screw that joins two units", 2, run.id);
        bool lifts = false;
        for (std::size_t i = 0; i < plan.units.size(); ++i) {
            lifts = lifts || (run.level == RunLevel::wall && plan.units[i].lift_kg > job_.rules.runs.lift_alone_kg);
            count_in(KitGroup::hardware, "hook bracket", {"Hook bracket or rail hook, two to a unit"},
                     plan.units[i].hook_load_n ? 2U : 0U, run.units[i].id);
        }
        if (!plan.units.empty()) {
            tool("clamps", {"Clamps, two"}, run.id);
            tool("straightedge", {"Straight edge, as long as the run's longest three units"}, run.id);
            tool("shims", {"Shims, a bag"}, run.id, KitGroup::consumables);
        }
        if (lifts)
            tool("jack", {"Cabinet jack, or a temporary ledger and a helper"}, run.id);
        for (const RunPiece& piece : plan.pieces)
            if (piece.what == RunPiece::What::worktop) {
                tool("sealant", {"Sealant"}, run.id, KitGroup::consumables);
                count_in(KitGroup::fixings, "worktop screw",
                         {"Screw up into a worktop, shorter than it and the unit's rail together"}, piece.screws,
                         run.id);
            }
    }

    void system(const StorageSystem& system, const SystemPlan& plan) {
        std::size_t cups = 0;
        std::size_t pins = 0;
        std::size_t fixed = 0;
        for (const BayPlan& bay : plan.bays) {
            cups += 2 * bay.rods.size();
            for (const BayShelf& shelf : bay.shelves)
                ++(shelf.what == ShelfOfBay::loose ? pins : fixed);
        }
        pins *= pins_of_shelf;
        count_in(KitGroup::hardware, "rod cup", {"Cup for a rod's end"}, cups, system.id);
        count_in(KitGroup::hardware, "shelf pin", {"Shelf pin"}, pins, system.id);
        count_in(KitGroup::fixings, "panel screw",
                 {"Screw through a panel into a shelf's end: as long as the panel is thick and {0} more",
                  {stock(job_.rules.storage.panel_screw_grip)}},
                 2 * fixed * static_cast<std::size_t>(job_.rules.storage.panel_screws), system.id);
        if (!plan.bays.empty())
            tool("prop", {"Batten to prop a panel, a mat for its foot"}, system.id);
    }

    void piece(const Piece& piece, const PiecePlan& plan) {
        const std::size_t places = plan.places.size();
        if (piece.restraint.kind == RestraintKind::straps)
            count_in(KitGroup::hardware, "strap", {"Tipping strap"}, places, piece.id);
        if (piece.restraint.kind == RestraintKind::top_brackets)
            count_in(KitGroup::hardware, "angle bracket", {"Angle bracket"}, places, piece.id);
        count_in(KitGroup::fixings, "frame screw", {"Screw #8 or thicker, frame to cleat"}, plan.frame_screws,
                 piece.id);
    }

    void feed(const FeedPlan& feed) {
        if (!feed.lead)
            return;
        const std::string lead{properties(feed.leads[*feed.lead].conductor).words};
        tool("lead " + lead, {"Lead {0}: {1} in all", {lead, quantity(feed.near_lead + feed.far_lead + feed.length())}},
             feed.id, KitGroup::hardware);
        count_in(KitGroup::hardware, fmt::format("driver {:.0f} W", std::ceil(feed.driver_watts)),
                 {"Driver of {0} or more", {Quantity{Kind::power, feed.driver_watts}}},
                 static_cast<std::size_t>(feed.drivers), feed.id);
    }

    void usual_tools() {
        const std::string job;
        tool("tape", {"Tape, pencil, square"}, job);
        tool("level", {"Long level and a short one, plumb line"}, job);
        tool("detector", {"Detector for cables, pipes and studs"}, job);
        tool("driver", {"Driver and bits"}, job);
        tool("glasses", {"Glasses, mask, steps or a platform"}, job);
    }

    void supply() {
        const CutRules& rules = job_.rules.cutting;
        for (KitLine& each : lines_) {
            if (each.group == KitGroup::fixings)
                each.spares = std::max(
                    static_cast<std::size_t>(rules.spare_least),
                    static_cast<std::size_t>(std::ceil(static_cast<double>(each.wanted) * rules.spare_share - 1e-9)));
            const auto known = std::ranges::find(job_.catalogue.supplies, each.item, &KitSupply::item);
            std::optional<double> price;
            if (known != job_.catalogue.supplies.end()) {
                each.pack = known->pack;
                each.on_hand = static_cast<std::size_t>(known->on_hand);
                price = known->price;
            }
            const bool bought = each.group != KitGroup::tools && each.group != KitGroup::bits;
            if (!bought)
                continue;
            const std::size_t lacking = each.total() > each.on_hand ? each.total() - each.on_hand : 0;
            const auto pack = static_cast<std::size_t>(std::max(1, each.pack));
            each.packs = (lacking + pack - 1) / pack;
            if (price)
                each.price = *price * static_cast<double>(each.packs);
            kit_.price += each.price.value_or(0);
            kit_.all_priced = kit_.all_priced && (each.price || each.packs == 0);
        }
    }

    const Job& job_;
    const Plan& plan_;
    const Scope& scope_;
    std::vector<KitLine> lines_;
    Kit kit_;
};

} // namespace

std::string_view words(KitGroup group) {
    switch (group) {
    case KitGroup::fixings:
        return "fixings";
    case KitGroup::hardware:
        return "hardware";
    case KitGroup::bits:
        return "bits";
    case KitGroup::tools:
        return "tools";
    case KitGroup::consumables:
        return "used up";
    }
    return {};
}

Kit kit_of(const Job& job, const Plan& plan, const Scope& scope) {
    return KitPacker{job, plan, scope}.pack();
}

} // namespace yes_square
