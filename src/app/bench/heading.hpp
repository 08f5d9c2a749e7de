#pragma once

#include <QLabel>

namespace yes_square::app {

/// A heading inside a panel.
inline QLabel* heading_label(const QString& words, QWidget* parent = nullptr) {
    auto* label = new QLabel{words, parent};
    label->setProperty("role", "heading");
    label->setWordWrap(true);
    return label;
}

} // namespace yes_square::app
