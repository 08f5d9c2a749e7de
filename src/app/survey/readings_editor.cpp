#include "app/survey/readings_editor.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/rows.hpp"
#include "app/bench/theme.hpp"
#include "core/measure/entry.hpp"

#include <QGridLayout>
#include <QPushButton>
#include <QRegularExpression>
#include <QShortcut>
#include <algorithm>

namespace yes_square::app {

ReadingsEditor::ReadingsEditor(Workbench& bench, ReadingsSpec spec, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , spec_{std::move(spec)}
    , message_{new QLabel{this}}
    , list_{new QListWidget{this}} {
    auto* grid = new QGridLayout{this};
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(5);
    grid->setHorizontalSpacing(10);
    grid->setColumnStretch(1, 1);
    int line = 0;
    if (!spec_.kinds.isEmpty()) {
        kinds_ = new QComboBox{this};
        kinds_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        kinds_->addItems(spec_.kinds);
        kinds_->setObjectName(spec_.name + QStringLiteral("-what"));
        kinds_->setAccessibleName(spec_.kind_label);
        kinds_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        grid->addWidget(new QLabel{spec_.kind_label, this}, line, 0);
        grid->addWidget(kinds_, line++, 1);
        connect(kinds_, &QComboBox::currentIndexChanged, this, &ReadingsEditor::fit_fields);
        connect(kinds_, &QComboBox::currentIndexChanged, this, &ReadingsEditor::kind_chosen);
    }
    for (int kind = 0; kind < std::max<int>(1, static_cast<int>(spec_.kinds.size())); ++kind)
        for (const ReadingField& wanted : spec_.fields(kind)) {
            if (field(wanted.key))
                continue;
            auto* label = new QLabel{this};
            auto* entry = new LengthField{this};
            entry->setObjectName(spec_.name + QLatin1Char('-') + wanted.key);
            entry->setPlaceholderText(wanted.optional ? tr("if wanted") : tr("type it, then Enter"));
            const QString refusal = wanted.positive
                                        ? tr("It must be more than 0")
                                        : tr("A distance from the reference end or the floor cannot be less "
                                             "than 0");
            entry->set_least(wanted.positive ? Length::nanometres(1) : Length{}, refusal);
            grid->addWidget(label, line, 0);
            grid->addWidget(entry, line++, 1);
            if (wanted.optional)
                entry->set_optional();
            rows_.push_back({wanted.key, label, entry});
            connect(entry, &LengthField::committed, this, &ReadingsEditor::add_if_whole);
            connect(entry, &LengthField::pasted, this, &ReadingsEditor::add_pasted);
        }
    message_->setWordWrap(true);
    message_->setProperty("role", "alarm");
    message_->setObjectName(spec_.name + QStringLiteral("-message"));
    message_->hide();
    grid->addWidget(message_, line++, 0, 1, 2);
    list_->setObjectName(spec_.name + QStringLiteral("-found"));
    list_->setAccessibleName(tr("What is entered"));
    grow_to_rows(*list_);
    list_->setWordWrap(true);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    grid->addWidget(list_, line++, 0, 1, 2);
    auto* remove = new QPushButton{tr("Take out the selected one"), this};
    remove->setObjectName(spec_.name + QStringLiteral("-remove"));
    grid->addWidget(remove, line, 0, 1, 2, Qt::AlignLeft);
    connect(remove, &QPushButton::clicked, this, &ReadingsEditor::remove_selected);
    auto* shortcut = new QShortcut{QKeySequence::Delete, list_};
    shortcut->setContext(Qt::WidgetShortcut);
    connect(shortcut, &QShortcut::activated, this, &ReadingsEditor::remove_selected);
    connect(&bench_, &Workbench::changed, this, &ReadingsEditor::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ReadingsEditor::refresh);
    fit_fields();
    refresh();
}

LengthField* ReadingsEditor::field(const QString& key) const {
    const auto found = std::ranges::find(rows_, key, &Row::key);
    return found == rows_.end() ? nullptr : found->field;
}

LengthField* ReadingsEditor::first_field() const {
    for (const ReadingField& wanted : wanted())
        if (!wanted.optional && !wanted.stays)
            return field(wanted.key);
    return nullptr;
}

void ReadingsEditor::fit_fields() {
    const std::vector<ReadingField> fields = wanted();
    for (const Row& row : rows_) {
        const auto found = std::ranges::find(fields, row.key, &ReadingField::key);
        const bool used = found != fields.end();
        row.label->setVisible(used);
        row.field->setVisible(used);
        if (used) {
            const QString words = found->along == Along::no || !bench_.tape().from_right() ? found->label
                                  : found->along == Along::edge                            ? found->from_right
                                                                : tr("%1, from the right").arg(found->label);
            row.label->setText(words);
            row.field->setAccessibleName(words);
        }
        if (!used || !found->stays)
            row.field->clear_length();
    }
    say({});
}

std::vector<std::optional<Length>> ReadingsEditor::off_tape(std::vector<std::optional<Length>> figures) const {
    const Tape tape = bench_.tape();
    if (!tape.from_right())
        return figures;
    const std::vector<ReadingField> fields = wanted();
    const auto width = std::ranges::find(fields, QStringLiteral("width"), &ReadingField::key) - fields.begin();
    for (std::size_t i = 0; i < fields.size(); ++i)
        if (fields[i].along != Along::no && figures[i])
            figures[i] = tape.reads(*figures[i]) -
                         (fields[i].along == Along::edge ? *figures[static_cast<std::size_t>(width)] : Length{});
    return figures;
}

/// Whether all of them lie on the wall in hand; else says so.
bool ReadingsEditor::on_wall(const std::vector<std::optional<Length>>& figures) {
    const std::vector<ReadingField> fields = wanted();
    for (std::size_t i = 0; i < fields.size(); ++i)
        if (fields[i].along != Along::no && figures[i] && *figures[i] < Length{}) {
            say(tr("That is past the left end of the wall, which is %1 long")
                    .arg(text(format(bench_.wall()->length, bench_.voice()))));
            return false;
        }
    return true;
}

void ReadingsEditor::say(const QString& words) {
    message_->setText(words);
    message_->setVisible(!words.isEmpty());
}

void ReadingsEditor::add_if_whole() {
    say({});
    if (!bench_.wall())
        return;
    const std::vector<ReadingField> fields = wanted();
    std::vector<std::optional<Length>> figures;
    for (const ReadingField& wanted : fields) {
        LengthField* entry = field(wanted.key);
        figures.push_back(entry->text().isEmpty() ? std::nullopt : entry->value());
        if (!figures.back() && (!wanted.optional || !entry->text().isEmpty()))
            return;
    }
    figures = off_tape(std::move(figures));
    if (!on_wall(figures))
        return;
    const QString what =
        spec_.kinds.isEmpty() ? tr("Add a reading") : tr("Add %1").arg(kinds_->currentText().toLower());
    bench_.edit(what, [&](Job& job) { spec_.add(job.walls[bench_.wall_index()], kind(), figures); });
    for (const ReadingField& wanted : fields)
        if (!wanted.stays)
            field(wanted.key)->clear_length();
    // The field that Enter came from moves the focus on; the walk goes on at the first.
    if (LengthField* first = first_field())
        QMetaObject::invokeMethod(
            first, [first] { first->setFocus(Qt::OtherFocusReason); }, Qt::QueuedConnection);
}

/// Figures of a line belong to the fields that are needed and do not stay, in their order.
void ReadingsEditor::add_pasted(const QStringList& lines) {
    if (!bench_.wall())
        return;
    const std::vector<ReadingField> fields = wanted();
    static const QRegularExpression between{QStringLiteral("\\t|;|\\s{2,}")};
    std::vector<std::vector<std::optional<Length>>> readings;
    for (qsizetype number = 0; number < lines.size(); ++number) {
        QStringList cells = lines[number].trimmed().split(between, Qt::SkipEmptyParts);
        if (cells.isEmpty())
            continue;
        std::vector<std::optional<Length>> figures;
        QStringList names;
        for (const ReadingField& wanted : fields) {
            LengthField* entry = field(wanted.key);
            if (wanted.optional || wanted.stays) {
                figures.push_back(entry->text().isEmpty() ? std::nullopt : entry->value());
                if (!figures.back() && !wanted.optional)
                    return say(tr("Fill in \"%1\" first: it holds for all that is pasted").arg(wanted.label));
                continue;
            }
            names << wanted.label;
            if (cells.isEmpty())
                return say(tr("Line %1 of what was pasted has too few figures; each needs: %2. Nothing was taken")
                               .arg(number + 1)
                               .arg(names.join(QStringLiteral(", "))));
            const QString cell = cells.takeFirst();
            const auto length = parse_length(cell.toStdString(), bench_.job().unit);
            const bool wrong = !length || *length < (wanted.positive ? Length::nanometres(1) : Length{});
            if (wrong)
                return say(tr("Line %1 of what was pasted, \"%2\": %3. Nothing was taken")
                               .arg(number + 1)
                               .arg(cell, length ? tr("it cannot be less than 0")
                                                 : text(length.error().text(bench_.voice()))));
            figures.push_back(*length);
        }
        if (!cells.isEmpty())
            return say(tr("Line %1 of what was pasted has more figures than these: %2. Nothing was taken")
                           .arg(number + 1)
                           .arg(names.join(QStringLiteral(", "))));
        readings.push_back(off_tape(std::move(figures)));
        if (!on_wall(readings.back()))
            return;
    }
    say({});
    bench_.edit(tr("Paste %1 readings").arg(readings.size()), [&](Job& job) {
        for (const auto& figures : readings)
            spec_.add(job.walls[bench_.wall_index()], kind(), figures);
    });
}

void ReadingsEditor::remove_selected() {
    const int row = list_->currentRow();
    if (!bench_.wall() || row < 0 || static_cast<std::size_t>(row) >= shown_.size())
        return;
    const ReadingRow gone = shown_[static_cast<std::size_t>(row)];
    bench_.edit(tr("Take out a reading"), [&](Job& job) { spec_.erase(job.walls[bench_.wall_index()], gone); });
    list_->setCurrentRow(std::min(row, list_->count() - 1));
}

void ReadingsEditor::refresh() {
    for (const Row& row : rows_)
        row.field->set_unit(bench_.job().unit);
    if (shown_from_ != bench_.tape().from) {
        shown_from_ = bench_.tape().from;
        fit_fields();
    }
    setEnabled(bench_.wall() != nullptr);
    shown_.clear();
    if (!bench_.wall())
        return fill(*list_, {});
    shown_ = spec_.rows(*bench_.wall(), bench_.voice(), Reader::of(bench_.job()));
    const bool by_tape = bench_.tape().from_right() && std::ranges::any_of(wanted(), [](const ReadingField& field) {
                             return field.along != Along::no;
                         });
    std::ranges::stable_sort(shown_, {},
                             [&](const ReadingRow& row) { return by_tape ? bench_.tape().reads(row.at) : row.at; });
    QStringList words;
    for (const ReadingRow& row : shown_)
        words << row.words;
    fill(*list_, words);
}

} // namespace yes_square::app
