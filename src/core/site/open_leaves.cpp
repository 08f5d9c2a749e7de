#include "core/site/open_leaves.hpp"

#include <algorithm>
#include <optional>

namespace yes_square {
namespace {

/// At the end of the run where it stands: the first unit's at the left, any other's at the right.
std::optional<WallThing> arm_of(const CabinetUnit& unit, const Run& run, const WallThing& room) {
    if (unit.return_width <= room.depth)
        return {};
    WallThing arm = room;
    arm.depth = unit.return_width;
    if (run.units.front().id == unit.id)
        arm.box.right = std::min(room.box.right, room.box.left + room.depth);
    else
        arm.box.left = std::max(room.box.left, room.box.right - room.depth);
    return arm;
}

class LeafFinder {
public:
    std::vector<OpenLeaf> leaves;

    /// The front of a unit or a bay, opened as its hinges say.
    void front(const std::string& item, DoorHinge hinge, const Outline& box, Length depth) {
        const Length middle = (box.left + box.right) / 2;
        const auto door = [&](Length at, Length to) {
            leaves.push_back({item, false, false, at, to, depth, absolute(to - at), box.bottom, box.top});
        };
        switch (hinge) {
        case DoorHinge::left:
            return door(box.left, box.right);
        case DoorHinge::right:
            return door(box.right, box.left);
        case DoorHinge::both:
            door(box.left, middle);
            return door(box.right, middle);
        case DoorHinge::drawers:
            return drawer(item, box, depth, depth);
        case DoorHinge::none:
            return;
        }
    }
    void drawer(const std::string& item, const Outline& box, Length depth, Length reach) {
        leaves.push_back({item, true, false, box.left, box.right, depth, reach, box.bottom, box.top});
    }

    void look(const Run& run, const RunPlan& plan) {
        for (const CabinetUnit& unit : run.units)
            for (const WallThing& room : plan.room) {
                if (room.id != unit.id)
                    continue;
                const auto arm = arm_of(unit, run, room);
                if (!arm) {
                    front(room.id, unit.hinge, room.box, room.depth);
                    continue;
                }
                // Its door is what the arm leaves of its front, folded or hung at either side.
                Outline open = room.box;
                (arm->box.left == open.left ? open.left : open.right) =
                    arm->box.left == open.left ? arm->box.right : arm->box.left;
                leaves.push_back({room.id, false, true, open.left, open.right, room.depth, open.right - open.left,
                                  open.bottom, open.top});
            }
    }
    void look(const StorageSystem& system, const SystemPlan& plan) {
        for (std::size_t i = 0; i < plan.bays.size(); ++i) {
            const BayPlan& bay = plan.bays[i];
            const Outline box{bay.left, bay.right(), bay.sides.foot, bay.sides.head};
            if (system.bays[i].kind == BayKind::drawers)
                drawer(system.id, box, system.depth, system.depth);
            else
                front(system.id, system.bays[i].door, box, system.depth);
        }
    }
    void look(const Piece& piece, const PiecePlan&) {
        for (const Drawer& each : piece.drawers)
            drawer(piece.id, {piece.left, piece.right(), each.top - each.height, each.top}, piece.depth, each.reach);
        for (int door = 0; door < piece.doors; ++door) {
            const Length broad = piece.width / piece.doors;
            const Length from = piece.left + broad * door;
            leaves.push_back({piece.id, false, true, from, from + broad, piece.depth, broad, Length{}, piece.height});
        }
    }
    void look(const HungCabinet& hung, const HungPlan& plan) {
        for (const WallThing& room : plan.room)
            front(hung.id, hung.unit.hinge, room.box, room.depth);
    }
    void look(const auto&, const ThingPlan&) {}
};

} // namespace

std::vector<OpenLeaf> open_leaves(const Wall& wall, const WallPlan& plan) {
    LeafFinder finder;
    for_each_kind(Things{}, [&]<class Kind>() {
        const auto& things = wall.*parts_of<Kind>;
        for (std::size_t i = 0; i < things.size(); ++i)
            finder.look(things[i], (plan.*plans_of<Kind>)[i]);
    });
    return std::move(finder.leaves);
}

std::vector<WallThing> corner_arms(const Wall& wall, const WallPlan& plan) {
    std::vector<WallThing> arms;
    for (std::size_t i = 0; i < wall.runs.size(); ++i)
        for (const CabinetUnit& unit : wall.runs[i].units)
            for (const WallThing& room : plan.runs[i].room)
                if (room.id == unit.id)
                    if (const auto arm = arm_of(unit, wall.runs[i], room))
                        arms.push_back(*arm);
    return arms;
}

} // namespace yes_square
