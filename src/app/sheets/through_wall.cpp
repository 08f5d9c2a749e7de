#include "app/sheets/through_wall.hpp"

#include "core/fixings/drilling.hpp"
#include "core/sheets/hole_section.hpp"

namespace yes_square::app {
namespace {

constexpr double section_share = 0.46; ///< of the paper's width
constexpr double section_height = 56;  ///< mm

} // namespace

void write_drilling(Page& page, const Wall& wall, const WallPlan& plan, const std::vector<PlannedHole>& holes,
                    const Voice& voice, const std::function<void()>& before) {
    const PlannedHole* most = most_telling(holes);
    if (!most)
        return;
    const auto said = [&](const auto& what) { return text(say(what, voice)); };
    page.beside(
        section_share, section_height * page.type(),
        [&](double width, double height) {
            return draw_hole_section(wall, plan, *most, width, height, small_type * page.type(), voice);
        },
        [&] {
            if (before)
                before();
            page.write(tr("Right: level cut through the wall at %1, seen from above.").arg(said(most->what)),
                       small_type, false);
            std::vector<QStringList> rows;
            QStringList minds;
            for (const DrillRow& row : drilling_of(holes)) {
                rows.push_back({said(row.pass.bit), said(stock(row.pass.diameter)), said(stock(row.pass.depth)),
                                row.pass.hammer ? tr("on") : tr("off"), QString::number(row.places.size())});
                minds << tr("%1: %2").arg(said(row.pass.bit), said(row.pass.how));
            }
            page.table({tr("Bit, in this order"), tr("Wide"), tr("Tape at"), tr("Hammer"), tr("Places")}, rows,
                       {0.36, 0.17, 0.17, 0.15, 0.15});
            for (const QString& mind : minds)
                page.item(QStringLiteral("-"), mind, false);
        });
}

} // namespace yes_square::app
