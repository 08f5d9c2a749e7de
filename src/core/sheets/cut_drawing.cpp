#include "core/sheets/cut_drawing.hpp"

#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

class CutDrawer {
public:
    CutDrawer(const StuffPlan& stuff, Length kerf, double width, double text, const Voice& voice,
              const std::string& selected)
        : stuff_{stuff}
        , kerf_{kerf}
        , text_{text}
        , voice_{voice}
        , selected_{selected}
        , drawing_{width, 0, {}} {}

    Drawing draw() {
        stuff_.sheets ? sheets() : bars();
        return std::move(drawing_);
    }

private:
    void add(auto form, Reference reference = {}) {
        drawing_.shapes.push_back({std::move(form), std::move(reference)});
    }
    void words(double x, double y, std::string said, double size, Ink ink = Ink::figure, Align align = Align::left,
               bool bold = false) {
        add(Text{{x, y}, std::move(said), size, align, ink, bold});
    }
    bool has_room(const std::string& said, double size, bool bold, double room) const {
        return text_width(said, size, bold) + 0.4 * text_ < room;
    }
    /// What can be read in a room: label and length, the label, or nothing.
    void label(double x, double y, double room, const CutPiece& piece, const std::string& size) {
        const std::string both = fmt::format("{}: {}", piece.label, size);
        if (has_room(both, text_, false, room))
            words(x, y, both, text_, Ink::figure, Align::centre);
        else if (has_room(piece.label, text_, false, room))
            words(x, y, piece.label, text_, Ink::figure, Align::centre);
    }
    static Reference of(const CutPiece& piece) { return {Reference::Part::thing, piece.item, 0, {}, {}}; }

    void bars() {
        Length longest = 1_mm;
        for (const Bar& bar : stuff_.bars.bars)
            longest = std::max(longest, stuff_.stock[bar.stock].length);
        const double left = 9 * text_;
        const double scale = (drawing_.width - left - 1) / longest.in_metres();
        const double high = 2.2 * text_;
        double y = 0.6 * text_;
        for (const Bar& bar : stuff_.bars.bars) {
            const Stock& stock = stuff_.stock[bar.stock];
            words(left - 0.8 * text_, y + 0.65 * high, format(stock.length, voice_), text_, Ink::figure, Align::right);
            add(Rectangle{{left, y}, stock.length.in_metres() * scale, high, Ink::faint, Fill::none, 0.2});
            double x = left;
            for (const std::size_t p : bar.pieces) {
                const CutPiece& piece = stuff_.pieces[p];
                const double wide = piece.length.in_metres() * scale;
                const bool chosen = piece.label == selected_;
                add(Rectangle{{x, y},
                              wide,
                              high,
                              chosen ? Ink::board_selected : Ink::board,
                              chosen ? Fill::plain : Fill::light,
                              0.3},
                    of(piece));
                label(x + wide / 2, y + 0.68 * high, wide, piece, format_bare(piece.length, voice_));
                x += wide + kerf_.in_metres() * scale;
            }
            if (bar.offcut > Length{}) {
                const std::string said = format_bare(bar.offcut, voice_);
                const double wide = bar.offcut.in_metres() * scale;
                add(Rectangle{{x, y}, wide, high, Ink::faint, Fill::hatched, 0.15, Stroke::dashed});
                if (has_room(said, text_, false, wide)) // on a bit of blank paper: hatching would strike it through
                    add(Text{{x + wide / 2, y + 0.68 * high}, said, text_, Align::centre, Ink::faint, false, true});
            }
            y += high + 0.7 * text_;
        }
        drawing_.height = y;
    }

    void sheets() {
        Length longest = 1_mm;
        for (const Sheet& sheet : stuff_.sheet_plan.sheets)
            longest = std::max(longest, stuff_.stock[sheet.stock].length);
        // Two beside one another.
        const auto& all = stuff_.sheet_plan.sheets;
        constexpr int beside = 2;
        const double gap = 2 * text_;
        const double wide = (drawing_.width - (beside - 1) * gap) / beside;
        const double scale = wide / longest.in_metres();
        double y = 0;
        double row = 0;
        for (std::size_t s = 0; s < all.size(); ++s) {
            const Stock& stock = stuff_.stock[all[s].stock];
            const double x = static_cast<double>(s % static_cast<std::size_t>(beside)) * (wide + gap);
            words(x, y + 1.2 * text_,
                  fmt::format("{}: {} x {}", s + 1, format(stock.length, voice_), format(stock.breadth, voice_)), text_,
                  Ink::figure, Align::left, true);
            sheet(all[s], stock, x, y + 1.7 * text_, scale);
            row = std::max(row, 2.6 * text_ + stock.breadth.in_metres() * scale);
            if ((s + 1) % static_cast<std::size_t>(beside) == 0 || s + 1 == all.size()) {
                y += row;
                row = 0;
            }
        }
        drawing_.height = y;
    }

    void sheet(const Sheet& sheet, const Stock& stock, double x, double y, double scale) {
        const double high = stock.breadth.in_metres() * scale;
        add(Rectangle{{x, y}, stock.length.in_metres() * scale, high, Ink::faint, Fill::hatched, 0.25});
        for (const PlacedPiece& placed : sheet.pieces) {
            const CutPiece& piece = stuff_.pieces[placed.piece];
            const double wide = placed.length.in_metres() * scale;
            const double deep = placed.breadth.in_metres() * scale;
            // y from the sheet's lower edge upwards on the bench, downwards on paper.
            const Point at{x + placed.x.in_metres() * scale, y + placed.y.in_metres() * scale};
            const bool chosen = piece.label == selected_;
            add(Rectangle{at, wide, deep, Ink::paper, Fill::plain, 0}, of(piece));
            add(Rectangle{at, wide, deep, chosen ? Ink::board_selected : Ink::board, chosen ? Fill::plain : Fill::light,
                          0.3},
                of(piece));
            const std::string size =
                fmt::format("{} x {}", format_bare(placed.length, voice_), format_bare(placed.breadth, voice_));
            if (deep > 2.6 * text_) {
                if (has_room(piece.label, text_, true, wide))
                    words(at.x + wide / 2, at.y + deep / 2, piece.label, text_, Ink::figure, Align::centre, true);
                if (has_room(size, 0.9 * text_, false, wide))
                    words(at.x + wide / 2, at.y + deep / 2 + 1.2 * text_, size, 0.9 * text_, Ink::figure,
                          Align::centre);
            } else if (deep > 1.1 * text_) {
                label(at.x + wide / 2, at.y + deep / 2 + 0.35 * text_, wide, piece, size);
            }
        }
    }

    const StuffPlan& stuff_;
    Length kerf_;
    double text_;
    const Voice& voice_;
    const std::string& selected_;
    Drawing drawing_;
};

} // namespace

Drawing draw_cutting(const StuffPlan& stuff, Length kerf, double width, double text, const Voice& voice,
                     const std::string& selected) {
    return CutDrawer{stuff, kerf, width, text, voice, selected}.draw();
}

} // namespace yes_square
