#include "app/layout/shelf_parts.hpp"

#include "app/bench/fold.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/rows.hpp"
#include "app/bench/theme.hpp"
#include "app/bench/words.hpp"
#include "app/layout/cut_outs_editor.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/way.hpp"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>
#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

QString tr_here(const char* words) {
    return QCoreApplication::translate("ShelfParts", words);
}

/// The selected shelf on its wall; nullptr: none, or on another.
Shelf* on_wall(const Workbench& bench, Wall& wall) {
    if (!bench.shelf())
        return nullptr;
    const auto found = std::ranges::find(wall.shelves, bench.shelf()->id, &Shelf::id);
    return found == wall.shelves.end() ? nullptr : &*found;
}

ReadingsSpec hole_editor(Workbench& bench) {
    ReadingsSpec spec;
    spec.name = QStringLiteral("hole");
    spec.kind_label = tr_here("Hole");
    spec.kinds = {tr_here("may be used"), tr_here("must be used, its maker says")};
    spec.fields = [](int) {
        return std::vector<ReadingField>{{QStringLiteral("across"), tr_here("From the left end")},
                                         {QStringLiteral("down"), tr_here("Down from the top")}};
    };
    spec.add = [&bench](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
        Shelf* shelf = on_wall(bench, wall);
        if (Plate* plate = shelf ? plate_in(*shelf) : nullptr)
            plate->holes.push_back({*figures[0], *figures[1], kind == 1, {}});
    };
    spec.rows = [&bench](const Wall&, const Voice& voice, const Reader&) {
        std::vector<ReadingRow> rows;
        const Plate* plate = bench.shelf() ? plate_of(*bench.shelf()).plate : nullptr;
        for (std::size_t i = 0; plate && i < plate->holes.size(); ++i) {
            const PlateHole& hole = plate->holes[i];
            rows.push_back({hole.across,
                            tr_here("%1: %2 across, %3 down%4")
                                .arg(i + 1)
                                .arg(text(format(hole.across, voice)), text(format(hole.down, voice)),
                                     hole.must ? tr_here(", must") : QString{}),
                            0, i});
        }
        return rows;
    };
    spec.erase = [&bench](Wall& wall, const ReadingRow& row) {
        Shelf* shelf = on_wall(bench, wall);
        if (Plate* plate = shelf ? plate_in(*shelf) : nullptr)
            plate->holes.erase(plate->holes.begin() + static_cast<std::ptrdiff_t>(row.index));
    };
    return spec;
}

/// What stands along a shelf at places of its own, from its left end.
constexpr int leg_kind = 3;
constexpr std::array other_kinds{OtherKind::leg, OtherKind::rod, OtherKind::angled_screw}; ///< from there on
constexpr std::array along{&Shelf::joints, &Shelf::hangers, &Shelf::pins};

ReadingsSpec along_editor(Workbench& bench) {
    ReadingsSpec spec;
    spec.name = QStringLiteral("along");
    spec.kind_label = tr_here("Along it");
    spec.kinds = {tr_here("Joint between boards"),
                  tr_here("Hanger from the ceiling"),
                  tr_here("Place pinned: a bracket, rod or upright"),
                  tr_here("Leg"),
                  tr_here("Rod among the brackets"),
                  tr_here("Screw at an angle, as over a door")};
    spec.fields = [](int kind) {
        std::vector<ReadingField> fields{{QStringLiteral("at"), tr_here("From the left end"), false, false, true}};
        if (kind == leg_kind)
            fields.push_back({QStringLiteral("out"), tr_here("Out of the wall, to its middle"), false, true, true});
        return fields;
    };
    spec.add = [&bench](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
        if (Shelf* shelf = on_wall(bench, wall)) {
            if (kind >= leg_kind) {
                shelf->others.push_back({other_kinds[static_cast<std::size_t>(kind - leg_kind)], *figures[0],
                                         kind == leg_kind ? *figures[1] : Length{}});
                return;
            }
            auto& places = shelf->*along[static_cast<std::size_t>(kind)];
            places.push_back(*figures[0]);
            std::ranges::sort(places);
        }
    };
    spec.rows = [&bench](const Wall&, const Voice& voice, const Reader&) {
        std::vector<ReadingRow> rows;
        if (const Shelf* shelf = bench.shelf()) {
            const std::array words{tr_here("Joint at %1"), tr_here("Hanger at %1"), tr_here("Pinned at %1")};
            for (std::size_t list = 0; list < along.size(); ++list) {
                const std::vector<Length>& places = shelf->*along[list];
                for (std::size_t i = 0; i < places.size(); ++i)
                    rows.push_back(
                        {places[i], words[list].arg(text(format(places[i], voice))), static_cast<int>(list), i});
            }
            for (std::size_t i = 0; i < shelf->others.size(); ++i) {
                const OtherSupport& other = shelf->others[i];
                const QString at = text(format(shelf->place_of(other), voice));
                rows.push_back({shelf->place_of(other),
                                other.kind == OtherKind::leg
                                    ? tr_here("Leg at %1, %2 out").arg(at, text(format(other.out, voice)))
                                : other.kind == OtherKind::rod          ? tr_here("Rod at %1").arg(at)
                                : other.kind == OtherKind::angled_screw ? tr_here("Angled screw at %1").arg(at)
                                                                        : tr_here("End strip at %1").arg(at),
                                static_cast<int>(along.size()), i});
            }
        }
        return rows;
    };
    spec.erase = [&bench](Wall& wall, const ReadingRow& row) {
        if (Shelf* shelf = on_wall(bench, wall)) {
            if (static_cast<std::size_t>(row.list) == along.size()) {
                shelf->others.erase(shelf->others.begin() + static_cast<std::ptrdiff_t>(row.index));
                return;
            }
            auto& places = shelf->*along[static_cast<std::size_t>(row.list)];
            places.erase(places.begin() + static_cast<std::ptrdiff_t>(row.index));
        }
    };
    return spec;
}

CutOutsOf shelf_cut_outs(Workbench& bench) {
    return {QStringLiteral("shelf-cut"), [&bench] { return bench.shelf() ? &bench.shelf()->cut_outs : nullptr; },
            [&bench](Wall& wall) {
                Shelf* shelf = on_wall(bench, wall);
                return shelf ? &shelf->cut_outs : nullptr;
            },
            [&bench]() -> std::optional<BoardFromAbove> {
                if (!bench.shelf() || !bench.shelf_plan())
                    return std::nullopt;
                return from_above(*bench.shelf(), *bench.shelf_plan());
            }};
}

} // namespace

ShelfParts::ShelfParts(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , along_{folded(tr("Joints, hangers, pins, legs, rods"), QStringLiteral("shelf-fold-along"),
                    new ReadingsEditor{bench, along_editor(bench)})}
    , holes_{folded(tr("Its holes"), QStringLiteral("shelf-fold-holes"), new ReadingsEditor{bench, hole_editor(bench)})}
    , cut_outs_{folded(tr("Cut-outs and notches"), QStringLiteral("shelf-fold-cut-outs"),
                       new CutOutsEditor{bench, shelf_cut_outs(bench)})}
    , goods_figures_{new QWidget}
    , goods_{folded(tr("Heavy things on a part of it"), QStringLiteral("shelf-fold-goods"), goods_figures_)}
    , goods_name_{new QLineEdit}
    , goods_from_{new LengthField}
    , goods_to_{new LengthField}
    , goods_kg_{new QLineEdit}
    , goods_list_{new QListWidget} {
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(holes_);
    column->addWidget(along_);
    column->addWidget(cut_outs_);
    column->addWidget(goods_);

    auto* goods = new QVBoxLayout{goods_figures_};
    goods->setContentsMargins(0, 0, 0, 0);
    auto* form = new QFormLayout;
    goods_name_->setObjectName(QStringLiteral("goods-name"));
    goods_from_->setObjectName(QStringLiteral("goods-from"));
    goods_to_->setObjectName(QStringLiteral("goods-to"));
    goods_kg_->setObjectName(QStringLiteral("goods-kg"));
    goods_to_->set_optional();
    goods_to_->setPlaceholderText(tr("at one place"));
    form->addRow(tr("What"), goods_name_);
    form->addRow(tr("From"), goods_from_);
    form->addRow(tr("To"), goods_to_);
    form->addRow(tr("Mass, kg"), goods_kg_);
    goods->addLayout(form);
    auto* add = new QPushButton{tr("Put it on")};
    add->setObjectName(QStringLiteral("goods-add"));
    goods_list_->setObjectName(QStringLiteral("goods-list"));
    grow_to_rows(*goods_list_);
    goods->addWidget(add);
    goods->addWidget(goods_list_);
    connect(add, &QPushButton::clicked, this, &ShelfParts::add_goods);
    connect(goods_kg_, &QLineEdit::returnPressed, this, &ShelfParts::add_goods);
    auto* erase = new QShortcut{QKeySequence::Delete, goods_list_};
    erase->setContext(Qt::WidgetShortcut);
    connect(erase, &QShortcut::activated, this, &ShelfParts::remove_goods);
    connect(&bench_, &Workbench::changed, this, &ShelfParts::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ShelfParts::refresh);
    refresh();
}

Shelf* ShelfParts::selected_in(Job& job) const {
    return bench_.shelf() ? find_shelf(job, bench_.shelf()->id) : nullptr;
}

void ShelfParts::add_goods() {
    bool readable = false;
    const Mass mass = Mass::kg(QLocale::c().toDouble(goods_kg_->text().trimmed().replace(',', '.'), &readable));
    readable = readable && mass > 0;
    set_flag(*goods_kg_, "refused", !readable);
    goods_kg_->setToolTip(readable ? QString{} : tr("A mass in kg, more than 0"));
    if (!readable || !bench_.shelf())
        return;
    Goods goods;
    goods.name = goods_name_->text().trimmed().toStdString();
    if (goods.name.empty())
        goods.name = tr("Heavy thing").toStdString();
    const auto figure = [](LengthField* field) { return field->text().isEmpty() ? std::nullopt : field->value(); };
    goods.from = std::max(Length{}, figure(goods_from_).value_or(Length{}));
    goods.to = std::max(goods.from, figure(goods_to_).value_or(goods.from));
    goods.mass = mass;
    bench_.edit(tr("Put %1 on the shelf").arg(text(goods.name)), [&](Job& job) {
        if (Shelf* shelf = selected_in(job))
            shelf->goods.push_back(goods);
    });
    goods_kg_->clear();
    goods_name_->clear();
}

void ShelfParts::remove_goods() {
    const int row = goods_list_->currentRow();
    if (row < 0)
        return;
    bench_.edit(tr("Take it off the shelf"), [&](Job& job) {
        if (Shelf* shelf = selected_in(job); shelf && row < static_cast<int>(shelf->goods.size()))
            shelf->goods.erase(shelf->goods.begin() + row);
    });
}

void ShelfParts::refresh() {
    const Shelf* shelf = bench_.shelf();
    const bool boards = shelf && way_of(*shelf).boards_on_arms();
    along_->setVisible(boards);
    cut_outs_->setVisible(shelf && way_of(*shelf).is_board());
    holes_->setVisible(shelf && plate_of(*shelf).plate);
    goods_->setVisible(shelf && way_of(*shelf).carries_goods());
    if (!shelf)
        return fill(*goods_list_, {});
    const Voice voice = bench_.voice();
    for (LengthField* field : {goods_from_, goods_to_})
        field->set_unit(bench_.job().unit);
    QStringList words;
    for (const Goods& goods : shelf->goods) {
        const QString mass = text(say(quantity(goods.mass), voice));
        const QString from = text(format(goods.from, voice));
        words << (goods.to > goods.from
                      ? tr("%1, %2, from %3 to %4").arg(text(goods.name), mass, from, text(format(goods.to, voice)))
                      : tr("%1, %2, at %3").arg(text(goods.name), mass, from));
    }
    fill(*goods_list_, words);
    goods_list_->setVisible(!shelf->goods.empty());
}

} // namespace yes_square::app
