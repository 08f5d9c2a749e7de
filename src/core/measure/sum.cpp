#include "core/measure/sum.hpp"

#include "core/measure/conversions.hpp"

#include "core/measure/entry.hpp"

#include <charconv>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

class Redoer {
public:
    Redoer(std::string_view sum, std::span<const double> terms)
        : sum_{sum}
        , terms_{terms} {}

    std::optional<double> whole() {
        const auto value = sum();
        return at_ == sum_.size() ? value : std::nullopt;
    }

private:
    using Value = std::optional<double>;

    bool next(std::string_view token) {
        while (at_ < sum_.size() && sum_[at_] == ' ')
            ++at_;
        if (!sum_.substr(at_).starts_with(token))
            return false;
        at_ += token.size();
        return true;
    }
    Value sum() {
        Value total = product();
        while (total) {
            const bool plus = next("+");
            if (!plus && !next("-"))
                break;
            const Value term = product();
            total = term ? Value{plus ? *total + *term : *total - *term} : std::nullopt;
        }
        return total;
    }
    Value product() {
        Value total = factor();
        while (total) {
            const bool times = next("x");
            if (!times && !next("/"))
                break;
            const Value term = factor();
            total = term ? Value{times ? *total * *term : *total / *term} : std::nullopt;
        }
        return total;
    }
    Value factor() {
        if (next("("))
            return closed(sum());
        if (next("sqrt(")) {
            const Value of = closed(sum());
            return of ? Value{std::sqrt(*of)} : std::nullopt;
        }
        if (next("arccos(")) {
            const Value of = closed(sum());
            return of ? Value{std::acos(*of)} : std::nullopt;
        }
        for (const bool greatest : {true, false})
            if (next(greatest ? "max(" : "min(")) {
                const Value a = sum();
                const Value b = next(",") ? sum() : std::nullopt;
                return closed(a && b ? Value{greatest ? std::max(*a, *b) : std::min(*a, *b)} : std::nullopt);
            }
        if (next("{")) {
            const Value index = number();
            return index && next("}") && *index < static_cast<double>(terms_.size())
                       ? Value{terms_[static_cast<std::size_t>(*index)]}
                       : std::nullopt;
        }
        return number();
    }
    Value closed(Value value) { return next(")") ? value : std::nullopt; }
    Value number() {
        next("");
        double value = 0;
        const auto [end, error] = std::from_chars(sum_.data() + at_, sum_.data() + sum_.size(), value);
        if (error != std::errc{})
            return std::nullopt;
        at_ = static_cast<std::size_t>(end - sum_.data());
        return value;
    }

    std::string_view sum_;
    std::span<const double> terms_;
    std::size_t at_ = 0;
};

double leading_number(const std::string& text) {
    double value = 0;
    std::from_chars(text.data(), text.data() + text.size(), value);
    return value;
}

/// How many SI units one unit of its display is: what a great one is said to be.
double display_unit(Kind kind, const Voice& voice) {
    constexpr double great = 1e9;
    return great / leading_number(say(Quantity{kind, great}, voice));
}

int usual_decimals(const std::string& number) {
    const auto point = number.find('.');
    return point == std::string::npos ? 0 : static_cast<int>(number.size() - point - 1);
}

} // namespace

std::optional<double> redo(std::string_view sum, std::span<const double> terms) {
    return Redoer{sum, terms}.whole();
}

Printed printed(const Quantity& quantity, const Voice& voice, int digits) {
    const bool length = quantity.kind == Kind::length || quantity.kind == Kind::stock;
    const bool imperial = is_imperial(voice.unit);
    if (!std::isfinite(quantity.si) || quantity.kind == Kind::time || quantity.kind == Kind::share)
        return {say(quantity, voice), quantity.si};
    if (length && digits == 0) {
        const std::string text = say(quantity, voice);
        const auto read = parse_length(text, voice.unit);
        return {text, read ? read->in_metres() : quantity.si};
    }
    if (length || quantity.kind == Kind::fine_length) {
        const double unit = imperial ? metres_per_inch : 0.001;
        const int decimals = (quantity.kind == Kind::fine_length ? (imperial ? 3 : 1) : (imperial ? 2 : 0)) + digits;
        const std::string number = fmt::format("{:.{}f}", quantity.si / unit, decimals);
        return {number + (imperial ? " in" : " mm"), leading_number(number) * unit};
    }
    const std::string usual = say(quantity, voice);
    const auto ends = usual.find_first_not_of("-0123456789.");
    const std::string figure = usual.substr(0, ends);
    const double unit = display_unit(quantity.kind, voice);
    const std::string number = fmt::format("{:.{}f}", quantity.si / unit, usual_decimals(figure) + digits);
    return {number + (ends == std::string::npos ? std::string{} : usual.substr(ends)), leading_number(number) * unit};
}

} // namespace yes_square
