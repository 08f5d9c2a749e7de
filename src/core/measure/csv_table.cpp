#include "core/measure/csv_table.hpp"

#include <algorithm>
#include <charconv>
#include <csv.h>
#include <fmt/format.h>
#include <memory>
#include <nlohmann/json.hpp>
#include <optional>
#include <tuple>
#include <utility>

namespace yes_square {
namespace {

struct Collector {
    std::vector<CsvLine> lines;
    std::vector<std::string> row;
    std::size_t number = 0;

    void end_row() {
        ++number;
        std::vector<std::string> cells = std::exchange(row, {});
        if (std::ranges::any_of(cells, [](const std::string& cell) { return !cell.empty(); }))
            lines.push_back({number, std::move(cells)});
    }
};

/// The first line that is no UTF-8: a table saved in an old encoding would end in names that nobody can write again.
std::optional<std::size_t> line_not_utf8(const std::string& text) {
    std::size_t number = 1;
    for (std::size_t from = 0; from <= text.size(); ++number) {
        const std::size_t to = std::min(text.find('\n', from), text.size());
        try {
            std::ignore = nlohmann::json(text.substr(from, to - from)).dump();
        } catch (const nlohmann::json::type_error&) {
            return number;
        }
        from = to + 1;
    }
    return std::nullopt;
}

/// A spreadsheet takes a cell that begins like a formula for one; a mark before it makes it text. Figures stay figures.
std::string harmless(const std::string& text) {
    const bool formula = std::string_view{"=+-@\t\r"}.find(text.front()) != std::string_view::npos;
    return formula ? "'" + text : text;
}

bool is_figure(const std::string& text) {
    double figure = 0;
    const auto [end, error] = std::from_chars(text.data() + (text.front() == '+'), text.data() + text.size(), figure);
    return error == std::errc{} && end == text.data() + text.size();
}

std::string cell(std::string text, CsvFigures figures) {
    if (text.empty())
        return text;
    if (!is_figure(text))
        text = harmless(text);
    else if (figures == CsvFigures::with_commas)
        std::ranges::replace(text, '.', ',');
    if (text.find_first_of(figures == CsvFigures::with_commas ? ";\"\r\n" : ",\"\r\n") == std::string::npos)
        return text;
    std::string quoted(2 * text.size() + 2, '\0');
    quoted.resize(csv_write(quoted.data(), quoted.size(), text.data(), text.size()));
    return quoted;
}

} // namespace

tl::expected<std::vector<CsvLine>, std::string> read_csv(std::string_view table) {
    if (table.starts_with("\xEF\xBB\xBF"))
        table.remove_prefix(3);
    std::string text{table};
    std::erase(text, '\r');
    if (const auto line = line_not_utf8(text))
        return tl::unexpected{fmt::format("line {} holds signs in an old encoding; save the table as UTF-8", *line)};
    Collector found;
    csv_parser parser;
    if (csv_init(&parser, CSV_REPALL_NL) != 0)
        return tl::unexpected{std::string{"the table cannot be read: out of memory"}};
    const std::unique_ptr<csv_parser, void (*)(csv_parser*)> owner{&parser, csv_free};
    // A spreadsheet of a country with decimal commas writes semicolons.
    const std::string head = text.substr(0, text.find('\n'));
    const bool tabs = head.find('\t') != std::string::npos;
    csv_set_delim(&parser, head.find(';') != std::string::npos ? ';' : (tabs ? '\t' : ','));
    const auto on_cell = [](void* data, std::size_t size, void* to) {
        static_cast<Collector*>(to)->row.emplace_back(static_cast<const char*>(data), size);
    };
    const auto on_row = [](int, void* to) { static_cast<Collector*>(to)->end_row(); };
    const std::size_t read = csv_parse(&parser, text.data(), text.size(), on_cell, on_row, &found);
    if (read != text.size() || csv_fini(&parser, on_cell, on_row, &found) != 0)
        return tl::unexpected{fmt::format("the table cannot be read: {}", csv_strerror(csv_error(&parser)))};
    return std::move(found.lines);
}

std::string csv_line(const std::vector<std::string>& cells, CsvFigures figures) {
    const std::string_view between = figures == CsvFigures::with_commas ? ";" : ",";
    std::string line;
    for (std::size_t i = 0; i < cells.size(); ++i)
        line += std::string{i > 0 ? between : ""} + cell(cells[i], figures);
    return line + "\r\n";
}

} // namespace yes_square
