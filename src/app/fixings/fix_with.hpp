#pragma once

#include "app/bench/manners.hpp"
#include "app/bench/workbench.hpp"

#include <QComboBox>
#include <QWidget>

namespace yes_square::app {

/// What the selected thing is fixed with: what the program takes, or what the fitter chooses of what is at hand, with
/// what speaks for and against each; for all of it, a row, a place or one hole. What is refused can be chosen all the
/// same; the verdict follows.
class FixWith : public QWidget {
    Q_OBJECT
public:
    explicit FixWith(Workbench& bench, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void refresh_where();
    void take(int row);
    const FixingChoices* chosen() const; ///< nullptr: the selected thing is fixed with none of them
    const FixingSpot& where() const;     ///< for which of its holes is chosen now
    QString name_of(const FixingOption& option) const;
    QString reasons() const;

    Workbench& bench_;
    std::string item_;              ///< of which the spots are
    std::vector<FixingSpot> spots_; ///< as the rows of `where_`
    QComboBox* where_;
    QComboBox* choice_;
    Document* list_;
};

} // namespace yes_square::app
