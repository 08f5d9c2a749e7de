#pragma once

#include "core/job/field_visits.hpp"
#include "core/job/shelf_fields.hpp"

/// The members of what is at hand: see fields.hpp.
namespace yes_square {

/// Of what may not be in the van today: the program chooses among what is.
inline Meaning in_the_van() {
    return Meaning{}.told("In the van; else the program does not choose it").asked("In the van").either("no", "yes");
}

/// Of what the fitter took a picture of.
inline Meaning in_a_picture() {
    return Meaning{}.told("The fitter's own picture of it: a PNG in base64; empty: none");
}

void fields(auto& visit, Is<Bracket> auto& bracket) {
    visit.required("id", bracket.id);
    visit.required("name", bracket.name, asked("Name"));
    visit.required(
        "arm", bracket.arm,
        Meaning{"an arm length", Range::more_than_zero}.told("Arm, from the wall").asked("Arm, from the wall"));
    visit.required("leg", bracket.leg,
                   Meaning{"a leg length", Range::more_than_zero}
                       .told("Leg, from the arm's upper face down")
                       .asked("Leg, from the arm's top"));
    visit.required(
        "width", bracket.width,
        Meaning{"a width", Range::more_than_zero}.told("Width along the wall").asked("Wide, along the wall"));
    visit.required(
        "thickness", bracket.thickness,
        Meaning{"a thickness", Range::more_than_zero}.told("Leg thickness").asked("Leg, thick at its holes"));
    visit.lengths("hole_drops", bracket.hole_drops,
                  Meaning{"a hole's distance from the top", Range::more_than_zero}
                      .told("Hole below the arm's upper face")
                      .asked("Holes, down from the top (; between)"));
    visit.lengths("hole_across", bracket.hole_across,
                  Meaning{"a hole's distance from the leg's middle"}
                      .told("Hole to the right of the leg's middle, negative to the left; absent: in it")
                      .asked("And right of its middle (-: left)")
                      .or_none("all in its middle"));
    visit.required("hole_diameter", bracket.hole_diameter,
                   Meaning{"a hole diameter", Range::more_than_zero}.told("Hole diameter").asked("Holes, across"));
    visit.optional("stiffened", bracket.stiffened,
                   Meaning{}
                       .told("The leg is braced or ribbed below its lowest hole")
                       .asked("Below its lowest hole")
                       .either("a plain leg", "braced or ribbed"));
    visit.optional("mass_kg", bracket.mass,
                   Meaning{"a mass", Range::not_negative}.told("Mass, kg").asked("Weighs").or_none("not weighed"));
    visit.maybe("rating_n", bracket.rating,
                Meaning{"a rating", Range::more_than_zero}
                    .told("The maker's load, N; absent: unknown")
                    .asked("Packet says")
                    .or_none("it says nothing")
                    .known_by_mass());
    visit.optional("rated_per_pair", bracket.rated_per_pair,
                   Meaning{}.told("The rating is of a pair").asked("That is for").either("each", "a pair"));
    visit.optional("basis", bracket.basis,
                   Meaning{}.told("What the rating is by the packet").asked("The packet calls it"));
    visit.optional("marks_through", bracket.marks_through, through_its_holes());
    visit.optional("own", bracket.own, Meaning{}.told("The fitter's own entry"));
    visit.optional("at_hand", bracket.at_hand, in_the_van());
    visit.optional("picture", bracket.picture, in_a_picture());
}

void fields(auto& visit, Is<Support> auto& support) {
    visit.required("id", support.id);
    visit.required("name", support.name, asked("Name"));
    visit.one_of("held_by", support.holding);
    visit.optional("own", support.own);
    visit.optional("at_hand", support.at_hand, in_the_van());
    visit.optional("picture", support.picture, in_a_picture());
}

void fields(auto& visit, Is<HookPlate> auto& plate) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    visit.optional("in", plate.in, length.told("Of its middle from the unit's side").asked("Plates in from the sides"));
    visit.optional("down", plate.down,
                   Meaning{"a distance below the top", Range::not_negative}
                       .told("Of its upper screw below the unit's top; 0: on the line of the hook plates")
                       .asked("Their screws below the top")
                       .or_none("on the line of the hook plates"));
    visit.optional("thickness", plate.thickness, length.told("Of its steel").asked("A plate is thick"));
    visit.optional("hole", plate.hole, length.told("For its screw").asked("Its holes are wide"));
    visit.optional("screws", plate.screws,
                   Meaning{"a number of screws", Range::more_than_zero}
                       .told("Of each plate, one above another")
                       .asked("Screws in each"));
    visit.optional("apart", plate.apart, length.told("Of those screws").asked("One above another by"));
}

void fields(auto& visit, Is<SuspensionRail> auto& rail) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    const auto house = [](std::string_view label, std::string_view says) {
        return Meaning{"a length", Range::not_negative}.asked(label).told(says).or_none("as the house has it");
    };
    visit.optional("stock", rail.stock, house("Rail comes in lengths of", "It is cut from this; 0: the house's"));
    visit.optional("drop", rail.drop,
                   house("Its lower edge below the tops", "Below the units' tops; 0: on the rail's line"));
    visit.optional("thickness", rail.thickness, length.told("Of its steel").asked("Rail is thick"));
    visit.optional("hole", rail.hole, length.told("For its screws").asked("Rail's holes are wide"));
}

template <>
inline constexpr std::array<std::string_view, std::variant_size_v<Gear>> kind_names<Gear>{
    "hook_plate", "suspension_rail", "ceiling_hanger"};

void fields(auto& visit, Is<HangingGear> auto& gear) {
    visit.required("id", gear.id);
    visit.required("name", gear.name, asked("Name"));
    visit.one_of("hung_by", gear.gear);
    visit.maybe("rating_n", gear.rating,
                Meaning{"a rating", Range::more_than_zero}
                    .told("The maker's load on one hook or hanger, N; absent: unknown")
                    .asked("One bears")
                    .or_none("its maker says nothing")
                    .known_by_mass());
    visit.optional("basis", gear.basis, asked("Its packet calls it"));
    visit.optional("own", gear.own);
    visit.optional("at_hand", gear.at_hand, in_the_van());
    visit.optional("picture", gear.picture, in_a_picture());
}

void fields(auto& visit, Is<ScrewPacket> auto& packet) {
    const auto size = [](std::string_view label, std::string_view says) {
        return Meaning{"a size", Range::not_negative}.asked(label).told(says).or_none("it does not say");
    };
    const auto strength = [](std::string_view label, std::string_view says) {
        return Meaning{"a strength", Range::not_negative}.asked(label).told(says).or_none("it does not say");
    };
    visit.optional("name", packet.name, asked("Packet"));
    visit.optional("thread", packet.thread, size("Thread, long", "Along the screw, point included"));
    visit.optional("root", packet.root, size("Core, thick", "Diameter under the thread"));
    visit.optional("tip", packet.tip, size("Point, long", "Of the point, which holds nothing"));
    visit.optional("head", packet.head, size("Head, across", "Diameter of the head"));
    visit.optional("withdrawal_mpa", packet.withdrawal,
                   strength("Pulled out, f ax", "f_ax, characteristic, in the timber it is declared for"));
    visit.optional("pull_through_mpa", packet.pull_through,
                   strength("Head pulled in, f head", "f_head, characteristic, in the timber it is declared for"));
    visit.optional("tensile_n", packet.tensile, strength("Torn, f tens", "f_tens, N, characteristic"));
}

void fields(auto& visit, Is<WoodScrew> auto& screw) {
    visit.required("gauge", screw.gauge);
    visit.lengths("lengths", screw.lengths,
                  Meaning{"a screw length", Range::more_than_zero}.told("Head seat to point"));
    visit.maybe_part("packet", screw.packet);
}

void fields(auto& visit, Is<MasonryAnchor> auto& plug) {
    visit.required("id", plug.id);
    visit.required("name", plug.name, asked("Name"));
    visit.optional("kind", plug.kind, asked("Kind"));
    visit.required("substrate", plug.substrate, asked("Holds in"));
    visit.required("hole_diameter", plug.hole_diameter,
                   Meaning{"a hole diameter", Range::more_than_zero}.told("Hole").asked("Hole"));
    visit.required("embedment", plug.embedment,
                   Meaning{"an embedment", Range::more_than_zero}.told("In the masonry").asked("In the masonry"));
    visit.required("screw_diameter", plug.screw_diameter,
                   Meaning{"a screw diameter", Range::more_than_zero}.told("Screw").asked("Screw or bar, thick"));
    visit.lengths("screw_lengths", plug.screw_lengths,
                  Meaning{"a screw length", Range::more_than_zero}.told("Screw length").asked("Lengths, ; between"));
    visit.required("tension_n", plug.tension,
                   Meaning{"a tension capacity", Range::more_than_zero}
                       .told("The packet's tension, N")
                       .asked("Packet says, pull"));
    visit.required(
        "shear_n", plug.shear,
        Meaning{"a shear capacity", Range::more_than_zero}.told("The packet's shear, N").asked("Packet says, shear"));
    visit.optional("basis", plug.basis, asked("The packet calls it"));
    visit.optional("apart", plug.apart,
                   Meaning{"a distance", Range::not_negative}
                       .told("The packet's least distance between two; 0: it does not say")
                       .asked("Two of them apart, at least")
                       .or_none("the packet does not say"));
    visit.optional("edge", plug.edge,
                   Meaning{"a distance", Range::not_negative}
                       .told("The packet's least distance to an edge of the masonry; 0: it does not say")
                       .asked("From an edge, at least")
                       .or_none("the packet does not say"));
    visit.optional("own", plug.own);
    visit.optional("at_hand", plug.at_hand, in_the_van());
}

void fields(auto& visit, Is<LiningAnchor> auto& anchor) {
    visit.required("id", anchor.id);
    visit.required("name", anchor.name, asked("Name"));
    visit.optional("kind", anchor.kind, asked("Kind"));
    visit.required("hole_diameter", anchor.hole_diameter,
                   Meaning{"a hole diameter", Range::more_than_zero}.told("Hole"));
    visit.optional("screw_diameter", anchor.screw_diameter,
                   Meaning{"a screw diameter", Range::more_than_zero}.told("Its screw").asked("Screw"));
    visit.maybe("tension_n", anchor.tension,
                Meaning{"a tension capacity", Range::more_than_zero}
                    .told("The packet's figure, N")
                    .asked("Packet says, pull")
                    .or_none("it says nothing"));
    visit.maybe("shear_n", anchor.shear,
                Meaning{"a shear capacity", Range::more_than_zero}
                    .told("The packet's figure, N")
                    .asked("Packet says, shear")
                    .or_none("it says nothing"));
    visit.optional("basis", anchor.basis, asked("The packet calls it"));
    visit.optional("lining", anchor.lining, asked("Rated for"));
    visit.optional("lining_least", anchor.lining_least,
                   Meaning{"a thickness", Range::not_negative}
                       .told("Of the lining that the packet rates it for, all layers")
                       .asked("Lining, from"));
    visit.optional("lining_most", anchor.lining_most,
                   Meaning{"a thickness", Range::not_negative}
                       .told("0: the packet does not say, and it holds nothing by our sums")
                       .asked("Lining, up to"));
    visit.optional("own", anchor.own);
}

void fields(auto& visit, Is<ListedUnit> auto& listed) {
    visit.part("unit", listed.unit);
    visit.optional("quantity", listed.quantity, Meaning{"a number of units", Range::not_negative}.told("quantity"));
}

void fields(auto& visit, Is<Catalogue> auto& catalogue) {
    visit.list("brackets", catalogue.brackets);
    visit.list("wood_screws", catalogue.wood_screws);
    visit.lengths("shelf_screws", catalogue.shelf_screws,
                  Meaning{"a screw length", Range::more_than_zero}.told("Screw up into a shelf"));
    visit.list("plugs", catalogue.plugs);
    visit.list("lining_anchors", catalogue.lining_anchors);
    visit.list("supports", catalogue.supports);
    visit.list("hanging_gear", catalogue.hanging_gear);
    visit.list("units", catalogue.units);
    visit.list("stock", catalogue.stock);
    visit.list("supplies", catalogue.supplies);
}

} // namespace yes_square
