#pragma once

#include "app/bench/workbench.hpp"

#include "app/bench/manners.hpp"

namespace yes_square::app {

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
