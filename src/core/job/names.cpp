#include "core/job/fields.hpp"

namespace yes_square {
template <>
std::span<const EnumName<StudState>> enum_names() {
    static constexpr EnumName<StudState> names[]{{StudState::proved, "proved"},
                                                 {StudState::detected, "detected"},
                                                 {StudState::indicated, "indicated"},
                                                 {StudState::assumed, "assumed"}};
    return names;
}

template <>
std::span<const EnumName<LiningMaterial>> enum_names() {
    static constexpr EnumName<LiningMaterial> names[]{{LiningMaterial::plasterboard, "plasterboard", "Plasterboard"},
                                                      {LiningMaterial::plaster, "plaster", "Plaster"},
                                                      {LiningMaterial::fibre_cement, "fibre_cement", "Fibre cement"},
                                                      {LiningMaterial::tile, "tile", "Tile"},
                                                      {LiningMaterial::wood_panel, "wood_panel", "Wood panel"},
                                                      {LiningMaterial::hollow, "hollow", "Hollow: dabs or battens"}};
    return names;
}

template <>
std::span<const EnumName<CeilingBuilt>> enum_names() {
    static constexpr EnumName<CeilingBuilt> names[]{{CeilingBuilt::joists, "joists", "Boards under joists"},
                                                    {CeilingBuilt::concrete, "concrete", "Concrete"}};
    return names;
}

template <>
std::span<const EnumName<FloorBuilt>> enum_names() {
    static constexpr EnumName<FloorBuilt> names[]{{FloorBuilt::not_known, "not_known", "Not known yet"},
                                                  {FloorBuilt::boards, "boards", "Boards alone"},
                                                  {FloorBuilt::joists, "joists", "Boards on joists"},
                                                  {FloorBuilt::concrete, "concrete", "Concrete"},
                                                  {FloorBuilt::heated, "heated", "Heated: not drilled"}};
    return names;
}

template <>
std::span<const EnumName<TimberSchool>> enum_names() {
    static constexpr EnumName<TimberSchool> names[]{
        {TimberSchool::nds, "NDS-2018", "NDS-2018, screws by number and inch"},
        {TimberSchool::en, "EN 1995-1-1", "EN 1995-1-1, metric screws"}};
    return names;
}

template <>
std::span<const EnumName<Species>> enum_names() {
    static constexpr EnumName<Species> names[]{{Species::unknown, "unknown", "Not known"},
                                               {Species::spruce_pine_fir, "spruce_pine_fir", "Spruce-pine-fir"},
                                               {Species::southern_pine, "southern_pine", "Southern pine"},
                                               {Species::douglas_fir_larch, "douglas_fir_larch", "Douglas-fir-larch"},
                                               {Species::red_oak, "red_oak", "Red oak"},
                                               {Species::western_cedars, "western_cedars", "Western cedars"},
                                               {Species::c16, "c16", "C16"},
                                               {Species::c18, "c18", "C18"},
                                               {Species::c24, "c24", "C24"},
                                               {Species::c30, "c30", "C30"}};
    return names;
}

template <>
std::span<const EnumName<AnchorKind>> enum_names() {
    static constexpr EnumName<AnchorKind> names[]{{AnchorKind::plug, "plug"},
                                                  {AnchorKind::frame_plug, "frame_plug"},
                                                  {AnchorKind::sleeve_anchor, "sleeve_anchor"},
                                                  {AnchorKind::wedge_anchor, "wedge_anchor"},
                                                  {AnchorKind::concrete_screw, "concrete_screw"},
                                                  {AnchorKind::resin_bar, "resin_bar", "resin-set bar"},
                                                  {AnchorKind::insert_nut, "insert_nut", "insert nut, in bare timber"},
                                                  {AnchorKind::cavity_anchor, "cavity_anchor"},
                                                  {AnchorKind::toggle, "toggle"},
                                                  {AnchorKind::self_drilling, "self_drilling"}};
    return names;
}

template <>
std::span<const EnumName<FigureBasis>> enum_names() {
    static constexpr EnumName<FigureBasis> names[]{
        {FigureBasis::recommended, "recommended", "recommended load"},
        {FigureBasis::characteristic, "characteristic", "characteristic, / 3.5"},
        {FigureBasis::ultimate, "ultimate", "ultimate, / 4 or 5"},
        {FigureBasis::not_stated, "not_stated", "not stated, / 4 or 5"}};
    return names;
}

template <>
std::span<const EnumName<PoleStuff>> enum_names() {
    static constexpr EnumName<PoleStuff> names[]{{PoleStuff::wood, "wood", "wood"},
                                                 {PoleStuff::steel, "steel", "steel tube"},
                                                 {PoleStuff::aluminium, "aluminium", "aluminium tube"}};
    return names;
}

template <>
std::span<const EnumName<Skill>> enum_names() {
    static constexpr EnumName<Skill> names[]{
        {Skill::everyday, "everyday", "everyday: plugs and screws"},
        {Skill::practised, "practised", "practised: expanding and resin-set anchors too"}};
    return names;
}

template <>
std::span<const EnumName<MasonryKind>> enum_names() {
    static constexpr EnumName<MasonryKind> names[]{{MasonryKind::brick, "brick"},
                                                   {MasonryKind::dense_block, "dense_block"},
                                                   {MasonryKind::aerated_block, "aerated_block"},
                                                   {MasonryKind::concrete, "concrete"}};
    return names;
}

template <>
std::span<const EnumName<OpeningKind>> enum_names() {
    static constexpr EnumName<OpeningKind> names[]{{OpeningKind::window, "window"}, {OpeningKind::door, "door"}};
    return names;
}

template <>
std::span<const EnumName<ServiceKind>> enum_names() {
    static constexpr EnumName<ServiceKind> names[]{{ServiceKind::socket, "socket"},
                                                   {ServiceKind::switch_, "switch"},
                                                   {ServiceKind::pipe, "pipe"},
                                                   {ServiceKind::fixed_appliance, "fixed_appliance"}};
    return names;
}

template <>
std::span<const EnumName<SheetLanguage>> enum_names() {
    static constexpr EnumName<SheetLanguage> names[]{{SheetLanguage::as_window, "as_window", "the window's language"},
                                                     {SheetLanguage::english, "english", "English"},
                                                     {SheetLanguage::german, "german", "Deutsch"}};
    return names;
}

template <>
std::span<const EnumName<LabelSheet>> enum_names() {
    static constexpr EnumName<LabelSheet> names[]{
        {LabelSheet::cut_out, "cut_out", "plain paper, to cut out"},
        {LabelSheet::a4_3x8, "a4_3x8", "stickers on A4, 3 x 8 of 70 x 37 mm"},
        {LabelSheet::a4_3x7, "a4_3x7", "stickers on A4, 3 x 7 of 63.5 x 38.1 mm"},
        {LabelSheet::a4_2x7, "a4_2x7", "stickers on A4, 2 x 7 of 99.1 x 38.1 mm"},
        {LabelSheet::letter_3x10, "letter_3x10", "stickers on Letter, 3 x 10 of 2 5/8 x 1 in"},
        {LabelSheet::letter_2x5, "letter_2x5", "stickers on Letter, 2 x 5 of 4 x 2 in"}};
    return names;
}

template <>
std::span<const EnumName<TapeEnd>> enum_names() {
    static constexpr EnumName<TapeEnd> names[]{{TapeEnd::left, "left", "Its left end"},
                                               {TapeEnd::right, "right", "Its right end"}};
    return names;
}

template <>
std::span<const EnumName<WallEnd>> enum_names() {
    static constexpr EnumName<WallEnd> names[]{{WallEnd::corner, "corner", "Corner of the room"},
                                               {WallEnd::outside_corner, "outside_corner", "Outside corner"},
                                               {WallEnd::open, "open", "Free"}};
    return names;
}

template <>
std::span<const EnumName<StudMaterial>> enum_names() {
    static constexpr EnumName<StudMaterial> names[]{{StudMaterial::timber, "timber"}, {StudMaterial::steel, "steel"}};
    return names;
}

template <>
std::span<const EnumName<EvidenceKind>> enum_names() {
    static constexpr EnumName<EvidenceKind> names[]{
        {EvidenceKind::probe_hit, "probe_hit", "Probe, wood"},
        {EvidenceKind::probe_miss, "probe_miss", "Probe, nothing"},
        {EvidenceKind::left_edge, "left_edge", "Wood begins (left edge)"},
        {EvidenceKind::right_edge, "right_edge", "Wood ends (right edge)"},
        {EvidenceKind::detector, "detector", "Detector, middle"},
        {EvidenceKind::detector_left_edge, "detector_left_edge", "Detector, left edge"},
        {EvidenceKind::detector_right_edge, "detector_right_edge", "Detector, right edge"},
        {EvidenceKind::screw_line, "screw_line", "Line of screws"},
        {EvidenceKind::nail_pop, "nail_pop", "Nail pop"},
        {EvidenceKind::box_stud_left, "box_stud_left", "Box side, wood left of it"},
        {EvidenceKind::box_stud_right, "box_stud_right", "Box side, wood right of it"},
        {EvidenceKind::knock_solid, "knock_solid", "Knock, solid"},
        {EvidenceKind::knock_hollow, "knock_hollow", "Knock, hollow"},
        {EvidenceKind::skirting_nails, "skirting_nails", "Skirting nails"}};
    return names;
}

template <>
std::span<const EnumName<ObstacleKind>> enum_names() {
    static constexpr EnumName<ObstacleKind> names[]{
        {ObstacleKind::radiator, "radiator"}, {ObstacleKind::boiler, "boiler"}, {ObstacleKind::pipe_run, "pipe_run"},
        {ObstacleKind::beam, "beam"},         {ObstacleKind::column, "column"}, {ObstacleKind::fireplace, "fireplace"},
        {ObstacleKind::other, "other"}};
    return names;
}

std::string_view words(MasonryKind kind) {
    switch (kind) {
    case MasonryKind::brick:
        return "brick";
    case MasonryKind::dense_block:
        return "dense block";
    case MasonryKind::aerated_block:
        return "aerated block";
    case MasonryKind::concrete:
        return "concrete";
    }
    return {};
}

std::string_view words(ObstacleKind kind) {
    switch (kind) {
    case ObstacleKind::radiator:
        return "the radiator";
    case ObstacleKind::boiler:
        return "the boiler";
    case ObstacleKind::pipe_run:
        return "the pipe run";
    case ObstacleKind::beam:
        return "the beam";
    case ObstacleKind::column:
        return "the column";
    case ObstacleKind::fireplace:
        return "the fireplace";
    case ObstacleKind::other:
        return "the obstacle";
    }
    return {};
}

template <>
std::span<const EnumName<ScanResult>> enum_names() {
    static constexpr EnumName<ScanResult> names[]{{ScanResult::clear, "clear", "Clear"},
                                                  {ScanResult::cable, "cable", "A cable"},
                                                  {ScanResult::pipe, "pipe", "A pipe"},
                                                  {ScanResult::keep_out, "keep_out", "Keep free, whatever is there"}};
    return names;
}

template <>
std::span<const EnumName<DrillMet>> enum_names() {
    static constexpr EnumName<DrillMet> names[]{
        {DrillMet::white_soft_dust, "white_soft_dust", "white, soft dust"},
        {DrillMet::grey_sandy_dust, "grey_sandy_dust", "grey, sandy dust"},
        {DrillMet::glazed_chips, "glazed_chips", "glazed chips"},
        {DrillMet::grey_fibrous, "grey_fibrous", "grey, fibrous crumbs"},
        {DrillMet::nothing, "nothing", "nothing: the drill falls in"},
        {DrillMet::wood_shavings, "wood_shavings", "wood shavings"},
        {DrillMet::metal, "metal", "metal"},
        {DrillMet::red_dust, "red_dust", "red dust"},
        {DrillMet::grey_hard, "grey_hard", "grey dust, hammer needed"},
        {DrillMet::grey_very_hard, "grey_very_hard", "grey dust, slow even with the hammer"},
        {DrillMet::pale_soft, "pale_soft", "pale grit, no hammer needed"}};
    return names;
}

template <>
std::span<const EnumName<Instrument>> enum_names() {
    static constexpr EnumName<Instrument> names[]{{Instrument::tape_class_1, "tape_class_1", "Tape, class I"},
                                                  {Instrument::tape_class_2, "tape_class_2", "Tape, class II"},
                                                  {Instrument::laser, "laser", "Laser measure"}};
    return names;
}

template <>
std::span<const EnumName<LoadKind>> enum_names() {
    static constexpr EnumName<LoadKind> names[]{{LoadKind::books, "books", "A row of books"},
                                                {LoadKind::kitchen, "kitchen", "Kitchen goods"},
                                                {LoadKind::general, "general", "Household goods"},
                                                {LoadKind::display, "display", "Ornaments"},
                                                {LoadKind::own, "own", "Own figure"},
                                                {LoadKind::desk, "desk", "A desk's things, somebody on its edge"},
                                                {LoadKind::clothes, "clothes", "Clothes"}};
    return names;
}

template <>
std::span<const EnumName<School>> enum_names() {
    static constexpr EnumName<School> names[]{
        {School::studs_first, "studs_first"}, {School::even, "even"}, {School::mirrored, "mirrored"}};
    return names;
}

} // namespace yes_square
