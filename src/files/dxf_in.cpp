#include "files/dxf_in.hpp"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <dxflib/dl_creationadapter.h>
#include <dxflib/dl_dxf.h>
#include <fmt/format.h>
#include <map>
#include <numeric>

namespace yes_square {
namespace {

constexpr std::size_t most_in_cell = 8; ///< ends of lines kept of one corner
constexpr double meets = 0.5;           ///< mm: ends of lines nearer than this are one corner

struct Extent {
    double left = 0;
    double right = 0;
    double bottom = 0;
    double top = 0;

    static Extent at(double x, double y) { return {x, x, y, y}; }
    void take(const Extent& other) {
        left = std::min(left, other.left);
        right = std::max(right, other.right);
        bottom = std::min(bottom, other.bottom);
        top = std::max(top, other.top);
    }
    double width() const { return right - left; }
    double height() const { return top - bottom; }
};

struct Segment {
    double x1, y1, x2, y2;
};

/// What lies on a layer: outlines with their extents, and loose lines.
struct Layer {
    std::vector<Extent> outlines;
    std::vector<Segment> lines;
};

class Collector : public DL_CreationAdapter {
public:
    std::map<std::string, Layer> layers;
    double to_mm = 1;

    void setVariableInt(const std::string& key, int value, int) override {
        if (key != "$INSUNITS")
            return;
        to_mm = value == 1 ? 25.4 : value == 2 ? 304.8 : value == 5 ? 10 : value == 6 ? 1000 : 1;
    }
    void addLine(const DL_LineData& line) override { layer().lines.push_back({line.x1, line.y1, line.x2, line.y2}); }
    void addCircle(const DL_CircleData& circle) override {
        layer().outlines.push_back({circle.cx - circle.radius, circle.cx + circle.radius, circle.cy - circle.radius,
                                    circle.cy + circle.radius});
    }
    void addPoint(const DL_PointData& point) override { layer().outlines.push_back(Extent::at(point.x, point.y)); }
    void addPolyline(const DL_PolylineData&) override { begun_ = false; }
    void addVertex(const DL_VertexData& vertex) override {
        auto& outlines = layer().outlines;
        const Extent here = Extent::at(vertex.x, vertex.y);
        if (begun_ && !outlines.empty())
            outlines.back().take(here);
        else
            outlines.push_back(here);
        begun_ = true;
    }
    void endEntity() override {}

private:
    Layer& layer() {
        std::string name = getAttributes().getLayer();
        std::ranges::transform(name, name.begin(), [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
        return layers[name];
    }
    bool begun_ = false;
};

/// Lines whose ends meet are one outline.
std::vector<Extent> outlines_of(const Layer& layer) {
    std::vector<Extent> found = layer.outlines;
    // Ends are looked for in a grid as coarse as they may miss one another, so that a large drawing takes no longer by
    // the line than a small one.
    std::vector<std::size_t> group(layer.lines.size());
    std::iota(group.begin(), group.end(), std::size_t{0});
    const auto root = [&](std::size_t i) {
        while (group[i] != i)
            i = group[i] = group[group[i]];
        return i;
    };
    struct End {
        double x, y;
        std::size_t line;
    };
    std::map<std::pair<long long, long long>, std::vector<End>> grid;
    for (std::size_t i = 0; i < layer.lines.size(); ++i)
        for (const End& end :
             {End{layer.lines[i].x1, layer.lines[i].y1, i}, End{layer.lines[i].x2, layer.lines[i].y2, i}}) {
            const auto cell = std::pair{std::llround(end.x / meets), std::llround(end.y / meets)};
            for (const long long dx : {-1, 0, 1})
                for (const long long dy : {-1, 0, 1})
                    if (const auto near = grid.find({cell.first + dx, cell.second + dy}); near != grid.end())
                        for (const End& other : near->second)
                            if (std::hypot(end.x - other.x, end.y - other.y) <= meets) {
                                group[root(i)] = root(other.line);
                                break; // those of one cell are joined already, or will be
                            }
            auto& here = grid[cell];
            if (here.size() < most_in_cell)
                here.push_back(end);
        }
    for (std::size_t i = 0; i < group.size(); ++i)
        group[i] = root(i);
    std::map<std::size_t, Extent> joined;
    for (std::size_t i = 0; i < layer.lines.size(); ++i) {
        const Segment& s = layer.lines[i];
        Extent extent = Extent::at(s.x1, s.y1);
        extent.take(Extent::at(s.x2, s.y2));
        const auto [place, first] = joined.emplace(group[i], extent);
        if (!first)
            place->second.take(extent);
    }
    for (const auto& [which, extent] : joined)
        found.push_back(extent);
    return found;
}

} // namespace

tl::expected<Wall, std::string> wall_from_dxf(const std::string& path) {
    Collector read;
    DL_Dxf dxf;
    if (!dxf.in(path, &read))
        return tl::unexpected{fmt::format("{} cannot be read as DXF; check the name and save it as ASCII DXF", path)};
    const auto outlines = [&](const char* name) {
        const auto found = read.layers.find(name);
        return found == read.layers.end() ? std::vector<Extent>{} : outlines_of(found->second);
    };
    const std::vector<Extent> walls = outlines("WALL");
    if (walls.empty())
        return tl::unexpected{fmt::format("{}: nothing on layer WALL; draw the wall's outline there", path)};
    Extent outline = walls.front();
    for (const Extent& each : walls)
        outline.take(each);
    const auto mm = [&](double units) { return Length::nearest_to_metres(std::round(units * read.to_mm * 1e3) / 1e6); };
    if (outline.width() * read.to_mm < 1 || outline.height() * read.to_mm < 1 || outline.width() * read.to_mm > 1e6)
        return tl::unexpected{fmt::format(
            "{}: the outline on layer WALL is {:.4g} x {:.4g} mm; draw it in elevation, in the units the file "
            "states",
            path, outline.width() * read.to_mm, outline.height() * read.to_mm)};
    const auto far_off = [&](const Extent& each) {
        const double reach = outline.width() + outline.height();
        return each.left < outline.left - reach || each.right > outline.right + reach ||
               each.bottom < outline.bottom - reach || each.top > outline.top + reach;
    };
    for (const char* name : {"WINDOW", "DOOR", "SOCKET", "SWITCH", "PIPE", "STUD", "OBSTACLE"})
        for (const Extent& each : outlines(name))
            if (far_off(each))
                return tl::unexpected{
                    fmt::format("{}: something on layer {} lies far outside the wall; move it or take it "
                                "out of the drawing",
                                path, name)};
    Wall wall;
    wall.length = mm(outline.width());
    wall.height = mm(outline.height());
    const auto left = [&](double x) { return std::max(Length{}, mm(x - outline.left)); };
    const auto up = [&](double y) { return std::max(Length{}, mm(y - outline.bottom)); };
    for (const auto& [name, kind] : {std::pair{"WINDOW", OpeningKind::window}, std::pair{"DOOR", OpeningKind::door}})
        for (const Extent& each : outlines(name)) {
            if (each.width() <= 0 || each.height() <= 0)
                return tl::unexpected{fmt::format("{}: an outline on layer {} has no size; close it", path, name)};
            Opening& opening = wall.openings.emplace_back();
            opening.kind = kind;
            opening.left = left(each.left);
            opening.bottom = up(each.bottom);
            opening.width = mm(each.width());
            opening.height = mm(each.height());
        }
    for (const auto& [name, kind] : {std::pair{"SOCKET", ServiceKind::socket},
                                     std::pair{"SWITCH", ServiceKind::switch_}, std::pair{"PIPE", ServiceKind::pipe}})
        for (const Extent& each : outlines(name)) {
            ServicePoint& service = wall.services.emplace_back();
            service.kind = kind;
            service.centre = left((each.left + each.right) / 2);
            service.height = mm((each.bottom + each.top) / 2 - outline.bottom);
            if (each.width() > 0)
                service.width = mm(each.width());
        }
    for (const Extent& each : outlines("STUD")) {
        Stud& stud = wall.studs.emplace_back();
        stud.centre = left((each.left + each.right) / 2);
        stud.state = StudState::assumed;
    }
    std::ranges::sort(wall.studs, {}, &Stud::centre);
    for (const Extent& each : outlines("OBSTACLE"))
        if (each.width() > 0 && each.height() > 0) {
            Obstacle& obstacle = wall.obstacles.emplace_back();
            obstacle.kind = ObstacleKind::other;
            obstacle.left = left(each.left);
            obstacle.bottom = up(each.bottom);
            obstacle.width = mm(each.width());
            obstacle.height = mm(each.height());
        }
    return wall;
}

} // namespace yes_square
