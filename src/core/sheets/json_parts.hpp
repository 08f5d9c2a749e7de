#pragma once

#include "core/plan/plan.hpp"

#include <nlohmann/json.hpp>

/// Parts of the plan's JSON that stand in several places of it.
namespace yes_square {

using Json = nlohmann::ordered_json;

std::string_view hold_name(Hold hold);

/// JSON has no infinity: a utilisation beyond all measure is null.
Json finite(double value);
/// None: null.
Json finite(const std::optional<double>& value);

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

    /// Checks, workings and steps of a plan, each where it has them.
    void told(Json& json, const auto& plan) const {
        const auto list = [&](const char* name, const auto& parts, auto&& write) {
            json[name] = Json::array();
            for (const auto& part : parts)
                json[name].push_back(write(part));
        };
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
