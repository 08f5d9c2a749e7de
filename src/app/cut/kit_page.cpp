#include "app/cut/kit_page.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"

#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

KitSupply& supply_of(Job& job, const std::string& item) {
    auto& supplies = job.catalogue.supplies;
    const auto found = std::ranges::find(supplies, item, &KitSupply::item);
    if (found != supplies.end())
        return *found;
    supplies.push_back({item, 1, {}, 0, {}});
    return supplies.back();
}

} // namespace

KitPage::KitPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , table_{read_only_table({tr("Take along"), tr("Wants"), tr("Packs")}, "kit", this)}
    , total_{new QLabel{this}}
    , form_{new BoundForm{bench, this}} {
    total_->setWordWrap(true);
    total_->setObjectName(QStringLiteral("kit-total"));
    form_->heading(tr("How it is sold"));
    const auto figure = [&](const QString& label, const char* name, auto&& get, auto&& set) {
        form_->number(
            label, name, QString{},
            [this, get]() -> std::optional<std::optional<double>> {
                if (item().empty())
                    return std::nullopt;
                return std::optional{supply() ? get(*supply()) : std::optional<double>{}};
            },
            [this, set](Job& job, std::optional<double> value) {
                if (!item().empty())
                    set(supply_of(job, item()), value);
            });
    };
    figure(
        tr("In a pack"), "kit-pack", [](const KitSupply& s) -> std::optional<double> { return s.pack; },
        [](KitSupply& s, std::optional<double> v) { s.pack = std::clamp(static_cast<int>(v.value_or(1)), 1, 1000); });
    figure(
        tr("Price of a pack"), "kit-price", [](const KitSupply& s) { return s.price; },
        [](KitSupply& s, std::optional<double> v) { s.price = v; });
    figure(
        tr("Single ones there"), "kit-on-hand", [](const KitSupply& s) -> std::optional<double> { return s.on_hand; },
        [](KitSupply& s, std::optional<double> v) {
            s.on_hand = std::clamp(static_cast<int>(v.value_or(0)), 0, 1000);
        });
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    grow_to_rows(*table_);
    column->addWidget(total_);
    column->addWidget(form_);
    column->addWidget(table_);
    column->addStretch(1);
    connect(table_, &QTableWidget::currentCellChanged, this, [this] { form_->refresh(); });
}

std::string KitPage::item() const {
    const QTableWidgetItem* cell = table_->item(table_->currentRow(), 0);
    return cell ? cell->data(Qt::UserRole).toString().toStdString() : std::string{};
}

const KitSupply* KitPage::supply() const {
    const auto& supplies = bench_.job().catalogue.supplies;
    const auto found = std::ranges::find(supplies, item(), &KitSupply::item);
    return found == supplies.end() ? nullptr : &*found;
}

void KitPage::show_kit(const Kit& kit, const CuttingPlan& cutting) {
    const Voice voice = bench_.voice();
    const int chosen = std::max(0, table_->currentRow());
    {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        for (const KitLine& line : kit.lines) {
            const QString wants = line.group == KitGroup::fixings
                                      ? tr("%1 + %2").arg(line.wanted).arg(line.spares)
                                      : (line.group == KitGroup::hardware ? QString::number(line.wanted) : QString{});
            const bool bought = line.group == KitGroup::fixings || line.group == KitGroup::hardware;
            add_row(table_,
                    {text(say(line.name, voice)), wants,
                     bought
                         ? (line.pack > 1 ? tr("%1 of %2").arg(line.packs).arg(line.pack) : QString::number(line.packs))
                         : text(say(words(line.group), voice))},
                    text(line.item));
        }
        if (table_->rowCount() > 0)
            table_->setCurrentCell(std::min(chosen, table_->rowCount() - 1), 0);
    }
    const Outlay outlay = outlay_of(kit, cutting);
    total_->setText(outlay.price > 0 ? tr("To buy, stock and kit: %1 %2%3")
                                           .arg(spoken_locale().toString(outlay.price, 'f', 2))
                                           .arg(text(bench_.job().currency),
                                                outlay.all_priced ? QString{} : tr(", and what has no price yet"))
                                     : tr("Spares by the house rules. Give packs and prices below."));
    form_->refresh();
}

} // namespace yes_square::app
