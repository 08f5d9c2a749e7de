#include "app/shell/main_window.hpp"

#include "app/bench/desktop.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/manners.hpp"
#include "app/bench/rows.hpp"

#include "app/board/board_access.hpp"
#include "app/board/board_view.hpp"
#include "app/board/drawing_view.hpp"
#include "app/cut/cut_panel.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "app/help/first_job.hpp"
#include "app/help/help_window.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/lines/lines_panel.hpp"
#include "app/notes/checks_panel.hpp"
#include "app/notes/chit.hpp"
#include "app/shell/next_line.hpp"
#include "app/shell/wall_key.hpp"
#include "app/start/start_page.hpp"
#include "app/survey/survey_panel.hpp"
#include "core/sheets/room_drawing.hpp"

#include <QApplication>
#include <QCloseEvent>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QMenuBar>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPrinter>
#include <QPushButton>
#include <QScrollArea>
#include <QSettings>
#include <QSplitter>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int autosave_ms = 3000;
constexpr int panel_in_type = 22;
constexpr int least_panel_in_type = 20;
/// Less than this, in type sizes, and wall and figures take turns.
constexpr int least_width_in_type = 64;
constexpr int least_height_in_type = 40;
constexpr int narrow_in_type = 76;
constexpr int picker_in_type = 13;

QToolButton* tool(const QString& words, const QString& tip, QWidget* parent) {
    auto* button = new QToolButton{parent};
    button->setText(words);
    button->setToolTip(tip);
    button->setAccessibleName(tip);
    return button;
}

} // namespace

MainWindow::MainWindow(QWidget* parent)
    : QMainWindow{parent} {
    ask_yes_no = [this](const QString& question) {
        return QMessageBox::question(this, tr("Yes Square"), question) == QMessageBox::Yes;
    };
    tell = [this](const QString& message) { QMessageBox::warning(this, tr("Yes Square"), message); };
    ask_recovery = [this](const QString& what) {
        QMessageBox box{QMessageBox::Question, tr("Yes Square"), what, QMessageBox::NoButton, this};
        QAbstractButton* take_up = box.addButton(tr("Take it up"), QMessageBox::AcceptRole);
        QPushButton* later = box.addButton(tr("Later"), QMessageBox::RejectRole);
        QAbstractButton* discard = box.addButton(tr("Discard..."), QMessageBox::DestructiveRole);
        box.setDefaultButton(later);
        box.setEscapeButton(later);
        box.exec();
        return box.clickedButton() == take_up   ? Recovery::take_up
               : box.clickedButton() == discard ? Recovery::discard
                                                : Recovery::later;
    };
    ask_where = [this](const QString& what, const QString& name) {
        return QFileDialog::getSaveFileName(this, what, name,
                                            name.endsWith(QStringLiteral(".pdf")) ? tr("PDF (*.pdf)") : QString{});
    };
    ask_text = [this](const QString& question, const QString& first) {
        return QInputDialog::getText(this, tr("Yes Square"), question, QLineEdit::Normal, first);
    };
    ask_printer = [this](const QString& what, QPrinter& printer) {
        QPrintDialog dialog{&printer, this};
        dialog.setWindowTitle(what);
        dialog.setOption(QAbstractPrintDialog::PrintPageRange);
        return dialog.exec() == QDialog::Accepted;
    };
    Manners::install();
    let_boards_be_heard();
    // As the desktop is, until it is chosen here.
    const QString wanted = QSettings{}.value(QStringLiteral("theme")).toString();
    const bool dark = wanted.isEmpty() ? desktop_is_dark() : wanted == QStringLiteral("dark");
    const QVariant sharp = QSettings{}.value(QStringLiteral("contrast"));
    const ThemeName chosen = theme_name(dark, sharp.isNull() ? desktop_wants_contrast() : sharp.toBool());
    build_body();
    build_menus();
    set_theme(chosen);
    resize(1280, 800);
    setMinimumSize(900, 500);

    connect(&bench_, &Workbench::changed, this, &MainWindow::refresh_pickers);
    connect(&bench_, &Workbench::changed, this, [this] {
        if (bench_.job().walls.empty() != (views_->currentWidget() == start_))
            show_survey();
    });
    connect(&bench_, &Workbench::selection_changed, this, &MainWindow::refresh_pickers);
    connect(&bench_, &Workbench::refused, this, [this](const QString& why) { tell(why); });
    connect(&bench_.undo_stack(), &QUndoStack::cleanChanged, this, &MainWindow::refresh_title);
    connect(&autosave_, &QTimer::timeout, this, &MainWindow::autosave);
    autosave_.start(autosave_ms);
    refresh_pickers();
    refresh_title();
    watch_desktop();
    stages_->set_stage(Stage::layout);
    fit_panes();
    if (views_->currentWidget() != start_)
        board_->setFocus();
}

/// A figure still being typed is committed when it loses the focus: that must be while there is a bench to commit it
/// to.
MainWindow::~MainWindow() {
    hide();
}

void MainWindow::build_body() {
    auto* body = new QWidget{this};
    auto* column = new QVBoxLayout{body};
    column->setContentsMargins(8, 0, 8, 8);
    column->setSpacing(6);
    menuBar()->setCornerWidget(build_pickers());
    stages_ = new StageStrip{bench_, day_, body};
    column->addWidget(stages_);
    next_ = new NextLine{bench_, day_, body};
    column->addWidget(next_);
    first_job_ = new FirstJob{bench_, body};
    column->addWidget(first_job_);
    across_ = new QSplitter{Qt::Horizontal};
    wall_side_ = build_wall_side();
    across_->addWidget(wall_side_);
    across_->addWidget(build_side());
    across_->setStretchFactor(0, 1);
    across_->setStretchFactor(1, 0);
    across_->setChildrenCollapsible(false);
    column->addWidget(across_, 1);
    setCentralWidget(body);
    join_parts();
}

/// Which wall and what on it, how near it is seen, and in which unit: beside the menus, so that they take no row of the
/// wall's.
QWidget* MainWindow::build_pickers() {
    auto* row = new QWidget{this};
    auto* pickers = new QHBoxLayout{row};
    pickers->setContentsMargins(0, 3, 8, 3);
    pickers->setSpacing(4);
    const auto picker = [&](const char* name, const QString& what, QComboBox* box) {
        box->setObjectName(QString::fromLatin1(name));
        box->setAccessibleName(what);
        box->setToolTip(what);
        box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
        pickers->addWidget(box);
        return box;
    };
    walls_ = new WallKey{bench_, row};
    picker("wall-picker", tr("Wall"), walls_);
    items_ = picker("item-picker", tr("Shelf, cabinet or piece"), new QComboBox{row});
    const auto add_tool = [&](const QString& words, const QString& tip, const char* name) {
        QToolButton* made = tool(words, tip, row);
        made->setObjectName(QString::fromLatin1(name));
        pickers->addWidget(made);
        return made;
    };
    QToolButton* farther = add_tool(QStringLiteral("\u2212"), tr("Farther"), "farther");
    QToolButton* nearer = add_tool(QStringLiteral("+"), tr("Nearer"), "nearer");
    QToolButton* whole = add_tool(tr("Whole wall"), tr("Show the whole wall"), "fit-wall");
    QToolButton* above = add_tool(tr("From above"), tr("The room from above; click a wall to go to it"), "from-above");
    above->setCheckable(true);
    units_ = picker("unit-picker", tr("Unit"), new QComboBox{row});
    units_->addItems({tr("mm"), tr("mm, tenths"), tr("cm"), tr("in, eighths"), tr("in, 16ths"), tr("in, 32nds"),
                      tr("in, 64ths"), tr("ft in, eighths"), tr("ft in, 16ths"), tr("ft in, 32nds"),
                      tr("ft in, 64ths")});
    connect(nearer, &QToolButton::clicked, this, [this] { board_->zoom_by(1.4); });
    connect(farther, &QToolButton::clicked, this, [this] { board_->zoom_by(1 / 1.4); });
    connect(whole, &QToolButton::clicked, this, [this] { board_->fit(); });
    connect(above, &QToolButton::toggled, this, [this](bool on) {
        from_above_ = on;
        show_survey();
    });
    connect(walls_, &QComboBox::activated, this, [this](int chosen) {
        bench_.select_wall(static_cast<std::size_t>(chosen));
        board_->fit();
    });
    connect(items_, &QComboBox::activated, this,
            [this](int chosen) { bench_.select(items_->itemData(chosen).toString().toStdString()); });
    connect(units_, &QComboBox::activated, this, [this](int chosen) {
        bench_.edit(tr("Change unit"), [&](Job& job) { job.unit = all_units()[static_cast<std::size_t>(chosen)]; });
    });
    return row;
}

/// The wall, with the sums that were asked for lying on it; the room from above and the cutting plan in its place.
QWidget* MainWindow::build_wall_side() {
    board_ = new BoardView{bench_};
    room_ = new DrawingView{
        [this](double width, double height, double size) { return draw_room_here(width, height, size); }};
    room_->setObjectName(QStringLiteral("room-plan"));
    room_->setAccessibleName(tr("Plan of the room"));
    views_ = new QStackedWidget;
    views_->addWidget(board_);
    views_->addWidget(room_);
    build_start();
    chits_ = new Chits{bench_, *views_, [this]() -> std::optional<QPoint> {
                           return board_->asked_at() ? std::optional{board_->asked_at()->toPoint()} : std::nullopt;
                       }};
    return views_;
}

/// The stage's figures; in their place, when it is asked for, what is to be put right.
QWidget* MainWindow::build_side() {
    panels_ = new QStackedWidget;
    survey_ = new SurveyPanel{bench_};
    layout_ = new LayoutPanel{bench_};
    fixings_ = new FixingsPanel{bench_};
    panels_->addWidget(scrolled(survey_));
    panels_->addWidget(scrolled(new LinesPanel{bench_}));
    panels_->addWidget(scrolled(layout_));
    panels_->addWidget(scrolled(fixings_));
    build_day();
    checks_ = new ChecksPanel{bench_};
    side_ = new QStackedWidget;
    side_->addWidget(panels_);
    side_->addWidget(checks_);
    return side_;
}

void MainWindow::join_parts() {
    connect(stages_, &StageStrip::stage_chosen, this, &MainWindow::show_stage);
    connect(survey_, &SurveyPanel::page_changed, this, &MainWindow::show_survey);
    connect(board_, &BoardView::pointed_at, survey_, &SurveyPanel::point_at);
    connect(board_, &BoardView::nothing_clicked, chits_, &Chits::put_away);
    connect(chits_, &Chits::print_wanted, this, &MainWindow::print_sum);
    connect(&layout_->runs(), &RunPanel::units_carried, board_, &BoardView::carry);
    connect(&layout_->runs(), &RunPanel::units_dropped, board_, &BoardView::drop);
    connect(&bench_, &Workbench::changed, room_, &DrawingView::redraw);
    connect(&bench_, &Workbench::selection_changed, room_, &DrawingView::redraw);
    connect(&bench_, &Workbench::pointed_out, this, [this] {
        if (from_above_) // what is pointed at is seen on its wall
            findChild<QToolButton*>(QStringLiteral("from-above"))->setChecked(false);
    });
    connect(cut_, &CutPanel::wall_wanted, this, &MainWindow::show_survey);
    connect(room_, &DrawingView::picked, this, [this](const Reference& reference) {
        if (reference.part == Reference::Part::wall)
            bench_.select_wall(reference.index);
        else if (!reference.item.empty())
            bench_.select(reference.item);
    });
    next_->printed = [this] { return sheets_printed(); };
    next_->step_in_sight = [this](const std::string& key) {
        return stages_->stage() == Stage::fit && fit_->in_sight(key);
    };
    connect(next_, &NextLine::pressed, this, &MainWindow::take_next);
    connect(fit_, &FitPanel::step_shown, next_, &NextLine::refresh);
    connect(&next_->checks(), &QPushButton::toggled, this, [this](bool on) {
        side_->setCurrentWidget(on ? checks_ : static_cast<QWidget*>(panels_));
        if (on)
            next_->turn().setChecked(true);
    });
    connect(&next_->turn(), &QPushButton::toggled, this, &MainWindow::share_room);
}

/// Wall and figures side by side, or one of them where the window has no room for both.
void MainWindow::share_room() {
    if (views_->currentWidget() == start_) {
        next_->turn().hide();
        wall_side_->show();
        side_->hide();
        return;
    }
    const int type = font().pixelSize();
    const bool turns = width() < least_width_in_type * type || height() < least_height_in_type * type;
    QPushButton& turn = next_->turn();
    turn.setVisible(turns);
    turn.setText(turn.isChecked() ? tr("To the wall") : tr("To the figures"));
    wall_side_->setVisible(!turns || !turn.isChecked());
    side_->setVisible(!turns || turn.isChecked());
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    // In a narrow window the menus come before what the wheel and the keys do too.
    const int type = font().pixelSize();
    const bool narrow = width() < narrow_in_type * type;
    for (const char* name : {"farther", "nearer", "fit-wall"})
        findChild<QToolButton*>(QLatin1String(name))->setVisible(!narrow);
    // In any window: no menu gives way to a long name.
    int room = width() - 5 * type;
    for (const QAction* action : menuBar()->actions())
        room -= fontMetrics().horizontalAdvance(action->text()) + type + 6;
    for (const QToolButton* each : menuBar()->cornerWidget()->findChildren<QToolButton*>())
        room -= each->isVisibleTo(menuBar()->cornerWidget()) ? each->sizeHint().width() + 4 : 0;
    room -= units_->sizeHint().width();
    for (QComboBox* box : {static_cast<QComboBox*>(walls_), items_})
        box->setMaximumWidth(narrow ? picker_in_type * type : std::max(picker_in_type * type, room / 2));
    share_room();
}

void MainWindow::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() == QEvent::FontChange && next_)
        fit_panes();
}

/// The panel is as broad as its type wants it; the wall has the rest.
void MainWindow::fit_panes() {
    const int type = font().pixelSize();
    side_->setMinimumWidth(least_panel_in_type * type);
    across_->setSizes({std::max(type, width() - panel_in_type * type), panel_in_type * type});
    share_room();
}

/// By so many pixels, or 0: back to the desktop's own size.
void MainWindow::change_type(int by) {
    const int size = by == 0 ? desktop_type() : std::clamp(font().pixelSize() + by, usual_type - 2, largest_type);
    QSettings{}.setValue(QStringLiteral("type"), by == 0 ? 0 : size);
    set_type(size);
}

void MainWindow::set_theme(ThemeName name) {
    const Theme& chosen = theme(name);
    theme_ = &chosen;
    wear(chosen);
    stages_->set_theme(chosen);
    board_->set_theme(chosen);
    layout_->set_theme(chosen);
}

void MainWindow::show_stage(Stage stage) {
    panels_->setCurrentIndex(static_cast<int>(stage));
    next_->checks().setChecked(false);
    chits_->put_away();
    show_survey();
    next_->refresh();
    if (stage == Stage::fixings)
        first_job_->saw(FirstJob::Seen::fixings);
    if (stage == Stage::cut)
        first_job_->saw(FirstJob::Seen::cutting);
}

void MainWindow::show_survey() {
    const bool surveying = stages_->stage() == Stage::survey;
    if (surveying)
        board_->show_survey(survey_->layer(), survey_->advice());
    else
        board_->show_survey(std::nullopt, std::nullopt);
    board_->show_line_names(stages_->stage() == Stage::lines);
    const auto see = [this](QWidget* view) {
        views_->setCurrentWidget(view);
        share_room();
    };
    if (bench_.job().walls.empty() && !surveying)
        return see(start_);
    if (stages_->stage() == Stage::cut && !cut_->on_wall())
        return see(cut_->view());
    if (stages_->stage() == Stage::fit && fit_->view())
        return see(fit_->view());
    const bool above = from_above_ || (surveying && survey_->page() == SurveyPage::room);
    see(above ? static_cast<QWidget*>(room_) : static_cast<QWidget*>(board_));
}

Drawing MainWindow::draw_room_here(double width, double height, double size) const {
    const Job& job = bench_.job();
    if (!bench_.wall())
        return {};
    const auto room = std::ranges::find(job.rooms, bench_.wall()->room, &Room::id);
    if (room == job.rooms.end())
        return {};
    const RoomSurvey& survey = bench_.plan().rooms[static_cast<std::size_t>(room - job.rooms.begin())];
    std::vector<std::string> selected = bench_.selected_ids();
    if (bench_.unit())
        selected.push_back(bench_.unit()->id);
    return draw_room(job, bench_.plan(), survey, {width, height, size, bench_.wall()->id, selected}, bench_.voice());
}

void MainWindow::refresh_pickers() {
    QStringList walls;
    for (const Wall& wall : bench_.job().walls)
        walls << text(wall.name);
    fill(*walls_, walls);
    walls_->setCurrentIndex(bench_.wall() ? static_cast<int>(bench_.wall_index()) : -1);
    walls_->setEnabled(walls_->count() > 0);
    QStringList items;
    QVariantList ids;
    int in_hand = 0;
    const auto add_item = [&](const QString& words, const std::string& id, bool selected) {
        if (selected)
            in_hand = static_cast<int>(items.size());
        items << words;
        ids << text(id);
    };
    if (const Wall* wall = bench_.wall()) {
        for_each_thing(*wall, [&]<class Thing>(const Thing& thing) {
            if constexpr (std::is_same_v<Thing, Run>)
                for (const CabinetUnit& unit : thing.units)
                    add_item(tr("%1: %2").arg(text(thing.name), text(unit.name)), unit.id,
                             bench_.unit() && unit.id == bench_.unit()->id);
            else
                add_item(text(name_of(thing)), thing.id, bench_.selected<Thing>() == &thing);
        });
    }
    fill(*items_, items, ids);
    items_->setCurrentIndex(items.isEmpty() ? -1 : in_hand);
    items_->setEnabled(items_->count() > 0);
    units_->setCurrentIndex(static_cast<int>(bench_.job().unit));
    refresh_title();
}

void MainWindow::refresh_title() {
    const QString title = bench_.job().title.empty() ? tr("Untitled job") : text(bench_.job().title);
    setWindowTitle(QStringLiteral("%1%2[*] - %3")
                       .arg(title, store_.read_only() ? tr(" (read only)") : QString{}, tr("Yes Square")));
    setWindowModified(!bench_.undo_stack().isClean());
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (QWidget* typed_in = focusWidget()) // a figure not yet entered counts as a change too
        typed_in->clearFocus();
    if (!may_leave())
        return event->ignore();
    QSettings settings;
    settings.setValue(QStringLiteral("window/place"), saveGeometry());
    settings.setValue(QStringLiteral("window/panes"), across_->saveState());
    settings.setValue(QStringLiteral("window/stage"), static_cast<int>(stages_->stage()));
    settings.setValue(QStringLiteral("look/job"), store_.path());
    settings.setValue(QStringLiteral("look/wall"), static_cast<int>(bench_.wall_index()));
    settings.setValue(QStringLiteral("look/zoom"), board_->look().zoom);
    settings.setValue(QStringLiteral("look/pan"), board_->look().pan);
    event->accept();
}

void MainWindow::restore_room() {
    const QSettings settings;
    restoreGeometry(settings.value(QStringLiteral("window/place")).toByteArray());
    across_->restoreState(settings.value(QStringLiteral("window/panes")).toByteArray());
    const int type = settings.value(QStringLiteral("type"), 0).toInt();
    set_type(type > 0 ? std::clamp(type, usual_type - 2, largest_type) : desktop_type());
    const int last = static_cast<int>(Stage::record);
    if (const int stage = settings.value(QStringLiteral("window/stage"), -1).toInt(); stage >= 0 && stage <= last)
        set_stage(static_cast<Stage>(stage));
}

void MainWindow::restore_look() {
    const QSettings settings;
    if (store_.path().isEmpty() || settings.value(QStringLiteral("look/job")).toString() != store_.path())
        return;
    bench_.select_wall(static_cast<std::size_t>(settings.value(QStringLiteral("look/wall")).toInt()));
    board_->look_again({settings.value(QStringLiteral("look/zoom"), 1.0).toDouble(),
                        settings.value(QStringLiteral("look/pan")).toPointF()});
}

} // namespace yes_square::app
