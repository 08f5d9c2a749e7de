#pragma once

#include "core/job/survey.hpp"
#include "core/measure/sentence.hpp"

namespace yes_square {

/// How a kind of evidence of a stud is looked for and what it looks like. Common practice.
Sentence what_to_look_for(EvidenceKind kind);

} // namespace yes_square
