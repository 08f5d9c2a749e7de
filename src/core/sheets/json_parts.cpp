#include "core/sheets/json_parts.hpp"

#include <cmath>

namespace yes_square {

std::string_view substrate_name(Substrate substrate) {
    switch (substrate) {
    case Substrate::masonry:
        return "masonry";
    case Substrate::proved_stud:
        return "proved_stud";
    case Substrate::joist:
        return "joist";
    case Substrate::floor:
        return "floor";
    case Substrate::side_wall:
        return "side_wall";
    case Substrate::nogging:
        return "nogging";
    case Substrate::detected_stud:
        return "detected_stud";
    case Substrate::indicated_stud:
        return "indicated_stud";
    case Substrate::assumed_stud:
        return "assumed_stud";
    case Substrate::lining:
        return "lining";
    }
    return {};
}

Json finite(double value) {
    return std::isfinite(value) ? Json(value) : Json(nullptr);
}

Json used(Utilisation utilisation) {
    return utilisation.is_refused() ? Json("refused") : finite(utilisation.number());
}

Json JsonParts::fixing(const Fixing& fixing) const {
    return {{"name", fixing.name},
            {"screw_length_m", fixing.screw_length.in_metres()},
            {"penetration_m", fixing.penetration.in_metres()},
            {"side_m", fixing.side.in_metres()},
            {"side_gravity", finite(fixing.side_gravity)},
            {"head_m", fixing.head.in_metres()},
            {"gap_m", fixing.gap.in_metres()},
            {"together", fixing.together},
            {"hole_diameter_m", fixing.hole_diameter.in_metres()},
            {"drill_depth_m", fixing.drill_depth.in_metres()},
            {"tension_capacity_n", fixing.tension},
            {"shear_capacity_n", fixing.shear},
            {"source", source(fixing.source)}};
}

Json JsonParts::check(const Check& check) const {
    Json json{{"code", std::string{check.code.name()}},
              {"severity", std::string{name(check.severity)}},
              {"text", say(check.message, voice_)}};
    if (check.amount)
        json["amount"] = quantity(*check.amount);
    if (check.x)
        json["x_m"] = check.x->in_metres();
    if (check.z)
        json["z_m"] = check.z->in_metres();
    json["cures"] = Json::array();
    for (const Cure& cure : check.cures)
        json["cures"].push_back({{"text", say(cure.words, voice_)}, {"by_program", cure.edit.has_value()}});
    return json;
}

Json JsonParts::working(const Working& working) const {
    Json terms = Json::array();
    for (const Term& term : working.terms) {
        Json json{{"name", term.own.empty() ? std::string{term.name} : term.own}};
        json.update(quantity(term.value));
        json["source"] = source(term.source);
        terms.push_back(std::move(json));
    }
    Json json{{"subject", working.subject}, {"title", say(working.title, voice_)}};
    json["sum"] = std::string{working.sum};
    json["terms"] = std::move(terms);
    json["result"] = quantity(working.result);
    json["source"] = source(working.source);
    if (!working.facts.empty()) {
        json["facts"] = Json::array();
        for (const Sentence& fact : working.facts)
            json["facts"].push_back(say(fact, voice_));
    }
    return json;
}

Json JsonParts::quantity(const Quantity& quantity) const {
    return {{"value", finite(quantity.si)},
            {"unit", std::string{si_unit(quantity.kind)}},
            {"shown", say(quantity, voice_)}};
}

Json JsonParts::source(const Source& source) {
    Json json{{"provenance", std::string{words(source.provenance)}}};
    if (!source.publication.empty())
        json["publication"] = std::string{source.publication};
    return json;
}

Json JsonParts::worst(const std::vector<HoleDemand>& demands) {
    Json json = Json::array();
    for (const HoleDemand& demand : demands)
        json.push_back({{"case", std::string{demand.when}},
                        {"pull_n", finite(demand.tension)},
                        {"down_n", finite(demand.down)},
                        {"across_n", finite(demand.across)},
                        {"duration", demand.duration}});
    return json;
}

Json JsonParts::group(const std::string& name, Length edge, const std::vector<LoadCase>& loads,
                      const std::vector<HeldHole>& holes, const std::optional<Fixing>& fixing, bool turns) {
    Json json{{"name", name}, {"edge_m", edge.in_metres()}, {"turns", turns}};
    json["fixing"] = fixing ? Json(fixing->name) : Json(nullptr);
    if (fixing)
        json["screw_length_m"] = fixing->screw_length.in_metres();
    json["loads"] = Json::array();
    for (const LoadCase& load : loads)
        json["loads"].push_back({{"case", std::string{load.when}},
                                 {"down_n", load.down},
                                 {"at_m", load.at_x},
                                 {"moment_nm", load.moment},
                                 {"duration", load.duration}});
    json["holes"] = Json::array();
    for (const HeldHole& hole : holes) {
        const FixingStrength& strength = hole.strength;
        json["holes"].push_back({{"x_m", hole.x.in_metres()},
                                 {"z_m", hole.z.in_metres()},
                                 {"hold", std::string{substrate_name(hole.substrate)}},
                                 {"screws", hole.screws},
                                 {"demands", worst(hole.demands)},
                                 {"holds_n", {{"pull", strength.tension}, {"shear", strength.shear}}},
                                 {"penetration_m", strength.penetration.in_metres()},
                                 {"side_m", strength.side.in_metres()},
                                 {"side_gravity", finite(strength.side_gravity)},
                                 {"head_m", strength.head.in_metres()},
                                 {"gap_m", strength.gap.in_metres()},
                                 {"together", strength.together},
                                 {"utilisation", used(hole.utilisation)}});
        Json& each = json["holes"].back();
        each["fixing"] = hole.fixing ? Json(hole.fixing->name) : Json(nullptr);
        if (hole.fixing)
            each["screw_length_m"] = hole.fixing->screw_length.in_metres();
    }
    return json;
}

Json JsonParts::thing(const ThingPlan& plan) const {
    Json json{{"id", plan.id}, {"name", plan.name}};
    json["holes"] = Json::array();
    for (const PlannedHole& hole : plan.holes) {
        Json each{{"what", said(hole.what)},
                  {"x_m", hole.x.in_metres()},
                  {"z_m", hole.z.in_metres()},
                  {"above_floor_now_m", hole.above_now.in_metres()},
                  {"hold", std::string{substrate_name(hole.substrate)}},
                  {"packing_m", hole.packing.in_metres()},
                  {"screws", hole.screws},
                  {"in_service_strip", hole.in_strip()},
                  {"made", hole.made},
                  {"marked_through", hole.through_it},
                  {"demands", worst(hole.demands)},
                  {"utilisation", used(hole.utilisation)}};
        if (hole.fixing)
            each["fixing"] = fixing(*hole.fixing);
        json["holes"].push_back(std::move(each));
    }
    json["parts"] = Json::array();
    for (const CutPart& part : plan.parts)
        json["parts"].push_back({{"name", said(part.name)},
                                 {"length_m", part.length.in_metres()},
                                 {"breadth_m", part.breadth.in_metres()},
                                 {"thickness_m", part.thickness().in_metres()}});
    told(json, plan);
    return json;
}

Json JsonParts::unit(const UnitPlan& unit) const {
    Json json{{"id", unit.unit_id},
              {"name", unit.name},
              {"left_m", unit.place.left.in_metres()},
              {"width_m", unit.place.width.in_metres()},
              {"bottom_m", unit.bottom.in_metres()},
              {"top_m", unit.top.in_metres()},
              {"empty_kg", unit.empty_mass},
              {"loaded_kg", unit.loaded_mass},
              {"lift_kg", unit.lift_mass},
              {"tension_n", unit.tension},
              {"shear_n", unit.shear},
              {"governing_case", std::string{unit.governing}},
              {"turns", unit.turns},
              {"utilisation", used(unit.utilisation)},
              {"hook_utilisation", used(unit.hook_utilisation)}};
    std::vector<HeldHole> held;
    for (const PlannedHole& hole : unit.holes)
        if (!hole.demands.empty())
            held.push_back(
                {hole.x, hole.z, hole.substrate, hole.demands, hole.strength, hole.utilisation, hole.fixing});
    json["groups"] = Json::array({group(unit.name, unit.bottom, unit.loads, held, unit.fixing, unit.turns)});
    if (unit.hook_load)
        json["hook_load_n"] = *unit.hook_load;
    if (unit.fixing)
        json["fixing"] = fixing(*unit.fixing);
    json["holes"] = Json::array();
    for (const PlannedHole& hole : unit.holes)
        json["holes"].push_back({{"rail", hole.row + 1},
                                 {"x_m", hole.x.in_metres()},
                                 {"z_m", hole.z.in_metres()},
                                 {"above_floor_now_m", hole.above_now.in_metres()},
                                 {"from_left_m", unit.from_left(hole).in_metres()},
                                 {"inside_left_m", unit.inside_left(hole).in_metres()},
                                 {"packing_m", hole.packing.in_metres()},
                                 {"hold", std::string{substrate_name(hole.substrate)}}});
    json["feet"] = Json::array();
    for (const Foot& foot : unit.feet)
        json["feet"].push_back({{"x_m", foot.x.in_metres()},
                                {"front", foot.front},
                                {"height_m", foot.height.in_metres()},
                                {"packer_m", foot.packer.in_metres()}});
    return json;
}

} // namespace yes_square
