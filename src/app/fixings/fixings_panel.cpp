#include "app/fixings/fixings_panel.hpp"
#include "core/fixings/drilling.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/fixings/fix_with.hpp"
#include "core/sheets/summary.hpp"

#include <QHeaderView>
#include <QVBoxLayout>
#include <array>
#include <map>

namespace yes_square::app {
namespace {

constexpr int floor_now_column = 3;
constexpr std::array page_names{"marks", "drilling", "holds", "fix-with", "noggings"};

} // namespace

FixingsPanel::FixingsPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , tabs_{new Pages}
    , unit_{new UnitFixings{bench}}
    , holds_{new StudyPanel{bench}}
    , through_{new HoleView{bench}}
    , marks_{read_only_table({tr("No."), tr("At"), tr("Holds in"), tr("Carries"), tr("Used")}, "marks-table", this)}
    , drilling_{read_only_table({tr("No."), tr("Hole"), tr("Up"), tr("Floor now"), tr("Drill"), tr("Tape at")},
                                "drilling-table", this)}
    , bits_{read_only_table({tr("Bit"), tr("Wide"), tr("Tape at"), tr("Hammer")}, "bits-table", this)}
    , noggings_{read_only_table({tr("From"), tr("To"), tr("Cut"), tr("Up"), tr("Screws"), tr("For")}, "noggings-table",
                                this)}
    , fixing_words_{new QLabel{this}}
    , bit_words_{new QLabel{this}} {
    tabs_->setObjectName(QStringLiteral("fixings-pages"));
    auto* shelf = new QWidget;
    auto* drill = new QWidget;
    const auto page = [this](QWidget* of, const QString& words, std::size_t name) {
        tabs_->add(of, words, QStringLiteral("fixings-page-") + QLatin1String(page_names[name]));
    };
    page(shelf, tr("Marks"), 0);
    page(drill, tr("Drilling"), 1);
    page(holds_, tr("Holds"), 2);
    page(new FixWith{bench}, tr("Fix with"), 3);
    page(noggings_, tr("Noggings"), 4);
    for (QTableWidget* table : {marks_, drilling_, bits_, noggings_})
        grow_to_rows(*table);
    kinds_ = {tabs_, unit_, new ThingFixings{bench}};
    auto* whole = new QVBoxLayout{this};
    whole->setContentsMargins(0, 0, 0, 0);
    for (QWidget* kind : kinds_)
        whole->addWidget(kind);
    whole->addWidget(through_);
    whole->addStretch(1);
    auto* column = new QVBoxLayout{shelf};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading_label(tr("Marks on the level line"), this));
    fixing_words_->setWordWrap(true);
    column->addWidget(fixing_words_);
    column->addWidget(marks_);
    column->addStretch(1);
    auto* drill_column = new QVBoxLayout{drill};
    drill_column->setContentsMargins(0, 0, 0, 0);
    drill_column->addWidget(services_caution(drill));
    drill_column->addWidget(heading_label(tr("Bits, in the order of use"), this));
    drill_column->addWidget(bits_);
    bit_words_->setWordWrap(true);
    drill_column->addWidget(bit_words_);
    drill_column->addWidget(heading_label(tr("Holes"), this));
    drill_column->addWidget(drilling_);
    drill_column->addStretch(1);
    for (QTableWidget* table : {marks_, drilling_})
        connect(table, &QTableWidget::itemSelectionChanged, this, [this, table] {
            if (const QTableWidgetItem* item = table->item(table->currentRow(), 0); item && table->hasFocus())
                bench_.ask(item->data(Qt::UserRole).toString().toStdString());
        });
    connect(&bench_, &Workbench::changed, this, &FixingsPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &FixingsPanel::refresh);
    refresh();
}

std::optional<FixingsPage> fixings_page_from_name(const QString& name) {
    const auto found = std::ranges::find(page_names, name);
    return found == page_names.end() ? std::nullopt
                                     : std::optional{static_cast<FixingsPage>(found - page_names.begin())};
}

void FixingsPanel::refresh_noggings() {
    noggings_->setRowCount(0);
    const WallPlan* wall = bench_.wall_plan();
    tabs_->set_offered(static_cast<int>(FixingsPage::noggings), wall && !wall->noggings.empty());
    if (!wall)
        return;
    const auto shown = [&](Length length) { return text(format_bare(length, bench_.voice())); };
    for (const Nogging& nogging : wall->noggings) {
        QStringList owners;
        for (const Nogging::For& hold : nogging.holds)
            if (!owners.contains(text(hold.shelf)))
                owners << text(hold.shelf);
        add_row(noggings_,
                {shown(wall->tape.reads(wall->tape.near(nogging.left, nogging.right))),
                 shown(wall->tape.reads(wall->tape.far(nogging.left, nogging.right))), shown(nogging.length()),
                 shown(nogging.z), QStringLiteral("2 x %1").arg(nogging.screws), owners.join(QStringLiteral(", "))});
    }
}

void FixingsPanel::refresh() {
    refresh_noggings();
    const std::size_t now = bench_.unit() ? 1 : bench_.thing().empty() ? 0 : 2;
    for (std::size_t i = 0; i < kinds_.size(); ++i) // what goes is hidden before what comes is shown
        if (i != now)
            kinds_[i]->hide();
    kinds_[now]->show();
    marks_->setRowCount(0);
    drilling_->setRowCount(0);
    bits_->setRowCount(0);
    // Heights over the floor as it is now, where that is another than the finished floor.
    const WallPlan* wall = bench_.wall_plan();
    drilling_->setColumnHidden(floor_now_column,
                               !wall || (!wall->survey.floor.measured() && wall->survey.floor.build_up == Length{}));
    fixing_words_->clear();
    bit_words_->clear();
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan || (plan->brackets.empty() && plan->cleats.empty()))
        return;
    refresh_places(*plan);
    const Voice voice = bench_.voice();
    QStringList minds;
    for (const DrillRow& row : drilling_of(plan->holes)) {
        add_row(bits_, {text(say(row.pass.bit, voice)), text(say(stock(row.pass.diameter), voice)),
                        text(say(stock(row.pass.depth), voice)), row.pass.hammer ? tr("on") : tr("off")});
        minds << tr("%1: %2").arg(text(say(row.pass.bit, voice)), text(say(row.pass.how, voice)));
    }
    bit_words_->setText(minds.join(QStringLiteral("\n")));
    fixing_words_->setText(fixing_lines(*plan).join(QStringLiteral("\n")));
}

/// Every place with what it is used to, and every hole.
void FixingsPanel::refresh_places(const ShelfPlan& plan) {
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        const QString used =
            !place.fixing_utilisation.known() ? tr("not known") : shown(ratio(place.fixing_utilisation));
        add_row(marks_,
                {QString::number(i + 1), bench_.along(plan.tape, place.x), text(say(words(place.substrate), voice)),
                 shown(quantity(place.carries)), used},
                QStringLiteral("fixing/%1").arg(i + 1));
        for (const PlannedHole& hole : plan.holes) {
            if (hole.place != i)
                continue;
            add_row(drilling_,
                    {QString::number(i + 1), QString::number(hole.row + 1),
                     hole.through_it ? tr("through it") : shown(quantity(hole.z)), shown(quantity(hole.above_now)),
                     hole.fixing ? shown(stock(hole.fixing->hole_diameter)) : tr("packet"),
                     hole.fixing ? shown(stock(hole.fixing->drill_depth)) : tr("packet")},
                    QStringLiteral("hole/%1").arg(hole.row + 1));
        }
    }
}

/// What is screwed with what.
QStringList FixingsPanel::fixing_lines(const ShelfPlan& plan) const {
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    std::map<QString, QStringList> fixings; // which brackets take which
    const auto name_of = [&](const std::optional<Fixing>& fixing) {
        return fixing ? QStringLiteral("%1, %2").arg(text(fixing->name), shown(stock(fixing->screw_length)))
                      : tr("lining anchor: steadies only");
    };
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        if (place.row_fixings.empty())
            fixings[name_of(place.fixing)] << QString::number(i + 1);
        for (std::size_t row = 0; row < place.row_fixings.size(); ++row)
            fixings[name_of(place.row_fixings[row])] << tr("%1 hole %2").arg(i + 1).arg(row + 1);
    }
    QStringList lines;
    for (const CleatPlan& cleat : plan.cleats)
        lines << tr("Strip, %1: %2 long, %3 screws%4")
                     .arg(text(say(cleat.wall, voice)), shown(quantity(cleat.length)))
                     .arg(cleat.screws)
                     .arg(cleat.fixing ? tr(", %1, %2, used %3")
                                             .arg(text(cleat.fixing->name), shown(stock(cleat.fixing->screw_length)),
                                                  shown(ratio(cleat.utilisation)))
                                       : tr(": nothing at hand holds it"));
    for (const auto& [fixing, brackets] : fixings)
        lines << (fixings.size() == 1 ? tr("Everywhere: %1").arg(fixing)
                                      : tr("No. %1: %2").arg(brackets.join(QStringLiteral(", ")), fixing));
    if (plan.shelf_screw)
        lines << tr("Up into the board: %1").arg(shown(stock(*plan.shelf_screw)));
    return lines;
}

} // namespace yes_square::app
