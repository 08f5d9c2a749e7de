#include "core/lines/room_lines.hpp"

#include "core/lines/solve_lines.hpp"

#include <algorithm>
#include <array>
#include <map>

namespace yes_square {
namespace {

constexpr Source of_unit{Provenance::maker, "the unit's or appliance's own size"};
constexpr Source of_room{Provenance::house_rule, "the room's own relation"};
constexpr Source by_hand{Provenance::house_rule, "pulled there by hand"};
using sources::derived;

std::string_view usual_name(std::string_view id) {
    static constexpr std::array<std::pair<std::string_view, std::string_view>, 10> names{
        {{line_id::plinth, "Plinth"},
         {line_id::carcass, "Base carcass top"},
         {line_id::worktop, "Worktop"},
         {line_id::wall_bottom, "Wall unit bottom"},
         {line_id::wall_top, "Wall unit top"},
         {line_id::tall_top, "Tall unit top"},
         {line_id::over_cooling, "Over the cooling appliance"},
         {line_id::hood, "Hood"},
         {line_id::hooks, "Hook brackets"},
         {line_id::rail, "Suspension rail"}}};
    const auto found = std::ranges::find(names, id, &std::pair<std::string_view, std::string_view>::first);
    return found == names.end() ? id : found->second;
}

/// What one unit needs of the lines.
class Needs {
public:
    Needs(const HouseRules& rules, const CabinetUnit& unit, RunLevel level, std::vector<SourcedRelation>& relations)
        : rules_{rules}
        , unit_{unit}
        , level_{level}
        , relations_{relations} {}

    void state() const {
        if (level_ == RunLevel::floor)
            on_floor();
        else
            on_wall();
    }

private:
    void need(const char* line, const std::string& over, Length by, const char* reason,
              Provenance provenance = Provenance::maker) const {
        relations_.push_back({{line, over, HowFar::at_least, by, reason}, std::nullopt, unit_.name, provenance});
    }

    void on_floor() const {
        if (unit_.kind == UnitKind::appliance_gap) {
            if (!unit_.appliance || unit_.appliance->height <= Length{})
                return;
            const Length needs = unit_.appliance->height + unit_.appliance->clearance;
            if (unit_.appliance->kind == ApplianceKind::undercounter)
                need(line_id::carcass, line_id::floor, needs, "under the worktop, with its clearance");
            else if (unit_.appliance->kind == ApplianceKind::cooling)
                need(line_id::over_cooling, line_id::floor, needs, "with its clearance");
            return;
        }
        if (!is_cabinet(unit_) || !unit_.line.empty())
            return;
        const bool tall = unit_.kind == UnitKind::tall || unit_.kind == UnitKind::appliance_housing;
        need(tall ? line_id::tall_top : line_id::carcass, line_id::plinth, unit_.height, "carcass height");
    }

    void on_wall() const {
        if (!is_cabinet(unit_))
            return;
        const StandsOn on = stands_on(unit_, level_);
        if (unit_.appliance && unit_.appliance->kind == ApplianceKind::hood) {
            const bool stated = unit_.appliance->clearance > Length{};
            need(line_id::hood, line_id::worktop, stated ? unit_.appliance->clearance : rules_.runs.hood_over_hob,
                 "hood over hob", stated ? Provenance::maker : Provenance::house_rule);
        }
        // One that hangs by its top may reach under the wall units' line, as a tall wall unit does, not into the
        // worktop.
        need(line_id::wall_top, on.by_top ? line_id::worktop : on.line, unit_.height, "height");
        if (unit_.appliance && unit_.appliance->kind == ApplianceKind::microwave)
            need(line_id::wall_bottom, line_id::worktop, unit_.appliance->height + unit_.appliance->clearance,
                 "over the worktop, with its clearance");
    }

    const HouseRules& rules_;
    const CabinetUnit& unit_;
    RunLevel level_;
    std::vector<SourcedRelation>& relations_;
};

class LineReckoner {
public:
    LineReckoner(const Job& job, const Room& room)
        : room_{room}
        , unit_{job.unit}
        , rules_{job.rules.runs}
        , relations_{yes_square::relations_of(job, room)} {}

    RoomLines reckon() {
        number_lines();
        std::vector<HeightBound> bounds;
        for (std::size_t i = 0; i < relations_.size(); ++i)
            add_bounds(relations_[i].relation, i, bounds);
        const SolvedHeights solved = solve_heights(names_.size(), bounds, wanted_);
        for (std::size_t node = 1; node < names_.size(); ++node) {
            found_.lines.push_back({ids_[node], names_[node], solved.z[node], solved.least[node], solved.most[node],
                                    set_by(solved.up[node])});
            working(node, solved);
            if (wanted_[node] && *wanted_[node] != solved.z[node])
                wish_missed(node, solved);
        }
        for (const HeightConflict& conflict : solved.conflicts)
            report(conflict);
        if (room_.lines.empty() && !relations_.empty())
            begin_with_usual();
        return std::move(found_);
    }

private:
    void number_lines() {
        add_line(line_id::floor, "Finished floor", std::nullopt);
        for (const LevelLine& line : room_.lines)
            add_line(line.id, line.name, line.wanted);
        for (const SourcedRelation& sourced : relations_)
            for (const std::string* id : {&sourced.relation.line, &sourced.relation.over})
                if (!sourced.of_room && !nodes_.contains(*id))
                    add_line(*id, std::string{usual_name(*id)}, std::nullopt);
    }
    void add_line(const std::string& id, const std::string& name, std::optional<Length> wanted) {
        nodes_.emplace(id, names_.size());
        ids_.push_back(id);
        names_.push_back(name);
        wanted_.push_back(wanted);
    }

    void add_bounds(const LineRelation& relation, std::size_t index, std::vector<HeightBound>& bounds) const {
        const auto line = nodes_.find(relation.line);
        const auto over = nodes_.find(relation.over);
        if (line == nodes_.end() || over == nodes_.end() || line == over)
            return;
        if (relation.how != HowFar::at_most)
            bounds.push_back({line->second, over->second, relation.by, index});
        if (relation.how != HowFar::at_least)
            bounds.push_back({over->second, line->second, -relation.by, index});
    }

    /// The unit nearest to a line among those that carry it up.
    std::string set_by(const std::vector<HeightBound>& up) const {
        for (auto bound = up.rbegin(); bound != up.rend(); ++bound)
            if (bound->relation != HeightBound::no_relation && !relations_[bound->relation].of_room)
                return relations_[bound->relation].unit;
        return {};
    }

    std::string words_of(const SourcedRelation& sourced) const {
        const LineRelation& relation = sourced.relation;
        if (!sourced.unit.empty())
            return sourced.unit + ", " + relation.reason;
        if (!relation.reason.empty())
            return relation.reason;
        const auto name = [&](const std::string& id) {
            const auto found = nodes_.find(id);
            return found == nodes_.end() ? id : names_[found->second];
        };
        return name(relation.line) + " over " + name(relation.over);
    }

    void working(std::size_t node, const SolvedHeights& solved) {
        const auto& up = solved.up[node];
        Working working{"line/" + ids_[node],     {"{0} above the finished floor", {names_[node]}},
                        sum_of(up.size()),        {},
                        quantity(solved.z[node]), derived};
        for (const HeightBound& bound : up) {
            if (bound.relation == HeightBound::no_relation)
                working.terms.push_back({"where it was pulled to", quantity(bound.by), by_hand});
            else
                working.terms.push_back({{},
                                         quantity(bound.by),
                                         relations_[bound.relation].of_room ? of_room : of_unit,
                                         words_of(relations_[bound.relation])});
        }
        working.facts.push_back({"It could lie as low as {0}", {quantity(solved.least[node])}});
        if (solved.most[node])
            working.facts.push_back({"It could lie as high as {0}", {quantity(*solved.most[node])}});
        found_.workings.push_back(std::move(working));
    }

    void wish_missed(std::size_t node, const SolvedHeights& solved) {
        const Length by = absolute(*wanted_[node] - solved.z[node]);
        Check check{checks::line_not_as_wanted,
                    checks::line_not_as_wanted.severity(),
                    {"{0} was pulled to {1}; what hangs on it puts it at {2}, {3} off",
                     {names_[node], quantity(*wanted_[node]), quantity(solved.z[node]), quantity(by)}},
                    quantity(by),
                    {},
                    {},
                    solved.z[node]};
        check.cures.push_back(
            {{"Leave it at {0}", {quantity(solved.z[node])}}, SetLine{room_.id, ids_[node], solved.z[node]}});
        found_.checks.push_back(std::move(check));
    }

    void report(const HeightConflict& conflict) {
        std::string fighting;
        for (const std::size_t i : conflict.relations)
            fighting += (fighting.empty() ? "" : "; ") + words_of(relations_[i]);
        Check check{checks::lines_conflict,
                    checks::lines_conflict.severity(),
                    {"These heights fight by {0}: {1}. The lines are drawn without \"{2}\"",
                     {quantity(conflict.amount), fighting, words_of(relations_[conflict.dropped])}},
                    quantity(conflict.amount),
                    {},
                    {},
                    {}};
        for (const std::size_t i : conflict.relations) {
            const SourcedRelation& sourced = relations_[i];
            if (!sourced.of_room) {
                check.cures.push_back({{"{0}: {1} is its own size; another unit or appliance would change it",
                                        {words_of(sourced), quantity(sourced.relation.by)}},
                                       std::nullopt});
                continue;
            }
            // A bound upward gives way downward, one that holds down gives way upward.
            const Length by = eases(sourced.relation, conflict);
            check.cures.push_back(
                {{"Make \"{0}\" {1} instead of {2}", {words_of(sourced), quantity(by), quantity(sourced.relation.by)}},
                 SetRelation{room_.id, *sourced.of_room, by}});
        }
        found_.checks.push_back(std::move(check));
    }

    void begin_with_usual() {
        Check& bare = found_.checks.emplace_back(
            Check{checks::lines_missing,
                  Severity::error,
                  {"{0} has cabinets and no lines yet: they stand on one another, on the floor", {room_.name}}});
        const HouseLines usual = house_lines(unit_, rules_);
        bare.cures.push_back({{"Take the usual heights"}, TakeLines{room_.id, usual.lines, usual.relations}});
    }

    /// The amount at which a relation no longer fights: tried on the relations themselves, less first.
    Length eases(const LineRelation& relation, const HeightConflict& conflict) const {
        for (const Length by : {relation.by - conflict.amount, relation.by + conflict.amount}) {
            std::vector<HeightBound> bounds;
            for (const std::size_t i : conflict.relations) {
                LineRelation tried = relations_[i].relation;
                if (&relations_[i].relation == &relation)
                    tried.by = by;
                add_bounds(tried, i, bounds);
            }
            if (solve_heights(names_.size(), bounds, {}).conflicts.empty())
                return by;
        }
        return relation.by;
    }

    const Room& room_;
    Unit unit_;
    const RunRules& rules_;
    std::vector<SourcedRelation> relations_;
    std::map<std::string, std::size_t> nodes_;
    std::vector<std::string> ids_;
    std::vector<std::string> names_;
    std::vector<std::optional<Length>> wanted_;
    RoomLines found_;
};

} // namespace

std::vector<SourcedRelation> relations_of(const Job& job, const Room& room) {
    std::vector<SourcedRelation> relations;
    for (const Wall& wall : job.walls)
        if (wall.room == room.id)
            for (const Run& run : wall.runs)
                for (const CabinetUnit& unit : run.units)
                    Needs{job.rules, unit, run.level, relations}.state();
    for (std::size_t i = 0; i < room.line_relations.size(); ++i)
        relations.push_back({room.line_relations[i], i, {}, Provenance::house_rule});
    return relations;
}

RoomLines reckon_lines(const Job& job, const Room& room) {
    return LineReckoner{job, room}.reckon();
}

HouseLines house_lines(Unit unit, const RunRules& rules) {
    const bool inches = is_imperial(unit);
    const auto either = [&](Length metric, Length imperial) { return inches ? imperial : metric; };
    HouseLines house;
    for (const char* id : {line_id::plinth, line_id::carcass, line_id::worktop, line_id::wall_bottom, line_id::wall_top,
                           line_id::tall_top, line_id::hooks, line_id::rail})
        house.lines.push_back({id, std::string{usual_name(id)}});
    const auto relate = [&](const char* line, const char* over, HowFar how, Length by, const char* reason) {
        house.relations.push_back({line, over, how, by, reason});
    };
    relate(line_id::plinth, line_id::floor, HowFar::exactly, either(150_mm, Length::inches(4, {1, 2})), "plinth");
    relate(line_id::carcass, line_id::plinth, HowFar::at_least, either(720_mm, 30_in), "base carcass");
    relate(line_id::worktop, line_id::carcass, HowFar::exactly, either(30_mm, Length::inches(1, {1, 2})),
           "worktop thickness");
    relate(line_id::wall_bottom, line_id::worktop, HowFar::at_least, either(450_mm, 18_in), "splash gap");
    relate(line_id::wall_top, line_id::wall_bottom, HowFar::exactly, either(720_mm, 30_in), "wall unit height");
    relate(line_id::tall_top, line_id::wall_top, HowFar::exactly, {}, "tops in one line");
    relate(line_id::hooks, line_id::wall_top, HowFar::exactly, -rules.hook_drop, "drop of the hook plates");
    relate(line_id::rail, line_id::wall_top, HowFar::exactly, -rules.rail_drop, "drop of the rail");
    return house;
}

} // namespace yes_square
