#pragma once

#include "app/bench/part_form.hpp"
#include "app/bench/words.hpp"
#include "core/job/fields.hpp"

#include <cmath>

namespace yes_square::app {

/// The members of a part as rows of a form, as `fields` names them: labels, ranges and values come from there alone.
/// @tparam Form  what reads and writes a part and takes rows: PartForm, or one like it
template <class Part, class Form = PartForm<Part>>
class FieldForm {
public:
    /// @param kind  begins each row's object name: "battens" makes "battens-length"
    FieldForm(Form& form, std::string_view kind)
        : form_{form}
        , kind_{kind} {
        Part usual;
        fields(*this, usual);
    }

    // A visitor of members.
    template <class T>
    void required(std::string_view name, T& member, Meaning meaning = {}) {
        row(name, member, meaning);
        ++number_;
    }
    template <class T>
    void optional(std::string_view name, T& member, Meaning meaning = {}) {
        required(name, member, meaning);
    }
    /// Parts of the part have forms of their own.
    void part(std::string_view, auto&) {}

private:
    /// Another visitor: finds the member of a row, by its number.
    template <class T>
    struct Pick {
        int wanted = 0;
        int at = 0;
        T* found = nullptr;
        template <class U>
        void required(std::string_view, U& member, Meaning = {}) {
            if constexpr (std::same_as<T, U>)
                if (at == wanted)
                    found = &member;
            ++at;
        }
        template <class U>
        void optional(std::string_view name, U& member, Meaning = {}) {
            required(name, member);
        }
        void part(std::string_view, auto&) {}
    };
    template <class T>
    static T& pick(Part& part, int number) {
        Pick<T> look{number};
        fields(look, part);
        return *look.found;
    }
    template <class T>
    auto read(auto&& as) const {
        return form_.template read<decltype(as(std::declval<T>()))>([number = number_, as](const Part& part) {
            Part copy = part;
            return as(pick<T>(copy, number));
        });
    }
    template <class T, class Shown>
    auto write(auto&& from) const {
        return form_.template write<Shown>(
            [number = number_, from](Part& part, Shown value) { pick<T>(part, number) = from(value); });
    }

    static QString label_of(std::string_view name, const Meaning& meaning) {
        if (!meaning.label.empty())
            return QCoreApplication::translate("core", std::string{meaning.label}.c_str());
        QString words = text(name).replace('_', ' ');
        words[0] = words[0].toUpper();
        return words;
    }

    template <class T>
    void row(std::string_view name, T&, const Meaning& meaning) {
        if (name == "id")
            return;
        const QString label = label_of(name, meaning);
        const std::string object = kind_ + "-" + std::string{name};
        const char* row = object.c_str();
        const auto same = [](const T& value) { return value; };
        if constexpr (std::same_as<T, std::string>) {
            form_.words(label, row, read<T>(same), write<T, std::string>([](std::string value) { return value; }));
        } else if constexpr (std::same_as<T, Length>) {
            const bool positive = meaning.range == Range::more_than_zero;
            const Length least = positive                               ? Length::nanometres(1)
                                 : meaning.range == Range::not_negative ? Length{}
                                                                        : Length::mm(-1'000'000);
            form_.length(label, row, read<T>(same), write<T, Length>([](Length value) { return value; }), least,
                         positive ? tr("It must be more than 0") : tr("It must be 0 or more"));
        } else if constexpr (std::is_enum_v<T>) {
            form_.choice(label, row, words_of<T>(), read<T>([](T value) { return row_for(value); }),
                         write<T, int>([](int at) { return at_row<T>(at); }));
        } else if constexpr (std::same_as<T, bool>) {
            form_.choice(label, row, QStringList{tr("no"), tr("yes")},
                         read<T>([](bool value) { return value ? 1 : 0; }),
                         write<T, int>([](int at) { return at == 1; }));
        } else {
            static_assert(std::is_arithmetic_v<T>);
            form_.number(label, row, text(meaning.unit),
                         read<T>([](T value) { return std::optional{static_cast<double>(value)}; }),
                         write<T, std::optional<double>>([](std::optional<double> value) {
                             return static_cast<T>(std::is_integral_v<T> ? std::round(value.value_or(0))
                                                                         : value.value_or(0));
                         }));
        }
    }

    Form& form_;
    std::string kind_;
    int number_ = 0;
};

} // namespace yes_square::app
