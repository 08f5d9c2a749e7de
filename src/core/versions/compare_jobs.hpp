#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"

#include <map>
#include <string>
#include <vector>

/// What is different between two versions of a job, in the words and figures of its forms.
namespace yes_square {

/// A member of a job, found by where it is: "walls/wall-1/shelves/shelf-2/length". What has an id is found by it.
struct MemberRow {
    std::string wall;  ///< id of the wall that it is on; empty: of the whole job
    std::string where; ///< "North wall, Long shelf"
    std::string label; ///< "Length"; empty: the thing as a whole, with its name as the words
    std::string words; ///< "1420 mm"
    std::string exact; ///< to the last digit
};
/// Every member of a job but its records: ticks and the log.
std::map<std::string, MemberRow> member_rows(const Job& job, const Voice& voice);

struct JobChange {
    std::string path;
    std::string wall;
    std::string where;
    std::string label;  ///< empty: the thing as a whole
    std::string before; ///< empty: it was not there
    std::string after;  ///< empty: it is gone
};
/// In the order of their paths; of a thing that came or went one line.
std::vector<JobChange> changes_between(const std::map<std::string, MemberRow>& before,
                                       const std::map<std::string, MemberRow>& after);
std::vector<JobChange> changes_between(const Job& before, const Job& after, const Voice& voice);

} // namespace yes_square
