#pragma once

#include <QToolButton>
#include <QVBoxLayout>
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
