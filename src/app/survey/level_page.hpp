#pragma once

#include "app/bench/bound_form.hpp"
#include "app/board/drawing_view.hpp"

namespace yes_square::app {

/// Level line, floor, floor still to be laid, ceiling.
class LevelPage : public QWidget {
    Q_OBJECT
public:
    explicit LevelPage(Workbench& bench, QWidget* parent = nullptr);

private:
    DrawingView* profile_;
};

/// Face of the wall, width between its ends, the corner at its far end.
class FacePage : public QWidget {
    Q_OBJECT
public:
    explicit FacePage(Workbench& bench, QWidget* parent = nullptr);

private:
    void ask_shim();

    Workbench& bench_;
    DrawingView* profile_;
    std::size_t row_ = 0; ///< of the readings, the string that is drawn
    LengthField* shim_x_;
    LengthField* shim_z_;
    QLabel* shim_;
};

} // namespace yes_square::app
