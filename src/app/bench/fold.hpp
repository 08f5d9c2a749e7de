#pragma once

#include <QToolButton>
#include <QWidget>
#include <vector>

namespace yes_square::app {

/// A heading that opens and closes what stands under it: what is rarely decided takes a line until it is wanted.
class Fold : public QToolButton {
    Q_OBJECT
public:
    explicit Fold(const QString& words, QWidget* parent = nullptr)
        : QToolButton{parent} {
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

private:
    std::vector<QWidget*> under_;
};

} // namespace yes_square::app
