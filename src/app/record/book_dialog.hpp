#pragma once

#include "files/job_book.hpp"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QTableWidget>

namespace yes_square::app {

/// The job book: all jobs that were saved or found in a folder, searched as one types.
class BookDialog : public QDialog {
    Q_OBJECT
public:
    BookDialog(JobBook& book, QWidget* parent);

signals:
    void open_wanted(const QString& path);

private:
    void search();
    void go_through();

    JobBook& book_;
    QLineEdit* words_;
    QComboBox* kind_;
    QLineEdit* from_;
    QLineEdit* until_;
    QTableWidget* table_;
    QLabel* told_;
};

/// Where the book of this user is kept.
QString book_path();

} // namespace yes_square::app
