#include "core/sheets/part_labels.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr double label_width = 56; ///< mm
constexpr double label_height = 24;
constexpr double large = 8;
constexpr double small = 3;

void label(const CutPart& part, const std::string& system, double x, double y, double width, const Voice& voice,
           Drawing& page) {
    const auto add = [&](auto form) { page.shapes.push_back({std::move(form), {}}); };
    add(Rectangle{{x, y}, width, label_height, Ink::faint, Fill::none, 0.2, Stroke::dashed});
    add(Text{{x + 3, y + 10}, part.label, large, Align::left, Ink::figure, true});
    add(Text{{x + 3, y + 15.5}, say(part.what, voice), small, Align::left, Ink::figure, false});
    add(Text{{x + 3, y + 20},
             fmt::format("{} x {}", format(part.length, voice.unit), format(part.breadth, voice.unit)),
             small,
             Align::left,
             Ink::figure,
             false});
    const std::string where =
        part.where.pattern.empty() ? system : fmt::format("{}, {}", system, say(part.where, voice));
    add(Text{{x + width - 3, y + 5}, where, small * 0.9, Align::right, Ink::faint, false});
    // Which way up: panels and shelves look alike from either side.
    add(Triangle{{x + width - 9, y + 20}, {x + width - 4, y + 20}, {x + width - 6.5, y + 14}, Ink::figure});
    add(Text{{x + width - 10, y + 20}, say("up", voice), small, Align::right, Ink::figure, false});
}

} // namespace

std::vector<Drawing> part_label_pages(const SystemPlan& plan, double width, double height, const Voice& voice) {
    const auto across = static_cast<std::size_t>(std::max(1.0, width / label_width));
    const auto down = static_cast<std::size_t>(std::max(1.0, height / label_height));
    std::vector<Drawing> pages;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const std::size_t on_page = i % (across * down);
        if (on_page == 0)
            pages.push_back({width, height, {}});
        const std::size_t row = on_page / across;
        const double each = width / static_cast<double>(across);
        label(plan.parts[i], plan.name, static_cast<double>(on_page % across) * each,
              static_cast<double>(row) * label_height, each, voice, pages.back());
    }
    return pages;
}

} // namespace yes_square
