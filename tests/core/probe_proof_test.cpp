#include "core/survey/probe_proof.hpp"

#include <algorithm>
#include <catch2/catch.hpp>

using namespace yes_square;

namespace {

const StudRules rules;

Observation seen(EvidenceKind kind, Length x, std::optional<Length> error = {}) {
    return {kind, x, std::nullopt, error};
}
std::vector<ProvedWood> proved(const std::vector<Observation>& observations) {
    return proved_wood(probed_places(observations, rules), 38_mm, rules);
}

} // namespace

TEST_CASE("readings less than a millimetre apart are of one place, where the majority says", "[survey]") {
    const auto places = probed_places({seen(EvidenceKind::probe_hit, 1000_mm), seen(EvidenceKind::probe_miss, 1000_mm),
                                       seen(EvidenceKind::probe_hit, Length::micrometres(1'000'400)),
                                       seen(EvidenceKind::probe_miss, 1001_mm)},
                                      rules);
    REQUIRE(places.size() == 2);
    CHECK(places[0].hits == 2);
    CHECK(places[0].misses == 1);
    CHECK(places[0].settled());
    CHECK(places[0].wood());
    CHECK(places[0].disputed());
    CHECK_FALSE(places[1].wood());
    CHECK_FALSE(places[1].disputed());
}

TEST_CASE("traces other than probes are no readings of a place", "[survey]") {
    for (const EvidenceKind kind : {EvidenceKind::detector, EvidenceKind::screw_line, EvidenceKind::nail_pop,
                                    EvidenceKind::knock_solid, EvidenceKind::knock_hollow, EvidenceKind::skirting_nails,
                                    EvidenceKind::box_stud_left, EvidenceKind::box_stud_right})
        CHECK(probed_places({seen(kind, 1000_mm)}, rules).empty());
}

TEST_CASE("two edges typed prove a stud as the probes that found them would", "[survey][common-practice]") {
    const auto wood = proved({seen(EvidenceKind::left_edge, 1000_mm), seen(EvidenceKind::right_edge, 1038_mm)});
    REQUIRE(wood.size() == 1);
    CHECK(wood[0].left == 1000_mm);
    CHECK(wood[0].width() == 38_mm);
    CHECK(wood[0].verdict == ProvedWood::Verdict::stud);
    // An edge known to 10 mm only is not closed.
    CHECK(proved({seen(EvidenceKind::left_edge, 1000_mm, 10_mm), seen(EvidenceKind::right_edge, 1038_mm)}).empty());
    // One known finer makes the centre surer.
    const auto finer =
        proved({seen(EvidenceKind::left_edge, 1000_mm, 1_mm), seen(EvidenceKind::right_edge, 1038_mm, 1_mm)});
    REQUIRE(finer.size() == 1);
    CHECK(finer[0].uncertainty < wood[0].uncertainty);
}

TEST_CASE("edges that contradict each other prove nothing", "[survey][safety]") {
    // The right edge lies left of the left one: what is between would be no wood.
    CHECK(proved({seen(EvidenceKind::left_edge, 1040_mm), seen(EvidenceKind::right_edge, 1000_mm)}).empty());
    // A miss in the middle of what two edges enclose splits it: neither half is closed on both sides by 3 mm.
    CHECK(proved({seen(EvidenceKind::left_edge, 1000_mm), seen(EvidenceKind::right_edge, 1038_mm),
                  seen(EvidenceKind::probe_miss, 1019_mm)})
              .empty());
}

// 38 +- 3 mm for a stud, 76 +- 4 mm for two; common practice.
TEST_CASE("the widths that count as a stud and as two are the trade's", "[survey][common-practice]") {
    const auto verdict = [](Length width) {
        const auto wood =
            proved({seen(EvidenceKind::left_edge, 1000_mm), seen(EvidenceKind::probe_hit, 1000_mm + width / 2),
                    seen(EvidenceKind::right_edge, 1000_mm + width)});
        REQUIRE(wood.size() == 1);
        return wood[0].verdict;
    };
    using enum ProvedWood::Verdict;
    for (const Length width : {35_mm, 38_mm, 41_mm})
        CHECK(verdict(width) == stud);
    for (const Length width : {72_mm, 76_mm, 80_mm})
        CHECK(verdict(width) == doubled_stud);
    for (const Length width : {12_mm, 34_mm, 42_mm, 60_mm, 71_mm, 81_mm, 114_mm})
        CHECK(verdict(width) == not_a_plain_stud);
}

TEST_CASE("the order of readings does not matter to a proof", "[survey]") {
    std::vector<Observation> readings{seen(EvidenceKind::probe_miss, 998_mm), seen(EvidenceKind::probe_hit, 1001_mm),
                                      seen(EvidenceKind::probe_hit, 1020_mm), seen(EvidenceKind::probe_hit, 1037_mm),
                                      seen(EvidenceKind::probe_miss, 1040_mm)};
    do {
        const auto wood = proved(readings);
        REQUIRE(wood.size() == 1);
        CHECK(wood[0].centre() == 1019_mm);
        std::rotate(readings.begin(), readings.begin() + 1, readings.end());
    } while (readings.front().x != 998_mm);
}
