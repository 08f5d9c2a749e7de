#pragma once

#include "core/job/file.hpp"

#include <QLockFile>
#include <QString>
#include <memory>
#include <optional>

namespace yes_square::app {

/// A job's file on disk: opened under a lock, saved atomically, autosaved to a sidecar beside it.
class JobStore {
public:
    struct Opened {
        Job job;
        bool read_only = false;       ///< written by a newer version
        std::optional<Job> recovered; ///< a sidecar that differs from the file: work that was never saved
    };

    JobStore() = default;
    ~JobStore();
    JobStore(const JobStore&) = delete;
    JobStore& operator=(const JobStore&) = delete;

    const QString& path() const { return path_; } ///< empty: not saved yet
    bool read_only() const { return read_only_; }

    /// Opens a file and keeps its lock. On failure says why, in the user's words, and the store stays as it was.
    tl::expected<Opened, QString> open(const QString& path);

    /// Starts a job that has no file yet. Returns what an earlier one left in its sidecar.
    std::optional<Job> start_untitled();

    /// Writes the whole file or leaves the old one whole; the sidecar goes. Error text, or empty.
    QString save(const Job& job);
    /// Takes the lock of another path first.
    QString save_as(const QString& path, const Job& job);

    /// Writes the sidecar. Error text, or empty.
    QString autosave(const Job& job) const;
    void forget_autosave() const;

    QString autosave_path() const;

private:
    static std::unique_ptr<QLockFile> lock(const QString& path, QString& problem);

    QString path_;
    bool read_only_ = false;
    std::unique_ptr<QLockFile> lock_;
};

/// Writes text to a file: all of it, or the old file stays. Error text, or empty.
QString write_atomically(const QString& path, const std::string& text);

} // namespace yes_square::app
