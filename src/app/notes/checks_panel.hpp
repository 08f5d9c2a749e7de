#pragma once

#include "app/bench/workbench.hpp"

#include <QScrollArea>

namespace yes_square::app {

/// What is to be put right and minded, this wall first, errors first, each with its cures; a cure the program can make
/// is a button.
class ChecksPanel : public QScrollArea {
    Q_OBJECT
public:
    explicit ChecksPanel(Workbench& bench, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void show_place(const std::string& wall, const std::string& thing, std::optional<Length> x,
                    std::optional<Length> z);
    QWidget* card(const OwnedCheck& owned);

    Workbench& bench_;
};

} // namespace yes_square::app
