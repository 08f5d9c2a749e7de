#include "run_walls.hpp"

#include "core/runs/slide.hpp"
#include "core/site/site_checks.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

/// Whether every unit of a question has its studs with its chains' left ends here; written the plain way.
bool all_hold(const SlideQuestion& ask, const std::vector<Length>& places) {
    std::vector<Length> left(ask.widths.size());
    std::vector<std::size_t> chain_of(ask.widths.size(), 99);
    for (std::size_t c = 0; c < ask.chains.size(); ++c) {
        Length at = places[c];
        for (std::size_t i = ask.chains[c].first; i <= ask.chains[c].last; ++i) {
            left[i] = at;
            chain_of[i] = c;
            at += ask.widths[i];
        }
    }
    const auto met = [&](std::size_t i) {
        std::size_t number = 0;
        if (chain_of[i] == 99 || !ask.hung[i].needs)
            return number;
        for (const Length stud : ask.studs)
            number += stud >= left[i] + ask.hung[i].inset && stud <= left[i] + ask.widths[i] - ask.hung[i].inset;
        return number;
    };
    for (std::size_t i = 0; i < ask.widths.size(); ++i) {
        if (chain_of[i] == 99 || !ask.hung[i].needs || met(i) >= 2)
            continue;
        const bool beside = (i > 0 && chain_of[i - 1] == chain_of[i] && met(i - 1) >= 2) ||
                            (i + 1 < ask.widths.size() && chain_of[i + 1] == chain_of[i] && met(i + 1) >= 2);
        if (!(met(i) == 1 && ask.hung[i].narrow && beside))
            return false;
    }
    return true;
}

bool within_room(const SlideQuestion& ask, const std::vector<Length>& places) {
    Length at = ask.from;
    for (std::size_t c = 0; c < ask.chains.size(); ++c) {
        if (places[c] - at < ask.room_least[c] || places[c] - at > ask.room_most[c])
            return false;
        at = places[c];
        for (std::size_t i = ask.chains[c].first; i <= ask.chains[c].last; ++i)
            at += ask.widths[i];
    }
    const std::size_t last = ask.chains.size();
    return *ask.to - at >= ask.room_least[last] && *ask.to - at <= ask.room_most[last];
}

/// Least total move over every whole 5 mm, by trying them all. All figures of the question are multiples of 5 mm, so
/// that the best place is among them.
std::optional<Length> by_brute_force(const SlideQuestion& ask) {
    constexpr Length step = 5_mm;
    std::optional<Length> best;
    std::vector<Length> places(ask.chains.size());
    const std::function<void(std::size_t, Length)> try_chain = [&](std::size_t c, Length moved) {
        if (best && moved >= *best)
            return;
        if (c == ask.chains.size()) {
            if (within_room(ask, places) && all_hold(ask, places))
                best = moved;
            return;
        }
        for (Length at = ask.from; at <= *ask.to; at += step) {
            places[c] = at;
            try_chain(c + 1, moved + absolute(at - ask.now[c]));
        }
    };
    try_chain(0, {});
    return best;
}

SlideQuestion random_question(std::size_t chains) {
    SlideQuestion ask;
    ask.from = {};
    const auto five = [](int low, int high) { return Length::mm(5 * *rc::gen::inRange(low / 5, high / 5)); };
    Length at;
    for (std::size_t c = 0; c < chains; ++c) {
        const bool filler = c > 0 || *rc::gen::inRange(0, 2) == 0;
        const Length least = filler ? five(0, 40) : Length{};
        ask.room_least.push_back(least);
        ask.room_most.push_back(filler ? least + five(0, 120) : 10'000_mm);
        if (filler) { // stands for the filler itself
            ask.widths.push_back(least);
            ask.hung.push_back({});
        }
        at += least;
        ask.now.push_back(at);
        const std::size_t first = ask.widths.size();
        const int units = *rc::gen::inRange(1, 4);
        for (int i = 0; i < units; ++i) {
            ask.widths.push_back(five(200, 900));
            ask.hung.push_back({*rc::gen::inRange(0, 5) > 0, ask.widths.back() < 480_mm, 40_mm});
            at += ask.widths.back();
        }
        ask.chains.push_back({first, ask.widths.size() - 1});
    }
    ask.room_least.push_back({});
    ask.room_most.push_back(10'000_mm);
    ask.to = at + five(0, chains == 1 ? 600 : 150);
    ask.apart_least = 100_mm;
    for (Length stud = five(0, 400); stud < *ask.to; stud += five(300, 620))
        ask.studs.push_back(stud);
    return ask;
}

} // namespace

TEST_CASE("a run slides no farther than the best of all places tried one by one", "[runs][slide]") {
    rc::prop("one chain against brute force", [] {
        const SlideQuestion ask = random_question(1);
        const StudSlide found = slide_for_studs(ask);
        const auto best = by_brute_force(ask);
        RC_ASSERT(found.possible == best.has_value());
        if (best)
            RC_ASSERT(found.moved == *best);
        RC_ASSERT(found.lost.empty() == all_hold(ask, ask.now));
    });
    rc::prop("two chains with fillers between against brute force", [] {
        const SlideQuestion ask = random_question(2);
        const StudSlide found = slide_for_studs(ask);
        const auto best = by_brute_force(ask);
        RC_ASSERT(found.possible == best.has_value());
        if (best) {
            RC_ASSERT(found.moved == *best);
            RC_ASSERT(within_room(ask, found.places));
            RC_ASSERT(all_hold(ask, found.places));
        }
    });
    rc::prop("bands say at every place what is lost there", [] {
        const SlideQuestion ask = random_question(1);
        const StudSlide found = slide_for_studs(ask);
        const SlideChain& chain = found.chains.front();
        if (chain.most < chain.least)
            return;
        const Length at =
            chain.least +
            Length::mm(*rc::gen::inRange<std::int64_t>(0, (chain.most - chain.least).in_nanometres() / 1'000'000 + 1));
        bool one = false;
        for (const SlideBand& band : chain.bands)
            if (band.from <= at && at <= band.to)
                one = one || band.lost.empty() == all_hold(ask, {at});
        RC_ASSERT(one);
    });
}

TEST_CASE("a 24 in unit with 5/8 in sides holds two studs 16 in apart over 6 3/4 in of places",
          "[runs][slide][common-practice]") {
    // Common practice; without driver room, as the check value is stated.
    SlideQuestion ask;
    ask.widths = {24_in};
    ask.hung = {{true, false, Length::inches(0, {5, 8})}};
    ask.chains = {{0, 0}};
    ask.now = {40_in};
    ask.room_least = {{}, {}};
    ask.room_most = {1000_in, 1000_in};
    ask.to = 96_in;
    ask.studs = {16_in, 32_in, 48_in, 64_in, 80_in};
    ask.apart_least = 4_in;
    const StudSlide found = slide_for_studs(ask);
    // The wanted place puts 48 in at 8 and 64 in at 24, in its side: it loses.
    CHECK(found.lost == std::vector<std::size_t>{0});
    const auto& bands = found.chains.front().bands;
    // The band with 48 and 64 in: from 64 + 5/8 - 24 to 48 - 5/8.
    const auto band = std::ranges::find_if(
        bands, [](const SlideBand& b) { return b.lost.empty() && b.from > 40_in && b.from < 48_in; });
    REQUIRE(band != bands.end());
    CHECK(band->to - band->from == Length::inches(6, {3, 4}));
    CHECK(band->from == Length::inches(40, {5, 8}));
    CHECK(found.moved == Length::inches(0, {5, 8})); // loses by five eighths of an inch
}

TEST_CASE("a run that misses its studs slides within its fillers by a button", "[runs][slide]") {
    // Studs at 400, 800, ...: a 600 unit from 50 would hold 400 only.
    Job job = kitchen_with({run_of(RunLevel::wall,
                                   {filler("l", 20_mm, 20_mm, 300_mm), wall_unit("a", 600_mm), wall_unit("b", 600_mm),
                                    filler("r", 20_mm, 20_mm, 300_mm)},
                                   Slack::fillers)},
                           1500_mm);
    const RunPlan before = plan_of(job);
    REQUIRE(before.layout.units[1].left == 150_mm); // 150 at either end
    const Check* few = find_check(before.checks, checks::few_studs);
    REQUIRE(few);
    REQUIRE(few->cures.front().edit);
    const Job slid = apply(*few->cures.front().edit, job);
    const RunPlan after = plan_of(slid);
    CHECK(after.slide.holds_now());
    CHECK_FALSE(find_check(after.checks, checks::few_studs));
    CHECK(after.layout.left() == Length{});
    CHECK(after.layout.right() == 1500_mm);
    CHECK(absolute(after.layout.units[1].left - 150_mm) == before.slide.moved);
    for (const UnitPlan& unit : after.units)
        for (const PlannedHole& hole : unit.holes)
            CHECK(hole.substrate == Substrate::proved_stud);
}

TEST_CASE("where no place will do, the unit is named and hung another way", "[runs][slide]") {
    // 900 mm studs: no 500 unit holds two of them.
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 500_mm)})}, 3600_mm, 900_mm);
    const RunPlan before = plan_of(job);
    CHECK_FALSE(before.slide.possible);
    CHECK(before.slide.never == std::vector<std::size_t>{0});
    const Check* few = find_check(before.checks, checks::few_studs);
    REQUIRE(few);
    const auto rail = std::ranges::find_if(
        few->cures, [](const Cure& cure) { return cure.edit && std::holds_alternative<SetHanging>(*cure.edit); });
    REQUIRE(rail != few->cures.end());
    const RunPlan after = plan_of(apply(*rail->edit, job));
    CHECK(std::ranges::find(after.pieces, RunPiece::What::suspension_rail, &RunPiece::what) != after.pieces.end());
}

TEST_CASE("a narrow unit on one stud takes two screws above one another and leans on its neighbour", "[runs]") {
    // Studs at 400, 800, 1200: the 300 unit from 1000 holds 1200 alone, its neighbour 500..1000 holds none but 800.
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 300_mm)})});
    Run& run = job.walls.front().runs.front();
    run.slack = Slack::by_hand;
    run.left = 150_mm; // a: 150..1050 holds 400, 800; b: 1050..1350 holds 1200
    const RunPlan plan = plan_of(job);
    CHECK(plan.slide.holds_now());
    const auto& holes = plan.units[1].holes;
    REQUIRE(holes.size() == 4); // two at each rail
    CHECK(holes[0].x == holes[1].x);
    CHECK(holes[0].z - holes[1].z >= Length::nearest_to_metres(10 * 0.190 * 0.0254) - 1_mm);
}
