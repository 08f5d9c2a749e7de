#pragma once

#include "app/bench/day.hpp"

#include "app/bench/manners.hpp"
#include <QComboBox>
#include <QLineEdit>
#include <QTableWidget>

namespace yes_square::app {

/// The stage "Record": the logbook, to be searched and added to; signatures; what is handed over.
class RecordPanel : public QWidget {
    Q_OBJECT
public:
    RecordPanel(Workbench& bench, Day& day, QWidget* parent = nullptr);

    void sign(const QString& name, const QString& what, const std::string& strokes);

signals:
    void photo_wanted();
    void photo_check_wanted();
    void sign_wanted();
    void hand_over_wanted();
    void templates_wanted();
    void book_wanted();

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void show_entry();
    std::vector<LogEntry> entries() const;

    Workbench& bench_;
    Day& day_;
    QLineEdit* search_;
    QComboBox* kind_;
    QTableWidget* table_;
    Document* words_;
    QLineEdit* note_;
    std::vector<LogEntry> shown_; ///< the rows' data are places in it
};

} // namespace yes_square::app
