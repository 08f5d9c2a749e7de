#include "app/house/houses.hpp"

#include "app/bench/words.hpp"
#include "core/job/file.hpp"

#include <QCoreApplication>
#include <QDir>
#include <QFileInfo>
#include <QSaveFile>
#include <QSettings>
#include <QStandardPaths>

namespace yes_square::app {
namespace {

const auto setting = QStringLiteral("house");

QDir folder() {
    return QDir{
        QDir{QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation)}.filePath(QStringLiteral("houses"))};
}

struct Shipped {
    const char* name;
    Region region;
};
constexpr Shipped shipped[]{{QT_TRANSLATE_NOOP("Houses", "Metric, EN 1995"), Region::metric},
                            {QT_TRANSLATE_NOOP("Houses", "Inch, NDS"), Region::inch}};

QString name_of(const Shipped& house) {
    return QCoreApplication::translate("Houses", house.name);
}

} // namespace

Job house_of(const Job& job) {
    Job house;
    take_house(house, job);
    house.title = job.title;
    return house;
}

void take_house(Job& job, const Job& house) {
    job.unit = house.unit;
    job.rules = house.rules;
    job.crew = house.crew;
    job.fitter = house.fitter;
    job.fitters = house.fitters;
    job.head = house.head;
    job.currency = house.currency;
    job.catalogue.stock = house.catalogue.stock;
    job.catalogue.supplies = house.catalogue.supplies;
    job.days.begins = house.days.begins;
    job.days.hours = house.days.hours;
    job.instrument = house.instrument;
}

std::vector<House> houses() {
    std::vector<House> all;
    for (const Shipped& each : shipped)
        all.push_back({name_of(each), {}});
    for (const QFileInfo& file : folder().entryInfoList({QStringLiteral("*.yesq")}, QDir::Files, QDir::Name))
        all.push_back({file.completeBaseName(), file.filePath()});
    return all;
}

std::optional<Job> read_house(const House& house, QString& problem) {
    if (house.path.isEmpty())
        for (const Shipped& each : shipped)
            if (name_of(each) == house.name)
                return house_of(new_job(each.region));
    QFile file{house.path};
    if (!file.open(QIODevice::ReadOnly)) {
        problem = QCoreApplication::translate("Houses", "%1 cannot be read: %2").arg(house.path, file.errorString());
        return std::nullopt;
    }
    const auto read = read_job(file.readAll().toStdString());
    if (!read) {
        problem =
            QCoreApplication::translate("Houses", "%1 cannot be read: %2").arg(house.path, text(read.error().text()));
        return std::nullopt;
    }
    return house_of(read->job);
}

QString keep_house(const QString& name, const Job& job) {
    const QString plain = name.trimmed();
    if (plain.isEmpty() || plain.startsWith(u'.') || plain.contains(u'/') || plain.size() > 100)
        return QCoreApplication::translate("Houses", "A name of a few words, without / and no dot before it");
    for (const Shipped& each : shipped)
        if (plain.compare(name_of(each), Qt::CaseInsensitive) == 0)
            return QCoreApplication::translate("Houses", "\"%1\" ships with the program: give yours a name of its own")
                .arg(plain);
    folder().mkpath(QStringLiteral("."));
    Job house = house_of(job);
    house.title = plain.toStdString();
    QSaveFile file{folder().filePath(plain + QStringLiteral(".yesq"))};
    const QByteArray document = QByteArray::fromStdString(write_job(house));
    if (!file.open(QIODevice::WriteOnly) || file.write(document) != document.size() || !file.commit())
        return QCoreApplication::translate("Houses", "%1 cannot be written: %2")
            .arg(file.fileName(), file.errorString());
    return {};
}

QString house_for_new_jobs() {
    return QSettings{}.value(setting).toString();
}

void set_house_for_new_jobs(const QString& name) {
    if (name.isEmpty())
        QSettings{}.remove(setting);
    else
        QSettings{}.setValue(setting, name);
}

} // namespace yes_square::app
