#include "app/wallside/wall_side.hpp"

#include "app/board/painter.hpp"
#include "app/board/picking.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/hole_section.hpp"
#include "core/sheets/summary.hpp"

#include <QCloseEvent>
#include <QKeyEvent>
#include <QPainter>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int blink_ms = 450;
constexpr int auto_ms = 8000;

} // namespace

WallSide::WallSide(Workbench& bench, Day& day, const Theme& theme, QWidget* parent)
    : QWidget{parent, Qt::Window}
    , bench_{bench}
    , day_{day}
    , theme_{theme} {
    speak = [this](const QString& words) { speech_.say(words); };
    setObjectName(QStringLiteral("wall-side-window"));
    setWindowTitle(tr("At the wall"));
    setFocusPolicy(Qt::StrongFocus);
    blink_.setInterval(blink_ms);
    connect(&blink_, &QTimer::timeout, this, [this] {
        lit_ = !lit_;
        update();
    });
    auto_.setInterval(auto_ms);
    connect(&auto_, &QTimer::timeout, this, &WallSide::done);
    blink_.start();
    connect(&bench_, &Workbench::changed, this, &WallSide::read_walk);
    read_walk();
    seek_open();
    turn_to(screen_);
}

const WallPass* WallSide::pass() const {
    return pass_ < walk_.size() ? &walk_[pass_] : nullptr;
}

const WallMark* WallSide::mark() const {
    const WallPass* in = pass();
    return screen_ != Screen::gate && screen_ != Screen::finished && in && mark_ < in->marks.size() ? &in->marks[mark_]
                                                                                                    : nullptr;
}

/// After an edit the walk may be another: the mark in hand is found again by its place, or else the first that is open.
void WallSide::read_walk() {
    const std::string key = mark() ? tick_key(*mark(), *pass()) : std::string{};
    walk_.clear();
    if (bench_.wall())
        walk_ = walk_wall(*bench_.wall_plan(), bench_.job().rules.fitting);
    for (std::size_t p = 0; p < walk_.size() && !key.empty(); ++p)
        for (std::size_t m = 0; m < walk_[p].marks.size(); ++m)
            if (tick_key(walk_[p].marks[m], walk_[p]) == key) {
                pass_ = p;
                mark_ = m;
                update();
                return;
            }
    pass_ = std::min(pass_, walk_.empty() ? 0 : walk_.size() - 1);
    mark_ = 0;
    update();
}

std::string WallSide::gate_key() const {
    return bench_.wall() ? bench_.wall()->id + "/gate" : std::string{};
}

bool WallSide::gate_passed() const {
    return is_done(bench_.job(), gate_key());
}

/// The first mark from here on that is neither done nor given up; past the gate only when it is open.
void WallSide::seek_open() {
    for (; pass_ < walk_.size(); ++pass_, mark_ = 0)
        for (; mark_ < walk_[pass_].marks.size(); ++mark_)
            if (!find_tick(bench_.job(), tick_key(walk_[pass_].marks[mark_], walk_[pass_]))) {
                screen_ = walk_[pass_].drill && !gate_passed() ? Screen::gate : Screen::mark;
                return;
            }
    screen_ = Screen::finished;
}

void WallSide::turn_to(Screen screen) {
    screen_ = screen;
    if (screen != Screen::mark || (pass() && pass()->drill))
        auto_.stop();
    update();
    if (screen == Screen::mark)
        say_mark();
    else if (screen == Screen::gate)
        speak(tr("Stop. Before you drill."));
    else if (screen == Screen::finished)
        speak(tr("All marks of this wall are done."));
}

QString WallSide::pass_title() const {
    const WallPass* in = pass();
    if (!in)
        return {};
    if (!in->drill)
        return in->marks.front().kind == MarkKind::hole ? tr("Mark") : tr("Lines");
    const Voice voice = bench_.voice();
    return tr("Drill %1, %2, tape at %3%4")
        .arg(text(say(stock(in->drill->diameter), voice)), text(say(in->drill->bit, voice)),
             text(say(stock(in->drill->depth), voice)), in->drill->hammer ? tr(", hammer on") : QString{});
}

void WallSide::say_mark() {
    const WallMark* at = mark();
    if (!at)
        return;
    const Voice voice = bench_.voice();
    QStringList words;
    if (mark_ == 0)
        words << pass_title();
    words << tr("%1 along").arg(text(format(at->x, voice.unit))) << tr("%1 up").arg(text(format(at->z, voice.unit)))
          << text(say(at->what, voice));
    if (at->in_strip())
        words << tr("Careful: a cable or pipe is likely here");
    speak(words.join(QStringLiteral(". ")));
}

/// Whether the pass in hand is the last that goes into this hole.
bool WallSide::last_of_hole() const {
    const WallMark* at = mark();
    for (std::size_t p = pass_ + 1; p < walk_.size(); ++p)
        for (const WallMark& later : walk_[p].marks)
            if (later.key() == at->key())
                return false;
    return true;
}

void WallSide::done() {
    const WallMark* at = mark();
    if (!at)
        return;
    const WallMark here = *at;
    const std::string key = tick_key(here, *pass());
    const bool made = pass()->drill && last_of_hole();
    const std::size_t in_pass = pass_;
    told_ = tr("Recorded.");
    bench_.edit(tr("Record a mark"), [&](Job& job) {
        const Stamp stamp = day_.stamp();
        tick(job, key, TickState::done, stamp);
        if (made)
            record_hole(job, bench_.plan(), bench_.wall()->id, here, stamp);
    });
    seek_open();
    if (pass_ != in_pass)
        told_ = tr("That was the last of this walk.");
    turn_to(screen_);
}

void WallSide::back() {
    told_.clear();
    if (mark_ > 0) {
        --mark_;
    } else if (pass_ > 0) {
        pass_ = std::min(pass_, walk_.size()) - 1;
        mark_ = walk_[pass_].marks.size() - 1;
    }
    if (!walk_.empty())
        turn_to(Screen::mark);
}

void WallSide::could_not(CouldNot why) {
    screen_ = Screen::mark;
    const WallMark* at = mark();
    if (!at)
        return;
    const WallMark here = *at;
    const std::string key = tick_key(here, *pass());
    const std::size_t errors = count_checks(bench_.plan(), Severity::error);
    bench_.edit(tr("Could not: %1").arg(text(words(why))),
                [&](Job& job) { record_could_not(job, bench_.wall()->id, here, key, why, day_.stamp(), {}); });
    told_ = count_checks(bench_.plan(), Severity::error) > errors
                ? tr("Noted. The plan has a new error: look at it before you go on.")
                : tr("Noted. The plan is reckoned again.");
    seek_open();
    turn_to(screen_);
}

std::vector<std::pair<std::string, QString>> WallSide::things() const {
    std::vector<std::pair<std::string, QString>> found;
    if (!pass())
        return found;
    for (const WallMark& each : pass()->marks)
        if (std::ranges::find(found, each.item, &std::pair<std::string, QString>::first) == found.end())
            found.emplace_back(each.item, text(say(each.what, bench_.voice())).section(QLatin1Char(':'), 0, 0));
    return found;
}

void WallSide::jump_to(const std::string& item) {
    screen_ = Screen::mark;
    if (const WallPass* in = pass()) {
        const auto first = std::ranges::find(in->marks, item, &WallMark::item);
        if (first != in->marks.end())
            mark_ = static_cast<std::size_t>(first - in->marks.begin());
    }
    told_.clear();
    turn_to(Screen::mark);
}

void WallSide::next_pass(int by) {
    if (walk_.empty())
        return;
    const auto last = static_cast<int>(walk_.size()) - 1;
    pass_ = static_cast<std::size_t>(std::clamp(static_cast<int>(std::min(pass_, walk_.size() - 1)) + by, 0, last));
    mark_ = 0;
    told_.clear();
    turn_to(walk_[pass_].drill && !gate_passed() ? Screen::gate : Screen::mark);
}

/// Only while marks are pencilled: a drill waits for a hand.
void WallSide::toggle_auto() {
    if (auto_.isActive()) {
        auto_.stop();
        told_ = tr("Goes on by your key again.");
    } else if (pass() && pass()->drill) {
        told_ = tr("Drilling waits for your key.");
    } else {
        auto_.start();
        told_ = tr("Goes on by itself every %1 seconds.").arg(auto_ms / 1000);
    }
    update();
}

QStringList WallSide::rows() const {
    QStringList all;
    if (screen_ == Screen::reasons)
        for (const CouldNot why : all_reasons)
            all << text(say(words(why), bench_.voice()));
    if (screen_ == Screen::things)
        for (const auto& [id, name] : things())
            all << name;
    if (screen_ == Screen::gate)
        for (const Sentence& question : gate_questions())
            all << text(say(question, bench_.voice()));
    return all;
}

/// @param number  of the question that a digit names; -1: no digit
void WallSide::key_at_gate(const QKeyEvent& event, int number) {
    const int key = event.key();
    if (key == Qt::Key_Backspace || (key == Qt::Key_Z && event.modifiers() == Qt::ControlModifier))
        return back();
    if (number >= 0 && number < static_cast<int>(gate_questions().size())) {
        if (!answered_.erase(number))
            answered_.insert(number);
        update();
    } else if (answered_.size() == gate_questions().size() &&
               (key == Qt::Key_Space || key == Qt::Key_Return || key == Qt::Key_Enter)) {
        bench_.edit(tr("Pass the gate"), [&](Job& job) {
            const Stamp stamp = day_.stamp();
            tick(job, gate_key(), TickState::done, stamp);
            write_log(job, LogKind::note, {},
                      tr("Before drilling on %1: detected, isolated, protected, others out of the way")
                          .arg(text(bench_.wall()->name))
                          .toStdString(),
                      stamp);
        });
        seek_open();
        turn_to(screen_);
    }
}

void WallSide::key_at_mark(const QKeyEvent& event) {
    switch (event.key()) {
    case Qt::Key_Backspace:
    case Qt::Key_Left:
        return back();
    case Qt::Key_R:
        return say_mark();
    case Qt::Key_N:
        return turn_to(Screen::reasons);
    case Qt::Key_J:
        return turn_to(Screen::things);
    case Qt::Key_A:
        return toggle_auto();
    case Qt::Key_Z:
        if (event.modifiers() == Qt::ControlModifier)
            back();
        return;
    case Qt::Key_Space:
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return done();
    default:
        return; // no other key says that something is done
    }
}

void WallSide::keyPressEvent(QKeyEvent* event) {
    const int key = event->key();
    const int number = key >= Qt::Key_1 && key <= Qt::Key_9 ? key - Qt::Key_1 : -1;
    if (key == Qt::Key_Escape) {
        if (screen_ == Screen::reasons || screen_ == Screen::things)
            turn_to(Screen::mark);
        else
            close();
        return;
    }
    if (key == Qt::Key_PageDown || key == Qt::Key_PageUp)
        return next_pass(key == Qt::Key_PageDown ? 1 : -1);
    switch (screen_) {
    case Screen::reasons:
        if (number >= 0 && number < static_cast<int>(all_reasons.size()))
            could_not(all_reasons[static_cast<std::size_t>(number)]);
        return;
    case Screen::things:
        if (const auto all = things(); number >= 0 && number < static_cast<int>(all.size()))
            jump_to(all[static_cast<std::size_t>(number)].first);
        return;
    case Screen::gate:
        return key_at_gate(*event, number);
    case Screen::finished:
        if (key == Qt::Key_Backspace || key == Qt::Key_Left)
            back();
        return;
    case Screen::mark:
        return key_at_mark(*event);
    }
}

void WallSide::mousePressEvent(QMouseEvent* event) {
    if (screen_ == Screen::mark)
        return event->button() == Qt::RightButton ? back() : done();
    // A row of a list: its key.
    const double row_height = height() / 11.0;
    const int row = static_cast<int>((event->position().y() - 2.2 * row_height) / (1.3 * row_height));
    if (row >= 0 && row < rows().size()) {
        QKeyEvent key{QEvent::KeyPress, Qt::Key_1 + row, Qt::NoModifier};
        keyPressEvent(&key);
    } else if (screen_ == Screen::gate) {
        QKeyEvent key{QEvent::KeyPress, Qt::Key_Space, Qt::NoModifier};
        keyPressEvent(&key);
    }
}

void WallSide::closeEvent(QCloseEvent* event) {
    auto_.stop();
    emit left();
    event->accept();
}

namespace {

/// The largest type up to a height that fits a width.
QFont fitting(QFont font, const QString& words, double width, double height, bool bold) {
    font.setBold(bold);
    font.setPixelSize(std::max(8, static_cast<int>(height)));
    const double wide = QFontMetricsF{font}.horizontalAdvance(words);
    if (wide > width)
        font.setPixelSize(std::max(8, static_cast<int>(height * width / wide)));
    return font;
}

} // namespace

void WallSide::paintEvent(QPaintEvent*) {
    QPainter painter{this};
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.paper);
    switch (screen_) {
    case Screen::mark:
        if (mark())
            paint_mark(painter);
        break;
    case Screen::gate:
        paint_list(painter, tr("Before you drill"), rows());
        paint_foot(painter, answered_.size() == gate_questions().size()
                                ? tr("Space: all of it is so, go on")
                                : tr("1 to 4: tick what is so. Nothing is drilled before all four are"));
        break;
    case Screen::reasons:
        paint_list(painter, tr("Could not, because"), rows());
        paint_foot(painter, tr("1 to %1: choose. Esc: go back").arg(all_reasons.size()));
        break;
    case Screen::things:
        paint_list(painter, tr("Go to"), rows());
        paint_foot(painter, tr("Its number: go there. Esc: go back"));
        break;
    case Screen::finished:
        paint_list(painter,
                   walk_.empty() ? tr("Nothing is marked on this wall") : tr("All marks of this wall are done"), {});
        paint_foot(painter, tr("Backspace: back. Esc: leave"));
        break;
    }
}

/// The wall, small, with the mark blinking.
void WallSide::paint_small_wall(QPainter& painter, const QRectF& area) {
    const WallMark& at = *mark();
    const double h = height();
    ElevationFrame frame;
    const double per_mm = pixels_per_mm;
    frame.width = area.width() / per_mm;
    frame.height = area.height() / per_mm;
    frame.rods = false;
    frame.text = 0.1;
    const Elevation wall = draw_elevation(*bench_.wall(), *bench_.wall_plan(), frame, bench_.voice());
    painter.save();
    painter.translate(area.topLeft());
    paint(painter, wall.drawing, theme_, per_mm);
    const QPointF place = QPointF{wall.scale.x(at.x), wall.scale.y(at.z)} * per_mm;
    painter.setPen(QPen{theme_.alarm, 0.006 * h});
    if (at.kind == MarkKind::level_line)
        painter.drawLine(place, QPointF{wall.scale.x(at.to_x), wall.scale.y(at.z)} * per_mm);
    if (lit_) {
        painter.setBrush(theme_.alarm);
        painter.drawEllipse(place, 0.012 * h, 0.012 * h);
    } else {
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(place, 0.02 * h, 0.02 * h);
    }
    painter.restore();
}

void WallSide::paint_section(QPainter& painter, const QRectF& area) {
    constexpr double type = 0.022; // of the window's height
    painter.save();
    painter.translate(area.topLeft());
    paint(painter,
          draw_hole_section(*bench_.wall(), *bench_.wall_plan(), *mark(), area.width() / pixels_per_mm,
                            area.height() / pixels_per_mm, type * height() / pixels_per_mm, bench_.voice()),
          theme_, pixels_per_mm);
    painter.restore();
}

void WallSide::paint_mark(QPainter& painter) {
    const WallMark& at = *mark();
    const Voice voice = bench_.voice();
    const double h = height();
    const double margin = 0.03 * width();
    const double wide = width() - 2 * margin;
    double y = 0.02 * h;
    const auto line = [&](const QString& words, double size, bool bold, const QColor& colour, double room) {
        const QFont font = fitting(painter.font(), words, room, size * h, bold);
        painter.setFont(font);
        painter.setPen(colour);
        y += 1.12 * size * h;
        painter.drawText(QPointF{margin, y - 0.22 * size * h}, words);
    };
    const std::size_t total = pass()->marks.size();
    line(tr("%1   %2   %3 of %4").arg(text(bench_.wall()->name), pass_title()).arg(mark_ + 1).arg(total), 0.055, false,
         theme_.ink, wide);
    const double figures = 0.62 * wide;
    const QString along = text(format(at.x, voice.unit));
    const QString up = text(format(at.z, voice.unit));
    line(along, 0.22, true, theme_.ink, figures);
    line(at.kind == MarkKind::level_line ? tr("from the left end, to %1").arg(text(format(at.to_x, voice.unit)))
                                         : tr("from the left end"),
         0.05, false, theme_.faint, figures);
    line(up, 0.22, true, theme_.chalk, figures);
    line(at.above_now != at.z
             ? tr("up from the datum; %1 from the floor as it is").arg(text(format(at.above_now, voice.unit)))
             : tr("up from the floor"),
         0.05, false, theme_.faint, figures);
    y += 0.01 * h;
    line(text(say(at.what, voice)), 0.06, true, theme_.ink, wide);
    QString what =
        at.kind == MarkKind::level_line   ? tr("Strike a level line")
        : at.kind == MarkKind::plumb_line ? tr("Strike a plumb line")
        : pass()->drill                   ? text(say(pass()->drill->how, voice))
        : at.fixing
            ? tr("A cross. %1 goes here, in %2").arg(text(at.fixing->name), text(say(words(at.substrate), voice)))
            : tr("A cross. Nothing known holds here");
    if (at.in_strip())
        what = tr("STOP: a cable or pipe is likely here. Detect and isolate first");
    line(what, 0.05, at.in_strip(), at.in_strip() ? theme_.alarm : theme_.ink, wide);
    const Tick* tick = find_tick(bench_.job(), tick_key(at, *pass()));
    if (tick || !told_.isEmpty())
        line(tick ? (tick->state == TickState::done ? tr("Done before. Space goes on")
                                                    : tr("Given up before: %1").arg(text(tick->because)))
                  : told_,
             0.04, false, theme_.faint, wide);

    // With a drill in the hand: how deep it goes and what it meets, under the wall.
    const bool drilled = pass()->drill && at.kind == MarkKind::hole;
    paint_small_wall(painter, {margin + 0.65 * wide, 0.1 * h, 0.35 * wide, (drilled ? 0.24 : 0.5) * h});
    if (drilled)
        paint_section(painter, {margin + 0.65 * wide, 0.35 * h, 0.35 * wide, 0.27 * h});
    paint_foot(painter, tr("Space, Enter or click: done, next. Backspace: back. N: could not. J: go to. R: say again. "
                           "A: by itself%1. Page keys: other walk. Esc: leave")
                            .arg(auto_.isActive() ? tr(" (on)") : QString{}));
}

void WallSide::paint_list(QPainter& painter, const QString& title, const QStringList& rows) {
    const double row_height = height() / 11.0;
    const double margin = 0.03 * width();
    const double wide = width() - 2 * margin;
    painter.setFont(fitting(painter.font(), title, wide, 1.1 * row_height, true));
    painter.setPen(theme_.ink);
    painter.drawText(QPointF{margin, 1.5 * row_height}, title);
    const bool ticks = screen_ == Screen::gate;
    for (int i = 0; i < rows.size(); ++i) {
        const QString words =
            tr("%1  %2%3")
                .arg(i + 1)
                .arg(ticks ? (answered_.contains(i) ? tr("[yes] ") : tr("[    ] ")) : QString{}, rows[i]);
        painter.setFont(fitting(painter.font(), words, wide, 0.75 * row_height, ticks && answered_.contains(i)));
        painter.drawText(QPointF{margin, (3.1 + 1.3 * i) * row_height}, words);
    }
}

void WallSide::paint_foot(QPainter& painter, const QString& words) {
    const double size = 0.032 * height();
    painter.setFont(fitting(painter.font(), words, 0.94 * width(), size, false));
    painter.setPen(theme_.faint);
    painter.drawText(QPointF{0.03 * width(), height() - 0.6 * size}, words);
}

} // namespace yes_square::app
