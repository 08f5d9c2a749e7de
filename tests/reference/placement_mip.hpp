#pragma once

#include "core/shelves/bracket_search.hpp"

#include <algorithm>
#include <glpk.h>
#include <random>
#include <vector>

/// The question of where brackets go as a mixed-integer program, solved by GLPK: fewest off the studs, then fewest.
/// Places are a grid on which every figure of the question lies, so that the program's optimum is that of the question.
namespace yes_square {

inline constexpr int grid_mm = 20;

/// A random shelf whose figures lie on the grid: proved studs with no play, no keep-outs.
inline BracketQuestion random_question(std::mt19937& random) {
    const auto on_grid = [&](int least, int most) {
        return Length::mm(grid_mm * std::uniform_int_distribution<int>{least / grid_mm, most / grid_mm}(random));
    };
    BracketQuestion question;
    question.length = on_grid(700, 2400);
    question.spacing_least = 100_mm;
    question.spacing_good = 800_mm;
    question.spacing_two = question.spacing_more = on_grid(360, 900);
    question.inset_least = 20_mm;
    question.inset_usual = 60_mm;
    question.overhang_most = 300_mm;
    const int step = std::uniform_int_distribution<int>{0, 1}(random) ? 400 : 600;
    for (Length at = on_grid(0, 400); at < question.length; at += Length::mm(step))
        question.studs.push_back({at, {}, Substrate::proved_stud});
    return question;
}

struct Placement {
    bool possible = false;
    int on_lining = 0;
    int count = 0;
};

inline Placement place_by_mip(const BracketQuestion& question) {
    const auto cells = [](Length length) { return static_cast<int>(length.in_nanometres() / (grid_mm * 1'000'000LL)); };
    const int last = cells(question.length);
    const int inset = cells(question.inset_least);
    const int usual = cells(question.inset_usual);
    const int overhang = cells(question.overhang_most);
    const int widest = cells(question.spacing_more);
    const int narrowest = cells(question.spacing_least);
    std::vector<bool> stud(static_cast<std::size_t>(last) + 1, false);
    for (const StudUnder& under : question.studs)
        stud[static_cast<std::size_t>(cells(under.place))] = true;

    // A binary for every pair of neighbours that may stand side by side, and for every place to begin and to end at: an
    // end bracket stands in a stud or at the usual inset. What comes to a place goes on from it.
    struct Step {
        int from; // -1: begins here
        int to;   // -1: ends here
    };
    std::vector<Step> steps;
    const auto leaves_out = [&](int from, int to) { // a must, ends excluded
        return std::ranges::any_of(question.musts, [&](Length must) { return cells(must) > from && cells(must) < to; });
    };
    for (int p = 0; p <= last; ++p) {
        const bool in_stud = stud[static_cast<std::size_t>(p)];
        if (p >= inset && p <= overhang && (in_stud || p == usual) && !leaves_out(-1, p + 1))
            steps.push_back({-1, p});
        if (last - p >= inset && last - p <= overhang && (in_stud || last - p == usual) && !leaves_out(p - 1, last + 1))
            steps.push_back({p, -1});
        for (int q = p + narrowest; q <= std::min(last, p + widest); ++q)
            if (!leaves_out(p, q))
                steps.push_back({p, q});
    }
    glp_term_out(GLP_OFF);
    glp_prob* problem = glp_create_prob();
    glp_set_obj_dir(problem, GLP_MIN);
    glp_add_rows(problem, last + 2); // one a place, and that something begins
    for (int p = 0; p <= last; ++p)
        glp_set_row_bnds(problem, 1 + p, GLP_FX, 0, 0);
    glp_set_row_bnds(problem, last + 2, GLP_FX, 1, 1);
    glp_add_cols(problem, static_cast<int>(steps.size()));
    for (std::size_t i = 0; i < steps.size(); ++i) {
        const int column = static_cast<int>(i) + 1;
        const auto [from, to] = steps[i];
        glp_set_col_kind(problem, column, GLP_BV);
        if (to >= 0)
            glp_set_obj_coef(problem, column, stud[static_cast<std::size_t>(to)] ? 1 : 1001);
        std::vector<int> rows{0};
        std::vector<double> weights{0};
        const auto term = [&](int row, double weight) {
            rows.push_back(row);
            weights.push_back(weight);
        };
        if (from >= 0)
            term(1 + from, -1);
        else
            term(last + 2, 1);
        if (to >= 0)
            term(1 + to, 1);
        glp_set_mat_col(problem, column, static_cast<int>(rows.size()) - 1, rows.data(), weights.data());
    }
    glp_iocp settings;
    glp_init_iocp(&settings);
    settings.presolve = GLP_ON;
    Placement placement;
    if (glp_intopt(problem, &settings) == 0 && glp_mip_status(problem) == GLP_OPT) {
        placement.possible = true;
        for (std::size_t i = 0; i < steps.size(); ++i)
            if (steps[i].to >= 0 && glp_mip_col_val(problem, static_cast<int>(i) + 1) > 0.5) {
                ++placement.count;
                placement.on_lining += !stud[static_cast<std::size_t>(steps[i].to)];
            }
    }
    glp_delete_prob(problem);
    return placement;
}

/// The same by the program's own search.
inline Placement place_by_search(const BracketQuestion& question) {
    Placement placement;
    const BracketLayout* best = nullptr;
    const std::vector<BracketLayout> layouts = best_layouts(question, School::studs_first, 8);
    for (const BracketLayout& layout : layouts)
        if (!best || better(layout.merits, best->merits, School::studs_first))
            best = &layout;
    if (best)
        placement = {true, best->merits.on_lining, best->merits.count};
    return placement;
}

} // namespace yes_square
