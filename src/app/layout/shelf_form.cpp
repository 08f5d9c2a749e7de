#include "app/layout/shelf_form.hpp"

#include "app/bench/field_form.hpp"
#include "app/catalogue/at_hand.hpp"
#include "app/layout/one_of_mine.hpp"
#include "core/job/own_entries.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/pole_height.hpp"

#include <algorithm>

namespace yes_square::app {
namespace {

constexpr Length usual_rise = 350_mm;
constexpr Length lip_breadth = 20_mm;
constexpr Length lip_height = 40_mm;
constexpr Length stretcher_height = 60_mm;

using When = PartAccess<Shelf>::When;

bool is_whole(const Shelf& shelf) {
    return way_of(shelf).whole(shelf).has_value();
}

/// The selected shelf's way of hanging, where it is this one.
template <class How>
PartAccess<How> way_access(Workbench& bench, const PartAccess<Shelf>& shelf) {
    return {[&bench] { return bench.shelf() ? std::get_if<How>(&bench.shelf()->holding) : nullptr; },
            [shelf](Job& job, const std::function<void(How&)>& to) {
                shelf.change(job, [&](Shelf& changed) {
                    if (How* how = std::get_if<How>(&changed.holding))
                        to(*how);
                });
            }};
}

} // namespace

ShelfForm::ShelfForm(Workbench& bench, QWidget* parent)
    : PartForm{bench, parent} {
    build_place();
    build_board();
    build_make_up();
    build_brackets();
    build_others();
    build_hangers();
    build_holding();
    refresh();
}

void ShelfForm::build_place() {
    heading(tr("What hangs there"));
    FieldForm<Shelf> rows{*this, "shelf"};
    QStringList kinds;
    for (const ShelfPreset& preset : shelf_presets())
        kinds << core_words(preset.words);
    choice(tr("Hangs on"), "shelf-kind", kinds, read<int>([](const Shelf& shelf) {
               return static_cast<int>(std::ranges::find(shelf_presets(), preset_of(shelf)) - shelf_presets().begin());
           }),
           [this](Job& job, int row) {
               const ShelfPreset& preset = shelf_presets()[static_cast<std::size_t>(row)];
               change(job, [&](Shelf& shelf) {
                   if (preset_of(shelf) != preset)
                       hang_as(preset, shelf, *wall_of(job, shelf.id));
               });
           });
    rows.row("left").row("height").row("length").row("depth");
    // A pole's height is thought of by its window.
    const auto over_window = [this](const Shelf& shelf) {
        return std::holds_alternative<Pole>(shelf.holding) && bench().wall()
                   ? pole_room(*bench().wall(), shelf, bench().job().rules)
                   : std::nullopt;
    };
    number(tr("Of the way from window to ceiling"), "pole-share", {{}, Range::fraction, 1, {}, false},
           read<std::optional<double>>(
               [over_window](const Shelf& shelf) -> std::optional<double> {
                   const auto room = over_window(shelf);
                   return room ? std::optional{pole_share(*room, shelf.height)} : std::nullopt;
               },
               [over_window](const Shelf& shelf) {
                   const auto room = over_window(shelf);
                   return room && room->ceiling > room->trim;
               }),
           write<std::optional<double>>([over_window](Shelf& shelf, std::optional<double> share) {
               if (const auto room = over_window(shelf); room && share)
                   shelf.height = pole_height(*room, *share);
           }));
}

void ShelfForm::build_board() {
    const When boards = [](const Shelf& shelf) { return way_of(shelf).boards_on_arms(); };
    FieldForm<Shelf> rows{*this, "shelf"};
    rows.row("load", [](const Shelf& shelf) { return way_of(shelf).carries_goods(); })
        .row("own_load_kg_per_m", [](const Shelf& shelf) { return shelf.load.kind == LoadKind::own; });
    fold(tr("Name and board"), "shelf-fold-board");
    rows.row("name")
        .row("measured_from")
        .row("material", [](const Shelf& shelf) { return !is_whole(shelf); })
        .row("thickness");
    // The first shelf under another finds its distance.
    number(tr("Shelves, one under another"), "shelf-tiers",
           {{}, Range::more_than_zero, static_cast<double>(most_of_count("tiers")), {}, false},
           read<std::optional<double>>([](const Shelf& shelf) { return std::optional<double>{shelf.tiers}; }, boards),
           write<std::optional<double>>([](Shelf& shelf, std::optional<double> tiers) {
               shelf.tiers = std::max(1, static_cast<int>(tiers.value_or(1)));
               if (shelf.tiers > 1 && shelf.rise == Length{})
                   shelf.rise = usual_rise;
           }));
    rows.row("rise", [](const Shelf& shelf) { return shelf.tiers > 1; });
    choice(
        tr("Lip along the front"), "shelf-lip",
        [this] {
            const auto shown = [this](Length length) { return text(format_bare(length, bench().voice())); };
            return QStringList{tr("none"), tr("oak, %1 x %2").arg(shown(lip_breadth), shown(lip_height)),
                               tr("as the board, %1 x %2").arg(shown(lip_breadth), shown(lip_height))};
        },
        read<int>(
            [](const Shelf& shelf) { return !shelf.lip ? 0 : (shelf.lip->material == BoardMaterial::red_oak ? 1 : 2); },
            [](const Shelf& shelf) { return way_of(shelf).takes_lip(); }),
        write<int>([](Shelf& shelf, int row) {
            shelf.lip.reset();
            if (row > 0)
                shelf.lip = Lip{row == 1 ? BoardMaterial::red_oak : shelf.material, lip_breadth, lip_height, {}};
        }));
}

void ShelfForm::build_make_up() {
    fold(tr("Solid or hollow"), "shelf-fold-hollow");
    const When board = [](const Shelf& shelf) { return way_of(shelf).is_board(); };
    choice(tr("The board is"), "shelf-hollow",
           QStringList{tr("solid, of one stuff"), tr("hollow, two skins on a frame")},
           read<int>([](const Shelf& shelf) { return shelf.hollow ? 1 : 0; }, board),
           write<int>([](Shelf& shelf, int row) {
               if (row == 0)
                   shelf.hollow.reset();
               else if (!shelf.hollow)
                   shelf.hollow = way_of(shelf).make_up().value_or(HollowBoard{});
           }));
    const PartAccess<HollowBoard> hollow{[this, board] {
                                             const Shelf* shelf = bench().shelf();
                                             return shelf && shelf->hollow && board(*shelf) ? &*shelf->hollow : nullptr;
                                         },
                                         [this](Job& job, const std::function<void(HollowBoard&)>& to) {
                                             change(job, [&](Shelf& shelf) {
                                                 if (shelf.hollow)
                                                     to(*shelf.hollow);
                                             });
                                         }};
    FieldForm<HollowBoard>{*this, hollow, "hollow"}.all();
    FieldForm<Shelf>{*this, "shelf"}.row("board_kg", board);
}

void ShelfForm::build_brackets() {
    fold(tr("Brackets and sag"), "shelf-fold-brackets");
    const When chooses = [](const Shelf& shelf) { return way_of(shelf).chooses_bracket(); };
    choice(
        tr("Bracket"), "shelf-bracket",
        [this] {
            QStringList words;
            const ShelfPlan* plan = bench().shelf_plan();
            words << (plan && plan->bracket ? tr("%1 (best fit)").arg(text(plan->bracket->name)) : tr("Best fit"));
            for (const Bracket& bracket : bench().job().catalogue.brackets)
                words << text(bracket.name);
            return words;
        },
        read<int>(
            [this](const Shelf& shelf) {
                const auto& brackets = bench().job().catalogue.brackets;
                const auto named = std::ranges::find(brackets, shelf.bracket, &Bracket::id);
                return named == brackets.end() ? 0 : 1 + static_cast<int>(named - brackets.begin());
            },
            chooses),
        [this](Job& job, int row) {
            const std::string id =
                row == 0 ? std::string{} : job.catalogue.brackets[static_cast<std::size_t>(row - 1)].id;
            change(job, [&](Shelf& shelf) { shelf.bracket = id; });
        });
    const auto used = [this]() -> const Bracket* {
        const ShelfPlan* plan = bench().shelf_plan();
        return plan && plan->bracket && way_of(*bench().shelf()).chooses_bracket() ? &*plan->bracket : nullptr;
    };
    button(
        tr("Another, that I have in my hand..."), "shelf-other-bracket",
        [this] { return bench().shelf() && way_of(*bench().shelf()).chooses_bracket(); },
        [this, used] { enter_bracket(used() ? used()->id : std::string{}); });
    const PartAccess<Bracket> bracket{used, [used](Job& job, const std::function<void(Bracket&)>& to) {
                                          for (Bracket& each : job.catalogue.brackets)
                                              if (used() && each.id == used()->id)
                                                  to(each);
                                      }};
    FieldForm<Bracket>{*this, bracket, "bracket"}
        .row("rating_n", {}, {}, "rating")
        .row("rated_per_pair")
        .row("basis")
        .row("marks_through");
    choice(tr("Sag at most"), "sag-limit", words_of<SagLimit>(),
           read<int>([this](const Shelf&) { return row_for(bench().job().rules.sag_limit); },
                     [](const Shelf& shelf) { return !is_whole(shelf); }),
           [](Job& job, int row) { job.rules.sag_limit = at_row<SagLimit>(row); });
    FieldForm<Shelf>{*this, "shelf"}
        .row("drilled", [chooses](const Shelf& shelf) { return chooses(shelf) && !shelf.pins.empty(); })
        .row("loose", [](const Shelf& shelf) { return way_of(shelf).boards_on_arms(); })
        .row("coats")
        .row("out_of_reach");
}

namespace {

bool has_other(const Shelf& shelf, OtherKind kind) {
    return std::ranges::find(shelf.others, kind, &OtherSupport::kind) != shelf.others.end();
}

} // namespace

/// What carries the boards besides brackets; where legs and rods stand is typed among what is along the shelf.
void ShelfForm::build_others() {
    fold(tr("End strips, legs, rods, stretcher"), "shelf-fold-others");
    const When brackets = [](const Shelf& shelf) { return way_of(shelf).chooses_bracket(); };
    choice(tr("Strips on the side walls"), "shelf-end-strips",
           QStringList{tr("none"), tr("left"), tr("right"), tr("left and right")},
           read<int>(
               [](const Shelf& shelf) {
                   return (has_other(shelf, OtherKind::left_strip) ? 1 : 0) +
                          (has_other(shelf, OtherKind::right_strip) ? 2 : 0);
               },
               brackets),
           write<int>([](Shelf& shelf, int row) {
               std::erase_if(shelf.others, [](const OtherSupport& other) {
                   return other.kind == OtherKind::left_strip || other.kind == OtherKind::right_strip;
               });
               if (row & 1)
                   shelf.others.push_back({OtherKind::left_strip});
               if (row & 2)
                   shelf.others.push_back({OtherKind::right_strip});
           }));
    const PartAccess<OtherSizes> sizes{[this, brackets] {
                                           const Shelf* shelf = bench().shelf();
                                           return shelf && brackets(*shelf) && !shelf->others.empty()
                                                      ? &shelf->other_sizes
                                                      : nullptr;
                                       },
                                       [this](Job& job, const std::function<void(OtherSizes&)>& to) {
                                           change(job, [&](Shelf& shelf) { to(shelf.other_sizes); });
                                       }};
    FieldForm<OtherSizes>{*this, sizes, "other"}.all();
    const PartAccess<OnHiddenRods> rods{[this, brackets] {
                                            const Shelf* shelf = bench().shelf();
                                            return shelf && brackets(*shelf) && has_other(*shelf, OtherKind::rod)
                                                       ? &shelf->other_sizes.rods
                                                       : nullptr;
                                        },
                                        [this](Job& job, const std::function<void(OnHiddenRods&)>& to) {
                                            change(job, [&](Shelf& shelf) { to(shelf.other_sizes.rods); });
                                        }};
    FieldForm<OnHiddenRods>{*this, rods, "other-rods"}.all();
    choice(
        tr("Stretcher under it"), "shelf-stretcher",
        [this] {
            const auto shown = [this](Length length) { return text(format_bare(length, bench().voice())); };
            return QStringList{tr("none"), tr("as the board, %1 x %2").arg(shown(lip_breadth), shown(stretcher_height)),
                               tr("pine, %1 x %2").arg(shown(lip_breadth), shown(stretcher_height))};
        },
        read<int>(
            [](const Shelf& shelf) {
                return !shelf.stretcher ? 0 : shelf.stretcher->material == BoardMaterial::eastern_white_pine ? 2 : 1;
            },
            brackets),
        write<int>([](Shelf& shelf, int row) {
            shelf.stretcher.reset();
            if (row > 0)
                shelf.stretcher = Lip{
                    row == 2 ? BoardMaterial::eastern_white_pine : shelf.material, lip_breadth, stretcher_height, {}};
        }));
}

void ShelfForm::enter_bracket(const std::string& like) {
    const auto& brackets = bench().job().catalogue.brackets;
    if (!bench().shelf() || brackets.empty())
        return;
    auto* at_hand = new AtHand{bench(), window()};
    at_hand->setAttribute(Qt::WA_DeleteOnClose);
    const std::string own = at_hand->begin_bracket(like.empty() ? brackets.front().id : like);
    bench().apply(tr("Use my own bracket"), ChooseBracket{bench().shelf()->id, own});
    at_hand->open();
}

void ShelfForm::build_holding() {
    fold(tr("How it is held"), "shelf-fold-held");
    OneOfMine<Support> mine;
    mine.label = tr("Take one of mine");
    mine.choice = "shelf-support";
    mine.keep = "keep-support";
    mine.now = [this](const Job&) -> std::optional<Support> {
        const Shelf* shelf = bench().shelf();
        if (!shelf || way_of(*shelf).chooses_bracket())
            return std::nullopt;
        Support support;
        support.holding = shelf->holding;
        return support;
    };
    mine.suits = [](const Support& support, const Support& now) {
        return support.holding.index() == now.holding.index();
    };
    mine.alike = [](const Support& support, const Support& now) { return support.holding == now.holding; };
    mine.take = [this](Job& job, const Support& support) {
        change(job, [&](Shelf& shelf) { shelf.holding = support.holding; });
    };
    mine.put_by = [this](Catalogue& catalogue, const Support& support, std::size_t number) {
        const QString kind = text(say(preset_of(*bench().shelf()).words, bench().voice()));
        keep_support(catalogue, support.holding, tr("%1, mine %2").arg(kind).arg(number).toStdString());
    };
    take_one_of_mine(*this, bench(), mine);
    [this]<std::size_t... Is>(std::index_sequence<Is...>) {
        const auto rows = [this]<class How>(std::string_view kind) {
            FieldForm<How>{*this, way_access<How>(bench(), *this), kind}.all();
        };
        (rows.template operator()<std::variant_alternative_t<Is, Holding>>(kind_names<Holding>[Is]), ...);
    }
    (std::make_index_sequence<std::variant_size_v<Holding>>{});
    const PartAccess<Plate> plate{[this] { return bench().shelf() ? plate_of(*bench().shelf()).plate : nullptr; },
                                  [this](Job& job, const std::function<void(Plate&)>& to) {
                                      change(job, [&](Shelf& shelf) {
                                          if (Plate* of_it = plate_in(shelf))
                                              to(*of_it);
                                      });
                                  }};
    const auto hidden = [this](const Plate&) { return !plate_of(*bench().shelf()).whole; };
    FieldForm<Plate>{*this, plate, "plate"}
        .row("width", hidden)
        .row("height", hidden)
        .row("thickness")
        .row("hole_diameter")
        .row("rating_n")
        .row("marks_through");
    keep_one_of_mine(*this, bench(), mine);
}

/// What its hangers are; where they hang is typed among what is along the shelf.
void ShelfForm::build_hangers() {
    fold(tr("Hangers from the ceiling"), "shelf-fold-hangers");
    const When hangs = [](const Shelf& shelf) { return way_of(shelf).boards_on_arms() && !shelf.hangers.empty(); };
    OneOfMine<HangingGear> mine;
    mine.label = tr("Take one of mine");
    mine.choice = "shelf-hanger";
    mine.keep = "keep-hanger";
    mine.now = [this, hangs](const Job&) {
        const Shelf* shelf = bench().shelf();
        return shelf && hangs(*shelf) ? std::optional{gear_of(*shelf)} : std::nullopt;
    };
    mine.suits = [](const HangingGear& gear, const HangingGear&) { return !for_units(gear); };
    mine.alike = [](const HangingGear& gear, const HangingGear& now) {
        return gear.gear == now.gear && gear.rating == now.rating && gear.basis == now.basis;
    };
    mine.take = [this](Job& job, const HangingGear& gear) { change(job, [&](Shelf& shelf) { hang_on(shelf, gear); }); };
    mine.put_by = [](Catalogue& catalogue, const HangingGear& gear, std::size_t number) {
        keep_gear(catalogue, gear, tr("Ceiling hanger, mine %1").arg(number).toStdString());
    };
    take_one_of_mine(*this, bench(), mine);
    const PartAccess<CeilingHanger> hanger{[this, hangs]() -> const CeilingHanger* {
                                               const Shelf* shelf = bench().shelf();
                                               return shelf && hangs(*shelf) ? &shelf->hanger : nullptr;
                                           },
                                           [this](Job& job, const std::function<void(CeilingHanger&)>& to) {
                                               change(job, [&](Shelf& shelf) { to(shelf.hanger); });
                                           }};
    FieldForm<CeilingHanger>{*this, hanger, "hanger"}.all();
    FieldForm<Shelf>{*this, "shelf"}
        .row("hanger_rating_n", hangs)
        .row("hanger_basis", hangs)
        .row("hanger_spacer", hangs);
    keep_one_of_mine(*this, bench(), mine);
}

} // namespace yes_square::app
