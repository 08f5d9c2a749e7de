#include "app/fixings/fix_with.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"

#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QString paragraph(const QString& name, const QString& why) {
    return QStringLiteral("<p style=\"margin-left:8px\"><b>%1</b><br>%2</p>")
        .arg(name.toHtmlEscaped(), why.toHtmlEscaped());
}

} // namespace

FixWith::FixWith(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , choice_{new QComboBox{this}}
    , list_{new Document{this}} {
    QLabel* heading = heading_label(tr("What to fix it with"), this);
    heading->setBuddy(choice_);
    choice_->setObjectName(QStringLiteral("fix-with"));
    choice_->setAccessibleName(tr("What to fix it with"));
    choice_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    list_->setObjectName(QStringLiteral("rank-list"));
    list_->setAccessibleName(tr("What speaks for and against each"));
    grow_to_words(*list_);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading);
    column->addWidget(choice_);
    column->addWidget(list_);
    column->addStretch(1);
    connect(choice_, &QComboBox::activated, this, &FixWith::take);
    connect(&bench_, &Workbench::changed, this, &FixWith::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &FixWith::refresh);
}

void FixWith::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

const std::optional<ChosenFixing>* FixWith::chosen() const {
    const ThingPlan* plan = bench_.thing_plan();
    const Wall* wall = bench_.wall();
    const std::optional<ChosenFixing>* found = nullptr;
    if (plan && wall)
        for_each_thing(*wall, [&](const auto& thing) {
            if constexpr (requires { thing.fixing->gauge; })
                if (thing.id == plan->id)
                    found = &thing.fixing;
        });
    return found;
}

QString FixWith::name_of(const FixingOption& option) const {
    const Fixing& fixing = option.choice.fixing;
    return fixing.screw_length > Length{}
               ? tr("%1, %2 long").arg(text(fixing.name), text(say(stock(fixing.screw_length), bench_.voice())))
               : text(fixing.name);
}

void FixWith::refresh() {
    if (!isVisible())
        return; // it is worked out only for who looks at it
    choice_->clear();
    choice_->addItem(tr("Let the program choose"));
    const std::optional<ChosenFixing>* now = chosen();
    const auto& options = bench_.fixing_options();
    for (std::size_t i = 0; i < options.size(); ++i) {
        const FixingOption& option = options[i];
        if (!goes_into(option.as, *bench_.wall(), bench_.job().catalogue))
            continue;
        choice_->addItem(option.refused.empty() ? name_of(option) : tr("%1 (refused)").arg(name_of(option)),
                         static_cast<int>(i));
        if (now && *now && (**now).like(option.as))
            choice_->setCurrentIndex(choice_->count() - 1);
    }
    const bool any = now && choice_->count() > 1;
    choice_->setVisible(any);
    list_->setHtml(any ? reasons() : tr("There is nothing to choose: what holds it is fixed as the drilling says."));
}

QString FixWith::reasons() const {
    const Voice voice = bench_.voice();
    QString html =
        QStringLiteral("<p>%1</p>")
            .arg(tr("What will do where it is loaded most, then what is refused and why. You may take what is "
                    "refused; the verdict says what comes of it."));
    // What is refused for the same reason stands together.
    std::vector<std::pair<QString, QStringList>> refused;
    for (const FixingOption& option : bench_.fixing_options()) {
        const bool does = option.refused.empty();
        QStringList reasons;
        for (const Sentence& reason : does ? option.why : option.refused)
            reasons << text(say(reason, voice));
        if (does)
            reasons.prepend(tr("used %1").arg(text(say(ratio(option.choice.utilisation), voice))));
        const QString why = reasons.join(QStringLiteral("; "));
        if (does) {
            html += paragraph(name_of(option), why);
            continue;
        }
        const auto same_reason = std::ranges::find(refused, why, &std::pair<QString, QStringList>::first);
        QStringList& names =
            (same_reason == refused.end() ? refused.emplace_back(why, QStringList{}) : *same_reason).second;
        if (!names.contains(name_of(option)))
            names << name_of(option);
    }
    if (!refused.empty())
        html += QStringLiteral("<p><b>%1</b></p>").arg(tr("Refused"));
    for (const auto& [why, names] : refused)
        html += paragraph(names.join(QStringLiteral("; ")), why);
    return html;
}

void FixWith::take(int row) {
    const QVariant number = choice_->itemData(row);
    std::optional<ChosenFixing> fixing;
    if (number.isValid())
        fixing = bench_.fixing_options()[static_cast<std::size_t>(number.toInt())].as;
    const ThingPlan* plan = bench_.thing_plan();
    if (const auto* now = chosen(); plan && now && *now != fixing)
        bench_.apply(tr("Choose the fixing"), ChooseFixing{plan->id, fixing});
}

} // namespace yes_square::app
