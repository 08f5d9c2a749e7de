#include "app/sheets/day_sheets.hpp"

#include "app/bench/words.hpp"
#include "app/sheets/sheet_parts.hpp"

#include "app/bench/day.hpp"
#include "app/record/sign_dialog.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/cut_out_template.hpp"
#include "core/sheets/drill_template.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/summary.hpp"
#include "core/steps/job_order.hpp"

#include <map>
#include <set>

namespace yes_square::app {
bool write_cut_and_kit(Page& page, const Job& job, const Plan& plan) {
    const Voice voice = app::voice(job.unit);
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    const CuttingPlan cutting = cutting_plan(job, plan);
    const Kit kit = kit_of(job, plan);
    if (cutting.stuffs.empty() && kit.lines.empty())
        return false;
    page.begin(tr("Cut and kit"), under(job));
    page.write(tr("Kerf %1. Parts are labelled as they leave the saw; hatched is left over.")
                   .arg(shown(stock(job.rules.cutting.kerf))),
               body_type, false);
    for (const StuffPlan& stuff : cutting.stuffs) {
        QString name = text(say(std::string_view{stuff.stuff.words}, voice));
        if (stuff.stuff.thickness > Length{})
            name += tr(", %1 thick").arg(shown(stock(stuff.stuff.thickness)));
        if (stuff.stuff.breadth > Length{} && stuff.stuff.breadth != stuff.stuff.thickness)
            name += tr(", %1 broad").arg(shown(quantity(stuff.stuff.breadth)));
        page.heading(name);
        page.write(tr("%1 parts, %2 to buy%3")
                       .arg(stuff.pieces.size())
                       .arg(stuff.bought())
                       .arg(stuff.checks.empty() && stuff.proved() ? tr("; no plan takes fewer") : QString{}),
                   small_type, false);
        for (const Check& check : stuff.checks)
            page.item(QStringLiteral("!"), text(say(check.message, voice)), true);
        const Drawing drawn = draw_cutting(stuff, job.rules.cutting.kerf, page.width(), 2.6, voice);
        if (drawn.height > 0 && drawn.height <= page.body_height())
            page.drawing([&](double, double) { return drawn; }, drawn.height + 2);
        std::vector<QStringList> rows;
        for (const CutPiece& piece : stuff.pieces)
            rows.push_back({text(piece.label), text(say(piece.name, voice)), shown(quantity(piece.length)),
                            piece.breadth > Length{} ? shown(quantity(piece.breadth)) : QString{},
                            text(say(piece.mind, voice))});
        page.table({tr("No."), tr("Part"), tr("Long"), tr("Broad"), tr("Mind")}, rows, {0.08, 0.34, 0.14, 0.12, 0.32});
    }
    page.begin(tr("Take along"), under(job));
    std::map<KitGroup, std::vector<QStringList>> groups;
    for (const KitLine& line : kit.lines)
        groups[line.group].push_back(
            {QStringLiteral("[  ]"), text(say(line.name, voice)),
             line.group == KitGroup::fixings    ? tr("%1 and %2 spare").arg(line.wanted).arg(line.spares)
             : line.group == KitGroup::hardware ? QString::number(line.wanted)
                                                : QString{},
             line.packs > 0 && line.pack > 1 ? tr("%1 packs of %2").arg(line.packs).arg(line.pack) : QString{},
             line.price ? tr("%1 %2").arg(spoken_locale().toString(*line.price, 'f', 2)).arg(text(job.currency))
                        : QString{}});
    for (const auto& [group, rows] : groups) {
        page.heading(text(say(words(group), voice)));
        page.table({QString{}, tr("What"), tr("Wants"), tr("Buy"), tr("Price")}, rows, {0.07, 0.47, 0.18, 0.16, 0.12});
    }
    return true;
}

bool write_job_steps(Page& page, const Job& job, const Plan& plan) {
    const Voice voice = app::voice(job.unit);
    const auto said = [&](const Sentence& sentence) { return text(say(sentence, voice)); };
    const JobOrder order = job_order(job, plan);
    if (order.tasks.empty())
        return false;
    page.begin(tr("Steps of the whole job"), under(job));
    page.write(tr("%1 steps for %2, about %3 by the house rules. HOLD: do not go on before it is right.")
                   .arg(order.tasks.size())
                   .arg(job.crew == 1 ? tr("one person") : tr("%1 persons").arg(job.crew))
                   .arg(text(say(minutes(order.minutes), voice))),
               body_type, false);
    std::string place;
    std::set<std::string> pictured;
    int number = 0;
    for (const Task& task : order.tasks) {
        if (task.item_name != place) {
            place = task.item_name;
            page.heading(place.empty() ? tr("The job") : text(place));
            if (!task.item.empty() && pictured.insert(task.item).second)
                if (const auto wall = std::ranges::find(job.walls, task.wall, &Wall::id); wall != job.walls.end())
                    page.drawing(
                        [&](double width, double height) {
                            return picture_of(*wall, *plan.walls[static_cast<std::size_t>(wall - job.walls.begin())],
                                              task.item, width, height, voice);
                        },
                        42);
        }
        if (task.kind == TaskKind::gate) {
            for (const Sentence& caution : task.cautions)
                page.item(QStringLiteral("-"), said(caution), false);
            for (const Sentence& question : gate_questions())
                page.item(QStringLiteral("[  ]"), said(question), false);
        }
        const Tick* tick = find_tick(job, task.key);
        QString words = (task.step.hold_point ? tr("HOLD. ") : QString{}) + said(task.step.words);
        if (task.wants_helper)
            words += tr(" (two persons)");
        if (task.step.wait_min > 0)
            words += tr(" (wait %1 min)").arg(task.step.wait_min, 0, 'f', 0);
        if (tick && tick->state == TickState::done)
            words += tr(" - done %1 %2").arg(shown_time(tick->at), text(tick->by));
        page.item(QString::number(++number), words, task.step.hold_point);
        if (task.step.lift)
            for (const Sentence& mind : lift_words(*task.step.lift))
                page.item({}, said(mind), false);
    }
    return true;
}

std::vector<Sentence> care_notes() {
    return {
        {"Keep the load labels: what a shelf holds is written on it, spread evenly, the heavy things near the "
         "brackets"},
        {"Look at the screws once a year: what has crept out or moves is to be put right before it is loaded again"},
        {"Nobody climbs on shelves, drawers or worktops"},
        {"Restraints stay on: furniture that was moved is to be screwed back and pulled at before it is used"},
        {"Before you drill near what hangs here, find out what runs behind it"},
        {"Damp swells boards: wipe up water, and keep heat off edges"}};
}

namespace {

/// What holds the things of a wall, alike ones together.
void write_fixings(Page& page, const WallPlan& plan, const Voice& voice) {
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    struct Used {
        QStringList cells;
        int number = 0;
        int made = 0;
    };
    std::vector<Used> used;
    for (const WallMark& mark : marks_of(plan)) {
        if (mark.kind != MarkKind::hole || !mark.fixing)
            continue;
        const Fixing& f = *mark.fixing;
        const QStringList cells{text(f.name),
                                shown(stock(f.screw_length)),
                                text(say(words(mark.substrate), voice)),
                                shown(quantity(f.tension)),
                                shown(quantity(f.shear)),
                                text(source_text(f.source, voice))};
        auto same = std::ranges::find(used, cells, &Used::cells);
        if (same == used.end())
            same = used.insert(used.end(), Used{cells, 0, 0});
        same->number += static_cast<int>(mark.screws);
        same->made += mark.made ? static_cast<int>(mark.screws) : 0;
    }
    if (used.empty())
        return;
    page.heading(tr("What holds it"));
    std::vector<QStringList> rows;
    for (const Used& each : used)
        rows.push_back(QStringList{QString::number(each.number), QString::number(each.made)} + each.cells);
    page.table(
        {tr("No."), tr("Drilled"), tr("Fixing"), tr("Long"), tr("In"), tr("Pull"), tr("Shear"), tr("Figures from")},
        rows, {0.06, 0.09, 0.21, 0.10, 0.13, 0.09, 0.09, 0.23});
}

void write_readings(Page& page, const Wall& wall, const WallPlan& plan, const Voice& voice) {
    if (plan.readings.empty())
        return;
    page.heading(tr("Readings of the work"));
    std::vector<QStringList> rows;
    for (std::size_t i = 0; i < plan.readings.size(); ++i)
        rows.push_back({text(plan.readings[i].item_name), text(say(plan.readings[i].found, voice)),
                        text(say(words(plan.readings[i].verdict), voice)),
                        tr("%1 %2").arg(shown_time(wall.work_readings[i].at), text(wall.work_readings[i].by))});
    page.table({tr("Of"), tr("Found"), tr("Verdict"), tr("When, who")}, rows, {0.2, 0.42, 0.16, 0.22});
}

/// What was done otherwise, photos, signatures.
void write_log_of(Page& page, const Job& job, LogKind kind, const QString& heading) {
    bool any = false;
    for (const LogEntry& entry : job.log) {
        if (entry.kind != kind)
            continue;
        if (!std::exchange(any, true))
            page.heading(heading);
        page.item(QStringLiteral("-"),
                  tr("%1 %2: %3%4")
                      .arg(shown_time(entry.at), text(entry.by), text(entry.words),
                           entry.file.empty() ? QString{} : QLatin1Char(' ') + text(entry.file)),
                  false);
    }
}

Drawing signature_drawing(const std::string& strokes, double width, double height) {
    Drawing drawing{width, height, {}};
    const QPainterPath path = signature_path(strokes);
    for (int i = 1; i < path.elementCount(); ++i) {
        const auto from = path.elementAt(i - 1);
        const auto to = path.elementAt(i);
        if (to.type == QPainterPath::LineToElement)
            drawing.shapes.push_back({Line{{from.x / 1000 * width, from.y / 300 * height},
                                           {to.x / 1000 * width, to.y / 300 * height},
                                           Ink::wall,
                                           0.4},
                                      {}});
    }
    return drawing;
}

bool has_anything(const WallPlan& plan) {
    bool any = false;
    for_each_thing(plan, [&](const ThingPlan&) { any = true; });
    return any;
}

} // namespace

bool write_hand_over(Page& page, const Job& job, const Plan& plan) {
    const Voice voice = app::voice(job.unit);
    bool any = false;
    for (std::size_t w = 0; w < plan.walls.size(); ++w) {
        const Wall& wall = job.walls[w];
        if (!has_anything(*plan.walls[w]))
            continue;
        any = true;
        page.begin(tr("%1, as built").arg(text(wall.name)), under(job));
        page.drawing(
            [&](double width, double height) {
                ElevationFrame frame;
                frame.width = width;
                frame.height = height;
                frame.text = 2.6;
                return draw_elevation(wall, *plan.walls[w], frame, voice).drawing;
            },
            100);
        write_fixings(page, *plan.walls[w], voice);
        write_readings(page, wall, *plan.walls[w], voice);
        bool first = true;
        for (const OwnedCheck& owned : checks_of(*plan.walls[w]))
            if (owned.check->severity == Severity::error) {
                if (std::exchange(first, false))
                    page.heading(tr("Not to be used before this is put right"));
                page.item(QStringLiteral("!"), text(say(owned.check->message, voice)), true);
            }
    }
    if (!any)
        return false;
    page.begin(tr("Record and care"), under(job));
    write_log_of(page, job, LogKind::deviation, tr("Otherwise than planned"));
    write_log_of(page, job, LogKind::delivery, tr("Delivery"));
    write_log_of(page, job, LogKind::note, tr("Notes"));
    write_log_of(page, job, LogKind::photo, tr("Photos, in the folder beside the job"));
    page.heading(tr("Use and care"));
    for (const Sentence& note : care_notes())
        page.item(QStringLiteral("-"), text(say(note, voice)), false);
    page.write(tr("Capacities marked as from memory are cautious but unchecked. Electrical, gas and structural work is "
                  "the licensed trades'; local code has the last word."),
               small_type, false);
    page.heading(tr("Signed"));
    bool signed_ = false;
    for (const LogEntry& entry : job.log)
        if (entry.kind == LogKind::signature) {
            signed_ = true;
            page.write(tr("%1, %2: %3").arg(text(entry.by), shown_time(entry.at), text(entry.words)), body_type, true);
            if (!entry.strokes.empty())
                page.drawing([&](double, double) { return signature_drawing(entry.strokes, 60, 18); }, 20);
        }
    if (!signed_)
        page.write(tr("Fitted by ______________________   Taken over by ______________________   Date ____________"),
                   body_type, false);
    return true;
}

bool write_templates(Page& page, const Job& job, const Plan& plan) {
    const Voice voice = app::voice(job.unit);
    bool any = false;
    // What a page of the sheets leaves for a drawing, less a little, so that nothing is pushed onto the next.
    const double height = page.body_height() - 4;
    for (std::size_t w = 0; w < plan.walls.size(); ++w) {
        const auto write = [&](const std::vector<TemplatePage>& tiles, const QString& what, const Tape& tape) {
            for (const TemplatePage& tile : tiles) {
                any = true;
                page.begin(text(tile.name), what.arg(text(job.title), text(job.walls[w].name)));
                write_tape(page, tape);
                page.drawing([&](double, double) { return tile.drawing; }, tile.drawing.height);
            }
        };
        std::map<std::string, std::vector<WallMark>> things;
        for (const WallMark& mark : marks_of(*plan.walls[w]))
            things[mark.item].push_back(mark);
        for (const auto& [item, marks] : things) {
            const std::string name = text(say(marks.front().what, voice)).section(QLatin1Char(':'), 0, 0).toStdString();
            const Tape& tape = marks.front().tape;
            write(drill_template(name, marks, tape, page.width(), height, voice),
                  tr("%1. %2. Drilling template at full size"), tape);
        }
        const auto write_cut_outs = [&](const std::string& name, const std::optional<BoardFromAbove>& board) {
            if (board)
                write(cut_out_template(name, *board, page.width(), height, voice),
                      tr("%1. %2. Cut-outs at full size, as seen from above: tape it to the board"),
                      plan.walls[w]->tape);
        };
        for (std::size_t i = 0; i < plan.walls[w]->shelves.size(); ++i)
            write_cut_outs(job.walls[w].shelves[i].name,
                           from_above(job.walls[w].shelves[i], plan.walls[w]->shelves[i]));
        for (const RunPlan& run : plan.walls[w]->runs)
            for (const RunPiece& piece : run.pieces)
                write_cut_outs(run.name, from_above(piece));
    }
    return any;
}

} // namespace yes_square::app
