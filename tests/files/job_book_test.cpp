#include "core/job/file.hpp"
#include "files/job_book.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <unistd.h>

using namespace yes_square;
namespace fs = std::filesystem;

namespace {

/// A folder of this test alone, gone after it.
struct Folder {
    fs::path path = fs::temp_directory_path() / ("yes-square-book-" + std::to_string(getpid()));
    Folder() {
        fs::remove_all(path);
        fs::create_directories(path / "jobs" / "2026");
    }
    ~Folder() { fs::remove_all(path); }
    std::string book() const { return (path / "book.sqlite").string(); }
    std::string jobs() const { return (path / "jobs").string(); }
    void write(const std::string& name, const Job& job) const { std::ofstream{path / "jobs" / name} << write_job(job); }
};

Job job_of(const std::string& title, const std::string& client, const std::string& day = {}) {
    Job job = new_job();
    job.title = title;
    job.client = client;
    job.place = "Quay 4";
    if (!day.empty()) {
        LogEntry entry;
        entry.kind = LogKind::deviation;
        entry.at = day + "T09:00:00Z";
        entry.by = "R. Field";
        entry.words = "Stud at 1412 was not there, bracket moved";
        job.log.push_back(entry);
    }
    return job;
}

} // namespace

TEST_CASE("a job book finds jobs by words, log and days", "[book]") {
    const Folder folder;
    auto book = JobBook::open(folder.book());
    REQUIRE(book);
    book->put("a.yesq", job_of("Net loft shelves", "Marsh & Daughters"));
    book->put("b.yesq", job_of("Pantry", "Ill\u00e9s", "2026-03-05"));
    book->put("c.yesq", job_of("Loft wardrobe", "Marsh", "2026-04-20"));
    const auto paths = [&](BookQuery query) {
        std::string found;
        for (const BookEntry& entry : book->search(query))
            found += entry.path.substr(0, 1);
        std::ranges::sort(found);
        return found;
    };
    CHECK(book->size() == 3);
    CHECK(paths({"loft", "", "", "", 200}) == "ac");
    CHECK(paths({"LOFT mar", "", "", "", 200}) == "ac");
    CHECK(paths({"loft ward", "", "", "", 200}) == "c");
    CHECK(paths({"illes", "", "", "", 200}) == "b");
    CHECK(paths({"stud 1412", "", "", "", 200}) == "bc");
    CHECK(paths({"", "deviation", "", "", 200}) == "bc");
    CHECK(paths({"", "", "2026-04-01", "", 200}) == "c");
    CHECK(paths({"", "", "", "2026-03-31", 200}) == "b");
    CHECK(paths({"", "", "", "", 200}) == "abc");
    CHECK(paths({"\" OR * (", "", "", "", 200}) == ""); // signs are no commands
    CHECK(paths({"quay", "photo", "", "", 200}) == "");
    CHECK(book->search({"1412", "", "", "", 1}).front().found.find("1412") != std::string::npos);

    book->put("b.yesq", job_of("Larder", "Other")); // in again: what it said before is gone
    CHECK(paths({"pantry", "", "", "", 200}) == "");
    CHECK(paths({"larder", "", "", "", 200}) == "b");
    book->remove("a.yesq");
    CHECK(book->size() == 2);
}

TEST_CASE("a job book is built again from the files", "[book]") {
    const Folder folder;
    folder.write("one.yesq", job_of("One", "A"));
    folder.write("2026/two.yesq", job_of("Two", "B"));
    std::ofstream{folder.path / "jobs" / "broken.yesq"} << "{";
    {
        auto book = JobBook::open(folder.book());
        REQUIRE(book);
        const auto built = book->rebuild(folder.jobs());
        CHECK(built.taken == 2);
        REQUIRE(built.unreadable.size() == 1);
        CHECK(built.unreadable.front().find("broken.yesq: line 1") != std::string::npos);
    }
    fs::remove(folder.path / "jobs" / "one.yesq");
    auto book = JobBook::open(folder.book());
    REQUIRE(book);
    const auto again = book->rebuild(folder.jobs());
    CHECK(again.taken == 0);
    CHECK(again.kept == 1);
    CHECK(book->size() == 1);
    fs::remove(folder.book());
    auto fresh = JobBook::open(folder.book());
    REQUIRE(fresh);
    CHECK(fresh->rebuild(folder.jobs()).taken == 1);
}

TEST_CASE("what is no job book is said so", "[book]") {
    const Folder folder;
    std::ofstream{folder.book()} << "this is a letter, not a book of jobs at all, and long enough to be read as one";
    const auto book = JobBook::open(folder.book());
    REQUIRE_FALSE(book);
    CHECK(book.error().find("delete it") != std::string::npos);
    CHECK_FALSE(JobBook::open("/nowhere/at/all/book.sqlite"));
}
