#include "app/wallside/wall_side.hpp"

#include "core/sheets/summary.hpp"

#include <QCloseEvent>
#include <QKeyEvent>
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
    return pass() ? text(say(words(*pass()), bench_.voice())) : QString{};
}

void WallSide::say_mark() {
    const WallMark* at = mark();
    if (!at)
        return;
    const Voice voice = bench_.voice();
    QStringList words;
    if (mark_ == 0)
        words << pass_title();
    const Tape& tape = at->tape;
    words << (tape.from_right() ? tr("%1 along from the right")
              : tape.turned     ? tr("%1 along from the left")
                                : tr("%1 along"))
                 .arg(bench_.along(tape.told_once(), tape.near(at->x, std::max(at->x, at->to_x))))
          << tr("%1 up").arg(text(format(at->z, voice))) << text(say(at->what, voice));
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
    bench_.edit(tr("Could not: %1").arg(core_words(words(why))),
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

} // namespace yes_square::app
