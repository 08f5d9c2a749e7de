#pragma once

#include "app/bench/length_field.hpp"
#include "app/board/board_view.hpp"
#include "app/practice/practice_wall.hpp"

#include <QDialog>
#include <QPushButton>

namespace yes_square::app {

/// The practice wall: click or type where to push the probe in, then see what is behind.
class PracticeDialog : public QDialog {
    Q_OBJECT
public:
    PracticeDialog(std::uint64_t seed, Unit unit, const Theme& theme, QWidget* parent = nullptr);
    ~PracticeDialog() override { hide(); } // see MainWindow's

    /// Pushes the probe in where the program would, so many times; asks once more.
    void follow_advice(int holes);

    const PracticeWall& exercise() const { return exercise_; }

private:
    void probe(Length x);
    void ask_advice();
    void finish();
    void begin(std::uint64_t seed);
    void show_wall();
    void show_results();

    PracticeWall exercise_;
    Workbench bench_;
    BoardView* board_;
    QLabel* task_;
    QLabel* said_;
    QLabel* results_;
    LengthField* at_;
    QPushButton* advice_;
    QPushButton* finish_;
};

} // namespace yes_square::app
