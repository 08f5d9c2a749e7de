#include "core/hands/tape.hpp"

#include "core/site/wall_site.hpp"

#include <algorithm>

namespace yes_square {

TapeStops tape_stops(const Wall& wall, const WallPlan& plan, const std::vector<LinePlan>& lines) {
    TapeStops stops{{Length{}, wall.length}, {Length{}, wall.height}};
    const auto add = [&](const Outline& box) {
        stops.x.insert(stops.x.end(), {box.left, box.right});
        stops.z.insert(stops.z.end(), {box.bottom, box.top});
    };
    if (const auto* framing = std::get_if<Framing>(&wall.structure))
        for (const Stud& stud : plan.survey.studs)
            stops.x.insert(stops.x.end(),
                           {stud.centre - framing->stud_width / 2, stud.centre, stud.centre + framing->stud_width / 2});
    for (const Opening& opening : wall.openings)
        add(box_of(opening));
    for_each_thing(plan, [&](const ThingPlan& thing) {
        for (const WallThing& room : thing.room)
            add(room.box);
        for (const PlannedHole& hole : thing.holes) {
            stops.x.push_back(hole.x);
            stops.z.push_back(hole.z);
        }
    });
    for (const LinePlan& line : lines)
        stops.z.push_back(line.z);
    for (std::vector<Length>* each : {&stops.x, &stops.z}) {
        std::ranges::sort(*each);
        each->erase(std::unique(each->begin(), each->end()), each->end());
    }
    return stops;
}

Length held_at(const std::vector<Length>& stops, Length at, Length reach) {
    const auto nearest = std::ranges::min_element(stops, {}, [&](Length stop) { return absolute(stop - at); });
    return nearest != stops.end() && absolute(*nearest - at) <= reach ? *nearest : at;
}

} // namespace yes_square
