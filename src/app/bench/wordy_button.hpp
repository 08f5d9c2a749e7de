#pragma once

#include <QPushButton>

namespace yes_square::app {

/// A button whose words take as many lines as they need: what a cure does is read whole, however narrow the panel.
class WordyButton : public QPushButton {
public:
    explicit WordyButton(const QString& words, QWidget* parent = nullptr);

    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;
};

} // namespace yes_square::app
