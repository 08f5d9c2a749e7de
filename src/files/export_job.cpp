#include "files/export_job.hpp"

#include "core/cutting/cutting_plan.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"
#include "files/dxf_out.hpp"
#include "files/save_job.hpp"

#include <filesystem>
#include <fmt/format.h>

namespace yes_square {

std::vector<std::string> export_job(const Job& job, const Plan& plan, const Voice& voice, const std::string& folder,
                                    const std::set<ExportFormat>& formats) {
    std::vector<std::string> problems;
    std::error_code error;
    std::filesystem::create_directories(folder, error);
    if (error)
        return {folder + ": cannot be made: " + error.message()};
    const auto path = [&](const std::string& name) { return (std::filesystem::path{folder} / name).string(); };
    const auto put = [&](const std::string& name, const std::string& text) {
        if (std::string problem = write_whole(path(name), text); !problem.empty())
            problems.push_back(std::move(problem));
    };
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        const Wall& wall = job.walls[w];
        ElevationFrame frame;
        frame.width = 280;
        frame.height = 180;
        if (const Room* room = room_of(job, wall))
            frame.lines = plan.rooms[static_cast<std::size_t>(room - job.rooms.data())].lines.lines;
        const Elevation elevation = draw_elevation(wall, *plan.walls[w], frame, voice);
        if (formats.contains(ExportFormat::svg))
            put(wall.id + ".svg", svg(elevation.drawing, wall.name));
        if (formats.contains(ExportFormat::dxf))
            if (auto problem = write_dxf(path(wall.id + ".dxf"), elevation.drawing, elevation.scale,
                                         outline_of(wall, plan.walls[w]->survey.studs)))
                problems.push_back(std::move(*problem));
    }
    if (formats.contains(ExportFormat::svg)) {
        std::size_t number = 0;
        for (const StuffPlan& stuff : cutting_plan(job, plan).stuffs)
            put(fmt::format("cutting-{}.svg", ++number),
                svg(draw_cutting(stuff, job.rules.cutting.kerf, 260, 3, voice), stuff.stuff.words));
    }
    if (formats.contains(ExportFormat::csv))
        for (const Table& table : tables_of(job, plan))
            put(table.name + ".csv", csv(table));
    if (formats.contains(ExportFormat::json))
        put("plan.json", plan_json(job, plan, voice));
    return problems;
}

} // namespace yes_square
