#include "app/layout/run_form.hpp"

#include "app/layout/one_of_mine.hpp"

#include "app/bench/field_form.hpp"
#include "core/job/own_entries.hpp"

#include <algorithm>

namespace yes_square::app {

RunForm::RunForm(Workbench& bench, QWidget* parent)
    : PartForm{bench,
               PartAccess<Run>{[&bench] { return bench.run(); },
                               [&bench](Job& job, const std::function<void(Run&)>& to) {
                                   const Run* chosen = bench.run();
                                   if (Run* run = chosen ? find_run(job, chosen->id).run : nullptr)
                                       to(*run);
                               }},
               parent} {
    build_place();
    build_order();
}

std::vector<std::pair<RunEnd, QString>> RunForm::ends() const {
    std::vector<std::pair<RunEnd, QString>> all{{RunEnd{}, tr("the wall's end")}};
    const Wall* wall = bench().wall();
    if (!wall)
        return all;
    const auto add = [&](EndKind at, int opening, const std::string& run, const QString& words) {
        RunEnd end;
        end.at = at;
        end.opening = opening;
        end.run = run;
        all.push_back({end, words});
    };
    for (std::size_t i = 0; i < wall->openings.size(); ++i)
        add(EndKind::opening, static_cast<int>(i + 1), {},
            (wall->openings[i].kind == OpeningKind::window ? tr("window, opening %1") : tr("door, opening %1"))
                .arg(i + 1));
    for (const Run& run : wall->runs)
        if (bench().run() && run.id != bench().run()->id)
            add(EndKind::run, 1, run.id, tr("run: %1").arg(text(run.name)));
    const WallPlan* plan = bench().wall_plan();
    for (const auto* beside : {&plan->survey.left, &plan->survey.right})
        if (*beside)
            for (const Wall& other : bench().job().walls)
                if (other.id == (*beside)->wall)
                    for (const Run& run : other.runs)
                        add(EndKind::run, 1, run.id, tr("front of %1, %2").arg(text(run.name), text(other.name)));
    add(EndKind::place, 1, {}, tr("a place"));
    return all;
}

/// Where it begins or ends; a place by itself is typed in the row under it.
void RunForm::build_end(const QString& label, const char* name, RunEnd Run::*member, bool may_be_open) {
    choice(
        label, name,
        [this, may_be_open] {
            QStringList words;
            for (const auto& [end, said] : ends())
                words << said;
            if (may_be_open)
                words << tr("open");
            return words;
        },
        read<int>([this, member, may_be_open](const Run& run) {
            const auto all = ends();
            if (may_be_open && run.open_end)
                return static_cast<int>(all.size());
            const RunEnd& now = run.*member;
            const auto same = std::ranges::find_if(all, [&](const auto& each) {
                const RunEnd& end = each.first;
                return end.at == now.at && (now.at != EndKind::opening || end.opening == now.opening) &&
                       (now.at != EndKind::run || end.run == now.run);
            });
            return same == all.end() ? -1 : static_cast<int>(same - all.begin());
        }),
        write<int>([this, member, may_be_open](Run& run, int row) {
            const auto all = ends();
            const bool open = static_cast<std::size_t>(row) == all.size();
            if (may_be_open)
                run.open_end = open;
            if (open)
                return;
            const RunEnd before = run.*member;
            run.*member = all[static_cast<std::size_t>(row)].first;
            (run.*member).place = before.place;
            (run.*member).clear = before.clear;
        }));
    FieldForm<RunEnd>{*this, inner(member), name}.row("place",
                                                      [](const RunEnd& of_it) { return of_it.at == EndKind::place; });
}

void RunForm::build_place() {
    heading(tr("The run"));
    FieldForm<Run>{*this, "run"}.row("name").row("measured_from");
    build_end(tr("Begins at"), "run-start", &Run::start, false);
    build_end(tr("Ends at"), "run-end", &Run::end, true);
    choice(tr("Slack"), "run-slack", words_of<Slack>(), read<int>([](const Run& run) { return row_for(run.slack); }),
           write<int>([this](Run& run, int row) {
               run.slack = at_row<Slack>(row);
               if (const RunPlan* plan = bench().run_plan(); plan && run.slack == Slack::by_hand)
                   run.left = plan->layout.left();
           }));
}

/// What its units hang on, where that is not screws through their backs.
void RunForm::build_gear() {
    const auto on_rail = [](const Run& run) {
        const auto gear = gear_of(run);
        return gear && std::holds_alternative<SuspensionRail>(gear->gear);
    };
    OneOfMine<HangingGear> mine;
    mine.label = tr("Hangs on one of mine");
    mine.choice = "run-gear";
    mine.keep = "keep-gear";
    mine.now = [this](const Job&) { return bench().run() ? gear_of(*bench().run()) : std::nullopt; };
    mine.suits = [](const HangingGear& gear, const HangingGear&) { return for_units(gear); };
    mine.alike = [](const HangingGear& gear, const HangingGear& now) {
        return gear.gear == now.gear && gear.rating == now.rating && gear.basis == now.basis;
    };
    mine.take = [this](Job& job, const HangingGear& gear) { change(job, [&](Run& run) { hang_on(run, gear); }); };
    mine.put_by = [](Catalogue& catalogue, const HangingGear& gear, std::size_t number) {
        const QString name = std::holds_alternative<HookPlate>(gear.gear) ? tr("Hook brackets, mine %1")
                                                                          : tr("Suspension rail, mine %1");
        keep_gear(catalogue, gear, name.arg(number).toStdString());
    };
    take_one_of_mine(*this, bench(), mine);
    const PartAccess<SuspensionRail> rail{
        [this, on_rail] { return bench().run() && on_rail(*bench().run()) ? &bench().run()->rail : nullptr; },
        [this](Job& job, const std::function<void(SuspensionRail&)>& to) {
            change(job, [&](Run& run) { to(run.rail); });
        }};
    FieldForm<SuspensionRail>{*this, rail, "run-rail"}.all();
    FieldForm<Run>{*this, "run"}.row("rail_pins", on_rail).row("channel", [](const Run& run) {
        return run.level == RunLevel::floor;
    });
    keep_one_of_mine(*this, bench(), mine);
}

void RunForm::build_order() {
    build_gear();
    choice(
        tr("Centred"), "run-centre",
        [this] {
            QStringList words{tr("the whole run, or its hood")};
            if (bench().run())
                for (const CabinetUnit& unit : bench().run()->units)
                    words << text(unit.name);
            return words;
        },
        read<int>(
            [](const Run& run) {
                const auto unit = std::ranges::find(run.units, run.centre_unit, &CabinetUnit::id);
                return unit == run.units.end() ? 0 : 1 + static_cast<int>(unit - run.units.begin());
            },
            [](const Run& run) { return run.slack == Slack::on_opening || run.slack == Slack::on_hob; }),
        write<int>([](Run& run, int row) {
            run.centre_unit = row == 0 ? std::string{} : run.units[static_cast<std::size_t>(row - 1)].id;
        }));
    choice(
        tr("Goes up first"), "hang-first", words_of<HangFirst>(),
        [this]() -> std::optional<int> { return row_for(bench().job().rules.runs.hang_first); },
        [](Job& job, int row) { job.rules.runs.hang_first = at_row<HangFirst>(row); });
    choice(
        tr("Begun"), "start-at", words_of<StartAt>(),
        [this]() -> std::optional<int> { return row_for(bench().job().rules.runs.start_at); },
        [](Job& job, int row) { job.rules.runs.start_at = at_row<StartAt>(row); });
    LengthField* begins =
        length(tr("Left end at"), "run-left",
               read<Length>([this](const Run&) { return bench().run_plan()->layout.left(); },
                            [this](const Run& run) { return bench().run_plan() && !run.units.empty(); }),
               write<Length>([](Run& run, Length left) {
                   run.slack = Slack::by_hand;
                   run.left = left;
               }));
    follow_tape(begins, tr("Left end at"),
                {tr("Right end at"),
                 [this] {
                     const RunPlan* plan = bench().run_plan();
                     return plan ? plan->layout.right() - plan->layout.left() : Length{};
                 },
                 [this] { return bench().run() ? bench().run()->measured_from : std::nullopt; }});
}

} // namespace yes_square::app
