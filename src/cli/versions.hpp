#pragma once

#include <string>
#include <vector>

/// Two copies of one job, and a job in one file.
namespace yes_square::cli {

struct MergeWanted {
    std::string shared;
    std::string mine;
    std::string theirs;
    std::string to; ///< empty: over `mine`; -: to standard output
    bool take_theirs = false;
    bool as_json = false;
};

struct BundleWanted {
    std::string job;
    std::string to;
    std::vector<std::string> files; ///< to put into it beside the job and its photos
    bool as_json = false;
};

struct UnbundleWanted {
    std::string bundle;
    std::string folder; ///< made; must not be there
    bool as_json = false;
};

/// Prints what is different, a line each. Exit status 1 where anything is.
int compare_files(const std::string& before, const std::string& after, const std::string& unit, bool as_json);
/// Exit status 1 where something collided: what became of it is on the error stream.
int merge_files(const MergeWanted& wanted);
int bundle_files(const BundleWanted& wanted);
int unbundle_file(const UnbundleWanted& wanted);

} // namespace yes_square::cli
