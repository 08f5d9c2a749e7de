/// Which fault is awake, and which of them each test comes by.
#define CATCH_CONFIG_EXTERNAL_INTERFACES
#include <catch2/catch.hpp>

#include <array>
#include <atomic>
#include <chrono>
#include <cstdlib>
#include <fstream>

namespace {

constexpr std::size_t most_faults = 1000;
std::array<std::atomic<bool>, most_faults> came_by;

const int awake = [] {
    const char* number = std::getenv("YES_SQUARE_FAULT");
    return number ? std::atoi(number) : 0;
}();

} // namespace

/// Called by the seeded sources at each fault. Each number from 1; none of them wakes by itself.
bool seeded_fault(int number) {
    came_by[static_cast<std::size_t>(number)].store(true, std::memory_order_relaxed);
    return number == awake;
}

namespace {

/// Writes a line a test into the file that YES_SQUARE_FAULTS_REACHED names: seconds, numbers, name.
class ReachedBy : public Catch::TestEventListenerBase {
public:
    using TestEventListenerBase::TestEventListenerBase;

    void testCaseStarting(const Catch::TestCaseInfo&) override {
        for (auto& each : came_by)
            each = false;
        begun_ = std::chrono::steady_clock::now();
    }
    void testCaseEnded(const Catch::TestCaseStats& ended) override {
        const char* path = std::getenv("YES_SQUARE_FAULTS_REACHED");
        if (!path)
            return;
        std::ofstream file{path, std::ios::app};
        file << std::chrono::duration<double>(std::chrono::steady_clock::now() - begun_).count() << '\t';
        for (std::size_t i = 0; i < came_by.size(); ++i)
            if (came_by[i])
                file << i << ' ';
        file << '\t' << ended.testInfo.name << '\n';
    }

private:
    std::chrono::steady_clock::time_point begun_;
};

} // namespace

CATCH_REGISTER_LISTENER(ReachedBy)
