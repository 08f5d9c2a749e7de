#include "app/cut/cut_panel.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/board/picking.hpp"
#include "app/cut/bench_page.hpp"
#include "app/cut/delivery_page.hpp"
#include "app/cut/kit_page.hpp"
#include "app/cut/stock_page.hpp"
#include "core/sheets/cut_drawing.hpp"

#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

/// "Ponderosa pine 230 x 22 mm".
QString stuff_name(const StuffPlan& of, const Voice& voice) {
    const Stuff& stuff = of.stuff;
    QString name = text(say(std::string_view{stuff.words}, voice));
    name[0] = name[0].toUpper();
    if (stuff.thickness > Length{})
        name += stuff.breadth > Length{} && stuff.breadth != stuff.thickness
                    ? CutPanel::tr(" %1 x %2")
                          .arg(text(format_bare(stuff.breadth, voice)), text(say(stock(stuff.thickness), voice)))
                    : CutPanel::tr(" %1").arg(text(say(stock(stuff.thickness), voice)));
    return name;
}

/// What it takes, and how sure it is that nothing cheaper does.
QString verdict(const StuffPlan& stuff) {
    const std::size_t there = (stuff.sheets ? stuff.sheet_plan.sheets.size() : stuff.bars.bars.size()) - stuff.bought();
    const bool one = stuff.bought() == 1;
    QString words = stuff.sheets ? (one ? CutPanel::tr("1 sheet to buy") : CutPanel::tr("%1 sheets to buy"))
                                 : (one ? CutPanel::tr("1 length to buy") : CutPanel::tr("%1 lengths to buy"));
    if (!one)
        words = words.arg(stuff.bought());
    if (there > 0)
        words += CutPanel::tr(", %1 that lie there").arg(there);
    if (!stuff.checks.empty())
        return words + CutPanel::tr(", and not all of it can be cut.");
    if (stuff.proved())
        return words + CutPanel::tr(": no plan takes fewer.");
    return words + (stuff.sheets ? CutPanel::tr(": no plan takes fewer than %1.").arg(stuff.sheet_plan.least)
                                 : CutPanel::tr(": no plan costs less than %1, this is %2 % over it.")
                                       .arg(spoken_locale().toString(stuff.bars.least, 'f', stuff.bars.priced ? 2 : 0))
                                       .arg(spoken_locale().toString(100 * stuff.bars.gap(), 'f', 1)));
}

} // namespace

CutPanel::CutPanel(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , scope_{new QComboBox{this}}
    , pages_{new Pages{this}}
    , summary_{new QLabel{this}}
    , stuffs_{read_only_table({tr("Stuff"), tr("Parts"), tr("Buy")}, "stuffs", this)}
    , parts_{read_only_table({tr("No."), tr("Part"), tr("Long"), tr("Broad")}, "cut-parts", this)}
    , at_bench_{new BenchPage{bench, this}}
    , stock_{new StockPage{bench, this}}
    , kit_{new KitPage{bench, this}}
    , delivery_{new DeliveryPage{bench, day, this}}
    , drawing_{new DrawingView{[this](double width, double height, double size) { return draw(width, height, size); }}}
    , scroll_{new QScrollArea}
    , on_wall_{new QPushButton{tr("See the part on the wall"), this}} {
    on_wall_->setCheckable(true);
    on_wall_->setObjectName(QStringLiteral("part-on-wall"));
    connect(on_wall_, &QPushButton::toggled, this, [this](bool on) {
        on_wall_->setText(on ? tr("Back to the cutting plan") : tr("See the part on the wall"));
        emit wall_wanted();
        if (const StuffPlan* stuff = on ? chosen() : nullptr)
            if (const auto piece = std::ranges::find(stuff->pieces, picked_, &CutPiece::label);
                piece != stuff->pieces.end())
                bench_.point_out(std::string{piece->item});
    });
    scope_->addItems({tr("This wall"), tr("This room"), tr("The whole job")});
    scope_->setCurrentIndex(2);
    scope_->setObjectName(QStringLiteral("cut-scope"));
    scope_->setAccessibleName(tr("What the lists are of"));
    summary_->setWordWrap(true);
    summary_->setObjectName(QStringLiteral("cut-summary"));
    auto* parts = new QWidget{pages_};
    auto* column = new QVBoxLayout{parts};
    column->setContentsMargins(0, 6, 0, 0);
    grow_to_rows(*stuffs_);
    grow_to_rows(*parts_);
    column->addWidget(stuffs_);
    column->addWidget(summary_);
    column->addWidget(on_wall_);
    column->addWidget(parts_);
    column->addStretch(1);
    pages_->add(parts, tr("Parts"), QStringLiteral("cut-page-parts"));
    pages_->add(at_bench_, tr("Bench"), QStringLiteral("cut-page-bench"));
    pages_->add(stock_, tr("Stock"), QStringLiteral("cut-page-stock"));
    pages_->add(kit_, tr("Kit"), QStringLiteral("cut-page-kit"));
    pages_->add(delivery_, tr("Delivery"), QStringLiteral("cut-page-delivery"));
    pages_->setObjectName(QStringLiteral("cut-pages"));
    auto* all = new QVBoxLayout{this};
    all->addWidget(scope_);
    all->addWidget(pages_, 1);
    drawing_->setObjectName(QStringLiteral("cutting-plan"));
    drawing_->setAccessibleName(tr("Cutting plan"));
    scroll_->setWidget(drawing_);
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);

    connect(scope_, &QComboBox::activated, this, &CutPanel::refresh);
    connect(stuffs_, &QTableWidget::currentCellChanged, this, [this](int row, int, int before, int) {
        if (row == before)
            return;
        refresh_parts();
        if (!at_bench() && row >= 0 && row < static_cast<int>(tops_.size()))
            scroll_->ensureVisible(0, tops_[static_cast<std::size_t>(row)], 0, 60);
    });
    connect(parts_, &QTableWidget::cellClicked, this,
            [this](int row, int) { pick(parts_->item(row, 0)->data(Qt::UserRole).toString().toStdString()); });
    connect(drawing_, &DrawingView::picked, this, [this](const Reference& reference) {
        if (!reference.item.empty())
            bench_.select(reference.item);
    });
    connect(pages_, &Pages::page_changed, this, [this] {
        drawing_->setAccessibleName(at_bench() ? tr("Parts and what is worked on them") : tr("Cutting plan"));
        drawing_->redraw();
    });
    connect(at_bench_, &BenchPage::chosen, this, [this](int row) {
        drawing_->redraw();
        if (row >= 0 && row < static_cast<int>(tops_.size()))
            scroll_->ensureVisible(0, tops_[static_cast<std::size_t>(row)], 0, 60);
    });
    connect(delivery_, &DeliveryPage::packing_list_wanted, this, &CutPanel::packing_list_wanted);
    connect(&bench_, &Workbench::changed, this, &CutPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, [this] {
        if (scope_->currentIndex() < 2)
            refresh();
    });
}

bool CutPanel::show_page(const QString& name) {
    const int index = pages_->index_of(QStringLiteral("cut-page-") + name);
    if (index >= 0)
        pages_->set_page(index);
    return index >= 0;
}

void CutPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

bool CutPanel::at_bench() const {
    return pages_->current() == at_bench_ && !at_bench_->empty();
}

Scope CutPanel::scope() const {
    if (scope_->currentIndex() == 2 || !bench_.wall())
        return {};
    return scope_->currentIndex() == 0 ? Scope{bench_.wall()->id, {}} : Scope{{}, bench_.wall()->room};
}

/// Only while it is looked at: a cutting plan is a search.
void CutPanel::refresh() {
    if (!isVisible())
        return;
    const CuttingPlan& cutting = day_.cutting(scope());
    const Voice voice = bench_.voice();
    const int row = std::max(0, stuffs_->currentRow());
    {
        const QSignalBlocker quiet{stuffs_};
        stuffs_->setRowCount(0);
        for (const StuffPlan& stuff : cutting.stuffs) {
            add_row(stuffs_, {stuff_name(stuff, voice), QString::number(stuff.pieces.size()),
                              stuff.checks.empty() ? QString::number(stuff.bought()) : tr("too long")});
        }
        if (stuffs_->rowCount() > 0)
            stuffs_->setCurrentCell(std::min(row, stuffs_->rowCount() - 1), 0);
    }
    at_bench_->show_parts(worked_parts(bench_.job(), bench_.plan(), scope()));
    refresh_parts();
    stock_->refresh();
    kit_->show_kit(day_.kit(scope()), cutting);
    delivery_->refresh();
}

const StuffPlan* CutPanel::chosen() {
    if (!isVisible())
        return nullptr;
    const CuttingPlan& cutting = day_.cutting(scope());
    const auto row = static_cast<std::size_t>(std::max(0, stuffs_->currentRow()));
    return row < cutting.stuffs.size() ? &cutting.stuffs[row] : nullptr;
}

void CutPanel::refresh_parts() {
    parts_->setRowCount(0);
    const StuffPlan* stuff = chosen();
    if (!stuff) {
        summary_->setText(tr("Nothing is to be cut here."));
        drawing_->redraw();
        return;
    }
    const Voice voice = bench_.voice();
    for (const CutPiece& piece : stuff->pieces) {
        add_row(parts_,
                {text(piece.label), text(say(piece.name, voice)), text(format_bare(piece.length, voice)),
                 piece.breadth > Length{} ? text(format_bare(piece.breadth, voice)) : QString{}},
                text(piece.label));
        for (int column = 0; column < parts_->columnCount() && !piece.mind.empty(); ++column)
            parts_->item(parts_->rowCount() - 1, column)->setToolTip(text(say(piece.mind, voice)));
    }
    QString words = verdict(*stuff);
    if (!stuff->sheets && stuff->bars.longest_offcut > Length{})
        words += tr(" Longest offcut %1%2.")
                     .arg(text(say(quantity(stuff->bars.longest_offcut), voice)),
                          stuff->bars.offcut_proved ? tr(", and none is longer") : QString{});
    if (!stuff->sheets && stuff->bars.longest_offcut > Length{} &&
        stuff->bars.longest_offcut < bench_.job().rules.cutting.offcut_kept)
        words += tr(" Too short to keep.");
    if (stuff->sheets)
        words += tr(" %1 % of them is parts.").arg(100 * stuff->sheet_plan.used_share, 0, 'f', 0);
    if (stuff->price && *stuff->price > 0)
        words += tr(" %1 %2.").arg(spoken_locale().toString(*stuff->price, 'f', 2)).arg(text(bench_.job().currency));
    for (const Check& check : stuff->checks)
        words += QStringLiteral("\n") + text(say(check.message, voice));
    summary_->setText(words);
    drawing_->redraw();
}

void CutPanel::pick(const std::string& label) {
    picked_ = label;
    const StuffPlan* stuff = chosen();
    if (!stuff)
        return;
    const auto piece = std::ranges::find(stuff->pieces, label, &CutPiece::label);
    if (piece != stuff->pieces.end()) {
        const CutPiece found = *piece; // kept: what is selected next makes the plan anew
        bench_.point_out(found.item);
        if (found.working)
            bench_.show_working(*found.working);
    }
    drawing_->redraw();
}

/// Every stuff under its heading, so that the saw's whole work is in view; the chosen one is scrolled to.
Drawing CutPanel::draw(double width, double, double size) {
    if (!isVisible())
        return {};
    if (at_bench()) {
        std::vector<double> tops;
        Drawing parts = at_bench_->draw(width, size, tops);
        tops_.clear();
        for (const double top : tops)
            tops_.push_back(static_cast<int>(top * pixels_per_mm));
        drawing_->setMinimumHeight(static_cast<int>(parts.height * pixels_per_mm));
        return parts;
    }
    const CuttingPlan& cutting = day_.cutting(scope());
    const double margin = 4;
    const Voice voice = bench_.voice();
    Drawing drawing{width, margin, {}};
    tops_.clear();
    for (const StuffPlan& stuff : cutting.stuffs) {
        tops_.push_back(static_cast<int>(drawing.height * pixels_per_mm));
        const bool here = &stuff == chosen();
        drawing.shapes.push_back({Text{{margin, drawing.height + size},
                                       stuff_name(stuff, voice).toStdString(),
                                       size,
                                       Align::left,
                                       here ? Ink::level : Ink::figure,
                                       true},
                                  {}});
        Drawing inside = draw_cutting(stuff, bench_.job().rules.cutting.kerf, width - 2 * margin, size, voice, picked_);
        const double high = inside.height;
        append(drawing, std::move(inside), margin, drawing.height + 1.7 * size);
        drawing.height += high + 2.6 * size;
    }
    drawing_->setMinimumHeight(static_cast<int>(drawing.height * pixels_per_mm));
    return drawing;
}

} // namespace yes_square::app
