#pragma once

#include "app/bench/day.hpp"
#include "app/bench/theme.hpp"
#include "app/wallside/speech.hpp"
#include "core/fitting/wall_marks.hpp"

#include <QTimer>
#include <QWidget>
#include <functional>
#include <set>

namespace yes_square::app {

/// One mark at a time, full screen: how far, how high, what to do there. A key or a click records it and goes on. Marks
/// of the wall are walked once for all that hangs there, first with a pencil, then bit by bit; nothing is drilled
/// before the wall's gate is passed.
class WallSide : public QWidget {
    Q_OBJECT
public:
    WallSide(Workbench& bench, Day& day, const Theme& theme, QWidget* parent = nullptr);

    /// How it speaks; tests put their own here.
    std::function<void(const QString&)> speak;

    /// The mark in hand; nullptr: all are done, or the gate stands before it.
    const WallMark* mark() const;
    const WallPass* pass() const;
    bool at_gate() const { return screen_ == Screen::gate; }
    int auto_seconds() const { return auto_.isActive() ? auto_.interval() / 1000 : 0; }

signals:
    void left();

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void closeEvent(QCloseEvent* event) override;

private:
    enum class Screen { mark, gate, reasons, things, finished };

    void read_walk();
    void seek_open();
    void turn_to(Screen screen);
    void done();
    void back();
    void could_not(CouldNot why);
    void jump_to(const std::string& item);
    void next_pass(int by);
    void say_mark();
    void toggle_auto();
    bool last_of_hole() const;
    bool gate_passed() const;
    std::string gate_key() const;
    std::vector<std::pair<std::string, QString>> things() const;
    QString pass_title() const;
    QStringList rows() const; ///< of a list screen

    void key_at_gate(const QKeyEvent& event, int number);
    void key_at_mark(const QKeyEvent& event);
    void paint_small_wall(QPainter& painter, const QRectF& area);
    void paint_section(QPainter& painter, const QRectF& area);
    void paint_mark(QPainter& painter);
    void paint_list(QPainter& painter, const QString& title, const QStringList& rows);
    void paint_foot(QPainter& painter, const QString& words);

    Workbench& bench_;
    Day& day_;
    const Theme& theme_;
    Speech speech_;
    std::vector<WallPass> walk_;
    std::size_t pass_ = 0;
    std::size_t mark_ = 0;
    Screen screen_ = Screen::mark;
    std::set<int> answered_; ///< questions of the gate
    QTimer blink_;
    bool lit_ = true;
    QTimer auto_;
    QString told_; ///< a line that answers the last key
};

} // namespace yes_square::app
