#include "core/versions/merge_jobs.hpp"

#include "core/job/file.hpp"
#include "core/versions/compare_jobs.hpp"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <map>
#include <nlohmann/json.hpp>
#include <utility>

namespace yes_square {
namespace {

using Json = nlohmann::json;

/// Lists without ids to which each copy adds what was found or done: both are kept. Every other list is one figure.
constexpr std::array records{"ticks", "log", "made", "observations", "scans", "floor", "ceiling", "widths"};

bool is_record(std::string_view name) {
    return std::ranges::find(records, name) != records.end();
}

bool by_id(const Json& list) {
    return list.is_array() && std::ranges::all_of(list, [](const Json& each) {
               return each.is_object() && each.contains("id") && each["id"].is_string();
           });
}

const Json* with_id(const Json* list, const std::string& id) {
    if (!list)
        return nullptr;
    const auto found = std::ranges::find_if(
        *list, [&](const Json& each) { return each.is_object() && each.value("id", std::string{}) == id; });
    return found == list->end() ? nullptr : &*found;
}

const Json* member(const Json* object, const std::string& name) {
    if (!object)
        return nullptr;
    const auto found = object->find(name);
    return found == object->end() ? nullptr : &*found;
}

bool alike(const Json* one, const Json* other) {
    return (!one && !other) || (one && other && *one == *other);
}

/// Three copies of a document into one.
class Merger {
public:
    /// @param keep_all  what only one copy took out stays: the other may hang on it
    Merger(const std::set<std::string>& take_theirs, bool keep_all)
        : take_theirs_{take_theirs}
        , keep_all_{keep_all} {}

    const std::vector<std::string>& collided() const { return collided_; }

    /// Nullptr: not there. @param name  the member's; @param path  where it is
    std::optional<Json> merge(const Json* shared, const Json* mine, const Json* theirs, const std::string& name,
                              const std::string& path) {
        const auto copy = [](const Json* of) { return of ? std::optional{*of} : std::nullopt; };
        if (alike(mine, theirs))
            return copy(mine);
        const bool gone_here = shared && !mine;
        const bool gone_there = shared && !theirs;
        // What is in it may have been taken out by one and be wanted by the other.
        const bool look_inside = keep_all_ && mine && theirs &&
                                 ((mine->is_object() && theirs->is_object()) || (by_id(*mine) && by_id(*theirs)));
        if (alike(shared, theirs) && !(gone_here && keep_all_) && !look_inside)
            return copy(mine);
        if (alike(shared, mine) && !(gone_there && keep_all_) && !look_inside)
            return copy(theirs);
        if (gone_here || gone_there) {
            // Taken out in one, changed in the other: it stays, and they are told.
            if (!alike(shared, gone_here ? theirs : mine))
                collided_.push_back(path);
            return copy(gone_here ? theirs : mine);
        }
        if (mine && theirs && mine->is_object() && theirs->is_object() && same_kind(*mine, *theirs))
            return merge_members(shared && shared->is_object() ? shared : nullptr, *mine, *theirs, path);
        if (mine && theirs && by_id(*mine) && by_id(*theirs) && !(mine->empty() && theirs->empty()) &&
            (!shared || by_id(*shared)))
            return merge_things(shared, *mine, *theirs, path);
        if (mine && theirs && mine->is_array() && theirs->is_array() && is_record(name))
            return merge_records(shared, *mine, *theirs);
        collided_.push_back(path);
        return copy(take_theirs_.contains(path) ? theirs : mine);
    }

private:
    /// Members of one kind of a thing are not put into another kind.
    static bool same_kind(const Json& mine, const Json& theirs) {
        return mine.value("kind", std::string{}) == theirs.value("kind", std::string{});
    }

    Json merge_members(const Json* shared, const Json& mine, const Json& theirs, const std::string& path) {
        Json merged = Json::object();
        std::set<std::string> names;
        for (const auto& [name, value] : mine.items())
            names.insert(name);
        for (const auto& [name, value] : theirs.items())
            names.insert(name);
        for (const std::string& name : names)
            if (auto value = merge(member(shared, name), member(&mine, name), member(&theirs, name), name,
                                   path.empty() ? name : path + "/" + name))
                merged[name] = std::move(*value);
        return merged;
    }

    /// In my order; what they added comes after what it followed there.
    Json merge_things(const Json* shared, const Json& mine, const Json& theirs, const std::string& path) {
        std::vector<std::string> order;
        for (const Json& each : mine)
            order.push_back(each["id"]);
        std::string before;
        for (const Json& each : theirs) {
            const std::string id = each["id"];
            if (std::ranges::find(order, id) == order.end()) {
                const auto after = std::ranges::find(order, before);
                order.insert(
                    after == order.end() ? order.begin() + (before.empty() ? 0 : std::ssize(order)) : after + 1, id);
            }
            before = id;
        }
        Json merged = Json::array();
        for (const std::string& id : order)
            if (auto value = merge(with_id(shared, id), with_id(&mine, id), with_id(&theirs, id), {}, path + "/" + id))
                merged.push_back(std::move(*value));
        return merged;
    }

    /// Mine, less what they took out, and what they added.
    static Json merge_records(const Json* shared, const Json& mine, const Json& theirs) {
        Json left = shared && shared->is_array() ? *shared : Json::array();
        Json added = Json::array();
        for (const Json& each : theirs) {
            const auto known = std::ranges::find(left, each);
            if (known != left.end())
                left.erase(known);
            else if (std::ranges::find(mine, each) == mine.end())
                added.push_back(each);
        }
        Json merged = Json::array();
        for (const Json& each : mine) {
            const auto taken_out = std::ranges::find(left, each);
            if (taken_out != left.end())
                left.erase(taken_out);
            else
                merged.push_back(each);
        }
        for (Json& each : added)
            merged.push_back(std::move(each));
        return merged;
    }

    const std::set<std::string>& take_theirs_;
    bool keep_all_;
    std::vector<std::string> collided_;
};

/// Every thing of a document by its id, with its JSON.
void collect_ids(const Json& json, std::map<std::string, const Json*>& ids) {
    if (json.is_object())
        if (const auto id = json.find("id"); id != json.end() && id->is_string())
            ids.emplace(id->get<std::string>(), &json);
    if (json.is_object() || json.is_array())
        for (const Json& each : json)
            collect_ids(each, ids);
}

/// An id wherever it stands: alone, or at the head of a mark's or a step's name.
void rename(Json& json, const std::string& from, const std::string& to) {
    if (json.is_string()) {
        const auto& text = json.get_ref<const std::string&>();
        const bool whole = text == from;
        const bool at_head = text.size() > from.size() && text.starts_with(from) &&
                             (text[from.size()] == '@' || text[from.size()] == '/');
        if (whole || at_head)
            json = to + text.substr(from.size());
    } else if (json.is_object() || json.is_array()) {
        for (Json& each : json)
            rename(each, from, to);
    }
}

/// What each made by itself under one id is two things.
void part_what_is_new_in_both(const Json& shared, const Json& mine, Json& theirs) {
    std::map<std::string, const Json*> known;
    std::map<std::string, const Json*> here;
    std::map<std::string, const Json*> there;
    collect_ids(shared, known);
    collect_ids(mine, here);
    collect_ids(theirs, there);
    std::vector<std::pair<std::string, std::string>> renamed;
    for (const auto& [id, thing] : there) {
        const auto other = here.find(id);
        if (known.contains(id) || other == here.end() || *other->second == *thing)
            continue;
        const std::size_t dash = id.rfind('-');
        const std::string stem = dash == std::string::npos ? id : id.substr(0, dash);
        int number = 1;
        std::string fresh;
        const auto taken = [&](const std::string& name) {
            return known.contains(name) || here.contains(name) || there.contains(name) ||
                   std::ranges::any_of(renamed, [&](const auto& each) { return each.second == name; });
        };
        do
            fresh = fmt::format("{}-{}", stem, ++number);
        while (taken(fresh));
        renamed.emplace_back(id, fresh);
    }
    for (const auto& [from, to] : renamed)
        rename(theirs, from, to);
}

/// A step that both ticked is ticked once: as done, if either did it; else as here.
void one_tick_a_step(std::vector<Tick>& ticks) {
    std::vector<Tick> once;
    for (Tick& tick : ticks) {
        const auto known = std::ranges::find(once, tick.key, &Tick::key);
        if (known == once.end())
            once.push_back(std::move(tick));
        else if (known->state != TickState::done && tick.state == TickState::done)
            *known = std::move(tick);
    }
    ticks = std::move(once);
}

} // namespace

tl::expected<Merged, FileProblem> merge_jobs(const Job& shared, const Job& mine, const Job& theirs,
                                             const std::set<std::string>& take_theirs, const Voice& voice) {
    const Json before = Json::parse(write_job(shared));
    const Json here = Json::parse(write_job(mine));
    Json there = Json::parse(write_job(theirs));
    part_what_is_new_in_both(before, here, there);
    tl::expected<LoadedJob, FileProblem> read;
    std::vector<std::string> collided;
    // A thing that one copy took out may be what the other hung something on: then nothing is taken out.
    for (const bool keep_all : {false, true}) {
        Merger merger{take_theirs, keep_all};
        const auto merged = merger.merge(&before, &here, &there, {}, {});
        read = read_job(merged->dump());
        collided = merger.collided();
        if (read)
            break;
    }
    if (!read)
        return tl::unexpected{read.error()};
    Merged result{std::move(read->job), {}};
    one_tick_a_step(result.job.ticks);
    if (collided.empty())
        return result;
    const Voice told{mine.unit, voice.translate, voice.decimal};
    const auto rows_before = member_rows(shared, told);
    const auto rows_here = member_rows(mine, told);
    const auto there_read = read_job(there.dump());
    const auto rows_there = member_rows(there_read ? there_read->job : theirs, told);
    for (const std::string& path : collided) {
        Collision& collision = result.collisions.emplace_back();
        collision.path = path;
        // A list that is one figure has no row of its own: it is told by its name.
        collision.label = path.substr(path.rfind('/') + 1);
        const auto look = [&](const std::map<std::string, MemberRow>& rows, const Json& document) {
            if (const auto row = rows.find(path); row != rows.end()) {
                collision.wall = row->second.wall;
                collision.where = row->second.where;
                collision.label = row->second.label;
                return row->second.words;
            }
            std::string thing = path.substr(0, path.rfind('/'));
            if (const auto row = rows.find(thing); row != rows.end()) {
                collision.wall = row->second.wall;
                collision.where = row->second.where;
            }
            const Json* at = &document;
            for (std::size_t from = 0; at && from <= path.size();) {
                const std::size_t to = std::min(path.find('/', from), path.size());
                const std::string step = path.substr(from, to - from);
                at = at->is_array() ? with_id(at, step) : member(at, step);
                from = to + 1;
            }
            return !at ? std::string{} : at->is_array() ? say({"{0} entries", {count(at->size())}}, told) : at->dump();
        };
        collision.shared = look(rows_before, before);
        collision.mine = look(rows_here, here);
        collision.theirs = look(rows_there, there);
    }
    return result;
}

std::optional<std::size_t> shared_version(const std::vector<Job>& versions, const Job& copy) {
    const auto rows = member_rows(copy, {copy.unit});
    std::optional<std::size_t> best;
    std::size_t least = 0;
    for (std::size_t i = 0; i < versions.size(); ++i) {
        const std::size_t different = changes_between(member_rows(versions[i], {copy.unit}), rows).size();
        if (!best || different <= least) {
            best = i;
            least = different;
        }
    }
    return best;
}

Sentence words(const Collision& collision) {
    const auto or_else = [](const std::string& text, std::string_view absent) {
        return text.empty() ? Value{absent} : Value{text};
    };
    std::string of = collision.where;
    if (!of.empty() && !collision.label.empty())
        of += ", ";
    return {"{0}: {1} here, {2} there, {3} before",
            {of + collision.label, or_else(collision.mine, word("taken out")),
             or_else(collision.theirs, word("taken out")), or_else(collision.shared, word("not there"))}};
}

} // namespace yes_square
