#pragma once

class QAbstractItemView;
class QScrollArea;
class QTextBrowser;
class QWidget;

/// One panel, one scroll bar: the panel has it, and what stands in it is as high as what it holds.
namespace yes_square::app {

/// A stage's panel: whatever it holds, it has the one scroll bar.
QScrollArea* scrolled(QWidget* inside);

/// Lets a list or a table be as high as its rows.
void grow_to_rows(QAbstractItemView& view);

/// Lets a document be as high as its words.
void grow_to_words(QTextBrowser& words);

} // namespace yes_square::app
