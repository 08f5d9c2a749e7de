#pragma once

#include "app/bench/bound_form.hpp"
#include "app/bench/choices.hpp"
#include "core/job/edits.hpp"

namespace yes_square::app {

/// A form about one part of the job, by its members: the selected wardrobe, piece, box, or a bay.
///
///     PartForm<WallBox> form{bench, parent};
///     form.size(tr("Width"), "box-width", &WallBox::width);
template <class Part>
class PartForm : public BoundForm {
public:
    using Look = std::function<const Part*()>;
    using Find = std::function<Part*(Job&)>;

    /// @param look  the part that is shown; nullptr: none, and its rows are hidden
    /// @param find  the same part of another job
    PartForm(Workbench& bench, Look look, Find find, QWidget* parent = nullptr)
        : BoundForm{bench, parent}
        , look_{std::move(look)}
        , find_{std::move(find)} {}

    /// The selected part of its kind.
    explicit PartForm(Workbench& bench, QWidget* parent = nullptr)
        : PartForm{bench, [&bench] { return bench.selected<Part>(); },
                   [&bench](Job& job) -> Part* {
                       const Part* chosen = bench.selected<Part>();
                       return chosen ? find_part<Part>(job, chosen->id).part : nullptr;
                   },
                   parent} {}

    using When = std::function<bool(const Part&)>;
    static bool always(const Part&) { return true; }

    /// What a getter reads of the part, where there is one and it has that row.
    template <class T>
    Get<T> read(std::function<T(const Part&)> of, When when = always) const {
        return [look = look_, of, when]() -> std::optional<T> {
            if (const Part* part = look(); part && when(*part))
                return std::optional<T>{std::in_place, of(*part)};
            return std::nullopt;
        };
    }
    template <class T>
    Set<T> write(std::function<void(Part&, T)> to) const {
        return [find = find_, to](Job& job, T value) {
            if (Part* part = find(job))
                to(*part, value);
        };
    }

    void name(const QString& label, const char* row, std::string Part::*member) {
        words(label, row, read<std::string>([member](const Part& part) { return part.*member; }),
              write<std::string>([member](Part& part, std::string value) { part.*member = std::move(value); }));
    }
    /// More than 0.
    LengthField* size(const QString& label, const char* row, Length Part::*member, When when = always) {
        return distance(label, row, member, std::move(when), Length::nanometres(1), tr("It must be more than 0"));
    }
    LengthField* distance(const QString& label, const char* row, Length Part::*member, When when = always,
                          Length least = Length{}, const QString& refusal = tr("It must be 0 or more")) {
        return length(label, row, read<Length>([member](const Part& part) { return part.*member; }, std::move(when)),
                      write<Length>([member](Part& part, Length value) { part.*member = value; }), least, refusal);
    }
    /// A place that may lie anywhere.
    LengthField* place(const QString& label, const char* row, Length Part::*member, When when = always) {
        return distance(label, row, member, std::move(when), Length::mm(-1'000'000), {});
    }
    /// A length that has a usual value where it is 0: that is said in its place, and nothing typed means it.
    void usual(const QString& label, const char* row, const QString& when_none, Length Part::*member,
               When when = always) {
        optional_length(label, row, when_none,
                        read<std::optional<Length>>(
                            [member](const Part& part) {
                                return part.*member > Length{} ? std::optional{part.*member} : std::optional<Length>{};
                            },
                            std::move(when)),
                        write<std::optional<Length>>([member](Part& part, std::optional<Length> value) {
                            part.*member = value.value_or(Length{});
                        }));
    }
    template <class E>
    void one_of(const QString& label, const char* row, E Part::*member, When when = always) {
        choice(label, row, words_of<E>(),
               read<int>([member](const Part& part) { return row_for(part.*member); }, std::move(when)),
               write<int>([member](Part& part, int value) { part.*member = at_row<E>(value); }));
    }
    void either(const QString& label, const char* row, const QString& no, const QString& yes, bool Part::*member,
                When when = always) {
        choice(label, row, QStringList{no, yes},
               read<int>([member](const Part& part) { return part.*member ? 1 : 0; }, std::move(when)),
               write<int>([member](Part& part, int value) { part.*member = value == 1; }));
    }
    /// Whole numbers from 0 up, by their place in the list; `first` is the number of its first row.
    void count(const QString& label, const char* row, int Part::*member, int first, int last, When when = always) {
        QStringList options;
        for (int i = first; i <= last; ++i)
            options << QString::number(i);
        choice(
            label, row, options,
            read<int>([member, first](const Part& part) { return std::max(0, part.*member - first); }, std::move(when)),
            write<int>([member, first](Part& part, int value) { part.*member = value + first; }));
    }
    void mass(const QString& label, const char* row, double Part::*member, When when = always) {
        number(label, row, tr("kg"),
               read<std::optional<double>>(
                   [member](const Part& part) {
                       return part.*member > 0 ? std::optional{part.*member} : std::optional<double>{};
                   },
                   std::move(when)),
               write<std::optional<double>>(
                   [member](Part& part, std::optional<double> value) { part.*member = value.value_or(0); }));
    }

private:
    Look look_;
    Find find_;
};

} // namespace yes_square::app
