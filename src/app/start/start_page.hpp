#pragma once

#include "app/bench/workbench.hpp"
#include "app/start/beginnings.hpp"

#include <QComboBox>
#include <QFormLayout>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace yes_square::app {

/// What an empty job asks first: what is to be hung or made safe; then the few figures that matter for it. From here it
/// is one click to the demo, to recent jobs, to the practice wall.
class StartPage : public QWidget {
    Q_OBJECT
public:
    explicit StartPage(Workbench& bench, QWidget* parent = nullptr);

    /// Puts the hand on the first of what may be hung.
    void begin();

signals:
    void begun(); ///< there is a wall with something on it
    void open_wanted(const QString& path);
    void demo_wanted();
    void practice_wanted();
    void help_wanted();
    void first_job_wanted();
    void survey_wanted(); ///< a wall first, whatever it will hold

protected:
    void showEvent(QShowEvent* event) override;

private:
    void build_kinds();
    void show_recent(const QStringList& paths);
    void choose(std::size_t kind);
    void set_out();
    QWidget* small_wall(const Job& job);
    LengthField* ask(const QString& label, const char* name, Length value, std::function<void(Length)> take);

    Workbench& bench_;
    QWidget* kinds_;
    QWidget* figures_;
    QLabel* what_;
    QWidget* form_ = nullptr;
    QVBoxLayout* form_place_;
    QLabel* problem_;
    QVBoxLayout* recent_;
    QComboBox* made_of_ = nullptr;
    QLineEdit* studs_ = nullptr;
    QComboBox* proof_ = nullptr;
    QLineEdit* units_ = nullptr;
    std::size_t kind_ = 0;
    Job draft_; ///< what would be begun
};

} // namespace yes_square::app
