#include "core/job/fields.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// The names that a property table already holds.
template <class E, class Table>
auto names_from(const Table& table) {
    std::array<EnumName<E>, std::tuple_size_v<Table>> names{};
    std::ranges::transform(table, names.begin(), [](const auto& row) {
        if constexpr (requires { row.material; })
            return EnumName<E>{row.material, row.file_name};
        else
            return EnumName<E>{row.gauge, row.file_name};
    });
    return names;
}

} // namespace

template <>
std::span<const EnumName<StudState>> enum_names() {
    static constexpr EnumName<StudState> names[]{
        {StudState::proved, "proved"}, {StudState::indicated, "indicated"}, {StudState::assumed, "assumed"}};
    return names;
}

template <>
std::span<const EnumName<LiningMaterial>> enum_names() {
    static constexpr EnumName<LiningMaterial> names[]{{LiningMaterial::plasterboard, "plasterboard"},
                                                      {LiningMaterial::plaster, "plaster"},
                                                      {LiningMaterial::fibre_cement, "fibre_cement"},
                                                      {LiningMaterial::tile, "tile"},
                                                      {LiningMaterial::wood_panel, "wood_panel"}};
    return names;
}

template <>
std::span<const EnumName<Species>> enum_names() {
    static constexpr EnumName<Species> names[]{{Species::unknown, "unknown"},
                                               {Species::spruce_pine_fir, "spruce_pine_fir"},
                                               {Species::southern_pine, "southern_pine"},
                                               {Species::douglas_fir_larch, "douglas_fir_larch"},
                                               {Species::red_oak, "red_oak"},
                                               {Species::western_cedars, "western_cedars"},
                                               {Species::c16, "c16"}};
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
    static constexpr EnumName<ServiceKind> names[]{
        {ServiceKind::socket, "socket"}, {ServiceKind::switch_, "switch"}, {ServiceKind::pipe, "pipe"}};
    return names;
}

template <>
std::span<const EnumName<WallEnd>> enum_names() {
    static constexpr EnumName<WallEnd> names[]{{WallEnd::corner, "corner"}, {WallEnd::open, "open"}};
    return names;
}

template <>
std::span<const EnumName<LoadKind>> enum_names() {
    static constexpr EnumName<LoadKind> names[]{{LoadKind::books, "books"},
                                                {LoadKind::kitchen, "kitchen"},
                                                {LoadKind::general, "general"},
                                                {LoadKind::display, "display"},
                                                {LoadKind::own, "own"}};
    return names;
}

template <>
std::span<const EnumName<School>> enum_names() {
    static constexpr EnumName<School> names[]{
        {School::studs_first, "studs_first"}, {School::even, "even"}, {School::mirrored, "mirrored"}};
    return names;
}

template <>
std::span<const EnumName<ServiceClass>> enum_names() {
    static constexpr EnumName<ServiceClass> names[]{{ServiceClass::dry, "dry"}, {ServiceClass::damp, "damp"}};
    return names;
}

template <>
std::span<const EnumName<SagLimit>> enum_names() {
    static constexpr EnumName<SagLimit> names[]{
        {SagLimit::l_200, "L/200"}, {SagLimit::l_300, "L/300"}, {SagLimit::l_384, "L/384"}, {SagLimit::l_600, "L/600"}};
    return names;
}

template <>
std::span<const EnumName<BoardMaterial>> enum_names() {
    static const auto names = names_from<BoardMaterial>(all_boards());
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

} // namespace yes_square
