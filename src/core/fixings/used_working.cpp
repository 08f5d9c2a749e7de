#include "core/fixings/used_working.hpp"

namespace yes_square {
namespace {

constexpr Source statics{Provenance::derived, "statics"};

} // namespace

Working used_working(std::string subject, Sentence title, const FixingStrength& strength, Substrate substrate,
                     const std::vector<HoleDemand>& demands, const Source& source) {
    HoleDemand worst;
    Utilisation used = Utilisation::none();
    for (const HoleDemand& demand : demands)
        if (const Utilisation here = utilisation_of(strength, substrate, demand); here >= used) {
            used = here;
            worst = demand;
        }
    const bool plain_sum = substrate == Substrate::masonry || substrate == Substrate::lining || strength.by_packet;
    const double lasts = plain_sum ? 1 : lasting(strength, worst.duration);
    const Force pull_held = strength.tension * lasts;
    const Force shear_held = strength.shear * lasts;
    const Term pull{"pull on it", quantity(worst.tension), statics};
    const Term shear{"shear on it", quantity(worst.shear()), statics};
    const Term holds_pull{"pull it bears", quantity(pull_held), source};
    const Term holds_shear{"shear it bears", quantity(shear_held), source};
    Working working{std::move(subject), std::move(title), {}, {}, ratio(used), source};
    const Utilisation pulled = Utilisation::of(worst.tension, pull_held);
    const Utilisation sheared = Utilisation::of(worst.shear(), shear_held);
    if (worst.shear() == 0 || (!plain_sum && used == pulled)) {
        working.sum = "{0} / {1}";
        working.terms = {pull, holds_pull};
    } else if (worst.tension == 0 || (!plain_sum && used == sheared)) {
        working.sum = "{0} / {1}";
        working.terms = {shear, holds_shear};
    } else if (plain_sum) {
        working.sum = "{0} / {1} + {2} / {3}";
        working.terms = {pull, holds_pull, shear, holds_shear};
    } else if (strength.school == TimberSchool::en) {
        // (F/R)^2 + (F/R)^2, as a share of the load.
        working.sum = "sqrt({0} x {0} / ({1} x {1}) + {2} x {2} / ({3} x {3}))";
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
