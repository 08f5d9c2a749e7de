#include "files/export_job.hpp"

#include "files/save_job.hpp"

#include <filesystem>

namespace yes_square {

std::string ExportFolder::path(const std::string& name) const {
    return (std::filesystem::path{folder_} / name).string();
}

void ExportFolder::put(const std::string& name, const std::string& text) {
    if (std::string problem = write_whole(path(name), text); !problem.empty())
        report(std::move(problem));
}

const std::vector<ExportFormat>& export_formats() {
    static const std::vector<ExportFormat> all{svg_format(), dxf_format(), csv_format(), json_format()};
    return all;
}

std::vector<std::string> export_job(const Exported& what, const std::string& folder,
                                    const std::vector<ExportFormat>& formats) {
    std::error_code error;
    std::filesystem::create_directories(folder, error);
    if (error)
        return {folder + ": cannot be made: " + error.message()};
    ExportFolder to{folder};
    for (const ExportFormat& format : formats)
        format.write(what, to);
    return to.problems();
}

} // namespace yes_square
