#include "app/layout/unit_form.hpp"

#include "app/bench/choices.hpp"

#include "core/measure/conversions.hpp"

#include "core/runs/place_run.hpp"
#include "core/runs/unit_library.hpp"

#include <algorithm>

namespace yes_square::app {
namespace {

const Length no_less = Length::nanometres(1);

/// Reads a member of the selected unit, and sets it.
template <class T>
BoundForm::Get<T> get_unit(Workbench& bench, T CabinetUnit::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.unit() ? std::optional{bench.unit()->*member} : std::nullopt;
    };
}
void change_unit(Workbench& bench, Job& job, const std::function<void(CabinetUnit&)>& change) {
    if (bench.unit())
        if (const UnitInRun found = find_unit(job, bench.unit()->id); found.run)
            change(found.unit());
}
template <class T>
BoundForm::Set<T> set_unit(Workbench& bench, T CabinetUnit::*member) {
    return [&bench, member](Job& job, T value) {
        change_unit(bench, job, [&](CabinetUnit& unit) { unit.*member = value; });
    };
}
template <class E>
BoundForm::Get<int> row_of_unit(Workbench& bench, E CabinetUnit::*member) {
    return [&bench, member]() -> std::optional<int> {
        return bench.unit() ? std::optional{row_for(bench.unit()->*member)} : std::nullopt;
    };
}
template <class E>
BoundForm::Set<int> set_unit_row(Workbench& bench, E CabinetUnit::*member) {
    return [&bench, member](Job& job, int row) {
        change_unit(bench, job, [&](CabinetUnit& unit) { unit.*member = at_row<E>(row); });
    };
}

} // namespace

UnitForm::UnitForm(Workbench& bench, QWidget* parent)
    : BoundForm{bench, parent} {
    build_size();
    build_appliance();
    build_filler();
    build_box();
}

void UnitForm::build_size() {
    const QString more = tr("It must be more than 0");
    heading(tr("The unit"));
    words(tr("Name"), "unit-name", get_unit(bench(), &CabinetUnit::name), set_unit(bench(), &CabinetUnit::name));
    length(tr("Width"), "unit-width", get_unit(bench(), &CabinetUnit::width), set_unit(bench(), &CabinetUnit::width),
           no_less, more);
    length(tr("Height"), "unit-height", get_unit(bench(), &CabinetUnit::height),
           set_unit(bench(), &CabinetUnit::height), no_less, more);
    length(tr("Depth"), "unit-depth", get_unit(bench(), &CabinetUnit::depth), set_unit(bench(), &CabinetUnit::depth),
           no_less, more);
    choice(tr("Doors"), "unit-hinge", words_of<DoorHinge>(), row_of_unit(bench(), &CabinetUnit::hinge),
           set_unit_row(bench(), &CabinetUnit::hinge));
    choice(tr("Hangs by"), "unit-hanging", words_of<Hanging>(), row_of_unit(bench(), &CabinetUnit::hanging),
           set_unit_row(bench(), &CabinetUnit::hanging));
    number(
        tr("Empty"), "unit-mass", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench().unit() || !is_cabinet(*bench().unit()))
                return std::nullopt;
            const double kg = bench().unit()->mass_kg;
            return kg > 0 ? std::optional{kg} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench(), job, [&](CabinetUnit& unit) { unit.mass_kg = kg.value_or(0); });
        });
    number(
        tr("Loaded"), "unit-loaded", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench().unit() || !is_cabinet(*bench().unit()))
                return std::nullopt;
            return bench().unit()->loaded_kg;
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench(), job, [&](CabinetUnit& unit) { unit.loaded_kg = kg; });
        });
    number(
        tr("A hook bears"), "unit-hook", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench().unit() || bench().unit()->hanging == Hanging::screws)
                return std::nullopt;
            const auto& rating = bench().unit()->hook_rating_n;
            return rating ? std::optional{mass_kg(*rating)} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench(), job, [&](CabinetUnit& unit) {
                unit.hook_rating_n = kg ? std::optional{weight_n(*kg)} : std::nullopt;
            });
        });
}

/// How the box is built, as far as its fixing asks.
void UnitForm::build_box() {
    const QString more = tr("It must be more than 0");
    choice(tr("Built"), "unit-construction", words_of<Construction>(), row_of_unit(bench(), &CabinetUnit::construction),
           set_unit_row(bench(), &CabinetUnit::construction));
    const auto board = [this](const QString& label, const char* name, Length CabinetUnit::*member) {
        length(
            label, name,
            [this, member]() -> std::optional<Length> {
                return bench().unit() && is_cabinet(*bench().unit()) ? std::optional{bench().unit()->*member}
                                                                     : std::nullopt;
            },
            set_unit(bench(), member), Length{}, tr("It must be 0 or more"));
    };
    board(tr("Side"), "unit-side", &CabinetUnit::side);
    board(tr("Back"), "unit-back", &CabinetUnit::back);
    length(
        tr("Stile"), "unit-stile",
        [this]() -> std::optional<Length> {
            return bench().unit() && bench().unit()->construction == Construction::face_frame
                       ? std::optional{bench().unit()->stile}
                       : std::nullopt;
        },
        set_unit(bench(), &CabinetUnit::stile), Length{}, tr("It must be 0 or more"));
    choice(
        tr("Rails at its back"), "unit-rails", QStringList{tr("none"), tr("at the top"), tr("top and bottom")},
        [this]() -> std::optional<int> {
            return bench().unit() && is_cabinet(*bench().unit())
                       ? std::optional{std::min<int>(2, static_cast<int>(bench().unit()->rails.size()))}
                       : std::nullopt;
        },
        [this](Job& job, int number) {
            change_unit(bench(), job, [&](CabinetUnit& unit) {
                const CabinetUnit usual = usual_unit(UnitKind::wall, unit.width, unit.height, unit.depth);
                const auto rails = static_cast<std::size_t>(number);
                for (std::size_t i = unit.rails.size(); i < rails && i < usual.rails.size(); ++i)
                    unit.rails.push_back(usual.rails[i]);
                unit.rails.resize(std::min(rails, unit.rails.size()));
            });
        });
    length(
        tr("Rails are thick"), "unit-rail-thickness",
        [this]() -> std::optional<Length> {
            return bench().unit() && !bench().unit()->rails.empty()
                       ? std::optional{bench().unit()->rails.front().thickness}
                       : std::nullopt;
        },
        [this](Job& job, Length thickness) {
            change_unit(bench(), job, [&](CabinetUnit& unit) {
                for (HangingRail& rail : unit.rails)
                    rail.thickness = thickness;
            });
        },
        no_less, more);
    length(
        tr("Along the next wall"), "unit-return",
        [this]() -> std::optional<Length> {
            const CabinetUnit* unit = bench().unit();
            return unit && (unit->kind == UnitKind::corner_l || unit->kind == UnitKind::corner_diagonal)
                       ? std::optional{unit->return_width}
                       : std::nullopt;
        },
        set_unit(bench(), &CabinetUnit::return_width), Length{}, tr("It must be 0 or more"));
    choice(
        tr("Stands on"), "unit-line",
        [this] {
            QStringList words{tr("its run's own line")};
            if (const Room* room = bench().room())
                for (const LevelLine& line : room->lines)
                    words << text(line.name);
            return words;
        },
        [this]() -> std::optional<int> {
            if (!bench().unit() || !bench().room() || !is_cabinet(*bench().unit()))
                return std::nullopt;
            const auto& lines = bench().room()->lines;
            const auto line = std::ranges::find(lines, bench().unit()->line, &LevelLine::id);
            return line == lines.end() ? 0 : 1 + static_cast<int>(line - lines.begin());
        },
        [this](Job& job, int row) {
            const Room* room = bench().room();
            change_unit(bench(), job, [&](CabinetUnit& unit) {
                unit.line = row == 0 || !room ? std::string{} : room->lines[static_cast<std::size_t>(row - 1)].id;
            });
        });
}

/// What only fillers, appliance gaps and units of an appliance have.
void UnitForm::build_filler() {
    const auto filler_limit = [this](const QString& label, const char* name, Length CabinetUnit::*member) {
        length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench().unit() || !is_filler(*bench().unit()))
                    return std::nullopt;
                return bench().unit()->*member;
            },
            set_unit(bench(), member), Length{}, tr("It must be 0 or more"));
    };
    filler_limit(tr("Width at least"), "unit-least", &CabinetUnit::least);
    filler_limit(tr("Width at most"), "unit-most", &CabinetUnit::most);
    filler_limit(tr("Stock to scribe"), "unit-scribe", &CabinetUnit::scribe);
}

void UnitForm::build_appliance() {
    choice(
        tr("Appliance"), "unit-appliance", QStringList{tr("none")} + words_of<ApplianceKind>(),
        [this]() -> std::optional<int> {
            if (!bench().unit() || (!is_cabinet(*bench().unit()) && bench().unit()->kind != UnitKind::appliance_gap))
                return std::nullopt;
            return bench().unit()->appliance ? 1 + row_for(bench().unit()->appliance->kind) : 0;
        },
        [this](Job& job, int row) {
            change_unit(bench(), job, [&](CabinetUnit& unit) {
                if (row == 0) {
                    unit.appliance.reset();
                    return;
                }
                Appliance appliance = unit.appliance.value_or(Appliance{});
                appliance.kind = at_row<ApplianceKind>(row - 1);
                unit.appliance = appliance;
            });
        });
    const auto appliance_length = [this](const QString& label, const char* name, Length Appliance::*member) {
        length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench().unit() || !bench().unit()->appliance)
                    return std::nullopt;
                return (*bench().unit()->appliance).*member;
            },
            [this, member](Job& job, Length length) {
                change_unit(bench(), job, [&](CabinetUnit& unit) {
                    if (unit.appliance)
                        (*unit.appliance).*member = length;
                });
            },
            Length{}, tr("It must be 0 or more"));
    };
    appliance_length(tr("Appliance high"), "appliance-height", &Appliance::height);
    appliance_length(tr("Its clearance"), "appliance-clearance", &Appliance::clearance);
    const auto as_found = [this](const QString& label, const char* name, std::optional<Length> CabinetUnit::*member) {
        optional_length(
            label, name, tr("not measured"),
            [this, member]() -> std::optional<std::optional<Length>> {
                if (!bench().unit() || bench().unit()->kind != UnitKind::appliance_gap)
                    return std::nullopt;
                return bench().unit()->*member;
            },
            set_unit(bench(), member));
    };
    as_found(tr("As found, front"), "gap-front", &CabinetUnit::gap_front);
    as_found(tr("As found, back"), "gap-back", &CabinetUnit::gap_back);
}

} // namespace yes_square::app
