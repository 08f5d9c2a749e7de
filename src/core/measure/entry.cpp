#include "core/measure/entry.hpp"

#include <array>
#include <gmpxx.h>
#include <optional>
#include <utility>

namespace yes_square {
namespace {

/// Longer text is no length but an accident with the clipboard.
constexpr std::size_t longest_entry = 200;
constexpr int deepest_nesting = 40;

/// A value while it is summed. `bare` has met no unit yet: a length in the field's unit, or a pure factor.
struct Figure {
    mpq_class amount; // nanometres when named, else a plain number
    bool named = false;
};

struct Suffix {
    std::string_view text;
    std::int64_t nanometres;
};

// Longest first, so that "mm" is not read as "m" and a rest.
constexpr std::array suffixes{
    Suffix{"inches", 25'400'000}, Suffix{"inch", 25'400'000},    Suffix{"feet", 304'800'000},
    Suffix{"foot", 304'800'000},  Suffix{"mm", 1'000'000},       Suffix{"cm", 10'000'000},
    Suffix{"in", 25'400'000},     Suffix{"ft", 304'800'000},     Suffix{"m", 1'000'000'000},
    Suffix{"\"", 25'400'000},     Suffix{"\u2033", 25'400'000},  Suffix{"\u201d", 25'400'000},
    Suffix{"'", 304'800'000},     Suffix{"\u2032", 304'800'000}, Suffix{"\u2019", 304'800'000},
};
constexpr std::int64_t foot = 304'800'000;
constexpr std::int64_t inch = 25'400'000;

bool is_digit(char c) {
    return c >= '0' && c <= '9';
}
bool is_letter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
}

class Parser {
public:
    Parser(std::string_view text, Unit unit)
        : text_{text}
        , unit_{unit} {}

    Length read() {
        if (text_.size() > longest_entry)
            fail({"That is too long for a length"}, longest_entry);
        skip_spaces();
        if (at_ >= text_.size())
            fail({"Type a length, such as 1161 or 32 3/16"}, at_);
        const Figure value = sum();
        skip_spaces();
        if (at_ < text_.size())
            fail({unexpected()}, at_);
        const std::int64_t scale = is_imperial(unit_) ? inch : (unit_ == Unit::cm ? 10'000'000 : 1'000'000);
        return to_length(value.named ? value.amount : mpq_class{value.amount * scale});
    }

private:
    [[noreturn]] static void fail(Sentence words, std::size_t position) {
        throw EntryProblem{std::move(words), position};
    }

    std::string_view unexpected() const {
        const char c = text_[at_];
        if (is_digit(c))
            return "Two numbers stand side by side; put + or - between them";
        if (is_letter(c))
            return "This word is no unit; use mm, cm, m, in or ft";
        if (c == ')')
            return "This bracket was never opened";
        return "This does not belong in a length";
    }

    void skip_spaces() {
        while (at_ < text_.size() && (text_[at_] == ' ' || text_[at_] == '\t'))
            ++at_;
    }
    char peek() const { return at_ < text_.size() ? text_[at_] : '\0'; }
    bool digit_at(std::size_t index) const { return index < text_.size() && is_digit(text_[index]); }

    Figure sum() {
        Figure total = product();
        for (;;) {
            skip_spaces();
            const char sign = peek();
            if (sign != '+' && sign != '-')
                return total;
            const std::size_t place = at_++;
            const Figure term = product();
            if (term.named != total.named)
                fail({"Give every term a unit, or none of them"}, place);
            total.amount += sign == '+' ? term.amount : mpq_class{-term.amount};
        }
    }

    Figure product() {
        Figure total = factor(true);
        for (;;) {
            skip_spaces();
            const char sign = peek();
            if (sign != '*' && sign != '/')
                return total;
            const std::size_t place = at_++;
            // After a division a fraction is not joined: 12/3/4 is 12 by 3 by 4, as on a calculator.
            const Figure next = factor(sign == '*');
            if (sign == '*') {
                if (total.named && next.named)
                    fail({"A length times a length is an area; one side must be a plain number"}, place);
                total = {total.amount * next.amount, total.named || next.named};
            } else {
                if (next.named)
                    fail({"Divide by a plain number, not by a length"}, place);
                if (next.amount == 0)
                    fail({"Division by zero"}, place);
                total.amount /= next.amount;
            }
        }
    }

    Figure factor(bool fraction_may_stand_alone) {
        skip_spaces();
        const char c = peek();
        if (c == '-' || c == '+') {
            const Nesting guard{*this};
            ++at_;
            Figure value = factor(fraction_may_stand_alone);
            if (c == '-')
                value.amount = -value.amount;
            return value;
        }
        if (c == '(') {
            const Nesting guard{*this};
            const std::size_t opened = at_++;
            Figure value = sum();
            skip_spaces();
            if (peek() != ')')
                fail({at_ < text_.size() ? unexpected() : "This bracket is never closed"},
                     at_ < text_.size() ? at_ : opened);
            ++at_;
            return value;
        }
        return quantity(fraction_may_stand_alone);
    }

    /// A number with its unit, or feet and inches side by side.
    Figure quantity(bool fraction_may_stand_alone) {
        skip_spaces();
        grouped_.reset();
        const mpq_class first = number(fraction_may_stand_alone);
        const std::optional<std::int64_t> first_unit = suffix();
        if (!first_unit) {
            if (grouped_)
                fail(grouped_->words, grouped_->position);
            return {first, false};
        }
        grouped_.reset();
        Figure value{first * *first_unit, true};
        if (*first_unit != foot)
            return value;
        // 6' 2 1/2", 6'-2 1/2", 6ft 2in: inches follow feet directly. Without a mark of their own they are still
        // inches.
        const std::size_t before = at_;
        if (peek() == '-' && digit_at(at_ + 1))
            ++at_;
        else
            skip_spaces();
        if (!digit_at(at_)) {
            at_ = before;
            return value;
        }
        const std::size_t place = at_;
        const mpq_class second = number(true);
        const std::optional<std::int64_t> second_unit = suffix();
        if (second_unit.value_or(inch) != inch)
            fail({"Only inches may follow feet"}, place);
        value.amount += second * inch;
        return value;
    }

    /// 32, 32.5, 32,5, 3/16, 32 3/16 or 32-3/16.
    mpq_class number(bool fraction_may_stand_alone) {
        if (!digit_at(at_) && !((peek() == '.' || peek() == ',') && digit_at(at_ + 1)))
            fail({at_ >= text_.size()                                      ? "A number is missing at the end"
                  : is_digit(peek()) || is_letter(peek()) || peek() == ')' ? "A number is expected here"
                                                                           : "This does not belong in a length"},
                 at_);
        if (fraction_may_stand_alone)
            if (const auto alone = proper_fraction())
                return *alone;
        const std::string digits = take_digits();
        if (peek() == '.' || peek() == ',')
            return decimal(digits);
        const mpq_class whole{digits.empty() ? "0" : digits, 10};
        const std::size_t before = at_;
        if (peek() == '-')
            ++at_;
        else
            skip_spaces();
        if (at_ > before)
            if (const auto part = proper_fraction())
                return whole + *part;
        at_ = before;
        return whole;
    }

    mpq_class decimal(const std::string& digits) {
        const char mark = text_[at_];
        const std::size_t place = at_++;
        const std::string part = take_digits();
        if (peek() == '.' || peek() == ',')
            fail({"A number has one decimal mark; leave out marks between thousands"}, at_);
        if (mark == ',' && part.size() == 3 && !digits.empty())
            fail({"{0},{1} could mean {0}.{1} or {0}{1}; write the one you mean", {digits, part}}, place);
        // 1.330 mm is as little meant as a thousand and more is: without a unit of its own nobody can tell.
        if (mark == '.' && part.size() == 3 && !is_imperial(unit_) &&
            digits.find_first_not_of('0') != std::string_view::npos)
            grouped_ = EntryProblem{
                {"{0}.{1} could mean {0}{1} or a little over {0}; write the one you mean, or its unit", {digits, part}},
                place};
        mpz_class scale;
        mpz_ui_pow_ui(scale.get_mpz_t(), 10, part.size());
        mpq_class value{mpz_class{"0" + digits + part, 10}, scale};
        value.canonicalize();
        const std::size_t before = at_;
        skip_spaces();
        if (at_ > before && proper_fraction())
            fail({"A decimal and a fraction do not go together"}, before);
        at_ = before;
        return value;
    }

    /// Digits, a slash, digits, all side by side and smaller than one; otherwise nothing is consumed.
    std::optional<mpq_class> proper_fraction() {
        const std::size_t before = at_;
        const std::string top = take_digits();
        if (top.empty() || peek() != '/' || !digit_at(at_ + 1)) {
            at_ = before;
            return std::nullopt;
        }
        ++at_;
        const std::string bottom = take_digits();
        const mpz_class numerator{top, 10};
        const mpz_class denominator{bottom, 10};
        if (numerator >= denominator || peek() == '.' || peek() == ',') {
            at_ = before;
            return std::nullopt;
        }
        mpq_class value{numerator, denominator};
        value.canonicalize();
        return value;
    }

    std::string take_digits() {
        const std::size_t from = at_;
        while (digit_at(at_))
            ++at_;
        return std::string{text_.substr(from, at_ - from)};
    }

    std::optional<std::int64_t> suffix() {
        const std::size_t before = at_;
        skip_spaces();
        for (const Suffix& candidate : suffixes) {
            const std::string_view here = text_.substr(at_, candidate.text.size());
            const bool same = here.size() == candidate.text.size() &&
                              std::equal(here.begin(), here.end(), candidate.text.begin(), [](char a, char b) {
                                  return (a >= 'A' && a <= 'Z' ? static_cast<char>(a + 32) : a) == b;
                              });
            const std::size_t after = at_ + candidate.text.size();
            if (!same || (is_letter(candidate.text.back()) && after < text_.size() && is_letter(text_[after])))
                continue;
            at_ = after;
            return candidate.nanometres;
        }
        if (is_letter(peek()))
            fail({unexpected()}, at_);
        at_ = before;
        return std::nullopt;
    }

    static Length to_length(const mpq_class& nanometres) {
        // Half-even to whole nanometres: floor of x + 1/2, stepped back where x lay exactly between and floor is odd.
        const mpq_class shifted = nanometres + mpq_class{1, 2};
        mpz_class whole;
        mpz_fdiv_q(whole.get_mpz_t(), shifted.get_num_mpz_t(), shifted.get_den_mpz_t());
        if (shifted.get_den() == 1 && mpz_odd_p(whole.get_mpz_t()))
            whole -= 1;
        if (!whole.fits_slong_p())
            fail({"That is longer than any wall"}, 0);
        return Length::nanometres(whole.get_si());
    }

    struct Nesting {
        explicit Nesting(Parser& owner)
            : parser{owner} {
            if (++parser.depth_ > deepest_nesting)
                fail({"Too many brackets or signs inside one another"}, parser.at_);
        }
        ~Nesting() { --parser.depth_; }
        Nesting(const Nesting&) = delete;
        Nesting& operator=(const Nesting&) = delete;
        Parser& parser;
    };

    std::string_view text_;
    Unit unit_;
    std::size_t at_ = 0;
    int depth_ = 0;
    std::optional<EntryProblem> grouped_; ///< of the number just read, should it have no unit
};

struct Spelling {
    std::string_view written;
    std::string_view read;
};
/// What people and our own sheets write for what the parser reads.
constexpr Spelling spellings[]{
    {"\u00a0", " "},    {"\u2009", " "},    {"\u202f", " "},    {"\u2007", " "},    {"\u200a", " "},
    {"\u00bd", " 1/2"}, {"\u00bc", " 1/4"}, {"\u00be", " 3/4"}, {"\u215b", " 1/8"}, {"\u215c", " 3/8"},
    {"\u215d", " 5/8"}, {"\u215e", " 7/8"}, {"\u00d7", "*"},    {"\u2212", "-"},    {"\u2013", "-"},
    {"\u2032", "'"},    {"\u2033", "\""},   {"\u2044", "/"},
};

/// A text as the parser reads it, and where each of its bytes stands in what was typed.
struct Normal {
    std::string text;
    std::vector<std::size_t> from;
};
Normal normal(std::string_view typed) {
    Normal all;
    for (std::size_t at = 0; at < typed.size();) {
        std::string_view put = typed.substr(at, 1);
        std::size_t took = 1;
        for (const Spelling& spelling : spellings)
            if (typed.substr(at).starts_with(spelling.written)) {
                put = spelling.read;
                took = spelling.written.size();
            }
        all.text += put;
        all.from.insert(all.from.end(), put.size(), at);
        at += took;
    }
    all.from.push_back(typed.size());
    return all;
}

} // namespace

tl::expected<Length, EntryProblem> parse_length(std::string_view text, Unit unit) {
    const Normal read = normal(text);
    try {
        return Parser{read.text, unit}.read();
    } catch (EntryProblem& problem) {
        problem.position = read.from[std::min(problem.position, read.text.size())];
        return tl::unexpected{std::move(problem)};
    }
}

} // namespace yes_square
