#include "app/survey/readings.hpp"

#include "app/bench/choices.hpp"

#include "app/bench/words.hpp"

#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

QString shown(Length length, const Voice& voice) {
    return text(format(length, voice));
}

/// Of something so wide, what the tape reads at the edge that it reaches first.
Length near_edge(const Wall& wall, Length left, Length width) {
    return wall.tape().reads(wall.tape().near(left, left + width));
}

/// A reading with its limit of error beside it.
QString read(Length length, const Voice& voice, const Reader& reader) {
    return QStringLiteral("%1  ± %2")
        .arg(shown(length, voice), text(say(fine(limit_of_error(length, reader).in_metres()), voice)));
}

/// Standard uncertainties of a stud's centre by how it is known: both edges probed; both by a detector good to 3 mm;
/// its middle or a screw line; the spacing alone (house rules).
Length uncertainty(StudState state) {
    switch (state) {
    case StudState::proved:
        return Length::micrometres(600);
    case StudState::detected:
        return 1_mm;
    case StudState::indicated:
        return 5_mm;
    case StudState::assumed:
        return 15_mm;
    }
    return {};
}

/// The kinds of the walk, in the order of its menu.
enum class Finding {
    stud_proved,
    stud_detected,
    stud_indicated,
    stud_assumed,
    socket,
    switch_,
    pipe,
    window,
    door,
    fixed_appliance,
    far_socket,
    far_switch,
    radiator,
    boiler,
    pipe_run,
    beam,
    column,
    fireplace,
    other,
    joist,
};

QStringList finding_words() {
    return {tr("Stud, proved"),
            tr("Stud, detected by both edges"),
            tr("Stud, indicated"),
            tr("Stud, assumed"),
            tr("Socket"),
            tr("Switch"),
            tr("Pipe or tap"),
            tr("Window"),
            tr("Door"),
            tr("Fixed appliance"),
            tr("Socket on the far side"),
            tr("Switch on the far side"),
            tr("Radiator"),
            tr("Boiler"),
            tr("Pipe run"),
            tr("Beam"),
            tr("Column"),
            tr("Fireplace"),
            tr("Other obstacle"),
            tr("Ceiling joist")};
}

bool is_stud(Finding what) {
    return what <= Finding::stud_assumed;
}
bool is_opening(Finding what) {
    return what == Finding::window || what == Finding::door;
}
bool is_obstacle(Finding what) {
    return what >= Finding::radiator && what <= Finding::other;
}

ServiceKind service_kind(Finding what) {
    switch (what) {
    case Finding::switch_:
    case Finding::far_switch:
        return ServiceKind::switch_;
    case Finding::pipe:
        return ServiceKind::pipe;
    case Finding::fixed_appliance:
        return ServiceKind::fixed_appliance;
    default:
        return ServiceKind::socket;
    }
}

QString service_words(const ServicePoint& service) {
    switch (service.kind) {
    case ServiceKind::socket:
        return service.far_side ? tr("socket on the far side") : tr("socket");
    case ServiceKind::switch_:
        return service.far_side ? tr("switch on the far side") : tr("switch");
    case ServiceKind::pipe:
        return tr("pipe");
    case ServiceKind::fixed_appliance:
        return tr("fixed appliance");
    }
    return {};
}

/// Which list of the wall a row of the walk is in.
enum WalkLists { studs, openings, services, obstacles, joists };

std::vector<ReadingField> walk_fields(int kind) {
    const auto what = static_cast<Finding>(kind);
    const QString distance = QStringLiteral("distance");
    const QString height = QStringLiteral("height");
    const QString width = QStringLiteral("width");
    const QString tall = QStringLiteral("tall");
    const QString free = QStringLiteral("free");
    if (is_obstacle(what))
        return {{distance, tr("Left edge at"), false, false, false, Along::edge, tr("Right edge at")},
                {height, tr("Lower edge, up")},
                {free, tr("Keep free round it"), true, true},
                {width, tr("Width"), false, false, true},
                {tall, tr("Its height"), false, false, true}};
    if (is_opening(what)) {
        std::vector<ReadingField> fields{
            {distance, tr("Left edge at"), false, false, false, Along::edge, tr("Right edge at")}};
        if (what == Finding::window)
            fields.push_back({height, tr("Lower edge, up")});
        fields.push_back({free, tr("Trim, how broad"), true, true});
        fields.push_back({width, tr("Width with trim"), false, false, true});
        fields.push_back({tall, tr("Its height"), false, false, true});
        return fields;
    }
    std::vector<ReadingField> fields{{distance, tr("Middle at"), false, false, false, Along::point}};
    if (!is_stud(what) && what != Finding::pipe && what != Finding::joist)
        fields.push_back({height, tr("Middle, up")});
    return fields;
}

void add_finding(Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
    const auto what = static_cast<Finding>(kind);
    const Length at = *figures[0];
    if (is_stud(what)) {
        // A stud found again replaces what was thought of it before.
        const auto state = at_row<StudState>(kind);
        const auto* framing = std::get_if<Framing>(&wall.structure);
        const Length near = framing ? framing->stud_width : 38_mm;
        std::erase_if(wall.studs, [&](const Stud& other) { return absolute(other.centre - at) < near; });
        wall.studs.push_back({at, state, uncertainty(state)});
        std::ranges::sort(wall.studs, {}, &Stud::centre);
    } else if (what == Finding::joist) {
        wall.joists.push_back(at);
    } else if (is_obstacle(what)) {
        const int index = kind - static_cast<int>(Finding::radiator);
        wall.obstacles.push_back(
            {at_row<ObstacleKind>(index), at, *figures[1], *figures[3], *figures[4], figures[2].value_or(Length{})});
    } else if (what == Finding::window) {
        wall.openings.push_back(
            {OpeningKind::window, at, *figures[1], *figures[3], *figures[4], figures[2].value_or(Length{})});
    } else if (what == Finding::door) {
        wall.openings.push_back({OpeningKind::door, at, {}, *figures[2], *figures[3], figures[1].value_or(Length{})});
    } else {
        const bool pipe = what == Finding::pipe;
        wall.services.push_back({service_kind(what), at, pipe ? Length{} : *figures[1], pipe ? 100_mm : 86_mm,
                                 what == Finding::far_socket || what == Finding::far_switch});
    }
}

std::vector<ReadingRow> walk_rows(const Wall& wall, const Voice& voice, const Reader&) {
    std::vector<ReadingRow> rows;
    const auto row = [&](Length at, const QString& words, int list, std::size_t index) {
        rows.push_back({at, QStringLiteral("%1   %2").arg(shown(wall.tape().reads(at), voice), words), list, index});
    };
    for (std::size_t i = 0; i < wall.studs.size(); ++i) {
        const Stud& stud = wall.studs[i];
        row(stud.centre,
            stud.state == StudState::proved      ? tr("stud, proved")
            : stud.state == StudState::detected  ? tr("stud, detected")
            : stud.state == StudState::indicated ? tr("stud, indicated")
                                                 : tr("stud, assumed"),
            studs, i);
    }
    for (std::size_t i = 0; i < wall.openings.size(); ++i) {
        const Opening& opening = wall.openings[i];
        row(wall.tape().near(opening.left, opening.left + opening.width),
            tr("%1, %2 wide, %3 high, from %4 up")
                .arg(opening.kind == OpeningKind::window ? tr("window") : tr("door"), shown(opening.width, voice),
                     shown(opening.height, voice), shown(opening.bottom, voice)),
            openings, i);
    }
    for (std::size_t i = 0; i < wall.services.size(); ++i)
        row(wall.services[i].centre,
            tr("%1, %2 up").arg(service_words(wall.services[i]), shown(wall.services[i].height, voice)), services, i);
    for (std::size_t i = 0; i < wall.obstacles.size(); ++i) {
        const Obstacle& obstacle = wall.obstacles[i];
        row(wall.tape().near(obstacle.left, obstacle.left + obstacle.width),
            tr("%1, %2 wide, %3 high, from %4 up")
                .arg(text(say(words(obstacle.kind), voice)), shown(obstacle.width, voice),
                     shown(obstacle.height, voice), shown(obstacle.bottom, voice)),
            obstacles, i);
    }
    for (std::size_t i = 0; i < wall.joists.size(); ++i)
        row(wall.joists[i], tr("ceiling joist"), joists, i);
    return rows;
}

template <class Part>
void erase_at(std::vector<Part>& parts, std::size_t index) {
    if (index < parts.size())
        parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(index));
}

} // namespace

ReadingsSpec walk_readings() {
    return {QStringLiteral("walk"),
            tr("Found"),
            finding_words(),
            walk_fields,
            add_finding,
            walk_rows,
            [](Wall& wall, const ReadingRow& row) {
                switch (row.list) {
                case studs:
                    return erase_at(wall.studs, row.index);
                case openings:
                    return erase_at(wall.openings, row.index);
                case services:
                    return erase_at(wall.services, row.index);
                case obstacles:
                    return erase_at(wall.obstacles, row.index);
                default:
                    return erase_at(wall.joists, row.index);
                }
            }};
}

ReadingsSpec stud_evidence() {
    return {QStringLiteral("evidence"),
            tr("Seen or felt"),
            words_of<EvidenceKind>(),
            [](int kind) {
                std::vector<ReadingField> fields{{QStringLiteral("x"), tr("At"), false, false, false, Along::point},
                                                 {QStringLiteral("z"), tr("Height"), true, true}};
                const auto what = at_row<EvidenceKind>(kind);
                if (what == EvidenceKind::detector || what == EvidenceKind::detector_left_edge ||
                    what == EvidenceKind::detector_right_edge)
                    fields.push_back({QStringLiteral("error"), tr("Its limit, ±"), true, true, true});
                else if (what == EvidenceKind::left_edge || what == EvidenceKind::right_edge)
                    fields.push_back({QStringLiteral("error"), tr("Miss to hit"), true, true, true});
                return fields;
            },
            [](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
                wall.observations.push_back({at_row<EvidenceKind>(kind), *figures[0], figures[1],
                                             figures.size() > 2 ? figures[2] : std::nullopt});
            },
            [](const Wall& wall, const Voice& voice, const Reader&) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.observations.size(); ++i) {
                    const Observation& seen = wall.observations[i];
                    QString said = QStringLiteral("%1   %2").arg(shown(wall.tape().reads(seen.x), voice),
                                                                 word_of(seen.kind).toLower());
                    if (seen.error)
                        said += tr(", ± %1").arg(shown(*seen.error, voice));
                    rows.push_back({seen.x, said, 0, i});
                }
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.observations, row.index); }};
}

ReadingsSpec floor_readings() {
    return {QStringLiteral("floor"),
            {},
            {},
            [](int) {
                return std::vector<ReadingField>{{QStringLiteral("x"), tr("At"), false, false, false, Along::point},
                                                 {QStringLiteral("down"), tr("Down to the floor")}};
            },
            [](Wall& wall, int, const std::vector<std::optional<Length>>& figures) {
                wall.floor.push_back({*figures[0], *figures[1]});
            },
            [](const Wall& wall, const Voice& voice, const Reader& reader) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.floor.size(); ++i)
                    rows.push_back({wall.floor[i].x,
                                    tr("%1   down %2")
                                        .arg(shown(wall.tape().reads(wall.floor[i].x), voice),
                                             read(wall.floor[i].down, voice, reader)),
                                    0, i});
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.floor, row.index); }};
}

ReadingsSpec ceiling_readings() {
    return {QStringLiteral("ceiling"),
            {},
            {},
            [](int) {
                return std::vector<ReadingField>{{QStringLiteral("x"), tr("At"), false, false, false, Along::point},
                                                 {QStringLiteral("up"), tr("Up to the ceiling")}};
            },
            [](Wall& wall, int, const std::vector<std::optional<Length>>& figures) {
                wall.ceiling.push_back({*figures[0], *figures[1]});
            },
            [](const Wall& wall, const Voice& voice, const Reader& reader) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.ceiling.size(); ++i)
                    rows.push_back({wall.ceiling[i].x,
                                    tr("%1   up %2")
                                        .arg(shown(wall.tape().reads(wall.ceiling[i].x), voice),
                                             read(wall.ceiling[i].up, voice, reader)),
                                    0, i});
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.ceiling, row.index); }};
}

ReadingsSpec face_readings() {
    return {QStringLiteral("face"),
            {},
            {},
            [](int) {
                return std::vector<ReadingField>{{QStringLiteral("z"), tr("String at height"), false, true},
                                                 {QStringLiteral("x"), tr("At"), false, false, false, Along::point},
                                                 {QStringLiteral("gap"), tr("Back to the wall")}};
            },
            [](Wall& wall, int, const std::vector<std::optional<Length>>& figures) {
                wall.face.push_back({*figures[1], *figures[0], *figures[2]});
            },
            [](const Wall& wall, const Voice& voice, const Reader& reader) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.face.size(); ++i)
                    rows.push_back({wall.face[i].x,
                                    tr("%1   %2 up: %3 back")
                                        .arg(shown(wall.tape().reads(wall.face[i].x), voice),
                                             shown(wall.face[i].z, voice), read(wall.face[i].gap, voice, reader)),
                                    0, i});
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.face, row.index); }};
}

ReadingsSpec width_readings() {
    return {QStringLiteral("width"),
            {},
            {},
            [](int) {
                return std::vector<ReadingField>{{QStringLiteral("z"), tr("At height")},
                                                 {QStringLiteral("width"), tr("Between the ends"), false, false, true}};
            },
            [](Wall& wall, int, const std::vector<std::optional<Length>>& figures) {
                wall.widths.push_back({*figures[0], *figures[1]});
            },
            [](const Wall& wall, const Voice& voice, const Reader& reader) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.widths.size(); ++i)
                    rows.push_back(
                        {wall.widths[i].z,
                         tr("%1 up: %2").arg(shown(wall.widths[i].z, voice), read(wall.widths[i].width, voice, reader)),
                         0, i});
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.widths, row.index); }};
}

ReadingsSpec scanned_areas() {
    const QStringList kinds = words_of<ScanResult>();
    return {QStringLiteral("scan"),
            tr("Detector said"),
            kinds,
            [](int) {
                return std::vector<ReadingField>{
                    {QStringLiteral("left"), tr("Left edge at"), false, false, false, Along::edge, tr("Right edge at")},
                    {QStringLiteral("bottom"), tr("Lower edge, up")},
                    {QStringLiteral("width"), tr("Width"), false, false, true},
                    {QStringLiteral("height"), tr("Height"), false, false, true}};
            },
            [](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
                wall.scans.push_back({at_row<ScanResult>(kind), *figures[0], *figures[1], *figures[2], *figures[3]});
            },
            [kinds](const Wall& wall, const Voice& voice, const Reader&) {
                std::vector<ReadingRow> rows;
                for (std::size_t i = 0; i < wall.scans.size(); ++i) {
                    const ScannedArea& area = wall.scans[i];
                    rows.push_back({area.left,
                                    tr("%1   %2: %3 wide, %4 high, from %5 up")
                                        .arg(shown(near_edge(wall, area.left, area.width), voice),
                                             kinds[static_cast<int>(area.result)].toLower(), shown(area.width, voice),
                                             shown(area.height, voice), shown(area.bottom, voice)),
                                    0, i});
                }
                return rows;
            },
            [](Wall& wall, const ReadingRow& row) { erase_at(wall.scans, row.index); }};
}

} // namespace yes_square::app
