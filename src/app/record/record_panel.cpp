#include "app/record/record_panel.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

constexpr std::array kinds{LogKind::note,  LogKind::reading,   LogKind::deviation, LogKind::change,
                           LogKind::photo, LogKind::signature, LogKind::delivery};

QString word(LogKind kind) {
    switch (kind) {
    case LogKind::note:
        return RecordPanel::tr("note");
    case LogKind::reading:
        return RecordPanel::tr("reading");
    case LogKind::deviation:
        return RecordPanel::tr("otherwise than planned");
    case LogKind::change:
        return RecordPanel::tr("change");
    case LogKind::photo:
        return RecordPanel::tr("photo");
    case LogKind::signature:
        return RecordPanel::tr("signature");
    case LogKind::delivery:
        return RecordPanel::tr("delivery");
    }
    return {};
}

} // namespace

RecordPanel::RecordPanel(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , search_{new QLineEdit{this}}
    , kind_{new QComboBox{this}}
    , table_{read_only_table({tr("When"), tr("What")}, "log", this)}
    , words_{new Document{this}}
    , note_{new QLineEdit{this}} {
    search_->setPlaceholderText(tr("Search"));
    search_->setObjectName(QStringLiteral("log-search"));
    search_->setClearButtonEnabled(true);
    search_->setAccessibleName(search_->placeholderText());
    kind_->addItem(tr("everything"));
    for (const LogKind kind : kinds)
        kind_->addItem(word(kind));
    kind_->setObjectName(QStringLiteral("log-kind"));
    note_->setPlaceholderText(tr("A note, then Enter"));
    note_->setObjectName(QStringLiteral("log-note"));
    note_->setAccessibleName(note_->placeholderText());
    words_->setObjectName(QStringLiteral("log-words"));
    auto* row = new QHBoxLayout;
    row->addWidget(search_, 2);
    row->addWidget(kind_, 1);
    auto* buttons = new QGridLayout;
    const auto button = [&](const QString& words, const char* name, auto signal, int at) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(QString::fromLatin1(name));
        made->setMinimumWidth(1);
        connect(made, &QPushButton::clicked, this, signal);
        buttons->addWidget(made, at / 2, at % 2);
    };
    button(tr("Photo..."), "attach-photo", &RecordPanel::photo_wanted, 0);
    button(tr("Check photos"), "check-photos", &RecordPanel::photo_check_wanted, 1);
    button(tr("Sign..."), "sign", &RecordPanel::sign_wanted, 2);
    button(tr("Job book..."), "job-book", &RecordPanel::book_wanted, 3);
    button(tr("Hand-over..."), "hand-over", &RecordPanel::hand_over_wanted, 4);
    button(tr("Templates 1:1..."), "templates", &RecordPanel::templates_wanted, 5);
    connect(search_, &QLineEdit::textChanged, this, &RecordPanel::refresh);
    connect(kind_, &QComboBox::activated, this, &RecordPanel::refresh);
    connect(table_, &QTableWidget::currentCellChanged, this, &RecordPanel::show_entry);
    connect(note_, &QLineEdit::returnPressed, this, [this] {
        const std::string words = note_->text().trimmed().toStdString();
        if (words.empty())
            return;
        const std::string item = bench_.unit()    ? bench_.unit()->id
                                 : bench_.shelf() ? bench_.shelf()->id
                                                  : bench_.thing();
        note_->clear();
        bench_.edit(tr("Write a note"), [&](Job& job) { write_log(job, LogKind::note, item, words, day_.stamp()); });
    });
    auto* column = new QVBoxLayout{this};
    grow_to_words(*words_);
    grow_to_rows(*table_);
    column->addLayout(buttons);
    column->addWidget(note_);
    column->addWidget(words_);
    column->addLayout(row);
    column->addWidget(table_);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &RecordPanel::refresh);
}

void RecordPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void RecordPanel::sign(const QString& name, const QString& what, const std::string& strokes) {
    bench_.edit(tr("Sign"), [&](Job& job) {
        write_log(job, LogKind::signature, {}, what.toStdString(), {day_.stamp().at, name.toStdString()});
        job.log.back().strokes = strokes;
    });
}

/// The job's own lines, and what was read of the work: that is kept with its wall and judged anew whenever the plan is.
std::vector<LogEntry> RecordPanel::entries() const {
    std::vector<LogEntry> all = bench_.job().log;
    const Voice voice = bench_.voice();
    for (std::size_t w = 0; w < bench_.job().walls.size(); ++w) {
        const auto& readings = bench_.job().walls[w].work_readings;
        for (std::size_t i = 0; i < readings.size(); ++i) {
            const ReadingPlan& plan = bench_.plan().walls[w]->readings[i];
            LogEntry& entry = all.emplace_back();
            entry.kind = LogKind::reading;
            entry.at = readings[i].at;
            entry.by = readings[i].by;
            entry.item = readings[i].item;
            entry.words =
                tr("%1: %2, %3")
                    .arg(text(plan.item_name), text(say(plan.found, voice)), text(say(words(plan.verdict), voice)))
                    .toStdString();
        }
    }
    std::ranges::stable_sort(all, {}, &LogEntry::at);
    return all;
}

/// The latest at the top.
void RecordPanel::refresh() {
    if (!isVisible())
        return;
    const QStringList sought = search_->text().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    table_->setRowCount(0);
    shown_ = entries();
    const auto& log = shown_;
    for (std::size_t i = log.size(); i-- > 0;) {
        const LogEntry& entry = log[i];
        if (kind_->currentIndex() > 0 && entry.kind != kinds[static_cast<std::size_t>(kind_->currentIndex() - 1)])
            continue;
        const QString all = text(entry.words) + QLatin1Char(' ') + text(entry.by) + QLatin1Char(' ') + text(entry.file);
        if (std::ranges::any_of(sought, [&](const QString& word) { return !all.contains(word, Qt::CaseInsensitive); }))
            continue;
        const QString words = entry.words.empty() ? text(entry.file) : text(entry.words);
        add_row(table_, {shown_time(entry.at), tr("%1: %2").arg(word(entry.kind), words)}, static_cast<int>(i));
    }
    if (table_->rowCount() > 0)
        table_->setCurrentCell(0, 0);
    show_entry();
}

void RecordPanel::show_entry() {
    const QTableWidgetItem* cell = table_->item(table_->currentRow(), 0);
    if (!cell) {
        words_->setHtml(bench_.job().log.empty()
                            ? tr("Nothing is written yet. Ticks, readings and what was found otherwise "
                                 "than planned write themselves; add notes and photos here.")
                            : tr("Nothing in the log is like that."));
        return;
    }
    const LogEntry& entry = shown_[static_cast<std::size_t>(cell->data(Qt::UserRole).toInt())];
    QString html = QStringLiteral("<p>%1</p>").arg(text(entry.words).toHtmlEscaped());
    html += QStringLiteral("<p>%1 \u00b7 %2 \u00b7 %3</p>")
                .arg(word(entry.kind), shown_time(entry.at),
                     (entry.by.empty() ? tr("nobody named") : text(entry.by)).toHtmlEscaped());
    if (!entry.file.empty())
        html += QStringLiteral("<p>%1<br><small>SHA-256 %2</small></p>")
                    .arg(text(entry.file).toHtmlEscaped(), text(entry.sha256).toHtmlEscaped());
    words_->setHtml(html);
}

} // namespace yes_square::app
