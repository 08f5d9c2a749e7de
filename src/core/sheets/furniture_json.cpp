#include "core/sheets/json_parts.hpp"
#include "core/storage/system_words.hpp"

namespace yes_square {
namespace {

Json bay_json(const BayPlan& bay) {
    Json one{{"number", bay.number},
             {"left_m", bay.left.in_metres()},
             {"width_m", bay.width.in_metres()},
             {"foot_m", bay.sides.foot.in_metres()},
             {"head_m", bay.sides.head.in_metres()},
             {"hidden_m", bay.hidden.in_metres()},
             {"tip_needs_n", bay.needs},
             {"turns", bay.turns}};
    one["loads"] = Json::array();
    for (const LoadCase& load : bay.loads)
        one["loads"].push_back(
            {{"case", std::string{load.when}}, {"down_n", load.down}, {"at_m", load.at_x}, {"moment_nm", load.moment}});
    one["shelves"] = Json::array();
    for (const BayShelf& shelf : bay.shelves)
        one["shelves"].push_back({{"label", shelf.label},
                                  {"what", std::string{words(shelf.what)}},
                                  {"top_m", shelf.top.in_metres()},
                                  {"pin_hole", shelf.pin_hole ? Json(*shelf.pin_hole) : Json(nullptr)},
                                  {"sag_m", shelf.sag.long_term},
                                  {"sag_limit_m", shelf.sag.limit}});
    one["rods"] = Json::array();
    for (const BayRod& rod : bay.rods)
        one["rods"].push_back({{"label", rod.label},
                               {"z_m", rod.z.in_metres()},
                               {"cut_m", rod.cut.in_metres()},
                               {"sag_m", rod.sag.long_term},
                               {"holds", rod.holds},
                               {"utilisation", used(rod.utilisation)}});
    one["cleats"] = Json::array();
    for (const BayCleat& cleat : bay.cleats) {
        Json screws = Json::array();
        for (const PlannedHole& screw : cleat.screws)
            screws.push_back({{"x_m", screw.x.in_metres()}, {"hold", std::string{substrate_name(screw.substrate)}}});
        one["cleats"].push_back({{"shelf", cleat.shelf},
                                 {"z_m", cleat.z.in_metres()},
                                 {"load_n", cleat.load},
                                 {"screws", screws},
                                 {"worst_screw", JsonParts::worst(cleat.demands)},
                                 {"utilisation", used(cleat.utilisation)}});
    }
    return one;
}

Json thing_json(const SystemPlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"foot_m", plan.foot.in_metres()},
              {"head_m", plan.head.in_metres()},
              {"left_over_m", plan.left_over.in_metres()},
              {"slide_m", plan.slide_moves.in_metres()}};
    if (plan.fixing)
        json["fixing"] = writer.fixing(*plan.fixing);
    json["panels"] = Json::array();
    for (const PanelPlan& panel : plan.panels)
        json["panels"].push_back({{"label", panel.label},
                                  {"left_m", panel.left.in_metres()},
                                  {"foot_m", panel.foot.in_metres()},
                                  {"head_m", panel.head.in_metres()},
                                  {"kg", panel.mass}});
    json["bays"] = Json::array();
    for (const BayPlan& bay : plan.bays)
        json["bays"].push_back(bay_json(bay));
    json["parts"] = Json::array();
    for (const CutPart& part : plan.parts)
        json["parts"].push_back({{"label", part.label},
                                 {"what", std::string{part.what}},
                                 {"length_m", part.length.in_metres()},
                                 {"breadth_m", part.breadth.in_metres()},
                                 {"thickness_m", part.thickness().in_metres()}});
    json["corrections"] = Json::array();
    for (const PanelCorrection& found : plan.corrections)
        json["corrections"].push_back({{"panel", found.panel},
                                       {"foot_moves_m", found.foot_moves.in_metres()},
                                       {"to_right", found.to_right},
                                       {"within", found.within}});
    writer.told(json, plan);
    return json;
}

Json thing_json(const PiecePlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"verdict", std::string{words(plan.verdict)}},
              {"restraint_height_m", plan.restraint_height.in_metres()},
              {"needs_n", plan.needs},
              {"each_n", plan.each},
              {"fixing_utilisation", used(plan.fixing_utilisation)},
              {"rating_utilisation", used(plan.rating_utilisation)}};
    json["cases"] = Json::array();
    for (const TipCase& tip : plan.cases)
        json["cases"].push_back({{"case", std::string{words(tip.kind)}},
                                 {"over_nm", tip.balance.over},
                                 {"righting_nm", tip.balance.righting},
                                 {"leans_rad", tip.lean},
                                 {"goes_at_rad", tip.balance.goes_at},
                                 {"tips", tip.balance.tips()},
                                 {"needs_n", tip.needs}});
    json["places"] = Json::array();
    for (const PlannedHole& place : plan.holes)
        json["places"].push_back({{"x_m", place.x.in_metres()},
                                  {"z_m", place.z.in_metres()},
                                  {"hold", std::string{substrate_name(place.substrate)}}});
    if (plan.fixing)
        json["fixing"] = writer.fixing(*plan.fixing);
    writer.told(json, plan);
    return json;
}

Json thing_json(const BoxPlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"kg", plan.mass},
              {"loaded_kg", plan.loaded_mass},
              {"diagonal_m", plan.diagonal.in_metres()},
              {"back_screws", plan.back_screws}};
    json["parts"] = Json::array();
    for (const BoxPart& part : plan.pieces)
        json["parts"].push_back({{"what", std::string{part.what}},
                                 {"number", part.number},
                                 {"length_m", part.length.in_metres()},
                                 {"breadth_m", part.breadth.in_metres()},
                                 {"thickness_m", part.thickness.in_metres()}});
    json["hang"] = writer.unit(plan.hang);
    writer.told(json, plan);
    return json;
}

Json thing_json(const HungPlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"verdict", std::string{words(plan.verdict)}},
              {"loaded_kg", plan.loaded_mass},
              {"utilisation", used(plan.utilisation)},
              {"add_top", plan.add_top},
              {"add_bottom", plan.add_bottom}};
    json["found"] = Json::array();
    for (const FoundVerdict& found : plan.found)
        json["found"].push_back({{"x_m", found.x.in_metres()},
                                 {"z_m", found.z.in_metres()},
                                 {"counts", found.counts},
                                 {"why", say(found.why, writer.voice())}});
    json["wanted"] = writer.unit(plan.wanted);
    writer.told(json, plan);
    return json;
}

/// Of a kind that has no more to tell than any thing.
Json thing_json(const ThingPlan& plan, const JsonParts& writer) {
    return writer.thing(plan);
}

} // namespace

void write_furniture(Json& wall, const WallPlan& plan, const JsonParts& writer) {
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind>) {
            Json& list = wall[list_name<Kind>.data()] = Json::array();
            for (const auto& thing : plan.*plans_of<Kind>)
                list.push_back(thing_json(thing, writer));
        }
    });
}

} // namespace yes_square
