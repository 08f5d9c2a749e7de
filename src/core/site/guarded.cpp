#include "core/site/guarded.hpp"

namespace yes_square {

Check not_reckoned(const std::string& name, std::string_view why) {
    Check check{checks::not_reckoned,
                checks::not_reckoned.severity(),
                {"{0} could not be reckoned: {1}", {name, std::string{why}}}};
    check.cures.push_back(
        {{"Look for a figure that cannot be meant. Where all are right, it is a fault of this program: report it with "
          "the job"},
         std::nullopt});
    return check;
}

} // namespace yes_square
