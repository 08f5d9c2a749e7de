#include "cli/exchange.hpp"

#include "cli/job_files.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/delivery.hpp"
#include "core/job/edits.hpp"
#include "core/job/file.hpp"
#include "core/plan/reckon.hpp"
#include "core/runs/unit_library.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"
#include "core/survey/readings_csv.hpp"
#include "files/dxf_in.hpp"
#include "files/dxf_out.hpp"
#include "files/job_book.hpp"

#include <algorithm>
#include <filesystem>
#include <fmt/format.h>
#include <iostream>

namespace yes_square::cli {
namespace {

int fail(const std::string& message) {
    std::cerr << message << "\n";
    return bad_input;
}

class Exporter {
public:
    Exporter(const ExportWanted& wanted, const Job& job)
        : wanted_{wanted}
        , job_{job}
        , plan_{reckon(job)}
        , voice_{job.unit, {}} {}

    int write() {
        std::error_code error;
        std::filesystem::create_directories(wanted_.folder, error);
        if (error)
            return fail(wanted_.folder + ": cannot be made: " + error.message());
        for (std::size_t w = 0; w < job_.walls.size(); ++w)
            wall(job_.walls[w], *plan_.walls[w]);
        if (is_wanted("svg")) {
            std::size_t number = 0;
            for (const StuffPlan& stuff : cutting_plan(job_, plan_).stuffs)
                put(fmt::format("cutting-{}.svg", ++number),
                    svg(draw_cutting(stuff, job_.rules.cutting.kerf, 260, 3, voice_), stuff.stuff.words));
        }
        if (is_wanted("csv"))
            for (const Table& table : tables_of(job_, plan_))
                put(table.name + ".csv", csv(table));
        if (is_wanted("json"))
            put("plan.json", plan_json(job_, plan_, voice_));
        return failed_ ? bad_input : 0;
    }

private:
    bool is_wanted(const std::string& format) const {
        return wanted_.formats.empty() || std::ranges::find(wanted_.formats, format) != wanted_.formats.end();
    }
    std::string path(const std::string& name) const { return (std::filesystem::path{wanted_.folder} / name).string(); }
    void put(const std::string& name, const std::string& text) { failed_ |= !write_text(path(name), text); }

    void wall(const Wall& wall, const WallPlan& plan) {
        ElevationFrame frame;
        frame.width = 280;
        frame.height = 180;
        if (const Room* room = room_of(job_, wall))
            frame.lines = plan_.rooms[static_cast<std::size_t>(room - job_.rooms.data())].lines.lines;
        const Elevation elevation = draw_elevation(wall, plan, frame, voice_);
        if (is_wanted("svg"))
            put(wall.id + ".svg", svg(elevation.drawing, wall.name));
        if (is_wanted("dxf"))
            if (const auto problem = write_dxf(path(wall.id + ".dxf"), elevation.drawing, elevation.scale)) {
                std::cerr << *problem << "\n";
                failed_ = true;
            }
    }

    const ExportWanted& wanted_;
    const Job& job_;
    const Plan plan_;
    const Voice voice_;
    bool failed_ = false;
};

Wall* find_wall(Job& job, const std::string& name) {
    const auto found =
        std::ranges::find_if(job.walls, [&](const Wall& wall) { return wall.id == name || wall.name == name; });
    return found == job.walls.end() ? nullptr : &*found;
}

/// What the drawing says of the wall, all else of it as it was.
void take_outline(Wall& wall, Wall drawn) {
    wall.length = drawn.length;
    wall.height = drawn.height;
    wall.openings = std::move(drawn.openings);
    wall.services = std::move(drawn.services);
    wall.obstacles = std::move(drawn.obstacles);
    if (!drawn.studs.empty())
        wall.studs = std::move(drawn.studs);
}

} // namespace

int export_files(const ExportWanted& wanted) {
    for (const std::string& format : wanted.formats)
        if (format != "svg" && format != "dxf" && format != "csv" && format != "json")
            return fail(format + " is no format; it must be svg, dxf, csv or json");
    const auto job = load(wanted.job);
    return job ? Exporter{wanted, *job}.write() : bad_input;
}

int import_files(const ImportWanted& wanted) {
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
        take_outline(*wall, std::move(*drawn));
    }
    if (!wanted.survey.empty()) {
        if (!wall)
            return fail("--survey wants --wall: the id or name of the wall that was read");
        const auto text = read_text(wanted.survey);
        if (!text)
            return bad_input;
        if (const auto added = add_readings_csv(*text, *wall); !added)
            return fail(wanted.survey + ": " + added.error());
    }
    if (!wanted.units.empty()) {
        const auto text = read_text(wanted.units);
        if (!text)
            return bad_input;
        auto units = units_from_csv(*text, job->unit);
        if (!units)
            return fail(wanted.units + ": " + units.error());
        job->catalogue.units = std::move(*units);
    }
    if (!wanted.packing_list.empty()) {
        const auto text = read_text(wanted.packing_list);
        if (!text)
            return bad_input;
        auto list = packing_list_from_csv(*text);
        if (!list)
            return fail(wanted.packing_list + ": " + list.error());
        job->delivery = std::move(*list);
    }
    return write_text(wanted.to.empty() ? wanted.job : wanted.to, write_job(*job)) ? 0 : bad_input;
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
    for (const BookEntry& entry : book->search(query))
        std::cout << fmt::format("{}\t{}\t{}\t{}\t{}\n", entry.path, entry.title, entry.client, entry.last,
                                 entry.found);
    return 0;
}

} // namespace yes_square::cli
