#include "app/bench/wordy_button.hpp"

#include <QStyleOptionButton>
#include <QStylePainter>

namespace yes_square::app {
namespace {

constexpr int inset = 12; ///< px, between its edge and its words
constexpr int over_words = 6;
constexpr int usual_width = 220;
constexpr int words_flags = Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap;

} // namespace

WordyButton::WordyButton(const QString& words, QWidget* parent)
    : QPushButton{words, parent} {
    QSizePolicy policy{QSizePolicy::Preferred, QSizePolicy::Fixed};
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

int WordyButton::heightForWidth(int width) const {
    const QRect room{0, 0, width - 2 * inset, 10'000};
    return fontMetrics().boundingRect(room, words_flags, text()).height() + 2 * over_words;
}

QSize WordyButton::sizeHint() const {
    return {usual_width, heightForWidth(usual_width)};
}

/// As broad as its longest word.
QSize WordyButton::minimumSizeHint() const {
    int longest = 0;
    for (const QString& word : text().split(QLatin1Char(' ')))
        longest = std::max(longest, fontMetrics().horizontalAdvance(word));
    return {longest + 2 * inset, fontMetrics().height() + 2 * over_words};
}

void WordyButton::paintEvent(QPaintEvent*) {
    QStylePainter painter{this};
    QStyleOptionButton option;
    initStyleOption(&option);
    option.text.clear();
    painter.drawControl(QStyle::CE_PushButton, option);
    painter.setPen(palette().color(isEnabled() ? QPalette::Active : QPalette::Disabled, QPalette::ButtonText));
    painter.drawText(rect().adjusted(inset, over_words, -inset, -over_words), words_flags, text());
}

} // namespace yes_square::app
