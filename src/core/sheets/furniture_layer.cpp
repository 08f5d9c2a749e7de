#include "core/sheets/furniture_layer.hpp"

#include "core/sheets/lettering.hpp"
#include "core/sheets/pen.hpp"
#include "core/sheets/rods.hpp"
#include "core/storage/system_words.hpp"

#include <algorithm>

namespace yes_square {
namespace {

using Part = Reference::Part;

class FurnitureDrawer : Pen {
public:
    FurnitureDrawer(const ElevationScale& on_paper, const ElevationFrame& frame, const Voice& voice, Drawing& into)
        : Pen{on_paper, into}
        , frame_{frame}
        , voice_{voice} {}

    void draw(const StorageSystem& system, const SystemPlan& plan) {
        const Reference whole{Part::thing, system.id, 0, {}, {}};
        const bool chosen = selected(system.id);
        for (const WallThing& room : plan.room)
            rectangle(room.box, Ink::paper, Fill::plain, 0, whole);
        for (std::size_t i = 0; i < plan.bays.size(); ++i)
            bay(system, system.bays[i], plan.bays[i]);
        for (const PanelPlan& panel : plan.panels)
            rectangle({panel.left, panel.left + system.panel, panel.foot, panel.head}, board(chosen), Fill::plain, 0.25,
                      whole);
        for (const PanelPlan& panel : plan.panels)
            label(panel.label, scale.x(panel.left + system.panel / 2), scale.y(panel.head) - 0.35 * text(), 8 * text(),
                  0.9);
        if (chosen)
            for (const BayPlan& each : plan.bays)
                for (const BayCleat& cleat : each.cleats)
                    for (const PlannedHole& screw : cleat.screws)
                        fixing(screw.x, screw.z, !screw.in_strip() && cleat.utilisation.within(), whole);
        const double middle = scale.x(system.left + system.width / 2);
        label(system.name, middle, scale.y(plan.head) - 1.7 * text(), 1e9, 1, chosen);
    }

    void draw(const Piece& piece, const PiecePlan& plan) {
        const Reference whole{Part::thing, piece.id, 0, {}, {}};
        const bool chosen = selected(piece.id);
        rectangle({piece.left, piece.right(), {}, piece.height}, Ink::paper, Fill::plain, 0, whole);
        rectangle({piece.left, piece.right(), {}, piece.height}, board(chosen), Fill::light, chosen ? 0.7 : 0.4, whole);
        for (const Drawer& drawer : piece.drawers) {
            const Length inset = std::min(15_mm, piece.width / 10);
            rectangle({piece.left + inset, piece.right() - inset, drawer.top - drawer.height + 4_mm, drawer.top},
                      Ink::board, Fill::none, 0.25, whole);
        }
        for (int door = 1; door < piece.doors; ++door)
            upright(piece.left + piece.width * door / piece.doors, {}, piece.height, Ink::faint, 0.3);
        named(piece.name, words(plan.verdict), piece.left, piece.right(), piece.height / 2, piece.height, chosen,
              whole);
        for (const PlannedHole& place : plan.holes)
            fixing(place.x, place.z, !place.in_strip() && plan.verdict == PieceVerdict::held, whole);
    }

    void draw(const WallBox& box, const BoxPlan& plan) {
        const Reference whole{Part::thing, box.id, 0, {}, {}};
        const bool chosen = selected(box.id);
        rectangle({box.left, box.right(), box.bottom(), box.top}, Ink::paper, Fill::plain, 0, whole);
        rectangle({box.left, box.right(), box.bottom(), box.top}, board(chosen), Fill::light, chosen ? 0.7 : 0.4,
                  whole);
        if (box.width > 2 * box.side && box.height > 2 * box.side)
            rectangle({box.left + box.side, box.right() - box.side, box.bottom() + box.side, box.top - box.side},
                      Ink::board, Fill::none, 0.2, whole);
        for (const Length top : plan.shelf_tops)
            rectangle({box.left + box.side, box.right() - box.side, top - box.side, top}, board(chosen), Fill::plain,
                      0.15, whole);
        holes(plan.hang, whole);
        label(box.name, scale.x(box.left + box.width / 2), scale.y(box.bottom()) + 1.15 * text(),
              1.6 * (scale.x(box.right()) - scale.x(box.left)), 1, chosen);
    }

    void draw(const HungCabinet& hung, const HungPlan& plan) {
        const Reference whole{Part::thing, hung.id, 0, {}, {}};
        const bool chosen = selected(hung.id);
        const Length right = hung.left + hung.unit.width;
        const Length bottom = hung.top - hung.unit.height;
        rectangle({hung.left, right, bottom, hung.top}, Ink::paper, Fill::plain, 0, whole);
        rectangle({hung.left, right, bottom, hung.top}, board(chosen), Fill::light, chosen ? 0.7 : 0.4, whole,
                  Stroke::dashed);
        named(hung.unit.name, words(plan.verdict), hung.left, right, bottom + hung.unit.height / 2, hung.top, chosen,
              whole);
        if (chosen)
            holes(plan.wanted, whole);
        for (const FoundVerdict& found : plan.found)
            fixing(found.x, found.z, found.counts, whole);
    }

    /// Of a kind that says no more of itself than the room it takes.
    void draw(const auto&, const ThingPlan& plan) {
        for (const WallThing& room : plan.room)
            draw_room(room, plan);
    }

private:
    /// The room it takes, its name and its holes.
    void draw_room(const WallThing& room, const ThingPlan& plan) {
        const Reference whole{Part::thing, room.id, 0, {}, {}};
        const bool chosen = selected(room.id);
        const Outline& box = room.box;
        rectangle({box.left, box.right, box.bottom, box.top}, Ink::paper, Fill::plain, 0, whole);
        rectangle({box.left, box.right, box.bottom, box.top}, board(chosen), Fill::light, chosen ? 0.7 : 0.4, whole);
        for (const PlannedHole& hole : plan.holes)
            fixing(hole.x, hole.z,
                   !hole.in_strip() && hole.utilisation.within() &&
                       (hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry),
                   whole);
        label(room.name, (scale.x(box.left) + scale.x(box.right)) / 2, scale.y(box.bottom) + 1.15 * text(),
              1.6 * (scale.x(box.right) - scale.x(box.left)), 1, chosen);
    }

    bool selected(const std::string& id) const { return id == frame_.selected_thing; }
    double text() const { return frame_.text; }
    static Ink board(bool chosen) { return chosen ? Ink::board_selected : Ink::board; }

    void upright(Length x, Length from, Length to, Ink ink, double width) {
        add(Line{{scale.x(x), scale.y(from)}, {scale.x(x), scale.y(to)}, ink, width, Stroke::solid});
    }
    void fixing(Length x, Length z, bool sure, Reference reference) {
        add(Circle{{scale.x(x), scale.y(z)},
                   std::max(0.55, 0.009 * scale.per_metre),
                   sure ? Ink::hole : Ink::alarm,
                   sure ? Fill::plain : Fill::none},
            std::move(reference));
    }
    void holes(const UnitPlan& unit, const Reference& reference) {
        for (const PlannedHole& hole : unit.holes)
            fixing(hole.x, hole.z, hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry,
                   reference);
    }
    void label(const std::string& words, double middle, double baseline, double room, double size, bool bold = false,
               const Reference& reference = {}) {
        if (text_width(words, size * text(), bold) <= room)
            add(Text{{middle, baseline}, words, size * text(), Align::centre, Ink::figure, bold}, reference);
    }
    /// A thing's name with its verdict under it, where there is room; else over it.
    void named(const std::string& name, std::string_view verdict, Length left, Length right, Length z, Length top,
               bool chosen, const Reference& reference) {
        const double room = scale.x(right) - scale.x(left) - 0.6 * text();
        const double middle = (scale.x(left) + scale.x(right)) / 2;
        const bool inside = text_width(name, text(), chosen) <= room;
        label(name, middle, inside ? scale.y(z) : scale.y(top) - 0.5 * text(), 1.6 * room, 1, chosen, reference);
        label(say(verdict, voice_), middle, scale.y(z) + 1.35 * text(), room, 0.9, false, reference);
    }

    void bay(const StorageSystem& system, const Bay& chosen_bay, const BayPlan& plan) {
        const bool chosen = chosen_bay.id == frame_.selected_bay;
        const Reference reference{Part::bay, chosen_bay.id, plan.number - 1, {}, {}};
        if (chosen)
            rectangle({plan.left, plan.right(), plan.sides.foot, plan.sides.head}, Ink::board_selected, Fill::light, 0,
                      reference);
        else
            rectangle({plan.left, plan.right(), plan.sides.foot, plan.sides.head}, Ink::paper, Fill::plain, 0,
                      reference);
        for (const Length top : plan.drawers)
            rectangle({plan.left + 3_mm, plan.right() - 3_mm, top - chosen_bay.drawer_height + 4_mm, top - 2_mm},
                      Ink::board, Fill::light, 0.25, reference);
        for (const BayCleat& cleat : plan.cleats)
            rectangle({cleat.left, cleat.left + cleat.length, cleat.z - system.cleat_breadth / 2,
                       cleat.z + system.cleat_breadth / 2},
                      Ink::bracket, Fill::none, 0.2, reference);
        for (const BayShelf& shelf : plan.shelves)
            rectangle({plan.left, plan.right(), shelf.top - system.panel, shelf.top},
                      board(chosen || selected(system.id)), shelf.what == ShelfOfBay::loose ? Fill::none : Fill::plain,
                      0.2, reference);
        // Of the bay in hand every part with the label that goes on it.
        if (chosen)
            for (const BayShelf& shelf : plan.shelves) {
                // Over its shelf at the right; under the topmost, over which the panels have their own, at the left.
                const bool topmost = &shelf == &plan.shelves.front();
                const Length under = shelf.top - system.panel - system.cleat_breadth;
                add(Text{{topmost ? scale.x(plan.left) + 0.3 * text() : scale.x(plan.right()) - 0.3 * text(),
                          topmost ? scale.y(under) + 0.85 * text() : scale.y(shelf.top) - 0.25 * text()},
                         shelf.label,
                         0.75 * text(),
                         topmost ? Align::left : Align::right,
                         Ink::figure,
                         true},
                    reference);
            }
        for (const BayRod& rod : plan.rods) {
            rectangle({plan.left + system.end_cup, plan.right() - system.end_cup, rod.z - system.rod_diameter / 2,
                       rod.z + system.rod_diameter / 2},
                      Ink::bracket, Fill::plain, 0.15, reference);
            hangers(plan, rod);
        }
        if (chosen_bay.door != DoorHinge::none && chosen_bay.door != DoorHinge::drawers)
            doors(chosen_bay.door, plan);
        const double room = scale.x(plan.right()) - scale.x(plan.left) - 0.4 * text();
        const double middle = (scale.x(plan.left) + scale.x(plan.right())) / 2;
        const double up = scale.y(plan.sides.foot) - 0.7 * text();
        // The bay's number always; what it is for where there is room.
        const std::string kind = say(words(chosen_bay.kind), voice_);
        const std::string both = std::to_string(plan.number) + ": " + kind;
        const bool fits = text_width(both, 0.9 * text(), chosen) <= room;
        label(fits ? both : std::to_string(plan.number), middle, up, 1e9, 0.9, chosen);
    }

    /// A few garments on a rod, as long as they have room.
    void hangers(const BayPlan& plan, const BayRod& rod) {
        const Length drop = rod.under * 3 / 4;
        for (const int sixth : {1, 2, 3, 4, 5})
            upright(plan.left + plan.width * sixth / 6, rod.z - drop, rod.z, Ink::faint, 0.2);
    }

    void doors(DoorHinge hinge, const BayPlan& plan) {
        const auto swing = [&](Length from, Length to) {
            const Length z = plan.sides.foot + (plan.sides.head - plan.sides.foot) / 2;
            add(Line{
                {scale.x(from), scale.y(z)}, {scale.x(to), scale.y(plan.sides.head)}, Ink::faint, 0.2, Stroke::dashed});
            add(Line{
                {scale.x(from), scale.y(z)}, {scale.x(to), scale.y(plan.sides.foot)}, Ink::faint, 0.2, Stroke::dashed});
        };
        const Length middle = plan.left + plan.width / 2;
        if (hinge == DoorHinge::left)
            swing(plan.left, plan.right());
        else if (hinge == DoorHinge::right)
            swing(plan.right(), plan.left);
        else {
            swing(plan.left, middle);
            swing(plan.right(), middle);
        }
    }

    const ElevationFrame& frame_;
    const Voice& voice_;
};

} // namespace

Drawing draw_bays_sketch(const std::vector<Stud>& studs, const SystemPlan& plan, Length panel, double width,
                         double height) {
    Drawing drawing{width, height, {}};
    if (plan.panels.empty())
        return drawing;
    const auto add = [&](auto form) { drawing.shapes.push_back({std::move(form), {}}); };
    constexpr double margin = 2;
    const Length left = plan.panels.front().left;
    const Length right = plan.panels.back().left + panel;
    const double per_metre = (width - 2 * margin) / std::max(1e-3, (right - left).in_metres());
    const auto x = [&](Length at) { return margin + (at - left).in_metres() * per_metre; };
    for (const Stud& stud : studs)
        if (stud.centre >= left && stud.centre <= right)
            add(Line{{x(stud.centre), 1},
                     {x(stud.centre), height - 1},
                     ink_of(stud.state),
                     stud.state == StudState::proved ? 1.0 : 0.5,
                     stroke_of(stud.state)});
    const double top = height * 0.15;
    for (std::size_t i = 0; i < plan.bays.size(); ++i) {
        const bool lost = std::ranges::find(plan.slide.lost, i) != plan.slide.lost.end();
        add(Rectangle{{x(plan.bays[i].left), top},
                      x(plan.bays[i].right()) - x(plan.bays[i].left),
                      height * 0.7,
                      lost ? Ink::alarm : Ink::board,
                      lost ? Fill::hatched : Fill::none,
                      0.3});
    }
    for (const PanelPlan& each : plan.panels)
        add(Rectangle{{x(each.left), top},
                      std::max(0.5, panel.in_metres() * per_metre),
                      height * 0.7,
                      Ink::board,
                      Fill::plain,
                      0.15});
    return drawing;
}

void draw_furniture(const Wall& wall, const WallPlan& plan, const ElevationScale& scale, const ElevationFrame& frame,
                    const Voice& voice, Drawing& drawing) {
    FurnitureDrawer drawer{scale, frame, voice, drawing};
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind>)
            each_of<Kind>(wall, plan, [&](const Kind& thing, const auto& of_it) { drawer.draw(thing, of_it); });
    });
}

} // namespace yes_square
