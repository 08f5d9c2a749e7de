#include "app/layout/layout_panel.hpp"

#include "core/job/fields.hpp"
#include "core/shelves/shelf_loads.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

LayoutPanel::LayoutPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , tabs_{new QTabWidget{this}}
    , shelves_{new QWidget}
    , runs_{new RunPanel{bench}}
    , form_{new BoundForm{bench, shelves_}}
    , add_{new QPushButton{tr("Add a shelf"), shelves_}}
    , remove_{new QPushButton{tr("Remove this shelf"), shelves_}} {
    tabs_->setObjectName(QStringLiteral("layout-tabs"));
    tabs_->addTab(shelves_, tr("Shelves"));
    tabs_->addTab(runs_, tr("Cabinets"));
    tabs_->setDocumentMode(true);
    auto* whole = new QVBoxLayout{this};
    whole->addWidget(tabs_);
    add_->setObjectName(QStringLiteral("add-shelf"));
    remove_->setObjectName(QStringLiteral("remove-shelf"));
    connect(add_, &QPushButton::clicked, this, &LayoutPanel::add_shelf);
    connect(remove_, &QPushButton::clicked, this, &LayoutPanel::remove_shelf);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add_);
    buttons->addWidget(remove_);
    auto* column = new QVBoxLayout{shelves_};
    column->setContentsMargins(0, 6, 0, 0);
    column->addLayout(buttons);
    column->addWidget(form_);
    column->addStretch(1);

    build_place();
    build_board();
    build_bracket();
    form_->refresh();
    const auto fit = [this] {
        add_->setEnabled(bench_.wall() != nullptr);
        remove_->setEnabled(bench_.shelf() != nullptr);
    };
    connect(&bench_, &Workbench::selection_changed, this, [this] {
        if (bench_.run())
            tabs_->setCurrentWidget(runs_);
        else if (bench_.shelf())
            tabs_->setCurrentWidget(shelves_);
    });
    connect(&bench_, &Workbench::changed, this, fit);
    connect(&bench_, &Workbench::selection_changed, this, fit);
    fit();
}

namespace {

/// Reads a member of the selected shelf.
template <class T>
BoundForm::Get<T> get(Workbench& bench, T Shelf::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.shelf() ? std::optional{bench.shelf()->*member} : std::nullopt;
    };
}
/// Sets a member of the selected shelf.
template <class T>
BoundForm::Set<T> set(Workbench& bench, T Shelf::*member) {
    return [&bench, member](Job& job, T value) {
        if (const Shelf* selected = bench.shelf())
            if (Shelf* shelf = find_shelf(job, selected->id))
                shelf->*member = value;
    };
}
/// An enumeration as a row of a choice.
template <class E>
BoundForm::Get<int> get_row(Workbench& bench, E Shelf::*member) {
    return [&bench, member]() -> std::optional<int> {
        return bench.shelf() ? std::optional{static_cast<int>(bench.shelf()->*member)} : std::nullopt;
    };
}
template <class E>
BoundForm::Set<int> set_row(Workbench& bench, E Shelf::*member) {
    return [&bench, member](Job& job, int row) { set(bench, member)(job, static_cast<E>(row)); };
}

} // namespace

void LayoutPanel::build_place() {
    const QString more = tr("It must be more than 0");
    const Length least = Length::nanometres(1);
    form_->heading(tr("The shelf"));
    form_->words(tr("Name"), "shelf-name", get(bench_, &Shelf::name), set(bench_, &Shelf::name));
    form_->length(tr("Left end at"), "shelf-left", get(bench_, &Shelf::left), set(bench_, &Shelf::left));
    form_->length(tr("Top, up"), "shelf-height", get(bench_, &Shelf::height), set(bench_, &Shelf::height));
    form_->length(tr("Length"), "shelf-length", get(bench_, &Shelf::length), set(bench_, &Shelf::length), least, more);
    form_->length(tr("Depth"), "shelf-depth", get(bench_, &Shelf::depth), set(bench_, &Shelf::depth), least, more);
}

void LayoutPanel::build_board() {
    QStringList boards;
    for (const BoardProperties& board : all_boards())
        boards << text(board.words);
    form_->choice(tr("Board"), "shelf-material", boards, get_row(bench_, &Shelf::material),
                  set_row(bench_, &Shelf::material));
    form_->length(tr("Thickness"), "shelf-thickness", get(bench_, &Shelf::thickness), set(bench_, &Shelf::thickness),
                  Length::nanometres(1), tr("It must be more than 0"));
    form_->choice(
        tr("Carries"), "shelf-load",
        QStringList{tr("A row of books"), tr("Kitchen goods"), tr("Household goods"), tr("Ornaments"),
                    tr("Own figure")},
        [this]() -> std::optional<int> {
            return bench_.shelf() ? std::optional{static_cast<int>(bench_.shelf()->load.kind)} : std::nullopt;
        },
        [this](Job& job, int row) {
            if (Shelf* shelf = bench_.shelf() ? find_shelf(job, bench_.shelf()->id) : nullptr)
                shelf->load.kind = static_cast<LoadKind>(row);
        });
    form_->number(
        tr("Own load"), "shelf-own-load", tr("kg/m"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench_.shelf() || bench_.shelf()->load.kind != LoadKind::own)
                return std::nullopt;
            return std::optional{bench_.shelf()->load.own_kg_per_m};
        },
        [this](Job& job, std::optional<double> kg) {
            if (Shelf* shelf = bench_.shelf() ? find_shelf(job, bench_.shelf()->id) : nullptr)
                shelf->load.own_kg_per_m = kg.value_or(0);
        });
}

void LayoutPanel::build_bracket() {
    const auto options = [this] {
        QStringList words;
        const ShelfPlan* plan = bench_.shelf_plan();
        words << (plan && plan->bracket ? tr("%1 (best fit)").arg(text(plan->bracket->name)) : tr("Best fit"));
        for (const Bracket& bracket : bench_.job().catalogue.brackets)
            words << text(bracket.name);
        return words;
    };
    form_->choice(
        tr("Bracket"), "shelf-bracket", options,
        [this]() -> std::optional<int> {
            if (!bench_.shelf())
                return std::nullopt;
            const auto& brackets = bench_.job().catalogue.brackets;
            const auto named = std::ranges::find(brackets, bench_.shelf()->bracket, &Bracket::id);
            return named == brackets.end() ? 0 : 1 + static_cast<int>(named - brackets.begin());
        },
        [this](Job& job, int row) {
            set(bench_, &Shelf::bracket)(job, row == 0 ? std::string{}
                                                       : job.catalogue.brackets[static_cast<std::size_t>(row - 1)].id);
        });
    form_->number(
        tr("Packet says, each"), "bracket-rating", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            const ShelfPlan* plan = bench_.shelf_plan();
            if (!plan || !plan->bracket)
                return std::nullopt;
            const Bracket& bracket = *plan->bracket;
            if (!bracket.rating_n)
                return std::optional<double>{};
            return std::optional{*bracket.rating_n / standard_gravity / (bracket.rated_per_pair ? 2 : 1)};
        },
        [this](Job& job, std::optional<double> kg) {
            const ShelfPlan* plan = bench_.shelf_plan();
            if (!plan || !plan->bracket)
                return;
            for (Bracket& bracket : job.catalogue.brackets)
                if (bracket.id == plan->bracket->id) {
                    bracket.rating_n = kg ? std::optional{*kg * standard_gravity} : std::nullopt;
                    bracket.rated_per_pair = false;
                }
        });
    form_->choice(
        tr("Sag at most"), "sag-limit",
        QStringList{tr("1/200 of the span"), tr("1/300"), tr("1/384 (1/32 in a foot)"), tr("1/600")},
        [this]() -> std::optional<int> { return static_cast<int>(bench_.job().rules.sag_limit); },
        [](Job& job, int row) { job.rules.sag_limit = static_cast<SagLimit>(row); });
}

void LayoutPanel::add_shelf() {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add shelf"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        Shelf shelf;
        shelf.id = id = fresh_id(job, "shelf");
        shelf.name = tr("Shelf %1").arg(wall.shelves.size() + 1).toStdString();
        shelf.length = std::min(1200_mm, wall.length);
        shelf.left = (wall.length - shelf.length) / 2;
        shelf.height = std::min(1500_mm, wall.height);
        shelf.depth = 250_mm;
        shelf.thickness = 22_mm;
        shelf.material = BoardMaterial::birch_plywood;
        wall.shelves.push_back(std::move(shelf));
    });
    bench_.select_shelf(id);
    if (auto* left = findChild<LengthField*>(QStringLiteral("shelf-left")))
        left->setFocus(Qt::OtherFocusReason);
}

void LayoutPanel::remove_selected() {
    if (bench_.unit())
        runs_->remove_unit();
    else
        remove_shelf();
}

void LayoutPanel::remove_shelf() {
    if (!bench_.shelf())
        return;
    const std::string id = bench_.shelf()->id;
    bench_.edit(tr("Remove shelf"), [&](Job& job) {
        if (Wall* wall = wall_of(job, id))
            std::erase_if(wall->shelves, [&](const Shelf& shelf) { return shelf.id == id; });
    });
}

} // namespace yes_square::app
