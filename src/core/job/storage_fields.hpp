#pragma once

#include "core/job/field_visits.hpp"

/// The members of storage systems, of furniture that may tip, of boxes and of cabinets that hang already: see
/// fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<Bay> auto& bay) {
    visit.required("id", bay.id);
    visit.required("kind", bay.kind, asked("For"));
    visit.optional("width", bay.width,
                   Meaning{"a width", Range::not_negative}
                       .told("Between its panels; 0: by the policy")
                       .asked("Width")
                       .or_none("takes its share"));
    visit.optional("garment", bay.garment, asked("To hang"));
    visit.optional("garments", bay.garments,
                   Meaning{"a number of garments", Range::not_negative}.told("To hang in it").asked("How many"));
    visit.optional("loose", bay.loose,
                   Meaning{"a number of shelves", Range::not_negative}
                       .told("Shelves on pins; of a drawer bay: drawers")
                       .asked("Loose shelves, or drawers"));
    visit.optional("load", bay.load.kind, asked("On its shelves"));
    visit.optional("own_load_kg_per_m", bay.load.own,
                   Meaning{"a load", Range::not_negative}.told("Load when load is own, kg/m"));
    visit.optional("rod", bay.rod,
                   Meaning{"a height", Range::not_negative}
                       .told("Middle of the rod above the foot, the upper of two; 0: usual")
                       .asked("Rod, up")
                       .or_none("usual height"));
    visit.optional("low_rod", bay.low_rod,
                   Meaning{"a height", Range::not_negative}
                       .told("Of the lower rod; 0: usual")
                       .asked("Lower rod, up")
                       .or_none("usual height"));
    visit.optional("drawer_height", bay.drawer_height,
                   Meaning{"a height", Range::more_than_zero}.told("Of one drawer").asked("Drawer height"));
    visit.optional("height", bay.height,
                   Meaning{"a height", Range::not_negative}
                       .told("Of its sides; 0: as the wardrobe's")
                       .asked("Sides, tall")
                       .or_none("as the wardrobe"));
    visit.optional("stands", bay.stands, asked("It"));
    visit.optional("door", bay.door, asked("Doors"));
}

void fields(auto& visit, Is<PanelReading> auto& reading) {
    visit.required("panel", reading.panel,
                   Meaning{"a panel's number", Range::more_than_zero}.told("Counted from the left, from 1"));
    visit.required(
        "off", reading.off,
        Meaning{"a distance", Range::not_negative}.told("Under or behind one end of the level").asked("Off its end"));
    visit.optional("over", reading.over,
                   Meaning{"a length", Range::more_than_zero}.told("Of the level").asked("Level long"));
    visit.optional("top_to_right", reading.top_to_right, asked("Its top leans").either("to the left", "to the right"));
}

void fields(auto& visit, Is<StorageSystem> auto& system) {
    visit.required("id", system.id);
    visit.required("name", system.name, asked("Name"));
    visit.required("left", system.left,
                   along_wall(Range::any).told("Outer face of the first panel").asked("Left", "Right"));
    visit.required("width", system.width,
                   Meaning{"a width", Range::more_than_zero}.told("Over all").asked("Width, all"));
    visit.optional("depth", system.depth, Meaning{"a depth", Range::more_than_zero}.told("Depth").asked("Depth"));
    visit.optional("panel_height", system.panel_height,
                   Meaning{"a height", Range::more_than_zero}.told("Of the panels").asked("Panel height"));
    visit.optional("panel", system.panel,
                   Meaning{"a thickness", Range::more_than_zero}.told("Of panels and shelves").asked("Thickness"));
    visit.optional("material", system.material, asked("Board"));
    visit.optional("hung", system.hung, asked("It").either("stands on the floor", "hangs on its cleats"));
    visit.optional(
        "top", system.top,
        Meaning{"a height", Range::any}.told("Of the panels of a hung system, above the datum").asked("Top at"));
    visit.optional("widths", system.widths, asked("Bay widths"));
    visit.optional("cleat_breadth", system.cleat_breadth,
                   Meaning{"a breadth", Range::more_than_zero}.told("Up the wall").asked("Cleat, up"));
    visit.optional("cleat_thickness", system.cleat_thickness,
                   Meaning{"a thickness", Range::more_than_zero}.told("Out of it").asked("Cleat, out"));
    visit.optional("cleat_wood", system.cleat_wood);
    visit.optional("rod_stuff", system.rod_stuff, asked("Rods"));
    visit.optional("rod_diameter", system.rod_diameter,
                   Meaning{"a diameter", Range::more_than_zero}.told("Outside").asked("Rod diameter"));
    visit.optional("rod_wall", system.rod_wall,
                   Meaning{"a thickness", Range::not_negative}.told("Of a tube; 0: solid"));
    visit.optional("end_cup", system.end_cup,
                   Meaning{"a thickness", Range::not_negative}
                       .told("A rod is this much shorter at either end")
                       .asked("End cup, each"));
    visit.optional(
        "first_hole", system.first_hole,
        Meaning{"a height", Range::not_negative}.told("For shelf pins, above the foot").asked("First pin hole"));
    visit.optional("crew", system.crew,
                   Meaning{"a number of persons", Range::more_than_zero}.told("Persons").asked("Persons"));
    visit.optional("children", system.children, asked("Children about"));
    visit.list("bays", system.bays);
    visit.list("readings", system.readings);
    visit.maybe("measured_from", system.measured_from, own_reference_end());
    visit.maybe_part("fixing", system.fixing.all);
    visit.list("fixings_at", system.fixing.at);
}

void fields(auto& visit, Is<Drawer> auto& drawer) {
    visit.required("top", drawer.top,
                   Meaning{"a height", Range::more_than_zero}
                       .told("Upper edge of its front above the floor")
                       .asked("Top edge, up"));
    visit.required(
        "reach", drawer.reach,
        Meaning{"a distance", Range::not_negative}.told("Its front stands this far out when open").asked("Comes out"));
    visit.optional("height", drawer.height, Meaning{"a height", Range::more_than_zero}.told("Height").asked("Height"));
    visit.optional("mass_kg", drawer.mass, Meaning{"a mass", Range::not_negative}.told("Empty, kg").asked("Empty"));
    visit.maybe("load_kg", drawer.load,
                Meaning{"a mass", Range::not_negative}
                    .told("In it; none: by its size, kg")
                    .asked("Load in it")
                    .or_none("by its size"));
}

void fields(auto& visit, Is<Restraint> auto& how) {
    visit.required("kind", how.kind, asked("By"));
    visit.optional("number", how.number,
                   Meaning{"a number of places", Range::more_than_zero}.told("Of places").asked("Places"));
    visit.optional(
        "down", how.down,
        Meaning{"a distance", Range::not_negative}.told("Of its fixings below the top").asked("Below its top"));
    visit.optional(
        "through", how.through,
        Meaning{"a thickness", Range::not_negative}.told("Wood its screws pass through").asked("Through wood of"));
    visit.optional("wood", how.wood, asked("That wood is"));
    visit.optional("in_lining", how.in_lining,
                   asked("Into").either("proved studs or masonry", "the lining, by anchors"));
    visit.maybe("gauge", how.gauge, Meaning{"a gauge", Range::any}.asked("Screw").or_none("the program's choice"));
    visit.optional(
        "screw_length", how.screw_length,
        Meaning{"a length", Range::not_negative}.told("Of that screw; 0: the program chooses").asked("Screw length"));
    visit.maybe("rating_n", how.rating,
                Meaning{"a rating", Range::more_than_zero}.told("The maker's, of one, N").asked("Maker allows"));
    visit.optional(
        "strap_out", how.strap_out,
        Meaning{"a distance", Range::more_than_zero}.told("A strap's ends, out of the wall").asked("Strap, out"));
    visit.optional("strap_rise", how.strap_rise,
                   Meaning{"a distance", Range::not_negative}.told("And up or down it").asked("Strap, down"));
}

void fields(auto& visit, Is<Piece> auto& piece) {
    visit.required("id", piece.id);
    visit.required("name", piece.name, asked("Name"));
    visit.required("kind", piece.kind, asked("Kind"));
    visit.required("left", piece.left, along_wall(Range::any).told("Left side").asked("Left", "Right"));
    visit.required("width", piece.width, Meaning{"a width", Range::more_than_zero}.told("Width").asked("Width"));
    visit.required("height", piece.height, Meaning{"a height", Range::more_than_zero}.told("Height").asked("Height"));
    visit.required("depth", piece.depth, Meaning{"a depth", Range::more_than_zero}.told("Depth").asked("Depth"));
    visit.required("mass_kg", piece.mass,
                   Meaning{"a mass", Range::not_negative}.told("All of it, empty, kg").asked("Weighs empty"));
    visit.maybe("centre_up", piece.centre_up,
                Meaning{"a height", Range::more_than_zero}
                    .told("Of its centre of gravity; none: half its height")
                    .asked("Centre, up")
                    .or_none("half its height"));
    visit.maybe("centre_back", piece.centre_back,
                Meaning{"a distance", Range::not_negative}
                    .told("Behind its front; none: half its depth")
                    .asked("Centre, back")
                    .or_none("half its depth"));
    visit.optional(
        "feet_back", piece.feet_back,
        Meaning{"a distance", Range::not_negative}.told("Front feet behind its front").asked("Feet set back"));
    visit.list("drawers", piece.drawers);
    visit.optional("one_at_a_time", piece.one_at_a_time, asked("A lock opens").either("all of them", "one at a time"));
    visit.optional("doors", piece.doors,
                   Meaning{"a number of doors", Range::not_negative}.told("Doors").asked("Doors"));
    visit.optional("door_kg", piece.door_mass,
                   Meaning{"a mass", Range::not_negative}.told("Of one, kg").asked("One door"));
    visit.optional("top_load_kg", piece.top_load,
                   Meaning{"a mass", Range::not_negative}.told("On its top, kg").asked("On its top"));
    visit.optional("contents_kg", piece.contents_mass,
                   Meaning{"a mass", Range::not_negative}.told("On its shelves, kg").asked("On its shelves"));
    visit.optional("floor", piece.floor, asked("Floor"));
    visit.optional("floor_falls", piece.floor_falls,
                   Meaning{"a fall", Range::any}.told("Towards the room, over its depth").asked("Floor falls"));
    visit.optional("gap", piece.gap,
                   Meaning{"a gap", Range::not_negative}
                       .told("Between its back and the wall; 0: a skirting keeps it off")
                       .asked("Gap to the wall")
                       .or_none("as the skirting"));
    visit.optional("children", piece.children, asked("Children about"));
    visit.part("restraint", piece.restraint);
    visit.maybe("measured_from", piece.measured_from, own_reference_end());
    visit.maybe_part("fixing", piece.fixing.all);
    visit.list("fixings_at", piece.fixing.at);
}

void fields(auto& visit, Is<WallBox> auto& box) {
    visit.required("id", box.id);
    visit.required("name", box.name, asked("Name"));
    visit.required("left", box.left, along_wall(Range::any).told("Left side").asked("Left", "Right"));
    visit.required("top", box.top, Meaning{"a height", Range::any}.told("Above the datum").asked("Top at"));
    visit.required("width", box.width, Meaning{"a width", Range::more_than_zero}.told("Width").asked("Width"));
    visit.required("height", box.height, Meaning{"a height", Range::more_than_zero}.told("Height").asked("Height"));
    visit.required("depth", box.depth, Meaning{"a depth", Range::more_than_zero}.told("Depth").asked("Depth"));
    visit.optional("side", box.side,
                   Meaning{"a thickness", Range::more_than_zero}.told("Of its boards").asked("Boards, thick"));
    visit.optional("material", box.material, asked("Boards"));
    visit.optional("shelves", box.shelves,
                   Meaning{"a number of shelves", Range::not_negative}.told("Between top and bottom").asked("Shelves"));
    visit.optional("corner", box.corner, asked("Corners"));
    visit.optional("joint", box.joint, asked("Shelves are"));
    visit.optional("housing", box.housing,
                   Meaning{"a depth", Range::not_negative}.told("Of a housing").asked("Housing, deep"));
    visit.optional("stop", box.stop,
                   Meaning{"a distance", Range::not_negative}
                       .told("A housing ends so far behind the front edge; 0: it runs through")
                       .asked("Stopped short by"));
    visit.optional(
        "clearance", box.clearance,
        Meaning{"a clearance", Range::not_negative}.told("At each end of a part in its housing").asked("Clearance"));
    visit.optional("back", box.back, asked("Back"));
    visit.optional("back_thickness", box.back_thickness,
                   Meaning{"a thickness", Range::more_than_zero}.told("Of the back").asked("Back, thick"));
    visit.optional("rebate", box.rebate,
                   Meaning{"a depth", Range::not_negative}.told("Of a side's depth").asked("Rebate"));
    visit.optional("groove_in", box.groove_in,
                   Meaning{"a distance", Range::not_negative}
                       .told("Between the wall and a back in grooves")
                       .asked("Room behind it"));
    visit.optional("back_material", box.back_material, asked("Back of"));
    visit.optional("back_screwed", box.back_screwed, asked("The back is").either("only pinned", "screwed all round"));
    visit.optional("rail_thickness", box.rail_thickness,
                   Meaning{"a thickness", Range::not_negative}
                       .told("Of a strip under top and bottom, before the back or behind one in grooves; 0: none")
                       .asked("Strips, thick"));
    visit.optional("load", box.load.kind, asked("Carries"));
    visit.optional("own_load_kg_per_m", box.load.own,
                   Meaning{"a load", Range::not_negative}.told("Load when load is own, kg/m"));
    visit.maybe("diagonal_rising", box.diagonal_rising,
                Meaning{"a diagonal", Range::more_than_zero}
                    .told("Bottom left to top right, as measured")
                    .asked("Diagonal, rising")
                    .or_none("not measured"));
    visit.maybe("diagonal_falling", box.diagonal_falling,
                Meaning{"a diagonal", Range::more_than_zero}
                    .told("Top left to bottom right")
                    .asked("Diagonal, falling")
                    .or_none("not measured"));
    visit.maybe("measured_from", box.measured_from, own_reference_end());
    visit.maybe_part("fixing", box.fixing.all);
    visit.list("fixings_at", box.fixing.at);
}

void fields(auto& visit, Is<FoundScrew> auto& screw) {
    visit.required("through", screw.through);
    visit.optional("in", screw.in);
    visit.required("across", screw.across,
                   Meaning{"a distance", Range::any}.told("From the cabinet's left side, outside"));
    visit.required("down", screw.down, Meaning{"a distance", Range::any}.told("Below the cabinet's top"));
    visit.maybe("gauge", screw.gauge, Meaning{"a gauge", Range::any}.or_none("a lining screw, or not known"));
    visit.optional("length", screw.length, Meaning{"a length", Range::not_negative}.told("0: not known"));
    visit.optional("broad_head", screw.broad_head, Meaning{}.told("Or a washer"));
    visit.optional("moved", screw.moved, Meaning{}.told("When it was pulled"));
}

void fields(auto& visit, Is<HungCabinet> auto& hung) {
    visit.required("id", hung.id);
    visit.part("unit", hung.unit);
    visit.required("left", hung.left, along_wall(Range::any).told("Left side").asked("Left", "Right"));
    visit.required("top", hung.top, Meaning{"a height", Range::any}.told("Above the datum").asked("Top at"));
    visit.optional("top_screws", hung.top_screws,
                   Meaning{"a number of screws", Range::not_negative}
                       .told("Through the top rail")
                       .asked("Screws in its top rail"));
    visit.optional("bottom_screws", hung.bottom_screws,
                   Meaning{"a number of screws", Range::not_negative}
                       .told("Through the bottom rail")
                       .asked("Screws in its bottom rail"));
    visit.optional(
        "back_screws", hung.back_screws,
        Meaning{"a number of screws", Range::not_negative}.told("Through the back alone").asked("Through its back"));
    visit.optional(
        "stray_screws", hung.stray_screws,
        Meaning{"a number of screws", Range::not_negative}.told("In nothing but lining").asked("In lining only"));
    visit.optional(
        "studs", hung.studs,
        Meaning{"a number of studs", Range::not_negative}.told("That its rail screws are in").asked("In studs"));
    visit.optional("joined_left", hung.joined_left, asked("Joined, left"));
    visit.optional("joined_right", hung.joined_right, asked("Joined, right"));
    visit.maybe("gauge", hung.gauge,
                Meaning{"a gauge", Range::any}.asked("The screws are").or_none("lining screws, or not known"));
    visit.optional(
        "screw_length", hung.screw_length,
        Meaning{"a length", Range::not_negative}.told("0: not known").asked("Their length").or_none("not known"));
    visit.optional("broad_heads", hung.broad_heads, asked("Broad heads"));
    visit.list("found", hung.found);
}

} // namespace yes_square
