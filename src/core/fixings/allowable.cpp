#include "core/fixings/allowable.hpp"

namespace yes_square {

bool grips_lining(AnchorKind kind) {
    return kind == AnchorKind::cavity_anchor || kind == AnchorKind::toggle || kind == AnchorKind::self_drilling;
}

double basis_divisor(FigureBasis basis, bool soft) {
    switch (basis) {
    case FigureBasis::recommended:
        return 1;
    case FigureBasis::characteristic:
        return 3.5;
    case FigureBasis::ultimate:
    case FigureBasis::not_stated:
        break;
    }
    return soft ? 5 : 4;
}

Force allowable(Force figure, FigureBasis basis, AnchorKind kind) {
    const bool soft = kind == AnchorKind::plug || kind == AnchorKind::frame_plug || grips_lining(kind);
    return figure / basis_divisor(basis, soft);
}

std::optional<Force> allowed_of(const std::optional<Force>& rating, FigureBasis basis) {
    if (!rating)
        return std::nullopt;
    return *rating / basis_divisor(basis, false);
}

std::optional<Force> allowed_on(const Bracket& bracket) {
    const auto allowed = allowed_of(bracket.rating, bracket.basis);
    return allowed && bracket.rated_per_pair ? std::optional{*allowed / 2} : allowed;
}

} // namespace yes_square
