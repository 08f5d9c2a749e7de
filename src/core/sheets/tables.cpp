#include "core/sheets/tables.hpp"

#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/delivery.hpp"
#include "core/cutting/kit.hpp"
#include "core/cutting/worked_parts.hpp"
#include "core/feeds/lead.hpp"
#include "core/fitting/as_found.hpp"
#include "core/job/fields.hpp"
#include "core/measure/csv_table.hpp"
#include "core/sheets/day_drawing.hpp"
#include "core/sheets/summary.hpp"
#include "core/stability/inventory.hpp"
#include "core/steps/day_schedule.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

std::string mm(Length length) {
    return fmt::format("{}", length.in_mm());
}
std::string figure(double value) {
    return fmt::format("{:.4g}", value);
}
template <class Figure>
requires is_physical<Figure> std::string figure(Figure value) {
    return figure(value.in_si());
}
template <class T>
std::string or_blank(const std::optional<T>& value) {
    return value ? figure(*value) : std::string{};
}

class Tabler {
public:
    Tabler(const Job& job, const Plan& plan)
        : job_{job}
        , plan_{plan} {}

    std::vector<Table> all() {
        return {marks(), studs(), fixings(), cut_list_table(), worked(), cutting(), kit(),   delivery(),
                steps(), days(),  checks(),  readings(),       log(),    tipping(), feeds(), lines()};
    }

private:
    std::string said(const Sentence& sentence) const { return say(sentence, voice_); }

    void each_wall(auto&& visit) const {
        for (std::size_t w = 0; w < job_.walls.size(); ++w)
            visit(job_.walls[w], *plan_.walls[w]);
    }

    Table marks() const {
        Table table{
            "marks", {"wall", "item", "what", "x_mm", "z_mm", "above_floor_now_mm", "holds_in", "fixing", "made"}, {}};
        each_wall([&](const Wall& wall, const WallPlan& plan) {
            for (const WallMark& mark : marks_of(plan))
                table.rows.push_back({wall.name, mark.item, said(mark.what), mm(mark.x), mm(mark.z), mm(mark.above_now),
                                      mark.kind == MarkKind::hole ? std::string{words(mark.substrate)} : "",
                                      mark.fixing ? mark.fixing->name : "", mark.made ? "yes" : "no"});
        });
        return table;
    }

    Table studs() const {
        Table table{"studs", {"wall", "centre_mm", "state", "uncertainty_mm"}, {}};
        each_wall([&](const Wall& wall, const WallPlan& plan) {
            for (const Stud& stud : plan.survey.studs)
                table.rows.push_back(
                    {wall.name, mm(stud.centre), std::string{enum_name(stud.state)}, mm(stud.uncertainty)});
        });
        return table;
    }

    Table fixings() const {
        Table table{"fixings",
                    {"wall", "item", "fixing", "length_mm", "hole_mm", "tape_at_mm", "in_wall_mm", "tension_n",
                     "shear_n", "provenance", "number"},
                    {}};
        each_wall([&](const Wall& wall, const WallPlan& plan) {
            for (const WallMark& mark : marks_of(plan)) {
                if (!mark.fixing)
                    continue;
                const Fixing& f = *mark.fixing;
                std::vector<std::string> row{wall.name,
                                             mark.item,
                                             f.name,
                                             mm(f.screw_length),
                                             mm(f.hole_diameter),
                                             mm(f.drill_depth),
                                             mm(f.penetration),
                                             figure(f.tension),
                                             figure(f.shear),
                                             source_text(f.source, voice_)};
                const auto same = std::ranges::find_if(
                    table.rows, [&](const auto& other) { return std::equal(row.begin(), row.end(), other.begin()); });
                if (same != table.rows.end()) {
                    same->back() = std::to_string(std::stoul(same->back()) + mark.screws);
                    continue;
                }
                row.push_back(std::to_string(mark.screws));
                table.rows.push_back(std::move(row));
            }
        });
        return table;
    }

    Table cut_list_table() const {
        Table table{
            "cut-list", {"label", "part", "stuff", "length_mm", "breadth_mm", "thickness_mm", "wall", "mind"}, {}};
        for (const CutPiece& piece : cut_list(job_, plan_))
            table.rows.push_back({piece.label, said(piece.name), piece.stuff.words, mm(piece.length), mm(piece.breadth),
                                  mm(piece.stuff.thickness), piece.wall, said(piece.mind)});
        return table;
    }

    /// What is done to the parts on the bench: a router and saw schedule.
    Table worked() const {
        Table table{"bench-work",
                    {"labels", "part", "cut", "from", "from_mm", "edge", "in_mm", "along_mm", "across_mm", "deep_mm",
                     "passes", "mind"},
                    {}};
        for (const WorkedPart& worked : worked_parts(job_, plan_)) {
            std::string labels;
            for (const std::string& label : worked.labels)
                labels += (labels.empty() ? "" : " ") + label;
            const PartWork& work = worked.part.work;
            for (const PartCut& cut : work.cuts)
                table.rows.push_back({labels, said(worked.part.name), std::string{words(cut.kind)},
                                      std::string{work.end}, mm(cut.from), std::string{work.edge}, mm(cut.in),
                                      mm(cut.along), mm(cut.across), mm(cut.depth), std::to_string(cut.passes),
                                      said(cut.mind)});
        }
        return table;
    }

    Table cutting() const {
        Table table{"cutting-plan",
                    {"stuff", "stock", "stock_length_mm", "stock_breadth_mm", "part", "at_mm", "across_mm", "length_mm",
                     "breadth_mm"},
                    {}};
        for (const StuffPlan& stuff : cutting_plan(job_, plan_).stuffs) {
            for (std::size_t b = 0; b < stuff.bars.bars.size(); ++b) {
                const Bar& bar = stuff.bars.bars[b];
                Length at;
                for (const std::size_t p : bar.pieces) {
                    table.rows.push_back({stuff.stuff.words, std::to_string(b + 1), mm(stuff.stock[bar.stock].length),
                                          mm(stuff.stuff.breadth), stuff.pieces[p].label, mm(at), "0",
                                          mm(stuff.pieces[p].length), mm(stuff.pieces[p].breadth)});
                    at += stuff.pieces[p].length + job_.rules.cutting.kerf;
                }
            }
            for (std::size_t s = 0; s < stuff.sheet_plan.sheets.size(); ++s)
                for (const PlacedPiece& piece : stuff.sheet_plan.sheets[s].pieces) {
                    const Stock& stock = stuff.stock[stuff.sheet_plan.sheets[s].stock];
                    table.rows.push_back({stuff.stuff.words, std::to_string(s + 1), mm(stock.length), mm(stock.breadth),
                                          stuff.pieces[piece.piece].label, mm(piece.x), mm(piece.y), mm(piece.length),
                                          mm(piece.breadth)});
                }
        }
        return table;
    }

    Table kit() const {
        Table table{
            "kit", {"group", "item", "name", "wanted", "spares", "on_hand", "pack", "packs_to_buy", "price"}, {}};
        for (const KitLine& line : kit_of(job_, plan_).lines)
            table.rows.push_back({std::string{words(line.group)}, line.item, said(line.name),
                                  std::to_string(line.wanted), std::to_string(line.spares),
                                  std::to_string(line.on_hand), std::to_string(line.pack), std::to_string(line.packs),
                                  or_blank(line.price)});
        return table;
    }

    Table delivery() const {
        Table table{"delivery", {"code", "name", "listed", "received", "sound", "note"}, {}};
        for (const DeliveryLine& line : job_.delivery)
            table.rows.push_back({line.code, line.name, std::to_string(line.listed),
                                  std::string{enum_name(line.received)}, std::to_string(line.sound), line.note});
        return table;
    }

    Table steps() const {
        Table table{"steps",
                    {"number", "key", "wall", "thing", "step", "hold_point", "persons", "begins_min", "takes_min",
                     "state", "at", "by"},
                    {}};
        for (const Task& task : job_order(job_, plan_).tasks) {
            const Tick* tick = find_tick(job_, task.key);
            table.rows.push_back({std::to_string(table.rows.size() + 1), task.key, task.wall, task.item_name,
                                  said(task.step.words), task.step.hold_point ? "yes" : "no",
                                  std::to_string(task.step.persons), figure(task.begins), figure(task.minutes),
                                  tick ? std::string{enum_name(tick->state)} : "", tick ? tick->at : "",
                                  tick ? tick->by : ""});
        }
        return table;
    }

    /// Who does what when.
    Table days() const {
        Table table{"days", {"day", "begins", "ends", "who", "thing", "step", "slack_min"}, {}};
        const JobOrder order = job_order(job_, plan_);
        const DaySchedule schedule = day_schedule(job_, order);
        for (const ScheduledTask& each : schedule.tasks) {
            const Task& task = order.tasks[each.task];
            std::string who;
            for (const std::size_t person : each.by)
                who += (who.empty() ? "" : ", ") + said(person_words(schedule, person));
            table.rows.push_back({std::to_string(day_of(each.begins)), clock(each.begins), clock(each.ends), who,
                                  task.item_name, said(task.step.words), figure(static_cast<double>(each.slack) / 60)});
        }
        return table;
    }

    Table checks() const {
        Table table{"checks", {"severity", "place", "owner", "code", "message"}, {}};
        for (const OwnedCheck& owned : all_checks(plan_, job_))
            table.rows.push_back({std::string{name(owned.check->severity)}, std::string{owned.place},
                                  std::string{owned.owner}, std::string{owned.check->code.name()},
                                  said(owned.check->message)});
        return table;
    }

    Table readings() const {
        Table table{
            "readings",
            {"wall", "of", "kind", "found", "off_mm", "limit_mm", "error_mm", "verdict", "correction", "at", "by"},
            {}};
        each_wall([&](const Wall& wall, const WallPlan& plan) {
            for (std::size_t i = 0; i < plan.readings.size(); ++i) {
                const ReadingPlan& reading = plan.readings[i];
                const WorkReading& read = wall.work_readings[i];
                std::string corrections;
                for (const Sentence& each : reading.corrections)
                    corrections += (corrections.empty() ? "" : "; ") + said(each);
                table.rows.push_back({wall.name, reading.item_name, std::string{enum_name(read.kind)},
                                      said(reading.found), mm(reading.off), mm(reading.limit), mm(reading.error),
                                      std::string{words(reading.verdict)}, corrections, read.at, read.by});
            }
        });
        return table;
    }

    Table log() const {
        Table table{"log", {"at", "by", "kind", "item", "words", "file", "sha256"}, {}};
        for (const LogEntry& entry : job_.log)
            table.rows.push_back({entry.at, entry.by, std::string{enum_name(entry.kind)}, entry.item, entry.words,
                                  entry.file, entry.sha256});
        return table;
    }

    Table tipping() const {
        Table table{"tipping", {"wall", "piece", "height_mm", "kg", "verdict", "held_by", "places", "each_n"}, {}};
        for (const InventoryRow& row : inventory(job_, plan_))
            table.rows.push_back({row.wall, row.name, mm(row.height), figure(row.mass), std::string{words(row.verdict)},
                                  std::string{row.held_by}, std::to_string(row.places), or_blank(row.each)});
        return table;
    }

    Table feeds() const {
        Table table{
            "feeds",
            {"wall", "feed", "length_mm", "watts", "amps", "lead", "drop_v", "drop_share", "drivers", "driver_watts"},
            {}};
        each_wall([&](const Wall& wall, const WallPlan& plan) {
            for (const FeedPlan& feed : plan.feeds) {
                const LeadChoice* lead = feed.lead ? &feed.leads[*feed.lead] : nullptr;
                table.rows.push_back({wall.name, feed.name, mm(feed.length()), figure(feed.watts), figure(feed.amps),
                                      lead ? std::string{properties(lead->conductor).words} : "",
                                      lead ? figure(lead->drop_v) : "", lead ? figure(lead->drop_share) : "",
                                      std::to_string(feed.drivers), figure(feed.driver_watts)});
            }
        });
        return table;
    }

    Table lines() const {
        Table table{"lines", {"room", "line", "z_mm", "set_by"}, {}};
        for (std::size_t r = 0; r < job_.rooms.size(); ++r)
            for (const LinePlan& line : plan_.rooms[r].lines.lines)
                table.rows.push_back({job_.rooms[r].name, line.name, mm(line.z), line.set_by});
        return table;
    }

    const Job& job_;
    const Plan& plan_;
    const Voice voice_{Unit::mm_tenths, {}};
};

} // namespace

std::vector<Table> tables_of(const Job& job, const Plan& plan) {
    return Tabler{job, plan}.all();
}

std::string csv(const Table& table, CsvFigures figures) {
    std::string text = csv_line(table.headings, figures);
    for (const auto& row : table.rows)
        text += csv_line(row, figures);
    return text;
}

} // namespace yes_square
