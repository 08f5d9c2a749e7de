#pragma once

#include <QResizeEvent>
#include <QToolButton>
#include <QVBoxLayout>
#include <QWidget>
#include <algorithm>
#include <vector>

namespace yes_square::app {

/// A heading that opens and closes what stands under it: what is rarely decided takes a line until it is wanted.
class Fold : public QToolButton {
    Q_OBJECT
public:
    explicit Fold(const QString& words, QWidget* parent = nullptr)
        : QToolButton{parent}
        , words_{words} {
        setText(words);
        setCheckable(true);
        setProperty("role", "fold");
        setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
        setArrowType(Qt::RightArrow);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        setAccessibleName(words);
        connect(this, &QToolButton::toggled, this, [this](bool open) {
            setArrowType(open ? Qt::DownArrow : Qt::RightArrow);
            for (QWidget* each : under_)
                each->setVisible(open);
        });
    }
    /// What opens and closes with it.
    void over(QWidget* under) {
        under_.push_back(under);
        under->setVisible(isChecked());
    }

    /// As broad as its longest word.
    QSize minimumSizeHint() const override {
        int broadest = 0;
        for (const QString& word : words_.split(u' '))
            broadest = std::max(broadest, fontMetrics().horizontalAdvance(word));
        return {broadest + beside_words, QToolButton::sizeHint().height()};
    }
    QSize sizeHint() const override {
        return {fontMetrics().horizontalAdvance(words_) + beside_words, QToolButton::sizeHint().height()};
    }

protected:
    /// Its words take as many lines as they need.
    void resizeEvent(QResizeEvent* event) override {
        QToolButton::resizeEvent(event);
        QString lines;
        QString line;
        for (const QString& word : words_.split(u' ')) {
            const QString longer = line.isEmpty() ? word : line + u' ' + word;
            if (!line.isEmpty() && fontMetrics().horizontalAdvance(longer) > width() - beside_words) {
                lines += line + u'\n';
                line = word;
            } else {
                line = longer;
            }
        }
        lines += line;
        if (lines != text()) {
            setText(lines);
            updateGeometry();
        }
    }

private:
    static constexpr int beside_words = 34; ///< px: the arrow, and what is left free
    QString words_;
    std::vector<QWidget*> under_;
};

/// An editor under its fold, closed at first.
inline QWidget* folded(const QString& title, const QString& name, QWidget* editor) {
    auto* box = new QWidget;
    auto* column = new QVBoxLayout{box};
    column->setContentsMargins(0, 0, 0, 0);
    auto* fold = new Fold{title};
    fold->setObjectName(name);
    fold->over(editor);
    column->addWidget(fold);
    column->addWidget(editor);
    return box;
}

} // namespace yes_square::app
