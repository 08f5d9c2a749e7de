#pragma once

class QAbstractItemView;

namespace yes_square::app {

/// Lets a list or a table be as high as its rows, so that what it stands in has the only scroll bar.
void grow_to_rows(QAbstractItemView& view);

} // namespace yes_square::app
