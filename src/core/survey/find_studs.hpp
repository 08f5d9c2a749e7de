#pragma once

#include "core/measure/sentence.hpp"
#include "core/survey/probe_proof.hpp"
#include "core/survey/strips.hpp"
#include "core/survey/stud_posterior.hpp"

/// The studs of a framed wall, as far as they are known.
namespace yes_square {

struct FoundStud {
    Stud stud;
    double probability = 1; ///< of its centre being within half a stud's width of where it is said to be
    std::optional<ProvedWood> proof = {};
    std::vector<Sentence> working = {}; ///< why it is thought to be there
};

/// Something seen that does not fit the rest.
struct Doubt {
    Length x;
    Sentence words;
    bool on_wall = true; ///< false: the reading lies beyond the wall
};

/// Where to put the probe next, and what for.
struct ProbeAdvice {
    enum class Purpose { find, close_left_edge, close_right_edge, settle_dispute };
    Length x;
    std::optional<Length> z = {}; ///< where the hole will be covered, if that was asked for; else clear of services
    Purpose purpose = Purpose::find;
    double wood = 0;        ///< probability of wood there
    double information = 0; ///< expected, bits
    Sentence words;         ///< what it would settle
};

/// A stretch of wall.
struct Stretch {
    Length left;
    Length right;
};

struct StudFindings {
    std::vector<FoundStud> studs; ///< in order along the wall
    StudPosterior posterior;
    std::vector<ProbedPlace> places;
    std::vector<ProvedWood> proved;
    std::vector<Doubt> doubts;
};

/// Studs from evidence and from what was told. A stud is proved by both its edges, indicated by evidence of its own at
/// StudRules::indicated_at, otherwise assumed; places less likely than one half are not called studs.
/// A stud told that the readings speak against is assumed. Readings outside the wall are left out and said to be.
StudFindings find_studs(const Wall& wall, const Framing& framing, const StudRules& rules);

/// The most telling place for the next probe within some stretches of the wall: a dispute is settled first, then the
/// edges of wood already hit are closed in the fewest expected probes, then new wood is looked for where a reading is
/// expected to tell most: H(E[p]) - E[H(p)], p the chance of a hit under each hypothesis. None: every stud there that
/// is likelier than `StudRules::worth_looking` is proved.
/// @param forbidden  no hole goes there, whatever it would tell: an edge is then closed as near as may be, or left
std::optional<ProbeAdvice> next_probe(const StudFindings& findings, const Framing& framing, const StudRules& rules,
                                      const std::vector<Stretch>& stretches,
                                      const std::vector<Stretch>& forbidden = {});

/// The wall from end to end but for its openings.
std::vector<Stretch> clear_of_openings(const Wall& wall);

enum class ProbeWhere { anywhere, under_the_work };

/// Where to probe this wall next, from what is known of it; the holes may be limited to where a shelf's back edge will
/// cover them. Never where a cable or a pipe is likely or was found: above or below that, else beside it; where a
/// detector read clear there is no strip. None: nothing left to prove there, no shelf to hide behind, or no timber to
/// find.
std::optional<ProbeAdvice> advise_probe(const Wall& wall, const std::optional<StudFindings>& known,
                                        const StudRules& rules, ProbeWhere where, const std::vector<Strip>& strips);

} // namespace yes_square
