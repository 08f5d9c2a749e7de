#include "app/catalogue/at_hand.hpp"

#include "app/bench/length_list.hpp"
#include "app/catalogue/entries_page.hpp"
#include "app/catalogue/own_catalogue.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/sheets/bracket_drawing.hpp"
#include "core/sheets/support_drawing.hpp"
#include "core/shelves/way.hpp"

#include <QComboBox>
#include <QTabWidget>

namespace yes_square::app {
namespace {

/// Where a figure comes from, and whether the thing is there today.
QString origin(bool own, bool at_hand) {
    if (!at_hand)
        return AtHand::tr("not in the van");
    return own ? AtHand::tr("my own") : AtHand::tr("shipped");
}

EntriesSpec<Bracket> brackets() {
    EntriesSpec<Bracket> spec;
    spec.name = "bracket";
    spec.words =
        AtHand::tr("Have one in your hand that is not here? Copy one that is like it, hold the rule to it, and type "
                   "what it says; the drawing shows what is asked. The packet's figure comes first.");
    spec.headings = {AtHand::tr("Bracket"),        AtHand::tr("Arm"), AtHand::tr("Leg"), AtHand::tr("Holes"),
                     AtHand::tr("May bear, each"), AtHand::tr("From")};
    spec.cells = [](const Bracket& bracket, const Voice& voice) {
        const auto allowed = allowed_on(bracket);
        const auto shown = [&](const Quantity& figure) { return text(say(figure, voice)); };
        return QStringList{text(bracket.name),
                           shown(stock(bracket.arm)),
                           shown(stock(bracket.leg)),
                           QString::number(bracket.hole_drops.size()),
                           allowed ? shown(quantity(mass_of(*allowed))) : AtHand::tr("not known"),
                           origin(bracket.own, bracket.at_hand)};
    };
    spec.own_rows = {{"name", {}},      {"arm", {}},        {"leg", {}},         {"width", {}},
                     {"thickness", {}}, {"hole_drops", {}}, {"hole_across", {}}, {"hole_diameter", {}},
                     {"stiffened", {}}, {"mass_kg", {}}};
    spec.rows = {{"rating_n", "rating"}, {"rated_per_pair", {}}, {"basis", {}}, {"marks_through", {}}, {"at_hand", {}}};
    spec.draw = [](const Bracket& bracket, std::string_view asked, double width, double height, double size,
                   const Voice& voice) { return draw_bracket(bracket, asked, width, height, size, voice); };
    return spec;
}

EntriesSpec<MasonryAnchor> anchors() {
    EntriesSpec<MasonryAnchor> spec;
    spec.name = "anchor";
    spec.words =
        AtHand::tr("Shipped figures are cautious and from memory; they are not changed. Copy one as your own and set "
                   "it to what the packet in your hand says: the packet comes first. Pull and shear are what may be "
                   "used of them.");
    spec.headings = {AtHand::tr("Anchor"), AtHand::tr("In"),    AtHand::tr("Hole"), AtHand::tr("Deep"),
                     AtHand::tr("Pull"),   AtHand::tr("Shear"), AtHand::tr("From")};
    spec.cells = [](const MasonryAnchor& anchor, const Voice& voice) {
        const auto shown = [&](const Quantity& figure) { return text(say(figure, voice)); };
        return QStringList{text(anchor.name),
                           anchor.in_timber() ? AtHand::tr("bare timber") : core_words(words(anchor.substrate)),
                           shown(stock(anchor.hole_diameter)),
                           shown(stock(anchor.embedment)),
                           shown(quantity(allowable(anchor.tension, anchor.basis, anchor.kind))),
                           shown(quantity(allowable(anchor.shear, anchor.basis, anchor.kind))),
                           origin(anchor.own, anchor.at_hand)};
    };
    spec.own_rows = {{"name", {}},
                     {"kind", {}},
                     {"substrate", {}},
                     {"hole_diameter", "hole"},
                     {"embedment", {}},
                     {"screw_diameter", "screw"},
                     {"screw_lengths", "lengths"},
                     {"tension_n", "tension"},
                     {"shear_n", "shear"},
                     {"basis", {}}};
    spec.rows = {{"at_hand", {}}};
    return spec;
}

EntriesSpec<LiningAnchor> lining_anchors() {
    EntriesSpec<LiningAnchor> spec;
    spec.name = "lining-anchor";
    spec.words = AtHand::tr(
        "What grips the lining alone carries no cabinet, no desk and nothing that could tip. A light shelf, ledge "
        "or pole may hang on it where its packet rates it, pull and shear, for this lining and thickness.");
    spec.headings = {AtHand::tr("Anchor"), AtHand::tr("Hole"),      AtHand::tr("Pull"),
                     AtHand::tr("Shear"),  AtHand::tr("In lining"), AtHand::tr("From")};
    spec.cells = [](const LiningAnchor& anchor, const Voice& voice) {
        const auto shown = [&](const Quantity& figure) { return text(say(figure, voice)); };
        const auto figure = [&](const std::optional<Force>& force) {
            return force ? shown(quantity(allowable(*force, anchor.basis, anchor.kind))) : AtHand::tr("not known");
        };
        return QStringList{
            text(anchor.name),
            shown(stock(anchor.hole_diameter)),
            figure(anchor.tension),
            figure(anchor.shear),
            anchor.lining_most > Length{}
                ? AtHand::tr("%1 to %2").arg(shown(stock(anchor.lining_least)), shown(stock(anchor.lining_most)))
                : AtHand::tr("not said"),
            origin(anchor.own, true)};
    };
    spec.own_rows = {{"name", {}},         {"kind", {}},       {"hole_diameter", {}}, {"screw_diameter", {}},
                     {"tension_n", {}},    {"shear_n", {}},    {"basis", {}},         {"lining", {}},
                     {"lining_least", {}}, {"lining_most", {}}};
    return spec;
}

std::string_view words_of_holding(const Holding& holding) {
    return std::visit([](const auto& how) { return way(how).presets().front().words; }, holding);
}

/// Rows for every kind that an entry may be of; those of its own kind are shown.
template <class Entry, class... Kinds>
void add_kinds(BoundForm& form, const PartAccess<Entry>& entry, std::variant<Kinds...> Entry::*kind,
               const std::string& object) {
    const auto rows_for = [&]<class Kind>(std::string_view name) {
        const PartAccess<Kind> access{[entry, kind]() -> const Kind* {
                                          const Entry* chosen = entry.shown();
                                          return chosen ? std::get_if<Kind>(&(chosen->*kind)) : nullptr;
                                      },
                                      [entry, kind](Job& job, const std::function<void(Kind&)>& to) {
                                          entry.change(job, [&](Entry& changed) {
                                              if (Kind* of_it = std::get_if<Kind>(&(changed.*kind)))
                                                  to(*of_it);
                                          });
                                      }};
        FieldForm<Kind>{form, access, object + std::string{name}}.all();
    };
    std::size_t row = 0;
    (rows_for.template operator()<Kinds>(kind_names<std::variant<Kinds...>>[row++]), ...);
}

/// What holds a shelf otherwise than a bracket: kept from a shelf that was typed, or taken in.
EntriesSpec<Support> supports() {
    EntriesSpec<Support> spec;
    spec.name = "support";
    spec.words = AtHand::tr(
        "Uprights, rods, hidden brackets, keyhole plates, pole brackets, strips as you have them: typed on a "
        "shelf under \"How it is held\" and kept there, or taken in. A shelf held the same way offers them.");
    spec.headings = {AtHand::tr("Support"), AtHand::tr("Holds by"), AtHand::tr("From")};
    spec.cells = [](const Support& support, const Voice& voice) {
        return QStringList{text(support.name), text(say(words_of_holding(support.holding), voice)),
                           origin(support.own, support.at_hand)};
    };
    spec.own_rows = {{"name", {}}};
    spec.rows = {{"at_hand", {}}};
    spec.more = [](BoundForm& form, const PartAccess<Support>& support) {
        add_kinds(form, support, &Support::holding, "support-");
    };
    spec.draw = [](const Support& support, std::string_view asked, double width, double height, double size,
                   const Voice& voice) { return draw_support(support.holding, asked, width, height, size, voice); };
    return spec;
}

/// What wall units, and base units, hang on that are not screwed through their backs.
EntriesSpec<HangingGear> hanging_gear() {
    EntriesSpec<HangingGear> spec;
    spec.name = "gear";
    spec.words = AtHand::tr(
        "Hook brackets with their wall plates, rails with their hooks, and hangers from a ceiling, as you have "
        "them: kept from a run or a shelf that hangs on them, or taken in. What one of them bears stands in "
        "its maker's table.");
    spec.headings = {AtHand::tr("Hook, rail, hanger"), AtHand::tr("What"), AtHand::tr("One bears"), AtHand::tr("From")};
    spec.cells = [](const HangingGear& gear, const Voice& voice) {
        return QStringList{text(gear.name),
                           std::holds_alternative<HookPlate>(gear.gear) ? AtHand::tr("hook plates")
                           : for_units(gear)                            ? AtHand::tr("suspension rail")
                                                                        : AtHand::tr("ceiling hanger"),
                           gear.rating ? text(say(quantity(mass_of(*gear.rating)), voice)) : AtHand::tr("not known"),
                           origin(gear.own, gear.at_hand)};
    };
    spec.own_rows = {{"name", {}}, {"rating_n", {}}};
    spec.rows = {{"at_hand", {}}};
    spec.more = [](BoundForm& form, const PartAccess<HangingGear>& gear) {
        add_kinds(form, gear, &HangingGear::gear, "gear-");
    };
    spec.draw = [](const HangingGear& gear, std::string_view asked, double width, double height, double size,
                   const Voice& voice) { return draw_support(gear.gear, asked, width, height, size, voice); };
    return spec;
}

} // namespace

AtHand::AtHand(Workbench& bench, QWidget* parent)
    : QDialog{parent}
    , bench_{bench}
    , tabs_{new QTabWidget{this}}
    , said_{new QLabel{this}} {
    setWindowTitle(tr("Brackets and fixings at hand"));
    resize(1020, 640);
    tabs_->setObjectName(QStringLiteral("at-hand-tabs"));
    tabs_->addTab(new EntriesPage<Bracket>{bench, brackets()}, tr("Brackets"));
    tabs_->addTab(new EntriesPage<MasonryAnchor>{bench, anchors()}, tr("Anchors for masonry"));
    tabs_->addTab(new EntriesPage<LiningAnchor>{bench, lining_anchors()}, tr("Anchors for a lining"));
    tabs_->addTab(new EntriesPage<Support>{bench, supports()}, tr("Other supports"));
    tabs_->addTab(new EntriesPage<HangingGear>{bench, hanging_gear()}, tr("Hooks, rails, hangers"));
    tabs_->addTab(screws_page(), tr("Screws"));
    auto* close = new QPushButton{tr("Close"), this};
    close->setAutoDefault(false); // Enter in a field goes on to the next
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    said_->setObjectName(QStringLiteral("at-hand-said"));
    said_->setWordWrap(true);
    auto* foot = new QHBoxLayout;
    foot->addWidget(said_, 1);
    foot->addWidget(close);
    auto* column = new QVBoxLayout{this};
    column->addWidget(tabs_, 1);
    column->addLayout(foot);
}

void AtHand::done(int result) {
    const QString problem = write_own_catalogue(bench_.job().catalogue);
    const bool told = problem.isEmpty() || said_->text() == problem;
    said_->setText(problem);
    if (told)
        QDialog::done(result);
}

std::string AtHand::begin_bracket(const std::string& like) {
    auto* page = static_cast<EntriesPage<Bracket>*>(tabs_->widget(0));
    page->select(like);
    if (!page->selected())
        return {};
    page->copy_selected();
    return page->selected()->id;
}

/// Lengths at hand of every gauge: what the program chooses from, so that it never asks for a screw nobody has.
QWidget* AtHand::screws_page() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout{page};
    auto* words =
        new QLabel{tr("Lengths at hand, ; between; none where you have none. The program chooses among these."), page};
    words->setWordWrap(true);
    column->addWidget(words);
    auto* form = new BoundForm{bench_, page};
    const auto readable = [this](const QString& typed) {
        return typed.trimmed().isEmpty() || read_list(typed, bench_.job().unit)
                   ? QString{}
                   : tr("Lengths with ; between them, such as 50; 63.5; 75, or nothing");
    };
    using Lengths = std::vector<Length>;
    const auto row = [&](const QString& label, const QString& name, std::function<Lengths(const Job&)> get,
                         std::function<void(Job&, Lengths)> set) {
        form->checked_words(
            label, name.toLatin1().constData(),
            [this, get]() -> std::optional<std::string> {
                return list_of(get(bench_.job()), bench_.job().unit).toStdString();
            },
            readable,
            [set](Job& job, const std::string& typed) {
                set(job, read_list(text(typed), job.unit).value_or(Lengths{}));
            });
    };
    form->choice(
        tr("Timber joints by"), "timber-school", words_of<TimberSchool>(),
        [this]() -> std::optional<int> { return row_for(bench_.job().rules.timber); },
        [](Job& job, int chosen) {
            job = yes_square::apply(SetTimberSchool{at_row<TimberSchool>(chosen)}, std::move(job));
        });
    for (const ScrewProperties& screw : all_gauges()) {
        const auto of_gauge = [gauge = screw.gauge](auto& job) {
            return std::ranges::find(job.catalogue.wood_screws, gauge, &WoodScrew::gauge);
        };
        row(
            QString::fromUtf8(screw.wood_screw_words), QStringLiteral("screw-%1").arg(static_cast<int>(screw.gauge)),
            [of_gauge](const Job& job) {
                const auto stock = of_gauge(job);
                return stock == job.catalogue.wood_screws.end() ? Lengths{} : stock->lengths;
            },
            [of_gauge, gauge = screw.gauge](Job& job, Lengths lengths) {
                auto& stocks = job.catalogue.wood_screws;
                const auto stock = of_gauge(job);
                (stock == stocks.end() ? stocks.emplace_back(WoodScrew{gauge, {}}) : *stock).lengths =
                    std::move(lengths);
            });
    }
    row(
        tr("Up into a shelf"), QStringLiteral("screw-shelf"), [](const Job& job) { return job.catalogue.shelf_screws; },
        [](Job& job, Lengths lengths) { job.catalogue.shelf_screws = std::move(lengths); });
    form->choice(
        tr("Hands at work"), "skill", words_of<Skill>(),
        [this]() -> std::optional<int> { return row_for(bench_.job().rules.shelves.skill); },
        [](Job& job, int chosen) { job.rules.shelves.skill = at_row<Skill>(chosen); });
    auto* both = new QHBoxLayout;
    auto* lengths = new QVBoxLayout;
    lengths->addWidget(form);
    lengths->addStretch(1);
    both->addLayout(lengths, 1);
    both->addLayout(packet_form(page), 1);
    column->addLayout(both);
    column->addStretch(1);
    form->refresh();
    return page;
}

/// What the packet of one kind of screw says of it, where that is not what such screws usually are.
QLayout* AtHand::packet_form(QWidget* page) {
    auto* column = new QVBoxLayout;
    auto* words =
        new QLabel{tr("What a packet says of its screws comes before what such screws usually are. f ax, f head "
                      "and f tens stand in its declaration of performance; EN 1995 uses them, NDS the last."),
                   page};
    words->setWordWrap(true);
    auto* screws = new QComboBox{page};
    screws->setObjectName(QStringLiteral("packet-screw"));
    screws->setAccessibleName(tr("Screw whose packet is meant"));
    screws->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    for (const ScrewProperties& screw : all_gauges())
        screws->addItem(QString::fromUtf8(screw.wood_screw_words));
    const auto gauge = [screws] { return all_gauges()[static_cast<std::size_t>(screws->currentIndex())].gauge; };
    auto* form = new BoundForm{bench_, page};
    const PartAccess<ScrewPacket> packet{[this, gauge]() -> const ScrewPacket* {
                                             static const ScrewPacket says_nothing;
                                             const auto& stocks = bench_.job().catalogue.wood_screws;
                                             const auto stock = std::ranges::find(stocks, gauge(), &WoodScrew::gauge);
                                             if (stock == stocks.end())
                                                 return nullptr;
                                             return stock->packet ? &*stock->packet : &says_nothing;
                                         },
                                         [gauge](Job& job, const std::function<void(ScrewPacket&)>& to) {
                                             for (WoodScrew& stock : job.catalogue.wood_screws)
                                                 if (stock.gauge == gauge()) {
                                                     ScrewPacket said = stock.packet.value_or(ScrewPacket{});
                                                     to(said);
                                                     stock.packet =
                                                         said == ScrewPacket{} ? std::nullopt : std::optional{said};
                                                 }
                                         }};
    FieldForm<ScrewPacket>{*form, packet, "packet"}.all();
    connect(screws, &QComboBox::currentIndexChanged, form, [form] { form->refresh(); });
    column->addWidget(words);
    column->addWidget(screws);
    column->addWidget(form);
    column->addStretch(1);
    form->refresh();
    return column;
}

} // namespace yes_square::app
