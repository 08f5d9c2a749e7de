#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/reckon/reckon.hpp"
#include "piece_walls.hpp"

#include <catch2/catch.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

/// What every fitter expects of a screw, whatever the formula: more of it, or of what it passes through, never holds
/// less.
namespace {

Length drawn(int from_mm, int to_mm) {
    return Length::mm(*rc::gen::inRange(from_mm, to_mm));
}

Wall any_stud_wall() {
    Wall wall;
    wall.length = 3000_mm;
    wall.height = 2400_mm;
    Framing framing;
    framing.stud_depth = 89_mm;
    framing.species = static_cast<Species>(*rc::gen::inRange(0, 7));
    wall.structure = framing;
    wall.lining = {{LiningMaterial::plasterboard, drawn(0, 30), {}}};
    return wall;
}

/// Through a wooden rail, with a washer or without.
DrivenThrough through_wood(Length thickness, Length packing) {
    DrivenThrough through;
    through.thickness = thickness;
    through.gravity = specific_gravity(static_cast<Species>(*rc::gen::inRange(0, 7)));
    through.bearing = wood_bearing(*through.gravity);
    through.head = *rc::gen::arbitrary<bool>() ? 9_mm : 13_mm;
    through.packing = packing;
    return through;
}

std::vector<HoleDemand> any_demand() {
    const auto force = [](int least) { return Force::newtons(*rc::gen::inRange(least, 800)); };
    return {{force(0), force(0), duration_stored}, {force(1), 0, duration_people}};
}

ScrewGauge any_gauge() {
    return static_cast<ScrewGauge>(*rc::gen::inRange(0, static_cast<int>(all_gauges().size())));
}

/// Weighs by one of the schools.
struct Scales {
    HouseRules rules;

    static Scales any() {
        Scales scales;
        scales.rules.timber = *rc::gen::arbitrary<bool>() ? TimberSchool::en : TimberSchool::nds;
        return scales;
    }
    std::optional<FixingChoice> weigh(ScrewGauge gauge, Length length, const Wall& wall, const DrivenThrough& through,
                                      const std::vector<HoleDemand>& demands) const {
        return weigh_given(gauge, length, {shipped_catalogue(), rules, wall}, through, demands);
    }
};

/// Whether one screw is used no more than another. What cannot be given is no screw to compare.
void no_worse(const std::optional<FixingChoice>& better, const std::optional<FixingChoice>& worse) {
    RC_PRE(better && worse);
    RC_ASSERT(better->utilisation <= worse->utilisation ||
              better->utilisation.number() <= worse->utilisation.number() * (1 + 1e-9));
}

} // namespace

TEST_CASE("a longer screw, a thicker rail, less packing never hold less", "[fixings][safety][property]") {
    rc::prop("a longer screw of the same gauge", [] {
        const Wall wall = any_stud_wall();
        const DrivenThrough through = through_wood(drawn(6, 30), drawn(0, 10));
        const std::vector<HoleDemand> demands = any_demand();
        const Scales scales = Scales::any();
        const ScrewGauge gauge = any_gauge();
        const Length length = drawn(40, 110);
        no_worse(scales.weigh(gauge, length + drawn(1, 40), wall, through, demands),
                 scales.weigh(gauge, length, wall, through, demands));
    });
    rc::prop("a thicker rail, the screw as deep in the stud as before", [] {
        const Wall wall = any_stud_wall();
        DrivenThrough thick = through_wood(drawn(6, 30), drawn(0, 10));
        const DrivenThrough thin = thick;
        const Length more = drawn(1, 20);
        thick.thickness += more;
        const std::vector<HoleDemand> demands = any_demand();
        const Scales scales = Scales::any();
        const ScrewGauge gauge = any_gauge();
        const Length length = drawn(40, 110);
        no_worse(scales.weigh(gauge, length + more, wall, thick, demands),
                 scales.weigh(gauge, length, wall, thin, demands));
    });
    rc::prop("less packing behind the same rail", [] {
        const Wall wall = any_stud_wall();
        DrivenThrough packed = through_wood(drawn(6, 30), drawn(1, 15));
        DrivenThrough bare = packed;
        bare.packing -= std::min(bare.packing, drawn(1, 15));
        const std::vector<HoleDemand> demands = any_demand();
        const Scales scales = Scales::any();
        const ScrewGauge gauge = any_gauge();
        const Length length = drawn(40, 110);
        no_worse(scales.weigh(gauge, length, wall, bare, demands), scales.weigh(gauge, length, wall, packed, demands));
    });
    rc::prop("less packing behind a rail on masonry", [] {
        Wall wall = any_stud_wall();
        wall.structure = Masonry{static_cast<MasonryKind>(*rc::gen::inRange(0, 4))};
        DrivenThrough packed = through_wood(drawn(6, 30), drawn(1, 15));
        DrivenThrough bare = packed;
        bare.packing -= std::min(bare.packing, drawn(1, 15));
        const std::vector<HoleDemand> demands = any_demand();
        const auto better = choose_fixing({new_job().catalogue, {}, wall}, Substrate::masonry, bare, demands);
        const auto worse = choose_fixing({new_job().catalogue, {}, wall}, Substrate::masonry, packed, demands);
        RC_PRE(better && worse);
        // Of those that will do the easiest to set is taken, which need not be the one used least.
        if (worse->utilisation.over())
            RC_ASSERT(better->utilisation <= worse->utilisation);
        else
            RC_ASSERT_FALSE(better->utilisation.over());
    });
}

TEST_CASE("one screw more in a cabinet that hangs never uses the others more", "[audit][safety][property]") {
    rc::prop("as found", [] {
        HungCabinet hung;
        hung.id = "hung";
        hung.unit.name = "Cabinet";
        hung.unit.width = drawn(350, 1200);
        hung.unit.height = drawn(400, 900);
        hung.unit.depth = drawn(200, 400);
        hung.unit.mass = Mass::kg(*rc::gen::inRange(5, 40));
        hung.unit.loaded_mass = Mass::kg(*rc::gen::inRange(41, 150));
        hung.unit.rails = {{60_mm, 80_mm, drawn(8, 22)}, {hung.unit.height - 60_mm, 80_mm, drawn(8, 22)}};
        hung.left = drawn(300, 1500);
        hung.top = 2100_mm;
        hung.top_screws = *rc::gen::inRange(1, 5);
        hung.bottom_screws = *rc::gen::inRange(0, 5);
        hung.studs = *rc::gen::inRange(1, 4);
        hung.gauge = ScrewGauge::number_10;
        hung.screw_length = drawn(60, 95);
        hung.broad_heads = *rc::gen::arbitrary<bool>();
        const auto found = [](const HungCabinet& cabinet) {
            Job job = bare_job();
            job.walls.front().hung = {cabinet};
            return reckon(job).walls.front()->hung.front();
        };
        HungCabinet more = hung;
        ++(*rc::gen::arbitrary<bool>() ? more.top_screws : more.bottom_screws);
        const HungPlan before = found(hung);
        const HungPlan after = found(more);
        RC_PRE(before.utilisation.known());
        RC_ASSERT(after.utilisation.known());
        RC_ASSERT(after.utilisation.number() <= before.utilisation.number() * (1 + 1e-6));
        RC_ASSERT(after.verdict <= before.verdict); // sound, add, unload
    });
}
