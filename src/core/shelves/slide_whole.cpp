#include "core/shelves/slide_whole.hpp"

#include "core/fixings/stud_edge.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Those of one hole, none meeting another: side by side studs are one piece of wood.
std::vector<WoodStretch> slides_of(Length hole, const std::vector<WoodStretch>& wood, Length least, Length most) {
    std::vector<WoodStretch> slides;
    for (const WoodStretch& stretch : wood) {
        const Length from = std::max(stretch.from - hole, least);
        const Length to = std::min(stretch.to - hole, most);
        if (from > to)
            continue;
        if (!slides.empty() && from <= slides.back().to)
            slides.back().to = std::max(slides.back().to, to);
        else
            slides.push_back({from, to});
    }
    return slides;
}

} // namespace

WholeSlide slide_whole(const std::vector<Length>& holes, const std::vector<WoodStretch>& wood, Length least,
                       Length most) {
    std::vector<WoodStretch> sorted = wood;
    std::ranges::sort(sorted, {}, &WoodStretch::from);
    std::vector<WoodStretch> slides;
    for (const Length hole : holes)
        std::ranges::move(slides_of(hole, sorted, least, most), std::back_inserter(slides));
    std::vector<Length> tried{Length{}};
    for (const WoodStretch& slide : slides)
        tried.insert(tried.end(), {slide.from, slide.to});
    // Holes met by a slide are those that have begun less those that have ended.
    std::vector<Length> begins;
    std::vector<Length> ends;
    for (const WoodStretch& slide : slides) {
        begins.push_back(slide.from);
        ends.push_back(slide.to);
    }
    std::ranges::sort(begins);
    std::ranges::sort(ends);
    const auto met = [&](Length by) {
        return static_cast<std::size_t>((std::ranges::upper_bound(begins, by) - begins.begin()) -
                                        (std::ranges::lower_bound(ends, by) - ends.begin()));
    };
    WholeSlide best{Length{}, met(Length{}), met(Length{})};
    for (const Length by : tried) {
        const std::size_t meet = met(by);
        const bool nearer = absolute(by) < absolute(best.by) || (absolute(by) == absolute(best.by) && by > best.by);
        if (meet > best.meet || (meet == best.meet && nearer)) {
            best.by = by;
            best.meet = meet;
        }
    }
    return best;
}

std::vector<WoodStretch> wood_found(const WallSite& site) {
    std::vector<WoodStretch> wood;
    const Framing* framing = site.timber();
    for (const Stud& stud : site.survey.studs) {
        if (!framing || stud.state == StudState::assumed)
            continue;
        const Length half =
            usable_half_width(*framing, stud.uncertainty, usual_screw(site.rules.timber).diameter_in, site.rules);
        if (half >= Length{})
            wood.push_back({stud.centre - half, stud.centre + half});
    }
    return wood;
}

} // namespace yes_square
