#include "core/survey/trial_hole.hpp"
#include "core/job/field_visits.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// A void no deeper than this, with masonry behind it, is that of adhesive dabs or battens.
constexpr Length deepest_battens = 60_mm;
/// Wood thinner than this with nothing behind it is a lath or a panel, not a stud.
constexpr Length thin_wood = 25_mm;

struct Layer {
    DrillMet met;
    Length from;
    Length to;
    Length thickness() const { return to - from; }
};

std::vector<Layer> layers_of(const TrialHole& hole) {
    std::vector<TrialLayer> sorted = hole.layers;
    std::ranges::stable_sort(sorted, {}, &TrialLayer::from);
    std::vector<Layer> layers;
    for (std::size_t i = 0; i < sorted.size(); ++i) {
        const Length to = i + 1 < sorted.size() ? sorted[i + 1].from : std::max(hole.depth, sorted[i].from);
        if (!layers.empty() && layers.back().met == sorted[i].met)
            layers.back().to = to;
        else
            layers.push_back({sorted[i].met, sorted[i].from, to});
    }
    return layers;
}

std::optional<MasonryKind> masonry_of(DrillMet met) {
    switch (met) {
    case DrillMet::red_dust:
        return MasonryKind::brick;
    case DrillMet::grey_hard:
        return MasonryKind::dense_block;
    case DrillMet::grey_very_hard:
        return MasonryKind::concrete;
    case DrillMet::pale_soft:
        return MasonryKind::aerated_block;
    default:
        return std::nullopt;
    }
}

/// White dust is plaster where something solid follows at once, board where a void, a stud or a batten does.
std::optional<LiningMaterial> lining_of(DrillMet met, const Layer* next) {
    switch (met) {
    case DrillMet::glazed_chips:
        return LiningMaterial::tile;
    case DrillMet::grey_fibrous:
        return LiningMaterial::fibre_cement;
    case DrillMet::grey_sandy_dust:
        return LiningMaterial::plaster;
    case DrillMet::white_soft_dust:
        return next && (masonry_of(next->met) || next->met == DrillMet::grey_sandy_dust) ? LiningMaterial::plaster
                                                                                         : LiningMaterial::plasterboard;
    default:
        return std::nullopt;
    }
}

class WallReader {
public:
    WallReader(const TrialHole& hole, const Structure& known)
        : layers_{layers_of(hole)}
        , known_{known} {}

    WallBuildUp read() {
        take_lining();
        take_structure();
        return std::move(found_);
    }

private:
    const Layer* at(std::size_t index) const { return index < layers_.size() ? &layers_[index] : nullptr; }
    void doubt(Sentence words) { found_.doubts.push_back(std::move(words)); }
    void add_lining(LiningMaterial material, Length thickness) {
        if (thickness > Length{})
            found_.lining.push_back({material, thickness});
    }

    void take_lining() {
        for (; const Layer* layer = at(next_); ++next_) {
            const Layer* after = at(next_ + 1);
            if (const auto material = lining_of(layer->met, after)) {
                add_lining(*material, layer->thickness());
            } else if (layer->met == DrillMet::wood_shavings && layer->thickness() < thin_wood && after) {
                add_lining(LiningMaterial::wood_panel, layer->thickness());
                if (next_ > 0)
                    doubt({"Thin wood behind a lining may be laths: nails in every lath say nothing of studs, and a "
                           "probe hit proves none. Both edges of a stud still do"});
            } else {
                break;
            }
            found_.behind_lining = layer->to;
        }
    }

    void take_structure() {
        const Layer* layer = at(next_);
        if (!layer) {
            found_.words = {"The hole ended in the lining, {0} deep: drill on to learn what holds",
                            {stock(found_.behind_lining)}};
            return;
        }
        if (layer->met == DrillMet::nothing) {
            const Layer* behind = at(next_ + 1);
            found_.hollow = layer->thickness();
            if (behind && masonry_of(behind->met) && layer->thickness() <= deepest_battens) {
                add_lining(LiningMaterial::hollow, layer->thickness());
                return masonry(*masonry_of(behind->met),
                               {"Lining {0}, a void of {1}, then {2}: a board on dabs or battens",
                                {stock(found_.behind_lining), stock(found_.hollow), words(*masonry_of(behind->met))}});
            }
            if (behind && (lining_of(behind->met, nullptr) || behind->met == DrillMet::wood_shavings)) {
                Framing framing = framed();
                framing.stud_depth = layer->thickness();
                found_.structure = framing;
                found_.words = {"Lining {0}, {1} of void, then a lining again: a partition on framing, drilled between "
                                "two studs",
                                {stock(found_.behind_lining), stock(found_.hollow)}};
                doubt({"Whether the studs are timber or steel this hole does not tell: a magnet or a probe will"});
                return;
            }
            found_.words = {"Lining {0} and nothing behind it for {1}: find the studs, or treat it as lining alone",
                            {stock(found_.behind_lining), stock(found_.hollow)}};
            return;
        }
        if (const auto kind = masonry_of(layer->met))
            return masonry(*kind, {"Lining {0}, then {1}", {stock(found_.behind_lining), words(*kind)}});
        Framing framing = framed();
        if (layer->met == DrillMet::metal) {
            framing.material = StudMaterial::steel;
            found_.words = {"Lining {0}, then metal: a steel stud, if a magnet holds all the way up and down",
                            {stock(found_.behind_lining)}};
            doubt(
                {"Metal may also be a pipe or a plate that guards a cable: stop there, do not drill through it before "
                 "you know"});
        } else {
            found_.words = {"Lining {0}, then a timber stud", {stock(found_.behind_lining)}};
            if (layer->thickness() < thin_wood)
                doubt({"Only {0} of wood was drilled: it may be a batten or a lath. Drill on, or probe both its edges",
                       {stock(layer->thickness())}});
        }
        found_.structure = framing;
    }

    void masonry(MasonryKind kind, Sentence words) {
        found_.structure = Masonry{kind};
        found_.words = std::move(words);
        if (kind == MasonryKind::aerated_block)
            doubt({"Soft block: half the load, resin-set bars, or a trial pull"});
        if (kind == MasonryKind::brick)
            doubt({"Where the dust turns grey and the drill runs easily it is a joint: move the hole into the brick"});
    }

    Framing framed() const {
        const auto* framing = std::get_if<Framing>(&known_);
        return framing ? *framing : Framing{};
    }

    std::vector<Layer> layers_;
    const Structure& known_;
    std::size_t next_ = 0;
    WallBuildUp found_;
};

} // namespace

std::string_view words(DrillMet met) {
    return enum_words(met);
}

WallBuildUp build_up_of(const TrialHole& hole, const Structure& known) {
    return WallReader{hole, known}.read();
}

} // namespace yes_square
