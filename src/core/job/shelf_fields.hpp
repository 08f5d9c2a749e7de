#pragma once

#include "core/job/field_visits.hpp"

/// The members of what hangs on a wall by itself: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<PlateHole> auto& hole) {
    visit.required("across", hole.across,
                   Meaning{"a distance from the left end", Range::not_negative}.told("From the plate's left end"));
    visit.required("down", hole.down,
                   Meaning{"a distance from the top", Range::not_negative}.told("From its top edge"));
    visit.optional("must", hole.must);
}

/// How the holes of what is screwed on come on the wall.
inline Meaning through_its_holes() {
    return Meaning{}
        .told("Held to its mark, it is pricked through at its own holes")
        .asked("Its holes are marked")
        .either("by their figures", "through it, held to its mark");
}

void fields(auto& visit, Is<Plate> auto& plate) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.required("width", plate.width, size.told("Width").asked("Bracket, long"));
    visit.required("height", plate.height, size.told("Height").asked("Bracket, high"));
    visit.optional("thickness", plate.thickness, size.told("Thickness at the holes").asked("Thick at the holes"));
    visit.optional("hole_diameter", plate.hole_diameter,
                   Meaning{"a hole diameter", Range::more_than_zero}.told("Hole").asked("Holes, wide"));
    visit.list("holes", plate.holes);
    visit.maybe("rating_n", plate.rating,
                Meaning{"a rating", Range::more_than_zero}
                    .told("The maker's greatest load, N")
                    .asked("Sheet says, all of it")
                    .known_by_mass());
    visit.optional("marks_through", plate.marks_through, through_its_holes());
}

void fields(auto& visit, Is<Lip> auto& lip) {
    visit.required("material", lip.material);
    visit.required("breadth", lip.breadth, Meaning{"a breadth", Range::more_than_zero}.told("Front to back"));
    visit.required("height", lip.height, Meaning{"a height", Range::more_than_zero}.told("Height"));
}

void fields(auto& visit, Is<HollowBoard> auto& board) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    constexpr Meaning strip{"a size", Range::not_negative};
    visit.optional("skin", board.skin, size.told("Each skin, thick").asked("Skins, each"));
    visit.optional("frame", board.frame, asked("Frame of"));
    visit.optional("front", board.front,
                   strip.told("Strip along the front, front to back").asked("Strip at the front").or_none("none"));
    visit.optional("back", board.back,
                   strip.told("Strip along the back, front to back").asked("Strip at the back").or_none("none"));
    visit.optional("ribs", board.ribs,
                   Meaning{"a number of ribs", Range::not_negative}
                       .told("Ribs from strip to strip, both ends' among them")
                       .asked("Ribs, with the ends'"));
    visit.optional("rib", board.rib, size.told("Each rib, along the board").asked("Ribs, wide"));
    visit.optional("core_kg_per_m3", board.core,
                   Meaning{"a density", Range::not_negative, {}, "kg/m3"}
                       .told("Of what fills the rest, kg/m3")
                       .asked("Filled with")
                       .or_none("air"));
}

void fields(auto& visit, Is<CutOut> auto& cut) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("name", cut.name, asked("What for"));
    visit.required("across", cut.across,
                   Meaning{"a distance from the left end", Range::not_negative}
                       .told("Its left edge from the board's left end")
                       .asked("From the left end"));
    visit.required("back", cut.back,
                   Meaning{"a distance from the back", Range::not_negative}
                       .told("Its back edge from the board's back edge")
                       .asked("From the back edge"));
    visit.required("width", cut.width, size.told("Along the board").asked("Along the board"));
    visit.required("depth", cut.depth, size.told("Front to back").asked("Front to back"));
}

void fields(auto& visit, Is<Goods> auto& goods) {
    visit.optional("name", goods.name);
    visit.required("from", goods.from,
                   Meaning{"a distance from the left end", Range::not_negative}.told("From the shelf's left end"));
    visit.required("to", goods.to,
                   Meaning{"a distance from the left end", Range::not_negative}.told(
                       "To, from its left end; no more than from: at one place"));
    visit.required("kg", goods.mass, Meaning{"a mass", Range::not_negative}.told("All of it, kg"));
}

void fields(auto& visit, Is<OnBrackets> auto& how) {
    visit.optional("leg_up", how.leg_up, Meaning{"yes or no", Range::any, "Leg up, over the board"});
}

void fields(auto& visit, Is<OnStandards> auto& how) {
    constexpr auto size = [](std::string_view label) { return Meaning{"a size", Range::more_than_zero, label}; };
    constexpr auto place = [](std::string_view label) { return Meaning{"a distance", Range::not_negative, label}; };
    visit.optional("standard", how.standard, size("Upright").told("Length of an upright"));
    visit.optional("slot_pitch", how.slot_pitch, size("Slots every").told("Pitch of the slots"));
    visit.optional("first_slot", how.first_slot, place("First slot down").told("Below the upright's top"));
    visit.optional("top_over", how.top_over,
                   place("Top over the board").told("Upright's top over the highest board's underside"));
    visit.optional("thickness", how.thickness, size("Upright's steel, thick").told("Steel at the screws"));
    visit.optional("width", how.width, size("Upright, wide").told("Width"));
    visit.optional("hole_diameter", how.hole_diameter, size("Its holes, wide").told("Hole"));
    visit.optional("hole_every", how.hole_every, size("Screws every").told("Pitch of the holes"));
    visit.optional("first_hole", how.first_hole, place("First screw down").told("Below the upright's top"));
}

void fields(auto& visit, Is<OnHiddenBracket> auto& how) {
    visit.part("plate", how.plate);
    visit.optional(
        "offset", how.offset,
        Meaning{"a distance", Range::not_negative, "Offset inside"}.told("From the shelf's left end to the plate's"));
    visit.optional("down", how.down,
                   Meaning{"a distance", Range::not_negative, "Its top below the shelf's"}.told(
                       "From the shelf's top to the plate's top edge"));
    visit.optional("retaining_screws", how.retaining_screws,
                   Meaning{"a number of screws", Range::not_negative, "Retaining screws"});
}

void fields(auto& visit, Is<OnHiddenRods> auto& how) {
    visit.optional("diameter", how.diameter, Meaning{"a size", Range::more_than_zero, "Rods, thick"}.told("Diameter"));
    visit.optional("in_wall", how.in_wall,
                   Meaning{"a size", Range::more_than_zero, "In the wall"}.told("Beyond the lining"));
    visit.optional("in_shelf", how.in_shelf,
                   Meaning{"a size", Range::more_than_zero, "In the shelf"}.told("Out of the wall's face"));
    visit.optional("resin", how.resin, Meaning{"yes or no", Range::any, "Set in resin"});
    visit.optional("tight", how.tight,
                   Meaning{"a size", Range::not_negative, "Hole thinner than the rod by"}
                       .told("The hole in soft block is this much thinner than the rod")
                       .or_none("as thick"));
    visit.optional("off_centre", how.off_centre,
                   Meaning{"a distance", Range::not_negative, "Rod set off its middle by"}
                       .told("The bar in the shelf stands this far off the bar in the wall")
                       .or_none("straight"));
}

void fields(auto& visit, Is<OnKeyholes> auto& how) {
    visit.part("plate", how.plate);
    visit.optional("lip", how.lip,
                   Meaning{"a distance", Range::not_negative, "Heads stand proud"}.told("Heads stand this proud"));
    visit.optional("slot", how.slot,
                   Meaning{"a height", Range::not_negative, "Slots, long"}.told("The shelf rises this much"));
}

void fields(auto& visit, Is<OnCleats> auto& how) {
    visit.optional("left", how.left, Meaning{"yes or no", Range::any, "Strip on the left"});
    visit.optional("back", how.back, Meaning{"yes or no", Range::any, "Strip at the back"});
    visit.optional("right", how.right, Meaning{"yes or no", Range::any, "Strip on the right"});
    visit.optional("breadth", how.breadth, Meaning{"a size", Range::more_than_zero, "Strips, up"}.told("Up the wall"));
    visit.optional("thickness", how.thickness,
                   Meaning{"a size", Range::more_than_zero, "Strips, thick"}.told("Out of it"));
    visit.optional("wood", how.wood, Meaning{"a wood", Range::any, "Strips of"});
    visit.optional("screws", how.screws, Meaning{"a number of screws", Range::more_than_zero, "Screws in a side"});
    visit.optional(
        "left_leans", how.left_leans,
        Meaning{"a distance", Range::any, "Left wall leans in"}.told("Left wall's front end right of square"));
    visit.optional(
        "right_leans", how.right_leans,
        Meaning{"a distance", Range::any, "Right wall leans in"}.told("Right wall's front end left of square"));
}

void fields(auto& visit, Is<HookRail> auto& how) {
    visit.optional("board", how.board, Meaning{"a thickness", Range::more_than_zero, "Rail, thick"}.told("Thickness"));
    visit.optional("hooks", how.hooks, Meaning{"a number of hooks", Range::more_than_zero, "Hooks"});
    visit.optional("kg_per_hook", how.on_hook,
                   Meaning{"a mass", Range::not_negative, "On each hook", "kg"}.told("kg on each hook"));
}

void fields(auto& visit, Is<Pole> auto& how) {
    visit.optional("stuff", how.stuff, Meaning{"a material", Range::any, "Pole of"});
    visit.optional("wall", how.wall,
                   Meaning{"a thickness", Range::not_negative, "Wall of the tube"}.told("Of a tube; 0: solid"));
    visit.optional("finial", how.finial,
                   Meaning{"a length", Range::not_negative, "Finials, each"}
                       .told("Of what stands beyond each end; 0: none")
                       .or_none("none"));
    visit.optional("returns", how.returns,
                   Meaning{}
                       .told("Its ends are bent back to the wall")
                       .asked("Its ends")
                       .either("are open", "return to the wall"));
    visit.optional(
        "plate", how.plate,
        Meaning{"a height", Range::more_than_zero, "Bracket plate, high"}.told("Height of a bracket's plate"));
    visit.optional("hole_diameter", how.hole_diameter,
                   Meaning{"a hole diameter", Range::more_than_zero, "Its holes, wide"}.told("Hole"));
    visit.maybe("rating_n", how.rating,
                Meaning{"a rating", Range::more_than_zero}
                    .told("The maker's greatest load on one bracket, N")
                    .asked("Sheet says, each bracket")
                    .or_none("it says nothing")
                    .known_by_mass());
    visit.optional("basis", how.basis, asked("The sheet calls it"));
}

void fields(auto& visit, Is<Fixture> auto& how) {
    visit.part("plate", how.plate);
    visit.optional("mass_kg", how.mass, Meaning{"a mass", Range::not_negative, "Weighs", "kg"}.told("kg"));
    visit.optional("contents_kg", how.contents_mass,
                   Meaning{"a mass", Range::not_negative, "With in it", "kg"}.told("kg"));
    visit.optional("leaned_n", how.leaned,
                   Meaning{"a force", Range::not_negative, "Leaned on with", "N"}.told("N on its front edge"));
}

void fields(auto& visit, Is<PictureLedge> auto& how) {
    visit.optional("strip", how.strip, Meaning{"a height", Range::more_than_zero, "Strip behind, up the wall"});
    visit.optional("strip_thickness", how.strip_thickness,
                   Meaning{"a thickness", Range::more_than_zero, "Strip, thick"});
    visit.optional("lip", how.lip, Meaning{"a height", Range::more_than_zero, "Lip, up"});
    visit.optional("lip_thickness", how.lip_thickness, Meaning{"a thickness", Range::more_than_zero, "Lip, thick"});
}

template <>
inline constexpr std::array<std::string_view, std::variant_size_v<Holding>> kind_names<Holding>{
    "brackets", "standards", "hidden_bracket", "hidden_rods", "keyholes",
    "cleats",   "hook_rail", "pole",           "fixture",     "picture_ledge"};

void fields(auto& visit, Is<OtherSupport> auto& other) {
    visit.required("kind", other.kind, asked("What"));
    visit.optional("at", other.at,
                   Meaning{"a distance from the left end", Range::not_negative}
                       .told("Its middle, from the shelf's left end; a strip's is its end's")
                       .asked("From the left end"));
    visit.optional("out", other.out,
                   Meaning{"a distance", Range::not_negative}
                       .told("Of a leg: its middle out of the wall")
                       .asked("Out of the wall"));
}

void fields(auto& visit, Is<OtherSizes> auto& sizes) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("leg", sizes.leg, size.told("A leg, square, of wood").asked("Legs, thick"));
    visit.optional("strip_breadth", sizes.strip_breadth, size.told("Up the side wall").asked("End strips, up"));
    visit.optional("strip", sizes.strip, size.told("Out of it").asked("End strips, thick"));
    visit.optional("strip_wood", sizes.strip_wood, asked("End strips of"));
    visit.optional("strip_screws", sizes.strip_screws,
                   Meaning{"a number of screws", Range::more_than_zero}.asked("Screws in an end strip"));
    visit.part("rods", sizes.rods);
}

void fields(auto& visit, Is<CeilingHanger> auto& hanger) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("plate", hanger.plate, size.told("Its steel, at its screws").asked("Hanger's plate, thick"));
    visit.optional("hole", hanger.hole, size.told("For a screw").asked("Hanger's holes, wide"));
    visit.optional("screws", hanger.screws,
                   Meaning{"a number of screws", Range::more_than_zero}
                       .told("Of each, into the ceiling")
                       .asked("Screws in each hanger"));
}

void fields(auto& visit, Is<Shelf> auto& shelf) {
    visit.required("id", shelf.id);
    visit.required("name", shelf.name, asked("Name"));
    visit.required(
        "left", shelf.left,
        along_wall(Range::any).told("Left end from the wall's left end").asked("Left end at", "Right end at"));
    visit.required("height", shelf.height,
                   Meaning{"a height", Range::any}.told("Top above the datum").asked("Top, up"));
    visit.required("length", shelf.length, Meaning{"a length", Range::more_than_zero}.told("Length").asked("Length"));
    visit.required("depth", shelf.depth, Meaning{"a depth", Range::more_than_zero}.told("Depth").asked("Depth"));
    visit.required("thickness", shelf.thickness,
                   Meaning{"a thickness", Range::more_than_zero}.told("Thickness").asked("Thickness, up"));
    visit.required("material", shelf.material, asked("Made of"));
    visit.required("load", shelf.load.kind, asked("Carries"));
    visit.optional("own_load_kg_per_m", shelf.load.own,
                   Meaning{"a load", Range::not_negative}.told("Load when load is own, kg/m").asked("Own load"));
    visit.optional("bracket", shelf.bracket,
                   Meaning{}.told("id of a bracket in the catalogue; empty: the program chooses"));
    visit.optional("school", shelf.school);
    visit.optional("extra_brackets", shelf.extra_brackets, Meaning{"a number of brackets", Range::not_negative});
    visit.maybe_one_of("held_by", shelf.holding);
    visit.lengths("joints", shelf.joints,
                  Meaning{"a distance from the left end", Range::more_than_zero}.told("A joint, from the left end"));
    visit.lengths("hangers", shelf.hangers,
                  Meaning{"a distance from the left end", Range::more_than_zero}.told(
                      "A hanger from the ceiling, from the left end"));
    visit.part("hanger", shelf.hanger);
    visit.maybe("hanger_rating_n", shelf.hanger_rating,
                Meaning{"a rating", Range::more_than_zero}
                    .told("The maker's load on one hanger, N; absent: unknown")
                    .asked("One hanger bears")
                    .or_none("its packet says nothing")
                    .known_by_mass());
    visit.optional("hanger_basis", shelf.hanger_basis, asked("Its packet calls it"));
    visit.optional("hanger_spacer", shelf.hanger_spacer,
                   Meaning{"a thickness", Range::not_negative}
                       .told("A block between the ceiling and each hanger's plate; 0: none")
                       .asked("Block over each hanger")
                       .or_none("none"));
    visit.lengths(
        "pins", shelf.pins,
        Meaning{"a distance from the left end", Range::not_negative}.told(
            "A bracket, rod or upright stands right here, from the left end; the others are placed round it"));
    visit.optional("drilled", shelf.drilled,
                   Meaning{}
                       .told("Those are holes that the board has: brackets stand there and nowhere else")
                       .asked("Pinned places are")
                       .either("the fitter's choice", "holes the board has"));
    visit.list("others", shelf.others);
    visit.part("other_sizes", shelf.other_sizes);
    visit.maybe_part("stretcher", shelf.stretcher);
    visit.optional("tiers", shelf.tiers,
                   Meaning{"a number of shelves", Range::more_than_zero}.asked("Shelves, one under another"));
    visit.optional(
        "rise", shelf.rise,
        Meaning{"a height", Range::not_negative}.told("From one tier's top to the next's").asked("From top to top"));
    visit.maybe_part("lip", shelf.lip);
    visit.maybe_part("hollow", shelf.hollow);
    visit.list("cut_outs", shelf.cut_outs);
    visit.optional("board_kg", shelf.board_mass,
                   Meaning{"a mass", Range::not_negative}
                       .told("One board as weighed, with its lip, kg; 0: reckoned from what it is made of")
                       .asked("One board weighs")
                       .or_none("reckoned"));
    visit.list("goods", shelf.goods);
    visit.optional("loose", shelf.loose,
                   Meaning{}
                       .told("Its board is dropped in between its neighbours, a little short, and screwed to nothing")
                       .asked("Its board is")
                       .either("screwed down", "dropped in loose"));
    visit.optional("coats", shelf.coats,
                   Meaning{"a number of coats", Range::not_negative}
                       .told("Of paint or oil that its boards get before they are hung; 0: none")
                       .asked("Coats of paint or oil")
                       .or_none("it comes as it is"));
    visit.optional("out_of_reach", shelf.out_of_reach,
                   Meaning{}
                       .told("The fitter says that nobody can lean on it")
                       .asked("Somebody may lean on it")
                       .either("as its height says", "no: out of reach, or furniture before it"));
    visit.maybe("measured_from", shelf.measured_from, own_reference_end());
    visit.maybe_part("fixing", shelf.fixing.all);
    visit.list("fixings_at", shelf.fixing.at);
}

} // namespace yes_square
