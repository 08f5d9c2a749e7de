#include "core/sheets/day_json.hpp"

#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/kit.hpp"
#include "core/cutting/worked_parts.hpp"
#include "core/feeds/lead.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/fields.hpp"
#include "core/steps/day_schedule.hpp"

namespace yes_square {

namespace {

Json holes_json(const std::vector<LeadHole>& holes) {
    Json json = Json::array();
    for (const LeadHole& hole : holes)
        json.push_back({{"unit", hole.unit},
                        {"through", std::string{words(hole.panel)}},
                        {"in_m", hole.in.in_metres()},
                        {"from_back_m", hole.from_back.in_metres()}});
    return json;
}

} // namespace

void write_day(Json& json, const WallPlan& plan, const JsonParts& parts) {
    const Voice& voice = parts.voice();
    json["wall_marks"] = Json::array();
    for (const WallMark& mark : marks_of(plan)) {
        Json each{{"item", mark.item},
                  {"what", say(mark.what, voice)},
                  {"x_m", mark.x.in_metres()},
                  {"z_m", mark.z.in_metres()},
                  {"above_floor_now_m", mark.above_now.in_metres()},
                  {"made", mark.made},
                  {"in_service_strip", mark.in_strip()}};
        if (mark.kind == MarkKind::level_line)
            each["to_x_m"] = mark.to_x.in_metres();
        json["wall_marks"].push_back(std::move(each));
    }
    json["lights"] = Json::array();
    for (const FeedPlan& feed : plan.feeds) {
        Json each{{"id", feed.id},
                  {"name", feed.name},
                  {"length_m", feed.length().in_metres()},
                  {"power_w", feed.watts},
                  {"current_a", feed.amps},
                  {"drivers", feed.drivers},
                  {"driver_w", feed.driver_watts}};
        if (feed.lead) {
            const LeadChoice& lead = feed.leads[*feed.lead];
            each["lead"] = enum_name(lead.conductor);
            each["drop_v"] = lead.drop_v;
            each["drop_share"] = lead.drop_share;
            each["least_light_at_m"] = feed.darkest.in_metres();
        }
        if (feed.driver) {
            each["driver_at"] = {
                {"place", enum_name(feed.driver->at)},         {"known", feed.driver->known},
                {"x_m", feed.driver->x.in_metres()},           {"z_m", feed.driver->z.in_metres()},
                {"lead_m", feed.driver->lead.in_metres()},     {"far_lead_m", feed.driver->far_lead.in_metres()},
                {"lead_holes", holes_json(feed.driver->holes)}};
        }
        if (feed.switched)
            each["switch_at"] = {{"known", feed.switched->known},
                                 {"x_m", feed.switched->x.in_metres()},
                                 {"z_m", feed.switched->z.in_metres()},
                                 {"lead_holes", holes_json(feed.switched->holes)}};
        parts.told(each, feed);
        json["lights"].push_back(std::move(each));
    }
    json["work_readings"] = Json::array();
    for (const ReadingPlan& reading : plan.readings) {
        Json corrections = Json::array();
        for (const Sentence& each : reading.corrections)
            corrections.push_back(say(each, voice));
        json["work_readings"].push_back({{"id", reading.reading_id},
                                         {"of", reading.item_name},
                                         {"off_m", reading.off.in_metres()},
                                         {"limit_m", reading.limit.in_metres()},
                                         {"error_m", reading.error.in_metres()},
                                         {"verdict", std::string{words(reading.verdict)}},
                                         {"corrections", std::move(corrections)}});
    }
    json["made_checks"] = Json::array();
    for (const Check& check : plan.checks)
        json["made_checks"].push_back(parts.check(check));
}

void write_job_day(Json& json, const Job& job, const Plan& plan, const Voice& voice) {
    const JobOrder order = job_order(job, plan);
    json["order"] = Json::array();
    for (const Task& task : order.tasks)
        json["order"].push_back({{"key", task.key},
                                 {"of", task.item_name},
                                 {"step", say(task.step.words, voice)},
                                 {"hold_point", task.step.hold_point},
                                 {"persons", task.step.persons},
                                 {"begins_min", task.begins},
                                 {"takes_min", task.minutes}});
    const DaySchedule schedule = day_schedule(job, order);
    json["days"] = {{"ends_s", schedule.ends},           {"least_end_s", schedule.least_end},
                    {"helper_s", schedule.helper_there}, {"least_helper_s", schedule.least_helper},
                    {"impossible", Json::array()},       {"steps", Json::array()}};
    for (const Sentence& each : schedule.impossible)
        json["days"]["impossible"].push_back(say(each, voice));
    for (const ScheduledTask& each : schedule.tasks)
        json["days"]["steps"].push_back({{"key", order.tasks[each.task].key},
                                         {"day", day_of(each.begins)},
                                         {"begins_s", each.begins},
                                         {"ends_s", each.ends},
                                         {"by", each.by},
                                         {"slack_s", each.slack}});
    json["worked_parts"] = Json::array();
    for (const WorkedPart& worked : worked_parts(job, plan)) {
        Json cuts = Json::array();
        for (const PartCut& cut : worked.part.work.cuts)
            cuts.push_back({{"kind", std::string{words(cut.kind)}},
                            {"from_m", cut.from.in_metres()},
                            {"in_m", cut.in.in_metres()},
                            {"along_m", cut.along.in_metres()},
                            {"across_m", cut.across.in_metres()},
                            {"depth_m", cut.depth.in_metres()},
                            {"passes", cut.passes},
                            {"mind", say(cut.mind, voice)}});
        json["worked_parts"].push_back({{"item", worked.part.item},
                                        {"labels", worked.labels},
                                        {"part", say(worked.part.name, voice)},
                                        {"face", std::string{worked.part.work.face}},
                                        {"from_end", std::string{worked.part.work.end}},
                                        {"from_edge", std::string{worked.part.work.edge}},
                                        {"cuts", std::move(cuts)}});
    }
    json["cutting"] = Json::array();
    for (const StuffPlan& stuff : cutting_plan(job, plan).stuffs) {
        Json parts = Json::array();
        for (const CutPiece& piece : stuff.pieces)
            parts.push_back({{"label", piece.label},
                             {"item", piece.item},
                             {"length_m", piece.length.in_metres()},
                             {"breadth_m", piece.breadth.in_metres()}});
        json["cutting"].push_back({{"stuff", stuff.stuff.words},
                                   {"thickness_m", stuff.stuff.thickness.in_metres()},
                                   {"parts", std::move(parts)},
                                   {"to_buy", stuff.bought()},
                                   {"proved", stuff.proved()}});
    }
    json["kit"] = Json::array();
    for (const KitLine& line : kit_of(job, plan).lines)
        json["kit"].push_back({{"item", line.item},
                               {"name", say(line.name, voice)},
                               {"wanted", line.wanted},
                               {"spares", line.spares},
                               {"packs", line.packs}});
}

} // namespace yes_square
