#include "files/job_book.hpp"

#include "core/job/fields.hpp"
#include "core/job/file.hpp"
#include "core/job/things.hpp"

#include <algorithm>
#include <cctype>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <set>
#include <sqlite3.h>
#include <sstream>
#include <utility>

namespace yes_square {
namespace {

constexpr int book_version = 1;

constexpr const char* tables = R"(
CREATE TABLE IF NOT EXISTS jobs (
    id INTEGER PRIMARY KEY, path TEXT UNIQUE NOT NULL, stamp TEXT, title TEXT, client TEXT, place TEXT,
    first TEXT, last TEXT, walls INTEGER);
CREATE TABLE IF NOT EXISTS kinds (job INTEGER NOT NULL, kind TEXT NOT NULL, PRIMARY KEY (job, kind)) WITHOUT ROWID;
CREATE INDEX IF NOT EXISTS jobs_by_last ON jobs (last DESC);
CREATE VIRTUAL TABLE IF NOT EXISTS words USING fts5 (title, client, place, names, log, prefix = '2 3',
    tokenize = 'unicode61 remove_diacritics 2');
)";

/// A prepared statement.
class Statement {
public:
    Statement(sqlite3* database, const std::string& sql) {
        if (sqlite3_prepare_v2(database, sql.c_str(), -1, &statement_, nullptr) != SQLITE_OK)
            throw std::runtime_error{fmt::format("job book: {}", sqlite3_errmsg(database))};
    }
    ~Statement() { sqlite3_finalize(statement_); }
    Statement(const Statement&) = delete;
    Statement& operator=(const Statement&) = delete;

    Statement& bind(const std::string& text) {
        sqlite3_bind_text(statement_, ++bound_, text.data(), static_cast<int>(text.size()), SQLITE_TRANSIENT);
        return *this;
    }
    Statement& bind(std::int64_t number) {
        sqlite3_bind_int64(statement_, ++bound_, number);
        return *this;
    }
    bool step() {
        const int result = sqlite3_step(statement_);
        if (result != SQLITE_ROW && result != SQLITE_DONE)
            throw std::runtime_error{fmt::format("job book: {}", sqlite3_errmsg(sqlite3_db_handle(statement_)))};
        return result == SQLITE_ROW;
    }
    std::string text(int column) const {
        const auto* found = reinterpret_cast<const char*>(sqlite3_column_text(statement_, column));
        return found ? found : "";
    }
    std::int64_t number(int column) const { return sqlite3_column_int64(statement_, column); }

private:
    sqlite3_stmt* statement_ = nullptr;
    int bound_ = 0;
};

constexpr int wait_ms = 3000;

/// Each word as the beginning of one, whatever signs stand in it.
std::string match_of(const std::string& words) {
    std::string match;
    std::string word;
    const auto close = [&] {
        if (!word.empty())
            match += fmt::format("{}\"{}\"*", match.empty() ? "" : " ", word);
        word.clear();
    };
    for (const char c : words)
        if (std::isspace(static_cast<unsigned char>(c)) || c == '"')
            close();
        else
            word += c;
    close();
    return match;
}

std::string names_in(const Job& job) {
    std::string names;
    const auto add = [&](const std::string& name) { names += name + "\n"; };
    for (const Room& room : job.rooms)
        add(room.name);
    for (const Wall& wall : job.walls) {
        add(wall.name);
        for_each_thing(wall, [&](const auto& thing) { add(name_of(thing)); });
        for (const Run& run : wall.runs) {
            for (const CabinetUnit& unit : run.units) {
                add(unit.name);
                add(unit.code);
            }
        }
    }
    for (const DeliveryLine& line : job.delivery)
        add(line.code + " " + line.name);
    return names;
}

} // namespace

tl::expected<JobBook, std::string> JobBook::open(const std::string& path) {
    sqlite3* database = nullptr;
    const int opened = sqlite3_open(path.c_str(), &database);
    JobBook book{database};
    if (opened != SQLITE_OK)
        return tl::unexpected{fmt::format("{} cannot be opened as a job book: {}; give another place for it", path,
                                          database ? sqlite3_errmsg(database) : "no memory")};
    // Another window may be writing: it is waited for, and a book that is held is not broken.
    sqlite3_busy_timeout(database, wait_ms);
    try {
        book.run("PRAGMA journal_mode = WAL; PRAGMA synchronous = NORMAL;");
        Statement version{database, "PRAGMA user_version"};
        version.step();
        if (version.number(0) != 0 && version.number(0) != book_version)
            return tl::unexpected{
                fmt::format("{} was made by another version; delete it, it is built again from the job "
                            "files",
                            path)};
        book.run(tables);
        book.run(fmt::format("PRAGMA user_version = {}", book_version).c_str());
    } catch (const std::runtime_error& error) {
        if (const int code = sqlite3_errcode(database); code == SQLITE_BUSY || code == SQLITE_LOCKED)
            return tl::unexpected{fmt::format(
                "{} is in use by another program; close its job book there, or try again in a moment", path)};
        return tl::unexpected{
            fmt::format("{}: {}; delete it, it is built again from the job files", path, error.what())};
    }
    return book;
}

JobBook::JobBook(JobBook&& other) noexcept
    : database_{std::exchange(other.database_, nullptr)} {}

JobBook& JobBook::operator=(JobBook&& other) noexcept {
    std::swap(database_, other.database_);
    return *this;
}

JobBook::~JobBook() {
    sqlite3_close(database_);
}

void JobBook::run(const char* statement) const {
    if (sqlite3_exec(database_, statement, nullptr, nullptr, nullptr) != SQLITE_OK)
        throw std::runtime_error{fmt::format("job book: {}", sqlite3_errmsg(database_))};
}

void JobBook::begin() {
    run("BEGIN");
}
void JobBook::commit() {
    run("COMMIT");
}

void JobBook::remove(const std::string& path) {
    for (const char* sql :
         {"DELETE FROM words WHERE rowid IN (SELECT id FROM jobs WHERE path = ?)",
          "DELETE FROM kinds WHERE job IN (SELECT id FROM jobs WHERE path = ?)", "DELETE FROM jobs WHERE path = ?"})
        Statement{database_, sql}.bind(path).step();
}

void JobBook::put(const std::string& path, const Job& job, const std::string& stamp) {
    remove(path);
    std::string log;
    std::string first;
    std::string last;
    std::set<std::string> kinds;
    for (const LogEntry& entry : job.log) {
        log += entry.words + " " + entry.by + "\n";
        first = first.empty() ? entry.at : std::min(first, entry.at);
        last = std::max(last, entry.at);
        kinds.emplace(enum_name(entry.kind));
    }
    for (const Wall& wall : job.walls)
        if (!wall.work_readings.empty())
            kinds.emplace(enum_name(LogKind::reading));
    Statement{database_, "INSERT INTO jobs (path, stamp, title, client, place, first, last, walls) "
                         "VALUES (?, ?, ?, ?, ?, ?, ?, ?)"}
        .bind(path)
        .bind(stamp)
        .bind(job.title)
        .bind(job.client)
        .bind(job.place)
        .bind(first)
        .bind(last)
        .bind(static_cast<std::int64_t>(job.walls.size()))
        .step();
    const std::int64_t id = sqlite3_last_insert_rowid(database_);
    Statement{database_, "INSERT INTO words (rowid, title, client, place, names, log) VALUES (?, ?, ?, ?, ?, ?)"}
        .bind(id)
        .bind(job.title)
        .bind(job.client)
        .bind(job.place)
        .bind(names_in(job))
        .bind(log)
        .step();
    for (const std::string& kind : kinds)
        Statement{database_, "INSERT INTO kinds (job, kind) VALUES (?, ?)"}.bind(id).bind(kind).step();
}

std::vector<BookEntry> JobBook::search(const BookQuery& query) const {
    const std::string match = match_of(query.words);
    std::string sql = "SELECT path, jobs.title, jobs.client, jobs.place, last, walls, ";
    sql += match.empty() ? "'' FROM jobs WHERE 1"
                         : "snippet(words, -1, '', '', ' ... ', 12) FROM words JOIN jobs ON jobs.id = words.rowid "
                           "WHERE words MATCH ?";
    if (!query.kind.empty())
        sql += " AND EXISTS (SELECT 1 FROM kinds WHERE job = jobs.id AND kind = ?)";
    if (!query.from.empty())
        sql += " AND last >= ?";
    if (!query.until.empty())
        sql += " AND first <> '' AND substr(first, 1, 10) <= ?";
    sql += match.empty() ? " ORDER BY last DESC, path LIMIT ?" : " ORDER BY rank LIMIT ?";
    Statement statement{database_, sql};
    for (const std::string* text : {&match, &query.kind, &query.from, &query.until})
        if (!text->empty())
            statement.bind(*text);
    statement.bind(static_cast<std::int64_t>(query.most));
    std::vector<BookEntry> found;
    while (statement.step())
        found.push_back({statement.text(0), statement.text(1), statement.text(2), statement.text(3), statement.text(4),
                         static_cast<std::size_t>(statement.number(5)), statement.text(6)});
    return found;
}

std::size_t JobBook::size() const {
    Statement statement{database_, "SELECT count(*) FROM jobs"};
    statement.step();
    return static_cast<std::size_t>(statement.number(0));
}

std::optional<std::string> JobBook::stamp_of(const std::string& path) const {
    Statement statement{database_, "SELECT stamp FROM jobs WHERE path = ?"};
    return statement.bind(path).step() ? std::optional{statement.text(0)} : std::nullopt;
}

JobBook::Rebuilt JobBook::rebuild(const std::string& folder) {
    namespace fs = std::filesystem;
    Rebuilt rebuilt;
    std::set<std::string> seen;
    std::error_code error;
    const fs::path root = fs::absolute(folder, error);
    begin();
    for (fs::recursive_directory_iterator at{root, fs::directory_options::skip_permission_denied, error}, end;
         !error && at != end; at.increment(error)) {
        if (!at->is_regular_file(error) || at->path().extension() != ".yesq")
            continue;
        const std::string path = at->path().string();
        seen.insert(path);
        const std::string stamp =
            fmt::format("{} {}", at->file_size(error), at->last_write_time(error).time_since_epoch().count());
        if (stamp_of(path) == stamp) {
            ++rebuilt.kept;
            continue;
        }
        std::ifstream file{path, std::ios::binary};
        std::ostringstream text;
        text << file.rdbuf();
        const auto loaded = read_job(text.str());
        if (!loaded) {
            rebuilt.unreadable.push_back(path + ": " + loaded.error().text());
            remove(path);
            continue;
        }
        put(path, loaded->job, stamp);
        ++rebuilt.taken;
    }
    std::vector<std::string> gone;
    {
        Statement statement{database_, "SELECT path FROM jobs"};
        while (statement.step())
            if (const std::string path = statement.text(0);
                path.starts_with((root / "").string()) && !seen.contains(path))
                gone.push_back(path);
    }
    for (const std::string& path : gone)
        remove(path);
    commit();
    return rebuilt;
}

} // namespace yes_square
