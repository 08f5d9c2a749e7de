#include "app/survey/wall_form.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/field_form.hpp"
#include "core/hands/islands.hpp"
#include "core/job/places.hpp"

#include <algorithm>

namespace yes_square::app {
namespace {

// "Built of": framing first, then the masonry kinds, then what came later.
constexpr int timber_row = 0;
constexpr int steel_row = 5;
constexpr int lining_row = 6;
constexpr int floor_row = 7;

constexpr Length least = Length::nanometres(1);

} // namespace

WallForm::WallForm(Workbench& bench, QWidget* parent)
    : BoundForm{bench, parent} {
    job_rows();
    size_rows();
    structure_rows();
    island_rows();
    lining_rows();
    end_rows();
    edge_rows();
    refresh();
}

bool WallForm::on_open_floor() const {
    return bench().wall() && bench().wall()->open_floor();
}

Wall& WallForm::here(Job& job) const {
    return job.walls[bench().wall_index()];
}

void WallForm::job_rows() {
    heading(tr("The job"));
    words(
        tr("Title"), "job-title", [this] { return bench().job().title; },
        [](Job& job, const std::string& typed) { job.title = typed; });
    words(
        tr("Client"), "job-client", [this] { return bench().job().client; },
        [](Job& job, const std::string& typed) { job.client = typed; });
    words(
        tr("Place", "of a job"), "job-place", [this] { return bench().job().place; },
        [](Job& job, const std::string& typed) { job.place = typed; });
    choice(
        tr("Read with"), "job-instrument", words_of<Instrument>(),
        [this] { return std::optional{row_for(bench().job().instrument)}; },
        [](Job& job, int row) { job.instrument = at_row<Instrument>(row); });
}

void WallForm::size_rows() {
    heading(tr("The wall"));
    words(tr("Name"), "wall-name", of_wall(&Wall::name),
          [this](Job& job, const std::string& typed) { here(job).name = typed; });
    LengthField* long_is = length(
        tr("Length"), "wall-length", of_wall(&Wall::length),
        [this](Job& job, Length length) { set_length(here(job), length); }, least, tr("It must be more than 0"));
    const auto keep_places = [this, long_is] {
        if (const Wall* wall = bench().wall())
            long_is->set_least(least_length(*wall),
                               wall->tape().from_right()
                                   ? tr("Something is measured from the right end to %1: take that out first")
                                         .arg(text(format(least_length(*wall), bench().voice())))
                                   : tr("It must be more than 0"));
    };
    connect(&bench(), &Workbench::changed, long_is, keep_places);
    connect(&bench(), &Workbench::selection_changed, long_is, keep_places);
    length(
        tr("Height"), "wall-height", of_wall(&Wall::height),
        [this](Job& job, Length length) { here(job).height = length; }, least, tr("It must be more than 0"));
}

void WallForm::structure_rows() {
    choice(
        tr("Built of"), "wall-structure",
        QStringList{tr("Timber studs"), tr("Brick"), tr("Dense block"), tr("Aerated block"), tr("Concrete"),
                    tr("Steel studs"), tr("Lining alone, nothing behind"), tr("No wall: an island")},
        [this]() -> std::optional<int> {
            if (!bench().wall())
                return std::nullopt;
            const Structure& structure = bench().wall()->structure;
            if (const auto* masonry = std::get_if<Masonry>(&structure))
                return 1 + row_for(masonry->kind);
            if (const auto* of = std::get_if<Framing>(&structure))
                return of->material == StudMaterial::steel ? steel_row : timber_row;
            return std::holds_alternative<OpenFloor>(structure) ? floor_row : lining_row;
        },
        [this](Job& job, int row) {
            Structure& structure = here(job).structure;
            if (row == lining_row) {
                structure = LiningOnly{};
            } else if (row == floor_row) {
                here(job).lining.clear(); // there is nothing it could be on
                here(job).left_end = here(job).right_end = WallEnd::open;
                structure = OpenFloor{};
            } else if (row == timber_row || row == steel_row) {
                Framing framed;
                if (const auto* before = std::get_if<Framing>(&structure))
                    framed = *before;
                framed.material = row == steel_row ? StudMaterial::steel : StudMaterial::timber;
                structure = framed;
            } else {
                structure = Masonry{at_row<MasonryKind>(row - 1)};
            }
        });
    const auto framing = [this](auto member) {
        return [this, member]() -> std::optional<Length> {
            const auto* of = bench().wall() ? std::get_if<Framing>(&bench().wall()->structure) : nullptr;
            return of ? std::optional{of->*member} : std::nullopt;
        };
    };
    const auto frame_of = [this](Job& job) -> Framing& { return std::get<Framing>(here(job).structure); };
    length(
        tr("Stud spacing"), "stud-spacing", framing(&Framing::spacing),
        [frame_of](Job& job, Length length) { frame_of(job).spacing = length; }, least, tr("It must be more than 0"));
    const PartAccess<Framing> framed{
        [this] {
            const auto* of = bench().wall() ? std::get_if<Framing>(&bench().wall()->structure) : nullptr;
            return of && !of->open ? of : nullptr;
        },
        [frame_of](Job& job, const std::function<void(Framing&)>& to) { to(frame_of(job)); }};
    FieldForm<Framing>{*this, framed, "stud"}.row("told").row("told_stud");
    length(
        tr("Stud width"), "stud-width", framing(&Framing::stud_width),
        [frame_of](Job& job, Length length) { frame_of(job).stud_width = length; }, least,
        tr("It must be more than 0"));
    length(
        tr("Stud depth"), "stud-depth", framing(&Framing::stud_depth),
        [frame_of](Job& job, Length length) { frame_of(job).stud_depth = length; }, least,
        tr("It must be more than 0"));
    choice(
        tr("Timber"), "stud-species", words_of<Species>(),
        [this]() -> std::optional<int> {
            const auto* of = bench().wall() ? std::get_if<Framing>(&bench().wall()->structure) : nullptr;
            return of && of->material == StudMaterial::timber ? std::optional{row_for(of->species)} : std::nullopt;
        },
        [frame_of](Job& job, int row) { frame_of(job).species = at_row<Species>(row); });
}

void WallForm::island_rows() {
    const auto floor_of = [](const Wall* wall) { return wall ? wall->open_floor() : nullptr; };
    const auto bases = [this] { return bases_of(bench().job(), *bench().wall()); };
    choice(
        tr("Set out from"), "island-from",
        [this, bases, floor_of] {
            QStringList names{tr("Not said yet")};
            if (floor_of(bench().wall()))
                for (const Wall* wall : bases())
                    names << (floor_of(wall) ? tr("%1, back to back") : tr("%1")).arg(text(wall->name));
            return names;
        },
        [this, bases, floor_of]() -> std::optional<int> {
            const OpenFloor* floor = floor_of(bench().wall());
            if (!floor)
                return std::nullopt;
            const auto all = bases();
            const auto found = std::ranges::find(all, floor->from, &Wall::id);
            return found == all.end() ? 0 : 1 + static_cast<int>(found - all.begin());
        },
        [this](Job& job, int row) {
            const auto all = bases_of(job, here(job));
            std::get<OpenFloor>(here(job).structure).from =
                row > 0 ? all[static_cast<std::size_t>(row - 1)]->id : std::string{};
        });
    const PartAccess<OpenFloor> floor{
        [this, floor_of] { return floor_of(bench().wall()); },
        [this](Job& job, const std::function<void(OpenFloor&)>& to) { to(std::get<OpenFloor>(here(job).structure)); }};
    const auto other_side = [this, floor_of](const OpenFloor& of) {
        const auto& walls = bench().job().walls;
        const auto from = std::ranges::find(walls, of.from, &Wall::id);
        return from != walls.end() && floor_of(&*from);
    };
    const auto before_wall = [other_side](const OpenFloor& of) { return !other_side(of); };
    const auto boards = [](const OpenFloor& of) {
        return of.floor == FloorBuilt::boards || of.floor == FloorBuilt::joists;
    };
    FieldForm<OpenFloor>{*this, floor, "island"}
        .row("along", before_wall)
        .row("out", before_wall)
        .row("along", other_side, tr("Begins from its right end at"), "other-along")
        .row("out", other_side, tr("Gap between the backs"), "gap")
        .row("faces_wall", before_wall)
        .row("floor")
        .row("boards", boards);
}

void WallForm::lining_rows() {
    // Two layers cover a lining and what is on it; more stay as the file has them.
    const QStringList layers = QStringList{tr("None")} + words_of<LiningMaterial>();
    for (const std::size_t layer : {std::size_t{0}, std::size_t{1}}) {
        const QString label = layer == 0 ? tr("Lining") : tr("Over it");
        choice(
            label, layer == 0 ? "lining-1" : "lining-2", layers,
            [this, layer]() -> std::optional<int> {
                if (!bench().wall() || bench().wall()->lining.size() < layer || on_open_floor())
                    return std::nullopt;
                return layer < bench().wall()->lining.size() ? 1 + row_for(bench().wall()->lining[layer].material) : 0;
            },
            [this, layer](Job& job, int row) {
                auto& lining = here(job).lining;
                if (row == 0) {
                    lining.resize(std::min(lining.size(), layer));
                    return;
                }
                if (lining.size() <= layer)
                    lining.push_back({LiningMaterial::plasterboard, Length::micrometres(12'500), {}});
                lining[layer].material = at_row<LiningMaterial>(row - 1);
            });
        length(
            tr("Thickness"), layer == 0 ? "lining-1-thickness" : "lining-2-thickness",
            [this, layer]() -> std::optional<Length> {
                if (!bench().wall() || bench().wall()->lining.size() <= layer)
                    return std::nullopt;
                return bench().wall()->lining[layer].thickness;
            },
            [this, layer](Job& job, Length length) { here(job).lining[layer].thickness = length; }, least,
            tr("It must be more than 0"));
    }
    optional_length(
        tr("Whole wall"), "wall-thickness", tr("not known"),
        [this]() -> std::optional<std::optional<Length>> {
            return bench().wall() && !on_open_floor() ? std::optional<std::optional<Length>>{bench().wall()->thickness}
                                                      : std::nullopt;
        },
        [this](Job& job, std::optional<Length> length) { here(job).thickness = length; });
}

void WallForm::end_rows() {
    const QStringList ends = words_of<WallEnd>();
    const auto end = [&](const QString& label, const char* name, WallEnd Wall::*member) {
        choice(
            label, name, ends,
            [this, member]() -> std::optional<int> {
                return bench().wall() && !on_open_floor() ? std::optional{row_for(bench().wall()->*member)}
                                                          : std::nullopt;
            },
            [this, member](Job& job, int row) { here(job).*member = at_row<WallEnd>(row); });
    };
    end(tr("Left end"), "wall-left-end", &Wall::left_end);
    end(tr("Right end"), "wall-right-end", &Wall::right_end);
    choice(
        tr("Measured from"), "wall-measured-from", words_of<TapeEnd>(),
        [this]() -> std::optional<int> {
            return bench().wall() ? std::optional{row_for(bench().wall()->measured_from)} : std::nullopt;
        },
        [this](Job& job, int row) { here(job).measured_from = at_row<TapeEnd>(row); });
}

void WallForm::edge_rows() {
    heading(tr("Along its foot and top"));
    const auto edge = [&](const QString& label, const char* name, Length Wall::*member) {
        length(
            label, name, of_wall(member), [this, member](Job& job, Length typed) { here(job).*member = typed; },
            Length{}, tr("It cannot be less than 0"));
    };
    edge(tr("Skirting, high"), "skirting-height", &Wall::skirting_height);
    edge(tr("Skirting, thick"), "skirting-depth", &Wall::skirting_depth);
    edge(tr("Cornice, high"), "cornice-height", &Wall::cornice_height);
    edge(tr("Cornice, deep"), "cornice-depth", &Wall::cornice_depth);
    choice(
        tr("Ceiling is"), "wall-ceiling", words_of<CeilingBuilt>(),
        [this]() -> std::optional<int> {
            return bench().wall() && !on_open_floor() ? std::optional{row_for(bench().wall()->ceiling_built)}
                                                      : std::nullopt;
        },
        [this](Job& job, int row) { here(job).ceiling_built = at_row<CeilingBuilt>(row); });
}

} // namespace yes_square::app
