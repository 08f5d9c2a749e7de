#include "app/layout/alternatives_strip.hpp"

#include "app/board/painter.hpp"
#include "core/sheets/elevation.hpp"

#include <QAbstractButton>
#include <QKeyEvent>

namespace yes_square::app {
namespace {

constexpr double pixels_per_mm = 96 / 25.4;
constexpr int picture_height = 44;
constexpr int most_lines = 2;

QString school_words(School school) {
    switch (school) {
    case School::studs_first:
        return QCoreApplication::translate("AlternativesStrip", "Studs first");
    case School::even:
        return QCoreApplication::translate("AlternativesStrip", "Even spacing");
    case School::mirrored:
        return QCoreApplication::translate("AlternativesStrip", "Mirrored");
    }
    return {};
}

/// One small wall: title, picture, what it gives up.
class AlternativeCard : public QAbstractButton {
public:
    AlternativeCard(const Workbench& bench, const Alternative& alternative, const Theme& theme, QWidget* parent)
        : QAbstractButton{parent}
        , wall_{*bench.wall()}
        , shelf_{*bench.shelf()}
        , bracket_{bench.shelf_plan()->bracket}
        , alternative_{alternative}
        , theme_{theme} {
        setCheckable(true);
        setFocusPolicy(Qt::StrongFocus);
        setMinimumSize(120, 112);
        title_ = school_words(alternative.layout.school);
        if (alternative.extra_brackets > 0)
            title_ += tr(" + %1").arg(alternative.extra_brackets);
        const Voice voice = bench.voice();
        for (const Sentence& sentence : alternative.gives_up)
            lines_ << app::text(say(sentence, voice));
        if (lines_.isEmpty())
            lines_ << tr("Gives up nothing");
        setAccessibleName(title_ + QStringLiteral(": ") + lines_.join(QStringLiteral("; ")));
        setToolTip(title_ + QStringLiteral("\n") + lines_.join(QStringLiteral("\n")));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter{this};
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setBrush(theme_.panel);
        const bool strong = isChecked() || hasFocus();
        painter.setPen(QPen{strong ? theme_.chalk : theme_.line, isChecked() ? 2.5 : 1.0,
                            hasFocus() && !isChecked() ? Qt::DashLine : Qt::SolidLine});
        painter.drawRect(QRectF{rect()}.adjusted(1.5, 1.5, -1.5, -1.5));
        const QRect inner = rect().adjusted(10, 6, -8, -4);

        QFont bold = font();
        bold.setBold(true);
        painter.setFont(bold);
        painter.setPen(theme_.ink);
        const QFontMetrics metrics{bold};
        const QString count = tr("%n bracket(s)", nullptr, static_cast<int>(alternative_.layout.places.size()));
        painter.drawText(QRect{inner.left(), inner.top(), inner.width(), metrics.height()},
                         Qt::AlignLeft | Qt::AlignVCenter,
                         metrics.elidedText((isChecked() ? tr("Chosen: ") : QString{}) + title_, Qt::ElideRight,
                                            inner.width() - 20));
        painter.save();
        painter.translate(inner.left(), inner.top() + metrics.height() + 2);
        paint(painter,
              draw_alternative(wall_, shelf_, bracket_, alternative_, inner.width() / pixels_per_mm,
                               picture_height / pixels_per_mm),
              theme_, pixels_per_mm);
        painter.restore();

        QFont small = font();
        small.setPixelSize(font().pixelSize() - 2);
        painter.setFont(small);
        const QFontMetrics fine{small};
        int y = inner.top() + metrics.height() + picture_height + 4;
        QStringList lines{count};
        lines += lines_;
        for (int i = 0; i < lines.size() && y + fine.height() <= rect().bottom(); ++i) {
            const bool alarm = !alternative_.keeps_limits && i > 0;
            painter.setPen(alarm ? theme_.alarm : theme_.faint);
            painter.drawText(QRect{inner.left(), y, inner.width(), fine.height()}, Qt::AlignLeft | Qt::AlignVCenter,
                             fine.elidedText(lines[i], Qt::ElideRight, inner.width()));
            y += fine.height();
        }
    }

private:
    static QString tr(const char* words, const char* comment = nullptr, int n = -1) {
        return QCoreApplication::translate("AlternativesStrip", words, comment, n);
    }

    const Wall wall_;
    const Shelf shelf_;
    const std::optional<Bracket> bracket_;
    const Alternative alternative_;
    const Theme& theme_;
    QString title_;
    QStringList lines_;
};

} // namespace

AlternativesStrip::AlternativesStrip(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , theme_{&theme(ThemeName::light)}
    , row_{new QHBoxLayout{this}} {
    row_->setContentsMargins(0, 0, 0, 0);
    row_->setSpacing(6);
    connect(&bench_, &Workbench::changed, this, &AlternativesStrip::rebuild);
    connect(&bench_, &Workbench::selection_changed, this, &AlternativesStrip::rebuild);
    rebuild();
}

void AlternativesStrip::set_theme(const Theme& theme) {
    theme_ = &theme;
    rebuild();
}

void AlternativesStrip::rebuild() {
    while (QLayoutItem* item = row_->takeAt(0)) {
        item->widget()->hide();
        item->widget()->deleteLater();
        delete item;
    }
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan)
        return;
    for (std::size_t i = 0; i < plan->alternatives.size(); ++i) {
        const Alternative& alternative = plan->alternatives[i];
        auto* card = new AlternativeCard{bench_, alternative, *theme_, this};
        card->setObjectName(QStringLiteral("alternative-%1").arg(i + 1));
        card->setChecked(i == plan->chosen);
        const ChooseLayout choice{plan->shelf_id, alternative.layout.school, alternative.extra_brackets};
        connect(card, &QAbstractButton::clicked, this, [this, choice] { bench_.apply(tr("Choose layout"), choice); });
        row_->addWidget(card, 1);
    }
}

} // namespace yes_square::app
