#include "core/sheets/inks.hpp"

namespace yes_square {

InkOnFile on_file(Ink ink) {
    switch (ink) {
    case Ink::paper:
        return {"PAPER", "#ffffff", 7};
    case Ink::wall:
        return {"WALL", "#24282c", 7};
    case Ink::masonry:
        return {"WALL", "#6b6257", 7};
    case Ink::stud_proved:
        return {"STUD_PROVED", "#8a5a2b", 34};
    case Ink::stud_indicated:
        return {"STUD_INDICATED", "#a97a45", 36};
    case Ink::stud_assumed:
        return {"STUD_ASSUMED", "#c2a075", 38};
    case Ink::opening:
        return {"OPENING", "#4a5560", 8};
    case Ink::service:
        return {"SERVICE", "#5a4b7a", 196};
    case Ink::strip:
        return {"STRIP", "#c9b3d8", 198};
    case Ink::floor:
        return {"FLOOR", "#24282c", 7};
    case Ink::board:
        return {"BOARD", "#9c7442", 32};
    case Ink::board_selected:
        return {"BOARD", "#7a5220", 32};
    case Ink::bracket:
        return {"BRACKET", "#44505a", 250};
    case Ink::hole:
        return {"HOLE", "#24282c", 7};
    case Ink::level:
        return {"LEVEL_LINE", "#1f5fa8", 5};
    case Ink::rod:
        return {"ROD", "#8a6a3a", 42};
    case Ink::tick:
        return {"TICK", "#24282c", 7};
    case Ink::figure:
        return {"FIGURE", "#24282c", 7};
    case Ink::faint:
        return {"FAINT", "#7a7f84", 9};
    case Ink::alarm:
        return {"ALARM", "#b3261e", 1};
    case Ink::caution:
        return {"CAUTION", "#7a5b00", 40};
    case Ink::chance:
        return {"CHANCE", "#c2a075", 38};
    case Ink::detected:
        return {"DETECTED", "#5a4b7a", 196};
    case Ink::probe:
        return {"PROBE", "#44505a", 250};
    }
    return {"FIGURE", "#24282c", 7};
}

} // namespace yes_square
