#include "app/layout/light_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "app/bench/grown.hpp"

#include "app/bench/read_only_table.hpp"
#include "core/feeds/lead.hpp"

namespace yes_square::app {
namespace {

QStringList lead_words(bool by_gauge) {
    QStringList all{LightPanel::tr("the thinnest that will do")};
    for (const LeadProperties& lead : all_leads())
        if (lead.by_gauge == by_gauge)
            all << text(lead.words);
    return all;
}

/// The conductor of a row of the list: the first is none.
std::optional<Conductor> conductor_of(bool by_gauge, int row) {
    for (const LeadProperties& lead : all_leads())
        if (lead.by_gauge == by_gauge && --row == 0)
            return lead.conductor;
    return std::nullopt;
}

} // namespace

LightPanel::LightPanel(Workbench& bench, QWidget* parent)
    : ThingPanel{bench, parent}
    , words_{new QLabel{this}}
    , leads_{read_only_table({tr("Lead"), tr("Loses"), tr("Share"), tr("Will it do?")}, "leads", this)} {
    auto* add_button = new QPushButton{tr("Add a light"), this};
    add_button->setObjectName(QStringLiteral("add-light"));
    connect(add_button, &QPushButton::clicked, this, &LightPanel::add_feed);
    words_->setObjectName(QStringLiteral("light-words"));
    words_->setWordWrap(true);
    grow_to_rows(*leads_);
    build();
    lay_out("remove-light", add_button,
            tr("Low-voltage light under a shelf or a run: select what it is along, then add it. Its length comes off "
               "the drawing. Mains is the licensed trade's."),
            {words_, leads_});
}

void LightPanel::build() {
    using F = LightFeed;
    form_->heading(tr("The light"));
    const auto alone = [](const F& feed) { return feed.item.empty(); };
    const auto itself = [](const F& feed) { return feed.own_ohm > 0; };
    const auto by_lead = [](const F& feed) { return feed.own_ohm <= 0 && feed.load == FeedLoad::spread; };
    FieldForm<F>{*form_, "light"}
        .row("name")
        .row("left", alone)
        .row("right", alone)
        .row("height", alone)
        .row("volts")
        .row("load")
        .row("watts_per_m", [](const F& feed) { return feed.load == FeedLoad::spread; })
        .row("moving_watts", [](const F& feed) { return feed.load == FeedLoad::moving; })
        .row("own_ohm_per_m")
        .row("loop", itself)
        .row("fed_at", itself)
        .row("lead")
        .row("both_ends", [=](const F& feed) { return by_lead(feed) || (itself(feed) && feed.fed_at.empty()); })
        .row("far_lead", [=](const F& feed) { return feed.both_ends && by_lead(feed); });
    build_driver();
    form_->choice(tr("Lead is sold"), "light-gauge", {tr("by mm\u00b2"), tr("by AWG")},
                  form_->read<int>([](const F& feed) { return static_cast<int>(feed.by_gauge); }),
                  form_->write<int>([](F& feed, int row) {
                      feed.by_gauge = row == 1;
                      feed.conductor.reset();
                  }));
    form_->choice(
        tr("Lead of"), "light-conductor",
        [this] { return lead_words(bench_.selected<F>() && bench_.selected<F>()->by_gauge); },
        form_->read<int>([](const F& feed) {
            int row = 0;
            while (feed.conductor && conductor_of(feed.by_gauge, row) != feed.conductor && row < 20)
                ++row;
            return row;
        }),
        form_->write<int>([](F& feed, int row) { feed.conductor = conductor_of(feed.by_gauge, row); }));
}

/// In which unit, of those on this wall.
template <class Place>
void LightPanel::choose_unit(const PartAccess<Place>& access, const char* name,
                             const std::function<bool(const Place&)>& wanted) {
    const auto units = [this] {
        std::vector<const CabinetUnit*> found;
        if (const Wall* wall = bench_.wall())
            for (const Run& run : wall->runs)
                for (const CabinetUnit& unit : run.units)
                    if (is_cabinet(unit))
                        found.push_back(&unit);
        return found;
    };
    form_->choice(
        tr("In"), name,
        [units] {
            QStringList names{tr("none of them")};
            for (const CabinetUnit* unit : units())
                names << text(unit->name);
            return names;
        },
        access.template read<int>(
            [units](const Place& place) {
                const auto all = units();
                const auto found = std::ranges::find(all, place.unit, [](const CabinetUnit* unit) { return unit->id; });
                return found == all.end() ? 0 : static_cast<int>(found - all.begin()) + 1;
            },
            wanted),
        access.template write<int>([units](Place& place, int row) {
            place.unit = row == 0 ? std::string{} : units()[static_cast<std::size_t>(row - 1)]->id;
        }));
}

void LightPanel::build_driver() {
    const auto driver = form_->inner(&LightFeed::driver);
    FieldForm<DriverPlace>{*form_, driver, "driver"}
        .row("at")
        .row("x",
             [](const DriverPlace& place) { return place.at != DriverAt::not_told && place.at != DriverAt::in_unit; })
        .row("height", [](const DriverPlace& place) { return place.at == DriverAt::on_wall; });
    choose_unit<DriverPlace>(driver, "driver-unit",
                             [](const DriverPlace& place) { return place.at == DriverAt::in_unit; });
    const auto on_wall = [](const SwitchPlace& place) { return place.at == SwitchAt::on_wall; };
    const auto switched = form_->inner(&LightFeed::switched);
    FieldForm<SwitchPlace>{*form_, switched, "switch"}.row("at").row("x", on_wall).row("height", on_wall);
    choose_unit<SwitchPlace>(switched, "switch-unit",
                             [](const SwitchPlace& place) { return place.at == SwitchAt::in_unit; });
}

void LightPanel::refresh() {
    const FeedPlan* plan = bench_.selected_plan<LightFeed>();
    words_->setVisible(plan != nullptr);
    leads_->setVisible(plan != nullptr);
    leads_->setRowCount(0);
    if (!plan)
        return;
    const Voice voice = bench_.voice();
    const auto shown = [&](const Quantity& quantity) { return text(say(quantity, voice)); };
    for (std::size_t i = 0; i < plan->leads.size(); ++i) {
        const LeadChoice& lead = plan->leads[i];
        const bool chosen = plan->lead == i;
        add_row(leads_,
                {text(properties(lead.conductor).words), shown({Kind::voltage, lead.drop_v}),
                 tr("%1 %").arg(spoken_locale().toString(100 * lead.drop_share, 'f', 1)),
                 chosen ? (lead.does ? tr("taken") : tr("taken, but no")) : (lead.does ? tr("yes") : tr("no"))});
        if (chosen)
            leads_->setCurrentCell(static_cast<int>(i), 0);
    }
    if (plan->length() <= Length{}) {
        words_->setText(tr("It runs along nothing."));
        return;
    }
    words_->setText(tr("%1 long, %2, %3. %4 of %5 or more.%6")
                        .arg(shown(quantity(plan->length())), shown({Kind::power, plan->watts}),
                             shown({Kind::current, plan->amps}),
                             plan->drivers == 1 ? tr("One driver") : tr("%1 drivers").arg(plan->drivers),
                             shown({Kind::power, plan->driver_watts}),
                             plan->lead ? tr(" Least arrives at %1.").arg(bench_.along(plan->darkest)) : QString{}));
}

void LightPanel::add_feed() {
    const std::string along = bench_.shelf() ? bench_.shelf()->id : bench_.run() ? bench_.run()->id : std::string{};
    add(tr("Add a light"), "feed", [along](const Job& job, const Wall& wall) {
        LightFeed feed;
        feed.by_gauge = is_imperial(job.unit);
        feed.name = fresh_name(job, tr("Light %1").toStdString());
        feed.item = along;
        feed.right = wall.length;
        feed.height = wall.height / 2;
        return feed;
    });
}

} // namespace yes_square::app
