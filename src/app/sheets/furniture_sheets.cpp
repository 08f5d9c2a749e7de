#include "app/sheets/furniture_sheets.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/sheet_parts.hpp"
#include "app/sheets/through_wall.hpp"
#include "core/fixings/drilling.hpp"
#include "core/job/along.hpp"

#include "core/plan/cautions.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/side_view.hpp"
#include "core/sheets/summary.hpp"
#include "core/stability/inventory.hpp"
#include "core/stability/piece_words.hpp"
#include "core/storage/system_words.hpp"

#include <cmath>

namespace yes_square::app {
namespace {

constexpr double elevation_height = 95; ///< mm of paper
constexpr double side_view_height = 58;
constexpr int views_in_row = 3;

class FurnitureSheets {
public:
    FurnitureSheets(Page& page, const Job& job, const Plan& plan, std::size_t wall)
        : page_{page}
        , job_{job}
        , wall_{job.walls[wall]}
        , plan_{*plan.walls[wall]}
        , voice_{app::voice(job.unit)} {}

    bool write() {
        bool any = false;
        for_each_kind(Things{}, [&]<class Kind>() {
            if constexpr (by_itself<Kind>)
                each_of<Kind>(wall_, plan_, [&](const Kind& thing, const auto& of_it) {
                    any = true;
                    sheet(thing, of_it);
                });
        });
        return any;
    }

private:
    QString shown(const Quantity& quantity) const { return text(say(quantity, voice_)); }
    QString shown(Length length) const { return shown(quantity(length)); }
    QString along(Length x) const { return shown(yes_square::along(tape_, x)); }
    QString said(const Sentence& sentence) const { return text(say(sentence, voice_)); }
    QString used(Utilisation utilisation) const { return shown(ratio(utilisation)); }

    /// Heading, the wall with the thing on it, and what is wrong with it.
    void begin(const std::string& id, const std::string& name, const ThingPlan& plan) {
        page_.begin(tr("%1, %2").arg(text(wall_.name), text(name)), under(job_));
        write_tape(page_, plan.tape);
        tape_ = plan.tape.told_once();
        page_.drawing(
            [&](double width, double height) {
                ElevationFrame frame;
                frame.width = width;
                frame.height = height;
                frame.text = 2.7;
                frame.selected_thing = id;
                frame.tape = tape_;
                return draw_elevation(wall_, plan_, frame, voice_).drawing;
            },
            elevation_height);
        for (const Severity severity : {Severity::error, Severity::warning})
            for (const Check& check : plan.checks)
                if (check.severity == severity)
                    page_.item(severity == Severity::error ? QStringLiteral("!") : QStringLiteral("-"),
                               severity == Severity::error ? tr("WRONG: %1").arg(said(check.message))
                                                           : said(check.message),
                               severity == Severity::error);
    }

    /// With what, and where it is not all alike, which of its holes.
    void screws(const std::vector<PlannedHole>& holes) {
        const std::vector<FixedAlike> all = fixed_alike(holes);
        for (const FixedAlike& alike : all) {
            const Fixing& fixing = alike.fixing();
            const QString words =
                tr("%1, %2 long; pilot %3; tape on the bit at %4 from the face of the wall. Capacity: %5")
                    .arg(text(fixing.name), shown(stock(fixing.screw_length)), shown(stock(fixing.hole_diameter)),
                         shown(stock(fixing.drill_depth)), text(source_text(fixing.source, voice_)));
            QStringList where;
            for (const PlannedHole* hole : alike.holes)
                where << said(hole->what);
            page_.write(all.size() == 1 ? words : tr("%1: %2").arg(where.join(QStringLiteral("; ")), words), body_type,
                        false);
        }
    }

    void steps(const std::vector<Step>& steps, bool may_tip) {
        page_.heading(tr("Before you drill"));
        for (const Sentence& caution : general_cautions())
            page_.item(QStringLiteral("-"), said(caution), false);
        if (may_tip)
            for (const Sentence& caution : tipping_cautions())
                page_.item(QStringLiteral("-"), said(caution), false);
        write_steps(page_, steps, voice_);
    }

    void sheet(const StorageSystem& system, const SystemPlan& plan) {
        begin(system.id, system.name, plan);
        page_.heading(tr("Bays, left to right"));
        std::vector<QStringList> rows;
        for (std::size_t i = 0; i < plan.bays.size(); ++i) {
            const BayPlan& bay = plan.bays[i];
            QStringList fits;
            for (const Fits& each : bay.fits)
                fits << said(words(each, system.bays[i]));
            rows.push_back({QString::number(bay.number), text(say(words(system.bays[i].kind), voice_)),
                            along(tape_.near(bay.left, bay.left + bay.width)), shown(bay.width),
                            fits.join(QStringLiteral("; "))});
        }
        page_.table({tr("Bay"), tr("For"), tr("From ref. end"), tr("Wide"), tr("What fits")}, rows,
                    {0.07, 0.15, 0.14, 0.12, 0.52});
        heights_in_bays(plan);
        page_.heading(tr("Cleats: screws in studs"));
        rows.clear();
        for (const BayPlan& bay : plan.bays)
            for (const BayCleat& cleat : bay.cleats) {
                QStringList places;
                QStringList heights;
                for (const PlannedHole& screw : cleat.screws) {
                    if (screw.row == 0)
                        places << along(screw.x).replace(' ', QChar::Nbsp);
                    if (screw.place == 0)
                        heights << shown(screw.z).replace(' ', QChar::Nbsp);
                }
                rows.push_back({text(cleat.shelf), shown(cleat.length), heights.join(QStringLiteral(", ")),
                                places.join(QStringLiteral(", ")), used(cleat.utilisation)});
            }
        page_.table({tr("Under"), tr("Cut to"), tr("Screws, up"), tr("At, from ref. end"), tr("Used")}, rows,
                    {0.1, 0.16, 0.16, 0.46, 0.12});
        screws(plan.holes);
        write_drilling(page_, wall_, plan_, plan.holes, voice_);
        page_.heading(tr("Parts"));
        rows.clear();
        for (const CutPart& part : plan.parts)
            rows.push_back({text(part.label), text(say(part.what, voice_)), shown(part.length), shown(part.breadth),
                            shown(stock(part.thickness()))});
        page_.table({tr("Label"), tr("Part"), tr("Long"), tr("Broad"), tr("Thick")}, rows, {0.14, 0.3, 0.2, 0.2, 0.16});
        steps(plan.steps, true);
    }

    /// Where each shelf and rod goes, bay by bay from the top.
    void heights_in_bays(const SystemPlan& plan) {
        std::vector<std::pair<Length, QStringList>> heights;
        std::vector<QStringList> rows;
        for (const BayPlan& bay : plan.bays) {
            heights.clear();
            const QString number = QString::number(bay.number);
            for (const BayShelf& shelf : bay.shelves)
                heights.push_back(
                    {shelf.top,
                     {number, text(shelf.label), tr("shelf, %1").arg(text(say(words(shelf.what), voice_))),
                      tr("%1 to its top").arg(shown(shelf.top)),
                      shelf.pin_hole ? tr("pins in hole %1 from the foot").arg(*shelf.pin_hole) : QString{}}});
            for (const BayRod& rod : bay.rods)
                heights.push_back({rod.z,
                                   {number, text(rod.label), tr("rod"), tr("%1 to its middle").arg(shown(rod.z)),
                                    tr("cut to %1").arg(shown(rod.cut))}});
            std::ranges::stable_sort(heights, std::greater{}, [](const auto& row) { return row.first; });
            for (auto& [z, row] : heights)
                rows.push_back(std::move(row));
        }
        page_.heading(tr("Shelves and rods, from the top"));
        page_.table({tr("Bay"), tr("Label"), tr("What"), tr("Above the datum"), tr("Mind")}, rows,
                    {0.07, 0.1, 0.25, 0.28, 0.3});
    }

    void sheet(const Piece& piece, const PiecePlan& plan) {
        begin(piece.id, piece.name, plan);
        page_.heading(tr("Verdict: %1").arg(text(say(words(plan.verdict), voice_))));
        page_.write(
            tr("%1 x %2 x %3, %4 empty. After ASTM F2057-23, from memory; an adult's pull is a house rule. Goods "
               "count only where they turn it over.")
                .arg(shown(piece.width), shown(piece.height), shown(piece.depth), shown(quantity(piece.mass))),
            small_type, false);
        for (std::size_t first = 0; first < plan.cases.size(); first += views_in_row)
            views(piece, plan, first);
        if (piece.restraint.kind != RestraintKind::none) {
            page_.heading(tr("Held by %1").arg(text(say(words(piece.restraint.kind), voice_))));
            page_.write(tr("All together must hold as much as %1 hung on them, each %2. Used to %3.")
                            .arg(shown(quantity(mass_of(plan.needs))), shown(quantity(mass_of(plan.each))),
                                 used(plan.fixing_utilisation)),
                        body_type, false);
            screws(plan.holes);
            std::vector<QStringList> rows;
            for (const PlannedHole& place : plan.holes)
                rows.push_back({along(place.x), shown(place.z), text(say(words(place.substrate), voice_))});
            page_.table({tr("From ref. end"), tr("Up"), tr("Holds in")}, rows, {0.3, 0.3, 0.4});
            write_drilling(page_, wall_, plan_, plan.holes, voice_);
        }
        steps(plan.steps, true);
    }

    /// Up to three side views beside one another, each with its name over it.
    void views(const Piece& piece, const PiecePlan& plan, std::size_t first) {
        page_.drawing(
            [&](double width, double height) {
                Drawing row{width, height, {}};
                const double each = width / views_in_row;
                for (std::size_t i = first; i < std::min(plan.cases.size(), first + views_in_row); ++i) {
                    const double x = static_cast<double>(i - first) * each;
                    row.shapes.push_back({Text{{x + each / 2, 3.5},
                                               say(words(plan.cases[i].kind), voice_),
                                               3,
                                               Align::centre,
                                               Ink::figure,
                                               true},
                                          {}});
                    Drawing view = draw_side_view(piece, plan, plan.cases[i], each - 4, height - 5, 2.7, voice_);
                    append(row, std::move(view), x + 2, 5);
                }
                return row;
            },
            side_view_height);
    }

    void sheet(const WallBox& box, const BoxPlan& plan) {
        begin(box.id, box.name, plan);
        page_.heading(tr("Cut list"));
        std::vector<QStringList> rows;
        for (const BoxPart& part : plan.pieces)
            rows.push_back({QString::number(part.number), text(say(part.what, voice_)), shown(part.length),
                            shown(part.breadth), shown(stock(part.thickness)), text(say(part.mind, voice_))});
        page_.table({tr("No."), tr("Part"), tr("Long"), tr("Broad"), tr("Thick"), tr("Mind")}, rows,
                    {0.06, 0.18, 0.16, 0.16, 0.14, 0.3});
        page_.write(
            tr("Boards: %1. Back: %2. Grain along the length.")
                .arg(core_words(properties(box.material).words), core_words(properties(box.back_material).words)),
            body_type, false);
        page_.write(tr("Both diagonals %1. Empty %2, full %3.")
                        .arg(shown(plan.diagonal), shown(quantity(plan.mass)), shown(quantity(plan.loaded_mass))),
                    body_type, false);
        holes(plan.hang);
        steps(plan.steps, false);
    }

    void sheet(const HungCabinet& hung, const HungPlan& plan) {
        begin(hung.id, hung.unit.name, plan);
        page_.heading(tr("Verdict: %1").arg(text(say(words(plan.verdict), voice_))));
        page_.write(tr("As found its worst screw is used to %1. To add: %2 at the top, %3 at the bottom.")
                        .arg(used(plan.utilisation))
                        .arg(plan.add_top)
                        .arg(plan.add_bottom),
                    body_type, false);
        holes(plan.wanted);
        steps(plan.steps, false);
    }

    /// Of any kind: its holes and what holds them, the bits in order, its parts, its steps.
    /// Of a kind that has no more to tell than any thing.
    void sheet(const auto&, const ThingPlan& plan) {
        begin(plan.id, plan.name, plan);
        page_.heading(tr("Fixings to the wall"));
        screws(plan.holes);
        std::vector<QStringList> rows;
        for (const PlannedHole& hole : plan.holes)
            rows.push_back({along(hole.x), shown(hole.z), text(say(words(hole.substrate), voice_)), shown(hole.packing),
                            used(hole.utilisation)});
        page_.table({tr("From ref. end"), tr("Up"), tr("Holds in"), tr("Packed behind"), tr("Used")}, rows,
                    {0.22, 0.22, 0.24, 0.18, 0.14});
        write_drilling(page_, wall_, plan_, plan.holes, voice_);
        page_.heading(tr("Parts"));
        rows.clear();
        for (const CutPart& part : plan.parts)
            rows.push_back({said(part.name), shown(part.length), shown(part.breadth), shown(stock(part.thickness()))});
        page_.table({tr("Part"), tr("Long"), tr("Broad"), tr("Thick")}, rows, {0.4, 0.2, 0.2, 0.2});
        steps(plan.steps, false);
    }

    void holes(const UnitPlan& unit) {
        page_.heading(tr("Fixings to the wall"));
        screws(unit.holes);
        std::vector<QStringList> rows;
        for (const PlannedHole& hole : unit.holes)
            rows.push_back({along(hole.x), shown(hole.z), shown(unit.inside_left(hole)),
                            text(say(words(hole.substrate), voice_))});
        page_.table({tr("From ref. end"), tr("Up"), tr("Inside, from left"), tr("Holds in")}, rows,
                    {0.25, 0.25, 0.25, 0.25});
        page_.write(tr("Used to %1").arg(used(unit.utilisation)), body_type, false);
        write_drilling(page_, wall_, plan_, unit.holes, voice_);
    }

    Page& page_;
    const Job& job_;
    const Wall& wall_;
    const WallPlan& plan_;
    const Voice voice_;
    Tape tape_ = {}; ///< of the page in hand, whose head says its end
};

} // namespace

bool write_furniture(Page& page, const Job& job, const Plan& plan, std::size_t wall) {
    return FurnitureSheets{page, job, plan, wall}.write();
}

bool write_inventory(Page& page, const Job& job, const Plan& plan) {
    const std::vector<InventoryRow> rows = inventory(job, plan);
    if (rows.empty())
        return false;
    const Voice voice = app::voice(job.unit);
    page.begin(tr("What could tip, and what holds it"), under(job));
    std::vector<QStringList> cells;
    for (const InventoryRow& row : rows)
        cells.push_back({text(row.name), text(row.wall), text(say(quantity(row.height), voice)),
                         text(say(words(row.verdict), voice)), text(say(row.held_by, voice)),
                         row.each ? tr("%1 x %2").arg(row.places).arg(text(say(quantity(mass_of(*row.each)), voice)))
                                  : QString::number(row.places),
                         QStringLiteral("____________")});
    page.table({tr("Piece"), tr("Wall"), tr("Tall"), tr("Verdict"), tr("Held by"), tr("Places"), tr("Pulled, by whom")},
               cells, {0.19, 0.15, 0.11, 0.13, 0.17, 0.12, 0.13});
    page.heading(tr("For whoever lives with it"));
    for (const Sentence& caution : tipping_cautions())
        page.item(QStringLiteral("-"), text(say(caution, voice)), false);
    page.item(QStringLiteral("-"), tr("Pull at each once a year, and after it was moved"), false);
    page.item(
        QStringLiteral("-"),
        tr("Sums after ASTM F2057-23 and F3096-14, from memory, with house rules: makers' instructions and local code "
           "come first"),
        false);
    page.write(tr("Handed over on ____________  by ______________________  to ______________________"), body_type,
               false);
    return true;
}

} // namespace yes_square::app
