#include "core/shelves/bracket_search.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <map>
#include <random>

using namespace yes_square;

namespace {

BracketQuestion question(Length length, std::vector<StudUnder> studs) {
    BracketQuestion q;
    q.length = length;
    q.studs = std::move(studs);
    q.spacing_least = 100_mm;
    q.spacing_good = 32_in;
    q.spacing_two = 36_in;
    q.spacing_more = 36_in;
    q.inset_usual = 2_in;
    q.inset_least = 1_in;
    q.overhang_most = 12_in;
    return q;
}

std::vector<StudUnder> studs_at(std::initializer_list<int> inches, Substrate substrate = Substrate::proved_stud) {
    std::vector<StudUnder> studs;
    for (const int at : inches)
        studs.push_back({Length::inches(at), {}, substrate});
    return studs;
}

bool same(double a, double b) {
    return std::abs(a - b) <= 1e-6 * std::max({1.0, a, b});
}

/// Neither is better but for rounding.
bool as_good(const Merits& a, const Merits& b) {
    return a.on_lining == b.on_lining && a.in_assumed == b.in_assumed && a.in_indicated == b.in_indicated &&
           a.count == b.count && absolute(a.extra_overhang - b.extra_overhang) <= Length::nanometres(10) &&
           same(a.unevenness_mm2, b.unevenness_mm2);
}

/// Every choice of places from a fine grid and the studs, that keeps the limits; the best of each count.
std::map<std::size_t, Merits> brute_force(const BracketQuestion& q, const std::vector<Length>& grid, School school,
                                          std::size_t most) {
    std::map<std::size_t, Merits> best;
    std::vector<Length> chosen;
    const auto spacing = [&](std::size_t count) { return count == 2 ? q.spacing_two : q.spacing_more; };
    const auto pinned = [&](Length x) { return std::ranges::find(q.made, x) != q.made.end(); };
    const auto kept_out = [&](Length x) {
        return !pinned(x) &&
               std::ranges::any_of(q.keep_outs, [&](const Interval& i) { return x > i.from && x < i.to; });
    };
    // An end bracket needs a reason: a stud, the usual inset, the edge of a keep-out.
    const auto may_end = [&](Length x) {
        return x == q.inset_usual || x == q.length - q.inset_usual || pinned(x) ||
               std::ranges::any_of(q.studs,
                                   [&](const StudUnder& stud) {
                                       return stud.place == x ||
                                              (school == School::mirrored && stud.place == q.length - x);
                                   }) ||
               std::ranges::any_of(q.keep_outs, [&](const Interval& i) {
                   return x == i.from || x == i.to ||
                          (school == School::mirrored && (q.length - x == i.from || q.length - x == i.to));
               });
    };
    const auto go = [&](auto&& self, std::size_t from) -> void {
        if (chosen.size() >= 2 && may_end(chosen.front()) && may_end(chosen.back()) &&
            q.length - chosen.back() <= q.overhang_most && q.length - chosen.back() >= q.inset_least) {
            bool fits =
                std::ranges::all_of(q.made, [&](Length pin) { return std::ranges::find(chosen, pin) != chosen.end(); });
            for (std::size_t i = 1; i < chosen.size(); ++i)
                fits &= chosen[i] - chosen[i - 1] <= spacing(chosen.size());
            if (school == School::mirrored)
                for (std::size_t i = 0; i < chosen.size(); ++i)
                    fits &= chosen[i] + chosen[chosen.size() - 1 - i] == q.length;
            if (fits) {
                const Merits merits = merits_of(q, chosen);
                const auto [slot, fresh] = best.try_emplace(chosen.size(), merits);
                if (!fresh && better(merits, slot->second, school))
                    slot->second = merits;
            }
        }
        if (chosen.size() == most)
            return;
        for (std::size_t i = from; i < grid.size(); ++i) {
            if (kept_out(grid[i]) || grid[i] < q.inset_least)
                continue;
            if (chosen.empty() ? grid[i] > q.overhang_most
                               : grid[i] - chosen.back() < q.spacing_least ||
                                     grid[i] - chosen.back() > std::max(q.spacing_two, q.spacing_more))
                continue;
            chosen.push_back(grid[i]);
            self(self, i + 1);
            chosen.pop_back();
        }
    };
    go(go, 0);
    return best;
}

} // namespace

TEST_CASE("a 120 in shelf with 2 in insets takes five brackets 29 in apart", "[shelves][common-practice]") {
    BracketQuestion q = question(120_in, {});
    q.solid_wall = true;
    const auto layouts = best_layouts(q, School::even);
    REQUIRE_FALSE(layouts.empty());
    CHECK(layouts.front().places == std::vector<Length>{2_in, 31_in, 60_in, 89_in, 118_in});
}

TEST_CASE("studs first takes every bracket to a stud, as few as the spacing allows", "[shelves]") {
    const auto layouts = best_layouts(question(72_in, studs_at({4, 20, 36, 52, 68})), School::studs_first);
    REQUIRE_FALSE(layouts.empty());
    const auto best = std::ranges::min_element(
        layouts, [](const auto& a, const auto& b) { return better(a.merits, b.merits, School::studs_first); });
    CHECK(best->places == std::vector<Length>{4_in, 36_in, 68_in});
    CHECK(best->merits.on_lining == 0);
}

TEST_CASE("a proved stud is taken before an assumed one", "[shelves]") {
    auto studs = studs_at({6, 38});
    studs.push_back({5_in, {}, Substrate::assumed_stud});
    studs.push_back({37_in, {}, Substrate::assumed_stud});
    const auto layouts = best_layouts(question(44_in, studs), School::studs_first);
    REQUIRE_FALSE(layouts.empty());
    CHECK(layouts.front().places == std::vector<Length>{6_in, 38_in});
}

TEST_CASE("mirrored: the stud found on one side sets the inset on both", "[shelves][common-practice]") {
    const auto layouts = best_layouts(question(40_in, studs_at({7, 23})), School::mirrored);
    REQUIRE_FALSE(layouts.empty());
    for (const BracketLayout& layout : layouts)
        for (std::size_t i = 0; i < layout.places.size(); ++i)
            CHECK(layout.places[i] + layout.places[layout.places.size() - 1 - i] == 40_in);
    CHECK(layouts.front().places == std::vector<Length>{7_in, 33_in});
}

TEST_CASE("even spacing shifts its inset to catch a stud", "[shelves]") {
    // Two brackets in from the ends by 1 1/2 in meet both studs; at the usual 2 in they would meet none.
    BracketQuestion q = question(35_in, {{Length::inches(1, {1, 2}), 2_mm, Substrate::proved_stud},
                                         {Length::inches(33, {1, 2}), 2_mm, Substrate::proved_stud}});
    const auto layouts = best_layouts(q, School::even);
    REQUIRE_FALSE(layouts.empty());
    CHECK(layouts.front().merits.on_lining == 0);
    CHECK(layouts.front().merits.unevenness_mm2 == 0);
}

TEST_CASE("no bracket stands in a keep-out", "[shelves]") {
    BracketQuestion q = question(60_in, studs_at({6, 22, 38, 54}));
    q.keep_outs = {{20_in, 24_in}, {52_in, 56_in}};
    for (const School school : {School::studs_first, School::even, School::mirrored})
        for (const BracketLayout& layout : best_layouts(q, school))
            for (const Length place : layout.places)
                for (const Interval& strip : q.keep_outs) {
                    const bool inside = place > strip.from && place < strip.to;
                    CHECK_FALSE(inside);
                }
}

TEST_CASE("the search finds what trying everything finds: brackets on studs and keep-out edges", "[shelves][exact]") {
    std::mt19937 random{42};
    for (int round = 0; round < 60; ++round) {
        std::uniform_int_distribution<int> length{500, 1500};
        BracketQuestion q = question(Length::mm(length(random)), {});
        // One space between stations, so that the grid of stations holds every candidate.
        q.spacing_least = 300_mm;
        q.spacing_two = 520_mm;
        q.spacing_more = 580_mm;
        std::uniform_int_distribution<int> at{30, static_cast<int>(q.length.in_mm()) - 30};
        const Substrate holds[]{Substrate::proved_stud, Substrate::indicated_stud, Substrate::assumed_stud};
        for (int i = 0; i < 5; ++i)
            q.studs.push_back({Length::mm(at(random)), {}, holds[random() % 3]});
        if (round % 2) {
            const Length from = Length::mm(at(random));
            q.keep_outs = {{from, from + 60_mm}};
        }
        // Pins: anywhere, a keep-out too.
        for (int pin = 0; pin < round % 3; ++pin)
            q.made.push_back(Length::mm(at(random)));
        std::ranges::sort(q.made);
        std::vector<Length> grid{q.inset_usual, q.length - q.inset_usual};
        grid.insert(grid.end(), q.made.begin(), q.made.end());
        for (const StudUnder& stud : q.studs)
            grid.push_back(stud.place);
        for (const Interval& strip : q.keep_outs) {
            grid.push_back(strip.from);
            grid.push_back(strip.to);
        }
        std::ranges::sort(grid);
        grid.erase(std::ranges::unique(grid).begin(), grid.end());
        const auto expected = brute_force(q, grid, School::studs_first, 5);
        const auto layouts = best_layouts(q, School::studs_first, 20);
        for (const auto& [count, merits] : expected) {
            const auto found = std::ranges::find_if(
                layouts, [&, n = count](const BracketLayout& layout) { return layout.places.size() == n; });
            REQUIRE(found != layouts.end());
            for (const Length pin : q.made)
                CHECK(std::ranges::find(found->places, pin) != found->places.end());
            // The search may also stand brackets between stations, so it may do better, never worse.
            CHECK_FALSE(better(merits, found->merits, School::studs_first));
        }
    }
}

TEST_CASE("the search is as good as every place on a 20 mm grid", "[shelves][exact]") {
    // Places between stations are free, so the search may beat the grid; the grid must never beat the search.
    std::mt19937 random{9};
    int compared = 0;
    for (int round = 0; round < 40; ++round) {
        std::uniform_int_distribution<int> twentieths{30, 48};
        BracketQuestion q = question(20_mm * twentieths(random), {});
        q.inset_usual = 60_mm;
        q.inset_least = 20_mm;
        q.overhang_most = 200_mm;
        q.spacing_least = 120_mm;
        q.spacing_two = 400_mm;
        q.spacing_more = 440_mm;
        q.solid_wall = round % 4 == 3;
        std::uniform_int_distribution<int> at{1, static_cast<int>(q.length.in_mm() / 20) - 1};
        const Substrate holds[]{Substrate::proved_stud, Substrate::proved_stud, Substrate::assumed_stud};
        for (int i = 0; i < 3 && !q.solid_wall; ++i)
            q.studs.push_back({20_mm * at(random), {}, holds[random() % 3]});
        if (round % 3 == 0) {
            const Length from = 20_mm * at(random);
            q.keep_outs = {{from, from + 100_mm}};
        }
        std::vector<Length> grid;
        for (Length x = 20_mm; x < q.length; x += 20_mm)
            grid.push_back(x);
        for (const School school : {School::studs_first, School::mirrored}) {
            const auto expected = brute_force(q, grid, school, 4);
            const auto layouts = best_layouts(q, school, 20);
            for (const auto& [count, merits] : expected) {
                const auto found = std::ranges::find_if(
                    layouts, [&, n = count](const BracketLayout& layout) { return layout.places.size() == n; });
                INFO("round " << round << ", " << count << " brackets, length " << q.length.in_mm());
                REQUIRE(found != layouts.end());
                CHECK_FALSE(better(merits, found->merits, school));
                compared += as_good(merits, found->merits);
            }
        }
    }
    CHECK(compared > 100);
}
