#include "app/bench/pages.hpp"

#include <QGridLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int most_in_row = 4;
constexpr int between = 4;            ///< px
constexpr double room_in_type = 21.1; ///< the least that a panel is broad, in sizes of its type

} // namespace

Pages::Pages(QWidget* parent)
    : QWidget{parent}
    , buttons_{new QButtonGroup{this}}
    , row_{new QGridLayout}
    , column_{new QVBoxLayout{this}} {
    row_->setSpacing(between);
    column_->setContentsMargins(0, 0, 0, 0);
    column_->setSpacing(8);
    column_->addLayout(row_);
    connect(buttons_, &QButtonGroup::idClicked, this, &Pages::set_page);
}

void Pages::add(QWidget* page, const QString& words, const QString& name) {
    auto* button = new QPushButton{words, this};
    button->setCheckable(true);
    button->setObjectName(name);
    button->setProperty("role", "page");
    buttons_->addButton(button, static_cast<int>(pages_.size()));
    pages_.push_back(page);
    offered_.push_back(true);
    column_->addWidget(page, 1);
    page->setVisible(pages_.size() == 1);
    if (pages_.size() == 1)
        button->setChecked(true);
    lay_buttons();
}

void Pages::lay_buttons() {
    const auto offered = static_cast<int>(std::ranges::count(offered_, true));
    // As many in a row as the narrowest panel has room for, whatever the language.
    int widest = 1;
    for (int i = 0; i < static_cast<int>(pages_.size()); ++i) {
        buttons_->button(i)->ensurePolished();
        widest = std::max(widest, buttons_->button(i)->sizeHint().width());
    }
    const int room = static_cast<int>(room_in_type * fontInfo().pixelSize());
    const int in_row = std::clamp((room + between) / (widest + between), 1, most_in_row);
    const int rows = (offered + in_row - 1) / in_row;
    const int columns = rows > 0 ? (offered + rows - 1) / rows : 1;
    for (int i = 0, at = 0; i < static_cast<int>(pages_.size()); ++i) {
        QAbstractButton* button = buttons_->button(i);
        row_->removeWidget(button);
        button->setVisible(offered_[static_cast<std::size_t>(i)]);
        if (offered_[static_cast<std::size_t>(i)]) {
            row_->addWidget(button, at / columns, at % columns);
            ++at;
        }
    }
}

void Pages::showEvent(QShowEvent* event) {
    lay_buttons(); // the style sheet has its say in how broad they are
    QWidget::showEvent(event);
}

void Pages::set_offered(int index, bool offered) {
    if (offered_[static_cast<std::size_t>(index)] == offered)
        return;
    offered_[static_cast<std::size_t>(index)] = offered;
    lay_buttons();
    if (!offered && page() == index)
        set_page(0);
}

void Pages::set_page(int index) {
    buttons_->button(index)->setChecked(true);
    // What goes is hidden before what comes is shown: the panel never has to be as high as both.
    for (std::size_t i = 0; i < pages_.size(); ++i)
        if (static_cast<int>(i) != index)
            pages_[i]->hide();
    pages_[static_cast<std::size_t>(index)]->show();
    emit page_changed(index);
}

QWidget* Pages::current() const {
    return pages_[static_cast<std::size_t>(page())];
}

int Pages::index_of(const QString& name) const {
    for (int i = 0; i < static_cast<int>(pages_.size()); ++i)
        if (buttons_->button(i)->objectName() == name)
            return i;
    return -1;
}

} // namespace yes_square::app
