#include "core/survey/readings_csv.hpp"

#include "core/job/fields.hpp"
#include "core/measure/csv_table.hpp"
#include "core/measure/entry.hpp"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <functional>

namespace yes_square {
namespace {

enum Column : std::size_t { kind_column, x, z, width, height, reading, error, column_count };
constexpr std::array<std::string_view, column_count> column_names{"kind",      "x_mm",       "z_mm",    "width_mm",
                                                                  "height_mm", "reading_mm", "error_mm"};

/// One line, without its kind.
using Figures = std::array<std::optional<Length>, column_count>;

/// How a kind of line is read into a wall and written from it.
struct LineKind {
    std::string name;
    std::vector<Column> needs;
    std::vector<Column> may_have;
    std::function<void(Wall&, const Figures&)> add;
    std::function<std::vector<Figures>(const Wall&)> list;
};

template <class Part>
using Member = std::vector<Part> Wall::*;

/// A kind whose parts are those of a list for which `is` holds.
template <class Part>
LineKind kind_of(std::string name, std::vector<Column> needs, std::vector<Column> may_have, Member<Part> member,
                 std::function<bool(const Part&)> is, std::function<Part(const Figures&)> make,
                 std::function<void(const Part&, Figures&)> write) {
    return {std::move(name), std::move(needs), std::move(may_have),
            [=](Wall& wall, const Figures& figures) { (wall.*member).push_back(make(figures)); },
            [=](const Wall& wall) {
                std::vector<Figures> lines;
                for (const Part& part : wall.*member)
                    if (is(part))
                        write(part, lines.emplace_back());
                return lines;
            }};
}

/// Four figures of a rectangle on the wall.
template <class Part>
void write_box(const Part& part, Figures& line) {
    line[x] = part.left;
    line[z] = part.bottom;
    line[width] = part.width;
    line[height] = part.height;
}

std::vector<LineKind> make_kinds() {
    std::vector<LineKind> kinds;
    for (const auto& [value, name, words] : enum_names<EvidenceKind>())
        kinds.push_back(kind_of<Observation>(
            std::string{name}, {x}, {z, error}, &Wall::observations,
            [value = value](const Observation& seen) { return seen.kind == value; },
            [value = value](const Figures& f) {
                return Observation{value, *f[x], f[z], f[error]};
            },
            [](const Observation& seen, Figures& line) {
                line[x] = seen.x;
                line[z] = seen.z;
                line[error] = seen.error;
            }));
    for (const auto& [value, name, words] : enum_names<StudState>())
        kinds.push_back(kind_of<Stud>(
            fmt::format("stud_{}", name), {x, error}, {}, &Wall::studs,
            [value = value](const Stud& stud) { return stud.state == value; },
            [value = value](const Figures& f) {
                return Stud{*f[x], value, *f[error]};
            },
            [](const Stud& stud, Figures& line) {
                line[x] = stud.centre;
                line[error] = stud.uncertainty;
            }));
    kinds.push_back(kind_of<FloorReading>(
        "floor", {x, reading}, {}, &Wall::floor, [](const auto&) { return true; },
        [](const Figures& f) {
            return FloorReading{*f[x], *f[reading]};
        },
        [](const FloorReading& part, Figures& line) {
            line[x] = part.x;
            line[reading] = part.down;
        }));
    kinds.push_back(kind_of<CeilingReading>(
        "ceiling", {x, reading}, {}, &Wall::ceiling, [](const auto&) { return true; },
        [](const Figures& f) {
            return CeilingReading{*f[x], *f[reading]};
        },
        [](const CeilingReading& part, Figures& line) {
            line[x] = part.x;
            line[reading] = part.up;
        }));
    kinds.push_back(kind_of<FaceReading>(
        "face", {x, z, reading}, {}, &Wall::face, [](const auto&) { return true; },
        [](const Figures& f) {
            return FaceReading{*f[x], *f[z], *f[reading]};
        },
        [](const FaceReading& part, Figures& line) {
            line[x] = part.x;
            line[z] = part.z;
            line[reading] = part.gap;
        }));
    kinds.push_back(kind_of<WidthReading>(
        "width", {z, reading}, {}, &Wall::widths, [](const auto&) { return true; },
        [](const Figures& f) {
            return WidthReading{*f[z], *f[reading]};
        },
        [](const WidthReading& part, Figures& line) {
            line[z] = part.z;
            line[reading] = part.width;
        }));
    kinds.push_back(kind_of<Length>(
        "joist", {x}, {}, &Wall::joists, [](const auto&) { return true; }, [](const Figures& f) { return *f[x]; },
        [](const Length& at, Figures& line) { line[x] = at; }));
    for (const auto& [value, name, words] : enum_names<OpeningKind>())
        kinds.push_back(kind_of<Opening>(
            std::string{name}, {x, z, width, height}, {}, &Wall::openings,
            [value = value](const Opening& opening) { return opening.kind == value; },
            [value = value](const Figures& f) { return Opening{value, *f[x], *f[z], *f[width], *f[height], {}}; },
            write_box<Opening>));
    for (const bool far_side : {false, true})
        for (const auto& [value, name, words] : enum_names<ServiceKind>())
            kinds.push_back(kind_of<ServicePoint>(
                far_side ? fmt::format("far_side_{}", name) : std::string{name}, {x, z, width}, {}, &Wall::services,
                [value = value, far_side](const ServicePoint& service) {
                    return service.kind == value && service.far_side == far_side;
                },
                [value = value, far_side](const Figures& f) {
                    return ServicePoint{value, *f[x], *f[z], *f[width], far_side};
                },
                [](const ServicePoint& service, Figures& line) {
                    line[x] = service.centre;
                    line[z] = service.height;
                    line[width] = service.width;
                }));
    for (const auto& [value, name, words] : enum_names<ObstacleKind>())
        kinds.push_back(kind_of<Obstacle>(
            fmt::format("obstacle_{}", name), {x, z, width, height}, {reading}, &Wall::obstacles,
            [value = value](const Obstacle& obstacle) { return obstacle.kind == value; },
            [value = value](const Figures& f) {
                return Obstacle{value, *f[x], *f[z], *f[width], *f[height], f[reading].value_or(Length{})};
            },
            [](const Obstacle& obstacle, Figures& line) {
                write_box(obstacle, line);
                line[reading] = obstacle.clearance;
            }));
    for (const auto& [value, name, words] : enum_names<ScanResult>())
        kinds.push_back(kind_of<ScannedArea>(
            fmt::format("scan_{}", name), {x, z, width, height}, {}, &Wall::scans,
            [value = value](const ScannedArea& area) { return area.result == value; },
            [value = value](const Figures& f) {
                return ScannedArea{value, *f[x], *f[z], *f[width], *f[height]};
            },
            write_box<ScannedArea>));
    return kinds;
}

const std::vector<LineKind>& all_kinds() {
    static const std::vector<LineKind> kinds = make_kinds();
    return kinds;
}

/// From what is kept to what the tape reads, and back: of a box, to the edge that it reaches first.
void turn_to_tape(const Wall& wall, Figures& line) {
    if (line[x] && wall.tape().from_right())
        line[x] = wall.tape().reads(*line[x]) - (line[height] ? line[width].value_or(Length{}) : Length{});
}

/// A column that must be more than nothing; the others may be 0.
bool must_be_positive(Column column) {
    return column == width || column == height || column == error;
}

/// Feeds cells into a wall; the first problem stops it.
class TableReader {
public:
    explicit TableReader(Wall& wall)
        : wall_{wall} {}

    void line(const CsvLine& line) {
        line_ = line.number;
        if (columns_.empty())
            read_header(line.cells);
        else
            read_line(line.cells);
    }

    std::string problem_;
    std::size_t added_ = 0;

private:
    void fail(std::string_view where, std::string_view words) {
        problem_ = fmt::format("line {}{}{}: {}", line_, where.empty() ? "" : ", ", where, words);
    }

    void read_header(const std::vector<std::string>& row) {
        for (const std::string& name : row) {
            const auto found = std::ranges::find(column_names, name);
            if (found == column_names.end())
                return fail(name, fmt::format("there is no such column; the first line names some of {}",
                                              fmt::join(column_names, ", ")));
            columns_.push_back(static_cast<Column>(found - column_names.begin()));
        }
        if (std::ranges::find(columns_, kind_column) == columns_.end())
            fail({}, "the first line must name the columns, \"kind\" among them");
    }

    void read_line(const std::vector<std::string>& row) {
        if (row.size() > columns_.size())
            return fail({}, fmt::format("{} cells stand under {} columns; a length with a comma needs quotes round it",
                                        row.size(), columns_.size()));
        const LineKind* kind = nullptr;
        for (std::size_t i = 0; i < row.size(); ++i)
            if (columns_[i] == kind_column)
                kind = find_kind(row[i]);
        if (!kind)
            return;
        Figures figures;
        for (std::size_t i = 0; i < row.size(); ++i)
            if (columns_[i] != kind_column && !row[i].empty())
                if (!read_figure(*kind, columns_[i], row[i], figures))
                    return;
        for (const Column column : kind->needs)
            if (!figures[column])
                return fail(column_names[column], fmt::format("{} needs this figure", kind->name));
        turn_to_tape(wall_, figures);
        if (figures[x] && *figures[x] < Length{})
            return fail(column_names[x], fmt::format("it is past the left end of the wall, {} long from its right one",
                                                     format(wall_.length, Unit::mm)));
        kind->add(wall_, figures);
        ++added_;
    }

    const LineKind* find_kind(const std::string& name) {
        const auto found = std::ranges::find(all_kinds(), name, &LineKind::name);
        if (found != all_kinds().end())
            return &*found;
        std::string known;
        for (const LineKind& kind : all_kinds())
            known += (known.empty() ? "" : ", ") + kind.name;
        fail("kind", fmt::format("\"{}\" is not known; it is one of {}", name, known));
        return nullptr;
    }

    bool read_figure(const LineKind& kind, Column column, const std::string& text, Figures& figures) {
        const auto in = [&](const std::vector<Column>& columns) {
            return std::ranges::find(columns, column) != columns.end();
        };
        const auto length = parse_length(text, Unit::mm);
        if (!length)
            fail(column_names[column], fmt::format("\"{}\": {}", text, length.error().text()));
        else if (!in(kind.needs) && !in(kind.may_have))
            fail(column_names[column], fmt::format("{} has no such figure; leave it empty", kind.name));
        else if (*length < Length{} || (must_be_positive(column) && *length == Length{}))
            fail(column_names[column],
                 fmt::format("{} must be {}", text, must_be_positive(column) ? "more than 0" : "0 or more"));
        else if (*length > Length::mm(1'000'000))
            fail(column_names[column], fmt::format("{} is longer than any wall", text));
        else
            figures[column] = *length;
        return problem_.empty();
    }

    Wall& wall_;
    std::vector<Column> columns_;
    std::size_t line_ = 0;
};

} // namespace

std::string readings_csv(const Wall& wall) {
    std::string text = fmt::format("{}\n", fmt::join(column_names, ","));
    for (const LineKind& kind : all_kinds()) {
        std::vector<Figures> lines = kind.list(wall);
        for (Figures& line : lines)
            turn_to_tape(wall, line);
        std::ranges::stable_sort(lines, {}, [](const Figures& line) { return line[x].value_or(Length{}); });
        for (const Figures& line : lines) {
            text += kind.name;
            for (std::size_t column = kind_column + 1; column < column_count; ++column)
                text += line[column] ? fmt::format(",{}", line[column]->in_mm()) : ",";
            text += "\n";
        }
    }
    return text;
}

tl::expected<std::size_t, std::string> add_readings_csv(std::string_view table, Wall& wall) {
    const auto lines = read_csv(table);
    if (!lines)
        return tl::unexpected{lines.error()};
    Wall changed = wall;
    TableReader reader{changed};
    for (const CsvLine& line : *lines) {
        reader.line(line);
        if (!reader.problem_.empty())
            break;
    }
    if (!reader.problem_.empty())
        return tl::unexpected{reader.problem_};
    if (reader.added_ == 0)
        return tl::unexpected{
            std::string{"the table holds no reading; its first line names the columns, each other line "
                        "is a reading"}};
    wall = std::move(changed);
    return reader.added_;
}

} // namespace yes_square
