#include "core/fixings/used_working.hpp"

namespace yes_square {
namespace {

constexpr Source statics{Provenance::derived, "statics"};

} // namespace

Working used_working(std::string subject, Sentence title, const FixingStrength& strength, Hold hold,
                     const std::vector<HoleDemand>& demands, const Source& source) {
    HoleDemand worst;
    Utilisation used = Utilisation::none();
    for (const HoleDemand& demand : demands)
        if (const Utilisation here = utilisation_of(strength, hold, demand); here >= used) {
            used = here;
            worst = demand;
        }
    const bool masonry = hold == Hold::masonry;
    const double lasts = masonry ? 1 : worst.duration / duration_stored;
    const double pull_held = strength.tension_n * lasts;
    const double shear_held = strength.shear_n * lasts;
    const Term pull{"pull on it", force(worst.tension_n), statics};
    const Term shear{"shear on it", force(worst.shear_n()), statics};
    const Term holds_pull{"pull it bears", force(pull_held), source};
    const Term holds_shear{"shear it bears", force(shear_held), source};
    Working working{std::move(subject), std::move(title), {}, {}, ratio(used), source};
    const Utilisation pulled = Utilisation::of(worst.tension_n, pull_held);
    const Utilisation sheared = Utilisation::of(worst.shear_n(), shear_held);
    if (worst.shear_n() == 0 || (!masonry && used == pulled)) {
        working.sum = "{0} / {1}";
        working.terms = {pull, holds_pull};
    } else if (worst.tension_n == 0 || (!masonry && used == sheared)) {
        working.sum = "{0} / {1}";
        working.terms = {shear, holds_shear};
    } else if (masonry) {
        working.sum = "{0} / {1} + {2} / {3}";
        working.terms = {pull, holds_pull, shear, holds_shear};
    } else {
        // Capacity along the load: W Z / (W cos^2 a + Z sin^2 a).
        working.sum = "({1} x {2} x {2} + {3} x {0} x {0}) / ({1} x {3} x sqrt({0} x {0} + {2} x {2}))";
        working.terms = {pull, holds_pull, shear, holds_shear};
    }
    if (!worst.when.empty())
        working.facts.push_back({"when: {0}", {worst.when}});
    return working;
}

} // namespace yes_square
