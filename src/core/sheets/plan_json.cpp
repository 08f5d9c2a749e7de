#include "core/sheets/plan_json.hpp"

#include "core/job/fields.hpp"

#include <array>
#include <cmath>
#include <nlohmann/json.hpp>

namespace yes_square {
namespace {

using Json = nlohmann::ordered_json;

std::string_view hold_name(Hold hold) {
    switch (hold) {
    case Hold::masonry:
        return "masonry";
    case Hold::proved_stud:
        return "proved_stud";
    case Hold::joist:
        return "joist";
    case Hold::nogging:
        return "nogging";
    case Hold::indicated_stud:
        return "indicated_stud";
    case Hold::assumed_stud:
        return "assumed_stud";
    case Hold::lining:
        return "lining";
    }
    return {};
}

/// JSON has no infinity: a utilisation beyond all measure is null.
Json finite(double value) {
    return std::isfinite(value) ? Json(value) : Json(nullptr);
}

class PlanWriter {
public:
    explicit PlanWriter(const Voice& voice)
        : voice_{voice} {}

    Json shelf(const ShelfPlan& plan) const {
        Json json{{"id", plan.shelf_id}, {"name", plan.shelf_name}};
        json["arm_least_m"] = plan.arm_least.in_metres();
        json["arm_most_m"] = plan.arm_most.in_metres();
        json["bracket"] = plan.bracket ? Json(plan.bracket->id) : Json(nullptr);
        json["board_kg"] = plan.mass_kg;
        json["goods_n_per_m"] = plan.goods_n_per_m;
        json["self_weight_n_per_m"] = plan.self_weight_n_per_m;
        json["left_overhang_m"] = plan.left_overhang.in_metres();
        json["right_overhang_m"] = plan.right_overhang.in_metres();
        json["shelf_screw_m"] = plan.shelf_screw ? Json(plan.shelf_screw->in_metres()) : Json(nullptr);
        if (plan.sag)
            json["sag"] = {{"instantaneous_m", plan.sag->instantaneous},
                           {"long_term_m", plan.sag->long_term},
                           {"limit_m", plan.sag->limit},
                           {"span_m", plan.sag->span},
                           {"at_m", plan.sag->place},
                           {"overhang", plan.sag->overhang}};
        json["supports"] = Json::array();
        for (std::size_t i = 0; i < plan.brackets.size(); ++i)
            json["supports"].push_back(support(i, plan.brackets[i]));
        json["marks"] = Json::array();
        for (const Hole& hole : plan.holes)
            json["marks"].push_back({{"support", hole.bracket + 1},
                                     {"hole", hole.row + 1},
                                     {"x_m", hole.x.in_metres()},
                                     {"z_m", hole.z.in_metres()},
                                     {"above_floor_now_m", hole.above_now.in_metres()},
                                     {"x", format(hole.x, voice_.unit)},
                                     {"z", format(hole.z, voice_.unit)}});
        json["boards"] = Json::array();
        for (const BoardPiece& piece : plan.pieces)
            json["boards"].push_back({{"left_m", piece.left.in_metres()},
                                      {"back_m", piece.back.in_metres()},
                                      {"front_m", piece.front.in_metres()}});
        json["strips"] = Json::array();
        for (const CleatPlan& cleat : plan.cleats) {
            json["strips"].push_back({{"wall", std::string{cleat.wall}},
                                      {"length_m", cleat.length.in_metres()},
                                      {"load_n", cleat.load_n},
                                      {"screws", cleat.screws},
                                      {"utilisation", cleat.utilisation ? finite(*cleat.utilisation) : Json(nullptr)}});
            if (cleat.fixing)
                json["strips"].back()["fixing"] = fixing(*cleat.fixing);
        }
        json["board_utilisation"] = finite(plan.board_utilisation);
        json["drilling"] = Json::array();
        for (const DrillRow& row : plan.drilling)
            json["drilling"].push_back({{"bit", std::string{row.pass.bit}},
                                        {"diameter_m", row.pass.diameter.in_metres()},
                                        {"depth_m", row.pass.depth.in_metres()},
                                        {"hammer", row.pass.hammer},
                                        {"mind", say(row.pass.how, voice_)},
                                        {"places", row.places.size()}});
        json["alternatives"] = Json::array();
        for (const Alternative& alternative : plan.alternatives)
            json["alternatives"].push_back(this->alternative(alternative));
        json["chosen_alternative"] = plan.chosen + 1;
        json["checks"] = Json::array();
        for (const Check& check : plan.checks)
            json["checks"].push_back(this->check(check));
        json["workings"] = Json::array();
        for (const Working& working : plan.workings)
            json["workings"].push_back(this->working(working));
        json["steps"] = Json::array();
        for (const Step& step : plan.steps)
            json["steps"].push_back({{"text", say(step.words, voice_)}, {"hold_point", step.hold_point}});
        return json;
    }

    Json survey(const WallSurvey& survey) const {
        Json json;
        json["studs"] = Json::array();
        for (std::size_t i = 0; i < survey.studs.size(); ++i) {
            const Stud& stud = survey.studs[i];
            json["studs"].push_back({{"x_m", stud.centre.in_metres()},
                                     {"uncertainty_m", stud.uncertainty.in_metres()},
                                     {"state", std::string{state_name(stud.state)}}});
            if (survey.findings)
                json["studs"].back()["probability"] = survey.findings->studs[i].probability;
        }
        json["floor"] = profile(survey.floor.floor);
        json["ceiling"] = profile(survey.floor.ceiling);
        if (survey.floor.level_line)
            json["level_line_m"] = survey.floor.level_line->in_metres();
        json["packing"] = Json::array();
        for (const FaceRow& row : survey.face.rows)
            for (const FaceRow::Place& place : row.places)
                json["packing"].push_back({{"x_m", place.x.in_metres()},
                                           {"z_m", row.z.in_metres()},
                                           {"packing_m", survey.face.shim_at(place.x, row.z)->in_metres()}});
        if (survey.widths)
            json["least_width_m"] = survey.widths->least.in_metres();
        if (survey.corner)
            json["right_corner_rad"] = survey.corner->room_side;
        json["checks"] = Json::array();
        for (const Check& of_wall : survey.checks)
            json["checks"].push_back(check(of_wall));
        json["workings"] = Json::array();
        for (const Working& of_wall : survey.workings)
            json["workings"].push_back(working(of_wall));
        return json;
    }

private:
    static std::string_view state_name(StudState state) {
        return state == StudState::proved ? "proved" : (state == StudState::indicated ? "indicated" : "assumed");
    }

    static Json profile(const std::vector<ProfilePoint>& points) {
        Json json = Json::array();
        for (const ProfilePoint& point : points)
            json.push_back({{"x_m", point.x.in_metres()}, {"z_m", point.z.in_metres()}});
        return json;
    }

    Json support(std::size_t index, const BracketPlan& plan) const {
        Json json{
            {"number", index + 1},
            {"x_m", plan.x.in_metres()},
            {"x", format(plan.x, voice_.unit)},
            {"hold", std::string{hold_name(plan.hold)}},
            {"reaction_n",
             {{"greatest", plan.reaction.greatest},
              {"sustained", plan.reaction.sustained},
              {"least", plan.reaction.least}}},
            {"tension_n", plan.tension_n},
            {"shear_n", plan.shear_n},
            {"fixing_utilisation", plan.fixing_utilisation ? finite(*plan.fixing_utilisation) : Json(nullptr)},
            {"bracket_utilisation", plan.bracket_utilisation ? finite(*plan.bracket_utilisation) : Json(nullptr)}};
        if (plan.fixing)
            json["fixing"] = fixing(*plan.fixing);
        return json;
    }

    Json alternative(const Alternative& alternative) const {
        Json places = Json::array();
        for (const Length place : alternative.layout.places)
            places.push_back(place.in_metres());
        Json gives_up = Json::array();
        for (const Sentence& sentence : alternative.gives_up)
            gives_up.push_back(say(sentence, voice_));
        return {{"school", std::string{enum_name(alternative.layout.school)}},
                {"extra_brackets", alternative.extra_brackets},
                {"places_from_shelf_end_m", places},
                {"sag_share", finite(alternative.sag_share)},
                {"utilisation", finite(alternative.utilisation)},
                {"keeps_limits", alternative.keeps_limits},
                {"gives_up", gives_up}};
    }

public:
    std::string said(const Sentence& sentence) const { return say(sentence, voice_); }

    Json fixing(const Fixing& fixing) const {
        return {{"name", fixing.name},
                {"screw_length_m", fixing.screw_length.in_metres()},
                {"penetration_m", fixing.penetration.in_metres()},
                {"hole_diameter_m", fixing.hole_diameter.in_metres()},
                {"drill_depth_m", fixing.drill_depth.in_metres()},
                {"tension_capacity_n", fixing.tension_n},
                {"shear_capacity_n", fixing.shear_n},
                {"source", source(fixing.source)}};
    }

    Json check(const Check& check) const {
        Json json{{"code", std::string{name(check.code)}},
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

    Json working(const Working& working) const {
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

private:
    Json quantity(const Quantity& quantity) const {
        return {{"value", finite(quantity.si)},
                {"unit", std::string{si_unit(quantity.kind)}},
                {"shown", say(quantity, voice_)}};
    }

    static Json source(const Source& source) {
        Json json{{"provenance", std::string{words(source.provenance)}}};
        if (!source.publication.empty())
            json["publication"] = std::string{source.publication};
        return json;
    }

    const Voice& voice_;
};

Json lines_json(const RoomLines& lines, const PlanWriter& writer) {
    Json json = Json::array();
    for (const LinePlan& line : lines.lines)
        json.push_back({{"id", line.id},
                        {"name", line.name},
                        {"z_m", line.z.in_metres()},
                        {"least_m", line.least.in_metres()},
                        {"most_m", line.most ? Json(line.most->in_metres()) : Json(nullptr)},
                        {"set_by", line.set_by}});
    for (std::size_t i = 0; i < lines.workings.size() && i < json.size(); ++i)
        json[i]["working"] = writer.working(lines.workings[i]);
    return json;
}

Json unit_json(const UnitPlan& unit, const PlanWriter& writer) {
    Json json{{"id", unit.unit_id},
              {"name", unit.name},
              {"left_m", unit.place.left.in_metres()},
              {"width_m", unit.place.width.in_metres()},
              {"bottom_m", unit.bottom.in_metres()},
              {"top_m", unit.top.in_metres()},
              {"empty_kg", unit.empty_kg},
              {"loaded_kg", unit.loaded_kg},
              {"lift_kg", unit.lift_kg},
              {"tension_n", unit.tension_n},
              {"shear_n", unit.shear_n},
              {"utilisation", unit.utilisation ? finite(*unit.utilisation) : Json(nullptr)}};
    if (unit.hook_load_n)
        json["hook_load_n"] = *unit.hook_load_n;
    if (unit.fixing)
        json["fixing"] = writer.fixing(*unit.fixing);
    json["holes"] = Json::array();
    for (const UnitHole& hole : unit.holes)
        json["holes"].push_back({{"rail", hole.rail + 1},
                                 {"x_m", hole.x.in_metres()},
                                 {"z_m", hole.z.in_metres()},
                                 {"above_floor_now_m", hole.above_now.in_metres()},
                                 {"from_left_m", hole.from_left.in_metres()},
                                 {"inside_left_m", hole.inside_left.in_metres()},
                                 {"packing_m", hole.shim.in_metres()},
                                 {"hold", std::string{hold_name(hole.hold)}}});
    json["feet"] = Json::array();
    for (const Foot& foot : unit.feet)
        json["feet"].push_back({{"x_m", foot.x.in_metres()},
                                {"front", foot.front},
                                {"height_m", foot.height.in_metres()},
                                {"packer_m", foot.packer.in_metres()}});
    return json;
}

Json lengths_json(const std::vector<Length>& lengths) {
    Json json = Json::array();
    for (const Length length : lengths)
        json.push_back(length.in_metres());
    return json;
}

Json run_json(const RunPlan& run, const PlanWriter& writer) {
    static constexpr std::array pieces{"worktop", "plinth", "suspension_rail", "ledger"}; // as in RunPiece::What
    Json json{{"id", run.run_id},
              {"name", run.run_name},
              {"from_m", run.layout.from.in_metres()},
              {"to_m", run.layout.to ? Json(run.layout.to->in_metres()) : Json(nullptr)},
              {"slack_m", run.layout.slack.in_metres()},
              {"slide",
               {{"holds_now", run.slide.holds_now()},
                {"possible", run.slide.possible},
                {"moved_m", run.slide.moved.in_metres()},
                {"places_m", lengths_json(run.slide.places)}}}};
    json["units"] = Json::array();
    for (const UnitPlan& unit : run.units)
        json["units"].push_back(unit_json(unit, writer));
    json["pieces"] = Json::array();
    for (const RunPiece& piece : run.pieces)
        json["pieces"].push_back({{"what", pieces[static_cast<std::size_t>(piece.what)]},
                                  {"from_m", piece.from.in_metres()},
                                  {"to_m", piece.to.in_metres()},
                                  {"z_m", piece.z.in_metres()},
                                  {"breadth_m", piece.breadth.in_metres()},
                                  {"cuts_m", lengths_json(piece.cuts)},
                                  {"fixings_m", lengths_json(piece.fixings)}});
    json["scribes"] = Json::array();
    for (const Scribe& scribe : run.scribes) {
        Json cuts = Json::array();
        for (const ScribeCut& cut : scribe.cuts)
            cuts.push_back({{"z_m", cut.at.in_metres()}, {"width_m", cut.width.in_metres()}});
        json["scribes"].push_back({{"unit", scribe.unit}, {"to_face", scribe.to_face}, {"cuts", cuts}});
    }
    json["checks"] = Json::array();
    for (const Check& check : run.checks)
        json["checks"].push_back(writer.check(check));
    json["workings"] = Json::array();
    for (const Working& working : run.workings)
        json["workings"].push_back(writer.working(working));
    json["steps"] = Json::array();
    for (const Step& step : run.steps)
        json["steps"].push_back({{"text", writer.said(step.words)}, {"hold_point", step.hold_point}});
    return json;
}

} // namespace

std::string plan_json(const Job& job, const Plan& plan, const Voice& voice) {
    const PlanWriter writer{voice};
    Json document{{"format", "yes-square plan"},
                  {"version", 1},
                  {"job", job.title},
                  {"units", "SI: m, N, N m, kg, N/m; x from the reference end, z above the datum"}};
    document["walls"] = Json::array();
    for (std::size_t i = 0; i < plan.walls.size(); ++i) {
        Json wall{{"id", plan.walls[i]->wall_id}, {"name", job.walls[i].name}};
        wall["service_strips"] = Json::array();
        for (const Strip& strip : plan.walls[i]->survey.strips)
            wall["service_strips"].push_back({{"what", std::string{strip.what}},
                                              {"left_m", strip.left.in_metres()},
                                              {"right_m", strip.right.in_metres()},
                                              {"bottom_m", strip.bottom.in_metres()},
                                              {"top_m", strip.top.in_metres()}});
        wall["survey"] = writer.survey(plan.walls[i]->survey);
        wall["runs"] = Json::array();
        for (const RunPlan& run : plan.walls[i]->runs)
            wall["runs"].push_back(run_json(run, writer));
        wall["shelves"] = Json::array();
        for (const ShelfPlan& shelf : plan.walls[i]->shelves)
            wall["shelves"].push_back(writer.shelf(shelf));
        wall["noggings"] = Json::array();
        for (const Nogging& nogging : plan.walls[i]->noggings)
            wall["noggings"].push_back({{"left_m", nogging.left.in_metres()},
                                        {"length_m", nogging.length().in_metres()},
                                        {"z_m", nogging.z.in_metres()},
                                        {"fixings", nogging.holds.size()}});
        document["walls"].push_back(std::move(wall));
    }
    document["rooms"] = Json::array();
    for (std::size_t i = 0; i < plan.rooms.size(); ++i) {
        const RoomSurvey& survey = plan.rooms[i];
        Json room{{"id", job.rooms[i].id}, {"closed", survey.plan.closed}};
        if (survey.plan.closed)
            room.update({{"closing_error_m", survey.plan.closing_error.in_metres()},
                         {"closing_limit_m", survey.plan.closing_limit.in_metres()}});
        room["lines"] = lines_json(survey.lines, writer);
        room["checks"] = Json::array();
        for (const auto* checks : {&survey.checks, &survey.lines.checks})
            for (const Check& check : *checks)
                room["checks"].push_back(writer.check(check));
        document["rooms"].push_back(std::move(room));
    }
    return document.dump(2) + "\n";
}

} // namespace yes_square
