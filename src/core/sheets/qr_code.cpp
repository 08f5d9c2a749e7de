#include "core/sheets/qr_code.hpp"

#include <memory>
#include <qrencode.h>

namespace yes_square {
namespace {

constexpr std::size_t blank_edge = 4; ///< squares (ISO/IEC 18004)

/// No longer than a code here may be, whole lines of it.
std::string cut_to_fit(std::string text) {
    while (text.size() > longest_code) {
        const std::size_t line = text.rfind('\n');
        if (line == std::string::npos || line == 0)
            return {};
        text.resize(line);
    }
    return text;
}

} // namespace

std::vector<std::vector<bool>> qr_squares(const std::string& text) {
    const std::unique_ptr<QRcode, decltype(&QRcode_free)> code{QRcode_encodeString8bit(text.c_str(), 0, QR_ECLEVEL_M),
                                                               &QRcode_free};
    if (!code)
        return {};
    const auto side = static_cast<std::size_t>(code->width);
    std::vector<std::vector<bool>> squares(side, std::vector<bool>(side));
    for (std::size_t row = 0; row < side; ++row)
        for (std::size_t column = 0; column < side; ++column)
            squares[row][column] = (code->data[row * side + column] & 1U) != 0;
    return squares;
}

void add_qr_code(Drawing& drawing, Point top_left, double side, const std::string& text) {
    const std::vector<std::vector<bool>> squares = qr_squares(cut_to_fit(text));
    if (squares.empty())
        return;
    const double each = side / static_cast<double>(squares.size() + 2 * blank_edge);
    for (std::size_t row = 0; row < squares.size(); ++row)
        for (std::size_t from = 0; from < squares.size();) {
            std::size_t to = from;
            while (to < squares.size() && squares[row][to])
                ++to;
            if (to > from)
                drawing.shapes.push_back({Rectangle{{top_left.x + static_cast<double>(from + blank_edge) * each,
                                                     top_left.y + static_cast<double>(row + blank_edge) * each},
                                                    static_cast<double>(to - from) * each,
                                                    each,
                                                    Ink::figure,
                                                    Fill::plain,
                                                    0},
                                          {}});
            from = to + 1;
        }
}

} // namespace yes_square
