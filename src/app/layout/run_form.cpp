#include "app/layout/run_form.hpp"

#include "app/bench/choices.hpp"

#include <algorithm>

namespace yes_square::app {
namespace {

/// Reads a member of the selected run.
template <class T>
BoundForm::Get<T> get_run(Workbench& bench, T Run::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.run() ? std::optional{bench.run()->*member} : std::nullopt;
    };
}
void change_run(Workbench& bench, Job& job, const std::function<void(Run&)>& change) {
    if (bench.run())
        if (Run* run = find_run(job, bench.run()->id).run)
            change(*run);
}
} // namespace

RunForm::RunForm(Workbench& bench, QWidget* parent)
    : BoundForm{bench, parent} {
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

void RunForm::build_place() {
    heading(tr("The run"));
    words(tr("Name"), "run-name", get_run(bench(), &Run::name),
          [this](Job& job, const std::string& name) { change_run(bench(), job, [&](Run& run) { run.name = name; }); });
    const auto end_choice = [this](const QString& label, const char* name, RunEnd Run::*member, bool may_be_open) {
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
            [this, member, may_be_open]() -> std::optional<int> {
                if (!bench().run())
                    return std::nullopt;
                const auto all = ends();
                if (may_be_open && bench().run()->open_end)
                    return static_cast<int>(all.size());
                const RunEnd& now = bench().run()->*member;
                for (std::size_t i = 0; i < all.size(); ++i) {
                    const RunEnd& each = all[i].first;
                    if (each.at == now.at && (now.at != EndKind::opening || each.opening == now.opening) &&
                        (now.at != EndKind::run || each.run == now.run))
                        return static_cast<int>(i);
                }
                return -1;
            },
            [this, member, may_be_open](Job& job, int row) {
                const auto all = ends();
                change_run(bench(), job, [&](Run& run) {
                    const bool open = static_cast<std::size_t>(row) == all.size();
                    if (may_be_open)
                        run.open_end = open;
                    if (open)
                        return;
                    const RunEnd before = run.*member;
                    run.*member = all[static_cast<std::size_t>(row)].first;
                    (run.*member).place = before.place;
                    (run.*member).clear = before.clear;
                });
            });
    };
    const auto end_place = [this](const QString& label, const char* name, RunEnd Run::*member) {
        length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench().run() || (bench().run()->*member).at != EndKind::place)
                    return std::nullopt;
                return (bench().run()->*member).place;
            },
            [this, member](Job& job, Length place) {
                change_run(bench(), job, [&](Run& run) { (run.*member).place = place; });
            });
    };
    end_choice(tr("Begins at"), "run-start", &Run::start, false);
    end_place(tr("Start at"), "run-start-place", &Run::start);
    end_choice(tr("Ends at"), "run-end", &Run::end, true);
    end_place(tr("End at"), "run-end-place", &Run::end);
    choice(
        tr("Slack"), "run-slack", words_of<Slack>(),
        [this]() -> std::optional<int> {
            return bench().run() ? std::optional{row_for(bench().run()->slack)} : std::nullopt;
        },
        [this](Job& job, int row) {
            const RunPlan* plan = bench().run_plan();
            change_run(bench(), job, [&](Run& run) {
                run.slack = at_row<Slack>(row);
                if (run.slack == Slack::by_hand && plan)
                    run.left = plan->layout.left();
            });
        });
}

void RunForm::build_order() {
    choice(
        tr("Centred"), "run-centre",
        [this] {
            QStringList words{tr("the whole run, or its hood")};
            if (bench().run())
                for (const CabinetUnit& unit : bench().run()->units)
                    words << text(unit.name);
            return words;
        },
        [this]() -> std::optional<int> {
            const Run* run = bench().run();
            if (!run || (run->slack != Slack::on_opening && run->slack != Slack::on_hob))
                return std::nullopt;
            const auto unit = std::ranges::find(run->units, run->centre_unit, &CabinetUnit::id);
            return unit == run->units.end() ? 0 : 1 + static_cast<int>(unit - run->units.begin());
        },
        [this](Job& job, int row) {
            change_run(bench(), job, [&](Run& run) {
                run.centre_unit = row == 0 ? std::string{} : run.units[static_cast<std::size_t>(row - 1)].id;
            });
        });
    choice(
        tr("Goes up first"), "hang-first", words_of<HangFirst>(),
        [this]() -> std::optional<int> { return row_for(bench().job().rules.runs.hang_first); },
        [](Job& job, int row) { job.rules.runs.hang_first = at_row<HangFirst>(row); });
    choice(
        tr("Begun"), "start-at", words_of<StartAt>(),
        [this]() -> std::optional<int> { return row_for(bench().job().rules.runs.start_at); },
        [](Job& job, int row) { job.rules.runs.start_at = at_row<StartAt>(row); });
    length(
        tr("Left end at"), "run-left",
        [this]() -> std::optional<Length> {
            return bench().run_plan() && !bench().run()->units.empty()
                       ? std::optional{bench().run_plan()->layout.left()}
                       : std::nullopt;
        },
        [this](Job& job, Length left) {
            change_run(bench(), job, [&](Run& run) {
                run.slack = Slack::by_hand;
                run.left = left;
            });
        });
}

} // namespace yes_square::app
