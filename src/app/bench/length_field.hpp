#pragma once

#include "core/measure/length.hpp"
#include "core/measure/unit.hpp"

#include <QLabel>
#include <QLineEdit>
#include <QPointer>
#include <QStringList>

namespace yes_square::app {

/// The one entry for lengths. It takes what people say, shows on a tag below it what it understood before Enter, and
/// on Enter commits and moves on. What it cannot read it keeps, says why, and puts the cursor there.
class LengthField : public QLineEdit {
    Q_OBJECT
public:
    explicit LengthField(QWidget* parent = nullptr);
    ~LengthField() override;

    void set_unit(Unit unit);
    /// Shows a length; while the user is typing, what is typed stays.
    void set_length(Length length);
    /// Lengths below this are refused with these words.
    void set_least(Length least, const QString& refusal);
    /// Shows and takes what is left of this length: a place from a wall's left end, typed from its right one. None: the
    /// length itself.
    void set_back_from(std::optional<Length> whole);
    /// Nothing typed is an answer too.
    void set_optional() { optional_ = true; }
    void clear_length();

    /// Takes a length as if it had been typed and Enter pressed: a reading that a device sent.
    void take(Length length);

    /// The exact length last committed, or what is being typed; none: empty, or refused and said so.
    std::optional<Length> value();
    /// Reads what stands there; none: refused, and said so.
    std::optional<Length> read();

signals:
    void committed(yes_square::Length length);
    void cleared();                        ///< an optional length was taken out
    void pasted(const QStringList& lines); ///< more than one line, or several figures in one

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;

private:
    void enter();
    void show_understood();
    void show_tag(const QString& words, bool refused);
    void hide_tag();
    bool commit();
    void refuse(const QString& words, int position);

    /// Typed from a wall's right end, it lies past the left one.
    bool past_the_end(Length typed) const { return back_from_ && typed - *back_from_ > -least_; }
    Length turned(Length length) const { return back_from_ ? *back_from_ - length : length; }

    Unit unit_ = Unit::mm;
    std::optional<Length> back_from_;
    std::optional<Length> shown_; ///< as it is typed
    bool optional_ = false;
    Length least_ = Length::mm(-1'000'000);
    QString refusal_;
    QPointer<QLabel> tag_;
};

} // namespace yes_square::app
