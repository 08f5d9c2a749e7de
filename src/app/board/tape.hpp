#pragma once

#include "app/bench/theme.hpp"
#include "core/hands/tape.hpp"
#include "core/measure/sentence.hpp"

#include <QPainter>
#include <functional>
#include <optional>

namespace yes_square::app {

/// A tape between two places on the wall: how far along, how far up, how far across. It takes hold of edges and marks.
class HandTape {
public:
    using ToScreen = std::function<QPointF(Length x, Length z)>;

    bool out() const { return ends_.has_value(); }
    /// Hooks it on; its other end is there too until it is pulled.
    void hook(const TapeStops& stops, Length x, Length z, Length reach);
    void pull_to(Length x, Length z, Length reach);
    /// By the keys: its end goes so far.
    void pull_by(Length dx, Length dz);
    void put_away() { ends_.reset(); }

    /// "1200 mm along, 350 mm up, 1250 mm across"
    QString words(const Voice& voice) const;
    void paint(QPainter& painter, const QRect& area, const ToScreen& place, const Theme& theme,
               const Voice& voice) const;

private:
    struct Ends {
        Length from_x, from_z, to_x, to_z;
    };
    std::optional<Ends> ends_;
    TapeStops stops_;
};

} // namespace yes_square::app
