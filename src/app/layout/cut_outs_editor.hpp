#pragma once

#include "app/board/drawing_view.hpp"
#include "app/survey/readings_editor.hpp"
#include "core/sheets/board_drawing.hpp"

#include <functional>

namespace yes_square::app {

/// Whose cut-outs an editor is about: the selected shelf's, or those of the selected run's worktops.
struct CutOutsOf {
    QString name; ///< object names begin with it: "shelf-cut"
    std::function<const std::vector<CutOut>*()> now;
    std::function<std::vector<CutOut>*(Wall&)> in;
    std::function<std::optional<BoardFromAbove>()> seen;
};

/// What is cut out of a board: what for, its edges and its size, typed one after another, and drawn from above.
class CutOutsEditor : public QWidget {
    Q_OBJECT
public:
    CutOutsEditor(Workbench& bench, CutOutsOf of, QWidget* parent = nullptr);

private:
    void refresh();

    Workbench& bench_;
    CutOutsOf of_;
    DrawingView* drawing_;
};

} // namespace yes_square::app
