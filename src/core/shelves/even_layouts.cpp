#include "core/shelves/even_layouts.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace yes_square {

void even_layouts(const BracketQuestion& question, const BracketQuestion& good, int count,
                  std::vector<std::vector<Length>>& found) {
    const double length = question.length.in_mm();
    const double least = question.inset_least.in_mm();
    const double usual = std::min(question.inset_usual.in_mm(), question.overhang_most.in_mm());
    std::vector<double> insets{usual, least};
    const int spaces = count - 1;
    const auto add_where_place_is = [&](int i, double x) {
        // x = c + i (L - 2c)/n  =>  c = (x - i L/n) / (1 - 2i/n)
        const double factor = 1 - 2.0 * i / spaces;
        if (std::abs(factor) < 1e-9)
            return;
        const double inset = (x - i * length / spaces) / factor;
        if (inset >= least && inset <= usual)
            insets.push_back(inset);
    };
    for (int i = 0; i <= spaces; ++i) {
        for (const StudUnder& stud : question.studs) {
            add_where_place_is(i, stud.place.in_mm());
            // Just inside the edge, so that rounding leaves it in.
            add_where_place_is(i, (stud.place - stud.usable_half_width).in_mm() + 1e-5);
            add_where_place_is(i, (stud.place + stud.usable_half_width).in_mm() - 1e-5);
        }
        for (const Interval& strip : question.keep_outs) {
            add_where_place_is(i, strip.from.in_mm());
            add_where_place_is(i, strip.to.in_mm());
        }
    }
    const Length spacing_most = count == 2 ? good.spacing_two : good.spacing_more;
    std::set<Length> tried;
    for (const double inset : insets) { // the usual one first: it stays where none is better
        const Length c = Length::nearest_to_metres(inset / 1000);
        if (!tried.insert(c).second)
            continue;
        const Length span = question.length - 2 * c;
        if (span > spaces * (spacing_most + 1_mm) || span < spaces * (good.spacing_least - 1_mm))
            continue;
        std::vector<Length> places;
        for (int i = 0; i <= spaces && (i == 0 || !kept_out(good, places.back())); ++i)
            places.push_back(c + span * i / spaces);
        if (std::ssize(places) == count && keeps_limits(good, places))
            found.push_back(std::move(places));
    }
}

} // namespace yes_square
