#pragma once

#include "app/bench/fold.hpp"
#include "app/bench/length_field.hpp"
#include "app/bench/typed_unit.hpp"
#include "app/bench/words.hpp"
#include "app/bench/workbench.hpp"
#include "core/job/field_visits.hpp"

#include <QFormLayout>
#include <QHash>
#include <QLabel>
#include <QSet>
#include <QStringList>
#include <QWidget>
#include <functional>
#include <optional>

namespace yes_square::app {

/// A form of figures bound to the job: each row shows what its getter gives and commits through its setter as one
/// edit. A getter that gives nothing hides the row. Rows are in walking order; Enter goes to the next.
class BoundForm : public QWidget {
    Q_OBJECT
public:
    explicit BoundForm(Workbench& bench, QWidget* parent = nullptr);

    template <class T>
    using Get = std::function<std::optional<T>()>;
    template <class T>
    using Set = std::function<void(Job&, T)>;

    LengthField* length(const QString& label, const char* name, Get<Length> get, Set<Length> set,
                        Length least = Length::mm(-1'000'000), const QString& refusal = {});
    /// What a row is that says where something is along the wall: it is typed as the tape reads.
    struct OnWall {
        QString from_right = {};             ///< its label then; empty: the usual one, and that it is from the right
        std::function<Length()> extent = {}; ///< from the edge that is kept to the one that is typed then
        std::function<std::optional<TapeEnd>()> own = {}; ///< the reference end of the thing that the row is of
    };
    /// To follow the tape of the wall in hand.
    void follow_tape(LengthField* field, const QString& label, OnWall on_wall);
    /// A length that may be unknown: nothing typed means none.
    LengthField* optional_length(const QString& label, const char* name, const QString& when_none,
                                 Get<std::optional<Length>> get, Set<std::optional<Length>> set);
    void words(const QString& label, const char* name, Get<std::string> get, Set<std::string> set);
    /// Words that have to be of a form; `problem` says what is wrong with them, nothing if they will do.
    void checked_words(const QString& label, const char* name, Get<std::string> get,
                       std::function<QString(const QString&)> problem, Set<std::string> set);
    void choice(const QString& label, const char* name, const QStringList& options, Get<int> get, Set<int> set);
    /// A choice whose options follow from the job.
    void choice(const QString& label, const char* name, std::function<QStringList()> options, Get<int> get,
                Set<int> set);
    /// What is asked of a typed number, in the unit it is typed in.
    struct NumberAsk {
        std::function<QString()> unit = {};
        Range range = Range::not_negative;
        double most = greatest_figure;
        QString when_none = {}; ///< what nothing typed means
        bool may_be_none = true;
        bool turned = false; ///< out of another unit, so that its last digits say nothing: shown to a tenth from 1 on
    };
    void number(const QString& label, const char* name, const NumberAsk& ask, Get<std::optional<double>> get,
                Set<std::optional<double>> set);
    /// A plain number with its unit; nothing typed means none.
    void number(const QString& label, const char* name, const QString& unit, Get<std::optional<double>> get,
                Set<std::optional<double>> set);
    /// A mass, a force and the like, in the unit of the hand; nothing typed means none.
    template <class Figure>
    void figure(const QString& label, const char* name, Get<std::optional<Figure>> get, Set<std::optional<Figure>> set,
                const Meaning& meaning = {{}, Range::not_negative}, bool may_be_none = true) {
        const auto typed = [this, by_mass = meaning.by_mass] {
            return typed_unit<Figure>(bench().job().unit, by_mass);
        };
        number(
            label, name,
            {[typed] { return typed().words; }, meaning.range, greatest_figure, core_words(meaning.none), may_be_none,
             true},
            [typed, get]() -> std::optional<std::optional<double>> {
                const auto shown = get();
                if (!shown)
                    return std::nullopt;
                return *shown ? std::optional{(*shown)->in_si() / typed().si} : std::optional<double>{};
            },
            [typed, set](Job& job, std::optional<double> value) {
                set(job, value ? std::optional{Figure::si(*value * typed().si)} : std::nullopt);
            });
    }
    /// A button that does something about what the rows before it ask.
    void button(const QString& words, const char* name, std::function<bool()> show, std::function<void()> does);
    /// A line of words of the form's own, as a heading.
    void heading(const QString& words);
    /// A heading that what follows folds under, closed at first: what is rarely decided. It shows while it has a row.
    void fold(const QString& words, const char* name);
    void widget(QWidget* widget);
    /// Words under the row of this object name, made when first asked for; they come and go with it. They are broken
    /// into lines by who writes them: a form with hidden rows and labels that wrap themselves writes past its own lists
    /// (Qt 6.4, QFormLayout::heightForWidth).
    QLabel* note(const QString& object);
    /// What the row added last asks for, to whoever asks (F1, or the arrow with the question mark).
    void explain(const QString& words);
    /// Only the rows of these object names; none: all that show themselves.
    void show_only(std::optional<QSet<QString>> objects);

    void refresh();
    Workbench& bench() const { return bench_; }

private:
    void add_row(const QString& label, const char* name, QWidget* field, std::function<bool()> show);

    struct Section {
        Fold* fold = nullptr; ///< nullptr: it is always open
        bool any_row = false;
    };

    Workbench& bench_;
    QFormLayout* rows_;
    QWidget* last_ = nullptr; ///< row's field
    std::vector<Section> sections_{1};
    std::vector<std::function<void()>> refreshers_;
    std::optional<QSet<QString>> only_;
    QHash<QString, QLabel*> notes_;
};

} // namespace yes_square::app
