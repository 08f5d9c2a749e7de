#include "core/job/job.hpp"

#include <algorithm>

namespace yes_square {

Length Wall::lining_thickness() const {
    Length total;
    for (const LiningLayer& layer : lining)
        total += layer.thickness;
    return total;
}

ScrewProperties properties(const WoodScrew& screw) {
    ScrewProperties known = properties(screw.gauge);
    if (!screw.packet)
        return known;
    const ScrewPacket& packet = *screw.packet;
    const auto said = [](double& usual, Length length) {
        if (length > Length{})
            usual = length.in_inches();
    };
    said(known.thread_in, packet.thread);
    said(known.root_in, packet.root);
    said(known.tip_in, packet.tip);
    said(known.head_in, packet.head);
    // No core is thicker than its thread: what is typed so holds no more than such screws usually do.
    known.root_in = std::min(known.root_in, known.diameter_in);
    known.withdrawal = packet.withdrawal;
    known.pull_through = packet.pull_through;
    known.tensile = packet.tensile;
    return known;
}

std::string name_of(const WoodScrew& screw) {
    return screw.packet && !screw.packet->name.empty() ? screw.packet->name : properties(screw.gauge).wood_screw_words;
}

Length Room::floor_build_up() const {
    Length total;
    for (const FloorLayer& layer : floor_layers)
        total += layer.thickness;
    return total;
}

bool is_cabinet(const CabinetUnit& unit) {
    switch (unit.kind) {
    case UnitKind::appliance_gap:
    case UnitKind::filler:
    case UnitKind::corner_post:
    case UnitKind::handle_channel:
    case UnitKind::end_panel:
        return false;
    default:
        return true;
    }
}

StandsOn stands_on(const CabinetUnit& unit, RunLevel level) {
    if (!unit.line.empty())
        return {unit.line, false};
    if (level == RunLevel::wall)
        return unit.appliance && unit.appliance->kind == ApplianceKind::hood ? StandsOn{line_id::hood, false}
                                                                             : StandsOn{line_id::wall_top, true};
    const bool on_floor = unit.kind == UnitKind::appliance_gap || unit.kind == UnitKind::end_panel;
    return {on_floor ? line_id::floor : line_id::plinth, false};
}

const Room* room_of(const Job& job, const Wall& wall) {
    const auto found = std::ranges::find(job.rooms, wall.room, &Room::id);
    return found == job.rooms.end() ? nullptr : &*found;
}

Job new_job() {
    Job job;
    job.catalogue = shipped_catalogue();
    return job;
}

Job new_job(Region region) {
    Job job = new_job();
    job.unit = region == Region::inch ? Unit::inch_16 : Unit::mm;
    job.rules.timber = region == Region::inch ? TimberSchool::nds : TimberSchool::en;
    return job;
}

} // namespace yes_square
