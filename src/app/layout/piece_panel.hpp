#pragma once

#include "app/bench/verdict_label.hpp"
#include "app/layout/thing_panel.hpp"

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
    /// Which drawer's figures are shown, counted from 1; 0: all of them, told by the first.
    int shown_drawer(const Piece& piece) const;
    const Drawer& told(const Piece& piece) const;
    void each_shown(Piece& piece, const std::function<void(Drawer&)>& change) const;

    VerdictLabel* verdict_;
    int drawer_ = 0;
};

} // namespace yes_square::app
