#pragma once

#include <functional>
#include <vector>

#include "app/bench/pages.hpp"
#include "app/bench/workbench.hpp"
#include "core/sheets/elevation.hpp"

#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

class DevicesBar;
class FacePage;
class LevelPage;
class StudsPage;

/// The pages of the survey, in the order a wall is got to know.
enum class SurveyPage { wall, walk, drill, studs, level, face, services, room };

std::optional<SurveyPage> survey_page_from_name(const QString& name);

/// What the wall is: a page for each thing to find out, figures in the order they are taken.
class SurveyPanel : public QWidget {
    Q_OBJECT
public:
    explicit SurveyPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_wall();
    void set_page(SurveyPage page);
    SurveyPage page() const;

    DevicesBar& devices() { return *devices_; }

    /// What the elevation shows beside this page.
    SurveyLayer layer() const;
    std::optional<ProbeAdvice> advice() const;
    /// A place on the wall was pointed at: the figure is put where the next reading is typed.
    void point_at(Length x, Length z);
    /// A scanner found a stud's middle, or a run of cable or pipe; it goes where such readings are kept.
    void take_scan(EvidenceKind kind, Length x, Length limit);
    void scanned(std::function<void(Wall&)> take);
    void take_scan(ScanResult result, Length x, Length half_width);

signals:
    void page_changed();

private:
    /// An island before the wall in hand, or the other side of the one in hand.
    void add_island();
    bool on_island() const;
    /// A new wall goes into the job, is looked at, and its length asked for first.
    void put(const QString& words, const std::function<yes_square::Wall(yes_square::Job&)>& make);
    void remove_wall();
    /// Puts a distance where the cursor is, or was before a button took it.
    void put_distance(Length distance);

    Workbench& bench_;
    Pages* pages_;
    StudsPage* studs_;
    LevelPage* level_;
    FacePage* face_;
    DevicesBar* devices_;
    QPushButton* island_;
    QPushButton* remove_;
    std::vector<std::function<void(Wall&)>> waiting_; ///< of the scanner, since the last round of events
};

} // namespace yes_square::app
