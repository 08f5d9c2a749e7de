#pragma once

#include "core/job/job.hpp"

#include <QString>

/// The fitter's own fixings, kept between jobs in a file of their own.
namespace yes_square::app {

QString own_catalogue_path();
/// Nothing where there are none, or where the file cannot be read: that is told in `problem`.
Catalogue read_own_catalogue(QString& problem);
/// Writes the own entries of a catalogue. Empty: written; else what went wrong.
QString write_own_catalogue(const Catalogue& catalogue);

} // namespace yes_square::app
