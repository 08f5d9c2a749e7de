#include "app/shell/main_window.hpp"

#include "app/board/board_view.hpp"
#include "app/catalogue/at_hand.hpp"
#include "app/cut/cut_panel.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "app/hands/find_box.hpp"
#include "app/hands/hands.hpp"
#include "app/house/house_rules_window.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/notes/chit.hpp"
#include "app/survey/survey_panel.hpp"
#include "core/hands/screw_pins.hpp"
#include "core/job/edits.hpp"
#include "core/measure/entry.hpp"

#include <QMenuBar>
#include <QUndoView>
#include <QVBoxLayout>
#include <algorithm>

/// What is done to things as a whole, and where it is asked for: the edit menu, a right click, the box that finds.
namespace yes_square::app {

using Part = Reference::Part;

void MainWindow::build_hands(QMenu& edit) {
    hands_ = new Hands{bench_, this};
    connect(hands_, &Hands::told, this, [this](const QString& what) { tell(what); });
    edit.addAction(tr("Find or do..."), QKeySequence::Find, this, &MainWindow::show_find_box);
    edit.addAction(tr("What was done..."), this, &MainWindow::show_history);
    edit.addSeparator();
    edit.addAction(tr("Copy"), QKeySequence{Qt::CTRL | Qt::Key_C}, hands_, &Hands::copy);
    edit.addAction(tr("Copy the drawing"), QKeySequence{Qt::CTRL | Qt::ALT | Qt::Key_C}, this,
                   &MainWindow::copy_drawing);
    edit.addAction(tr("Paste on this wall"), QKeySequence{Qt::CTRL | Qt::Key_V}, hands_, &Hands::paste);
    edit.addAction(tr("Duplicate"), QKeySequence{Qt::CTRL | Qt::Key_D}, hands_, &Hands::duplicate);
    edit.addAction(tr("Select all on this wall"), QKeySequence{Qt::CTRL | Qt::Key_A}, hands_, &Hands::select_all);
    hands_->offer_arrangements(*edit.addMenu(tr("Bring in order")));
    edit.addSeparator();
    connect(board_, &BoardView::menu_wanted, this, [this](const Reference& reference, QPoint screen) {
        auto* menu = new QMenu{this};
        menu->setObjectName(QStringLiteral("wall-menu"));
        menu->setAttribute(Qt::WA_DeleteOnClose);
        fill_menu(*menu, reference);
        menu->popup(screen);
    });
}

/// Of what was clicked first, then of the thing it belongs to, then of the wall.
void MainWindow::fill_menu(QMenu& menu, const Reference& reference) {
    const auto head = [&](const QString& words) { menu.addSection(words); };
    switch (reference.part) {
    case Part::stud:
        head(tr("Stud %1").arg(reference.index + 1));
        menu.addAction(tr("How it was found"), this,
                       [this, n = reference.index] { bench_.ask("stud/" + std::to_string(n + 1)); });
        menu.addAction(tr("Probe for it"), this, [this] {
            set_stage(Stage::survey);
            survey_->set_page(SurveyPage::studs);
        });
        break;
    case Part::line:
        menu_of_line(menu, reference.item);
        break;
    case Part::opening:
    case Part::service:
        head(reference.part == Part::opening ? tr("Door or window") : tr("Socket, switch or pipe"));
        menu.addAction(tr("Its figures"), this, [this] {
            set_stage(Stage::survey);
            survey_->set_page(SurveyPage::walk);
        });
        break;
    case Part::bracket:
        head(tr("Bracket %1").arg(reference.index + 1));
        for (const auto& [subject, words] :
             {std::pair{"bracket", tr("Why it stands here")}, std::pair{"reaction", tr("What it carries")},
              std::pair{"fixing", tr("What its screws bear")}})
            menu.addAction(words, this, [this, sum = std::string{subject} + "/" + std::to_string(reference.index + 1)] {
                bench_.ask(sum);
            });
        menu_of_bracket(menu, reference.index);
        break;
    default:
        break;
    }
    if (const PlannedHole* hole = bench_.hole();
        hole && (reference.part == Part::hole || reference.part == Part::unit_hole)) {
        head(text(say(hole->what, bench_.voice())));
        menu.addAction(tr("Look through the wall here"), this, [this] { set_stage(Stage::fixings); });
        if (reference.part == Part::unit_hole)
            menu_of_screw(menu, reference.item, hole->x);
        if (hole->made)
            menu.addAction(tr("It is filled, or was never made"), this,
                           [this, edit = ForgetHole{bench_.wall()->id, hole->x, hole->z}] {
                               bench_.apply(tr("Forget a hole"), edit);
                           });
    }
    if (!reference.item.empty() && reference.part != Part::line)
        menu_of_thing(menu);
    menu_of_wall(menu);
}

void MainWindow::menu_of_line(QMenu& menu, const std::string& line) {
    menu.addSection(tr("Line"));
    menu.addAction(tr("How high it is, and why"), this, [this, line] { bench_.ask("line/" + line); });
    menu.addAction(tr("Bring the tops of what is selected to it"), this, [this, line] { hands_->bring_to_line(line); });
    if (const Room* room = bench_.room())
        menu.addAction(
            tr("Let it go where its relations put it"), this,
            [this, edit = SetLine{room->id, line, std::nullopt}] { bench_.apply(tr("Let go of a line"), edit); });
    menu.addAction(tr("To the lines"), this, [this] { set_stage(Stage::lines); });
}

void MainWindow::menu_of_bracket(QMenu& menu, std::size_t number) {
    const Shelf* shelf = bench_.shelf();
    if (!shelf || !bench_.shelf_plan()->bracket || number >= bench_.shelf_plan()->brackets.size() ||
        !bench_.shelf_plan()->brackets[number].is_bracket())
        return;
    const BracketPlan& place = bench_.shelf_plan()->brackets[number];
    const Length at = place.x - shelf->left;
    const auto pin = [&](const QString& words, const PinPlace& edit) {
        menu.addAction(words, this, [this, words, edit] { bench_.apply(words, edit); });
    };
    if (place.pinned)
        pin(tr("Let go of it"), {shelf->id, at, std::nullopt});
    else
        pin(tr("Pin it here"), {shelf->id, std::nullopt, at});
    menu.addAction(tr("Pin it at..."), this, [this, at] { ask_for_pin(at); });
    if (!shelf->pins.empty())
        menu.addAction(tr("Let go of all pins"), this, [this, id = shelf->id] {
            bench_.edit(tr("Let go of all pins"), [&](Job& job) {
                if (Shelf* found = find_shelf(job, id))
                    found->pins.clear();
            });
        });
    const auto more = [&](const QString& words, int by) {
        menu.addAction(words, this,
                       [this, words, edit = ChooseLayout{shelf->id, shelf->school, shelf->extra_brackets + by}] {
                           bench_.apply(words, edit);
                       });
    };
    more(tr("One bracket more"), 1);
    if (shelf->extra_brackets > 0)
        more(tr("One bracket fewer"), -1);
}

void MainWindow::menu_of_screw(QMenu& menu, const std::string& item, Length x) {
    if (!bench_.run())
        return;
    const auto screw = pinnable_screw(*bench_.run(), *bench_.run_plan(), item, x);
    if (!screw)
        return;
    const auto add = [&](const QString& words, auto&& edit) {
        menu.addAction(words, this, [this, words, edit] { bench_.edit(words, edit); });
    };
    add(screw->pin ? tr("Let go of it") : tr("Pin it here"), [screw](Job& job) {
        job = apply(screw->pin ? PinScrew{screw->id, screw->at, std::nullopt}
                               : PinScrew{screw->id, std::nullopt, screw->at},
                    std::move(job));
    });
    if (!screw->pins.empty())
        add(tr("Let go of all pins"), [screw](Job& job) {
            for (const Length pin : screw->pins)
                job = apply(PinScrew{screw->id, pin, std::nullopt}, std::move(job));
        });
}

/// Typed as it is read off the tape: from the wall's reference end.
void MainWindow::ask_for_pin(Length from) {
    const Shelf* shelf = bench_.shelf();
    if (!shelf)
        return;
    const Tape tape = bench_.tape_in_hand().told_once();
    const QString typed = ask_text(tape.from_right() ? tr("Its middle, from the wall's right end")
                                                     : tr("Its middle, from the wall's left end"),
                                   bench_.along(tape, shelf->left + from));
    if (typed.isEmpty())
        return;
    const auto length = parse_length(typed.toStdString(), bench_.job().unit);
    if (!length)
        return tell(text(length.error().text(bench_.voice())));
    const Length to = tape.reads(*length) - shelf->left;
    if (to <= Length{} || to >= shelf->length)
        return tell(tr("At %1 there is no board: it runs from %2 to %3")
                        .arg(text(format(*length, bench_.voice())),
                             bench_.along(tape, tape.near(shelf->left, shelf->right())),
                             bench_.along(tape, tape.far(shelf->left, shelf->right()))));
    bench_.apply(tr("Pin a bracket"), PinPlace{shelf->id, from, to});
}

void MainWindow::menu_of_thing(QMenu& menu) {
    const auto ids = bench_.selected_ids();
    menu.addSection(ids.size() > 1        ? tr("%n things", nullptr, static_cast<int>(ids.size()))
                    : bench_.unit()       ? text(bench_.unit()->name)
                    : bench_.thing_plan() ? text(bench_.thing_plan()->name)
                                          : QString{});
    menu.addAction(tr("Duplicate"), hands_, &Hands::duplicate);
    menu.addAction(bench_.run() ? tr("Copy the whole run") : tr("Copy"), hands_, &Hands::copy);
    menu.addAction(tr("Remove"), layout_, &LayoutPanel::remove_selected);
    if (ids.size() > 1)
        hands_->offer_arrangements(*menu.addMenu(tr("Bring in order")));
    menu.addAction(tr("Its figures"), this, [this] { set_stage(Stage::layout); });
    menu.addAction(tr("Its holes and what they bear"), this, [this] { set_stage(Stage::fixings); });
}

void MainWindow::menu_of_wall(QMenu& menu) {
    menu.addSection(bench_.wall() ? text(bench_.wall()->name) : tr("No wall yet"));
    if (bench_.wall()) {
        layout_->offer_kinds(*menu.addMenu(tr("Put something on this wall")));
        menu.addAction(tr("Paste on this wall"), hands_, &Hands::paste);
        menu.addAction(tr("Select all on this wall"), hands_, &Hands::select_all);
        menu.addAction(tr("Pull a tape"), this, [this] { board_->take_tape(true); });
        menu.addAction(tr("Show the whole wall"), board_, &BoardView::fit);
    }
    menu.addAction(tr("Its survey"), this, [this] { set_stage(Stage::survey); });
}

namespace {

/// Every row of the menus that does something now.
void add_commands(std::vector<Findable>& all, const QMenu& menu, const QString& before) {
    for (QAction* action : menu.actions()) {
        const QString words = action->text().remove(QLatin1Char('&')).remove(QStringLiteral("..."));
        if (action->isSeparator() || words.isEmpty())
            continue;
        if (action->menu())
            add_commands(all, *action->menu(), before + words + QStringLiteral(", "));
        else if (action->isEnabled())
            all.push_back({MainWindow::tr("Do"), before + words, [action] { action->trigger(); }});
    }
}

} // namespace

std::vector<Findable> MainWindow::findables() {
    std::vector<Findable> all;
    const Voice voice = bench_.voice();
    for (std::size_t w = 0; w < bench_.job().walls.size(); ++w) {
        const Wall& wall = bench_.job().walls[w];
        all.push_back({tr("Wall"), text(wall.name), [this, w] {
                           bench_.select_wall(w);
                           board_->fit();
                       }});
        const auto thing = [&](const std::string& name, const std::string& id) {
            all.push_back({tr("On %1").arg(text(wall.name)), text(name), [this, id = id] { bench_.point_out(id); }});
        };
        for_each_thing(wall, [&]<class Thing>(const Thing& each) {
            thing(name_of(each), each.id);
            if constexpr (std::is_same_v<Thing, Run>)
                for (const CabinetUnit& unit : each.units)
                    thing(unit.name, unit.id);
        });
        for_each_thing(*bench_.plan().walls[w], [&](const ThingPlan& plan) {
            for (const Working& sum : plan.workings)
                all.push_back({tr("Sum of %1").arg(text(plan.name)), text(say(sum.title, voice)),
                               [this, id = plan.id, subject = sum.subject] {
                                   bench_.point_out(id);
                                   bench_.ask(subject);
                               }});
        });
    }
    for (const RuleRow& row : rule_rows(bench_.job().rules, {}, bench_.voice()))
        all.push_back({tr("House rule, %1").arg(text(row.now)),
                       QStringLiteral("%1: %2").arg(words_of_member(row.member), core_words(row.says)),
                       [this, row] { show_house_rules(row.group, row.member); }});
    for (QAction* action : menuBar()->actions())
        if (action->menu())
            add_commands(all, *action->menu(), {});
    for (int row = 0; row < units_->count(); ++row)
        all.push_back({tr("Unit"), units_->itemText(row), [this, row] { emit units_->activated(row); }});
    return all;
}

void MainWindow::show_house_rules(const std::string& group, const std::string& member) {
    auto* rules = new HouseRulesWindow{bench_, this};
    rules->setAttribute(Qt::WA_DeleteOnClose);
    rules->open();
    if (!member.empty())
        rules->show_rule(group, member);
}

void MainWindow::show_find_box() {
    auto* box = new FindBox{findables(), this};
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->open();
}

/// Every edit in its order; a click goes back to it or on to it.
void MainWindow::show_history() {
    auto* dialog = new QDialog{this};
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setObjectName(QStringLiteral("history"));
    dialog->setWindowTitle(tr("What was done"));
    dialog->resize(360, 420);
    auto* rows = new QUndoView{&bench_.undo_stack(), dialog};
    rows->setObjectName(QStringLiteral("history-rows"));
    rows->setAccessibleName(tr("What was done, the last at the end"));
    rows->setEmptyLabel(tr("As it was opened"));
    auto* column = new QVBoxLayout{dialog};
    column->addWidget(rows);
    dialog->show();
}

} // namespace yes_square::app
