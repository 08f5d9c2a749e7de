#pragma once

#include <algorithm>
#include <array>
#include <cctype>
#include <cstddef>
#include <optional>
#include <string>
#include <string_view>

/// How much of anything a job may hold: sizes that a trade knows, with room to spare. One table for the reader of
/// files, for imports and for devices; the published schema says the same.
namespace yes_square {

struct MostOf {
    std::string_view member; ///< of the file
    std::size_t most;
};

/// Entries of a list, by the list's name.
inline constexpr std::array most_entries{
    MostOf{"walls", 500},     MostOf{"rooms", 200},          MostOf{"shelves", 500},
    MostOf{"runs", 50},       MostOf{"units", 200},          MostOf{"systems", 50},
    MostOf{"bays", 50},       MostOf{"pieces", 100},         MostOf{"drawers", 30},
    MostOf{"boxes", 100},     MostOf{"hung", 100},           MostOf{"feeds", 100},
    MostOf{"studs", 500},     MostOf{"openings", 50},        MostOf{"obstacles", 200},
    MostOf{"services", 300},  MostOf{"observations", 20000}, MostOf{"scans", 500},
    MostOf{"joints", 50},     MostOf{"hangers", 50},         MostOf{"pins", 50},
    MostOf{"goods", 100},     MostOf{"cut_outs", 30},        MostOf{"others", 20},
    MostOf{"holes", 64},      MostOf{"rails", 10},           MostOf{"lining", 10},
    MostOf{"hole_drops", 20}, MostOf{"made", 20000},         MostOf{"ticks", 50000},
    MostOf{"log", 50000},
};
inline constexpr std::size_t most_other_entries = 5000;
inline constexpr std::size_t longest_id = 64;
inline constexpr std::size_t longest_name = 200;
inline constexpr std::size_t longest_note = 10'000;
inline constexpr std::size_t longest_picture = 200'000; ///< in base64

inline constexpr std::size_t most_in_list(std::string_view member) {
    for (const MostOf& row : most_entries)
        if (row.member == member)
            return row.most;
    return most_other_entries;
}

/// The whole numbers of a few members; others go to 1000.
inline constexpr std::array most_counts{MostOf{"tiers", 20},   MostOf{"screws", 50}, MostOf{"hooks", 100},
                                        MostOf{"number", 100}, MostOf{"loose", 60},  MostOf{"extra_brackets", 100},
                                        MostOf{"day", 366}};
inline constexpr std::size_t most_other_count = 1000;
inline constexpr std::size_t most_of_count(std::string_view member) {
    for (const MostOf& row : most_counts)
        if (row.member == member)
            return row.most;
    return most_other_count;
}

/// An id names files too: letters, digits, - and _.
inline bool is_id(std::string_view text) {
    return !text.empty() && text.size() <= longest_id && std::ranges::all_of(text, [](unsigned char c) {
        return (c < 128 && std::isalnum(c)) || c == '-' || c == '_';
    });
}

/// The longest text that a member may hold, by its name.
inline constexpr std::size_t longest_text(std::string_view member) {
    if (member == "picture" || member == "logo")
        return longest_picture;
    return member == "text" || member == "note" || member == "words" ? longest_note : longest_name;
}

/// Why a text cannot stand in a job; none: it can.
inline std::optional<std::string> text_problem(std::string_view member, std::string_view text) {
    if (member == "id" && !is_id(text))
        return "an id is letters, digits, - and _, up to 64 of them";
    const std::size_t most = longest_text(member);
    const bool note = most == longest_note;
    if (text.size() > most)
        return "it must be at most " + std::to_string(most) + " characters long";
    const auto control = std::ranges::find_if(
        text, [&](unsigned char c) { return (c < 32 && !(note && (c == '\n' || c == '\t'))) || c == 127; });
    if (control != text.end())
        return "it holds a control character";
    return std::nullopt;
}

} // namespace yes_square
