#pragma once

#include "app/bench/bound_form.hpp"
#include "core/job/rule_rows.hpp"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QScrollArea>
#include <QStackedWidget>

namespace yes_square::app {

class PictureBox;

/// Every house rule of the job in hand, by the kind of work: what it is, its figure, what it usually is, whether it was
/// changed here. A search looks through all of them. What is changed is an edit of the job, and undone like any; kept
/// as a house it serves other jobs.
class HouseRulesWindow : public QDialog {
    Q_OBJECT
public:
    explicit HouseRulesWindow(Workbench& bench, QWidget* parent = nullptr);

    /// Shows one rule and puts the cursor into it.
    void show_rule(const std::string& group, const std::string& member);

private:
    struct Group {
        std::string name;
        BoundForm* form = nullptr;
    };
    template <class Rules>
    void add_group(const char* name, Rules HouseRules::*rules);
    void add_form(const std::string& name, BoundForm* form);
    void add_hands_page();
    QWidget* houses_row();
    void refresh();
    void search(const QString& words);
    void put_back(const QString& link);
    void fill_houses();
    void take_chosen(bool all);
    void keep();
    void compare_with_chosen();
    void say(const QString& words);

    Workbench& bench_;
    std::vector<Group> groups_;
    QLineEdit* search_;
    QListWidget* kinds_;
    QStackedWidget* pages_;
    QComboBox* house_;
    QLabel* said_;
    PictureBox* logo_ = nullptr;
};

/// A member's name as words: "Rail stock".
QString words_of_member(const std::string& member);

} // namespace yes_square::app
