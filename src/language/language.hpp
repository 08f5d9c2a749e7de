#pragma once

#include "core/measure/sentence.hpp"

#include <QLocale>
#include <QString>
#include <span>
#include <string>
#include <vector>

/// The languages that every word of the program is kept in, and which of them is spoken now.
namespace yes_square {

struct Language {
    const char* code; ///< "de", as translations/ has it
    const char* name; ///< in itself: "Deutsch"
};
/// English first: the one that the program is written in.
std::span<const Language> languages();

/// Marks each word that goes through the catalogues and makes it half as long again, to find those that do not and
/// those that find no room. No language anybody is offered.
inline constexpr const char* pseudo_language = "x-pseudo";

/// Whether it is one of them, or the pseudo-language.
bool is_language(const QString& code);

/// From now on in this language. tr() asks it too once there is an application.
/// @param code  one of languages() or the pseudo-language; anything else: the user's own, or English
void speak(const QString& code = {});
/// The code of what is spoken here and now.
QString spoken();
/// For dates and decimals: the user's region, where its language is the one that is spoken.
QLocale spoken_locale();

/// Another language as long as this lives, on this thread.
class Speaking {
public:
    explicit Speaking(const QString& code);
    ~Speaking();
    Speaking(const Speaking&) = delete;
    Speaking& operator=(const Speaking&) = delete;

private:
    const void* before_;
};

/// What was asked for in a language other than English and had no word in it, since this was last asked.
std::vector<std::string> take_missed_words();

/// The core's patterns and words in what is spoken, with lengths in this unit.
Voice voice(Unit unit);

} // namespace yes_square
