#pragma once

#include "core/battens/reckon_batten.hpp"
#include "core/boxes/new_box.hpp"
#include "core/job/job.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/stability/new_piece.hpp"
#include "core/storage/new_system.hpp"

#include <random>

/// Jobs of every kind of thing, sizes and walls drawn at random from wide ranges, some of them hostile. The same seed
/// gives the same job.
namespace yes_square {

class RandomJobs {
public:
    explicit RandomJobs(std::uint64_t seed)
        : draw_{seed}
        , aside_{~seed} {}

    /// One wall with one to three things on it.
    Job next() {
        Job job = new_job();
        for (Bracket& bracket : job.catalogue.brackets)
            bracket.rating = Force::newtons(number(300, 4000));
        job.rooms.push_back({});
        job.rooms.back().id = job.rooms.back().name = "room";
        job.rooms.back().service_class = chance(0.2) ? ServiceClass::damp : ServiceClass::dry;
        job.walls = {wall()};
        const int things = whole(1, 3);
        for (int i = 0; i < things; ++i)
            add_thing(job.walls.front(), i);
        for_each_thing(job.walls.front(), [&](auto& thing) {
            if constexpr (requires { thing.fixing.at; }) {
                if (std::bernoulli_distribution{0.15}(aside_))
                    thing.fixing.all = any_fixing(job.catalogue);
                if (std::bernoulli_distribution{0.1}(aside_))
                    thing.fixing.choose(any_spot(), any_fixing(job.catalogue));
            }
        });
        if (std::bernoulli_distribution{0.25}(aside_))
            job.rules.timber = TimberSchool::en;
        return job;
    }

    /// A screw or an anchor that a fitter may have chosen, whether it will do or not.
    ChosenFixing any_fixing(const Catalogue& catalogue) {
        const auto below = [&](std::size_t number) {
            return std::uniform_int_distribution<std::size_t>{0, number - 1}(aside_);
        };
        if (below(2) == 0)
            return {catalogue.wood_screws[below(catalogue.wood_screws.size())].gauge};
        return {std::nullopt, catalogue.plugs[below(catalogue.plugs.size())].id};
    }

    /// A row, a place, or one hole, whether there is such a one or not.
    FixingSpot any_spot() {
        const auto number = [&](int most) { return std::uniform_int_distribution<int>{0, most}(aside_); };
        FixingSpot spot{{}, number(4), number(2)};
        if (spot.everywhere())
            spot.row = 1;
        return spot;
    }

    /// So many walls round one room, each with one to three things, so that things meet in its corners.
    Job room(int walls) {
        Job made;
        for (int i = 0; i < walls; ++i) {
            Job one = next();
            Wall& wall = one.walls.front();
            wall.id += "-" + std::to_string(i);
            const auto rename = [&](auto& things) {
                for (auto& thing : things)
                    thing.id += "-" + std::to_string(i); // ids are a job's own
            };
            rename(wall.shelves);
            rename(wall.runs);
            rename(wall.systems);
            rename(wall.pieces);
            rename(wall.boxes);
            rename(wall.hung);
            for_each_kind(ListedKinds{}, [&]<class Kind>() { rename(kept<Kind>(wall)); });
            for (Run& run : wall.runs)
                rename(run.units);
            for (StorageSystem& system : wall.systems)
                rename(system.bays);
            if (i == 0)
                made = std::move(one);
            else
                made.walls.push_back(std::move(wall));
        }
        return made;
    }

protected:
    bool chance(double p) { return std::bernoulli_distribution{p}(draw_); }
    int whole(int from, int to) { return std::uniform_int_distribution{from, to}(draw_); }
    double number(double from, double to) { return std::uniform_real_distribution{from, to}(draw_); }
    Length mm(int from, int to) { return Length::micrometres(whole(from * 10, to * 10) * 100LL); }
    template <class E>
    E one_of(int count) {
        return static_cast<E>(whole(0, count - 1));
    }

    Wall wall() {
        Wall wall;
        wall.id = "wall";
        wall.name = "Wall";
        wall.room = "room";
        wall.length = mm(1200, 6000);
        wall.height = mm(2100, 3200);
        switch (whole(0, 6)) {
        case 6: {
            OpenFloor floor;
            floor.floor = one_of<FloorBuilt>(5);
            floor.boards = mm(12, 40);
            wall.structure = floor;
            break;
        }
        case 0:
            wall.structure = Masonry{one_of<MasonryKind>(4)};
            wall.lining = {{LiningMaterial::plaster, mm(0, 25), {}}};
            break;
        case 1:
            wall.structure = Masonry{one_of<MasonryKind>(4)};
            wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}},
                           {LiningMaterial::hollow, mm(1, 30), {}}};
            break;
        case 2:
            wall.structure = LiningOnly{};
            wall.lining = {{LiningMaterial::plasterboard, mm(9, 15), {}}};
            break;
        default: {
            Framing framing;
            framing.species = one_of<Species>(7);
            framing.spacing = chance(0.5) ? 400_mm : 600_mm;
            framing.stud_depth = chance(0.7) ? 89_mm : 63_mm;
            framing.open = chance(0.15);
            if (!framing.open)
                wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
            if (!framing.open && chance(0.2))
                wall.lining.insert(wall.lining.begin(), {LiningMaterial::tile, 8_mm, {}});
            const Length first = mm(0, 600);
            for (Length x = first; x < wall.length; x += framing.spacing + mm(0, 6) - 3_mm)
                wall.studs.push_back({x,
                                      chance(0.85) ? StudState::proved : one_of<StudState>(3),
                                      Length::micrometres(chance(0.9) ? 600 : whole(0, 8000)),
                                      {}});
            wall.structure = framing;
        }
        }
        if (chance(0.4))
            wall.services.push_back({one_of<ServiceKind>(4), mm(100, 5000), mm(200, 1500), 86_mm, chance(0.2), {}});
        if (chance(0.3))
            wall.openings.push_back(
                {OpeningKind::window, mm(200, 4000), mm(600, 1200), mm(300, 1800), mm(300, 1200), 50_mm, {}});
        return wall;
    }

    ShelfLoad load() { return {one_of<LoadKind>(7), LineMass::kg_per_metre(number(0, 90))}; }

    void add_thing(Wall& wall, int number_of_it) {
        const std::string id = "thing-" + std::to_string(number_of_it);
        switch (whole(0, 9)) {
        case 0:
            return add_run(wall, id);
        case 1:
            return add_piece(wall, id);
        case 2:
            return add_system(wall, id);
        case 3:
            return add_box(wall, id);
        case 4:
            return add_hung(wall, id);
        case 5:
            return add_batten(wall, id);
        default:
            return add_shelf(wall, id);
        }
    }

    void add_batten(Wall& wall, const std::string& id) {
        Batten batten = new_batten(wall);
        batten.id = batten.name = id;
        batten.use = chance(0.5) ? BattenUse::pegs : BattenUse::ledger;
        batten.left = mm(0, 3000);
        batten.length = mm(100, 3500);
        batten.top = mm(200, 2300);
        batten.breadth = mm(20, 200);
        batten.thickness = mm(10, 60);
        batten.per_metre = LineMass::kg_per_metre(number(0, 120));
        batten.out = mm(0, 250);
        batten.wood = one_of<Species>(7);
        batten.pegs = whole(0, 12);
        kept<Batten>(wall).push_back(std::move(batten));
    }

    void add_shelf(Wall& wall, const std::string& id) {
        Shelf shelf = new_shelf(
            shelf_presets()[static_cast<std::size_t>(whole(0, static_cast<int>(shelf_presets().size()) - 1))], wall);
        shelf.id = shelf.name = id;
        shelf.left = mm(-50, 2500);
        shelf.length = chance(0.1) ? mm(1, 300) : mm(200, 3600);
        shelf.height = mm(50, 2600);
        shelf.depth = mm(60, 700);
        if (!way_of(shelf).own_thickness() || std::get_if<OnHiddenRods>(&shelf.holding) ||
            std::get_if<OnHiddenBracket>(&shelf.holding))
            shelf.thickness = mm(9, 60);
        shelf.material = one_of<BoardMaterial>(13);
        shelf.load = load();
        shelf.school = one_of<School>(3);
        if (way_of(shelf).boards_on_arms())
            shelf.tiers = chance(0.3) ? whole(2, 5) : 1;
        shelf.rise = mm(120, 500);
        if (chance(0.2))
            shelf.goods.push_back({"Heavy thing", mm(0, 2500), {}, Mass::kg(number(1, 60)), {}});
        if (chance(0.2))
            shelf.joints = {mm(50, 3000)};
        if (chance(0.15))
            shelf.pins = {mm(10, 1500)};
        if (!shelf.pins.empty() && chance(0.5))
            shelf.pins.push_back(shelf.pins.front() + mm(5, 900));
        if (auto* plate = plate_in(shelf)) {
            plate->thickness = mm(2, 8);
            for (PlateHole& hole : plate->holes)
                if (chance(0.3))
                    hole.across = mm(0, 400);
            if (chance(0.5))
                plate->rating = Force::newtons(number(200, 6000));
        }
        if (auto* uprights = std::get_if<OnStandards>(&shelf.holding); uprights && chance(0.3))
            uprights->standard = mm(20, 1500);
        if (way_of(shelf).is_board())
            cut_and_make_up(shelf);
        if (way_of(shelf).chooses_bracket() && chance(0.2)) {
            for (int more = whole(1, 3); more > 0; --more)
                shelf.others.push_back({one_of<OtherKind>(5), mm(-20, 2500), mm(0, 600), {}});
            shelf.other_sizes.leg = mm(10, 90);
            if (chance(0.3))
                shelf.stretcher = Lip{BoardMaterial::eastern_white_pine, mm(10, 40), mm(20, 100), {}};
        }
        shelf.out_of_reach = chance(0.1);
        wall.shelves.push_back(std::move(shelf));
    }

    void cut_and_make_up(Shelf& shelf) {
        if (chance(0.12)) {
            HollowBoard board;
            board.skin = mm(2, 12);
            board.front = mm(0, 60);
            board.back = chance(0.7) ? mm(0, 60) : Length{};
            board.ribs = whole(0, 8);
            board.frame = one_of<BoardMaterial>(13);
            shelf.hollow = board;
        }
        for (int more = whole(0, 5); more > 3; --more)
            shelf.cut_outs.push_back({"outlet", mm(0, 2500), mm(0, 500), mm(20, 600), mm(20, 400), {}});
        if (chance(0.08))
            shelf.board_mass = Mass::kg(number(0.5, 30));
        if (auto* rods = std::get_if<OnHiddenRods>(&shelf.holding); rods && chance(0.3))
            rods->tight = mm(0, 3);
    }

    CabinetUnit unit(const std::string& id, bool hung) {
        CabinetUnit unit;
        unit.id = unit.name = id;
        unit.kind = hung ? UnitKind::wall : (chance(0.4) ? UnitKind::tall : UnitKind::base);
        unit.width = mm(150, 1200);
        unit.height = unit.kind == UnitKind::tall ? mm(1900, 2400) : mm(300, 1000);
        unit.depth = hung ? mm(200, 450) : mm(450, 650);
        unit.mass = chance(0.8) ? Mass::kg(number(4, 60)) : Mass{};
        unit.doors_mass = chance(0.5) ? Mass::kg(number(0, 8)) : Mass{};
        if (chance(0.6))
            unit.loaded_mass = Mass::kg(number(10, 200));
        unit.hinge = one_of<DoorHinge>(5);
        if (chance(0.85)) {
            unit.rails = {{mm(20, 80), 80_mm, mm(8, 25)}};
            if (chance(0.8))
                unit.rails.push_back({unit.height - mm(20, 80), 80_mm, mm(8, 25)});
        } else {
            unit.back = mm(3, 20);
        }
        unit.rail_wood = one_of<Species>(7);
        return unit;
    }

    void add_run(Wall& wall, const std::string& id) {
        Run run;
        run.id = run.name = id;
        run.level = chance(0.7) ? RunLevel::wall : RunLevel::floor;
        run.slack = Slack::by_hand;
        run.left = mm(0, 1500);
        run.open_end = true;
        const int units = whole(1, 3);
        const Hanging hanging = chance(0.6) ? Hanging::screws : Hanging::suspension_rail;
        for (int i = 0; i < units; ++i) {
            run.units.push_back(unit(id + "-" + std::to_string(i), run.level == RunLevel::wall));
            if (run.level == RunLevel::wall)
                run.units.back().hanging = hanging;
            if (chance(0.5))
                run.units.back().hook_rating = Force::newtons(number(200, 1500));
        }
        // By what was drawn already, so that the jobs of a seed stay what they were.
        if (run.level == RunLevel::floor && units > 1)
            run.channel = 30_mm;
        if (units == 3)
            run.measured_from = TapeEnd::right;
        wall.runs.push_back(std::move(run));
    }

    void add_piece(Wall& wall, const std::string& id) {
        Piece piece;
        piece.id = piece.name = id;
        piece.left = mm(0, 3000);
        piece.width = mm(300, 1600);
        piece.height = mm(400, 2300);
        piece.depth = mm(200, 700);
        piece.mass = Mass::kg(number(5, 120));
        piece.children = chance(0.5);
        const int drawers = whole(0, 4);
        for (int i = 0; i < drawers; ++i)
            piece.drawers.push_back(
                {piece.height * (i + 1) / (drawers + 1), mm(200, 450), mm(100, 250), Mass::kg(number(1, 8)), {}, {}});
        piece.restraint.kind = one_of<RestraintKind>(5);
        piece.restraint.number = whole(1, 3);
        piece.restraint.down = mm(10, 300);
        piece.restraint.through = mm(4, 30);
        piece.restraint.wood = one_of<Species>(7);
        if (chance(0.5))
            piece.restraint.rating = Force::newtons(number(50, 1500));
        if (chance(0.3)) {
            piece.restraint.gauge = one_of<ScrewGauge>(3);
            piece.restraint.screw_length = mm(20, 110);
        }
        wall.pieces.push_back(std::move(piece));
    }

    void add_system(Wall& wall, const std::string& id) {
        StorageSystem system;
        system.id = system.name = id;
        system.left = mm(0, 1200);
        system.width = mm(500, 3000);
        system.depth = mm(300, 650);
        system.hung = chance(0.5);
        system.top = system.panel_height + mm(0, 300);
        const int bays = whole(1, 4);
        for (int i = 0; i < bays; ++i) {
            Bay bay;
            bay.id = id + "-bay-" + std::to_string(i);
            bay.kind = one_of<BayKind>(6);
            bay.load = load();
            if (std::bernoulli_distribution{0.3}(aside_))
                bay.height = Length::mm(std::uniform_int_distribution<int>{600, 2300}(aside_));
            if (std::bernoulli_distribution{0.2}(aside_))
                bay.stands = std::bernoulli_distribution{0.5}(aside_) ? BayStands::on_floor : BayStands::hung;
            system.bays.push_back(std::move(bay));
        }
        wall.systems.push_back(std::move(system));
    }

    void add_box(Wall& wall, const std::string& id) {
        WallBox box = new_box(wall);
        box.id = box.name = id;
        box.left = mm(0, 3000);
        box.width = mm(200, 1500);
        box.height = mm(200, 1400);
        box.depth = mm(120, 400);
        box.top = mm(1000, 2300);
        box.shelves = whole(0, 4);
        box.rail_thickness = chance(0.5) ? mm(8, 25) : Length{};
        box.load = load();
        wall.boxes.push_back(std::move(box));
    }

    void add_hung(Wall& wall, const std::string& id) {
        HungCabinet hung;
        hung.id = id;
        hung.unit = unit(id + "-unit", true);
        hung.left = mm(0, 3000);
        hung.top = mm(1500, 2300);
        hung.top_screws = whole(0, 5);
        hung.bottom_screws = whole(0, 4);
        hung.studs = whole(0, 3);
        if (chance(0.8)) {
            hung.gauge = one_of<ScrewGauge>(3);
            hung.screw_length = mm(25, 110);
        }
        hung.broad_heads = chance(0.5);
        wall.hung.push_back(std::move(hung));
    }

    std::mt19937_64 draw_;
    std::mt19937_64 aside_; ///< for what came later, so that a seed goes on giving the same things
};

} // namespace yes_square
