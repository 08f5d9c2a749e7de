#pragma once

#include "core/job/fields.hpp"
#include "core/measure/unit.hpp"

namespace yes_square {

/// A usual size as it is made, sold and measured where a job's unit is used: in inches to a quarter up to 2 in, whole
/// up to 20 in, even up to 80 in, whole feet beyond; elsewhere as it is (common practice).
///
///     trade_size(1200_mm, Unit::inch_16);  // 48 in
///     trade_size(18_mm, Unit::inch_16);    // 3/4 in
inline Length trade_size(Length usual, Unit unit) {
    if (!is_imperial(unit))
        return usual;
    const Length size = absolute(usual);
    const Length step = size < 2_in ? Length::inches(0, {1, 4}) : size < 20_in ? 1_in : size < 80_in ? 2_in : 12_in;
    return step * usual.in_steps_of(step);
}

/// A visitor of `fields` that makes usual sizes of a part's own lengths; parts of it stay as they are.
struct TradeSizer {
    Unit unit = Unit::mm;

    template <class T>
    void required(std::string_view, T& member, const Meaning& = {}) const {
        if constexpr (std::is_same_v<T, Length>)
            member = trade_size(member, unit);
    }
    template <class T>
    void optional(std::string_view name, T& member, const Meaning& = {}) const {
        required(name, member);
    }
    void maybe(auto&&...) const {}
    void list(auto&&...) const {}
    void lengths(auto&&...) const {}
    void part(auto&&...) const {}
    void maybe_part(auto&&...) const {}
    void one_of(auto&&...) const {}
    void maybe_one_of(auto&&...) const {}
};

/// Of a new thing, whose sizes nobody has measured yet.
void to_trade_sizes(auto& part, Unit unit) {
    TradeSizer sizer{unit};
    fields(sizer, part);
}

/// A new wall: its studs' spacing and its lining too.
inline void to_trade_sizes(Wall& wall, Unit unit) {
    TradeSizer sizer{unit};
    fields(sizer, wall);
    for (LiningLayer& layer : wall.lining)
        layer.thickness = trade_size(layer.thickness, unit);
    if (auto* framing = std::get_if<Framing>(&wall.structure))
        framing->spacing = trade_size(framing->spacing, unit);
}

/// A wall that nobody has measured yet, of studs behind board, in a room; it has neither id nor name.
inline Wall new_wall(const std::string& room, Unit unit) {
    Wall wall;
    wall.room = room;
    wall.length = 3000_mm;
    wall.height = 2400_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    to_trade_sizes(wall, unit);
    return wall;
}

} // namespace yes_square
