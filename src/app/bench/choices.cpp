#include "app/bench/choices.hpp"

#include "app/bench/words.hpp"
#include "core/job/materials.hpp"

namespace yes_square::app {
namespace {} // namespace

QStringList board_words() {
    QStringList boards;
    for (const BoardProperties& board : all_boards())
        boards << text(board.words);
    return boards;
}

QStringList load_words() {
    return {tr("A row of books"), tr("Kitchen goods"), tr("Household goods"),
            tr("Ornaments"),      tr("Own figure"),    tr("A desk's things, somebody on its edge"),
            tr("Clothes")};
}

QStringList species_words() {
    return {tr("Not known"),
            tr("Spruce-pine-fir"),
            tr("Southern pine"),
            tr("Douglas-fir-larch"),
            tr("Red oak"),
            tr("Western cedars"),
            tr("C16")};
}

QStringList gauge_words() {
    QStringList gauges;
    for (const ScrewProperties& gauge : all_gauges())
        gauges << QString::fromUtf8(gauge.wood_screw_words);
    return gauges;
}

} // namespace yes_square::app
