#pragma once

#include <QComboBox>
#include <QListWidget>
#include <QStringList>
#include <QVariantList>

/// Lists that follow the job. They are told of every edit and most edits leave them as they are; rows that read the
/// same already are let be, since what a list is told it measures and lays out anew. No signals are sent.
namespace yes_square::app {

void fill(QListWidget& list, const QStringList& words);

/// @param data  one for each row, or none at all
void fill(QComboBox& choice, const QStringList& words, const QVariantList& data = {});

} // namespace yes_square::app
