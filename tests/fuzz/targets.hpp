#pragma once

#include <array>
#include <cstdint>
#include <string>
#include <string_view>

/// What the fuzzers try: everything that takes what somebody else wrote. A target returns when all went as it should,
/// and ends the program when it did not; a crash, a sanitizer or a limit of time or memory says so by itself.
namespace yes_square::fuzz {

using Target = void (*)(std::string_view input);

void job(std::string_view input);       ///< a job file: read, reckoned, every output, and back
void edits(std::string_view input);     ///< a job edited: kept up edit by edit it is what it is reckoned afresh
void merge(std::string_view input);     ///< a job, changed in two places, brought together
void entry(std::string_view input);     ///< a typed length, in each unit
void readings(std::string_view input);  ///< a table of readings
void units(std::string_view input);     ///< a list of units
void packing(std::string_view input);   ///< a packing list
void catalogue(std::string_view input); ///< tables of brackets, anchors, supports and gear
void dxf(std::string_view input);       ///< a drawing of a wall
void device(std::string_view input);    ///< what a device sends
void pocket(std::string_view input);    ///< what comes back from a phone

struct Row {
    std::string_view name; ///< of the target and of its folder of inputs
    Target run;
    bool is_job = false; ///< its inputs are job files, and edited as such
};

inline constexpr std::array targets{
    Row{"job", job, true},     Row{"edits", edits, true}, Row{"merge", merge, true}, Row{"entry", entry},
    Row{"readings", readings}, Row{"units", units},       Row{"packing", packing},   Row{"catalogue", catalogue},
    Row{"dxf", dxf},           Row{"device", device},     Row{"pocket", pocket},
};

/// Of a job file, one with a few random edits; of what is no job file, a small job. Several seeds give several.
std::string edited_job(std::string_view text, std::uint64_t seed, std::size_t most);
/// A job with things of the other's on it.
std::string crossed_jobs(std::string_view one, std::string_view other, std::uint64_t seed, std::size_t most);
/// A small job of one thing, as a corpus begins with.
std::string small_job(std::uint64_t seed);

/// Small jobs edited on and on at random, each reckoned and told in one of its ways, without text between them: as many
/// as can be had in a time. The same seed gives the same jobs.
/// @return how many of the jobs were in range; others are not reckoned
std::size_t walk(std::size_t jobs, std::uint64_t seed);

} // namespace yes_square::fuzz
