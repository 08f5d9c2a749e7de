#include "app/layout/batten_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "core/battens/reckon_batten.hpp"

namespace yes_square::app {

BattenPanel::BattenPanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , verdict_{new VerdictLabel{"batten-verdict", this}} {
    auto* add_button = new QPushButton{tr("Add a batten"), this};
    add_button->setObjectName(QStringLiteral("add-batten"));
    connect(add_button, &QPushButton::clicked, this, &BattenPanel::add_batten);
    FieldForm<Batten>{*form_, Batten::list_name}.all();
    lay_out(
        "remove-batten", add_button,
        tr("A straight timber screwed to the wall, level: for a row of pegs, or as a ledger that stays. A screw goes "
           "into every stud behind it."),
        {verdict_});
}

void BattenPanel::refresh() {
    const BattenPlan* plan = bench_.selected_plan<Batten>();
    verdict_->setVisible(plan != nullptr);
    if (!plan)
        return;
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, bench_.voice())); };
    const bool wrong =
        std::ranges::any_of(plan->checks, [](const Check& check) { return check.severity == Severity::error; });
    QStringList lines{
        tr("It carries %1, itself included; screws: %2.").arg(shown(quantity(plan->load))).arg(plan->holes.size())};
    if (plan->utilisation.known())
        lines << tr("Its worst screw is used to %1.").arg(shown(ratio(plan->utilisation)));
    verdict_->tell(wrong                        ? tr("not as it is")
                   : plan->utilisation.within() ? tr("holds")
                                                : tr("not known to hold"),
                   wrong || !plan->utilisation.within(), lines);
}

void BattenPanel::add_batten() {
    add(tr("Add a batten"), "batten", [](const Job& job, const Wall& wall) {
        Batten batten = new_batten(wall);
        batten.name = fresh_name(job, tr("Batten %1").toStdString());
        return batten;
    });
}

} // namespace yes_square::app
