#include "app/bench/read_only_table.hpp"

#include <QHeaderView>

namespace yes_square::app {

QTableWidget* read_only_table(const QStringList& headings, const char* name, QWidget* parent) {
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

void add_row(QTableWidget* table, const QStringList& cells, const QVariant& data) {
    const int row = table->rowCount();
    table->insertRow(row);
    for (int column = 0; column < cells.size(); ++column) {
        auto* item = new QTableWidgetItem{cells[column]};
        item->setData(Qt::UserRole, data);
        table->setItem(row, column, item);
    }
}

} // namespace yes_square::app
