#pragma once

#include "core/job/materials.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <string>

/// What parts are cut from, what a packet holds and costs, and what came with the delivery.
namespace yes_square {

/// What a part is cut from: a sheet, or a length of something.
enum class StuffKind { sheet, board, cleat, stud, rod, rail, channel, worktop, plinth, packer };

/// A size of stock that can be bought, or lengths and sheets that lie there already.
struct Stock {
    StuffKind kind = StuffKind::board;
    std::optional<BoardMaterial> material = {}; ///< none: whatever the part is made of
    Length thickness;                           ///< 0: any
    Length breadth;                             ///< of a sheet: its width; of a length: of its section, 0: any
    Length length;
    int on_hand = 0;                  ///< so many lie there; they are used first
    bool to_buy = true;               ///< and more can be bought
    std::optional<double> price = {}; ///< of one
    UnknownMembers unknown = {};
    bool operator==(const Stock&) const = default;
};

/// How a thing of the kit is sold and how many are there, by the name that the kit list gives it.
struct KitSupply {
    std::string item;
    int pack = 1;
    std::optional<double> price = {}; ///< of a pack
    int on_hand = 0;                  ///< single ones
    UnknownMembers unknown = {};
    bool operator==(const KitSupply&) const = default;
};

/// What was found when a line of the packing list was checked.
enum class Received { unchecked, whole, short_of, wrong, damaged };

/// A line of the packing list that came with the delivery.
struct DeliveryLine {
    std::string code;
    std::string name;
    int listed = 1; ///< by the packing list
    Received received = Received::unchecked;
    int sound = 0; ///< that came whole, where some are short, wrong or damaged
    std::string note;
    UnknownMembers unknown = {};
    bool operator==(const DeliveryLine&) const = default;
};

} // namespace yes_square
