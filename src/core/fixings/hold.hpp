#pragma once

namespace yes_square {

/// What a fixing holds in, best first.
enum class Hold { masonry, proved_stud, indicated_stud, assumed_stud, lining };

} // namespace yes_square
