#include "app/survey/level_page.hpp"

#include "app/bench/heading.hpp"
#include "app/survey/readings.hpp"
#include "app/survey/working_links.hpp"
#include "core/sheets/profile_drawing.hpp"

#include <QGridLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int profile_height = 104;

DrawingView* profile(Workbench& bench, DrawingView::Draw draw, QWidget* parent) {
    auto* view = new DrawingView{std::move(draw), parent};
    view->setFixedHeight(profile_height);
    QObject::connect(&bench, &Workbench::changed, view, &DrawingView::redraw);
    QObject::connect(&bench, &Workbench::selection_changed, view, &DrawingView::redraw);
    return view;
}

Room* room_here(Job& job, const Workbench& bench) {
    const auto found = std::ranges::find(job.rooms, job.walls[bench.wall_index()].room, &Room::id);
    return found == job.rooms.end() ? nullptr : &*found;
}

/// Layers of floor still to be laid, of the whole room; the first three by their thickness, as a floor has them.
BoundForm* floor_layers(Workbench& bench, QWidget* parent) {
    auto* form = new BoundForm{bench, parent};
    const auto room = [&bench]() -> const Room* {
        return bench.wall() ? room_of(bench.job(), *bench.wall()) : nullptr;
    };
    constexpr std::size_t layers = 3;
    for (std::size_t i = 0; i < layers; ++i)
        form->optional_length(
            QStringList{LevelPage::tr("Covering"), LevelPage::tr("Underlay or bed"),
                        LevelPage::tr("Levelling")}[static_cast<int>(i)],
            (std::string{"floor-layer-"} + std::to_string(i + 1)).c_str(), LevelPage::tr("none"),
            [room, i]() -> std::optional<std::optional<Length>> {
                const Room* of = room();
                if (!of)
                    return std::nullopt;
                return i < of->floor_layers.size() && of->floor_layers[i].thickness > Length{}
                           ? std::optional{of->floor_layers[i].thickness}
                           : std::optional<Length>{};
            },
            [&bench, i](Job& job, std::optional<Length> thickness) {
                Room* of = room_here(job, bench);
                if (!of)
                    return;
                static constexpr std::array names{"covering", "underlay or bed", "levelling"};
                // Layers keep their place: one taken out closes up behind.
                if (i < of->floor_layers.size() && thickness)
                    of->floor_layers[i].thickness = *thickness;
                else if (i < of->floor_layers.size())
                    of->floor_layers.erase(of->floor_layers.begin() + static_cast<std::ptrdiff_t>(i));
                else if (thickness)
                    of->floor_layers.push_back({names[i], *thickness});
            });
    form->choice(
        LevelPage::tr("Base units"), "floor-under-units",
        QStringList{LevelPage::tr("Stand on the finished floor"),
                    LevelPage::tr("Stand on the floor as it is; it is laid round them")},
        [room]() -> std::optional<int> {
            return room() ? std::optional{room()->floor_under_units ? 0 : 1} : std::nullopt;
        },
        [&bench](Job& job, int row) {
            if (Room* of = room_here(job, bench))
                of->floor_under_units = row == 0;
        });
    form->refresh();
    return form;
}

} // namespace

LevelPage::LevelPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , profile_{profile(
          bench,
          [&bench](double width, double height, double size) {
              return bench.wall() ? draw_floor_profile(*bench.wall(), bench.wall_plan()->survey.floor, width, height,
                                                       size, bench.voice())
                                  : Drawing{};
          },
          this)} {
    profile_->setObjectName(QStringLiteral("floor-profile"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(profile_);
    column->addWidget(
        new WorkingLinks{bench,
                         {QStringLiteral("datum"), QStringLiteral("floor"), QStringLiteral("ceiling")},
                         tr("Set up a level line, one for the whole room, and read down to the floor that is "
                            "there now, at each end and where it looks high."),
                         this});
    column->addWidget(heading_label(tr("From the level line down to the floor"), this));
    column->addWidget(new ReadingsEditor{bench, floor_readings(), this});
    column->addWidget(heading_label(tr("Floor still to be laid, in this room"), this));
    column->addWidget(floor_layers(bench, this));
    column->addWidget(heading_label(tr("From the level line up to the ceiling"), this));
    column->addWidget(new ReadingsEditor{bench, ceiling_readings(), this});
    column->addStretch(1);
}

FacePage::FacePage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , profile_{profile(
          bench,
          [this, &bench](double width, double height, double size) {
              if (!bench.wall())
                  return Drawing{};
              const FaceProfile& face = bench.wall_plan()->survey.face;
              if (row_ >= face.rows.size())
                  row_ = 0;
              return draw_face_profile(*bench.wall(), face, row_, width, height, size, bench.voice());
          },
          this)}
    , shim_x_{new LengthField{this}}
    , shim_z_{new LengthField{this}}
    , shim_{new QLabel{this}} {
    profile_->setObjectName(QStringLiteral("face-profile"));
    auto* next = new QPushButton{tr("Next string up"), this};
    next->setObjectName(QStringLiteral("face-next-row"));
    connect(next, &QPushButton::clicked, this, [this] {
        ++row_;
        profile_->redraw();
    });
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(profile_);
    column->addWidget(next, 0, Qt::AlignLeft);
    column->addWidget(
        new WorkingLinks{bench,
                         {QStringLiteral("face"), QStringLiteral("width"), QStringLiteral("corner")},
                         tr("Stretch strings in one plumb plane in front of the wall and read back to it. "
                            "The proudest place needs no packing, all others do."),
                         this});
    column->addWidget(heading_label(tr("From a string back to the wall"), this));
    column->addWidget(new ReadingsEditor{bench, face_readings(), this});

    column->addWidget(heading_label(tr("Packing at any place"), this));
    auto* grid = new QGridLayout;
    for (auto [label, field, name, row] :
         {std::tuple{tr("At"), shim_x_, "shim-x", 0}, {tr("Height"), shim_z_, "shim-z", 1}}) {
        field->setObjectName(QLatin1String(name));
        field->setAccessibleName(label);
        field->set_least({}, tr("It cannot be less than 0"));
        grid->addWidget(new QLabel{label, this}, row, 0);
        grid->addWidget(field, row, 1);
        connect(field, &LengthField::committed, this, &FacePage::ask_shim);
    }
    shim_->setObjectName(QStringLiteral("shim-answer"));
    shim_->setWordWrap(true);
    grid->addWidget(shim_, 2, 0, 1, 2);
    column->addLayout(grid);

    column->addWidget(heading_label(tr("Between the wall's ends: at the floor, half way, at the top"), this));
    column->addWidget(new ReadingsEditor{bench, width_readings(), this});

    column->addWidget(heading_label(tr("The far corner: 3, 4 and 5, or two diagonals"), this));
    auto* form = new BoundForm{bench, this};
    const auto corner = [&](const QString& label, const char* name, Length CornerReading::*member) {
        form->optional_length(
            label, name, tr("not measured"),
            [&bench, member]() -> std::optional<std::optional<Length>> {
                if (!bench.wall())
                    return std::nullopt;
                return bench.wall()->corner && (*bench.wall()->corner).*member > Length{}
                           ? std::optional{(*bench.wall()->corner).*member}
                           : std::optional<Length>{};
            },
            [&bench, member](Job& job, std::optional<Length> length) {
                auto& reading = job.walls[bench.wall_index()].corner;
                if (!length)
                    reading.reset();
                else if (reading)
                    (*reading).*member = *length;
                else // 3, 4 and 5, until the others are read
                    (reading.emplace() = {900_mm, 1200_mm, 1500_mm, {}}).*member = *length;
            });
    };
    corner(tr("Along this wall"), "corner-along", &CornerReading::along);
    corner(tr("Along the next"), "corner-next", &CornerReading::along_next);
    corner(tr("Mark to mark"), "corner-across", &CornerReading::across);
    form->optional_length(
        tr("Other diagonal"), "corner-other", tr("if wanted"),
        [&bench]() -> std::optional<std::optional<Length>> {
            if (!bench.wall())
                return std::nullopt;
            return bench.wall()->corner ? bench.wall()->corner->other_across : std::nullopt;
        },
        [&bench](Job& job, std::optional<Length> length) {
            auto& reading = job.walls[bench.wall_index()].corner;
            if (!reading && length)
                reading = CornerReading{900_mm, 1200_mm, 1500_mm, {}};
            if (reading)
                reading->other_across = length;
        });
    form->refresh();
    column->addWidget(form);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &FacePage::ask_shim);
    connect(&bench_, &Workbench::selection_changed, this, &FacePage::ask_shim);
}

void FacePage::ask_shim() {
    shim_x_->set_unit(bench_.job().unit);
    shim_z_->set_unit(bench_.job().unit);
    const WallPlan* plan = bench_.wall_plan();
    const auto x = shim_x_->text().isEmpty() ? std::nullopt : shim_x_->value();
    const auto z = shim_z_->text().isEmpty() ? std::nullopt : shim_z_->value();
    const auto shim = plan && x && z ? plan->survey.face.shim_at(*x, *z) : std::nullopt;
    if (!shim) {
        shim_->setText(plan && plan->survey.face.measured() ? QString{} : tr("No readings yet"));
        return;
    }
    const QString figure = text(yes_square::say(fine(shim->in_metres()), bench_.voice()));
    shim_->setText(plan->survey.face.covers(*x, *z) ? tr("Pack %1 there").arg(figure)
                                                    : tr("About %1 there: it lies beyond the readings").arg(figure));
}

} // namespace yes_square::app
