#include "core/pocket/take_pocket.hpp"

#include "core/fitting/as_found.hpp"
#include "core/job/edits.hpp"
#include "core/job/fields.hpp"
#include "core/measure/entry.hpp"
#include "core/steps/job_order.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <set>

namespace yes_square {
namespace {

using nlohmann::json;

/// What is wrong in the file, and where.
struct Refused {
    std::string why;
};

class PocketReader {
public:
    PocketReader(Job& job, const Plan& plan)
        : job_{job}
        , plan_{plan} {
        for (std::size_t w = 0; w < job.walls.size(); ++w)
            walks_.push_back(walk_wall(*plan.walls[w], job.rules.fitting));
        for (const Task& task : job_order(job, plan).tasks)
            steps_.insert(task.key);
    }

    PocketTaken take(std::string_view file) {
        const json document = json::parse(file, nullptr, false);
        if (document.is_discarded() || !document.is_object() || document.value("format", json{}) != "yes-square pocket")
            throw Refused{"this is no file of a pocket sheet: take the one that its Give back made"};
        if (document.value("version", json{}) != 1)
            throw Refused{"this was made by a newer Yes Square: take it in there"};
        by_ = text(document, "by", "");
        each(document, "ticks", [&](const json& tick, const std::string& where) {
            take_tick(text(tick, "key", where), time(tick, where));
        });
        each(document, "notes", [&](const json& note, const std::string& where) {
            taken_.notes += log(time(note, where), text(note, "wall", where), text(note, "words", where));
        });
        each(document, "readings",
             [&](const json& reading, const std::string& where) { take_reading(reading, where); });
        return taken_;
    }

private:
    static void each(const json& document, const char* name, auto&& look) {
        const auto list = document.find(name);
        if (list == document.end() || !list->is_array())
            throw Refused{fmt::format("{}: there is no such list in it", name)};
        for (std::size_t i = 0; i < list->size(); ++i)
            look((*list)[i], fmt::format("{}[{}]", name, i));
    }

    static std::string text(const json& part, const char* name, const std::string& where) {
        const std::string place = where.empty() ? name : fmt::format("{}.{}", where, name);
        if (!part.is_object() || !part.contains(name) || !part[name].is_string())
            throw Refused{fmt::format("{}: words are wanted there", place)};
        return part[name].get<std::string>();
    }

    /// "2026-03-05T14:20:00Z"
    static std::string time(const json& part, const std::string& where) {
        constexpr std::string_view like = "0000-00-00T00:00:00Z";
        const std::string at = text(part, "at", where);
        const bool is_time = at.size() == like.size() && std::ranges::equal(at, like, [](char c, char wanted) {
                                 return wanted == '0' ? c >= '0' && c <= '9' : c == wanted;
                             });
        if (!is_time)
            throw Refused{fmt::format("{}.at: {} is no time; it is written {}", where, at, "2026-03-05T14:20:00Z")};
        return at;
    }

    /// A line in the logbook. @return 1, or 0 where it stands there already
    std::size_t log(std::string at, std::string item, std::string words) {
        LogEntry entry;
        entry.at = std::move(at);
        entry.by = by_;
        entry.item = std::move(item);
        entry.words = std::move(words);
        if (std::ranges::find(job_.log, entry) != job_.log.end())
            return 0;
        job_.log.push_back(std::move(entry));
        return 1;
    }

    void take_tick(const std::string& key, const std::string& at) {
        const Tick* before = find_tick(job_, key);
        if (before && before->state != TickState::begun)
            return;
        const Stamp stamp{at, by_};
        for (std::size_t w = 0; w < walks_.size(); ++w)
            for (const WallPass& pass : walks_[w])
                for (const WallMark& mark : pass.marks)
                    if (tick_key(mark, pass) == key) {
                        ++taken_.ticks;
                        tick(job_, key, TickState::done, stamp);
                        if (pass.drill && all_drilled(walks_[w], mark)) {
                            ++taken_.holes;
                            record_hole(job_, plan_, job_.walls[w].id, mark, stamp);
                        }
                        return;
                    }
        if (steps_.contains(key)) {
            ++taken_.ticks;
            tick(job_, key, TickState::done, stamp);
            return;
        }
        taken_.gone += log(at, "", fmt::format("Ticked on a pocket sheet, and no longer in the plan: {}", key));
    }

    /// Whether every walk that a hole takes is ticked.
    bool all_drilled(const std::vector<WallPass>& walk, const WallMark& mark) const {
        return std::ranges::all_of(walk, [&](const WallPass& pass) {
            const bool takes_it = pass.drill && std::ranges::any_of(pass.marks, [&](const WallMark& other) {
                                      return other.key() == mark.key();
                                  });
            return !takes_it || is_done(job_, tick_key(mark, pass));
        });
    }

    Length length(const json& part, const char* name, const std::string& where) const {
        const std::string typed = text(part, name, where);
        const auto read = parse_length(typed, job_.unit);
        if (!read || *read < Length{})
            throw Refused{fmt::format("{}.{}: {} is no length: {}", where, name, typed,
                                      read ? "it is less than nothing" : read.error().text())};
        return *read;
    }

    template <class Enum>
    static Enum one_of(const json& part, const char* name, const std::string& where) {
        const std::string told = text(part, name, where);
        for (const auto& row : enum_names<Enum>())
            if (row.name == told)
                return row.value;
        throw Refused{fmt::format("{}.{}: {} is not known", where, name, told)};
    }

    void take_reading(const json& part, const std::string& where) {
        WorkReading reading;
        reading.kind = one_of<ReadingKind>(part, "kind", where);
        if (reading.kind != ReadingKind::level && reading.kind != ReadingKind::plumb)
            throw Refused{fmt::format("{}.kind: a pocket sheet takes level and plumb", where)};
        reading.item = text(part, "item", where);
        reading.off_at = one_of<OffAt>(part, "off_at", where);
        reading.off = length(part, "off", where);
        reading.over = length(part, "over", where);
        if (reading.over <= Length{})
            throw Refused{fmt::format("{}.over: a level has a length", where)};
        reading.at = time(part, where);
        reading.by = by_;
        const auto wall = wall_of(reading.item);
        if (!wall) {
            taken_.gone +=
                log(reading.at, "",
                    fmt::format("Read on a pocket sheet, of what is no longer there: {}, {} over {}", reading.item,
                                format(reading.off, job_.unit), format(reading.over, job_.unit)));
            return;
        }
        auto& readings = job_.walls[*wall].work_readings;
        const bool known = std::ranges::any_of(readings, [&](WorkReading other) {
            other.id.clear();
            return other == reading;
        });
        if (known)
            return;
        reading.id = fresh_id(job_, "reading");
        readings.push_back(std::move(reading));
        ++taken_.readings;
    }

    std::optional<std::size_t> wall_of(const std::string& item) const {
        for (std::size_t w = 0; w < plan_.walls.size(); ++w) {
            bool here = false;
            for_each_thing(*plan_.walls[w], [&](const ThingPlan& thing) { here |= thing.id == item; });
            if (here)
                return w;
        }
        return std::nullopt;
    }

    Job& job_;
    const Plan& plan_;
    std::string by_;
    PocketTaken taken_;
    std::vector<std::vector<WallPass>> walks_;
    std::set<std::string> steps_;
};

} // namespace

tl::expected<PocketTaken, std::string> take_pocket(Job& job, const Plan& plan, std::string_view file) {
    Job changed = job;
    try {
        const PocketTaken taken = PocketReader{changed, plan}.take(file);
        job = std::move(changed);
        return taken;
    } catch (const Refused& refused) {
        return tl::unexpected{refused.why};
    }
}

} // namespace yes_square
