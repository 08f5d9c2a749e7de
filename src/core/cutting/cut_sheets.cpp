#include "core/cutting/cut_sheets.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>
#include <random>
#include <tuple>

namespace yes_square {
namespace {

struct FreeRoom {
    Length x;
    Length y;
    Length length;
    Length breadth;
};

double area(Length a, Length b) {
    return a.in_metres() * b.in_metres();
}

/// How a rectangle that is left is chosen for a piece, and how what remains of it is parted.
struct Manner {
    enum class Choose { least_area, least_side } choose = Choose::least_area;
    enum class Part { shorter_left, longer_left, keep_large } part = Part::keep_large;
};

class Packer {
public:
    Packer(const SheetQuestion& question, Manner manner)
        : question_{question}
        , manner_{manner} {}

    std::vector<Sheet> pack(const std::vector<std::size_t>& order) {
        opened_.assign(question_.stock.size(), 0);
        for (const std::size_t piece : order)
            if (!into_open(piece))
                open_for(piece);
        for (std::size_t s = 0; s < sheets_.size(); ++s) {
            for (const FreeRoom& room : rooms_[s])
                sheets_[s].offcuts.push_back({0, room.x, room.y, room.length, room.breadth});
            std::ranges::sort(sheets_[s].offcuts, std::greater{},
                              [](const PlacedPiece& p) { return area(p.length, p.breadth); });
        }
        return std::move(sheets_);
    }

private:
    struct Fit {
        std::size_t sheet = 0;
        std::size_t room = 0;
        bool turned = false;
        double rank = std::numeric_limits<double>::infinity();
    };

    void weigh(std::size_t piece, std::size_t sheet, Fit& best) const {
        const SheetPiece& wanted = question_.pieces[piece];
        for (std::size_t r = 0; r < rooms_[sheet].size(); ++r)
            for (const bool turned : {false, true}) {
                if (turned && !wanted.may_turn)
                    continue;
                const FreeRoom& room = rooms_[sheet][r];
                const Length length = turned ? wanted.breadth : wanted.length;
                const Length breadth = turned ? wanted.length : wanted.breadth;
                if (length > room.length || breadth > room.breadth)
                    continue;
                const double rank = manner_.choose == Manner::Choose::least_area
                                        ? area(room.length, room.breadth) - area(length, breadth)
                                        : std::min(room.length - length, room.breadth - breadth).in_metres();
                if (rank < best.rank - 1e-12)
                    best = {sheet, r, turned, rank};
            }
    }

    bool into_open(std::size_t piece) {
        Fit best;
        for (std::size_t s = 0; s < sheets_.size(); ++s)
            weigh(piece, s, best);
        if (std::isinf(best.rank))
            return false;
        put(piece, best);
        return true;
    }

    /// What lies there first, the smallest that will do; then the smallest to be bought.
    void open_for(std::size_t piece) {
        std::optional<std::size_t> chosen;
        const auto rank = [&](std::size_t s) {
            const SheetStock& stock = question_.stock[s];
            return std::pair{stock.number ? 0 : 1, area(stock.length, stock.breadth)};
        };
        for (std::size_t s = 0; s < question_.stock.size(); ++s) {
            const SheetStock& stock = question_.stock[s];
            if (stock.number && opened_[s] >= *stock.number)
                continue;
            const SheetPiece& wanted = question_.pieces[piece];
            const FreeRoom whole = room_of(s);
            const bool fits = (wanted.length <= whole.length && wanted.breadth <= whole.breadth) ||
                              (wanted.may_turn && wanted.breadth <= whole.length && wanted.length <= whole.breadth);
            if (fits && (!chosen || rank(s) < rank(*chosen)))
                chosen = s;
        }
        if (!chosen)
            return;
        ++opened_[*chosen];
        sheets_.push_back({*chosen, {}, {}, {}});
        rooms_.push_back({room_of(*chosen)});
        Fit fit;
        weigh(piece, sheets_.size() - 1, fit);
        put(piece, fit);
    }

    FreeRoom room_of(std::size_t s) const {
        const SheetStock& stock = question_.stock[s];
        const Length trim = stock.number ? Length{} : question_.trim;
        return {trim, trim, stock.length - 2 * trim, stock.breadth - 2 * trim};
    }

    /// Lays a piece into the corner of a room and parts the rest by two cuts.
    void put(std::size_t piece, const Fit& fit) {
        Sheet& sheet = sheets_[fit.sheet];
        const FreeRoom room = rooms_[fit.sheet][fit.room];
        rooms_[fit.sheet].erase(rooms_[fit.sheet].begin() + static_cast<std::ptrdiff_t>(fit.room));
        const SheetPiece& wanted = question_.pieces[piece];
        const Length length = fit.turned ? wanted.breadth : wanted.length;
        const Length breadth = fit.turned ? wanted.length : wanted.breadth;
        sheet.pieces.push_back({piece, room.x, room.y, length, breadth});
        const Length right = room.length - length;
        const Length over = room.breadth - breadth;
        const bool along_first = [&] {
            switch (manner_.part) {
            case Manner::Part::shorter_left:
                return right < over;
            case Manner::Part::longer_left:
                return right >= over;
            case Manner::Part::keep_large:
                return area(room.length, over) >= area(right, room.breadth);
            }
            return true;
        }();
        const auto cut = [&](bool along, Length at, Length from, Length to) {
            sheet.cuts.push_back({along, at, from, to});
        };
        const auto leave = [&](FreeRoom left) {
            if (left.length > Length{} && left.breadth > Length{})
                rooms_[fit.sheet].push_back(left);
        };
        const Length kerf = question_.kerf;
        if (along_first) {
            if (over > Length{})
                cut(true, room.y + breadth, room.x, room.x + room.length);
            if (right > Length{})
                cut(false, room.x + length, room.y, room.y + breadth);
            leave({room.x, room.y + breadth + kerf, room.length, over - kerf});
            leave({room.x + length + kerf, room.y, right - kerf, breadth});
        } else {
            if (right > Length{})
                cut(false, room.x + length, room.y, room.y + room.breadth);
            if (over > Length{})
                cut(true, room.y + breadth, room.x, room.x + length);
            leave({room.x + length + kerf, room.y, right - kerf, room.breadth});
            leave({room.x, room.y + breadth + kerf, length, over - kerf});
        }
    }

    const SheetQuestion& question_;
    Manner manner_;
    std::vector<Sheet> sheets_;
    std::vector<std::vector<FreeRoom>> rooms_;
    std::vector<int> opened_;
};

std::size_t bought(const std::vector<Sheet>& sheets, const SheetQuestion& question) {
    return static_cast<std::size_t>(
        std::ranges::count_if(sheets, [&](const Sheet& sheet) { return !question.stock[sheet.stock].number; }));
}

double largest_offcut(const std::vector<Sheet>& sheets) {
    double largest = 0;
    for (const Sheet& sheet : sheets)
        if (!sheet.offcuts.empty())
            largest = std::max(largest, area(sheet.offcuts.front().length, sheet.offcuts.front().breadth));
    return largest;
}

/// By area; and pieces longer and broader than half of every sheet lie one to a sheet.
std::size_t least_bought(const SheetQuestion& question, const std::vector<std::size_t>& possible) {
    double there = 0;
    int number_there = 0;
    double largest = 0;
    Length length;
    Length breadth;
    for (const SheetStock& stock : question.stock) {
        if (stock.number) {
            there += *stock.number * area(stock.length, stock.breadth);
            number_there += *stock.number;
        } else {
            largest = std::max(largest, area(stock.length - 2 * question.trim, stock.breadth - 2 * question.trim));
        }
        length = std::max(length, stock.length);
        breadth = std::max(breadth, stock.breadth);
    }
    double wanted = 0;
    int alone = 0;
    for (const std::size_t i : possible) {
        const SheetPiece& piece = question.pieces[i];
        wanted += area(piece.length, piece.breadth);
        const Length shorter = std::min(piece.length, piece.breadth);
        alone += piece.may_turn ? shorter * 2 > std::max(length, breadth)
                                : piece.length * 2 > length && piece.breadth * 2 > breadth;
    }
    const double by_area = largest > 0 ? std::ceil((wanted - there) / largest - 1e-9) : 0;
    return static_cast<std::size_t>(std::max({0.0, by_area, static_cast<double>(alone - number_there)}));
}

/// Orders in which pieces are laid: the largest first, by several measures, and each of these shaken.
std::vector<std::vector<std::size_t>> orders_of(const SheetQuestion& question) {
    std::vector<std::size_t> order(question.pieces.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    const auto by = [&](auto&& rank) {
        std::vector<std::size_t> sorted = order;
        std::ranges::stable_sort(sorted, std::greater{}, [&](std::size_t i) { return rank(question.pieces[i]); });
        return sorted;
    };
    std::vector<std::vector<std::size_t>> orders{
        by([](const SheetPiece& p) { return area(p.length, p.breadth); }),
        by([](const SheetPiece& p) {
            return std::tuple{p.length, p.breadth};
        }),
        by([](const SheetPiece& p) {
            return std::tuple{p.breadth, p.length};
        }),
        by([](const SheetPiece& p) {
            return std::tuple{std::max(p.length, p.breadth), p.breadth};
        }),
        by([](const SheetPiece& p) { return p.length + p.breadth; }),
    };
    std::mt19937 random{1}; // the same plan every time
    const std::size_t sorted = orders.size();
    for (int t = 0; t < question.tries; ++t) {
        std::vector<std::size_t> shaken = orders[static_cast<std::size_t>(t) % sorted];
        for (std::size_t i = 0; i + 1 < shaken.size(); ++i)
            if (random() % 3 == 0)
                std::swap(shaken[i], shaken[i + 1 + random() % std::min<std::size_t>(3, shaken.size() - i - 1)]);
        orders.push_back(std::move(shaken));
    }
    return orders;
}

} // namespace

SheetPlan cut_sheets(const SheetQuestion& question) {
    SheetPlan plan;
    const std::vector<std::vector<std::size_t>> orders = orders_of(question);
    std::tuple<std::size_t, std::size_t, std::size_t, double> best_rank{SIZE_MAX, SIZE_MAX, SIZE_MAX, 0};
    for (const auto choose : {Manner::Choose::least_area, Manner::Choose::least_side})
        for (const auto part : {Manner::Part::keep_large, Manner::Part::shorter_left, Manner::Part::longer_left})
            for (const std::vector<std::size_t>& each : orders) {
                std::vector<Sheet> sheets = Packer{question, {choose, part}}.pack(each);
                std::size_t placed = 0;
                for (const Sheet& sheet : sheets)
                    placed += sheet.pieces.size();
                const std::tuple rank{question.pieces.size() - placed, bought(sheets, question), sheets.size(),
                                      -largest_offcut(sheets)};
                if (rank < best_rank) {
                    best_rank = rank;
                    plan.sheets = std::move(sheets);
                }
            }
    std::vector<bool> placed(question.pieces.size(), false);
    double used = 0;
    double all = 0;
    for (const Sheet& sheet : plan.sheets) {
        all += area(question.stock[sheet.stock].length, question.stock[sheet.stock].breadth);
        for (const PlacedPiece& piece : sheet.pieces) {
            placed[piece.piece] = true;
            used += area(piece.length, piece.breadth);
        }
    }
    std::vector<std::size_t> possible;
    for (std::size_t i = 0; i < placed.size(); ++i)
        (placed[i] ? possible : plan.impossible).push_back(i);
    std::ranges::stable_sort(plan.sheets, std::less{},
                             [&](const Sheet& sheet) { return question.stock[sheet.stock].number ? 0 : 1; });
    plan.bought = bought(plan.sheets, question);
    plan.least = least_bought(question, possible);
    plan.used_share = all > 0 ? used / all : 0;
    return plan;
}

} // namespace yes_square
