#include "app/layout/piece_panel.hpp"

#include "app/bench/choices.hpp"
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
bool is_held(const Piece& piece) {
    return piece.restraint.kind != RestraintKind::none;
}
bool through_wood(const Piece& piece) {
    return is_held(piece) && !has_hardware(piece.restraint.kind);
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
    form_->name(tr("Name"), "piece-name", &Piece::name);
    form_->one_of(tr("Kind"), "piece-kind", &Piece::kind);
    form_->either(tr("Children about"), "piece-children", tr("no"), tr("yes"), &Piece::children);
    form_->place(tr("Left"), "piece-left", &Piece::left);
    form_->size(tr("Width"), "piece-width", &Piece::width);
    form_->size(tr("Height"), "piece-height", &Piece::height);
    form_->size(tr("Depth"), "piece-depth", &Piece::depth);
    form_->mass(tr("Weighs empty"), "piece-mass", &Piece::mass_kg);
    form_->mass(tr("On its shelves"), "piece-contents", &Piece::contents_kg);
    form_->mass(tr("On its top"), "piece-top-load", &Piece::top_load_kg);
    form_->one_of(tr("Floor"), "piece-floor", &Piece::floor);
    form_->place(tr("Floor falls"), "piece-falls", &Piece::floor_falls);
    form_->distance(tr("Feet set back"), "piece-feet", &Piece::feet_back);
    const auto centre = [this](const QString& label, const char* row, const QString& none,
                               std::optional<Length> Piece::*member) {
        form_->optional_length(label, row, none, form_->read<std::optional<Length>>([member](const Piece& piece) {
            return piece.*member;
        }),
                               form_->write<std::optional<Length>>(
                                   [member](Piece& piece, std::optional<Length> value) { piece.*member = value; }));
    };
    centre(tr("Centre, up"), "piece-centre-up", tr("half its height"), &Piece::centre_up);
    centre(tr("Centre, back"), "piece-centre-back", tr("half its depth"), &Piece::centre_back);
    form_->count(tr("Doors"), "piece-doors", &Piece::doors, 0, 4);
    form_->mass(tr("One door"), "piece-door", &Piece::door_kg, [](const Piece& piece) { return piece.doors > 0; });
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
    form_->heading(tr("Drawers"));
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
    const auto one = [this](const Piece& piece) { return has_drawers(piece) && shown_drawer(piece) > 0; };
    const auto length = [this](const QString& label, const char* row, Length Drawer::*member,
                               PartForm<Piece>::When when) {
        form_->length(
            label, row,
            form_->read<Length>([this, member](const Piece& piece) { return told(piece).*member; }, std::move(when)),
            form_->write<Length>([this, member](Piece& piece, Length value) {
                each_shown(piece, [&](Drawer& drawer) { drawer.*member = value; });
            }),
            Length{}, tr("It must be 0 or more"));
    };
    length(tr("Top edge, up"), "drawer-top", &Drawer::top, one);
    length(tr("Height"), "drawer-height", &Drawer::height, one);
    length(tr("Comes out"), "drawer-reach", &Drawer::reach, has_drawers);
    form_->number(tr("Empty"), "drawer-mass", tr("kg"),
                  form_->read<std::optional<double>>(
                      [this](const Piece& piece) { return std::optional{told(piece).mass_kg}; }, has_drawers),
                  form_->write<std::optional<double>>([this](Piece& piece, std::optional<double> kg) {
                      each_shown(piece, [&](Drawer& drawer) { drawer.mass_kg = kg.value_or(0); });
                  }));
    form_->number(
        tr("Load in it"), "drawer-load", tr("kg"),
        form_->read<std::optional<double>>([this](const Piece& piece) { return told(piece).load_kg; }, has_drawers),
        form_->write<std::optional<double>>([this](Piece& piece, std::optional<double> kg) {
            each_shown(piece, [&](Drawer& drawer) { drawer.load_kg = kg; });
        }));
    form_->either(tr("A lock opens"), "piece-lock", tr("all of them"), tr("one at a time"), &Piece::one_at_a_time,
                  has_drawers);
}

void PiecePanel::build_restraint() {
    form_->heading(tr("Held to the wall"));
    const auto row = [this](const QString& label, const char* name, auto member, PartForm<Piece>::When when) {
        using E = std::remove_reference_t<decltype(std::declval<Restraint>().*member)>;
        form_->choice(
            label, name, words_of<E>(),
            form_->read<int>([member](const Piece& piece) { return row_for(piece.restraint.*member); },
                             std::move(when)),
            form_->write<int>([member](Piece& piece, int value) { piece.restraint.*member = at_row<E>(value); }));
    };
    const auto length = [this](const QString& label, const char* name, Length Restraint::*member,
                               PartForm<Piece>::When when) {
        form_->length(
            label, name,
            form_->read<Length>([member](const Piece& piece) { return piece.restraint.*member; }, std::move(when)),
            form_->write<Length>([member](Piece& piece, Length value) { piece.restraint.*member = value; }), Length{},
            tr("It must be 0 or more"));
    };
    row(tr("By"), "restraint-kind", &Restraint::kind, PartForm<Piece>::always);
    form_->choice(tr("Places"), "restraint-number",
                  {QStringLiteral("1"), QStringLiteral("2"), QStringLiteral("3"), QStringLiteral("4")},
                  form_->read<int>([](const Piece& piece) { return piece.restraint.number - 1; }, is_held),
                  form_->write<int>([](Piece& piece, int value) { piece.restraint.number = value + 1; }));
    form_->choice(tr("Into"), "restraint-into",
                  QStringList{tr("proved studs or masonry"), tr("the lining, by anchors")},
                  form_->read<int>([](const Piece& piece) { return piece.restraint.in_lining ? 1 : 0; }, is_held),
                  form_->write<int>([](Piece& piece, int value) { piece.restraint.in_lining = value == 1; }));
    length(tr("Below its top"), "restraint-down", &Restraint::down,
           [](const Piece& piece) { return is_held(piece) && piece.restraint.kind != RestraintKind::top_brackets; });
    length(tr("Through wood of"), "restraint-through", &Restraint::through, through_wood);
    row(tr("That wood is"), "restraint-wood", &Restraint::wood, through_wood);
    length(tr("Strap, out"), "strap-out", &Restraint::strap_out,
           [](const Piece& piece) { return piece.restraint.kind == RestraintKind::straps; });
    length(tr("Strap, down"), "strap-rise", &Restraint::strap_rise,
           [](const Piece& piece) { return piece.restraint.kind == RestraintKind::straps; });
    form_->number(
        tr("Maker allows"), "restraint-rating", tr("N"),
        form_->read<std::optional<double>>([](const Piece& piece) { return piece.restraint.rating_n; },
                                           [](const Piece& piece) { return has_hardware(piece.restraint.kind); }),
        form_->write<std::optional<double>>(
            [](Piece& piece, std::optional<double> n) { piece.restraint.rating_n = n; }));
    QStringList gauges{tr("the program's choice")};
    gauges << words_of<ScrewGauge>();
    form_->choice(
        tr("Screw"), "restraint-gauge", gauges,
        form_->read<int>(
            [](const Piece& piece) { return piece.restraint.gauge ? 1 + row_for(*piece.restraint.gauge) : 0; },
            is_held),
        form_->write<int>([](Piece& piece, int value) {
            piece.restraint.gauge = value == 0 ? std::nullopt : std::optional{at_row<ScrewGauge>(value - 1)};
            if (value > 0 && piece.restraint.screw_length == Length{})
                piece.restraint.screw_length = Length::inches(2, {1, 2});
        }));
    length(tr("Screw length"), "restraint-screw", &Restraint::screw_length,
           [](const Piece& piece) { return is_held(piece) && piece.restraint.gauge.has_value(); });
    form_->usual(tr("Gap to the wall"), "piece-gap", tr("as the skirting"), &Piece::gap, is_held);
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
        lines << tr("Places that count: %1. Each must bear %2").arg(plan->holes.size()).arg(shown(force(plan->each_n)));
        if (plan->fixing && plan->fixing_utilisation.known())
            lines << tr("%1, %2 long, used to %3")
                         .arg(text(plan->fixing->name), shown(stock(plan->fixing->screw_length)),
                              shown(ratio(plan->fixing_utilisation)));
    } else if (plan->needs_n > 0) {
        lines << tr("What holds it must bear %1 in all").arg(shown(force(plan->needs_n)));
    }
    verdict_->tell(text(say(words(plan->verdict), voice)), plan->verdict == PieceVerdict::unsafe, lines);
}

void PiecePanel::add_piece(PieceKind kind) {
    add(tr("Add a piece"), "piece", [&](const Job&, const Wall& wall) {
        Piece piece = new_piece(wall, kind);
        piece.name = say(words(kind), bench_.voice());
        return piece;
    });
}

} // namespace yes_square::app
