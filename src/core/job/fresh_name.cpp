#include "core/job/fresh_name.hpp"

#include <algorithm>
#include <set>

namespace yes_square {

std::string fresh_name(const Job& job, std::string_view pattern, int first) {
    std::set<std::string> taken;
    for (const Wall& wall : job.walls) {
        taken.insert(wall.name);
        for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
            taken.insert(name_of(thing));
            if constexpr (std::is_same_v<Thing, Run>)
                for (const CabinetUnit& unit : thing.units)
                    taken.insert(unit.name);
        });
    }
    const std::size_t place = std::min(pattern.find("%1"), pattern.size());
    for (int number = first;; ++number) {
        std::string name{pattern};
        name.replace(place, place < pattern.size() ? 2 : 0, std::to_string(number));
        if (!taken.contains(name))
            return name;
    }
}

} // namespace yes_square
