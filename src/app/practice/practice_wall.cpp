#include "app/practice/practice_wall.hpp"

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QSaveFile>
#include <QStandardPaths>

namespace yes_square::app {
namespace {

QString results_path() {
    return QDir{QStandardPaths::writableLocation(QStandardPaths::AppDataLocation)}.filePath(
        QStringLiteral("practice.json"));
}

std::size_t number(const QJsonObject& object, const char* name) {
    return static_cast<std::size_t>(std::max(0, object.value(QLatin1String(name)).toInt()));
}

} // namespace

PracticeWall::PracticeWall(std::uint64_t seed)
    : random_{seed}
    , hidden_{make_hidden_wall(random_, {})}
    , stretch_{where_work_goes(hidden_)}
    , readings_{visible_traces(hidden_, random_)} {}

bool PracticeWall::probe_at(Length x) {
    if (result_)
        return hidden_.wood_at(x);
    const bool wood = probe(hidden_, x, StudRules{}.probe_false, random_);
    readings_.push_back({wood ? EvidenceKind::probe_hit : EvidenceKind::probe_miss, x});
    return wood;
}

std::optional<ProbeAdvice> PracticeWall::advice() const {
    Wall wall = hidden_.wall;
    wall.observations = readings_;
    const StudRules rules;
    return next_probe(find_studs(wall, {}, rules), {}, rules, {stretch_});
}

const PracticeResult& PracticeWall::finish() {
    if (!result_)
        result_ = judge_practice(hidden_, stretch_, readings_, random_);
    return *result_;
}

std::vector<KeptResult> kept_results() {
    QFile file{results_path()};
    std::vector<KeptResult> kept;
    if (!file.open(QIODevice::ReadOnly))
        return kept;
    for (const QJsonValue& value : QJsonDocument::fromJson(file.readAll()).array()) {
        const QJsonObject one = value.toObject();
        kept.push_back({QDateTime::fromString(one.value(QStringLiteral("when")).toString(), Qt::ISODate),
                        {number(one, "holes"), number(one, "studs"), number(one, "proved"), number(one, "wrong"),
                         number(one, "advice_holes")}});
    }
    return kept;
}

QString keep_result(const PracticeResult& result) {
    QJsonArray all;
    std::vector<KeptResult> kept = kept_results();
    kept.push_back({QDateTime::currentDateTime(), result});
    for (const auto& [when, one] : kept)
        all.append(QJsonObject{{QStringLiteral("when"), when.toString(Qt::ISODate)},
                               {QStringLiteral("holes"), static_cast<int>(one.holes)},
                               {QStringLiteral("studs"), static_cast<int>(one.studs)},
                               {QStringLiteral("proved"), static_cast<int>(one.proved)},
                               {QStringLiteral("wrong"), static_cast<int>(one.wrong)},
                               {QStringLiteral("advice_holes"), static_cast<int>(one.advice_holes)}});
    const QString path = results_path();
    QDir{}.mkpath(QFileInfo{path}.path());
    QSaveFile file{path};
    const QByteArray text = QJsonDocument{all}.toJson();
    if (!file.open(QIODevice::WriteOnly) || file.write(text) != text.size() || !file.flush()) {
        file.cancelWriting();
        file.commit();
        return QCoreApplication::translate("PracticeWall", "The result could not be kept in %1").arg(path);
    }
    return file.commit() ? QString{}
                         : QCoreApplication::translate("PracticeWall", "The result could not be kept in %1").arg(path);
}

} // namespace yes_square::app
