#include "app/shell/main_window.hpp"

#include "app/board/board_view.hpp"
#include "app/catalogue/at_hand.hpp"
#include "app/catalogue/own_catalogue.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/practice/practice_dialog.hpp"
#include "app/survey/survey_panel.hpp"

#include <QActionGroup>
#include <QFileDialog>
#include <QMenuBar>
#include <QRandomGenerator>
#include <QSettings>

/// The window's menus.
namespace yes_square::app {

void MainWindow::build_menus() {
    build_file_menu();
    build_edit_menu();
    build_survey_menu();
    build_day_menu();
    build_view_menu();
    build_help_menu();
    refresh_recent();
}

void MainWindow::build_file_menu() {
    QMenu* file = menuBar()->addMenu(tr("&File"));
    file->addAction(tr("&New job"), QKeySequence::New, this, &MainWindow::new_job);
    file->addAction(tr("&Open..."), QKeySequence::Open, this, &MainWindow::choose_and_open);
    recent_ = file->addMenu(tr("Open &recent"));
    file->addAction(tr("Open in another window..."), this, &MainWindow::choose_for_another_window);
    file->addAction(tr("&Save"), QKeySequence::Save, this, [this] { save(); });
    // Its usual key on every desktop, so that nothing else ever has it too.
    file->addAction(tr("Save &as..."), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_S}, this, [this] { save_as(); });
    file->addAction(tr("Versions of this job..."), this, &MainWindow::open_versions);
    file->addAction(tr("Bring a copy together with this job..."), this, &MainWindow::choose_copy);
    file->addAction(tr("Save as a bundle..."), this, &MainWindow::choose_bundle_to_save);
    file->addAction(tr("Open a bundle..."), this, &MainWindow::choose_bundle_to_open);
    file->addSeparator();
    file->addAction(tr("Save sheets as PDF..."), QKeySequence{Qt::CTRL | Qt::Key_E}, this, &MainWindow::save_sheets);
    QMenu* saved = file->addMenu(tr("Save other sheets as PDF"));
    for (const SheetSet& set : sheet_sets())
        if (set != sheet_sets().front())
            saved->addAction(set.words() + QStringLiteral("..."), this, [this, &set] { save_sheet_set(set); });
    file->addAction(tr("Job &book..."), QKeySequence{Qt::CTRL | Qt::Key_B}, this, &MainWindow::show_book);
    QMenu* paper = file->addMenu(tr("&Print"));
    QMenu* look = file->addMenu(tr("Look at what would be printed"));
    for (const SheetSet& set : sheet_sets()) {
        const QString words = set.words() + QStringLiteral("...");
        QAction* printed = paper->addAction(words, this, [this, &set] { print(set); });
        if (set == sheet_sets().front())
            printed->setShortcut(QKeySequence::Print);
        look->addAction(words, this, [this, &set] { preview(set); });
    }
    file->addSeparator();
    file->addAction(tr("&Quit"), QKeySequence::Quit, this, &QWidget::close);
}

void MainWindow::build_edit_menu() {
    QMenu* edit = menuBar()->addMenu(tr("&Edit"));
    QAction* undo = bench_.undo_stack().createUndoAction(this, tr("Undo"));
    undo->setShortcut(QKeySequence::Undo);
    QAction* redo = bench_.undo_stack().createRedoAction(this, tr("Redo"));
    redo->setShortcuts({QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_Z}, QKeySequence{Qt::CTRL | Qt::Key_Y}});
    edit->addActions({undo, redo});
    build_hands(*edit);
    edit->addAction(tr("Add a wall"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_W}, this, [this] {
        set_stage(Stage::survey);
        survey_->add_wall();
    });
    edit->addAction(tr("Add a shelf"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_H}, this, [this] {
        set_stage(Stage::layout);
        layout_->add_shelf();
    });
    edit->addAction(tr("Add a wall run"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_R}, this, [this] {
        set_stage(Stage::layout);
        layout_->runs().add_run(RunLevel::wall);
    });
    edit->addAction(tr("Add a wardrobe"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_B}, this, [this] {
        set_stage(Stage::layout);
        layout_->systems().add_system();
    });
    edit->addAction(tr("Add a chest of drawers"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_D}, this, [this] {
        set_stage(Stage::layout);
        layout_->pieces().add_piece(PieceKind::dresser);
    });
    edit->addAction(tr("Brackets and fixings at hand..."), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_F}, this,
                    [this] {
                        auto* at_hand = new AtHand{bench_, this};
                        at_hand->setAttribute(Qt::WA_DeleteOnClose);
                        at_hand->open();
                    });
    edit->addAction(tr("House rules..."), QKeySequence{Qt::CTRL | Qt::Key_Comma}, this, [this] { show_house_rules(); });
    edit->addAction(tr("Slide the run for studs"), QKeySequence{Qt::CTRL | Qt::Key_L}, this,
                    [this] { layout_->runs().slide(); });
    edit->addAction(tr("Remove what is selected"), QKeySequence{Qt::CTRL | Qt::Key_Delete}, layout_,
                    &LayoutPanel::remove_selected);
}

void MainWindow::build_survey_menu() {
    QMenu* survey = menuBar()->addMenu(tr("&Survey"));
    survey->addAction(tr("Take in readings (CSV)..."), this, [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("Take in readings"), {}, tr("Tables (*.csv *.txt)"));
        if (!path.isEmpty())
            take_in_readings(path);
    });
    survey->addAction(tr("Give out readings (CSV)..."), this, [this] {
        const QString path = QFileDialog::getSaveFileName(this, tr("Give out readings"), {}, tr("Tables (*.csv)"));
        if (!path.isEmpty())
            give_out_readings(path);
    });
    survey->addAction(tr("Take in a wall's outline (DXF)..."), this, &MainWindow::take_outline);
    survey->addSeparator();
    survey->addAction(tr("Practice wall..."), this, &MainWindow::practise);
}

void MainWindow::practise() {
    auto* practice = new PracticeDialog{QRandomGenerator::global()->generate64(), bench_.job().unit, *theme_, this};
    practice->setAttribute(Qt::WA_DeleteOnClose);
    practice->show();
}

void MainWindow::build_view_menu() {
    QMenu* view = menuBar()->addMenu(tr("&View"));
    const QStringList titles{tr("Survey"),     tr("Lines"), tr("Layout"), tr("Fixings"),
                             tr("Cut && kit"), tr("Fit"),   tr("Record")};
    for (int i = 0; i < titles.size(); ++i)
        view->addAction(titles[i], QKeySequence{Qt::CTRL | (Qt::Key_1 + i)}, this,
                        [this, i] { set_stage(static_cast<Stage>(i)); });
    view->addSeparator();
    view->addAction(tr("Nearer"), QKeySequence::ZoomIn, this, [this] { board_->zoom_by(1.4); });
    view->addAction(tr("Farther"), QKeySequence::ZoomOut, this, [this] { board_->zoom_by(1 / 1.4); });
    view->addAction(tr("Whole wall"), QKeySequence{Qt::CTRL | Qt::Key_0}, board_, &BoardView::fit);
    QAction* tape = view->addAction(tr("Tape in hand"), QKeySequence{Qt::CTRL | Qt::Key_T}, board_,
                                    [this](bool out) { board_->take_tape(out); });
    tape->setCheckable(true);
    connect(board_, &BoardView::tape_taken, tape, &QAction::setChecked);
    view->addSeparator();
    view->addAction(tr("Larger type"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_Period}, this,
                    [this] { change_type(1); });
    view->addAction(tr("Smaller type"), QKeySequence{Qt::CTRL | Qt::SHIFT | Qt::Key_Comma}, this,
                    [this] { change_type(-1); });
    view->addAction(tr("Type as large as the desktop's"), this, [this] { change_type(0); });
    view->addSeparator();
    const auto dark = [this] { return theme_ == &theme(ThemeName::dark) || theme_ == &theme(ThemeName::dark_sharp); };
    QAction* contrast = view->addAction(tr("More contrast"));
    contrast->setObjectName(QStringLiteral("more-contrast"));
    contrast->setCheckable(true);
    connect(view, &QMenu::aboutToShow, this, [this, contrast] {
        contrast->setChecked(theme_ == &theme(ThemeName::light_sharp) || theme_ == &theme(ThemeName::dark_sharp));
    });
    connect(contrast, &QAction::triggered, this, [this, dark](bool on) {
        QSettings{}.setValue(QStringLiteral("contrast"), on);
        set_theme(theme_name(dark(), on));
    });
    const auto offer_theme = [this, view, contrast](const QString& words, const QString& name, bool is_dark) {
        view->addAction(words, this, [this, contrast, name, is_dark] {
            QSettings{}.setValue(QStringLiteral("theme"), name);
            set_theme(theme_name(is_dark, contrast->isChecked()));
        });
    };
    offer_theme(tr("Light"), QStringLiteral("light"), false);
    offer_theme(tr("Dark"), QStringLiteral("dark"), true);
    view->addSeparator();
    QMenu* language = view->addMenu(tr("Language"));
    auto* group = new QActionGroup{language};
    const auto offer = [this, language, group](const QString& words, const QString& code) {
        QAction* each = language->addAction(words, this, [this, code] {
            QSettings{}.setValue(QStringLiteral("language"), code);
            tell(tr("The next window that is opened speaks it. This one stays as it is, with your work in it."));
        });
        each->setCheckable(true);
        each->setChecked(QSettings{}.value(QStringLiteral("language")).toString() == code);
        group->addAction(each);
    };
    offer(tr("As the desktop"), {});
    for (const Language& each : languages())
        offer(QString::fromUtf8(each.name), QString::fromLatin1(each.code));
}

} // namespace yes_square::app
