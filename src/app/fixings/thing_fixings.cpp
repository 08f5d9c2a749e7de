#include "app/fixings/thing_fixings.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/heading.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/fixings/fix_with.hpp"
#include "core/fixings/drilling.hpp"
#include "core/reckon/chosen.hpp"
#include "core/sheets/summary.hpp"

#include <QVBoxLayout>

namespace yes_square::app {

ThingFixings::ThingFixings(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , words_{new QLabel{this}}
    , marks_{read_only_table({tr("Where"), tr("At"), tr("Up"), tr("Holds in"), tr("Used")}, "thing-marks", this)}
    , parts_heading_{heading_label(tr("Parts"), this)}
    , parts_{read_only_table({tr("Label"), tr("Part"), tr("Long"), tr("Broad"), tr("Thick")}, "thing-parts", this)} {
    words_->setObjectName(QStringLiteral("thing-fixing-words"));
    words_->setWordWrap(true);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(words_);
    column->addWidget(heading_label(tr("Marks on the wall"), this));
    grow_to_rows(*marks_);
    grow_to_rows(*parts_);
    column->addWidget(marks_);
    column->addWidget(parts_heading_);
    column->addWidget(parts_);
    column->addWidget(new FixWith{bench});
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &ThingFixings::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ThingFixings::refresh);
    refresh();
}

QString ThingFixings::used(Utilisation utilisation) const {
    return shown(ratio(utilisation));
}

QString ThingFixings::screw_words(const Fixing& fixing) const {
    return tr("%1, %2 long. Pilot %3, tape on the bit at %4 from the face of the wall, %5 in the wood or masonry.")
        .arg(text(fixing.name), shown(stock(fixing.screw_length)), shown(stock(fixing.hole_diameter)),
             shown(stock(fixing.drill_depth)), shown(stock(fixing.penetration)));
}

/// Of all its holes; where they are not fixed alike, with which.
QString ThingFixings::screws_words(const ThingPlan& plan) const {
    const std::vector<FixedAlike> all = fixed_alike(plan.holes);
    QStringList lines;
    for (const FixedAlike& alike : all) {
        QStringList where;
        for (const PlannedHole* hole : alike.holes)
            where << text(say(yes_square::words(hole->spot, plan), bench_.voice()));
        lines << (all.size() == 1 ? screw_words(alike.fixing())
                                  : tr("%1: %2").arg(where.join(QStringLiteral("; ")), screw_words(alike.fixing())));
    }
    return lines.join(QLatin1Char('\n'));
}

void ThingFixings::refresh() {
    marks_->setRowCount(0);
    parts_->setRowCount(0);
    words_->clear();
    if (const SystemPlan* of_system = bench_.selected_plan<StorageSystem>())
        system(*of_system);
    if (const PiecePlan* of_piece = bench_.selected_plan<Piece>())
        piece(*of_piece);
    if (const BoxPlan* of_box = bench_.selected_plan<WallBox>()) {
        for (const BoxPart& part : of_box->pieces)
            add_row(parts_, {QString::number(part.number), text(say(part.what, bench_.voice())), bare(part.length),
                             bare(part.breadth), bare(part.thickness)});
        unit(of_box->hang);
    }
    if (const HungPlan* of_hung = bench_.selected_plan<HungCabinet>())
        unit(of_hung->wanted);
    for_each_kind(ListedKinds{}, [this]<class Kind>() {
        if (const ThingPlan* plan = bench_.selected_plan<Kind>())
            listed(*plan);
    });
    const bool parts = parts_->rowCount() > 0;
    parts_->setVisible(parts);
    parts_heading_->setVisible(parts);
}

void ThingFixings::system(const SystemPlan& plan) {
    words_->setText(screws_words(plan));
    for (const BayPlan& bay : plan.bays)
        for (const BayCleat& cleat : bay.cleats)
            for (const PlannedHole& screw : cleat.screws)
                add_row(marks_,
                        {text(cleat.shelf), bare(screw.x), bare(screw.z),
                         text(say(yes_square::words(screw.substrate), bench_.voice())), used(screw.utilisation)},
                        QStringLiteral("bay/%1/cleat").arg(bay.number));
    for (const CutPart& part : plan.parts)
        add_row(parts_, {text(part.label), text(say(part.what, bench_.voice())), bare(part.length), bare(part.breadth),
                         bare(part.thickness())});
}

void ThingFixings::piece(const PiecePlan& plan) {
    if (plan.fixing)
        words_->setText(screws_words(plan) + QStringLiteral("\n") +
                        tr("Each place must bear %1.").arg(shown(quantity(plan.each))));
    for (std::size_t i = 0; i < plan.holes.size(); ++i) {
        const PlannedHole& place = plan.holes[i];
        add_row(marks_,
                {tr("place %1").arg(i + 1), bare(place.x), bare(place.z),
                 text(say(yes_square::words(place.substrate), bench_.voice())), used(place.utilisation)},
                QStringLiteral("fixing"));
    }
}

void ThingFixings::listed(const ThingPlan& plan) {
    words_->setText(screws_words(plan));
    for (const PlannedHole& hole : plan.holes)
        add_row(marks_,
                {tr("screw %1").arg(hole.place + 1), bare(hole.x), bare(hole.z),
                 text(say(yes_square::words(hole.substrate), bench_.voice())), used(hole.utilisation)},
                QStringLiteral("fixing"));
    for (const CutPart& part : plan.parts)
        add_row(parts_, {text(part.label), text(say(part.name, bench_.voice())), bare(part.length), bare(part.breadth),
                         bare(part.thickness())});
}

void ThingFixings::unit(const UnitPlan& plan) {
    if (plan.fixing)
        words_->setText(
            screw_words(*plan.fixing) + QStringLiteral("\n") +
            tr("Loaded with %1 the worst pulls %2 and shears %3.")
                .arg(shown(quantity(plan.loaded_mass)), shown(quantity(plan.tension)), shown(quantity(plan.shear))));
    for (const PlannedHole& hole : plan.holes)
        add_row(marks_,
                {hole.row == 0 ? tr("top") : tr("bottom"), bare(hole.x), bare(hole.z),
                 text(say(yes_square::words(hole.substrate), bench_.voice())), used(plan.utilisation)},
                QStringLiteral("fixing"));
}

} // namespace yes_square::app
