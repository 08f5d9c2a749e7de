#include "core/runs/rearrange.hpp"

#include <algorithm>

namespace yes_square {
namespace {

DoorHinge other_side(DoorHinge hinge) {
    return hinge == DoorHinge::left ? DoorHinge::right : hinge == DoorHinge::right ? DoorHinge::left : hinge;
}

void turn(std::vector<Length>& places, Length length) {
    for (Length& place : places)
        place = length - place;
    std::ranges::sort(places);
}

CabinetUnit turned(CabinetUnit unit) {
    unit.hinge = other_side(unit.hinge);
    turn(unit.pins, unit.width);
    for (PanelCutOut& cut : unit.cut_outs)
        switch (cut.panel) {
        case UnitPanel::back:
            cut.across = unit.width - cut.across - cut.width;
            break;
        case UnitPanel::left_side:
            cut.panel = UnitPanel::right_side;
            break;
        case UnitPanel::right_side:
            cut.panel = UnitPanel::left_side;
            break;
        }
    return unit;
}

Slack turned(Slack slack) {
    return slack == Slack::left_end ? Slack::right_end : slack == Slack::right_end ? Slack::left_end : slack;
}

bool of_the_wall(const RunEnd& end) {
    return end.at == EndKind::wall_end || end.at == EndKind::opening;
}

} // namespace

CabinetUnit in_place_of(const CabinetUnit& before, CabinetUnit unit) {
    unit.id = before.id;
    unit.name = before.name;
    unit.line = before.line;
    unit.pins = before.pins;
    std::erase_if(unit.pins, [&](Length pin) { return pin > unit.width; });
    unit.cut_outs = before.cut_outs;
    std::erase_if(unit.cut_outs, [&](const PanelCutOut& cut) {
        const Length room = cut.panel == UnitPanel::back ? unit.width : unit.depth;
        return cut.across + cut.width > room || cut.down + cut.height > unit.height;
    });
    return unit;
}

Run mirrored(Run run, Length length) {
    std::ranges::reverse(run.units);
    for (CabinetUnit& unit : run.units)
        unit = turned(std::move(unit));
    run.slack = turned(run.slack);
    if (of_the_wall(run.start) && of_the_wall(run.end) && !run.open_end)
        std::swap(run.start.clear, run.end.clear);
    for (CutOut& cut : run.cut_outs)
        cut.across = length - cut.across - cut.width;
    turn(run.rail_pins, length);
    return run;
}

} // namespace yes_square
