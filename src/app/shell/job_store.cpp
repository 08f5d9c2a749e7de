#include "app/shell/job_store.hpp"

#include "app/bench/words.hpp"
#include "files/beside_job.hpp"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QRegularExpression>
#include <QSaveFile>
#include <QStandardPaths>
#include <algorithm>
#include <fcntl.h>
#include <functional>
#include <unistd.h>

namespace yes_square::app {
namespace {

std::optional<std::string> read_file(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly))
        return std::nullopt;
    return file.readAll().toStdString();
}

/// Makes a change of names in a folder last: without it a power cut may bring the old one back.
void flush_folder(const QString& path) {
    const QByteArray folder = QFile::encodeName(QFileInfo{path}.absolutePath());
    if (const int handle = ::open(folder.constData(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); handle >= 0) {
        ::fsync(handle);
        ::close(handle);
    }
}

/// Halves of saves that a program ended in the middle of; the lock is ours.
void clean_leftovers(const QString& path) {
    const QFileInfo file{path};
    static const QRegularExpression ending{QStringLiteral("^[A-Za-z0-9]{6}$")};
    for (const QFileInfo& left :
         file.dir().entryInfoList({file.fileName() + QStringLiteral(".??????")}, QDir::Files | QDir::NoSymLinks))
        if (const QString suffix = left.fileName().mid(file.fileName().size() + 1);
            ending.match(suffix).hasMatch() && suffix != QStringLiteral("unsave"))
            QFile::remove(left.absoluteFilePath());
}

QString versions_of(const QString& job_path) {
    return text(versions_folder(job_path.toStdString()));
}

} // namespace

std::optional<Job> read_version(const QString& path) {
    const auto bytes = read_file(path);
    if (!bytes)
        return std::nullopt;
    auto loaded = read_job(*bytes);
    return loaded ? std::optional{std::move(loaded->job)} : std::nullopt;
}

QString write_atomically(const QString& path, const std::string& bytes) {
    QSaveFile file{path};
    if (!file.open(QIODevice::WriteOnly))
        return tr("%1 cannot be written: %2. Choose another place").arg(path, file.errorString());
    // A full disk may cut a write short and still let the file be committed, so every byte is counted, and what the
    // disk says of the flush counts too.
    const auto size = static_cast<qint64>(bytes.size());
    if (file.write(bytes.data(), size) != size || !file.flush() || ::fsync(file.handle()) != 0)
        file.cancelWriting();
    if (!file.commit())
        return tr("%1 could not be written whole; the old file stands. Is the disk full?").arg(path);
    flush_folder(path);
    return {};
}

JobStore::~JobStore() = default;

JobStore::Lock JobStore::lock(const QString& path, std::unique_ptr<QLockFile>& taken, QString& problem) {
    auto lock = std::make_unique<QLockFile>(path + QStringLiteral(".lock"));
    lock->setStaleLockTime(0);
    if (lock->tryLock()) {
        taken = std::move(lock);
        return Lock::taken;
    }
    if (lock->error() == QLockFile::LockFailedError) {
        qint64 process = 0;
        QString host;
        QString program;
        lock->getLockInfo(&process, &host, &program);
        problem = tr("%1 is open already, on %2 (process %3). Close it there first").arg(path, host).arg(process);
        return Lock::held_elsewhere;
    }
    problem = tr("%1 cannot be locked: its folder cannot be written. Copy the file to a folder of yours").arg(path);
    return Lock::impossible;
}

JobStore::Seen JobStore::look(const QString& path) {
    const QFileInfo file{path};
    return file.exists() ? Seen{file.size(), file.lastModified()} : Seen{};
}

tl::expected<JobStore::Opened, QString> JobStore::open(const QString& path) {
    const QFileInfo file{path};
    const QString whole = file.exists() ? file.canonicalFilePath() : file.absoluteFilePath();
    const auto bytes = read_file(whole);
    if (!bytes)
        return tl::unexpected{tr("%1 cannot be read. Check the name and that it is a file").arg(whole)};
    auto loaded = read_job(*bytes);
    if (!loaded)
        return tl::unexpected{tr("%1 cannot be opened. %2").arg(whole, text(loaded.error().text()))};
    QString read_only;
    if (loaded->newer_version)
        read_only = tr("This job was written by a newer Yes Square. It is opened to look at; saving it needs another "
                       "name, and what the newer one added to its meaning may be lost there");
    if (whole != path_ || !lock_) {
        QString problem;
        std::unique_ptr<QLockFile> taken;
        switch (lock(whole, taken, problem)) {
        case Lock::held_elsewhere:
            return tl::unexpected{problem};
        case Lock::impossible:
            read_only = tr("The folder of %1 cannot be written. The job is opened to look at; save it under another "
                           "name to go on with it")
                            .arg(whole);
            break;
        case Lock::taken:
            break;
        }
        lock_ = std::move(taken);
    }
    path_ = whole;
    untitled_.clear();
    read_only_ = read_only;
    seen_ = look(whole);
    Opened opened{std::move(loaded->job), read_only_, std::nullopt, {}};
    if (lock_)
        clean_leftovers(whole);
    if (!QFileInfo::exists(autosave_path()))
        return opened;
    if (auto sidecar = read_version(autosave_path()); !sidecar)
        opened.broken = keep_autosave();
    else if (*sidecar != opened.job)
        opened.recovered = std::move(sidecar);
    return opened;
}

std::optional<Job> JobStore::start_untitled() {
    path_.clear();
    read_only_.clear();
    seen_ = {};
    // Ours is let go of first: a new job after a new job wants the same sidecar. A second window must not take the
    // first one's for a lost one: it has the next.
    lock_.reset();
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppLocalDataLocation);
    QDir{}.mkpath(folder);
    constexpr int most_windows = 50;
    for (int number = 1; number <= most_windows && !lock_; ++number) {
        untitled_ =
            folder + (number == 1 ? QStringLiteral("/unsaved.yesq") : QStringLiteral("/unsaved-%1.yesq").arg(number));
        QString problem;
        if (lock(autosave_path(), lock_, problem) == Lock::impossible)
            break;
    }
    return lock_ ? read_version(autosave_path()) : std::nullopt;
}

QString JobStore::write(const QString& path, const Job& job) const {
    const std::string bytes = write_job(job);
    // What cannot be read again would be lost: the old file stands.
    if (const auto back = read_job(bytes); !back)
        return tr("This job would not open again, so it was not saved: %1. Put that right, then save")
            .arg(text(back.error().text()));
    if (QFileInfo::exists(path)) {
        const QString before = path + QLatin1Char('~');
        const QString beside = before + QStringLiteral(".part");
        QFile::remove(beside);
        if (QFile::copy(path, beside)) {
            QFile::remove(before);
            QFile::rename(beside, before);
        }
    }
    QString problem = write_atomically(path, bytes);
    if (problem.isEmpty())
        keep_version(path, bytes);
    return problem;
}

/// A job that is saved stands; that its version cannot be kept besides is no reason to say it was not.
void JobStore::keep_version(const QString& path, const std::string& bytes) {
    constexpr int most = 40;
    QDir folder{versions_of(path)};
    // Those that were kept here, by their names: what else somebody put there is not ours to thin out.
    const QStringList kept = folder.entryList(
        {QStringLiteral("[12][0-9]*-[0-9]*-[0-9]* [0-9]*.[0-9]*.[0-9]*.[0-9]*.yesq")}, QDir::Files, QDir::Name);
    if (!kept.isEmpty() && read_file(folder.filePath(kept.last())) == bytes)
        return;
    if (!folder.mkpath(QStringLiteral(".")) || QFileInfo{folder.path()}.isSymLink())
        return;
    const QString now = QDateTime::currentDateTime().toString(QStringLiteral("yyyy-MM-dd HH.mm.ss.zzz"));
    if (!write_atomically(folder.filePath(now + QStringLiteral(".yesq")), bytes).isEmpty())
        return;
    for (qsizetype i = 0; i + most <= kept.size(); ++i)
        folder.remove(kept[i]);
}

QString JobStore::save(const Job& job) {
    if (read_only())
        return read_only_;
    if (look(path_) != seen_)
        return tr("%1 was changed by another program since it was opened here. Save this job under another name, or "
                  "open "
                  "the file again to see what changed")
            .arg(path_);
    const QString problem = write(path_, job);
    if (problem.isEmpty()) {
        seen_ = look(path_);
        forget_autosave();
    }
    return problem;
}

QString JobStore::save_as(const QString& path, const Job& job) {
    const QFileInfo file{path};
    const QString whole = file.exists() ? file.canonicalFilePath() : file.absoluteFilePath();
    if (whole == path_)
        return save(job);
    QString problem;
    std::unique_ptr<QLockFile> taken;
    if (lock(whole, taken, problem) != Lock::taken)
        return problem;
    problem = write(whole, job);
    if (!problem.isEmpty())
        return problem;
    forget_autosave();
    lock_ = std::move(taken);
    path_ = whole;
    untitled_.clear();
    read_only_.clear();
    seen_ = look(whole);
    return {};
}

QString JobStore::autosave(const Job& job) const {
    if (read_only() || !lock_)
        return {};
    const std::string bytes = write_job(job);
    if (const auto back = read_job(bytes); !back)
        return tr("Work is not kept safe as it is: %1").arg(text(back.error().text()));
    return write_atomically(autosave_path(), bytes);
}

QString JobStore::keep_autosave() const {
    for (int number = 1;; ++number) {
        const QString aside = (path_.isEmpty() ? untitled_ : path_) + QStringLiteral(".unsaved-%1").arg(number);
        if (!QFileInfo::exists(aside)) {
            QFile::rename(autosave_path(), aside);
            return aside;
        }
    }
}

QStringList JobStore::older_versions() const {
    const QFileInfo file{path_.isEmpty() ? untitled_ : path_};
    QFileInfoList found = file.dir().entryInfoList(
        {file.fileName() + QLatin1Char('~'), file.fileName() + QStringLiteral(".unsaved-*")}, QDir::Files);
    if (!path_.isEmpty())
        found += QDir{versions_of(path_)}.entryInfoList({QStringLiteral("*.yesq")}, QDir::Files);
    std::ranges::stable_sort(found, std::greater{}, [](const QFileInfo& each) { return each.lastModified(); });
    QStringList paths;
    for (const QFileInfo& version : found)
        paths << version.absoluteFilePath();
    return paths;
}

void JobStore::forget_autosave() const {
    QFile::remove(autosave_path());
}

QString JobStore::autosave_path() const {
    return (path_.isEmpty() ? untitled_ : path_) + QStringLiteral(".autosave");
}

} // namespace yes_square::app
