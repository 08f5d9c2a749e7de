#include "core/measure/entry.hpp"

#include <catch2/catch.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

/// Lengths up to 100 m either way, to the nanometre.
rc::Gen<Length> any_length() {
    return rc::gen::map(rc::gen::inRange<std::int64_t>(-100'000'000'000, 100'000'000'000), &Length::nanometres);
}
rc::Gen<Unit> any_unit() {
    return rc::gen::elementOf(std::vector<Unit>(all_units().begin(), all_units().end()));
}

} // namespace

TEST_CASE("what is shown is read back to the step shown", "[measure][property]") {
    rc::prop("parse(format(x)) is x to half a step", [] {
        const Length length = *any_length();
        const Unit unit = *any_unit();
        for (const std::string& text : {format(length, unit), format_bare(length, unit)}) {
            const auto read = parse_length(text, unit);
            RC_ASSERT(read);
            RC_ASSERT(2 * absolute(*read - length) <= display_step(unit));
            RC_ASSERT(format(*read, unit) == format(length, unit));
        }
    });
}

TEST_CASE("sums of lengths do not depend on their order", "[measure][property]") {
    rc::prop("(a + b) + c is a + (b + c)", [] {
        const Length a = *any_length();
        const Length b = *any_length();
        const Length c = *any_length();
        RC_ASSERT((a + b) + c == a + (b + c));
        RC_ASSERT(a + b == b + a);
        RC_ASSERT((a - b) + b == a);
    });
}

TEST_CASE("no text crashes the entry", "[measure][property]") {
    rc::prop("any characters", [](const std::string& text) { (void)parse_length(text, *any_unit()); });
    rc::prop("the characters that lengths are made of", [] {
        const auto text = *rc::gen::container<std::string>(
            rc::gen::elementOf(std::string{"0123456789.,/ -+*()'\"mcinft\xe2\x80\xb3"}));
        const auto read = parse_length(text, *any_unit());
        if (!read)
            RC_ASSERT(read.error().position <= text.size());
    });
}
