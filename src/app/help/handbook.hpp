#pragma once

#include <QImage>
#include <QString>
#include <vector>

/// The handbook's pages, as they are built in.
namespace yes_square::app {

struct HandbookPage {
    QString name;  ///< "04-shelves": its file
    QString title; ///< its first heading
    QString text;  ///< Markdown
};

/// In what is spoken, in the order of reading; a page that is not kept in it stands in English.
std::vector<HandbookPage> handbook();

/// A drawing that a page asks for, made from the demo job: "elevation/ID", the wall that a thing hangs on;
/// "through/ID", the cut through its most telling hole; "side/ID", a piece that could tip, in its worst case.
/// @return no image where there is no such thing
QImage handbook_drawing(const QString& address, double width_mm, double dots_per_mm);

} // namespace yes_square::app
