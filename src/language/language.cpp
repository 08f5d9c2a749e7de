#include "language/language.hpp"

#include <QCoreApplication>
#include <QLibraryInfo>
#include <QPointer>
#include <QTranslator>
#include <array>
#include <map>
#include <memory>
#include <mutex>
#include <set>
#include <string_view>
#include <utility>

namespace yes_square {

namespace {

constexpr std::array known{Language{"en", "English"}, Language{"de", "Deutsch"}};

QLocale locale_of(const QString& code) {
    const QLocale own = QLocale::system();
    const QLocale wanted = code == QLatin1String{"en"} ? QLocale{QLocale::English, QLocale::UnitedKingdom}
                                                       : QLocale{code.section(u'-', 0, 0)};
    return own.language() == wanted.language() ? own : wanted;
}

struct Missed {
    std::mutex lock;
    std::set<std::string> words;
};
Missed& missed() {
    static Missed all;
    return all;
}

/// One language's catalogues. Its words stand in one context, whichever class asks.
class Tongue {
public:
    explicit Tongue(QString code)
        : code_{std::move(code)}
        , locale_{locale_of(code_)}
        , pseudo_{code_ == QLatin1String{pseudo_language}} {
        // 1200.50 and 1200,50: a mark between thousands reads as the other region's decimal mark.
        locale_.setNumberOptions(QLocale::OmitGroupSeparator);
        if (as_written_)
            return;
        // Qt's own words for its own buttons are there where their package is.
        static_cast<void>(ours_.load(QStringLiteral(":/yes-square_%1.qm").arg(code_)));
        static_cast<void>(
            qts_.load(QStringLiteral("qtbase_") + code_, QLibraryInfo::path(QLibraryInfo::TranslationsPath)));
    }

    const QString& code() const { return code_; }
    const QLocale& locale() const { return locale_; }
    bool as_written() const { return as_written_ && !pseudo_; }

    /// Null: there is nothing for it here.
    QString translate(const char* context, const char* source, const char* comment, int number) const {
        if (!source || !*source || as_written())
            return {};
        if (pseudo_)
            return lengthened(QString::fromUtf8(source));
        QString words = ours_.translate("Yes Square", source, comment, number);
        if (words.isNull() && context)
            words = qts_.translate(context, source, comment, number);
        if (words.isNull()) {
            const std::scoped_lock guard{missed().lock};
            missed().words.emplace(source);
        }
        return words;
    }

private:
    /// Its vowels have accents, so that what stands in the place of a figure is told apart too; marks of a text's own
    /// (<b>, &amp;) stay.
    static QString lengthened(const QString& words) {
        static const QString plain = QStringLiteral("aeiouAEIOU");
        static const QString accented = QStringLiteral("\u00e0\u00e9\u00ee\u00f5\u00fc\u00c0\u00c9\u00ce\u00d5\u00dc");
        QString said{u'\u27e6'};
        bool in_mark = false;
        for (qsizetype i = 0; i < words.size(); ++i) {
            const QChar c = words[i];
            if (c == u'<' || (c == u'&' && words.indexOf(u';', i) > i))
                in_mark = true;
            const qsizetype vowel = in_mark ? -1 : plain.indexOf(c);
            said += vowel < 0 ? c : accented[vowel];
            if (c == u'>' || c == u';')
                in_mark = false;
        }
        return said + QString{(words.size() + 1) / 2, u'~'} + u'\u27e7';
    }

    QString code_;
    QLocale locale_;
    bool pseudo_;
    bool as_written_ = code_ == QLatin1String{"en"} || pseudo_;
    QTranslator ours_;
    QTranslator qts_;
};

const Tongue& tongue(const QString& code) {
    static std::mutex lock;
    static std::map<QString, std::unique_ptr<const Tongue>> kept;
    const std::scoped_lock guard{lock};
    auto& found = kept[code];
    if (!found)
        found = std::make_unique<const Tongue>(code);
    return *found;
}

QString own_language() {
    for (const QString& wanted : QLocale::system().uiLanguages())
        if (const QString code = wanted.section(u'-', 0, 0); is_language(code))
            return code;
    return QStringLiteral("en");
}

const Tongue* everywhere = nullptr;
thread_local const Tongue* here = nullptr;

const Tongue& now() {
    if (here)
        return *here;
    if (!everywhere)
        everywhere = &tongue(QStringLiteral("en"));
    return *everywhere;
}

/// What Qt asks. It stays while languages change: a change of translators would set every window about anew.
class Interpreter : public QTranslator {
public:
    using QTranslator::QTranslator;
    bool isEmpty() const override { return false; }
    QString translate(const char* context, const char* source, const char* comment, int number) const override {
        return now().translate(context, source, comment, number);
    }
};

} // namespace

std::span<const Language> languages() {
    return known;
}

bool is_language(const QString& code) {
    if (code == QLatin1String{pseudo_language})
        return true;
    for (const Language& language : known)
        if (code == QLatin1String{language.code})
            return true;
    return false;
}

void speak(const QString& code) {
    everywhere = &tongue(is_language(code) ? code : own_language());
    QLocale::setDefault(everywhere->locale());
    static QPointer<Interpreter> installed;
    if (QCoreApplication* application = QCoreApplication::instance(); application && !installed) {
        installed = new Interpreter{application};
        QCoreApplication::installTranslator(installed);
    }
}

std::vector<std::string> take_missed_words() {
    const std::scoped_lock guard{missed().lock};
    const std::set<std::string> words = std::exchange(missed().words, {});
    return {words.begin(), words.end()};
}

QString spoken() {
    return now().code();
}

QLocale spoken_locale() {
    return now().locale();
}

Speaking::Speaking(const QString& code)
    : before_{here} {
    if (is_language(code))
        here = &tongue(code);
}

Speaking::~Speaking() {
    here = static_cast<const Tongue*>(before_);
}

Voice voice(Unit unit) {
    const Tongue& spoken_now = now();
    Voice said{unit};
    const QString point = spoken_now.locale().decimalPoint();
    said.decimal = point == QStringLiteral(",") ? ',' : '.';
    if (!spoken_now.as_written())
        said.translate = [&spoken_now](std::string_view words) {
            const std::string source{words};
            const QString translated = spoken_now.translate(nullptr, source.c_str(), nullptr, -1);
            return translated.isNull() ? source : translated.toStdString();
        };
    return said;
}

} // namespace yes_square
