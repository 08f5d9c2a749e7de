#pragma once

#include "app/bench/workbench.hpp"

#include <QDialog>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QTableWidget>
#include <functional>

namespace yes_square::app {

/// A version of the job that is kept.
struct KeptVersion {
    QString path;
    QString words; ///< "30 November 2026, 14:05"
};

/// What is kept of a job, newest first; of each what is different in the job as it is now, or of two what is different
/// between them, in figures; one is taken up again as an edit.
class VersionsDialog : public QDialog {
    Q_OBJECT
public:
    /// @param read  reads one; none: it cannot be read
    VersionsDialog(Workbench& bench, std::vector<KeptVersion> versions,
                   std::function<std::optional<Job>(const QString& path)> read, QWidget* parent);

private:
    void show_changes();
    void take_up();
    const KeptVersion* chosen() const;
    const KeptVersion* later() const; ///< that it is held against; nullptr: the job as it is now

    Workbench& bench_;
    std::vector<KeptVersion> versions_;
    std::function<std::optional<Job>(const QString&)> read_;
    std::optional<Job> job_; ///< that version
    QListWidget* list_;
    QLabel* words_;
    QTableWidget* changes_;
    QPushButton* take_;
};

} // namespace yes_square::app
