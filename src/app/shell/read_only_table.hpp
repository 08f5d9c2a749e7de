#pragma once

#include <QStringList>
#include <QTableWidget>

namespace yes_square::app {

/// A table that is looked at and picked from by rows.
QTableWidget* read_only_table(const QStringList& headings, const char* name, QWidget* parent);

} // namespace yes_square::app
