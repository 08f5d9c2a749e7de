#include "app/layout/shelf_form.hpp"

#include "core/measure/conversions.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/field_form.hpp"
#include "core/job/fields.hpp"
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
    return [&bench, member](Job& job, int row) { set(bench, member)(job, at_row<E>(row)); };
}

/// The selected shelf's way of hanging, where it is this one: what FieldForm asks of a form.
template <class How>
class HowForm {
public:
    explicit HowForm(ShelfForm& form)
        : form_{form} {}

    template <class T>
    BoundForm::Get<T> read(std::function<T(const How&)> of) const {
        return [&bench = form_.bench(), of]() -> std::optional<T> {
            const How* how = bench.shelf() ? std::get_if<How>(&bench.shelf()->holding) : nullptr;
            return how ? std::optional<T>{std::in_place, of(*how)} : std::nullopt;
        };
    }
    template <class T>
    BoundForm::Set<T> write(std::function<void(How&, T)> to) const {
        return [&bench = form_.bench(), to](Job& job, T value) {
            Shelf* shelf = bench.shelf() ? find_shelf(job, bench.shelf()->id) : nullptr;
            if (How* how = shelf ? std::get_if<How>(&shelf->holding) : nullptr)
                to(*how, value);
        };
    }
    void words(auto&&... row) { form_.words(row...); }
    void length(auto&&... row) { form_.length(row...); }
    void choice(auto&&... row) { form_.choice(row...); }
    void number(auto&&... row) { form_.number(row...); }

private:
    ShelfForm& form_;
};

/// The plate of what hangs on one.
template <class T>
BoundForm::Get<T> get_plate(Workbench& bench, T Plate::*member, bool hidden_only = false) {
    return [&bench, member, hidden_only]() -> std::optional<T> {
        const Plate* plate = bench.shelf() ? plate_of(*bench.shelf()).plate : nullptr;
        if (!plate || (hidden_only && plate_of(*bench.shelf()).whole))
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

} // namespace

void ShelfForm::build_place() {
    const QString more = tr("It must be more than 0");
    const Length least = Length::nanometres(1);
    heading(tr("What hangs there"));
    words(tr("Name"), "shelf-name", get(bench(), &Shelf::name), set(bench(), &Shelf::name));
    length(tr("Left end at"), "shelf-left", get(bench(), &Shelf::left), set(bench(), &Shelf::left));
    length(tr("Top, up"), "shelf-height", get(bench(), &Shelf::height), set(bench(), &Shelf::height));
    QStringList kinds;
    for (const ShelfPreset& preset : shelf_presets())
        kinds << text(preset.words);
    choice(
        tr("Hangs on"), "shelf-kind", kinds,
        [this]() -> std::optional<int> {
            if (!bench().shelf())
                return std::nullopt;
            return static_cast<int>(std::ranges::find(shelf_presets(), preset_of(*bench().shelf())) -
                                    shelf_presets().begin());
        },
        [this](Job& job, int row) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            const ShelfPreset& preset = shelf_presets()[static_cast<std::size_t>(row)];
            if (shelf && preset_of(*shelf) != preset)
                hang_as(preset, *shelf, *wall_of(job, shelf->id));
        });
    length(tr("Length"), "shelf-length", get(bench(), &Shelf::length), set(bench(), &Shelf::length), least, more);
    length(tr("Depth"), "shelf-depth", get(bench(), &Shelf::depth), set(bench(), &Shelf::depth), least, more);
}

void ShelfForm::build_board() {
    choice(
        tr("Made of"), "shelf-material", words_of<BoardMaterial>(),
        [this]() -> std::optional<int> {
            const Shelf* shelf = bench().shelf();
            return shelf && !way_of(*shelf).whole(*shelf) ? std::optional{row_for(shelf->material)} : std::nullopt;
        },
        set_row(bench(), &Shelf::material));
    length(tr("Thickness, up"), "shelf-thickness", get(bench(), &Shelf::thickness), set(bench(), &Shelf::thickness),
           Length::nanometres(1), tr("It must be more than 0"));
    choice(
        tr("Carries"), "shelf-load", words_of<LoadKind>(),
        [this]() -> std::optional<int> {
            const Shelf* shelf = bench().shelf();
            return shelf && way_of(*shelf).carries_goods() ? std::optional{row_for(shelf->load.kind)} : std::nullopt;
        },
        [this](Job& job, int row) {
            if (Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr)
                shelf->load.kind = at_row<LoadKind>(row);
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
            if (!bench().shelf() || !way_of(*bench().shelf()).chooses_bracket())
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
            if (!plan || !plan->bracket || !way_of(*bench().shelf()).chooses_bracket())
                return std::nullopt;
            const Bracket& bracket = *plan->bracket;
            if (!bracket.rating_n)
                return std::optional<double>{};
            return std::optional{mass_kg(*bracket.rated_each_n())};
        },
        [this](Job& job, std::optional<double> kg) {
            const ShelfPlan* plan = bench().shelf_plan();
            if (!plan || !plan->bracket)
                return;
            for (Bracket& bracket : job.catalogue.brackets)
                if (bracket.id == plan->bracket->id) {
                    bracket.rating_n = kg ? std::optional{weight_n(*kg)} : std::nullopt;
                    bracket.rated_per_pair = false;
                }
        });
    choice(
        tr("Sag at most"), "sag-limit", words_of<SagLimit>(),
        [this]() -> std::optional<int> {
            const bool sags = bench().shelf() && !way_of(*bench().shelf()).whole(*bench().shelf());
            return sags ? std::optional{row_for(bench().job().rules.sag_limit)} : std::nullopt;
        },
        [](Job& job, int row) { job.rules.sag_limit = at_row<SagLimit>(row); });
}

void ShelfForm::build_holding() {
    Workbench& b = bench();
    [this]<std::size_t... Is>(std::index_sequence<Is...>) {
        const auto rows = [this]<class How>(std::string_view kind) {
            HowForm<How> form{*this};
            const FieldForm<How, HowForm<How>> of_its_members{form, kind};
        };
        (rows.template operator()<std::variant_alternative_t<Is, Holding>>(kind_names<Holding>[Is]), ...);
    }
    (std::make_index_sequence<std::variant_size_v<Holding>>{});

    length(tr("Bracket, long"), "plate-width", get_plate(b, &Plate::width, true), set_plate(b, &Plate::width),
           Length::nanometres(1), tr("It must be more than 0"));
    length(tr("Bracket, high"), "plate-height", get_plate(b, &Plate::height, true), set_plate(b, &Plate::height),
           Length::nanometres(1), tr("It must be more than 0"));
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
            return plate->rating_n ? std::optional{mass_kg(*plate->rating_n)} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            Shelf* shelf = bench().shelf() ? find_shelf(job, bench().shelf()->id) : nullptr;
            if (Plate* plate = shelf ? plate_in(*shelf) : nullptr)
                plate->rating_n = kg ? std::optional{weight_n(*kg)} : std::nullopt;
        });
}

void ShelfForm::build_boards() {
    number(
        tr("Shelves, one under another"), "shelf-tiers", {},
        [this]() -> std::optional<std::optional<double>> {
            const Shelf* shelf = bench().shelf();
            if (!shelf || !way_of(*shelf).boards_on_arms())
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
            if (!shelf || !way_of(*shelf).takes_lip())
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
