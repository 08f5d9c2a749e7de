/// One target under libFuzzer: `yes-square-fuzzer TARGET [libFuzzer's options] FOLDERS`; or `yes-square-fuzzer walk
/// JOBS SEED`, random jobs as quick as they come. See README.md.
#include "fuzz/targets.hpp"

#include <algorithm>
#include <cstdio>
#include <cstdlib>
#include <cstring>

namespace {

using namespace yes_square::fuzz;

const Row* chosen = nullptr;

std::string_view text_of(const std::uint8_t* data, std::size_t size) {
    return {reinterpret_cast<const char*>(data), size};
}

std::size_t put(const std::string& text, std::uint8_t* data, std::size_t most) {
    const std::size_t size = std::min(text.size(), most);
    std::memcpy(data, text.data(), size);
    return size;
}

} // namespace

extern "C" std::size_t LLVMFuzzerMutate(std::uint8_t* data, std::size_t size, std::size_t most);

extern "C" int LLVMFuzzerInitialize(int* argc, char*** argv) {
    const std::string_view name = *argc > 1 ? (*argv)[1] : "";
    if (name == "walk" && *argc == 4) {
        const std::size_t jobs = std::strtoull((*argv)[2], nullptr, 10);
        std::printf("%zu of %zu jobs in range, all told\n", walk(jobs, std::strtoull((*argv)[3], nullptr, 10)), jobs);
        std::exit(0);
    }
    const auto found = std::ranges::find(targets, name, &Row::name);
    if (found == targets.end()) {
        std::fputs("yes-square-fuzzer TARGET [OPTIONS] FOLDERS; targets:\n", stderr);
        for (const Row& row : targets)
            std::fprintf(stderr, "  %s\n", row.name.data());
        std::exit(2);
    }
    chosen = &*found;
    std::rotate(*argv + 1, *argv + 2, *argv + *argc); // libFuzzer reads the rest
    --*argc;
    return 0;
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    chosen->run(text_of(data, size));
    return 0;
}

/// One in twenty changes bytes, whatever they mean.
extern "C" std::size_t LLVMFuzzerCustomMutator(std::uint8_t* data, std::size_t size, std::size_t most, unsigned seed) {
    if (!chosen->is_job || seed % 20 == 0)
        return LLVMFuzzerMutate(data, size, most);
    return put(edited_job(text_of(data, size), seed, most), data, most);
}

extern "C" std::size_t LLVMFuzzerCustomCrossOver(const std::uint8_t* one, std::size_t one_size,
                                                 const std::uint8_t* other, std::size_t other_size, std::uint8_t* out,
                                                 std::size_t most, unsigned seed) {
    if (!chosen->is_job)
        return 0;
    return put(crossed_jobs(text_of(one, one_size), text_of(other, other_size), seed, most), out, most);
}
