#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

#include <QPageSize>
#include <QString>
#include <vector>

/// What is printed together. Menus, the command line and file names ask the list.
namespace yes_square::app {

struct SheetSet {
    QString file_name;                                           ///< "cut-and-kit"
    const char* in_english;                                      ///< "Cut and kit": in a menu
    const char* none_in_english;                                 ///< said where there is nothing to print
    bool (*write)(Page& page, const Job& job, const Plan& plan); ///< whether there was anything
    bool of_the_day = false;                                     ///< handed out besides the sheets of the things
    QPageSize (*paper)(const Job& job) = nullptr;                ///< that it wants; none: as the job's other sheets

    QString words() const;
    QString when_none() const;

    /// What it is printed on: A4 in a metric job, Letter in an inch one, where it does not say otherwise.
    QPageSize paper_of(const Job& job) const;

    bool operator==(const SheetSet& other) const { return file_name == other.file_name; }
};

/// The sheets of the things first.
const std::vector<SheetSet>& sheet_sets();
/// By its file's name. Throws std::out_of_range for one that is not there.
const SheetSet& sheet_set(QStringView file_name);

} // namespace yes_square::app
