#pragma once

#include "app/bench/choices.hpp"
#include "app/bench/length_list.hpp"
#include "app/bench/part_form.hpp"
#include "app/bench/words.hpp"
#include "core/job/fields.hpp"
#include "core/job/member_words.hpp"
#include "core/job/ranges.hpp"

#include <cmath>
#include <stdexcept>

namespace yes_square::app {

/// Rows of a form for members of a part, as `fields` describes them: label, field, range, unit and what nothing means
/// come from there alone.
///
///     FieldForm<WallBox> rows{form, "box"};
///     rows.row("name").row("width").row("rebate", is_rebated);  // box-name, box-width, box-rebate
///
template <class Part>
class FieldForm {
public:
    using When = typename PartAccess<Part>::When;

    /// @param kind  begins each row's object name
    FieldForm(BoundForm& form, PartAccess<Part> part, std::string_view kind)
        : form_{form}
        , part_{std::move(part)}
        , kind_{kind} {}
    FieldForm(PartForm<Part>& form, std::string_view kind)
        : FieldForm{form, form, kind} {}

    /// Every plain member, in the order of the file, but the id. Parts of the part have forms of their own.
    FieldForm& all() {
        asked_ = {};
        look();
        return *this;
    }
    /// One member, by its name in a job file. Throws std::out_of_range where there is none of that name.
    /// @param when  shows the row; empty: always
    /// @param label, object  of a row that has words of its own, and what its field is called then
    FieldForm& row(std::string_view member, When when = {}, const QString& label = {}, std::string_view object = {}) {
        asked_ = member;
        when_ = std::move(when);
        label_ = label;
        object_ = object;
        found_ = false;
        look();
        when_ = {};
        label_ = {};
        object_ = {};
        if (!found_)
            throw std::out_of_range("no member is called " + std::string{member});
        return *this;
    }

    // A visitor of members.
    template <class T>
    void required(std::string_view name, T& member, const Meaning& meaning = {}) {
        if (asked_ == name || (asked_.empty() && name != "id")) {
            found_ = true;
            add(name, member, meaning);
        }
        ++number_;
    }
    template <class T>
    void optional(std::string_view name, T& member, const Meaning& meaning = {}) {
        required(name, member, meaning);
    }
    template <class T>
    void maybe(std::string_view name, std::optional<T>& member, const Meaning& meaning) {
        required(name, member, meaning);
    }
    /// Several lengths in one field, ; between: only where they are asked for by name.
    void lengths(std::string_view name, std::vector<Length>&, const Meaning& meaning) {
        if (asked_ != name)
            return;
        found_ = true;
        const std::string object = kind_ + "-" + std::string{object_.empty() ? name : object_};
        BoundForm& form = form_;
        form_.checked_words(
            label_.isEmpty() ? label_of(name, meaning) : label_, object.c_str(),
            part_.template read<std::string>(
                [&form, wanted = std::string{name}](const Part& part) {
                    Part copy = part;
                    return list_of(lengths_of(copy, wanted), form.bench().job().unit).toStdString();
                },
                when_),
            [&form, may_be_none = !meaning.none.empty()](const QString& typed) {
                return (may_be_none && typed.trimmed().isEmpty()) || read_list(typed, form.bench().job().unit)
                           ? QString{}
                           : tr("Lengths with ; between them, such as 60; 80; 100");
            },
            part_.template write<std::string>(
                [&form, wanted = std::string{name}](Part& part, const std::string& typed) {
                    lengths_of(part, wanted) =
                        read_list(text(typed), form.bench().job().unit).value_or(std::vector<Length>{});
                }));
    }
    void part(std::string_view, auto&) {}
    void maybe_part(std::string_view, auto&) {}
    void list(std::string_view, auto&) {}
    void one_of(std::string_view, auto&) {}
    void maybe_one_of(std::string_view, auto&) {}

private:
    /// Another visitor: finds several lengths, by their name.
    struct PickLengths {
        std::string_view wanted;
        std::vector<Length>* found = nullptr;
        void required(auto&&...) {}
        void optional(auto&&...) {}
        void maybe(auto&&...) {}
        void part(auto&&...) {}
        void maybe_part(auto&&...) {}
        void list(auto&&...) {}
        void one_of(auto&&...) {}
        void maybe_one_of(auto&&...) {}
        void lengths(std::string_view name, std::vector<Length>& member, const Meaning&) {
            if (name == wanted)
                found = &member;
        }
    };
    static std::vector<Length>& lengths_of(Part& part, std::string_view name) {
        PickLengths look{name};
        fields(look, part);
        return *look.found;
    }

    /// Another visitor: finds the member of a row, by its number.
    template <class T>
    struct Pick {
        int wanted = 0;
        int at = 0;
        T* found = nullptr;
        template <class U>
        void required(std::string_view, U& member, const Meaning& = {}) {
            if constexpr (std::same_as<T, U>)
                if (at == wanted)
                    found = &member;
            ++at;
        }
        template <class U>
        void optional(std::string_view name, U& member, const Meaning& = {}) {
            required(name, member);
        }
        template <class U>
        void maybe(std::string_view name, std::optional<U>& member, const Meaning&) {
            required(name, member);
        }
        void part(std::string_view, auto&) {}
        void maybe_part(std::string_view, auto&) {}
        void list(std::string_view, auto&) {}
        void lengths(std::string_view, auto&, const Meaning&) {}
        void one_of(std::string_view, auto&) {}
        void maybe_one_of(std::string_view, auto&) {}
    };
    template <class T>
    static T& pick(Part& part, int number) {
        Pick<T> look{number};
        fields(look, part);
        return *look.found;
    }

    void look() {
        Part usual;
        number_ = 0;
        fields(*this, usual);
    }

    /// What a row shows of its member, and what it makes of what was chosen.
    template <class T>
    auto read(auto&& as) const {
        return part_.template read<decltype(as(std::declval<T>()))>(
            [number = number_, as](const Part& part) {
                Part copy = part;
                return as(pick<T>(copy, number));
            },
            when_);
    }
    template <class T, class Shown>
    auto write(auto&& from) const {
        return part_.template write<Shown>(
            [number = number_, from](Part& part, Shown value) { pick<T>(part, number) = from(std::move(value)); });
    }

    static QString label_of(std::string_view name, const Meaning& meaning) {
        return text(member_label(name, meaning, voice(Unit::mm)));
    }

    /// Of a length, and what is said of a shorter one.
    static std::pair<Length, QString> least(Range range) {
        if (range == Range::more_than_zero)
            return {Length::nanometres(1), tr("It must be more than 0")};
        if (range == Range::not_negative)
            return {Length{}, tr("It must be 0 or more")};
        return {Length::mm(-1'000'000), {}};
    }

    template <class T>
    static double most(std::string_view name) {
        return std::is_integral_v<T> ? static_cast<double>(most_of_count(name)) : greatest_figure;
    }

    template <class T>
    void add(std::string_view name, T& member, const Meaning& meaning) {
        add_row(name, member, meaning);
        form_.explain(text(member_help(meaning, voice(Unit::mm))));
    }

    template <class T>
    void add_row(std::string_view name, T&, const Meaning& meaning) {
        const QString label = label_.isEmpty() ? label_of(name, meaning) : label_;
        const std::string object = kind_ + "-" + std::string{object_.empty() ? name : object_};
        const char* row = object.c_str();
        const auto same = [](const T& value) { return value; };
        if constexpr (std::same_as<T, std::string>) {
            form_.words(label, row, read<T>(same), write<T, std::string>([](std::string value) { return value; }));
        } else if constexpr (std::same_as<T, Length>) {
            const auto [shortest, refusal] = least(meaning.range);
            if (meaning.none.empty())
                follow_tape(form_.length(label, row, read<T>(same),
                                         write<T, Length>([](Length value) { return value; }), shortest, refusal),
                            label, meaning);
            else
                form_.optional_length(label, row, core_words(meaning.none), read<T>([](Length value) {
                                          return value > Length{} ? std::optional{value} : std::nullopt;
                                      }),
                                      write<T, std::optional<Length>>(
                                          [](std::optional<Length> value) { return value.value_or(Length{}); }));
        } else if constexpr (std::same_as<T, std::optional<Length>>) {
            follow_tape(form_.optional_length(label, row, core_words(meaning.none), read<T>(same),
                                              write<T, T>([](T value) { return value; })),
                        label, meaning);
        } else if constexpr (std::is_enum_v<T>) {
            form_.choice(label, row, words_of<T>(), read<T>([](T value) { return row_for(value); }),
                         write<T, int>([](int at) { return at_row<T>(at); }));
        } else if constexpr (std::same_as<T, bool>) {
            const QStringList words{meaning.no.empty() ? tr("no") : core_words(meaning.no),
                                    meaning.yes.empty() ? tr("yes") : core_words(meaning.yes)};
            form_.choice(label, row, words, read<T>([](bool value) { return value ? 1 : 0; }),
                         write<T, int>([](int at) { return at == 1; }));
        } else if constexpr (requires(T value) { *value; }) {
            maybe_row<typename T::value_type>(label, row, meaning);
        } else if constexpr (is_physical<T>) {
            // Nothing is nothing where that is said to mean something.
            const bool none = !meaning.none.empty();
            form_.template figure<T>(
                label, row,
                read<T>([none](T value) { return none && value == 0 ? std::optional<T>{} : std::optional{value}; }),
                write<T, std::optional<T>>([](std::optional<T> value) { return value.value_or(T{}); }), meaning,
                none || meaning.range == Range::not_negative);
        } else {
            static_assert(std::is_arithmetic_v<T>);
            form_.number(
                label, row,
                BoundForm::NumberAsk{[unit = text(meaning.unit)] { return unit; }, meaning.range, most<T>(name),
                                     core_words(meaning.none), meaning.range == Range::not_negative},
                read<T>([](T value) { return std::optional{static_cast<double>(value)}; }),
                write<T, std::optional<double>>([](std::optional<double> value) {
                    return static_cast<T>(std::is_integral_v<T> ? std::round(value.value_or(0)) : value.value_or(0));
                }));
        }
    }

    void follow_tape(LengthField* field, const QString& label, const Meaning& meaning) {
        if (!meaning.on_wall)
            return;
        BoundForm::OnWall on_wall{core_words(meaning.right_label), {}, {}};
        on_wall.own = [part = part_] { return part.shown() ? own_end(*part.shown()) : std::nullopt; };
        if constexpr (requires(const Part& part) { part.right() - part.left; }) {
            on_wall.extent = [part = part_] {
                return part.shown() ? part.shown()->right() - part.shown()->left : Length{};
            };
        }
        form_.follow_tape(field, label, std::move(on_wall));
    }

    /// A member that may be absent.
    template <class T>
    void maybe_row(const QString& label, const char* row, const Meaning& meaning) {
        using Maybe = std::optional<T>;
        if constexpr (std::is_enum_v<T>) {
            form_.choice(label, row, QStringList{core_words(meaning.none)} + words_of<T>(),
                         read<Maybe>([](const Maybe& value) { return value ? 1 + row_for(*value) : 0; }),
                         write<Maybe, int>([](int at) { return at == 0 ? Maybe{} : Maybe{at_row<T>(at - 1)}; }));
        } else if constexpr (is_physical<T>) {
            form_.template figure<T>(label, row, read<Maybe>([](const Maybe& value) { return value; }),
                                     write<Maybe, Maybe>([](Maybe value) { return value; }), meaning);
        } else {
            static_assert(std::is_arithmetic_v<T>);
            form_.number(label, row,
                         BoundForm::NumberAsk{[unit = text(meaning.unit)] { return unit; }, meaning.range,
                                              greatest_figure, core_words(meaning.none), true},
                         read<Maybe>([](const Maybe& value) {
                             return value ? std::optional{static_cast<double>(*value)} : std::optional<double>{};
                         }),
                         write<Maybe, std::optional<double>>([](std::optional<double> value) {
                             return value ? Maybe{static_cast<T>(*value)} : Maybe{};
                         }));
        }
    }

    BoundForm& form_;
    PartAccess<Part> part_;
    std::string kind_;
    std::string_view asked_ = {};
    When when_ = {};
    QString label_ = {};
    std::string_view object_ = {};
    bool found_ = false;
    int number_ = 0;
};

} // namespace yes_square::app
