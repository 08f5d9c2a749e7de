#pragma once

#include "app/bench/day.hpp"
#include "app/bench/patience.hpp"
#include "app/bench/theme.hpp"
#include "app/bench/workbench.hpp"

#include <QWidget>
#include <vector>

namespace yes_square::app {

enum class Stage { survey, lines, layout, fixings, cut, fit, record };

std::optional<Stage> stage_from_name(const QString& name);

/// The stages in working order along the top, each with what is done, missing or wrong.
class StageStrip : public QWidget {
    Q_OBJECT
public:
    StageStrip(Workbench& bench, Day& day, QWidget* parent = nullptr);

    void set_theme(const Theme& theme);
    void set_stage(Stage stage);
    Stage stage() const { return stage_; }

signals:
    void stage_chosen(yes_square::app::Stage stage);

private:
    class Button;
    void refresh();
    void refresh_day();

    Workbench& bench_;
    Day& day_;
    Patience of_day_{[this] { refresh_day(); }}; ///< the day's standings take their time in a large job
    Stage stage_ = Stage::layout;
    std::vector<Button*> buttons_;
};

} // namespace yes_square::app
