#pragma once

#include "app/bench/bound_form.hpp"

#include <QPushButton>
#include <QTableWidget>

namespace yes_square::app {

/// The lines of the selected wall's room, solved, and the relations between them. A row clicked shows its working and
/// opens for editing.
class LinesPanel : public QWidget {
    Q_OBJECT
public:
    explicit LinesPanel(Workbench& bench, QWidget* parent = nullptr);

private:
    void build_line_form();
    void build_relation_form();
    void refresh();
    void fill_lines();
    void fill_relations();
    void take_usual();
    void add_line();
    void remove_line();
    void add_relation();
    void remove_relation();

    Room* room(Job& job) const;
    const LevelLine* line() const;
    const LineRelation* relation() const;
    /// Ids of the floor and of the room's lines, as the choices of a relation list them.
    std::vector<std::string> ids() const;
    QStringList names() const;

    Workbench& bench_;
    QTableWidget* lines_;
    QTableWidget* relations_;
    BoundForm* line_form_;
    BoundForm* relation_form_;
    std::string line_;
    std::size_t relation_ = 0;
    bool filling_ = false;
};

} // namespace yes_square::app
