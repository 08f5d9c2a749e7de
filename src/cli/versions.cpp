#include "cli/versions.hpp"

#include "cli/job_files.hpp"
#include "core/versions/compare_jobs.hpp"
#include "core/versions/merge_jobs.hpp"
#include "files/beside_job.hpp"
#include "files/bundle.hpp"
#include "language/language.hpp"

#include <filesystem>
#include <fmt/format.h>
#include <iostream>
#include <nlohmann/json.hpp>

namespace yes_square::cli {
namespace {

using Json = nlohmann::ordered_json;

} // namespace

int compare_files(const std::string& before, const std::string& after, const std::string& unit, bool as_json) {
    const auto old = load(before, unit);
    const auto now = load(after, unit);
    if (!old || !now)
        return bad_input;
    const auto changes = changes_between(*old, *now, voice(now->unit));
    Json all = Json::array();
    for (const JobChange& change : changes) {
        const std::string what = change.label.empty() ? change.where : change.where + ", " + change.label;
        if (as_json)
            all.push_back({{"path", change.path},
                           {"where", change.where},
                           {"what", change.label},
                           {"before", change.before},
                           {"after", change.after}});
        else
            std::cout << fmt::format("{}: {} -> {}\n", what, change.before.empty() ? "not there" : change.before,
                                     change.after.empty() ? "gone" : change.after);
    }
    if (as_json)
        std::cout << all.dump(1) << "\n";
    return changes.empty() ? 0 : has_errors;
}

int merge_files(const MergeWanted& wanted) {
    const std::string to = wanted.to.empty() ? wanted.mine : wanted.to;
    if (wanted.as_json && to == standard_stream)
        return fail(both_want_output);
    const auto shared = load(wanted.shared);
    const auto mine = load(wanted.mine);
    const auto theirs = load(wanted.theirs);
    if (!shared || !mine || !theirs)
        return bad_input;
    auto merged = merge_jobs(*shared, *mine, *theirs, {}, voice(mine->unit));
    if (merged && wanted.take_theirs) {
        std::set<std::string> all;
        for (const Collision& collision : merged->collisions)
            all.insert(collision.path);
        merged = merge_jobs(*shared, *mine, *theirs, all, voice(mine->unit));
    }
    if (!merged)
        return fail("they cannot be brought together: " + merged.error().text());
    Json collisions = Json::array();
    for (const Collision& collision : merged->collisions) {
        std::cerr << fmt::format("{}; took what was {}\n", say(words(collision), voice(mine->unit)),
                                 wanted.take_theirs ? "there" : "here");
        collisions.push_back({{"path", collision.path},
                              {"where", collision.where},
                              {"what", collision.label},
                              {"shared", collision.shared},
                              {"mine", collision.mine},
                              {"theirs", collision.theirs},
                              {"took", wanted.take_theirs ? "theirs" : "mine"}});
    }
    if (!save(to, merged->job))
        return bad_input;
    if (wanted.as_json)
        std::cout << Json{{"format", "yes-square merge"}, {"version", 1}, {"job", to}, {"collisions", collisions}}.dump(
                         2)
                  << "\n";
    return merged->collisions.empty() ? 0 : has_errors;
}

int bundle_files(const BundleWanted& wanted) {
    namespace fs = std::filesystem;
    const auto read = load(wanted.job);
    if (!read)
        return bad_input;
    const std::string name = wanted.job == standard_stream ? "job" : fs::path{wanted.job}.stem().string();
    std::vector<BundleFile> packed;
    for (const std::string& file : wanted.files)
        packed.push_back({"sheets/" + fs::path{file}.filename().string(), file});
    const PhotosOfJob photos = photos_of(wanted.job, *read);
    for (const std::string& photo : photos.gone)
        std::cerr << photo << ": is not there; left out\n";
    const std::string problem = write_bundle(wanted.to, name, *read, photos.there, packed);
    if (!problem.empty())
        return fail(problem);
    if (wanted.as_json)
        std::cout << Json{{"format", "yes-square bundle"},
                          {"version", 1},
                          {"bundle", wanted.to},
                          {"left_out", photos.gone}}
                         .dump(2)
                  << "\n";
    return 0;
}

int unbundle_file(const UnbundleWanted& wanted) {
    const auto unpacked = unpack_bundle(wanted.bundle, wanted.folder);
    if (!unpacked)
        return fail(unpacked.error());
    if (wanted.as_json) {
        std::cout << Json{{"format", "yes-square unbundle"},
                          {"version", 1},
                          {"job", unpacked->job_path},
                          {"files", unpacked->files}}
                         .dump(2)
                  << "\n";
        return 0;
    }
    std::cout << unpacked->job_path << "\n";
    for (const std::string& file : unpacked->files)
        std::cout << file << "\n";
    return 0;
}

} // namespace yes_square::cli
