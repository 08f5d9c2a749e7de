// Labels for parts and shelves: on every sheet they are sold on each stays inside its own, and its code carries its
// words.
#include "core/job/field_visits.hpp"
#include "core/sheets/labels.hpp"
#include "core/sheets/lettering.hpp"
#include "core/sheets/qr_code.hpp"
#include "demo_job.hpp"

#include <catch2/catch.hpp>
#include <set>

using namespace yes_square;

namespace {

const Voice mm{Unit::mm, {}};

/// What of a drawing lies in a stretch of paper or reaches into it.
PaperBox box_of_shape(const Shape& shape) {
    if (const auto* text = std::get_if<Text>(&shape.form))
        return box_of(*text);
    if (const auto* form = std::get_if<Rectangle>(&shape.form))
        return {form->at.x, form->at.y, form->at.x + form->width, form->at.y + form->height};
    const auto& mark = std::get<Triangle>(shape.form);
    return {std::min({mark.a.x, mark.b.x, mark.c.x}), std::min({mark.a.y, mark.b.y, mark.c.y}),
            std::max({mark.a.x, mark.b.x, mark.c.x}), std::max({mark.a.y, mark.b.y, mark.c.y})};
}

} // namespace

TEST_CASE("every part of the cut list has its label, by its own number", "[labels]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    const std::vector<CutPiece> pieces = cut_list(job, plan);
    const std::vector<Label> labels = part_labels(job, plan, mm);
    REQUIRE(labels.size() == pieces.size());
    for (std::size_t i = 0; i < labels.size(); ++i) {
        CHECK(labels[i].large == pieces[i].label);
        CHECK(labels[i].code().find(format(pieces[i].length, Unit::mm)) != std::string::npos);
    }
    std::size_t shelves = 0;
    for (const Wall& wall : job.walls)
        shelves += wall.shelves.size();
    CHECK(load_labels(job, plan, mm).size() == shelves);
}

TEST_CASE("labels fit their sheets: no two touch, none passes the paper, nothing passes a label", "[labels][drawing]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    std::vector<Label> labels = part_labels(job, plan, mm);
    for (Label& label : load_labels(job, plan, {Unit::inch_16, {}}))
        labels.push_back(std::move(label));
    labels.push_back({"A-very-long-code-of-a-part-1234567890", std::string(180, 'w') + " left", {"x"}, true, true});
    for (const auto& row : enum_names<LabelSheet>())
        for (const bool letter : {false, true}) {
            INFO(row.name);
            const LabelGrid grid = label_grid(row.value, letter);
            for (std::size_t i = 0; i < grid.on_a_page(); ++i) {
                const Point at = grid.at(i);
                CHECK(at.x >= -0.01);
                CHECK(at.y >= -0.01);
                CHECK(at.x + grid.width <= grid.paper_width + 0.01);
                CHECK(at.y + grid.height <= grid.paper_height + 0.01);
                if (i > 0 && i % static_cast<std::size_t>(grid.across) != 0)
                    CHECK(at.x >= grid.at(i - 1).x + grid.width - 0.01);
            }
            const std::vector<Drawing> pages = label_pages(labels, grid, mm);
            CHECK(pages.size() == (labels.size() + grid.on_a_page() - 1) / grid.on_a_page());
            std::size_t bad = 0;
            for (const Drawing& page : pages)
                for (const Shape& shape : page.shapes) {
                    const PaperBox box = box_of_shape(shape);
                    bool inside = false;
                    for (std::size_t i = 0; i < grid.on_a_page() && !inside; ++i) {
                        const Point at = grid.at(i);
                        inside = PaperBox{at.x - 0.01, at.y - 0.01, at.x + grid.width + 0.01, at.y + grid.height + 0.01}
                                     .holds(box);
                    }
                    bad += inside ? 0 : 1;
                }
            CHECK(bad == 0);
        }
}

TEST_CASE("a code is built as its standard says", "[labels][qr]") {
    // ISO/IEC 18004: three finders of seven squares, and a timing line that changes with every square between them.
    const auto squares = qr_squares("P1\nside panel\n2080 mm x 580 mm x 18 mm");
    REQUIRE(squares.size() >= 21);
    CHECK((squares.size() - 21) % 4 == 0); // of a version
    const auto finder = [&](std::size_t top, std::size_t left) {
        for (std::size_t row = 0; row < 7; ++row)
            for (std::size_t column = 0; column < 7; ++column) {
                const bool edge = row == 0 || row == 6 || column == 0 || column == 6;
                const bool heart = row >= 2 && row <= 4 && column >= 2 && column <= 4;
                CHECK(squares[top + row][left + column] == (edge || heart));
            }
    };
    finder(0, 0);
    finder(0, squares.size() - 7);
    finder(squares.size() - 7, 0);
    for (std::size_t i = 8; i + 8 < squares.size(); ++i) {
        CHECK(squares[6][i] == (i % 2 == 0));
        CHECK(squares[i][6] == (i % 2 == 0));
    }
    // No code for what none holds, and whole lines of what is too long.
    CHECK(qr_squares(std::string(5000, 'x')).empty());
    Drawing drawing;
    add_qr_code(drawing, {}, 20, "first line\n" + std::string(900, 'x'));
    CHECK_FALSE(drawing.shapes.empty());
}
