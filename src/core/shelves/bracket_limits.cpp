#include "core/shelves/bracket_limits.hpp"

#include <algorithm>

namespace yes_square {

const StudUnder* hanger_at(const BracketQuestion& question, Length place) {
    const auto found = std::ranges::find(question.hangers, place, &StudUnder::place);
    return found == question.hangers.end() ? nullptr : &*found;
}

bool kept_out(const BracketQuestion& question, Length place) {
    return !hanger_at(question, place) && std::ranges::find(question.made, place) == question.made.end() &&
           std::ranges::any_of(question.keep_outs,
                               [&](const Interval& strip) { return place > strip.from && place < strip.to; });
}

bool keeps_limits(const BracketQuestion& question, const std::vector<Length>& places) {
    if (places.size() < 2 || places.front() < question.inset_least ||
        places.back() > question.length - question.inset_least || places.front() > question.overhang_most ||
        question.length - places.back() > question.overhang_most)
        return false;
    for (const Length must : question.musts)
        if (must <= places.front() || must >= places.back() ||
            std::ranges::none_of(places, [&](Length place) { return absolute(place - must) < 1_mm / 2; }))
            return false;
    for (const Length made : question.made)
        if (std::ranges::find(places, made) == places.end())
            return false;
    const Length most = places.size() == 2 ? question.spacing_two : question.spacing_more;
    for (std::size_t i = 0; i < places.size(); ++i) {
        if (kept_out(question, places[i]))
            return false;
        // A nanometre of rounding from the even division is no breach.
        if (i > 0 && (places[i] - places[i - 1] > most + Length::nanometres(1) ||
                      places[i] - places[i - 1] < question.spacing_least - Length::nanometres(1)))
            return false;
    }
    return true;
}

} // namespace yes_square
