#pragma once

#include "core/measure/sentence.hpp"

#include <compare>
#include <limits>
#include <optional>

namespace yes_square {

/// How much is used of what something bears: a number, unknown, or refused.
///
///     Utilisation screw = Utilisation::of(246, 220);  // 1.12, over
///     if (screw.within()) ...                         // the only question whose yes means "it holds"
///
/// It cannot hold NaN or infinity: what is built from them is refused, and refused is more than any number. Unknown is
/// never within. Ordered by how bad it is: a number up to 1, unknown, a number over 1, refused; so std::max keeps the
/// worst of several, and nothing known hides what is not.
class Utilisation {
public:
    constexpr Utilisation() = default; ///< unknown
    /// NaN, infinity and less than nothing are refused.
    explicit constexpr Utilisation(double share)
        : state_{share >= 0 && share <= std::numeric_limits<double>::max() ? State::number : State::refused}
        , share_{state_ == State::number ? share : 0} {}

    static constexpr Utilisation none() { return Utilisation{0.0}; }
    static constexpr Utilisation refused() { return Utilisation{std::numeric_limits<double>::infinity()}; }
    /// A demand over what there is to bear it, in one unit. Nothing asked uses nothing, whatever bears it; anything
    /// asked of nothing is refused.
    static constexpr Utilisation of(double demand, double capacity) {
        return demand == 0 ? none() : capacity > 0 ? Utilisation{demand / capacity} : refused();
    }
    template <class Figure>
    requires is_physical<Figure>
    static constexpr Utilisation of(Figure demand, Figure capacity) { return of(demand.in_si(), capacity.in_si()); }
    /// The same where what bears it may not be known.
    template <class Figure>
    static constexpr Utilisation of(Figure demand, const std::optional<Figure>& capacity) {
        return capacity ? of(demand, *capacity) : Utilisation{};
    }

    constexpr bool known() const { return state_ != State::unknown; }
    constexpr bool is_refused() const { return state_ == State::refused; }
    constexpr bool within() const { return state_ == State::number && share_ <= 1; }
    constexpr bool over() const { return state_ == State::refused || share_ > 1; }
    /// Infinite where refused, not a number where unknown: for figures beside words, never for a verdict.
    constexpr double number() const {
        return state_ == State::number    ? share_
               : state_ == State::refused ? std::numeric_limits<double>::infinity()
                                          : std::numeric_limits<double>::quiet_NaN();
    }

    constexpr bool operator==(const Utilisation&) const = default;
    friend constexpr std::strong_ordering operator<=>(const Utilisation& a, const Utilisation& b) {
        if (const auto by_rank = a.rank() <=> b.rank(); by_rank != 0)
            return by_rank;
        return a.share_ < b.share_   ? std::strong_ordering::less
               : a.share_ > b.share_ ? std::strong_ordering::greater
                                     : std::strong_ordering::equal;
    }

private:
    enum class State { unknown, number, refused };
    constexpr int rank() const {
        return state_ == State::unknown ? 1 : state_ == State::refused ? 3 : share_ <= 1 ? 0 : 2;
    }

    State state_ = State::unknown;
    double share_ = 0;
};

/// As it is said: 0.72, "beyond all measure", "not known".
inline Quantity ratio(Utilisation used) {
    return ratio(used.number());
}

} // namespace yes_square
