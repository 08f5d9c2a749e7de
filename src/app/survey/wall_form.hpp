#pragma once

#include "app/bench/bound_form.hpp"

namespace yes_square::app {

/// The wall's own figures: size, structure, linings, ends, what runs along it.
class WallForm : public BoundForm {
    Q_OBJECT
public:
    explicit WallForm(Workbench& bench, QWidget* parent = nullptr);

private:
    Wall& here(Job& job) const;
    /// Whether there is no wall: a side of an island.
    bool on_open_floor() const;
    /// A getter of a member of the wall looked at; nothing where there is no wall.
    template <class T>
    Get<T> of_wall(T Wall::*member) {
        return [this, member]() -> std::optional<T> {
            return bench().wall() ? std::optional<T>{bench().wall()->*member} : std::nullopt;
        };
    }
    void job_rows();
    void size_rows();
    void structure_rows();
    void island_rows();
    void lining_rows();
    void end_rows();
    void edge_rows();
};

} // namespace yes_square::app
