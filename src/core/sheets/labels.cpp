#include "core/sheets/labels.hpp"

#include "core/measure/conversions.hpp"

#include "core/sheets/lettering.hpp"
#include "core/sheets/load_label.hpp"
#include "core/sheets/qr_code.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <iterator>
#include <sstream>

namespace yes_square {
namespace {

constexpr double edge = 2.5;       ///< mm, of a label that no printer need reach
constexpr double line_step = 1.3;  ///< of the type size
constexpr double least_type = 0.8; ///< mm: what is longer still is read off its code
constexpr double arrow = 5;        ///< mm, the room of the mark that says which way up

/// A word in pieces no broader than the room; letters are whole.
std::vector<std::string> in_pieces(const std::string& word, double room, double size, bool bold) {
    std::vector<std::string> pieces(1);
    for (std::size_t from = 0; from < word.size();) {
        std::size_t to = from + 1;
        while (to < word.size() && (static_cast<unsigned char>(word[to]) & 0xC0U) == 0x80U)
            ++to;
        const std::string letter = word.substr(from, to - from);
        if (!pieces.back().empty() && text_width(pieces.back() + letter, size, bold) > room)
            pieces.emplace_back();
        pieces.back() += letter;
        from = to;
    }
    return pieces;
}

/// Words in lines no broader than the room.
std::vector<std::string> in_lines(const std::string& words, double room, double size, bool bold) {
    std::vector<std::string> lines(1);
    std::istringstream rest{words};
    for (std::string word; rest >> word;) {
        const std::string longer = lines.back().empty() ? word : lines.back() + " " + word;
        if (text_width(longer, size, bold) <= room) {
            lines.back() = longer;
            continue;
        }
        std::vector<std::string> pieces = in_pieces(word, room, size, bold);
        if (lines.back().empty())
            lines.pop_back();
        std::ranges::move(pieces, std::back_inserter(lines));
    }
    return lines;
}

class LabelPainter {
public:
    LabelPainter(const Label& label, const LabelGrid& grid, Point at, const Voice& voice, Drawing& page)
        : label_{label}
        , grid_{grid}
        , at_{at}
        , voice_{voice}
        , page_{page} {}

    void paint() {
        if (grid_.to_cut)
            add(Rectangle{at_, grid_.width, grid_.height, Ink::faint, Fill::none, 0.2, Stroke::dashed});
        const double side = std::min(grid_.height - 2 * 1.0, 0.42 * grid_.width);
        add_qr_code(page_, {at_.x + grid_.width - side - 1, at_.y + 1}, side, label_.code());
        const double room = grid_.width - edge - side - 2;
        double size = 4.2;
        while (size > least_type && !fits(size, room))
            size *= 0.94;
        write(size, room);
    }

private:
    struct Row {
        std::string words;
        double size;
        bool bold;
    };

    std::vector<Row> rows(double size, double room) const {
        std::vector<Row> all;
        const auto put = [&](const std::string& words, double high, bool bold) {
            for (std::string& line : in_lines(words, room, high, bold))
                all.push_back({std::move(line), high, bold});
        };
        // A number is larger than a sentence.
        put(label_.large, label_.large.size() <= 4 ? 2.4 * size : 1.5 * size, true);
        put(label_.title, size, true);
        for (const std::string& line : label_.lines)
            put(line, 0.85 * size, false);
        if (label_.sign)
            put(say(std::string_view{"Hung on __________ by __________"}, voice_), 0.85 * size, false);
        return all;
    }
    bool fits(double size, double room) const {
        double height = 0;
        for (const Row& row : rows(size, room))
            height += line_step * row.size;
        return height <= grid_.height - 2 * edge - (label_.up ? arrow : 0);
    }
    void write(double size, double room) {
        double y = at_.y + edge;
        for (const Row& row : rows(size, room)) {
            y += line_step * row.size;
            add(Text{{at_.x + edge, y - 0.3 * row.size}, row.words, row.size, Align::left, Ink::figure, row.bold});
        }
        if (!label_.up)
            return;
        // Panels and shelves look alike from either side.
        const double foot = at_.y + grid_.height - edge;
        add(Triangle{{at_.x + edge, foot}, {at_.x + edge + 4, foot}, {at_.x + edge + 2, foot - 4.5}, Ink::figure});
        add(Text{{at_.x + edge + 5.5, foot - 0.5}, say(std::string_view{"up"}, voice_), 2.6, Align::left, Ink::figure});
    }
    void add(auto form) { page_.shapes.push_back({std::move(form), {}}); }

    const Label& label_;
    const LabelGrid& grid_;
    Point at_;
    const Voice& voice_;
    Drawing& page_;
};

} // namespace

std::string Label::code() const {
    std::string text = large + "\n" + title;
    for (const std::string& line : lines)
        text += "\n" + line;
    return text;
}

std::vector<Label> part_labels(const Job& job, const Plan& plan, const Voice& voice) {
    std::vector<Label> labels;
    for (const CutPiece& piece : cut_list(job, plan)) {
        const auto wall = std::ranges::find(job.walls, piece.wall, &Wall::id);
        Label& label = labels.emplace_back();
        label.large = piece.label;
        label.title = say(piece.name, voice);
        label.lines = {fmt::format("{} x {} x {}", format(piece.length, voice), format(piece.breadth, voice),
                                   say(stock(piece.thickness()), voice)),
                       say(std::string_view{piece.stuff.words}, voice)};
        if (wall != job.walls.end())
            label.lines.push_back(piece.where.empty() ? wall->name
                                                      : fmt::format("{}, {}", wall->name, say(piece.where, voice)));
        label.up = piece.stuff.kind == StuffKind::sheet || piece.stuff.kind == StuffKind::board;
    }
    return labels;
}

std::vector<Label> load_labels(const Job& job, const Plan& plan, const Voice& voice) {
    std::vector<Label> labels;
    for (std::size_t w = 0; w < plan.walls.size(); ++w)
        for (std::size_t i = 0; i < plan.walls[w]->shelves.size(); ++i) {
            const Shelf& shelf = job.walls[w].shelves[i];
            const auto holds = capacity(job, plan, shelf.id);
            if (!holds)
                continue;
            const LoadLabel load = load_label(job.walls[w], shelf, plan.walls[w]->shelves[i], *holds);
            Label& label = labels.emplace_back();
            label.large = say(load.greatest, voice);
            label.title = fmt::format("{}, {}", load.name, load.wall);
            for (const Sentence& line : load.assumes)
                label.lines.push_back(say(line, voice));
            label.sign = true;
        }
    return labels;
}

Label card_label(const std::string& wall, const CabinetUnit& unit, const UnitPlan& plan, const Voice& voice) {
    Label label;
    label.large = plan.name;
    label.title = wall;
    for (const PlannedHole& hole : plan.holes)
        label.lines.push_back(say({"{0} from the left edge, {1} from the right, {2} below the top",
                                   {quantity(plan.from_left(hole)), quantity(unit.width - plan.from_left(hole)),
                                    quantity(plan.top - hole.z)}},
                                  voice));
    if (plan.fixing)
        label.lines.push_back(say({"{0}, {1} long", {plan.fixing->name, stock(plan.fixing->screw_length)}}, voice));
    return label;
}

LabelGrid label_grid(LabelSheet sheet, bool letter) {
    constexpr double inch = mm_per_inch;
    switch (sheet) {
    case LabelSheet::a4_3x8:
        return {210, 297, 3, 8, 70, 37, 0, 0.5, 0};
    case LabelSheet::a4_3x7:
        return {210, 297, 3, 7, 63.5, 38.1, 7.25, 15.15, 2.5};
    case LabelSheet::a4_2x7:
        return {210, 297, 2, 7, 99.1, 38.1, 4.65, 15.15, 2.5};
    case LabelSheet::letter_3x10:
        return {8.5 * inch, 11 * inch, 3, 10, 2.625 * inch, 1 * inch, 0.1875 * inch, 0.5 * inch, 0.125 * inch};
    case LabelSheet::letter_2x5:
        return {8.5 * inch, 11 * inch, 2, 5, 4 * inch, 2 * inch, 0.15625 * inch, 0.5 * inch, 0.1875 * inch};
    case LabelSheet::cut_out:
        break;
    }
    LabelGrid plain;
    if (letter) {
        plain.paper_width = 8.5 * inch;
        plain.paper_height = 11 * inch;
    }
    constexpr double margin = 12;
    constexpr double foot = 24; // where a sheet says of which state of the job it is
    plain.across = 3;
    plain.down = 8;
    plain.width = (plain.paper_width - 2 * margin) / plain.across;
    plain.height = (plain.paper_height - margin - foot) / plain.down;
    plain.left = plain.top = margin;
    plain.to_cut = true;
    return plain;
}

std::vector<Drawing> label_pages(const std::vector<Label>& labels, const LabelGrid& grid, const Voice& voice) {
    std::vector<Drawing> pages;
    for (std::size_t i = 0; i < labels.size(); ++i) {
        const std::size_t on_page = i % grid.on_a_page();
        if (on_page == 0)
            pages.push_back({grid.paper_width, grid.paper_height, {}});
        LabelPainter{labels[i], grid, grid.at(on_page), voice, pages.back()}.paint();
    }
    return pages;
}

} // namespace yes_square
