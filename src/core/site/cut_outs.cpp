#include "core/site/cut_outs.hpp"

#include "core/site/check_writer.hpp"

#include <algorithm>

namespace yes_square {
namespace {

std::string cut_out_name(const CutOut& cut) {
    return cut.name.empty() ? std::string{"cut-out"} : cut.name;
}

bool side_by_side(const CutOut& a, const CutOut& b) {
    return a.right() <= b.across || b.right() <= a.across;
}
bool one_behind_other(const CutOut& a, const CutOut& b) {
    return a.front() <= b.back || b.front() <= a.back;
}

/// Strips before or behind a cut-out want to be this broad: what a sink wants, or a third of a small one's width.
Length wanted_beside(const CutOut& cut, const HouseRules& rules) {
    return std::min(rules.shelves.cut_out_margin, cut.width / 3);
}

} // namespace

Length least_left(const std::vector<CutOut>& cut_outs, Length from, Length to) {
    Length least = std::max(Length{}, to - from);
    // The most is cut away where one begins.
    for (const CutOut& begins : cut_outs) {
        std::vector<std::pair<Length, Length>> gone;
        for (const CutOut& cut : cut_outs)
            if (cut.across <= begins.across && cut.right() > begins.across)
                gone.emplace_back(std::clamp(cut.back, from, to), std::clamp(cut.front(), from, to));
        std::ranges::sort(gone);
        Length left = to - from;
        Length at = from;
        for (const auto& [back, front] : gone)
            if (front > at) {
                left -= front - std::max(at, back);
                at = front;
            }
        least = std::min(least, left);
    }
    return std::max(Length{}, least);
}

std::vector<CutOut> cut_outs_between(const std::vector<CutOut>& cut_outs, Length from, Length to) {
    std::vector<CutOut> here;
    std::ranges::copy_if(cut_outs, std::back_inserter(here),
                         [&](const CutOut& cut) { return cut.across < to && cut.right() > from; });
    return here;
}

Sentence words_of(const CutOut& cut) {
    return {cut.back > Length{} ? std::string_view{"{0}: {1} x {2}, {3} from the left end, {4} from the back edge"}
                                : "{0}: {1} x {2}, {3} from the left end, out of the back edge",
            {cut_out_name(cut), quantity(cut.width), quantity(cut.depth), quantity(cut.across), quantity(cut.back)}};
}

Sentence cut_outs_to_mind(const std::vector<CutOut>& cut_outs, Length left) {
    if (cut_outs.empty())
        return {};
    CutOut first = cut_outs.front();
    first.across -= left;
    Sentence words = words_of(first);
    if (cut_outs.size() > 1) {
        words.pattern = cut_outs.front().back > Length{}
                            ? "{0}: {1} x {2}, {3} from the left end, {4} from the back edge; {5} more: see its drawing"
                            : "{0}: {1} x {2}, {3} from the left end, out of the back edge; {5} more: see its drawing";
        words.values.push_back(count(cut_outs.size() - 1));
    }
    return words;
}

void check_cut_outs(const std::vector<CutOut>& cut_outs, Length length, Length depth, const HouseRules& rules,
                    Length left, Length z, std::vector<Check>& checks) {
    for (const CutOut& cut : cut_outs) {
        const Length beyond = std::max(cut.right() - length, cut.front() - depth);
        if (beyond > Length{})
            add_check(checks, checks::cut_out_off_board,
                      {"{0} is cut {1} beyond the board, which is {2} long and {3} deep there",
                       {cut_out_name(cut), quantity(beyond), quantity(length), quantity(depth)}},
                      quantity(beyond), left + cut.across, z);
        const Length wanted = wanted_beside(cut, rules);
        const Length before = depth - cut.front();
        const Length behind = cut.back;
        const Length least = behind > Length{} ? std::min(before, behind) : before;
        if (least >= Length{} && least < wanted)
            add_check(
                checks, checks::cut_out_leaves_little,
                {"{0} leaves {1} of the board {2} it; {3} would bear being lifted and leaned on",
                 {cut_out_name(cut), quantity(least),
                  std::string_view{behind > Length{} && behind < before ? "behind" : "before"}, quantity(wanted)}},
                quantity(wanted - least), left + cut.across, z);
    }
    for (std::size_t i = 0; i < cut_outs.size(); ++i)
        for (std::size_t j = i + 1; j < cut_outs.size(); ++j)
            if (!side_by_side(cut_outs[i], cut_outs[j]) && !one_behind_other(cut_outs[i], cut_outs[j]))
                add_check(checks, checks::cut_outs_meet,
                          {"{0} and {1} run into one another", {cut_out_name(cut_outs[i]), cut_out_name(cut_outs[j])}},
                          std::nullopt, left + std::max(cut_outs[i].across, cut_outs[j].across), z);
}

Sentence cut_out_step(const CutOut& cut) {
    Sentence words = words_of(cut);
    words.pattern = cut.back > Length{}
                        ? "Cut out {0}: {1} x {2}, its left edge {3} from the left end, its back edge {4} from the "
                          "back. Drill its corners first, saw from hole to hole, seal the raw edges"
                        : "Notch the back edge for {0}: {1} long, {2} deep, its left edge {3} from the left end. Drill "
                          "its corners first, saw from hole to hole, seal the raw edges";
    return words;
}

} // namespace yes_square
