#pragma once

#include "core/plan/check.hpp"

#include <optional>
#include <utility>
#include <vector>

namespace yes_square {

/// The check stays where it is only until the next is added.
inline Check& add_check(std::vector<Check>& checks, CheckCode code, Sentence message,
                        std::optional<Quantity> amount = std::nullopt, std::optional<Length> x = std::nullopt,
                        std::optional<Length> z = std::nullopt) {
    return checks.emplace_back(Check{code, code.severity(), std::move(message), amount, {}, x, z});
}

/// One that is graver or less grave than its kind usually is. It stays where it is only until the next is added.
inline Check& add_check(std::vector<Check>& checks, CheckCode code, Severity severity, Sentence message,
                        std::optional<Quantity> amount = std::nullopt, std::optional<Length> x = std::nullopt,
                        std::optional<Length> z = std::nullopt) {
    return checks.emplace_back(Check{code, severity, std::move(message), amount, {}, x, z});
}

/// What those who look for faults share: writing a check with its place and its cures.
class CheckWriter {
protected:
    /// @param x, z  where a check stands that names no place of its own
    explicit CheckWriter(std::vector<Check>& checks, std::optional<Length> x = std::nullopt,
                         std::optional<Length> z = std::nullopt)
        : checks_{checks}
        , x_{x}
        , z_{z} {}

    Check& add(CheckCode code, Sentence message, std::optional<Quantity> amount = std::nullopt,
               std::optional<Length> x = std::nullopt, std::optional<Length> z = std::nullopt) {
        return add(code, code.severity(), std::move(message), amount, x, z);
    }
    Check& add(CheckCode code, Severity severity, Sentence message, std::optional<Quantity> amount = std::nullopt,
               std::optional<Length> x = std::nullopt, std::optional<Length> z = std::nullopt) {
        return add_check(checks_, code, severity, std::move(message), amount, x ? x : x_, z ? z : z_);
    }
    static void advise(Check& check, Sentence words, std::optional<Edit> edit = std::nullopt) {
        check.cures.push_back({std::move(words), std::move(edit)});
    }
    /// The edit that takes a thing as `alter` makes it.
    template <class Thing>
    static Edit changed(Thing thing, const auto& alter) {
        alter(thing);
        return Change<Thing>{std::move(thing)};
    }

private:
    std::vector<Check>& checks_;
    std::optional<Length> x_;
    std::optional<Length> z_;
};

} // namespace yes_square
