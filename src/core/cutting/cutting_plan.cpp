#include "core/cutting/cutting_plan.hpp"

#include <algorithm>

namespace yes_square {
namespace {

bool suits(const Stock& stock, const Stuff& stuff) {
    const auto same = [](Length of_stock, Length wanted) {
        return of_stock == Length{} || wanted == Length{} || of_stock == wanted;
    };
    return stock.kind == stuff.kind && (!stock.material || stock.material == stuff.material) &&
           same(stock.thickness, stuff.thickness) &&
           (stuff.kind == StuffKind::sheet || same(stock.breadth, stuff.breadth));
}

/// A stock both lying there and to be had is two: what lies there has a number.
template <class As>
void each_stock(const std::vector<Stock>& stocks, As&& as) {
    for (std::size_t i = 0; i < stocks.size(); ++i) {
        if (stocks[i].on_hand > 0)
            as(i, std::optional{stocks[i].on_hand});
        if (stocks[i].to_buy)
            as(i, std::optional<int>{});
    }
}

void cut_lengths(StuffPlan& of, const CutRules& rules, double seconds) {
    BarQuestion question;
    question.kerf = rules.kerf;
    question.end_trim = rules.end_trim;
    question.seconds = seconds;
    for (const CutPiece& piece : of.pieces)
        question.pieces.push_back(piece.length);
    std::vector<std::size_t> stocks;
    each_stock(of.stock, [&](std::size_t i, std::optional<int> number) {
        question.stock.push_back({of.stock[i].length, number, of.stock[i].price});
        stocks.push_back(i);
    });
    of.bars = cut_bars(question);
    double price = 0;
    bool known = true;
    for (Bar& bar : of.bars.bars) {
        const BarStock& from = question.stock[bar.stock];
        known = known && (from.number || from.price);
        price += from.number ? 0 : from.price.value_or(0);
        bar.stock = stocks[bar.stock];
    }
    if (known)
        of.price = price;
}

void cut_rectangles(StuffPlan& of, const CutRules& rules) {
    SheetQuestion question;
    question.kerf = rules.kerf;
    question.trim = rules.sheet_trim;
    for (const CutPiece& piece : of.pieces)
        question.pieces.push_back({piece.length, piece.breadth, piece.may_turn});
    std::vector<std::size_t> stocks;
    each_stock(of.stock, [&](std::size_t i, std::optional<int> number) {
        question.stock.push_back({of.stock[i].length, of.stock[i].breadth, number});
        stocks.push_back(i);
    });
    of.sheet_plan = cut_sheets(question);
    double price = 0;
    bool known = true;
    for (Sheet& sheet : of.sheet_plan.sheets) {
        const bool bought = !question.stock[sheet.stock].number;
        sheet.stock = stocks[sheet.stock];
        known = known && (!bought || of.stock[sheet.stock].price);
        price += bought ? of.stock[sheet.stock].price.value_or(0) : 0;
    }
    if (known)
        of.price = price;
}

void check_lengths(StuffPlan& of) {
    for (const std::size_t i : of.sheets ? of.sheet_plan.impossible : of.bars.impossible) {
        const CutPiece& piece = of.pieces[i];
        Check& check = of.checks.emplace_back(Check{checks::stock_too_short,
                                                    Severity::error,
                                                    {"Part {0}: no {1} at hand or to be had is {2} long",
                                                     {piece.label, of.stuff.words, quantity(piece.length)}}});
        check.amount = quantity(piece.length);
        check.cures.push_back({{"Enter a longer stock, or joint it over a support"}, {}});
    }
}

} // namespace

std::vector<Stock> stock_for(const Stuff& stuff, const Job& job) {
    std::vector<Stock> found;
    const auto take = [&](const std::vector<Stock>& from) {
        std::ranges::copy_if(from, std::back_inserter(found), [&](const Stock& stock) { return suits(stock, stuff); });
    };
    take(job.catalogue.stock);
    if ((stuff.kind == StuffKind::rail || stuff.kind == StuffKind::channel) && found.empty()) {
        Stock bar;
        bar.kind = stuff.kind;
        bar.length = stuff.kind == StuffKind::rail ? job.rules.runs.rail_stock : job.rules.runs.channel_stock;
        found.push_back(bar);
    }
    if (std::ranges::none_of(found, &Stock::to_buy))
        take(shipped_catalogue().stock);
    std::ranges::stable_sort(found, std::less{}, [](const Stock& stock) { return stock.on_hand > 0 ? 0 : 1; });
    return found;
}

CuttingPlan cutting_plan(const Job& job, const Plan& plan, const Scope& scope, double seconds) {
    CuttingPlan cutting;
    for (CutPiece& piece : cut_list(job, plan, scope)) {
        auto same = std::ranges::find(cutting.stuffs, piece.stuff, &StuffPlan::stuff);
        if (same == cutting.stuffs.end()) {
            same = cutting.stuffs.insert(cutting.stuffs.end(), StuffPlan{});
            same->stuff = piece.stuff;
        }
        same->pieces.push_back(std::move(piece));
    }
    for (StuffPlan& of : cutting.stuffs) {
        of.stock = stock_for(of.stuff, job);
        of.sheets = of.stuff.kind == StuffKind::sheet;
        if (of.sheets)
            cut_rectangles(of, job.rules.cutting);
        else
            cut_lengths(of, job.rules.cutting, seconds);
        check_lengths(of);
        cutting.all_priced = cutting.all_priced && of.price;
        cutting.price += of.price.value_or(0);
    }
    return cutting;
}

} // namespace yes_square
