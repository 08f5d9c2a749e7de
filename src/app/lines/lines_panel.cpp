#include "app/lines/lines_panel.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/grown.hpp"

#include "app/bench/read_only_table.hpp"
#include "core/lines/room_lines.hpp"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QPushButton* button(const QString& words, const char* name, QWidget* parent) {
    auto* made = new QPushButton{words, parent};
    made->setObjectName(QString::fromLatin1(name));
    made->setMinimumWidth(1); // a narrow panel shows less of a word, not less of the form
    return made;
}

QHBoxLayout* row_of(std::initializer_list<QWidget*> widgets) {
    auto* row = new QHBoxLayout;
    for (QWidget* widget : widgets)
        row->addWidget(widget);
    return row;
}

} // namespace

LinesPanel::LinesPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , lines_{read_only_table({tr("Line"), tr("Up"), tr("Floor now"), tr("From line")}, "lines-table", this)}
    , relations_{read_only_table({tr("Line"), tr("Lies"), tr("By"), tr("Over")}, "relations-table", this)}
    , line_form_{new BoundForm{bench, this}}
    , relation_form_{new BoundForm{bench, this}} {
    auto* usual = button(tr("Usual heights"), "usual-lines", this);
    auto* add = button(tr("Add line"), "add-line", this);
    auto* remove = button(tr("Remove line"), "remove-line", this);
    auto* relate = button(tr("Add relation"), "add-relation", this);
    auto* part = button(tr("Remove relation"), "remove-relation", this);
    connect(usual, &QPushButton::clicked, this, &LinesPanel::take_usual);
    connect(add, &QPushButton::clicked, this, &LinesPanel::add_line);
    connect(remove, &QPushButton::clicked, this, &LinesPanel::remove_line);
    connect(relate, &QPushButton::clicked, this, &LinesPanel::add_relation);
    connect(part, &QPushButton::clicked, this, &LinesPanel::remove_relation);
    grow_to_rows(*lines_);
    grow_to_rows(*relations_);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(usual);
    column->addLayout(row_of({add, remove}));
    column->addWidget(lines_);
    column->addWidget(line_form_);
    column->addWidget(relations_);
    column->addWidget(relation_form_);
    column->addLayout(row_of({relate, part}));
    column->addStretch(1);
    build_line_form();
    build_relation_form();
    connect(lines_, &QTableWidget::itemSelectionChanged, this, [this] {
        const QTableWidgetItem* item = lines_->item(lines_->currentRow(), 0);
        if (filling_ || !item)
            return;
        line_ = item->data(Qt::UserRole).toString().toStdString();
        bench_.ask("line/" + line_);
        line_form_->refresh();
    });
    connect(relations_, &QTableWidget::itemSelectionChanged, this, [this] {
        if (filling_ || relations_->currentRow() < 0)
            return;
        relation_ = static_cast<std::size_t>(relations_->currentRow());
        relation_form_->refresh();
    });
    connect(&bench_, &Workbench::changed, this, &LinesPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &LinesPanel::refresh);
    refresh();
}

Room* LinesPanel::room(Job& job) const {
    const Room* here = bench_.room();
    if (!here)
        return nullptr;
    const auto found = std::ranges::find(job.rooms, here->id, &Room::id);
    return found == job.rooms.end() ? nullptr : &*found;
}

const LevelLine* LinesPanel::line() const {
    const Room* here = bench_.room();
    if (!here)
        return nullptr;
    const auto found = std::ranges::find(here->lines, line_, &LevelLine::id);
    return found == here->lines.end() ? nullptr : &*found;
}

const LineRelation* LinesPanel::relation() const {
    const Room* here = bench_.room();
    return here && relation_ < here->line_relations.size() ? &here->line_relations[relation_] : nullptr;
}

std::vector<std::string> LinesPanel::ids() const {
    std::vector<std::string> ids{line_id::floor};
    if (const Room* here = bench_.room())
        for (const LevelLine& each : here->lines)
            ids.push_back(each.id);
    return ids;
}

QStringList LinesPanel::names() const {
    QStringList names{tr("Finished floor")};
    if (const Room* here = bench_.room())
        for (const LevelLine& each : here->lines)
            names << text(each.name);
    return names;
}

void LinesPanel::build_line_form() {
    const auto change = [this](auto&& with) {
        return [this, with](Job& job, auto value) {
            if (Room* here = room(job))
                for (LevelLine& each : here->lines)
                    if (each.id == line_)
                        with(each, value);
        };
    };
    line_form_->words(
        tr("Line"), "line-name",
        [this]() -> std::optional<std::string> { return line() ? std::optional{line()->name} : std::nullopt; },
        change([](LevelLine& each, const std::string& name) { each.name = name; }));
    line_form_->optional_length(
        tr("Pulled to"), "line-wanted", tr("as its relations put it"),
        [this]() -> std::optional<std::optional<Length>> {
            return line() ? std::optional{line()->wanted} : std::nullopt;
        },
        change([](LevelLine& each, std::optional<Length> wanted) { each.wanted = wanted; }));
}

void LinesPanel::build_relation_form() {
    const auto change = [this](auto&& with) {
        return [this, with](Job& job, auto value) {
            if (Room* here = room(job); here && relation_ < here->line_relations.size())
                with(here->line_relations[relation_], value);
        };
    };
    const auto row_of_id = [this](std::string LineRelation::*member) {
        return [this, member]() -> std::optional<int> {
            if (!relation())
                return std::nullopt;
            const auto known = ids();
            return static_cast<int>(std::ranges::find(known, relation()->*member) - known.begin());
        };
    };
    const auto set_id = [this, change](std::string LineRelation::*member) {
        return change(
            [this, member](LineRelation& each, int row) { each.*member = ids()[static_cast<std::size_t>(row)]; });
    };
    relation_form_->choice(
        tr("Line"), "relation-line", [this] { return names(); }, row_of_id(&LineRelation::line),
        set_id(&LineRelation::line));
    relation_form_->choice(
        tr("Lies"), "relation-how", words_of<HowFar>(),
        [this]() -> std::optional<int> { return relation() ? std::optional{row_for(relation()->how)} : std::nullopt; },
        change([](LineRelation& each, int row) { each.how = at_row<HowFar>(row); }));
    relation_form_->length(
        tr("By"), "relation-by",
        [this]() -> std::optional<Length> { return relation() ? std::optional{relation()->by} : std::nullopt; },
        change([](LineRelation& each, Length by) { each.by = by; }));
    relation_form_->choice(
        tr("Over"), "relation-over", [this] { return names(); }, row_of_id(&LineRelation::over),
        set_id(&LineRelation::over));
    relation_form_->words(
        tr("Because"), "relation-reason",
        [this]() -> std::optional<std::string> {
            return relation() ? std::optional{relation()->reason} : std::nullopt;
        },
        change([](LineRelation& each, const std::string& reason) { each.reason = reason; }));
}

void LinesPanel::refresh() {
    filling_ = true;
    fill_lines();
    fill_relations();
    filling_ = false;
    line_form_->refresh();
    relation_form_->refresh();
}

void LinesPanel::fill_lines() {
    lines_->setRowCount(0);
    const RoomSurvey* survey = bench_.room_plan();
    if (!survey)
        return;
    std::vector<LinePlan> solved = survey->lines.lines;
    std::ranges::stable_sort(solved, std::greater{}, &LinePlan::z);
    const Voice voice = bench_.voice();
    const FloorProfile& floor = bench_.wall_plan()->survey.floor;
    const auto shown = [&](Length length) { return text(format_bare(length, voice)); };
    for (const LinePlan& each : solved) {
        const int row = lines_->rowCount();
        lines_->insertRow(row);
        // Over the floor as it is at the reference end, and up or down from the level line that was struck.
        const QString from_line = !floor.level_line             ? QStringLiteral("-")
                                  : each.z >= *floor.level_line ? tr("%1 up").arg(shown(each.z - *floor.level_line))
                                                                : tr("%1 down").arg(shown(*floor.level_line - each.z));
        const QStringList cells{text(each.name), shown(each.z), shown(floor.above_floor_now({}, each.z)), from_line};
        const QString set_by =
            each.set_by.empty() ? tr("set by the room's own relations") : tr("set by %1").arg(text(each.set_by));
        for (int column = 0; column < cells.size(); ++column) {
            auto* item = new QTableWidgetItem{cells[column]};
            item->setData(Qt::UserRole, text(each.id));
            item->setToolTip(text(each.name) + QStringLiteral(", ") + set_by);
            lines_->setItem(row, column, item);
        }
        if (each.id == line_)
            lines_->selectRow(row);
    }
}

void LinesPanel::fill_relations() {
    relations_->setRowCount(0);
    const Room* here = bench_.room();
    if (!here)
        return;
    const QStringList named = names();
    const auto known = ids();
    const auto name = [&](const std::string& id) {
        const auto at = std::ranges::find(known, id) - known.begin();
        return at < named.size() ? named[at] : text(id);
    };
    for (const LineRelation& each : here->line_relations) {
        const int row = relations_->rowCount();
        relations_->insertRow(row);
        const QStringList cells{name(each.line), word_of(each.how), text(format_bare(each.by, bench_.voice())),
                                name(each.over)};
        for (int column = 0; column < cells.size(); ++column) {
            auto* item = new QTableWidgetItem{cells[column]};
            item->setToolTip(core_words(each.reason)); // usual ones are ours
            relations_->setItem(row, column, item);
        }
    }
    if (relation_ < here->line_relations.size())
        relations_->selectRow(static_cast<int>(relation_));
}

void LinesPanel::take_usual() {
    const Room* here = bench_.room();
    if (!here)
        return;
    const HouseLines house = house_lines(bench_.job().unit, bench_.job().rules.runs);
    bench_.apply(tr("Take the usual heights"), TakeLines{here->id, house.lines, house.relations});
}

void LinesPanel::add_line() {
    bench_.edit(tr("Add a line"), [&](Job& job) {
        Room* here = room(job);
        if (!here)
            return;
        for (int number = 1;; ++number) {
            const std::string id = "line-" + std::to_string(number);
            if (std::ranges::find(here->lines, id, &LevelLine::id) != here->lines.end())
                continue;
            here->lines.push_back({id, tr("Line %1").arg(number).toStdString(), 1000_mm});
            line_ = id;
            return;
        }
    });
}

void LinesPanel::remove_line() {
    bench_.edit(tr("Remove line"), [&](Job& job) {
        Room* here = room(job);
        if (!here)
            return;
        std::erase_if(here->lines, [&](const LevelLine& each) { return each.id == line_; });
        std::erase_if(here->line_relations,
                      [&](const LineRelation& each) { return each.line == line_ || each.over == line_; });
    });
}

void LinesPanel::add_relation() {
    bench_.edit(tr("Add a relation"), [&](Job& job) {
        Room* here = room(job);
        if (!here || here->lines.empty())
            return;
        const std::string id = line() ? line_ : here->lines.front().id;
        here->line_relations.push_back({id, line_id::floor, HowFar::at_least, {}, {}});
        relation_ = here->line_relations.size() - 1;
    });
}

void LinesPanel::remove_relation() {
    bench_.edit(tr("Remove relation"), [&](Job& job) {
        if (Room* here = room(job); here && relation_ < here->line_relations.size())
            here->line_relations.erase(here->line_relations.begin() + static_cast<std::ptrdiff_t>(relation_));
    });
}

} // namespace yes_square::app
