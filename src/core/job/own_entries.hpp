#pragma once

#include "core/job/job.hpp"

#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

/// What the fitter enters besides what ships: brackets and anchors in the hand or of the packet.
namespace yes_square {

/// Where a catalogue keeps entries of a kind, and what a file calls that list.
template <class Entry>
inline constexpr std::vector<Entry> Catalogue::*entries_of = nullptr;
template <>
inline constexpr std::vector<Bracket> Catalogue::*entries_of<Bracket> = &Catalogue::brackets;
template <>
inline constexpr std::vector<MasonryAnchor> Catalogue::*entries_of<MasonryAnchor> = &Catalogue::plugs;
template <>
inline constexpr std::vector<LiningAnchor> Catalogue::*entries_of<LiningAnchor> = &Catalogue::lining_anchors;

template <>
inline constexpr std::vector<Support> Catalogue::*entries_of<Support> = &Catalogue::supports;

template <>
inline constexpr std::vector<HangingGear> Catalogue::*entries_of<HangingGear> = &Catalogue::hanging_gear;

template <class Entry>
inline constexpr std::string_view entries_name = {};
template <>
inline constexpr std::string_view entries_name<Bracket> = "brackets";
template <>
inline constexpr std::string_view entries_name<MasonryAnchor> = "plugs";
template <>
inline constexpr std::string_view entries_name<LiningAnchor> = "lining_anchors";
template <>
inline constexpr std::string_view entries_name<Support> = "supports";
template <>
inline constexpr std::string_view entries_name<HangingGear> = "hanging_gear";

using OwnKinds = KindList<Bracket, MasonryAnchor, LiningAnchor, Support, HangingGear>;

/// The fitter's own entries of a catalogue, apart from those that ship, and screws with their packets: they go from job
/// to job.
Catalogue own_entries(const Catalogue& catalogue);

/// Adds entries that a catalogue does not have yet, by id.
void add_entries(Catalogue& catalogue, const Catalogue& more);

/// A copy of an entry as the fitter's own, to be changed to what a packet or a rule in the hand says. Until then
/// nothing is said of what its figures are, and a bracket has no rating. Nullptr: no such id.
/// @return the copy, in the catalogue
template <class Entry>
Entry* copy_as_own(Catalogue& catalogue, const std::string& id);

/// Keeps how a shelf is held as a support of the fitter's own, by a name. @return its id
std::string keep_support(Catalogue& catalogue, const Holding& holding, std::string name);

/// What the units of a run hang on that have no screws of their own: its first such unit's. None: there is no such
/// unit.
std::optional<HangingGear> gear_of(const Run& run);
/// Keeps it, by a name. @return its id
std::string keep_gear(Catalogue& catalogue, HangingGear gear, std::string name);
/// Whether units hang on it, or a shelf from a ceiling.
bool for_units(const HangingGear& gear);
/// Hangs all units of a run on it that hang without screws of their own, if it is for units.
void hang_on(Run& run, const HangingGear& gear);

/// What a shelf's hangers are, and how a shelf is hung from the ceiling by such.
HangingGear gear_of(const Shelf& shelf);
void hang_on(Shelf& shelf, const HangingGear& hanger);

/// Takes an entry of the fitter's own away, and with it the wish of shelves for that bracket, of things for that
/// anchor. What ships stays.
template <class Entry>
void remove_own(Job& job, const std::string& id);

/// Entries as a CSV table, a line each, under the names that a job file has for their members: lengths in mm, kg, N,
/// several lengths with spaces between. As catalogue documents say the same: see file.hpp.
///
///     id,name,arm,leg,width,thickness,hole_drops,hole_diameter,...
///     own-1,Oak bracket,180,220,35,20,30 190,5,...
///
/// Of a support and of hanging gear, whose members lie one in another, a column is named by the way to it:
///
///     id,name,held_by/kind,held_by/diameter,held_by/in_wall,...
template <class Entry>
std::string entries_csv(const std::vector<Entry>& entries);

/// Reads such a table. Columns stand in any order; what an entry can do without may be left out; a length may be
/// written in any way the program reads one, with ; between several. All are the fitter's own. On error the text names
/// line, column and cure.
template <class Entry>
tl::expected<std::vector<Entry>, std::string> entries_from_csv(std::string_view table);

/// Adds entries as the fitter's own. One whose id is there already as the fitter's own takes its place; where what
/// ships has it, it gets an id of its own.
template <class Entry>
void take_in(Catalogue& catalogue, const std::vector<Entry>& entries);

} // namespace yes_square
