#pragma once

#include "core/cutting/cut_list.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/drawing.hpp"

#include <string>
#include <vector>

/// Labels: to stick on parts before they are carried, and on shelves when they are up. Each has its words in a QR code
/// besides.
namespace yes_square {

struct Label {
    std::string large; ///< "P1"
    std::string title; ///< "side panel"
    std::vector<std::string> lines;
    bool up = false;   ///< it says which way up the part stands
    bool sign = false; ///< with a line for a date and a name

    /// What its code carries: all its words.
    std::string code() const;
};

/// One for each part to be cut, in the order of the cut list, by the same numbers.
std::vector<Label> part_labels(const Job& job, const Plan& plan, const Voice& voice);
/// One for each shelf: what it may be loaded with, and what that rests on.
std::vector<Label> load_labels(const Job& job, const Plan& plan, const Voice& voice);

/// Of a unit's back: its holes by their figures from its edges, as the card that is printed for it has them.
Label card_label(const std::string& wall, const CabinetUnit& unit, const UnitPlan& plan, const Voice& voice);

/// Where the labels are on a sheet of paper, mm.
struct LabelGrid {
    double paper_width = 210;
    double paper_height = 297;
    int across = 3;
    int down = 8;
    double width = 70;
    double height = 37;
    double left = 0; ///< of the first, from the paper's edge
    double top = 0;
    double gap = 0;      ///< between two in a row; those under one another touch
    bool to_cut = false; ///< plain paper: their edges are drawn

    std::size_t on_a_page() const { return static_cast<std::size_t>(across * down); }
    Point at(std::size_t index) const {
        const auto row = static_cast<int>(index) / across;
        const auto column = static_cast<int>(index) % across;
        return {left + column * (width + gap), top + row * height};
    }
};

/// Sizes that stickers are sold in (common practice), and plain paper of the place to cut.
/// @param letter  the plain paper's size
LabelGrid label_grid(LabelSheet sheet, bool letter);

/// Whole sheets of paper, with nothing on them but the labels. Words are as large as they may be inside each.
std::vector<Drawing> label_pages(const std::vector<Label>& labels, const LabelGrid& grid, const Voice& voice);

} // namespace yes_square
