#include "core/cutting/worked_parts.hpp"

#include <algorithm>

namespace yes_square {

bool by_its_middle(Machining kind) {
    return kind == Machining::screw_hole || kind == Machining::bore || kind == Machining::slot;
}

std::string cut_words(const PartCut& cut, const Voice& voice) {
    const Length narrow = std::min(cut.along, cut.across);
    std::string said;
    switch (cut.kind) {
    case Machining::screw_hole:
    case Machining::bore:
        said = say(Sentence{"{0} of {1}, {2} deep", {words(cut.kind), stock(cut.along), stock(cut.depth)}}, voice);
        break;
    case Machining::mitre:
        said = say(words(cut.kind), voice);
        break;
    case Machining::notch:
        said = say(Sentence{"{0} of {1} x {2}", {words(cut.kind), stock(cut.along), stock(cut.across)}}, voice);
        break;
    default:
        said = say(Sentence{cut.passes > 1 ? std::string_view{"{0}, {1} broad, {2} deep, {3} passes"}
                                           : "{0}, {1} broad, {2} deep",
                            {words(cut.kind), stock(narrow), stock(cut.depth), count(cut.passes)}},
                   voice);
    }
    return cut.mind.empty() ? said : said + ", " + say(cut.mind, voice);
}

std::vector<WorkedPart> worked_parts(const Job& job, const Plan& plan, const Scope& scope) {
    std::vector<WorkedPart> worked;
    for (CutPiece& piece : cut_list(job, plan, scope)) {
        if (piece.work.cuts.empty())
            continue;
        std::ranges::stable_sort(piece.work.cuts, {}, &PartCut::from);
        const auto alike = std::ranges::find_if(worked, [&](const WorkedPart& other) {
            return other.part.item == piece.item && other.part.what == piece.what &&
                   other.part.length == piece.length && other.part.breadth == piece.breadth &&
                   other.part.work == piece.work;
        });
        if (alike != worked.end())
            alike->labels.push_back(piece.label);
        else
            worked.push_back({piece, {piece.label}});
    }
    return worked;
}

} // namespace yes_square
