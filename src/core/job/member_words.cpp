#include "core/job/member_words.hpp"

#include <limits>

namespace yes_square {

std::string member_help(const Meaning& meaning, const Voice& voice) {
    const auto capital = [](std::string words) {
        if (!words.empty() && words.front() >= 'a' && words.front() <= 'z')
            words.front() = static_cast<char>(words.front() - 'a' + 'A');
        return words;
    };
    std::string help;
    const auto add = [&](const Sentence& sentence) {
        std::string words = capital(say(sentence, voice));
        if (words.empty())
            return;
        if (words.back() != '.')
            words += '.';
        help += (help.empty() ? "" : " ") + words;
    };
    add({meaning.says.empty() ? meaning.noun : meaning.says});
    // What a figure that is none is told to be is what every figure has to be.
    if (meaning.range != Range::any)
        add({"It must be {0}", {*range_problem(std::numeric_limits<double>::quiet_NaN(), meaning.range)}});
    if (!meaning.none.empty())
        add({"Nothing typed means: {0}", {meaning.none}});
    if (!meaning.yes.empty())
        add({"{0}, or {1}", {meaning.no, meaning.yes}});
    return help;
}

} // namespace yes_square
