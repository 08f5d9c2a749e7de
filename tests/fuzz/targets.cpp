#include "fuzz/targets.hpp"

#include "core/cutting/delivery.hpp"
#include "core/cutting/kit.hpp"
#include "core/job/file.hpp"
#include "core/job/own_entries.hpp"
#include "core/measure/entry.hpp"
#include "core/pocket/pocket_sheet.hpp"
#include "core/pocket/take_pocket.hpp"
#include "core/reckon/reckon.hpp"
#include "core/runs/unit_library.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/labels.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/room_drawing.hpp"
#include "core/sheets/summary.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"
#include "core/steps/day_schedule.hpp"
#include "core/steps/next_step.hpp"
#include "core/survey/device_lines.hpp"
#include "core/survey/readings_csv.hpp"
#include "core/versions/merge_jobs.hpp"
#include "files/dxf_in.hpp"
#include "files/dxf_out.hpp"
#include "files/exported_walls.hpp"
#include "files/wall_outline.hpp"
#include "random_edits.hpp"
#include "random_jobs.hpp"

#include <cstdio>
#include <cstdlib>
#include <functional>
#include <sys/mman.h>
#include <unistd.h>

namespace yes_square::fuzz {
namespace {

/// Ends the program where what must hold does not.
void must(bool holds, std::string_view what) {
    if (holds)
        return;
    std::fprintf(stderr, "must hold: %.*s\n", static_cast<int>(what.size()), what.data());
    std::abort();
}

/// A seed that an input always gives.
std::uint64_t seed_of(std::string_view input) {
    return std::hash<std::string_view>{}(input);
}

/// A file in memory, by a path.
class MemoryFile {
public:
    explicit MemoryFile(std::string_view holds)
        : handle_{memfd_create("fuzz", 0)} {
        must(handle_ >= 0 && write(handle_, holds.data(), holds.size()) == static_cast<ssize_t>(holds.size()),
             "there is memory for a file");
    }
    ~MemoryFile() { close(handle_); }
    MemoryFile(const MemoryFile&) = delete;
    MemoryFile& operator=(const MemoryFile&) = delete;

    std::string path() const { return "/proc/self/fd/" + std::to_string(handle_); }

private:
    int handle_;
};

/// Whether text says a figure that is none.
bool has_no_number(std::string_view text) {
    for (const std::string_view none :
         {"=\"nan", " nan", ",nan", "=\"-nan", " -nan", "=\"inf", " inf\"", ":nan", ":inf"})
        if (text.find(none) != std::string_view::npos)
            return true;
    return false;
}

using Tell = void (*)(const Job& job, const Plan& plan, const Voice& voice);

/// Each way that a plan is told in. An input always goes one of them, by what it is, so that a run takes as long as
/// one.
constexpr std::array<Tell, 10> tellings{
    [](const Job& job, const Plan&, const Voice&) {
        const std::string text = write_job(job);
        const auto again = read_job(text);
        must(again.has_value(), "a job that was written is read again");
        must(write_job(again->job) == text, "a job comes back as it was written");
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        must(!checks_json(job, plan, voice).empty() &&
                 plan_json(job, plan, voice) == plan_json(job, reckon(job), voice),
             "a job is always reckoned alike");
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        must(!summary(job, plan, voice).empty(), "a plan has a summary");
        checks_text(job, plan, voice);
    },
    [](const Job& job, const Plan& plan, const Voice&) {
        for (const Table& table : tables_of(job, plan))
            must(!csv(table).empty() && !csv(table, CsvFigures::with_commas).empty(), "a table has a heading");
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        for_each_elevation({job, plan, voice}, [&](const Wall& wall, const WallPlan&, const Elevation& elevation) {
            must(!has_no_number(svg(elevation.drawing, wall.name)), "a drawing's places are figures");
        });
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        for_each_elevation(
            {job, plan, voice}, [&](const Wall& wall, const WallPlan& of_it, const Elevation& elevation) {
                must(dxf_text(elevation.drawing, elevation.scale, outline_of(wall, of_it.survey.studs)).has_value(),
                     "a wall can be written as DXF");
            });
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        for (const RoomSurvey& room : plan.rooms)
            must(!has_no_number(svg(draw_room(job, plan, room, {}, voice), "room")), "a room's places are figures");
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        const CuttingPlan cutting = cutting_plan(job, plan, {}, 0.02);
        for (const StuffPlan& stuff : cutting.stuffs)
            svg(draw_cutting(stuff, job.rules.cutting.kerf, 260, 3, voice), stuff.stuff.words);
        outlay_of(kit_of(job, plan), cutting);
        part_labels(job, plan, voice);
        load_labels(job, plan, voice);
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        const JobOrder order = job_order(job, plan);
        const NextAsked asked{{}, [&]() -> const JobOrder& { return order; }, [] { return false; }};
        must(!say(next_step(job, plan, asked).words, voice).empty(), "there is a next step");
        day_schedule(job, order);
    },
    [](const Job& job, const Plan& plan, const Voice& voice) {
        must(!pocket_sheet(job, plan, voice).empty(), "there is a pocket sheet");
    },
};

/// A job read from it; none: it is no job file, which was said with its place.
std::optional<Job> read(std::string_view input) {
    auto loaded = read_job(input);
    if (loaded)
        return std::move(loaded->job);
    must(!loaded.error().message.empty(), "what is wrong with a job file is said");
    return std::nullopt;
}

/// The same without what a small job has no use for, so that it is read and reckoned in a millisecond.
void make_small(Job& job) {
    const auto keep = [](auto& entries, std::size_t most) {
        if (entries.size() > most)
            entries.resize(most);
    };
    keep(job.catalogue.brackets, 2);
    keep(job.catalogue.plugs, 2);
    keep(job.catalogue.lining_anchors, 2);
    keep(job.catalogue.wood_screws, 4);
}

/// What one of the checks offers to do, half the time.
std::optional<Edit> any_cure(const std::vector<OwnedCheck>& checks, RandomEdits& random) {
    if (checks.empty() || random.chance(0.5))
        return std::nullopt;
    const std::vector<Cure>& cures = checks[random.below(checks.size())].check->cures;
    return cures.empty() ? std::nullopt : cures[random.below(cures.size())].edit;
}

Job new_small_job(std::uint64_t seed) {
    RandomJobs jobs{seed};
    for (;;) {
        Job job = jobs.next();
        make_small(job);
        if (!job_problem(job))
            return job;
    }
}

template <class Entry>
void catalogue_of(std::string_view input) {
    const auto entries = entries_from_csv<Entry>(input);
    if (!entries) {
        must(!entries.error().empty(), "what is wrong with a table is said");
        return;
    }
    const auto again = entries_from_csv<Entry>(entries_csv(*entries));
    must(again.has_value(), "a table that was written is read again");
    must(entries_csv(*again) == entries_csv(*entries), "a table comes back as it was");
}

const Job& job_to_take_into() {
    static const Job job = new_small_job(1);
    return job;
}

} // namespace

void job(std::string_view input) {
    if (const std::optional<Job> job = read(input))
        tellings[seed_of(input) % tellings.size()](*job, reckon(*job), {job->unit});
}

void edits(std::string_view input) {
    std::optional<Job> job = read(input);
    if (!job)
        return;
    RandomEdits random{seed_of(input)};
    Reckoner reckoner;
    const Voice voice{job->unit};
    for (int i = 0; i < 3; ++i) {
        const Plan& plan = reckoner.reckon(*job);
        must(checks_json(*job, plan, voice) == checks_json(*job, reckon(*job), voice),
             "a plan that is kept up is the plan reckoned afresh");
        Job next = *job;
        if (const std::optional<Edit> cure = any_cure(all_checks(plan, *job), random))
            next = apply(*cure, std::move(next));
        else
            random.edit(next);
        if (!job_problem(next, *job))
            job = std::move(next);
    }
}

void merge(std::string_view input) {
    const std::optional<Job> shared = read(input);
    if (!shared)
        return;
    RandomEdits random{seed_of(input)};
    const auto copy = [&] {
        Job changed = *shared;
        for (std::size_t i = random.below(4); i > 0; --i) {
            Job next = changed;
            random.edit(next);
            if (!job_problem(next))
                changed = std::move(next);
        }
        return changed;
    };
    const Job mine = copy();
    const Job theirs = copy();
    const auto merged = merge_jobs(*shared, mine, theirs);
    if (!merged) {
        must(!merged.error().message.empty(), "what is wrong with a merged job is said");
        return;
    }
    must(!job_problem(merged->job), "a merged job can be opened");
    must(write_job(merge_jobs(*shared, mine, *shared)->job) == write_job(mine), "what only one changed is taken");
    must(merge_jobs(*shared, mine, mine)->collisions.empty(), "what both changed alike does not collide");
    for (const Collision& collision : merged->collisions)
        must(!say(words(collision), {}).empty(), "a collision is told");
}

void entry(std::string_view input) {
    for (const Unit unit : all_units()) {
        const auto length = parse_length(input, unit);
        if (!length) {
            must(length.error().position <= input.size(), "what is wrong is in the text");
            must(!length.error().text().empty(), "what is wrong with a length is said");
        } else if (const auto again = parse_length(format(*length, unit), unit); again) {
            must(format(*again, unit) == format(*length, unit), "a length that is shown is read as it was");
        }
    }
}

void readings(std::string_view input) {
    Wall wall;
    wall.id = wall.name = "wall";
    wall.length = 4000_mm;
    wall.height = 2400_mm;
    const Wall before = wall;
    const auto taken = add_readings_csv(input, wall);
    if (!taken) {
        must(!taken.error().empty() && wall == before, "a table that cannot be read leaves the wall as it was");
        return;
    }
    const std::string table = readings_csv(wall);
    Wall again = before;
    must(add_readings_csv(table, again).has_value(), "readings that were written are read again");
    must(readings_csv(again) == table, "readings come back as they were");
}

void units(std::string_view input) {
    for (const Unit unit : {Unit::mm, Unit::inch_16})
        if (const auto listed = units_from_csv(input, unit); !listed)
            must(!listed.error().empty(), "what is wrong with a list of units is said");
}

void packing(std::string_view input) {
    if (const auto list = packing_list_from_csv(input); !list)
        must(!list.error().empty(), "what is wrong with a packing list is said");
}

void catalogue(std::string_view input) {
    catalogue_of<Bracket>(input);
    catalogue_of<MasonryAnchor>(input);
    catalogue_of<LiningAnchor>(input);
    catalogue_of<Support>(input);
    catalogue_of<HangingGear>(input);
    if (const auto read = read_catalogue(input); !read)
        must(!read.error().message.empty(), "what is wrong with a catalogue is said");
}

void dxf(std::string_view input) {
    const MemoryFile file{input};
    const auto drawn = wall_from_dxf(file.path());
    if (!drawn) {
        must(!drawn.error().empty(), "what is wrong with a drawing is said");
        return;
    }
    Job job = job_to_take_into();
    take_outline(job.walls.front(), drawn->wall);
    must(!job_problem(job), "a wall that was drawn can be kept");
}

void device(std::string_view input) {
    DeviceLines at_once;
    const auto said = at_once.take(input);
    DeviceLines in_pieces;
    std::vector<DeviceWord> heard;
    for (std::size_t at = 0, piece = 1; at < input.size(); at += piece, piece = piece % 7 + 1)
        for (DeviceWord& word : in_pieces.take(input.substr(at, piece)))
            heard.push_back(std::move(word));
    must(said == heard, "it is the same in however many pieces it comes");
    must(at_once.break_off() == in_pieces.break_off(), "so is whether it broke off");
}

void pocket(std::string_view input) {
    static const Plan plan = reckon(job_to_take_into());
    Job job = job_to_take_into();
    const auto taken = take_pocket(job, plan, input);
    if (!taken) {
        must(!taken.error().empty() && job == job_to_take_into(), "what cannot be taken leaves the job as it was");
        return;
    }
    must(!job_problem(job), "a job with what came back can be saved");
    const Job once = job;
    must(take_pocket(job, plan, input).has_value() && job == once, "taking it in again changes nothing");
}

std::string small_job(std::uint64_t seed) {
    return write_job(new_small_job(seed));
}

std::size_t walk(std::size_t jobs, std::uint64_t seed) {
    constexpr std::size_t edits_each = 50;
    RandomEdits random{seed};
    std::size_t in_range = 0;
    Job job;
    for (std::size_t i = 0; i < jobs; ++i) {
        if (i % edits_each == 0)
            job = new_small_job(seed + i);
        Job next = job;
        if (i % edits_each == edits_each / 2)
            random.cross(next, new_small_job(seed + i));
        else
            random.edit(next);
        if (job_problem(next))
            continue;
        job = std::move(next);
        ++in_range;
        const Plan plan = reckon(job);
        if (i % 5 == 0)
            tellings[i / 5 % tellings.size()](job, plan, {job.unit});
    }
    return in_range;
}

std::string edited_job(std::string_view text, std::uint64_t seed, std::size_t most) {
    const auto loaded = read_job(text);
    if (!loaded)
        return small_job(seed);
    Job job = loaded->job;
    RandomEdits random{seed};
    for (std::size_t i = random.below(4) + 1; i > 0; --i)
        random.edit(job);
    std::string edited = write_job(job);
    return edited.size() <= most ? edited : std::string{text};
}

std::string crossed_jobs(std::string_view one, std::string_view other, std::uint64_t seed, std::size_t most) {
    const auto to = read_job(one);
    const auto from = read_job(other);
    if (!to || !from)
        return small_job(seed);
    Job job = to->job;
    RandomEdits{seed}.cross(job, from->job);
    std::string crossed = write_job(job);
    return crossed.size() <= most ? crossed : std::string{one};
}

} // namespace yes_square::fuzz
