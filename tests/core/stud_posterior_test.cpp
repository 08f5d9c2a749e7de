#include "core/survey/find_studs.hpp"
#include "core/survey/hidden_wall.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <numeric>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

Wall framed_wall(Length length) {
    Wall wall;
    wall.length = length;
    wall.height = 2400_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::inches(0, {1, 2})}};
    return wall;
}

StudFindings find(const Wall& wall) {
    return find_studs(wall, Framing{}, StudRules{});
}

void probe(Wall& wall, std::initializer_list<double> hits, std::initializer_list<double> misses) {
    for (const double x : hits)
        wall.observations.push_back({EvidenceKind::probe_hit, Length::nearest_to_metres(x / 1e3)});
    for (const double x : misses)
        wall.observations.push_back({EvidenceKind::probe_miss, Length::nearest_to_metres(x / 1e3)});
}

/// The first nominal centre that is likeliest under a spacing, mm, in a stretch of phases.
std::size_t likeliest_phase(const StudQuestion& question, double spacing, std::size_t from, std::size_t to) {
    for (const LayoutPrior& prior : layout_priors(question))
        if (std::abs(prior.spacing_mm - spacing) < 0.1)
            return static_cast<std::size_t>(
                std::max_element(prior.phase.begin() + static_cast<std::ptrdiff_t>(from),
                                 prior.phase.begin() + static_cast<std::ptrdiff_t>(std::min(to, prior.phase.size()))) -
                prior.phase.begin());
    return 0;
}

/// Wood at places of a wall, by drawing whole walls from the prior and weighing each by how well it explains every
/// probe reading: no sums over bays, no cuts, no likelihood ratios of single studs.
class DrawnWalls {
public:
    DrawnWalls(const StudQuestion& question, std::vector<Observation> readings, std::vector<double> places)
        : question_{question}
        , readings_{std::move(readings)}
        , places_{std::move(places)}
        , priors_{layout_priors(question)} {}

    std::vector<double> wood(std::size_t draws) {
        std::vector<double> sums(places_.size());
        double whole = 0;
        for (std::size_t i = 0; i < draws; ++i) {
            const auto studs = draw();
            const double weight = likelihood(studs);
            whole += weight;
            for (std::size_t p = 0; p < places_.size(); ++p)
                sums[p] += weight * wood_at(studs, places_[p]);
        }
        for (double& sum : sums)
            sum /= whole;
        return sums;
    }

private:
    struct Piece {
        double centre;
        double width;
    };
    double chance() { return std::uniform_real_distribution{0.0, 1.0}(random_); }

    std::vector<Piece> draw() {
        std::vector<Piece> studs;
        double left = chance();
        const LayoutPrior* prior = &priors_.back();
        for (const LayoutPrior& one : priors_)
            if ((left -= one.probability) < 0) {
                prior = &one;
                break;
            }
        const double length = question_.length.in_mm();
        std::vector<double> regular;
        double spacing = prior->spacing_mm;
        double phase = 0;
        if (spacing > 0) {
            phase = std::discrete_distribution<int>{prior->phase.begin(), prior->phase.end()}(random_);
            for (double at = phase; at <= length; at += spacing)
                if (chance() >= missing_at(at, question_)) {
                    const double centre =
                        at + std::round(std::normal_distribution{0.0, question_.rules.scatter.in_mm()}(random_));
                    studs.push_back({centre, 38});
                    regular.push_back(at);
                }
        } else {
            for (double at = 0; at <= length; at += 450)
                if (chance() < 0.75)
                    studs.push_back({at + chance() * 450, 38});
        }
        // Extras by their density, a millimetre at a time; never upon a regular stud.
        for (double at = 0; at <= length; at += 1) {
            const ExtraStuds extra = extra_studs(at, question_);
            if (std::ranges::any_of(regular, [&](double r) { return std::abs(r - at) <= 69; }))
                continue;
            const double drawn = chance();
            if (drawn < extra.single)
                studs.push_back({at, 38});
            else if (drawn < extra.single + extra.doubled)
                studs.push_back({at, 76});
        }
        return studs;
    }
    static double wood_at(const std::vector<Piece>& studs, double x) {
        double wood = 0;
        for (const Piece& stud : studs)
            wood = std::max(wood, covered(x - stud.centre, stud.width));
        return wood;
    }
    double likelihood(const std::vector<Piece>& studs) const {
        double product = 1;
        for (const Observation& seen : readings_) {
            const double hit = 0.01 + 0.98 * wood_at(studs, seen.x.in_mm());
            product *= seen.kind == EvidenceKind::probe_hit ? hit : 1 - hit;
        }
        return product;
    }

    const StudQuestion& question_;
    std::vector<Observation> readings_;
    std::vector<double> places_;
    std::vector<LayoutPrior> priors_;
    std::mt19937_64 random_{20'261'124};
};

} // namespace

// Common practice: framing is set out so that sheet edges fall on stud centres.
TEST_CASE("sheet edges of 48 in and 1200 mm land on studs set out from either kind of corner",
          "[survey][common-practice]") {
    struct Module {
        double sheet;
        double spacing;
    };
    for (const auto& [sheet, spacing] : {Module{1219.2, 406.4}, {1219.2, 609.6}, {1200, 400}, {1200, 600}}) {
        Wall wall = framed_wall(6000_mm);
        wall.right_end = WallEnd::open; // so that the left end's places stand apart
        const StudQuestion question = StudQuestion::of(wall, Framing{}, StudRules{});
        const double lining = wall.lining_thickness().in_mm();
        // Where this wall butts its return, sheets are counted from the return's framing, a lining before the corner.
        const auto phase = static_cast<double>(likeliest_phase(
            question, spacing, static_cast<std::size_t>(spacing - 40), static_cast<std::size_t>(spacing)));
        const double sheet_edge = sheet - lining;
        const double off = std::remainder(sheet_edge - phase, spacing);
        INFO(sheet << " mm sheets, " << spacing << " mm spacing, first stud at " << phase);
        CHECK(std::abs(off) <= 1);
    }
}

// Check value: 16 in o.c., 3 1/2 in return framing, 1/2 in lining.
TEST_CASE("the first stud is expected 12 in from the corner, or 15 1/2 in", "[survey][common-practice]") {
    Wall wall = framed_wall(6200_mm);
    wall.right_end = WallEnd::open;
    const StudQuestion question = StudQuestion::of(wall, Framing{}, StudRules{});
    CHECK(static_cast<double>(likeliest_phase(question, 406.4, 280, 340)) == Approx(12 * 25.4).margin(1));
    CHECK(static_cast<double>(likeliest_phase(question, 406.4, 370, 406)) == Approx(15.5 * 25.4).margin(1));
}

TEST_CASE("the prior over spacings and phases is whole", "[survey]") {
    const Wall wall = framed_wall(3600_mm);
    double sum = 0;
    for (const LayoutPrior& prior : layout_priors(StudQuestion::of(wall, Framing{}, StudRules{}))) {
        sum += prior.probability;
        if (!prior.phase.empty())
            CHECK(std::accumulate(prior.phase.begin(), prior.phase.end(), 0.0) == Approx(prior.probability));
    }
    CHECK(sum == Approx(1));
}

TEST_CASE("the posterior agrees with weighing drawn walls one by one", "[survey][reference][slow]") {
    struct Case {
        std::vector<double> hits;
        std::vector<double> misses;
    };
    for (const Case& given : {Case{{}, {}}, Case{{500}, {}}, Case{{500}, {470, 900}}, Case{{400, 806}, {600, 300}}}) {
        Wall wall = framed_wall(1300_mm);
        wall.left_end = WallEnd::open;
        wall.right_end = WallEnd::open;
        for (const double x : given.hits)
            wall.observations.push_back({EvidenceKind::probe_hit, Length::nearest_to_metres(x / 1e3)});
        for (const double x : given.misses)
            wall.observations.push_back({EvidenceKind::probe_miss, Length::nearest_to_metres(x / 1e3)});
        const StudQuestion question = StudQuestion::of(wall, Framing{}, StudRules{});
        std::vector<double> places;
        for (double x = 100; x < 1250; x += 50)
            places.push_back(x);
        const std::vector<double> drawn = DrawnWalls{question, wall.observations, places}.wood(60'000);
        const StudPosterior posterior = weigh_studs(question, wall.observations);
        for (std::size_t i = 0; i < places.size(); ++i) {
            INFO(given.hits.size() << " hits, " << given.misses.size() << " misses, at " << places[i]);
            CHECK(posterior.wood_at(Length::nearest_to_metres(places[i] / 1e3)) == Approx(drawn[i]).margin(0.06));
        }
    }
}

TEST_CASE("a stud is proved by both its edges, and only then", "[survey][common-practice]") {
    Wall wall = framed_wall(3600_mm);
    probe(wall, {1001, 1020, 1037}, {998});
    CHECK(find(wall).proved.empty());
    probe(wall, {}, {1040});
    const StudFindings findings = find(wall);
    REQUIRE(findings.proved.size() == 1);
    CHECK(findings.proved[0].verdict == ProvedWood::Verdict::stud);
    CHECK(findings.proved[0].centre() == 1019_mm);
    // Each edge anywhere in 3 mm: 3 / sqrt(12) / sqrt(2) mm.
    CHECK(findings.proved[0].uncertainty.in_mm() == Approx(0.612).margin(0.001));
    const auto stud =
        std::ranges::find(findings.studs, StudState::proved, [](const FoundStud& f) { return f.stud.state; });
    REQUIRE(stud != findings.studs.end());
    CHECK(stud->stud.centre == 1019_mm);
}

TEST_CASE("wood of another width than a stud's is no plain stud, twice the width is two", "[survey][common-practice]") {
    Wall pipe = framed_wall(3600_mm);
    probe(pipe, {1001, 1020}, {998, 1023});
    REQUIRE(find(pipe).proved.size() == 1);
    CHECK(find(pipe).proved[0].verdict == ProvedWood::Verdict::not_a_plain_stud);
    REQUIRE_FALSE(find(pipe).doubts.empty());
    CHECK(find(pipe).doubts[0].words.pattern.find("not a plain stud") != std::string_view::npos);

    Wall pair = framed_wall(3600_mm);
    probe(pair, {1001, 1020, 1038, 1056, 1075}, {998, 1078});
    const StudFindings findings = find(pair);
    REQUIRE(findings.proved.size() == 1);
    CHECK(findings.proved[0].verdict == ProvedWood::Verdict::doubled_stud);
    std::vector<Length> proved;
    for (const FoundStud& found : findings.studs)
        if (found.stud.state == StudState::proved)
            proved.push_back(found.stud.centre);
    CHECK(proved == std::vector<Length>{Length::micrometres(1'018'500), Length::micrometres(1'057'500)});
}

TEST_CASE("evidence that contradicts itself proves nothing, widens the answer and is pointed out", "[survey]") {
    Wall clean = framed_wall(3600_mm);
    probe(clean, {1001, 1020, 1037}, {998, 1040});
    Wall disputed = clean;
    probe(disputed, {}, {1001}); // the hit there is gainsaid
    const StudFindings findings = find(disputed);
    CHECK(findings.proved.empty());
    CHECK(std::ranges::any_of(findings.doubts, [](const Doubt& doubt) { return doubt.x == 1001_mm; }));
    CHECK(findings.posterior.wood_at(1001_mm) < find(clean).posterior.wood_at(1001_mm));
    const auto next = next_probe(findings, Framing{}, StudRules{}, clear_of_openings(disputed));
    REQUIRE(next);
    CHECK(next->purpose == ProbeAdvice::Purpose::settle_dispute);
    CHECK(next->x == 1001_mm);
}

TEST_CASE("two studs proved at 16 in make the next one likely, with the working that says why", "[survey]") {
    Wall wall = framed_wall(3600_mm);
    for (const double centre : {1000.0, 1406.4}) {
        const double c = centre;
        probe(wall, {c - 17.5, c, c + 17.5}, {c - 20.5, c + 20.5});
    }
    const StudFindings findings = find(wall);
    const auto third = std::ranges::find_if(
        findings.studs, [](const FoundStud& f) { return absolute(f.stud.centre - 1813_mm) < 6_mm; });
    REQUIRE(third != findings.studs.end());
    CHECK(third->stud.state == StudState::assumed); // likely, and yet only the spacing says so
    CHECK(third->probability > 0.8);
    REQUIRE_FALSE(third->working.empty());
    CHECK(third->working[0].pattern == "{0} from the proved stud at {1}");
    // A nail pop beside it is evidence of its own.
    wall.observations.push_back({EvidenceKind::nail_pop, 1815_mm});
    const StudFindings more = find(wall);
    const auto again =
        std::ranges::find_if(more.studs, [](const FoundStud& f) { return absolute(f.stud.centre - 1813_mm) < 6_mm; });
    REQUIRE(again != more.studs.end());
    CHECK(again->stud.state == StudState::indicated);
    CHECK(again->probability > third->probability);
    CHECK(std::ranges::any_of(again->working, [](const Sentence& s) { return s.pattern == "nail pop {0} away"; }));
}

TEST_CASE("the advice closes edges, keeps to the stretch and ends when all is proved", "[survey]") {
    std::mt19937_64 random{3};
    const HiddenWall hidden = make_hidden_wall(random, {3600_mm, 0, 0});
    const Stretch stretch{900_mm, 2400_mm};
    const ProbeSession session = probe_by_advice(hidden, stretch, 0, random);
    for (const Observation& seen : session.readings) {
        CHECK(seen.x >= stretch.left - 80_mm);
        CHECK(seen.x <= stretch.right + 80_mm);
    }
    for (const HiddenStud& stud : hidden.studs)
        if (stud.centre > stretch.left && stud.centre < stretch.right)
            CHECK(std::ranges::any_of(session.proved,
                                      [&](const Stud& p) { return absolute(p.centre - stud.centre) < 3_mm; }));
    const ProbeSession steps = probe_by_stepping(hidden, stretch, Length::inches(0, {1, 2}), 0, random);
    CHECK(session.holes * 3 < steps.holes);
}

TEST_CASE("holes can be kept to where a shelf will cover them", "[survey]") {
    Wall wall = framed_wall(3600_mm);
    CHECK_FALSE(advise_probe(wall, std::nullopt, StudRules{}, ProbeWhere::under_the_work, {}));
    Shelf shelf;
    shelf.left = 1500_mm;
    shelf.length = 900_mm;
    shelf.height = 1600_mm;
    shelf.thickness = 22_mm;
    wall.shelves = {shelf};
    const auto advice = advise_probe(wall, std::nullopt, StudRules{}, ProbeWhere::under_the_work, {});
    REQUIRE(advice);
    CHECK(advice->x >= 1500_mm);
    CHECK(advice->x <= 2400_mm);
    CHECK(advice->z == 1589_mm);
    wall.structure = Masonry{};
    CHECK_FALSE(advise_probe(wall, std::nullopt, StudRules{}, ProbeWhere::anywhere, {}));
}

TEST_CASE("readings off the wall and plates are left out and said to be", "[survey]") {
    Wall wall = framed_wall(3600_mm);
    wall.observations.push_back({EvidenceKind::probe_hit, 3700_mm});
    wall.observations.push_back({EvidenceKind::probe_hit, 1000_mm, 20_mm}); // into the sole plate
    const StudFindings findings = find(wall);
    CHECK(findings.doubts.size() == 2);
    CHECK(findings.places.empty());
    Wall clean = framed_wall(3600_mm);
    CHECK(findings.posterior.wood_at(1000_mm) == Approx(find(clean).posterior.wood_at(1000_mm)));
}

TEST_CASE("ten thousand readings, and a wall shorter than a stud, give an honest answer", "[survey]") {
    std::mt19937_64 random{11};
    const HiddenWall hidden = make_hidden_wall(random, {});
    Wall wall = hidden.wall;
    std::uniform_int_distribution<std::int64_t> anywhere{0, 3'600'000};
    for (int i = 0; i < 10'000; ++i) {
        const Length x = Length::micrometres(anywhere(random));
        wall.observations.push_back(
            {yes_square::probe(hidden, x, 0.01, random) ? EvidenceKind::probe_hit : EvidenceKind::probe_miss, x});
    }
    const StudFindings findings = find(wall);
    for (const double wood : findings.posterior.wood()) {
        CHECK(wood >= 0);
        CHECK(wood <= 1);
    }
    for (const FoundStud& found : findings.studs)
        if (found.stud.state == StudState::proved)
            CHECK(hidden.stud_near(found.stud.centre, 8_mm));
    for (const Length length : {Length::nanometres(1), 1_mm, 20_mm}) {
        Wall tiny = framed_wall(length);
        tiny.observations = {{EvidenceKind::probe_hit, Length{}}, {EvidenceKind::left_edge, Length{}}};
        const StudFindings little = find(tiny);
        for (const double wood : little.posterior.wood())
            CHECK(std::isfinite(wood));
        next_probe(little, Framing{}, StudRules{}, clear_of_openings(tiny));
    }
}

TEST_CASE("whatever was read, probabilities stay probabilities and a proof keeps its rules", "[survey][property]") {
    rc::prop("random evidence", [] {
        Wall wall = framed_wall(Length::mm(*rc::gen::inRange(50, 5000)));
        const int readings = *rc::gen::inRange(0, 60);
        for (int i = 0; i < readings; ++i)
            wall.observations.push_back(
                {static_cast<EvidenceKind>(*rc::gen::inRange(0, 12)),
                 Length::micrometres(*rc::gen::inRange(0, 5'200) * 1000), std::nullopt,
                 *rc::gen::inRange(0, 2) ? std::optional{Length::mm(*rc::gen::inRange(1, 40))} : std::nullopt});
        const StudFindings findings = find(wall);
        double share = 0;
        for (const SpacingShare& spacing : findings.posterior.spacings())
            share += spacing.probability;
        RC_ASSERT(std::abs(share - 1) < 1e-6);
        for (const double wood : findings.posterior.wood())
            RC_ASSERT(wood >= 0 && wood <= 1);
        for (const FoundStud& found : findings.studs) {
            RC_ASSERT(found.probability >= 0 && found.probability <= 1);
            if (found.stud.state != StudState::proved)
                continue;
            if (!found.proof) { // a detector found it, and its pilot hole met wood
                RC_ASSERT(std::ranges::any_of(findings.places, [&](const ProbedPlace& place) {
                    return place.settled() && place.wood() && absolute(place.x - found.stud.centre) < 19_mm;
                }));
                continue;
            }
            const double width = found.proof->width().in_mm();
            RC_ASSERT((width >= 35 && width <= 41) || (width >= 72 && width <= 80));
        }
        const auto next = next_probe(findings, Framing{}, StudRules{}, clear_of_openings(wall));
        if (next)
            RC_ASSERT(next->x >= Length{} - 100_mm && next->x <= wall.length + 100_mm);
    });
}

TEST_CASE("a hidden wall is the same for the same seed, and practice is judged against its truth",
          "[survey][practice]") {
    std::mt19937_64 a{42};
    std::mt19937_64 b{42};
    const HiddenWall one = make_hidden_wall(a, {});
    const HiddenWall two = make_hidden_wall(b, {});
    REQUIRE(one.studs.size() == two.studs.size());
    for (std::size_t i = 0; i < one.studs.size(); ++i)
        CHECK(one.studs[i].centre == two.studs[i].centre);
    const Stretch stretch = where_work_goes(one);
    CHECK(judge_practice(one, stretch, {}, a).proved == 0);
    const ProbeSession perfect = probe_by_advice(one, stretch, 0, a);
    const PracticeResult result = judge_practice(one, stretch, perfect.readings, a);
    CHECK(result.holes == perfect.holes);
    CHECK(result.wrong == 0);
    CHECK(result.proved > 0);
    CHECK(result.proved <= result.studs);
    CHECK(result.advice_holes > 0);
}

TEST_CASE("a spacing that was told is believed as far as told ones are right, and readings overrule it",
          "[survey][told]") {
    Wall wall = framed_wall(3600_mm);
    Framing framing;
    framing.spacing = 600_mm;
    const auto share = [&](Length spacing) {
        const StudPosterior posterior = weigh_studs(StudQuestion::of(wall, framing, StudRules{}), wall.observations);
        double probability = 0;
        for (const SpacingShare& each : posterior.spacings())
            if (absolute(each.spacing - spacing) < 1_mm)
                probability += each.probability;
        return probability;
    };
    const double untold = share(600_mm);
    framing.told = true;
    // Right in seven of ten, and else as usual as anywhere.
    CHECK(share(600_mm) == Approx(0.7 + 0.3 * untold).margin(0.01));
    double sum = 0;
    for (const LayoutPrior& prior : layout_priors(StudQuestion::of(wall, framing, StudRules{})))
        sum += prior.probability;
    CHECK(sum == Approx(1));
    for (const int x : {400, 800, 1200, 1600})
        for (const EvidenceKind kind : {EvidenceKind::left_edge, EvidenceKind::right_edge})
            wall.observations.push_back({kind, Length::mm(x + (kind == EvidenceKind::left_edge ? -19 : 19))});
    CHECK(share(400_mm) > 0.9);
}

TEST_CASE("a stud that was told raises what is likely there and at every spacing from it, and no more than that",
          "[survey][told]") {
    Wall wall = framed_wall(3600_mm);
    Framing framing;
    framing.spacing = 400_mm;
    framing.told = true;
    const auto likely = [&](Length x) {
        return weigh_studs(StudQuestion::of(wall, framing, StudRules{}), wall.observations).stud_within(x, 19_mm);
    };
    const double before = likely(250_mm);
    const double further = likely(1450_mm);
    framing.told_stud = 250_mm;
    CHECK(likely(250_mm) > std::max(0.5, 2 * before));
    CHECK(likely(250_mm) < 0.9); // nobody has met its wood
    CHECK(likely(1450_mm) > 2 * further);
    wall.observations.push_back({EvidenceKind::probe_miss, 250_mm});
    wall.observations.push_back({EvidenceKind::probe_miss, 240_mm});
    wall.observations.push_back({EvidenceKind::probe_miss, 260_mm});
    CHECK(likely(250_mm) < 0.2);
    StudRules sure;
    sure.told_right = 1;
    const StudPosterior posterior = weigh_studs(StudQuestion::of(wall, framing, sure), wall.observations);
    for (const double density : posterior.centres())
        CHECK(std::isfinite(density));
}
