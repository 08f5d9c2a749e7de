#include "app/layout/shelf_form.hpp"

#include "app/bench/choices.hpp"
#include "core/job/fields.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_loads.hpp"

#include <algorithm>

namespace yes_square::app {

ShelfForm::ShelfForm(Workbench& bench, QWidget* parent)
    : BoundForm{bench, parent} {
    build_place();
    build_board();
    build_boards();
    build_brackets();
    build_holding();
    refresh();
}

namespace {

constexpr int most_tiers = 20;
constexpr Length usual_rise = 350_mm;

/// Reads a member of the selected shelf.
template <class T>
BoundForm::Get<T> get(Workbench& bench, T Shelf::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.shelf() ? std::optional{bench.shelf()->*member} : std::nullopt;
    };
}
/// Sets a member of the selected shelf.
template <class T>
BoundForm::Set<T> set(Workbench& bench, T Shelf::*member) {
    return [&bench, member](Job& job, T value) {
        if (const Shelf* selected = bench.shelf())
            if (Shelf* shelf = find_shelf(job, selected->id))
                shelf->*member = value;
    };
}
/// An enumeration as a row of a choice.
template <class E>
BoundForm::Set<int> set_row(Workbench& bench, E Shelf::*member) {
    return [&bench, member](Job& job, int row) { set(bench, member)(job, static_cast<E>(row)); };
}

/// A member of the selected shelf's way of hanging, where it is this one.
template <class How, class T>
BoundForm::Get<T> get(Workbench& bench, T How::*member) {
    return [&bench, member]() -> std::optional<T> {
        const How* how = bench.shelf() ? bench.shelf()->held<How>() : nullptr;
        return how ? std::optional{how->*member} : std::nullopt;
    };
}
template <class How, class T>
BoundForm::Set<T> set(Workbench& bench, T How::*member) {
    return [&bench, member](Job& job, T value) {
        Shelf* shelf = bench.shelf() ? find_shelf(job, bench.shelf()->id) : nullptr;
        if (How* how = shelf ? std::get_if<How>(&shelf->holding) : nullptr)
            how->*member = value;
    };
}
/// The plate of what hangs on one.
template <class T>
BoundForm::Get<T> get_plate(Workbench& bench, T Plate::*member, bool hidden_only = false) {
    return [&bench, member, hidden_only]() -> std::optional<T> {
        const Plate* plate = bench.shelf() ? plate_of(*bench.shelf()).plate : nullptr;
        if (!plate || (hidden_only && !bench.shelf()->held<OnHiddenBracket>()))
            return std::nullopt;
        return plate->*member;
    };
}
template <class T>
BoundForm::Set<T> set_plate(Workbench& bench, T Plate::*member) {
    return [&bench, member](Job& job, T value) {
        Shelf* shelf = bench.shelf() ? find_shelf(job, bench.shelf()->id) : nullptr;
        if (Plate* plate = shelf ? plate_in(*shelf) : nullptr)
            plate->*member = value;
    };
}
/// Yes and no as a choice.
BoundForm::Get<int> row_of(BoundForm::Get<bool> get) {
    return [get = std::move(get)]() -> std::optional<int> {
        const auto value = get();
        return value ? std::optional{*value ? 1 : 0} : std::nullopt;
    };
}
BoundForm::Set<int> from_row(BoundForm::Set<bool> set) {
    return [set = std::move(set)](Job& job, int row) { set(job, row == 1); };
}
/// A plain number of a way of hanging.
template <class How, class T>
BoundForm::Get<std::optional<double>> get_number(Workbench& bench, T How::*member) {
    return [&bench, member]() -> std::optional<std::optional<double>> {
        const How* how = bench.shelf() ? bench.shelf()->held<How>() : nullptr;
        if (!how)
            return std::nullopt;
        return std::optional<double>{static_cast<double>(how->*member)};
    };
}
template <class How, class T>
BoundForm::Set<std::optional<double>> set_number(Workbench& bench, T How::*member, double least = 0) {
    return [&bench, member, least](Job& job, std::optional<double> value) {
        set<How, T>(bench, member)(job, static_cast<T>(std::max(least, value.value_or(0))));
    };
}

} // namespace

void ShelfForm::build_place() {
    const QString more = tr("It must be more than 0");
    const Length least = Length::nanometres(1);
    heading(tr("What hangs there"));
    words(tr("Name"), "shelf-name", get(bench(), &Shelf::name), set(bench(), &Shelf::name));
    length(tr("Left end at"), "shelf-left", get(bench(), &Shelf::left), set(bench(), &Shelf::left));
    length(tr("Top, up"), "shelf-height", get(bench(), &Shelf::height), set(bench(), &Shelf::height));
    QStringList kinds;
    for (std::size_t i = 0; i < shelf_kinds; ++i)
        kinds << text(yes_square::words(static_cast<ShelfKind>(i)));
    choice(
        tr("Hangs on"), "shelf-kind", kinds,
        [this]() -> std::optional<int> {
            return bench().shelf() ? std::optional{static_cast<int>(kind_of(*bench().shelf()))} : std::nullopt;
        },
        [this](Job& job, int row) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            if (shelf && kind_of(*shelf) != static_cast<ShelfKind>(row))
                hang_as(static_cast<ShelfKind>(row), *shelf, *wall_of(job, shelf->id));
        });
    length(tr("Length"), "shelf-length", get(bench(), &Shelf::length), set(bench(), &Shelf::length), least, more);
    length(tr("Depth"), "shelf-depth", get(bench(), &Shelf::depth), set(bench(), &Shelf::depth), least, more);
}

void ShelfForm::build_board() {
    choice(
        tr("Made of"), "shelf-material", board_words(),
        [this]() -> std::optional<int> {
            const Shelf* shelf = bench().shelf();
            return shelf && !shelf->held<Fixture>() ? std::optional{static_cast<int>(shelf->material)} : std::nullopt;
        },
        set_row(bench(), &Shelf::material));
    length(tr("Thickness, up"), "shelf-thickness", get(bench(), &Shelf::thickness), set(bench(), &Shelf::thickness),
           Length::nanometres(1), tr("It must be more than 0"));
    choice(
        tr("Carries"), "shelf-load", load_words(),
        [this]() -> std::optional<int> {
            const Shelf* shelf = bench().shelf();
            return shelf && !shelf->held<Fixture>() && !shelf->held<HookRail>()
                       ? std::optional{static_cast<int>(shelf->load.kind)}
                       : std::nullopt;
        },
        [this](Job& job, int row) {
            if (Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr)
                shelf->load.kind = static_cast<LoadKind>(row);
        });
    number(
        tr("Own load"), "shelf-own-load", tr("kg/m"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench().shelf() || bench().shelf()->load.kind != LoadKind::own)
                return std::nullopt;
            return std::optional{bench().shelf()->load.own_kg_per_m};
        },
        [this](Job& job, std::optional<double> kg) {
            if (Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr)
                shelf->load.own_kg_per_m = kg.value_or(0);
        });
}

void ShelfForm::build_brackets() {
    const auto options = [this] {
        QStringList words;
        const ShelfPlan* plan = bench().shelf_plan();
        words << (plan && plan->bracket ? tr("%1 (best fit)").arg(text(plan->bracket->name)) : tr("Best fit"));
        for (const Bracket& bracket : bench().job().catalogue.brackets)
            words << text(bracket.name);
        return words;
    };
    choice(
        tr("Bracket"), "shelf-bracket", options,
        [this]() -> std::optional<int> {
            if (!bench().shelf() || !bench().shelf()->held<OnBrackets>())
                return std::nullopt;
            const auto& brackets = bench().job().catalogue.brackets;
            const auto named = std::ranges::find(brackets, bench().shelf()->bracket, &Bracket::id);
            return named == brackets.end() ? 0 : 1 + static_cast<int>(named - brackets.begin());
        },
        [this](Job& job, int row) {
            set(bench(), &Shelf::bracket)(job, row == 0 ? std::string{}
                                                        : job.catalogue.brackets[static_cast<std::size_t>(row - 1)].id);
        });
    number(
        tr("Packet says, each"), "bracket-rating", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            const ShelfPlan* plan = bench().shelf_plan();
            if (!plan || !plan->bracket || !bench().shelf()->held<OnBrackets>())
                return std::nullopt;
            const Bracket& bracket = *plan->bracket;
            if (!bracket.rating_n)
                return std::optional<double>{};
            return std::optional{*bracket.rating_n / standard_gravity / (bracket.rated_per_pair ? 2 : 1)};
        },
        [this](Job& job, std::optional<double> kg) {
            const ShelfPlan* plan = bench().shelf_plan();
            if (!plan || !plan->bracket)
                return;
            for (Bracket& bracket : job.catalogue.brackets)
                if (bracket.id == plan->bracket->id) {
                    bracket.rating_n = kg ? std::optional{*kg * standard_gravity} : std::nullopt;
                    bracket.rated_per_pair = false;
                }
        });
    choice(
        tr("Sag at most"), "sag-limit",
        QStringList{tr("1/200 of the span"), tr("1/300"), tr("1/384 (1/32 in a foot)"), tr("1/600")},
        [this]() -> std::optional<int> {
            const bool sags = bench().shelf() && !bench().shelf()->held<Fixture>();
            return sags ? std::optional{static_cast<int>(bench().job().rules.sag_limit)} : std::nullopt;
        },
        [](Job& job, int row) { job.rules.sag_limit = static_cast<SagLimit>(row); });
}

void ShelfForm::build_holding() {
    Workbench& b = bench();
    const QStringList no_yes{tr("no"), tr("yes")};
    choice(tr("Leg"), "bracket-leg-up", QStringList{tr("down, under the board"), tr("up, over the board")},
           row_of(get(b, &OnBrackets::leg_up)), from_row(set(b, &OnBrackets::leg_up)));

    length(tr("Upright"), "standard-length", get(b, &OnStandards::standard), set(b, &OnStandards::standard),
           Length::nanometres(1), tr("It must be more than 0"));
    length(tr("Slots every"), "standard-slots", get(b, &OnStandards::slot_pitch), set(b, &OnStandards::slot_pitch),
           Length::nanometres(1), tr("It must be more than 0"));
    length(tr("First slot down"), "standard-first-slot", get(b, &OnStandards::first_slot),
           set(b, &OnStandards::first_slot));
    length(tr("Top over the board"), "standard-over", get(b, &OnStandards::top_over), set(b, &OnStandards::top_over));
    length(tr("Screws every"), "standard-holes", get(b, &OnStandards::hole_every), set(b, &OnStandards::hole_every),
           10_mm, tr("It must be 10 mm or more"));

    length(tr("Offset inside"), "hidden-offset", get(b, &OnHiddenBracket::offset), set(b, &OnHiddenBracket::offset));
    length(tr("Bracket, long"), "plate-width", get_plate(b, &Plate::width, true), set_plate(b, &Plate::width),
           Length::nanometres(1), tr("It must be more than 0"));
    length(tr("Bracket, high"), "plate-height", get_plate(b, &Plate::height, true), set_plate(b, &Plate::height),
           Length::nanometres(1), tr("It must be more than 0"));
    length(tr("Its top below the shelf's"), "hidden-down", get(b, &OnHiddenBracket::down),
           set(b, &OnHiddenBracket::down));
    number(tr("Retaining screws"), "hidden-retaining", {}, get_number(b, &OnHiddenBracket::retaining_screws),
           set_number(b, &OnHiddenBracket::retaining_screws));
    length(tr("Thick at the holes"), "plate-thickness", get_plate(b, &Plate::thickness),
           set_plate(b, &Plate::thickness), Length::nanometres(1), tr("It must be more than 0"));
    length(tr("Holes, wide"), "plate-hole", get_plate(b, &Plate::hole_diameter), set_plate(b, &Plate::hole_diameter),
           Length::nanometres(1), tr("It must be more than 0"));
    number(
        tr("Sheet says, all of it"), "plate-rating", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            const Plate* plate = bench().shelf() ? plate_of(*bench().shelf()).plate : nullptr;
            if (!plate)
                return std::nullopt;
            return plate->rating_n ? std::optional{*plate->rating_n / standard_gravity} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            if (Plate* plate = shelf ? plate_in(*shelf) : nullptr)
                plate->rating_n = kg ? std::optional{*kg * standard_gravity} : std::nullopt;
        });

    length(tr("Rods, thick"), "rod-diameter", get(b, &OnHiddenRods::diameter), set(b, &OnHiddenRods::diameter), 1_mm,
           tr("It must be 1 mm or more"));
    length(tr("In the wall"), "rod-in-wall", get(b, &OnHiddenRods::in_wall), set(b, &OnHiddenRods::in_wall), 1_mm,
           tr("It must be 1 mm or more"));
    length(tr("In the shelf"), "rod-in-shelf", get(b, &OnHiddenRods::in_shelf), set(b, &OnHiddenRods::in_shelf), 1_mm,
           tr("It must be 1 mm or more"));
    choice(tr("Set in resin"), "rod-resin", no_yes, row_of(get(b, &OnHiddenRods::resin)),
           from_row(set(b, &OnHiddenRods::resin)));

    length(tr("Heads stand proud"), "keyhole-lip", get(b, &OnKeyholes::lip), set(b, &OnKeyholes::lip));
    length(tr("Slots, long"), "keyhole-slot", get(b, &OnKeyholes::slot), set(b, &OnKeyholes::slot));

    choice(tr("Strip on the left"), "cleat-left", no_yes, row_of(get(b, &OnCleats::left)),
           from_row(set(b, &OnCleats::left)));
    choice(tr("Strip at the back"), "cleat-back", no_yes, row_of(get(b, &OnCleats::back)),
           from_row(set(b, &OnCleats::back)));
    choice(tr("Strip on the right"), "cleat-right", no_yes, row_of(get(b, &OnCleats::right)),
           from_row(set(b, &OnCleats::right)));
    length(tr("Strips, up"), "cleat-breadth", get(b, &OnCleats::breadth), set(b, &OnCleats::breadth), 1_mm,
           tr("It must be 1 mm or more"));
    length(tr("Strips, thick"), "cleat-thickness", get(b, &OnCleats::thickness), set(b, &OnCleats::thickness), 1_mm,
           tr("It must be 1 mm or more"));
    number(tr("Screws in a side"), "cleat-screws", {}, get_number(b, &OnCleats::screws),
           set_number(b, &OnCleats::screws, 1));
    length(tr("Left wall leans in"), "cleat-left-leans", get(b, &OnCleats::left_leans), set(b, &OnCleats::left_leans));
    length(tr("Right wall leans in"), "cleat-right-leans", get(b, &OnCleats::right_leans),
           set(b, &OnCleats::right_leans));

    length(tr("Rail, thick"), "rail-board", get(b, &HookRail::board), set(b, &HookRail::board), 1_mm,
           tr("It must be 1 mm or more"));
    number(tr("Hooks"), "rail-hooks", {}, get_number(b, &HookRail::hooks), set_number(b, &HookRail::hooks, 1));
    number(tr("On each hook"), "rail-hook-kg", tr("kg"), get_number(b, &HookRail::kg_per_hook),
           set_number(b, &HookRail::kg_per_hook));

    choice(
        tr("Pole of"), "pole-stuff", QStringList{tr("wood"), tr("steel"), tr("aluminium")},
        [&b]() -> std::optional<int> {
            const Pole* pole = b.shelf() ? b.shelf()->held<Pole>() : nullptr;
            return pole ? std::optional{static_cast<int>(pole->stuff)} : std::nullopt;
        },
        [&b](Job& job, int row) { set(b, &Pole::stuff)(job, static_cast<PoleStuff>(row)); });
    length(tr("Wall of the tube"), "pole-wall", get(b, &Pole::wall), set(b, &Pole::wall));
    length(tr("Bracket plate, high"), "pole-plate", get(b, &Pole::plate), set(b, &Pole::plate), 25_mm,
           tr("It must be 25 mm or more"));

    number(tr("Weighs"), "fixture-mass", tr("kg"), get_number(b, &Fixture::mass_kg), set_number(b, &Fixture::mass_kg));
    number(tr("With in it"), "fixture-contents", tr("kg"), get_number(b, &Fixture::contents_kg),
           set_number(b, &Fixture::contents_kg));
    number(tr("Leaned on with"), "fixture-leaned", tr("N"), get_number(b, &Fixture::leaned_n),
           set_number(b, &Fixture::leaned_n));
}

void ShelfForm::build_boards() {
    const auto at_places = [this]() { return bench().shelf() && hangs_at_places(*bench().shelf()); };
    number(
        tr("Shelves, one under another"), "shelf-tiers", {},
        [this, at_places]() -> std::optional<std::optional<double>> {
            const Shelf* shelf = bench().shelf();
            if (!at_places() || !(shelf->held<OnBrackets>() || shelf->held<OnStandards>()))
                return std::nullopt;
            return std::optional{static_cast<double>(shelf->tiers)};
        },
        [this](Job& job, std::optional<double> number) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            if (!shelf)
                return;
            shelf->tiers = std::clamp(static_cast<int>(number.value_or(1)), 1, most_tiers);
            if (shelf->tiers > 1 && shelf->rise == Length{})
                shelf->rise = usual_rise;
        });
    length(
        tr("From top to top"), "shelf-rise",
        [this]() -> std::optional<Length> {
            return bench().shelf() && bench().shelf()->tiers > 1 ? std::optional{bench().shelf()->rise} : std::nullopt;
        },
        set(bench(), &Shelf::rise), 1_mm, tr("It must be 1 mm or more"));
    choice(
        tr("Lip along the front"), "shelf-lip",
        QStringList{tr("none"), tr("oak, 20 x 40"), tr("as the board, 20 x 40")},
        [this]() -> std::optional<int> {
            const Shelf* shelf = bench().shelf();
            if (!shelf || !(shelf->held<OnBrackets>() || shelf->held<OnCleats>() || shelf->held<OnStandards>()))
                return std::nullopt;
            return !shelf->lip ? 0 : (shelf->lip->material == BoardMaterial::red_oak ? 1 : 2);
        },
        [this](Job& job, int row) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            if (!shelf)
                return;
            shelf->lip.reset();
            if (row > 0)
                shelf->lip = Lip{row == 1 ? BoardMaterial::red_oak : shelf->material, 20_mm, 40_mm, {}};
        });
}

} // namespace yes_square::app
