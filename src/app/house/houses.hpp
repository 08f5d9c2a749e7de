#pragma once

#include "core/job/job.hpp"

#include <QString>
#include <QStringList>
#include <optional>

/// Houses: rules, unit, hours and hands that jobs begin with. Each is a job file without walls, so that it opens like
/// any other and is shared as one.
namespace yes_square::app {

/// What of a job is the house's, and not this client's.
Job house_of(const Job& job);
/// Gives a job a house's ways; what is measured and laid out stays.
void take_house(Job& job, const Job& house);

struct House {
    QString name;
    QString path; ///< empty: it ships
};

/// Those that ship, metric and inch, then the fitter's own by name.
std::vector<House> houses();
/// @param problem  why it cannot be read
std::optional<Job> read_house(const House& house, QString& problem);
/// Keeps a job's ways under a name; one of that name goes. Empty: kept; else why not.
QString keep_house(const QString& name, const Job& job);

/// The one that new jobs begin with; empty: by the desktop's region.
QString house_for_new_jobs();
void set_house_for_new_jobs(const QString& name);

} // namespace yes_square::app
