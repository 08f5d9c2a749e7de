#include "core/shelves/shelf_curer.hpp"

namespace yes_square {

void ShelfCurer::more_brackets(Check& check) const {
    for (int extra = shelf_.extra_brackets + 1; extra <= shelf_.extra_brackets + 4; ++extra)
        if (offer(check,
                  {extra == shelf_.extra_brackets + 1 ? std::string_view{"One bracket more"}
                                                      : std::string_view{"{0} brackets more"},
                   {count(static_cast<std::size_t>(extra - shelf_.extra_brackets))}},
                  ChooseLayout{shelf_.id, shelf_.school, extra}))
            return;
}

void ShelfCurer::thicker_board(Check& check) const {
    for (const Length thickness : board_thicknesses)
        if (thickness > shelf_.thickness && offer(check, {"Board {0} thick", {quantity(thickness)}},
                                                  ChooseBoard{shelf_.id, shelf_.material, thickness}))
            return;
}

void ShelfCurer::other_board(Check& check) const {
    for (const BoardMaterial material : {BoardMaterial::mdf_moisture_resistant, BoardMaterial::birch_plywood})
        if (offer(check, {"Use {0}", {properties(material).words}}, ChooseBoard{shelf_.id, material, shelf_.thickness}))
            return;
}

void ShelfCurer::other_bracket(Check& check) const {
    if (!shelf_.bracket.empty() && offer(check, {"Let the program choose the bracket"}, ChooseBracket{shelf_.id, {}}))
        return;
    for (const Bracket& bracket : site_.catalogue.brackets)
        if (bracket.at_hand && bracket.id != shelf_.bracket &&
            offer(check, {"Use {0}", {bracket.name}}, ChooseBracket{shelf_.id, bracket.id}))
            return;
}

void ShelfCurer::raise(Check& check, Length by) const {
    offer(check,
          {by < Length{} ? std::string_view{"Lower the shelf {0}"} : "Raise the shelf {0}", {quantity(absolute(by))}},
          MoveShelf{shelf_.id, shelf_.left, shelf_.height + by});
}

void ShelfCurer::slide_upright(Check& check) const {
    for (const Length nudge : nudges) {
        if (offer(check, {"Raise the shelf {0}", {quantity(nudge)}},
                  MoveShelf{shelf_.id, shelf_.left, shelf_.height + nudge}))
            return;
        if (offer(check, {"Lower the shelf {0}", {quantity(nudge)}},
                  MoveShelf{shelf_.id, shelf_.left, shelf_.height - nudge}))
            return;
    }
}

} // namespace yes_square
