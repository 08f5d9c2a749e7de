#include "app/start/start_page.hpp"

#include "app/bench/heading.hpp"
#include "app/board/drawing_view.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/small_wall.hpp"

#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QPainter>
#include <QScrollArea>
#include <QSettings>
#include <QTimer>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int columns = 3;
constexpr int wall_wide = 168;
constexpr int wall_high = 112;
constexpr std::size_t most_recent_shown = 3;

enum MadeOf { timber_studs, steel_studs, masonry };
enum Proof { both_edges, by_detector, found_somehow };

/// A button with a small wall on it and its words under that.
class WallButton : public QAbstractButton {
public:
    WallButton(QWidget* wall, const QString& words, QWidget* parent)
        : QAbstractButton{parent}
        , column_{new QVBoxLayout{this}} {
        setText(words);
        setAccessibleName(words);
        setFocusPolicy(Qt::StrongFocus);
        setCursor(Qt::PointingHandCursor);
        wall->setAttribute(Qt::WA_TransparentForMouseEvents);
        auto* label = new QLabel{words, this};
        label->setAlignment(Qt::AlignCenter);
        label->setWordWrap(true);
        label->setAttribute(Qt::WA_TransparentForMouseEvents);
        column_->setContentsMargins(8, 8, 8, 6);
        column_->addWidget(wall, 0, Qt::AlignCenter);
        column_->addWidget(label);
    }
    QSize sizeHint() const override { return column_->sizeHint(); }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter{this};
        const bool strong = hasFocus() || underMouse();
        painter.fillRect(rect(), palette().color(QPalette::Base));
        painter.setPen(QPen{palette().color(strong ? QPalette::Highlight : QPalette::Mid), strong ? 2.0 : 1.0});
        painter.drawRect(QRectF{rect()}.adjusted(1, 1, -1, -1));
    }

private:
    QVBoxLayout* column_;
};

} // namespace

StartPage::StartPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , kinds_{new QWidget}
    , figures_{new QWidget}
    , what_{heading_label({})}
    , form_place_{new QVBoxLayout}
    , problem_{new QLabel}
    , recent_{new QVBoxLayout} {
    auto* figures = new QVBoxLayout{figures_};
    figures->setContentsMargins(0, 0, 0, 0);
    figures->addWidget(what_);
    figures->addLayout(form_place_);
    problem_->setObjectName(QStringLiteral("begin-problem"));
    problem_->setProperty("role", "alarm");
    problem_->setWordWrap(true);
    figures->addWidget(problem_);
    auto* set_out = new QPushButton{tr("Set it out")};
    set_out->setObjectName(QStringLiteral("begin-set-out"));
    set_out->setProperty("role", "first");
    connect(set_out, &QPushButton::clicked, this, &StartPage::set_out);
    auto* back = new QPushButton{tr("Something else")};
    back->setObjectName(QStringLiteral("begin-back"));
    connect(back, &QPushButton::clicked, this, [this] {
        figures_->hide();
        kinds_->show();
    });
    auto* row = new QHBoxLayout;
    row->addWidget(set_out);
    row->addWidget(back);
    row->addStretch(1);
    figures->addLayout(row);
    figures->addStretch(1);
    figures_->hide();

    auto* aside = new QVBoxLayout;
    aside->addWidget(heading_label(tr("Or go on with")));
    aside->addLayout(recent_);
    const auto way = [&](const QString& words, const char* name, auto signal) {
        auto* button = new QPushButton{words};
        button->setObjectName(QString::fromLatin1(name));
        connect(button, &QPushButton::clicked, this, signal);
        aside->addWidget(button);
    };
    way(tr("The demo: a flat with fourteen walls"), "begin-demo", &StartPage::demo_wanted);
    way(tr("A wall to practise finding studs on"), "begin-practice", &StartPage::practice_wanted);
    way(tr("Survey a wall first"), "begin-survey", &StartPage::survey_wanted);
    way(tr("A first job in ten minutes"), "begin-first-job", &StartPage::first_job_wanted);
    way(tr("How this works"), "begin-help", &StartPage::help_wanted);
    aside->addStretch(1);

    connect(&bench_, &Workbench::changed, this, [this] {
        draft_.unit = bench_.job().unit;
        if (form_)
            for (LengthField* field : form_->findChildren<LengthField*>())
                field->set_unit(draft_.unit);
    });
    auto* inside = new QWidget;
    auto* across = new QHBoxLayout{inside};
    across->setContentsMargins(24, 16, 24, 16);
    across->setSpacing(28);
    auto* first = new QVBoxLayout;
    auto* question = new QLabel{tr("What is to be hung or made safe?")};
    question->setProperty("role", "figure");
    question->setWordWrap(true);
    first->addWidget(question);
    first->addWidget(kinds_);
    first->addWidget(figures_);
    first->addStretch(1);
    across->addLayout(first, 3);
    across->addLayout(aside, 2);
    auto* area = new QScrollArea;
    area->setWidget(inside);
    area->setWidgetResizable(true);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* whole = new QVBoxLayout{this};
    whole->setContentsMargins(0, 0, 0, 0);
    whole->addWidget(area);
}

void StartPage::build_kinds() {
    auto* grid = new QGridLayout{kinds_};
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(10);
    for (std::size_t i = 0; i < beginnings().size(); ++i) {
        const Beginning& beginning = beginnings()[i];
        Job job = bare_wall(new_job());
        beginning.make(job);
        auto* button = new WallButton{small_wall(job), beginning.words, kinds_};
        button->setObjectName(QStringLiteral("begin-") + QLatin1String(beginning.name));
        connect(button, &QAbstractButton::clicked, this, [this, i] { choose(i); });
        grid->addWidget(button, static_cast<int>(i) / columns, static_cast<int>(i) % columns);
        if (i == 0)
            setFocusProxy(button); // the keys begin where the question is
    }
}

/// The wall of a job that most hangs on.
QWidget* StartPage::small_wall(const Job& job) {
    const Plan plan = reckon(job);
    auto* view = new DrawingView{[job, plan](double width, double height, double) {
        const std::optional<std::size_t> wall = fullest_wall(job);
        return wall ? draw_small_wall(job.walls[*wall], *plan.walls[*wall], width, height) : Drawing{width, height, {}};
    }};
    view->setFixedSize(wall_wide, wall_high);
    view->setFocusPolicy(Qt::NoFocus);
    return view;
}

void StartPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (!kinds_->layout())
        build_kinds();
    show_recent(QSettings{}.value(QStringLiteral("recent")).toStringList());
    figures_->hide();
    kinds_->show();
    // Once it is there to be seen: until then the window gives the keys to its first button.
    QTimer::singleShot(0, this, [this] {
        if (isVisible() && !isAncestorOf(window()->focusWidget()))
            setFocus(Qt::OtherFocusReason);
    });
}

void StartPage::begin() {
    if (!kinds_->isVisible())
        return;
    if (auto* first = kinds_->findChild<QAbstractButton*>())
        first->setFocus(Qt::OtherFocusReason);
}

void StartPage::show_recent(const QStringList& paths) {
    while (QLayoutItem* item = recent_->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    std::size_t shown = 0;
    for (const QString& path : paths) {
        if (shown == most_recent_shown)
            break;
        QFile file{path};
        if (!file.open(QIODevice::ReadOnly))
            continue;
        auto loaded = read_job(file.readAll().toStdString());
        if (!loaded)
            continue;
        // One wall will do to know it by.
        Job first = std::move(loaded->job);
        const QString title = first.title.empty() ? QFileInfo{path}.completeBaseName() : text(first.title);
        if (first.walls.size() > 1)
            first.walls.erase(first.walls.begin() + 1, first.walls.end());
        auto* button = new WallButton{small_wall(first), title, this};
        button->setObjectName(QStringLiteral("recent-%1").arg(++shown));
        button->setToolTip(path);
        connect(button, &QAbstractButton::clicked, this, [this, path] { emit open_wanted(path); });
        recent_->addWidget(button);
    }
}

LengthField* StartPage::ask(const QString& label, const char* name, Length value, std::function<void(Length)> take) {
    auto* field = new LengthField{form_};
    field->setObjectName(QString::fromLatin1(name));
    field->setAccessibleName(label);
    field->set_unit(draft_.unit);
    field->set_least({}, tr("It cannot be less than 0"));
    field->set_length(value);
    connect(field, &LengthField::committed, this, [take = std::move(take)](Length length) { take(length); });
    static_cast<QFormLayout*>(form_->layout())->addRow(label, field);
    return field;
}

void StartPage::choose(std::size_t kind) {
    kind_ = kind;
    const Beginning& beginning = beginnings()[kind];
    draft_ = bare_wall(bench_.job());
    beginning.make(draft_);
    what_->setText(
        tr("%1: the figures that matter. What is typed already is usual, change what is not so.").arg(beginning.words));
    problem_->clear();
    delete form_;
    form_ = new QWidget;
    auto* rows = new QFormLayout{form_};
    rows->setContentsMargins(0, 0, 0, 0);
    form_place_->addWidget(form_);
    const auto wall = [this]() -> Wall& { return draft_.walls.front(); };
    LengthField* first = ask(tr("Length of the wall"), "begin-wall-length", wall().length,
                             [wall](Length length) { wall().length = length; });
    ask(tr("Height of the wall"), "begin-wall-height", wall().height,
        [wall](Length height) { wall().height = height; });
    made_of_ = new QComboBox;
    made_of_->setObjectName(QStringLiteral("begin-made-of"));
    made_of_->addItems({tr("timber studs"), tr("steel studs"), tr("brick, block or concrete")});
    made_of_->setAccessibleName(tr("The wall is made of"));
    rows->addRow(tr("The wall is made of"), made_of_);
    studs_ = new QLineEdit;
    studs_->setObjectName(QStringLiteral("begin-studs"));
    studs_->setPlaceholderText(tr("middles from the left end, such as 400 800; none yet: leave it"));
    studs_->setAccessibleName(tr("Studs found at"));
    rows->addRow(tr("Studs found at"), studs_);
    proof_ = new QComboBox;
    proof_->setObjectName(QStringLiteral("begin-proof"));
    proof_->addItems({tr("by both edges, with a probe"), tr("by both edges, with a detector"),
                      tr("otherwise: its middle, a magnet, nails")});
    proof_->setAccessibleName(tr("Found"));
    rows->addRow(tr("Found"), proof_);
    for (QWidget* each : {static_cast<QWidget*>(studs_), static_cast<QWidget*>(proof_)})
        connect(made_of_, &QComboBox::currentIndexChanged, each, [each](int row) { each->setEnabled(row != masonry); });
    units_ = nullptr;
    if (beginning.units) {
        units_ = new QLineEdit;
        units_->setObjectName(QStringLiteral("begin-units"));
        units_->setAccessibleName(tr("Widths, left to right"));
        units_->setPlaceholderText(tr("such as 600 600 400"));
        rows->addRow(tr("Widths, left to right"), units_);
    }
    for (const Asked& asked : beginning.asked)
        ask(asked.label, asked.name, asked.get(draft_), [this, set = asked.set](Length value) { set(draft_, value); });
    kinds_->hide();
    figures_->show();
    first->setFocus(Qt::OtherFocusReason);
    first->selectAll();
}

void StartPage::set_out() {
    // A figure still being typed counts.
    if (QWidget* typed = focusWidget())
        typed->clearFocus();
    for (LengthField* field : form_->findChildren<LengthField*>())
        if (!field->value())
            return problem_->setText(tr("%1: this cannot be read as a length").arg(field->accessibleName()));
    Wall& wall = draft_.walls.front();
    if (made_of_->currentIndex() == masonry)
        wall.structure = Masonry{};
    else if (auto* framing = std::get_if<Framing>(&wall.structure))
        framing->material = made_of_->currentIndex() == steel_studs ? StudMaterial::steel : StudMaterial::timber;
    wall.studs.clear();
    if (made_of_->currentIndex() != masonry && !studs_->text().trimmed().isEmpty()) {
        const std::vector<Length> found = typed_lengths(studs_->text(), draft_.unit);
        if (found.empty())
            return problem_->setText(tr("Studs found at: lengths with blanks between, such as 400 800 1200"));
        for (const Length centre : found)
            if (centre >= wall.length)
                return problem_->setText(tr("A stud at %1 lies beyond the wall, which is %2 long")
                                             .arg(text(format(centre, app::voice(draft_.unit))),
                                                  text(format(wall.length, app::voice(draft_.unit)))));
        for (const Length centre : found)
            wall.studs.push_back({centre, proof_->currentIndex() == both_edges    ? StudState::proved
                                          : proof_->currentIndex() == by_detector ? StudState::detected
                                                                                  : StudState::indicated});
        std::ranges::sort(wall.studs, {}, &Stud::centre);
    }
    if (units_) {
        const std::vector<Length> widths = typed_lengths(units_->text(), draft_.unit);
        if (widths.empty())
            return problem_->setText(tr("Widths of the cabinets: lengths with blanks between, such as 600 600 400"));
        put_cabinets(draft_, widths);
    }
    const std::string wall_id = wall.id;
    bench_.edit(tr("Begin"), [this](Job& job) {
        job.rooms = draft_.rooms;
        job.walls = draft_.walls;
    });
    if (!bench_.job().walls.empty() && bench_.job().walls.front().id == wall_id)
        emit begun();
}

} // namespace yes_square::app
