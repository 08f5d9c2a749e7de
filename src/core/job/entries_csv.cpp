#include "core/job/fields.hpp"
#include "core/job/file.hpp"
#include "core/job/own_entries.hpp"
#include "core/measure/csv_table.hpp"
#include "core/measure/entry.hpp"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

/// A table says what a catalogue document says: it is written from one, and read by the reader of documents, so that
/// both know the same members and ranges.
namespace yes_square {
namespace {

using OrderedJson = nlohmann::ordered_json;

/// Stays out of tables.
constexpr std::string_view picture = "picture";

std::string cell_of(const OrderedJson& value) {
    if (value.is_string())
        return value.get<std::string>();
    if (!value.is_array())
        return value.dump();
    std::string cell;
    for (const OrderedJson& each : value)
        cell += (cell.empty() ? "" : " ") + each.dump();
    return cell;
}

/// What one cell would be in a document.
struct CellProblem {
    std::string message;
};

OrderedJson length_in(std::string_view cell) {
    const auto length = parse_length(cell, Unit::mm);
    if (!length)
        throw CellProblem{fmt::format("\"{}\" is no length: {}", cell, length.error().text())};
    if (length->in_nanometres() % Length::nanometres_per_mm == 0)
        return length->in_nanometres() / Length::nanometres_per_mm; // as a document has whole ones
    return length->in_mm();
}

OrderedJson number_in(std::string_view cell) {
    double figure = 0;
    const auto [end, error] = std::from_chars(cell.data(), cell.data() + cell.size(), figure);
    if (error != std::errc{} || end != cell.data() + cell.size())
        throw CellProblem{fmt::format("\"{}\" is no number; it must be one with a point, such as 12.5", cell)};
    return figure;
}

OrderedJson flag_in(std::string_view cell) {
    if (cell == "true" || cell == "yes" || cell == "1")
        return true;
    if (cell == "false" || cell == "no" || cell == "0")
        return false;
    throw CellProblem{fmt::format("\"{}\" is neither yes nor no", cell)};
}

/// Several lengths: with ; between them, or blanks where none holds one.
OrderedJson lengths_in(std::string_view cell) {
    const char separator = cell.find(';') != std::string_view::npos ? ';' : ' ';
    OrderedJson all = OrderedJson::array();
    while (!cell.empty()) {
        const std::size_t end = std::min(cell.find(separator), cell.size());
        if (const std::string_view one = cell.substr(0, end); one.find_first_not_of(' ') != std::string_view::npos)
            all.push_back(length_in(one));
        cell.remove_prefix(std::min(end + 1, cell.size()));
    }
    return all;
}

/// A visitor of `fields` that makes a document's members of a line's cells.
class RowReader {
public:
    RowReader(const std::vector<std::string>& columns, const CsvLine& line)
        : columns_{columns}
        , line_{line} {}

    template <class T>
    void required(std::string_view name, T&, const Meaning& = {}) {
        if (name == picture)
            return;
        if (const std::string* cell = take(name))
            set(name, [&] { return json<T>(*cell); });
    }
    template <class T>
    void optional(std::string_view name, T& member, const Meaning& = {}) {
        required(name, member);
    }
    template <class T>
    void maybe(std::string_view name, std::optional<T>&, const Meaning&) {
        T member{};
        required(name, member);
    }
    void lengths(std::string_view name, std::vector<Length>&, const Meaning&) {
        if (const std::string* cell = take(name))
            set(name, [&] { return lengths_in(*cell); });
    }

    OrderedJson object = OrderedJson::object();
    std::vector<std::string> known = {}; ///< columns that an entry has

private:
    const std::string* take(std::string_view name) {
        known.emplace_back(name);
        const auto column = std::ranges::find(columns_, name) - columns_.begin();
        const bool there = static_cast<std::size_t>(column) < std::min(columns_.size(), line_.cells.size());
        const std::string* cell = there ? &line_.cells[static_cast<std::size_t>(column)] : nullptr;
        return cell && !cell->empty() ? cell : nullptr;
    }
    void set(std::string_view name, auto&& value) {
        try {
            object[std::string{name}] = value();
        } catch (CellProblem& problem) {
            throw CellProblem{fmt::format("line {}, {}: {}", line_.number, name, problem.message)};
        }
    }
    template <class T>
    static OrderedJson json(const std::string& cell) {
        if constexpr (std::is_same_v<T, Length>)
            return length_in(cell);
        else if constexpr (std::is_same_v<T, bool>)
            return flag_in(cell);
        else if constexpr (std::is_same_v<T, std::string> || std::is_enum_v<T>)
            return cell;
        else
            return number_in(cell);
    }

    const std::vector<std::string>& columns_;
    const CsvLine& line_;
};

/// "brackets[2].arm: ..." of a document, as the line of the table that it is.
std::string in_table(const FileProblem& problem, const std::vector<CsvLine>& lines) {
    const std::size_t open = problem.place.find('[');
    const std::size_t close = problem.place.find("].");
    std::size_t index = 0;
    if (open == std::string::npos || close == std::string::npos ||
        std::from_chars(problem.place.data() + open + 1, problem.place.data() + close, index).ec != std::errc{})
        return problem.text();
    return fmt::format("line {}, {}: {}", lines[index + 1].number, problem.place.substr(close + 2), problem.message);
}

template <class Entry>
OrderedJson document_of(const std::vector<Entry>& entries) {
    Catalogue catalogue;
    catalogue.*entries_of<Entry> = entries;
    OrderedJson document = OrderedJson::parse(write_catalogue(catalogue))[std::string{entries_name<Entry>}];
    for (OrderedJson& entry : document)
        entry.erase(std::string{picture}); // longer than a spreadsheet's cell may be
    return document;
}

/// Entries whose members lie one in another: a column is the way to one, as JSON pointers have it.
template <class Entry>
concept Nested = std::same_as<Entry, Support> || std::same_as<Entry, HangingGear>;

OrderedJson anything_in(const std::string& cell) {
    double figure = 0;
    const auto [end, error] = std::from_chars(cell.data(), cell.data() + cell.size(), figure);
    if (error == std::errc{} && end == cell.data() + cell.size()) {
        const bool whole = std::abs(figure) <= greatest_figure && std::round(figure) == figure;
        return whole ? OrderedJson(static_cast<std::int64_t>(figure)) : OrderedJson(figure); // counts are whole
    }
    if (cell == "true" || cell == "false")
        return cell == "true";
    if (const auto length = parse_length(cell, Unit::mm))
        return length->in_mm();
    return cell;
}

template <Nested Entry>
std::string nested_csv(const std::vector<Entry>& entries) {
    std::vector<std::string> columns;
    std::vector<OrderedJson> rows;
    for (const OrderedJson& entry : document_of(entries)) {
        rows.push_back(entry.flatten());
        for (const auto& [way, value] : rows.back().items())
            if (std::ranges::find(columns, way.substr(1)) == columns.end())
                columns.push_back(way.substr(1));
    }
    std::string table = csv_line(columns);
    for (const OrderedJson& row : rows) {
        std::vector<std::string> cells;
        for (const std::string& column : columns)
            cells.push_back(row.contains("/" + column) && !row["/" + column].is_structured()
                                ? cell_of(row["/" + column])
                                : std::string{});
        table += csv_line(cells);
    }
    return table;
}

template <Nested Entry>
tl::expected<std::vector<Entry>, std::string> nested_from_csv(std::string_view table) {
    const auto lines = read_csv(table);
    if (!lines)
        return tl::unexpected{lines.error()};
    if (lines->size() < 2)
        return tl::unexpected{std::string{"the table holds nothing; its first line names the columns, each other line "
                                          "is one of them"}};
    const std::vector<std::string>& columns = lines->front().cells;
    OrderedJson entries = OrderedJson::array();
    for (std::size_t i = 1; i < lines->size(); ++i) {
        const CsvLine& line = (*lines)[i];
        nlohmann::json flat = nlohmann::json::object();
        for (std::size_t column = 0; column < std::min(columns.size(), line.cells.size()); ++column)
            if (!line.cells[column].empty()) {
                const bool words = columns[column] == "id" || columns[column] == "name";
                flat["/" + columns[column]] =
                    words ? nlohmann::json(line.cells[column]) : nlohmann::json(anything_in(line.cells[column]));
            }
        try {
            nlohmann::json entry = flat.empty() ? flat : flat.unflatten();
            if (!entry.contains("id"))
                entry["id"] = fmt::format("own-{}", i);
            entries.push_back(OrderedJson::parse(entry.dump()));
        } catch (const nlohmann::json::exception&) {
            return tl::unexpected{
                fmt::format("line {}: its columns do not name one way each, such as held_by/diameter", line.number)};
        }
    }
    const auto read = read_catalogue(OrderedJson{{std::string{entries_name<Entry>}, std::move(entries)}}.dump());
    if (!read)
        return tl::unexpected{in_table(read.error(), *lines)};
    return (*read).*entries_of<Entry>;
}

template <class Entry>
std::string flat_csv(const std::vector<Entry>& entries) {
    const OrderedJson document = document_of(entries);
    Entry usual{};
    const std::vector<std::string> none;
    const CsvLine nothing;
    RowReader columns{none, nothing};
    fields(columns, usual);
    std::string table = csv_line(columns.known);
    for (const OrderedJson& entry : document) {
        std::vector<std::string> cells;
        for (const std::string& column : columns.known)
            cells.push_back(entry.contains(column) ? cell_of(entry[column]) : std::string{});
        table += csv_line(cells);
    }
    return table;
}

template <class Entry>
tl::expected<std::vector<Entry>, std::string> flat_from_csv(std::string_view table) {
    const auto lines = read_csv(table);
    if (!lines)
        return tl::unexpected{lines.error()};
    if (lines->size() < 2)
        return tl::unexpected{
            std::string{"the table holds nothing; its first line names the columns, each other line is an entry"}};
    const std::vector<std::string>& columns = lines->front().cells;
    try {
        OrderedJson entries = OrderedJson::array();
        for (std::size_t i = 1; i < lines->size(); ++i) {
            RowReader row{columns, (*lines)[i]};
            Entry usual{};
            fields(row, usual);
            for (const std::string& column : columns)
                if (std::ranges::find(row.known, column) == row.known.end())
                    throw CellProblem{fmt::format("line {}: there is no column \"{}\"; there are {}",
                                                  lines->front().number, column, fmt::join(row.known, ", "))};
            if (!row.object.contains("id"))
                row.object["id"] = fmt::format("own-{}", i);
            entries.push_back(std::move(row.object));
        }
        const auto read = read_catalogue(OrderedJson{{std::string{entries_name<Entry>}, std::move(entries)}}.dump());
        if (!read)
            return tl::unexpected{in_table(read.error(), *lines)};
        return (*read).*entries_of<Entry>;
    } catch (const CellProblem& problem) {
        return tl::unexpected{problem.message};
    }
}

} // namespace

template <class Entry>
std::string entries_csv(const std::vector<Entry>& entries) {
    if constexpr (Nested<Entry>)
        return nested_csv(entries);
    else
        return flat_csv(entries);
}

template <class Entry>
tl::expected<std::vector<Entry>, std::string> entries_from_csv(std::string_view table) {
    if constexpr (Nested<Entry>)
        return nested_from_csv<Entry>(table);
    else
        return flat_from_csv<Entry>(table);
}

template std::string entries_csv<Bracket>(const std::vector<Bracket>&);
template std::string entries_csv<MasonryAnchor>(const std::vector<MasonryAnchor>&);
template std::string entries_csv<LiningAnchor>(const std::vector<LiningAnchor>&);
template std::string entries_csv<Support>(const std::vector<Support>&);
template std::string entries_csv<HangingGear>(const std::vector<HangingGear>&);
template tl::expected<std::vector<Bracket>, std::string> entries_from_csv<Bracket>(std::string_view);
template tl::expected<std::vector<MasonryAnchor>, std::string> entries_from_csv<MasonryAnchor>(std::string_view);
template tl::expected<std::vector<LiningAnchor>, std::string> entries_from_csv<LiningAnchor>(std::string_view);
template tl::expected<std::vector<Support>, std::string> entries_from_csv<Support>(std::string_view);
template tl::expected<std::vector<HangingGear>, std::string> entries_from_csv<HangingGear>(std::string_view);

} // namespace yes_square
