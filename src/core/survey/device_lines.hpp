#pragma once

#include "core/measure/length.hpp"

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// What a laser measure or a wall scanner says, line by line: docs/devices.md.
namespace yes_square {

/// It greets. Version 1 is the one that is known here.
struct DeviceHello {
    std::string version;
    std::string name; ///< its own for itself
    bool operator==(const DeviceHello&) const = default;
};
struct DeviceDistance {
    Length length; ///< 0 to 1 km
    bool operator==(const DeviceDistance&) const = default;
};
enum class ScannerFind { stud, cable, pipe };
struct DeviceFind {
    ScannerFind what = ScannerFind::stud;
    Length centre;
    Length half; ///< of a stud its limit of error, of a cable or pipe half its breadth; more than 0
    bool operator==(const DeviceFind&) const = default;
};
/// The scanner has come to the wall's end.
struct DeviceAtEnd {
    bool operator==(const DeviceAtEnd&) const = default;
};
/// A line that is none of these.
struct DeviceNonsense {
    std::string line;
    bool operator==(const DeviceNonsense&) const = default;
};
/// The line did not end where it should have; its rest is passed over.
struct DeviceEndless {
    bool operator==(const DeviceEndless&) const = default;
};
using DeviceWord = std::variant<DeviceHello, DeviceDistance, DeviceFind, DeviceAtEnd, DeviceNonsense, DeviceEndless>;

/// Puts a device's lines together out of the bytes that come. A line that breaks off is never taken.
class DeviceLines {
public:
    /// What the lines say that end in these bytes, in order. Empty lines say nothing. Never throws on any bytes.
    std::vector<DeviceWord> take(std::string_view bytes);
    /// The device went away. @return it was in the middle of a line
    bool break_off();

private:
    std::string begun_;     ///< of a line that has not ended
    bool overlong_ = false; ///< the rest of a line that was too long is passed over
};

} // namespace yes_square
