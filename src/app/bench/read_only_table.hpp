#pragma once

#include <QStringList>
#include <QTableWidget>
#include <QVariant>

namespace yes_square::app {

/// A table that is looked at and picked from by rows.
QTableWidget* read_only_table(const QStringList& headings, const char* name, QWidget* parent);

/// Its headings and rows with tabs between, as a spreadsheet takes them; no cell of it runs as a formula.
QString table_text(const QTableWidget& table);

/// A row at its end; every cell carries the data (Qt::UserRole).
void add_row(QTableWidget* table, const QStringList& cells, const QVariant& data = {});

} // namespace yes_square::app
