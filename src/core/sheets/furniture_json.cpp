#include "core/sheets/json_parts.hpp"
#include "core/storage/system_words.hpp"

namespace yes_square {
namespace {

Json bay_json(const BayPlan& bay) {
    Json one{{"number", bay.number},
             {"left_m", bay.left.in_metres()},
             {"width_m", bay.width.in_metres()},
             {"hidden_m", bay.hidden.in_metres()},
             {"tip_needs_n", bay.needs_n},
             {"turns", bay.turns}};
    one["loads"] = Json::array();
    for (const LoadCase& load : bay.loads)
        one["loads"].push_back({{"case", std::string{load.when}},
                                {"down_n", load.down_n},
                                {"at_m", load.at_x},
                                {"moment_nm", load.moment_nm}});
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
            screws.push_back({{"x_m", screw.x.in_metres()}, {"hold", std::string{hold_name(screw.hold)}}});
        one["cleats"].push_back({{"shelf", cleat.shelf},
                                 {"z_m", cleat.z.in_metres()},
                                 {"load_n", cleat.load_n},
                                 {"screws", screws},
                                 {"worst_screw", JsonParts::worst(cleat.demands)},
                                 {"utilisation", used(cleat.utilisation)}});
    }
    return one;
}

Json system_json(const SystemPlan& plan, const JsonParts& writer) {
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
        json["panels"].push_back({{"label", panel.label}, {"left_m", panel.left.in_metres()}, {"kg", panel.kg}});
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

Json piece_json(const PiecePlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"verdict", std::string{words(plan.verdict)}},
              {"restraint_height_m", plan.restraint_height.in_metres()},
              {"needs_n", plan.needs_n},
              {"each_n", plan.each_n},
              {"fixing_utilisation", used(plan.fixing_utilisation)},
              {"rating_utilisation", used(plan.rating_utilisation)}};
    json["cases"] = Json::array();
    for (const TipCase& tip : plan.cases)
        json["cases"].push_back({{"case", std::string{words(tip.kind)}},
                                 {"over_nm", tip.balance.over_nm},
                                 {"righting_nm", tip.balance.righting_nm},
                                 {"leans_rad", tip.lean},
                                 {"goes_at_rad", tip.balance.goes_at},
                                 {"tips", tip.balance.tips()},
                                 {"needs_n", tip.needs_n}});
    json["places"] = Json::array();
    for (const PlannedHole& place : plan.holes)
        json["places"].push_back(
            {{"x_m", place.x.in_metres()}, {"z_m", place.z.in_metres()}, {"hold", std::string{hold_name(place.hold)}}});
    if (plan.fixing)
        json["fixing"] = writer.fixing(*plan.fixing);
    writer.told(json, plan);
    return json;
}

Json box_json(const BoxPlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"kg", plan.kg},
              {"loaded_kg", plan.loaded_kg},
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

Json hung_json(const HungPlan& plan, const JsonParts& writer) {
    Json json{{"id", plan.id},
              {"name", plan.name},
              {"verdict", std::string{words(plan.verdict)}},
              {"loaded_kg", plan.loaded_kg},
              {"utilisation", used(plan.utilisation)},
              {"add_top", plan.add_top},
              {"add_bottom", plan.add_bottom}};
    json["wanted"] = writer.unit(plan.wanted);
    writer.told(json, plan);
    return json;
}

} // namespace

void write_furniture(Json& wall, const WallPlan& plan, const JsonParts& writer) {
    const auto list = [&](const char* name, const auto& plans, auto&& write) {
        wall[name] = Json::array();
        for (const auto& each : plans)
            wall[name].push_back(write(each, writer));
    };
    list("systems", plan.systems, system_json);
    list("pieces", plan.pieces, piece_json);
    list("boxes", plan.boxes, box_json);
    list("hung", plan.hung, hung_json);
    for_each_kind(ListedKinds{}, [&]<class Kind>() {
        list(Kind::list_name.data(), plan.*plans_of<Kind>,
             [](const ThingPlan& thing, const JsonParts& parts) { return parts.thing(thing); });
    });
}

} // namespace yes_square
