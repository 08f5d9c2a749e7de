#pragma once

#include "core/sheets/drawing.hpp"

/// Names and figures on a drawing: none lies on another, none is struck through, none is cut off.
namespace yes_square {

/// A stretch of paper, mm.
struct PaperBox {
    double left = 0;
    double top = 0;
    double right = 0;
    double bottom = 0;

    bool meets(const PaperBox& other) const {
        return left < other.right && other.left < right && top < other.bottom && other.top < bottom;
    }
    bool holds(const PaperBox& other) const {
        return left <= other.left && other.right <= right && top <= other.top && other.bottom <= bottom;
    }
};

/// How wide words are in the shipped typeface at this size, mm. Letters outside ASCII count as a broad one.
double text_width(const std::string& words, double height, bool bold);
/// What a text takes of the paper, from the top of its capitals to the foot of its tails.
PaperBox box_of(const Text& text);

/// Places the marks of checks and then the names and figures of a drawing, bold ones first. Each goes to the free place
/// nearest to where it was put: over nothing, else breaking lines and edges as a figure breaks the line of a dimension.
/// What has gone far is led back by a thin line; what finds no room is left to a nearer view. They are painted last.
/// @param room  what they must stay within
void settle_lettering(Drawing& drawing, const PaperBox& room);

} // namespace yes_square
