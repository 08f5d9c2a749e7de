#include "app/shell/stage_strip.hpp"

#include "app/bench/words.hpp"

#include "core/steps/standings.hpp"

#include <QAbstractButton>
#include <QHBoxLayout>
#include <QPainter>
#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

constexpr std::array names{"survey", "lines", "layout", "fixings", "cut", "fit", "record"};

} // namespace

std::optional<Stage> stage_from_name(const QString& name) {
    const auto found = std::ranges::find(names, name.toStdString());
    return found == names.end() ? std::nullopt : std::optional{static_cast<Stage>(found - names.begin())};
}

/// A stretch of a rod: the stage's name and standing over it, a thick tick where it begins.
class StageStrip::Button : public QAbstractButton {
public:
    Button(const QString& title, QWidget* parent)
        : QAbstractButton{parent}
        , title_{title} {
        setCheckable(true);
        setMinimumSize(90, 2 * fontMetrics().height() + 14);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    }
    void show_standing(const Standing& standing, const Voice& voice) {
        standing_ = standing.progress;
        words_.clear();
        for (const Sentence& words : standing.words)
            words_ << app::text(say(words, voice));
        setAccessibleName(title_ + QStringLiteral(": ") + words_.join(QStringLiteral(", ")));
        setToolTip(accessibleName());
        update();
    }
    void set_theme(const Theme& theme) {
        theme_ = &theme;
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter{this};
        painter.setRenderHint(QPainter::Antialiasing);
        painter.fillRect(rect(), isChecked() ? theme_->panel : theme_->paper);
        const int rod = height() - 7;
        painter.fillRect(QRect{0, rod, width(), 7}, isChecked() ? theme_->timber : theme_->line);
        painter.fillRect(QRect{0, rod - (isChecked() ? 8 : 0), 3, 15}, theme_->ink);
        QFont bold = font();
        bold.setBold(true);
        painter.setFont(bold);
        painter.setPen(theme_->ink);
        const QFontMetrics metrics{bold};
        const int x = 12;
        painter.drawText(QPoint{x, 4 + metrics.ascent()}, title_);
        QFont small = font();
        small.setPixelSize(font().pixelSize() - 2);
        painter.setFont(small);
        const QFontMetrics fine{small};
        const int base = 4 + metrics.height() + fine.ascent();
        const bool wrong = standing_ == Progress::wrong;
        painter.setPen(wrong ? theme_->alarm : theme_->faint);
        painter.drawText(QPoint{x, base}, shown_words(fine, width() - x - 6));
        if (hasFocus()) {
            painter.setPen(QPen{theme_->chalk, 2});
            painter.drawRect(QRectF{rect()}.adjusted(1, 1, -1, -1));
        }
    }

private:
    /// As much of the standing as has room, the last said first: of a stage that is wrong that is what is wrong.
    QString shown_words(const QFontMetrics& metrics, int room) const {
        const QString mark = standing_ == Progress::done    ? tr("Done")
                             : standing_ == Progress::wrong ? tr("Wrong")
                                                            : tr("Open", "not finished");
        QStringList tries{words_.join(QStringLiteral(", "))};
        if (words_.size() > 1)
            tries << words_.last();
        if (words_.size() > 1 && standing_ != Progress::wrong)
            tries << words_.first();
        for (const QString& words : tries)
            if (const QString all = mark + QStringLiteral(": ") + words; metrics.horizontalAdvance(all) <= room)
                return all;
        return mark;
    }

    QString title_;
    Progress standing_ = Progress::missing;
    QStringList words_;
    const Theme* theme_ = &theme(ThemeName::light);
};

StageStrip::StageStrip(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day} {
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    for (const QString& title :
         {tr("Survey"), tr("Lines"), tr("Layout"), tr("Fixings"), tr("Cut & kit"), tr("Fit"), tr("Record")}) {
        auto* button = new Button{title, this};
        const auto stage = static_cast<Stage>(buttons_.size());
        button->setObjectName(QStringLiteral("stage-") + QString::fromLatin1(names[buttons_.size()]));
        connect(button, &QAbstractButton::clicked, this, [this, stage] { set_stage(stage); });
        buttons_.push_back(button);
        row->addWidget(button);
    }
    connect(&bench_, &Workbench::changed, this, &StageStrip::refresh);
    set_stage(stage_);
    refresh();
}

void StageStrip::set_theme(const Theme& theme) {
    for (Button* button : buttons_)
        button->set_theme(theme);
}

void StageStrip::set_stage(Stage stage) {
    stage_ = stage;
    for (std::size_t i = 0; i < buttons_.size(); ++i)
        buttons_[i]->setChecked(static_cast<Stage>(i) == stage);
    emit stage_chosen(stage);
}

void StageStrip::refresh() {
    const Job& job = bench_.job();
    const Plan& plan = bench_.plan();
    buttons_[0]->show_standing(survey_standing(job, plan), bench_.voice());
    buttons_[1]->show_standing(lines_standing(job, plan), bench_.voice());
    buttons_[2]->show_standing(layout_standing(job, plan), bench_.voice());
    buttons_[3]->show_standing(fixings_standing(plan), bench_.voice());
    of_day_.wake();
}

void StageStrip::refresh_day() {
    const Job& job = bench_.job();
    buttons_[4]->show_standing(cut_standing(job, bench_.plan()), bench_.voice());
    buttons_[5]->show_standing(fit_standing(job, bench_.plan(), day_.order()), bench_.voice());
    buttons_[6]->show_standing(record_standing(job), bench_.voice());
}

} // namespace yes_square::app
