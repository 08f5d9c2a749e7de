#pragma once

#include "app/bench/theme.hpp"
#include "app/bench/workbench.hpp"

#include <QGridLayout>
#include <QLabel>
#include <QWidget>

namespace yes_square::app {

/// The selected shelf's bracket layouts, a run's or a wardrobe's places as small walls two by two, each with what it
/// gives up; a click chooses. Of a piece that may tip, its cases from the side; a click shows the sum.
class AlternativesStrip : public QWidget {
    Q_OBJECT
public:
    explicit AlternativesStrip(Workbench& bench, QWidget* parent = nullptr);
    void set_theme(const Theme& theme);

private:
    void rebuild();

    Workbench& bench_;
    const Theme* theme_;
    QLabel* heading_;
    QGridLayout* grid_;
};

} // namespace yes_square::app
