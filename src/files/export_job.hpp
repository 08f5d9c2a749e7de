#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <string>
#include <vector>

/// What leaves the program as files that other programs read. Each format is a file of this folder that ends by telling
/// itself; the command line, its help and the window ask the list.
namespace yes_square {

/// What came of it.
struct ExportDone {
    std::vector<std::string> written;  ///< paths
    std::vector<std::string> problems; ///< what went wrong, a line each
};

/// A folder being written into. Each file is there whole or not at all.
class ExportFolder {
public:
    explicit ExportFolder(std::string folder)
        : folder_{std::move(folder)} {}

    std::string path(const std::string& name) const;
    /// @param name  may be in a folder of its own, which is made
    void put(const std::string& name, const std::string& text);
    /// What went wrong, in words.
    void report(std::string problem) { done_.problems.push_back(std::move(problem)); }
    const ExportDone& done() const { return done_; }

private:
    std::string folder_;
    ExportDone done_;
};

/// What is written.
struct Exported {
    const Job& job;
    const Plan& plan;
    const Voice& voice;
};

struct ExportFormat {
    std::string_view name;  ///< on the command line: "svg"
    std::string_view words; ///< what it writes
    void (*write)(const Exported& what, ExportFolder& to);
};

/// In the order that help lists them.
const std::vector<ExportFormat>& export_formats();

/// Writes a job in some formats into a folder, which is made.
ExportDone export_job(const Exported& what, const std::string& folder,
                      const std::vector<ExportFormat>& formats = export_formats());

// One a format.
ExportFormat svg_format();
ExportFormat dxf_format();
ExportFormat csv_format();
ExportFormat csv_comma_format();
ExportFormat json_format();
ExportFormat pocket_format();

} // namespace yes_square
