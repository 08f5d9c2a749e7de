#pragma once

#include "core/job/job.hpp"
#include "core/job/job_problem.hpp"
#include "core/measure/sentence.hpp"

#include <set>
#include <string>
#include <tl/expected.hpp>
#include <vector>

/// A job that was worked on in two places, brought together again.
namespace yes_square {

/// A place that both copies changed, each in its own way.
struct Collision {
    std::string path;   ///< as of MemberRow
    std::string wall;   ///< id; empty: of the whole job
    std::string where;  ///< "North wall, Long shelf"
    std::string label;  ///< "Length"; empty: the thing as a whole
    std::string shared; ///< in words; empty: it was not there
    std::string mine;   ///< empty: taken out here
    std::string theirs; ///< empty: taken out there
};

struct Merged {
    Job job;
    std::vector<Collision> collisions;
};

/// Brings together what each copy changed of the version they share, member by member; things are known by their ids.
/// What only one of them changed is taken; what both changed alike too. Where they collide mine stays unless `theirs`
/// has its path; what one took out and the other changed stays in. Ticks, log and readings of both are kept. A thing
/// that each made by itself under one id is two things: theirs gets a new id.
/// @param take_theirs  paths of collisions
/// @param voice        for the words of collisions; in the unit of mine
/// Error: what they come to together cannot be opened; names the place.
tl::expected<Merged, FileProblem> merge_jobs(const Job& shared, const Job& mine, const Job& theirs,
                                             const std::set<std::string>& take_theirs = {}, const Voice& voice = {});

/// Of some versions, the one that the copy began as: the least is different. Of equals the last; none: there are none.
/// @return its place in the list
std::optional<std::size_t> shared_version(const std::vector<Job>& versions, const Job& copy);

/// "North wall, Long shelf, length: 1420 mm here, 1390 mm there, 1400 mm before".
Sentence words(const Collision& collision);

} // namespace yes_square
