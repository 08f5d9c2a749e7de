#pragma once

#include "app/sheets/sheet_set.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "driven_window.hpp"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAction>
#include <QBuffer>
#include <QGroupBox>
#include <QHeaderView>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QLabel>
#include <QPaintEngine>
#include <QPdfWriter>
#include <QPlainTextEdit>
#include <QRegularExpression>
#include <QTabBar>
#include <QTextDocument>
#include <QTextEdit>
#include <functional>
#include <set>

/// What the window and the sheets say, for tests that look whether all of it was translated.
namespace yes_square::app {

inline QByteArray contents(const QString& path) {
    QFile file{path};
    REQUIRE(file.open(QIODevice::ReadOnly));
    return file.readAll();
}

/// The demo with every name that somebody typed, or that is in its catalogue, turned into figures: what has letters
/// then is the program's own.
inline QString nameless_demo(const QTemporaryDir& folder) {
    static const std::set<QString> typed{"name",  "code",   "by",   "words",   "note",   "title",
                                         "place", "fitter", "firm", "address", "client", "because"};
    int number = 100;
    const std::function<QJsonValue(const QJsonValue&, const QString&)> bare = [&](const QJsonValue& value,
                                                                                  const QString& name) -> QJsonValue {
        if (value.isObject()) {
            QJsonObject object = value.toObject();
            for (const QString& key : object.keys())
                object[key] = bare(object[key], key);
            return object;
        }
        if (value.isArray()) {
            QJsonArray array = value.toArray();
            for (qsizetype i = 0; i < array.size(); ++i)
                array[i] = bare(array[i], name);
            return array;
        }
        if (value.isString() && typed.contains(name) && !value.toString().isEmpty())
            return QString::number(++number);
        return value;
    };
    const QJsonDocument document = QJsonDocument::fromJson(contents(demo_path()));
    const QString path = folder.filePath(QStringLiteral("nameless.yesq"));
    QFile file{path};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(QJsonDocument{bare(document.object(), {}).toObject()}.toJson());
    return path;
}

/// What is left of words when what went through the pseudo-language is taken out; nothing where that was all but
/// figures, units and signs.
/// @param own  names that are data
inline QString unmarked(QString words, const QStringList& own = {}) {
    if (Qt::mightBeRichText(words)) {
        QTextDocument document;
        document.setHtml(words);
        words = document.toPlainText();
    }
    QString outside = words;
    outside.replace(QRegularExpression{QStringLiteral("[\u27e6\u27e7~]")}, QStringLiteral(" "));
    for (const QString& name : own)
        outside.remove(name);
    // A day of a month, by the region's names; a part's number and letters; the languages by their own names; a file.
    static const QRegularExpression data{
        QStringLiteral("\\d{1,2} [A-Z][a-z]{2} \\d{4}|\\b\\d+[A-Z][a-z]\\b|\\bEnglish\\b|\\bDeutsch\\b|\\S*\\.yesq")};
    outside.remove(data);
    static const QRegularExpression unit{QStringLiteral(
        "(?<![A-Za-z])(mm|cm|m|in|ft|kg|lb|N|min|h|W|V|A|GPa|MPa|ml|Pa|EUR|GBP|PDF|CSV|DXF|JSON|SVG|[A-Z]\\d*|[a-z])"
        "(?![A-Za-z])")};
    outside.remove(unit);
    // A word that went through has accents on its vowels.
    static const QRegularExpression letters{
        QStringLiteral("(?<![A-Za-z\u00c0-\u00ff])[A-Za-z]*[aeiouAEIOU][A-Za-z]*(?![A-Za-z\u00c0-\u00ff])")};
    QStringList left;
    for (auto found = letters.globalMatch(outside); found.hasNext();)
        if (const QString word = found.next().captured(); word.size() > 1)
            left << word;
    return left.join(u' ');
}

/// All that it says to eyes and ears: labels, lists, tables, tips, placeholders, names, menus.
inline QStringList words_of_window(QWidget& window) {
    QStringList all;
    const auto take = [&](const QString& words) {
        if (!words.trimmed().isEmpty())
            all << words;
    };
    const auto model = [&](const QAbstractItemModel* items) {
        for (int row = 0; items && row < items->rowCount(); ++row)
            for (int column = 0; column < items->columnCount(); ++column)
                for (const int role : {Qt::DisplayRole, Qt::ToolTipRole, Qt::AccessibleTextRole})
                    take(items->index(row, column).data(role).toString());
    };
    QList<QWidget*> widgets = window.findChildren<QWidget*>();
    widgets << &window;
    for (QWidget* widget : widgets) {
        take(widget->toolTip());
        take(widget->whatsThis());
        take(widget->statusTip());
        take(widget->accessibleName());
        take(widget->accessibleDescription());
        if (widget->isWindow())
            take(widget->windowTitle());
        if (const auto* label = qobject_cast<QLabel*>(widget))
            take(label->text());
        else if (const auto* button = qobject_cast<QAbstractButton*>(widget))
            take(button->text());
        else if (const auto* box = qobject_cast<QGroupBox*>(widget))
            take(box->title());
        else if (const auto* line = qobject_cast<QLineEdit*>(widget))
            take(line->placeholderText());
        else if (const auto* written = qobject_cast<QTextEdit*>(widget))
            take(written->toPlainText());
        else if (const auto* combo = qobject_cast<QComboBox*>(widget))
            model(combo->model());
        else if (const auto* bar = qobject_cast<QTabBar*>(widget))
            for (int i = 0; i < bar->count(); ++i)
                take(bar->tabText(i));
        else if (const auto* header = qobject_cast<QHeaderView*>(widget)) {
            for (int i = 0; i < header->count() && header->orientation() == Qt::Horizontal; ++i)
                take(header->model()->headerData(i, Qt::Horizontal).toString());
        } else if (const auto* view = qobject_cast<QAbstractItemView*>(widget))
            model(view->model());
        for (const QAction* action : widget->actions()) {
            take(action->text());
            take(action->toolTip());
        }
    }
    return all;
}

/// Paper that keeps what is written on it, piece by piece in the order of writing.
class WordsOnPaper : public QPdfWriter {
public:
    WordsOnPaper()
        : QPdfWriter{&nowhere()} {
        setPageSize(QPageSize{QPageSize::A4});
        setPageMargins({});
        newPage();
    }
    bool newPage() override {
        pages_.emplace_back();
        return true;
    }
    QPaintEngine* paintEngine() const override { return &engine_; }
    const std::vector<QStringList>& pages() const { return pages_; }

protected:
    int metric(PaintDeviceMetric metric) const override {
        constexpr double dots_per_mm = 1200 / 25.4;
        switch (metric) {
        case PdmWidth:
            return static_cast<int>(210 * dots_per_mm);
        case PdmHeight:
            return static_cast<int>(297 * dots_per_mm);
        case PdmWidthMM:
            return 210;
        case PdmHeightMM:
            return 297;
        case PdmDpiX:
        case PdmDpiY:
        case PdmPhysicalDpiX:
        case PdmPhysicalDpiY:
            return 1200;
        case PdmDevicePixelRatio:
            return 1;
        case PdmDevicePixelRatioScaled:
            return static_cast<int>(devicePixelRatioFScale());
        default:
            return 24;
        }
    }

private:
    static QBuffer& nowhere() {
        static QBuffer buffer;
        return buffer;
    }

    class Engine : public QPaintEngine {
    public:
        explicit Engine(WordsOnPaper& paper)
            : QPaintEngine{AllFeatures}
            , paper_{paper} {}
        bool begin(QPaintDevice*) override { return true; }
        bool end() override { return true; }
        void updateState(const QPaintEngineState&) override {}
        void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
        void drawPath(const QPainterPath&) override {}
        void drawPolygon(const QPointF*, int, PolygonDrawMode) override {}
        void drawImage(const QRectF&, const QImage&, const QRectF&, Qt::ImageConversionFlags) override {}
        void drawTextItem(const QPointF&, const QTextItem& item) override { paper_.pages_.back() << item.text(); }
        Type type() const override { return User; }

    private:
        WordsOnPaper& paper_;
    };

    mutable Engine engine_{*this};
    std::vector<QStringList> pages_;
};

} // namespace yes_square::app
