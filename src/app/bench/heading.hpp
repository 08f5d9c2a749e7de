#pragma once

#include "app/bench/words.hpp"
#include "core/plan/cautions.hpp"

#include <QLabel>

namespace yes_square::app {

/// A heading inside a panel.
inline QLabel* heading_label(const QString& words, QWidget* parent = nullptr) {
    auto* label = new QLabel{words, parent};
    label->setProperty("role", "heading");
    label->setWordWrap(true);
    return label;
}

/// Cables and pipes: on every page from which somebody goes and makes a hole.
inline QLabel* services_caution(QWidget* parent = nullptr) {
    auto* label = new QLabel{text(say(caution_of_services(), voice(Unit::mm))), parent};
    label->setProperty("role", "caution");
    label->setObjectName(QStringLiteral("services-caution"));
    label->setWordWrap(true);
    return label;
}

} // namespace yes_square::app
