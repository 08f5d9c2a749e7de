#pragma once

#include "app/bench/day.hpp"
#include "app/bench/part_form.hpp"

#include "app/bench/manners.hpp"
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

namespace yes_square::app {

/// What level, plumb line, tape, diagonals or straight edge say of the selected thing, and what puts it right.
class WorkReadingsPage : public QWidget {
    Q_OBJECT
public:
    WorkReadingsPage(Workbench& bench, Day& day, QWidget* parent = nullptr);

    /// Takes a reading of the selected thing.
    void add(ReadingKind kind);

protected:
    void showEvent(QShowEvent* event) override;

private:
    struct Gaps {
        std::vector<Gap> gaps;
        QString error; ///< empty: they were read
    };
    Gaps parse_gaps(const QString& typed) const;

    void build();
    void refresh();
    void show_verdict();
    const WorkReading* reading() const;
    const ReadingPlan* reading_plan() const;
    std::string current() const;

    Workbench& bench_;
    Day& day_;
    QComboBox* kind_;
    QTableWidget* table_;
    Document* verdict_;
    PartForm<WorkReading>* form_;
    QPushButton* remove_;
};

} // namespace yes_square::app
