#pragma once

#include "app/help/handbook.hpp"

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>
#include <utility>
#include <vector>

namespace yes_square::app {

/// The handbook: its pages beside what they say, found by words; on top what a field asks that F1 was pressed in.
class HelpWindow : public QDialog {
    Q_OBJECT
public:
    /// @param keys  what is done, and by which keys: the last page
    explicit HelpWindow(std::vector<std::pair<QString, QString>> keys, QWidget* parent = nullptr);

    /// @param page   by its file; empty: that which is shown
    /// @param asked  what a field is called, and what it asks; empty: no field was asked about
    void show_page(const QString& page, const std::pair<QString, QString>& asked = {});
    const HandbookPage* page() const;

private:
    void find();
    void show_words();

    std::vector<HandbookPage> pages_;
    std::pair<QString, QString> asked_;
    QLineEdit* sought_;
    QListWidget* list_;
    QTextBrowser* words_;
};

} // namespace yes_square::app
