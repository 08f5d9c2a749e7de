#include "files/dxf_in.hpp"

#include "core/measure/conversions.hpp"

#include "files/wall_outline.hpp"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <dxflib/dl_creationadapter.h>
#include <dxflib/dl_dxf.h>
#include <fmt/format.h>
#include <map>
#include <numeric>
#include <optional>
#include <set>

namespace yes_square {
namespace {

constexpr std::size_t most_in_cell = 8; ///< ends of lines kept of one corner
constexpr double meets = 0.5;           ///< mm: ends of lines nearer than this are one corner
constexpr double farthest = 1e12;       ///< from the drawing's origin, in its units; no place is one that is none

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
    bool holds(const Extent& other) const {
        return left <= other.left && right >= other.right && bottom <= other.bottom && top >= other.top;
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
    bool strayed = false; ///< something lies where nothing can
};

class Collector : public DL_CreationAdapter {
public:
    std::map<std::string, Layer> layers;
    double to_mm = 1;

    void setVariableInt(const std::string& key, int value, int) override {
        if (key != "$INSUNITS")
            return;
        to_mm = value == 1 ? mm_per_inch : value == 2 ? mm_per_foot : value == 5 ? 10 : value == 6 ? 1000 : 1;
    }
    void addLine(const DL_LineData& line) override {
        if (near(line.x1, line.y1) && near(line.x2, line.y2))
            layer().lines.push_back({line.x1, line.y1, line.x2, line.y2});
    }
    void addCircle(const DL_CircleData& circle) override {
        if (near(circle.cx, circle.cy) && near(circle.radius, 0))
            layer().outlines.push_back({circle.cx - circle.radius, circle.cx + circle.radius, circle.cy - circle.radius,
                                        circle.cy + circle.radius});
    }
    void addPoint(const DL_PointData& point) override {
        if (near(point.x, point.y))
            layer().outlines.push_back(Extent::at(point.x, point.y));
    }
    void addPolyline(const DL_PolylineData&) override { begun_ = false; }
    void addVertex(const DL_VertexData& vertex) override {
        if (!near(vertex.x, vertex.y))
            return;
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
    bool near(double x, double y) {
        const bool there = std::abs(x) <= farthest && std::abs(y) <= farthest;
        layer().strayed |= !there;
        return there;
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

/// Turns what lies on the layers into a wall.
class OutlineReader {
public:
    OutlineReader(const std::string& path, const Collector& read)
        : path_{path}
        , read_{read} {}

    tl::expected<DrawnWall, std::string> wall() {
        const std::vector<Extent> walls = on(wall_layer);
        if (problem_)
            return tl::unexpected{*problem_};
        if (walls.empty())
            return tl::unexpected{
                fmt::format("{}: nothing on layer {}; draw the wall's outline there", path_, wall_layer)};
        outline_ = walls.front();
        for (const Extent& each : walls)
            outline_.take(each);
        if (outline_.width() * read_.to_mm < 1 || outline_.height() * read_.to_mm < 1 ||
            outline_.width() * read_.to_mm > longest_wall || outline_.height() * read_.to_mm > longest_wall)
            return tl::unexpected{
                fmt::format("{}: the outline on layer {} is {:.4g} x {:.4g} mm; draw it in elevation, in the units the "
                            "file states",
                            path_, wall_layer, outline_.width() * read_.to_mm, outline_.height() * read_.to_mm)};
        DrawnWall drawn;
        drawn.wall.length = mm(outline_.width());
        drawn.wall.height = mm(outline_.height());
        openings(drawn.wall);
        services(drawn.wall);
        studs(drawn.wall);
        obstacles(drawn.wall);
        if (problem_)
            return tl::unexpected{*problem_};
        for (const auto& [name, layer] : read_.layers)
            if (!known_.contains(name) && !name.starts_with(sheet_prefix))
                drawn.unread.push_back(name);
        return drawn;
    }

private:
    static constexpr double longest_wall = 1e6; ///< mm

    std::vector<Extent> on(std::string_view name) {
        known_.emplace(name);
        const auto found = read_.layers.find(std::string{name});
        if (found == read_.layers.end())
            return {};
        std::vector<Extent> outlines = outlines_of(found->second);
        const double reach = outline_.width() + outline_.height();
        const bool far = name != wall_layer && std::ranges::any_of(outlines, [&](const Extent& each) {
                             return each.left < outline_.left - reach || each.right > outline_.right + reach ||
                                    each.bottom < outline_.bottom - reach || each.top > outline_.top + reach;
                         });
        if (!far && !found->second.strayed)
            return outlines;
        problem_ = fmt::format("{}: something on layer {} lies far outside the wall; move it or take it out of the "
                               "drawing",
                               path_, name);
        return {}; // no figure of it is one of a wall
    }
    /// Outlines that have a size.
    std::vector<Extent> boxes(std::string_view name) {
        std::vector<Extent> outlines = on(name);
        if (std::ranges::any_of(outlines, [](const Extent& each) { return each.width() <= 0 || each.height() <= 0; }))
            problem_ = fmt::format("{}: an outline on layer {} has no size; close it", path_, name);
        return outlines;
    }
    Length mm(double units) const { return Length::nearest_to_metres(units * read_.to_mm / 1e3); }
    Length left(double x) const { return std::max(Length{}, mm(x - outline_.left)); }
    Length up(double y) const { return std::max(Length{}, mm(y - outline_.bottom)); }

    /// Where an opening or an obstacle stands.
    void stand(auto& part, const Extent& outline) const {
        part.left = left(outline.left);
        part.bottom = up(outline.bottom);
        part.width = mm(outline.width());
        part.height = mm(outline.height());
    }
    void openings(Wall& wall) {
        for (const OpeningLayer& layer : opening_layers) {
            const std::vector<Extent> trims = boxes(layer.trim);
            for (const Extent& each : boxes(layer.layer)) {
                Opening& opening = wall.openings.emplace_back();
                opening.kind = layer.kind;
                stand(opening, each);
                if (const auto clear = std::ranges::find_if(trims, [&](const Extent& it) { return each.holds(it); });
                    clear != trims.end())
                    opening.trim = mm(clear->left - each.left);
            }
        }
    }
    void services(Wall& wall) {
        for (const ServiceLayer& layer : service_layers)
            for (const bool far_side : {false, true})
                for (const Extent& each : on(far_side ? layer.far_side : layer.layer)) {
                    ServicePoint& service = wall.services.emplace_back();
                    service.kind = layer.kind;
                    service.far_side = far_side;
                    service.centre = left((each.left + each.right) / 2);
                    service.height = mm((each.bottom + each.top) / 2 - outline_.bottom);
                    if (each.width() > 0)
                        service.width = mm(each.width());
                }
    }
    void studs(Wall& wall) {
        const auto add = [&](const Extent& each, StudState state) -> Stud& {
            Stud& stud = wall.studs.emplace_back();
            stud.centre = left((each.left + each.right) / 2);
            stud.state = state;
            return stud;
        };
        for (const StudLayer& layer : stud_layers)
            for (const Extent& each : on(layer.layer))
                if (Stud& stud = add(each, layer.state); each.width() > 0)
                    stud.uncertainty = mm(each.width() / 2);
        for (const Extent& each : on(plain_stud_layer))
            add(each, StudState::assumed);
        std::ranges::stable_sort(wall.studs, {}, &Stud::centre);
    }
    void obstacles(Wall& wall) {
        const std::vector<Extent> clearances = boxes(clearance_layer);
        for (const ObstacleLayer& layer : obstacle_layers)
            for (const Extent& each : boxes(layer.layer)) {
                Obstacle& obstacle = wall.obstacles.emplace_back();
                obstacle.kind = layer.kind;
                stand(obstacle, each);
                if (const auto free =
                        std::ranges::find_if(clearances, [&](const Extent& it) { return it.holds(each); });
                    free != clearances.end())
                    obstacle.clearance = mm(each.left - free->left);
            }
    }

    const std::string& path_;
    const Collector& read_;
    Extent outline_;
    std::set<std::string> known_{"0", "DEFPOINTS"};
    std::optional<std::string> problem_;
};

/// The library throws at some lines that are cut short.
bool collected(DL_Dxf& dxf, const std::string& path, Collector& into) {
    try {
        return dxf.in(path, &into);
    } catch (const std::exception&) {
        return false;
    }
}

} // namespace

tl::expected<DrawnWall, std::string> wall_from_dxf(const std::string& path) {
    Collector read;
    DL_Dxf dxf;
    if (!collected(dxf, path, read))
        return tl::unexpected{fmt::format("{} cannot be read as DXF; check the name and save it as ASCII DXF", path)};
    return OutlineReader{path, read}.wall();
}

void take_outline(Wall& wall, Wall drawn) {
    wall.length = drawn.length;
    wall.height = drawn.height;
    wall.openings = std::move(drawn.openings);
    wall.services = std::move(drawn.services);
    wall.obstacles = std::move(drawn.obstacles);
    if (!drawn.studs.empty())
        wall.studs = std::move(drawn.studs);
}

} // namespace yes_square
