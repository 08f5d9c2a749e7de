// Every word goes through the catalogues, finds room half as long again, and is there in German.
#include "app/sheets/sheet_writer.hpp"
#include "core/job/fields.hpp"
#include "core/measure/entry.hpp"
#include "driven_window.hpp"
#include "language/language.hpp"
#include "said_words.hpp"

#include <QLocale>
#include <QRegularExpression>
#include <array>
#include <functional>
#include <set>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// The window speaks it as long as this lives.
struct Spoken {
    explicit Spoken(const char* code) { speak(QString::fromLatin1(code)); }
    ~Spoken() { speak(QStringLiteral("en")); }
};

const std::vector<const char*>& things() {
    static const std::vector<const char*> all{"shelf-1", "unit-11", "bay-4", "piece-1", "box-1", "hung-1"};
    return all;
}

constexpr std::array stages{Stage::survey, Stage::lines, Stage::layout, Stage::fixings,
                            Stage::cut,    Stage::fit,   Stage::record};

/// Stage by stage and thing by thing, with all folds open.
void walk_through(DrivenWindow& driven, const std::function<void()>& look) {
    for (const char* id : things()) {
        driven.bench().select(id);
        for (const Stage stage : stages) {
            driven.window.set_stage(stage);
            driven.open_folds();
            QTest::qWait(5);
            look();
        }
    }
}

/// What fixings are called is a job's own data, in the words of its catalogue (docs/languages.md).
QStringList names_of_fixings(const Plan& plan) {
    std::set<QString> names;
    for (const auto& wall : plan.walls)
        for_each_thing(*wall, [&](const ThingPlan& thing) {
            for (const PlannedHole& hole : thing.holes)
                if (hole.fixing)
                    names.insert(text(hole.fixing->name));
        });
    QStringList all{names.begin(), names.end()};
    for (const auto& row : enum_names<ScrewGauge>())
        all << text(say(enum_words(row.value), {}));
    return all;
}

} // namespace

TEST_CASE("no word of the window passes the catalogues by", "[app][language]") {
    const Spoken pseudo{pseudo_language};
    DrivenWindow driven;
    REQUIRE(driven.window.open(nameless_demo(driven.folder)));
    std::set<QString> bare;
    walk_through(driven, [&] {
        for (const QString& words : words_of_window(driven.window))
            if (const QString left = unmarked(words, names_of_fixings(driven.bench().plan())); !left.isEmpty())
                bare.insert(left + QStringLiteral("   in: ") + words.left(120));
    });
    for (const QString& words : bare)
        UNSCOPED_INFO(words.toStdString());
    CHECK(bare.empty());
}

TEST_CASE("no word of a sheet passes the catalogues by", "[app][language][sheets]") {
    const Spoken pseudo{pseudo_language};
    QTemporaryDir folder;
    auto read = read_job(contents(nameless_demo(folder)).toStdString());
    REQUIRE(read);
    const Plan plan = reckon(read->job);
    std::set<QString> bare;
    for (const SheetSet& set : sheet_sets()) {
        WordsOnPaper paper;
        QPainter painter{&paper};
        paint_sheets(painter, paper, read->job, plan, set);
        painter.end();
        INFO(set.file_name.toStdString());
        CHECK_FALSE(paper.pages().empty());
        for (const auto& page : paper.pages())
            if (const QString left = unmarked(page.join(u' '), names_of_fixings(plan)); !left.isEmpty())
                bare.insert(set.file_name + QStringLiteral(": ") + left);
    }
    for (const QString& words : bare)
        UNSCOPED_INFO(words.toStdString());
    CHECK(bare.empty());
}

TEST_CASE("figures have a decimal comma in German, on screen and as they are typed", "[app][language]") {
    const Spoken german{"de"};
    CHECK(say(Quantity{Kind::mass, 12.34}, app::voice(Unit::mm)) == "12,3 kg");
    CHECK(format(Length::micrometres(1161'500), app::voice(Unit::cm)) == "116,2 cm");
    CHECK(parse_length("116,15 cm", Unit::cm).value() == Length::micrometres(1161'500));
    CHECK(spoken_locale().toString(1200.5, 'f', 2) == "1200,50");
    CHECK(spoken_locale().toString(QDate{2026, 3, 5}, QLocale::ShortFormat) == "05.03.26");
}

TEST_CASE("sheets are in the client's language, whatever the window speaks", "[app][language][sheets]") {
    Job job = read_job(contents(demo_path()).toStdString())->job;
    const auto printed = [&] {
        WordsOnPaper paper;
        QPainter painter{&paper};
        paint_sheets(painter, paper, job, reckon(job), sheet_set(u"steps"));
        painter.end();
        QString all;
        for (const auto& page : paper.pages())
            all += page.join(u' ') + u'\n';
        return all;
    };
    CHECK(printed().contains("Steps of the whole job"));
    job.head.language = SheetLanguage::german;
    CHECK(printed().contains("Schritte des ganzen Auftrags"));
    CHECK(spoken() == "en");
    const Spoken german{"de"};
    job.head.language = SheetLanguage::as_window;
    CHECK(printed().contains("Schritte des ganzen Auftrags"));
    job.head.language = SheetLanguage::english;
    CHECK(printed().contains("Steps of the whole job"));
}

TEST_CASE("in German nothing of the window and of the sheets is left in English", "[app][language][sheets]") {
    take_missed_words();
    {
        const Spoken german{"de"};
        DrivenWindow driven;
        REQUIRE(driven.window.open(nameless_demo(driven.folder)));
        walk_through(driven, [&] { words_of_window(driven.window); });
        const Job& job = driven.job();
        for (const SheetSet& set : sheet_sets()) {
            WordsOnPaper paper;
            QPainter painter{&paper};
            paint_sheets(painter, paper, job, driven.bench().plan(), set);
        }
    }
    std::vector<std::string> missed = take_missed_words();
    static const QRegularExpression letters{QStringLiteral("[A-Za-z]{2,}")};
    std::erase_if(missed, [&](const std::string& words) { return !text(words).contains(letters); });
    for (const std::string& words : missed)
        UNSCOPED_INFO(words);
    CHECK(missed.empty());
}
