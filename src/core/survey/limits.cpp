#include "core/survey/limits.hpp"

#include <cmath>

namespace yes_square {

Length limit_of_error(Length reading, const Reader& reader) {
    const Length metre = 1000_mm;
    const Length size = absolute(reading);
    const std::int64_t floored = size.in_nanometres() / metre.in_nanometres();
    const std::int64_t metres = floored + (metre * floored < size ? 1 : 0);
    switch (reader.instrument) {
    case Instrument::tape_class_1:
        return Length::micrometres(100) + Length::micrometres(100) * metres;
    case Instrument::tape_class_2:
        return Length::micrometres(300) + Length::micrometres(200) * metres;
    case Instrument::laser:
        return reader.laser_limit;
    }
    return {};
}

Length combined_limit(std::initializer_list<Length> limits) {
    double squares = 0;
    for (const Length limit : limits)
        squares += limit.in_metres() * limit.in_metres();
    return Length::nearest_to_metres(std::sqrt(squares));
}

bool differ(Length a, Length b, const Reader& reader) {
    return absolute(a - b) > combined_limit({limit_of_error(a, reader), limit_of_error(b, reader)});
}

} // namespace yes_square
