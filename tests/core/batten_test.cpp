#include "core/battens/reckon_batten.hpp"
#include "core/cutting/cut_list.hpp"
#include "core/cutting/kit.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"
#include "core/site/guarded.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"
#include "core/steps/job_order.hpp"

#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

using namespace yes_square;

namespace {

/// A framed wall with proved studs 600 mm apart from 600 mm, and a batten over the first two of them.
Job batten_job(StudState state = StudState::proved) {
    Job job = new_job();
    job.rooms.push_back({});
    job.rooms.back().id = job.rooms.back().name = "room";
    Wall wall;
    wall.id = wall.name = "wall";
    wall.room = "room";
    wall.length = 3000_mm;
    wall.height = 2400_mm;
    wall.structure = Framing{};
    wall.lining = {{LiningMaterial::plasterboard, 12_mm}};
    for (int i = 1; i < 5; ++i)
        wall.studs.push_back({600_mm * i, state});
    Batten batten = new_batten(wall);
    batten.id = "batten-1";
    batten.name = "Coat pegs";
    batten.left = 500_mm;
    batten.length = 800_mm;
    batten.top = 1700_mm;
    kept<Batten>(wall) = {batten};
    job.walls = {wall};
    return job;
}

BattenPlan plan_of(const Job& job) {
    return ((*reckon(job).walls.front()).*plans_of<Batten>).front();
}

bool has(const BattenPlan& plan, CheckCode code, Severity severity) {
    return std::ranges::any_of(plan.checks,
                               [&](const Check& check) { return check.code == code && check.severity == severity; });
}

} // namespace

TEST_CASE("a batten on two studs: each screw bears half, and the pegs' reach pulls it off about the lower edge",
          "[battens]") {
    Job job = batten_job();
    Batten& batten = kept<Batten>(job.walls.front()).front();
    batten.per_metre = 20_kg_m;
    batten.wood = Species::spruce_pine_fir; // G 0.42
    const BattenPlan plan = plan_of(job);
    REQUIRE(plan.holes.size() == 2);
    CHECK(plan.holes[0].x == 600_mm);
    CHECK(plan.holes[1].x == 1200_mm);
    CHECK(plan.holes[0].z == 1700_mm - batten.breadth / 2);
    // By hand: goods may stand on the span and the overhang at a screw without the other overhang, which would lift it.
    // 20 kg/m x 9.80665 = 196.1 N/m; own 420 kg/m3 x 0.095 x 0.020 x 9.80665 = 7.826 N/m.
    // Moments about the other screw, overhangs 100 mm at each end, span 600: goods on the left 700 mm, own on all 800.
    const double goods = 196.133 * 0.7 * 0.35 / 0.6;
    const double own = 7.826 * 0.8 / 2;
    CHECK(plan.holes[0].demands.front().down == Approx(goods + own).epsilon(1e-3));
    // 60 mm off the wall, over half of 95 mm less 5 mm.
    CHECK(plan.holes[0].demands.front().tension == Approx((goods + own) * 60 / 42.5).epsilon(1e-3));
    // Within reach of a hand it bears somebody hanging on it too.
    REQUIRE(plan.holes[0].demands.size() == 2);
    CHECK(plan.holes[0].demands.back().down >= Force::newtons(goods + own) + job.rules.accidental);
    batten.out = 20_mm;
    batten.per_metre = 10_kg_m;
    CHECK(plan_of(job).utilisation < plan.utilisation);
}

TEST_CASE("more on a batten, or further out, uses its screws more, a broader one uses them less", "[battens]") {
    const auto used = [](auto&& change) {
        Job job = batten_job();
        change(kept<Batten>(job.walls.front()).front());
        return plan_of(job).utilisation;
    };
    const Utilisation usual = used([](Batten&) {});
    CHECK(used([](Batten& batten) { batten.per_metre = 40_kg_m; }) > usual);
    CHECK(used([](Batten& batten) { batten.out = 120_mm; }) > usual);
    CHECK(used([](Batten& batten) { batten.breadth = 140_mm; }) < usual);
    CHECK(used([](Batten& batten) { batten.use = BattenUse::ledger; }) < usual);
}

TEST_CASE("below the height at which people lean a batten bears somebody hanging on it", "[battens]") {
    Job job = batten_job();
    kept<Batten>(job.walls.front()).front().use = BattenUse::ledger;
    CHECK(plan_of(job).holes.front().demands.size() == 1);
    kept<Batten>(job.walls.front()).front().top = 1200_mm;
    const BattenPlan plan = plan_of(job);
    REQUIRE(plan.holes.front().demands.size() == 2);
    CHECK(plan.holes.front().demands.back().down >= plan.holes.front().demands.front().down + job.rules.accidental);
}

TEST_CASE("a batten with no stud, one stud, studs only assumed or nothing to hold it is never fine", "[battens]") {
    Job none = batten_job();
    none.walls.front().studs.clear();
    CHECK(has(plan_of(none), checks::no_stud, Severity::error));
    Job one = batten_job();
    kept<Batten>(one.walls.front()).front().length = 400_mm;
    CHECK(has(plan_of(one), checks::one_stud, Severity::error));
    CHECK_FALSE(plan_of(one).utilisation.within());
    // Where a stud is only assumed nobody knows its place well enough for a screw.
    CHECK(has(plan_of(batten_job(StudState::assumed)), checks::no_stud, Severity::error));
    CHECK(has(plan_of(batten_job(StudState::indicated)), checks::stud_indicated, Severity::warning));
    Job bare = batten_job();
    bare.catalogue.wood_screws.clear();
    CHECK(has(plan_of(bare), checks::no_fixing, Severity::error));
    Job heavy = batten_job();
    kept<Batten>(heavy.walls.front()).front().per_metre = 900_kg_m;
    CHECK(has(plan_of(heavy), checks::fixing_overloaded, Severity::error));
    Job service = batten_job();
    service.walls.front().services.push_back({ServiceKind::socket, 600_mm, 300_mm});
    CHECK(has(plan_of(service), checks::detect_first, Severity::warning));
}

TEST_CASE("in masonry a batten has a plug at each end and none further apart than the house rule", "[battens]") {
    Job job = batten_job();
    job.walls.front().structure = Masonry{};
    job.walls.front().studs.clear();
    const BattenPlan plan = plan_of(job);
    REQUIRE(plan.holes.size() == 4); // 720 mm in spaces of 300 mm at the most
    CHECK(plan.holes.front().x == 540_mm);
    CHECK(plan.holes.back().x == 1260_mm);
    for (std::size_t i = 1; i < plan.holes.size(); ++i)
        CHECK(plan.holes[i].x - plan.holes[i - 1].x <= job.rules.strips.masonry_every);
}

TEST_CASE("a batten reaches every list, table, drawing and export, and comes back from the file", "[battens]") {
    const Job job = batten_job();
    const Plan plan = reckon(job);
    const Voice voice{Unit::mm, {}};
    const auto marks = marks_of(*plan.walls.front());
    CHECK(std::ranges::count(marks, MarkKind::level_line, &WallMark::kind) == 1);
    CHECK(std::ranges::count(marks, MarkKind::hole, &WallMark::kind) == 2);
    const auto pieces = cut_list(job, plan);
    REQUIRE(pieces.size() == 1);
    CHECK(pieces.front().length == 800_mm);
    const Kit kit = kit_of(job, plan);
    CHECK(std::ranges::find(kit.lines, "peg", &KitLine::item)->wanted == 6);
    CHECK(std::ranges::any_of(kit.lines,
                              [](const KitLine& line) { return line.group == KitGroup::fixings && line.wanted == 2; }));
    const auto tasks = job_order(job, plan).tasks;
    CHECK(std::ranges::any_of(tasks, [](const Task& task) { return task.item == "batten-1"; }));
    const auto document = nlohmann::json::parse(plan_json(job, plan, voice));
    REQUIRE(document["walls"][0]["battens"].size() == 1);
    CHECK(document["walls"][0]["battens"][0]["holes"].size() == 2);
    CHECK(summary(job, plan, voice).find("Coat pegs") != std::string::npos);
    CHECK(svg(draw_elevation(job.walls.front(), *plan.walls.front(), {}, voice).drawing, "").find("Coat pegs") !=
          std::string::npos);
    for (const char* name : {"marks", "fixings", "cut-list", "kit", "steps"}) {
        const auto tables = tables_of(job, plan);
        CHECK_FALSE(std::ranges::find(tables, name, &Table::name)->rows.empty());
    }
    const auto read = read_job(write_job(job));
    REQUIRE(read);
    CHECK(read->job == job);
}

TEST_CASE("a shelf hung where a batten is stands in its way, and the other way round", "[battens]") {
    Job job = batten_job();
    Piece piece;
    piece.id = piece.name = "chest";
    piece.left = 700_mm;
    piece.width = 900_mm;
    piece.height = 1690_mm;
    piece.depth = 400_mm;
    job.walls.front().pieces = {piece};
    const Plan plan = reckon(job);
    CHECK_FALSE(((*plan.walls.front()).*plans_of<Batten>).front().checks.empty());
}

TEST_CASE("a batten or a back strip that asks for hundreds of plugs is not reckoned, and says so", "[battens]") {
    Job job = batten_job();
    job.walls.front().structure = Masonry{};
    job.rules.strips.masonry_every = Length::micrometres(1);
    CHECK(has(plan_of(job), checks::not_reckoned, Severity::error));
    CHECK_FALSE(plan_of(job).utilisation.within());
}
