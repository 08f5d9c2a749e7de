#include "core/sheets/plan_json.hpp"

#include "core/fixings/drilling.hpp"
#include "core/job/along.hpp"
#include "core/job/fields.hpp"
#include "core/sheets/day_json.hpp"
#include "core/sheets/json_parts.hpp"
#include "core/stability/inventory.hpp"

#include <array>

namespace yes_square {
namespace {

class PlanWriter : public JsonParts {
public:
    explicit PlanWriter(const Voice& voice)
        : JsonParts{voice}
        , voice_{voice} {}

    Json shelf(const ShelfPlan& plan) const {
        Json json{{"id", plan.id}, {"name", plan.name}};
        json["arm_least_m"] = plan.arm_least.in_metres();
        json["arm_most_m"] = plan.arm_most.in_metres();
        json["bracket"] = plan.bracket ? Json(plan.bracket->id) : Json(nullptr);
        json["board_kg"] = plan.mass;
        json["goods_n_per_m"] = plan.goods_load;
        json["self_weight_n_per_m"] = plan.self_weight;
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
            json["supports"].push_back(support(i, plan.brackets[i], plan.tape));
        json["marks"] = Json::array();
        for (const PlannedHole& hole : plan.holes)
            json["marks"].push_back({{"support", hole.place + 1},
                                     {"hole", hole.row + 1},
                                     {"x_m", hole.x.in_metres()},
                                     {"z_m", hole.z.in_metres()},
                                     {"above_floor_now_m", hole.above_now.in_metres()},
                                     {"x", say(along(plan.tape, hole.x), voice_)},
                                     {"z", format(hole.z, voice_)}});
        json["groups"] = groups(plan);
        json["plate_utilisation"] = used(plan.plate_utilisation);
        json["plate_turns"] = plan.plate_turns;
        cut(json, plan);
        json["board_utilisation"] = used(plan.board_utilisation);
        json["drilling"] = Json::array();
        for (const DrillRow& row : drilling_of(plan.holes))
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
        told(json, plan);
        return json;
    }

    Json survey(const WallSurvey& survey) const {
        Json json;
        json["studs"] = Json::array();
        for (std::size_t i = 0; i < survey.studs.size(); ++i) {
            const Stud& stud = survey.studs[i];
            json["studs"].push_back({{"x_m", stud.centre.in_metres()},
                                     {"uncertainty_m", stud.uncertainty.in_metres()},
                                     {"state", std::string{enum_name(stud.state)}}});
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
        told(json, survey);
        return json;
    }

private:
    static Json profile(const std::vector<ProfilePoint>& points) {
        Json json = Json::array();
        for (const ProfilePoint& point : points)
            json.push_back({{"x_m", point.x.in_metres()}, {"z_m", point.z.in_metres()}});
        return json;
    }

    /// Boards and strips of a shelf.
    void cut(Json& json, const ShelfPlan& plan) const {
        json["boards"] = Json::array();
        for (const BoardPiece& piece : plan.pieces)
            json["boards"].push_back({{"left_m", piece.left.in_metres()},
                                      {"back_m", piece.back.in_metres()},
                                      {"front_m", piece.front.in_metres()}});
        json["back_cuts"] = Json::array();
        for (const BackCut& cut : plan.back_cuts)
            json["back_cuts"].push_back({{"at_m", cut.at.in_metres()}, {"off_m", cut.off.in_metres()}});
        json["strips"] = Json::array();
        for (const CleatPlan& cleat : plan.cleats) {
            json["strips"].push_back({{"wall", std::string{cleat.wall}},
                                      {"length_m", cleat.length.in_metres()},
                                      {"load_n", cleat.load},
                                      {"screws", cleat.screws},
                                      {"utilisation", used(cleat.utilisation)}});
            if (cleat.fixing)
                json["strips"].back()["fixing"] = fixing(*cleat.fixing);
        }
    }

    /// A bracket's holes by themselves, tier by tier; all holes of a plate together; of a cleat each screw.
    Json groups(const ShelfPlan& plan) const {
        Json groups = Json::array();
        const auto held = [&](const PlannedHole& hole) {
            return HeldHole{hole.x,       hole.z,        plan.brackets[hole.place].substrate,
                            hole.demands, hole.strength, hole.utilisation,
                            hole.fixing};
        };
        if (!plan.plate_loads.empty()) {
            std::vector<HeldHole> holes;
            std::optional<Fixing> fixing;
            for (const PlannedHole& hole : plan.holes)
                if (carries(plan.brackets[hole.place].substrate)) {
                    holes.push_back(held(hole));
                    fixing = plan.brackets[hole.place].fixing;
                }
            groups.push_back(group("plate", plan.plate_edge, plan.plate_loads, holes, fixing, plan.plate_turns));
            return groups;
        }
        const auto rows_at = [&](std::size_t hole) {
            return plan.bracket && !plan.brackets[plan.holes[hole].place].let_in ? plan.bracket->hole_drops.size()
                                                                                 : std::size_t{1};
        };
        for (std::size_t from = 0, rows = 0; from < plan.holes.size(); from += rows) {
            rows = rows_at(from);
            if (rows == 0 || from + rows > plan.holes.size())
                break;
            std::vector<HeldHole> holes;
            for (std::size_t i = from; i < from + rows; ++i)
                holes.push_back(held(plan.holes[i]));
            const PlannedHole& top = plan.holes[from];
            const BracketPlan& place = plan.brackets[top.place];
            const Length edge = place.let_in   ? top.z
                                : plan.bracket ? top.z + plan.bracket->hole_drops.front() - plan.bracket->leg
                                               : top.z - plan.cleat_breadth / 2;
            groups.push_back(group(std::to_string(top.place + 1), edge, place.loads, holes, place.fixing, place.turns));
        }
        return groups;
    }

    static std::string stands(const BracketPlan& plan) {
        return plan.hanger ? "hanger" : plan.other ? std::string{enum_name(plan.other->kind)} : "bracket";
    }

    Json support(std::size_t index, const BracketPlan& plan, const Tape& tape) const {
        Json json{{"number", index + 1},
                  {"x_m", plan.x.in_metres()},
                  {"x", say(along(tape, plan.x), voice_)},
                  {"hold", std::string{substrate_name(plan.substrate)}},
                  {"stands", stands(plan)},
                  {"pinned", plan.pinned},
                  {"reaction_n",
                   {{"greatest", plan.reaction.greatest},
                    {"sustained", plan.reaction.sustained},
                    {"least", plan.reaction.least}}},
                  {"tension_n", plan.tension},
                  {"shear_n", plan.shear},
                  {"fixing_utilisation", used(plan.fixing_utilisation)},
                  {"bracket_utilisation", used(plan.bracket_utilisation)}};
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
                {"utilisation", used(alternative.utilisation)},
                {"keeps_limits", alternative.keeps_limits},
                {"gives_up", gives_up}};
    }

private:
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

Json lengths_json(const std::vector<Length>& lengths) {
    Json json = Json::array();
    for (const Length length : lengths)
        json.push_back(length.in_metres());
    return json;
}

Json rail_json(const RunPiece& rail, const PlanWriter& writer) {
    const RailHold& hold = rail.hold;
    Json json{{"utilisation", used(hold.utilisation)}, {"screws_at_each", hold.screws}};
    if (hold.fixing)
        json["fixing"] = writer.fixing(*hold.fixing);
    json["hooks"] = Json::array();
    for (const LoadCase& hook : hold.loads)
        json["hooks"].push_back({{"at_m", hook.at_x}, {"down_n", hook.down}, {"moment_nm", hook.moment}});
    json["places"] = Json::array();
    for (const PlannedHole& place : hold.places)
        if (!place.demands.empty())
            json["places"].push_back({{"x_m", place.x.in_metres()},
                                      {"pull_n", place.demands.front().tension},
                                      {"down_n", place.demands.front().down},
                                      {"holds_n", {{"pull", place.strength.tension}, {"shear", place.strength.shear}}},
                                      {"utilisation", used(place.utilisation)}});
    return json;
}

// Names of the plan's own enumerations, none of which can be forgotten.
std::string_view json_name(IslandJoint::What what) {
    switch (what) {
    case IslandJoint::What::unit_to_frame:
        return "unit_to_frame";
    case IslandJoint::What::frame_to_cleat:
        return "frame_to_cleat";
    case IslandJoint::What::side_to_cleat:
        return "side_to_cleat";
    case IslandJoint::What::cleat_to_floor:
        return "cleat_to_floor";
    }
    return {};
}
std::string_view json_name(RunPiece::What what) {
    switch (what) {
    case RunPiece::What::worktop:
        return "worktop";
    case RunPiece::What::plinth:
        return "plinth";
    case RunPiece::What::suspension_rail:
        return "suspension_rail";
    case RunPiece::What::ledger:
        return "ledger";
    case RunPiece::What::channel:
        return "channel";
    }
    return {};
}

Json island_json(const IslandHold& hold, const PlanWriter& writer) {
    Json json{{"from_m", hold.from.in_metres()},
              {"to_m", hold.to.in_metres()},
              {"frame_height_m", hold.frame_height.in_metres()},
              {"frame_depth_m", hold.frame_depth.in_metres()},
              {"over_nm", hold.over},
              {"righting_nm", hold.righting},
              {"lever_m", hold.lever.in_metres()},
              {"pull_n", hold.pull},
              {"screws_for_each_unit", hold.screws}};
    json["joints"] = Json::array();
    for (const IslandJoint& joint : hold.joints) {
        Json one{{"what", std::string{json_name(joint.what)}}, {"utilisation", used(joint.used)}};
        if (joint.fixing)
            one["fixing"] = writer.fixing(*joint.fixing);
        json["joints"].push_back(std::move(one));
    }
    return json;
}

Json run_json(const RunPlan& run, const PlanWriter& writer) {
    Json json{{"id", run.id},
              {"name", run.name},
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
        json["units"].push_back(writer.unit(unit));
    json["pieces"] = Json::array();
    for (const RunPiece& piece : run.pieces)
        json["pieces"].push_back({{"what", std::string{json_name(piece.what)}},
                                  {"from_m", piece.from.in_metres()},
                                  {"to_m", piece.to.in_metres()},
                                  {"z_m", piece.z.in_metres()},
                                  {"breadth_m", piece.breadth.in_metres()},
                                  {"cuts_m", lengths_json(piece.cuts)},
                                  {"joints_m", lengths_json(piece.joints)},
                                  {"fixings_m", lengths_json(piece.fixings)}});
    for (std::size_t i = 0; i < run.pieces.size(); ++i)
        if (const RunPiece& piece = run.pieces[i]; piece.what == RunPiece::What::suspension_rail)
            json["pieces"][i]["hold"] = rail_json(piece, writer);
    json["islands"] = Json::array();
    for (const IslandHold& hold : run.islands)
        json["islands"].push_back(island_json(hold, writer));
    json["scribes"] = Json::array();
    for (const Scribe& scribe : run.scribes) {
        Json cuts = Json::array();
        for (const ScribeCut& cut : scribe.cuts)
            cuts.push_back({{"z_m", cut.at.in_metres()}, {"width_m", cut.width.in_metres()}});
        json["scribes"].push_back({{"unit", scribe.unit}, {"to_face", scribe.to_face}, {"cuts", cuts}});
    }
    writer.told(json, run);
    return json;
}

} // namespace

std::string plan_json(const Job& job, const Plan& plan, const Voice& voice) {
    const PlanWriter writer{voice};
    Json document{
        {"format", "yes-square plan"},
        {"version", 1},
        {"job", job.title},
        {"timber_joints_by", std::string{enum_name(job.rules.timber)}},
        {"units",
         "SI: m, N, N m, kg, N/m; x from a wall's left end, z above the datum; texts beside them as its tape reads"}};
    document["walls"] = Json::array();
    for (std::size_t i = 0; i < plan.walls.size(); ++i) {
        Json wall{{"id", plan.walls[i]->wall_id},
                  {"name", job.walls[i].name},
                  {"measured_from", std::string{enum_name(job.walls[i].measured_from)}}};
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
                                        {"fixings", nogging.holds.size()},
                                        {"screws_each_end", nogging.screws},
                                        {"end_n", nogging.end_load.in_si()},
                                        {"ends_used", used(nogging.ends)}});
        write_furniture(wall, *plan.walls[i], writer);
        write_day(wall, *plan.walls[i], writer);
        document["walls"].push_back(std::move(wall));
    }
    document["inventory"] = Json::array();
    for (const InventoryRow& row : inventory(job, plan))
        document["inventory"].push_back({{"wall", row.wall},
                                         {"name", row.name},
                                         {"height_m", row.height.in_metres()},
                                         {"kg", row.mass},
                                         {"verdict", std::string{words(row.verdict)}},
                                         {"held_by", std::string{row.held_by}},
                                         {"places", row.places},
                                         {"each_n", finite(row.each)}});
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
    write_job_day(document, job, plan, voice);
    return document.dump(2) + "\n";
}

std::string checks_json(const Job& job, const Plan& plan, const Voice& voice) {
    const JsonParts writer{voice};
    Json document{{"format", "yes-square checks"},
                  {"version", 1},
                  {"units", "SI; x from a wall's left end, z above the datum"},
                  {"errors", count_checks(plan, Severity::error)},
                  {"checks", Json::array()}};
    for (const OwnedCheck& owned : all_checks(plan, job)) {
        Json check{{"wall", owned.place}, {"wall_id", owned.wall}, {"of", owned.owner}, {"id", owned.thing}};
        check.update(writer.check(*owned.check));
        document["checks"].push_back(std::move(check));
    }
    return document.dump(2) + "\n";
}

} // namespace yes_square
