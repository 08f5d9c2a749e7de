#pragma once

#include "core/job/edits.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/provenance.hpp"
#include "core/measure/sentence.hpp"
#include "core/measure/utilisation.hpp"
#include "core/plan/lift.hpp"

#include <cmath>
#include <optional>
#include <string>
#include <vector>

/// What stands beside every part of a plan: workings, checks with their cures, fixings, steps.
namespace yes_square {

/// The arithmetic behind a figure, as a person would do it on a scrap of board.
struct Term {
    std::string_view name;
    Quantity value;
    Source source;
    std::string own = {}; ///< in the fitter's own words, where it has no name of ours
};

struct Working {
    /// What it explains, by a stable name: "bracket/2", "sag", "screw". A tick or a figure on screen leads here.
    std::string subject;
    Sentence title;
    std::string_view sum; ///< "({0} - 2 x {1}) / {2}" over the terms; empty: a list of facts
    std::vector<Term> terms;
    Quantity result;
    Source source;
    std::vector<Sentence> facts = {}; ///< what speaks for it, where that is no figure
};

/// "{0} + {1} + {2}": a plain sum of so many terms; empty where it would be too long to read.
std::string_view sum_of(std::size_t terms);

enum class Severity { note, warning, error };

/// What a fitter can do about a check; with an edit where the program can do it.
struct Cure {
    Sentence words;
    std::optional<Edit> edit;
};

/// Whether a thing with such an error may come down or tip; whether nobody knows, as long as it stands; or that it
/// holds light use and no more.
enum class Bears { on_hold, elsewhere, on_what_is_known, on_light_use };

/// A stable name for something that may be wrong, and how grave it usually is. Each is declared beside the code that
/// finds it, and is that name everywhere:
///
///     namespace checks {
///     inline constexpr CheckCode rod_sags{"rod_sags", Severity::error, Bears::elsewhere};
///     }
class CheckCode {
public:
    constexpr CheckCode(std::string_view name, Severity severity, Bears bears = Bears::on_hold)
        : name_{name}
        , severity_{severity}
        , bears_{bears} {}

    constexpr std::string_view name() const { return name_; }
    constexpr Severity severity() const { return severity_; }
    constexpr Bears bears() const { return bears_; }
    friend constexpr bool operator==(CheckCode a, CheckCode b) { return a.name_ == b.name_; }
    friend constexpr auto operator<=>(CheckCode a, CheckCode b) { return a.name_ <=> b.name_; }

private:
    std::string_view name_;
    Severity severity_;
    Bears bears_;
};

std::string_view name(Severity severity);

struct Check {
    CheckCode code;
    Severity severity = code.severity();
    Sentence message; ///< what is wrong, where, by how much
    std::optional<Quantity> amount = {};
    std::vector<Cure> cures = {};
    std::optional<Length> x = {}; ///< where on the wall
    std::optional<Length> z = {};
    bool between_things = false; ///< it follows from what else is on the wall, and is said anew with every edit
};

/// What one wall hole has to bear in one load case.
struct HoleDemand {
    Force tension = 0;
    Force down = 0;
    double duration = 0.9; ///< load duration factor, for wood
    std::string_view when = {};
    Force across = 0; ///< to the right
    Force shear() const { return hypot(down, across); }
    bool operator==(const HoleDemand&) const = default;
};

/// What a group of holes holds in one load case: the weight, where along the wall, and its moment out of the wall.
struct LoadCase {
    std::string_view when;
    Force down = 0;
    double at_x = 0; ///< m from the wall's left end
    Moment moment = 0;
    double duration = 0.9;
    bool operator==(const LoadCase&) const = default;
};

/// What a fixing holds where it passes through a part: less where that part is thin or stands off the wall.
struct FixingStrength {
    Force tension = 0; ///< for stored goods
    Force shear = 0;
    Length penetration;                      ///< in stud or masonry
    Length thread;                           ///< that grips, of a wood screw
    Length side = {};                        ///< thickness of what is fixed, there
    std::optional<double> side_gravity = {}; ///< of wood; none: steel
    Length head = {};                        ///< of the screw or its washer, where that is wood
    Length gap = {};                         ///< lining and packing between, which bear nothing
    TimberSchool school = TimberSchool::nds; ///< by which a screw in wood was reckoned
    std::size_t together = 1;                ///< screws pulled as one group, by EN
    bool by_packet = false; ///< of what sits in timber: its figures are its packet's, whatever the load's duration
    bool operator==(const FixingStrength&) const = default;
};

/// How a bracket or a unit is held: one kind of screw or plug for all its wall holes, and what it holds where it is
/// used most.
struct Fixing : FixingStrength {
    std::string name;
    Length screw_length;
    Length hole_diameter;
    Length drill_depth; ///< from the face of the wall: where the tape goes on the bit
    Source source;
    Length clearance = {}; ///< the hole its shank passes through in what is screwed on
    bool coach = false;
    Length apart = {}; ///< the packet's least distance between two; 0: none is known
    Length edge = {};  ///< and to an edge of the masonry
    const FixingStrength& strength() const { return *this; }
};

struct SagVerdict {
    double span = 0;  ///< m, what the limit is taken of: the span, or twice the overhang
    double place = 0; ///< m from the shelf's left end
    double instantaneous = 0;
    double long_term = 0;
    double limit = 0;
    bool overhang = false;
    double share() const { return limit > 0 ? long_term / limit : 0; }
    /// The same, sagging so many times as much.
    SagVerdict times(double more) const {
        SagVerdict sag = *this;
        sag.instantaneous *= more;
        sag.long_term *= more;
        return sag;
    }
};

/// What a step is part of, in the order that work goes.
enum class Phase {
    ready,    ///< gone over, cleared, protected, cut
    mark,     ///< lines and places
    drill,    ///< the wall
    assemble, ///< on the bench or on the floor
    hang,     ///< lifted, set, screwed on loosely
    cure,     ///< nobody touches it
    adjust,   ///< level, plumb, straight; then tight
    prove,    ///< pulled at, labelled, written down
};

std::string_view words(Phase phase);

struct Step {
    Sentence words;
    bool hold_point = false; ///< do not go on before it is right
    Phase phase = Phase::ready;
    int persons = 1;
    double wait_min = 0;           ///< of Phase::cure: so long, where the packet says no other
    bool of_wall = false;          ///< said once for all that hangs on the wall
    std::optional<Lift> lift = {}; ///< something is lifted and held
    bool at_bench = false;         ///< it and the thing's marks and holes wait for one another only when it is hung
    double minutes = 0;            ///< that it takes; 0: as any step of its phase
};

/// A step with a lift, and the hands that it takes.
Step lifting(Sentence words, Phase phase, const Lift& lift, bool hold_point = false);

/// What comes before every hole.
Step detector_step();

} // namespace yes_square
