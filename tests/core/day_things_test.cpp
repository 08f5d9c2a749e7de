#include "core/boxes/new_box.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/kit.hpp"
#include "core/fitting/as_found.hpp"
#include "core/fitting/judge_reading.hpp"
#include "core/steps/job_order.hpp"
#include "demo_job.hpp"
#include "piece_walls.hpp"

#include <set>

using namespace yes_square;

/// What the day says of every kind of thing.
namespace {

std::size_t carried(const WallPlan& plan) {
    std::size_t number = 0;
    for (const WallMark& mark : marks_of(plan))
        number += mark.kind == MarkKind::hole && mark.fixing && carries(mark.substrate);
    return number;
}

const KitLine* find_line(const Kit& kit, const std::string& item) {
    const auto found = std::ranges::find(kit.lines, item, &KitLine::item);
    return found == kit.lines.end() ? nullptr : &*found;
}

ReadingPlan judged(Job job, WorkReading reading) {
    reading.id = "reading";
    job.walls.front().work_readings = {std::move(reading)};
    return reckon(job).walls.front()->readings.front();
}

} // namespace

TEST_CASE("every kind of shelf has its parts, its kit and its marks", "[day][kinds]") {
    for (const ShelfPreset& kind : all_kinds()) {
        INFO(kind.words);
        for (const Wall& wall : {stud_wall(), masonry_wall()}) {
            const Job job = job_with(wall, new_shelf(kind, wall));
            const Plan plan = reckon(job);
            const ShelfPlan& shelf = plan.walls.front()->shelves.front();
            const auto parts = cut_list(job, plan);
            if (kind == shelf_preset("fixture")) {
                CHECK(parts.empty()); // it comes as it is
            } else {
                REQUIRE_FALSE(parts.empty());
                Length boards;
                for (const CutPiece& part : parts)
                    if (part.stuff.kind != StuffKind::cleat)
                        boards += part.length;
                CHECK(boards >= job.walls.front().shelves.front().length - 2 * job.rules.shelves.cleat_play);
            }
            for (const StuffPlan& stuff : cutting_plan(job, plan).stuffs) {
                const bool too_long =
                    std::ranges::any_of(stuff.pieces, [](const CutPiece& part) { return part.length > 3600_mm; });
                CHECK(stuff.checks.empty() != too_long);
                CHECK(stuff.proved());
            }
            const Kit kit = kit_of(job, plan);
            std::size_t fixings = 0;
            for (const KitLine& line : kit.lines)
                if (line.group == KitGroup::fixings && line.item.find("shelf") == std::string::npos &&
                    line.item != "washer")
                    fixings += line.wanted;
            std::size_t cleats = 0;
            for (const CleatPlan& cleat : shelf.cleats) // those of this wall are among its holes
                cleats += cleat.fixing && !cleat.on_this_wall ? cleat.screws : 0;
            CHECK(fixings == carried(*plan.walls.front()) + cleats);
            std::set<std::string> keys;
            for (const WallMark& mark : marks_of(*plan.walls.front()))
                CHECK(keys.insert(mark.key()).second);
            CHECK_FALSE(job_order(job, plan).tasks.empty());
        }
    }
}

TEST_CASE("a shelf from wall to wall is left long, and says why", "[day]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = {};
    shelf.length = 4000_mm;
    shelf.material = BoardMaterial::eastern_white_pine;
    Job job = job_with(stud_wall(), shelf);
    auto parts = cut_list(job, reckon(job));
    REQUIRE(parts.size() == 1);
    CHECK(parts.front().length == 4010_mm);
    REQUIRE(parts.front().working);
    CHECK(parts.front().working->result == quantity(4010_mm));
    CHECK_FALSE(parts.front().mind.empty());
    // Too long for any stock that is shipped: an error that names the part.
    const CuttingPlan plan = cutting_plan(job, reckon(job));
    REQUIRE(plan.stuffs.front().checks.size() == 1);
    CHECK(plan.stuffs.front().checks.front().code == checks::stock_too_short);
    job.catalogue.stock.push_back({StuffKind::board, std::nullopt, {}, {}, 4800_mm, 0, true, std::nullopt, {}});
    CHECK(cutting_plan(job, reckon(job)).stuffs.front().checks.empty());
}

TEST_CASE("what is made already is not in the kit again", "[day]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const Plan plan = reckon(job);
    const std::size_t before = kit_of(job, plan).lines.front().wanted;
    for (const WallMark& mark : marks_of(*plan.walls.front()))
        if (mark.kind == MarkKind::hole && mark.x == plan.walls.front()->shelves.front().brackets.front().x)
            record_hole(job, plan, "wall", mark, {});
    const Plan again = reckon(job);
    CHECK(kit_of(job, again).lines.front().wanted == before - job.walls.front().made.size());
}

TEST_CASE("stock that suits a stuff by material and section comes before what is shipped", "[day]") {
    Job job = bare_job();
    Stuff strip{StuffKind::cleat, "strip", {}, 18_mm, 60_mm};
    CHECK(stock_for(strip, job).size() == 1); // the shipped one
    job.catalogue.stock = {{StuffKind::cleat, {}, 18_mm, 60_mm, 1350_mm, 2, false, {}, {}},
                           {StuffKind::cleat, {}, 25_mm, 60_mm, 2000_mm, 0, true, {}, {}}};
    auto found = stock_for(strip, job);
    REQUIRE(found.size() == 2); // what lies there, and the shipped one since no other can be bought
    CHECK(found.front().length == 1350_mm);
    strip.thickness = 25_mm;
    found = stock_for(strip, job);
    REQUIRE(found.size() == 1);
    CHECK(found.front().length == 2000_mm);
    Stuff sheet{StuffKind::sheet, "MDF", BoardMaterial::mdf, 18_mm, {}};
    job.catalogue.stock = {{StuffKind::sheet, BoardMaterial::birch_plywood, 18_mm, 1250_mm, 2500_mm, 0, true, {}, {}}};
    CHECK(stock_for(sheet, job).front().length == 2440_mm);
    sheet.material = BoardMaterial::birch_plywood;
    CHECK(stock_for(sheet, job).front().length == 2500_mm);
    CHECK(stock_for({StuffKind::rail, "suspension rail", {}, {}, {}}, job).front().length == job.rules.runs.rail_stock);
}

TEST_CASE("wardrobes, boxes and pieces have their hardware", "[day]") {
    Job job = bare_job();
    StorageSystem system = system_of({BayKind::double_hanging, BayKind::shelves});
    system.left = 0_mm;
    system.width = 1800_mm;
    system.bays[1].loose = 3;
    Piece chest = dresser();
    chest.left = 2000_mm;
    chest.restraint.kind = RestraintKind::straps;
    WallBox box = new_box(job.walls.front());
    box.id = box.name = "box";
    box.left = 3000_mm;
    job.walls.front().systems = {system};
    job.walls.front().pieces = {chest};
    job.walls.front().boxes = {box};
    const Plan plan = reckon(job);
    const Kit kit = kit_of(job, plan);
    std::size_t rods = 0;
    std::size_t loose = 0;
    for (const BayPlan& bay : plan.walls.front()->systems.front().bays) {
        rods += bay.rods.size();
        loose += static_cast<std::size_t>(std::ranges::count(bay.shelves, ShelfOfBay::loose, &BayShelf::what));
    }
    REQUIRE(find_line(kit, "rod cup"));
    CHECK(find_line(kit, "rod cup")->wanted == 2 * rods);
    REQUIRE(find_line(kit, "shelf pin"));
    CHECK(find_line(kit, "shelf pin")->wanted == 4 * loose);
    // Two through a panel into each end of what is fixed between two of them (common practice).
    std::size_t fixed = 0;
    for (const BayPlan& bay : plan.walls.front()->systems.front().bays)
        fixed += bay.shelves.size();
    REQUIRE(fixed > loose);
    REQUIRE(find_line(kit, "panel screw"));
    CHECK(find_line(kit, "panel screw")->wanted == 4 * (fixed - loose));
    REQUIRE(find_line(kit, "strap"));
    CHECK(find_line(kit, "strap")->wanted == plan.walls.front()->pieces.front().holes.size());
    REQUIRE(find_line(kit, "back screw"));
    CHECK(find_line(kit, "back screw")->wanted == plan.walls.front()->boxes.front().back_screws);
    // Every part of the wardrobe is on the list, by its own label.
    std::multiset<std::string> labels;
    for (const CutPiece& part : cut_list(job, plan))
        if (part.item == system.id)
            labels.insert(part.label);
    for (const CutPart& part : plan.walls.front()->systems.front().parts)
        CHECK(labels.contains(part.label));
    CHECK(labels.size() == plan.walls.front()->systems.front().parts.size());
}

TEST_CASE("readings of boxes, wardrobes and shelves from front to back are put right in their own way", "[readings]") {
    Job job = bare_job();
    WallBox box = new_box(job.walls.front());
    box.id = box.name = "box";
    job.walls.front().boxes = {box};
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    system.name = "Wardrobe";
    job.walls.front().systems = {system};
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.id = shelf.name = "shelf";
    job.walls.front().shelves = {shelf};
    WorkReading reading;
    reading.kind = ReadingKind::level;
    reading.off = 10_mm;
    reading.over = 1000_mm;
    const auto said = [&](const std::string& item, OffAt end, ReadingKind kind) {
        reading.item = item;
        reading.off_at = end;
        reading.kind = kind;
        const ReadingPlan plan = judged(job, reading);
        CHECK(plan.verdict == Verdict::out);
        REQUIRE_FALSE(plan.corrections.empty());
        return say(plan.corrections.front(), {});
    };
    CHECK(said("box", OffAt::left, ReadingKind::level).find("lift its left end") != std::string::npos);
    CHECK(said("box", OffAt::front, ReadingKind::level).find("behind its lower screws") != std::string::npos);
    CHECK(said("box", OffAt::back, ReadingKind::plumb).find("behind its upper screws") != std::string::npos);
    CHECK(said(system.id, OffAt::right, ReadingKind::plumb) ==
          "Wardrobe: foot 21 mm to the right, or top as much to the left");
    // A bracket's leg, packed by leg x slope, brings the front up.
    const std::optional<Bracket> bracket = reckon(job).walls.front()->shelves.front().bracket;
    REQUIRE(bracket);
    const std::string pack = say(stock(bracket->leg / 100), {});
    CHECK(said("shelf", OffAt::front, ReadingKind::level) ==
          "Pack " + pack + " behind the lower end of each bracket's leg: that brings the front up");
    CHECK(said("shelf", OffAt::back, ReadingKind::level).find("upper end") != std::string::npos);
}

TEST_CASE("a worktop's screws are in the kit: four up out of each unit (common practice)", "[day]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    std::size_t under = 0;
    for (std::size_t w = 0; w < job.walls.size(); ++w)
        for (std::size_t r = 0; r < job.walls[w].runs.size(); ++r)
            for (const RunPiece& piece : plan.walls[w]->runs[r].pieces)
                for (std::size_t u = 0; piece.what == RunPiece::What::worktop && u < job.walls[w].runs[r].units.size();
                     ++u) {
                    const UnitPlan& unit = plan.walls[w]->runs[r].units[u];
                    under += is_cabinet(job.walls[w].runs[r].units[u]) && unit.place.left >= piece.from &&
                             unit.place.right() <= piece.to;
                }
    REQUIRE(under > 0);
    const Kit kit = kit_of(job, plan);
    REQUIRE(find_line(kit, "worktop screw"));
    CHECK(find_line(kit, "worktop screw")->wanted == 4 * under);
}

TEST_CASE("an order can be of one wall or one room", "[order]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    const JobOrder whole = job_order(job, plan);
    const JobOrder wall = job_order(job, plan, {"wall-1", {}});
    const JobOrder room = job_order(job, plan, {{}, job.walls.front().room});
    CHECK(wall.tasks.size() < room.tasks.size());
    CHECK(room.tasks.size() < whole.tasks.size());
    std::set<std::string> keys;
    for (const Task& task : whole.tasks)
        keys.insert(task.key);
    for (const Task& task : wall.tasks) {
        CHECK(keys.contains(task.key));
        CHECK((task.wall.empty() || task.wall == "wall-1"));
    }
}

TEST_CASE("a worktop is laid after its units are level, sealed, and left alone", "[order]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    for (const auto& wall : plan.walls)
        for (const RunPlan& run : wall->runs) {
            if (!run.islands.empty())
                continue; // its top meets no wall
            const bool top = std::ranges::any_of(
                run.pieces, [](const RunPiece& piece) { return piece.what == RunPiece::What::worktop; });
            const auto cure = std::ranges::find(run.steps, Phase::cure, &Step::phase);
            CHECK((cure != run.steps.end()) == top);
            if (cure == run.steps.end())
                continue;
            CHECK(cure->wait_min == Approx(job.rules.fitting.sealant_min));
            CHECK(cure->hold_point);
            CHECK(std::ranges::any_of(run.steps.begin(), cure, [](const Step& step) {
                return step.words.pattern.find("worktop") != std::string_view::npos;
            }));
        }
}
