#pragma once

namespace yes_square {

/// Several functions as one, told apart by what they take.
template <class... Functions>
struct overloaded : Functions... {
    using Functions::operator()...;
};
template <class... Functions>
overloaded(Functions...) -> overloaded<Functions...>;

} // namespace yes_square
