#include "app/catalogue/fixings_at_hand.hpp"

#include "app/bench/field_form.hpp"

#include "app/bench/read_only_table.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/job/own_entries.hpp"
#include "core/measure/entry.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QTabWidget>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QString list_of(const std::vector<Length>& lengths, Unit unit) {
    QStringList all;
    for (const Length length : lengths)
        all << text(format_bare(length, unit));
    return all.join(QStringLiteral("; "));
}

/// Lengths with semicolons between them; nothing where one cannot be read.
std::optional<std::vector<Length>> read_list(const QString& typed, Unit unit) {
    std::vector<Length> lengths;
    for (const QString& part : typed.split(';', Qt::SkipEmptyParts)) {
        const auto length = parse_length(part.trimmed().toStdString(), unit);
        if (!length || *length <= Length{})
            return std::nullopt;
        lengths.push_back(*length);
    }
    return lengths.empty() ? std::nullopt : std::optional{lengths};
}

} // namespace

FixingsAtHand::FixingsAtHand(Workbench& bench, QWidget* parent)
    : QDialog{parent}
    , bench_{bench}
    , table_{read_only_table(
          {tr("Anchor"), tr("In"), tr("Hole"), tr("Deep"), tr("Pull used"), tr("Shear used"), tr("Figures")},
          "anchors-table", this)}
    , copy_{new QPushButton{tr("Copy as my own"), this}}
    , remove_{new QPushButton{tr("Remove my own"), this}}
    , form_{new BoundForm{bench, this}} {
    setWindowTitle(tr("Fixings at hand"));
    resize(920, 680);
    copy_->setObjectName(QStringLiteral("copy-anchor"));
    remove_->setObjectName(QStringLiteral("remove-anchor"));
    auto* words = new QLabel{tr("Shipped figures are cautious and from memory; they are not changed. Copy one as your "
                                "own and set it to what the packet in your hand says: the packet comes first."),
                             this};
    words->setWordWrap(true);
    auto* close = new QPushButton{tr("Close"), this};
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    for (QPushButton* button : {copy_, remove_, close})
        button->setAutoDefault(false); // Enter in a field goes on to the next
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(copy_);
    buttons->addWidget(remove_);
    buttons->addStretch(1);
    buttons->addWidget(close);
    auto* anchors = new QWidget;
    auto* anchor_column = new QVBoxLayout{anchors};
    anchor_column->addWidget(words);
    anchor_column->addWidget(table_, 1);
    anchor_column->addWidget(form_);
    auto* tabs = new QTabWidget{this};
    tabs->setObjectName(QStringLiteral("at-hand-tabs"));
    tabs->addTab(anchors, tr("Anchors for masonry"));
    tabs->addTab(screws_page(), tr("Screws"));
    auto* column = new QVBoxLayout{this};
    column->addWidget(tabs, 1);
    column->addLayout(buttons);
    build_form();
    connect(copy_, &QPushButton::clicked, this, &FixingsAtHand::copy_selected);
    connect(remove_, &QPushButton::clicked, this, &FixingsAtHand::remove_selected);
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        const QTableWidgetItem* item = table_->item(table_->currentRow(), 0);
        id_ = item ? item->data(Qt::UserRole).toString().toStdString() : std::string{};
        form_->refresh();
        remove_->setEnabled(selected() && selected()->own);
        copy_->setEnabled(selected() != nullptr);
    });
    connect(&bench_, &Workbench::changed, this, &FixingsAtHand::refresh);
    refresh();
}

const MasonryAnchor* FixingsAtHand::selected() const {
    const auto& anchors = bench_.job().catalogue.plugs;
    const auto found = std::ranges::find(anchors, id_, &MasonryAnchor::id);
    return found == anchors.end() ? nullptr : &*found;
}

MasonryAnchor* FixingsAtHand::own_in(Job& job) const {
    const auto found = std::ranges::find(job.catalogue.plugs, id_, &MasonryAnchor::id);
    return found == job.catalogue.plugs.end() || !found->own ? nullptr : &*found;
}

void FixingsAtHand::build_form() {
    const auto own = [this]() -> const MasonryAnchor* {
        const MasonryAnchor* anchor = selected();
        return anchor && anchor->own ? anchor : nullptr;
    };
    const PartAccess<MasonryAnchor> anchor{own, [this](Job& job, const std::function<void(MasonryAnchor&)>& to) {
                                               if (MasonryAnchor* changed = own_in(job))
                                                   to(*changed);
                                           }};
    /// @param last  of the kinds that there are, the last that is offered
    const auto row = [this, &anchor](const QString& label, const char* name, auto member, int last) {
        using E = std::remove_cvref_t<decltype(std::declval<MasonryAnchor>().*member)>;
        form_->choice(
            label, name, words_of<E>().mid(0, last + 1),
            anchor.read<int>([member](const MasonryAnchor& shown) { return row_for(shown.*member); }),
            anchor.write<int>([member](MasonryAnchor& changed, int chosen) { changed.*member = at_row<E>(chosen); }));
    };
    FieldForm<MasonryAnchor> rows{*form_, anchor, "anchor"};
    rows.row("name");
    row(tr("Kind"), "anchor-kind", &MasonryAnchor::kind, row_for(AnchorKind::resin_bar));
    row(tr("Holds in"), "anchor-substrate", &MasonryAnchor::substrate, row_for(MasonryKind::concrete));
    rows.row("hole_diameter", {}, tr("Hole"), "hole")
        .row("embedment", {}, tr("In the masonry"))
        .row("screw_diameter", {}, tr("Screw or bar, thick"), "screw");
    form_->checked_words(
        tr("Lengths, ; between"), "anchor-lengths",
        [this, own]() -> std::optional<std::string> {
            return own() ? std::optional{list_of(own()->screw_lengths, bench_.job().unit).toStdString()} : std::nullopt;
        },
        [this](const QString& typed) {
            return read_list(typed, bench_.job().unit) ? QString{}
                                                       : tr("Lengths with ; between them, such as 60; 80; 100");
        },
        [this](Job& job, const std::string& typed) {
            if (MasonryAnchor* changed = own_in(job))
                if (auto lengths = read_list(text(typed), job.unit))
                    changed->screw_lengths = std::move(*lengths);
        });
    rows.row("tension_n", {}, tr("Packet says, pull"), "tension").row("shear_n", {}, tr("Packet says, shear"), "shear");
    row(tr("The packet calls it"), "anchor-basis", &MasonryAnchor::basis, row_for(FigureBasis::not_stated));
    form_->choice(
        tr("Hands at work"), "skill", words_of<Skill>(),
        [this]() -> std::optional<int> { return row_for(bench_.job().rules.shelves.skill); },
        [](Job& job, int chosen) { job.rules.shelves.skill = at_row<Skill>(chosen); });
}

/// Lengths at hand of every gauge: what the program chooses from, so that it never asks for a screw nobody has.
QWidget* FixingsAtHand::screws_page() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout{page};
    auto* words =
        new QLabel{tr("Lengths at hand, ; between; none where you have none. The program chooses among these."), page};
    words->setWordWrap(true);
    column->addWidget(words);
    auto* form = new BoundForm{bench_, page};
    const auto readable = [this](const QString& typed) {
        return typed.trimmed().isEmpty() || read_list(typed, bench_.job().unit)
                   ? QString{}
                   : tr("Lengths with ; between them, such as 50; 63.5; 75, or nothing");
    };
    using Lengths = std::vector<Length>;
    const auto row = [&](const QString& label, const QString& name, std::function<Lengths(const Job&)> get,
                         std::function<void(Job&, Lengths)> set) {
        form->checked_words(
            label, name.toLatin1().constData(),
            [this, get]() -> std::optional<std::string> {
                return list_of(get(bench_.job()), bench_.job().unit).toStdString();
            },
            readable,
            [set](Job& job, const std::string& typed) {
                set(job, read_list(text(typed), job.unit).value_or(Lengths{}));
            });
    };
    for (const ScrewProperties& screw : all_gauges()) {
        const auto of_gauge = [gauge = screw.gauge](auto& job) {
            return std::ranges::find(job.catalogue.wood_screws, gauge, &WoodScrew::gauge);
        };
        row(
            QString::fromUtf8(screw.wood_screw_words), QStringLiteral("screw-%1").arg(static_cast<int>(screw.gauge)),
            [of_gauge](const Job& job) {
                const auto stock = of_gauge(job);
                return stock == job.catalogue.wood_screws.end() ? Lengths{} : stock->lengths;
            },
            [of_gauge, gauge = screw.gauge](Job& job, Lengths lengths) {
                auto& stocks = job.catalogue.wood_screws;
                const auto stock = of_gauge(job);
                (stock == stocks.end() ? stocks.emplace_back(WoodScrew{gauge, {}, {}}) : *stock).lengths =
                    std::move(lengths);
            });
    }
    row(
        tr("Up into a shelf"), QStringLiteral("screw-shelf"), [](const Job& job) { return job.catalogue.shelf_screws; },
        [](Job& job, Lengths lengths) { job.catalogue.shelf_screws = std::move(lengths); });
    column->addWidget(form);
    column->addStretch(1);
    form->refresh();
    return page;
}

void FixingsAtHand::refresh() {
    const QSignalBlocker quiet{table_};
    table_->setRowCount(0);
    const Voice voice = bench_.voice();
    int chosen = -1;
    for (const MasonryAnchor& anchor : bench_.job().catalogue.plugs) {
        const int row = table_->rowCount();
        table_->insertRow(row);
        const QStringList cells{text(anchor.name),
                                text(words(anchor.substrate)),
                                text(say(stock(anchor.hole_diameter), voice)),
                                text(say(stock(anchor.embedment), voice)),
                                text(say(quantity(allowable(anchor.tension, anchor.basis, anchor.kind)), voice)),
                                text(say(quantity(allowable(anchor.shear, anchor.basis, anchor.kind)), voice)),
                                anchor.own ? tr("my own, from the packet") : tr("shipped, from memory")};
        for (int column = 0; column < cells.size(); ++column) {
            auto* item = new QTableWidgetItem{cells[column]};
            item->setData(Qt::UserRole, text(anchor.id));
            table_->setItem(row, column, item);
        }
        if (anchor.id == id_)
            chosen = row;
    }
    if (chosen >= 0)
        table_->selectRow(chosen);
    form_->refresh();
    copy_->setEnabled(selected() != nullptr);
    remove_->setEnabled(selected() && selected()->own);
}

void FixingsAtHand::copy_selected() {
    bench_.edit(tr("Copy an anchor as my own"), [&](Job& job) {
        if (const MasonryAnchor* copy = copy_as_own(job.catalogue, id_))
            id_ = copy->id;
    });
    refresh();
}

void FixingsAtHand::remove_selected() {
    bench_.edit(tr("Remove my own anchor"), [&](Job& job) {
        std::erase_if(job.catalogue.plugs, [&](const MasonryAnchor& anchor) { return anchor.own && anchor.id == id_; });
    });
}

} // namespace yes_square::app
