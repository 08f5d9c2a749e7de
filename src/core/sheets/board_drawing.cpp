#include "core/sheets/board_drawing.hpp"

#include "core/sheets/lettering.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Measures are mm of the board, x from its left end, y from its back edge.
class AboveDrawing {
public:
    AboveDrawing(const BoardFromAbove& board, double width, double height, double text, const Voice& voice)
        : board_{board}
        , text_{text}
        , voice_{voice} {
        drawing_.width = width;
        drawing_.height = height;
        left_ = 4 * text;
        top_ = 4.5 * text;
        scale_ = std::max(0.0, std::min((width - left_ - 8 * text) / board.length.in_mm(),
                                        (height - top_ - 3.5 * text) / board.depth.in_mm()));
    }

    Drawing draw() {
        if (!(scale_ > 0))
            return std::move(drawing_);
        board();
        if (board_.hollow)
            frame();
        for (const UnderBoard& stands : board_.under)
            rectangle(stands.from, stands.back, stands.to, stands.front, Ink::bracket, Fill::none, Stroke::dashed);
        for (const CutOut& cut : board_.cut_outs)
            cut_out(cut);
        settle_lettering(drawing_, {0, 0, drawing_.width, drawing_.height});
        return std::move(drawing_);
    }

private:
    double x(Length along) const { return left_ + along.in_mm() * scale_; }
    double y(Length out) const { return top_ + out.in_mm() * scale_; }
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void line(Point a, Point b, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{a, b, ink, width, stroke});
    }
    void rectangle(Length from, Length back, Length to, Length front, Ink ink, Fill fill, Stroke stroke) {
        add(Rectangle{{x(from), y(back)}, x(to) - x(from), y(front) - y(back), ink, fill, 0.3, stroke});
    }
    void figure(Point at, Length length, Align align) {
        add(Text{at, say(quantity(length), voice_), text_, align, Ink::figure, true});
    }

    void board() {
        line({x({}) - text_, y({}) - 0.3 * text_}, {x(board_.length) + text_, y({}) - 0.3 * text_}, Ink::wall, 0.6);
        rectangle({}, {}, board_.length, board_.depth, Ink::board, Fill::light, Stroke::solid);
        add(Text{{x({}), y(board_.depth) + 1.6 * text_},
                 say(std::string_view{"front edge"}, voice_),
                 text_,
                 Align::left,
                 Ink::faint});
        add(Text{{x(board_.length), y(board_.depth) + 1.6 * text_},
                 say(Sentence{"{0} x {1}, from above", {quantity(board_.length), quantity(board_.depth)}}, voice_),
                 text_,
                 Align::right,
                 Ink::figure});
    }

    void frame() {
        const HollowBoard& hollow = *board_.hollow;
        const Length front = board_.depth - hollow.front;
        for (const Length edge : {hollow.back, front})
            if (edge > Length{} && edge < board_.depth)
                line({x({}), y(edge)}, {x(board_.length), y(edge)}, Ink::faint, 0.2, Stroke::dashed);
        for (int rib = 0; rib < hollow.ribs; ++rib) {
            const Length room = board_.length - hollow.rib;
            const Length from = hollow.ribs > 1 ? room * rib / (hollow.ribs - 1) : room / 2;
            for (const Length edge : {from, from + hollow.rib})
                line({x(edge), y(hollow.back)}, {x(edge), y(front)}, Ink::faint, 0.2, Stroke::dashed);
        }
    }

    void cut_out(const CutOut& cut) {
        rectangle(cut.across, cut.back, cut.right(), cut.front(), Ink::paper, Fill::plain, Stroke::solid);
        rectangle(cut.across, cut.back, cut.right(), cut.front(), Ink::hole, Fill::none, Stroke::solid);
        // Its edges from the left end, carried up over the wall's line.
        for (const Length edge : {cut.across, cut.right()}) {
            line({x(edge), y(cut.back)}, {x(edge), y({}) - 1.2 * text_}, Ink::tick, 0.2);
            figure({x(edge), y({}) - 1.6 * text_}, edge, Align::centre);
        }
        // And from the back, beside it.
        const double beside = x(cut.right()) + 0.8 * text_;
        for (const Length edge : {cut.back, cut.front()}) {
            if (edge <= Length{})
                continue;
            line({x(cut.right()), y(edge)}, {beside, y(edge)}, Ink::tick, 0.2);
            figure({beside + 0.3 * text_, y(edge) + 0.35 * text_}, edge, Align::left);
        }
        if (!cut.name.empty())
            add(Text{{(x(cut.across) + x(cut.right())) / 2, (y(cut.back) + y(cut.front())) / 2 + 0.35 * text_},
                     cut.name,
                     text_,
                     Align::centre,
                     Ink::figure});
    }

    const BoardFromAbove& board_;
    double text_;
    const Voice& voice_;
    Drawing drawing_;
    double left_ = 0;
    double top_ = 0;
    double scale_ = 0; ///< mm of paper to one of board
};

} // namespace

std::optional<BoardFromAbove> from_above(const Shelf& shelf, const ShelfPlan& plan) {
    if (!way_of(shelf).is_board() || (shelf.cut_outs.empty() && !shelf.hollow))
        return std::nullopt;
    BoardFromAbove board{shelf.length, shelf.depth, shelf.cut_outs, shelf.hollow};
    if (plan.bracket)
        for (const BracketPlan& place : plan.brackets)
            board.under.push_back(under_board(shelf, plan, place));
    return board;
}

std::optional<BoardFromAbove> from_above(const RunPiece& piece) {
    if (piece.what != RunPiece::What::worktop || piece.cut_outs.empty())
        return std::nullopt;
    return BoardFromAbove{piece.to - piece.from, piece.breadth, piece.cut_outs};
}

Drawing draw_from_above(const BoardFromAbove& board, double width, double height, double text, const Voice& voice) {
    return AboveDrawing{board, width, height, text, voice}.draw();
}

} // namespace yes_square
