#pragma once

#include <string>
#include <vector>

/// Open formats from the command line.
namespace yes_square::cli {

struct ExportWanted {
    std::string job;
    std::string folder;
    std::vector<std::string> formats; ///< by name; empty: all
    std::string unit;                 ///< to show lengths in; empty: the job's own
    bool as_json = false;             ///< tell so what was written
};
/// What --format takes, with what each writes.
std::string format_help();
int export_files(const ExportWanted& wanted);

struct ImportWanted {
    std::string job;
    std::string to; ///< empty: the job itself
    std::string survey;
    std::string wall; ///< id or name of the wall that a survey or outline goes to; of an outline, else a new one
    std::string units;
    std::string packing_list;
    std::string pocket; ///< what a pocket sheet gave back
    std::string dxf;
    bool as_json = false; ///< tell so what was taken in
};
int import_files(const ImportWanted& wanted);

struct BookWanted {
    std::string book;
    std::string folder; ///< to go through before the search; empty: the book as it is
    std::string words;
    std::string kind;
    std::string from;
    std::string until;
    bool as_json = false;
};
int search_book(const BookWanted& wanted);

} // namespace yes_square::cli
