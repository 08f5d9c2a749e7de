#include "core/lines/solve_lines.hpp"
#include "run_walls.hpp"

#include "core/lines/room_lines.hpp"
#include "core/measure/unit.hpp"

#include <glpk.h>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

/// The same heights by a linear programme: least of z[node], or of its distance to a wish. None: no heights keep all.
class HeightProgramme {
public:
    HeightProgramme(std::size_t nodes, const std::vector<HeightBound>& bounds) {
        glp_term_out(GLP_OFF);
        problem_ = glp_create_prob();
        columns_ = static_cast<int>(nodes) + 1; // one more for the distance
        glp_add_cols(problem_, columns_);
        for (int i = 1; i <= columns_; ++i)
            glp_set_col_bnds(problem_, i, GLP_FR, 0, 0);
        glp_set_col_bnds(problem_, 1, GLP_FX, 0, 0);
        for (const HeightBound& bound : bounds)
            add({{int(bound.upper) + 1, 1.0}, {int(bound.lower) + 1, -1.0}}, bound.by.in_mm());
    }
    ~HeightProgramme() { glp_delete_prob(problem_); }
    HeightProgramme(const HeightProgramme&) = delete;
    HeightProgramme& operator=(const HeightProgramme&) = delete;

    void stand_on_floor() {
        for (int i = 2; i < columns_; ++i)
            add({{i, 1.0}}, 0);
    }
    bool feasible() { return minimise(1).has_value(); }
    std::optional<double> least(std::size_t node) { return minimise(int(node) + 1); }
    /// Fixes a node as near to a place as can be and says where.
    std::optional<double> nearest(std::size_t node, double wanted) {
        const int at = int(node) + 1;
        // distance >= z - wanted and >= wanted - z
        const int first = add({{columns_, 1.0}, {at, -1.0}}, -wanted);
        const int second = add({{columns_, 1.0}, {at, 1.0}}, wanted);
        const auto distance = minimise(columns_);
        if (!distance)
            return std::nullopt;
        const double place = glp_get_col_prim(problem_, at);
        const int rows[]{0, first, second};
        glp_std_basis(problem_);
        glp_del_rows(problem_, 2, rows);
        glp_set_col_bnds(problem_, at, GLP_FX, place, place);
        return place;
    }

private:
    int add(const std::vector<std::pair<int, double>>& terms, double at_least) {
        const int row = glp_add_rows(problem_, 1);
        glp_set_row_bnds(problem_, row, GLP_LO, at_least, 0);
        std::vector<int> columns{0};
        std::vector<double> factors{0};
        for (const auto& [column, factor] : terms) {
            columns.push_back(column);
            factors.push_back(factor);
        }
        glp_set_mat_row(problem_, row, int(terms.size()), columns.data(), factors.data());
        return row;
    }
    std::optional<double> minimise(int column) {
        for (int i = 1; i <= columns_; ++i)
            glp_set_obj_coef(problem_, i, i == column ? 1 : 0);
        glp_set_obj_dir(problem_, GLP_MIN);
        glp_smcp how;
        glp_init_smcp(&how);
        how.msg_lev = GLP_MSG_OFF;
        how.presolve = GLP_ON;
        glp_std_basis(problem_);
        if (glp_simplex(problem_, &how) != 0 || glp_get_status(problem_) != GLP_OPT)
            return std::nullopt;
        return glp_get_obj_val(problem_);
    }

    glp_prob* problem_ = nullptr;
    int columns_ = 0;
};

struct Chain {
    std::size_t nodes = 0;
    std::vector<HeightBound> bounds;
};

/// Heights that mostly climb, each held to one or two before it, exactly, at least or at most.
Chain random_chain() {
    Chain chain;
    chain.nodes = *rc::gen::inRange<std::size_t>(3, 9);
    std::size_t relation = 0;
    const auto relate = [&](std::size_t upper, std::size_t lower) {
        const Length by = Length::mm(*rc::gen::inRange(5, 900));
        const int how = *rc::gen::inRange(0, 4);
        if (how != 1)
            chain.bounds.push_back({upper, lower, by, relation});
        if (how == 0 || how == 1)
            chain.bounds.push_back({lower, upper, -by, relation});
        ++relation;
    };
    for (std::size_t node = 1; node < chain.nodes; ++node) {
        relate(node, *rc::gen::inRange<std::size_t>(0, node));
        if (*rc::gen::inRange(0, 2))
            relate(node, *rc::gen::inRange<std::size_t>(0, node));
    }
    return chain;
}

} // namespace

TEST_CASE("heights on random chains are those of a linear programme", "[lines][reference]") {
    rc::prop("least heights and conflicts against GLPK", [] {
        const Chain chain = random_chain();
        const SolvedHeights solved = solve_heights(chain.nodes, chain.bounds, {});
        HeightProgramme programme{chain.nodes, chain.bounds};
        RC_ASSERT(programme.feasible() == solved.conflicts.empty());
        programme.stand_on_floor();
        if (programme.feasible())
            for (std::size_t node = 1; node < chain.nodes; ++node)
                RC_ASSERT(std::abs(*programme.least(node) - solved.z[node].in_mm()) < 1e-6);
    });
    rc::prop("wishes are met one after the other as near as can be, against GLPK", [] {
        const Chain chain = random_chain();
        std::vector<std::optional<Length>> wanted(chain.nodes);
        for (std::size_t node = 1; node < chain.nodes; ++node)
            if (*rc::gen::inRange(0, 2))
                wanted[node] = Length::mm(*rc::gen::inRange(0, 3000));
        const SolvedHeights solved = solve_heights(chain.nodes, chain.bounds, wanted);
        if (!solved.conflicts.empty())
            RC_DISCARD("no heights keep all the bounds");
        HeightProgramme programme{chain.nodes, chain.bounds};
        programme.stand_on_floor();
        if (!programme.feasible())
            RC_DISCARD("a bound holds something under the floor");
        for (std::size_t node = 1; node < chain.nodes; ++node)
            if (wanted[node])
                RC_ASSERT(std::abs(*programme.nearest(node, wanted[node]->in_mm()) - solved.z[node].in_mm()) < 1e-6);
    });
}

TEST_CASE("a conflict names every bound on its circle and by how much they miss", "[lines]") {
    // Worktop at least 900 up, its unit 750 high at most on a plinth of exactly 120: 30 too little.
    const std::vector<HeightBound> bounds{{1, 0, 900_mm, 0}, {2, 0, 120_mm, 1}, {0, 2, -120_mm, 1}, {2, 1, -750_mm, 2}};
    const SolvedHeights solved = solve_heights(3, bounds, {});
    REQUIRE(solved.conflicts.size() == 1);
    CHECK(solved.conflicts.front().amount == 30_mm);
    CHECK(solved.conflicts.front().relations.size() == 3);
    CHECK(solved.conflicts.front().dropped == 2);
    CHECK(solved.z[1] == 900_mm); // solved without the last of them
    CHECK(solved.z[2] == 120_mm);
}

TEST_CASE("the usual heights stand on one another, in millimetres and in inches", "[lines]") {
    const Plan metric = reckon(kitchen_with({}));
    CHECK(height_of(metric, line_id::worktop) == 900_mm);
    CHECK(height_of(metric, line_id::wall_bottom) == 1350_mm);
    CHECK(height_of(metric, line_id::wall_top) == 2070_mm);
    CHECK(height_of(metric, line_id::tall_top) == 2070_mm);
    CHECK(height_of(metric, line_id::hooks) == 2018_mm); // 52 mm under the top
    Job job = kitchen_with({});
    const HouseLines house = house_lines(Unit::inch_16, job.rules.runs);
    job.rooms.front().lines = house.lines;
    job.rooms.front().line_relations = house.relations;
    const Plan inches = reckon(job);
    CHECK(height_of(inches, line_id::worktop) == 36_in);
    CHECK(height_of(inches, line_id::wall_bottom) == 54_in);
    CHECK(height_of(inches, line_id::wall_top) == 84_in);
}

TEST_CASE("a tall unit lifts the wall units' line with it, and is named", "[lines]") {
    const Plan plan = reckon(kitchen_with({run_of(RunLevel::floor, {tall_unit("t", 600_mm, 2100_mm)})}));
    CHECK(height_of(plan, line_id::tall_top) == 2250_mm);
    CHECK(height_of(plan, line_id::wall_top) == 2250_mm);
    const auto& lines = plan.rooms.front().lines.lines;
    CHECK(std::ranges::find(lines, std::string{line_id::wall_top}, &LinePlan::id)->set_by == "Unit t");
    const auto& workings = plan.rooms.front().lines.workings;
    const auto working = std::ranges::find(workings, "line/wall-top", &Working::subject);
    REQUIRE(working != workings.end());
    CHECK(working->result.si == Approx(2.25));
    double sum = 0;
    for (const Term& term : working->terms)
        sum += term.value.si;
    CHECK(sum == Approx(2.25)); // the terms are the chain, and add up
}

TEST_CASE("each appliance sets its line", "[lines]") {
    SECTION("an undercounter appliance lifts the worktop") {
        const Plan plan = reckon(
            kitchen_with({run_of(RunLevel::floor, {gap("d", 600_mm, {ApplianceKind::undercounter, 880_mm, 5_mm})})}));
        CHECK(height_of(plan, line_id::carcass) == 885_mm);
        CHECK(height_of(plan, line_id::worktop) == 915_mm);
    }
    SECTION("a microwave keeps its clearance under the wall units") {
        CabinetUnit over = wall_unit("m", 600_mm);
        over.appliance = Appliance{ApplianceKind::microwave, 380_mm, 100_mm};
        CHECK(height_of(reckon(kitchen_with({run_of(RunLevel::wall, {over})})), line_id::wall_bottom) == 1380_mm);
    }
    SECTION("a hood hangs at its maker's figure over the worktop, or at the house's") {
        CabinetUnit hood = wall_unit("h", 600_mm, 400_mm);
        hood.appliance = Appliance{ApplianceKind::hood, {}, 700_mm};
        CHECK(height_of(reckon(kitchen_with({run_of(RunLevel::wall, {hood})})), line_id::hood) == 1600_mm);
        hood.appliance->clearance = {};
        CHECK(height_of(reckon(kitchen_with({run_of(RunLevel::wall, {hood})})), line_id::hood) == 1550_mm);
    }
}

TEST_CASE("relations that fight are told with their amount, and a button makes peace", "[lines]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {tall_unit("t", 600_mm, 2100_mm)})});
    job.rooms.front().line_relations.push_back({line_id::tall_top, line_id::floor, HowFar::at_most, 2200_mm, "beam"});
    const Plan plan = reckon(job);
    const Check* fight = find_check(plan.rooms.front().lines.checks, checks::lines_conflict);
    REQUIRE(fight);
    CHECK(fight->amount->si == Approx(0.05));
    bool cured = false;
    for (const Cure& cure : fight->cures)
        if (cure.edit) {
            const Plan after = reckon(apply(*cure.edit, job));
            CHECK_FALSE(find_check(after.rooms.front().lines.checks, checks::lines_conflict));
            cured = true;
        }
    CHECK(cured);
    CHECK(count_checks(plan, Severity::error) >= 1);
}

TEST_CASE("a line pulled up takes what hangs on it along, one pulled too low stays and says so", "[lines]") {
    Job job = kitchen_with({});
    job = apply(SetLine{"room-1", line_id::wall_bottom, 1500_mm}, job);
    Plan plan = reckon(job);
    CHECK(height_of(plan, line_id::wall_bottom) == 1500_mm);
    CHECK(height_of(plan, line_id::wall_top) == 2220_mm);
    job = apply(SetLine{"room-1", line_id::wall_bottom, 1200_mm}, job);
    plan = reckon(job);
    CHECK(height_of(plan, line_id::wall_bottom) == 1350_mm);
    const Check* missed = find_check(plan.rooms.front().lines.checks, checks::line_not_as_wanted);
    REQUIRE(missed);
    CHECK(missed->amount->si == Approx(0.15));
}

TEST_CASE("a room of cabinets without lines is offered the usual heights", "[lines]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm)})});
    job.rooms.front().lines.clear();
    job.rooms.front().line_relations.clear();
    const Plan plan = reckon(job);
    const Check* bare = find_check(plan.rooms.front().lines.checks, checks::lines_missing);
    REQUIRE(bare);
    const Plan after = reckon(apply(*bare->cures.front().edit, job));
    CHECK(height_of(after, line_id::wall_bottom) == 1350_mm);
    CHECK_FALSE(find_check(after.rooms.front().lines.checks, checks::lines_missing));
}
