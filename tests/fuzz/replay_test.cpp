#include "fuzz/targets.hpp"

#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <iterator>

using namespace yes_square;

namespace {

std::string text_of(const std::filesystem::path& path) {
    std::ifstream file{path, std::ios::binary};
    return {std::istreambuf_iterator<char>{file}, {}};
}

/// Every input that is kept of a target: what the fuzzers begin with, and what once went wrong.
std::vector<std::filesystem::path> kept(std::string_view target) {
    std::vector<std::filesystem::path> paths;
    for (const std::string folder : {"corpus", "mended"})
        if (const auto in = std::filesystem::path{YES_SQUARE_SOURCE_DIR} / "tests/fuzz" / folder / target; exists(in))
            for (const auto& file : std::filesystem::directory_iterator{in})
                paths.push_back(file.path());
    std::ranges::sort(paths);
    return paths;
}

} // namespace

TEST_CASE("what the fuzzers keep is taken without harm") {
    for (const fuzz::Row& target : fuzz::targets) {
        const auto paths = kept(target.name);
        INFO(target.name);
        REQUIRE_FALSE(paths.empty());
        for (const auto& path : paths) {
            INFO(path.string());
            REQUIRE_NOTHROW(target.run(text_of(path))); // what must hold and does not ends the program, with its words
        }
    }
}

TEST_CASE("jobs that are edited at random, member by member, are taken without harm") {
    CHECK(fuzz::walk(2000, 20) > 1000);
}

TEST_CASE("job files that are edited at random are taken without harm") {
    constexpr std::size_t most = 200'000;
    for (const fuzz::Row& target : fuzz::targets) {
        if (!target.is_job)
            continue;
        std::string text = fuzz::small_job(7);
        for (std::uint64_t seed = 1; seed <= 60; ++seed) {
            INFO(target.name << ", seed " << seed);
            text = seed % 10 == 0 ? fuzz::crossed_jobs(text, fuzz::small_job(seed), seed, most)
                                  : fuzz::edited_job(text, seed, most);
            REQUIRE_NOTHROW(target.run(text));
        }
    }
}
