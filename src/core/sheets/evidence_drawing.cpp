#include "core/sheets/evidence_drawing.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Measures are shares of the drawing: 0 to 1 along, 0 to 1 down.
class EvidenceSketch {
public:
    EvidenceSketch(double width, double height) { drawing_ = {width, height, {}}; }

    Drawing draw(EvidenceKind kind) {
        switch (kind) {
        case EvidenceKind::probe_hit:
            cut(0.5);
            break;
        case EvidenceKind::probe_miss:
            cut(0.72);
            break;
        case EvidenceKind::left_edge:
            cut(0.43);
            line(0.41, 0.3, 0.41, 0.95, Ink::level);
            break;
        case EvidenceKind::right_edge:
            cut(0.57);
            line(0.59, 0.3, 0.59, 0.95, Ink::level);
            break;
        case EvidenceKind::detector:
        case EvidenceKind::detector_left_edge:
        case EvidenceKind::detector_right_edge:
            detector(kind);
            break;
        case EvidenceKind::screw_line:
            face();
            for (const double down : {0.15, 0.4, 0.65, 0.9})
                dot(0.5, down, 0.035, Ink::hole, Fill::plain);
            box(0.55, 0.34, 0.66, 0.46, Ink::alarm, Fill::plain);
            break;
        case EvidenceKind::nail_pop:
            lamp();
            break;
        case EvidenceKind::box_stud_left:
        case EvidenceKind::box_stud_right:
            outlet(kind == EvidenceKind::box_stud_left);
            break;
        case EvidenceKind::knock_solid:
        case EvidenceKind::knock_hollow:
            knock(kind == EvidenceKind::knock_solid ? 0.5 : 0.75);
            break;
        case EvidenceKind::skirting_nails:
            face();
            box(0, 0.7, 1, 1, Ink::board, Fill::light);
            for (const double down : {0.79, 0.91})
                dot(0.5, down, 0.025, Ink::hole, Fill::plain);
            break;
        }
        return std::move(drawing_);
    }

private:
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    double x(double along) const { return along * drawing_.width; }
    double y(double down) const { return down * drawing_.height; }
    void line(double x0, double y0, double x1, double y1, Ink ink, double width = 0.4, Stroke stroke = Stroke::solid) {
        add(Line{{x(x0), y(y0)}, {x(x1), y(y1)}, ink, width, stroke});
    }
    void box(double left, double top, double right, double bottom, Ink ink, Fill fill, Stroke stroke = Stroke::solid) {
        add(Rectangle{{x(left), y(top)}, x(right) - x(left), y(bottom) - y(top), ink, fill, 0.3, stroke});
    }
    void dot(double along, double down, double size, Ink ink, Fill fill) {
        add(Circle{{x(along), y(down)}, size * std::min(drawing_.width, drawing_.height), ink, fill});
    }

    /// The wall's face with a stud behind it, dashed.
    void face() {
        box(0, 0, 1, 1, Ink::wall, Fill::none);
        box(0.42, 0, 0.58, 1, Ink::stud_proved, Fill::none, Stroke::dashed);
    }
    /// The wall cut level: lining below, a stud behind it, a thin probe.
    void cut(double at) {
        box(0, 0.62, 1, 0.76, Ink::wall, Fill::hatched);
        box(0.42, 0.2, 0.58, 0.62, Ink::stud_proved, Fill::light);
        const bool wood = at > 0.42 && at < 0.58;
        line(at, wood ? 0.52 : 0.1, at, 0.98, Ink::alarm, 0.7);
    }
    void detector(EvidenceKind kind) {
        face();
        const double at = kind == EvidenceKind::detector ? 0.5 : kind == EvidenceKind::detector_left_edge ? 0.42 : 0.58;
        box(at - 0.11, 0.38, at + 0.11, 0.62, Ink::bracket, Fill::light);
        line(at, 0.3, at, 0.7, Ink::level, 0.6);
        for (const double way : {-1.0, 1.0}) {
            line(at + way * 0.14, 0.5, at + way * 0.24, 0.5, Ink::level);
            line(at + way * 0.24, 0.5, at + way * 0.21, 0.45, Ink::level);
            line(at + way * 0.24, 0.5, at + way * 0.21, 0.55, Ink::level);
        }
    }
    /// Light along the wall from the left: what stands out or lies in throws a shadow to the right.
    void lamp() {
        face();
        for (const double down : {0.2, 0.5, 0.8}) {
            line(0.02, down, 0.4, down, Ink::level, 0.3, Stroke::dotted);
            dot(0.5, down, 0.03, Ink::hole, Fill::none);
            line(0.53, down, 0.66, down, Ink::wall, 0.9);
        }
    }
    void outlet(bool left) {
        box(0, 0, 1, 1, Ink::wall, Fill::none);
        box(0.38, 0.3, 0.62, 0.7, Ink::service, Fill::light);
        const double from = left ? 0.22 : 0.62;
        box(from, 0, from + 0.16, 1, Ink::stud_proved, Fill::none, Stroke::dashed);
        for (const double down : {0.4, 0.6})
            line(left ? 0.4 : 0.6, down, left ? 0.3 : 0.7, down, Ink::hole, 0.6);
    }
    void knock(double at) {
        face();
        for (const double size : {0.06, 0.12, 0.18})
            dot(at, 0.5, size, Ink::level, Fill::none);
    }

    Drawing drawing_;
};

} // namespace

Drawing draw_evidence(EvidenceKind kind, double width, double height) {
    return EvidenceSketch{width, height}.draw(kind);
}

} // namespace yes_square
