#pragma once

#include "core/plan/plan.hpp"

#include <QPagedPaintDevice>
#include <QPainter>
#include <QString>

namespace yes_square::app {

/// Which sheets: those of every thing, or one kind alone.
enum class SheetSet { all, part_labels, inventory, cut_and_kit, steps, hand_over, templates };

/// "sheets", "cut-and-kit": as its file is called.
QString file_name(SheetSet set);

/// The sheets of a job: for each shelf a page with the wall's elevation and both rods, mark table, drilling table,
/// checks that stand, cautions and steps. A4 or Letter, usable by someone who never saw the program.
///
/// @return error text, or empty
QString write_sheets_pdf(const QString& path, const Job& job, const Plan& plan, SheetSet set = SheetSet::all);

/// The same on a printer that is set up.
/// @param first, last  pages to print, counted from 1; 0: all
void paint_sheets(QPainter& painter, QPagedPaintDevice& device, const Job& job, const Plan& plan,
                  SheetSet set = SheetSet::all, int first = 0, int last = 0);

} // namespace yes_square::app
