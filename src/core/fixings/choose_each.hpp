#pragma once

#include "core/fixings/choose_fixing.hpp"

#include <functional>

/// Holes of one thing that the fitter may have fixed unlike.
namespace yes_square {

/// A part with which of its thing's holes it is. Parts of one group are pulled together.
struct SpottedPart {
    HeldPart part;
    FixingSpot spot;
    std::size_t group = 0;
};

/// What holds one part of a group.
struct FixedPart {
    Fixing fixing;
    FixingStrength strength; ///< at this part
};

/// What holds each part of a group, and the choice that is used most.
struct FixedGroup {
    std::vector<std::optional<FixedPart>> parts; ///< as they were given
    std::optional<FixingChoice> worst;           ///< none where a part has nothing

    /// Some of them have something else than others.
    bool unlike() const;
};

/// What may be taken for parts when the fitter has chosen something for them; nullptr: nothing.
using Choosing = std::function<std::optional<FixingChoice>(const ChosenFixing*, const std::vector<HeldPart>&)>;

/// One fixing for all parts that the same was chosen for by hand, and one for those that nothing was chosen for; each
/// is judged as a part of the whole group. @param by_hand  nullptr: nothing
FixedGroup choose_each(const std::vector<SpottedPart>& parts, const FixingChoices* by_hand, const Choosing& choose);
/// By choose_fixing().
FixedGroup choose_each(const FixingGround& ground, const FixingChoices* by_hand, Substrate substrate,
                       const std::vector<SpottedPart>& parts);

} // namespace yes_square
