#include "app/survey/survey_panel.hpp"

#include "core/hands/islands.hpp"
#include "core/job/fresh_name.hpp"
#include "core/job/trade_sizes.hpp"

#include "app/devices/devices_bar.hpp"
#include "app/survey/level_page.hpp"
#include "app/survey/readings.hpp"
#include "app/survey/room_page.hpp"
#include "app/survey/services_page.hpp"
#include "app/survey/studs_page.hpp"
#include "app/survey/trial_hole_page.hpp"
#include "app/survey/wall_form.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>
#include <array>
#include <utility>

namespace yes_square::app {
namespace {

constexpr std::array names{"wall", "walk", "drill", "studs", "level", "face", "services", "room"};

/// What is less high than the panel stands at its top.
QWidget* at_top(QWidget* inside) {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout{page};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(inside);
    column->addStretch(1);
    return page;
}

} // namespace

std::optional<SurveyPage> survey_page_from_name(const QString& name) {
    const auto found = std::ranges::find(names, name);
    return found == names.end() ? std::nullopt : std::optional{static_cast<SurveyPage>(found - names.begin())};
}

SurveyPanel::SurveyPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , pages_{new Pages{this}}
    , studs_{new StudsPage{bench}}
    , level_{new LevelPage{bench}}
    , face_{new FacePage{bench}}
    , devices_{new DevicesBar{this}}
    , island_{new QPushButton{this}}
    , remove_{new QPushButton{tr("Remove this wall"), this}} {
    auto* wall = new QWidget;
    auto* wall_column = new QVBoxLayout{wall};
    wall_column->setContentsMargins(0, 0, 0, 0);
    auto* form = new WallForm{bench};
    wall_column->addWidget(form);
    auto* add = new QPushButton{tr("Add a wall"), this};
    add->setObjectName(QStringLiteral("add-wall"));
    island_->setObjectName(QStringLiteral("add-island"));
    remove_->setObjectName(QStringLiteral("remove-wall"));
    auto* wall_buttons = new QHBoxLayout;
    wall_buttons->addWidget(add);
    wall_buttons->addWidget(island_);
    wall_column->addLayout(wall_buttons);
    wall_column->addWidget(remove_);

    const auto page = [this](QWidget* of, const QString& words, SurveyPage which) {
        pages_->add(at_top(of), words,
                    QStringLiteral("survey-page-") + QLatin1String(names[static_cast<std::size_t>(which)]));
    };
    page(wall, tr("Wall"), SurveyPage::wall);
    page(new ReadingsEditor{bench, walk_readings()}, tr("Walk"), SurveyPage::walk);
    page(new TrialHolePage{bench}, tr("Drill"), SurveyPage::drill);
    page(studs_, tr("Studs"), SurveyPage::studs);
    page(level_, tr("Level"), SurveyPage::level);
    page(face_, tr("Face"), SurveyPage::face);
    page(new ServicesPage{bench}, tr("Services"), SurveyPage::services);
    page(new RoomPage{bench}, tr("Room"), SurveyPage::room);

    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(pages_, 1);
    column->addWidget(devices_);
    connect(&devices_->laser(), &DeviceLink::distance, this, &SurveyPanel::put_distance);
    connect(&devices_->scanner(), &DeviceLink::stud, this,
            [this](Length x, Length limit) { take_scan(EvidenceKind::detector, x, limit); });
    connect(&devices_->scanner(), &DeviceLink::cable, this,
            [this](Length x, Length half) { take_scan(ScanResult::cable, x, half); });
    connect(&devices_->scanner(), &DeviceLink::pipe, this,
            [this](Length x, Length half) { take_scan(ScanResult::pipe, x, half); });

    connect(add, &QPushButton::clicked, this, &SurveyPanel::add_wall);
    connect(island_, &QPushButton::clicked, this, &SurveyPanel::add_island);
    connect(remove_, &QPushButton::clicked, this, &SurveyPanel::remove_wall);
    connect(pages_, &Pages::page_changed, this, &SurveyPanel::page_changed);
    connect(studs_, &StudsPage::advised, this, &SurveyPanel::page_changed);
    const auto fit = [this] {
        remove_->setEnabled(bench_.wall() != nullptr);
        island_->setEnabled(bench_.wall() != nullptr);
        island_->setText(on_island() ? tr("Add its other side") : tr("Add an island"));
    };
    connect(&bench_, &Workbench::changed, this, fit);
    connect(&bench_, &Workbench::selection_changed, this, fit);
    fit();
    set_page(SurveyPage::wall);
}

void SurveyPanel::set_page(SurveyPage page) {
    pages_->set_page(static_cast<int>(page));
}

SurveyPage SurveyPanel::page() const {
    return static_cast<SurveyPage>(pages_->page());
}

SurveyLayer SurveyPanel::layer() const {
    switch (page()) {
    case SurveyPage::studs:
        return SurveyLayer::studs;
    case SurveyPage::level:
        return SurveyLayer::level;
    case SurveyPage::face:
        return SurveyLayer::face;
    default:
        return SurveyLayer::none;
    }
}

std::optional<ProbeAdvice> SurveyPanel::advice() const {
    return page() == SurveyPage::studs ? studs_->advice() : std::nullopt;
}

void SurveyPanel::point_at(Length x, Length) {
    if (page() != SurveyPage::studs)
        return;
    LengthField* field = studs_->evidence().first_field();
    field->setText(bench_.along(x));
    field->setModified(true);
    field->setFocus(Qt::OtherFocusReason);
}

void SurveyPanel::take_scan(EvidenceKind kind, Length x, Length limit) {
    // It is swept from the end that the wall is measured from.
    scanned([=](Wall& wall) { wall.observations.push_back({kind, wall.tape().reads(x), std::nullopt, limit}); });
}

void SurveyPanel::take_scan(ScanResult result, Length x, Length half_width) {
    // The scanner runs along the wall and does not say how far a run goes up or down: the whole height is kept. What it
    // says beyond the wall's ends is no part of it.
    scanned([=](Wall& wall) {
        const Length at = wall.tape().reads(x);
        const Length left = std::max(Length{}, at - half_width);
        const Length right = std::min(wall.length, at + half_width);
        if (right > left)
            wall.scans.push_back({result, left, {}, right - left, wall.height});
    });
}

void SurveyPanel::scanned(std::function<void(Wall&)> take) {
    if (!bench_.wall())
        return;
    // A scanner sends hundreds of lines at once: what comes together is one edit.
    if (waiting_.empty())
        QTimer::singleShot(0, this, [this] {
            const auto together = std::exchange(waiting_, {});
            if (bench_.wall())
                bench_.edit(tr("Readings of the wall scanner: %1").arg(together.size()), [&](Job& job) {
                    for (const auto& take_one : together)
                        take_one(job.walls[bench_.wall_index()]);
                });
        });
    waiting_.push_back(std::move(take));
}

void SurveyPanel::put_distance(Length distance) {
    auto* field = qobject_cast<LengthField*>(QApplication::focusWidget());
    if (!field)
        return devices_->say_nowhere_to_put(
            tr("The laser measured %1, and no figure is waiting for it: put the cursor into one and measure again")
                .arg(text(format(distance, bench_.voice()))));
    field->take(distance);
}

void SurveyPanel::add_wall() {
    put(tr("Add wall"), [this](Job& job) {
        if (job.rooms.empty()) {
            Room room;
            room.id = fresh_id(job, "room");
            room.name = tr("Room").toStdString();
            job.rooms.push_back(std::move(room));
        }
        Wall wall = new_wall(bench_.wall() ? bench_.wall()->room : job.rooms.back().id, job.unit);
        wall.name = fresh_name(job, tr("Wall %1").toStdString());
        return wall;
    });
}

bool SurveyPanel::on_island() const {
    return bench_.wall() && bench_.wall()->open_floor();
}

void SurveyPanel::add_island() {
    if (!bench_.wall())
        return;
    const bool other_side = on_island();
    put(other_side ? tr("Add the island's other side") : tr("Add island"), [this, other_side](Job& job) {
        const Wall& here = job.walls[bench_.wall_index()];
        Wall island = other_side ? other_side_of(here) : new_island(here, job.unit);
        island.name = fresh_name(job, tr("Island %1").toStdString());
        return island;
    });
}

void SurveyPanel::put(const QString& words, const std::function<Wall(Job&)>& make) {
    bench_.edit(words, [&](Job& job) {
        Wall wall = make(job);
        wall.id = fresh_id(job, "wall");
        job.walls.push_back(std::move(wall));
    });
    bench_.select_wall(bench_.job().walls.size() - 1);
    set_page(SurveyPage::wall);
    if (auto* length = findChild<LengthField*>(QStringLiteral("wall-length")))
        length->setFocus(Qt::OtherFocusReason);
}

void SurveyPanel::remove_wall() {
    bench_.edit(tr("Remove wall"), [this](Job& job) {
        job.walls.erase(job.walls.begin() + static_cast<std::ptrdiff_t>(bench_.wall_index()));
    });
}

} // namespace yes_square::app
