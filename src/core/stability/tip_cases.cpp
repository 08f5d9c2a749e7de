#include "core/stability/tip_cases.hpp"

#include "core/stability/tipping.hpp"
#include <algorithm>
#include <cmath>
#include <numeric>

namespace yes_square {
namespace {

constexpr double contents_up_share = 0.5; ///< of the piece's height, of what stands on its shelves
constexpr double door_up_share = 0.5;

/// What a case asks of a restraint, as a moment: what it is compared by.
Moment demand(const TipBalance& balance, const TippingRules& rules) {
    return rules.over_factor * balance.over - rules.righting_factor * balance.righting;
}

class CaseWriter {
public:
    CaseWriter(const Piece& piece, const TippingRules& rules, double restraint_height)
        : piece_{piece}
        , rules_{rules}
        , restraint_height_{restraint_height}
        , depth_{piece.depth.in_metres()}
        , height_{piece.height.in_metres()} {}

    std::vector<TipCase> write() {
        const Open nothing;
        add(TipCaseKind::closed, {nothing});
        add(TipCaseKind::closed_pulled, {nothing}, pull(rules_.adult_pull));
        if (!opens()) {
            add(TipCaseKind::climbed, {nothing}, std::nullopt, true);
            return std::move(cases_);
        }
        std::vector<Open> singly;
        Open everything{{}, piece_.doors > 0};
        for (std::size_t i = 0; i < piece_.drawers.size(); ++i) {
            singly.push_back({{i}, false});
            everything.drawers.push_back(i);
        }
        if (piece_.doors > 0)
            singly.push_back({{}, true});
        const std::vector<Open> most = piece_.one_at_a_time ? singly : std::vector{everything};
        add(TipCaseKind::one_open, singly);
        add(TipCaseKind::all_open, most);
        add(TipCaseKind::all_open_pulled, most, pull(rules_.child_pull));
        add(TipCaseKind::climbed, most, std::nullopt, true);
        return std::move(cases_);
    }

private:
    /// What stands open at once.
    struct Open {
        std::vector<std::size_t> drawers;
        bool doors = false;
    };

    bool opens() const { return piece_.doors > 0 || !piece_.drawers.empty(); }
    double door_width() const { return piece_.width.in_metres() / piece_.doors; }
    /// The height of a hand, or of a foot, no higher than a child reaches.
    double within_reach(double up) const { return std::min(up, rules_.hand_most.in_metres()); }

    /// Its middle, from the foot line: pulled out it stands before the front by its reach less half its depth.
    double open_back(const Drawer& drawer) const { return front() + depth_ / 2 - drawer.reach.in_metres(); }
    /// The front face, seen from the foot line.
    double front() const { return -piece_.feet_back.in_metres(); }
    double drawer_up(const Drawer& drawer) const { return (drawer.top - drawer.height / 2).in_metres(); }

    TipPull pull(Force force) const { return {force, front(), within_reach(height_)}; }

    /// The worst of several ways of standing open.
    void add(TipCaseKind kind, const std::vector<Open>& ways, std::optional<TipPull> pulled = {},
             bool climbed = false) {
        std::optional<TipCase> worst;
        for (const Open& open : ways)
            if (TipCase next = case_of(kind, open, pulled, climbed);
                !worst || demand(next.balance, rules_) > demand(worst->balance, rules_))
                worst = std::move(next);
        cases_.push_back(std::move(*worst));
    }

    TipCase case_of(TipCaseKind kind, const Open& open, std::optional<TipPull> pulled, bool climbed) const {
        TipCase next;
        next.kind = kind;
        next.lean = lean_of(piece_, rules_);
        next.open = open.drawers;
        next.doors_open = open.doors;
        next.pull = pulled;
        Mass drawers = 0;
        for (const Drawer& drawer : piece_.drawers)
            drawers += drawer.mass;
        const Mass door_mass = piece_.doors * piece_.door_mass;
        const Mass body = std::max<Mass>(0, piece_.mass - drawers - door_mass);
        const double back = front() + piece_.centre_back.value_or(piece_.depth / 2).in_metres();
        const double up = piece_.centre_up ? piece_.centre_up->in_metres() : height_ / 2;
        next.weights.push_back({"its body", body, back, up});
        for (std::size_t i = 0; i < piece_.drawers.size(); ++i) {
            const Drawer& drawer = piece_.drawers[i];
            const bool is_open = std::ranges::find(open.drawers, i) != open.drawers.end();
            const double at = is_open ? open_back(drawer) : front() + depth_ / 2;
            if (drawer.mass > 0)
                next.weights.push_back({is_open ? std::string_view{"an open drawer"} : "a closed drawer", drawer.mass,
                                        at, drawer_up(drawer)});
            if (is_open)
                next.weights.push_back(
                    {"what is in it", drawer_load(drawer, piece_, rules_), at, drawer_up(drawer), true});
        }
        if (door_mass > 0)
            next.weights.push_back({open.doors ? std::string_view{"its doors, open"} : "its doors", door_mass,
                                    front() - (open.doors ? door_width() / 2 : 0.0), height_ * door_up_share});
        if (piece_.top_load > 0)
            next.weights.push_back({"what stands on top", piece_.top_load, front() + depth_ / 2,
                                    height_ + rules_.top_load_up.in_metres(), true});
        if (piece_.contents_mass > 0)
            next.weights.push_back(
                {"what is in it", piece_.contents_mass, front() + depth_ / 2, height_ * contents_up_share, true});
        if (climbed)
            next.weights.push_back(climber(open));
        next.balance = tip_balance(next.weights, next.pull, next.lean);
        next.needs = restraint_height_ > 0 ? restraint_force(next.balance, restraint_height_, rules_) : 0;
        return next;
    }

    /// Somebody on the front edge of greatest reach; of equal ones the highest that is in reach.
    TipWeight climber(const Open& open) const {
        double reach = 0;
        double up = within_reach(height_);
        bool any = false;
        const double most = rules_.hand_most.in_metres();
        const auto offer = [&](double r, double z) {
            const bool higher = z <= most && (up > most || z > up);
            if (!any || r > reach || (r == reach && higher)) {
                reach = r;
                up = z;
                any = true;
            }
        };
        for (const std::size_t i : open.drawers)
            offer(piece_.drawers[i].reach.in_metres(), piece_.drawers[i].top.in_metres());
        if (open.doors)
            offer(door_width(), within_reach(height_));
        return {"somebody on its front edge", rules_.person_mass, front() - reach, up};
    }

    const Piece& piece_;
    const TippingRules& rules_;
    const double restraint_height_;
    const double depth_;
    const double height_;
    std::vector<TipCase> cases_;
};

} // namespace

Piece piece_of(const CabinetUnit& unit, Mass empty_mass, Mass loaded_mass) {
    constexpr Length drawer = 300_mm;
    constexpr Length highest = 1500_mm;
    Piece piece;
    piece.id = unit.id;
    piece.name = unit.name;
    piece.kind = unit.kind == UnitKind::appliance_housing ? PieceKind::appliance_housing : PieceKind::larder;
    piece.width = unit.width;
    piece.height = unit.height;
    piece.depth = unit.depth;
    piece.mass = empty_mass;
    piece.contents_mass = std::max<Mass>(0, loaded_mass - empty_mass);
    if (unit.hinge == DoorHinge::drawers) {
        for (Length top = drawer; top <= std::min(unit.height, highest); top += drawer)
            piece.drawers.push_back({top, unit.depth, drawer, 0, {}, {}});
        for (Drawer& each : piece.drawers) // its fronts go out with them
            each.mass = std::min(unit.doors_mass, empty_mass) / static_cast<double>(piece.drawers.size());
    } else if (unit.hinge != DoorHinge::none) {
        piece.doors = unit.hinge == DoorHinge::both ? 2 : 1;
        piece.door_mass = std::min(unit.doors_mass, empty_mass) / piece.doors;
    }
    return piece;
}

Mass drawer_load(const Drawer& drawer, const Piece& piece, const TippingRules& rules) {
    if (drawer.load)
        return *drawer.load;
    return rules.drawer_density * piece.width * piece.depth * drawer.height;
}

double lean_of(const Piece& piece, const TippingRules& rules) {
    const double apart = (piece.depth - piece.feet_back).in_metres();
    if (apart <= 0)
        return 0;
    const double falls = std::atan2(piece.floor_falls.in_metres(), piece.depth.in_metres());
    return falls +
           (piece.floor == FloorUnder::hard ? 0.0 : std::asin(std::min(1.0, rules.rear_raised.in_metres() / apart)));
}

std::vector<TipCase> tip_cases(const Piece& piece, const TippingRules& rules, double restraint_height) {
    return CaseWriter{piece, rules, restraint_height}.write();
}

std::string_view words(TipCaseKind kind) {
    switch (kind) {
    case TipCaseKind::closed:
        return "closed";
    case TipCaseKind::closed_pulled:
        return "pulled";
    case TipCaseKind::one_open:
        return "one open";
    case TipCaseKind::all_open:
        return "all open";
    case TipCaseKind::all_open_pulled:
        return "open, pulled";
    case TipCaseKind::climbed:
        return "climbed on";
    }
    return {};
}

std::string_view words(PieceVerdict verdict) {
    switch (verdict) {
    case PieceVerdict::stands:
        return "stands by itself";
    case PieceVerdict::held:
        return "held";
    case PieceVerdict::advised:
        return "to be held";
    case PieceVerdict::unsafe:
        return "not safe";
    }
    return {};
}

} // namespace yes_square
