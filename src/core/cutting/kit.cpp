#include "core/cutting/kit.hpp"

#include "core/fitting/wall_marks.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/fixing_supplies.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

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

    void take(const Supply& supply, const std::string& whose) {
        if (supply.number > 0)
            count_in(supply.group, supply.item, supply.name, supply.number, whose);
        else
            tool(supply.item, supply.name, whose, supply.group);
    }

    void wall(const Wall& wall, const WallPlan& plan) {
        for (const WallPass& pass : walk_wall(plan, job_.rules.fitting))
            pass.drill ? bit(wall, pass) : fixings(pass);
        for_each_thing(plan, [&](const ThingPlan& thing) {
            for (const Supply& supply : thing.supplies)
                take(supply, supply.of.empty() ? thing.id : supply.of);
        });
        std::size_t nogging_screws = 0;
        for (const Nogging& nogging : plan.noggings)
            nogging_screws += 2 * nogging.screws;
        count_in(KitGroup::fixings, "nogging screw",
                 {"Screw for a nogging's ends: {0}, {1} long",
                  {std::string{properties(nogging_gauge(job_.rules.timber)).wood_screw_words},
                   stock(job_.rules.shelves.nogging_screw)}},
                 nogging_screws, wall.id);
        if (std::ranges::find(wall.lining, LiningMaterial::tile, &LiningLayer::material) != wall.lining.end())
            tool("masking tape", {"Masking tape for marks on tile"}, wall.id, KitGroup::consumables);
        const auto probes = std::ranges::count_if(
            wall.observations, [](const Observation& seen) { return seen.kind <= EvidenceKind::right_edge; });
        if (probes > 0 || !wall.trial_holes.empty())
            tool("filler", {"Filler for probe and trial holes"}, wall.id, KitGroup::consumables);
    }

    /// Of holes that are drilled; what is made has its fixing.
    void fixings(const WallPass& pass) {
        for (const WallMark& mark : pass.marks)
            if (!mark.passes.empty() && !mark.made)
                for (const Supply& supply : supplies_of(*mark.fixing, mark.screws))
                    take(supply, mark.item);
    }

    void bit(const Wall& wall, const WallPass& pass) {
        const DrillPass& drill = *pass.drill;
        const std::string& whose = pass.marks.front().item;
        tool(fmt::format("{} {:.4g} mm", drill.bit, drill.diameter.in_mm()),
             {"{0} {1}, tape on it at {2}", {drill.bit, stock(drill.diameter), stock(drill.depth)}}, whose,
             KitGroup::bits);
        if (drill.hammer)
            tool("hammer drill", {"Hammer drill, ear protection"}, whose);
        if (std::holds_alternative<Masonry>(wall.structure))
            tool("blower", {"Blower or pump for dust, vacuum cleaner"}, whose);
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

Outlay outlay_of(const Kit& kit, const CuttingPlan& cutting) {
    return {kit.price + cutting.price, kit.all_priced && cutting.all_priced};
}

Kit kit_of(const Job& job, const Plan& plan, const Scope& scope) {
    return KitPacker{job, plan, scope}.pack();
}

} // namespace yes_square
