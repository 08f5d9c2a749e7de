#include "app/layout/unit_form.hpp"

#include "app/bench/field_form.hpp"
#include "core/runs/place_run.hpp"
#include "core/runs/unit_library.hpp"

#include <algorithm>

namespace yes_square::app {

UnitForm::UnitForm(Workbench& bench, QWidget* parent)
    : PartForm{bench,
               PartAccess<CabinetUnit>{[&bench] { return bench.unit(); },
                                       [&bench](Job& job, const std::function<void(CabinetUnit&)>& to) {
                                           const CabinetUnit* chosen = bench.unit();
                                           if (const UnitInRun found = find_unit(job, chosen ? chosen->id : "");
                                               found.run)
                                               to(found.unit());
                                       }},
               parent} {
    build_size();
    build_appliance();
    build_box();
}

void UnitForm::build_size() {
    const auto on_hooks = [](const CabinetUnit& unit) { return unit.hanging != Hanging::screws; };
    const auto filler = [](const CabinetUnit& unit) { return is_filler(unit); };
    heading(tr("The unit"));
    FieldForm<CabinetUnit>{*this, "unit"}.row("name").row("width").row("height").row("depth").row("hinge").row(
        "loaded_kg", is_cabinet);
    fold(tr("Weight and how it hangs"), "unit-fold-hangs");
    FieldForm<CabinetUnit>{*this, "unit"}
        .row("mass_kg", is_cabinet)
        .row("hanging")
        .row("hook_rating_n", on_hooks)
        .row("hook_basis", on_hooks);
    const PartAccess<HookPlate> plates{[this] {
                                           const CabinetUnit* unit = this->bench().unit();
                                           return unit && unit->hanging == Hanging::hook_brackets ? &unit->hook_plate
                                                                                                  : nullptr;
                                       },
                                       [this](Job& job, const std::function<void(HookPlate&)>& to) {
                                           change(job, [&](CabinetUnit& unit) { to(unit.hook_plate); });
                                       }};
    FieldForm<HookPlate>{*this, plates, "hook-plate"}
        .row("in")
        .row("down")
        .row("screws")
        .row("apart", [](const HookPlate& plate) { return plate.screws > 1; })
        .row("thickness")
        .row("hole");
    FieldForm<CabinetUnit>{*this, "unit"}
        .row("pins", [](const CabinetUnit& unit) { return is_cabinet(unit) && unit.hanging == Hanging::screws; })
        .row("least", filler)
        .row("most", filler)
        .row("scribe", filler);
}

/// How the box is built, as far as its fixing asks.
void UnitForm::build_box() {
    fold(tr("How it is built"), "unit-fold-built");
    const auto framed = [](const CabinetUnit& unit) { return unit.construction == Construction::face_frame; };
    const auto corner = [](const CabinetUnit& unit) {
        return unit.kind == UnitKind::corner_l || unit.kind == UnitKind::corner_diagonal ||
               unit.kind == UnitKind::corner_post;
    };
    FieldForm<CabinetUnit> rows{*this, "unit"};
    rows.row("construction").row("side", is_cabinet).row("back", is_cabinet).row("stile", framed);
    choice(tr("Rails at its back"), "unit-rails", QStringList{tr("none"), tr("at the top"), tr("top and bottom")},
           read<int>([](const CabinetUnit& unit) { return std::min<int>(2, static_cast<int>(unit.rails.size())); },
                     is_cabinet),
           write<int>([](CabinetUnit& unit, int number) {
               const CabinetUnit usual = usual_unit(UnitKind::wall, unit.width, unit.height, unit.depth);
               const auto rails = static_cast<std::size_t>(number);
               for (std::size_t i = unit.rails.size(); i < rails && i < usual.rails.size(); ++i)
                   unit.rails.push_back(usual.rails[i]);
               unit.rails.resize(std::min(rails, unit.rails.size()));
           }));
    // They may be unlike: a thin one at the top, a thick one below.
    const auto rail = [this](std::size_t number) {
        return PartAccess<HangingRail>{[this, number] {
                                           const CabinetUnit* unit = bench().unit();
                                           return unit && number < unit->rails.size() ? &unit->rails[number] : nullptr;
                                       },
                                       [this, number](Job& job, const std::function<void(HangingRail&)>& to) {
                                           change(job, [&](CabinetUnit& unit) {
                                               if (number < unit.rails.size())
                                                   to(unit.rails[number]);
                                           });
                                       }};
    };
    FieldForm<HangingRail>{*this, rail(0), "rail"}
        .row("thickness", {}, tr("Top rail, thick"))
        .row("breadth", {}, tr("Top rail, high"))
        .row("down", {}, tr("Its middle below the top"));
    FieldForm<HangingRail>{*this, rail(1), "lower-rail"}
        .row("thickness", {}, tr("Bottom rail, thick"))
        .row("breadth", {}, tr("Bottom rail, high"))
        .row("down", {}, tr("Its middle below the unit's top"));
    rows.row("return_width", corner);
    choice(
        tr("Stands on"), "unit-line",
        [this] {
            QStringList words{tr("its run's own line")};
            if (const Room* room = bench().room())
                for (const LevelLine& line : room->lines)
                    words << text(line.name);
            return words;
        },
        read<int>(
            [this](const CabinetUnit& unit) {
                const auto& lines = bench().room()->lines;
                const auto line = std::ranges::find(lines, unit.line, &LevelLine::id);
                return line == lines.end() ? 0 : 1 + static_cast<int>(line - lines.begin());
            },
            [this](const CabinetUnit& unit) { return bench().room() && is_cabinet(unit); }),
        write<int>([this](CabinetUnit& unit, int row) {
            const Room* room = bench().room();
            unit.line = row == 0 || !room ? std::string{} : room->lines[static_cast<std::size_t>(row - 1)].id;
        }));
}

/// What only appliance gaps and units of an appliance have.
void UnitForm::build_appliance() {
    const auto takes_one = [](const CabinetUnit& unit) {
        return is_cabinet(unit) || unit.kind == UnitKind::appliance_gap;
    };
    const auto gap = [](const CabinetUnit& unit) { return unit.kind == UnitKind::appliance_gap; };
    fold(tr("Appliance"), "unit-fold-appliance");
    choice(tr("Appliance"), "unit-appliance", QStringList{tr("none")} + words_of<ApplianceKind>(),
           read<int>([](const CabinetUnit& unit) { return unit.appliance ? 1 + row_for(unit.appliance->kind) : 0; },
                     takes_one),
           write<int>([](CabinetUnit& unit, int row) {
               if (row == 0) {
                   unit.appliance.reset();
                   return;
               }
               Appliance appliance = unit.appliance.value_or(Appliance{});
               appliance.kind = at_row<ApplianceKind>(row - 1);
               unit.appliance = appliance;
           }));
    const PartAccess<Appliance> appliance{
        [this] { return bench().unit() && bench().unit()->appliance ? &*bench().unit()->appliance : nullptr; },
        [this](Job& job, const std::function<void(Appliance&)>& to) {
            change(job, [&](CabinetUnit& unit) {
                if (unit.appliance)
                    to(*unit.appliance);
            });
        }};
    FieldForm<Appliance>{*this, appliance, "appliance"}.row("height").row("clearance");
    FieldForm<CabinetUnit>{*this, "unit"}.row("gap_front", gap).row("gap_back", gap);
}

} // namespace yes_square::app
