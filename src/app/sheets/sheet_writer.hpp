#pragma once

#include "app/sheets/sheet_set.hpp"

#include <QPagedPaintDevice>
#include <QPainter>
#include <QString>

namespace yes_square::app {

/// The code of the language that a job's sheets are in.
QString language_of_sheets(const Job& job);

/// The sheets of a job, usable by someone who never saw the program. A4 or Letter.
///
/// @return error text, or empty
QString write_sheets_pdf(const QString& path, const Job& job, const Plan& plan,
                         const SheetSet& set = sheet_sets().front());

/// The same on a printer that is set up.
/// @param first, last  pages to print, counted from 1; 0: all
void paint_sheets(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan,
                  const SheetSet& set = sheet_sets().front(), int first = 0, int last = 0);

} // namespace yes_square::app
