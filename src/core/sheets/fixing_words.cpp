#include "core/sheets/fixing_words.hpp"

#include <set>

namespace yes_square {

std::vector<Sentence> words_of_fixings(const std::vector<PlannedHole>& holes) {
    struct RowsOfFixing {
        const Fixing* fixing = nullptr;
        std::set<int> rows;
    };
    std::vector<RowsOfFixing> kinds;
    for (const PlannedHole& hole : holes) {
        if (!hole.fixing)
            continue;
        const auto same = std::ranges::find_if(kinds, [&](const RowsOfFixing& kind) {
            return kind.fixing->name == hole.fixing->name && kind.fixing->screw_length == hole.fixing->screw_length;
        });
        (same == kinds.end() ? kinds.emplace_back(RowsOfFixing{&*hole.fixing, {}}) : *same).rows.insert(hole.spot.row);
    }
    std::vector<Sentence> said;
    for (const RowsOfFixing& kind : kinds) {
        std::string rows;
        for (const int row : kind.rows)
            rows += (rows.empty() ? "" : ", ") + std::to_string(row);
        said.push_back(
            {kinds.size() == 1
                 ? std::string_view{"{0}, {1} long; pilot {2}; tape on the bit at {3} from the face of the wall"}
                 : "Row {4} from the top: {0}, {1} long; pilot {2}; tape on the bit at {3} from the face of the "
                   "wall",
             {kind.fixing->name, stock(kind.fixing->screw_length), stock(kind.fixing->hole_diameter),
              stock(kind.fixing->drill_depth), rows}});
    }
    return said;
}

} // namespace yes_square
