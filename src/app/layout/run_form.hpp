#pragma once

#include "app/bench/part_form.hpp"

namespace yes_square::app {

/// The figures of the selected run: what it lies between, where its slack goes, in what order it goes up.
class RunForm : public PartForm<Run> {
    Q_OBJECT
public:
    explicit RunForm(Workbench& bench, QWidget* parent = nullptr);

private:
    void build_end(const QString& label, const char* name, RunEnd Run::*member, bool may_be_open);
    void build_place();
    void build_order();
    void build_gear();
    /// What a run here may begin or end at, with words for each.
    std::vector<std::pair<RunEnd, QString>> ends() const;
};

} // namespace yes_square::app
