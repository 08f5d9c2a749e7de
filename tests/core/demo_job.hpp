#pragma once

#include "core/job/file.hpp"

#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>

namespace yes_square {

/// The demo job, from the repository.
inline Job demo_job() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    const auto loaded = read_job(text.str());
    REQUIRE(loaded);
    return loaded->job;
}

} // namespace yes_square
