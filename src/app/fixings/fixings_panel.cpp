#include "app/fixings/fixings_panel.hpp"

#include "core/sheets/summary.hpp"

#include <QHeaderView>
#include <QLabel>
#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr int subject_role = Qt::UserRole;

QTableWidget* make_table(const QStringList& headings, const char* name, QWidget* parent) {
    auto* table = new QTableWidget{0, static_cast<int>(headings.size()), parent};
    table->setHorizontalHeaderLabels(headings);
    table->setObjectName(QString::fromLatin1(name));
    table->verticalHeader()->hide();
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    table->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table->horizontalHeader()->setStretchLastSection(true);
    table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table->setWordWrap(true);
    return table;
}

void add_row(QTableWidget* table, const QStringList& cells, const std::string& subject) {
    const int row = table->rowCount();
    table->insertRow(row);
    for (int column = 0; column < cells.size(); ++column) {
        auto* item = new QTableWidgetItem{cells[column]};
        item->setData(subject_role, QString::fromStdString(subject));
        table->setItem(row, column, item);
    }
}

QLabel* heading(const QString& words, QWidget* parent) {
    auto* label = new QLabel{words, parent};
    label->setProperty("role", "heading");
    return label;
}

} // namespace

FixingsPanel::FixingsPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , marks_{make_table({tr("Bracket"), tr("From ref. end"), tr("Holds in"), tr("Carries"), tr("Used")}, "marks-table",
                        this)}
    , drilling_{make_table({tr("Hole"), tr("Up"), tr("Drill"), tr("Tape at"), tr("Fixing")}, "drilling-table", this)} {
    auto* column = new QVBoxLayout{this};
    column->addWidget(heading(tr("Marks on the level line"), this));
    column->addWidget(marks_, 3);
    column->addWidget(heading(tr("Drilling, every bracket"), this));
    column->addWidget(drilling_, 3);
    for (QTableWidget* table : {marks_, drilling_})
        connect(table, &QTableWidget::itemSelectionChanged, this, [this, table] {
            if (const QTableWidgetItem* item = table->item(table->currentRow(), 0); item && table->hasFocus())
                bench_.ask(item->data(subject_role).toString().toStdString());
        });
    connect(&bench_, &Workbench::changed, this, &FixingsPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &FixingsPanel::refresh);
    refresh();
}

void FixingsPanel::refresh() {
    marks_->setRowCount(0);
    drilling_->setRowCount(0);
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan || !plan->bracket)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    for (std::size_t i = 0; i < plan->brackets.size(); ++i) {
        const BracketPlan& place = plan->brackets[i];
        const QString used = !place.fixing_utilisation ? tr("not known") : shown(ratio(*place.fixing_utilisation));
        add_row(marks_,
                {QString::number(i + 1), shown(quantity(place.x)), text(say(words(place.hold), voice)),
                 shown(force(place.reaction.greatest)), used},
                "fixing/" + std::to_string(i + 1));
        // One row for each hole where the fixing is the same in every bracket; the odd ones are named.
        const bool first = i == 0 || !(plan->brackets[i - 1].fixing && place.fixing &&
                                       plan->brackets[i - 1].fixing->screw_length == place.fixing->screw_length);
        if (!first)
            continue;
        for (const Hole& hole : plan->holes) {
            if (hole.bracket != i)
                continue;
            const QString label =
                i == 0 ? QString::number(hole.row + 1) : tr("%1 of bracket %2").arg(hole.row + 1).arg(i + 1);
            if (place.fixing)
                add_row(
                    drilling_,
                    {label, shown(quantity(hole.z)), shown(stock(place.fixing->hole_diameter)),
                     shown(stock(place.fixing->drill_depth)),
                     QStringLiteral("%1, %2").arg(text(place.fixing->name), shown(stock(place.fixing->screw_length)))},
                    "hole/" + std::to_string(hole.row + 1));
            else
                add_row(drilling_,
                        {label, shown(quantity(hole.z)), tr("as packet"), tr("as packet"),
                         tr("lining anchor: steadies only")},
                        "hole/" + std::to_string(hole.row + 1));
        }
    }
}

} // namespace yes_square::app
