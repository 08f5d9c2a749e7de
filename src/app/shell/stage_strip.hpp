#pragma once

#include "app/shell/theme.hpp"
#include "app/shell/workbench.hpp"

#include <QWidget>
#include <vector>

namespace yes_square::app {

enum class Stage { survey, lines, layout, fixings, cut, fit, record };

std::optional<Stage> stage_from_name(const QString& name);

/// The stages in working order along the top, each with what is done, missing or wrong.
class StageStrip : public QWidget {
    Q_OBJECT
public:
    explicit StageStrip(Workbench& bench, QWidget* parent = nullptr);

    void set_theme(const Theme& theme);
    void set_stage(Stage stage);
    Stage stage() const { return stage_; }

signals:
    void stage_chosen(yes_square::app::Stage stage);

private:
    class Button;
    void refresh();

    Workbench& bench_;
    Stage stage_ = Stage::layout;
    std::vector<Button*> buttons_;
};

} // namespace yes_square::app
