#include "app/sheets/sheet_parts.hpp"

#include "app/bench/words.hpp"
#include "core/sheets/elevation.hpp"

namespace yes_square::app {

QString under(const Job& job) {
    return tr("%1. %2, %3").arg(text(job.title), text(job.client), text(job.place));
}

Drawing picture_of(const Wall& wall, const WallPlan& plan, const std::string& item, double width, double height,
                   const Voice& voice) {
    ElevationFrame frame;
    frame.width = width;
    frame.height = height;
    frame.text = 2.2;
    frame.rods = false;
    frame.selected_shelf = frame.selected_run = frame.selected_thing = item;
    return draw_elevation(wall, plan, frame, voice).drawing;
}

void write_tape(Page& page, const Tape& tape) {
    if (tape.turned)
        page.write(
            tape.from_right()
                ? tr("This one is measured from the RIGHT end of the wall, other than the rest: hook the tape on "
                     "there")
                : tr("This one is measured from the LEFT end of the wall, other than the rest: hook the tape on "
                     "there"),
            body_type, true);
    else if (tape.from_right())
        page.write(tr("Measured from the RIGHT end of the wall: hook the tape on there"), body_type, true);
}

void write_steps(Page& page, const std::vector<Step>& steps, const Voice& voice) {
    page.heading(tr("Steps"));
    int number = 1;
    for (const Step& step : steps) {
        page.item(QString::number(number++),
                  (step.hold_point ? tr("HOLD. ") : QString{}) + text(say(step.words, voice)), true);
        if (step.lift)
            for (const Sentence& mind : lift_words(*step.lift))
                page.write(text(say(mind, voice)), small_type, false, 8);
    }
}

} // namespace yes_square::app
