#include "app/layout/audit_panel.hpp"

#include "app/bench/choices.hpp"
#include "core/boxes/new_box.hpp"

namespace yes_square::app {
AuditPanel::AuditPanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , verdict_{new VerdictLabel{"hung-verdict", this}} {
    auto* add_button = new QPushButton{tr("Add what hangs here"), this};
    add_button->setObjectName(QStringLiteral("add-hung"));
    connect(add_button, &QPushButton::clicked, this, &AuditPanel::add_cabinet);
    build_found();
    build_cabinet();
    lay_out("remove-hung", add_button,
            tr("A cabinet that hangs here already: tick what was found to hold it, and read whether that will do and "
               "what to add."),
            {verdict_});
}

void AuditPanel::build_found() {
    using H = HungCabinet;
    form_->heading(tr("What is there"));
    const auto rail = [this](const QString& label, const char* row, bool top) {
        form_->choice(label, row, QStringList{tr("no"), tr("yes")},
                      form_->read<int>([top](const H& hung) { return static_cast<int>(has_rail(hung, top)); }),
                      form_->write<int>([top](H& hung, int there) { tick_rail(hung, top, there == 1); }));
    };
    rail(tr("Top rail"), "hung-top-rail", true);
    form_->count(tr("Screws in it"), "hung-top-screws", &H::top_screws, 0, 12);
    rail(tr("Bottom rail"), "hung-bottom-rail", false);
    form_->count(tr("Screws in it"), "hung-bottom-screws", &H::bottom_screws, 0, 12);
    form_->count(tr("Through its back"), "hung-back-screws", &H::back_screws, 0, 12);
    form_->count(tr("In lining only"), "hung-stray-screws", &H::stray_screws, 0, 12);
    form_->count(tr("In studs"), "hung-studs", &H::studs, 0, 6);
    form_->either(tr("Joined, left"), "hung-joined-left", tr("no"), tr("yes"), &H::joined_left);
    form_->either(tr("Joined, right"), "hung-joined-right", tr("no"), tr("yes"), &H::joined_right);
    QStringList gauges{tr("lining screws, or not known")};
    gauges << words_of<ScrewGauge>();
    form_->choice(tr("The screws are"), "hung-gauge", gauges,
                  form_->read<int>([](const H& hung) { return hung.gauge ? 1 + row_for(*hung.gauge) : 0; }),
                  form_->write<int>([](H& hung, int row) {
                      hung.gauge = row == 0 ? std::nullopt : std::optional{at_row<ScrewGauge>(row - 1)};
                  }));
    form_->usual(tr("Their length"), "hung-screw", tr("not known"), &H::screw_length);
    form_->either(tr("Broad heads"), "hung-heads", tr("no"), tr("yes"), &H::broad_heads);
}

void AuditPanel::build_cabinet() {
    using H = HungCabinet;
    form_->heading(tr("The cabinet"));
    form_->words(tr("Name"), "hung-name", form_->read<std::string>([](const H& hung) { return hung.unit.name; }),
                 form_->write<std::string>([](H& hung, std::string name) { hung.unit.name = std::move(name); }));
    form_->place(tr("Left"), "hung-left", &H::left);
    form_->place(tr("Top at"), "hung-top", &H::top);
    const auto size = [this](const QString& label, const char* row, Length CabinetUnit::*member, Length least) {
        form_->length(label, row, form_->read<Length>([member](const H& hung) { return hung.unit.*member; }),
                      form_->write<Length>([member](H& hung, Length value) { hung.unit.*member = value; }), least,
                      tr("It must be more than 0"));
    };
    size(tr("Width"), "hung-width", &CabinetUnit::width, Length::nanometres(1));
    size(tr("Height"), "hung-height", &CabinetUnit::height, Length::nanometres(1));
    size(tr("Depth"), "hung-depth", &CabinetUnit::depth, Length::nanometres(1));
    size(tr("Back, thick"), "hung-back", &CabinetUnit::back, Length{});
    form_->number(
        tr("With all in it"), "hung-loaded", tr("kg"),
        form_->read<std::optional<double>>([](const H& hung) { return hung.unit.loaded_kg; }),
        form_->write<std::optional<double>>([](H& hung, std::optional<double> kg) { hung.unit.loaded_kg = kg; }));
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
                 .arg(shown({Kind::mass, plan->loaded_kg}),
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
    add(tr("Add what hangs here"), "hung", [](const Job&, const Wall& wall) {
        HungCabinet hung = new_hung(wall);
        hung.unit.name = tr("Hanging cabinet %1").arg(wall.hung.size() + 1).toStdString();
        return hung;
    });
}

} // namespace yes_square::app
