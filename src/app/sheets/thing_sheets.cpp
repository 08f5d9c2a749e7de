#include "app/sheets/thing_sheets.hpp"

#include "app/sheets/sheet_parts.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/job/along.hpp"
#include "core/measure/conversions.hpp"
#include "core/plan/cautions.hpp"
#include "core/shelves/noggings.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/furniture_sheets.hpp"
#include "app/sheets/run_sheets.hpp"
#include "app/sheets/through_wall.hpp"
#include "core/sheets/board_drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/load_label.hpp"
#include "core/sheets/summary.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/site/cut_outs.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <map>

namespace yes_square::app {
namespace {

/// "25 mm under", "12 mm over", "on it".
QString distance_from(Length over, const Voice& voice) {
    const QString much = text(say(quantity(absolute(over)), voice));
    return over < Length{} ? tr("%1 under").arg(much) : over > Length{} ? tr("%1 over").arg(much) : tr("on it");
}

/// The heights of a place's holes, each with how far it is from the level line.
QString heights_at(const ShelfPlan& plan, std::size_t place, const Voice& voice) {
    const auto line = std::ranges::find(plan.lines, false, &PlannedLine::plumb);
    QStringList heights;
    for (const PlannedHole& hole : plan.holes) {
        if (hole.place != place)
            continue;
        if (hole.through_it) {
            heights = {tr("hold it to its mark, prick through its own holes")};
            continue;
        }
        QString height = text(say(quantity(hole.z), voice));
        if (line != plan.lines.end())
            height = tr("%1 (%2)").arg(height, distance_from(hole.z - line->z, voice));
        if (const Length beside = hole.x - plan.brackets[place].x; beside != Length{})
            height = (beside > Length{} ? tr("%1, %2 right of the middle") : tr("%1, %2 left of the middle"))
                         .arg(height, text(say(quantity(absolute(beside)), voice)));
        heights << height.replace(' ', QChar::Nbsp); // a height is not broken in two
    }
    return heights.join(QStringLiteral(", "));
}

/// What holds a place, or one of its holes.
QString held_by(const BracketPlan& place, const std::optional<Fixing>& fixing, const Voice& voice) {
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    if (place.is(OtherKind::leg))
        return tr("a leg of wood, %1 out of the wall: no hole").arg(shown(quantity(place.other->out)));
    if (place.other && !place.let_in)
        return tr("a strip on the side wall, its screws as said above");
    if (!fixing)
        return tr("lining anchor as its packet says, steadies only");
    if (!carries(place.substrate))
        return tr("%1: hole %2, through the lining and no further; %3")
            .arg(text(fixing->name), shown(stock(fixing->hole_diameter)), text(source_text(fixing->source, voice)));
    return tr("%1, %2 long: pilot %3, tape on the bit at %4, %5 of it in stud or masonry; %6")
        .arg(text(fixing->name), shown(stock(fixing->screw_length)), shown(stock(fixing->hole_diameter)),
             shown(stock(fixing->drill_depth)), shown(stock(fixing->penetration)),
             text(source_text(fixing->source, voice)));
}

/// Where each place is and what it holds in; what is alike of all is said once.
void write_marks(Page& page, const ShelfPlan& plan, const Voice& voice) {
    const Tape tape = plan.tape.told_once(); // the page's head says it
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    QStringList heights;
    std::vector<std::pair<QString, QStringList>> fixings; // and the places, or holes, that take them
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        heights << heights_at(plan, i, voice);
        const BracketPlan& place = plan.brackets[i];
        const auto note = [&](const QString& words, const QString& holes) {
            const auto known = std::ranges::find(fixings, words, &std::pair<QString, QStringList>::first);
            (known == fixings.end() ? fixings.emplace_back(words, QStringList{}) : *known).second << holes;
        };
        if (place.row_fixings.empty())
            note(held_by(place, place.fixing, voice), QString::number(i + 1));
        for (std::size_t row = 0; row < place.row_fixings.size(); ++row)
            note(held_by(place, place.row_fixings[row], voice), tr("%1 hole %2").arg(i + 1).arg(row + 1));
    }
    const bool alike = std::ranges::all_of(heights, [&](const QString& each) { return each == heights.front(); });
    std::vector<QStringList> rows;
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        QStringList row{QString::number(i + 1), shown(along(tape, place.x)), text(say(words(place.substrate), voice)),
                        shown(ratio(place.fixing_utilisation))};
        if (!alike)
            row << heights[static_cast<qsizetype>(i)];
        rows.push_back(std::move(row));
    }
    if (alike) {
        page.table({tr("No."), tr("Middle, from ref. end"), tr("Holds in"), tr("Fixing used")}, rows,
                   {0.11, 0.35, 0.34, 0.20});
        page.write(tr("Holes, up (from the level line): %1").arg(heights.front()), body_type, false);
    } else {
        page.table(
            {tr("No."), tr("Middle, from ref. end"), tr("Holds in"), tr("Used"), tr("Holes, up (from the level line)")},
            rows, {0.09, 0.21, 0.20, 0.14, 0.36});
    }
    for (const auto& [words, places] : fixings)
        page.write(fixings.size() == 1 ? words : tr("%1: %2").arg(places.join(QStringLiteral(", ")), words), body_type,
                   false);
}

constexpr double above_height = 48; ///< mm, of a board seen from above

/// How a shelf's page is set, so that it is one page if it can be read so.
struct PageSet {
    double elevation; ///< mm, height of the drawing
    double type;      ///< share of the usual size
};
constexpr std::array page_sets{PageSet{105, 1}, PageSet{75, 0.88}, PageSet{66, 0.8}, PageSet{56, 0.8},
                               PageSet{46, 0.8}};

void write_shelf(Page& page, const Job& job, const Wall& wall, const WallPlan& wall_plan, const Shelf& shelf,
                 const ShelfPlan& plan, const std::optional<ShelfStudy>& study, const PageSet& set) {
    page.set_type(set.type);
    const Capacity* capacity = study ? &study->capacity : nullptr;
    const Voice voice = app::voice(job.unit);
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    const auto said = [&](const Sentence& sentence) { return text(say(sentence, voice)); };

    page.begin(tr("%1, %2").arg(text(wall.name), text(shelf.name)), under(job));
    write_tape(page, plan.tape);
    const Tape tape = plan.tape.told_once();
    page.drawing(
        [&](double width, double height) {
            ElevationFrame frame;
            frame.width = width;
            frame.height = height;
            frame.text = 2.7 * set.type;
            frame.selected_shelf = shelf.id;
            frame.tape = plan.tape;
            return draw_elevation(wall, wall_plan, frame, voice).drawing;
        },
        set.elevation);
    page.write(tr("Figures on the rods in %1. Studs: filled square proved, grey detected, empty indicated, dotted "
                  "assumed. Grey strips: "
                  "hidden cables or pipes likely.")
                   .arg(text(heading(job.unit))),
               small_type, false);

    const auto errors = std::ranges::count(plan.checks, Severity::error, &Check::severity);
    if (errors > 0) {
        page.heading(tr("Not fit to hang as it stands"));
        for (const Check& check : plan.checks)
            if (check.severity == Severity::error)
                page.item(QStringLiteral("!"), said(check.message), true);
    }

    page.heading(text(say(preset_of(shelf).words, voice)));
    page.write(tr("%1 x %2 x %3, %4, %5. Left end at %6, right end at %7. Top %8 up, level line under it %9 up.")
                   .arg(shown(quantity(shelf.length)), shown(quantity(shelf.depth)), shown(stock(shelf.thickness)),
                        way_of(shelf).whole(shelf) ? tr("as it comes")
                        : shelf.hollow && way_of(shelf).is_board()
                            ? tr("hollow, skins of %1, %2")
                                  .arg(shown(stock(shelf.hollow->skin)), core_words(properties(shelf.material).words))
                            : core_words(properties(shelf.material).words),
                        shown(quantity(plan.mass)), shown(along(tape, shelf.left)), shown(along(tape, shelf.right())),
                        shown(quantity(shelf.height)), shown(quantity(shelf.underside()))),
               body_type, false);
    if (const auto board = from_above(shelf, plan); board && !shelf.cut_outs.empty())
        page.drawing(
            [&](double width, double height) { return draw_from_above(*board, width, height, 2.7 * set.type, voice); },
            above_height * set.type);
    for (const CutOut& cut : shelf.cut_outs)
        if (way_of(shelf).is_board())
            page.item(QStringLiteral("-"), said(words_of(cut)), false);
    for (const BoardPiece& piece : plan.pieces)
        if (plan.pieces.size() > 1 || piece.front != piece.back)
            page.item(
                QStringLiteral("-"),
                piece.front == piece.back
                    ? tr("Board from %1, cut to %2").arg(shown(along(tape, piece.left)), shown(quantity(piece.back)))
                    : tr("Board from %1, cut to %2 at its back and %3 at its front")
                          .arg(shown(along(tape, piece.left)), shown(quantity(piece.back)),
                               shown(quantity(piece.front))),
                false);
    if (!plan.back_cuts.empty()) {
        QStringList cuts;
        for (const BackCut& cut : plan.back_cuts)
            cuts << tr("%1: %2").arg(shown(quantity(cut.at)), shown(quantity(cut.off)));
        page.write(tr("Back edge, off it at so far from the left end: %1").arg(cuts.join(QStringLiteral(", "))),
                   body_type, false);
    }
    if (shelf.out_of_reach)
        page.write(tr("Reckoned with nobody who leans on it, as the fitter says: out of reach, or furniture stands "
                      "before it."),
                   body_type, true);
    if (plan.sag)
        page.write(tr("Sag in time %1, limit %2. Made for %3 on it, evenly.")
                       .arg(shown(fine(plan.sag->long_term)), shown(fine(plan.sag->limit)),
                            shown(quantity(made_for(shelf, plan)))),
                   body_type, false);

    const Promise promise = promise_of(shelf, plan, capacity ? *capacity : Capacity{});
    if (capacity && capacity->governs != Governs::nothing && !promise.made)
        page.write(tr("What it holds: %1. %2.").arg(text(say(promise.words, voice)), text(say(promise.why, voice))),
                   body_type, true);
    else if (capacity && capacity->governs != Governs::nothing)
        page.write(
            tr("What it holds: %1. %2, limited by %3.%4 Makers' instructions and local code come first where they say "
               "less.")
                .arg(text(say(promise.words, voice)), shown(quantity(floor(capacity->per_metre))),
                     core_words(words(capacity->governs)),
                     capacity->from_memory ? tr(" Figures from memory, unchecked.") : QString{}),
            body_type, false);
    for (const CleatPlan& cleat : plan.cleats)
        page.item(QStringLiteral("-"),
                  cleat.fixing
                      ? tr("Strip, %1: %2 long, %3 screws: %4, %5 long, used %6; %7")
                            .arg(text(say(cleat.wall, voice)), shown(quantity(cleat.length)))
                            .arg(cleat.screws)
                            .arg(text(cleat.fixing->name), shown(stock(cleat.fixing->screw_length)),
                                 shown(ratio(cleat.utilisation)), text(source_text(cleat.fixing->source, voice)))
                      : tr("Strip, %1: nothing at hand holds it").arg(text(say(cleat.wall, voice))),
                  false);
    if (!plan.brackets.empty()) {
        page.heading(plan.bracket && way_of(shelf).chooses_bracket()
                         ? tr("Marks and drilling: %1, arm up against the board").arg(text(plan.bracket->name))
                         : tr("Marks and drilling"));
        write_drilling(page, wall, wall_plan, plan.holes, voice, [&] { write_marks(page, plan, voice); });
    }

    for (const Check& check : plan.checks)
        if (check.severity == Severity::warning)
            page.item(QStringLiteral("-"), said(check.message), false);

    page.heading(tr("Before you drill"));
    for (const Sentence& caution : general_cautions())
        page.write(said(caution), small_type, false);
    write_steps(page, plan.steps, voice);
}

/// As large as one page takes it; what takes two at any size is written at its usual one.
void on_one_page(Page& page, const std::function<void(Page&, const PageSet&)>& write) {
    const auto fits = std::ranges::find_if(
        page_sets, [&](const PageSet& set) { return page.pages_of([&](Page& trial) { write(trial, set); }) == 1; });
    write(page, fits == page_sets.end() ? page_sets.front() : *fits);
    page.set_type(1);
}

/// "2: through the stud; pocket screws": the end that the tape reaches first, first.
QString ends_of(const Nogging& nogging, const Tape& tape, const Voice& voice) {
    const auto said = [&](Nogging::End end) { return text(say(words(end), voice)); };
    const Nogging::End first = tape.from_right() ? nogging.right_end : nogging.left_end;
    const Nogging::End second = tape.from_right() ? nogging.left_end : nogging.right_end;
    return first == second ? tr("%1, %2").arg(nogging.screws).arg(said(first))
                           : tr("%1, %2; far end %3").arg(nogging.screws).arg(said(first), said(second));
}

/// Noggings of a wall in open framing: what to cut and where each goes.
void write_noggings(Page& page, const Job& job, const WallPlan& plan) {
    const Voice voice = app::voice(job.unit);
    const auto shown = [&](Length length) { return text(say(quantity(length), voice)); };
    page.begin(tr("%1, noggings").arg(text(plan.wall_name)), tr("%1. %2").arg(text(job.title), text(job.place)));
    write_tape(page, plan.tape);
    page.write(
        tr("Stud timber on edge, flush with the studs' faces, before the wall is lined. Screws: %1, %2 long. Pocket "
           "screws, slanted from its own face, where no driver comes to the stud's other side. Where two meet at "
           "one stud, screw the first one through before the second is in.")
            .arg(text(std::string_view{properties(nogging_gauge(job.rules.timber)).wood_screw_words}),
                 text(say(stock(job.rules.shelves.nogging_screw), voice))),
        body_type, false);
    std::map<Length, int> cuts;
    for (const Nogging& nogging : plan.noggings)
        ++cuts[nogging.length()];
    page.heading(tr("To cut"));
    std::vector<QStringList> rows;
    for (const auto& [length, number] : cuts)
        rows.push_back({QString::number(number), shown(length)});
    page.table({tr("Pieces"), tr("Length")}, rows, {0.2, 0.8});
    page.heading(tr("Where they go"));
    rows.clear();
    for (const Nogging& nogging : plan.noggings) {
        QStringList owners;
        for (const Nogging::For& hold : nogging.holds)
            if (!owners.contains(text(hold.shelf)))
                owners << text(hold.shelf);
        rows.push_back({shown(plan.tape.reads(plan.tape.near(nogging.left, nogging.right))),
                        shown(plan.tape.reads(plan.tape.far(nogging.left, nogging.right))), shown(nogging.z),
                        ends_of(nogging, plan.tape, voice), text(say(ratio(nogging.ends), voice)),
                        owners.join(QStringLiteral(", "))});
    }
    page.table({tr("From stud's face at"), tr("To"), tr("Middle, up"), tr("Screws in each end"), tr("Used"), tr("For")},
               rows, {0.15, 0.11, 0.13, 0.29, 0.08, 0.24});
}

} // namespace

bool write_things(Page& page, const Job& job, const Plan& plan) {
    bool any = false;
    for (std::size_t w = 0; w < plan.walls.size(); ++w) {
        for (std::size_t r = 0; r < plan.walls[w]->runs.size(); ++r) {
            any = true;
            write_run(page, job, plan, w, r);
        }
        for (std::size_t s = 0; s < plan.walls[w]->shelves.size(); ++s) {
            any = true;
            const Shelf& shelf = job.walls[w].shelves[s];
            const auto looked_at = study(job, plan, shelf.id);
            on_one_page(page, [&](Page& on, const PageSet& set) {
                write_shelf(on, job, job.walls[w], *plan.walls[w], shelf, plan.walls[w]->shelves[s], looked_at, set);
            });
        }
        if (!plan.walls[w]->noggings.empty())
            write_noggings(page, job, *plan.walls[w]);
        any = write_furniture(page, job, plan, w) || any;
    }
    return any;
}

} // namespace yes_square::app
