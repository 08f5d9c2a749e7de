#include "core/sheets/cut_out_template.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double every = 60; ///< mm along an edge: less than any page, so that none is without a page

/// A straight edge on the board, along it or front to back.
struct Edge {
    double x0;
    double z0;
    double x1;
    double z1;
};

/// The part of it on a page; false: there is none.
bool add_edge(TemplateFrame& frame, const Edge& edge, Ink ink, double width) {
    const double x0 = std::max(edge.x0, frame.left());
    const double x1 = std::min(edge.x1, frame.right());
    const double z0 = std::max(edge.z0, frame.bottom());
    const double z1 = std::min(edge.z1, frame.top());
    if (x0 > x1 || z0 > z1 || (x0 == x1 && z0 == z1))
        return false;
    frame.add(Line{frame.on_page(x0, z0), frame.on_page(x1, z1), ink, width});
    return true;
}

class CutOutTemplate {
public:
    CutOutTemplate(const BoardFromAbove& board, const Voice& voice)
        : voice_{voice}
        , length_{board.length.in_mm()}
        , depth_{board.depth.in_mm()}
        , cut_outs_{board.cut_outs} {}

    FullSize all(const std::string& name) {
        FullSize what{
            name, "Frame's lower left corner: {0} from the board's left end, {1} back from its front edge", {}, {}, {}};
        for (const CutOut& cut : cut_outs_)
            for (const Edge& edge : edges(cut)) {
                for (double x = edge.x0; x < edge.x1; x += every)
                    what.along.push_back(x);
                for (double z = edge.z0; z < edge.z1; z += every)
                    what.up.push_back(z);
                what.along.push_back(edge.x1);
                what.up.push_back(edge.z1);
            }
        what.draw = [this](TemplateFrame& frame) { return draw(frame); };
        return what;
    }

private:
    /// What is sawn: not where a notch is open at the board's edge.
    std::vector<Edge> edges(const CutOut& cut) const {
        const double left = std::clamp(cut.across.in_mm(), 0.0, length_);
        const double right = std::clamp(cut.right().in_mm(), 0.0, length_);
        const double back = std::clamp(depth_ - cut.back.in_mm(), 0.0, depth_);
        const double front = std::clamp(depth_ - cut.front().in_mm(), 0.0, depth_);
        std::vector<Edge> sawn;
        if (left > 0)
            sawn.push_back({left, front, left, back});
        if (right < length_)
            sawn.push_back({right, front, right, back});
        if (front > 0)
            sawn.push_back({left, front, right, front});
        if (back < depth_)
            sawn.push_back({left, back, right, back});
        return sawn;
    }

    bool draw(TemplateFrame& frame) const {
        bool any = false;
        for (const CutOut& cut : cut_outs_) {
            bool here = false;
            for (const Edge& edge : edges(cut))
                here |= add_edge(frame, edge, Ink::hole, 0.35);
            if (here)
                figures(frame, cut);
            any |= here;
        }
        for (const Edge& edge : {Edge{0, 0, length_, 0}, Edge{0, depth_, length_, depth_}, Edge{0, 0, 0, depth_},
                                 Edge{length_, 0, length_, depth_}})
            add_edge(frame, edge, Ink::board, 0.5);
        return any;
    }

    /// What it is and how large, in it, and its sides' distances at its corners, as far as they are on this page.
    void figures(TemplateFrame& frame, const CutOut& cut) const {
        const double left = std::max(cut.across.in_mm(), frame.left());
        const double top = std::min(depth_ - cut.back.in_mm(), frame.top());
        const Point at = frame.on_page(left, top);
        const auto line = [&](double down, const Sentence& words, bool bold) {
            frame.words({at.x + 3, at.y + down}, say(words, voice_), 2.8, Ink::figure, bold);
        };
        line(5, {"{0}: {1} x {2}", {cut.name, quantity(cut.width), quantity(cut.depth)}}, true);
        line(9.5, {"{0} from the left end", {quantity(cut.across)}}, false);
        line(14, {"{0} from the back", {quantity(cut.back)}}, false);
    }

    const Voice& voice_;
    double length_;
    double depth_;
    const std::vector<CutOut>& cut_outs_;
};

} // namespace

std::vector<TemplatePage> cut_out_template(const std::string& name, const BoardFromAbove& board, double width,
                                           double height, const Voice& voice) {
    CutOutTemplate cut_outs{board, voice};
    return full_size_pages(cut_outs.all(name), width, height, voice);
}

} // namespace yes_square
