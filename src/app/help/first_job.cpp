#include "app/help/first_job.hpp"

#include "app/bench/words.hpp"

#include <QHBoxLayout>
#include <algorithm>

namespace yes_square::app {

FirstJob::FirstJob(Workbench& bench, QWidget* parent)
    : QFrame{parent}
    , bench_{bench}
    , words_{new QLabel{this}}
    , leave_{new QPushButton{this}} {
    setObjectName(QStringLiteral("first-job"));
    setFrameShape(QFrame::StyledPanel);
    words_->setObjectName(QStringLiteral("first-job-words"));
    words_->setWordWrap(true);
    leave_->setObjectName(QStringLiteral("first-job-leave"));
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(8, 4, 8, 4);
    row->addWidget(words_, 1);
    row->addWidget(leave_);
    // Sizes that a trade knows, in the unit of the hand.
    const auto said = [this](Length metric, Length inch) {
        const Unit unit = bench_.job().unit;
        return text(format(is_imperial(unit) ? inch : metric, voice(unit)));
    };
    const auto is = [this](Length length, Length metric, Length inch) {
        return length == (is_imperial(bench_.job().unit) ? inch : metric);
    };
    const auto studs_proved = [this] {
        return bench_.wall_plan()
                   ? std::ranges::count(bench_.wall_plan()->survey.studs, StudState::proved, &Stud::state)
                   : 0;
    };
    const auto shelf = [this]() -> const ShelfPlan* {
        const WallPlan* plan = bench_.wall_plan();
        return plan && !plan->shelves.empty() ? &plan->shelves.front() : nullptr;
    };
    const auto asked = [this]() -> const Shelf* {
        return wall() && !wall()->shelves.empty() ? &wall()->shelves.front() : nullptr;
    };
    steps_ = {
        {[=] {
             return tr("Your tape says the wall is %1 long. Type that under Survey, on the page \"Wall\", and Enter.")
                 .arg(said(3600_mm, 144_in));
         },
         [=, this] { return wall() && is(wall()->length, 3600_mm, 144_in); }},
        {[=] {
             return tr("A probe found wood on both edges of two studs, their middles %1 and %2 from the left end. Add "
                       "them on the page \"Walk\", as studs that are proved.")
                 .arg(said(800_mm, 32_in), said(1600_mm, 64_in));
         },
         [=] { return studs_proved() >= 2; }},
        {[=] { return tr("Now Layout: put a shelf on this wall."); }, [=] { return shelf() != nullptr; }},
        {[=] {
             return tr("Make it %1 long, its left end at %2: both studs are behind it then.")
                 .arg(said(1200_mm, 48_in), said(600_mm, 24_in));
         },
         [=] { return asked() && is(asked()->length, 1200_mm, 48_in) && is(asked()->left, 600_mm, 24_in); }},
        {[=] { return tr("Say what will stand on it: kitchen goods."); },
         [=] { return asked() && asked()->load.kind == LoadKind::kitchen; }},
        {[=] {
             return tr("The triangle in the line above says what is not right yet. Put it right, by its cures or your "
                       "own way, until the shelf holds.");
         },
         [=] { return shelf() && holds(*shelf()) == Holds::yes; }},
        {[=] { return tr("Fixings: look at its marks and its drilling, as they go to the wall."); },
         [=, this] { return seen_.contains(Seen::fixings); }},
        {[=] { return tr("Cut & kit: look at what is to be cut and taken along."); },
         [=, this] { return seen_.contains(Seen::cutting); }},
        {[=] { return tr("Print its sheets, or save them as PDF: what you take to the wall."); },
         [=, this] { return seen_.contains(Seen::sheets); }},
        {[=] { return tr("Fit: tick the first step, as you will when it is done."); },
         [=, this] { return !bench_.job().ticks.empty(); }},
    };
    connect(leave_, &QPushButton::clicked, this, [this] {
        hide();
        emit ended();
    });
    connect(&bench_, &Workbench::changed, this, &FirstJob::look);
    hide();
}

const Wall* FirstJob::wall() const {
    return bench_.wall();
}

void FirstJob::begin() {
    seen_.clear();
    step_ = 0;
    show();
    look();
    show_step();
}

void FirstJob::saw(Seen what) {
    if (isHidden())
        return;
    seen_.insert(what);
    look();
}

void FirstJob::look() {
    if (isHidden())
        return;
    const std::size_t before = step_;
    while (step_ < steps_.size() && steps_[step_].done())
        ++step_;
    if (step_ != before)
        show_step();
}

void FirstJob::show_step() {
    const bool over = step_ == steps_.size();
    words_->setText(
        over ? tr("That was a whole job, from the bare wall to the first step done. The rest of the steps is "
                  "ticked in the same way; nothing of this was kept but your job.")
             : tr("First job, %1 of %2: %3").arg(step_ + 1).arg(steps_.size()).arg(steps_[step_].words()));
    leave_->setText(over ? tr("Good") : tr("Leave it"));
}

} // namespace yes_square::app
