#pragma once

#include "app/bench/day.hpp"
#include "app/bench/workbench.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "app/shell/job_store.hpp"
#include "app/shell/stage_strip.hpp"
#include "core/sheets/drawing.hpp"
#include "core/steps/next_step.hpp"

#include <QComboBox>
#include <QLocale>
#include <QMainWindow>
#include <QPointer>
#include <QSplitter>
#include <QStackedWidget>
#include <QTimer>

class QPrinter;
class QTextDocument;

namespace yes_square::app {

class BoardView;
class Chits;
class CutPanel;
class DrawingView;
class FirstJob;
class FitPanel;
struct Findable;
class FixingsPanel;
class Hands;
class HelpWindow;
class LayoutPanel;
class MergeDialog;
class NextLine;
class RecordPanel;
class StartPage;
class SurveyPanel;
class VersionsDialog;
class WallKey;
class WallSide;

/// A new job as the desktop's region has it; where that is not known, as the program was before it asked: in mm, joints
/// by NDS-2018.
Job job_of_region(const QLocale& locale);

/// The window: stages and what is next along the top, under them the wall, and the stage's figures at its side. Where
/// there is room for one of the two, wall and figures take turns.
class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    explicit MainWindow(QWidget* parent = nullptr);
    ~MainWindow() override;

    /// Opens a job file, offering to recover work that was never saved. False if it could not; it has been said why.
    bool open(const QString& path);
    /// Begins an untitled job; offers what an earlier untitled one left.
    void start_untitled();
    /// How the program starts without a file: with the last job whose work was never saved, if there is one.
    void start();

    void set_theme(ThemeName name);
    void set_stage(Stage stage) { stages_->set_stage(stage); }
    Workbench& bench() { return bench_; }
    BoardView& board() { return *board_; }
    SurveyPanel& survey() { return *survey_; }
    FixingsPanel& fixings() { return *fixings_; }
    LayoutPanel& layout_panel() { return *layout_; }
    CutPanel& cutting() { return *cut_; }
    FitPanel& fit() { return *fit_; }
    RecordPanel& record() { return *record_; }
    NextLine& next_line() { return *next_; }
    Hands& hands() { return *hands_; }
    /// The handbook: of the field that the keys are in, or this page of it.
    void ask_help();
    void show_help(const QString& page, const std::pair<QString, QString>& asked = {});
    void begin_first_job();
    void sheets_made();
    /// All that the box finds: walls, things, sums, what the menus do.
    std::vector<Findable> findables();
    void new_job();
    /// @param group, member  of one to go to; empty: all of them
    void show_house_rules(const std::string& group = {}, const std::string& member = {});
    Chits& chits() { return *chits_; }

    /// Size, place, panes, stage and type as they were when the window was last closed.
    void restore_room();
    /// And, of the job that was open then, how near its wall was seen.
    void restore_look();

    /// Opens the wall-side mode for the selected wall; whoever shows it says how large.
    WallSide* wall_side();

    /// Takes a packing list in, attaches a photo, tries the photos' hashes. False: it has been said what is wrong.
    bool take_packing_list(const QString& path);
    /// Writes the job, or the wall in hand, as a sheet for a phone; takes in what was ticked on it.
    bool write_pocket_sheet(const QString& path, bool of_wall);
    bool take_pocket_sheet(const QString& path);
    bool attach_photo(const QString& path, const QString& words);
    bool check_photos();
    /// Writes a set of sheets. False: it has been said why not.
    bool write_sheets(const QString& path, const SheetSet& set);
    /// On paper, on the screen or into a file that stands for paper; the printer's page range is kept. False: it has
    /// been said why not.
    bool print_on(QPrinter& printer, const SheetSet& set);
    /// Drawings and tables of the job into a folder.
    bool export_to(const QString& folder);

    /// Adds the readings of a CSV table to the wall, or gives all of the wall's out. False: it has been said why not.
    bool take_in_readings(const QString& path);
    bool give_out_readings(const QString& path);

    bool save();
    bool save_to(const QString& path);

    /// How a question is asked; tests answer by their own. Returns true for yes.
    std::function<bool(const QString& question)> ask_yes_no;
    /// What to do with work that was never saved. Only "discard" throws it away; later is the default.
    enum class Recovery { take_up, later, discard };
    std::function<Recovery(const QString& what)> ask_recovery;
    /// Keeps unsaved work beside the job at once: the program is told to end.
    void keep_work();
    /// Older versions and work that was put aside, to be looked at and taken up again. It belongs to the window.
    VersionsDialog* show_versions();
    /// What a copy of this job changed elsewhere, to be brought together with it; nullptr: it has been said why not.
    MergeDialog* merge_copy(const QString& path);
    /// The job with its photos and sheets as one file, and such a file unpacked into a folder of its own and opened.
    /// False: it has been said why not.
    bool save_bundle(const QString& path);
    bool open_bundle(const QString& path, const QString& folder);
    /// Files that were dropped on the window, each as what it is. False: it has been said which is not taken.
    bool take_dropped(const QStringList& paths);
    /// The drawing of the wall in hand onto the clipboard, as SVG and as a picture.
    void copy_drawing();
    /// Another window of the program, with a job; empty: as the program begins.
    bool open_elsewhere(const QString& path);
    std::function<void(const QString& message)> tell;
    /// A line to be typed, with what stands there first; empty: nothing.
    std::function<QString(const QString& question, const QString& first)> ask_text;
    /// Sets up a printer; false: nothing is to be printed.
    std::function<bool(const QString& what, QPrinter& printer)> ask_printer;
    /// Where a file is to be written; empty: nowhere.
    std::function<QString(const QString& what, const QString& name)> ask_where;

protected:
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void build_menus();
    void build_file_menu();
    void build_edit_menu();
    void build_hands(QMenu& edit);
    void fill_menu(QMenu& menu, const Reference& reference);
    void menu_of_line(QMenu& menu, const std::string& line);
    void menu_of_bracket(QMenu& menu, std::size_t number);
    void menu_of_screw(QMenu& menu, const std::string& item, Length x);
    void ask_for_pin(Length from);
    void menu_of_thing(QMenu& menu);
    void menu_of_wall(QMenu& menu);
    void show_find_box();
    void show_history();
    void build_survey_menu();
    void build_view_menu();
    void build_body();
    QWidget* build_pickers();
    QWidget* build_wall_side();
    QWidget* build_side();
    void build_start();
    void practise();
    void open_demo();
    QString page_of_help() const;
    void build_help_menu();
    void share_room();
    void fit_panes();
    void change_type(int by);
    void take_next(const NextStep& next);
    void find_stud(const NextStep& next);
    void type_in(std::string_view name);
    bool sheets_printed() const;
    void note_printed(const SheetSet& set);
    void print_sum(QTextDocument* sum);
    void join_parts();
    void choose_and_open();
    void choose_copy();
    void open_versions();
    bool open_bundle_beside(const QString& path);
    void choose_for_another_window();
    /// Files dropped on it, waits that end, the end of the session.
    void watch_desktop();
    void choose_bundle_to_save();
    void choose_bundle_to_open();
    bool save_as();
    void save_sheets();
    void save_sheet_set(const SheetSet& set);
    void build_day();
    void build_day_menu();
    void show_book();
    void put_in_book();
    void take_outline();
    void print(const SheetSet& set);
    void preview(const SheetSet& set);
    bool may_leave();
    void show_stage(Stage stage);
    void show_survey();
    Drawing draw_room_here(double width, double height, double size) const;
    void refresh_pickers();
    void refresh_title();
    void remember(const QString& path);
    void refresh_recent();
    void take(Job job, std::optional<Job> recovered);
    void autosave();

    const Theme* theme_ = &theme(ThemeName::light);
    Workbench bench_;
    Day day_{bench_};
    JobStore store_;
    StageStrip* stages_ = nullptr;
    BoardView* board_ = nullptr;
    DrawingView* room_ = nullptr;
    QStackedWidget* views_ = nullptr;
    NextLine* next_ = nullptr;
    StartPage* start_ = nullptr;
    FirstJob* first_job_ = nullptr;
    QPointer<HelpWindow> help_; ///< while it is open
    Chits* chits_ = nullptr;
    Hands* hands_ = nullptr;
    QWidget* wall_side_ = nullptr;
    QStackedWidget* side_ = nullptr; ///< the stage's figures, or what is to be put right
    QWidget* checks_ = nullptr;
    QSplitter* across_ = nullptr;
    bool from_above_ = false;
    QString printed_; ///< the revision whose sheets were printed last
    SurveyPanel* survey_ = nullptr;
    LayoutPanel* layout_ = nullptr;
    FixingsPanel* fixings_ = nullptr;
    CutPanel* cut_ = nullptr;
    FitPanel* fit_ = nullptr;
    RecordPanel* record_ = nullptr;
    QStackedWidget* panels_ = nullptr;
    WallKey* walls_ = nullptr;
    QComboBox* items_ = nullptr; ///< shelves, then the units of each run
    QComboBox* units_ = nullptr;
    QMenu* recent_ = nullptr;
    QTimer autosave_;
    bool kept_unsaved_ = false; ///< a sidecar of this job's edits is on the disk
    bool told_unsafe_ = false;
};

} // namespace yes_square::app
