#pragma once

#include "core/plan/plan.hpp"

#include <concepts>
#include <nlohmann/json.hpp>
#include <type_traits>

/// Parts of the plan's JSON that stand in several places of it.
namespace yes_square {

using Json = nlohmann::ordered_json;

std::string_view substrate_name(Substrate substrate);

/// In SI, as the name of the member says: "load_n", "kg".
template <class Figure>
requires is_physical<Figure>
void to_json(Json& json, Figure figure) {
    json = figure.in_si();
}

/// JSON has no infinity: null.
Json finite(double value);
template <class Figure>
requires is_physical<Figure> Json finite(Figure figure) {
    return finite(figure.in_si());
}
/// A number, "refused", or null where it is not known.
Json used(Utilisation utilisation);
/// None: null.
template <class Figure>
Json finite(const std::optional<Figure>& value) {
    return value ? finite(*value) : Json(nullptr);
}

class JsonParts {
public:
    explicit JsonParts(const Voice& voice)
        : voice_{voice} {}

    const Voice& voice() const { return voice_; }
    std::string said(const Sentence& sentence) const { return say(sentence, voice_); }
    Json fixing(const Fixing& fixing) const;
    Json check(const Check& check) const;
    Json working(const Working& working) const;
    Json unit(const UnitPlan& unit) const;

    /// A hole in the wall with all that it bears and what holds it there.
    struct HeldHole {
        Length x;
        Length z;
        Substrate substrate = Substrate::lining;
        const std::vector<HoleDemand>& demands;
        const FixingStrength& strength;
        Utilisation utilisation;
        const std::optional<Fixing>& fixing;
        std::size_t screws = 1;
    };
    /// A thing of any kind: its holes with what they bear, its parts, and what is told of it.
    Json thing(const ThingPlan& plan) const;

    /// Holes that share the load cases of a group, or bear their own where it has none.
    /// @param edge  the lower edge of what is fixed, about which it turns
    static Json group(const std::string& name, Length edge, const std::vector<LoadCase>& loads,
                      const std::vector<HeldHole>& holes, const std::optional<Fixing>& fixing, bool turns);

    /// What the worst screw of several bears, in each case.
    static Json worst(const std::vector<HoleDemand>& demands);

    /// Checks, workings and steps of a plan, each where it has them.
    void told(Json& json, const auto& plan) const {
        const auto list = [&](const char* name, const auto& parts, auto&& write) {
            json[name] = Json::array();
            for (const auto& part : parts)
                json[name].push_back(write(part));
        };
        if constexpr (std::derived_from<std::remove_cvref_t<decltype(plan)>, ThingPlan>)
            json["holds"] = std::string{name(holds(plan))};
        list("checks", plan.checks, [&](const Check& each) { return check(each); });
        list("workings", plan.workings, [&](const Working& each) { return working(each); });
        if constexpr (requires { plan.steps; })
            list("steps", plan.steps, [&](const Step& each) {
                return Json{{"text", said(each.words)}, {"hold_point", each.hold_point}};
            });
    }

private:
    Json quantity(const Quantity& quantity) const;
    static Json source(const Source& source);

    const Voice& voice_;
};

/// Wardrobes, pieces, boxes and hung cabinets of a wall, put into its JSON.
void write_furniture(Json& wall, const WallPlan& plan, const JsonParts& writer);

} // namespace yes_square
