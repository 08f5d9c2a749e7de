#include "app/fixings/fix_with.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "core/reckon/chosen.hpp"

#include <QSignalBlocker>
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
    , where_{new QComboBox{this}}
    , choice_{new QComboBox{this}}
    , list_{new Document{this}} {
    QLabel* heading = heading_label(tr("What to fix it with"), this);
    heading->setBuddy(choice_);
    where_->setObjectName(QStringLiteral("fix-where"));
    where_->setAccessibleName(tr("Which of its holes"));
    where_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    choice_->setObjectName(QStringLiteral("fix-with"));
    choice_->setAccessibleName(tr("What to fix it with"));
    choice_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    list_->setObjectName(QStringLiteral("rank-list"));
    list_->setAccessibleName(tr("What speaks for and against each"));
    grow_to_words(*list_);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading);
    column->addWidget(where_);
    column->addWidget(choice_);
    column->addWidget(list_);
    column->addStretch(1);
    connect(choice_, &QComboBox::activated, this, &FixWith::take);
    connect(where_, &QComboBox::activated, this, &FixWith::refresh);
    connect(&bench_, &Workbench::changed, this, &FixWith::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &FixWith::refresh);
}

void FixWith::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

const FixingChoices* FixWith::chosen() const {
    const ThingPlan* plan = bench_.thing_plan();
    const Wall* wall = bench_.wall();
    const FixingChoices* found = nullptr;
    if (plan && wall)
        for_each_thing(*wall, [&](const auto& thing) {
            if constexpr (requires { thing.fixing.at; })
                if (thing.id == plan->id)
                    found = &thing.fixing;
        });
    return found;
}

const FixingSpot& FixWith::where() const {
    static const FixingSpot everywhere;
    const int row = where_->currentIndex();
    return row >= 0 && static_cast<std::size_t>(row) < spots_.size() ? spots_[static_cast<std::size_t>(row)]
                                                                     : everywhere;
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
    refresh_where();
    choice_->clear();
    const bool narrow = !where().everywhere();
    choice_->addItem(narrow ? tr("As the rest of it") : tr("Let the program choose"));
    const FixingChoices* now = chosen();
    const ChosenFixing* taken = now ? now->exactly(where()) : nullptr;
    const auto& options = bench_.fixing_options(where());
    const ThingPlan* plan = bench_.thing_plan();
    for (std::size_t i = 0; i < options.size(); ++i) {
        const FixingOption& option = options[i];
        if (!plan || !goes_into(option.as, ground_at(where(), *plan, *bench_.wall()), bench_.job().catalogue))
            continue;
        choice_->addItem(option.refused.empty() ? name_of(option) : tr("%1 (refused)").arg(name_of(option)),
                         static_cast<int>(i));
        if (taken && taken->like(option.as))
            choice_->setCurrentIndex(choice_->count() - 1);
    }
    const bool any = now && choice_->count() > 1;
    choice_->setVisible(any);
    where_->setVisible(any && spots_.size() > 1);
    list_->setHtml(any ? reasons() : tr("There is nothing to choose: what holds it is fixed as the drilling says."));
}

/// All of it, then what can be told apart, with what pulls there and what is chosen for it already.
void FixWith::refresh_where() {
    const ThingPlan* plan = bench_.thing_plan();
    const FixingSpot before = plan && plan->id == item_ ? where() : FixingSpot{};
    item_ = plan ? plan->id : std::string{};
    spots_ = {{}};
    if (plan)
        std::ranges::move(fixing_spots(*plan), std::back_inserter(spots_));
    const QSignalBlocker quiet{where_};
    where_->clear();
    const Voice voice = bench_.voice();
    const FixingChoices* now = chosen();
    for (const FixingSpot& spot : spots_) {
        const QString name = spot.everywhere() ? tr("All of it") : text(say(words(spot, *plan), voice));
        const Force pull = plan ? pull_on(spot, *plan) : Force{};
        QString row = pull > 0 ? tr("%1: pulled by up to %2").arg(name, text(say(quantity(pull), voice)))
                               : tr("%1: not pulled").arg(name);
        if (now && now->exactly(spot))
            row = tr("%1; chosen by hand").arg(row);
        where_->addItem(row);
        if (spot == before)
            where_->setCurrentIndex(where_->count() - 1);
    }
}

QString FixWith::reasons() const {
    const Voice voice = bench_.voice();
    QString html =
        QStringLiteral("<p>%1</p>")
            .arg(where().everywhere()
                     ? tr("What will do where it is loaded most, then what is refused and why. You may take what is "
                          "refused; the verdict says what comes of it.")
                     : tr("What will do there, then what is refused and why; the other holes stay as they are. You may "
                          "take what is refused; the verdict says what comes of it."));
    // What is refused for the same reason stands together.
    std::vector<std::pair<QString, QStringList>> refused;
    for (const FixingOption& option : bench_.fixing_options(where())) {
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
        fixing = bench_.fixing_options(where())[static_cast<std::size_t>(number.toInt())].as;
    const ThingPlan* plan = bench_.thing_plan();
    const FixingChoices* now = chosen();
    if (!plan || !now)
        return;
    const ChosenFixing* taken = now->exactly(where());
    if (fixing ? !taken || *taken != *fixing : taken != nullptr)
        bench_.apply(tr("Choose the fixing"), ChooseFixing{plan->id, fixing, where()});
}

} // namespace yes_square::app
