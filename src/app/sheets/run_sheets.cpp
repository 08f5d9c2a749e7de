#include "app/sheets/run_sheets.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/sheet_parts.hpp"
#include "app/sheets/through_wall.hpp"
#include "core/job/along.hpp"
#include "core/plan/cautions.hpp"
#include "core/sheets/board_drawing.hpp"
#include "core/sheets/fixing_words.hpp"
#include "core/sheets/labels.hpp"
#include "core/sheets/qr_code.hpp"
#include "core/sheets/room_drawing.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/sheets/summary.hpp"
#include "core/site/cut_outs.hpp"

namespace yes_square::app {
namespace {

constexpr double worktop_height = 52; ///< mm, of a worktop seen from above

constexpr double from_above_height = 95; ///< of the room, where the run stands free in it
constexpr double card_height = 92;       ///< mm of paper
constexpr double card_code = 28;         ///< mm, its words for a telephone
constexpr double strip_height = 220;     ///< of a scribe at full size, on one page
constexpr double check_line = 100;

class RunSheets {
public:
    RunSheets(Page& page, const Job& job, const Plan& plan, std::size_t wall, std::size_t run)
        : page_{page}
        , job_{job}
        , all_{plan}
        , wall_{job.walls[wall]}
        , wall_plan_{*plan.walls[wall]}
        , run_{wall_.runs[run]}
        , plan_{wall_plan_.runs[run]}
        , voice_{app::voice(job.unit)} {
        for (std::size_t i = 0; i < job.rooms.size(); ++i)
            if (job.rooms[i].id == wall_.room) {
                lines_ = plan.rooms[i].lines.lines;
                room_ = &plan.rooms[i];
            }
    }

    void write() {
        overview();
        cards();
        for (const Scribe& scribe : plan_.scribes)
            this->scribe(scribe);
    }

private:
    QString shown(const Quantity& quantity) const { return text(say(quantity, voice_)); }
    QString shown(Length length) const { return shown(quantity(length)); }
    QString along(Length x) const { return shown(yes_square::along(plan_.tape.told_once(), x)); }
    QString said(const Sentence& sentence) const { return text(say(sentence, voice_)); }

    void begin(const QString& heading) { page_.begin(heading, under(job_)); }

    void overview() {
        begin(tr("%1, %2").arg(text(wall_.name), text(plan_.name)));
        write_tape(page_, plan_.tape);
        page_.drawing(
            [&](double width, double height) {
                ElevationFrame frame;
                frame.width = width;
                frame.height = height;
                frame.text = 2.7;
                frame.selected_run = run_.id;
                frame.lines = lines_;
                frame.tape = plan_.tape;
                return draw_elevation(wall_, wall_plan_, frame, voice_).drawing;
            },
            105);
        if (room_ && wall_.open_floor())
            page_.drawing(
                [&](double width, double height) {
                    return draw_room(job_, all_, *room_, {width, height, 2.7, wall_.id}, voice_);
                },
                from_above_height);
        for (const Check& check : plan_.checks)
            if (check.severity == Severity::error)
                page_.item(QStringLiteral("!"), tr("WRONG: %1").arg(said(check.message)), true);
        page_.heading(tr("Units, left to right"));
        std::vector<QStringList> rows;
        for (const UnitPlan& unit : plan_.units)
            rows.push_back({text(unit.name), along(plan_.tape.near(unit.place.left, unit.place.right())),
                            shown(unit.place.width), shown(unit.bottom),
                            unit.loaded_mass > 0 ? shown(quantity(unit.lift_mass)) : QString{},
                            unit.utilisation.known() && unit.tension + unit.shear > 0 ? shown(ratio(unit.utilisation))
                                                                                      : QString{}});
        page_.table({tr("Unit"),
                     plan_.tape.from_right() ? tr("Right edge, from ref. end") : tr("Left edge, from ref. end"),
                     tr("Width"), tr("Bottom, up"), tr("To lift"), tr("Screws used")},
                    rows, {0.28, 0.2, 0.14, 0.14, 0.12, 0.12});
        marks();
        held_down();
        pieces();
        feet();
        for (const Check& check : plan_.checks)
            if (check.severity == Severity::warning)
                page_.item(QStringLiteral("-"), said(check.message), false);
        page_.heading(tr("Before you drill"));
        for (const Sentence& caution : general_cautions())
            page_.item(QStringLiteral("-"), said(caution), false);
        write_steps(page_, plan_.steps, voice_);
    }

    /// Every hole, to be marked on the wall from its reference end.
    void marks() {
        std::vector<QStringList> rows;
        for (const UnitPlan& unit : plan_.units)
            for (const PlannedHole& hole : unit.holes)
                rows.push_back({text(unit.name), along(hole.x), shown(hole.z), shown(unit.inside_left(hole)),
                                hole.packing > Length{} ? shown(hole.packing) : QString{},
                                text(say(words(hole.substrate), voice_))});
        if (rows.empty())
            return;
        page_.heading(tr("Marks and packing"));
        page_.table(
            {tr("Unit"), tr("From ref. end"), tr("Up"), tr("Inside, from left"), tr("Pack behind"), tr("Holds in")},
            rows, {0.24, 0.16, 0.13, 0.17, 0.13, 0.17});
        write_drilling(page_, wall_, wall_plan_, plan_.holes, voice_);
    }

    /// Of an island: its frame, and the screws that hold its units down.
    void held_down() {
        for (const IslandHold& hold : plan_.islands) {
            page_.heading(
                tr("Held to the floor, from %1 to %2")
                    .arg(along(plan_.tape.near(hold.from, hold.to)), along(plan_.tape.far(hold.from, hold.to))));
            if (hold.frame_height > Length{})
                page_.write(tr("Frame %1 by %2, %3 high")
                                .arg(shown(hold.to - hold.from), shown(hold.frame_depth), shown(hold.frame_height)),
                            body_type, false);
            std::vector<QStringList> rows;
            for (const IslandJoint& joint : hold.joints)
                rows.push_back(
                    {text(say(words(joint.what), voice_)), QString::number(hold.screws),
                     joint.fixing
                         ? tr("%1, %2 long").arg(text(joint.fixing->name), shown(stock(joint.fixing->screw_length)))
                         : tr("not known: say what the floor is"),
                     joint.fixing ? shown(stock(joint.fixing->hole_diameter)) : QString{}, shown(ratio(joint.used))});
            page_.table({tr("Screws go"), tr("For each unit"), tr("Screw"), tr("Pilot"), tr("Used")}, rows,
                        {0.36, 0.12, 0.28, 0.12, 0.12});
        }
    }

    void pieces() {
        if (plan_.pieces.empty())
            return;
        page_.heading(tr("Cut for this run"));
        std::vector<QStringList> rows;
        for (const RunPiece& piece : plan_.pieces) {
            QStringList cuts;
            for (const Length cut : piece.cuts)
                cuts << shown(cut);
            QStringList places;
            for (const Length place : piece.fixings)
                places << along(place);
            rows.push_back({text(say(words(piece.what), voice_)), cuts.join(QStringLiteral(" + ")),
                            piece.breadth > Length{} ? shown(piece.breadth) : QString{},
                            along(plan_.tape.near(piece.from, piece.to)), shown(piece.z),
                            places.join(QStringLiteral(", "))});
        }
        page_.table({tr("Piece"), tr("Lengths"), tr("Broad"), tr("From"), tr("Up"), tr("Screwed at")}, rows,
                    {0.18, 0.24, 0.11, 0.11, 0.11, 0.25});
        for (const RunPiece& piece : plan_.pieces)
            if (const auto board = from_above(piece)) {
                page_.drawing(
                    [&](double width, double height) { return draw_from_above(*board, width, height, 2.7, voice_); },
                    worktop_height);
                for (const CutOut& cut : piece.cut_outs)
                    page_.item(QStringLiteral("-"), text(say(words_of(cut), voice_)), false);
            }
    }

    void feet() {
        std::vector<QStringList> rows;
        for (const UnitPlan& unit : plan_.units)
            for (const Foot& foot : unit.feet)
                if (foot.front)
                    rows.push_back({text(unit.name), along(foot.x), shown(foot.height),
                                    foot.packer > Length{} ? shown(foot.packer) : QString{}});
        if (rows.empty())
            return;
        page_.heading(tr("Legs and shims, front and back alike"));
        page_.table({tr("Unit"), tr("At, from ref. end"), tr("High"), tr("Packer strip under it")}, rows,
                    {0.3, 0.24, 0.2, 0.26});
    }

    void cards() {
        bool first = true;
        for (std::size_t i = 0; i < plan_.units.size(); ++i) {
            const UnitPlan& unit = plan_.units[i];
            const bool cut = std::ranges::any_of(run_.units[i].cut_outs,
                                                 [](const PanelCutOut& hole) { return hole.panel == UnitPanel::back; });
            if ((unit.holes.empty() || unit.on_plates) && !cut)
                continue;
            if (std::exchange(first, false))
                begin(tr("Cards for the backs: %1").arg(text(plan_.name)));
            if (page_.left_over() < card_height + 16)
                begin(tr("Cards for the backs: %1").arg(text(plan_.name)));
            page_.heading(text(unit.name));
            if (!unit.on_plates)
                for (const Sentence& words : words_of_fixings(unit.holes))
                    page_.write(said(words), small_type, false);
            page_.drawing(
                [&](double width, double height) {
                    Drawing card = draw_back_card(run_.units[i], unit, width - card_code, height, 3.0, voice_);
                    card.width = width;
                    if (!unit.on_plates)
                        add_qr_code(card, {width - card_code, 0}, card_code,
                                    card_label(wall_.name, run_.units[i], unit, voice_).code());
                    return card;
                },
                card_height);
        }
    }

    /// A table of widths, then the edge itself at full size: cut the strip out, lay it on the board, draw along it.
    void scribe(const Scribe& scribe) {
        begin(tr("Scribe: %1").arg(text(scribe.unit)));
        page_.write(scribe.to_face ? tr("The back edge follows the wall's face: cut to these depths")
                                   : tr("The side follows the wall at the run's end: cut to these widths"),
                    body_type, false);
        std::vector<QStringList> rows;
        for (const ScribeCut& cut : scribe.cuts)
            rows.push_back({shown(cut.at), shown(cut.width)});
        page_.table({tr("Up, above the datum"), tr("Left on the board")}, rows, {0.35, 0.35});
        if (scribe.most() - scribe.least() < 1_mm)
            return; // a straight edge needs no template
        const double top = scribe.cuts.back().at.in_mm();
        for (double from = scribe.cuts.front().at.in_mm(); from < top; from += strip_height) {
            begin(tr("Scribe at full size: %1, from %2 up")
                      .arg(text(scribe.unit), shown(Length::nearest_to_metres(from / 1000))));
            page_.drawing([&](double, double) { return strip(scribe, from, std::min(top, from + strip_height)); },
                          strip_height + 14);
        }
    }

    /// The edge between two heights in mm, lowest at the bottom, with a line of known length to check the printer by.
    Drawing strip(const Scribe& scribe, double from, double to) const {
        Drawing drawing{check_line, strip_height + 14, {}};
        const auto add = [&](auto form) { drawing.shapes.push_back({std::move(form), {}}); };
        const double foot = strip_height + 2;
        const double least = scribe.least().in_mm();
        add(Line{{20, foot}, {20, foot - (to - from)}, Ink::faint, 0.2, Stroke::dashed});
        for (std::size_t i = 1; i < scribe.cuts.size(); ++i) {
            const double z1 = scribe.cuts[i - 1].at.in_mm();
            const double z2 = scribe.cuts[i].at.in_mm();
            const double w1 = scribe.cuts[i - 1].width.in_mm();
            const double w2 = scribe.cuts[i].width.in_mm();
            const double below = std::max(z1, from);
            const double above = std::min(z2, to);
            if (above <= below)
                continue;
            // Only what lies on this page, straight between the table's figures.
            const auto at = [&](double z) {
                return Point{20 + w1 + (w2 - w1) * (z - z1) / (z2 - z1) - least, foot - (z - from)};
            };
            add(Line{at(below), at(above), Ink::wall, 0.4});
            if (z2 <= to)
                add(Text{{28 + w2 - least, std::max(7.0, at(z2).y)},
                         format_bare(scribe.cuts[i].width, voice_),
                         3,
                         Align::left,
                         Ink::figure});
        }
        add(Line{{0, foot + 8}, {check_line, foot + 8}, Ink::wall, 0.4});
        for (const double end : {0.0, check_line})
            add(Line{{end, foot + 6}, {end, foot + 10}, Ink::wall, 0.4});
        add(Text{{2, foot + 6.5},
                 say(Sentence{"check: this line is {0}", {quantity(100_mm)}}, voice_),
                 3,
                 Align::left,
                 Ink::figure});
        add(Text{{50, foot + 6.5},
                 say(Sentence{"dashed: {0} left on the board", {quantity(scribe.least())}}, voice_),
                 3,
                 Align::left,
                 Ink::faint});
        return drawing;
    }

    Page& page_;
    const Job& job_;
    const Plan& all_;
    const Wall& wall_;
    const WallPlan& wall_plan_;
    const Run& run_;
    const RunPlan& plan_;
    const Voice voice_;
    std::vector<LinePlan> lines_;
    const RoomSurvey* room_ = nullptr;
};

} // namespace

void write_run(Page& page, const Job& job, const Plan& plan, std::size_t wall, std::size_t run) {
    if (!plan.walls[wall]->runs[run].units.empty())
        RunSheets{page, job, plan, wall, run}.write();
}

} // namespace yes_square::app
