#include "core/runs/unit_library.hpp"

#include "core/job/edits.hpp"
#include "core/job/fields.hpp"
#include "core/job/fresh_name.hpp"
#include "core/measure/csv_table.hpp"
#include "core/measure/entry.hpp"
#include "core/runs/place_run.hpp"

#include <algorithm>
#include <array>
#include <charconv>
#include <fmt/format.h>
#include <optional>

namespace yes_square {
namespace {

constexpr Length rail_down = 60_mm;
constexpr Length deepest_wall_unit = 420_mm;
constexpr Length tall_from = 1200_mm; ///< a unit as high as this is a tall one

enum Column : std::size_t { code, kind, w, h, d, mass, qty, column_count };
constexpr std::array<std::string_view, column_count> column_names{"code", "kind", "w", "h", "d", "mass", "qty"};

/// How units are numbered: wall units W1, W2, base units B1, tall ones T1, so that each can be called out.
std::string_view number_pattern(const CabinetUnit& unit) {
    switch (unit.kind) {
    case UnitKind::appliance_gap:
        return "A%1";
    case UnitKind::filler:
        return "F%1";
    case UnitKind::corner_post:
        return "K%1";
    case UnitKind::handle_channel:
        return "C%1";
    case UnitKind::end_panel:
        return "P%1";
    case UnitKind::tall:
    case UnitKind::appliance_housing:
        return "T%1";
    default:
        return level_of(unit) == RunLevel::wall ? "W%1" : "B%1";
    }
}

std::string_view kind_words(UnitKind of) {
    switch (of) {
    case UnitKind::wall:
        return "Wall unit";
    case UnitKind::base:
        return "Base unit";
    case UnitKind::tall:
        return "Tall unit";
    case UnitKind::open_shelf:
        return "Open shelf unit";
    case UnitKind::corner_blind:
        return "Blind corner";
    case UnitKind::corner_l:
        return "L corner";
    case UnitKind::corner_diagonal:
        return "Diagonal corner";
    case UnitKind::appliance_housing:
        return "Oven housing";
    case UnitKind::appliance_gap:
        return "Appliance gap";
    case UnitKind::filler:
        return "Filler";
    case UnitKind::corner_post:
        return "Corner post";
    case UnitKind::handle_channel:
        return "Handle channel";
    case UnitKind::end_panel:
        return "End panel";
    }
    return {};
}

class ListReader {
public:
    explicit ListReader(Unit unit)
        : unit_{unit} {}

    void line(const CsvLine& line) {
        line_ = line.number;
        if (columns_.empty())
            head(line.cells);
        else
            body(line.cells);
    }

    std::vector<ListedUnit> listed;
    std::string problem;

private:
    void fail(std::string_view where, std::string_view words) {
        problem = fmt::format("line {}{}{}: {}", line_, where.empty() ? "" : ", ", where, words);
    }

    void head(const std::vector<std::string>& cells) {
        for (const std::string& cell : cells) {
            const auto found = std::ranges::find(column_names, cell);
            if (found == column_names.end())
                return fail(cell, fmt::format("there is no such column; the first line names some of {}",
                                              fmt::join(column_names, ", ")));
            columns_.push_back(static_cast<Column>(found - column_names.begin()));
        }
        for (const Column needed : {kind, w, h, d})
            if (std::ranges::find(columns_, needed) == columns_.end())
                return fail({}, fmt::format("the first line must name the column \"{}\"", column_names[needed]));
    }

    void body(const std::vector<std::string>& cells) {
        if (cells.size() > columns_.size())
            return fail({}, fmt::format("{} cells stand under {} columns; a length with a comma needs quotes round it",
                                        cells.size(), columns_.size()));
        std::array<std::string, column_count> row;
        for (std::size_t i = 0; i < cells.size(); ++i)
            row[columns_[i]] = cells[i];
        std::optional<UnitKind> of;
        std::string known;
        for (const auto& name : enum_names<UnitKind>()) {
            known += fmt::format("{}{}", known.empty() ? "" : ", ", name.name);
            if (name.name == row[kind])
                of = name.value;
        }
        if (!of)
            return fail("kind", fmt::format("\"{}\" is not known; it is one of {}", row[kind], known));
        std::array<Length, 3> sizes;
        for (std::size_t i = 0; i < sizes.size(); ++i)
            if (!length(static_cast<Column>(w + i), row[w + i], sizes[i]))
                return;
        ListedUnit& listed_unit = listed.emplace_back();
        listed_unit.unit = usual_unit(*of, sizes[0], sizes[1], sizes[2]);
        listed_unit.unit.code = row[code];
        listed_unit.unit.id = fmt::format("listed-{}", listed.size());
        double number = 0;
        if (!row[mass].empty()) {
            if (!amount(mass, row[mass], 1000, number))
                return;
            listed_unit.unit.mass = Mass::kg(number);
        }
        if (!row[qty].empty()) {
            if (!amount(qty, row[qty], 1000, number))
                return;
            if (number < 1 || number != static_cast<int>(number))
                return fail("qty",
                            fmt::format("\"{}\" is no number of units; it must be a whole number from 1", row[qty]));
            listed_unit.quantity = static_cast<int>(number);
        }
    }

    bool length(Column column, const std::string& text, Length& into) {
        if (text.empty())
            fail(column_names[column], "every unit needs this size");
        else if (const auto parsed = parse_length(text, unit_); !parsed)
            fail(column_names[column], fmt::format("\"{}\": {}", text, parsed.error().text()));
        else if (*parsed <= Length{} || *parsed > 20'000_mm)
            fail(column_names[column], fmt::format("{} must be more than 0 and at most 20 m", text));
        else
            into = *parsed;
        return problem.empty();
    }

    bool amount(Column column, std::string text, double most, double& into) {
        std::ranges::replace(text, ',', '.');
        const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), into);
        if (error != std::errc{} || end != text.data() + text.size() || !(into >= 0 && into <= most))
            fail(column_names[column], fmt::format("\"{}\" must be a plain number from 0 to {}", text, most));
        return problem.empty();
    }

    Unit unit_;
    std::vector<Column> columns_;
    std::size_t line_ = 0;
};

} // namespace

RunLevel level_of(const CabinetUnit& unit) {
    const bool corner = unit.kind == UnitKind::corner_blind || unit.kind == UnitKind::corner_l ||
                        unit.kind == UnitKind::corner_diagonal;
    const bool hangs =
        unit.kind == UnitKind::wall || unit.kind == UnitKind::open_shelf || (corner && unit.depth <= deepest_wall_unit);
    return hangs ? RunLevel::wall : RunLevel::floor;
}

std::string put_unit(Job& job, std::size_t wall_index, CabinetUnit unit, const std::string& named, Length at) {
    Wall& wall = job.walls[wall_index];
    const RunLevel level = level_of(unit);
    const bool anywhere = !is_cabinet(unit) && unit.kind != UnitKind::appliance_gap; // fillers, panels
    const auto takes = [&](const Run& run) { return anywhere || run.level == level; };
    auto run = std::ranges::find(wall.runs, named, &Run::id);
    if (run == wall.runs.end() || !takes(*run))
        run = std::ranges::find_if(wall.runs, takes);
    if (run == wall.runs.end()) {
        Run fresh;
        fresh.id = fresh_id(job, "run");
        fresh.name = level == RunLevel::wall ? "Wall units" : "Base units";
        fresh.level = level;
        wall.runs.push_back(std::move(fresh));
        run = std::prev(wall.runs.end());
    }
    unit.id = fresh_id(job, "unit");
    unit.name = fresh_name(job, number_pattern(unit));
    const std::vector<RunLayout> layouts = place_runs(wall, wall.length, {});
    const auto& places = layouts[static_cast<std::size_t>(run - wall.runs.begin())].units;
    const auto before =
        std::ranges::find_if(places, [&](const PlacedUnit& place) { return at < place.left + place.width / 2; });
    const std::string id = unit.id;
    run->units.insert(run->units.begin() + (before - places.begin()), std::move(unit));
    return id;
}

std::string put_units(Job& job, std::size_t wall, const std::vector<CabinetUnit>& units, const std::string& named,
                      Length at) {
    std::string before;
    for (const CabinetUnit& unit : units) {
        const std::string id = put_unit(job, wall, unit, named, at);
        for (Run& run : job.walls[wall].runs) {
            const auto first = std::ranges::find(run.units, before, &CabinetUnit::id);
            const auto then = std::ranges::find(run.units, id, &CabinetUnit::id);
            if (first == run.units.end() || then == run.units.end())
                continue;
            if (then < first)
                std::rotate(then, then + 1, first + 1);
            else
                std::rotate(first + 1, then, then + 1);
        }
        before = id;
    }
    return before;
}

CabinetUnit usual_unit(UnitKind of, Length width, Length height, Length depth) {
    CabinetUnit unit;
    unit.name = std::string{kind_words(of)};
    unit.kind = of;
    unit.width = width;
    unit.height = height;
    unit.depth = depth;
    if (of == UnitKind::filler) {
        unit.least = std::min(width, 20_mm);
        unit.most = std::max(width, 100_mm);
        return unit;
    }
    if (of == UnitKind::corner_post) {
        unit.return_width = width;
        return unit;
    }
    if (of == UnitKind::appliance_gap) {
        unit.appliance =
            Appliance{height >= tall_from ? ApplianceKind::cooling : ApplianceKind::undercounter, height, 5_mm};
        return unit;
    }
    if (!is_cabinet(unit))
        return unit;
    if (of == UnitKind::corner_l || of == UnitKind::corner_diagonal)
        unit.return_width = width;
    unit.rails = {{rail_down, 80_mm, 16_mm}};
    if (height > 3 * rail_down)
        unit.rails.push_back({height - rail_down, 80_mm, 16_mm});
    if (of != UnitKind::open_shelf)
        unit.hinge = width >= 700_mm ? DoorHinge::both : DoorHinge::left;
    return unit;
}

std::vector<CabinetUnit> standard_units(Unit unit) {
    const bool inches = is_imperial(unit);
    const auto either = [&](Length metric, Length imperial) { return inches ? imperial : metric; };
    std::vector<CabinetUnit> units;
    const auto add = [&](UnitKind of, Length width, Length height, Length depth) {
        units.push_back(usual_unit(of, width, height, depth));
    };
    std::vector<Length> widths;
    for (const int mm : {300, 400, 450, 500, 600, 800, 900})
        if (!inches)
            widths.push_back(Length::mm(mm));
    for (int in = 12; in <= 36 && inches; in += in == 24 ? 6 : 3)
        widths.push_back(Length::inches(in));
    const Length carcass = either(720_mm, 30_in);
    for (const Length width : widths)
        add(UnitKind::wall, width, carcass, either(320_mm, 12_in));
    add(UnitKind::open_shelf, either(300_mm, 12_in), carcass, either(320_mm, 12_in));
    for (const Length width : widths)
        add(UnitKind::base, width, carcass, either(560_mm, 24_in));
    add(UnitKind::corner_blind, either(1000_mm, 36_in), carcass, either(560_mm, 24_in));
    add(UnitKind::corner_l, either(900_mm, 36_in), carcass, either(560_mm, 24_in));
    add(UnitKind::corner_diagonal, either(900_mm, 36_in), carcass, either(560_mm, 24_in));
    const Length tall = either(1950_mm, 80_in);
    add(UnitKind::tall, either(600_mm, 24_in), tall, either(560_mm, 24_in));
    add(UnitKind::tall, either(400_mm, 18_in), tall, either(560_mm, 24_in));
    add(UnitKind::appliance_housing, either(600_mm, 30_in), tall, either(560_mm, 24_in));
    add(UnitKind::appliance_gap, either(600_mm, 24_in), either(820_mm, 34_in), either(600_mm, 24_in));
    add(UnitKind::appliance_gap, either(600_mm, 36_in), either(1800_mm, 70_in), either(650_mm, 30_in));
    add(UnitKind::filler, either(50_mm, 2_in), carcass, either(18_mm, Length::inches(0, {3, 4})));
    add(UnitKind::corner_post, either(60_mm, 3_in), carcass, either(560_mm, 24_in));
    add(UnitKind::handle_channel, either(50_mm, 2_in), tall, either(560_mm, 24_in));
    add(UnitKind::end_panel, either(18_mm, Length::inches(0, {3, 4})), either(900_mm, 36_in), either(600_mm, 25_in));
    return units;
}

tl::expected<std::vector<ListedUnit>, std::string> units_from_csv(std::string_view table, Unit unit) {
    const auto lines = read_csv(table);
    if (!lines)
        return tl::unexpected{lines.error()};
    ListReader reader{unit};
    for (const CsvLine& line : *lines) {
        reader.line(line);
        if (!reader.problem.empty())
            return tl::unexpected{reader.problem};
    }
    if (reader.listed.empty())
        return tl::unexpected{
            std::string{"the table holds no unit; its first line names the columns, each other line is a unit"}};
    return std::move(reader.listed);
}

std::size_t placed_of(const ListedUnit& listed, const Job& job) {
    std::size_t placed = 0;
    for (const Wall& wall : job.walls)
        for (const Run& run : wall.runs)
            placed += static_cast<std::size_t>(std::ranges::count_if(run.units, [&](const CabinetUnit& unit) {
                return listed.unit.code.empty() ? unit.name == listed.unit.name && unit.width == listed.unit.width
                                                : unit.code == listed.unit.code;
            }));
    return placed;
}

} // namespace yes_square
