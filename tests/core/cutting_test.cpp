#include "core/boxes/new_box.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/kit.hpp"
#include "piece_walls.hpp"

#include <functional>
#include <numeric>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

BarQuestion bars_of(std::vector<Length> pieces, std::vector<BarStock> stock, Length kerf = 3_mm) {
    BarQuestion question;
    question.pieces = std::move(pieces);
    question.stock = std::move(stock);
    question.kerf = kerf;
    return question;
}

/// Every piece lies in one bar, and none holds more than its length.
void require_sound(const BarQuestion& question, const BarPlan& plan) {
    std::vector<int> times(question.pieces.size(), 0);
    for (const Bar& bar : plan.bars) {
        const BarStock& stock = question.stock[bar.stock];
        Length used = question.kerf * static_cast<std::int64_t>(bar.pieces.size() - 1);
        for (const std::size_t piece : bar.pieces) {
            ++times[piece];
            used += question.pieces[piece];
        }
        const Length room = stock.length - (stock.number ? Length{} : 2 * question.end_trim);
        REQUIRE(used <= room);
        // One more cut parts the offcut from the last piece; what is no longer than a kerf is sawdust.
        REQUIRE(bar.offcut == (room - used > question.kerf ? room - used - question.kerf : Length{}));
    }
    for (std::size_t i = 0; i < times.size(); ++i)
        REQUIRE(times[i] + std::ranges::count(plan.impossible, i) == 1);
    for (std::size_t s = 0; s < question.stock.size(); ++s)
        if (question.stock[s].number)
            REQUIRE(std::ranges::count(plan.bars, s, &Bar::stock) <= *question.stock[s].number);
}

/// Fewest bars of one length, by trying every place for every piece; and of those the longest offcut.
std::pair<std::size_t, Length> by_brute_force(const std::vector<Length>& pieces, Length stock, Length kerf) {
    std::size_t best = pieces.size() + 1;
    Length longest;
    std::vector<Length> rooms;
    const std::function<void(std::size_t)> put = [&](std::size_t i) {
        if (rooms.size() > best)
            return;
        if (i == pieces.size()) {
            Length offcut;
            for (const Length room : rooms) // each has room for the kerf of a piece that is not there
                offcut = std::max(offcut, room - kerf);
            if (rooms.size() < best)
                longest = {};
            best = rooms.size();
            longest = std::max(longest, offcut);
            return;
        }
        const Length size = pieces[i] + kerf;
        for (std::size_t bar = 0; bar < rooms.size(); ++bar)
            if (rooms[bar] >= size) {
                rooms[bar] -= size;
                put(i + 1);
                rooms[bar] += size;
            }
        rooms.push_back(stock + kerf - size);
        put(i + 1);
        rooms.pop_back();
    };
    put(0);
    return {best, longest};
}

} // namespace

TEST_CASE("five parts of a box come out of two boards of 1800", "[cutting]") {
    // Common practice: 700, 700, 680, 500, 500 from 1800 mm boards, 3 mm kerf.
    const BarQuestion question = bars_of({700_mm, 700_mm, 680_mm, 500_mm, 500_mm}, {{1800_mm, {}, {}}});
    const BarPlan plan = cut_bars(question);
    require_sound(question, plan);
    CHECK(plan.bars.size() == 2);
    CHECK(plan.proved());
    CHECK(plan.offcut_proved);
    // 700 + 500 + 500 with two kerfs between them fill one but for 94; 700 + 680 leave the longest piece of the other:
    // 1800 - 1380 - 2 x 3.
    CHECK(plan.longest_offcut == 414_mm);
}

TEST_CASE("the last piece of a bar needs no cut", "[cutting]") {
    const BarPlan exact = cut_bars(bars_of({897_mm, 900_mm}, {{1800_mm, {}, {}}}));
    CHECK(exact.bars.size() == 1);
    CHECK(exact.bars.front().offcut == Length{});
    const BarPlan over = cut_bars(bars_of({898_mm, 900_mm}, {{1800_mm, {}, {}}}));
    CHECK(over.bars.size() == 2);
}

TEST_CASE("what lies there is used before anything is bought", "[cutting]") {
    BarQuestion question = bars_of({800_mm, 800_mm, 600_mm}, {{2400_mm, {}, {}}, {850_mm, 1, {}}, {650_mm, 1, {}}});
    question.end_trim = 10_mm;
    const BarPlan plan = cut_bars(question);
    require_sound(question, plan);
    CHECK(plan.bought == 1);
    CHECK(plan.bars.size() == 3);
    CHECK(question.stock[plan.bars.front().stock].number.has_value());
    CHECK(plan.proved());
    // 2400 less both trims, one piece of 800 and its kerf.
    CHECK(plan.longest_offcut == 1577_mm);
}

TEST_CASE("with prices the cheapest lengths are bought", "[cutting]") {
    const BarQuestion question = bars_of({1000_mm, 1000_mm, 1000_mm}, {{1100_mm, {}, 3.0}, {3100_mm, {}, 10.0}});
    const BarPlan plan = cut_bars(question);
    require_sound(question, plan);
    CHECK(plan.priced);
    CHECK(plan.cost == Approx(9));
    CHECK(plan.proved());
}

TEST_CASE("a part longer than any stock is named, the others are cut", "[cutting]") {
    const BarQuestion question = bars_of({3000_mm, 500_mm}, {{2400_mm, {}, {}}});
    const BarPlan plan = cut_bars(question);
    require_sound(question, plan);
    CHECK(plan.impossible == std::vector<std::size_t>{0});
    CHECK(plan.bars.size() == 1);
    const BarPlan none = cut_bars(bars_of({500_mm, 500_mm}, {{600_mm, 1, {}}}));
    CHECK(none.impossible.size() == 2);
}

TEST_CASE("cutting plans are those of brute force", "[cutting][property]") {
    rc::prop("fewest bars, longest offcut", [] {
        const auto number = *rc::gen::inRange<std::size_t>(1, 8);
        std::vector<Length> pieces;
        for (std::size_t i = 0; i < number; ++i)
            pieces.push_back(Length::mm(*rc::gen::inRange(60, 1000)));
        const Length kerf = Length::mm(*rc::gen::inRange(0, 6));
        const BarQuestion question = bars_of(pieces, {{1000_mm, {}, {}}}, kerf);
        const BarPlan plan = cut_bars(question);
        require_sound(question, plan);
        const auto [fewest, longest] = by_brute_force(pieces, 1000_mm, kerf);
        RC_ASSERT(plan.bars.size() == fewest);
        RC_ASSERT(plan.proved());
        RC_ASSERT(plan.least <= static_cast<double>(fewest));
        RC_ASSERT(plan.offcut_proved);
        RC_ASSERT(plan.longest_offcut == std::max(Length{}, longest));
    });
}

namespace {

bool overlap(const PlacedPiece& a, const PlacedPiece& b, Length kerf) {
    return a.x < b.x + b.length + kerf && b.x < a.x + a.length + kerf && a.y < b.y + b.breadth + kerf &&
           b.y < a.y + a.breadth + kerf;
}

/// Whether cuts from edge to edge part all of them: some line leaves pieces on both sides and crosses none.
bool guillotine(const std::vector<PlacedPiece>& pieces) {
    if (pieces.size() < 2)
        return true;
    for (const bool across : {false, true})
        for (const PlacedPiece& candidate : pieces) {
            const Length line = across ? candidate.x + candidate.length : candidate.y + candidate.breadth;
            std::vector<PlacedPiece> before;
            std::vector<PlacedPiece> beyond;
            bool crossed = false;
            for (const PlacedPiece& piece : pieces) {
                const Length from = across ? piece.x : piece.y;
                const Length to = across ? piece.x + piece.length : piece.y + piece.breadth;
                crossed = crossed || (from < line && line < to);
                (to <= line ? before : beyond).push_back(piece);
            }
            if (!crossed && !before.empty() && !beyond.empty() && guillotine(before) && guillotine(beyond))
                return true;
        }
    return false;
}

} // namespace

TEST_CASE("sheets are cut from edge to edge, with the grain, nothing twice", "[cutting][property]") {
    rc::prop("guillotine", [] {
        SheetQuestion question;
        question.kerf = Length::mm(*rc::gen::inRange(0, 5));
        question.trim = Length::mm(*rc::gen::inRange(0, 12));
        question.tries = 4;
        question.stock = {{2440_mm, 1220_mm, {}}};
        if (*rc::gen::arbitrary<bool>())
            question.stock.push_back({1300_mm, 700_mm, 2});
        const auto number = *rc::gen::inRange<std::size_t>(1, 14);
        for (std::size_t i = 0; i < number; ++i)
            question.pieces.push_back({Length::mm(*rc::gen::inRange(50, 2400)), Length::mm(*rc::gen::inRange(50, 1190)),
                                       *rc::gen::arbitrary<bool>()});
        const SheetPlan plan = cut_sheets(question);
        std::vector<int> times(number, 0);
        for (const Sheet& sheet : plan.sheets) {
            const SheetStock& stock = question.stock[sheet.stock];
            const Length trim = stock.number ? Length{} : question.trim;
            RC_ASSERT(guillotine(sheet.pieces));
            for (std::size_t a = 0; a < sheet.pieces.size(); ++a) {
                const PlacedPiece& piece = sheet.pieces[a];
                const SheetPiece& wanted = question.pieces[piece.piece];
                ++times[piece.piece];
                const bool straight = piece.length == wanted.length && piece.breadth == wanted.breadth;
                RC_ASSERT(straight || (wanted.may_turn && piece.length == wanted.breadth));
                RC_ASSERT(piece.x >= trim && piece.x + piece.length <= stock.length - trim);
                RC_ASSERT(piece.y >= trim && piece.y + piece.breadth <= stock.breadth - trim);
                for (std::size_t b = 0; b < a; ++b)
                    RC_ASSERT(!overlap(piece, sheet.pieces[b], question.kerf - Length::nanometres(1)));
            }
        }
        for (std::size_t i = 0; i < number; ++i)
            RC_ASSERT(times[i] + std::ranges::count(plan.impossible, i) == 1);
        RC_ASSERT(plan.bought >= plan.least);
    });
}

TEST_CASE("eight panels fill a sheet that just holds them", "[cutting]") {
    SheetQuestion question;
    question.kerf = 3_mm;
    question.stock = {{2440_mm, 1220_mm, {}}};
    for (int i = 0; i < 8; ++i)
        question.pieces.push_back({607_mm, 608_mm, false}); // 4 x 607 + 3 x 3 = 2437, 2 x 608 + 3 = 1219
    const SheetPlan plan = cut_sheets(question);
    CHECK(plan.bought == 1);
    CHECK(plan.proved());
    question.pieces.push_back({607_mm, 608_mm, false});
    CHECK(cut_sheets(question).bought == 2);
}

TEST_CASE("a box's parts come to the saw with their joints' allowances", "[cutting]") {
    // Common practice: 700 wide, 19 mm sides, 10 mm housings, 1 mm clearance each end: shelf 680; 235 less 8: 227.
    Job job = bare_job();
    WallBox box = new_box(job.walls.front());
    box.id = box.name = "box";
    box.width = 700_mm;
    box.height = 700_mm;
    box.depth = 235_mm;
    box.side = 19_mm;
    box.housing = 10_mm;
    box.clearance = 1_mm;
    box.rebate = 8_mm;
    box.shelves = 1;
    job.walls.front().boxes = {box};
    const Plan plan = reckon(job);
    const std::vector<CutPiece> pieces = cut_list(job, plan);
    const auto shelf =
        std::ranges::find_if(pieces, [](const CutPiece& piece) { return say(piece.name, {}) == "shelf of box"; });
    REQUIRE(shelf != pieces.end());
    CHECK(shelf->length == 680_mm);
    CHECK(shelf->breadth == 227_mm);
    REQUIRE(shelf->working);
    CHECK(shelf->working->result == quantity(680_mm));
    CHECK(std::ranges::count_if(pieces, [](const CutPiece& p) { return p.length == 700_mm; }) == 2);
    const CuttingPlan cutting = cutting_plan(job, plan);
    for (const StuffPlan& stuff : cutting.stuffs)
        CHECK(stuff.checks.empty());
}

TEST_CASE("a list is of a wall, a room or the job, and its labels stay", "[cutting]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    Job job = job_with(stud_wall(), shelf);
    Wall other = stud_wall();
    other.id = "other";
    other.shelves = job.walls.front().shelves;
    other.shelves.front().id = "shelf-2";
    job.walls.push_back(other);
    const Plan plan = reckon(job);
    const auto all = cut_list(job, plan);
    const auto here = cut_list(job, plan, {"other", {}});
    REQUIRE(all.size() == 2);
    REQUIRE(here.size() == 1);
    CHECK(here.front().label == all.back().label);
    CHECK(cut_list(job, plan, {{}, "room"}).size() == 2);
    CHECK(cut_list(job, plan, {{}, "elsewhere"}).empty());
}

TEST_CASE("a kit has its screws with spares, by the pack", "[cutting]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const Plan plan = reckon(job);
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    const std::size_t screws = shelf.holes.size();
    Kit kit = kit_of(job, plan);
    REQUIRE_FALSE(kit.lines.empty());
    const KitLine fixing = kit.lines.front();
    CHECK(fixing.group == KitGroup::fixings);
    CHECK(fixing.wanted == screws);
    CHECK(fixing.spares == std::max<std::size_t>(2, (screws + 9) / 10));
    job.catalogue.supplies = {{fixing.item, 4, 2.5, 1, {}}};
    kit = kit_of(job, plan);
    const auto packed = std::ranges::find(kit.lines, fixing.item, &KitLine::item);
    REQUIRE(packed != kit.lines.end());
    const std::size_t lacking = packed->total() - 1;
    CHECK(packed->packs == (lacking + 3) / 4);
    CHECK(*packed->price == Approx(2.5 * static_cast<double>(packed->packs)));
    CHECK_FALSE(kit.all_priced);
    CHECK(std::ranges::any_of(kit.lines, [](const KitLine& line) { return line.item == "detector"; }));
    CHECK(std::ranges::any_of(kit.lines, [](const KitLine& line) { return line.group == KitGroup::bits; }));
}
