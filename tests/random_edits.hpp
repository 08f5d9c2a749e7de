#pragma once

#include "core/job/fields.hpp"
#include "core/job/ranges.hpp"

#include <array>
#include <limits>
#include <random>
#include <set>
#include <string>
#include <vector>

/// One member of a job changed at random, whichever it is: what members there are, and what each may be, is read off
/// their descriptions (core/job/fields.hpp), so that a member which comes later is edited too. Most results are in
/// range; a few are not, and whoever reads them must say so.
namespace yes_square {

class RandomEdits {
public:
    explicit RandomEdits(std::uint64_t seed)
        : draw_{seed} {}

    /// Four in five are to walls and rooms; the others to rules, catalogue, days and records.
    void edit(Job& job) {
        const bool walls = chance(0.8);
        Visit count{*this, walls};
        fields(count, job);
        if (count.met == 0)
            return;
        Visit act{*this, walls, below(count.met)};
        act.lengths_met = std::move(count.lengths_met);
        act.texts_met = std::move(count.texts_met);
        fields(act, job);
    }

    /// Things of another job come onto the first wall of this one.
    void cross(Job& job, const Job& other) {
        if (job.walls.empty() || other.walls.empty())
            return edit(job);
        Wall& to = job.walls[below(job.walls.size())];
        const Wall& from = other.walls[below(other.walls.size())];
        for_each_kind(Things{}, [&]<class Kind>() {
            for (const Kind& thing : from.*parts_of<Kind>)
                if (chance(0.4) && (to.*parts_of<Kind>).size() < most_parts) {
                    (to.*parts_of<Kind>).push_back(thing);
                    name_anew((to.*parts_of<Kind>).back());
                }
        });
    }

    std::size_t below(std::size_t number) { return std::uniform_int_distribution<std::size_t>{0, number - 1}(draw_); }
    bool chance(double p) { return std::bernoulli_distribution{p}(draw_); }

private:
    static constexpr std::size_t most_parts = 6; ///< a list grows no longer: small jobs are quick

    /// Counts the places where an edit could be, or makes the one that is wanted.
    struct Visit {
        RandomEdits& edits;
        bool walls;                                                   ///< of a job only walls and rooms, else the rest
        std::size_t wanted = std::numeric_limits<std::size_t>::max(); ///< none: it only counts
        std::size_t met = 0;
        std::size_t depth = 0;
        std::vector<Length> lengths_met = {};
        std::vector<std::string> texts_met = {};

        bool counting() const { return wanted == std::numeric_limits<std::size_t>::max(); }
        bool here() { return met++ == wanted; }
        bool passes(std::string_view name) const { return depth > 0 || (name == "walls" || name == "rooms") == walls; }

        template <class T>
        void required(std::string_view name, T& value, const Meaning& meaning = {}) {
            if (!passes(name))
                return;
            if (counting())
                remember(value);
            if (here())
                edits.change(name, value, meaning, lengths_met, texts_met);
        }
        template <class T>
        void optional(std::string_view name, T& value, const Meaning& meaning = {}) {
            required(name, value, meaning);
        }
        template <class T>
        void maybe(std::string_view name, std::optional<T>& value, const Meaning& meaning = {}) {
            if (!passes(name))
                return;
            if (here()) {
                if (value)
                    value.reset();
                else
                    edits.change(name, value.emplace(), meaning, lengths_met, texts_met);
            } else if (value)
                required(name, *value, meaning);
        }
        void lengths(std::string_view name, std::vector<Length>& values, const Meaning& meaning) {
            if (!passes(name))
                return;
            if (here()) {
                if (values.empty() || (values.size() < most_parts && edits.chance(0.5)))
                    edits.change(name, values.emplace_back(), meaning, lengths_met, texts_met);
                else
                    values.erase(values.begin() + static_cast<std::ptrdiff_t>(edits.below(values.size())));
            }
            for (Length& value : values)
                required(name, value, meaning);
        }
        template <class T>
        void part(std::string_view name, T& inner) {
            if (!passes(name))
                return;
            ++depth;
            fields(*this, inner);
            --depth;
        }
        template <class T>
        void maybe_part(std::string_view name, std::optional<T>& inner) {
            if (!passes(name))
                return;
            if (here()) {
                if (inner)
                    inner.reset();
                else
                    edits.fill(inner.emplace());
            } else if (inner)
                part(name, *inner);
        }
        template <class T>
        void list(std::string_view name, std::vector<T>& parts) {
            if (!passes(name))
                return;
            if (here())
                edits.change_list(parts);
            for (T& each : parts)
                part(name, each);
        }
        template <class... Kinds>
        void one_of(std::string_view name, std::variant<Kinds...>& variant) {
            if (!passes(name))
                return;
            if (here()) {
                const std::size_t wanted_kind = edits.below(sizeof...(Kinds));
                std::size_t kind = 0;
                ((kind++ == wanted_kind ? edits.fill(variant.template emplace<Kinds>()) : void()), ...);
            }
            std::visit([&](auto& inner) { part(name, inner); }, variant);
        }
        template <class... Kinds>
        void maybe_one_of(std::string_view name, std::variant<Kinds...>& variant) {
            one_of(name, variant);
        }

    private:
        template <class T>
        void remember(const T& value) {
            if constexpr (std::is_same_v<T, Length>)
                lengths_met.push_back(value);
            else if constexpr (std::is_same_v<T, std::string>)
                texts_met.push_back(value);
        }
    };

    /// Draws every member of a new part, so that each kind of part comes up, in range.
    struct Fill {
        RandomEdits& edits;

        template <class T>
        void required(std::string_view name, T& value, const Meaning& meaning = {}) {
            if (edits.chance(0.6) || out_of_range(value, meaning) || name == "id")
                edits.change(name, value, meaning, {}, {});
        }
        template <class T>
        void optional(std::string_view name, T& value, const Meaning& meaning = {}) {
            if (edits.chance(0.3))
                required(name, value, meaning);
        }
        void maybe(std::string_view name, auto& value, const Meaning& meaning = {}) {
            if (edits.chance(0.3))
                required(name, value.emplace(), meaning);
        }
        void lengths(std::string_view, auto&, const Meaning&) {}
        void part(std::string_view, auto& inner) { fields(*this, inner); }
        void maybe_part(std::string_view, auto&) {}
        template <class T>
        void list(std::string_view, std::vector<T>& parts) {
            if (edits.chance(0.3))
                edits.fill(parts.emplace_back());
        }
        void one_of(std::string_view, auto& variant) {
            std::visit([&](auto& inner) { fields(*this, inner); }, variant);
        }
        void maybe_one_of(std::string_view name, auto& variant) { one_of(name, variant); }

    private:
        template <class T>
        static bool out_of_range(const T& value, const Meaning& meaning) {
            if constexpr (std::is_same_v<T, Length>)
                return range_problem(value.in_mm(), meaning.range).has_value();
            else
                return false;
        }
    };

    /// Gives a part and all in it ids that are not there yet.
    struct NameAnew {
        RandomEdits& edits;

        template <class T>
        void required(std::string_view name, T& value, const Meaning& = {}) {
            if constexpr (std::is_same_v<T, std::string>)
                if (name == "id")
                    value = edits.fresh_id();
        }
        void optional(std::string_view name, auto& value, const Meaning& = {}) { required(name, value); }
        void maybe(std::string_view, auto&, const Meaning& = {}) {}
        void lengths(std::string_view, auto&, const Meaning&) {}
        void part(std::string_view, auto& inner) { fields(*this, inner); }
        void maybe_part(std::string_view, auto& inner) {
            if (inner)
                fields(*this, *inner);
        }
        void list(std::string_view, auto& parts) {
            for (auto& each : parts)
                fields(*this, each);
        }
        void one_of(std::string_view, auto& variant) {
            std::visit([&](auto& inner) { fields(*this, inner); }, variant);
        }
        void maybe_one_of(std::string_view name, auto& variant) { one_of(name, variant); }
    };

    template <class T>
    void fill(T& part) {
        Fill filling{*this};
        fields(filling, part);
    }
    template <class T>
    void name_anew(T& part) {
        NameAnew naming{*this};
        fields(naming, part);
    }

    template <class T>
    void change_list(std::vector<T>& parts) {
        const std::size_t kind = parts.empty() ? 0 : below(4);
        if (kind == 0 && parts.size() < most_parts)
            return fill(parts.emplace_back());
        if (parts.empty())
            return;
        if (kind == 1 && parts.size() < most_parts) {
            parts.push_back(T{parts[below(parts.size())]});
            return name_anew(parts.back());
        }
        if (kind == 2)
            return std::swap(parts[below(parts.size())], parts.back());
        parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(below(parts.size())));
    }

    template <class T>
    void change(std::string_view name, T& value, const Meaning& meaning, const std::vector<Length>& lengths,
                const std::vector<std::string>& texts) {
        if constexpr (std::is_same_v<T, Length>)
            value = in_range(length(value, lengths), meaning);
        else if constexpr (std::is_same_v<T, std::string>)
            value = text(name, value, texts);
        else if constexpr (std::is_same_v<T, bool>)
            value = !value;
        else if constexpr (std::is_enum_v<T>)
            value = enum_names<T>()[below(enum_names<T>().size())].value;
        else if constexpr (std::is_same_v<T, int>)
            value = chance(0.8) ? static_cast<int>(below(12)) : static_cast<int>(below(most_of_count(name) + 1));
        else if constexpr (std::is_same_v<T, double>)
            value = in_range(figure(value), meaning.range);
        else
            value = T::si(in_range(figure(value.in_si() / in_file_unit<T>), meaning.range) * in_file_unit<T>);
    }

    Length length(Length now, const std::vector<Length>& others) {
        switch (below(8)) {
        case 0:
            return Length{};
        case 1:
            return Length::micrometres(static_cast<std::int64_t>(below(3)) + 1);
        case 2:
            return chance(0.1) ? Length::mm(1'000'000) : now; // a wall so long has thousands of studs
        case 3:
            return now + Length::micrometres(static_cast<std::int64_t>(below(200'001)) - 100'000);
        case 4:
            return now * 2;
        case 5:
            return others.empty() ? now / 2 : others[below(others.size())];
        case 6:
            return Length::mm(static_cast<std::int64_t>(below(60)) - 5);
        default:
            return Length::micrometres(static_cast<std::int64_t>(below(4'000'000)));
        }
    }

    double figure(double now) {
        switch (below(6)) {
        case 0:
            return 0;
        case 1:
            return now * 2;
        case 2:
            return now / 3;
        case 3:
            return chance(0.2) ? greatest_figure : now * 10;
        case 4:
            return std::uniform_real_distribution{0.0, 1.0}(draw_);
        default:
            return std::uniform_real_distribution{0.0, 500.0}(draw_);
        }
    }

    /// One in fifty stays as it is drawn, in range or not.
    double in_range(double figure, Range range) {
        if (!range_problem(figure, range) || chance(0.02))
            return figure;
        if (range == Range::minority)
            return 0.25;
        return range == Range::any ? 0.0 : 1.0;
    }
    Length in_range(Length length, const Meaning& meaning) {
        if (!range_problem(length.in_mm(), meaning.range) || chance(0.02))
            return length;
        return length < Length{} ? Length{} - length : Length::mm(1);
    }

    std::string text(std::string_view name, const std::string& now, const std::vector<std::string>& others) {
        if (name == "id")
            return fresh_id();
        static const std::array<std::string, 12> odd{"",
                                                     "W1",
                                                     "=1+1",
                                                     "</text><script>",
                                                     "\"a\", 'b'; c",
                                                     "\xC3\x84\xE2\x82\xAC \xE2\x80\xAE",
                                                     "{0} {1} %1 %n",
                                                     "a\\b/../c",
                                                     "\xF0\x9F\xAA\x9A",
                                                     std::string(180, 'w'),
                                                     "a b  c",
                                                     "nobody"};
        if (!others.empty() && chance(0.6))
            return others[below(others.size())];
        return chance(0.8) ? odd[below(odd.size())] : now + "x";
    }

    std::string fresh_id() { return "r" + std::to_string(draw_() % 1'000'000'000); }

    std::mt19937_64 draw_;
};

} // namespace yes_square
