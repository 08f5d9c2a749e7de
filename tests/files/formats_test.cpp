#include "../core/demo_job.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/measure/csv_table.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/cut_out_template.hpp"
#include "core/sheets/drill_template.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"
#include "files/dxf_in.hpp"
#include "files/dxf_out.hpp"
#include "files/save_job.hpp"

#include <array>
#include <catch2/catch.hpp>
#include <charconv>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <map>
#include <random>
#include <set>
#include <sstream>
#include <tuple>
#include <unistd.h>

using namespace yes_square;

namespace {

std::string out(const std::string& command) {
    FILE* pipe = popen((command + " 2>&1").c_str(), "r");
    REQUIRE(pipe);
    std::string said;
    std::array<char, 4096> piece{};
    while (const std::size_t count = fread(piece.data(), 1, piece.size(), pipe))
        said.append(piece.data(), count);
    pclose(pipe);
    return said;
}

/// A file of this test alone, gone after it.
struct Scratch {
    std::filesystem::path path;
    explicit Scratch(const std::string& name)
        : path{std::filesystem::temp_directory_path() / (std::to_string(getpid()) + "-" + name)} {}
    ~Scratch() { std::filesystem::remove(path); }
};

Elevation elevation_of(const Job& job, const Plan& plan, std::size_t wall) {
    return draw_elevation(job.walls[wall], *plan.walls[wall], {}, {job.unit, {}});
}

/// A drawing as DXF in a file of the test's own.
void draw_into(const Scratch& file, const Drawing& drawing, const std::optional<ElevationScale>& scale,
               const std::vector<OutlineMark>& outline = {}) {
    const auto text = dxf_text(drawing, scale, outline);
    REQUIRE(text);
    std::ofstream{file.path, std::ios::binary} << *text;
}

} // namespace

TEST_CASE("every wall of the demo opens clean in an auditing reader, at true scale", "[formats][dxf]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        const Scratch file{"wall.dxf"};
        const Elevation elevation = elevation_of(job, plan, w);
        draw_into(file, elevation.drawing, elevation.scale);
        // ezdxf by Debian's own python: errors, fixes, and an outline of the size of the wall.
        const std::string said =
            out("/usr/bin/python3 -c \"import ezdxf,sys\n"
                "d=ezdxf.readfile(sys.argv[1]); a=d.audit()\n"
                "m=d.modelspace(); b=[]\n"
                "for e in m.query('POLYLINE'):\n"
                "  v=[p.dxf.location for p in e.vertices]\n"
                "  b.append((max(p.x for p in v)-min(p.x for p in v), max(p.y for p in v)-min(p.y for p in v)))\n"
                "print(len(a.errors), len(a.fixes), len(m)>5, any(abs(x-float(sys.argv[2]))<0.1 and "
                "abs(y-float(sys.argv[3]))<0.1 for x,y in b))\" " +
                file.path.string() + " " + std::to_string(job.walls[w].length.in_mm()) + " " +
                std::to_string(job.walls[w].height.in_mm()));
        CHECK(said == "0 0 True True\n");
    }
}

TEST_CASE("an outline on named layers becomes a wall", "[formats][dxf]") {
    const Scratch file{"outline.dxf"};
    // Drawn by the independent writer: a polyline, loose lines, a circle; in inches; set off from the origin.
    const std::string drawn =
        out("/usr/bin/python3 -c \"import ezdxf,sys\n"
            "d=ezdxf.new('R2000'); d.header['\\$INSUNITS']=1; m=d.modelspace()\n"
            "m.add_lwpolyline([(10,5),(130,5),(130,101),(10,101)],close=True,dxfattribs={'layer':'Wall'})\n"
            "c=[(40,41),(70,41),(70,81),(40,81)]\n"
            "for i in range(4): m.add_line(c[i],c[(i+1)%4],dxfattribs={'layer':'WINDOW'})\n"
            "m.add_lwpolyline([(100,5),(132,5),(132,85),(100,85)],close=True,dxfattribs={'layer':'DOOR'})\n"
            "m.add_circle((22,17),1.5,dxfattribs={'layer':'SOCKET'})\n"
            "m.add_line((26,5),(26,101),dxfattribs={'layer':'STUD'})\n"
            "m.add_line((0,0),(500,0),dxfattribs={'layer':'NOTES'})\n"
            "d.saveas(sys.argv[1]); print('ok')\" " +
            file.path.string());
    REQUIRE(drawn == "ok\n");
    const auto read = wall_from_dxf(file.path.string());
    REQUIRE(read);
    CHECK(read->unread == std::vector<std::string>{"NOTES"});
    const Wall* wall = &read->wall;
    CHECK(wall->length == 120_in);
    CHECK(wall->height == 96_in);
    REQUIRE(wall->openings.size() == 2);
    CHECK(wall->openings[0].kind == OpeningKind::window);
    CHECK(wall->openings[0].left == 30_in);
    CHECK(wall->openings[0].bottom == 36_in);
    CHECK(wall->openings[0].width == 30_in);
    CHECK(wall->openings[0].height == 40_in);
    CHECK(wall->openings[1].kind == OpeningKind::door);
    CHECK(wall->openings[1].height == 80_in);
    REQUIRE(wall->services.size() == 1);
    CHECK(wall->services[0].centre == 12_in);
    CHECK(wall->services[0].height == 12_in);
    CHECK(wall->services[0].width == 3_in);
    REQUIRE(wall->studs.size() == 1);
    CHECK(wall->studs[0].centre == 16_in);
    CHECK(wall->studs[0].state == StudState::assumed);
}

TEST_CASE("a wall's outline goes out and comes back", "[formats][dxf][nothing-lost]") {
    std::mt19937 random{2026};
    const auto any = [&](int least, int most) {
        return Length::micrometres(std::uniform_int_distribution{least, most}(random));
    };
    const auto round_trip = [](const Wall& wall, const std::vector<Stud>& studs, const Drawing& drawing,
                               const std::optional<ElevationScale>& scale) {
        const Scratch file{"round.dxf"};
        draw_into(file, drawing, scale, outline_of(wall, studs));
        const auto read = wall_from_dxf(file.path.string());
        REQUIRE(read);
        CHECK(read->unread.empty());
        CHECK(read->wall.length == wall.length);
        CHECK(read->wall.height == wall.height);
        CHECK(read->wall.studs == studs);
        // Lists by kind: the order of a drawing is not kept.
        const auto same = [](auto ours, auto theirs, auto less) {
            std::ranges::sort(ours, less);
            std::ranges::sort(theirs, less);
            CHECK(ours == theirs);
        };
        const auto at = [](const auto& a) { return std::tuple{a.kind, a.left, a.bottom}; };
        same(wall.openings, read->wall.openings, [&](const auto& a, const auto& b) { return at(a) < at(b); });
        same(wall.obstacles, read->wall.obstacles, [&](const auto& a, const auto& b) { return at(a) < at(b); });
        same(wall.services, read->wall.services, [](const auto& a, const auto& b) {
            return std::tuple{a.kind, a.centre, a.height} < std::tuple{b.kind, b.centre, b.height};
        });
    };
    for (int turn = 0; turn < 20; ++turn) {
        Wall wall;
        wall.length = any(3'000'000, 9'000'000);
        wall.height = any(2'000'000, 3'500'000);
        for (int i = 0; i < 3; ++i) {
            wall.openings.push_back({i == 0 ? OpeningKind::door : OpeningKind::window, any(0, 900'000) + 1000_mm * i,
                                     any(0, 900'000), any(400'000, 900'000), any(400'000, 900'000),
                                     i == 1 ? Length{} : any(1000, 90'000)});
            wall.obstacles.push_back({static_cast<ObstacleKind>(std::uniform_int_distribution{0, 6}(random)),
                                      any(0, 400'000) + 1000_mm * i, any(100'000, 900'000), any(10'000, 500'000),
                                      any(10'000, 500'000), i == 2 ? Length{} : any(1000, 90'000)});
        }
        std::vector<Stud> studs;
        for (int i = 0; i < 4; ++i) {
            wall.services.push_back({static_cast<ServiceKind>(i), any(100'000, 900'000) + 500_mm * i,
                                     any(100'000, 900'000), any(20'000, 150'000), i % 2 == 1});
            studs.push_back({any(10'000, 50'000) + 400_mm * i, static_cast<StudState>(i % 3), any(100, 9000)});
        }
        round_trip(wall, studs, {}, std::nullopt);
    }
    const Job job = demo_job();
    const Plan plan = reckon(job);
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        const Elevation elevation = elevation_of(job, plan, w);
        round_trip(job.walls[w], plan.walls[w]->survey.studs, elevation.drawing, elevation.scale);
    }
}

TEST_CASE("a drawing without a wall, or none at all, is a named error", "[formats][dxf]") {
    const Scratch file{"empty.dxf"};
    draw_into(file, {100, 100, {{Line{{0, 0}, {10, 10}, Ink::tick}}}}, std::nullopt);
    const auto none = wall_from_dxf(file.path.string());
    REQUIRE_FALSE(none);
    CHECK(none.error().find("layer WALL") != std::string::npos);
    CHECK_FALSE(wall_from_dxf("/nowhere/at/all.dxf"));
}

TEST_CASE("an SVG has its size in mm and every text of the drawing", "[formats]") {
    const Job job = demo_job();
    const Elevation elevation = elevation_of(job, reckon(job), 0);
    const std::string text = svg(elevation.drawing, "Reading room <north> & \"east\"");
    CHECK(text.find("width=\"250.000mm\" height=\"150.000mm\" viewBox=\"0 0 250.000 150.000\"") != std::string::npos);
    CHECK(text.find("<title>Reading room &lt;north&gt; &amp; &quot;east&quot;</title>") != std::string::npos);
    std::size_t shapes = 0;
    for (const char* tag : {"<line ", "<rect ", "<circle ", "<polygon ", "<text "})
        for (std::size_t at = 0; (at = text.find(tag, at)) != std::string::npos; ++at)
            ++shapes;
    const auto blanks = std::ranges::count_if(elevation.drawing.shapes, [](const Shape& shape) {
        const auto* words = std::get_if<Text>(&shape.form);
        return words && words->breaks_lines;
    });
    // The ground, the line of the hatching, and the blank paper of words that break what they lie on.
    CHECK(shapes == elevation.drawing.shapes.size() + 2 + static_cast<std::size_t>(blanks));
    const Scratch file{"drawing.svg"};
    std::ofstream{file.path} << text;
    CHECK(out("/usr/bin/python3 -c \"import sys,xml.dom.minidom as m; m.parse(sys.argv[1]); print('well formed')\" " +
              file.path.string()) == "well formed\n");
}

TEST_CASE("every table goes to CSV and comes back cell by cell", "[formats]") {
    Job job = demo_job();
    job.log.push_back({LogKind::note, "2026-03-05T10:00:00Z", "A", "", "said \"no\", twice\nand left", "", "", "", {}});
    const std::vector<Table> tables = tables_of(job, reckon(job));
    std::set<std::string> names;
    for (const Table& table : tables) {
        CHECK(names.insert(table.name).second);
        const auto lines = read_csv(csv(table));
        REQUIRE(lines);
        REQUIRE(lines->size() == table.rows.size() + 1);
        CHECK(lines->front().cells == table.headings);
        for (std::size_t r = 0; r < table.rows.size(); ++r)
            CHECK((*lines)[r + 1].cells == table.rows[r]);
    }
    for (const char* name : {"marks", "studs", "fixings", "cut-list", "bench-work", "cutting-plan", "kit", "delivery",
                             "steps", "days", "checks", "readings", "log", "tipping", "feeds", "lines"})
        CHECK(names.contains(name));
}

TEST_CASE("tables with decimal commas hold the same figures, and what looks like a formula stays words", "[formats]") {
    const Table table{"odd",
                      {"name", "x_mm", "mind"},
                      {{"=HYPERLINK(1)", "812.5", "a; b"}, {"+ shelf", "-3.25", "@home"}, {"1,5", "1e-05", "-"}}};
    CHECK(csv(table) == "name,x_mm,mind\r\n'=HYPERLINK(1),812.5,a; b\r\n'+ shelf,-3.25,'@home\r\n\"1,5\",1e-05,'-\r\n");
    CHECK(csv(table, CsvFigures::with_commas) ==
          "name;x_mm;mind\r\n'=HYPERLINK(1);812,5;\"a; b\"\r\n'+ shelf;-3,25;'@home\r\n1,5;1e-05;'-\r\n");
    const Job job = demo_job();
    for (const Table& each : tables_of(job, reckon(job))) {
        const auto points = read_csv(csv(each));
        const auto commas = read_csv(csv(each, CsvFigures::with_commas));
        REQUIRE(points);
        REQUIRE(commas);
        REQUIRE(points->size() == commas->size());
        for (std::size_t r = 0; r < points->size(); ++r) {
            auto cells = (*commas)[r].cells;
            REQUIRE(cells.size() == (*points)[r].cells.size());
            for (std::size_t c = 0; c < cells.size(); ++c) {
                const std::string& with_point = (*points)[r].cells[c];
                double figure = 0;
                const auto [end, error] =
                    std::from_chars(with_point.data(), with_point.data() + with_point.size(), figure);
                const bool is_figure = error == std::errc{} && end == with_point.data() + with_point.size();
                if (is_figure)
                    std::ranges::replace(cells[c], ',', '.');
                CHECK(cells[c] == with_point);
            }
        }
    }
}

TEST_CASE("a template's holes lie at their true distances, and neighbours share their crosses", "[formats][template]") {
    std::vector<WallMark> marks;
    for (const auto& [x, z] :
         {std::pair{1000, 1500}, std::pair{1000, 1400}, std::pair{1170, 1500}, std::pair{1600, 1380}}) {
        WallMark mark;
        mark.x = Length::mm(x);
        mark.z = Length::mm(z);
        marks.push_back(mark);
    }
    WallMark line;
    line.kind = MarkKind::level_line;
    line.x = 900_mm;
    line.to_x = 1700_mm;
    line.z = 1450_mm;
    marks.push_back(line);
    const Voice voice;
    const auto pages = drill_template("Shelf", marks, {}, 190, 270, voice);
    REQUIRE(pages.size() == 3);
    std::map<std::pair<double, double>, int> found;
    for (const TemplatePage& page : pages) {
        CHECK(page.drawing.width == 190);
        bool check_line = false;
        bool level = false;
        for (const Shape& shape : page.drawing.shapes) {
            if (const auto* circle = std::get_if<Circle>(&shape.form)) {
                // Paper x grows with the wall's; paper y falls as it rises, from the frame's lower edge 9 + 245 down.
                const double x = page.left.in_mm() + circle->centre.x;
                const double z = page.bottom.in_mm() + 254 - circle->centre.y;
                ++found[{x, z}];
            }
            if (const auto* drawn = std::get_if<Line>(&shape.form)) {
                check_line = check_line || (drawn->from.y == drawn->to.y && drawn->to.x - drawn->from.x == 100);
                level = level || drawn->ink == Ink::level;
            }
        }
        CHECK(check_line);
        CHECK(level);
    }
    for (const WallMark& mark : marks)
        if (mark.kind == MarkKind::hole)
            CHECK(found[{mark.x.in_mm(), mark.z.in_mm()}] >= 1);
    CHECK(found.size() == 4);
    // The first two lie side by side and share 10 mm: the right crosses of A lie on the left ones of B. The third
    // begins afresh beyond the gap, in whole mm.
    CHECK(pages[1].left - pages[0].left == 180_mm);
    CHECK(pages[2].left == 1575_mm);
    CHECK(drill_template("none", {}, {}, 190, 270, voice).empty());
}

TEST_CASE("every sawn edge of a cut-out lies at full size on its pages, whole, and an open side of a notch on none",
          "[formats][template][cut-out]") {
    BoardFromAbove board{2400_mm, 600_mm};
    // A sink that no page holds, and a notch for a pipe at the back edge.
    board.cut_outs = {{"sink", 300_mm, 60_mm, 560_mm, 480_mm}, {"pipe", 2000_mm, 0_mm, 60_mm, 40_mm}};
    const auto pages = cut_out_template("Worktop", board, 190, 270, {});
    REQUIRE(pages.size() > 4);
    // Marked in steps of a millimetre: along an edge lengthways by its z, front to back by its x.
    std::set<std::pair<long, long>> along;
    std::set<std::pair<long, long>> across;
    for (const TemplatePage& page : pages) {
        CHECK(page.left >= -30_mm);
        for (const Shape& shape : page.drawing.shapes)
            if (const auto* line = std::get_if<Line>(&shape.form); line && line->ink == Ink::hole) {
                const auto x = [&](double paper) { return std::lround(page.left.in_mm() + paper); };
                const auto z = [&](double paper) { return std::lround(page.bottom.in_mm() + 254 - paper); };
                for (long at = x(line->from.x); at < x(line->to.x); ++at)
                    along.insert({at, z(line->from.y)});
                for (long at = z(line->from.y); at < z(line->to.y); ++at)
                    across.insert({x(line->from.x), at});
            }
    }
    CHECK(along.size() == 2 * 560 + 60);
    CHECK(across.size() == 2 * 480 + 2 * 40);
    CHECK(along.contains({300, 600 - 60}));
    CHECK(along.contains({859, 600 - 540}));
    CHECK(across.contains({860, 60}));
    CHECK(along.contains({2000, 560}));
    CHECK_FALSE(along.contains({2030, 600})); // open there
    CHECK(cut_out_template("Plain", {2400_mm, 600_mm}, 190, 270, {}).empty());
}

TEST_CASE("a cutting plan is drawn with every part once", "[formats]") {
    const Job job = demo_job();
    const CuttingPlan plan = cutting_plan(job, reckon(job));
    REQUIRE(plan.stuffs.size() > 3);
    for (const StuffPlan& stuff : plan.stuffs) {
        const Drawing drawing = draw_cutting(stuff, 3_mm, 250, 3, {});
        std::size_t boards = 0;
        for (const Shape& shape : drawing.shapes)
            if (const auto* rectangle = std::get_if<Rectangle>(&shape.form)) {
                CHECK(rectangle->at.x + rectangle->width <= 250.5);
                CHECK(rectangle->at.y + rectangle->height <= drawing.height + 0.5);
                boards += rectangle->ink == Ink::board;
            }
        CHECK(boards == stuff.pieces.size());
    }
}

TEST_CASE("the command line saves as carefully as the window", "[formats][nothing-lost]") {
    const Scratch file{"careful.yesq"};
    const Scratch link{"careful-link.yesq"};
    const std::filesystem::path before = file.path.string() + "~";
    const std::filesystem::path lock = file.path.string() + ".lock";
    Job job = demo_job();
    REQUIRE(save_job(file.path.string(), job).empty());
    std::filesystem::permissions(file.path, std::filesystem::perms::owner_read | std::filesystem::perms::owner_write);
    std::filesystem::remove(link.path);
    std::filesystem::create_symlink(file.path, link.path);
    const std::string first = job.title;
    job.title = "Second";
    REQUIRE(save_job(link.path.string(), job).empty());
    CHECK(std::filesystem::is_symlink(link.path));
    CHECK((std::filesystem::status(file.path).permissions() & std::filesystem::perms::group_read) ==
          std::filesystem::perms::none);
    const auto read = [](const std::filesystem::path& path) {
        std::ifstream in{path};
        const std::string text{std::istreambuf_iterator<char>{in}, {}};
        return read_job(text)->job.title;
    };
    CHECK(read(file.path) == "Second");
    CHECK(read(before) == first);
    SECTION("not while a window has it") {
        std::ofstream{lock} << ::getpid() << "\nyes-square\n";
        CHECK(save_job(link.path.string(), job).find("open in a window") != std::string::npos);
    }
    SECTION("a lock left by a program that is gone is ignored") {
        std::ofstream{lock} << 999'999'999 << "\nyes-square\n";
        CHECK(save_job(file.path.string(), job).empty());
    }
    SECTION("not what could not be read again") {
        job.walls.front().id = "../x";
        CHECK(save_job(file.path.string(), job).find("would not open again") != std::string::npos);
        CHECK(read(file.path) == "Second");
    }
    std::filesystem::remove(lock);
    std::filesystem::remove(before);
}
