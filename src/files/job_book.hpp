#pragma once

#include <cstddef>
#include <optional>
#include <string>
#include <tl/expected.hpp>
#include <vector>

struct sqlite3;

namespace yes_square {

struct Job;

/// A job as the book lists it.
struct BookEntry {
    std::string path;
    std::string title;
    std::string client;
    std::string place;
    std::string last; ///< when something was last written into its log; empty: nothing yet
    std::size_t walls = 0;
    std::string found; ///< the words that matched, with what stands round them; empty where nothing was sought
};

struct BookQuery {
    std::string words; ///< all of them, each as the beginning of a word; anywhere in title, client, place, names, log
    std::string kind;  ///< of log entries, as in the job file: only jobs that have one
    std::string from;  ///< "2026-03-01": the log goes on until then or later
    std::string until; ///< and begins by then
    std::size_t most = 200;
};

/// An index over job files, so that years of them can be searched: nothing is in it that is not in the files, and it
/// can be thrown away and built again.
class JobBook {
public:
    /// Opens the book, or begins it. On error the text says why not.
    static tl::expected<JobBook, std::string> open(const std::string& path);
    JobBook(JobBook&& other) noexcept;
    JobBook& operator=(JobBook&& other) noexcept;
    ~JobBook();

    /// Takes a job in, or in again. `stamp`: of its file, to know whether it has changed.
    void put(const std::string& path, const Job& job, const std::string& stamp = {});
    void remove(const std::string& path);
    /// Several puts at once.
    void begin();
    void commit();

    std::vector<BookEntry> search(const BookQuery& query) const;
    std::size_t size() const;

    struct Rebuilt {
        std::size_t taken = 0;
        std::size_t kept = 0;                ///< had not changed
        std::vector<std::string> unreadable; ///< path and what is wrong
    };
    /// Goes through a folder and those in it for .yesq files; forgets those of it that are gone.
    Rebuilt rebuild(const std::string& folder);

private:
    explicit JobBook(sqlite3* database)
        : database_{database} {}
    void run(const char* statement) const;
    std::optional<std::string> stamp_of(const std::string& path) const;

    sqlite3* database_ = nullptr;
};

} // namespace yes_square
