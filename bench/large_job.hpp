#pragma once

#include "core/job/file.hpp"

#include <fstream>
#include <sstream>

/// The demo, and the large job that the benches reckon and show.
namespace yes_square {

inline const std::string& demo_text() {
    static const std::string text = [] {
        std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
        std::ostringstream all;
        all << file.rdbuf();
        return all.str();
    }();
    return text;
}

inline const Job& demo() {
    static const Job job = read_job(demo_text()).value().job;
    return job;
}

enum class Mix { usual, mostly_wrong };

/// 60 walls of 12 m, framed and masonry in turn, with 25 shelves each: lengths, schools and loads in turn. In the usual
/// mix about one shelf in seven has an error; in the other most have one, and each error is tried for cures.
inline Job large_job(Mix mix) {
    Job made = demo();
    const Wall framed = made.walls[0];
    const Wall masonry = made.walls[1];
    made.walls.clear();
    for (int w = 0; w < 60; ++w) {
        const bool studs = w % 2 == 0;
        Wall wall = studs ? framed : masonry;
        wall.id = "wall-" + std::to_string(w);
        wall.length = 12'000_mm;
        wall.height = 3000_mm;
        wall.openings.clear();
        wall.shelves.clear();
        wall.studs.clear();
        for (int i = 1; i < 30 && studs; ++i)
            wall.studs.push_back({Length::mm(400 * i + (i * 7) % 11), StudState::proved, Length::micrometres(600), {}});
        for (int s = 0; s < 25; ++s) {
            Shelf shelf = framed.shelves[0];
            shelf.id = "shelf-" + std::to_string(w) + "-" + std::to_string(s);
            shelf.length = Length::mm(800 + 130 * (s % 9));
            shelf.left = Length::mm(200 + 2300 * (s % 5) + 13 * w);
            shelf.height = Length::mm((mix == Mix::usual ? 750 : 600) + 450 * (s / 5));
            if (mix == Mix::mostly_wrong)
                shelf.school = static_cast<School>(s % 3);
            else
                shelf.school = s % 4 == 0 ? School::mirrored : (studs ? School::studs_first : School::even);
            shelf.load.kind = static_cast<LoadKind>(s % 4);
            wall.shelves.push_back(std::move(shelf));
        }
        made.walls.push_back(std::move(wall));
    }
    return made;
}

inline const Job& large(Mix mix) {
    static const Job usual = large_job(Mix::usual);
    static const Job wrong = large_job(Mix::mostly_wrong);
    return mix == Mix::usual ? usual : wrong;
}

} // namespace yes_square
