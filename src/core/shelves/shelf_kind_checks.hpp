#pragma once

#include "core/shelves/plate.hpp"
#include "core/site/check_writer.hpp"

namespace yes_square {

/// What finds the faults of one way of holding: a shelf as it is planned, and where checks are written.
class KindChecker : protected CheckWriter {
public:
    KindChecker(const Shelf& shelf, const WallSite& site, ShelfPlan& plan)
        : CheckWriter{plan.checks}
        , shelf_{shelf}
        , site_{site}
        , rules_{site.rules.shelves}
        , plan_{plan} {}

    using CheckWriter::add;
    const Shelf& shelf() const { return shelf_; }
    const WallSite& site() const { return site_; }
    const ShelfRules& rules() const { return rules_; }
    const ShelfPlan& plan() const { return plan_; }

    /// Of a plate: its holes lie in it, enough of them hold, and its maker's figure.
    void plate();
    /// Of a strip: its wall is known, enough of its screws hold.
    void strip(const CleatPlan& cleat);

protected:
    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfRules& rules_;
    ShelfPlan& plan_;

private:
    void holes_in_it(const HungPlate& hung);
};

} // namespace yes_square
