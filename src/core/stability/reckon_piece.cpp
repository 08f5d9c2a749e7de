#include "core/stability/reckon_piece.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"
#include "core/stability/piece_words.hpp"
#include "core/stability/restraint.hpp"
#include "core/stability/tip_cases.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Whether a case alone makes a piece unsafe that nothing holds. An adult's pull does not, nor what children do where
/// none are about: those call for a restraint.
bool decides(const TipCase& tip, const Piece& piece) {
    if (tip.kind == TipCaseKind::closed_pulled)
        return false;
    return piece.children || (tip.kind != TipCaseKind::climbed && tip.kind != TipCaseKind::all_open_pulled);
}

/// Whether what holds it is all that it should be.
bool holds(const Piece& piece, const PiecePlan& plan) {
    return !plan.holes.empty() &&
           std::ranges::none_of(plan.holes,
                                [](const PlannedHole& hole) { return hole.in_strip() || !hole.no_wall.empty(); }) &&
           plan.fixing_utilisation.within() &&
           (!has_hardware(piece.restraint.kind) || plan.rating_utilisation.within()) &&
           (piece.restraint.kind != RestraintKind::cleat || plan.frame_screws > 0);
}

PiecePlan without_words(const Piece& piece, const WallSite& site) {
    PiecePlan plan;
    plan.id = piece.id;
    plan.name = piece.name;
    plan.restraint_height = std::max(piece.height / 2, restraint_height(piece));
    plan.cases = tip_cases(piece, site.rules.tipping, plan.restraint_height.in_metres());
    for (std::size_t i = 0; i < plan.cases.size(); ++i) {
        const TipCase& tip = plan.cases[i];
        const TipCase& worst = plan.cases[plan.worst];
        if (tip.needs > worst.needs || (tip.needs == worst.needs && tip.balance.margin() < worst.balance.margin()))
            plan.worst = i;
        plan.tips = plan.tips || tip.balance.tips();
    }
    plan.needs = plan.cases[plan.worst].needs;
    hold_piece(piece, site, plan);
    const bool unsafe =
        std::ranges::any_of(plan.cases, [&](const TipCase& tip) { return tip.balance.tips() && decides(tip, piece); });
    if (holds(piece, plan))
        plan.verdict = PieceVerdict::held;
    else if (unsafe)
        plan.verdict = PieceVerdict::unsafe;
    else if (plan.tips || piece.height >= site.rules.tipping.advised_from)
        plan.verdict = PieceVerdict::advised;
    else
        plan.verdict = PieceVerdict::stands;
    return plan;
}

class PieceChecker : CheckWriter {
public:
    PieceChecker(const Piece& piece, const WallSite& site, PiecePlan& plan)
        : CheckWriter{plan.checks, piece.left + piece.width / 2, piece.height}
        , piece_{piece}
        , how_{piece.restraint}
        , site_{site}
        , plan_{plan} {}

    void check() {
        stands();
        if (how_.kind != RestraintKind::none)
            restraint();
    }

private:
    void stands() {
        if (plan_.verdict == PieceVerdict::held || plan_.verdict == PieceVerdict::stands)
            return;
        if (plan_.verdict == PieceVerdict::unsafe) {
            const TipCase& worst = worst_that_decides();
            Check& tips =
                add(checks::piece_tips,
                    {"{0} tips: {1}, it turns over with {2} and only {3} holds it back",
                     {piece_.name, words(worst.kind), quantity(worst.balance.over), quantity(worst.balance.righting)}},
                    quantity(-worst.balance.margin()));
            hold_it(tips);
            return;
        }
        Check& advised = plan_.tips
                             ? add(checks::restraint_advised, {"{0} stands while it is left alone, but tips: {1}",
                                                               {piece_.name, words(plan_.cases[plan_.worst].kind)}})
                             : add(checks::restraint_advised,
                                   {"{0} is {1} tall: hold it to the wall whatever the sums say",
                                    {piece_.name, quantity(piece_.height)}},
                                   quantity(piece_.height));
        hold_it(advised);
    }

    const TipCase& worst_that_decides() const {
        const TipCase* worst = nullptr;
        for (const TipCase& tip : plan_.cases)
            if (tip.balance.tips() && decides(tip, piece_) && (!worst || tip.needs > worst->needs))
                worst = &tip;
        return *worst;
    }

    /// Each way of holding it that the catalogue and the wall allow, tried.
    void hold_it(Check& check) {
        const std::size_t before = check.cures.size();
        const bool studs = site_.timber() != nullptr;
        for (const auto& [kind, said] :
             {std::pair{RestraintKind::through_frame,
                        studs ? std::string_view{"Screw its frame ({0}) to {1} studs"}
                              : std::string_view{"Screw its frame ({0}) to the wall, {1} places"}},
              std::pair{RestraintKind::cleat, studs ? std::string_view{"Or a cleat of {0} on {1} studs"}
                                                    : std::string_view{"Or a cleat of {0}, {1} places"}}}) {
            if (const auto tried = held_by(kind))
                advise(check,
                       {said,
                        {quantity(tried->restraint.through), count(static_cast<std::size_t>(tried->restraint.number))}},
                       Change<Piece>{*tried});
        }
        advise(check, {"Or angle brackets on its top, or straps, by their maker's figure, into proved studs"});
        if (check.cures.size() == before + 1)
            advise(check, site_.timber()
                              ? Sentence{"Prove the studs behind it with a probe, or move it to where two are"}
                              : Sentence{"Put wood behind the lining first, or plugs in masonry by their packet"});
    }

    std::optional<Piece> held_by(RestraintKind kind) const {
        Piece draft = piece_;
        draft.restraint.kind = kind;
        draft.restraint.in_lining = false;
        draft.restraint.gauge.reset();
        draft.restraint.down = std::min(draft.restraint.down, draft.height / 10);
        if (draft.restraint.through <= site_.rules.runs.thin_back)
            draft.restraint.through = Restraint{}.through;
        for (int number = std::max(1, draft.restraint.number); number <= 4; ++number) {
            draft.restraint.number = number;
            if (draft != piece_ && without_words(draft, site_).verdict == PieceVerdict::held)
                return draft;
        }
        return std::nullopt;
    }

    void restraint() {
        if (const auto why = refusal(piece_, site_.rules)) {
            Check& refused = add(checks::restraint_refused, *why);
            if (plan_.verdict != PieceVerdict::unsafe)
                hold_it(refused);
            return;
        }
        if (plan_.holes.empty())
            return none_counts();
        if (plan_.holes.size() < static_cast<std::size_t>(std::max(1, how_.number)))
            advise(add(checks::restraint_few, {"{0}: proved studs behind it: {1}; one place bears all of it",
                                               {piece_.name, count(plan_.holes.size())}}),
                   {"Prove another, or put a nogging or a cleat across two studs"});
        fixing();
        hardware();
        if (how_.kind == RestraintKind::cleat && plan_.fixing && plan_.frame_screws == 0)
            advise(add(checks::restraint_refused, {"A cleat of {0} is too thin to hold the screws of {1}'s frame",
                                                   {quantity(how_.through), piece_.name}}),
                   {"{0} or more holds them", {quantity(25_mm)}});
    }

    void none_counts() {
        std::size_t assumed = 0;
        std::size_t indicated = 0; // or found by a detector
        for (const Stud& stud : site_.survey.studs)
            if (stud.centre > piece_.left && stud.centre < piece_.right()) {
                assumed += stud.state == StudState::assumed;
                indicated += stud.state == StudState::indicated || stud.state == StudState::detected;
            }
        Check& none = add(
            checks::restraint_refused,
            assumed + indicated > 0
                ? Sentence{"No stud behind {0} is proved: assumed only {1}, indicated or detected {2}. Neither holds "
                           "it back",
                           {piece_.name, count(assumed), count(indicated)}}
                : Sentence{"Nothing behind {0} that a fixing could hold in: no proved stud, no masonry",
                           {piece_.name}});
        if (assumed + indicated > 0)
            advise(none, {"Prove them with a probe, or one pilot hole, where the piece hides the holes"});
        advise(none, {"Move it to where studs are, or set a nogging behind the lining"});
    }

    void fixing() {
        if (!plan_.fixing) {
            advise(add(checks::no_fixing,
                       {"{0}: no screw or plug at hand reaches through what is before it and holds", {piece_.name}}),
                   {"Add a longer screw, or a plug for this wall, to those at hand"});
            return;
        }
        const bool given = how_.gauge && how_.screw_length > Length{} && site_.timber();
        if (given && plan_.fixing->penetration < site_.rules.penetration_wanted) {
            Check& too_short =
                add(checks::thread_short, plan_.fixing_utilisation.over() ? Severity::error : Severity::warning,
                    {"{0}: the screw reaches {1} into the stud, {2} is wanted",
                     {piece_.name, stock(plan_.fixing->penetration), stock(site_.rules.penetration_wanted)}},
                    stock(site_.rules.penetration_wanted - plan_.fixing->penetration));
            longer(too_short);
        }
        if (plan_.fixing_utilisation.over()) {
            Check& over = add(checks::fixing_overloaded,
                              {"{0}: each place must bear {1}, {2} of what its screw holds",
                               {piece_.name, quantity(plan_.each), ratio(plan_.fixing_utilisation)}},
                              ratio(plan_.fixing_utilisation));
            if (given)
                longer(over);
            else if (plan_.verdict != PieceVerdict::unsafe)
                hold_it(over);
        }
    }

    /// The next longer screw of its gauge that holds it with all its wanted penetration.
    void longer(Check& check) {
        const auto stocked = std::ranges::find(site_.catalogue.wood_screws, *how_.gauge, &WoodScrew::gauge);
        std::vector<Length> lengths =
            stocked == site_.catalogue.wood_screws.end() ? std::vector<Length>{} : stocked->lengths;
        std::ranges::sort(lengths);
        for (const Length length : lengths) {
            Piece draft = piece_;
            draft.restraint.screw_length = length;
            if (length <= how_.screw_length)
                continue;
            const PiecePlan tried = without_words(draft, site_);
            if (tried.fixing && tried.fixing->penetration >= site_.rules.penetration_wanted &&
                tried.fixing_utilisation.within())
                return advise(check, {"Take a screw {0} long", {stock(length)}}, Change<Piece>{draft});
        }
        Piece draft = piece_;
        draft.restraint.gauge.reset();
        if (const PiecePlan tried = without_words(draft, site_); tried.fixing && tried.fixing_utilisation.within())
            advise(check, {"Take {0}, {1} long, instead", {tried.fixing->name, stock(tried.fixing->screw_length)}},
                   Change<Piece>{draft});
    }

    void hardware() {
        if (!has_hardware(how_.kind))
            return;
        if (!how_.rating)
            advise(
                add(checks::restraint_unrated,
                    {"{0}: what one of them bears is unknown; each must bear {1}", {piece_.name, quantity(plan_.each)}},
                    quantity(plan_.each)),
                {"Enter its maker's figure; a kit tested to ASTM F3096 bears {0} at least",
                 {quantity(site_.rules.tipping.restraint_least)}});
        else if (plan_.rating_utilisation.over())
            advise(add(checks::fixing_overloaded,
                       {"{0}: each must bear {1}, {2} of its maker's figure",
                        {piece_.name, quantity(plan_.each), ratio(plan_.rating_utilisation)}},
                       ratio(plan_.rating_utilisation)),
                   {"Stronger ones, or more of them"});
    }

    const Piece& piece_;
    const Restraint& how_;
    const WallSite& site_;
    PiecePlan& plan_;
};

constexpr Length cleat_breadth = 60_mm;

/// The cleat it is screwed to, and what holds it there.
void list_parts(const Piece& piece, PiecePlan& plan) {
    const auto add = [&](KitGroup group, std::string item, Sentence name, std::size_t number) {
        if (number > 0)
            plan.supplies.push_back({group, std::move(item), std::move(name), number});
    };
    if (piece.restraint.kind == RestraintKind::cleat)
        plan.parts.push_back(
            strip_part(piece.id, {"cleat of {0}", {piece.name}}, piece.width, cleat_breadth, piece.restraint.through));
    if (piece.restraint.kind == RestraintKind::straps)
        add(KitGroup::hardware, "strap", {"Tipping strap"}, plan.holes.size());
    if (piece.restraint.kind == RestraintKind::top_brackets)
        add(KitGroup::hardware, "angle bracket", {"Angle bracket"}, plan.holes.size());
    add(KitGroup::fixings, "frame screw", {"Screw #8 or thicker, frame to cleat"}, plan.frame_screws);
}

} // namespace

PiecePlan reckon_piece(const Piece& piece, const WallSite& site) {
    PiecePlan plan = without_words(piece, site);
    PieceChecker{piece, site, plan}.check();
    // Whatever its cases say: a restraint that is wrong is trusted by whoever lives with it.
    if (std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; }))
        plan.verdict = PieceVerdict::unsafe;
    list_parts(piece, plan);
    plan.workings = workings_of(piece, plan, site);
    plan.steps = steps_of(piece, plan, site);
    return plan;
}

} // namespace yes_square
