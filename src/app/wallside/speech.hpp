#pragma once

#include <QString>

namespace yes_square::app {

/// Speaks through a speech program that the machine may have (spd-say, espeak-ng, espeak); says nothing where it has
/// none.
class Speech {
public:
    Speech();
    bool available() const { return !program_.isEmpty(); }
    /// Ends what is being said and says this.
    void say(const QString& words) const;

private:
    QString program_;
};

} // namespace yes_square::app
