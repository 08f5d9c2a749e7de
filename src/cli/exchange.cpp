#include "cli/exchange.hpp"

#include "cli/job_files.hpp"
#include "core/cutting/delivery.hpp"
#include "core/job/edits.hpp"
#include "core/job/file.hpp"
#include "core/pocket/take_pocket.hpp"
#include "core/reckon/reckon.hpp"
#include "core/runs/unit_library.hpp"
#include "core/survey/readings_csv.hpp"
#include "files/dxf_in.hpp"
#include "files/export_job.hpp"
#include "files/job_book.hpp"
#include "language/language.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <iostream>
#include <nlohmann/json.hpp>

namespace yes_square::cli {
namespace {

using Json = nlohmann::ordered_json;

Wall* find_wall(Job& job, const std::string& name) {
    const auto found =
        std::ranges::find_if(job.walls, [&](const Wall& wall) { return wall.id == name || wall.name == name; });
    return found == job.walls.end() ? nullptr : &*found;
}

std::string format_names() {
    std::string names;
    for (const ExportFormat& format : export_formats())
        names += fmt::format("{}{}", names.empty() ? "" : ", ", format.name);
    return names;
}

} // namespace

std::string format_help() {
    std::string words;
    for (const ExportFormat& format : export_formats())
        words += fmt::format("{}{} ({})", words.empty() ? "" : ", ", format.name, format.words);
    return words + "; all where none is named";
}

int export_files(const ExportWanted& wanted) {
    std::vector<ExportFormat> formats;
    for (const std::string& name : wanted.formats) {
        const auto known = std::ranges::find(export_formats(), name, &ExportFormat::name);
        if (known == export_formats().end())
            return fail(fmt::format("{} is no format; it must be one of {}", name, format_names()));
        formats.push_back(*known);
    }
    if (formats.empty())
        formats = export_formats();
    const auto job = load(wanted.job, wanted.unit);
    if (!job)
        return bad_input;
    const ExportDone done = export_job({*job, reckon(*job), voice(job->unit)}, wanted.folder, formats);
    for (const std::string& problem : done.problems)
        std::cerr << problem << "\n";
    if (wanted.as_json)
        std::cout << Json{{"format", "yes-square export"}, {"version", 1}, {"written", done.written}}.dump(2) << "\n";
    return done.problems.empty() ? 0 : bad_input;
}

int import_files(const ImportWanted& wanted) {
    const std::string to = wanted.to.empty() ? wanted.job : wanted.to;
    if (wanted.as_json && to == standard_stream)
        return fail(both_want_output);
    Json taken{{"format", "yes-square import"}, {"version", 1}, {"job", to}};
    auto job = load(wanted.job);
    if (!job)
        return bad_input;
    Wall* wall = wanted.wall.empty() ? nullptr : find_wall(*job, wanted.wall);
    if (!wanted.wall.empty() && !wall && wanted.dxf.empty())
        return fail(fmt::format("{}: there is no wall \"{}\"", wanted.job, wanted.wall));
    if (!wanted.dxf.empty()) {
        auto drawn = wall_from_dxf(wanted.dxf);
        if (!drawn)
            return fail(drawn.error());
        if (!wall) {
            if (job->rooms.empty()) {
                Room& room = job->rooms.emplace_back();
                room.id = fresh_id(*job, "room");
                room.name = "Room";
            }
            Wall fresh;
            fresh.id = fresh_id(*job, "wall");
            fresh.name = wanted.wall.empty() ? "Wall " + std::to_string(job->walls.size() + 1) : wanted.wall;
            fresh.room = job->rooms.front().id;
            job->walls.push_back(std::move(fresh));
            wall = &job->walls.back();
        }
        taken["layers_left_alone"] = drawn->unread;
        for (const std::string& layer : drawn->unread)
            std::cerr << fmt::format("{}: layer {} is not known and was left alone\n", wanted.dxf, layer);
        take_outline(*wall, std::move(drawn->wall));
        taken["outline_of"] = wall->id;
    }
    if (!wanted.survey.empty()) {
        if (!wall)
            return fail("--survey wants --wall: the id or name of the wall that was read");
        const auto text = read_text(wanted.survey);
        if (!text)
            return bad_input;
        const auto added = add_readings_csv(*text, *wall);
        if (!added)
            return fail(wanted.survey + ": " + added.error());
        taken["readings"] = *added;
    }
    if (!wanted.units.empty()) {
        const auto text = read_text(wanted.units);
        if (!text)
            return bad_input;
        auto units = units_from_csv(*text, job->unit);
        if (!units)
            return fail(wanted.units + ": " + units.error());
        taken["units"] = units->size();
        job->catalogue.units = std::move(*units);
    }
    if (!wanted.packing_list.empty()) {
        const auto text = read_text(wanted.packing_list);
        if (!text)
            return bad_input;
        auto list = packing_list_from_csv(*text);
        if (!list)
            return fail(wanted.packing_list + ": " + list.error());
        taken["delivered"] = list->size();
        job->delivery = std::move(*list);
    }
    if (!wanted.pocket.empty()) {
        const auto text = read_text(wanted.pocket);
        if (!text)
            return bad_input;
        const auto given = take_pocket(*job, reckon(*job), *text);
        if (!given)
            return fail(wanted.pocket + ": " + given.error());
        taken["pocket"] = {{"ticks", given->ticks},
                           {"holes", given->holes},
                           {"readings", given->readings},
                           {"notes", given->notes},
                           {"gone", given->gone}};
    }
    if (!save(to, *job))
        return bad_input;
    if (wanted.as_json)
        std::cout << taken.dump(2) << "\n";
    return 0;
}

int search_book(const BookWanted& wanted) {
    auto book = JobBook::open(wanted.book);
    if (!book)
        return fail(book.error());
    if (!wanted.folder.empty())
        for (const std::string& problem : book->rebuild(wanted.folder).unreadable)
            std::cerr << problem << "\n";
    BookQuery query;
    query.words = wanted.words;
    query.kind = wanted.kind;
    query.from = wanted.from;
    query.until = wanted.until;
    const std::vector<BookEntry> found = book->search(query);
    if (wanted.as_json) {
        Json jobs = Json::array();
        for (const BookEntry& entry : found)
            jobs.push_back({{"path", entry.path},
                            {"title", entry.title},
                            {"client", entry.client},
                            {"place", entry.place},
                            {"last", entry.last},
                            {"walls", entry.walls},
                            {"found", entry.found}});
        std::cout << Json{{"format", "yes-square book"}, {"version", 1}, {"jobs", jobs}}.dump(2) << "\n";
        return 0;
    }
    for (const BookEntry& entry : found)
        std::cout << fmt::format("{}\t{}\t{}\t{}\t{}\n", entry.path, entry.title, entry.client, entry.last,
                                 entry.found);
    return 0;
}

} // namespace yes_square::cli
