#pragma once

#include "core/survey/hidden_wall.hpp"

#include <QDateTime>
#include <QString>
#include <vector>

namespace yes_square::app {

/// One exercise: a hidden wall, what the user has read of it, and at the end how it went.
class PracticeWall {
public:
    explicit PracticeWall(std::uint64_t seed);

    const HiddenWall& hidden() const { return hidden_; }
    Stretch stretch() const { return stretch_; } ///< the studs under it are to be proved
    const std::vector<Observation>& readings() const { return readings_; }
    const std::optional<PracticeResult>& result() const { return result_; }

    /// Pushes the probe in; true: wood. Does nothing more once the truth is out.
    bool probe_at(Length x);
    /// Where the program would probe next.
    std::optional<ProbeAdvice> advice() const;
    /// Ends the exercise.
    const PracticeResult& finish();

private:
    std::mt19937_64 random_;
    HiddenWall hidden_;
    Stretch stretch_;
    std::vector<Observation> readings_;
    std::optional<PracticeResult> result_;
};

/// A result with its day, as kept.
struct KeptResult {
    QDateTime when;
    PracticeResult result;
};

/// The results kept on this machine, oldest first; an unreadable file counts as none.
std::vector<KeptResult> kept_results();
/// Keeps one more. Error text, or empty.
QString keep_result(const PracticeResult& result);

} // namespace yes_square::app
