#include "app/house/house_rules_window.hpp"

#include "app/bench/field_form.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/picture_box.hpp"
#include "app/house/houses.hpp"
#include "core/job/member_words.hpp"

#include <QHBoxLayout>
#include <QInputDialog>
#include <QPushButton>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QString object_of(const std::string& group, const std::string& member) {
    return QStringLiteral("rule-%1-%2").arg(text(group.empty() ? std::string{"house"} : group), text(member));
}

/// In lines of so many letters at the most.
QString in_lines(const QString& words) {
    constexpr qsizetype most = 58;
    QStringList lines{QString{}};
    for (const QString& word : words.split(u' ', Qt::SkipEmptyParts)) {
        if (!lines.last().isEmpty() && lines.last().size() + 1 + word.size() > most)
            lines << QString{};
        lines.last() += (lines.last().isEmpty() ? QString{} : QStringLiteral(" ")) + word;
    }
    for (QString& line : lines)
        line = line.toHtmlEscaped();
    return lines.join(QStringLiteral("<br>"));
}

/// A form of one kind of rules.
template <class Rules>
PartAccess<Rules> access(Workbench& bench, Rules HouseRules::*rules) {
    return {[&bench, rules] { return &(bench.job().rules.*rules); },
            [rules](Job& job, const std::function<void(Rules&)>& to) { to(job.rules.*rules); }};
}

/// The one of this name, as long as it is there.
std::optional<Job> read_named(const QString& name, QString& problem) {
    const std::vector<House> all = houses();
    const auto found = std::ranges::find(all, name, &House::name);
    if (found != all.end())
        return read_house(*found, problem);
    problem = HouseRulesWindow::tr("The house \"%1\" is gone").arg(name);
    return std::nullopt;
}

} // namespace

QString words_of_member(const std::string& member) {
    return text(member_label(member, {}, voice(Unit::mm)));
}

HouseRulesWindow::HouseRulesWindow(Workbench& bench, QWidget* parent)
    : QDialog{parent}
    , bench_{bench}
    , search_{new QLineEdit{this}}
    , kinds_{new QListWidget{this}}
    , pages_{new QStackedWidget{this}}
    , house_{new QComboBox{this}}
    , said_{new QLabel{this}} {
    setObjectName(QStringLiteral("house-rules"));
    setWindowTitle(tr("House rules of this job"));
    resize(960, 640);
    search_->setObjectName(QStringLiteral("rule-search"));
    search_->setPlaceholderText(tr("A word of what you look for: screw, lift, sag, minutes"));
    search_->setAccessibleName(tr("Look for a rule"));
    search_->setClearButtonEnabled(true);
    kinds_->setObjectName(QStringLiteral("rule-kinds"));
    kinds_->setAccessibleName(tr("Kinds of rules"));
    kinds_->setFixedWidth(270);
    kinds_->setWordWrap(true);
    said_->setObjectName(QStringLiteral("house-words"));
    said_->setWordWrap(true);
    said_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    said_->hide();

    {
        auto* form = new BoundForm{bench_, this};
        const PartAccess<HouseRules> all{[&bench = bench_] { return &bench.job().rules; },
                                         [](Job& job, const std::function<void(HouseRules&)>& to) { to(job.rules); }};
        FieldForm<HouseRules>{*form, all, "rule-house"}.all();
        add_form({}, form);
    }
    add_group("studs", &HouseRules::studs);
    add_group("runs", &HouseRules::runs);
    add_group("strips", &HouseRules::strips);
    add_group("shelves", &HouseRules::shelves);
    add_group("tipping", &HouseRules::tipping);
    add_group("storage", &HouseRules::storage);
    add_group("boxes", &HouseRules::boxes);
    add_group("cutting", &HouseRules::cutting);
    add_group("fitting", &HouseRules::fitting);
    add_group("feeds", &HouseRules::feeds);

    add_hands_page();

    auto* column = new QVBoxLayout{this};
    column->addWidget(search_);
    auto* both = new QHBoxLayout;
    both->addWidget(kinds_);
    both->addWidget(pages_, 1);
    column->addLayout(both, 1);
    column->addWidget(said_);
    column->addWidget(houses_row());
    connect(kinds_, &QListWidget::currentRowChanged, pages_, &QStackedWidget::setCurrentIndex);
    connect(search_, &QLineEdit::textChanged, this, &HouseRulesWindow::search);
    connect(&bench_, &Workbench::changed, this, &HouseRulesWindow::refresh);
    kinds_->setCurrentRow(0);
    refresh();
    search_->setFocus();
}

template <class Rules>
void HouseRulesWindow::add_group(const char* name, Rules HouseRules::*rules) {
    auto* form = new BoundForm{bench_, this};
    FieldForm<Rules>{*form, access(bench_, rules), std::string{"rule-"} + name}.all();
    add_form(name, form);
}

void HouseRulesWindow::add_form(const std::string& name, BoundForm* form) {
    for (const RuleRow& row : rule_rows(bench_.job().rules, {}, bench_.voice()))
        if (row.group == name)
            connect(form->note(object_of(name, row.member)), &QLabel::linkActivated, this, &HouseRulesWindow::put_back);
    form->refresh();
    auto* page = new QWidget;
    auto* column = new QVBoxLayout{page};
    column->addWidget(form);
    column->addStretch(1);
    // Its bar stays: one that comes and goes changes how the notes wrap, and so whether it is wanted.
    QScrollArea* area = scrolled(page);
    area->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOn);
    pages_->addWidget(area);
    kinds_->addItem(core_words(words_of_group(name)));
    groups_.push_back({name, form});
}

/// What a house keeps besides its rules: who works there, and whose sheets they are.
void HouseRulesWindow::add_hands_page() {
    auto* form = new BoundForm{bench_, this};
    form->heading(tr("Who works"));
    form->words(
        tr("Fitters (; between)"), "house-fitters",
        [this] {
            QStringList names;
            for (const Fitter& fitter : bench_.job().fitters)
                names << text(fitter.name);
            return std::optional{names.join(QStringLiteral("; ")).toStdString()};
        },
        [](Job& job, const std::string& typed) {
            job.fitters.clear();
            for (const QString& name : text(typed).split(u';', Qt::SkipEmptyParts))
                if (const QString plain = name.simplified(); !plain.isEmpty())
                    job.fitters.push_back({plain.toStdString(), {}});
        });
    form->words(
        tr("Prices in"), "house-currency", [this] { return std::optional{bench_.job().currency}; },
        [](Job& job, const std::string& typed) { job.currency = typed; });
    form->heading(tr("At the head of every sheet"));
    const PartAccess<SheetHead> head{[this] { return &bench_.job().head; },
                                     [](Job& job, const std::function<void(SheetHead&)>& to) { to(job.head); }};
    FieldForm<SheetHead>{*form, head, "house"}.row("firm").row("address").row("labels").row("language");
    form->refresh();
    logo_ = new PictureBox{
        QStringLiteral("house-logo"),
        [this](const QString& kept) { bench_.edit(tr("Logo"), [&](Job& job) { job.head.logo = kept.toStdString(); }); },
        this};
    logo_->ask_for(tr("Choose the logo..."));
    auto* words = new QLabel{
        tr("Stock and packets with their prices are entered under Cut and kit. A house keeps them too."), this};
    words->setWordWrap(true);
    words->setProperty("role", "faint");
    auto* page = new QWidget;
    auto* column = new QVBoxLayout{page};
    column->addWidget(form);
    column->addWidget(logo_, 0, Qt::AlignLeft);
    column->addWidget(words);
    column->addStretch(1);
    pages_->addWidget(scrolled(page));
    kinds_->addItem(tr("Names and sheet head"));
}

/// What each rule is, what it usually is, and the way back to that.
void HouseRulesWindow::refresh() {
    std::vector<int> changed(groups_.size());
    for (const RuleRow& row : rule_rows(bench_.job().rules, {}, bench_.voice())) {
        const auto group = std::ranges::find(groups_, row.group, &Group::name);
        if (group == groups_.end())
            continue;
        QString words = core_words(row.says);
        words += words.isEmpty() ? QString{} : QStringLiteral(". ");
        if (row.changed) {
            ++changed[static_cast<std::size_t>(group - groups_.begin())];
            words = in_lines(words) + (words.isEmpty() ? QString{} : QStringLiteral("<br>"));
            words += tr("<b>Changed here</b>; usually %1. <a href=\"%2/%3\">Put it back</a>")
                         .arg(text(row.usual).toHtmlEscaped(), text(row.group), text(row.member));
        } else {
            words = in_lines(words + tr("As usual."));
        }
        group->form->note(object_of(row.group, row.member))->setText(words);
    }
    for (std::size_t i = 0; i < groups_.size(); ++i) {
        const QString words = core_words(words_of_group(groups_[i].name));
        kinds_->item(static_cast<int>(i))
            ->setText(changed[i] > 0 ? tr("%1 · %n changed", nullptr, changed[i]).arg(words) : words);
    }
    logo_->show_picture(bench_.job().head.logo, true);
    fill_houses();
}

void HouseRulesWindow::search(const QString& words) {
    const QStringList wanted = words.split(u' ', Qt::SkipEmptyParts);
    const auto rows = rule_rows(bench_.job().rules, {}, bench_.voice());
    int first = -1;
    for (std::size_t g = 0; g < groups_.size(); ++g) {
        QSet<QString> found;
        for (const RuleRow& row : rows) {
            const QString all = words_of_member(row.member) + u' ' + core_words(row.says);
            if (row.group == groups_[g].name && std::ranges::all_of(wanted, [&](const QString& word) {
                    return all.contains(word, Qt::CaseInsensitive);
                }))
                found.insert(object_of(row.group, row.member));
        }
        groups_[g].form->show_only(wanted.isEmpty() ? std::nullopt : std::optional{found});
        kinds_->item(static_cast<int>(g))->setHidden(found.isEmpty());
        if (first < 0 && !found.isEmpty())
            first = static_cast<int>(g);
    }
    kinds_->item(kinds_->count() - 1)->setHidden(!wanted.isEmpty()); // it holds no rule
    const bool here = kinds_->currentItem() && !kinds_->currentItem()->isHidden();
    if (!here && first >= 0)
        kinds_->setCurrentRow(first);
    pages_->setVisible(first >= 0);
    say(first < 0 ? tr("No rule has these words.") : QString{});
}

void HouseRulesWindow::show_rule(const std::string& group, const std::string& member) {
    search_->clear();
    const auto at = std::ranges::find(groups_, group, &Group::name);
    if (at == groups_.end())
        return;
    kinds_->setCurrentRow(static_cast<int>(at - groups_.begin()));
    auto* field = at->form->findChild<QWidget*>(object_of(group, member));
    if (!field)
        return;
    // When it is laid out.
    QTimer::singleShot(0, field, [field] {
        field->setFocus(Qt::OtherFocusReason);
        for (QWidget* up = field; up; up = up->parentWidget())
            if (auto* scroll = qobject_cast<QScrollArea*>(up))
                scroll->ensureWidgetVisible(field, 50, 120);
    });
}

void HouseRulesWindow::put_back(const QString& link) {
    const QStringList parts = link.split(u'/');
    if (parts.size() == 2)
        bench_.edit(tr("Put a house rule back"),
                    [&](Job& job) { take_rule(job.rules, {}, parts[0].toStdString(), parts[1].toStdString()); });
}

QWidget* HouseRulesWindow::houses_row() {
    auto* row = new QWidget{this};
    auto* line = new QHBoxLayout{row};
    line->setContentsMargins(0, 0, 0, 0);
    auto* label = new QLabel{tr("House"), row};
    label->setBuddy(house_);
    house_->setObjectName(QStringLiteral("house"));
    house_->setAccessibleName(tr("A house, for its rules"));
    house_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    line->addWidget(label);
    line->addWidget(house_, 1);
    const auto button = [&](const QString& words, const char* name, auto does) {
        auto* made = new QPushButton{words, row};
        made->setObjectName(QLatin1String(name));
        made->setAutoDefault(false);
        connect(made, &QPushButton::clicked, this, does);
        line->addWidget(made);
    };
    button(tr("Compare"), "house-compare", [this] { compare_with_chosen(); });
    button(tr("Take its rules"), "house-take", [this] { take_chosen(false); });
    button(tr("Take all of it"), "house-take-all", [this] { take_chosen(true); });
    button(tr("New jobs begin so"), "house-for-new", [this] {
        set_house_for_new_jobs(house_->currentText());
        say(tr("New jobs begin with the house \"%1\".").arg(house_->currentText()));
    });
    button(tr("Keep this job's as..."), "house-keep", [this] { keep(); });
    return row;
}

void HouseRulesWindow::fill_houses() {
    QStringList names;
    for (const House& house : houses())
        names << house.name;
    QStringList there;
    for (int i = 0; i < house_->count(); ++i)
        there << house_->itemText(i);
    if (names == there)
        return;
    const QString before = house_->currentText();
    house_->clear();
    house_->addItems(names);
    house_->setCurrentIndex(std::max(0, static_cast<int>(names.indexOf(before))));
}

void HouseRulesWindow::take_chosen(bool all) {
    QString problem;
    const auto house = read_named(house_->currentText(), problem);
    if (!house)
        return say(problem);
    bench_.edit((all ? tr("Take all of %1") : tr("Take the rules of %1")).arg(house_->currentText()), [&](Job& job) {
        if (all)
            take_house(job, *house);
        else
            job.rules = house->rules;
    });
    say((all ? tr("This job goes by the rules, names, hours, prices and sheet head of \"%1\" now. Undo brings back "
                  "what "
                  "was.")
             : tr("This job goes by the rules of \"%1\" now. Undo brings back what was."))
            .arg(house_->currentText()));
}

void HouseRulesWindow::compare_with_chosen() {
    QString problem;
    const auto house = read_named(house_->currentText(), problem);
    if (!house)
        return say(problem);
    QStringList lines;
    for (const RuleRow& row : rule_rows(bench_.job().rules, house->rules, bench_.voice()))
        if (row.changed)
            lines << tr("%1, %2: %3 here, %4 there")
                         .arg(core_words(words_of_group(row.group)), words_of_member(row.member).toLower(),
                              text(row.now), text(row.usual));
    constexpr int most = 12;
    const auto all = lines.size();
    if (all > most)
        lines = lines.mid(0, most) << tr("and %1 more").arg(all - most);
    say(lines.isEmpty() ? tr("This job's rules are those of \"%1\".").arg(house_->currentText())
                        : lines.join(QLatin1Char('\n')));
}

void HouseRulesWindow::keep() {
    bool wanted = false;
    const QString name = QInputDialog::getText(this, tr("Keep this job's rules"), tr("Name of the house"),
                                               QLineEdit::Normal, {}, &wanted);
    if (!wanted)
        return;
    const QString problem = keep_house(name, bench_.job());
    if (!problem.isEmpty())
        return say(problem);
    fill_houses();
    house_->setCurrentText(name.trimmed());
    say(tr("Kept as \"%1\", with this job's unit, hours, names, prices and sheet head.").arg(name.trimmed()));
}

void HouseRulesWindow::say(const QString& words) {
    said_->setText(words);
    said_->setVisible(!words.isEmpty());
}

} // namespace yes_square::app
