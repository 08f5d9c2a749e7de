#include "app/fit/readings_page.hpp"

#include "app/bench/field_form.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/measure/entry.hpp"

#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

auto is(std::initializer_list<ReadingKind> kinds) {
    return [kinds = std::vector<ReadingKind>{kinds}](const WorkReading& reading) {
        return std::ranges::find(kinds, reading.kind) != kinds.end();
    };
}

/// "0 0, 600 4, 1200 1": a place and a gap each.
std::string shown_gaps(const std::vector<Gap>& gaps, const Tape& tape, Unit unit) {
    std::string words;
    for (const Gap& gap : gaps)
        words += (words.empty() ? "" : "; ") + format_bare(tape.reads(gap.x), app::voice(unit)) + " : " +
                 format_bare(gap.gap, app::voice(unit));
    return words;
}

} // namespace

WorkReadingsPage::WorkReadingsPage(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , kind_{new QComboBox{this}}
    , table_{read_only_table({tr("Of"), tr("Kind"), tr("Says")}, "work-readings", this)}
    , verdict_{new Document{this}}
    , form_{new PartForm<WorkReading>{
          bench,
          PartAccess<WorkReading>{[this] { return reading(); },
                                  [this](Job& job, const std::function<void(WorkReading&)>& to) {
                                      if (WorkReading* reading = find_part<WorkReading>(job, current()).part)
                                          to(*reading);
                                  }},
          this}}
    , remove_{new QPushButton{tr("Remove"), this}} {
    kind_->addItems(words_of<ReadingKind>());
    kind_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    kind_->setObjectName(QStringLiteral("work-kind"));
    auto* add_button = new QPushButton{tr("Add"), this};
    add_button->setObjectName(QStringLiteral("add-reading"));
    add_button->setToolTip(tr("Of the thing that is selected on the wall"));
    connect(add_button, &QPushButton::clicked, this, [this] { add(at_row<ReadingKind>(kind_->currentIndex())); });
    remove_->setObjectName(QStringLiteral("remove-reading"));
    connect(remove_, &QPushButton::clicked, this,
            [this] { bench_.apply(tr("Remove a reading"), RemoveThing{current()}); });
    verdict_->setObjectName(QStringLiteral("work-verdict"));
    build();
    auto* row = new QHBoxLayout;
    row->addWidget(kind_, 1);
    row->addWidget(add_button);
    row->addWidget(remove_);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addLayout(row);
    grow_to_rows(*table_);
    grow_to_words(*verdict_);
    column->addWidget(table_);
    column->addWidget(form_);
    column->addWidget(verdict_);
    column->addStretch(1);
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int now, int, int before, int) {
        if (now == before)
            return;
        form_->refresh();
        show_verdict();
    });
    connect(&bench_, &Workbench::changed, this, &WorkReadingsPage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &WorkReadingsPage::refresh);
}

void WorkReadingsPage::build() {
    using R = WorkReading;
    const auto sloping = is({ReadingKind::level, ReadingKind::plumb});
    const auto taped = is({ReadingKind::tape});
    const auto frame = is({ReadingKind::diagonals});
    FieldForm<R>{*form_, "work"}
        .row("off_at", is({ReadingKind::level, ReadingKind::plumb, ReadingKind::tape}), {}, "end")
        .row("off", sloping)
        .row("over", sloping)
        .row("over", frame, tr("Frame, wide"), "width")
        .row("height", frame)
        .row("wanted", taped)
        .row("read", taped)
        .row("read", frame, tr("Rising diagonal"), "rising")
        .row("other", frame, {}, "falling");
    form_->checked_words(
        tr("Place : gap ; ..."), "work-gaps",
        form_->read<std::string>([this](const R& r) { return shown_gaps(r.gaps, bench_.tape(), bench_.job().unit); },
                                 is({ReadingKind::straightedge})),
        [this](const QString& typed) { return parse_gaps(typed).error; },
        form_->write<std::string>([this](R& r, std::string typed) { r.gaps = parse_gaps(text(typed)).gaps; }));
}

WorkReadingsPage::Gaps WorkReadingsPage::parse_gaps(const QString& typed) const {
    Gaps parsed;
    for (const QString& pair : typed.split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        const QStringList both = pair.split(QLatin1Char(':'));
        const auto read = [&](const QString& one) {
            return parse_length(one.trimmed().toStdString(), bench_.job().unit);
        };
        if (both.size() != 2) {
            parsed.error = tr("Each place stands with its gap: 600 : 4 ; 1200 : 1");
            return parsed;
        }
        const auto x = read(both[0]);
        const auto gap = read(both[1]);
        if (!x || !gap || *gap < Length{}) {
            parsed.error = tr("\"%1\" is no place and gap").arg(pair.trimmed());
            return parsed;
        }
        parsed.gaps.push_back(Gap{bench_.tape().reads(*x), *gap, {}});
    }
    return parsed;
}

void WorkReadingsPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

std::string WorkReadingsPage::current() const {
    const QTableWidgetItem* cell = table_->item(table_->currentRow(), 0);
    return cell ? cell->data(Qt::UserRole).toString().toStdString() : std::string{};
}

const WorkReading* WorkReadingsPage::reading() const {
    return find_part<WorkReading>(bench_.job(), current()).part;
}

const ReadingPlan* WorkReadingsPage::reading_plan() const {
    const WallPlan* wall = bench_.wall_plan();
    if (!wall)
        return nullptr;
    const auto found = std::ranges::find(wall->readings, current(), &ReadingPlan::reading_id);
    return found == wall->readings.end() ? nullptr : &*found;
}

void WorkReadingsPage::add(ReadingKind kind) {
    const Wall* wall = bench_.wall();
    if (!wall)
        return;
    WorkReading fresh;
    fresh.kind = kind;
    const Tape tape = bench_.tape_in_hand();
    fresh.from = tape.from;
    // A level is laid across a cabinet, diagonals go over one; a straight edge lies along its run.
    const CabinetUnit* unit = bench_.unit();
    fresh.item = unit && kind != ReadingKind::straightedge ? unit->id
                 : bench_.run()                            ? bench_.run()->id
                 : bench_.shelf()                          ? bench_.shelf()->id
                                                           : bench_.thing();
    if (fresh.item.empty())
        return;
    if (unit && bench_.unit_plan()) {
        const auto& place = bench_.unit_plan()->place;
        fresh.wanted = fresh.read = tape.reads(tape.near(place.left, place.right()));
        if (kind == ReadingKind::diagonals)
            fresh.over = bench_.unit_plan()->place.width;
        fresh.height = unit->height;
        if (unit->kind == UnitKind::appliance_gap)
            fresh.wanted = fresh.read = bench_.unit_plan()->place.width;
    } else if (const Shelf* shelf = bench_.shelf()) {
        fresh.wanted = fresh.read = tape.reads(tape.near(shelf->left, shelf->right()));
    }
    const Stamp stamp = day_.stamp();
    fresh.at = stamp.at;
    fresh.by = stamp.by;
    bench_.edit(tr("Add a reading"), [&](Job& job) {
        fresh.id = fresh_id(job, "reading");
        job.walls[bench_.wall_index()].work_readings.push_back(fresh);
    });
    table_->setCurrentCell(table_->rowCount() - 1, 0);
    if (auto* first = form_->findChild<QLineEdit*>(kind == ReadingKind::straightedge ? QStringLiteral("work-gaps")
                                                   : kind == ReadingKind::tape       ? QStringLiteral("work-read")
                                                   : kind == ReadingKind::diagonals  ? QStringLiteral("work-rising")
                                                                                     : QStringLiteral("work-off")))
        first->setFocus();
}

void WorkReadingsPage::refresh() {
    if (!isVisible())
        return;
    const std::string before = current();
    {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        int kept = 0;
        if (const WallPlan* wall = bench_.wall_plan())
            for (std::size_t i = 0; i < wall->readings.size(); ++i) {
                const ReadingPlan& plan = wall->readings[i];
                if (plan.reading_id == before)
                    kept = table_->rowCount();
                add_row(table_,
                        {text(plan.item_name), word_of(bench_.wall()->work_readings[i].kind),
                         text(say(words(plan.verdict), bench_.voice()))},
                        text(plan.reading_id));
            }
        if (table_->rowCount() > 0)
            table_->setCurrentCell(kept, 0);
    }
    form_->setVisible(reading() != nullptr);
    remove_->setEnabled(reading() != nullptr);
    form_->refresh();
    show_verdict();
}

void WorkReadingsPage::show_verdict() {
    const ReadingPlan* plan = reading_plan();
    if (!plan) {
        verdict_->setHtml(
            tr("Select a shelf, a cabinet or a piece on the wall, choose what you held to it, and add the "
               "reading: the verdict and what puts it right stand here."));
        return;
    }
    const Voice voice = bench_.voice();
    const auto shown = [&](const Sentence& sentence) { return text(say(sentence, voice)).toHtmlEscaped(); };
    QString html = QStringLiteral("<p style=\"font-size:large\"><b>%1</b></p><p>%2</p>")
                       .arg(text(say(words(plan->verdict), voice)).toHtmlEscaped(), shown(plan->found));
    for (const Sentence& each : plan->corrections)
        html += QStringLiteral("<p style=\"font-size:large\">%1</p>").arg(shown(each));
    verdict_->setHtml(html);
    if (!plan->working.title.pattern.empty())
        bench_.show_working(plan->working);
}

} // namespace yes_square::app
