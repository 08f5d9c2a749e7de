#pragma once

#include "app/bench/workbench.hpp"

#include <QComboBox>

namespace yes_square::app {

/// Which wall is in hand. Opened it is no list of names but the rooms from above, the one in hand first: a wall is gone
/// to where it stands. The arrow keys go from wall to wall as in any such box.
class WallKey : public QComboBox {
    Q_OBJECT
public:
    explicit WallKey(const Workbench& bench, QWidget* parent = nullptr);

    void showPopup() override;

private:
    QWidget* plan_of(std::size_t room, QWidget* popup);

    const Workbench& bench_;
};

} // namespace yes_square::app
