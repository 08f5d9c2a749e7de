#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"
#include "core/sheets/drawing.hpp"

#include <functional>
#include <string>
#include <vector>

/// Drawings at full size over as many pages as they take: 1 mm of paper is 1 mm of wall or board.
namespace yes_square {

/// One such page. It is taped to its place by its frame, or to its neighbour by the crosses that both have.
struct TemplatePage {
    Drawing drawing;
    std::string name; ///< "Map shelf B2": column letter and row
    Length left;      ///< of its frame's lower left corner on the wall or the board
    Length bottom;
};

inline constexpr double template_overlap = 10;     ///< mm that neighbours share
inline constexpr double template_check_line = 100; ///< mm

/// The frame of a page that is being drawn: what lies within it of the wall or the board, in mm.
class TemplateFrame {
public:
    TemplateFrame(TemplatePage& page, double left, double bottom, double width, double height)
        : page_{page}
        , left_{left}
        , bottom_{bottom}
        , width_{width}
        , height_{height} {}

    double left() const { return left_; }
    double right() const { return left_ + width_; }
    double bottom() const { return bottom_; }
    double top() const { return bottom_ + height_; }
    bool holds(double x, double z) const { return x >= left() && x <= right() && z >= bottom() && z <= top(); }
    Point on_page(double x, double z) const;

    void add(auto form) { page_.drawing.shapes.push_back({std::move(form), {}}); }
    void words(Point at, std::string text, double size = 3, Ink ink = Ink::figure, bool bold = false,
               Align align = Align::left) {
        add(Text{at, std::move(text), size, align, ink, bold});
    }

private:
    TemplatePage& page_;
    double left_;
    double bottom_;
    double width_;
    double height_;
};

/// What a template is made from.
struct FullSize {
    std::string name;
    std::string_view corner;   ///< a sentence of where a frame's corner lies: {0} along, {1} up
    std::vector<double> along; ///< mm: every one of these, and of those up, is to lie on a page
    std::vector<double> up;
    std::function<bool(TemplateFrame&)> draw; ///< a page; false: there is nothing on it, and it is left out
    Tape tape = {};                           ///< by which its corners are said
};

/// Pages of a size in mm (what the printer leaves free taken off), each with a line of 100 mm to measure, crosses to
/// lay neighbours on one another, and the figures of its corner.
std::vector<TemplatePage> full_size_pages(const FullSize& what, double width, double height, const Voice& voice);

} // namespace yes_square
