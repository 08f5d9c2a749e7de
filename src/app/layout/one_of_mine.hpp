#pragma once

#include "app/bench/bound_form.hpp"
#include "app/bench/words.hpp"
#include "core/job/own_entries.hpp"

#include <QCoreApplication>
#include <algorithm>
#include <functional>
#include <optional>
#include <vector>

namespace yes_square::app {

/// Figures of a form that the fitter has kept before, or keeps now: what a thing is held by.
template <class Entry>
struct OneOfMine {
    QString label;      ///< "Take one of mine"
    std::string choice; ///< name of the row that takes one
    std::string keep;   ///< and of the button that keeps what is typed
    /// What is typed, as an entry; none: there is nothing to take or keep.
    std::function<std::optional<Entry>(const Job&)> now;
    /// Whether such an entry is offered for it.
    std::function<bool(const Entry& entry, const Entry& now)> suits;
    std::function<bool(const Entry& entry, const Entry& now)> alike;
    std::function<void(Job&, const Entry&)> take;
    /// Keeps it; the number tells it from others in its name.
    std::function<void(Catalogue&, const Entry& now, std::size_t number)> put_by;
};

/// A row that takes one of them in place of what is typed, shown where there is any.
template <class Entry>
void take_one_of_mine(BoundForm& form, Workbench& bench, const OneOfMine<Entry>& mine) {
    const auto offered = [mine](const Job& job) {
        std::vector<const Entry*> entries;
        if (const auto now = mine.now(job))
            for (const Entry& entry : job.catalogue.*entries_of<Entry>)
                if (entry.at_hand && mine.suits(entry, *now))
                    entries.push_back(&entry);
        return entries;
    };
    form.choice(
        mine.label, mine.choice.c_str(),
        [&bench, offered] {
            QStringList words{QCoreApplication::translate("OneOfMine", "as it is typed here")};
            for (const Entry* entry : offered(bench.job()))
                words << text(entry->name);
            return words;
        },
        [&bench, mine, offered]() -> std::optional<int> {
            const auto entries = offered(bench.job());
            if (entries.empty())
                return std::nullopt;
            const Entry now = *mine.now(bench.job());
            const auto same =
                std::ranges::find_if(entries, [&](const Entry* entry) { return mine.alike(*entry, now); });
            return same == entries.end() ? 0 : 1 + static_cast<int>(same - entries.begin());
        },
        [mine, offered](Job& job, int row) {
            if (row > 0)
                mine.take(job, Entry{*offered(job)[static_cast<std::size_t>(row - 1)]});
        });
}

/// The button.
template <class Entry>
void keep_one_of_mine(BoundForm& form, Workbench& bench, const OneOfMine<Entry>& mine) {
    const QString words = QCoreApplication::translate("OneOfMine", "Keep it as one of mine");
    form.button(
        words, mine.keep.c_str(), [&bench, mine] { return mine.now(bench.job()).has_value(); },
        [&bench, mine, words] {
            const Entry now = *mine.now(bench.job());
            bench.edit(words, [&](Job& job) {
                mine.put_by(job.catalogue, now, (job.catalogue.*entries_of<Entry>).size() + 1);
            });
        });
}

} // namespace yes_square::app
