#pragma once

#include "app/bench/part_form.hpp"

namespace yes_square::app {

/// The selected shelf's own figures: place and size, board and load, and what its way of hanging asks.
class ShelfForm : public PartForm<Shelf> {
    Q_OBJECT
public:
    explicit ShelfForm(Workbench& bench, QWidget* parent = nullptr);

private:
    void build_place();
    void build_board();
    void build_make_up();
    void build_holding();
    void build_brackets();
    void build_others();
    void build_hangers();
    /// Begins a bracket of the fitter's own, like the one with this id, and asks for its figures.
    void enter_bracket(const std::string& like);
};

} // namespace yes_square::app
