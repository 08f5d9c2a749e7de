#include "core/cutting/bar_patterns.hpp"

#include <algorithm>
#include <numeric>

namespace yes_square {
namespace {

/// A trifle for length, so small that all bars together never outweigh one bar or one unit of a price.
constexpr double length_trifle = 1e-4;

class Enumerator {
public:
    Enumerator(const BarProblem& problem, std::size_t most)
        : problem_{problem}
        , most_{most} {}

    std::vector<Pattern> all() {
        for (std::size_t kind = 0; kind < problem_.kinds.size() && !too_many_; ++kind) {
            counts_.assign(problem_.items.size(), 0);
            from(kind, 0, problem_.kinds[kind].room);
        }
        if (too_many_)
            patterns_.clear();
        return std::move(patterns_);
    }

private:
    void from(std::size_t kind, std::size_t item, std::int64_t room) {
        if (too_many_)
            return;
        if (item == problem_.items.size()) {
            for (std::size_t i = 0; i < counts_.size(); ++i)
                if (counts_[i] < problem_.items[i].demand && problem_.items[i].size <= room)
                    return; // another would still go in
            if (std::ranges::any_of(counts_, [](int count) { return count > 0; }))
                patterns_.push_back({kind, counts_});
            too_many_ = patterns_.size() > most_ || ++visited_ > 200 * most_;
            return;
        }
        too_many_ = ++visited_ > 200 * most_;
        const auto& [size, demand, pieces] = problem_.items[item];
        const int most = static_cast<int>(std::min<std::int64_t>(demand, room / size));
        for (int number = most; number >= 0 && !too_many_; --number) {
            counts_[item] = number;
            from(kind, item + 1, room - number * size);
        }
        counts_[item] = 0;
    }

    const BarProblem& problem_;
    std::size_t most_;
    std::size_t visited_ = 0;
    bool too_many_ = false;
    std::vector<int> counts_;
    std::vector<Pattern> patterns_;
};

/// A bounded knapsack by branch and bound, items by worth for their size.
class Knapsack {
public:
    Knapsack(const BarProblem& problem, std::size_t kind, const std::vector<double>& worth, double above)
        : problem_{problem}
        , worth_{worth}
        , best_{above} {
        for (std::size_t i = 0; i < problem.items.size(); ++i)
            if (worth[i] > 1e-12 && problem.items[i].size <= problem.kinds[kind].room)
                order_.push_back(i);
        const auto density = [&](std::size_t i) { return worth_[i] / static_cast<double>(problem_.items[i].size); };
        std::ranges::sort(order_, [&](std::size_t a, std::size_t b) { return density(a) > density(b); });
        counts_.assign(problem.items.size(), 0);
        from(0, problem.kinds[kind].room, 0);
    }

    BestPattern found() { return {std::move(found_), visited_ <= most_visits}; }

private:
    void from(std::size_t at, std::int64_t room, double value) {
        if (value > best_ + 1e-9) {
            best_ = value;
            found_ = counts_;
        }
        if (at == order_.size() || ++visited_ > most_visits)
            return;
        const std::size_t i = order_[at];
        const std::int64_t size = problem_.items[i].size;
        // The rest filled with the best of what is left, whole or not.
        if (value + worth_[i] / static_cast<double>(size) * static_cast<double>(room) <= best_ + 1e-9)
            return;
        const int most = static_cast<int>(std::min<std::int64_t>(problem_.items[i].demand, room / size));
        for (int number = most; number >= 0; --number) {
            counts_[i] = number;
            from(at + 1, room - number * size, value + number * worth_[i]);
        }
        counts_[i] = 0;
    }

    static constexpr std::size_t most_visits = 2'000'000;
    const BarProblem& problem_;
    const std::vector<double>& worth_;
    double best_;
    std::vector<std::size_t> order_;
    std::vector<int> counts_;
    std::vector<int> found_;
    std::size_t visited_ = 0;
};

} // namespace

BarProblem problem_of(const BarQuestion& question) {
    BarProblem problem;
    const auto whole = [](Length length) { return length.in_steps_of(Length::micrometres(1)); };
    const bool priced = std::ranges::all_of(question.stock, [](const BarStock& s) { return s.number || s.price; });
    Length longest = 1_mm;
    for (const BarStock& stock : question.stock)
        longest = std::max(longest, stock.length);
    for (std::size_t i = 0; i < question.stock.size(); ++i) {
        const BarStock& stock = question.stock[i];
        const Length trim = stock.number ? Length{} : 2 * question.end_trim;
        const double trifle = length_trifle * stock.length.in_metres() / longest.in_metres() /
                              static_cast<double>(question.pieces.size() + 1);
        const double price = stock.number ? 0 : priced ? *stock.price : 1;
        problem.kinds.push_back({whole(stock.length - trim + question.kerf), stock.number, price, price + trifle, i});
    }
    std::vector<std::size_t> order(question.pieces.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::ranges::stable_sort(order, std::greater{}, [&](std::size_t i) { return question.pieces[i]; });
    for (const std::size_t i : order) {
        const std::int64_t size = whole(question.pieces[i] + question.kerf);
        const bool fits = std::ranges::any_of(
            problem.kinds, [&](const auto& kind) { return size <= kind.room && (!kind.number || *kind.number > 0); });
        if (!fits)
            problem.impossible.push_back(i);
        else if (!problem.items.empty() && problem.items.back().size == size) {
            ++problem.items.back().demand;
            problem.items.back().pieces.push_back(i);
        } else {
            problem.items.push_back({size, 1, {i}});
        }
    }
    return problem;
}

std::vector<Pattern> all_patterns(const BarProblem& problem, std::size_t most) {
    return Enumerator{problem, most}.all();
}

BestPattern best_pattern(const BarProblem& problem, std::size_t kind, const std::vector<double>& worth, double above) {
    return Knapsack{problem, kind, worth, above}.found();
}

} // namespace yes_square
