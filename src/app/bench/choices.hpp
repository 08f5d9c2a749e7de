#pragma once

#include "app/bench/words.hpp"
#include "core/job/field_visits.hpp"

#include <QCoreApplication>
#include <QStringList>

/// Values of the job's enumerations on forms, as their names' table tells them (core/job/names.cpp) and in its order.
namespace yes_square::app {

template <class E>
QString word_of(E value) {
    return QCoreApplication::translate("core", std::string{enum_words(value)}.c_str()).replace(u'_', u' ');
}

template <class E>
QStringList words_of() {
    QStringList words;
    for (const auto& row : enum_names<E>())
        words << word_of(row.value);
    return words;
}

template <class E>
int row_for(E value) {
    return static_cast<int>(enum_row(value));
}

template <class E>
E at_row(int row) {
    return enum_at<E>(static_cast<std::size_t>(row));
}

} // namespace yes_square::app
