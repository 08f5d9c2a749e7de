#pragma once

#include "core/job/own_entries.hpp"

#include <QString>

class QWidget;

/// Entries at hand in files: tables (.csv), and catalogue documents (.json).
namespace yes_square::app {

/// @param problem  what is wrong with the file; empty: nothing
template <class Entry>
std::vector<Entry> read_entries(const QString& path, QString& problem);
/// @return what went wrong; empty: it is written
template <class Entry>
QString write_entries(const QString& path, const std::vector<Entry>& entries);

/// Asks for a file. Empty: none was chosen.
QString ask_entries_to_read(QWidget* parent);
QString ask_entries_to_write(QWidget* parent);

} // namespace yes_square::app
