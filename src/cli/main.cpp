#include "cli/exchange.hpp"
#include "cli/job_files.hpp"
#include "cli/versions.hpp"
#include "core/job/schema.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"
#include "core/site/guarded.hpp"
#include "language/language.hpp"

#include <CLI/CLI.hpp>
#include <iostream>

namespace yes_square::embedded {
extern const std::string_view plan_schema_json;
} // namespace yes_square::embedded

using namespace yes_square;

int main(int argc, char** argv) {
    CLI::App app{"Sets out cabinets and shelves on a wall: reckons a job file and prints what follows from it."};
    app.set_version_flag("--version", std::string{"yes-square-cli "} + YES_SQUARE_VERSION);
    app.require_subcommand(1);
    app.fallthrough(); // --lang may stand before the command and after it
    std::string language = "en";
    app.add_option("--lang", language, "Speak this language: en or de");
    std::string path;
    bool as_json = false;
    const auto job_of = [](CLI::App* command, std::string& name) {
        command->add_option("JOB", name, "A .yesq file; -: standard input")->required();
    };
    std::string unit;
    const auto unit_of = [](CLI::App* command, std::string& name) {
        command->add_option("--unit", name, "Show lengths in this unit: mm, cm, in/16, ft-in/16 and so on");
    };

    CLI::App* reckoned = app.add_subcommand("reckon", "Print the plan: marks, fixings, sag, checks with their cures");
    job_of(reckoned, path);
    reckoned->add_flag("--json", as_json, "The whole plan as JSON, with workings, in SI units");
    CLI::App* check = app.add_subcommand("check", "Print the checks; exit 1 when one of severity error stands");
    job_of(check, path);
    check->add_flag("--json", as_json, "As JSON, with whose each is");
    unit_of(reckoned, unit);
    unit_of(check, unit);

    cli::ExportWanted out;
    CLI::App* give = app.add_subcommand("export", "Write drawings, tables and the plan for other programs");
    job_of(give, out.job);
    unit_of(give, out.unit);
    give->add_flag("--json", out.as_json, "Tell what was written as JSON");
    give->add_option("--to", out.folder, "The folder to write into; made if it is not there")->required();
    give->add_option("--format", out.formats, cli::format_help())->delimiter(',');

    cli::ImportWanted in;
    CLI::App* take = app.add_subcommand("import", "Take in a survey, a list of units, a packing list or an outline");
    job_of(take, in.job);
    take->add_option("--to", in.to, "Write the job there instead of over itself; -: to standard output");
    take->add_option("--survey", in.survey, "CSV of readings, for --wall");
    take->add_option("--dxf", in.dxf, "Outline of a wall on named layers: of --wall, or a new one");
    take->add_option("--wall", in.wall, "Id or name of a wall");
    take->add_option("--units", in.units, "CSV of units that came with a kitchen");
    take->add_option("--pocket", in.pocket, "What a pocket sheet gave back");
    take->add_flag("--json", in.as_json, "Tell what was taken in as JSON");
    take->add_option("--packing-list", in.packing_list, "CSV of what was delivered");

    cli::BookWanted book;
    CLI::App* search =
        app.add_subcommand("book", "Search the job book: path, title, client, last entry, what was found");
    search->add_option("BOOK", book.book, "The index, made if it is not there")->required();
    search->add_option("WORDS", book.words, "All of them, each as the beginning of a word");
    search->add_option("--folder", book.folder, "Go through this folder for job files first");
    search->add_option("--kind", book.kind, "Only jobs with such a log entry: note, reading, deviation, photo ...");
    search->add_option("--from", book.from, "Only jobs with an entry on this day or later: 2026-03-01");
    search->add_flag("--json", book.as_json, "As JSON");
    search->add_option("--until", book.until, "Only jobs begun by this day");

    std::string before;
    std::string after;
    CLI::App* compared = app.add_subcommand("compare", "Print what is different between two versions; exit 1 if any");
    compared->add_option("BEFORE", before, "A .yesq file; -: standard input")->required();
    compared->add_option("AFTER", after, "Another version of it")->required();
    compared->add_flag("--json", as_json, "As JSON");
    unit_of(compared, unit);
    cli::MergeWanted merge;
    CLI::App* merged = app.add_subcommand("merge", "Bring two copies of a job together; exit 1 where they collide");
    merged->add_option("SHARED", merge.shared, "The version that both began as")->required();
    merged->add_option("MINE", merge.mine, "The copy that stays where they collide")->required();
    merged->add_option("THEIRS", merge.theirs, "The other copy")->required();
    merged->add_option("--to", merge.to, "Write the job there instead of over MINE; -: to standard output");
    merged->add_flag("--take-theirs", merge.take_theirs, "Where they collide the other copy's figures are taken");
    merged->add_flag("--json", merge.as_json, "Tell where they collided as JSON");
    cli::BundleWanted bundle;
    CLI::App* bundled = app.add_subcommand("bundle", "Put a job, its photos and sheets into one zip file");
    job_of(bundled, bundle.job);
    bundled->add_option("--to", bundle.to, "The file to write, such as harbour-lane.yesq.zip")->required();
    bundled->add_option("--with", bundle.files, "Files to put into it too, as printed sheets");
    bundled->add_flag("--json", bundle.as_json, "Tell what was written as JSON");
    cli::UnbundleWanted unbundle;
    CLI::App* unbundled = app.add_subcommand("unbundle", "Unpack a bundle into a folder that is not there yet");
    unbundled->add_option("BUNDLE", unbundle.bundle, "A bundle")->required();
    unbundled->add_option("--to", unbundle.folder, "The folder, which is made")->required();
    unbundled->add_flag("--json", unbundle.as_json, "Tell what was unpacked as JSON");

    CLI::App* schema = app.add_subcommand("schema", "Print the JSON Schema of a job file");
    bool of_plan = false;
    schema->add_flag("--plan", of_plan, "Of the plan as JSON instead");

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : cli::bad_input;
    }
    if (!is_language(QString::fromStdString(language))) {
        std::cerr << "--lang " << language << " is not known; it is en or de\n";
        return cli::bad_input;
    }
    speak(QString::fromStdString(language));

    try {
        if (give->parsed())
            return cli::export_files(out);
        if (take->parsed())
            return cli::import_files(in);
        if (search->parsed())
            return cli::search_book(book);
        if (compared->parsed())
            return cli::compare_files(before, after, unit, as_json);
        if (merged->parsed())
            return cli::merge_files(merge);
        if (bundled->parsed())
            return cli::bundle_files(bundle);
        if (unbundled->parsed())
            return cli::unbundle_file(unbundle);
        if (schema->parsed()) {
            std::cout << (of_plan ? embedded::plan_schema_json : std::string_view{job_schema()});
            return 0;
        }
        const auto job = cli::load(path, unit);
        if (!job)
            return cli::bad_input;
        const Plan plan = reckon(*job);
        for (const OwnedCheck& owned : all_checks(plan, *job))
            if (owned.check->code == checks::not_reckoned) // for a report
                std::cerr << path << ": " << say(owned.check->message, voice(job->unit)) << "\n";
        const Voice said = voice(job->unit);
        if (reckoned->parsed()) {
            std::cout << (as_json ? plan_json(*job, plan, said) : summary(*job, plan, said));
            return 0;
        }
        std::cout << (as_json ? checks_json(*job, plan, said) : checks_text(*job, plan, said));
        return count_checks(plan, Severity::error) > 0 ? cli::has_errors : 0;
    } catch (const std::exception& error) {
        std::cerr << path << ": " << error.what() << "\n";
        return cli::bad_input;
    }
}
