#include "../random_jobs.hpp"
#include "core/feeds/reckon_feed.hpp"
#include "core/reckon/reckon_survey.hpp"
#include "core/runs/run_checks.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "core/stability/reckon_piece.hpp"
#include "core/storage/new_system.hpp"
#include "core/storage/system_checks.hpp"
#include "demo_job.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

#include <functional>

using namespace yes_square;

/// Checks that no other test names: each raised by what it is for, and not by its next neighbour.
namespace {

bool raised(const Job& job, CheckCode code) {
    const Plan plan = reckon(job);
    return std::ranges::any_of(all_checks(plan, job),
                               [&](const OwnedCheck& owned) { return owned.check->code == code; });
}

bool raised(const Wall& wall, CheckCode code) {
    return raised(bare_job(wall), code);
}

/// A shelf of 1.2 m by 240 mm on brackets in studs, altered.
Job shelf_job(const std::function<void(Shelf&, Wall&)>& alter) {
    Wall wall = stud_wall();
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 340_mm;
    shelf.length = 1200_mm;
    shelf.depth = 240_mm;
    shelf.thickness = 22_mm;
    shelf.height = 1400_mm;
    alter(shelf, wall);
    return job_with(wall, shelf);
}

bool shelf_raises(const std::function<void(Shelf&, Wall&)>& alter, CheckCode code) {
    return raised(shelf_job(alter), code);
}

} // namespace

TEST_CASE("a corner's three sides: square, out of square, and no triangle at all", "[checks][survey]") {
    Wall wall = stud_wall();
    const auto corner = [&](Length across, CheckCode code) {
        wall.corner = CornerReading{300_mm, 400_mm, across, {}, {}};
        return raised(wall, code);
    };
    CHECK_FALSE(corner(500_mm, checks::corner_not_square));
    CHECK_FALSE(corner(500_mm, checks::corner_impossible));
    CHECK(corner(515_mm, checks::corner_not_square));
    CHECK_FALSE(corner(515_mm, checks::corner_impossible));
    CHECK(corner(720_mm, checks::corner_impossible)); // longer than the two together
}

TEST_CASE("ends that are not parallel, and a face that is not straight", "[checks][survey]") {
    Wall wall = stud_wall();
    wall.widths = {{300_mm, 4000_mm, {}}, {2000_mm, 4000_mm, {}}};
    CHECK_FALSE(raised(wall, checks::ends_not_parallel));
    wall.widths.back().width = 4025_mm;
    CHECK(raised(wall, checks::ends_not_parallel));

    wall.face = {{500_mm, 1200_mm, 20_mm, {}}, {2000_mm, 1200_mm, 20_mm, {}}, {3500_mm, 1200_mm, 20_mm, {}}};
    CHECK_FALSE(raised(wall, checks::face_not_straight));
    wall.face[1].gap = 5_mm; // bows out
    CHECK(raised(wall, checks::face_not_straight));
}

TEST_CASE("brackets further apart than is good, and an arm too short for its shelf", "[checks][shelves]") {
    const auto nothing = [](Shelf&, Wall&) {};
    CHECK_FALSE(shelf_raises(nothing, checks::spacing_over_good));
    CHECK(shelf_raises(
        [](Shelf& shelf, Wall& wall) {
            // Studs so far apart that two brackets stand wider than the usual 32 in and within the 36 of the limit.
            wall.studs = {{400_mm, StudState::proved, Length::micrometres(600), {}},
                          {1270_mm, StudState::proved, Length::micrometres(600), {}}};
            shelf.thickness = 40_mm;
            shelf.length = 1000_mm;
        },
        checks::spacing_over_good));
    CHECK_FALSE(shelf_raises(nothing, checks::arm_too_short));
    CHECK(shelf_raises([](Shelf& shelf, Wall&) { shelf.depth = 900_mm; }, checks::arm_too_short));
}

TEST_CASE("sockets wherever a bracket's leg could stand, and a board too thin for any screw", "[checks][shelves]") {
    const auto socket_at = [](Length height) {
        return [height](Shelf&, Wall& wall) {
            // So close that no place is left between them.
            for (Length x = 300_mm; x < 1700_mm; x += 90_mm)
                wall.services.push_back({ServiceKind::socket, x, height, 86_mm, false, {}});
        };
    };
    CHECK(shelf_raises(socket_at(1320_mm), checks::leg_fouls_service));
    CHECK_FALSE(shelf_raises(socket_at(300_mm), checks::leg_fouls_service));
    CHECK(shelf_raises([](Shelf& shelf, Wall&) { shelf.thickness = 4_mm; }, checks::shelf_screw_none));
    CHECK_FALSE(shelf_raises([](Shelf&, Wall&) {}, checks::shelf_screw_none));
}

TEST_CASE("bays too narrow and too wide", "[checks][storage]") {
    const auto bay_of_width = [](Length width, CheckCode code) {
        StorageSystem system = system_of({BayKind::shelves});
        system.left = 200_mm;
        system.width = width + 2 * system.panel;
        return raised(system_job(system), code);
    };
    CHECK(bay_of_width(250_mm, checks::bay_narrow));
    CHECK_FALSE(bay_of_width(600_mm, checks::bay_narrow));
    CHECK_FALSE(bay_of_width(600_mm, checks::bay_width));
    CHECK(bay_of_width(1200_mm, checks::bay_width));
}

TEST_CASE("furniture over a radiator, and fewer places to hold it than were asked for", "[checks][stability]") {
    Wall wall = stud_wall();
    Piece chest = dresser();
    chest.id = chest.name = "chest";
    wall.obstacles = {{ObstacleKind::radiator, 3000_mm, 100_mm, 800_mm, 600_mm, 50_mm, {}}};
    chest.left = 1000_mm;
    CHECK_FALSE(raised(piece_job(chest, wall), checks::over_obstacle));
    chest.left = 2500_mm;
    CHECK(raised(piece_job(chest, wall), checks::over_obstacle));

    wall.obstacles.clear();
    chest.left = 1000_mm;
    chest.restraint.kind = RestraintKind::straps;
    chest.restraint.number = 2;
    CHECK_FALSE(raised(piece_job(chest, wall), checks::restraint_few));
    wall.studs = {{1400_mm, StudState::proved, Length::micrometres(600), {}}}; // one stud behind it
    CHECK(raised(piece_job(chest, wall), checks::restraint_few));
}

TEST_CASE("a run that leaves a gap, and sides too thin to be joined", "[checks][runs]") {
    const auto run_raises = [](std::vector<CabinetUnit> units, Length wall, CheckCode code) {
        return raised(kitchen_with({run_of(RunLevel::floor, std::move(units), Slack::left_end)}, wall), code);
    };
    CHECK(run_raises({base_unit("a", 600_mm), base_unit("b", 600_mm)}, 2000_mm, checks::gap_beside));
    CHECK_FALSE(run_raises({base_unit("a", 600_mm), base_unit("b", 600_mm)}, 1200_mm, checks::gap_beside));
    CabinetUnit thin = base_unit("a", 600_mm);
    thin.side = 3_mm;
    CabinetUnit other = base_unit("b", 600_mm);
    CHECK_FALSE(run_raises({base_unit("a", 600_mm), other}, 2000_mm, checks::joint_screw_none));
    other.side = 3_mm;
    CHECK(run_raises({thin, other}, 2000_mm, checks::joint_screw_none));
}

TEST_CASE("no screw at hand, and a school that cannot be kept", "[checks][shelves]") {
    Job job = shelf_job([](Shelf&, Wall&) {});
    CHECK_FALSE(raised(job, checks::no_fixing));
    CHECK_FALSE(raised(job, checks::school_not_kept));
    job.catalogue.wood_screws.clear();
    CHECK(raised(job, checks::no_fixing));
    CHECK(shelf_raises([](Shelf& shelf, Wall&) { shelf.extra_brackets = 40; }, // more than there is room for
                       checks::school_not_kept));
}

TEST_CASE("thin rods that let a deep shelf's front sink", "[checks][shelves]") {
    const auto rods = [](Length diameter) {
        Wall wall = masonry_wall();
        Shelf shelf = new_shelf(shelf_preset("hidden_rods"), wall);
        shelf.left = 500_mm;
        shelf.length = 900_mm;
        shelf.depth = 300_mm;
        shelf.thickness = 40_mm;
        shelf.load = {LoadKind::own, 30_kg_m};
        std::get<OnHiddenRods>(shelf.holding).diameter = diameter;
        std::get<OnHiddenRods>(shelf.holding).in_shelf = 250_mm;
        return raised(job_with(wall, shelf), checks::rod_sinks);
    };
    CHECK(rods(6_mm));
    CHECK_FALSE(rods(20_mm));
}

TEST_CASE("a probe that contradicts itself is doubted", "[checks][survey]") {
    Wall wall = stud_wall();
    wall.studs.clear();
    wall.observations = {{EvidenceKind::probe_hit, 800_mm, {}, {}, {}},
                         {EvidenceKind::probe_miss, 1000_mm, {}, {}, {}}};
    CHECK_FALSE(raised(wall, checks::evidence_doubtful));
    wall.observations.push_back({EvidenceKind::probe_miss, 800_mm, {}, {}, {}});
    CHECK(raised(wall, checks::evidence_doubtful));
}

TEST_CASE("four walls that do not close a room", "[checks][survey]") {
    const auto room_of = [](Length last) {
        Job job = bare_job();
        const Wall first = job.walls.front();
        job.walls.clear();
        int number = 0;
        for (const Length length : {4000_mm, 3000_mm, 4000_mm, last}) {
            Wall wall = first;
            wall.id += std::to_string(++number);
            wall.length = length;
            wall.studs.clear();
            job.walls.push_back(wall);
        }
        return raised(job, checks::room_does_not_close);
    };
    CHECK_FALSE(room_of(3000_mm));
    CHECK(room_of(2900_mm));
}

TEST_CASE("a lead that would grow warm", "[checks][feeds]") {
    Wall wall = stud_wall();
    LightFeed feed;
    feed.id = feed.name = "light";
    feed.right = 400_mm;
    feed.volts = 5;
    feed.watts_per_m = 50; // 4 A
    feed.lead = 100_mm;
    feed.conductor = Conductor::mm2_0_5; // 3 A at 6 A/mm2
    wall.feeds = {feed};
    CHECK(raised(wall, checks::feed_overloaded));
    wall.feeds.front().conductor = Conductor::mm2_1;
    CHECK_FALSE(raised(wall, checks::feed_overloaded));
}

TEST_CASE("a lead that does not reach the socket", "[checks][feeds]") {
    Wall wall = stud_wall();
    LightFeed feed;
    feed.id = feed.name = "light";
    feed.right = 400_mm;
    feed.height = 1500_mm;
    wall.services.push_back({ServiceKind::socket, 900_mm, 300_mm});
    feed.lead = 2500_mm; // 500 along and 1200 up
    wall.feeds = {feed};
    CHECK_FALSE(raised(wall, checks::lead_short));
    wall.feeds.front().lead = 1500_mm;
    CHECK(raised(wall, checks::lead_short));
}

TEST_CASE("a shelf too short for two brackets, and one that the lining steadies", "[checks][shelves]") {
    const auto nothing = [](Shelf&, Wall&) {};
    CHECK_FALSE(shelf_raises(nothing, checks::too_short));
    CHECK(shelf_raises([](Shelf& shelf, Wall&) { shelf.length = 90_mm; }, checks::too_short));
    // Its end beyond the last stud under it is steadied by one more in the lining; between studs none is wanted.
    CHECK(shelf_raises(nothing, checks::on_lining));
    CHECK_FALSE(shelf_raises([](Shelf& shelf, Wall&) { shelf.length = 920_mm; }, checks::on_lining));
}

TEST_CASE("no check is found in every thing of its kind", "[checks][property]") {
    std::map<std::pair<std::size_t, std::string>, std::size_t> found; // by kind and code
    std::map<std::size_t, std::size_t> things;
    std::vector<Plan> plans{reckon(demo_job())};
    for (std::uint64_t seed = 1; seed <= 200; ++seed)
        plans.push_back(reckon(RandomJobs{seed}.next()));
    for (const Plan& plan : plans) {
        for (const auto& wall : plan.walls) {
            std::size_t kind = 0;
            for_each_kind(Things{}, [&]<class Kind>() {
                for (const auto& thing : (*wall).*plans_of<Kind>) {
                    ++things[kind];
                    std::set<std::string> codes;
                    for (const Check& check : thing.checks)
                        codes.emplace(check.code.name());
                    for (const std::string& code : codes)
                        ++found[{kind, code}];
                }
                ++kind;
            });
        }
    }
    CHECK(things.size() >= 7);
    CHECK(found.size() >= 60);
    for (const auto& [of, times] : found) {
        INFO("kind " << of.first << ", " << of.second);
        if (things[of.first] >= 50) // enough of them to tell
            CHECK(times < things[of.first]);
    }
}
