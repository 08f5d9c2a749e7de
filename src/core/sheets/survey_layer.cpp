#include "core/sheets/survey_layer.hpp"

#include "core/sheets/lettering.hpp"
#include "core/sheets/pen.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr int shades = 10;             ///< of the band
constexpr double band_strength = 0.75; ///< where wood is certain
constexpr double probe_row = 0.5;      ///< of the wall's height: where readings without a height are drawn

class ReadingsDrawer {
public:
    ReadingsDrawer(const Wall& wall, const WallSurvey& survey, const ElevationScale& scale, const ElevationFrame& frame,
                   const Voice& voice, Drawing& drawing)
        : wall_{wall}
        , survey_{survey}
        , scale_{scale}
        , frame_{frame}
        , voice_{voice}
        , pen_{scale, drawing} {}

    void draw() {
        switch (frame_.survey) {
        case SurveyLayer::none:
            return;
        case SurveyLayer::studs:
            for (const Observation& seen : wall_.observations)
                observation(seen);
            advice();
            return;
        case SurveyLayer::level:
            return level();
        case SurveyLayer::face:
            return face();
        }
    }

private:
    double text() const { return frame_.text; }

    void observation(const Observation& seen) {
        if (seen.x > wall_.length)
            return;
        const double x = scale_.x(seen.x);
        const double y = scale_.y(seen.z.value_or(Length::nearest_to_metres(wall_.height.in_metres() * probe_row)));
        const double r = 0.25 * text();
        switch (seen.kind) {
        case EvidenceKind::probe_hit:
            pen_.drawing.shapes.push_back({Circle{{x, y}, r, Ink::probe, Fill::plain}});
            return;
        case EvidenceKind::probe_miss:
            pen_.drawing.shapes.push_back({Circle{{x, y}, r, Ink::probe, Fill::none}});
            return;
        case EvidenceKind::left_edge:
        case EvidenceKind::right_edge: {
            // A bracket open towards the wood.
            const double in = seen.kind == EvidenceKind::left_edge ? r : -r;
            pen_.line(x, y - 2 * r, x, y + 2 * r, Ink::probe, 0.5);
            pen_.line(x, y - 2 * r, x + in, y - 2 * r, Ink::probe, 0.5);
            pen_.line(x, y + 2 * r, x + in, y + 2 * r, Ink::probe, 0.5);
            return;
        }
        case EvidenceKind::detector: {
            // Its middle, with its limit of error to either side.
            const double half = seen.error.value_or(12_mm).in_metres() * scale_.per_metre;
            pen_.line(x - half, y, x + half, y, Ink::probe, 0.35);
            pen_.line(x, y - 2 * r, x, y + 2 * r, Ink::probe, 0.5);
            return;
        }
        default:
            // Lesser traces: a short upright stroke and the word.
            pen_.line(x, y - 1.5 * r, x, y + 1.5 * r, Ink::probe, 0.35, Stroke::dashed);
            return;
        }
    }

    void advice() {
        if (!frame_.advice)
            return;
        const double x = scale_.x(frame_.advice->x);
        pen_.line(x, scale_.y(wall_.height) - 0.3 * text(), x, scale_.y({}), Ink::level, 0.5, Stroke::dashed);
        const std::string words = say({"Probe at {0}", {along(wall_, frame_.advice->x)}}, voice_);
        const double half = text_width(words, text(), true) / 2;
        const double middle =
            std::clamp(x, scale_.x({}) + half, std::max(scale_.x({}) + half, scale_.x(wall_.length) - half));
        pen_.text(middle, scale_.y(wall_.height) - 0.7 * text(), words, text(), Ink::level, Align::centre, true);
    }

    /// The level line with what was read from it, down and up.
    void level() {
        const FloorProfile& floor = survey_.floor;
        if (!floor.level_line)
            return;
        const double y = scale_.y(*floor.level_line);
        pen_.line(scale_.x({}) - 0.8 * text(), y, scale_.x(wall_.length) + 0.8 * text(), y, Ink::level, 0.5);
        pen_.text(scale_.x({}) + 0.4 * text(), y - 0.4 * text(),
                  say({"Level line, {0} above the datum", {quantity(*floor.level_line)}}, voice_), text(), Ink::level,
                  Align::left, true);
        const auto run = [&](const std::vector<ProfilePoint>& points, Ink ink) {
            for (std::size_t i = 1; i < points.size(); ++i)
                pen_.line(scale_.x(points[i - 1].x), scale_.y(points[i - 1].z), scale_.x(points[i].x),
                          scale_.y(points[i].z), ink, 0.5);
        };
        run(floor.floor, Ink::floor);
        run(floor.ceiling, Ink::wall);
        double taken_to = -1e9;
        const auto drop = [&](const ProfilePoint& point, double label_y) {
            const double x = scale_.x(point.x);
            pen_.line(x, y, x, scale_.y(point.z), Ink::level, 0.25, Stroke::dashed);
            const std::string figure = format_bare(absolute(*floor.level_line - point.z), voice_);
            const double half = text_width(figure, text(), true) / 2 + 0.25 * text();
            if (x - half < taken_to)
                return;
            taken_to = x + half;
            pen_.text(x, label_y, figure, text(), Ink::level);
        };
        for (const ProfilePoint& point : floor.floor)
            drop(point, y + 1.4 * text());
        taken_to = -1e9;
        for (const ProfilePoint& point : floor.ceiling)
            drop(point, y - 1.8 * text());
    }

    /// The packing a straight, plumb front would need at each reading.
    void face() {
        for (const FaceRow& row : survey_.face.rows) {
            double taken_to = -1e9;
            for (const FaceRow::Place& place : row.places) {
                const double x = scale_.x(place.x);
                const double y = scale_.y(row.z);
                pen_.drawing.shapes.push_back({Circle{{x, y}, 0.22 * text(), Ink::probe, Fill::plain}});
                const std::string figure = format_bare(*survey_.face.shim_at(place.x, row.z), voice_);
                const double half = text_width(figure, text(), true) / 2 + 0.25 * text();
                if (x - half < taken_to)
                    continue;
                taken_to = x + half;
                pen_.text(x, y - 0.5 * text(), figure, text(), Ink::figure, Align::centre, true);
            }
        }
    }

    const Wall& wall_;
    const WallSurvey& survey_;
    const ElevationScale& scale_;
    const ElevationFrame& frame_;
    const Voice& voice_;
    Pen pen_;
};

} // namespace

void draw_wood_chance(const StudPosterior& posterior, const Wall& wall, const ElevationScale& scale, Drawing& drawing) {
    Pen pen{scale, drawing};
    const std::vector<double>& wood = posterior.wood();
    const auto shade = [&](std::size_t i) { return static_cast<int>(std::lround(wood[i] * shades)); };
    for (std::size_t from = 0; from < wood.size();) {
        std::size_t to = from + 1;
        while (to < wood.size() && shade(to) == shade(from))
            ++to;
        if (shade(from) > 0)
            pen.rectangle({Length::mm(static_cast<std::int64_t>(from)),
                           std::min(wall.length, Length::mm(static_cast<std::int64_t>(to))),
                           {},
                           wall.height},
                          Ink::chance, Fill::plain, 0, {}, Stroke::solid, band_strength * shade(from) / shades);
        from = to;
    }
}

void draw_edges(const Wall& wall, const ElevationScale& scale, const ElevationFrame& frame, const Voice& voice,
                Drawing& drawing) {
    Pen pen{scale, drawing};
    const double text = frame.text;
    if (wall.skirting_height > Length{})
        pen.rectangle({{}, wall.length, {}, wall.skirting_height}, Ink::board, Fill::light, 0.2);
    if (wall.cornice_height > Length{})
        pen.rectangle({{}, wall.length, wall.height - wall.cornice_height, wall.height}, Ink::board, Fill::light, 0.2);
    for (const Length joist : wall.joists)
        if (joist <= wall.length)
            pen.rectangle({joist - 19_mm, joist + 19_mm, wall.height, wall.height + 60_mm}, Ink::stud_proved,
                          Fill::plain, 0.2);
    for (const Obstacle& obstacle : wall.obstacles) {
        if (obstacle.clearance > Length{})
            pen.rectangle(box_of(obstacle), Ink::faint, Fill::none, 0.25, {}, Stroke::dotted);
        const Outline body{obstacle.left, obstacle.left + obstacle.width, obstacle.bottom,
                           obstacle.bottom + obstacle.height};
        pen.rectangle(body, Ink::service, Fill::plain, 0.35);
        std::string name = say(words(obstacle.kind), voice);
        if (name.starts_with("the ")) // "the radiator" in a sentence, "Radiator" on the drawing
            name.erase(0, 4);
        if (!name.empty())
            name.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(name.front())));
        pen.text((scale.x(body.left) + scale.x(body.right)) / 2,
                 (scale.y(body.bottom) + scale.y(body.top)) / 2 + 0.4 * text, name, 0.9 * text, Ink::service);
    }
    for (const ScannedArea& area : wall.scans) {
        const Outline box{area.left, area.left + area.width, area.bottom, area.bottom + area.height};
        if (area.result == ScanResult::clear)
            pen.rectangle(box, Ink::faint, Fill::none, 0.25, {}, Stroke::dashed);
    }
    for (const TrialHole& hole : wall.trial_holes) {
        const Point at{scale.x(hole.x), scale.y(hole.z)};
        const double r = 0.35 * text;
        drawing.shapes.push_back({Circle{at, r, Ink::probe, Fill::none}});
        pen.line(at.x - 1.6 * r, at.y, at.x + 1.6 * r, at.y, Ink::probe, 0.25);
        pen.line(at.x, at.y - 1.6 * r, at.x, at.y + 1.6 * r, Ink::probe, 0.25);
    }
}

void draw_readings(const Wall& wall, const WallSurvey& survey, const ElevationScale& scale, const ElevationFrame& frame,
                   const Voice& voice, Drawing& drawing) {
    ReadingsDrawer{wall, survey, scale, frame, voice, drawing}.draw();
}

} // namespace yes_square
