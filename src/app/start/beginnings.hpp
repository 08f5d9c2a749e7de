#pragma once

#include "app/bench/length_field.hpp"
#include "app/bench/words.hpp"
#include "core/job/job.hpp"

#include <QString>
#include <functional>
#include <vector>

namespace yes_square::app {

/// One figure that a beginning asks for.
struct Asked {
    QString label;
    const char* name; ///< of its field
    std::function<Length(const Job&)> get;
    std::function<void(Job&, Length)> set;
};

/// Something that may be hung or made safe: a wall with it, and what is asked of it. The job that is begun has one
/// wall.
struct Beginning {
    const char* name;
    QString words;
    std::function<void(Job&)> make; ///< puts it on the job's wall
    std::vector<Asked> asked;
    bool units = false; ///< widths of cabinets are asked, left to right
};

const std::vector<Beginning>& beginnings();

/// A job with a room and one bare wall, framed as most are.
Job bare_wall(Job job);

/// The widths of cabinets as they were typed, "600 600 400" or with commas; nothing where one cannot be read.
std::vector<Length> typed_lengths(const QString& typed, Unit unit);
/// Puts a run of wall cabinets of these widths on the job's wall, in place of the one that is there.
void put_cabinets(Job& job, const std::vector<Length>& widths);

} // namespace yes_square::app
