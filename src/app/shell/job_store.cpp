#include "app/shell/job_store.hpp"

#include "app/shell/words.hpp"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QSaveFile>
#include <QStandardPaths>

namespace yes_square::app {
namespace {

QString tr(const char* words) {
    return QCoreApplication::translate("JobStore", words);
}

std::optional<std::string> read_file(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly))
        return std::nullopt;
    return file.readAll().toStdString();
}

std::optional<Job> read_sidecar(const QString& path) {
    const auto bytes = read_file(path);
    if (!bytes)
        return std::nullopt;
    auto loaded = read_job(*bytes);
    return loaded ? std::optional{std::move(loaded->job)} : std::nullopt;
}

} // namespace

QString write_atomically(const QString& path, const std::string& bytes) {
    QSaveFile file{path};
    if (!file.open(QIODevice::WriteOnly))
        return tr("%1 cannot be written: %2. Choose another place").arg(path, file.errorString());
    // A full disk may cut a write short and still let the file be committed, so every byte is counted.
    const auto size = static_cast<qint64>(bytes.size());
    if (file.write(bytes.data(), size) != size || !file.flush())
        file.cancelWriting();
    if (!file.commit())
        return tr("%1 could not be written whole; the old file stands. Is the disk full?").arg(path);
    return {};
}

JobStore::~JobStore() = default;

std::unique_ptr<QLockFile> JobStore::lock(const QString& path, QString& problem) {
    auto lock = std::make_unique<QLockFile>(path + QStringLiteral(".lock"));
    lock->setStaleLockTime(0);
    if (lock->tryLock())
        return lock;
    if (lock->error() == QLockFile::LockFailedError) {
        qint64 process = 0;
        QString host;
        QString program;
        lock->getLockInfo(&process, &host, &program);
        problem = tr("%1 is open already, on %2 (process %3). Close it there first").arg(path, host).arg(process);
    } else {
        problem = tr("%1 cannot be locked: its folder cannot be written. Copy the file to a folder of yours").arg(path);
    }
    return nullptr;
}

tl::expected<JobStore::Opened, QString> JobStore::open(const QString& path) {
    const QString whole = QFileInfo{path}.absoluteFilePath();
    const auto bytes = read_file(whole);
    if (!bytes)
        return tl::unexpected{tr("%1 cannot be read. Check the name and that it is a file").arg(whole)};
    auto loaded = read_job(*bytes);
    if (!loaded)
        return tl::unexpected{tr("%1 cannot be opened. %2").arg(whole, text(loaded.error().text()))};
    if (whole != path_ || !lock_) {
        QString problem;
        auto taken = lock(whole, problem);
        if (!taken)
            return tl::unexpected{problem};
        lock_ = std::move(taken);
    }
    path_ = whole;
    read_only_ = loaded->newer_version;
    Opened opened{std::move(loaded->job), read_only_, std::nullopt};
    if (auto sidecar = read_sidecar(autosave_path()); sidecar && *sidecar != opened.job)
        opened.recovered = std::move(sidecar);
    return opened;
}

std::optional<Job> JobStore::start_untitled() {
    path_.clear();
    read_only_ = false;
    // A second window with an unsaved job must not take the first one's sidecar for a lost one.
    QString problem;
    QDir{}.mkpath(QFileInfo{autosave_path()}.path());
    lock_ = lock(autosave_path(), problem);
    return lock_ ? read_sidecar(autosave_path()) : std::nullopt;
}

QString JobStore::save(const Job& job) {
    if (read_only_)
        return tr("This job was written by a newer Yes Square. Save it under another name, and what the newer one "
                  "added to its meaning may be lost there");
    const QString problem = write_atomically(path_, write_job(job));
    if (problem.isEmpty())
        forget_autosave();
    return problem;
}

QString JobStore::save_as(const QString& path, const Job& job) {
    const QString whole = QFileInfo{path}.absoluteFilePath();
    if (whole == path_)
        return save(job);
    QString problem;
    auto taken = lock(whole, problem);
    if (!taken)
        return problem;
    problem = write_atomically(whole, write_job(job));
    if (!problem.isEmpty())
        return problem;
    forget_autosave();
    lock_ = std::move(taken);
    path_ = whole;
    read_only_ = false;
    return {};
}

QString JobStore::autosave(const Job& job) const {
    if (read_only_ || !lock_)
        return {};
    return write_atomically(autosave_path(), write_job(job));
}

void JobStore::forget_autosave() const {
    QFile::remove(autosave_path());
}

QString JobStore::autosave_path() const {
    const QString base = path_.isEmpty() ? QStandardPaths::writableLocation(QStandardPaths::AppLocalDataLocation) +
                                               QStringLiteral("/unsaved.yesq")
                                         : path_;
    return base + QStringLiteral(".autosave");
}

} // namespace yes_square::app
