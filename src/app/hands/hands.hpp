#pragma once

#include "app/bench/workbench.hpp"
#include "core/hands/arrange.hpp"

#include <QMenu>
#include <QObject>

namespace yes_square::app {

/// What is done to the selected things as a whole. Copies go through the clipboard as a job file, so that they can be
/// hung in another window too.
class Hands : public QObject {
    Q_OBJECT
public:
    explicit Hands(Workbench& bench, QObject* parent = nullptr);

    void copy();
    /// Hangs on the selected wall what was copied, where there is room.
    void paste();
    /// One more like each of the selected, beside it; of a cabinet one more in its run.
    void duplicate();
    void select_all();
    void arrange_as(Arrangement arrangement);
    /// Brings the tops of what is selected to a line of the room.
    void bring_to_line(const std::string& line);

    /// The ways of bringing several in order, as rows of a menu.
    void offer_arrangements(QMenu& menu);

signals:
    void told(const QString& what); ///< why something was not done

private:
    void make(const QString& what, const std::vector<Edit>& edits);
    void hang(const QString& what, const Job& copies);

    Workbench& bench_;
};

} // namespace yes_square::app
