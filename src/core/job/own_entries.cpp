#include "core/job/own_entries.hpp"

#include "core/job/things.hpp"

#include <algorithm>

namespace yes_square {
namespace {

template <class Entry>
Entry* entry_in(Catalogue& catalogue, const std::string& id) {
    auto& entries = catalogue.*entries_of<Entry>;
    const auto found = std::ranges::find(entries, id, &Entry::id);
    return found == entries.end() ? nullptr : &*found;
}

template <class Entry>
std::string fresh_own_id(Catalogue& catalogue) {
    for (int number = 1;; ++number)
        if (std::string id = "own-" + std::to_string(number); !entry_in<Entry>(catalogue, id))
            return id;
}

void let_go_of(Shelf& shelf, const Bracket& bracket) {
    if (shelf.bracket == bracket.id)
        shelf.bracket.clear();
}
void let_go_of(auto&, const Bracket&) {}
void let_go_of(auto& thing, const auto& anchor) {
    if constexpr (requires { thing.fixing.at; }) {
        if (thing.fixing.all && thing.fixing.all->anchor == anchor.id)
            thing.fixing.all.reset();
        std::erase_if(thing.fixing.at, [&](const FixingAt& each) { return each.fixing.anchor == anchor.id; });
    }
}

} // namespace

Catalogue own_entries(const Catalogue& catalogue) {
    Catalogue own;
    for_each_kind(OwnKinds{}, [&]<class Entry>() {
        std::ranges::copy_if(catalogue.*entries_of<Entry>, std::back_inserter(own.*entries_of<Entry>), &Entry::own);
    });
    std::ranges::copy_if(catalogue.wood_screws, std::back_inserter(own.wood_screws),
                         [](const WoodScrew& screw) { return screw.packet.has_value(); });
    return own;
}

void add_entries(Catalogue& catalogue, const Catalogue& more) {
    for_each_kind(OwnKinds{}, [&]<class Entry>() {
        for (const Entry& entry : more.*entries_of<Entry>)
            if (!entry_in<Entry>(catalogue, entry.id))
                (catalogue.*entries_of<Entry>).push_back(entry);
    });
    for (const WoodScrew& screw : more.wood_screws) {
        const auto same = std::ranges::find(catalogue.wood_screws, screw.gauge, &WoodScrew::gauge);
        if (same == catalogue.wood_screws.end())
            catalogue.wood_screws.push_back(screw);
        else if (!same->packet)
            same->packet = screw.packet;
    }
}

template <class Entry>
Entry* copy_as_own(Catalogue& catalogue, const std::string& id) {
    const Entry* from = entry_in<Entry>(catalogue, id);
    if (!from)
        return nullptr;
    Entry copy = *from;
    copy.id = fresh_own_id<Entry>(catalogue);
    copy.name += ", my own";
    copy.own = true;
    copy.unknown.clear();
    if constexpr (requires { copy.basis; })
        copy.basis = FigureBasis::not_stated;
    if constexpr (requires { copy.rating; })
        copy.rating.reset();
    auto& entries = catalogue.*entries_of<Entry>;
    entries.push_back(std::move(copy));
    return &entries.back();
}

std::string keep_support(Catalogue& catalogue, const Holding& holding, std::string name) {
    catalogue.supports.push_back({fresh_own_id<Support>(catalogue), std::move(name), holding});
    return catalogue.supports.back().id;
}

std::optional<HangingGear> gear_of(const Run& run) {
    for (const CabinetUnit& unit : run.units) {
        if (!is_cabinet(unit) || unit.hanging == Hanging::screws)
            continue;
        HangingGear gear;
        gear.rating = unit.hook_rating;
        gear.basis = unit.hook_basis;
        if (unit.hanging == Hanging::hook_brackets)
            gear.gear = unit.hook_plate;
        else
            gear.gear = run.rail;
        return gear;
    }
    return std::nullopt;
}

std::string keep_gear(Catalogue& catalogue, HangingGear gear, std::string name) {
    gear.id = fresh_own_id<HangingGear>(catalogue);
    gear.name = std::move(name);
    gear.own = true;
    catalogue.hanging_gear.push_back(std::move(gear));
    return catalogue.hanging_gear.back().id;
}

bool for_units(const HangingGear& gear) {
    return !std::holds_alternative<CeilingHanger>(gear.gear);
}

HangingGear gear_of(const Shelf& shelf) {
    HangingGear gear;
    gear.gear = shelf.hanger;
    gear.rating = shelf.hanger_rating;
    gear.basis = shelf.hanger_basis;
    return gear;
}

void hang_on(Shelf& shelf, const HangingGear& hanger) {
    if (const auto* of = std::get_if<CeilingHanger>(&hanger.gear)) {
        shelf.hanger = *of;
        shelf.hanger_rating = hanger.rating;
        shelf.hanger_basis = hanger.basis;
    }
}

void hang_on(Run& run, const HangingGear& gear) {
    if (!for_units(gear))
        return;
    const auto* plate = std::get_if<HookPlate>(&gear.gear);
    if (!plate)
        run.rail = std::get<SuspensionRail>(gear.gear);
    for (CabinetUnit& unit : run.units) {
        if (!is_cabinet(unit) || unit.hanging == Hanging::screws)
            continue;
        unit.hanging = plate ? Hanging::hook_brackets : Hanging::suspension_rail;
        unit.hook_rating = gear.rating;
        unit.hook_basis = gear.basis;
        if (plate)
            unit.hook_plate = *plate;
    }
}

template <class Entry>
void remove_own(Job& job, const std::string& id) {
    const Entry* entry = entry_in<Entry>(job.catalogue, id);
    if (!entry || !entry->own)
        return;
    for (Wall& wall : job.walls)
        for_each_thing(wall, [&](auto& thing) { let_go_of(thing, *entry); });
    std::erase_if(job.catalogue.*entries_of<Entry>, [&](const Entry& each) { return each.id == id; });
}

template <class Entry>
void take_in(Catalogue& catalogue, const std::vector<Entry>& entries) {
    for (Entry entry : entries) {
        entry.own = true;
        Entry* there = entry_in<Entry>(catalogue, entry.id);
        if (there && there->own) {
            if constexpr (requires { entry.picture; })
                if (entry.picture.empty()) // a table has none
                    entry.picture = std::move(there->picture);
            *there = std::move(entry);
            continue;
        }
        if (there)
            entry.id = fresh_own_id<Entry>(catalogue);
        (catalogue.*entries_of<Entry>).push_back(std::move(entry));
    }
}

template Bracket* copy_as_own<Bracket>(Catalogue&, const std::string&);
template MasonryAnchor* copy_as_own<MasonryAnchor>(Catalogue&, const std::string&);
template LiningAnchor* copy_as_own<LiningAnchor>(Catalogue&, const std::string&);
template Support* copy_as_own<Support>(Catalogue&, const std::string&);
template HangingGear* copy_as_own<HangingGear>(Catalogue&, const std::string&);
template void remove_own<Bracket>(Job&, const std::string&);
template void remove_own<MasonryAnchor>(Job&, const std::string&);
template void remove_own<LiningAnchor>(Job&, const std::string&);
template void remove_own<Support>(Job&, const std::string&);
template void remove_own<HangingGear>(Job&, const std::string&);
template void take_in<Bracket>(Catalogue&, const std::vector<Bracket>&);
template void take_in<MasonryAnchor>(Catalogue&, const std::vector<MasonryAnchor>&);
template void take_in<LiningAnchor>(Catalogue&, const std::vector<LiningAnchor>&);
template void take_in<Support>(Catalogue&, const std::vector<Support>&);
template void take_in<HangingGear>(Catalogue&, const std::vector<HangingGear>&);

} // namespace yes_square
