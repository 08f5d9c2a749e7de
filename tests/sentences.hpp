#pragma once

#include "core/plan/plan.hpp"

/// All that a wall's plan says, sentence by sentence.
namespace yes_square {

namespace sentences {

void of_working(const Working& working, const auto& look) {
    look(working.title);
    look(Sentence{"the sum's result", {working.result}});
    for (const Term& term : working.terms)
        look(Sentence{term.name, {term.value}});
    for (const Sentence& fact : working.facts)
        look(fact);
}

void of_checks(const std::vector<Check>& checks, const auto& look) {
    for (const Check& check : checks) {
        look(check.message);
        for (const Cure& cure : check.cures)
            look(cure.words);
    }
}

} // namespace sentences

/// Of one thing.
void each_sentence(const ThingPlan& thing, const auto& look) {
    for (const PlannedLine& line : thing.lines)
        look(line.what);
    for (const PlannedHole& hole : thing.holes)
        look(hole.what);
    for (const CutPart& part : thing.parts) {
        look(part.name);
        look(part.where);
        look(part.mind);
        if (part.working)
            sentences::of_working(*part.working, look);
    }
    for (const Step& step : thing.steps)
        look(step.words);
    for (const Working& working : thing.workings)
        sentences::of_working(working, look);
    sentences::of_checks(thing.checks, look);
}

void each_sentence(const WallPlan& wall, const auto& look) {
    for_each_thing(wall, [&](const ThingPlan& thing) { each_sentence(thing, look); });
    for (const Working& working : wall.survey.workings)
        sentences::of_working(working, look);
    sentences::of_checks(wall.survey.checks, look);
    if (wall.survey.findings) {
        for (const Doubt& doubt : wall.survey.findings->doubts)
            look(doubt.words);
        for (const FoundStud& stud : wall.survey.findings->studs)
            for (const Sentence& working : stud.working)
                look(working);
    }
    for (const ReadingPlan& reading : wall.readings) {
        look(reading.found);
        for (const Sentence& correction : reading.corrections)
            look(correction);
        sentences::of_working(reading.working, look);
    }
    sentences::of_checks(wall.checks, look);
}

} // namespace yes_square
