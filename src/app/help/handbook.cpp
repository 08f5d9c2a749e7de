#include "app/help/handbook.hpp"

#include "app/bench/theme.hpp"
#include "app/bench/words.hpp"
#include "app/board/painter.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/hole_section.hpp"
#include "core/sheets/side_view.hpp"

#include <QDir>
#include <QFile>
#include <QPainter>
#include <algorithm>
#include <optional>

/// Resources of a static library are not there until asked for; Qt wants this outside any namespace.
static void load_pages() {
    Q_INIT_RESOURCE(handbook);
}

namespace yes_square::app {
namespace {

QString read(const QString& path) {
    QFile file{path};
    return file.open(QIODevice::ReadOnly) ? QString::fromUtf8(file.readAll()) : QString{};
}

const Job& demo() {
    static const Job job = [] {
        auto read_demo = read_job(read(QStringLiteral(":/demo/harbour-lane.yesq")).toStdString());
        return read_demo ? std::move(read_demo->job) : Job{};
    }();
    return job;
}

/// The demo's one wall that has something on it, which reckons in no time.
struct Shown {
    Job job;
    Plan plan;
    const ThingPlan* thing = nullptr;
};

bool has(const Wall& wall, const std::string& id) {
    bool found = false;
    for_each_kind(Things{}, [&]<class Kind>() {
        for (const Kind& thing : wall.*parts_of<Kind>)
            found |= thing.id == id;
    });
    for (const Run& run : wall.runs)
        found |= std::ranges::find(run.units, id, &CabinetUnit::id) != run.units.end();
    for (const StorageSystem& system : wall.systems)
        found |= std::ranges::find(system.bays, id, &Bay::id) != system.bays.end();
    return found;
}

std::optional<Shown> shown_with(const std::string& id) {
    Shown shown{demo(), {}, nullptr};
    std::erase_if(shown.job.walls, [&](const Wall& wall) { return !has(wall, id); });
    if (shown.job.walls.size() != 1)
        return std::nullopt;
    shown.plan = reckon(shown.job);
    return shown;
}

Drawing drawn(const QString& what, const std::string& id, double width, const Voice& voice) {
    auto shown = shown_with(id);
    if (!shown)
        return {};
    const Wall& wall = shown->job.walls.front();
    const WallPlan& plan = *shown->plan.walls.front();
    constexpr double text = 3;
    if (what == QStringLiteral("elevation")) {
        ElevationFrame frame;
        frame.width = width;
        frame.height = width * 0.62;
        frame.selected_shelf = frame.selected_run = frame.selected_thing = id;
        return draw_elevation(wall, plan, frame, voice).drawing;
    }
    if (what == QStringLiteral("through")) {
        const PlannedHole* hole = nullptr;
        for_each_thing(plan, [&](const ThingPlan& thing) {
            if (thing.id == id)
                hole = most_telling(thing.holes);
        });
        return hole ? draw_hole_section(wall, plan, *hole, width, width * 0.55, text, voice) : Drawing{};
    }
    if (what == QStringLiteral("side")) {
        for (std::size_t i = 0; i < wall.pieces.size(); ++i) {
            const PiecePlan& piece = plan.pieces[i];
            if (piece.id != id || piece.cases.empty())
                continue;
            const auto worst = std::ranges::max_element(
                piece.cases, {}, [](const TipCase& tip) { return tip.balance.over - tip.balance.righting; });
            return draw_side_view(wall.pieces[i], piece, *worst, width * 0.6, width * 0.6, text, voice);
        }
    }
    return {};
}

} // namespace

std::vector<HandbookPage> handbook() {
    load_pages();
    std::vector<HandbookPage> pages;
    const QString english = QStringLiteral(":/handbook/en");
    for (const QString& file : QDir{english}.entryList(QDir::Files, QDir::Name)) {
        QString words = read(QStringLiteral(":/handbook/%1/%2").arg(spoken(), file));
        if (words.isEmpty())
            words = read(english + u'/' + file);
        pages.push_back({file.chopped(3), words.section(u'\n', 0, 0).mid(2), words});
    }
    return pages;
}

QImage handbook_drawing(const QString& address, double width_mm, double dots_per_mm) {
    const Drawing drawing = drawn(address.section(u'/', 0, 0), address.section(u'/', 1).toStdString(), width_mm,
                                  voice(is_imperial(demo().unit) ? Unit::inch_16 : Unit::mm));
    if (drawing.shapes.empty())
        return {};
    QImage image{qRound(drawing.width * dots_per_mm), qRound(drawing.height * dots_per_mm), QImage::Format_RGB32};
    image.fill(Qt::white);
    QPainter painter{&image};
    painter.setRenderHint(QPainter::Antialiasing);
    paint(painter, drawing, print_theme(), dots_per_mm);
    return image;
}

} // namespace yes_square::app
