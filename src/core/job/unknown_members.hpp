#pragma once

#include <map>
#include <string>

namespace yes_square {

/// Members of a file that this version does not know, by name, as JSON text; kept and written back.
using UnknownMembers = std::map<std::string, std::string>;

} // namespace yes_square
