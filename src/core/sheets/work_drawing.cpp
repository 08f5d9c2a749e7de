#include "core/sheets/work_drawing.hpp"

#include "core/cutting/worked_parts.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Places are mm of the part: along from its end, across from its edge.
class WorkDrawing {
public:
    WorkDrawing(const PartWork& work, double width, double most_height, double text, const Voice& voice)
        : work_{work}
        , text_{text}
        , voice_{voice} {
        drawing_.width = width;
        left_ = 7 * text;
        top_ = 2.2 * text;
        find_rows(width);
        const double below = (1.6 + 1.5 * static_cast<double>(rows_.size())) * text;
        const double room_x = width - left_ - 2 * text;
        const double room_y = most_height - top_ - below;
        if (room_x <= 0 || room_y <= 0 || work.length <= Length{} || work.breadth <= Length{})
            return;
        along_ = room_x / work.length.in_mm();
        // A shelf's back edge is a strip a metre long: across it is drawn larger, as far as there is room.
        across_ = std::clamp(12 * text / work.breadth.in_mm(), along_, std::max(along_, room_y / work.breadth.in_mm()));
        if (across_ * work.breadth.in_mm() > room_y)
            across_ = along_ = room_y / work.breadth.in_mm();
        find_rows(width); // once more, now that the scale is known
        drawing_.height = y(work.breadth) + (1.6 + 1.5 * static_cast<double>(rows_.size())) * text_;
    }

    Drawing draw() {
        if (!(along_ > 0))
            return std::move(drawing_);
        add(Rectangle{{x({}), y({})}, x(work_.length) - x({}), y(work_.breadth) - y({}), Ink::board, Fill::light, 0.4});
        // What it is measured from stands out.
        line({x({}), y({})}, {x({}), y(work_.breadth)}, Ink::level, 0.7);
        line({x({}), y({})}, {x(work_.length), y({})}, Ink::level, 0.7);
        words({x({}), y({}) - 0.6 * text_}, say(Sentence{"{0}, its {1} at the top", {work_.face, work_.edge}}, voice_),
              Align::left, Ink::level);
        words({x(work_.length), y({}) - 0.6 * text_}, say(Sentence{"measured from its {0}", {work_.end}}, voice_),
              Align::right, Ink::level);
        for (const PartCut& cut : work_.cuts)
            draw(cut);
        distances();
        return std::move(drawing_);
    }

private:
    double x(Length along) const { return left_ + along.in_mm() * along_; }
    double y(Length across) const { return top_ + across.in_mm() * across_; }
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void line(Point a, Point b, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{a, b, ink, width, stroke});
    }
    void words(Point at, std::string said, Align align, Ink ink, bool bold = false) {
        add(Text{at, std::move(said), text_, align, ink, bold});
    }

    void draw(const PartCut& cut) {
        if (cut.kind == Machining::screw_hole || cut.kind == Machining::bore) {
            const double radius = std::max(0.25 * text_, cut.along.in_mm() * along_ / 2);
            add(Circle{{x(cut.from), y(cut.in)}, radius, Ink::hole, Fill::plain});
            return;
        }
        const Length from = by_its_middle(cut.kind) ? cut.from - cut.along / 2 : cut.from;
        const bool sawn = cut.kind == Machining::notch || cut.kind == Machining::mitre;
        add(Rectangle{{x(from), y(cut.in)},
                      std::max(0.4, cut.along.in_mm() * along_),
                      std::max(0.4, cut.across.in_mm() * across_),
                      sawn ? Ink::faint : Ink::bracket,
                      Fill::hatched,
                      0.3,
                      sawn ? Stroke::dashed : Stroke::solid});
    }

    std::string figure(Length length) const { return format_bare(length, voice_); }

    /// Every distance once.
    std::vector<Length> all(Length PartCut::*place) const {
        std::vector<Length> found;
        for (const PartCut& cut : work_.cuts)
            found.push_back(cut.*place);
        std::ranges::sort(found);
        found.erase(std::ranges::unique(found).begin(), found.end());
        return found;
    }

    /// Figures from the end in rows, so that none lies on the next.
    void find_rows(double width) {
        rows_.clear();
        std::vector<double> ends;
        for (const Length from : all(&PartCut::from)) {
            if (from <= Length{})
                continue;
            const double wide = text_width(figure(from), text_, true) + 0.8 * text_;
            const double scale = along_ > 0 ? along_ : (width - left_ - 2 * text_) / work_.length.in_mm();
            const double middle = left_ + from.in_mm() * scale;
            std::size_t row = 0;
            while (row < ends.size() && ends[row] > middle - wide / 2)
                ++row;
            if (row == ends.size())
                ends.push_back(0), rows_.emplace_back();
            ends[row] = middle + wide / 2;
            rows_[row].push_back(from);
        }
    }

    void distances() {
        for (std::size_t row = 0; row < rows_.size(); ++row)
            for (const Length from : rows_[row]) {
                const double base = y(work_.breadth) + (1.6 + 1.5 * static_cast<double>(row)) * text_;
                line({x(from), y(work_.breadth)}, {x(from), base - 0.9 * text_}, Ink::tick, 0.2);
                words({x(from), base}, figure(from), Align::centre, Ink::figure, true);
            }
        double last = -1e9;
        for (const Length in : all(&PartCut::in)) {
            if (in <= Length{} || y(in) - last < 1.2 * text_)
                continue;
            last = y(in);
            line({x({}) - 0.8 * text_, y(in)}, {x({}), y(in)}, Ink::tick, 0.2);
            words({x({}) - 1.2 * text_, y(in) + 0.35 * text_}, figure(in), Align::right, Ink::figure, true);
        }
    }

    const PartWork& work_;
    double text_;
    const Voice& voice_;
    Drawing drawing_;
    std::vector<std::vector<Length>> rows_;
    double left_ = 0;
    double top_ = 0;
    double along_ = 0; ///< mm of paper to one of the part
    double across_ = 0;
};

} // namespace

Drawing draw_work(const PartWork& work, double width, double most_height, double text, const Voice& voice) {
    return WorkDrawing{work, width, most_height, text, voice}.draw();
}

} // namespace yes_square
