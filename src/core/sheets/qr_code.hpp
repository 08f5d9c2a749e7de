#pragma once

#include "core/sheets/drawing.hpp"

#include <string>
#include <vector>

/// QR codes (ISO/IEC 18004, by libqrencode) that carry a text itself, so that any telephone reads it with no network.
namespace yes_square {

/// The code as squares, dark ones true, row by row from the top; as many in a row as there are rows. Empty: the text is
/// longer than a code holds. A seventh of it may be lost under dirt.
std::vector<std::vector<bool>> qr_squares(const std::string& text);

/// The longest text that is put into one here: more is small squares, which a printer and a telephone blur.
inline constexpr std::size_t longest_code = 600;

/// Adds a code to a drawing, with the blank edge of four squares that readers want inside its side; a text that is too
/// long is cut at its last whole line that fits.
/// @param side  mm
void add_qr_code(Drawing& drawing, Point top_left, double side, const std::string& text);

} // namespace yes_square
