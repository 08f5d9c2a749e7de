#include "printed_sum.hpp"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <limits>
#include <string>

namespace opinion {
namespace {

struct Unit {
    std::string_view name;
    double si;
};
constexpr double pound = 4.4482216152605;
constexpr double foot = 0.3048;
constexpr double degree = 3.14159265358979 / 180;

/// The longest that fits is meant.
constexpr std::array units{Unit{"ohm per 1000 ft", 1 / (1000 * foot)},
                           Unit{"ohm per 1000 m", 1e-3},
                           Unit{"sq ft", foot* foot},
                           Unit{"lb ft", pound* foot},
                           Unit{"lb/ft", pound / foot},
                           Unit{"W/ft", 1 / foot},
                           Unit{"kg/m", 1},
                           Unit{"N m2", 1},
                           Unit{"N/m", 1},
                           Unit{"N m", 1},
                           Unit{"W/m", 1},
                           Unit{"GPa", 1e9},
                           Unit{"m\u00b2", 1},
                           Unit{"min", 60},
                           Unit{"mm", 1e-3},
                           Unit{"kg", 1},
                           Unit{"in", 0.0254},
                           Unit{"lb", pound},
                           Unit{"\u00b0", degree},
                           Unit{"N", 1},
                           Unit{"W", 1},
                           Unit{"V", 1},
                           Unit{"A", 1},
                           Unit{"h", 3600},
                           Unit{"%", 0.01}};

struct Figure {
    double value = 0;
    double half = 0; ///< of its last place
};

class Reader {
public:
    Reader(std::string_view text, bool pounds_weigh)
        : rest_{text}
        , pounds_weigh_{pounds_weigh} {}

    std::optional<double> sum() {
        const double value = terms();
        blanks();
        return good_ && rest_.empty() ? std::optional{value} : std::nullopt;
    }

    Figure figure() {
        blanks();
        Figure found;
        const bool minus = take("-");
        bool any = false;
        for (;;) { // "32 3/4": the whole, then the part
            double whole = 0;
            const auto [end, error] =
                std::from_chars(rest_.data(), rest_.data() + rest_.size(), whole, std::chars_format::fixed);
            if (error != std::errc{})
                break;
            const std::string_view digits = rest_.substr(0, static_cast<std::size_t>(end - rest_.data()));
            rest_.remove_prefix(digits.size());
            const auto point = digits.find('.');
            found.half = point == std::string_view::npos
                             ? 0.5
                             : 0.5 * std::pow(10, -static_cast<double>(digits.size() - point - 1));
            double below = 0;
            const bool part = rest_.size() > 1 && rest_[0] == '/' &&
                              std::from_chars(rest_.data() + 1, rest_.data() + rest_.size(), below).ec == std::errc{};
            if (part) {
                rest_.remove_prefix(1);
                while (!rest_.empty() && std::isdigit(static_cast<unsigned char>(rest_.front())))
                    rest_.remove_prefix(1);
                whole /= below;
            }
            found.value += whole;
            any = true;
            // A fraction may follow a whole number and a blank.
            if (part || point != std::string_view::npos || !fraction_follows())
                break;
            take(" ");
        }
        good_ = good_ && any;
        found.value *= minus ? -1 : 1;
        apply_unit(found);
        return found;
    }
    bool good() const { return good_; }
    bool at_end() {
        blanks();
        return rest_.empty();
    }

private:
    bool fraction_follows() const {
        std::size_t i = 0;
        if (rest_.empty() || rest_[i++] != ' ')
            return false;
        const std::size_t first = i;
        while (i < rest_.size() && std::isdigit(static_cast<unsigned char>(rest_[i])))
            ++i;
        return i > first && i + 1 < rest_.size() && rest_[i] == '/' &&
               std::isdigit(static_cast<unsigned char>(rest_[i + 1]));
    }
    void apply_unit(Figure& figure) {
        const std::string_view after = rest_;
        take(" ");
        const Unit* best = nullptr;
        for (const Unit& unit : units)
            if (rest_.starts_with(unit.name) && (!best || unit.name.size() > best->name.size())) {
                const std::size_t next = unit.name.size();
                if (next == rest_.size() || !std::isalnum(static_cast<unsigned char>(rest_[next])))
                    best = &unit;
            }
        if (!best) {
            rest_ = after;
            return;
        }
        rest_.remove_prefix(best->name.size());
        double si = best->si;
        if (pounds_weigh_ && best->name == "lb")
            si = 0.45359237;
        if (pounds_weigh_ && best->name == "lb/ft")
            si = 0.45359237 / foot;
        if (best->name == "in" && figure.half == 0.5)
            figure.half = 1.0 / 32; // a tape's sixteenths
        figure.value *= si;
        figure.half *= si;
    }

    double terms() {
        double value = factors();
        for (;;) {
            if (take(" + "))
                value += factors();
            else if (take(" - "))
                value -= factors();
            else
                return value;
        }
    }
    double factors() {
        double value = one();
        for (;;) {
            if (take(" x "))
                value *= one();
            else if (take(" / "))
                value /= one();
            else
                return value;
        }
    }
    double one() {
        blanks();
        for (const std::string_view name : {"sqrt(", "arccos(", "max(", "min("})
            if (take(name)) {
                double value = terms();
                while (take(", ")) {
                    const double next = terms();
                    value = name == "max(" ? std::max(value, next) : std::min(value, next);
                }
                good_ = good_ && take(")");
                return name == "sqrt(" ? std::sqrt(value) : name == "arccos(" ? std::acos(value) : value;
            }
        if (take("(")) {
            const double value = terms();
            good_ = good_ && take(")");
            return value;
        }
        return figure().value;
    }
    bool take(std::string_view what) {
        if (!rest_.starts_with(what))
            return false;
        rest_.remove_prefix(what.size());
        return true;
    }
    void blanks() {
        while (take(" ")) {
        }
    }

    std::string_view rest_;
    bool pounds_weigh_;
    bool good_ = true;
};

} // namespace

std::optional<double> halves_off(std::string_view printed) {
    const auto equals = printed.rfind(" = ");
    if (equals == std::string_view::npos)
        return std::nullopt;
    std::optional<double> best;
    // A pound is a weight here and a mass there: a reader knows which, and one of the two has to do.
    for (const bool left : {false, true})
        for (const bool right : {false, true}) {
            const auto sum = Reader{printed.substr(0, equals), left}.sum();
            Reader reader{printed.substr(equals + 3), right};
            const Figure result = reader.figure();
            if (!sum || !reader.good() || !reader.at_end())
                continue;
            const double off = std::abs(*sum - result.value) / result.half;
            best = std::min(best.value_or(std::numeric_limits<double>::infinity()), off);
        }
    return best;
}

} // namespace opinion
