#include "app/layout/alternatives_strip.hpp"

#include "app/board/painter.hpp"
#include "core/sheets/elevation.hpp"

#include <QAbstractButton>
#include <QKeyEvent>

namespace yes_square::app {
namespace {

constexpr double pixels_per_mm = 96 / 25.4;
constexpr int picture_height = 36;

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
        , studs_{bench.wall_plan()->survey.studs}
        , shelf_{*bench.shelf()}
        , bracket_{bench.shelf_plan()->bracket}
        , alternative_{alternative}
        , theme_{theme} {
        setCheckable(true);
        setFocusPolicy(Qt::StrongFocus);
        setMinimumSize(120, 118);
        title_ = school_words(alternative.layout.school);
        if (alternative.extra_brackets > 0)
            title_ += tr(" + %1").arg(alternative.extra_brackets);
        count_ = alternative.layout.places.size() == 1 ? tr("1 bracket")
                                                       : tr("%1 brackets").arg(alternative.layout.places.size());
        const Voice voice = bench.voice();
        for (const Sentence& sentence : alternative.gives_up)
            lines_ << app::text(say(sentence, voice));
        if (lines_.isEmpty())
            lines_ << tr("gives up nothing");
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
        painter.drawText(QRect{inner.left(), inner.top(), inner.width(), metrics.height()},
                         Qt::AlignLeft | Qt::AlignVCenter,
                         metrics.elidedText((isChecked() ? tr("Chosen: ") : QString{}) + title_, Qt::ElideRight,
                                            inner.width() - 20));
        painter.save();
        painter.translate(inner.left(), inner.top() + metrics.height() + 2);
        paint(painter,
              draw_alternative(studs_, shelf_, bracket_, alternative_, inner.width() / pixels_per_mm,
                               picture_height / pixels_per_mm),
              theme_, pixels_per_mm);
        painter.restore();

        QFont small = font();
        small.setPixelSize(font().pixelSize() - 2);
        painter.setFont(small);
        const int top = inner.top() + metrics.height() + picture_height + 4;
        painter.setPen(alternative_.keeps_limits ? theme_.faint : theme_.alarm);
        painter.drawText(QRect{inner.left(), top, inner.width(), rect().bottom() - top}, Qt::TextWordWrap,
                         count_ + QStringLiteral("; ") + lines_.join(QStringLiteral("; ")));
    }

private:
    static QString tr(const char* words) { return QCoreApplication::translate("AlternativesStrip", words); }

    const std::vector<Stud> studs_;
    const Shelf shelf_;
    const std::optional<Bracket> bracket_;
    const Alternative alternative_;
    const Theme& theme_;
    QString title_;
    QString count_;
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
        // The card that was just clicked may be among them, so they go a little later, but are out of the way at once.
        item->widget()->hide();
        item->widget()->setObjectName({});
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
