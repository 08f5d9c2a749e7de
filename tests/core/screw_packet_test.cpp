// Screws by their packet: thread, core, head, and what EN 14592 has makers declare.
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/en_screw.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/job/file.hpp"
#include "core/job/own_entries.hpp"
#include "core/reckon/fixing_options.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

WoodScrew five(std::optional<ScrewPacket> packet = std::nullopt) {
    return {ScrewGauge::metric_5, {70_mm}, std::move(packet)};
}

ScrewPacket declared(Pressure withdrawal, Pressure pull_through = 0, Force tensile = 0) {
    ScrewPacket packet;
    packet.name = "Yellow box, 5 x 70";
    packet.withdrawal = withdrawal;
    packet.pull_through = pull_through;
    packet.tensile = tensile;
    return packet;
}

/// What 5 mm screws of a packet hold through 16 mm of board in a stud, by a school.
FixingStrength held(const std::optional<ScrewPacket>& packet, TimberSchool school,
                    std::optional<double> gravity = 0.5) {
    Catalogue catalogue = shipped_catalogue();
    catalogue.wood_screws = {five(packet)};
    HouseRules rules;
    rules.timber = school;
    Wall wall = stud_wall();
    auto& framing = std::get<Framing>(wall.structure);
    framing.species = Species::c16;
    framing.stud_width = 45_mm; // 5 mm screws want it by EN
    DrivenThrough through{16_mm, 20_mpa, 6_mm};
    through.gravity = gravity;
    through.head = 10_mm;
    const ChosenFixing chosen{ScrewGauge::metric_5};
    const auto choice =
        choose_fixing({catalogue, rules, wall, &chosen}, Substrate::proved_stud, through, {{10_n, 10_n}});
    REQUIRE(choice);
    return choice->fixing.strength();
}

} // namespace

TEST_CASE("a packet that says nothing changes nothing", "[fixings][packet]") {
    for (const TimberSchool school : {TimberSchool::en, TimberSchool::nds}) {
        CHECK(held(ScrewPacket{}, school).tension == held({}, school).tension);
        CHECK(held(ScrewPacket{}, school).shear == held({}, school).shear);
    }
    const ScrewProperties plain = properties(five());
    const ScrewProperties& gauge = properties(ScrewGauge::metric_5);
    CHECK(plain.root_in == gauge.root_in);
    CHECK(name_of(five()) == gauge.wood_screw_words);
    CHECK(name_of(five(declared(0))) == "Yellow box, 5 x 70");
}

// f_ax d l (rho/350)^0.8 with what the packet declares, by hand: EN 1995-1-1 (8.39), from memory.
TEST_CASE("declared withdrawal goes before the cautious figure", "[fixings][packet]") {
    ScrewProperties screw = properties(five(declared(Pressure::megapascals(12.6))));
    const Density c16 = characteristic_density(Species::c16);
    CHECK(en_withdrawal(screw, c16, 40_mm).in_newtons() == Approx(12.6 * 5 * 40 * std::pow(310.0 / 350, 0.8)));
    // Of a stout screw too, whose figure would be reckoned otherwise.
    WoodScrew coach{ScrewGauge::coach_m8, {100_mm}, declared(Pressure::megapascals(10))};
    CHECK(en_withdrawal(properties(coach), c16, 60_mm).in_newtons() ==
          Approx(10 * 8 * 60 * std::pow(310.0 / 350, 0.8)));
    CHECK(en_pull_through(Density::kg_per_cubic_metre(350), 10_mm, Pressure::megapascals(16)).in_newtons() ==
          Approx(1600));
    screw.tensile = Force::newtons(7500);
    CHECK(en_tension(screw).in_newtons() == Approx(7500 / 1.25 / 1.5));
}

TEST_CASE("what limits a screw by its packet is the least of all of it, by both schools", "[fixings][packet][safety]") {
    for (const TimberSchool school : {TimberSchool::en, TimberSchool::nds}) {
        const Force usual = held({}, school, std::nullopt).tension;
        const Force weak = held(declared(0, 0, 300_n), school, std::nullopt).tension;
        CHECK(weak < usual);
        CHECK(weak.in_newtons() <= 300 / 1.875 + 0.001);
    }
    const Force strong = held(declared(Pressure::megapascals(13)), TimberSchool::en, std::nullopt).tension;
    CHECK(strong / held({}, TimberSchool::en, std::nullopt).tension == Approx(13.0 / 9));
    // Through soft wood its head goes first, by whatever it declares of itself.
    CHECK(held(declared(Pressure::megapascals(13), Pressure::megapascals(4)), TimberSchool::en, 0.36).tension < strong);
}

TEST_CASE("a short thread holds by its length, a thin core by its thickness", "[fixings][packet]") {
    ScrewPacket packet;
    packet.thread = 35_mm; // of 70, where two thirds would be 46.7
    CHECK(thread_of_in(properties(five(packet)), (70_mm).in_inches()) == Approx((35_mm).in_inches()));
    CHECK(thread_of_in(properties(five()), (60_mm).in_inches()) == Approx((40_mm).in_inches()));
    CHECK(held(packet, TimberSchool::en).thread == 35_mm);
    for (const TimberSchool school : {TimberSchool::en, TimberSchool::nds}) // through steel: no head governs
        CHECK(held(packet, school, std::nullopt).tension < held({}, school, std::nullopt).tension);
    packet = {};
    packet.root = Length::micrometres(2600);
    CHECK(held(packet, TimberSchool::en).shear < held({}, TimberSchool::en).shear);
    CHECK(held(packet, TimberSchool::nds).shear < held({}, TimberSchool::nds).shear);
}

TEST_CASE("a core typed thicker than its thread holds no more than the thread is thick", "[fixings][packet][safety]") {
    ScrewPacket packet;
    packet.root = 9_mm; // of a 5 mm screw
    CHECK(properties(five(packet)).root_in == properties(ScrewGauge::metric_5).diameter_in);
}

TEST_CASE("a packet is kept in the job's file, goes from job to job, and names its screw on the sheet",
          "[fixings][packet][file]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    for (WoodScrew& screw : job.catalogue.wood_screws)
        screw.packet = declared(Pressure::megapascals(12));
    const auto read = read_job(write_job(job));
    REQUIRE(read);
    CHECK(read->job.catalogue.wood_screws == job.catalogue.wood_screws);
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE(plan.brackets.front().fixing);
    CHECK(plan.brackets.front().fixing->name == "Yellow box, 5 x 70");
    CHECK(plan.brackets.front().fixing->source.publication.find("by its packet") != std::string_view::npos);
    Job next = new_job();
    add_entries(next.catalogue, own_entries(job.catalogue));
    CHECK(next.catalogue.wood_screws.size() == new_job().catalogue.wood_screws.size());
    for (const WoodScrew& screw : next.catalogue.wood_screws)
        CHECK(screw.packet == job.catalogue.wood_screws.front().packet);
}

TEST_CASE("a support that was kept comes back from its table and its document", "[catalogue][file]") {
    Catalogue catalogue;
    for (const ShelfPreset& preset : shelf_presets())
        keep_support(catalogue, new_shelf(preset, stud_wall()).holding, std::string{preset.words} + ", mine");
    CHECK(catalogue.supports.front().id == "own-1");
    const std::string table = entries_csv(catalogue.supports);
    const auto read = entries_from_csv<Support>(table);
    INFO(table);
    REQUIRE(read);
    CHECK(*read == catalogue.supports);
    const auto document = read_catalogue(write_catalogue(catalogue));
    REQUIRE(document);
    CHECK(document->supports == catalogue.supports);
    const auto typed = entries_from_csv<Support>("name,held_by/kind,held_by/diameter,held_by/in_wall,held_by/resin\n"
                                                 "Site rods,hidden_rods,1/2 in,90,true\n");
    REQUIRE(typed);
    const auto& rods = std::get<OnHiddenRods>(typed->front().holding);
    CHECK(rods.diameter == Length::inches(0, {1, 2}));
    CHECK(rods.resin);
}

TEST_CASE("a table of supports that cannot be read says the line, the way and the cure", "[catalogue][file]") {
    const auto problem = [](std::string_view table) {
        const auto read = entries_from_csv<Support>(table);
        REQUIRE_FALSE(read);
        return read.error();
    };
    CHECK(problem("name\n").find("the table holds nothing") == 0);
    CHECK(problem("name,held_by/kind\nA,glue\n").find("line 2, held_by.kind: \"glue\" is not known") == 0);
    CHECK(problem("name,held_by/kind,held_by/diameter\nA,hidden_rods,-3\n").find("line 2, held_by.diameter: -3") == 0);
    CHECK(problem("name,held_by/kind,held_by/diameter\nA,hidden_rods,1e300\n").find("line 2") == 0);
    CHECK(problem("name,held_by/kind,held_by/diameter\nA,hidden_rods,nan\n").find("line 2") == 0);
    CHECK(problem("name\nA\n").find("line 2, held_by: missing") == 0);
    CHECK(problem("name,held_by,held_by/kind\nA,x,hidden_rods\n").find("line 2: its columns do not name") == 0);
}
