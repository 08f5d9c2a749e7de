#include "app/layout/audit_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "app/layout/found_screws.hpp"
#include "core/boxes/new_box.hpp"

namespace yes_square::app {
AuditPanel::AuditPanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , verdict_{new VerdictLabel{"hung-verdict", this}} {
    auto* add_button = new QPushButton{tr("Add what hangs here"), this};
    add_button->setObjectName(QStringLiteral("add-hung"));
    connect(add_button, &QPushButton::clicked, this, &AuditPanel::add_cabinet);
    build_found();
    form_->heading(tr("Or screw by screw"));
    form_->widget(found_screws(bench, this));
    build_cabinet();
    lay_out("remove-hung", add_button,
            tr("A cabinet that hangs here already: tick what was found to hold it, and read whether that will do and "
               "what to add."),
            {verdict_});
}

void AuditPanel::build_found() {
    form_->heading(tr("What is there"));
    const auto rail = [this](const QString& label, const char* row, bool top) {
        form_->choice(label, row, QStringList{tr("no"), tr("yes")}, form_->read<int>([top](const HungCabinet& hung) {
            return static_cast<int>(has_rail(hung, top));
        }),
                      form_->write<int>([top](HungCabinet& hung, int there) { tick_rail(hung, top, there == 1); }));
    };
    // Told screw by screw, their numbers follow.
    const auto by_number = [](const HungCabinet& hung) { return hung.found.empty(); };
    FieldForm<HungCabinet> rows{*form_, "hung"};
    rail(tr("Top rail"), "hung-top-rail", true);
    rows.row("top_screws", by_number);
    rail(tr("Bottom rail"), "hung-bottom-rail", false);
    for (const char* member : {"bottom_screws", "back_screws", "stray_screws", "studs"})
        rows.row(member, by_number);
    for (const char* member : {"joined_left", "joined_right", "gauge", "screw_length", "broad_heads"})
        rows.row(member);
}

void AuditPanel::build_cabinet() {
    form_->fold(tr("The cabinet"), "hung-fold-cabinet");
    FieldForm<CabinetUnit> of_it{*form_, form_->inner(&HungCabinet::unit), "hung"};
    of_it.row("name");
    FieldForm<HungCabinet>{*form_, "hung"}.row("left").row("top");
    for (const char* member : {"width", "height", "depth", "back", "loaded_kg"})
        of_it.row(member);
}

void AuditPanel::refresh() {
    const HungPlan* plan = bench_.selected_plan<HungCabinet>();
    verdict_->setVisible(plan != nullptr);
    if (!plan)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    QStringList lines;
    lines << tr("Full it weighs %1. %2")
                 .arg(shown(quantity(plan->loaded_mass)),
                      plan->utilisation.known()
                          ? tr("Its worst screw is used to %1.").arg(shown(ratio(plan->utilisation)))
                          : tr("No screw of it counts."));
    if (plan->add_top + plan->add_bottom > 0 && plan->wanted.fixing)
        lines << tr("To add: %1 at the top, %2 at the bottom, %3, %4 long.")
                     .arg(plan->add_top)
                     .arg(plan->add_bottom)
                     .arg(text(plan->wanted.fixing->name), shown(stock(plan->wanted.fixing->screw_length)));
    verdict_->tell(text(say(words(plan->verdict), voice)), plan->verdict == HungVerdict::unload, lines);
}

void AuditPanel::add_cabinet() {
    add(tr("Add what hangs here"), "hung", [](const Job& job, const Wall& wall) {
        HungCabinet hung = new_hung(wall);
        hung.unit.name = fresh_name(job, tr("Hanging cabinet %1").toStdString());
        return hung;
    });
}

} // namespace yes_square::app
