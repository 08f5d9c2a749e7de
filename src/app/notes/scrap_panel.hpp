#pragma once

#include "app/bench/workbench.hpp"

#include "app/bench/manners.hpp"

namespace yes_square::app {

/// The sums among which the one that is asked for stands: the wall's, its room's lines', or those of what is selected;
/// nullptr: there are none.
const std::vector<Working>* sums_in_hand(const Workbench& bench);

/// The scrap: the working behind the figure last asked for, as a person would write it.
class ScrapPanel : public Document {
    Q_OBJECT
public:
    explicit ScrapPanel(Workbench& bench, QWidget* parent = nullptr);

    void refresh();

protected:
    void changeEvent(QEvent* event) override;

private:
    void write(const Working& working, const QString& links);

    Workbench& bench_;
};

} // namespace yes_square::app
