#include "core/statics/span_load.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Macaulay's bracket: (x - a)^n beyond a, else nothing.
double beyond(double x, double a, int power) {
    double result = x > a ? 1 : 0;
    for (int i = 0; i < power; ++i)
        result *= x - a;
    return result;
}

/// EI times the sag at x of a cantilever with an even load of 1 N/m from its root to `end`.
double filled_cantilever(double end, double x) {
    return x <= end ? x * x * (6 * end * end - 4 * end * x + x * x) / 24 : end * end * end * (4 * x - end) / 24;
}

} // namespace

SpanLoad SpanLoad::on(double from, double length) const {
    SpanLoad clipped;
    for (const PartLoad& part : parts) {
        const double left = std::max(part.from - from, 0.0);
        const double right = std::min(part.to - from, length);
        if (right > left)
            clipped.parts.push_back({left, right, part.load});
    }
    for (const PointLoad& point : points)
        if (point.x <= from + length && (point.x > from || from == 0)) // one right over a support counts once
            clipped.points.push_back({point.x - from, point.load});
    return clipped;
}

SpanLoad SpanLoad::reversed(double length) const {
    SpanLoad other = *this;
    for (PartLoad& part : other.parts)
        part = {length - part.to, length - part.from, part.load};
    for (PointLoad& point : other.points)
        point.x = length - point.x;
    return other;
}

double SpanLoad::total() const {
    double sum = 0;
    for (const PartLoad& part : parts)
        sum += part.load.in_newtons_per_metre() * (part.to - part.from);
    for (const PointLoad& point : points)
        sum += point.load.in_newtons();
    return sum;
}

double SpanLoad::about_left() const {
    double sum = 0;
    for (const PartLoad& part : parts)
        sum += part.load.in_newtons_per_metre() * (part.to - part.from) * (part.from + part.to) / 2;
    for (const PointLoad& point : points)
        sum += point.load.in_newtons() * point.x;
    return sum;
}

double SpanLoad::moment(double length, double x) const {
    double moment = (total() - about_left() / length) * x;
    for (const PartLoad& part : parts)
        moment -= part.load.in_newtons_per_metre() * (beyond(x, part.from, 2) - beyond(x, part.to, 2)) / 2;
    for (const PointLoad& point : points)
        moment -= point.load.in_newtons() * beyond(x, point.x, 1);
    return moment;
}

double SpanLoad::left_slope(double length) const {
    double slope = (total() - about_left() / length) * length * length / 6;
    for (const PartLoad& part : parts)
        slope -= part.load.in_newtons_per_metre() * (beyond(length, part.from, 4) - beyond(length, part.to, 4)) /
                 (24 * length);
    for (const PointLoad& point : points)
        slope -= point.load.in_newtons() * beyond(length, point.x, 3) / (6 * length);
    return slope;
}

double SpanLoad::sag(double length, double x) const {
    double sag = left_slope(length) * x - (total() - about_left() / length) * x * x * x / 6;
    for (const PartLoad& part : parts)
        sag += part.load.in_newtons_per_metre() * (beyond(x, part.from, 4) - beyond(x, part.to, 4)) / 24;
    for (const PointLoad& point : points)
        sag += point.load.in_newtons() * beyond(x, point.x, 3) / 6;
    return sag;
}

double SpanLoad::cantilever_moment(double x) const {
    double moment = 0;
    for (const PartLoad& part : parts)
        if (const double from = std::max(part.from, x); part.to > from)
            moment += part.load.in_newtons_per_metre() * (part.to - from) * ((from + part.to) / 2 - x);
    for (const PointLoad& point : points)
        moment += point.load.in_newtons() * beyond(point.x, x, 1);
    return moment;
}

double SpanLoad::cantilever_sag(double x) const {
    double sag = 0;
    for (const PartLoad& part : parts)
        sag += part.load.in_newtons_per_metre() * (filled_cantilever(part.to, x) - filled_cantilever(part.from, x));
    for (const PointLoad& point : points) {
        const double near = std::min(x, point.x);
        const double far = std::max(x, point.x);
        // P near^2 (3 far - near) / 6 both ways: the sag at x of a load at a is that at a of a load at x.
        sag += point.load.in_newtons() * near * near * (3 * far - near) / 6;
    }
    return sag;
}

} // namespace yes_square
