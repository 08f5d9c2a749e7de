#include "core/job/file.hpp"

#include "core/job/fields.hpp"
#include "core/job/job_problem.hpp"
#include "core/job/ranges.hpp"
#include "core/job/schema.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <set>

namespace yes_square {
namespace embedded {
extern const std::string_view catalogue_json;
}
namespace {

using Json = nlohmann::json;
using OrderedJson = nlohmann::ordered_json;

constexpr int deepest_nesting = 64;

std::string shown(const Json& value) {
    std::string text = value.dump(-1, ' ', false, Json::error_handler_t::replace);
    return text.size() > 60 ? text.substr(0, 57) + "..." : text;
}

/// Fills a part of the job from a JSON object; throws FileProblem.
class MemberReader {
public:
    MemberReader(const Json& object, std::string place)
        : object_{object}
        , place_{std::move(place)} {
        if (!object.is_object())
            throw FileProblem{place_, shown(object) + " is not a group of members; it must be { ... }"};
    }

    template <class T>
    void required(std::string_view name, T& member, Meaning meaning = {}) {
        const Json* value = take(name);
        if (!value)
            throw FileProblem{path(name), "missing; it must be " + expectation<T>(meaning)};
        read(*value, path(name), member, meaning);
        within_range(name, member);
    }

    template <class T>
    void optional(std::string_view name, T& member, Meaning meaning = {}) {
        if (const Json* value = take(name)) {
            read(*value, path(name), member, meaning);
            within_range(name, member);
        }
    }

    template <class T>
    void maybe(std::string_view name, std::optional<T>& member, Meaning meaning) {
        if (const Json* value = take(name))
            read(*value, path(name), member.emplace(), meaning);
    }

    template <class T>
    void list(std::string_view name, std::vector<T>& members) {
        each(name, [&](const Json& element, std::string place) { read_part(element, place, members.emplace_back()); });
    }

    void lengths(std::string_view name, std::vector<Length>& members, Meaning meaning) {
        each(name, [&](const Json& element, const std::string& place) {
            read(element, place, members.emplace_back(), meaning);
        });
    }

    template <class T>
    void part(std::string_view name, T& member) {
        if (const Json* value = take(name))
            read_part(*value, path(name), member);
    }

    template <class T>
    void maybe_part(std::string_view name, std::optional<T>& member) {
        if (const Json* value = take(name))
            read_part(*value, path(name), member.emplace());
    }

    /// One of several kinds of part, by its `kind`.
    template <class... Kinds>
    void one_of(std::string_view name, std::variant<Kinds...>& member) {
        if (!object_.contains(name))
            throw FileProblem{path(name), "missing; it must be a group of members with its kind, one of " +
                                              kinds<std::variant<Kinds...>>()};
        maybe_one_of(name, member);
    }

    template <class... Kinds>
    void maybe_one_of(std::string_view name, std::variant<Kinds...>& member) {
        using Variant = std::variant<Kinds...>;
        const Json* value = take(name);
        if (!value)
            return;
        MemberReader inner{*value, path(name)};
        std::string kind;
        inner.required("kind", kind);
        const auto found = std::ranges::find(kind_names<Variant>, kind);
        if (found == kind_names<Variant>.end())
            throw FileProblem{path(name) + ".kind",
                              fmt::format("\"{}\" is not known; it must be one of {}", kind, kinds<Variant>())};
        const auto wanted = static_cast<std::size_t>(found - kind_names<Variant>.begin());
        std::size_t index = 0;
        ((index++ == wanted ? inner.rest_into(member.template emplace<Kinds>()) : void()), ...);
    }

    template <class T>
    static void read_part(const Json& value, const std::string& place, T& member) {
        MemberReader{value, place}.rest_into(member);
    }

    /// Reads a part's members and keeps those that nobody knows.
    template <class T>
    void rest_into(T& member) {
        fields(*this, member);
        if constexpr (requires { member.unknown; })
            for (const auto& [name, rest] : object_.items())
                if (!taken_.contains(name))
                    member.unknown.emplace(name, rest.dump());
    }

    /// Marks a member as known without reading it.
    const Json* take(std::string_view name) {
        const auto found = object_.find(name);
        if (found == object_.end())
            return nullptr;
        taken_.emplace(name);
        return &*found;
    }

private:
    /// What the table of ranges says of a member by its name.
    template <class T>
    void within_range(std::string_view name, const T& member) const {
        if constexpr (std::is_same_v<T, std::string>) {
            if (const auto problem = text_problem(name, member))
                throw FileProblem{path(name), fmt::format("\"{}\" will not do: {}", member.substr(0, 40), *problem)};
        } else if constexpr (std::is_same_v<T, int>) {
            if (member > static_cast<int>(most_of_count(name)))
                throw FileProblem{path(name),
                                  fmt::format("{} is too many; {} is the most", member, most_of_count(name))};
        }
    }

    std::string path(std::string_view name) const {
        return place_.empty() ? std::string{name} : fmt::format("{}.{}", place_, name);
    }

    template <class Each>
    void each(std::string_view name, Each&& read_element) {
        const Json* value = take(name);
        if (!value)
            return;
        if (!value->is_array())
            throw FileProblem{path(name), shown(*value) + " is not a list; it must be [ ... ]"};
        if (value->size() > most_in_list(name))
            throw FileProblem{
                path(name), fmt::format("{} entries are too many; {} is the most", value->size(), most_in_list(name))};
        for (std::size_t i = 0; i < value->size(); ++i)
            read_element((*value)[i], fmt::format("{}[{}]", path(name), i));
    }

    template <class T>
    static std::string expectation(Meaning meaning) {
        if constexpr (std::is_same_v<T, Length>)
            return fmt::format("{} in mm", meaning.noun);
        else if constexpr (std::is_same_v<T, std::string>)
            return "text";
        else if constexpr (std::is_same_v<T, bool>)
            return "true or false";
        else if constexpr (std::is_enum_v<T>)
            return "one of " + choices<T>();
        else
            return "a number";
    }

    template <class E>
    static std::string choices() {
        std::string text;
        for (const auto& row : enum_names<E>())
            text += fmt::format("{}\"{}\"", text.empty() ? "" : ", ", row.name);
        return text;
    }

    template <class Variant>
    static std::string kinds() {
        std::string text;
        for (const std::string_view kind : kind_names<Variant>)
            text += fmt::format("{}\"{}\"", text.empty() ? "" : ", ", kind);
        return text;
    }

    static double number(const Json& value, const std::string& place, Meaning meaning) {
        if (!value.is_number())
            throw FileProblem{place, fmt::format("{} is not {}; it must be a number", shown(value), meaning.noun)};
        const double found = value.get<double>();
        if (const auto rule = range_problem(found, meaning.range))
            throw FileProblem{place, fmt::format("{} is not {}; it must be {}", shown(value), meaning.noun, *rule)};
        return found;
    }

    static void read(const Json& value, const std::string& place, Length& member, Meaning meaning) {
        member = Length::nearest_to_metres(number(value, place, meaning) / 1e3);
        if (meaning.range == Range::more_than_zero && member == Length{})
            throw FileProblem{
                place, fmt::format("{} is not {}; it is less than a millionth of a mm", shown(value), meaning.noun)};
    }
    static void read(const Json& value, const std::string& place, double& member, Meaning meaning) {
        member = number(value, place, meaning);
    }
    template <class Figure>
    requires is_physical<Figure>
    static void read(const Json& value, const std::string& place, Figure& member, Meaning meaning) {
        member = Figure::si(number(value, place, meaning) * in_file_unit<Figure>);
    }
    static void read(const Json& value, const std::string& place, int& member, Meaning meaning) {
        if (!value.is_number_integer() || value.get<std::int64_t>() > static_cast<std::int64_t>(most_other_count))
            throw FileProblem{place, fmt::format("{} is not {}; it must be a whole number up to {}", shown(value),
                                                 meaning.noun, most_other_count)};
        member = static_cast<int>(number(value, place, meaning));
    }
    static void read(const Json& value, const std::string& place, bool& member, Meaning) {
        if (!value.is_boolean())
            throw FileProblem{place, shown(value) + " is neither true nor false"};
        member = value.get<bool>();
    }
    static void read(const Json& value, const std::string& place, std::string& member, Meaning) {
        if (!value.is_string())
            throw FileProblem{place, shown(value) + " is not text; it must stand in quotes"};
        member = value.get<std::string>();
    }
    template <class E>
    requires std::is_enum_v<E>
    static void read(const Json& value, const std::string& place, E& member, Meaning) {
        for (const auto& row : enum_names<E>())
            if (value.is_string() && value.get_ref<const std::string&>() == row.name) {
                member = row.value;
                return;
            }
        throw FileProblem{place, fmt::format("{} is not known; it must be one of {}", shown(value), choices<E>())};
    }

    const Json& object_;
    std::string place_;
    std::set<std::string, std::less<>> taken_;
};

/// Writes a part of the job as a JSON object, lengths in mm.
class Writer {
public:
    template <class T>
    static OrderedJson part_of(const T& part) {
        Writer writer;
        fields(writer, part);
        if constexpr (requires { part.unknown; })
            for (const auto& [name, text] : part.unknown)
                writer.object_[name] = OrderedJson::parse(text);
        return std::move(writer.object_);
    }

    template <class T>
    void required(std::string_view name, const T& member, Meaning = {}) {
        put(name) = json(member);
    }
    template <class T>
    void optional(std::string_view name, const T& member, Meaning = {}) {
        put(name) = json(member);
    }
    template <class T>
    void maybe(std::string_view name, const std::optional<T>& member, Meaning) {
        if (member)
            put(name) = json(*member);
    }
    template <class T>
    void list(std::string_view name, const std::vector<T>& members) {
        OrderedJson& array = put(name) = OrderedJson::array();
        for (const T& member : members)
            array.push_back(part_of(member));
    }
    void lengths(std::string_view name, const std::vector<Length>& members, Meaning) {
        OrderedJson& array = put(name) = OrderedJson::array();
        for (const Length member : members)
            array.push_back(json(member));
    }
    template <class T>
    void part(std::string_view name, const T& member) {
        put(name) = part_of(member);
    }
    template <class T>
    void maybe_part(std::string_view name, const std::optional<T>& member) {
        if (member)
            part(name, *member);
    }
    template <class... Kinds>
    void one_of(std::string_view name, const std::variant<Kinds...>& member) {
        OrderedJson object = OrderedJson::object();
        object["kind"] = kind_names<std::variant<Kinds...>>[member.index()];
        std::visit([&](const auto& of) { object.update(part_of(of)); }, member);
        put(name) = std::move(object);
    }
    template <class... Kinds>
    void maybe_one_of(std::string_view name, const std::variant<Kinds...>& member) {
        one_of(name, member);
    }

private:
    OrderedJson& put(std::string_view name) { return object_[std::string{name}]; }

    /// Whole millimetres as integers; at most six decimals otherwise, which a double holds exactly enough.
    static OrderedJson json(Length length) {
        const std::int64_t nanometres = length.in_nanometres();
        if (nanometres % Length::nanometres_per_mm == 0)
            return nanometres / Length::nanometres_per_mm;
        return length.in_mm();
    }
    template <class E>
    requires std::is_enum_v<E>
    static OrderedJson json(E value) { return std::string{enum_name(value)}; }
    static OrderedJson json(const std::string& text) { return text; }
    static OrderedJson json(double number) { return number; }
    template <class Figure>
    requires is_physical<Figure>
    static OrderedJson json(Figure figure) { return figure.in_si() / in_file_unit<Figure>; }
    static OrderedJson json(int number) { return number; }
    static OrderedJson json(bool flag) { return flag; }

    OrderedJson object_ = OrderedJson::object();
};

Json parse(std::string_view text) {
    try {
        return Json::parse(text, [](int depth, Json::parse_event_t, Json&) {
            if (depth > deepest_nesting)
                throw FileProblem{"", "members are nested too deep for a job"};
            return true;
        });
    } catch (const Json::out_of_range&) {
        throw FileProblem{"", "a number in this file is too large to be a measure"};
    } catch (const Json::parse_error& error) {
        const std::size_t at = std::min(error.byte > 0 ? error.byte - 1 : 0, text.size());
        const std::string_view before = text.substr(0, at);
        const auto line = std::ranges::count(before, '\n') + 1;
        const std::size_t column = at - (before.rfind('\n') == std::string_view::npos ? 0 : before.rfind('\n') + 1) + 1;
        throw FileProblem{fmt::format("line {}, column {}", line, column),
                          "this is not well-formed JSON; the file may be cut short or edited by hand"};
    }
}

LoadedJob read(const Json& document) {
    if (!document.is_object() || document.value("format", Json{}) != file_format)
        throw FileProblem{"format", "this is not a Yes Square job; it must say \"format\": \"yes-square job\""};
    const Json version = document.value("version", Json{});
    if (!version.is_number_integer() || version < 1)
        throw FileProblem{"version", shown(version) + " is not a version; it must be a whole number from 1"};
    LoadedJob loaded{{}, version > file_version};
    if (!document.contains("catalogue"))
        loaded.job.catalogue = shipped_catalogue();
    MemberReader::read_part(document, "", loaded.job);
    loaded.job.unknown.erase("format");
    loaded.job.unknown.erase("version");
    if (auto problem = reference_problem(loaded.job))
        throw std::move(*problem);
    if (!loaded.newer_version)
        if (const auto problem = schema_problem(document))
            throw *problem;
    return loaded;
}

} // namespace

tl::expected<LoadedJob, FileProblem> read_job(std::string_view text) {
    try {
        return read(parse(text));
    } catch (FileProblem& problem) {
        return tl::unexpected{std::move(problem)};
    }
}

std::string write_job(const Job& job) {
    OrderedJson document{{"format", file_format}, {"version", file_version}};
    document.update(Writer::part_of(job));
    // Text is kept to UTF-8 where it comes in; what slipped through is marked, and never ends the program.
    return document.dump(2, ' ', false, OrderedJson::error_handler_t::replace) + "\n";
}

tl::expected<Catalogue, FileProblem> read_catalogue(std::string_view text) {
    try {
        Catalogue catalogue;
        MemberReader::read_part(parse(text), "", catalogue);
        return catalogue;
    } catch (FileProblem& problem) {
        return tl::unexpected{std::move(problem)};
    }
}

const Catalogue& shipped_catalogue() {
    static const Catalogue catalogue = read_catalogue(embedded::catalogue_json).value();
    return catalogue;
}

std::string write_catalogue(const Catalogue& catalogue) {
    return Writer::part_of(catalogue).dump(1) + "\n";
}

} // namespace yes_square
