#include "core/cutting/delivery.hpp"

#include "core/cutting/kit.hpp"
#include "core/measure/csv_table.hpp"

#include <algorithm>
#include <cctype>
#include <charconv>
#include <fmt/format.h>
#include <map>

namespace yes_square {
namespace {

std::string lower(std::string text) {
    std::ranges::transform(text, text.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return text;
}

/// A cabinet of the plan with a code, and its run.
struct Wanted {
    const Run* run = nullptr;
    const CabinetUnit* unit = nullptr;
};

std::map<std::string, std::vector<Wanted>> wanted_units(const Job& job) {
    std::map<std::string, std::vector<Wanted>> wanted;
    for (const Wall& wall : job.walls)
        for (const Run& run : wall.runs)
            for (const CabinetUnit& unit : run.units)
                if (!unit.code.empty())
                    wanted[lower(unit.code)].push_back({&run, &unit});
    return wanted;
}

std::size_t sound(const DeliveryLine& line) {
    const auto listed = static_cast<std::size_t>(std::max(0, line.listed));
    return line.received == Received::whole || line.received == Received::unchecked
               ? listed
               : std::min(listed, static_cast<std::size_t>(std::max(0, line.sound)));
}

std::string_view what_is_wrong(Received received) {
    switch (received) {
    case Received::short_of:
        return "{0}: {1} of {2} came";
    case Received::wrong:
        return "{0}: another thing came, {1} of {2} are right";
    case Received::damaged:
        return "{0}: damaged, {1} of {2} are sound";
    default:
        return "{0}: not checked yet, {2} listed";
    }
}

} // namespace

tl::expected<std::vector<DeliveryLine>, std::string> packing_list_from_csv(std::string_view table) {
    const auto lines = read_csv(table);
    if (!lines)
        return tl::unexpected{lines.error()};
    if (lines->empty())
        return tl::unexpected{std::string{"the table is empty; its first line names the columns: code,name,quantity"}};
    enum Column { code_of, name_of_part, number_of, none };
    std::vector<Column> columns;
    for (const std::string& cell : lines->front().cells) {
        const std::string word = lower(cell);
        columns.push_back(word == "code"                                            ? code_of
                          : word == "name"                                          ? name_of_part
                          : word == "quantity" || word == "qty" || word == "number" ? number_of
                                                                                    : none);
        if (columns.back() == none)
            return tl::unexpected{fmt::format("line 1: \"{}\" is no column of a packing list; it must be code, name or "
                                              "quantity",
                                              cell)};
    }
    if (std::ranges::find(columns, code_of) == columns.end())
        return tl::unexpected{std::string{"line 1: there is no column code; every part is known by its code"}};
    std::vector<DeliveryLine> list;
    for (std::size_t i = 1; i < lines->size(); ++i) {
        const CsvLine& line = (*lines)[i];
        DeliveryLine& read = list.emplace_back();
        if (line.cells.size() > columns.size())
            return tl::unexpected{
                fmt::format("line {}: {} cells under {} columns; a cell with a comma stands in quotes", line.number,
                            line.cells.size(), columns.size())};
        for (std::size_t c = 0; c < line.cells.size(); ++c) {
            const std::string& cell = line.cells[c];
            if (columns[c] == code_of)
                read.code = cell;
            else if (columns[c] == name_of_part)
                read.name = cell;
            else if (cell.empty())
                continue; // one of it
            else if (const auto [end, error] = std::from_chars(cell.data(), cell.data() + cell.size(), read.listed);
                     error != std::errc{} || end != cell.data() + cell.size() || read.listed < 0 || read.listed > 1000)
                return tl::unexpected{fmt::format("line {}, column quantity: \"{}\" is not a number of parts; it must "
                                                  "be a whole number from 0 to 1000",
                                                  line.number, cell)};
        }
        if (read.code.empty())
            return tl::unexpected{fmt::format("line {}, column code: it is empty; give the part's code", line.number)};
    }
    return list;
}

std::vector<DeliveryFinding> check_delivery(const Job& job, const Plan& plan) {
    std::vector<DeliveryFinding> findings;
    if (job.delivery.empty())
        return findings;
    const auto wanted = wanted_units(job);
    const Kit kit = kit_of(job, plan);
    std::map<std::string, std::size_t> there;
    for (const DeliveryLine& line : job.delivery)
        there[lower(line.code)] += sound(line);
    const auto stopped_by = [&](const std::string& code, std::size_t sound_ones) {
        std::vector<Sentence> stops;
        if (const auto units = wanted.find(code); units != wanted.end()) {
            for (std::size_t i = sound_ones; i < units->second.size(); ++i) {
                const auto& [run, unit] = units->second[i];
                stops.push_back({"{0} of {1}", {unit->name, run->name}});
                if (run->level == RunLevel::floor && is_cabinet(*unit))
                    stops.push_back({"worktop and plinth of {0}", {run->name}});
            }
        }
        for (const KitLine& line : kit.lines)
            if (lower(line.item) == code && sound_ones < line.wanted)
                for (const std::string& item : line.for_items)
                    for (const auto& wall : plan.walls)
                        for (const ShelfPlan& shelf : wall->shelves)
                            if (shelf.id == item)
                                stops.push_back({"{0} on {1}", {shelf.name, wall->wall_name}});
        return stops;
    };
    for (const DeliveryLine& line : job.delivery) {
        if (line.received == Received::whole)
            continue;
        DeliveryFinding finding;
        finding.code = line.code;
        finding.problem = {what_is_wrong(line.received),
                           {line.name.empty() ? line.code : line.name, count(sound(line)),
                            count(static_cast<std::size_t>(std::max(0, line.listed)))}};
        if (line.received != Received::unchecked)
            finding.stops = stopped_by(lower(line.code), there[lower(line.code)]);
        findings.push_back(std::move(finding));
    }
    for (const auto& [code, units] : wanted)
        if (const auto came = there.find(code); came == there.end() || came->second < units.size()) {
            const bool listed = came != there.end();
            if (listed && std::ranges::any_of(findings, [&, wanted_code = code](const DeliveryFinding& finding) {
                    return lower(finding.code) == wanted_code && !finding.stops.empty();
                }))
                continue;
            DeliveryFinding finding;
            finding.code = units.front().unit->code;
            finding.problem = {listed ? std::string_view{"{0}: the packing list has {1}, the plan wants {2}"}
                                      : "{0}: not on the packing list, the plan wants {2}",
                               {units.front().unit->name, count(listed ? came->second : 0), count(units.size())}};
            finding.stops = stopped_by(code, listed ? came->second : 0);
            findings.push_back(std::move(finding));
        }
    return findings;
}

} // namespace yes_square
