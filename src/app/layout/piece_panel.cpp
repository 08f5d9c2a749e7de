#include "app/layout/piece_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "core/stability/new_piece.hpp"
#include "core/stability/piece_words.hpp"
#include "core/stability/restraint.hpp"

#include <QMenu>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int kinds = 7;

bool has_drawers(const Piece& piece) {
    return !piece.drawers.empty();
}
bool is_held(const Restraint& how) {
    return how.kind != RestraintKind::none;
}
bool through_wood(const Restraint& how) {
    return is_held(how) && !has_hardware(how.kind);
}

} // namespace

PiecePanel::PiecePanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , verdict_{new VerdictLabel{"piece-verdict", this}} {
    auto* add_button = new QPushButton{tr("Add a piece"), this};
    add_button->setObjectName(QStringLiteral("add-piece"));
    auto* menu = new QMenu{this};
    menu->setObjectName(QStringLiteral("piece-kinds"));
    for (const auto& row : enum_names<PieceKind>())
        connect(menu->addAction(word_of(row.value)), &QAction::triggered, this,
                [this, kind = row.value] { add_piece(kind); });
    add_button->setMenu(menu);
    build_restraint();
    build_piece();
    build_drawers();
    lay_out("remove-piece", add_button,
            tr("Chests of drawers, bookcases, larders, workshop cabinets: whether they tip when they are opened, "
               "pulled or climbed, and what holds them to the wall."),
            {verdict_});
}

void PiecePanel::build_piece() {
    form_->heading(tr("The piece"));
    FieldForm<Piece> rows{*form_, "piece"};
    for (const char* member : {"kind", "children", "left", "width", "height", "depth"})
        rows.row(member);
    form_->fold(tr("Name, weight, floor, doors"), "piece-fold-weight");
    for (const char* member : {"name", "measured_from", "mass_kg", "contents_kg", "top_load_kg", "floor", "floor_falls",
                               "feet_back", "centre_up", "centre_back", "doors"})
        rows.row(member);
    rows.row("door_kg", [](const Piece& piece) { return piece.doors > 0; });
}

int PiecePanel::shown_drawer(const Piece& piece) const {
    return drawer_ <= static_cast<int>(piece.drawers.size()) ? drawer_ : 0;
}

const Drawer& PiecePanel::told(const Piece& piece) const {
    return piece.drawers[static_cast<std::size_t>(std::max(0, shown_drawer(piece) - 1))];
}

void PiecePanel::each_shown(Piece& piece, const std::function<void(Drawer&)>& change) const {
    const int one = shown_drawer(piece);
    for (std::size_t i = 0; i < piece.drawers.size(); ++i)
        if (one == 0 || i + 1 == static_cast<std::size_t>(one))
            change(piece.drawers[i]);
}

void PiecePanel::build_drawers() {
    form_->fold(tr("Drawers"), "piece-fold-drawers");
    QStringList numbers;
    for (int i = 0; i <= 12; ++i)
        numbers << QString::number(i);
    form_->choice(tr("How many"), "piece-drawers", numbers,
                  form_->read<int>([](const Piece& piece) { return static_cast<int>(piece.drawers.size()); }),
                  form_->write<int>([](Piece& piece, int number) { spread_drawers(piece, number); }));
    // One of them by itself, or all of them alike.
    form_->choice(
        tr("Figures of"), "drawer-which",
        [this] {
            QStringList rows{tr("all of them")};
            const Piece* piece = bench_.selected<Piece>();
            for (std::size_t i = 0; piece && i < piece->drawers.size(); ++i)
                rows << (i == 0 ? tr("1, the top one") : QString::number(i + 1));
            return rows;
        },
        form_->read<int>([this](const Piece& piece) { return shown_drawer(piece); }, has_drawers),
        [this](Job&, int row) {
            drawer_ = row;
            form_->refresh();
        });
    const PartAccess<Drawer> shown{[this] {
                                       const Piece* piece = bench_.selected<Piece>();
                                       return piece && has_drawers(*piece) ? &told(*piece) : nullptr;
                                   },
                                   [this](Job& job, const std::function<void(Drawer&)>& to) {
                                       form_->change(job, [&](Piece& piece) { each_shown(piece, to); });
                                   }};
    const auto one = [this](const Drawer&) { return shown_drawer(*bench_.selected<Piece>()) > 0; };
    FieldForm<Drawer>{*form_, shown, "drawer"}
        .row("top", one)
        .row("height", one)
        .row("reach")
        .row("mass_kg")
        .row("load_kg");
    FieldForm<Piece>{*form_, "piece"}.row("one_at_a_time", has_drawers);
}

void PiecePanel::build_restraint() {
    const PartAccess<Restraint> restraint = form_->inner(&Piece::restraint);
    const auto strapped = [](const Restraint& how) { return how.kind == RestraintKind::straps; };
    const auto below = [](const Restraint& how) { return is_held(how) && how.kind != RestraintKind::top_brackets; };
    const auto of_hardware = [](const Restraint& how) { return has_hardware(how.kind); };
    const auto chosen_screw = [](const Restraint& how) { return is_held(how) && how.gauge.has_value(); };
    form_->heading(tr("Held to the wall"));
    FieldForm<Restraint>{*form_, restraint, "restraint"}
        .row("kind")
        .row("number", is_held)
        .row("in_lining", is_held)
        .row("down", below)
        .row("through", through_wood)
        .row("wood", through_wood)
        .row("strap_out", strapped)
        .row("strap_rise", strapped)
        .row("rating_n", of_hardware);
    // A screw that is chosen has a length.
    form_->choice(
        tr("Screw"), "restraint-gauge", QStringList{tr("the program's choice")} + words_of<ScrewGauge>(),
        restraint.read<int>([](const Restraint& how) { return how.gauge ? 1 + row_for(*how.gauge) : 0; }, is_held),
        restraint.write<int>([](Restraint& how, int row) {
            how.gauge = row == 0 ? std::nullopt : std::optional{at_row<ScrewGauge>(row - 1)};
            if (row > 0 && how.screw_length == Length{})
                how.screw_length = Length::inches(2, {1, 2});
        }));
    FieldForm<Restraint>{*form_, restraint, "restraint"}.row("screw_length", chosen_screw);
    FieldForm<Piece>{*form_, "piece"}.row("gap", [](const Piece& piece) { return is_held(piece.restraint); });
}

void PiecePanel::refresh() {
    const PiecePlan* plan = bench_.selected_plan<Piece>();
    verdict_->setVisible(plan != nullptr);
    if (!plan)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    QStringList lines;
    if (bench_.selected<Piece>()->restraint.kind != RestraintKind::none) {
        lines
            << tr("Places that count: %1. Each must bear %2").arg(plan->holes.size()).arg(shown(quantity(plan->each)));
        if (plan->fixing && plan->fixing_utilisation.known())
            lines << tr("%1, %2 long, used to %3")
                         .arg(text(plan->fixing->name), shown(stock(plan->fixing->screw_length)),
                              shown(ratio(plan->fixing_utilisation)));
    } else if (plan->needs > 0) {
        lines << tr("What holds it must bear %1 in all").arg(shown(quantity(plan->needs)));
    }
    verdict_->tell(text(say(words(plan->verdict), voice)), plan->verdict == PieceVerdict::unsafe, lines);
}

void PiecePanel::add_piece(PieceKind kind) {
    add(tr("Add a piece"), "piece", [&](const Job& job, const Wall& wall) {
        Piece piece = new_piece(wall, kind);
        piece.name = fresh_name(job, say(words(kind), bench_.voice()) + " %1");
        return piece;
    });
}

} // namespace yes_square::app
