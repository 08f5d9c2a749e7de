#pragma once

#include "app/board/drawing_view.hpp"
#include "app/survey/readings_editor.hpp"

#include <QCheckBox>
#include <QPushButton>

namespace yes_square::app {

/// Studs from evidence: where to probe next and what for, what was seen, and the studs that follow from it.
class StudsPage : public QWidget {
    Q_OBJECT
public:
    explicit StudsPage(Workbench& bench, QWidget* parent = nullptr);

    ReadingsEditor& evidence() { return *evidence_; }
    /// Where to probe next as it stood when the page was last shown; none: nothing to prove.
    const std::optional<ProbeAdvice>& advice() const { return advice_; }

signals:
    void advised(); ///< the advice changed

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void record(EvidenceKind kind);
    /// How what is about to be entered is looked for, in words and drawn.
    void show_how(int kind);

    Workbench& bench_;
    std::optional<ProbeAdvice> advice_;
    QLabel* where_;
    QLabel* why_;
    QPushButton* wood_;
    QPushButton* nothing_;
    QCheckBox* under_work_;
    ReadingsEditor* evidence_;
    QLabel* begin_; ///< where studs usually begin, before anybody has looked
    QLabel* how_;
    DrawingView* picture_;
};

} // namespace yes_square::app
