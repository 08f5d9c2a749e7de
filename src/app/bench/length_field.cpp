#include "app/bench/length_field.hpp"

#include "app/bench/theme.hpp"
#include "app/bench/words.hpp"
#include "core/measure/entry.hpp"

#include <QClipboard>
#include <QGuiApplication>
#include <QKeyEvent>

namespace yes_square::app {
namespace {

constexpr Length longest = Length::mm(1'000'000);

} // namespace

LengthField::LengthField(QWidget* parent)
    : QLineEdit{parent} {
    connect(this, &QLineEdit::textEdited, this, &LengthField::show_understood);
}

LengthField::~LengthField() {
    delete tag_;
}

void LengthField::set_unit(Unit unit) {
    unit_ = unit;
    if (shown_ && !isModified())
        setText(app::text(format(*shown_, app::voice(unit_for(*shown_, unit_)))));
}

void LengthField::set_length(Length length) {
    shown_ = turned(length);
    if (!(hasFocus() && isModified()))
        setText(app::text(format(*shown_, app::voice(unit_for(*shown_, unit_)))));
}

void LengthField::set_back_from(std::optional<Length> whole) {
    back_from_ = whole;
}

void LengthField::set_least(Length least, const QString& refusal) {
    least_ = least;
    refusal_ = refusal;
}

void LengthField::clear_length() {
    shown_.reset();
    clear();
    hide_tag();
    set_flag(*this, "refused", false);
}

std::optional<Length> LengthField::read() {
    const auto length = parse_length(QLineEdit::text().toStdString(), unit_);
    if (!length) {
        // The place is counted in bytes; the cursor in characters.
        const std::string typed = QLineEdit::text().toStdString();
        refuse(app::text(length.error().text(app::voice(unit_))),
               static_cast<int>(QString::fromStdString(typed.substr(0, length.error().position)).size()));
        return std::nullopt;
    }
    if (*length < least_ || absolute(*length) > longest) {
        refuse(*length < least_ && !refusal_.isEmpty() ? refusal_ : tr("That is longer than any wall"), 0);
        return std::nullopt;
    }
    if (past_the_end(*length)) {
        refuse(tr("That is past the other end of the wall"), 0);
        return std::nullopt;
    }
    return turned(*length);
}

void LengthField::refuse(const QString& words, int position) {
    set_flag(*this, "refused", true);
    show_tag(words, true);
    setCursorPosition(position);
}

bool LengthField::commit() {
    if (!isModified())
        return true;
    if (optional_ && QLineEdit::text().trimmed().isEmpty()) {
        clear_length();
        setModified(false);
        emit cleared();
        return true;
    }
    const auto length = read();
    if (!length)
        return false;
    setModified(false);
    set_flag(*this, "refused", false);
    hide_tag();
    set_length(*length);
    emit committed(*length);
    return true;
}

void LengthField::enter() {
    if (!commit())
        return;
    focusNextChild();
}

void LengthField::take(Length length) {
    if (length < least_)
        return refuse(refusal_, 0);
    if (past_the_end(length))
        return refuse(tr("That is past the other end of the wall"), 0);
    setModified(false);
    set_flag(*this, "refused", false);
    hide_tag();
    set_length(turned(length));
    emit committed(turned(length));
    enter();
}

std::optional<Length> LengthField::value() {
    return isModified() ? read() : shown_ ? std::optional{turned(*shown_)} : std::nullopt;
}

void LengthField::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) {
        enter();
        return;
    }
    if (event->matches(QKeySequence::Paste)) {
        const QStringList lines = QGuiApplication::clipboard()->text().split(QLatin1Char('\n'), Qt::SkipEmptyParts);
        if (lines.size() > 1 || (lines.size() == 1 && lines.front().contains(QLatin1Char('\t')))) {
            emit pasted(lines);
            return;
        }
    }
    if (event->key() == Qt::Key_Escape && isModified()) {
        setModified(false);
        set_flag(*this, "refused", false);
        hide_tag();
        setText(shown_ ? app::text(format(*shown_, app::voice(unit_))) : QString{});
        return;
    }
    QLineEdit::keyPressEvent(event);
}

void LengthField::focusInEvent(QFocusEvent* event) {
    QLineEdit::focusInEvent(event);
    if (event->reason() != Qt::MouseFocusReason)
        selectAll();
}

void LengthField::focusOutEvent(QFocusEvent* event) {
    // Leaving a figure that cannot be read keeps it as typed, marked; nothing typed is lost.
    if (optional_ || !QLineEdit::text().isEmpty())
        commit();
    hide_tag();
    QLineEdit::focusOutEvent(event);
}

void LengthField::show_understood() {
    const std::string typed = QLineEdit::text().toStdString();
    set_flag(*this, "refused", false);
    if (typed.empty()) {
        hide_tag();
        return;
    }
    const auto length = parse_length(typed, unit_);
    if (length)
        show_tag(QStringLiteral("= ") + app::text(format(*length, app::voice(unit_))), false);
    else
        show_tag(app::text(length.error().text(app::voice(unit_))), false);
}

void LengthField::show_tag(const QString& words, bool refused) {
    if (!tag_) {
        tag_ = new QLabel{window()};
        tag_->setProperty("role", "tag");
        tag_->setAttribute(Qt::WA_TransparentForMouseEvents);
    }
    set_flag(*tag_, "refused", refused);
    tag_->setText(words);
    tag_->adjustSize();
    QPoint place = mapTo(window(), QPoint{0, height() + 2});
    place.setX(std::max(0, std::min(place.x(), window()->width() - tag_->width() - 4)));
    tag_->move(place);
    tag_->raise();
    tag_->show();
}

void LengthField::hide_tag() {
    if (tag_)
        tag_->hide();
}

} // namespace yes_square::app
