#include "app/bench/rows.hpp"

#include <QSignalBlocker>

namespace yes_square::app {

void fill(QListWidget& list, const QStringList& words) {
    const QSignalBlocker quiet{list};
    const QString taken = list.currentItem() ? list.currentItem()->text() : QString{};
    while (list.count() > words.size())
        delete list.takeItem(list.count() - 1);
    for (int row = 0; row < list.count(); ++row)
        if (list.item(row)->text() != words[row])
            list.item(row)->setText(words[row]);
    list.addItems(words.mid(list.count()));
    if (list.currentItem() && list.currentItem()->text() != taken)
        list.setCurrentRow(-1); // another thing stands there now: nobody took that
}

void fill(QComboBox& choice, const QStringList& words, const QVariantList& data) {
    const QSignalBlocker quiet{choice};
    while (choice.count() > words.size())
        choice.removeItem(choice.count() - 1);
    for (int row = 0; row < words.size(); ++row) {
        const QVariant own = data.value(row);
        if (row == choice.count())
            choice.addItem(words[row], own);
        if (choice.itemText(row) != words[row])
            choice.setItemText(row, words[row]);
        if (choice.itemData(row) != own)
            choice.setItemData(row, own);
    }
}

} // namespace yes_square::app
