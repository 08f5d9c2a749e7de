#include "app/survey/survey_panel.hpp"

#include "app/survey/walk_list.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int framed_row = 0; ///< "Built of": framing first, then the masonry kinds

} // namespace

SurveyPanel::SurveyPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , form_{new BoundForm{bench, this}}
    , remove_{new QPushButton{tr("Remove this wall"), this}} {
    const auto wall = [this](auto member) {
        return [this, member]() -> std::optional<std::decay_t<decltype(std::declval<Wall>().*member)>> {
            return bench_.wall() ? std::optional{bench_.wall()->*member} : std::nullopt;
        };
    };
    const auto here = [this](Job& job) -> Wall& { return job.walls[bench_.wall_index()]; };
    const QString more = tr("It must be more than 0");
    const Length least = Length::nanometres(1);

    form_->heading(tr("The job"));
    form_->words(
        tr("Title"), "job-title", [this] { return bench_.job().title; },
        [](Job& job, const std::string& typed) { job.title = typed; });
    form_->words(
        tr("Client"), "job-client", [this] { return bench_.job().client; },
        [](Job& job, const std::string& typed) { job.client = typed; });
    form_->words(
        tr("Place"), "job-place", [this] { return bench_.job().place; },
        [](Job& job, const std::string& typed) { job.place = typed; });

    form_->heading(tr("The wall"));
    form_->words(tr("Name"), "wall-name", wall(&Wall::name),
                 [here](Job& job, const std::string& typed) { here(job).name = typed; });
    form_->length(
        tr("Length"), "wall-length", wall(&Wall::length),
        [here](Job& job, Length length) { here(job).length = length; }, least, more);
    form_->length(
        tr("Height"), "wall-height", wall(&Wall::height),
        [here](Job& job, Length length) { here(job).height = length; }, least, more);
    form_->choice(
        tr("Built of"), "wall-structure",
        QStringList{tr("Timber studs"), tr("Brick"), tr("Dense block"), tr("Aerated block"), tr("Concrete")},
        [this]() -> std::optional<int> {
            if (!bench_.wall())
                return std::nullopt;
            const auto* masonry = std::get_if<Masonry>(&bench_.wall()->structure);
            return masonry ? 1 + static_cast<int>(masonry->kind) : framed_row;
        },
        [here](Job& job, int row) {
            if (row == framed_row)
                here(job).structure = Framing{};
            else
                here(job).structure = Masonry{static_cast<MasonryKind>(row - 1)};
        });
    const auto framing = [this](auto member) {
        return [this, member]() -> std::optional<Length> {
            const auto* of = bench_.wall() ? std::get_if<Framing>(&bench_.wall()->structure) : nullptr;
            return of ? std::optional{of->*member} : std::nullopt;
        };
    };
    const auto frame_of = [here](Job& job) -> Framing& { return std::get<Framing>(here(job).structure); };
    form_->length(
        tr("Stud spacing"), "stud-spacing", framing(&Framing::spacing),
        [frame_of](Job& job, Length length) { frame_of(job).spacing = length; }, least, more);
    form_->length(
        tr("Stud width"), "stud-width", framing(&Framing::stud_width),
        [frame_of](Job& job, Length length) { frame_of(job).stud_width = length; }, least, more);
    form_->length(
        tr("Stud depth"), "stud-depth", framing(&Framing::stud_depth),
        [frame_of](Job& job, Length length) { frame_of(job).stud_depth = length; }, least, more);
    form_->choice(
        tr("Timber"), "stud-species",
        QStringList{tr("Not known"), tr("Spruce-pine-fir"), tr("Southern pine"), tr("Douglas-fir-larch"), tr("Red oak"),
                    tr("Western cedars"), tr("C16")},
        [this]() -> std::optional<int> {
            const auto* of = bench_.wall() ? std::get_if<Framing>(&bench_.wall()->structure) : nullptr;
            return of ? std::optional{static_cast<int>(of->species)} : std::nullopt;
        },
        [frame_of](Job& job, int row) { frame_of(job).species = static_cast<Species>(row); });

    // Two layers cover a lining and what is on it; more stay as the file has them.
    const QStringList layers{tr("None"),         tr("Plasterboard"), tr("Plaster"),
                             tr("Fibre cement"), tr("Tile"),         tr("Wood panel")};
    for (const std::size_t layer : {std::size_t{0}, std::size_t{1}}) {
        const QString label = layer == 0 ? tr("Lining") : tr("Over it");
        form_->choice(
            label, layer == 0 ? "lining-1" : "lining-2", layers,
            [this, layer]() -> std::optional<int> {
                if (!bench_.wall() || bench_.wall()->lining.size() < layer)
                    return std::nullopt;
                return layer < bench_.wall()->lining.size()
                           ? 1 + static_cast<int>(bench_.wall()->lining[layer].material)
                           : 0;
            },
            [here, layer](Job& job, int row) {
                auto& lining = here(job).lining;
                if (row == 0) {
                    lining.resize(std::min(lining.size(), layer));
                    return;
                }
                if (lining.size() <= layer)
                    lining.push_back({LiningMaterial::plasterboard, Length::micrometres(12'500), {}});
                lining[layer].material = static_cast<LiningMaterial>(row - 1);
            });
        form_->length(
            tr("Thickness"), layer == 0 ? "lining-1-thickness" : "lining-2-thickness",
            [this, layer]() -> std::optional<Length> {
                if (!bench_.wall() || bench_.wall()->lining.size() <= layer)
                    return std::nullopt;
                return bench_.wall()->lining[layer].thickness;
            },
            [here, layer](Job& job, Length length) { here(job).lining[layer].thickness = length; }, least, more);
    }
    form_->choice(
        tr("Ends"), "wall-ends",
        QStringList{tr("Corners at both ends"), tr("Corner at the reference end"), tr("Corner at the far end"),
                    tr("Free at both ends")},
        [this]() -> std::optional<int> {
            const Wall* of = bench_.wall();
            if (!of)
                return std::nullopt;
            return (of->left_end == WallEnd::open ? 2 : 0) + (of->right_end == WallEnd::open ? 1 : 0);
        },
        [here](Job& job, int row) {
            here(job).left_end = row & 2 ? WallEnd::open : WallEnd::corner;
            here(job).right_end = row & 1 ? WallEnd::open : WallEnd::corner;
        });
    form_->choice(
        tr("Room"), "room-class", QStringList{tr("Dry"), tr("Damp at times: kitchen, bath, garage")},
        [this]() -> std::optional<int> {
            const Room* room = bench_.wall() ? room_of(bench_.job(), *bench_.wall()) : nullptr;
            return room ? std::optional{static_cast<int>(room->service_class)} : std::nullopt;
        },
        [here](Job& job, int row) {
            for (Room& room : job.rooms)
                if (room.id == here(job).room)
                    room.service_class = static_cast<ServiceClass>(row);
        });

    form_->heading(tr("Walk the wall from the reference end"));
    form_->widget(new WalkList{bench, this});

    auto* add = new QPushButton{tr("Add a wall"), this};
    add->setObjectName(QStringLiteral("add-wall"));
    connect(add, &QPushButton::clicked, this, &SurveyPanel::add_wall);
    connect(remove_, &QPushButton::clicked, this, &SurveyPanel::remove_wall);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add);
    buttons->addWidget(remove_);

    auto* column = new QVBoxLayout{this};
    column->addLayout(buttons);
    column->addWidget(form_);
    column->addStretch(1);
    form_->refresh();
    const auto fit = [this] { remove_->setEnabled(bench_.wall() != nullptr); };
    connect(&bench_, &Workbench::changed, this, fit);
    fit();
}

void SurveyPanel::add_wall() {
    bench_.edit(tr("Add wall"), [](Job& job) {
        if (job.rooms.empty())
            job.rooms.push_back({fresh_id(job, "room"), tr("Room").toStdString(), ServiceClass::dry, {}});
        Wall wall;
        wall.id = fresh_id(job, "wall");
        wall.name = tr("Wall %1").arg(job.walls.size() + 1).toStdString();
        wall.room = job.rooms.back().id;
        wall.length = 3000_mm;
        wall.height = 2400_mm;
        wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
        job.walls.push_back(std::move(wall));
    });
    bench_.select_wall(bench_.job().walls.size() - 1);
    if (auto* length = findChild<LengthField*>(QStringLiteral("wall-length")))
        length->setFocus(Qt::OtherFocusReason);
}

void SurveyPanel::remove_wall() {
    bench_.edit(tr("Remove wall"), [this](Job& job) {
        job.walls.erase(job.walls.begin() + static_cast<std::ptrdiff_t>(bench_.wall_index()));
    });
}

} // namespace yes_square::app
