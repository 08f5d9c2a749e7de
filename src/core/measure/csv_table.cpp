#include "core/measure/csv_table.hpp"

#include <algorithm>
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

} // namespace yes_square
