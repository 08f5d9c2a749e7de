#pragma once

#include "core/job/job.hpp"

#include <initializer_list>

/// How far a reading may be from the truth, and when two readings really differ.
namespace yes_square {

/// What readings are taken with, and a laser's limit where its sheet states another.
struct Reader {
    Instrument instrument = Instrument::tape_class_2;
    Length laser_limit = 2_mm;

    static Reader of(const Job& job) { return {job.instrument, job.rules.laser_limit}; }
    bool operator==(const Reader&) const = default;
};

/// Limit of error of a reading, plus or minus. A tape's grows with its length L in metres, rounded up to the next whole
/// metre: class I 0.1 + 0.1 L mm, class II 0.3 + 0.2 L mm (EC; OIML R 35-1, from memory). A laser's is what its sheet
/// says. A negative reading counts by its size.
Length limit_of_error(Length reading, const Reader& reader);

/// Root of the sum of squares of limits: of a sum or difference of readings.
Length combined_limit(std::initializer_list<Length> limits);

/// Two readings differ really only by more than the root sum of squares of their limits; a smaller difference is none.
bool differ(Length a, Length b, const Reader& reader);

} // namespace yes_square
