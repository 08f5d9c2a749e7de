#include "core/fixings/fixing_supplies.hpp"

#include <fmt/format.h>

namespace yes_square {

std::vector<Supply> supplies_of(const Fixing& fixing, std::size_t number) {
    if (number == 0)
        return {};
    std::vector<Supply> supplies{{KitGroup::fixings,
                                  fmt::format("{} {:.4g} mm", fixing.name, fixing.screw_length.in_mm()),
                                  {"{0}, {1} long", {fixing.name, stock(fixing.screw_length)}},
                                  number}};
    if (fixing.coach) {
        supplies.push_back({KitGroup::tools, "socket", {"Socket for coach screws, and a ratchet"}});
        supplies.push_back({KitGroup::consumables, "wax", {"Wax or grease for coach screws"}});
        supplies.push_back({KitGroup::fixings, "washer", {"Washer under each coach screw's head"}, number});
    }
    return supplies;
}

Supply screws_of(Length length, std::string_view what, std::size_t number) {
    return {KitGroup::fixings,
            fmt::format("{} {:.4g} mm", what, length.in_mm()),
            {"{0}, {1} long", {what, stock(length)}},
            number};
}

} // namespace yes_square
