#pragma once

#include <QStringList>
#include <QTableWidget>
#include <QVariant>

namespace yes_square::app {

/// A table that is looked at and picked from by rows.
QTableWidget* read_only_table(const QStringList& headings, const char* name, QWidget* parent);

/// A row at its end; every cell carries the data (Qt::UserRole).
void add_row(QTableWidget* table, const QStringList& cells, const QVariant& data = {});

} // namespace yes_square::app
