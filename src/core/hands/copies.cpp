#include "core/hands/copies.hpp"

#include "core/job/edits.hpp"
#include "core/job/fresh_name.hpp"
#include "core/reckon/reckon.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cctype>
#include <map>

namespace yes_square {
namespace {

constexpr Length aside = 50_mm;    ///< where no place is free
constexpr Length between = 300_mm; ///< over or under what is there

/// "Shelf 3" and "W3" go on as "Shelf 4" and "W4", "Map shelf" as "Map shelf 2".
std::string next_name(const Job& job, const std::string& name) {
    std::string stem = name;
    while (!stem.empty() && std::isdigit(static_cast<unsigned char>(stem.back())))
        stem.pop_back();
    if (stem != name)
        return fresh_name(job, stem + "%1");
    return fresh_name(job, stem + " %1", 2);
}

/// "shelf-3" without its number.
std::string stem_of(const std::string& id) {
    return id.substr(0, id.rfind('-'));
}

bool free_at(const std::vector<Outline>& moved, const std::vector<Outline>& taken, Length wide, Length high, Length dx,
             Length dz) {
    return std::ranges::none_of(moved, [&](Outline box) {
        box = {box.left + dx, box.right + dx, box.bottom + dz, box.top + dz};
        return box.left < Length{} || box.right > wide || box.bottom < Length{} || box.top > high ||
               std::ranges::any_of(taken, [&](const Outline& other) { return box.overlaps(other); });
    });
}

struct Shift {
    Length dx;
    Length dz;
};

/// The nearest free place beside what is there; else over or under it.
Shift free_place(const std::vector<Outline>& moved, const std::vector<Outline>& taken, const Wall& wall) {
    if (moved.empty())
        return {};
    Outline all = moved.front();
    for (const Outline& box : moved)
        all = all.joined(box);
    std::vector<Length> beside{{}, -all.left, wall.length - all.right};
    std::vector<Length> over{{}};
    for (const Outline& box : taken) {
        beside.insert(beside.end(), {box.right - all.left, box.left - all.right});
        over.insert(over.end(), {box.top + between - all.bottom, box.bottom - between - all.top});
    }
    const auto nearest_first = [](Length a, Length b) { return absolute(a) < absolute(b); };
    std::ranges::stable_sort(beside, nearest_first);
    std::ranges::stable_sort(over, nearest_first);
    for (const Length dz : over)
        for (const Length dx : beside)
            if (free_at(moved, taken, wall.length, wall.height, dx, dz))
                return {dx, dz};
    return {aside, {}};
}

} // namespace

Job copies_of(const Job& job, const Plan& plan, const std::vector<std::string>& ids) {
    Job copies;
    copies.unit = job.unit;
    copies.catalogue = job.catalogue;
    copies.rules = job.rules;
    copies.rooms = job.rooms;
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        const Wall& from = job.walls[w];
        Wall bare;
        bare.id = from.id;
        bare.name = from.name;
        bare.room = from.room;
        bare.length = from.length;
        bare.height = from.height;
        bool any = false;
        for_each_kind(Things{}, [&]<class Kind>() {
            for (std::size_t i = 0; i < (from.*parts_of<Kind>).size(); ++i) {
                const Kind& thing = (from.*parts_of<Kind>)[i];
                if (std::ranges::find(ids, thing.id) == ids.end())
                    continue;
                Kind copy = thing;
                if constexpr (std::is_same_v<Kind, Run>) {
                    copy.slack = Slack::by_hand;
                    copy.left = plan.walls[w]->runs[i].layout.left();
                }
                (bare.*parts_of<Kind>).push_back(std::move(copy));
                any = true;
            }
        });
        if (any)
            copies.walls.push_back(std::move(bare));
    }
    std::erase_if(copies.rooms, [&](const Room& room) {
        return std::ranges::none_of(copies.walls, [&](const Wall& wall) { return wall.room == room.id; });
    });
    return copies;
}

std::vector<std::string> hang_copies(Job& job, const Plan& plan, std::size_t wall, const Job& copies) {
    std::vector<std::string> hung;
    if (wall >= job.walls.size())
        return hung;
    std::vector<Outline> taken;
    for (const WallThing& thing : things_on(*plan.walls[wall]))
        taken.push_back(thing.box);
    for (const Opening& opening : job.walls[wall].openings)
        taken.push_back(box_of(opening));
    std::vector<Outline> moved;
    const Plan of_copies = reckon(copies);
    for (const auto& from : of_copies.walls)
        for (const WallThing& thing : things_on(*from))
            moved.push_back(thing.box);
    const Shift shift = free_place(moved, taken, job.walls[wall]);

    std::map<std::string, std::string> became; // ids
    for (const Wall& from : copies.walls)
        for_each_kind(Things{}, [&]<class Kind>() {
            for (Kind copy : from.*parts_of<Kind>) {
                const std::string id = fresh_id(job, stem_of(copy.id));
                became[copy.id] = id;
                copy.id = id;
                name_in(copy) = next_name(job, name_of(copy));
                auto& parts = job.walls[wall].*parts_of<Kind>;
                parts.push_back(std::move(copy));
                Kind& there = parts.back();
                if constexpr (std::is_same_v<Kind, Run>) {
                    for (CabinetUnit& unit : there.units) {
                        const std::string before = unit.id;
                        unit.id = fresh_id(job, stem_of(before));
                        unit.name = next_name(job, unit.name);
                        if (there.centre_unit == before)
                            there.centre_unit = unit.id;
                        became[before] = unit.id;
                    }
                    for (FixingAt& at : there.fixing.at)
                        if (const auto renamed = became.find(at.where.unit); renamed != became.end())
                            at.where.unit = renamed->second;
                }
                if constexpr (std::is_same_v<Kind, StorageSystem>)
                    for (Bay& bay : there.bays)
                        bay.id = fresh_id(job, stem_of(bay.id));
                hung.push_back(id);
            }
        });
    for (LightFeed& feed : job.walls[wall].feeds)
        if (std::ranges::find(hung, feed.id) != hung.end())
            if (const auto along = became.find(feed.item); along != became.end())
                feed.item = along->second;
    for (const std::string& id : hung)
        job = apply(MoveThing{id, shift.dx, shift.dz}, std::move(job));
    return hung;
}

std::string duplicate_unit(Job& job, const std::string& unit) {
    const UnitInRun found = find_unit(job, unit);
    if (!found.run)
        return {};
    CabinetUnit copy = found.unit();
    copy.id = fresh_id(job, stem_of(copy.id));
    copy.name = next_name(job, copy.name);
    const std::string id = copy.id;
    std::vector<FixingAt>& chosen = found.run->fixing.at;
    for (std::size_t i = 0, there = chosen.size(); i < there; ++i)
        if (chosen[i].where.unit == unit) {
            FixingAt alike = chosen[i];
            alike.where.unit = id;
            chosen.push_back(std::move(alike));
        }
    found.run->units.insert(found.run->units.begin() + static_cast<std::ptrdiff_t>(found.index) + 1, std::move(copy));
    return id;
}

} // namespace yes_square
