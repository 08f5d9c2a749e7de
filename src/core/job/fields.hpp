#pragma once

#include "core/job/batten_fields.hpp"
#include "core/job/catalogue_fields.hpp"
#include "core/job/day_fields.hpp"
#include "core/job/field_visits.hpp"
#include "core/job/rule_fields.hpp"
#include "core/job/shelf_fields.hpp"
#include "core/job/storage_fields.hpp"
#include "core/job/things.hpp"

/// The members of each part of a job file, each named once. A visitor reads, writes or lists them:
///
///     fields(reader, shelf);   // fills the shelf from JSON
///     fields(writer, shelf);   // writes it
///
/// `visit.required(name, member, what)` and `visit.optional(name, member, what)`; `what` says what the member is and
/// which values it may take. See docs/file-format.md.
namespace yes_square {

template <>
inline constexpr std::array<std::string_view, std::variant_size_v<Structure>> kind_names<Structure>{
    "framed", "masonry", "lining_only", "open_floor"};

void fields(auto& visit, Is<Stud> auto& stud) {
    visit.required("centre", stud.centre, along_wall().told("Centre from the wall's left end"));
    visit.required("state", stud.state);
    visit.optional("uncertainty", stud.uncertainty,
                   Meaning{"an uncertainty", Range::not_negative}.told("Standard uncertainty of the centre"));
}

void fields(auto& visit, Is<LiningLayer> auto& layer) {
    visit.required("material", layer.material);
    visit.required("thickness", layer.thickness, Meaning{"a thickness", Range::more_than_zero}.told("Thickness"));
}

void fields(auto& visit, Is<Framing> auto& framing) {
    visit.optional("stud_material", framing.material);
    visit.optional("stud_width", framing.stud_width, Meaning{"a stud width", Range::more_than_zero}.told("Stud width"));
    visit.optional("stud_depth", framing.stud_depth, Meaning{"a stud depth", Range::more_than_zero}.told("Stud depth"));
    visit.required("spacing", framing.spacing, Meaning{"a spacing", Range::more_than_zero}.told("On-centre spacing"));
    visit.optional("species", framing.species);
    visit.optional("open", framing.open);
    visit.optional("told", framing.told,
                   Meaning{}
                       .told("Somebody who should know said the spacing")
                       .asked("That spacing is")
                       .either("what is usual here", "told, by plans or builder"));
    visit.maybe("told_stud", framing.told_stud,
                along_wall()
                    .told("Where a stud's centre was said to be")
                    .asked("A stud told at", "Stud told, from right")
                    .or_none("nobody said"));
}

void fields(auto& visit, Is<Masonry> auto& masonry) {
    visit.required("of", masonry.kind);
}

void fields(auto&, Is<LiningOnly> auto&) {}

void fields(auto& visit, Is<OpenFloor> auto& floor) {
    visit.required("from", floor.from,
                   Meaning{}.told("Id of the wall that it is set out from, or of the island's other side"));
    visit.required("along", floor.along,
                   Meaning{"a distance along that wall", Range::any}
                       .told("Of its nearer end from that wall's left end; of another side, from its right end")
                       .asked("Begins at"));
    visit.required("out", floor.out,
                   Meaning{"a distance out of that wall", Range::not_negative}
                       .told("Of the backs' line out of that wall's face; of another side, the gap between the backs")
                       .asked("Backs out by"));
    visit.optional("faces_wall", floor.faces_wall,
                   Meaning{}.told("Its fronts look at that wall").asked("Fronts look").either("away from it", "at it"));
    visit.optional("floor", floor.floor, asked("Floor"));
    visit.optional("boards", floor.boards,
                   Meaning{"a thickness", Range::more_than_zero}.told("Of its boards").asked("Boards, thick"));
}

void fields(auto& visit, Is<Observation> auto& seen) {
    visit.required("kind", seen.kind);
    visit.required("x", seen.x, along_wall());
    visit.maybe("z", seen.z, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.maybe("error", seen.error,
                Meaning{"a limit of error", Range::more_than_zero}.told(
                    "Limit of error of a detector, or gap between miss and hit at a probed edge"));
}

void fields(auto& visit, Is<FloorReading> auto& reading) {
    visit.required("x", reading.x, along_wall());
    visit.required("down", reading.down,
                   Meaning{"a distance down from the level line", Range::not_negative}.told(
                       "Down from the level line to the floor that is there now"));
}

void fields(auto& visit, Is<CeilingReading> auto& reading) {
    visit.required("x", reading.x, along_wall());
    visit.required("up", reading.up,
                   Meaning{"a distance up from the level line", Range::not_negative}.told(
                       "Up from the level line to the ceiling"));
}

void fields(auto& visit, Is<FaceReading> auto& reading) {
    visit.required("x", reading.x, along_wall());
    visit.required("z", reading.z, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.required("gap", reading.gap,
                   Meaning{"a gap behind the string", Range::not_negative}.told(
                       "From the string or straightedge back to the wall"));
}

void fields(auto& visit, Is<WidthReading> auto& reading) {
    visit.required("z", reading.z, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.required("width", reading.width,
                   Meaning{"a width", Range::more_than_zero}.told("Between the ends of the wall"));
}

void fields(auto& visit, Is<CornerReading> auto& reading) {
    visit.required(
        "along", reading.along,
        Meaning{"a distance from the corner", Range::more_than_zero}.told("From the corner along this wall"));
    visit.required(
        "along_next", reading.along_next,
        Meaning{"a distance from the corner", Range::more_than_zero}.told("From the corner along the next wall"));
    visit.required("across", reading.across,
                   Meaning{"a distance across", Range::more_than_zero}.told("From mark to mark"));
    visit.maybe("other_across", reading.other_across,
                Meaning{"a distance across", Range::more_than_zero}.told(
                    "The other diagonal of the rectangle along x along_next"));
}

void fields(auto& visit, Is<Obstacle> auto& obstacle) {
    visit.required("kind", obstacle.kind);
    visit.required("left", obstacle.left, along_wall());
    visit.required("bottom", obstacle.bottom, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.required("width", obstacle.width, Meaning{"a width", Range::more_than_zero}.told("Width"));
    visit.required("height", obstacle.height, Meaning{"a height", Range::more_than_zero}.told("Height"));
    visit.optional("clearance", obstacle.clearance,
                   Meaning{"a clearance", Range::not_negative}.told("Kept free all round"));
}

void fields(auto& visit, Is<ScannedArea> auto& area) {
    visit.required("result", area.result);
    visit.required("left", area.left, along_wall());
    visit.required("bottom", area.bottom, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.required("width", area.width, Meaning{"a width", Range::more_than_zero}.told("Width"));
    visit.required("height", area.height, Meaning{"a height", Range::more_than_zero}.told("Height"));
}

void fields(auto& visit, Is<TrialLayer> auto& layer) {
    visit.required("met", layer.met);
    visit.required("from", layer.from, Meaning{"a depth", Range::not_negative});
}

void fields(auto& visit, Is<TrialHole> auto& hole) {
    visit.required("x", hole.x, along_wall());
    visit.required("z", hole.z, Meaning{"a height", Range::not_negative}.told("Height above the datum"));
    visit.list("layers", hole.layers);
    visit.required("depth", hole.depth, Meaning{"a depth", Range::more_than_zero}.told("How deep the hole went"));
}

void fields(auto& visit, Is<FloorLayer> auto& layer) {
    visit.required("name", layer.name);
    visit.required("thickness", layer.thickness, Meaning{"a thickness", Range::more_than_zero}.told("Thickness"));
}

void fields(auto& visit, Is<Opening> auto& opening) {
    visit.required("kind", opening.kind);
    visit.required("left", opening.left, along_wall().told("Left edge from the wall's left end"));
    visit.required("bottom", opening.bottom,
                   Meaning{"a height", Range::not_negative}.told("Lower edge above the datum"));
    visit.required("width", opening.width, Meaning{"a width", Range::more_than_zero}.told("Width with trim"));
    visit.required("height", opening.height, Meaning{"a height", Range::more_than_zero}.told("Height with trim"));
    visit.optional("trim", opening.trim,
                   Meaning{"a breadth", Range::not_negative}.told("Breadth of the trim, within width and height"));
}

void fields(auto& visit, Is<ServicePoint> auto& service) {
    visit.required("kind", service.kind);
    visit.required("centre", service.centre, along_wall().told("Centre from the wall's left end"));
    visit.required("height", service.height, Meaning{"a height", Range::any}.told("Middle above the datum"));
    visit.optional("width", service.width, Meaning{"a width", Range::more_than_zero}.told("Width"));
    visit.optional("far_side", service.far_side, Meaning{}.told("On the other face of this wall"));
}

void fields(auto& visit, Is<LevelLine> auto& line) {
    visit.required("id", line.id);
    visit.required("name", line.name);
    visit.maybe("wanted", line.wanted, Meaning{"a height", Range::not_negative}.told("wanted"));
}

void fields(auto& visit, Is<LineRelation> auto& relation) {
    visit.required("line", relation.line);
    visit.required("over", relation.over);
    visit.required("how", relation.how);
    visit.required("by", relation.by, Meaning{"a height", Range::any}.told("by"));
    visit.optional("reason", relation.reason);
}

void fields(auto& visit, Is<Appliance> auto& appliance) {
    visit.required("kind", appliance.kind, asked("Appliance"));
    visit.optional("height", appliance.height, Meaning{"a height", Range::not_negative}.asked("Appliance high"));
    visit.optional("clearance", appliance.clearance,
                   Meaning{"a clearance", Range::not_negative}.asked("Its clearance"));
}

void fields(auto& visit, Is<HangingRail> auto& rail) {
    visit.required("down", rail.down, Meaning{"a distance below the top", Range::not_negative}.told("down"));
    visit.optional("breadth", rail.breadth, Meaning{"a breadth", Range::more_than_zero}.told("breadth"));
    visit.required("thickness", rail.thickness, Meaning{"a thickness", Range::more_than_zero}.asked("Rails are thick"));
}

void fields(auto& visit, Is<PanelCutOut> auto& cut) {
    constexpr Meaning size{"a size", Range::more_than_zero};
    visit.optional("name", cut.name, asked("What for"));
    visit.optional("panel", cut.panel, asked("In its"));
    visit.required("across", cut.across,
                   Meaning{"a distance from the edge", Range::not_negative}.told(
                       "From the unit's left side as seen from the front; of a side, from its back edge"));
    visit.required("down", cut.down,
                   Meaning{"a distance below the top", Range::not_negative}.told("Its top edge below the unit's top"));
    visit.required("width", cut.width, size.told("Across"));
    visit.required("height", cut.height, size.told("Up and down"));
}

void fields(auto& visit, Is<CabinetUnit> auto& unit) {
    constexpr Meaning thickness{"a thickness", Range::not_negative};
    constexpr Meaning mass{"a mass", Range::not_negative};
    visit.required("id", unit.id);
    visit.required("name", unit.name, asked("Name"));
    visit.optional("code", unit.code);
    visit.required("kind", unit.kind);
    visit.optional("construction", unit.construction, asked("Built"));
    visit.required("width", unit.width, Meaning{"a width", Range::more_than_zero}.asked("Width"));
    visit.required("height", unit.height, Meaning{"a height", Range::more_than_zero}.asked("Height"));
    visit.required("depth", unit.depth, Meaning{"a depth", Range::more_than_zero}.asked("Depth"));
    visit.optional("return_width", unit.return_width,
                   Meaning{"a width", Range::not_negative}.asked("Along the next wall"));
    visit.optional("mass_kg", unit.mass, mass.asked("Empty").or_none("by its boards"));
    visit.optional("doors_kg", unit.doors_mass, mass.asked("Its doors"));
    visit.maybe("loaded_kg", unit.loaded_mass, mass.asked("Loaded").or_none("by its shelves"));
    visit.optional("side", unit.side, thickness.asked("Side, thick"));
    visit.optional("back", unit.back, thickness.asked("Back, thick"));
    visit.optional("stile", unit.stile, Meaning{"a breadth", Range::not_negative}.asked("Stile"));
    visit.optional("hanging", unit.hanging, asked("Hangs by"));
    visit.list("rails", unit.rails);
    visit.optional("rail_wood", unit.rail_wood);
    visit.maybe("hook_rating_n", unit.hook_rating,
                Meaning{"a rating", Range::more_than_zero}.asked("A hook bears").known_by_mass());
    visit.optional("hook_basis", unit.hook_basis, asked("Its maker calls it"));
    visit.part("hook_plate", unit.hook_plate);
    visit.optional("hinge", unit.hinge, asked("Doors"));
    visit.maybe_part("appliance", unit.appliance);
    visit.optional("least", unit.least, Meaning{"a width", Range::not_negative}.asked("Width at least"));
    visit.optional("most", unit.most, Meaning{"a width", Range::not_negative}.asked("Width at most"));
    visit.optional("scribe", unit.scribe, Meaning{"a width", Range::not_negative}.asked("Stock to scribe"));
    visit.optional("line", unit.line);
    visit.lengths("pins", unit.pins,
                  Meaning{"a distance from the left side", Range::not_negative}
                      .told("A screw goes right here, from the unit's left side; others are found round it")
                      .asked("Screws pinned at (; between)")
                      .or_none("as the program finds"));
    visit.list("cut_outs", unit.cut_outs);
    visit.maybe("gap_front", unit.gap_front,
                Meaning{"a width", Range::more_than_zero}.asked("As found, front").or_none("not measured"));
    visit.maybe("gap_back", unit.gap_back,
                Meaning{"a width", Range::more_than_zero}.asked("As found, back").or_none("not measured"));
}

void fields(auto& visit, Is<RunEnd> auto& end) {
    visit.optional("at", end.at);
    visit.optional("opening", end.opening, Meaning{"an opening's number", Range::more_than_zero}.told("opening"));
    visit.optional("run", end.run);
    visit.optional("place", end.place, along_wall(Range::any).asked("at"));
    visit.optional("clear", end.clear, Meaning{"a clearance", Range::not_negative}.told("clear"));
}

void fields(auto& visit, Is<Run> auto& run) {
    visit.required("id", run.id);
    visit.required("name", run.name, asked("Name"));
    visit.required("level", run.level);
    visit.part("start", run.start);
    visit.part("end", run.end);
    visit.optional("open_end", run.open_end);
    visit.optional("slack", run.slack, asked("Slack"));
    visit.optional("centre_unit", run.centre_unit);
    visit.optional("left", run.left, along_wall(Range::any).told("left"));
    visit.list("units", run.units);
    visit.list("cut_outs", run.cut_outs);
    visit.part("rail", run.rail);
    visit.optional("channel", run.channel,
                   Meaning{"a height", Range::not_negative}
                       .told("Of a handle channel along the units' tops, under the worktop; 0: none")
                       .asked("Handle channel, high")
                       .or_none("there is none"));
    visit.lengths("rail_pins", run.rail_pins,
                  Meaning{"a distance from the left end", Range::not_negative}
                      .told("The rail is fixed right here, from the run's left end; other places are found round it")
                      .asked("Rail fixed at (; between)")
                      .or_none("as the program finds"));
    visit.maybe("measured_from", run.measured_from, own_reference_end());
    visit.maybe_part("fixing", run.fixing.all);
    visit.list("fixings_at", run.fixing.at);
}

void fields(auto& visit, Is<Wall> auto& wall) {
    visit.required("id", wall.id);
    visit.required("name", wall.name);
    visit.required("room", wall.room, Meaning{}.told("id of a room"));
    visit.required("length", wall.length, Meaning{"a length", Range::more_than_zero}.told("Length"));
    visit.required("height", wall.height, Meaning{"a height", Range::more_than_zero}.told("Height"));
    visit.optional("left_end", wall.left_end);
    visit.optional("right_end", wall.right_end);
    visit.optional("measured_from", wall.measured_from,
                   Meaning{}
                       .told("The end that marks along it are measured from when they are said and typed; in this file "
                             "they are from its left end all the same")
                       .asked("Measured from"));
    visit.one_of("structure", wall.structure);
    visit.list("lining", wall.lining);
    visit.maybe("thickness", wall.thickness, Meaning{"a thickness", Range::more_than_zero}.told("Of the whole wall"));
    visit.list("studs", wall.studs);
    visit.list("observations", wall.observations);
    visit.list("floor", wall.floor);
    visit.list("ceiling", wall.ceiling);
    visit.list("face", wall.face);
    visit.list("widths", wall.widths);
    visit.maybe_part("corner", wall.corner);
    visit.optional("skirting_height", wall.skirting_height,
                   Meaning{"a height", Range::not_negative}.told("Skirting height"));
    visit.optional("skirting_depth", wall.skirting_depth,
                   Meaning{"a thickness", Range::not_negative}.told("Skirting thickness"));
    visit.optional("cornice_height", wall.cornice_height,
                   Meaning{"a height", Range::not_negative}.told("Cornice height"));
    visit.optional("cornice_depth", wall.cornice_depth,
                   Meaning{"a thickness", Range::not_negative}.told("Cornice thickness"));
    visit.optional("ceiling_built", wall.ceiling_built,
                   Meaning{}.told("What a ceiling can be hung from").asked("Ceiling is"));
    visit.lengths("joists", wall.joists, along_wall());
    visit.list("openings", wall.openings);
    visit.list("obstacles", wall.obstacles);
    visit.list("services", wall.services);
    visit.list("scans", wall.scans);
    visit.list("trial_holes", wall.trial_holes);
    for_each_kind(Things{}, [&]<class Kind>() { visit.list(list_name<Kind>, wall.*parts_of<Kind>); });
    visit.list("made", wall.made);
    visit.list("work_readings", wall.work_readings);
}

void fields(auto& visit, Is<Room> auto& room) {
    visit.required("id", room.id);
    visit.required("name", room.name);
    visit.optional("service_class", room.service_class);
    visit.list("floor_layers", room.floor_layers);
    visit.optional("floor_under_units", room.floor_under_units);
    visit.list("lines", room.lines);
    visit.list("line_relations", room.line_relations);
}

void fields(auto& visit, Is<ChosenFixing> auto& chosen) {
    visit.maybe("gauge", chosen.gauge, Meaning{}.told("Of a screw; absent: an anchor"));
    visit.optional("anchor", chosen.anchor, Meaning{}.told("Id of an anchor of the catalogue"));
    visit.optional("length", chosen.length,
                   Meaning{"a length", Range::not_negative}.told("0: the shortest at hand that will do"));
}

void fields(auto& visit, Is<FixingAt> auto& at) {
    visit.optional("unit", at.where.unit, Meaning{}.told("Id of a unit of the run; absent: all"));
    visit.optional("place", at.where.place,
                   Meaning{"a number", Range::not_negative}.told("Along the thing, from the left, from 1; 0: all"));
    visit.optional(
        "row", at.where.row,
        Meaning{"a number", Range::not_negative}.told("Of what is screwed on there, from the top, from 1; 0: all"));
    visit.part("fixing", at.fixing);
}

void fields(auto& visit, Is<SheetHead> auto& head) {
    visit.optional("firm", head.firm, Meaning{}.told("At the head of every printed page").asked("Firm"));
    visit.optional("address", head.address,
                   Meaning{}.told("Under it, in one line: street, place, telephone").asked("Address"));
    visit.optional("logo", head.logo, Meaning{}.told("The user's own mark: a PNG in base64; empty: none"));
    visit.optional("labels", head.labels, asked("Labels are printed on"));
    visit.optional("language", head.language, asked("Sheets are in"));
}

void fields(auto& visit, Is<Fitter> auto& fitter) {
    visit.required("name", fitter.name);
}

void fields(auto& visit, Is<Job> auto& job) {
    visit.required("title", job.title);
    visit.optional("client", job.client);
    visit.optional("place", job.place);
    visit.required("unit", job.unit);
    visit.optional("instrument", job.instrument);
    visit.part("rules", job.rules);
    visit.list("rooms", job.rooms);
    visit.list("walls", job.walls);
    visit.part("catalogue", job.catalogue);
    visit.optional("crew", job.crew, Meaning{"a number of persons", Range::more_than_zero}.told("Persons on the job"));
    visit.optional("fitter", job.fitter, Meaning{}.told("Who ticks and records"));
    visit.list("fitters", job.fitters);
    visit.part("head", job.head);
    visit.optional("currency", job.currency, Meaning{}.told("Of the prices: \"EUR\""));
    visit.part("days", job.days);
    visit.list("delivery", job.delivery);
    visit.list("ticks", job.ticks);
    visit.list("log", job.log);
}

} // namespace yes_square
