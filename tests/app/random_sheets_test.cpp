// Whatever a job holds, all its sheets are written: a list of names beside an enumeration, one short, is found here.
#include "../random_jobs.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/reckon/reckon.hpp"

#include <QFileInfo>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("every set of sheets of random jobs is written", "[app][sheets][property]") {
    const QTemporaryDir folder;
    bool channel = false;
    for (std::uint64_t seed = 1; seed <= 24; ++seed) {
        INFO(seed);
        const Job job = seed % 3 == 0 ? RandomJobs{seed}.room(2) : RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        for (const auto& wall : plan.walls)
            for (const RunPlan& run : wall->runs)
                for (const RunPiece& piece : run.pieces)
                    channel |= piece.what == RunPiece::What::channel;
        for (const SheetSet& set : sheet_sets()) {
            const QString path = folder.filePath(set.file_name + ".pdf");
            CHECK(write_sheets_pdf(path, job, plan, set).isEmpty());
            CHECK(QFileInfo{path}.size() > 500);
        }
    }
    CHECK(channel);
}
