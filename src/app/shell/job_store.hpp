#pragma once

#include "core/job/file.hpp"

#include <QDateTime>
#include <QLockFile>
#include <QString>
#include <QStringList>
#include <memory>
#include <optional>

namespace yes_square::app {

/// A job's file on disk: opened under a lock, saved atomically, autosaved to a sidecar beside it.
class JobStore {
public:
    struct Opened {
        Job job;
        QString read_only;            ///< why it can only be looked at; empty: it can be saved
        std::optional<Job> recovered; ///< a sidecar that differs from the file: work that was never saved
        QString broken;               ///< where a sidecar that cannot be read is kept; empty: there is none
    };

    JobStore() = default;
    ~JobStore();
    JobStore(const JobStore&) = delete;
    JobStore& operator=(const JobStore&) = delete;

    const QString& path() const { return path_; } ///< empty: not saved yet
    bool read_only() const { return !read_only_.isEmpty(); }

    /// Opens a file and keeps its lock; a link and what it points to are one file. In a folder that cannot be written
    /// it is opened to be looked at. On failure says why, in the user's words, and the store stays as it was.
    tl::expected<Opened, QString> open(const QString& path);

    /// Starts a job that has no file yet, with a sidecar of its own even where another window has one. Returns what an
    /// earlier one left in it.
    std::optional<Job> start_untitled();

    /// Writes the whole file, flushed to the disk, or leaves the old one whole; the one before it is kept beside it
    /// with a ~ after its name, and each version of the last ones in a folder of them; the sidecar goes. Refused where
    /// the file was changed by somebody else since it was read, or where this program could not read again what it is
    /// about to write. Error text, or empty.
    QString save(const Job& job);
    /// Takes the lock of another path first.
    QString save_as(const QString& path, const Job& job);

    /// Writes the sidecar. Error text, or empty.
    QString autosave(const Job& job) const;
    void forget_autosave() const;
    /// Puts the sidecar aside, to be taken up later: its new name.
    QString keep_autosave() const;
    /// What may be taken up again of this job: as it was saved before, and work put aside. Newest first.
    QStringList older_versions() const;

    QString autosave_path() const;

private:
    enum class Lock { taken, held_elsewhere, impossible };
    static Lock lock(const QString& path, std::unique_ptr<QLockFile>& taken, QString& problem);
    /// What the file looked like when it was last read or written here.
    struct Seen {
        qint64 size = -1;
        QDateTime changed;
        bool operator==(const Seen&) const = default;
    };
    static Seen look(const QString& path);
    QString write(const QString& path, const Job& job) const;
    static void keep_version(const QString& path, const std::string& bytes);

    QString path_;
    QString read_only_;
    QString untitled_; ///< of a job without a file: where its sidecar goes
    Seen seen_;
    std::unique_ptr<QLockFile> lock_;
};

/// Reads a job's file or what is kept of it. None: it cannot be read.
std::optional<Job> read_version(const QString& path);

/// Writes text to a file: all of it, or the old file stays. Error text, or empty.
QString write_atomically(const QString& path, const std::string& text);

} // namespace yes_square::app
