#include "core/job/fields.hpp"

#include <algorithm>

/// Of lines, of what hangs and stands, of what it is made of, and of the day. Those of the wall and what holds in it:
/// names.cpp.
namespace yes_square {
namespace {

/// The names that a property table already holds.
template <class E, class Table>
auto names_from(const Table& table) {
    std::array<EnumName<E>, std::tuple_size_v<Table>> names{};
    std::ranges::transform(table, names.begin(), [](const auto& row) {
        if constexpr (requires { row.material; })
            return EnumName<E>{row.material, row.file_name, row.words};
        else
            return EnumName<E>{row.gauge, row.file_name, row.wood_screw_words};
    });
    return names;
}

} // namespace

template <>
std::span<const EnumName<HowFar>> enum_names() {
    static constexpr EnumName<HowFar> names[]{{HowFar::exactly, "exactly", "exactly"},
                                              {HowFar::at_least, "at_least", "at least"},
                                              {HowFar::at_most, "at_most", "at most"}};
    return names;
}

template <>
std::span<const EnumName<UnitKind>> enum_names() {
    static constexpr EnumName<UnitKind> names[]{{UnitKind::wall, "wall"},
                                                {UnitKind::base, "base"},
                                                {UnitKind::tall, "tall"},
                                                {UnitKind::open_shelf, "open_shelf"},
                                                {UnitKind::corner_blind, "corner_blind"},
                                                {UnitKind::corner_l, "corner_l"},
                                                {UnitKind::corner_diagonal, "corner_diagonal"},
                                                {UnitKind::appliance_housing, "appliance_housing"},
                                                {UnitKind::appliance_gap, "appliance_gap"},
                                                {UnitKind::filler, "filler"},
                                                {UnitKind::corner_post, "corner_post"},
                                                {UnitKind::handle_channel, "handle_channel"},
                                                {UnitKind::end_panel, "end_panel"}};
    return names;
}

template <>
std::span<const EnumName<Construction>> enum_names() {
    static constexpr EnumName<Construction> names[]{{Construction::frameless, "frameless", "frameless"},
                                                    {Construction::face_frame, "face_frame", "with a face frame"}};
    return names;
}

template <>
std::span<const EnumName<UnitPanel>> enum_names() {
    static constexpr EnumName<UnitPanel> names[]{{UnitPanel::back, "back", "back"},
                                                 {UnitPanel::left_side, "left_side", "left side"},
                                                 {UnitPanel::right_side, "right_side", "right side"}};
    return names;
}

template <>
std::span<const EnumName<Hanging>> enum_names() {
    static constexpr EnumName<Hanging> names[]{{Hanging::screws, "screws", "screws through its rails"},
                                               {Hanging::hook_brackets, "hook_brackets", "hook brackets"},
                                               {Hanging::suspension_rail, "suspension_rail", "a suspension rail"}};
    return names;
}

template <>
std::span<const EnumName<DoorHinge>> enum_names() {
    static constexpr EnumName<DoorHinge> names[]{{DoorHinge::none, "none", "none"},
                                                 {DoorHinge::left, "left", "hinged left"},
                                                 {DoorHinge::right, "right", "hinged right"},
                                                 {DoorHinge::both, "both", "a pair"},
                                                 {DoorHinge::drawers, "drawers", "drawers"}};
    return names;
}

template <>
std::span<const EnumName<ApplianceKind>> enum_names() {
    static constexpr EnumName<ApplianceKind> names[]{{ApplianceKind::undercounter, "undercounter", "under the worktop"},
                                                     {ApplianceKind::cooling, "cooling", "cooling"},
                                                     {ApplianceKind::hob, "hob", "hob"},
                                                     {ApplianceKind::hood, "hood", "hood"},
                                                     {ApplianceKind::microwave, "microwave", "microwave under it"},
                                                     {ApplianceKind::oven, "oven", "oven"},
                                                     {ApplianceKind::sink, "sink", "sink"}};
    return names;
}

template <>
std::span<const EnumName<RunLevel>> enum_names() {
    static constexpr EnumName<RunLevel> names[]{{RunLevel::floor, "floor"}, {RunLevel::wall, "wall"}};
    return names;
}

template <>
std::span<const EnumName<EndKind>> enum_names() {
    static constexpr EnumName<EndKind> names[]{{EndKind::wall_end, "wall_end"},
                                               {EndKind::opening, "opening"},
                                               {EndKind::run, "run"},
                                               {EndKind::place, "place"}};
    return names;
}

template <>
std::span<const EnumName<Slack>> enum_names() {
    static constexpr EnumName<Slack> names[]{{Slack::right_end, "right_end", "at the right"},
                                             {Slack::left_end, "left_end", "at the left"},
                                             {Slack::both_ends, "both_ends", "half at either end"},
                                             {Slack::on_opening, "on_opening", "centred on the opening"},
                                             {Slack::on_hob, "on_hob", "hood centred on the hob"},
                                             {Slack::fillers, "fillers", "shared by the fillers"},
                                             {Slack::by_hand, "by_hand", "set by hand"}};
    return names;
}

template <>
std::span<const EnumName<HangFirst>> enum_names() {
    static constexpr EnumName<HangFirst> names[]{{HangFirst::wall_units, "wall_units", "wall units: backs are saved"},
                                                 {HangFirst::base_units, "base_units", "base units: they carry"}};
    return names;
}

template <>
std::span<const EnumName<StartAt>> enum_names() {
    static constexpr EnumName<StartAt> names[]{{StartAt::corner, "corner", "in the corner"},
                                               {StartAt::end, "end", "at the free end"}};
    return names;
}

template <>
std::span<const EnumName<BayStands>> enum_names() {
    static constexpr EnumName<BayStands> names[]{{BayStands::as_the_rest, "as_the_rest", "stands or hangs as the rest"},
                                                 {BayStands::on_floor, "on_floor", "stands on the floor"},
                                                 {BayStands::hung, "hung", "hangs on its cleats"}};
    return names;
}
template <>
std::span<const EnumName<BayKind>> enum_names() {
    static constexpr EnumName<BayKind> names[]{{BayKind::double_hanging, "double_hanging", "double hanging"},
                                               {BayKind::long_hanging, "long_hanging", "long hanging"},
                                               {BayKind::shelves, "shelves", "shelves"},
                                               {BayKind::drawers, "drawers", "drawers"},
                                               {BayKind::shoes, "shoes", "shoes"},
                                               {BayKind::open, "open", "open"}};
    return names;
}

template <>
std::span<const EnumName<Garment>> enum_names() {
    static constexpr EnumName<Garment> names[]{{Garment::shirts, "shirts", "shirts"},
                                               {Garment::trousers, "trousers", "trousers"},
                                               {Garment::jackets, "jackets", "jackets"},
                                               {Garment::dresses, "dresses", "dresses"},
                                               {Garment::coats, "coats", "coats"}};
    return names;
}

template <>
std::span<const EnumName<BayWidths>> enum_names() {
    static constexpr EnumName<BayWidths> names[]{{BayWidths::equal, "equal", "all alike"},
                                                 {BayWidths::fixed, "fixed", "as given, the rest shared"},
                                                 {BayWidths::by_garments, "by_garments", "by what hangs there"}};
    return names;
}

template <>
std::span<const EnumName<PieceKind>> enum_names() {
    static constexpr EnumName<PieceKind> names[]{
        {PieceKind::dresser, "dresser", "Chest of drawers"},
        {PieceKind::bookcase, "bookcase", "Bookcase"},
        {PieceKind::larder, "larder", "Larder"},
        {PieceKind::side_panel, "side_panel", "Standing panels"},
        {PieceKind::appliance_housing, "appliance_housing", "Appliance housing"},
        {PieceKind::workshop_cabinet, "workshop_cabinet", "Workshop cabinet"},
        {PieceKind::other, "other", "Other piece"}};
    return names;
}

template <>
std::span<const EnumName<FloorUnder>> enum_names() {
    static constexpr EnumName<FloorUnder> names[]{
        {FloorUnder::hard, "hard"}, {FloorUnder::carpet, "carpet"}, {FloorUnder::unknown, "unknown", "not known"}};
    return names;
}

template <>
std::span<const EnumName<RestraintKind>> enum_names() {
    static constexpr EnumName<RestraintKind> names[]{
        {RestraintKind::none, "none", "nothing"},
        {RestraintKind::through_frame, "through_frame", "screws through its frame"},
        {RestraintKind::top_brackets, "top_brackets", "angle brackets on top"},
        {RestraintKind::straps, "straps", "straps"},
        {RestraintKind::cleat, "cleat", "a cleat"}};
    return names;
}

template <>
std::span<const EnumName<BoxJoint>> enum_names() {
    static constexpr EnumName<BoxJoint> names[]{{BoxJoint::housing, "housing", "housed in the sides"},
                                                {BoxJoint::butt, "butt", "butted and screwed"}};
    return names;
}

template <>
std::span<const EnumName<FoundThrough>> enum_names() {
    static constexpr EnumName<FoundThrough> names[]{
        {FoundThrough::rail, "rail", "through a rail"},
        {FoundThrough::back, "back", "through the back alone"},
        {FoundThrough::stile, "stile", "through the side, into a neighbour"},
        {FoundThrough::ledger, "ledger", "through a strip under it"}};
    return names;
}

template <>
std::span<const EnumName<FoundIn>> enum_names() {
    static constexpr EnumName<FoundIn> names[]{{FoundIn::not_known, "not_known", "into nobody knows what"},
                                               {FoundIn::wood, "wood", "into wood"},
                                               {FoundIn::lining, "lining", "into nothing but lining"}};
    return names;
}

template <>
std::span<const EnumName<BoxCorner>> enum_names() {
    static constexpr EnumName<BoxCorner> names[]{{BoxCorner::sides_through, "sides_through", "sides run through"},
                                                 {BoxCorner::over_sides, "over_sides", "top and bottom over the sides"},
                                                 {BoxCorner::mitred, "mitred", "mitred"}};
    return names;
}

template <>
std::span<const EnumName<BoxBack>> enum_names() {
    static constexpr EnumName<BoxBack> names[]{{BoxBack::rebated, "rebated", "in a rebate"},
                                               {BoxBack::planted, "planted", "on the back edges"},
                                               {BoxBack::grooved, "grooved", "in grooves"}};
    return names;
}

template <>
std::span<const EnumName<ServiceClass>> enum_names() {
    static constexpr EnumName<ServiceClass> names[]{
        {ServiceClass::dry, "dry", "Dry"}, {ServiceClass::damp, "damp", "Damp at times: kitchen, bath, garage"}};
    return names;
}

template <>
std::span<const EnumName<SagLimit>> enum_names() {
    static constexpr EnumName<SagLimit> names[]{{SagLimit::l_200, "L/200", "1/200 of the span"},
                                                {SagLimit::l_300, "L/300", "1/300"},
                                                {SagLimit::l_384, "L/384", "1/384 (1/32 in a foot)"},
                                                {SagLimit::l_600, "L/600", "1/600"}};
    return names;
}

template <>
std::span<const EnumName<BoardMaterial>> enum_names() {
    static const auto names = names_from<BoardMaterial>(all_boards());
    return names;
}

template <>
std::span<const EnumName<OtherKind>> enum_names() {
    static constexpr std::array names{
        EnumName<OtherKind>{OtherKind::leg, "leg", "leg"},
        EnumName<OtherKind>{OtherKind::left_strip, "left_strip", "strip on the left wall"},
        EnumName<OtherKind>{OtherKind::right_strip, "right_strip", "strip on the right wall"},
        EnumName<OtherKind>{OtherKind::rod, "rod", "rod"},
        EnumName<OtherKind>{OtherKind::angled_screw, "angled_screw", "angled screw"}};
    return names;
}

template <>
std::span<const EnumName<ScrewGauge>> enum_names() {
    static const auto names = names_from<ScrewGauge>(all_gauges());
    return names;
}

template <>
std::span<const EnumName<Unit>> enum_names() {
    static const auto names = [] {
        std::vector<EnumName<Unit>> rows;
        for (const Unit unit : all_units())
            rows.push_back({unit, file_name(unit)});
        return rows;
    }();
    return names;
}

template <>
std::span<const EnumName<StuffKind>> enum_names() {
    static constexpr EnumName<StuffKind> names[]{{StuffKind::sheet, "sheet", "sheet"},
                                                 {StuffKind::board, "board", "plank"},
                                                 {StuffKind::cleat, "cleat", "strip"},
                                                 {StuffKind::stud, "stud", "stud timber"},
                                                 {StuffKind::rod, "rod", "rod"},
                                                 {StuffKind::rail, "rail", "suspension rail"},
                                                 {StuffKind::channel, "channel", "handle channel"},
                                                 {StuffKind::worktop, "worktop", "worktop"},
                                                 {StuffKind::plinth, "plinth", "plinth"},
                                                 {StuffKind::packer, "packer", "packer"}};
    return names;
}

template <>
std::span<const EnumName<Received>> enum_names() {
    static constexpr EnumName<Received> names[]{{Received::unchecked, "unchecked"},
                                                {Received::whole, "whole"},
                                                {Received::short_of, "short"},
                                                {Received::wrong, "wrong"},
                                                {Received::damaged, "damaged"}};
    return names;
}

template <>
std::span<const EnumName<TickState>> enum_names() {
    static constexpr EnumName<TickState> names[]{
        {TickState::begun, "begun"}, {TickState::done, "done"}, {TickState::could_not, "could_not"}};
    return names;
}

template <>
std::span<const EnumName<ReadingKind>> enum_names() {
    static constexpr EnumName<ReadingKind> names[]{{ReadingKind::level, "level", "Level"},
                                                   {ReadingKind::plumb, "plumb", "Plumb"},
                                                   {ReadingKind::tape, "tape", "Tape"},
                                                   {ReadingKind::diagonals, "diagonals", "Diagonals"},
                                                   {ReadingKind::straightedge, "straightedge", "Straight edge"}};
    return names;
}

template <>
std::span<const EnumName<OffAt>> enum_names() {
    static constexpr EnumName<OffAt> names[]{
        {OffAt::left, "left"}, {OffAt::right, "right"}, {OffAt::front, "front"}, {OffAt::back, "back"}};
    return names;
}

template <>
std::span<const EnumName<LogKind>> enum_names() {
    static constexpr EnumName<LogKind> names[]{{LogKind::note, "note"},           {LogKind::reading, "reading"},
                                               {LogKind::deviation, "deviation"}, {LogKind::change, "change"},
                                               {LogKind::photo, "photo"},         {LogKind::signature, "signature"},
                                               {LogKind::delivery, "delivery"}};
    return names;
}

template <>
std::span<const EnumName<FeedLoad>> enum_names() {
    static constexpr EnumName<FeedLoad> names[]{{FeedLoad::spread, "spread", "Spread evenly"},
                                                {FeedLoad::moving, "moving", "One that moves"}};
    return names;
}

template <>
std::span<const EnumName<DriverAt>> enum_names() {
    static constexpr EnumName<DriverAt> names[]{{DriverAt::not_told, "not_told", "not told"},
                                                {DriverAt::on_wall, "on_wall", "on the wall"},
                                                {DriverAt::over_units, "over_units", "over units"},
                                                {DriverAt::behind_plinth, "behind_plinth", "behind plinth"},
                                                {DriverAt::in_unit, "in_unit", "in a unit"}};
    return names;
}

template <>
std::span<const EnumName<SwitchAt>> enum_names() {
    static constexpr EnumName<SwitchAt> names[]{{SwitchAt::none, "none", "none of its own"},
                                                {SwitchAt::on_wall, "on_wall", "on the wall"},
                                                {SwitchAt::in_unit, "in_unit", "under a unit"}};
    return names;
}

template <>
std::span<const EnumName<Conductor>> enum_names() {
    static constexpr EnumName<Conductor> names[]{{Conductor::mm2_0_5, "mm2_0_5"}, {Conductor::mm2_0_75, "mm2_0_75"},
                                                 {Conductor::mm2_1, "mm2_1"},     {Conductor::mm2_1_5, "mm2_1_5"},
                                                 {Conductor::mm2_2_5, "mm2_2_5"}, {Conductor::awg_22, "awg_22"},
                                                 {Conductor::awg_20, "awg_20"},   {Conductor::awg_18, "awg_18"},
                                                 {Conductor::awg_16, "awg_16"},   {Conductor::awg_14, "awg_14"}};
    return names;
}

} // namespace yes_square
