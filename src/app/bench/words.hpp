#pragma once

#include "core/plan/plan.hpp"
#include "language/language.hpp"

#include <QCoreApplication>
#include <QString>

namespace yes_square::app {

/// In the user's language, where no class of Qt's is at hand to ask.
inline QString tr(const char* words) {
    return QCoreApplication::translate("Words", words);
}

inline QString text(const std::string& words) {
    return QString::fromStdString(words);
}
inline QString text(std::string_view words) {
    return QString::fromUtf8(words.data(), static_cast<qsizetype>(words.size()));
}

/// The unit a small size is shown in: where whole mm would hide that a hole is 4.5 wide, tenths of them.
inline Unit unit_for(Length length, Unit unit) {
    const bool whole = length.in_nanometres() % Length::nanometres_per_mm == 0;
    return unit == Unit::mm && !whole && absolute(length) < 100_mm ? Unit::mm_tenths : unit;
}

/// A word of the core's in the user's language.
inline QString core_words(std::string_view words) {
    return words.empty() ? QString{} : QCoreApplication::translate("core", std::string{words}.c_str());
}

using yes_square::voice;

} // namespace yes_square::app
