#include "app/layout/unit_cut_outs.hpp"

#include "app/bench/words.hpp"
#include "core/job/field_visits.hpp"
#include "core/runs/place_run.hpp"

#include <QCoreApplication>

namespace yes_square::app {
namespace {

QString tr_here(const char* words) {
    return QCoreApplication::translate("UnitCutOuts", words);
}

/// What it is cut for, and in what.
struct CutFor {
    const char* words;
    const char* name;
    UnitPanel panel;
};
constexpr std::array cut_for{
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "duct, in its back"), "duct", UnitPanel::back},
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "pipe, in its back"), "pipe", UnitPanel::back},
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "socket or switch, in its back"), "socket", UnitPanel::back},
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "cable, in its back"), "cable", UnitPanel::back},
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "pipe or cable, in its left side"), "pipe or cable", UnitPanel::left_side},
    CutFor{QT_TRANSLATE_NOOP("UnitCutOuts", "pipe or cable, in its right side"), "pipe or cable",
           UnitPanel::right_side}};

CabinetUnit* selected_in(Workbench& bench, Wall& wall) {
    for (Run& run : wall.runs)
        for (CabinetUnit& unit : run.units)
            if (bench.unit() && unit.id == bench.unit()->id)
                return &unit;
    return nullptr;
}

QString words_of(const PanelCutOut& cut, const Voice& voice) {
    const auto shown = [&](Length length) { return text(say(quantity(length), voice)); };
    const QString edge = cut.panel == UnitPanel::back ? tr_here("%1 from the left") : tr_here("%1 from the back");
    return tr_here("%1, %2: %3 x %4, %5, %6 down")
        .arg(text(cut.name), text(say(enum_words(cut.panel), voice)), shown(cut.width), shown(cut.height),
             edge.arg(shown(cut.across)), shown(cut.down));
}

} // namespace

ReadingsEditor* unit_cut_outs(Workbench& bench, QWidget* parent) {
    ReadingsSpec spec;
    spec.name = QStringLiteral("unit-cut");
    spec.kind_label = tr_here("Cut out for");
    for (const CutFor& kind : cut_for)
        spec.kinds << tr_here(kind.words);
    spec.fields = [](int kind) {
        const bool back = cut_for[static_cast<std::size_t>(std::max(0, kind))].panel == UnitPanel::back;
        return std::vector<ReadingField>{{QStringLiteral("across"), back ? tr_here("Left edge, from the unit's left")
                                                                         : tr_here("From its back edge")},
                                         {QStringLiteral("down"), tr_here("Top edge, below the unit's top")},
                                         {QStringLiteral("width"), tr_here("Wide"), false, false, true},
                                         {QStringLiteral("height"), tr_here("High"), false, false, true}};
    };
    spec.add = [&bench](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
        if (CabinetUnit* unit = selected_in(bench, wall)) {
            const CutFor& what = cut_for[static_cast<std::size_t>(kind)];
            unit->cut_outs.push_back({what.name, what.panel, *figures[0], *figures[1], *figures[2], *figures[3]});
        }
    };
    spec.rows = [&bench](const Wall&, const Voice& voice, const Reader&) {
        std::vector<ReadingRow> rows;
        if (const CabinetUnit* unit = bench.unit())
            for (std::size_t i = 0; i < unit->cut_outs.size(); ++i)
                rows.push_back({unit->cut_outs[i].across, words_of(unit->cut_outs[i], voice), 0, i});
        return rows;
    };
    spec.erase = [&bench](Wall& wall, const ReadingRow& row) {
        if (CabinetUnit* unit = selected_in(bench, wall))
            unit->cut_outs.erase(unit->cut_outs.begin() + static_cast<std::ptrdiff_t>(row.index));
    };
    return new ReadingsEditor{bench, std::move(spec), parent};
}

} // namespace yes_square::app
