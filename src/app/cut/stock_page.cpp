#include "app/cut/stock_page.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/cutting/cut_list.hpp"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace yes_square::app {
namespace {} // namespace

StockPage::StockPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , table_{read_only_table({tr("Stock"), tr("Long"), tr("There"), tr("Price")}, "stock", this)}
    , form_{new BoundForm{bench, this}}
    , saw_{new BoundForm{bench, this}} {
    auto* row_of_buttons = new QHBoxLayout;
    const auto button = [&](const QString& words, const char* name, auto&& act) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(QString::fromLatin1(name));
        made->setMinimumWidth(1);
        connect(made, &QPushButton::clicked, this, act);
        row_of_buttons->addWidget(made);
    };
    button(tr("Add an offcut"), "add-offcut", [this] { add(true); });
    button(tr("Add a size"), "add-stock", [this] { add(false); });
    button(tr("Remove"), "remove-stock", [this] {
        const int chosen = row();
        if (chosen >= 0)
            bench_.edit(tr("Remove a stock"),
                        [&](Job& job) { job.catalogue.stock.erase(job.catalogue.stock.begin() + chosen); });
    });
    const auto stock = [this]() -> const Stock* {
        const int chosen = row();
        return chosen >= 0 ? &bench_.job().catalogue.stock[static_cast<std::size_t>(chosen)] : nullptr;
    };
    const auto get = [stock]<class T>(T Stock::*member) {
        return [stock, member]() -> std::optional<T> {
            const Stock* of = stock();
            return of ? std::optional<T>{std::in_place, of->*member} : std::nullopt;
        };
    };
    const auto set = [this]<class T>(T Stock::*member) {
        return [this, member](Job& job, T value) {
            if (const int chosen = row(); chosen >= 0)
                job.catalogue.stock[static_cast<std::size_t>(chosen)].*member = std::move(value);
        };
    };
    form_->heading(tr("The chosen stock"));
    form_->choice(
        tr("Of"), "stock-kind", words_of<StuffKind>(),
        [stock]() -> std::optional<int> { return stock() ? std::optional{row_for(stock()->kind)} : std::nullopt; },
        [this](Job& job, int kind) {
            if (const int chosen = row(); chosen >= 0)
                job.catalogue.stock[static_cast<std::size_t>(chosen)].kind = at_row<StuffKind>(kind);
        });
    QStringList materials{tr("any material")};
    materials << words_of<BoardMaterial>();
    form_->choice(
        tr("Material"), "stock-material", materials,
        [stock]() -> std::optional<int> {
            const Stock* of = stock();
            return of ? std::optional{of->material ? row_for(*of->material) + 1 : 0} : std::nullopt;
        },
        [this](Job& job, int value) {
            if (const int chosen = row(); chosen >= 0) {
                auto& material = job.catalogue.stock[static_cast<std::size_t>(chosen)].material;
                material = value > 0 ? std::optional{at_row<BoardMaterial>(value - 1)} : std::nullopt;
            }
        });
    form_->length(tr("Long"), "stock-length", get(&Stock::length), set(&Stock::length), Length::nanometres(1),
                  tr("It must be more than 0"));
    form_->length(tr("Broad (0: any)"), "stock-breadth", get(&Stock::breadth), set(&Stock::breadth), Length{},
                  tr("It must be 0 or more"));
    form_->length(tr("Thick (0: any)"), "stock-thickness", get(&Stock::thickness), set(&Stock::thickness), Length{},
                  tr("It must be 0 or more"));
    form_->number(
        tr("That lie there"), "stock-on-hand", QString{},
        [stock]() -> std::optional<std::optional<double>> {
            return stock() ? std::optional{std::optional<double>{stock()->on_hand}} : std::nullopt;
        },
        [this](Job& job, std::optional<double> value) {
            if (const int chosen = row(); chosen >= 0)
                job.catalogue.stock[static_cast<std::size_t>(chosen)].on_hand =
                    std::clamp(static_cast<int>(value.value_or(0)), 0, 1000);
        });
    form_->choice(
        tr("More"), "stock-to-buy", {tr("there is no more"), tr("can be bought")},
        [stock]() -> std::optional<int> { return stock() ? std::optional<int>{stock()->to_buy} : std::nullopt; },
        [this](Job& job, int value) {
            if (const int chosen = row(); chosen >= 0)
                job.catalogue.stock[static_cast<std::size_t>(chosen)].to_buy = value == 1;
        });
    form_->number(tr("Price of one"), "stock-price", QString{}, get(&Stock::price), set(&Stock::price));
    saw_->heading(tr("The saw"));
    const auto rule = [&](const QString& label, const char* name, Length CutRules::*member) {
        saw_->length(
            label, name, [this, member]() -> std::optional<Length> { return bench_.job().rules.cutting.*member; },
            [member](Job& job, Length value) { job.rules.cutting.*member = value; }, Length{},
            tr("It must be 0 or more"));
    };
    rule(tr("Kerf"), "kerf", &CutRules::kerf);
    rule(tr("Off each end"), "end-trim", &CutRules::end_trim);
    rule(tr("Off a sheet's edges"), "sheet-trim", &CutRules::sheet_trim);
    rule(tr("Left on to scribe"), "scribe-allowance", &CutRules::scribe_allowance);
    saw_->words(
        tr("Prices in"), "currency", [this]() -> std::optional<std::string> { return bench_.job().currency; },
        [](Job& job, std::string value) { job.currency = std::move(value); });

    grow_to_rows(*table_);
    auto* all = new QVBoxLayout{this};
    all->setContentsMargins(0, 6, 0, 0);
    all->addLayout(row_of_buttons);
    all->addWidget(table_);
    all->addWidget(form_);
    all->addWidget(saw_);
    all->addStretch(1);
    connect(table_, &QTableWidget::currentCellChanged, this, [this] { form_->refresh(); });
    refresh();
}

int StockPage::row() const {
    const int chosen = table_->currentRow();
    return chosen >= 0 && chosen < static_cast<int>(bench_.job().catalogue.stock.size()) ? chosen : -1;
}

void StockPage::refresh() {
    const int chosen = std::max(0, table_->currentRow());
    const Voice voice = bench_.voice();
    {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        for (const Stock& stock : bench_.job().catalogue.stock)
            add_row(table_,
                    {text(say(words(stock.kind), voice)) +
                         (stock.material ? QStringLiteral(" ") + text(say(properties(*stock.material).words, voice))
                                         : QString{}),
                     text(format_bare(stock.length, voice)),
                     stock.on_hand > 0 ? QString::number(stock.on_hand) : QString{},
                     stock.price ? spoken_locale().toString(*stock.price, 'f', 2) : QString{}});
        if (table_->rowCount() > 0)
            table_->setCurrentCell(std::min(chosen, table_->rowCount() - 1), 0);
    }
    form_->refresh();
    saw_->refresh();
}

void StockPage::add(bool offcut) {
    Stock stock;
    stock.length = offcut ? 1000_mm : 2400_mm;
    stock.on_hand = offcut ? 1 : 0;
    stock.to_buy = !offcut;
    bench_.edit(offcut ? tr("Add an offcut") : tr("Add a size"),
                [&](Job& job) { job.catalogue.stock.push_back(stock); });
    refresh();
    table_->setCurrentCell(table_->rowCount() - 1, 0);
}

} // namespace yes_square::app
