#pragma once

#include "app/bench/length_field.hpp"
#include "app/bench/workbench.hpp"

#include <QFormLayout>
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
    /// A plain number with its unit; nothing typed means none.
    void number(const QString& label, const char* name, const QString& unit, Get<std::optional<double>> get,
                Set<std::optional<double>> set);
    /// A line of words of the form's own, as a heading.
    void heading(const QString& words);
    void widget(QWidget* widget);

    void refresh();
    Workbench& bench() const { return bench_; }

private:
    void add_row(const QString& label, const char* name, QWidget* field, std::function<bool()> show);

    Workbench& bench_;
    QFormLayout* rows_;
    std::vector<std::function<void()>> refreshers_;
};

} // namespace yes_square::app
