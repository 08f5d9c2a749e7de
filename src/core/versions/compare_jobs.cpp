#include "core/versions/compare_jobs.hpp"

#include "core/job/fields.hpp"
#include "core/job/member_words.hpp"

#include <set>
#include <utility>

namespace yes_square {
namespace {

constexpr std::string_view not_there = word("none");

/// A visitor that keeps the way to where it is.
class Rows {
public:
    Rows(std::map<std::string, MemberRow>& rows, const Voice& voice)
        : rows_{rows}
        , voice_{voice} {}

    template <class T>
    void required(std::string_view name, const T& value, const Meaning& meaning = {}) {
        put(name, member_label(name, meaning, voice_), member_words(value, meaning, voice_), member_exactly(value));
    }
    template <class T>
    void optional(std::string_view name, const T& value, const Meaning& meaning = {}) {
        required(name, value, meaning);
    }
    void maybe(std::string_view name, const auto& value, const Meaning& meaning = {}) {
        if (value)
            required(name, *value, meaning);
        else
            put(name, member_label(name, meaning, voice_), say(meaning.none.empty() ? not_there : meaning.none, voice_),
                {});
    }
    void lengths(std::string_view name, const auto& values, const Meaning& meaning) {
        std::string words;
        std::string exact;
        for (const auto& value : values) {
            words += (words.empty() ? "" : "; ") + member_words(value, meaning, voice_);
            exact += member_exactly(value) + ";";
        }
        put(name, member_label(name, meaning, voice_), words.empty() ? say(not_there, voice_) : words, exact);
    }
    void part(std::string_view name, const auto& inner) { within(std::string{name}, {}, inner); }
    void maybe_part(std::string_view name, const auto& inner) {
        if (inner)
            whole(std::string{name}, member_label(name, {}, voice_), *inner);
    }
    void list(std::string_view name, const auto& parts) {
        if (name == "ticks" || name == "log")
            return;
        std::size_t number = 0;
        for (const auto& each : parts) {
            ++number;
            const std::string step = std::string{name} + "/";
            if constexpr (requires { each.id; })
                whole(step + each.id, name_of_part(each), each);
            else
                whole(step + std::to_string(number), member_label(name, {}, voice_) + " " + std::to_string(number),
                      each);
        }
    }
    void one_of(std::string_view name, const auto& variant) {
        std::visit(
            [&]<class Inner>(const Inner& inner) {
                put(name, member_label(name, {}, voice_), kind_words(variant), kind_words(variant));
                within(std::string{name}, {}, inner);
            },
            variant);
    }
    void maybe_one_of(std::string_view name, const auto& variant) { one_of(name, variant); }

private:
    static std::string name_of_part(const auto& each) {
        if constexpr (requires { each.name; })
            return each.name.empty() ? each.id : std::string{each.name};
        else if constexpr (requires { each.unit.name; })
            return each.unit.name.empty() ? each.id : std::string{each.unit.name};
        else
            return each.id;
    }
    template <class Variant>
    std::string kind_words(const Variant& variant) const {
        std::string words{kind_names<Variant>[variant.index()]};
        for (char& c : words)
            c = c == '_' ? ' ' : c;
        return say(std::string_view{words}, voice_);
    }

    /// A thing that may come and go, with a row of its own.
    void whole(const std::string& step, const std::string& name, const auto& inner) {
        rows_[path_ + step] = {wall_, where_.empty() ? name : where_ + ", " + name, {}, name, {}};
        within(step, name, inner);
    }
    template <class Part>
    void within(const std::string& step, const std::string& name, const Part& inner) {
        const std::string path = std::exchange(path_, path_ + step + "/");
        std::string where = where_;
        if (!name.empty())
            where_ = where_.empty() ? name : where_ + ", " + name;
        std::string wall = wall_;
        if constexpr (std::same_as<Part, Wall>)
            wall_ = inner.id;
        fields(*this, inner);
        wall_ = std::move(wall);
        where_ = std::move(where);
        path_ = path;
    }
    void put(std::string_view name, std::string label, std::string words, std::string exact) {
        rows_[path_ + std::string{name}] = {wall_, where_, std::move(label), std::move(words), std::move(exact)};
    }

    std::map<std::string, MemberRow>& rows_;
    const Voice& voice_;
    std::string path_;
    std::string where_;
    std::string wall_;
};

} // namespace

std::map<std::string, MemberRow> member_rows(const Job& job, const Voice& voice) {
    std::map<std::string, MemberRow> rows;
    Rows look{rows, voice};
    fields(look, job);
    return rows;
}

std::vector<JobChange> changes_between(const Job& before, const Job& after, const Voice& voice) {
    return changes_between(member_rows(before, voice), member_rows(after, voice));
}

std::vector<JobChange> changes_between(const std::map<std::string, MemberRow>& was,
                                       const std::map<std::string, MemberRow>& is) {
    std::vector<JobChange> changes;
    // What is in a thing that came or went is told by it.
    std::string told;
    const auto in_told = [&](const std::string& path) { return !told.empty() && path.rfind(told, 0) == 0; };
    const auto add = [&](const std::string& path, const MemberRow* old, const MemberRow* now) {
        const MemberRow& row = now ? *now : *old;
        if (in_told(path))
            return;
        if (row.label.empty() && (!old || !now))
            told = path + "/";
        else if (!old || !now)
            return; // of another kind: its kind is told
        changes.push_back(
            {path, row.wall, row.where, row.label, old ? old->words : std::string{}, now ? now->words : std::string{}});
    };
    auto old = was.begin();
    auto now = is.begin();
    while (old != was.end() || now != is.end()) {
        if (now == is.end() || (old != was.end() && old->first < now->first)) {
            add(old->first, &old->second, nullptr);
            ++old;
        } else if (old == was.end() || now->first < old->first) {
            add(now->first, nullptr, &now->second);
            ++now;
        } else {
            if (old->second.exact != now->second.exact)
                add(old->first, &old->second, &now->second);
            ++old;
            ++now;
        }
    }
    return changes;
}

} // namespace yes_square
