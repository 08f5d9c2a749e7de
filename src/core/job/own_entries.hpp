#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// The fitter's own entries of a catalogue, apart from those that ship: they go from job to job.
Catalogue own_entries(const Catalogue& catalogue);

/// Adds entries that a catalogue does not have yet, by id.
void add_entries(Catalogue& catalogue, const Catalogue& more);

/// A copy of a masonry anchor as the fitter's own, to be changed to what a packet says; nullptr: no such id.
/// @return the copy, in the catalogue
MasonryAnchor* copy_as_own(Catalogue& catalogue, const std::string& id);

} // namespace yes_square
