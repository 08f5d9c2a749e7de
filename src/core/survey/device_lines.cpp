#include "core/survey/device_lines.hpp"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <utility>

namespace yes_square {
namespace {

constexpr std::size_t longest_line = 200;
constexpr double longest_reading_mm = 1'000'000;

/// A figure in mm; none: not one that a wall could have.
std::optional<Length> figure(std::string_view word) {
    double mm = 0;
    const auto [end, problem] = std::from_chars(word.data(), word.data() + word.size(), mm);
    if (problem != std::errc{} || end != word.data() + word.size() || !(mm >= 0 && mm <= longest_reading_mm))
        return std::nullopt;
    return Length::micrometres(std::llround(mm * 1000));
}

std::vector<std::string_view> words_of(std::string_view line) {
    constexpr std::string_view blank = " \t\r\v\f";
    std::vector<std::string_view> words;
    for (std::size_t at = line.find_first_not_of(blank); at != std::string_view::npos;
         at = line.find_first_not_of(blank, at)) {
        const std::size_t end = std::min(line.find_first_of(blank, at), line.size());
        words.push_back(line.substr(at, end - at));
        at = end;
    }
    return words;
}

std::optional<ScannerFind> found_by(std::string_view word) {
    if (word == "STUD")
        return ScannerFind::stud;
    if (word == "CABLE")
        return ScannerFind::cable;
    if (word == "PIPE")
        return ScannerFind::pipe;
    return std::nullopt;
}

void read_line(std::string_view line, const std::vector<std::string_view>& words, std::vector<DeviceWord>& said) {
    const std::string_view what = words.front();
    if (what == "HELLO" && words.size() >= 3) {
        std::string name{words[2]};
        if (words.size() > 3) {
            name = words[3];
            for (std::size_t i = 4; i < words.size(); ++i)
                name.append(" ").append(words[i]);
        }
        said.emplace_back(DeviceHello{std::string{words[1]}, std::move(name)});
        return;
    }
    if (what == "END") {
        said.emplace_back(DeviceAtEnd{});
        return;
    }
    const auto first = words.size() > 1 ? figure(words[1]) : std::nullopt;
    const auto second = words.size() > 2 ? figure(words[2]) : std::nullopt;
    const auto found = found_by(what);
    if (what == "DISTANCE" && first && (words.size() == 2 || (words.size() == 3 && second)))
        said.emplace_back(DeviceDistance{*first});
    else if (found && first && second && *second > Length{} && words.size() == 3)
        said.emplace_back(DeviceFind{*found, *first, *second});
    else
        said.emplace_back(DeviceNonsense{std::string{line}});
}

} // namespace

std::vector<DeviceWord> DeviceLines::take(std::string_view bytes) {
    std::vector<DeviceWord> said;
    while (!bytes.empty()) {
        const std::size_t end = bytes.find('\n');
        begun_.append(bytes.substr(0, end));
        bytes.remove_prefix(end == std::string_view::npos ? bytes.size() : end + 1);
        if (begun_.size() > longest_line) {
            if (!overlong_)
                said.emplace_back(DeviceEndless{});
            overlong_ = true;
            begun_.clear();
        }
        if (end == std::string_view::npos)
            continue;
        const std::string line = std::exchange(begun_, {});
        if (const auto words = words_of(line); !std::exchange(overlong_, false) && !words.empty())
            read_line(line, words, said);
    }
    return said;
}

bool DeviceLines::break_off() {
    const bool overlong = std::exchange(overlong_, false);
    return !std::exchange(begun_, {}).empty() || overlong;
}

} // namespace yes_square
