#include "app/layout/found_screws.hpp"

#include "app/bench/words.hpp"
#include "core/job/field_visits.hpp"

#include <QCoreApplication>
#include <array>

namespace yes_square::app {
namespace {

QString in_words(const char* words) {
    return QCoreApplication::translate("FoundScrews", words);
}

/// As somebody finds it who turns and pulls at it.
struct FoundSo {
    const char* words;
    FoundThrough through;
    FoundIn in;
    bool moved;
};
constexpr std::array found_so{
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "rail: bites in wood"), FoundThrough::rail, FoundIn::wood, false},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "rail: in wood, it moved"), FoundThrough::rail, FoundIn::wood, true},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "rail: lining only"), FoundThrough::rail, FoundIn::lining, false},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "rail: not known"), FoundThrough::rail, FoundIn::not_known, false},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "back: bites in wood"), FoundThrough::back, FoundIn::wood, false},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "side, into neighbour"), FoundThrough::stile, FoundIn::wood, false},
    FoundSo{QT_TRANSLATE_NOOP("FoundScrews", "strip under it"), FoundThrough::ledger, FoundIn::wood, false}};

HungCabinet* selected_on(Workbench& bench, Wall& wall) {
    const HungCabinet* chosen = bench.selected<HungCabinet>();
    for (HungCabinet& hung : wall.hung)
        if (chosen && hung.id == chosen->id)
            return &hung;
    return nullptr;
}

} // namespace

ReadingsEditor* found_screws(Workbench& bench, QWidget* parent) {
    ReadingsSpec spec;
    spec.name = QStringLiteral("found-screw");
    spec.kind_label = in_words("A screw");
    for (const FoundSo& so : found_so)
        spec.kinds << in_words(so.words);
    spec.fields = [](int) {
        return std::vector<ReadingField>{{QStringLiteral("across"), in_words("From its left")},
                                         {QStringLiteral("down"), in_words("Below its top")}};
    };
    spec.add = [&bench](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
        if (HungCabinet* hung = selected_on(bench, wall)) {
            const FoundSo& so = found_so[static_cast<std::size_t>(std::max(0, kind))];
            hung->found.push_back({so.through,
                                   so.in,
                                   *figures[0],
                                   *figures[1],
                                   hung->gauge,
                                   hung->screw_length,
                                   hung->broad_heads,
                                   so.moved,
                                   {}});
        }
    };
    spec.rows = [&bench](const Wall&, const Voice& voice, const Reader&) {
        std::vector<ReadingRow> rows;
        const HungCabinet* hung = bench.selected<HungCabinet>();
        const HungPlan* plan = bench.selected_plan<HungCabinet>();
        if (!hung || !plan || plan->found.size() != hung->found.size())
            return rows;
        for (std::size_t i = 0; i < hung->found.size(); ++i) {
            const FoundScrew& screw = hung->found[i];
            const FoundVerdict& verdict = plan->found[i];
            const QString counts = verdict.counts ? in_words("counts") : in_words("does not count");
            rows.push_back(
                {screw.across,
                 in_words("%1 across, %2 down, %3: %4, %5")
                     .arg(text(format(screw.across, voice)), text(format(screw.down, voice)),
                          text(say(enum_words(screw.through), voice)), counts, text(say(verdict.why, voice))),
                 0, i});
        }
        return rows;
    };
    spec.erase = [&bench](Wall& wall, const ReadingRow& row) {
        if (HungCabinet* hung = selected_on(bench, wall))
            hung->found.erase(hung->found.begin() + static_cast<std::ptrdiff_t>(row.index));
    };
    return new ReadingsEditor{bench, std::move(spec), parent};
}

} // namespace yes_square::app
