#pragma once

#include "core/measure/length.hpp"

#include <optional>
#include <string>
#include <variant>
#include <vector>

/// A drawing as device-neutral shapes, in mm of paper from the top left. Screen, PDF and other writers paint the same
/// shapes, so that what is on the sheet is what was on the screen.
namespace yes_square {

/// What a shape shows; each medium has its own colour and width for it.
enum class Ink {
    paper,
    wall,
    masonry,
    stud_proved,
    stud_indicated,
    stud_assumed,
    opening,
    service,
    strip,
    floor,
    board,
    board_selected,
    bracket,
    hole,
    level,
    rod,
    tick,
    figure,
    faint,
    alarm,
    caution,
    chance,   ///< of wood behind the lining
    detected, ///< a cable or pipe that was found
    probe,    ///< a reading of the wall
};

struct Point {
    double x = 0;
    double y = 0;
};

enum class Stroke { solid, dashed, dotted };

struct Line {
    Point from;
    Point to;
    Ink ink = Ink::wall;
    double width = 0.25; ///< mm
    Stroke stroke = Stroke::solid;
};

enum class Fill { none, plain, hatched, light };

struct Rectangle {
    Point at; ///< top left
    double width = 0;
    double height = 0;
    Ink ink = Ink::wall;
    Fill fill = Fill::none;
    double line_width = 0.25; ///< mm; 0: no outline
    Stroke stroke = Stroke::solid;
    double strength = 1; ///< of a plain fill: 0 cannot be seen, 1 is full
};

struct Circle {
    Point centre;
    double radius = 0;
    Ink ink = Ink::hole;
    Fill fill = Fill::plain;
};

struct Triangle {
    Point a;
    Point b;
    Point c;
    Ink ink = Ink::alarm;
};

enum class Align { left, centre, right };

struct Text {
    Point at; ///< on the baseline
    std::string text;
    double height = 3; ///< mm, of the type size
    Align align = Align::left;
    Ink ink = Ink::figure;
    bool bold = false;
    bool breaks_lines = false; ///< on a bit of blank paper, as a figure breaks the line of its dimension
};

/// What a shape belongs to, for picking: a part of the job, and the places on the wall it stands for.
struct Reference {
    enum class Part {
        none,
        stud,
        opening,
        service,
        shelf,
        bracket,
        hole,
        check,
        wall,
        unit,
        unit_hole,
        line,
        thing,
        bay
    };
    Part part = Part::none;
    std::string item;        ///< id of the shelf, the unit, the line, the bay or another thing
    std::size_t index = 0;   ///< of a wall: in the job
    std::optional<Length> x; ///< a tick on the run rod
    std::optional<Length> z; ///< a tick on the height rod
};

struct Shape {
    std::variant<Line, Rectangle, Circle, Triangle, Text> form;
    Reference reference = {};
};

struct Drawing {
    double width = 0; ///< mm
    double height = 0;
    std::vector<Shape> shapes; ///< painted in order
};

/// Puts a drawing into another, its top left at a place there.
void append(Drawing& into, Drawing part, double x, double y);

} // namespace yes_square
