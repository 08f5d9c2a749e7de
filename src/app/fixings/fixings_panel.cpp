#include "app/fixings/fixings_panel.hpp"

#include "core/sheets/summary.hpp"

#include <QHeaderView>
#include <QVBoxLayout>
#include <map>

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
    table->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return table;
}

constexpr int floor_now_column = 3;

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
    , pages_{new QStackedWidget{this}}
    , unit_{new UnitFixings{bench}}
    , marks_{make_table({tr("No."), tr("At"), tr("Holds in"), tr("Carries"), tr("Used")}, "marks-table", this)}
    , drilling_{make_table({tr("Bracket"), tr("Hole"), tr("Up"), tr("Floor now"), tr("Drill"), tr("Tape at")},
                           "drilling-table", this)}
    , fixing_words_{new QLabel{this}} {
    auto* shelf = new QWidget;
    pages_->addWidget(shelf);
    pages_->addWidget(unit_);
    auto* whole = new QVBoxLayout{this};
    whole->setContentsMargins(0, 0, 0, 0);
    whole->addWidget(pages_);
    auto* column = new QVBoxLayout{shelf};
    column->addWidget(heading(tr("Marks on the level line"), this));
    column->addWidget(marks_, 3);
    column->addWidget(heading(tr("Drilling"), this));
    fixing_words_->setWordWrap(true);
    column->addWidget(fixing_words_);
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
    pages_->setCurrentIndex(bench_.unit() ? 1 : 0);
    marks_->setRowCount(0);
    drilling_->setRowCount(0);
    // Heights over the floor as it is now, where that is another than the finished floor.
    const WallPlan* wall = bench_.wall_plan();
    drilling_->setColumnHidden(floor_now_column,
                               !wall || (!wall->survey.floor.measured() && wall->survey.floor.build_up == Length{}));
    fixing_words_->clear();
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan || !plan->bracket)
        return;
    std::map<QString, QStringList> fixings; // which brackets take which
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    for (std::size_t i = 0; i < plan->brackets.size(); ++i) {
        const BracketPlan& place = plan->brackets[i];
        const QString used = !place.fixing_utilisation ? tr("not known") : shown(ratio(*place.fixing_utilisation));
        add_row(marks_,
                {QString::number(i + 1), shown(quantity(place.x)), text(say(words(place.hold), voice)),
                 shown(force(place.reaction.greatest)), used},
                "fixing/" + std::to_string(i + 1));
        for (const Hole& hole : plan->holes) {
            if (hole.bracket != i)
                continue;
            add_row(drilling_,
                    {QString::number(i + 1), QString::number(hole.row + 1), shown(quantity(hole.z)),
                     shown(quantity(hole.above_now)),
                     place.fixing ? shown(stock(place.fixing->hole_diameter)) : tr("packet"),
                     place.fixing ? shown(stock(place.fixing->drill_depth)) : tr("packet")},
                    "hole/" + std::to_string(hole.row + 1));
        }
        const QString fixing = place.fixing ? QStringLiteral("%1, %2").arg(text(place.fixing->name),
                                                                           shown(stock(place.fixing->screw_length)))
                                            : tr("lining anchor: steadies only");
        fixings[fixing] << QString::number(i + 1);
    }
    QStringList lines;
    for (const auto& [fixing, brackets] : fixings)
        lines << (fixings.size() == 1 ? tr("Every bracket: %1").arg(fixing)
                                      : tr("Bracket %1: %2").arg(brackets.join(QStringLiteral(", ")), fixing));
    if (plan->shelf_screw)
        lines << tr("Up into the board: %1").arg(shown(stock(*plan->shelf_screw)));
    fixing_words_->setText(lines.join(QStringLiteral("\n")));
}

} // namespace yes_square::app
