#include "app/bench/bound_form.hpp"

#include "app/bench/wordy_button.hpp"

#include "app/bench/theme.hpp"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QLocale>
#include <QSignalBlocker>
#include <cmath>

namespace yes_square::app {
namespace {

/// A decimal comma is as good as a point.
std::optional<double> read_number(const QString& typed) {
    bool readable = false;
    const double value = QLocale::c().toDouble(typed.trimmed().replace(u',', u'.'), &readable);
    return readable ? std::optional{value} : std::nullopt;
}

/// As it was typed, or to what of a converted figure means something.
QString shown_number(double value, bool turned) {
    if (!turned)
        return spoken_locale().toString(value, 'g', 6);
    return std::abs(value) < 1 ? spoken_locale().toString(value, 'g', 3)
                               : spoken_locale().toString(std::round(value * 10) / 10, 'g', 6);
}

} // namespace

BoundForm::BoundForm(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , rows_{new QFormLayout{this}} {
    rows_->setContentsMargins(0, 0, 0, 0);
    rows_->setHorizontalSpacing(10);
    rows_->setVerticalSpacing(5);
    rows_->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    rows_->setLabelAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    connect(&bench_, &Workbench::changed, this, &BoundForm::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &BoundForm::refresh);
}

void BoundForm::refresh() {
    for (Section& section : sections_)
        section.any_row = false;
    for (const auto& refresher : refreshers_)
        refresher();
    for (const Section& section : sections_)
        if (section.fold)
            section.fold->setVisible(section.any_row);
}

void BoundForm::explain(const QString& words) {
    const QString both = words.isEmpty() ? last_->whatsThis() : words + u' ' + last_->whatsThis();
    last_->setWhatsThis(both);
    if (QWidget* beside = rows_->labelForField(last_))
        beside->setWhatsThis(both);
}

void BoundForm::add_row(const QString& label, const char* name, QWidget* field, std::function<bool()> show) {
    field->setObjectName(QString::fromLatin1(name));
    last_ = field;
    if (!label.isEmpty())
        field->setAccessibleName(label);
    if (label.isEmpty())
        rows_->addRow(field);
    else
        rows_->addRow(label, field);
    refreshers_.push_back([this, field, section = sections_.size() - 1, show = std::move(show)] {
        const bool there = show() && (!only_ || only_->contains(field->objectName()));
        sections_[section].any_row |= there;
        const bool shown = there && (!sections_[section].fold || sections_[section].fold->isChecked());
        field->setVisible(shown);
        if (QWidget* beside = rows_->labelForField(field))
            beside->setVisible(shown);
    });
}

LengthField* BoundForm::length(const QString& label, const char* name, Get<Length> get, Set<Length> set, Length least,
                               const QString& refusal) {
    auto* field = new LengthField{this};
    field->set_least(least, refusal);
    connect(field, &LengthField::committed, this,
            [this, label, set](Length length) { bench_.edit(label, [&](Job& job) { set(job, length); }); });
    add_row(label, name, field, [this, field, get] {
        field->set_unit(bench_.job().unit);
        const auto length = get();
        if (length)
            field->set_length(*length);
        return length.has_value();
    });
    explain(tr("A length in the job's unit or with its own: 1161, 116.1 cm, 32 3/16 in, or a sum such as 600 + 18."));
    return field;
}

void BoundForm::follow_tape(LengthField* field, const QString& label, OnWall on_wall) {
    // Before the row itself, so that it shows what the tape reads now.
    refreshers_.insert(refreshers_.begin(), [this, field, label, on_wall = std::move(on_wall)] {
        const Tape tape = bench_.tape().held_to(on_wall.own ? on_wall.own() : std::nullopt);
        const Length extent = on_wall.extent ? on_wall.extent() : Length{};
        field->set_back_from(tape.from_right() ? std::optional{tape.length - extent} : std::nullopt);
        const QString words = !tape.from_right()             ? label
                              : on_wall.from_right.isEmpty() ? tr("%1, from the right").arg(label)
                                                             : on_wall.from_right;
        field->setAccessibleName(words);
        if (auto* beside = qobject_cast<QLabel*>(rows_->labelForField(field)))
            beside->setText(words);
    });
}

LengthField* BoundForm::optional_length(const QString& label, const char* name, const QString& when_none,
                                        Get<std::optional<Length>> get, Set<std::optional<Length>> set) {
    auto* field = new LengthField{this};
    field->set_least(Length::nanometres(1), tr("It must be more than 0"));
    field->set_optional();
    field->setPlaceholderText(when_none);
    connect(field, &LengthField::committed, this,
            [this, label, set](Length length) { bench_.edit(label, [&](Job& job) { set(job, length); }); });
    connect(field, &LengthField::cleared, this,
            [this, label, set] { bench_.edit(label, [&](Job& job) { set(job, std::nullopt); }); });
    add_row(label, name, field, [this, field, get] {
        field->set_unit(bench_.job().unit);
        const auto length = get();
        if (length && *length)
            field->set_length(**length);
        else if (!(field->hasFocus() && field->isModified()))
            field->clear_length();
        return length.has_value();
    });
    explain(tr("A length in the job's unit or with its own: 1161, 116.1 cm, 32 3/16 in, or a sum such as 600 + 18."));
    return field;
}

void BoundForm::words(const QString& label, const char* name, Get<std::string> get, Set<std::string> set) {
    checked_words(
        label, name, std::move(get), [](const QString&) { return QString{}; }, std::move(set));
}

void BoundForm::checked_words(const QString& label, const char* name, Get<std::string> get,
                              std::function<QString(const QString&)> problem, Set<std::string> set) {
    auto* field = new QLineEdit{this};
    const auto commit = [this, field, label, set, problem = std::move(problem)] {
        if (!field->isModified())
            return;
        const QString wrong = problem(field->text());
        set_flag(*field, "refused", !wrong.isEmpty());
        field->setToolTip(wrong);
        if (!wrong.isEmpty())
            return;
        field->setModified(false);
        const std::string typed = field->text().toStdString();
        bench_.edit(label, [&](Job& job) { set(job, typed); });
    };
    connect(field, &QLineEdit::editingFinished, this, commit);
    connect(field, &QLineEdit::returnPressed, this, [this] { focusNextChild(); });
    add_row(label, name, field, [field, get] {
        const auto text = get();
        if (text && !(field->hasFocus() && field->isModified()))
            field->setText(QString::fromStdString(*text));
        return text.has_value();
    });
    explain(tr("In your own words."));
}

void BoundForm::choice(const QString& label, const char* name, const QStringList& options, Get<int> get, Set<int> set) {
    choice(
        label, name, [options] { return options; }, std::move(get), std::move(set));
    last_->setWhatsThis(tr("One of: %1.").arg(options.join(QStringLiteral(", "))));
    explain({});
}

void BoundForm::choice(const QString& label, const char* name, std::function<QStringList()> options, Get<int> get,
                       Set<int> set) {
    auto* field = new QComboBox{this};
    field->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    connect(field, &QComboBox::activated, this,
            [this, label, set](int index) { bench_.edit(label, [&](Job& job) { set(job, index); }); });
    add_row(label, name, field, [field, get, options = std::move(options)] {
        const QSignalBlocker quiet{field};
        const auto index = get();
        const QStringList wanted = options();
        QStringList there;
        for (int i = 0; i < field->count(); ++i)
            there << field->itemText(i);
        if (there != wanted) {
            field->clear();
            field->addItems(wanted);
        }
        if (index)
            field->setCurrentIndex(*index);
        return index.has_value();
    });
    explain(tr("One of those that the list shows."));
}

void BoundForm::number(const QString& label, const char* name, const QString& unit, Get<std::optional<double>> get,
                       Set<std::optional<double>> set) {
    number(label, name, NumberAsk{[unit] { return unit; }}, std::move(get), std::move(set));
}

void BoundForm::number(const QString& label, const char* name, const NumberAsk& ask, Get<std::optional<double>> get,
                       Set<std::optional<double>> set) {
    auto* field = new QLineEdit{this};
    field->setPlaceholderText(ask.when_none.isEmpty() ? tr("not known") : ask.when_none);
    const auto commit = [this, field, label, set, ask] {
        if (!field->isModified())
            return;
        const std::optional<double> typed = read_number(field->text());
        const bool none = field->text().trimmed().isEmpty();
        QString wrong;
        if (none && !ask.may_be_none)
            wrong = tr("A plain number is wanted here");
        else if (!none && !typed)
            wrong = tr("A plain number, such as 12 or 12.5");
        else if (const auto problem = none ? std::nullopt : range_problem(*typed, ask.range))
            wrong = tr("It must be %1").arg(core_words(*problem));
        else if (!none && *typed > ask.most)
            wrong = tr("At most %1").arg(ask.most);
        set_flag(*field, "refused", !wrong.isEmpty());
        field->setToolTip(wrong);
        if (!wrong.isEmpty())
            return;
        field->setModified(false);
        bench_.edit(label, [&](Job& job) { set(job, typed); });
    };
    connect(field, &QLineEdit::editingFinished, this, commit);
    connect(field, &QLineEdit::returnPressed, this, [this] { focusNextChild(); });
    add_row(label, name, field, [this, field, get, label, ask] {
        const QString unit = ask.unit ? ask.unit() : QString{};
        if (auto* beside = qobject_cast<QLabel*>(rows_->labelForField(field)))
            beside->setText(unit.isEmpty() ? label : QStringLiteral("%1, %2").arg(label, unit));
        const auto value = get();
        if (value && !(field->hasFocus() && field->isModified()))
            field->setText(*value ? shown_number(**value, ask.turned) : QString{});
        return value.has_value();
    });
    explain(ask.when_none.isEmpty() ? tr("A number, with a point or a comma.")
                                    : tr("A number, with a point or a comma; nothing typed: %1.").arg(ask.when_none));
}

void BoundForm::heading(const QString& words) {
    auto* label = new QLabel{words, this};
    label->setProperty("role", "heading");
    rows_->addRow(label);
    sections_.push_back({});
}

void BoundForm::fold(const QString& words, const char* name) {
    auto* fold = new Fold{words, this};
    fold->setObjectName(QString::fromLatin1(name));
    rows_->addRow(fold);
    sections_.push_back({fold});
    connect(fold, &Fold::toggled, this, &BoundForm::refresh);
}

void BoundForm::button(const QString& words, const char* name, std::function<bool()> show, std::function<void()> does) {
    auto* made = new WordyButton{words, this};
    connect(made, &QPushButton::clicked, this, std::move(does));
    add_row({}, name, made, std::move(show));
}

QLabel* BoundForm::note(const QString& object) {
    if (QLabel* made = notes_.value(object))
        return made;
    auto* label = new QLabel{this};
    label->setObjectName(object + QStringLiteral("-note"));
    label->setProperty("role", "faint");
    label->setTextFormat(Qt::RichText);
    notes_.insert(object, label);
    auto* field = findChild<QWidget*>(object);
    int row = -1;
    QFormLayout::ItemRole role{};
    if (field)
        rows_->getWidgetPosition(field, &row, &role);
    if (row < 0)
        return label; // of a row that is not there: it is never seen
    rows_->insertRow(row + 1, QString{}, label);
    refreshers_.push_back([label, field] { label->setVisible(!field->isHidden()); });
    return label;
}

void BoundForm::show_only(std::optional<QSet<QString>> objects) {
    only_ = std::move(objects);
    refresh();
}

void BoundForm::widget(QWidget* widget) {
    rows_->addRow(widget);
}

} // namespace yes_square::app
