#include "core/shelves/board_section.hpp"

#include "core/site/cut_outs.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double even_span = 48.0 / 5; ///< shear over bending: at the middle of a simple span evenly loaded,
constexpr double held_span = 48;       ///< of one held at both ends,
constexpr double free_end = 4;         ///< at the end of an overhang

/// How broad a glued flange counts between two webs: a share of the span, for shear lag, and so many times its
/// thickness, for buckling (EN 1995-1-1 table 9.1, from memory; solid timber as plywood, the least of it).
struct Flange {
    double lag;
    double buckles;
};
Flange flange_of(BoardMaterial material) {
    if (material <= BoardMaterial::particleboard_p5)
        return {0.20, 30};
    return material == BoardMaterial::osb3 ? Flange{0.15, 25} : Flange{0.10, 20};
}
constexpr Length lag_span = 400_mm; ///< brackets seldom stand nearer; longer spans lag less (safe side)

/// Between its skins; none where nothing is left.
Length between_skins(const Shelf& shelf) {
    return std::max(Length{}, shelf.thickness - 2 * shelf.hollow->skin);
}

/// A hollow board of a depth, and what its parts come to.
struct Skins {
    const BoardProperties& skin;
    const BoardProperties& frame;
    double thickness;
    double each;   ///< of a skin
    double core;   ///< between them
    double left;   ///< breadth of the skins that counts, and
    double strips; ///< of the strips along it, where least is left
};

Skins skins_of(const Shelf& shelf) {
    const HollowBoard& board = *shelf.hollow;
    const Length depth = shelf.board_depth();
    const Length back = std::min(board.back, depth);
    const Length front = std::max(back, depth - board.front);
    const Length behind = least_left(shelf.cut_outs, Length{}, back);
    const Length before = least_left(shelf.cut_outs, front, depth);
    const Length core = between_skins(shelf);
    const Length skin = (shelf.thickness - core) / 2;
    // What lies far from the strips does not bend with them; beside one strip alone half as much does.
    const Flange flange = flange_of(shelf.material);
    const Length span = std::min(shelf.length, lag_span);
    const Length counts =
        Length::nearest_to_metres(std::min(flange.lag * span.in_metres(), flange.buckles * skin.in_metres()) *
                                  (behind > Length{} && before > Length{} ? 1 : 0.5));
    const bool loose = behind + before <= Length{};
    const Length between = least_left(shelf.cut_outs, back, front);
    const Length left =
        loose ? least_left(shelf.cut_outs, Length{}, depth) : behind + before + std::min(between, counts);
    return {properties(shelf.material), properties(board.frame), shelf.thickness.in_metres(),  skin.in_metres(),
            core.in_metres(),           left.in_metres(),        (behind + before).in_metres()};
}

LineMass hollow_mass(const Shelf& shelf) {
    const HollowBoard& board = *shelf.hollow;
    const Skins of = skins_of(shelf);
    const double depth = shelf.board_depth().in_metres();
    const double strips = std::min(depth, (board.front + board.back).in_metres());
    const double ribs =
        std::min(1.0, board.ribs * board.rib.in_metres() / shelf.length.in_metres()); // share of the length
    const double frame = strips + ribs * (depth - strips);
    return of.skin.density * metres(2 * of.each) * metres(depth) + of.frame.density * metres(frame) * metres(of.core) +
           board.core * metres(depth - frame) * metres(of.core);
}

/// A board's parts over one level, its top.
std::vector<SectionPart> skin_parts(const Skins& of) {
    return {{of.skin.modulus, of.left, of.each, -of.each / 2},
            {of.skin.modulus, of.left, of.each, of.each / 2 - of.thickness},
            {of.frame.modulus, of.strips, of.core, -of.thickness / 2}};
}

Section hollow_section(const Shelf& shelf) {
    const Skins of = skins_of(shelf);
    Section section;
    section.per_metre = hollow_mass(shelf);
    if (!(of.strips > 0) || !(of.core > 0)) {
        section.stiffness = 2 * board_stiffness(of.skin.modulus, of.left, of.each);
        section.modulus = SectionModulus::si(2 * of.left * of.each * of.each / 6);
        return section;
    }
    section.stiffness = section_stiffness(skin_parts(of));
    const double apart = of.thickness - of.each;
    section.shear =
        shear_share(shelf.hollow->frame) * of.frame.modulus * metres(of.strips) * metres(apart * apart / of.core);
    // The skins at their outer faces, or the strips at theirs where they are weaker for what they are stressed.
    const SectionModulus skins = section.stiffness / of.skin.modulus / metres(of.thickness / 2);
    const SectionModulus strips = section.stiffness / of.frame.modulus / metres(of.core / 2) *
                                  std::min(bending_leaned(of.frame) / bending_leaned(of.skin),
                                           bending_stored(of.frame) / bending_stored(of.skin));
    section.modulus = std::min(skins, strips);
    return section;
}

Section solid_section(const Shelf& shelf) {
    const BoardProperties& board = properties(shelf.material);
    const double thickness = shelf.thickness.in_metres();
    const double left = least_left(shelf.cut_outs, Length{}, shelf.board_depth()).in_metres();
    return {board.density * shelf.board_depth() * shelf.thickness, board_stiffness(board.modulus, left, thickness),
            SectionModulus::si(left * thickness * thickness / 6)};
}

} // namespace

Section board_section(const Shelf& shelf) {
    Section section = shelf.hollow ? hollow_section(shelf) : solid_section(shelf);
    if (shelf.lip) {
        const BoardProperties& lip = properties(shelf.lip->material);
        const double breadth = shelf.lip->breadth.in_metres();
        const double height = shelf.lip->height.in_metres();
        section.per_metre += lip.density * metres(breadth) * metres(height);
        const double thickness = shelf.thickness.in_metres();
        std::vector<SectionPart> parts;
        if (!shelf.hollow)
            parts = {{properties(shelf.material).modulus,
                      least_left(shelf.cut_outs, Length{}, shelf.board_depth()).in_metres(), thickness,
                      -thickness / 2}};
        else if (section.shear > 0)
            parts = skin_parts(skins_of(shelf));
        parts.push_back({lip.modulus, breadth, height, -height / 2});
        // Loose skins have no one middle about which they would bend with it.
        section.stiffness = parts.size() > 1 ? section_stiffness(parts) : section.stiffness;
    }
    if (shelf.stretcher && way_of(shelf).chooses_bracket()) {
        const BoardProperties& bar = properties(shelf.stretcher->material);
        const double breadth = shelf.stretcher->breadth.in_metres();
        const double height = shelf.stretcher->height.in_metres();
        section.per_metre += bar.density * metres(breadth) * metres(height);
        section.stiffness += board_stiffness(bar.modulus, breadth, height); // it bends with the board, not as one
    }
    if (shelf.board_mass > 0)
        section.per_metre = shelf.board_mass / shelf.length;
    return section;
}

Stiffness with_shear(const Section& section, Length span, Length overhang, std::size_t supports) {
    if (!(section.shear > 0))
        return section.stiffness;
    const auto share = [&](double factor, Length over) {
        return over > Length{} ? factor * (section.stiffness / (section.shear * over * over)) : 0.0;
    };
    const double within = share(supports > 2 ? held_span : even_span, span);
    const double beyond = 2 * overhang >= span ? share(free_end, overhang) : 0.0;
    return section.stiffness / (1 + std::max(within, beyond));
}

std::vector<CutPart> hollow_board_cut(const Shelf& shelf, Length length) {
    const HollowBoard& board = *shelf.hollow;
    const Length depth = shelf.board_depth();
    const Length core = between_skins(shelf);
    std::vector<CutPart> parts;
    for (int skin = 0; skin < 2; ++skin)
        parts.push_back(
            board_part(shelf.id, {"skin of {0}", {shelf.name}}, shelf.material, length, shelf.depth, board.skin));
    const auto add = [&](Sentence name, Length long_, Length breadth) {
        if (core > Length{} && breadth > Length{} && long_ > Length{})
            parts.push_back(board_part(shelf.id, std::move(name), board.frame, long_, breadth, core));
    };
    add({"front strip of {0}", {shelf.name}}, length, board.front);
    add({"back strip of {0}", {shelf.name}}, length, board.back);
    for (int rib = 0; rib < board.ribs; ++rib)
        add({"rib of {0}", {shelf.name}}, depth - board.front - board.back, board.rib);
    return parts;
}

} // namespace yes_square
