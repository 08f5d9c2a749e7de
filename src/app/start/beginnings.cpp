#include "app/start/beginnings.hpp"

#include "core/boxes/new_box.hpp"
#include "core/job/fresh_name.hpp"
#include "core/job/trade_sizes.hpp"
#include "core/lines/room_lines.hpp"
#include "core/measure/entry.hpp"
#include "core/runs/unit_library.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/stability/new_piece.hpp"
#include "core/storage/new_system.hpp"

#include <QCoreApplication>
#include <QRegularExpression>
#include <algorithm>
#include <map>

namespace yes_square::app {
namespace {

constexpr Length usual_unit_width = 600_mm;
constexpr Length usual_unit_height = 720_mm;
constexpr Length usual_unit_depth = 320_mm;

QString tr_here(const char* words) {
    return QCoreApplication::translate("StartPage", words);
}

Wall& wall_of(Job& job) {
    return job.walls.front();
}

/// A figure of the one thing of its kind that hangs there.
template <class Part>
Asked figure(const QString& label, const char* name, Length Part::*member) {
    return {label, name, [member](const Job& job) { return (job.walls.front().*parts_of<Part>).front().*member; },
            [member](Job& job, Length value) { (job.walls.front().*parts_of<Part>).front().*member = value; }};
}

std::function<void(Job&)> shelf(std::string_view preset, const char* stem) {
    return [preset, stem](Job& job) {
        Shelf made = new_shelf(shelf_preset(preset), wall_of(job));
        to_trade_sizes(made, job.unit);
        made.id = fresh_id(job, "shelf");
        made.name = fresh_name(job, tr_here(stem).toStdString());
        wall_of(job).shelves.push_back(std::move(made));
    };
}

std::vector<Asked> asked_of_shelf() {
    return {figure(tr_here("Left end at"), "begin-left", &Shelf::left),
            figure(tr_here("Top, up"), "begin-height", &Shelf::height),
            figure(tr_here("Length"), "begin-width", &Shelf::length),
            figure(tr_here("Depth"), "begin-depth", &Shelf::depth)};
}

template <class Part>
void put(Job& job, Part part, std::string_view id, const QString& stem) {
    to_trade_sizes(part, job.unit);
    part.id = fresh_id(job, id);
    name_in(part) = fresh_name(job, stem.toStdString());
    (wall_of(job).*parts_of<Part>).push_back(std::move(part));
}

} // namespace

const std::vector<Beginning>& beginnings() {
    static std::map<QString, std::vector<Beginning>> in_languages;
    std::vector<Beginning>& all = in_languages[spoken()];
    if (!all.empty())
        return all;
    all = {
        {"shelf", tr_here("A shelf"), shelf("brackets", QT_TRANSLATE_NOOP("Words", "Shelf %1")), asked_of_shelf()},
        {"cabinets", tr_here("Wall cabinets"), [](Job& job) { put_cabinets(job, {usual_unit_width}); }, {}, true},
        {"wardrobe",
         tr_here("A wardrobe"),
         [](Job& job) { put(job, new_system(job, wall_of(job)), "system", tr_here("Wardrobe %1")); },
         {figure(tr_here("Left side at"), "begin-left", &StorageSystem::left),
          figure(tr_here("Width"), "begin-width", &StorageSystem::width),
          figure(tr_here("Height of its sides"), "begin-height", &StorageSystem::panel_height),
          figure(tr_here("Depth"), "begin-depth", &StorageSystem::depth)}},
        {"pole", tr_here("A pole or rail"), shelf("pole", QT_TRANSLATE_NOOP("Words", "Pole %1")), asked_of_shelf()},
        {"desk", tr_here("A desk"), shelf("desk", QT_TRANSLATE_NOOP("Words", "Desk %1")), asked_of_shelf()},
        {"fixture", tr_here("Something with its own holes"), shelf("fixture", QT_TRANSLATE_NOOP("Words", "Fixture %1")),
         asked_of_shelf()},
        {"furniture",
         tr_here("Furniture that could tip"),
         [](Job& job) { put(job, new_piece(wall_of(job), PieceKind::dresser), "piece", tr_here("Chest %1")); },
         {figure(tr_here("Left side at"), "begin-left", &Piece::left),
          figure(tr_here("Width"), "begin-width", &Piece::width),
          figure(tr_here("Height"), "begin-height", &Piece::height),
          figure(tr_here("Depth"), "begin-depth", &Piece::depth)}},
        {"hung",
         tr_here("A cabinet that hangs already"),
         [](Job& job) { put(job, new_hung(wall_of(job)), "hung", tr_here("Hanging cabinet %1")); },
         {figure(tr_here("Left side at"), "begin-left", &HungCabinet::left),
          figure(tr_here("Top, up"), "begin-height", &HungCabinet::top)}},
        {"open-framing", tr_here("A shelf on open framing"),
         [](Job& job) {
             if (auto* framing = std::get_if<Framing>(&wall_of(job).structure))
                 framing->open = true;
             wall_of(job).lining.clear();
             shelf("brackets", QT_TRANSLATE_NOOP("Words", "Shelf %1"))(job);
         },
         asked_of_shelf()},
    };
    return all;
}

Job bare_wall(Job job) {
    Room room;
    room.id = fresh_id(job, "room");
    room.name = tr_here("Room").toStdString();
    job.rooms.push_back(room);
    Wall wall = new_wall(room.id, job.unit);
    wall.id = fresh_id(job, "wall");
    wall.name = fresh_name(job, tr_here("Wall %1").toStdString());
    job.walls.push_back(std::move(wall));
    return job;
}

std::vector<Length> typed_lengths(const QString& typed, Unit unit) {
    std::vector<Length> lengths;
    static const QRegularExpression between{QStringLiteral(";\\s*|,\\s+|\\s+")};
    for (const QString& one : typed.split(between, Qt::SkipEmptyParts)) {
        const auto length = parse_length(one.toStdString(), unit);
        if (!length || *length <= Length{})
            return {};
        lengths.push_back(*length);
    }
    return lengths;
}

void put_cabinets(Job& job, const std::vector<Length>& widths) {
    wall_of(job).runs.clear();
    // Wall cabinets hang by the room's lines: the usual ones, until others are set.
    Room& room = *std::ranges::find(job.rooms, wall_of(job).room, &Room::id);
    if (room.lines.empty()) {
        const HouseLines house = house_lines(job.unit, job.rules.runs);
        room.lines = house.lines;
        room.line_relations = house.relations;
    }
    Run run;
    run.id = fresh_id(job, "run");
    run.name = tr_here("Wall cabinets").toStdString();
    run.level = RunLevel::wall;
    wall_of(job).runs.push_back(run);
    for (const Length width : widths) {
        put_unit(job, 0, usual_unit(UnitKind::wall, width, usual_unit_height, usual_unit_depth), run.id,
                 wall_of(job).length);
    }
}

} // namespace yes_square::app
