#pragma once

#include "core/job/fields.hpp"

#include <string_view>
#include <utility>

namespace yes_square {

/// A visitor of every plain member of a part and of all parts in it:
/// `look(name of the part it is in, name, value, meaning)`. Of what may be absent only what is there; of several
/// lengths each.
template <class Look>
struct EachMember {
    Look look;
    std::string_view in = {};

    template <class T>
    void required(std::string_view name, T& value, const Meaning& meaning = {}) {
        look(in, name, value, meaning);
    }
    template <class T>
    void optional(std::string_view name, T& value, const Meaning& meaning = {}) {
        required(name, value, meaning);
    }
    void maybe(std::string_view name, auto& value, const Meaning& meaning = {}) {
        if (value)
            required(name, *value, meaning);
    }
    void lengths(std::string_view name, auto& values, const Meaning& meaning) {
        for (auto& value : values)
            required(name, value, meaning);
    }
    void part(std::string_view name, auto& part) {
        const std::string_view outer = std::exchange(in, name);
        fields(*this, part);
        in = outer;
    }
    void maybe_part(std::string_view name, auto& inner) {
        if (inner)
            part(name, *inner);
    }
    void list(std::string_view name, auto& parts) {
        for (auto& each : parts)
            part(name, each);
    }
    void one_of(std::string_view name, auto& variant) {
        std::visit([&](auto& inner) { part(name, inner); }, variant);
    }
    void maybe_one_of(std::string_view name, auto& variant) { one_of(name, variant); }
};

void each_member(auto& part, auto look) {
    EachMember<decltype(look)> visit{std::move(look)};
    fields(visit, part);
}

} // namespace yes_square
