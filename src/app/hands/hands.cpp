#include "app/hands/hands.hpp"

#include "core/hands/copies.hpp"
#include "core/job/file.hpp"

#include <QClipboard>
#include <QGuiApplication>
#include <array>

namespace yes_square::app {

Hands::Hands(Workbench& bench, QObject* parent)
    : QObject{parent}
    , bench_{bench} {}

void Hands::copy() {
    const Job copies = copies_of(bench_.job(), bench_.plan(), bench_.selected_ids());
    if (copies.walls.empty())
        emit told(tr("Nothing is selected to copy. Click what hangs on the wall first."));
    else
        QGuiApplication::clipboard()->setText(text(write_job(copies)));
}

void Hands::paste() {
    const auto copies = read_job(QGuiApplication::clipboard()->text().toStdString());
    if (!copies || copies->job.walls.empty())
        emit told(tr("Nothing that hangs on a wall was copied. Select something and copy it first."));
    else if (!bench_.wall())
        emit told(tr("There is no wall to hang it on. Begin with a wall."));
    else
        hang(tr("Paste"), copies->job);
}

void Hands::duplicate() {
    if (const CabinetUnit* unit = bench_.unit()) {
        std::string made;
        bench_.edit(tr("Duplicate"), [&, id = unit->id](Job& job) { made = duplicate_unit(job, id); });
        bench_.select(made);
        return;
    }
    const Job copies = copies_of(bench_.job(), bench_.plan(), bench_.selected_ids());
    if (copies.walls.empty())
        emit told(tr("Nothing is selected to duplicate. Click what hangs on the wall first."));
    else
        hang(tr("Duplicate"), copies);
}

void Hands::hang(const QString& what, const Job& copies) {
    std::vector<std::string> hung;
    bench_.edit(what, [&](Job& job) { hung = hang_copies(job, bench_.plan(), bench_.wall_index(), copies); });
    if (hung.empty())
        return;
    bench_.select(hung.front());
    for (std::size_t i = 1; i < hung.size(); ++i)
        bench_.select_too(hung[i]);
}

void Hands::select_all() {
    if (!bench_.wall())
        return;
    const auto already = bench_.selected_ids();
    for_each_thing(*bench_.wall(), [&](const auto& thing) {
        if (std::ranges::find(already, thing.id) == already.end())
            bench_.select_too(thing.id);
    });
}

void Hands::arrange_as(Arrangement arrangement) {
    const auto ids = bench_.selected_ids();
    if (ids.size() < 2)
        return emit told(tr("Select two things or more: click the first, then the others with Ctrl held down. The "
                            "others come to the one that is in hand."));
    make(tr("Bring in order"), arrange(*bench_.wall(), *bench_.wall_plan(), ids, arrangement));
}

void Hands::bring_to_line(const std::string& line) {
    if (const RoomSurvey* room = bench_.room_plan())
        make(tr("Bring to the line"),
             tops_to(*bench_.wall(), *bench_.wall_plan(), bench_.selected_ids(), room->lines.height_of(line)));
}

void Hands::make(const QString& what, const std::vector<Edit>& edits) {
    bench_.edit(what, [&](Job& job) {
        for (const Edit& edit : edits)
            job = apply(edit, std::move(job));
    });
}

void Hands::offer_arrangements(QMenu& menu) {
    const std::array rows{std::pair{Arrangement::tops_level, tr("Tops level")},
                          std::pair{Arrangement::undersides_level, tr("Undersides level")},
                          std::pair{Arrangement::left_ends_in_line, tr("Left ends in line")},
                          std::pair{Arrangement::right_ends_in_line, tr("Right ends in line")},
                          std::pair{Arrangement::spaced_evenly, tr("Spaced evenly")}};
    for (const auto& [arrangement, words] : rows)
        menu.addAction(words, this, [this, arrangement = arrangement] { arrange_as(arrangement); });
}

} // namespace yes_square::app
