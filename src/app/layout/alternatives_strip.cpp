#include "app/layout/alternatives_strip.hpp"

#include "app/bench/heading.hpp"
#include "app/board/painter.hpp"
#include "app/board/picking.hpp"
#include "core/runs/slide.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/furniture_layer.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/sheets/side_view.hpp"

#include <QAbstractButton>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int picture_height = 36;
constexpr int side_view_height = 130;
constexpr int columns = 2;

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

/// What a card shows and does.
struct Choice {
    QString title;
    QString count;
    QStringList lines; ///< what it gives up
    bool keeps_limits = true;
    bool chosen = false;
    std::function<Drawing(double width, double height)> draw;
    int picture = picture_height; ///< how high it is, in pixels
    std::string subject = {};     ///< working that a click shows
    QString what;                 ///< names the edit
    std::optional<Edit> edit;
};

QString tr_here(const char* words) {
    return QCoreApplication::translate("AlternativesStrip", words);
}

/// One small wall: title, picture, what it gives up.
class AlternativeCard : public QAbstractButton {
public:
    AlternativeCard(Choice choice, const Theme& theme, QWidget* parent)
        : QAbstractButton{parent}
        , choice_{std::move(choice)}
        , theme_{theme} {
        setCheckable(true);
        setChecked(choice_.chosen);
        setFocusPolicy(Qt::StrongFocus);
        setMinimumSize(112, choice_.picture + 40);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Minimum);
        setAccessibleName(choice_.title + QStringLiteral(": ") + choice_.lines.join(QStringLiteral("; ")));
        setToolTip(choice_.title + QStringLiteral("\n") + choice_.lines.join(QStringLiteral("\n")));
    }

protected:
    /// As high as its words need at this width.
    void resizeEvent(QResizeEvent*) override {
        if (const int wanted = title_area().height() + choice_.picture + 2 * edge + gives_up_height();
            wanted != minimumHeight())
            setMinimumHeight(wanted);
    }

    void paintEvent(QPaintEvent*) override {
        QPainter painter{this};
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setBrush(theme_.panel);
        const bool strong = isChecked() || hasFocus();
        painter.setPen(QPen{strong ? theme_.chalk : theme_.line, isChecked() ? 2.5 : 1.0,
                            hasFocus() && !isChecked() ? Qt::DashLine : Qt::SolidLine});
        painter.drawRect(QRectF{rect()}.adjusted(1.5, 1.5, -1.5, -1.5));
        const QRect inner = this->inner();
        const QRect title = title_area();
        painter.setFont(bold());
        painter.setPen(theme_.ink);
        painter.drawText(title, Qt::TextWordWrap, title_words());
        painter.save();
        painter.translate(inner.left(), title.bottom() + 3);
        paint(painter, choice_.draw(inner.width() / pixels_per_mm, choice_.picture / pixels_per_mm), theme_,
              pixels_per_mm);
        painter.restore();

        painter.setFont(small());
        const int top = title.bottom() + choice_.picture + 5;
        painter.setPen(choice_.keeps_limits ? theme_.faint : theme_.alarm);
        painter.drawText(QRect{inner.left(), top, inner.width(), rect().bottom() - top}, Qt::TextWordWrap, gives_up());
    }

private:
    static constexpr int edge = 6;

    QRect inner() const { return rect().adjusted(8, edge, -8, -edge); }
    QFont bold() const {
        QFont bold = font();
        bold.setBold(true);
        return bold;
    }
    QFont small() const {
        QFont small = font();
        small.setPixelSize(font().pixelSize() - 2);
        return small;
    }
    QString title_words() const { return (isChecked() ? tr_here("Chosen: ") : QString{}) + choice_.title; }
    QRect title_area() const {
        const QRect inner = this->inner();
        return QFontMetrics{bold()}.boundingRect(QRect{inner.left(), inner.top(), inner.width(), 1000},
                                                 Qt::TextWordWrap, title_words());
    }
    QString gives_up() const {
        return choice_.count.isEmpty()
                   ? QString{}
                   : choice_.count + QStringLiteral("; ") + choice_.lines.join(QStringLiteral("; "));
    }
    int gives_up_height() const {
        return choice_.count.isEmpty()
                   ? 0
                   : 5 + QFontMetrics{small()}
                             .boundingRect(QRect{0, 0, inner().width(), 1000}, Qt::TextWordWrap, gives_up())
                             .height();
    }

    const Choice choice_;
    const Theme& theme_;
};

/// The layouts of a shelf by the three schools.
std::vector<Choice> choices_for_shelf(const Workbench& bench) {
    std::vector<Choice> choices;
    const ShelfPlan& plan = *bench.shelf_plan();
    for (std::size_t i = 0; i < plan.alternatives.size(); ++i) {
        const Alternative& alternative = plan.alternatives[i];
        Choice& choice = choices.emplace_back();
        choice.title = school_words(alternative.layout.school);
        if (alternative.extra_brackets > 0)
            choice.title += tr_here(" + %1").arg(alternative.extra_brackets);
        choice.count = alternative.layout.places.size() == 1
                           ? tr_here("1 bracket")
                           : tr_here("%1 brackets").arg(alternative.layout.places.size());
        for (const Sentence& sentence : alternative.gives_up)
            choice.lines << app::text(say(sentence, bench.voice()));
        if (choice.lines.isEmpty())
            choice.lines << tr_here("gives up nothing");
        choice.keeps_limits = alternative.keeps_limits;
        choice.chosen = i == plan.chosen;
        choice.draw = [studs = bench.wall_plan()->survey.studs, shelf = *bench.shelf(), bracket = plan.bracket,
                       alternative](double width, double height) {
            return draw_alternative(studs, shelf, bracket, alternative, width, height);
        };
        choice.what = tr_here("Choose layout");
        choice.edit = ChooseLayout{plan.id, alternative.layout.school, alternative.extra_brackets};
    }
    return choices;
}

/// Where a wall run may hang, and what each way loses.
std::vector<Choice> choices_for_run(const Workbench& bench) {
    std::vector<Choice> choices;
    const Run& run = *bench.run();
    const RunPlan& plan = *bench.run_plan();
    if (plan.level == RunLevel::floor || plan.units.empty())
        return choices;
    const auto add = [&](const QString& title, const QString& count, Length moved, std::vector<std::size_t> lost,
                         bool on_rail) -> Choice& {
        Choice& choice = choices.emplace_back();
        choice.title = title;
        choice.count = count;
        for (const std::size_t unit : lost)
            choice.lines << tr_here("%1 misses studs").arg(text(plan.units[unit].name));
        choice.keeps_limits = lost.empty();
        choice.draw = [studs = bench.wall_plan()->survey.studs, plan, moved, lost, on_rail](double width,
                                                                                            double height) {
            return draw_run_sketch(studs, plan, moved, lost, on_rail, width, height);
        };
        return choice;
    };
    const auto shown = [&](Length length) { return text(format(length, bench.voice())); };
    const auto hangs_by = [&](Hanging hanging) {
        return std::ranges::any_of(
            run.units, [&](const CabinetUnit& unit) { return is_cabinet(unit) && unit.hanging == hanging; });
    };
    const bool on_rail = hangs_by(Hanging::suspension_rail);
    const bool on_plates = hangs_by(Hanging::hook_brackets);
    const bool railed = on_rail || on_plates;
    Choice& now = add(
        tr_here("Screwed where it is"),
        tr_here("begins at %1").arg(bench.along(plan.tape, plan.tape.near(plan.layout.left(), plan.layout.right()))),
        {}, plan.slide.lost, false);
    now.chosen = !railed;
    if (now.lines.isEmpty() && !railed)
        now.lines << tr_here("gives up nothing");
    if (railed) {
        now.what = tr_here("Hang by screws");
        now.edit = SetHanging{run.id, Hanging::screws};
        now.lines = QStringList{tr_here("screws through each unit's rails into studs")};
    } else if (plan.slide.possible && !plan.slide.holds_now()) {
        const Length moved = plan.slide.places.front() - plan.slide.chains.front().now;
        Choice& slid =
            add(tr_here("Slid for studs"), tr_here("moved %1").arg(shown(plan.slide.moved)), moved, {}, false);
        slid.lines << tr_here("every unit has its screws; the slack is not where it was");
        slid.what = tr_here("Slide for studs");
        slid.edit = place_by_slide(run, plan.layout, plan.slide);
    }
    Choice& rail = add(tr_here("On a suspension rail"), tr_here("any place"), {}, {}, true);
    rail.lines << tr_here("a rail to buy and cut; hooks by their maker's table");
    rail.chosen = on_rail;
    if (!on_rail) {
        rail.what = tr_here("Hang on a rail");
        rail.edit = SetHanging{run.id, Hanging::suspension_rail};
    }
    Choice& plates = add(tr_here("On hook brackets"), tr_here("where each hook is"), {}, {}, false);
    plates.lines << tr_here("two plates to a unit; a wall that holds everywhere, or wood behind each");
    plates.chosen = on_plates;
    plates.keeps_limits = std::holds_alternative<Masonry>(bench.wall()->structure);
    if (!on_plates) {
        plates.what = tr_here("Hang on hook brackets");
        plates.edit = SetHanging{run.id, Hanging::hook_brackets};
    }
    return choices;
}

/// The ways a wardrobe's width can be shared among its bays, and what each gives up.
std::vector<Choice> choices_for_system(const Workbench& bench) {
    std::vector<Choice> choices;
    const StorageSystem& system = *bench.selected<StorageSystem>();
    const QStringList titles{tr_here("Bays all alike"), tr_here("Widths as given"), tr_here("By what hangs there")};
    for (const SystemPlan& there : width_choices(bench.job(), bench.plan(), system.id)) {
        const auto widths = static_cast<BayWidths>(choices.size());
        Change<StorageSystem> change{system};
        change.to.widths = widths;
        Choice& choice = choices.emplace_back();
        choice.title = titles[static_cast<int>(widths)];
        QStringList sizes;
        for (const BayPlan& bay : there.bays)
            sizes << text(format_bare(bay.width, bench.voice()));
        choice.count = sizes.join(QStringLiteral(" | "));
        for (const Check& check : there.checks)
            if (check.severity == Severity::error && choice.lines.size() < 2) {
                choice.lines << text(say(check.message, bench.voice()));
                choice.keeps_limits = false;
            }
        if (choice.lines.isEmpty())
            choice.lines << tr_here("gives up nothing");
        choice.chosen = widths == system.widths;
        choice.what = tr_here("Share the width");
        choice.edit = change;
        choice.draw = [studs = bench.wall_plan()->survey.studs, there, panel = system.panel](
                          double width, double height) { return draw_bays_sketch(studs, there, panel, width, height); };
    }
    return choices;
}

/// Every case of a piece as it is seen from its side.
std::vector<Choice> choices_for_piece(const Workbench& bench) {
    std::vector<Choice> choices;
    const PiecePlan& plan = *bench.selected_plan<Piece>();
    for (std::size_t i = 0; i < plan.cases.size(); ++i) {
        Choice& choice = choices.emplace_back();
        choice.title = text(say(words(plan.cases[i].kind), bench.voice()));
        choice.lines << choice.title;
        choice.chosen = false;
        choice.picture = side_view_height;
        choice.subject = "case/" + std::to_string(i + 1);
        choice.draw = [piece = *bench.selected<Piece>(), plan, i, voice = bench.voice()](double width, double height) {
            return draw_side_view(piece, plan, plan.cases[i], width, height, std::min(3.0, width / 11), voice);
        };
    }
    return choices;
}

} // namespace

AlternativesStrip::AlternativesStrip(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , theme_{&theme(ThemeName::light)}
    , heading_{heading_label({}, this)}
    , grid_{new QGridLayout} {
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 4, 0, 0);
    column->addWidget(heading_);
    column->addLayout(grid_);
    grid_->setSpacing(6);
    for (int i = 0; i < columns; ++i)
        grid_->setColumnStretch(i, 1);
    connect(&bench_, &Workbench::changed, this, &AlternativesStrip::rebuild);
    connect(&bench_, &Workbench::selection_changed, this, &AlternativesStrip::rebuild);
    rebuild();
}

void AlternativesStrip::set_theme(const Theme& theme) {
    theme_ = &theme;
    rebuild();
}

void AlternativesStrip::rebuild() {
    while (QLayoutItem* item = grid_->takeAt(0)) {
        // The card that was just clicked may be among them, so they go a little later, but are out of the way at once.
        item->widget()->hide();
        item->widget()->setObjectName({});
        item->widget()->deleteLater();
        delete item;
    }
    std::vector<Choice> choices;
    if (bench_.shelf_plan())
        choices = choices_for_shelf(bench_);
    else if (bench_.run_plan())
        choices = choices_for_run(bench_);
    else if (bench_.selected_plan<StorageSystem>())
        choices = choices_for_system(bench_);
    else if (bench_.selected_plan<Piece>())
        choices = choices_for_piece(bench_);
    for (std::size_t i = 0; i < choices.size(); ++i) {
        const std::optional<Edit> edit = choices[i].edit;
        const QString what = choices[i].what;
        const std::string subject = choices[i].subject;
        auto* card = new AlternativeCard{std::move(choices[i]), *theme_, this};
        card->setObjectName(QStringLiteral("alternative-%1").arg(i + 1));
        if (edit)
            connect(card, &QAbstractButton::clicked, this, [this, what, edit] { bench_.apply(what, *edit); });
        else if (!subject.empty())
            connect(card, &QAbstractButton::clicked, this, [this, card, subject] {
                card->setChecked(false);
                bench_.ask(subject);
            });
        else
            connect(card, &QAbstractButton::clicked, card, [card] { card->setChecked(true); });
        grid_->addWidget(card, static_cast<int>(i) / columns, static_cast<int>(i) % columns);
        card->show();
    }
    heading_->setText(bench_.selected_plan<Piece>() ? tr("What may befall it") : tr("Ways to set it out"));
    setVisible(!choices.empty());
}

} // namespace yes_square::app
