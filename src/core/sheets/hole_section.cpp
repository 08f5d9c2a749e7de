#include "core/sheets/hole_section.hpp"

#include "core/fixings/wood_screw.hpp"
#include "core/job/field_visits.hpp"
#include "core/sheets/lettering.hpp"
#include "core/sheets/rods.hpp"
#include "core/sheets/summary.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double beyond = 12;       ///< mm of wall shown behind all that is drawn
constexpr double least_beside = 25; ///< mm of wall shown on both sides of the hole, and what is screwed on is as broad
constexpr double cable_room = 50;   ///< mm behind the lining in which one is drawn: how deep it lies is not known

double mm(Length length) {
    return length.in_metres() * 1000;
}

/// Depths are mm behind the face of the wall; what stands before it has depths less than 0.
class HoleSection {
public:
    HoleSection(const Wall& wall, const WallPlan& plan, const PlannedHole& hole, double width, double height,
                double text, const Voice& voice)
        : wall_{wall}
        , plan_{plan}
        , hole_{hole}
        , text_{text}
        , voice_{voice} {
        drawing_.width = width;
        drawing_.height = height;
        lining_ = mm(wall.lining_thickness());
        packed_ = mm(hole.packing);
        side_ = mm(hole.strength.side);
        if (hole.fixing) {
            tip_ = mm(hole.fixing->screw_length) - side_ - packed_;
            shank_ = mm(hole.fixing->clearance > Length{} ? hole.fixing->clearance : hole.fixing->hole_diameter) * 0.9;
        }
        deepest_ = std::max(tip_, lining_);
        for (const DrillPass& pass : hole.passes)
            if (pass.stage != DrillStage::part)
                deepest_ = std::max(deepest_, mm(pass.depth));
        const auto* framing = std::get_if<Framing>(&wall.structure);
        behind_ = framing ? std::max(deepest_, lining_ + mm(framing->stud_depth)) : deepest_;
        write_labels();
        set_scale();
    }

    Drawing draw() {
        structure();
        layers();
        services();
        if (packed_ > 0)
            band(-packed_, 0, beside_, Ink::caution, Fill::light, 0.2);
        if (side_ > 0)
            band(-packed_ - side_, -packed_, least_beside, hole_.strength.side_gravity ? Ink::board : Ink::bracket,
                 Fill::light, 0.3);
        passes();
        if (hole_.fixing)
            screw();
        line({left(), y(0)}, {right(), y(0)}, Ink::wall, 0.5);
        tape();
        put_labels();
        return std::move(drawing_);
    }

private:
    struct Label {
        double depth = 0;
        double x = 0; ///< mm right of the hole: where its leader begins; as far as the section goes at most
        std::string words;
        Ink ink = Ink::figure;
    };

    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void line(Point a, Point b, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{a, b, ink, width, stroke});
    }
    double x(double beside) const { return middle_ + beside * scale_; }
    double y(double depth) const { return face_ - depth * scale_; }
    double left() const { return x(-beside_); }
    double right() const { return x(beside_); }
    /// A stretch of wall, from one place beside the hole to another, cut off where the section ends.
    void stretch(double from, double to, double shallow, double deep, Ink ink, Fill fill, double line_width,
                 Stroke stroke = Stroke::solid) {
        from = std::clamp(from, -beside_, beside_);
        to = std::clamp(to, -beside_, beside_);
        if (to > from && deep > shallow)
            add(Rectangle{
                {x(from), y(deep)}, (to - from) * scale_, (deep - shallow) * scale_, ink, fill, line_width, stroke});
    }
    void band(double shallow, double deep, double half, Ink ink, Fill fill, double line_width) {
        stretch(-half, half, shallow, deep, ink, fill, line_width);
    }
    void label(double depth, double at, Sentence words, Ink ink = Ink::figure) {
        labels_.push_back({depth, at, say(words, voice_), ink});
    }

    void write_labels() {
        const double all = 1e6; // as far as the section goes
        if (side_ > 0)
            label(-packed_ - side_ / 2, least_beside,
                  {hole_.strength.side_gravity ? "Wood screwed on, {0}" : "Steel screwed on, {0}",
                   {stock(hole_.strength.side)}});
        if (packed_ > 0)
            label(-packed_ / 2, all, {"Packing, {0}", {stock(hole_.packing)}});
        double depth = 0;
        for (const LiningLayer& layer : wall_.lining) {
            label(depth + mm(layer.thickness) / 2, all,
                  {"{0}, {1}", {enum_words(layer.material), stock(layer.thickness)}});
            depth += mm(layer.thickness);
        }
        label(behind_ - 4, all, structure_words());
        if (!hole_.fixing)
            label(lining_ + 4, 0, {"Nothing known holds here"}, Ink::alarm);
        for (const DrillPass& pass : hole_.passes)
            pass_label(pass);
        if (hole_.fixing) {
            const bool wood = hole_.strength.thread > Length{};
            label(tip_ - 2, 0,
                  wood                     ? Sentence{"Thread in wood, {0}", {stock(hole_.strength.thread)}}
                  : hole_.held_by_lining() ? Sentence{"Its screw opens it behind the lining"}
                                           : Sentence{"So deep in it: {0}", {stock(hole_.strength.penetration)}});
            label(-packed_ - side_, 0, {"{0}, {1} long", {hole_.fixing->name, stock(hole_.fixing->screw_length)}});
        }
        for (const std::size_t strip : hole_.strips)
            label(lining_ + std::min(cable_room, behind_ - lining_) / 2, all,
                  {"Stop and look: {0}", {plan_.survey.strips[strip].what}}, Ink::alarm);
    }

    Sentence structure_words() const {
        if (hole_.stud) {
            const Length off = hole_.x - plan_.survey.studs[*hole_.stud].centre;
            if (absolute(off) >= 1_mm)
                return {"In {0}, {1} {2} of its middle",
                        {words(hole_.substrate), stock(absolute(off)),
                         off > Length{} ? std::string_view{"right"} : std::string_view{"left"}}};
            return {"In {0}, at its middle", {words(hole_.substrate)}};
        }
        if (!carries(hole_.substrate))
            return {hole_.held_by_lining() ? std::string_view{"The lining alone holds it"}
                                           : "Nothing to hold in behind it"};
        return {"In {0}", {words(hole_.substrate)}};
    }

    void pass_label(const DrillPass& pass) {
        switch (pass.stage) {
        case DrillStage::part:
            return label(-packed_ - side_ / 2, 0, {"Clearance through it, {0} wide", {stock(pass.diameter)}});
        case DrillStage::tile:
            return label(mm(pass.depth) / 2, 0, {"Tile bit {0}, no hammer", {stock(pass.diameter)}});
        case DrillStage::lining:
            return label(mm(pass.depth), 0, {"Clearance {0}, to {1}", {stock(pass.diameter), stock(pass.depth)}});
        case DrillStage::full:
            return label(mm(pass.depth), 0, {"Hole {0}, tape at {1}", {stock(pass.diameter), stock(pass.depth)}});
        }
    }

    /// The words stand at the right of the section, as broad as they want to be while it keeps a third of the paper.
    void set_scale() {
        const auto widest = [&] {
            double most = 0;
            for (const Label& each : labels_)
                most = std::max(most, text_width(each.words, text_, false));
            return most;
        };
        const double room = 0.66 * drawing_.width - 2.5 * text_;
        text_ = std::min(text_, text_ * room / std::max(room, widest()));
        text_ = std::min(text_, drawing_.height / (1.3 * static_cast<double>(labels_.size()) + 1));
        const double broad = drawing_.width - widest() - 3.5 * text_;
        const double before = side_ + packed_ + 4;
        scale_ = std::min((drawing_.height - text_) / (before + behind_ + beyond), broad / 2 / (least_beside + 2));
        beside_ = broad / 2 / scale_;
        middle_ = 0.5 * text_ + broad / 2;
        const double spare = drawing_.height - (before + behind_ + beyond) * scale_;
        face_ = drawing_.height - before * scale_ - spare / 2;
        words_at_ = right() + 2 * text_;
    }

    void structure() {
        const double back = behind_ + beyond;
        if (std::holds_alternative<Masonry>(wall_.structure)) {
            stretch(-beside_, beside_, lining_, back, Ink::masonry, Fill::hatched, 0.2);
            return;
        }
        const auto* framing = std::get_if<Framing>(&wall_.structure);
        if (!framing)
            return;
        const double deep = lining_ + mm(framing->stud_depth);
        if (!hole_.stud && (hole_.substrate == Substrate::nogging || hole_.substrate == Substrate::joist)) {
            stretch(-beside_, beside_, lining_, deep, Ink::stud_proved, Fill::light, 0.3);
            return;
        }
        for (const Stud& stud : plan_.survey.studs) {
            const double at = mm(stud.centre - hole_.x);
            const double half = mm(framing->stud_width) / 2;
            stretch(at - half, at + half, lining_, deep, ink_of(stud.state), Fill::light, 0.3,
                    stud.state == StudState::proved ? Stroke::solid : Stroke::dashed);
        }
        line({left(), y(deep)}, {right(), y(deep)}, Ink::wall, 0.2, Stroke::dashed);
    }

    void layers() {
        double depth = 0;
        for (const LiningLayer& layer : wall_.lining) {
            const double to = depth + mm(layer.thickness);
            const bool hollow = layer.material == LiningMaterial::hollow;
            stretch(-beside_, beside_, depth, to, Ink::wall, hollow ? Fill::none : Fill::light, 0.2,
                    hollow ? Stroke::dotted : Stroke::solid);
            depth = to;
        }
    }

    /// How deep one lies is not known: all the room in which it may.
    void services() {
        for (const std::size_t number : hole_.strips) {
            const Strip& strip = plan_.survey.strips[number];
            stretch(mm(strip.left - hole_.x), mm(strip.right - hole_.x), 0,
                    std::min(lining_ + cable_room, behind_ + beyond),
                    strip.basis == Strip::Basis::detected ? Ink::detected : Ink::caution, Fill::light, 0.25,
                    Stroke::dashed);
        }
    }

    /// Narrow ones first, so that each is seen as wide as it is drilled.
    void passes() {
        std::vector<DrillPass> in_width = hole_.passes;
        std::ranges::stable_sort(in_width, {}, &DrillPass::diameter);
        for (const DrillPass& pass : in_width) {
            const bool part = pass.stage == DrillStage::part;
            const double half = mm(pass.diameter) / 2;
            stretch(-half, half, part ? -packed_ - side_ : 0, part ? -packed_ : mm(pass.depth), Ink::paper, Fill::plain,
                    0);
            for (const double edge : {-half, half})
                line({x(edge), y(part ? -packed_ - side_ : 0)}, {x(edge), y(part ? -packed_ : mm(pass.depth))},
                     Ink::hole, 0.2);
        }
    }

    void screw() {
        const double head = -packed_ - side_;
        const double half = shank_ / 2;
        add(Triangle{{x(-2 * half), y(head)}, {x(2 * half), y(head)}, {x(0), y(head + 2 * half)}, Ink::tick});
        const double threaded = tip_ - std::min(mm(hole_.fixing->screw_length) * threaded_share, tip_ - head);
        stretch(-half, half, head, threaded, Ink::tick, Fill::plain, 0);
        const double core = 0.6 * half;
        stretch(-core, core, threaded, tip_ - shank_, Ink::tick, Fill::plain, 0);
        add(Triangle{{x(-core), y(tip_ - shank_)}, {x(core), y(tip_ - shank_)}, {x(0), y(tip_)}, Ink::tick});
        const double pitch = std::max(1.5, 0.6 * shank_);
        for (double depth = threaded + pitch / 2; depth < tip_ - shank_ / 2; depth += pitch)
            line({x(-half), y(depth - pitch / 3)}, {x(half), y(depth + pitch / 3)}, Ink::tick, 0.25);
    }

    /// How far the bit goes in, at the left of the hole: from the face to the tape.
    void tape() {
        const auto full = std::ranges::find(hole_.passes, DrillStage::full, &DrillPass::stage);
        if (full == hole_.passes.end())
            return;
        const double at = x(-std::max(0.55 * beside_, mm(full->diameter)));
        line({at, y(0)}, {at, y(mm(full->depth))}, Ink::level, 0.35);
        for (const double depth : {0.0, mm(full->depth)})
            line({at - 0.5 * text_, y(depth)}, {at + 0.5 * text_, y(depth)}, Ink::level, 0.35);
        line({at + 0.5 * text_, y(mm(full->depth))}, {x(-mm(full->diameter) / 2), y(mm(full->depth))}, Ink::level, 0.2,
             Stroke::dotted);
    }

    /// Deepest at the top; each as near as may be to what it names, none on another.
    void put_labels() {
        std::ranges::stable_sort(labels_, std::greater{}, &Label::depth);
        const double pitch = 1.3 * text_;
        std::vector<double> at;
        double next = text_;
        for (const Label& each : labels_) {
            at.push_back(std::max(next, y(each.depth) + 0.35 * text_));
            next = at.back() + pitch;
        }
        double most = drawing_.height - 0.35 * text_;
        for (std::size_t i = at.size(); i-- > 0;) {
            at[i] = std::min(at[i], most);
            most = at[i] - pitch;
        }
        for (std::size_t i = 0; i < labels_.size(); ++i) {
            const Label& each = labels_[i];
            const double from = std::min(x(each.x), right());
            const double level = y(each.depth);
            if (from < right())
                line({from, level}, {right(), level}, Ink::faint, 0.15);
            line({right(), level}, {words_at_ - 0.4 * text_, at[i] - 0.35 * text_}, Ink::faint, 0.15);
            add(Text{{words_at_, at[i]}, each.words, text_, Align::left, each.ink});
        }
    }

    const Wall& wall_;
    const WallPlan& plan_;
    const PlannedHole& hole_;
    double text_;
    const Voice& voice_;
    Drawing drawing_;
    std::vector<Label> labels_;
    double lining_ = 0;
    double packed_ = 0;
    double side_ = 0;    ///< thickness of what is screwed on
    double tip_ = 0;     ///< of the screw
    double shank_ = 0;   ///< how wide
    double deepest_ = 0; ///< that anything goes in
    double behind_ = 0;  ///< the deepest that is shown whole
    double scale_ = 1;   ///< mm of paper to one of wall
    double beside_ = 0;  ///< half of what is shown along the wall
    double middle_ = 0;  ///< of the hole, on paper
    double face_ = 0;
    double words_at_ = 0;
};

} // namespace

Drawing draw_hole_section(const Wall& wall, const WallPlan& plan, const PlannedHole& hole, double width, double height,
                          double text, const Voice& voice) {
    return HoleSection{wall, plan, hole, width, height, text, voice}.draw();
}

bool tells_less(const PlannedHole& a, const PlannedHole& b) {
    const auto rank = [](const PlannedHole& hole) { return std::pair{!hole.passes.empty(), hole.utilisation}; };
    return rank(a) < rank(b);
}

const PlannedHole* most_telling(const std::vector<PlannedHole>& holes) {
    const auto most = std::ranges::max_element(holes, tells_less);
    return most == holes.end() ? nullptr : &*most;
}

} // namespace yes_square
