#include "core/stability/new_piece.hpp"
#include "core/job/field_visits.hpp"

#include <algorithm>

namespace yes_square {
namespace {

struct UsualPiece {
    Length width;
    Length height;
    Length depth;
    Mass mass;
    int drawers;
    int doors;
};

/// Usual sizes; every one is typed over (house rules).
UsualPiece usual(PieceKind kind) {
    switch (kind) {
    case PieceKind::dresser:
        return {1000_mm, 800_mm, 450_mm, 45_kg, 4, 0};
    case PieceKind::bookcase:
        return {800_mm, 2000_mm, 280_mm, 40_kg, 0, 0};
    case PieceKind::larder:
        return {600_mm, 2000_mm, 560_mm, 70_kg, 0, 1};
    case PieceKind::side_panel:
        return {400_mm, 2100_mm, 400_mm, 30_kg, 0, 0};
    case PieceKind::appliance_housing:
        return {600_mm, 2000_mm, 560_mm, 60_kg, 0, 1};
    case PieceKind::workshop_cabinet:
        return {900_mm, 1800_mm, 450_mm, 80_kg, 0, 2};
    case PieceKind::other:
        return {800_mm, 1200_mm, 400_mm, 30_kg, 0, 0};
    }
    return {};
}

} // namespace

void spread_drawers(Piece& piece, int number) {
    constexpr Length margin = 40_mm; ///< over and under them
    Drawer like;
    like.reach = piece.depth * 3 / 4;
    like.mass = 3_kg;
    if (!piece.drawers.empty())
        like = piece.drawers.front();
    piece.drawers.clear();
    if (number < 1)
        return;
    like.height = std::max(1_mm, (piece.height - 2 * margin) / number);
    for (int i = number; i > 0; --i) {
        like.top = margin + like.height * i;
        piece.drawers.push_back(like);
    }
}

Piece new_piece(const Wall& wall, PieceKind kind) {
    const UsualPiece size = usual(kind);
    Piece piece;
    piece.kind = kind;
    piece.width = size.width;
    piece.height = size.height;
    piece.depth = size.depth;
    piece.mass = size.mass;
    piece.left = std::max(Length{}, (wall.length - size.width) / 2);
    piece.doors = size.doors;
    piece.door_mass = size.doors > 0 ? size.mass / 8 : 0;
    spread_drawers(piece, size.drawers);
    return piece;
}

std::string_view words(PieceKind kind) {
    return enum_words(kind);
}

} // namespace yes_square
