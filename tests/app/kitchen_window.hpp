#pragma once

#include "driven_window.hpp"

#include "core/lines/room_lines.hpp"

#include <QListWidget>

/// A kitchen's wall in the real window, and the list of units beside it.
namespace yes_square::app {

/// A framed wall of 1500 mm with proved studs every 400, in a room with the usual lines.
inline Job empty_kitchen(Length length = 1500_mm) {
    Job job = new_job();
    Room room;
    room.id = "room-1";
    room.name = "Kitchen";
    const HouseLines house = house_lines(Unit::mm, job.rules.runs);
    room.lines = house.lines;
    room.line_relations = house.relations;
    job.rooms = {room};
    Wall wall;
    wall.id = "wall-1";
    wall.name = "Wall";
    wall.room = "room-1";
    wall.length = length;
    wall.height = 2500_mm;
    wall.structure = Framing{38_mm, 89_mm, 400_mm, Species::spruce_pine_fir};
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    for (Length at = 400_mm; at < length; at += 400_mm)
        wall.studs.push_back({at, StudState::proved, Length::micrometres(600), {}});
    job.walls = {wall};
    return job;
}

struct Kitchen : DrivenWindow {
    explicit Kitchen(Length length = 1500_mm) {
        bench().start(empty_kitchen(length));
        window.set_stage(Stage::layout);
        QTest::qWait(1);
    }
    const Run& run() { return job().walls.front().runs.front(); }
    const RunPlan& plan() { return bench().plan().walls.front()->runs.front(); }
    QListWidget& library() { return *find<QListWidget>("unit-library"); }
    /// The row of the list whose words begin so.
    int row(const char* words) {
        for (int i = 0; i < library().count(); ++i)
            if (library().item(i)->text().startsWith(QString::fromLatin1(words)))
                return i;
        FAIL("no such unit: " << words);
        return -1;
    }
    /// Chooses these rows of the list and no others.
    void choose_rows(std::initializer_list<const char*> words) {
        library().clearSelection();
        library().setCurrentRow(row(*words.begin()));
        for (const char* each : words)
            library().item(row(each))->setSelected(true);
    }
    /// Carries a unit of the list to a place on the wall, with the mouse; with it what else is chosen.
    void carry(const char* words, Length x, Length z) {
        QListWidget& list = library();
        QListWidgetItem* item = list.item(row(words));
        list.scrollToItem(item);
        QWidget* port = list.viewport();
        const QPoint from = list.visualItemRect(item).center();
        const QPoint to = port->mapFromGlobal(window.board().mapToGlobal(window.board().place(x, z).toPoint()));
        QTest::mousePress(port, Qt::LeftButton, {}, from);
        for (int step = 1; step <= 4; ++step)
            QTest::mouseMove(port, from + (to - from) * step / 4);
        QTest::mouseRelease(port, Qt::LeftButton, {}, to);
        QTest::qWait(1);
    }
    void press(const char* name) {
        QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton);
        QTest::qWait(1);
    }
    Length middle(std::size_t unit) { return plan().layout.units[unit].left + plan().layout.units[unit].width / 2; }
    Length half_up(std::size_t unit) { return (plan().units[unit].bottom + plan().units[unit].top) / 2; }
};

} // namespace yes_square::app
