#include "files/export_job.hpp"

#include "files/save_job.hpp"

#include <filesystem>

namespace yes_square {

std::string ExportFolder::path(const std::string& name) const {
    return (std::filesystem::path{folder_} / name).string();
}

void ExportFolder::put(const std::string& name, const std::string& text) {
    std::error_code unmade; // then the file cannot be written either, which is told
    std::filesystem::create_directories(std::filesystem::path{path(name)}.parent_path(), unmade);
    if (std::string problem = write_whole(path(name), text); !problem.empty())
        report(std::move(problem));
    else
        done_.written.push_back(path(name));
}

const std::vector<ExportFormat>& export_formats() {
    static const std::vector<ExportFormat> all{svg_format(),       dxf_format(),  csv_format(),
                                               csv_comma_format(), json_format(), pocket_format()};
    return all;
}

ExportDone export_job(const Exported& what, const std::string& folder, const std::vector<ExportFormat>& formats) {
    std::error_code error;
    std::filesystem::create_directories(folder, error);
    if (error)
        return {{}, {folder + ": cannot be made: " + error.message()}};
    ExportFolder to{folder};
    for (const ExportFormat& format : formats)
        format.write(what, to);
    return to.done();
}

} // namespace yes_square
