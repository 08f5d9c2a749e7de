#pragma once

#include "app/bench/words.hpp"
#include "core/measure/entry.hpp"

#include <QStringList>
#include <optional>
#include <vector>

/// Several lengths in one field, ; between.
namespace yes_square::app {

inline QString list_of(const std::vector<Length>& lengths, Unit unit) {
    QStringList all;
    for (const Length length : lengths)
        all << text(format_bare(length, app::voice(unit_for(length, unit))));
    return all.join(QStringLiteral("; "));
}

/// Nothing where one cannot be read or there is none.
inline std::optional<std::vector<Length>> read_list(const QString& typed, Unit unit) {
    std::vector<Length> lengths;
    for (const QString& part : typed.split(u';', Qt::SkipEmptyParts)) {
        const auto length = parse_length(part.trimmed().toStdString(), unit);
        if (!length || *length <= Length{})
            return std::nullopt;
        lengths.push_back(*length);
    }
    return lengths.empty() ? std::nullopt : std::optional{lengths};
}

} // namespace yes_square::app
