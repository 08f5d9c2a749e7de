#pragma once

#include "app/layout/thing_panel.hpp"
#include "app/shell/verdict_label.hpp"

namespace yes_square::app {

/// Furniture that may tip: the selected piece's figures, drawers, what holds it, and its verdict in large type.
class PiecePanel : public ThingPanel<Piece> {
    Q_OBJECT
public:
    explicit PiecePanel(Workbench& bench, QWidget* parent = nullptr);

    void add_piece(PieceKind kind);

private:
    void build_piece();
    void build_drawers();
    void build_restraint();
    void refresh() override;

    VerdictLabel* verdict_;
};

} // namespace yes_square::app
