#include "core/job/schema.hpp"

#include "core/job/fields.hpp"
#include "core/job/ranges.hpp"

#include <fmt/format.h>
#include <map>
#include <nlohmann/json.hpp>
#include <typeindex>

namespace yes_square {
namespace {

using OrderedJson = nlohmann::ordered_json;

/// Parts that have been met, each told once under the name it was met by.
struct Definitions {
    OrderedJson all = OrderedJson::object();
    std::map<std::type_index, std::string> names;
};

/// A visitor of `fields` that tells what a part's members are: a JSON Schema of it, draft 7.
class SchemaTeller {
public:
    template <class T>
    static OrderedJson object_of(Definitions& definitions, std::string_view kind = {}) {
        SchemaTeller teller{definitions};
        if (!kind.empty()) {
            teller.needed_.push_back("kind");
            teller.properties_["kind"] = OrderedJson{{"const", kind}};
        }
        T part{};
        fields(teller, part);
        OrderedJson object{{"type", "object"}};
        if (!teller.needed_.empty())
            object["required"] = std::move(teller.needed_);
        object["properties"] = std::move(teller.properties_);
        return object;
    }

    template <class T>
    void required(std::string_view name, T& member, Meaning meaning = {}) {
        needed_.push_back(name);
        optional(name, member, meaning);
    }
    template <class T>
    void optional(std::string_view name, T&, Meaning meaning = {}) {
        add(name, leaf<T>(name, meaning));
    }
    template <class T>
    void maybe(std::string_view name, std::optional<T>&, Meaning meaning) {
        add(name, leaf<T>(name, meaning));
    }
    template <class T>
    void list(std::string_view name, std::vector<T>&) {
        add(name, OrderedJson{{"type", "array"}, {"items", reference<T>(name)}, {"maxItems", most_in_list(name)}});
    }
    void lengths(std::string_view name, std::vector<Length>&, Meaning meaning) {
        add(name,
            OrderedJson{{"type", "array"}, {"items", leaf<Length>(name, meaning)}, {"maxItems", most_in_list(name)}});
    }
    template <class T>
    void part(std::string_view name, T&) {
        add(name, reference<T>(name));
    }
    template <class T>
    void maybe_part(std::string_view name, std::optional<T>&) {
        add(name, reference<T>(name));
    }
    template <class... Kinds>
    void one_of(std::string_view name, std::variant<Kinds...>& member) {
        needed_.push_back(name);
        maybe_one_of(name, member);
    }
    template <class... Kinds>
    void maybe_one_of(std::string_view name, std::variant<Kinds...>&) {
        OrderedJson kinds = OrderedJson::array();
        std::size_t kind = 0;
        (kinds.push_back(object_of<Kinds>(definitions_, kind_names<std::variant<Kinds...>>[kind++])), ...);
        add(name, OrderedJson{{"oneOf", std::move(kinds)}});
    }

private:
    explicit SchemaTeller(Definitions& definitions)
        : definitions_{definitions} {}

    void add(std::string_view name, OrderedJson what) { properties_[std::string{name}] = std::move(what); }

    template <class T>
    OrderedJson reference(std::string_view name) {
        auto [known, fresh] = definitions_.names.try_emplace(std::type_index{typeid(T)}, name);
        if (fresh) {
            while (definitions_.all.contains(known->second)) // another part is called so elsewhere
                known->second += "_";
            definitions_.all[known->second] = nullptr; // keeps its place
            definitions_.all[known->second] = object_of<T>(definitions_);
        }
        return OrderedJson{{"$ref", "#/definitions/" + known->second}};
    }

    template <class T>
    static OrderedJson leaf(std::string_view name, const Meaning& meaning) {
        OrderedJson told = OrderedJson::object();
        constexpr bool figure =
            std::is_same_v<T, Length> || std::is_same_v<T, double> || std::is_same_v<T, int> || is_physical<T>;
        if (std::string words = description<T>(meaning); !words.empty())
            told["description"] = std::move(words);
        if constexpr (std::is_enum_v<T>) {
            for (const auto& row : enum_names<T>())
                told["enum"].push_back(row.name);
        } else if constexpr (std::is_same_v<T, bool>) {
            told["type"] = "boolean";
        } else if constexpr (std::is_same_v<T, std::string>) {
            told["type"] = "string";
            if (name == "id")
                told["pattern"] = fmt::format("^[A-Za-z0-9_-]{{1,{}}}$", longest_id);
            else
                told["maxLength"] = longest_text(name);
        } else {
            static_assert(figure);
            told["type"] = std::is_same_v<T, int> ? "integer" : "number";
            limit(told, meaning.range,
                  std::is_same_v<T, int> ? static_cast<double>(most_of_count(name)) : greatest_figure);
        }
        return told;
    }

    /// That a file keeps it in.
    template <class T>
    static constexpr std::string_view unit_of(const Meaning& meaning) {
        if constexpr (std::is_same_v<T, Length>)
            return "mm";
        else if constexpr (std::is_same_v<T, Mass>)
            return "kg";
        else if constexpr (std::is_same_v<T, Force>)
            return "N";
        else if constexpr (std::is_same_v<T, Pressure>)
            return "N/mm2";
        else if constexpr (std::is_same_v<T, LineMass>)
            return "kg/m";
        else if constexpr (std::is_same_v<T, AreaMass>)
            return "kg/m2";
        else if constexpr (std::is_same_v<T, Density>)
            return "kg/m3";
        else
            return meaning.unit;
    }

    template <class T>
    static std::string description(const Meaning& meaning) {
        std::string words{!meaning.says.empty() ? meaning.says : !meaning.label.empty() ? meaning.label : meaning.noun};
        if (words.empty())
            return words;
        words.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(words.front())));
        const std::string_view unit = unit_of<T>(meaning);
        return unit.empty() || words.ends_with(unit) ? words : fmt::format("{}, {}", words, unit);
    }

    static void limit(OrderedJson& told, Range range, double most) {
        told["maximum"] = range == Range::fraction ? 1 : most;
        switch (range) {
        case Range::any:
            told["minimum"] = -most;
            break;
        case Range::not_negative:
            told["minimum"] = 0;
            break;
        case Range::minority:
            told.erase("maximum");
            told["exclusiveMaximum"] = 0.5;
            [[fallthrough]];
        case Range::more_than_zero:
        case Range::fraction:
            told["exclusiveMinimum"] = 0;
            break;
        }
    }

    Definitions& definitions_;
    OrderedJson needed_ = OrderedJson::array();
    OrderedJson properties_ = OrderedJson::object();
};

} // namespace

std::string job_schema() {
    Definitions definitions;
    OrderedJson job = SchemaTeller::object_of<Job>(definitions);
    OrderedJson schema{{"$schema", "http://json-schema.org/draft-07/schema#"},
                       {"title", fmt::format("Yes Square job, version {}", file_version)},
                       {"description",
                        "Lengths are mm from the reference end (x) and above the datum (z); masses kg; forces N. "
                        "Members not named here are kept."}};
    schema.update(job);
    schema["required"].insert(schema["required"].begin(), {"format", "version"});
    schema["properties"]["format"] = OrderedJson{{"const", file_format}};
    schema["properties"]["version"] = OrderedJson{{"const", file_version}};
    schema["definitions"] = std::move(definitions.all);
    return schema.dump(1) + "\n";
}

} // namespace yes_square
