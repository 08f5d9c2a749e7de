#include "core/cutting/cut_bars.hpp"

#include "core/cutting/bar_patterns.hpp"

#include <algorithm>
#include <cassert>
#include <chrono>
#include <cmath>
#include <glpk.h>
#include <memory>
#include <numeric>

namespace yes_square {
namespace {

constexpr std::size_t few_patterns = 3000; ///< so many are all enumerated, and the answer is exact

using Clock = std::chrono::steady_clock;

struct Program {
    std::unique_ptr<glp_prob, decltype(&glp_delete_prob)> lp{glp_create_prob(), &glp_delete_prob};
    glp_prob* get() const { return lp.get(); }
};

/// The master program: every item cut as often as it is wanted, no more bars of a kind than lie there, least cost.
class Master {
public:
    explicit Master(const BarProblem& problem, const std::vector<int>& demand)
        : problem_{problem} {
        glp_term_out(GLP_OFF);
        for (std::size_t i = 0; i < problem.items.size(); ++i)
            row(GLP_LO, demand[i]);
        for (const BarProblem::Kind& kind : problem.kinds)
            kind.number ? row(GLP_UP, *kind.number) : row(GLP_FR, 0);
    }

    void add(const Pattern& pattern) {
        const int column = glp_add_cols(program_.get(), 1);
        glp_set_col_bnds(program_.get(), column, GLP_LO, 0, 0);
        glp_set_obj_coef(program_.get(), column, problem_.kinds[pattern.kind].cost);
        std::vector<int> rows{0};
        std::vector<double> values{0};
        for (std::size_t i = 0; i < pattern.counts.size(); ++i)
            if (pattern.counts[i] > 0) {
                rows.push_back(static_cast<int>(i) + 1);
                values.push_back(pattern.counts[i]);
            }
        rows.push_back(kind_row(pattern.kind));
        values.push_back(1);
        glp_set_mat_col(program_.get(), column, static_cast<int>(rows.size()) - 1, rows.data(), values.data());
        patterns_.push_back(pattern);
    }

    bool relax() {
        glp_smcp parameters;
        glp_init_smcp(&parameters);
        parameters.msg_lev = GLP_MSG_OFF;
        return glp_simplex(program_.get(), &parameters) == 0 && glp_get_status(program_.get()) == GLP_OPT;
    }
    double relaxed_cost() const { return glp_get_obj_val(program_.get()); }
    double worth_of_item(std::size_t i) const { return glp_get_row_dual(program_.get(), static_cast<int>(i) + 1); }
    double worth_of_kind(std::size_t k) const { return glp_get_row_dual(program_.get(), kind_row(k)); }
    double relaxed(std::size_t column) const { return glp_get_col_prim(program_.get(), static_cast<int>(column) + 1); }

    /// The best whole answer with the patterns there are, and whether it is proved to be; empty: none in time.
    std::vector<int> whole(double seconds, bool& best) {
        for (int c = 1; c <= glp_get_num_cols(program_.get()); ++c)
            glp_set_col_kind(program_.get(), c, GLP_IV);
        glp_iocp parameters;
        glp_init_iocp(&parameters);
        parameters.msg_lev = GLP_MSG_OFF;
        parameters.tm_lim = std::max(50, static_cast<int>(seconds * 1000));
        parameters.mir_cuts = GLP_ON;
        const int ended = glp_intopt(program_.get(), &parameters);
        const int status = glp_mip_status(program_.get());
        best = ended == 0 && status == GLP_OPT;
        if (status != GLP_OPT && status != GLP_FEAS)
            return {};
        std::vector<int> used;
        for (int c = 1; c <= glp_get_num_cols(program_.get()); ++c)
            used.push_back(static_cast<int>(std::lround(glp_mip_col_val(program_.get(), c))));
        return used;
    }

    const std::vector<Pattern>& patterns() const { return patterns_; }
    glp_prob* program() { return program_.get(); }
    int kind_row(std::size_t kind) const { return static_cast<int>(problem_.items.size() + kind) + 1; }

private:
    void row(int type, int bound) {
        const int number = glp_add_rows(program_.get(), 1);
        glp_set_row_bnds(program_.get(), number, type, bound, bound);
    }

    const BarProblem& problem_;
    Program program_;
    std::vector<Pattern> patterns_;
};

class Cutter {
public:
    explicit Cutter(const BarQuestion& question)
        : question_{question}
        , problem_{problem_of(question)}
        , until_{Clock::now() +
                 std::chrono::duration_cast<Clock::duration>(std::chrono::duration<double>{question.seconds})} {}

    BarPlan cut() {
        BarPlan plan;
        plan.impossible = problem_.impossible;
        plan.priced = std::ranges::all_of(question_.stock, [](const BarStock& s) { return s.number || s.price; }) &&
                      std::ranges::any_of(question_.stock, [](const BarStock& s) { return s.price.has_value(); });
        if (problem_.items.empty())
            return plan;
        for (const BarProblem::Item& item : problem_.items)
            demand_.push_back(item.demand);
        collect_patterns();
        consider(first_fit(demand_));
        if (!done())
            dive();
        if (!done())
            program();
        if (used_.empty()) {
            // Too little lies there and nothing can be bought: as many as there is room for.
            plan.impossible.clear();
            for (std::size_t i = 0; i < question_.pieces.size(); ++i)
                plan.impossible.push_back(i);
            return plan;
        }
        longest_offcut(plan);
        lay_out(plan);
        plan.least = std::min(least_, plan.cost);
        return plan;
    }

private:
    double seconds_left() const { return std::chrono::duration<double>(until_ - Clock::now()).count(); }
    double cost_of(const std::vector<Pattern>& bars) const {
        double cost = 0;
        for (const Pattern& bar : bars)
            cost += problem_.kinds[bar.kind].cost;
        return cost;
    }
    /// Bars or prices alone, without the trifles for their lengths.
    double plain_cost(const std::vector<Pattern>& bars) const {
        double cost = 0;
        for (const Pattern& bar : bars)
            cost += problem_.kinds[bar.kind].price;
        return cost;
    }
    bool done() const { return !used_.empty() && plain_cost(used_) <= least_ + 1e-6 && single_length(); }
    /// With one length to buy, fewest bars are also the least length.
    bool single_length() const { return question_.stock.size() == 1; }

    void consider(const std::vector<Pattern>& bars) {
        if (!bars.empty() && (used_.empty() || cost_of(bars) < cost_of(used_) - 1e-9))
            used_ = bars;
    }

    /// Longest first into the first bar with room: those that lie there, the shortest first, then bought ones.
    std::vector<Pattern> first_fit(std::vector<int> demand) const {
        std::vector<std::size_t> kinds(problem_.kinds.size());
        std::iota(kinds.begin(), kinds.end(), std::size_t{0});
        std::ranges::sort(kinds, [&](std::size_t a, std::size_t b) {
            const auto rank = [&](std::size_t k) {
                const BarProblem::Kind& kind = problem_.kinds[k];
                return std::pair{kind.number ? 0 : 1, kind.number ? kind.room : -kind.room};
            };
            return rank(a) < rank(b);
        });
        std::vector<int> opened(problem_.kinds.size(), 0);
        std::vector<Pattern> bars;
        std::vector<std::int64_t> room;
        for (std::size_t i = 0; i < problem_.items.size(); ++i)
            for (; demand[i] > 0; --demand[i]) {
                std::size_t bar = 0;
                while (bar < bars.size() && room[bar] < problem_.items[i].size)
                    ++bar;
                if (bar == bars.size()) {
                    const auto kind = std::ranges::find_if(kinds, [&](std::size_t k) {
                        return problem_.kinds[k].room >= problem_.items[i].size &&
                               (!problem_.kinds[k].number || opened[k] < *problem_.kinds[k].number);
                    });
                    if (kind == kinds.end())
                        return {};
                    ++opened[*kind];
                    bars.push_back({*kind, std::vector<int>(problem_.items.size(), 0)});
                    room.push_back(problem_.kinds[*kind].room);
                }
                ++bars[bar].counts[i];
                room[bar] -= problem_.items[i].size;
            }
        return bars;
    }

    /// All patterns where they are few; else those that the relaxed program asks for. Sets the bound.
    void collect_patterns() {
        patterns_ = all_patterns(problem_, few_patterns);
        complete_ = !patterns_.empty();
        if (!complete_)
            for (std::size_t kind = 0; kind < problem_.kinds.size(); ++kind)
                for (std::size_t i = 0; i < problem_.items.size(); ++i)
                    if (problem_.items[i].size <= problem_.kinds[kind].room) {
                        Pattern single{kind, std::vector<int>(problem_.items.size(), 0)};
                        single.counts[i] = static_cast<int>(std::min<std::int64_t>(
                            problem_.items[i].demand, problem_.kinds[kind].room / problem_.items[i].size));
                        patterns_.push_back(std::move(single));
                    }
        for (Pattern& bar : first_fit(demand_))
            patterns_.push_back(std::move(bar));
        Master master{problem_, demand_};
        for (const Pattern& pattern : patterns_)
            master.add(pattern);
        const auto cost = generate(master);
        if (!complete_)
            patterns_ = master.patterns();
        const std::int64_t widest = std::ranges::max(problem_.kinds, {}, &BarProblem::Kind::room).room;
        double all = 0;
        for (const BarProblem::Item& item : problem_.items)
            all += static_cast<double>(item.size) * item.demand;
        const auto lies_there = [](const BarProblem::Kind& kind) { return kind.number.has_value(); };
        const bool may_lie_there = std::ranges::any_of(problem_.kinds, lies_there);
        // Where all that can be bought costs the same, any cost is a whole number of it.
        std::optional<double> each;
        bool alike = true;
        for (const BarProblem::Kind& kind : problem_.kinds)
            if (!lies_there(kind)) {
                alike = alike && (!each || *each == kind.price);
                each = kind.price;
            }
        const bool counted = alike && each && *each > 0;
        if (cost)
            // The trifles for length, all together less than a thousandth, are no part of the cost.
            least_ = counted ? std::ceil(*cost / *each - 1e-3 / std::min(1.0, *each)) * *each : *cost - 1e-3;
        else if (!may_lie_there && counted)
            least_ = std::ceil(all / static_cast<double>(widest) - 1e-9) * *each;
        least_ = std::max(0.0, least_);
    }

    /// Adds patterns until the relaxed program can gain by none; its cost, where that was proved.
    std::optional<double> generate(Master& master) {
        for (;;) {
            if (!master.relax())
                return std::nullopt;
            if (complete_)
                return master.relaxed_cost();
            std::vector<double> worth;
            for (std::size_t i = 0; i < problem_.items.size(); ++i)
                worth.push_back(std::max(0.0, master.worth_of_item(i)));
            bool added = false;
            bool sure = true;
            for (std::size_t kind = 0; kind < problem_.kinds.size(); ++kind) {
                BestPattern best =
                    best_pattern(problem_, kind, worth, problem_.kinds[kind].cost - master.worth_of_kind(kind) + 1e-7);
                sure = sure && best.sure;
                if (best.counts.empty())
                    continue;
                master.add({kind, std::move(best.counts)});
                added = true;
            }
            if (!added)
                return sure ? std::optional{master.relaxed_cost()} : std::nullopt;
            if (seconds_left() < question_.seconds / 4)
                return std::nullopt;
        }
    }

    /// Takes what the relaxed program is surest of, again and again, for what is still wanted.
    void dive() {
        std::vector<int> left = demand_;
        std::vector<Pattern> bars;
        std::vector<int> opened(problem_.kinds.size(), 0);
        while (std::ranges::any_of(left, [](int number) { return number > 0; })) {
            if (seconds_left() < question_.seconds / 3)
                return;
            BarProblem rest = problem_;
            for (std::size_t k = 0; k < rest.kinds.size(); ++k)
                if (rest.kinds[k].number)
                    *rest.kinds[k].number -= opened[k];
            for (std::size_t i = 0; i < left.size(); ++i)
                rest.items[i].demand = left[i];
            Master master{rest, left};
            for (const Pattern& pattern : patterns_)
                master.add(pattern);
            if (!master.relax())
                return;
            std::size_t surest = 0;
            double most = -1;
            for (std::size_t c = 0; c < patterns_.size(); ++c) {
                const double value = master.relaxed(c);
                const double whole = std::floor(value + 1e-6);
                const double rank = whole >= 1 ? 10 + whole : value;
                if (rank > most) {
                    most = rank;
                    surest = c;
                }
            }
            const int times = std::max(1, static_cast<int>(std::floor(master.relaxed(surest) + 1e-6)));
            for (int t = 0; t < times; ++t) {
                Pattern bar = patterns_[surest];
                bool any = false;
                for (std::size_t i = 0; i < left.size(); ++i) {
                    bar.counts[i] = std::min(bar.counts[i], left[i]);
                    left[i] -= bar.counts[i];
                    any = any || bar.counts[i] > 0;
                }
                if (!any)
                    break;
                ++opened[bar.kind];
                bars.push_back(std::move(bar));
            }
        }
        consider(bars);
    }

    void program() {
        Master master{problem_, demand_};
        for (const Pattern& pattern : patterns_)
            master.add(pattern);
        if (!master.relax())
            return;
        bool best = false;
        const std::vector<int> whole = master.whole(seconds_left() * 2 / 3, best);
        if (whole.empty())
            return;
        consider(trimmed(whole));
        if (best && complete_)
            least_ = std::max(least_, plain_cost(used_));
    }

    /// As many bars of each pattern, none of them with more than is wanted.
    std::vector<Pattern> trimmed(const std::vector<int>& number) const {
        std::vector<int> left = demand_;
        std::vector<Pattern> bars;
        for (std::size_t c = 0; c < number.size(); ++c)
            for (int t = 0; t < number[c]; ++t) {
                Pattern bar = patterns_[c];
                bool any = false;
                for (std::size_t i = 0; i < left.size(); ++i) {
                    bar.counts[i] = std::min(bar.counts[i], left[i]);
                    left[i] -= bar.counts[i];
                    any = any || bar.counts[i] > 0;
                }
                if (any)
                    bars.push_back(std::move(bar));
            }
        return bars;
    }

    /// With as many bars of each kind, one bought bar holds as little as can be: its own pieces are unknowns beside the
    /// patterns of the others.
    void longest_offcut(BarPlan& plan) {
        std::vector<int> number(problem_.kinds.size(), 0);
        for (const Pattern& bar : used_)
            ++number[bar.kind];
        std::optional<std::size_t> longest;
        for (std::size_t k = 0; k < number.size(); ++k)
            if (number[k] > 0 && !problem_.kinds[k].number &&
                (!longest || problem_.kinds[k].room > problem_.kinds[*longest].room))
                longest = k;
        if (!longest || seconds_left() < 0.05)
            return;
        Master master{problem_, demand_};
        for (const Pattern& pattern : patterns_)
            master.add(pattern);
        glp_prob* program = master.program();
        const int columns = glp_get_num_cols(program);
        for (int c = 1; c <= columns; ++c)
            glp_set_obj_coef(program, c, 0);
        for (std::size_t k = 0; k < number.size(); ++k) {
            const int most = number[k] - (k == *longest ? 1 : 0);
            const int there = problem_.kinds[k].number ? *problem_.kinds[k].number : most;
            glp_set_row_bnds(program, master.kind_row(k), GLP_UP, 0, there);
        }
        const int room = glp_add_rows(program, 1);
        glp_set_row_bnds(program, room, GLP_UP, 0, static_cast<double>(problem_.kinds[*longest].room));
        for (std::size_t i = 0; i < problem_.items.size(); ++i) {
            const int column = glp_add_cols(program, 1);
            glp_set_col_bnds(program, column, GLP_DB, 0, problem_.items[i].demand);
            const auto size = static_cast<double>(problem_.items[i].size);
            glp_set_obj_coef(program, column, size);
            const int rows[]{0, static_cast<int>(i) + 1, room};
            const double values[]{0, 1, size};
            glp_set_mat_col(program, column, 2, rows, values);
        }
        if (!master.relax())
            return;
        bool best = false;
        // The offcut is a nicety: it gets a fifth of the time at most.
        const std::vector<int> whole = master.whole(std::min(seconds_left() * 0.8, question_.seconds / 5), best);
        if (whole.empty())
            return;
        Pattern special{*longest, std::vector<int>(problem_.items.size(), 0)};
        std::vector<int> others(whole.begin(), whole.begin() + columns);
        for (std::size_t i = 0; i < problem_.items.size(); ++i)
            special.counts[i] = whole[static_cast<std::size_t>(columns) + i];
        std::vector<int> left = demand_;
        for (std::size_t i = 0; i < left.size(); ++i)
            left[i] -= special.counts[i];
        std::swap(left, demand_);
        std::vector<Pattern> bars = trimmed(others);
        std::swap(left, demand_);
        bars.push_back(std::move(special));
        if (plain_cost(bars) > plain_cost(used_) + 1e-6)
            return;
        plan.offcut_proved = best && complete_;
        used_ = std::move(bars);
    }

    void lay_out(BarPlan& plan) const {
        std::vector<std::vector<std::size_t>> waiting;
        for (const BarProblem::Item& item : problem_.items)
            waiting.push_back(item.pieces);
        std::vector<Pattern> bars = used_;
        std::ranges::stable_sort(bars, std::less{},
                                 [&](const Pattern& bar) { return problem_.kinds[bar.kind].number ? 0 : 1; });
        for (const Pattern& pattern : bars) {
            const BarProblem::Kind& kind = problem_.kinds[pattern.kind];
            const BarStock& stock = question_.stock[kind.stock];
            Bar bar;
            bar.stock = kind.stock;
            for (std::size_t i = 0; i < pattern.counts.size(); ++i)
                for (int n = 0; n < pattern.counts[i] && !waiting[i].empty(); ++n) {
                    bar.pieces.push_back(waiting[i].front());
                    waiting[i].erase(waiting[i].begin());
                }
            if (bar.pieces.empty())
                continue;
            const Length room = stock.length - (stock.number ? Length{} : 2 * question_.end_trim);
            for (const std::size_t piece : bar.pieces)
                bar.used += question_.pieces[piece];
            bar.used += question_.kerf * static_cast<std::int64_t>(bar.pieces.size() - 1);
            if (room - bar.used > question_.kerf) {
                bar.used += question_.kerf;
                bar.offcut = room - bar.used;
            }
            plan.cost += kind.price;
            plan.bought += !stock.number;
            plan.longest_offcut = std::max(plan.longest_offcut, bar.offcut);
            plan.bars.push_back(std::move(bar));
        }
    }

    const BarQuestion& question_;
    BarProblem problem_;
    Clock::time_point until_;
    std::vector<int> demand_;
    std::vector<Pattern> patterns_;
    bool complete_ = false;
    double least_ = 0;
    std::vector<Pattern> used_;
};

} // namespace

BarPlan cut_bars(const BarQuestion& question) {
    BarPlan plan = Cutter{question}.cut();
    assert(plan.cost >= plan.least - 1e-6 * std::max(1.0, plan.cost)); // or one of the two is wrong
    return plan;
}

} // namespace yes_square
