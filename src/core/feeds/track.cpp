#include "core/feeds/track.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// Ohm from the driver, by places it is fed at: what a current at one place drops at another. Up to the nearer of both
/// the bus wire and the rails beside it lead there together; a loop joins its ends by the rails alone.
class Feeds {
public:
    explicit Feeds(const TrackCircuit& track)
        : track_{track}
        , n_{track.fed_at.size()}
        , ohm_(n_ * n_) {
        double here = track.lead_ohm + track.bus_ohm * track.fed_at.front();
        for (std::size_t i = 0; i < n_; ++i) {
            if (i > 0)
                here += beside(track.fed_at[i] - track.fed_at[i - 1]);
            for (std::size_t j = i; j < n_; ++j)
                ohm(i, j) = ohm(j, i) = here;
        }
        if (track.loop && n_ > 1)
            close_loop();
    }

    double operator()(std::size_t i, std::size_t j) const { return ohm_[i * n_ + j]; }

private:
    double& ohm(std::size_t i, std::size_t j) { return ohm_[i * n_ + j]; }

    /// Rails and bus wire of one stretch, side by side.
    double beside(double length) const {
        const double together = track_.rail_ohm + track_.bus_ohm;
        return together > 0 ? track_.rail_ohm * track_.bus_ohm / together * length : 0;
    }

    /// One more way between the first and the last (a rank-one change of the resistances).
    void close_loop() {
        const double way = track_.rail_ohm * (track_.length - track_.fed_at.back() + track_.fed_at.front());
        std::vector<double> change(n_);
        for (std::size_t i = 0; i < n_; ++i)
            change[i] = ohm(i, 0) - ohm(i, n_ - 1);
        const double whole = way + change.front() - change.back();
        if (whole <= 0)
            return;
        for (std::size_t i = 0; i < n_; ++i)
            for (std::size_t j = 0; j < n_; ++j)
                ohm(i, j) -= change[i] * change[j] / whole;
    }

    const TrackCircuit& track_;
    const std::size_t n_;
    std::vector<double> ohm_;
};

/// A stretch of rails between two places it is fed at, or from one of them to a free end.
struct Span {
    std::size_t from = 0;
    std::size_t to = 0;
    double begins = 0; ///< m; a loop's last one runs on past the end
    double length = 0;
    bool free = false; ///< nothing feeds its end: `begins` is the feed, and it runs to the left if length < 0
};

std::vector<Span> spans_of(const TrackCircuit& track) {
    const std::vector<double>& at = track.fed_at;
    std::vector<Span> spans;
    for (std::size_t i = 0; i + 1 < at.size(); ++i)
        spans.push_back({i, i + 1, at[i], at[i + 1] - at[i]});
    const std::size_t last = at.size() - 1;
    if (track.loop) {
        spans.push_back({last, 0, at[last], track.length - at[last] + at[0]});
    } else {
        spans.push_back({0, 0, at[0], -at[0], true});
        spans.push_back({last, last, at[last], track.length - at[last], true});
    }
    return spans;
}

void take(TrackDrop& worst, const TrackCircuit& track, double volts, double at) {
    if (volts > worst.volts)
        worst = {volts, track.loop && track.length > 0 ? std::fmod(at, track.length) : at};
}

} // namespace

TrackDrop spread_drop(const TrackCircuit& track, double amps) {
    const Feeds ohm{track};
    const std::vector<Span> spans = spans_of(track);
    const double per_metre = amps / track.length;
    // A stretch between two feeds loads each with half of it.
    std::vector<double> drawn(track.fed_at.size());
    for (const Span& span : spans) {
        const double all = per_metre * std::abs(span.length);
        drawn[span.from] += span.free ? all : all / 2;
        if (!span.free)
            drawn[span.to] += all / 2;
    }
    std::vector<double> lost(track.fed_at.size());
    for (std::size_t i = 0; i < lost.size(); ++i)
        for (std::size_t j = 0; j < lost.size(); ++j)
            lost[i] += ohm(i, j) * drawn[j];
    TrackDrop worst;
    for (const Span& span : spans) {
        const double bow = per_metre * track.rail_ohm * span.length * span.length; // V, twice what sags between
        if (span.free) {
            take(worst, track, lost[span.from] + bow / 2, span.begins + span.length);
            continue;
        }
        const double rise = lost[span.to] - lost[span.from];
        const double t = bow > 0 ? std::clamp(0.5 + rise / bow, 0.0, 1.0) : rise > 0 ? 1.0 : 0.0;
        take(worst, track, lost[span.from] + t * rise + bow / 2 * t * (1 - t), span.begins + t * span.length);
    }
    return worst;
}

TrackDrop moving_drop(const TrackCircuit& track, double amps) {
    const Feeds ohm{track};
    TrackDrop worst;
    for (const Span& span : spans_of(track)) {
        const double rail = track.rail_ohm * std::abs(span.length);
        const double near = ohm(span.from, span.from);
        if (span.free) {
            take(worst, track, amps * (near + rail), span.begins + span.length);
            continue;
        }
        const double far = ohm(span.to, span.to);
        const double both = ohm(span.from, span.to);
        const auto lost = [&](double t) {
            return amps * (rail * t * (1 - t) + (1 - t) * (1 - t) * near + t * t * far + 2 * t * (1 - t) * both);
        };
        const double bend = 2 * (rail - near - far + 2 * both);
        const double middle = bend > 0 ? std::clamp((rail - 2 * near + 2 * both) / bend, 0.0, 1.0) : 0.0;
        for (const double t : {0.0, middle, 1.0})
            take(worst, track, lost(t), span.begins + t * span.length);
    }
    return worst;
}

std::vector<double> evenly_fed(double length, int places, bool loop) {
    std::vector<double> at;
    for (int i = 0; i < places; ++i)
        at.push_back(length * (loop ? static_cast<double>(i) / places : (2 * i + 1) / (2.0 * places)));
    return at;
}

} // namespace yes_square
