#include "core/job/own_entries.hpp"

#include <algorithm>

namespace yes_square {
namespace {

template <class Entry>
void keep_own(std::vector<Entry>& entries) {
    std::erase_if(entries, [](const Entry& entry) { return !entry.own; });
}

template <class Entry>
void add_missing(std::vector<Entry>& entries, const std::vector<Entry>& more) {
    for (const Entry& entry : more)
        if (std::ranges::find(entries, entry.id, &Entry::id) == entries.end())
            entries.push_back(entry);
}

} // namespace

Catalogue own_entries(const Catalogue& catalogue) {
    Catalogue own;
    own.brackets = catalogue.brackets;
    own.plugs = catalogue.plugs;
    own.lining_anchors = catalogue.lining_anchors;
    keep_own(own.brackets);
    keep_own(own.plugs);
    keep_own(own.lining_anchors);
    return own;
}

void add_entries(Catalogue& catalogue, const Catalogue& more) {
    add_missing(catalogue.brackets, more.brackets);
    add_missing(catalogue.plugs, more.plugs);
    add_missing(catalogue.lining_anchors, more.lining_anchors);
}

MasonryAnchor* copy_as_own(Catalogue& catalogue, const std::string& id) {
    const auto from = std::ranges::find(catalogue.plugs, id, &MasonryAnchor::id);
    if (from == catalogue.plugs.end())
        return nullptr;
    MasonryAnchor copy = *from;
    copy.own = true;
    copy.unknown.clear();
    for (int number = 1;; ++number) {
        copy.id = "own-" + std::to_string(number);
        if (std::ranges::find(catalogue.plugs, copy.id, &MasonryAnchor::id) == catalogue.plugs.end())
            break;
    }
    copy.basis = FigureBasis::not_stated; // until the packet has been read
    catalogue.plugs.push_back(std::move(copy));
    return &catalogue.plugs.back();
}

} // namespace yes_square
