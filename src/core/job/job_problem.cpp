#include "core/job/job_problem.hpp"

#include "core/job/fields.hpp"
#include "core/job/ranges.hpp"

#include <fmt/format.h>
#include <set>
#include <utility>

namespace yes_square {
namespace {

template <class Kind, class... Kinds>
constexpr bool is_thing(KindList<Kinds...>) {
    return (std::is_same_v<Kind, Kinds> || ...);
}

/// Goes over every member of a job as the reader does; throws FileProblem.
class Checker {
public:
    /// @param sound  a job whose walls are in order: walls, and things on them, that stand alike in both are not looked
    ///               at
    explicit Checker(const Job* sound = nullptr)
        : sound_{sound} {}

    template <class T>
    void part_of(const T& part) {
        fields(*this, part);
    }

    template <class T>
    void required(std::string_view name, const T& member, Meaning meaning = {}) {
        check(name, member, meaning);
    }
    template <class T>
    void optional(std::string_view name, const T& member, Meaning meaning = {}) {
        check(name, member, meaning);
    }
    template <class T>
    void maybe(std::string_view name, const std::optional<T>& member, Meaning meaning) {
        if (member)
            check(name, *member, meaning);
    }
    template <class T>
    void list(std::string_view name, const std::vector<T>& members) {
        each(name, members, [&](const T& member) {
            if (!is_sound(member))
                part_of(member);
        });
    }
    void lengths(std::string_view name, const std::vector<Length>& members, Meaning meaning) {
        each(name, members, [&](Length member) { check({}, member, meaning); });
    }
    template <class T>
    void part(std::string_view name, const T& member) {
        within(name, [&] { part_of(member); });
    }
    template <class T>
    void maybe_part(std::string_view name, const std::optional<T>& member) {
        if (member)
            part(name, *member);
    }
    template <class... Kinds>
    void one_of(std::string_view name, const std::variant<Kinds...>& member) {
        within(name, [&] { std::visit([&](const auto& of) { part_of(of); }, member); });
    }
    template <class... Kinds>
    void maybe_one_of(std::string_view name, const std::variant<Kinds...>& member) {
        one_of(name, member);
    }

private:
    bool is_sound(const auto&) const { return false; }
    bool is_sound(const Wall& wall) const { return sound_ && stands_in(sound_->walls, wall); }
    template <class Kind>
    requires(is_thing<Kind>(Things{})) bool is_sound(const Kind& thing) const {
        const std::size_t wall = levels_.front().index; // a thing is listed by its wall alone
        return sound_ && wall < sound_->walls.size() && stands_in(sound_->walls[wall].*parts_of<Kind>, thing);
    }
    template <class T>
    bool stands_in(const std::vector<T>& sound, const T& member) const {
        const std::size_t index = levels_.back().index;
        return index < sound.size() && sound[index] == member;
    }

    static constexpr std::size_t no_index = static_cast<std::size_t>(-1);
    struct Level {
        std::string_view name;
        std::size_t index = no_index;
    };

    void within(std::string_view name, const auto& look) {
        levels_.push_back({name, no_index});
        look();
        levels_.pop_back();
    }
    template <class T>
    void each(std::string_view name, const std::vector<T>& members, const auto& look) {
        if (members.size() > most_in_list(name))
            refuse(name, fmt::format("{} entries are too many; {} is the most", members.size(), most_in_list(name)));
        levels_.push_back({name, 0});
        for (const T& member : members) {
            look(member);
            ++levels_.back().index;
        }
        levels_.pop_back();
    }

    template <class T>
    void check(std::string_view name, const T& member, Meaning meaning) {
        if constexpr (std::is_same_v<T, std::string>) {
            if (const auto problem = text_problem(name, member))
                refuse(name, fmt::format("\"{}\" will not do: {}", member.substr(0, 40), *problem));
        } else if constexpr (std::is_same_v<T, Length>) {
            number(name, member.in_mm(), meaning);
        } else if constexpr (std::is_same_v<T, double>) {
            number(name, member, meaning);
        } else if constexpr (is_physical<T>) {
            number(name, member.in_si() / in_file_unit<T>, meaning);
        } else if constexpr (std::is_same_v<T, int>) {
            number(name, member, meaning);
            if (member > static_cast<int>(most_of_count(name)))
                refuse(name, fmt::format("{} is too many; {} is the most", member, most_of_count(name)));
        }
    }
    void number(std::string_view name, double figure, Meaning meaning) {
        if (const auto rule = range_problem(figure, meaning.range))
            refuse(name, fmt::format("{:.6g} is not {}; it must be {}", figure, meaning.noun, *rule));
    }

    /// Where it stands, as the reader names it: made only when something is wrong.
    [[noreturn]] void refuse(std::string_view name, std::string message) const {
        std::string place;
        for (const Level& level : levels_) {
            place += fmt::format("{}{}", place.empty() ? "" : ".", level.name);
            if (level.index != no_index)
                place += fmt::format("[{}]", level.index);
        }
        if (!name.empty())
            place += fmt::format("{}{}", place.empty() ? "" : ".", name);
        throw FileProblem{std::move(place), std::move(message)};
    }

    const Job* sound_;
    std::vector<Level> levels_;
};

template <class T>
void refuse_same_ids(const std::vector<T>& parts, const std::string& place, std::set<std::string>& seen) {
    for (std::size_t i = 0; i < parts.size(); ++i)
        if (!seen.insert(parts[i].id).second)
            throw FileProblem{fmt::format("{}[{}].id", place, i),
                              fmt::format("\"{}\" is used twice; ids must differ", parts[i].id)};
}

void refuse_unknown_lines(const Room& room, const std::string& place) {
    std::set<std::string> lines;
    refuse_same_ids(room.lines, place + ".lines", lines);
    lines.insert(line_id::floor);
    for (std::size_t i = 0; i < room.line_relations.size(); ++i)
        for (const std::string* line : {&room.line_relations[i].line, &room.line_relations[i].over})
            if (!lines.contains(*line))
                throw FileProblem{fmt::format("{}.line_relations[{}].{}", place, i,
                                              line == &room.line_relations[i].line ? "line" : "over"),
                                  fmt::format("there is no line \"{}\"; add it under lines", *line)};
}

void refuse_broken_references(const Job& job) {
    std::set<std::string> rooms;
    std::set<std::string> walls;
    std::set<std::string> shelves;
    std::set<std::string> brackets;
    refuse_same_ids(job.rooms, "rooms", rooms);
    refuse_same_ids(job.walls, "walls", walls);
    refuse_same_ids(job.catalogue.brackets, "catalogue.brackets", brackets);
    std::set<std::string> runs;
    std::set<std::string> units;
    std::set<std::string> things; ///< what stands or hangs on a wall by itself, wardrobes with their bays
    const auto on_wall = [&](const auto& parts) {
        for (const auto& part : parts)
            things.insert(part.id);
    };
    for (std::size_t r = 0; r < job.rooms.size(); ++r)
        refuse_unknown_lines(job.rooms[r], fmt::format("rooms[{}]", r));
    for (std::size_t i = 0; i < job.walls.size(); ++i) {
        refuse_same_ids(job.walls[i].shelves, fmt::format("walls[{}].shelves", i), shelves);
        refuse_same_ids(job.walls[i].runs, fmt::format("walls[{}].runs", i), runs);
        for (std::size_t r = 0; r < job.walls[i].runs.size(); ++r)
            refuse_same_ids(job.walls[i].runs[r].units, fmt::format("walls[{}].runs[{}].units", i, r), units);
        on_wall(job.walls[i].shelves);
        on_wall(job.walls[i].runs);
        for (const Run& run : job.walls[i].runs)
            on_wall(run.units);
        refuse_same_ids(job.walls[i].systems, fmt::format("walls[{}].systems", i), things);
        for (std::size_t s = 0; s < job.walls[i].systems.size(); ++s)
            refuse_same_ids(job.walls[i].systems[s].bays, fmt::format("walls[{}].systems[{}].bays", i, s), things);
        refuse_same_ids(job.walls[i].pieces, fmt::format("walls[{}].pieces", i), things);
        refuse_same_ids(job.walls[i].boxes, fmt::format("walls[{}].boxes", i), things);
        refuse_same_ids(job.walls[i].hung, fmt::format("walls[{}].hung", i), things);
        refuse_same_ids(job.walls[i].feeds, fmt::format("walls[{}].feeds", i), things);
        for_each_kind(ListedKinds{}, [&]<class Kind>() {
            refuse_same_ids(kept<Kind>(job.walls[i]), fmt::format("walls[{}].{}", i, Kind::list_name), things);
        });
        refuse_same_ids(job.walls[i].work_readings, fmt::format("walls[{}].work_readings", i), things);
        if (!rooms.contains(job.walls[i].room))
            throw FileProblem{fmt::format("walls[{}].room", i),
                              fmt::format("there is no room \"{}\"; add it under rooms", job.walls[i].room)};
    }
}

/// What `look` throws of a job.
std::optional<FileProblem> caught(const auto& look) {
    try {
        look();
        return std::nullopt;
    } catch (FileProblem& problem) {
        return std::move(problem);
    }
}

} // namespace

std::optional<FileProblem> job_problem(const Job& job) {
    return caught([&] {
        Checker{}.part_of(job);
        refuse_broken_references(job);
    });
}

std::optional<FileProblem> job_problem(const Job& job, const Job& before) {
    return caught([&] {
        Checker{&before}.part_of(job);
        refuse_broken_references(job);
    });
}

std::optional<FileProblem> job_problem(const Shelf& shelf) {
    return caught([&] { Checker{}.part_of(shelf); });
}

std::optional<FileProblem> reference_problem(const Job& job) {
    return caught([&] { refuse_broken_references(job); });
}

} // namespace yes_square
