#pragma once

#include "app/bench/part_form.hpp"

#include <QAbstractButton>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace yes_square::app {

/// A page of the layout stage about one kind of thing: buttons to add and to remove it, what tells of the selected one,
/// and its figures.
template <class Part>
class ThingPanel : public QWidget {
public:
    ThingPanel(Workbench& bench, QWidget* parent)
        : QWidget{parent}
        , bench_{bench}
        , form_{new PartForm<Part>{bench, this}}
        , remove_{new QPushButton{QCoreApplication::translate("ThingPanel", "Remove"), this}}
        , empty_{new QLabel{this}} {
        remove_->setMinimumWidth(1);
        connect(remove_, &QPushButton::clicked, this, [this] {
            if (const Part* part = bench_.selected<Part>())
                bench_.apply(remove_->text(), RemoveThing{part->id});
        });
        empty_->setWordWrap(true);
        empty_->setProperty("role", "faint");
        connect(&bench_, &Workbench::changed, this, [this] { show_selected(); });
        connect(&bench_, &Workbench::selection_changed, this, [this] { show_selected(); });
    }

protected:
    virtual void refresh() = 0;

    /// Puts the page together once its form has its rows.
    /// @param when_empty  what this page is for, shown while none is selected
    void lay_out(const char* remove_name, QAbstractButton* add_button, const QString& when_empty,
                 const std::vector<QWidget*>& over_form) {
        remove_->setObjectName(QString::fromLatin1(remove_name));
        empty_->setText(when_empty);
        auto* row = new QHBoxLayout;
        add_button->setMinimumWidth(1);
        row->addWidget(add_button);
        row->addWidget(remove_);
        auto* column = new QVBoxLayout{this};
        column->setContentsMargins(0, 6, 0, 0);
        column->addLayout(row);
        column->addWidget(empty_);
        for (QWidget* each : over_form)
            column->addWidget(each);
        column->addWidget(form_);
        column->addStretch(1);
        form_->refresh();
        show_selected();
    }

    /// Adds one to the wall and selects it. `make` gives it everything but its id.
    void add(const QString& what, std::string_view stem, const std::function<Part(const Job&, const Wall&)>& make) {
        if (!bench_.wall())
            return;
        std::string id;
        bench_.edit(what, [&](Job& job) {
            Wall& wall = job.walls[bench_.wall_index()];
            Part part = make(job, wall);
            part.id = id = fresh_id(job, stem);
            (wall.*parts_of<Part>).push_back(std::move(part));
        });
        bench_.select(id);
    }

    Workbench& bench_;
    PartForm<Part>* form_;

private:
    void show_selected() {
        const bool any = bench_.selected<Part>() != nullptr;
        form_->setVisible(any);
        remove_->setEnabled(any);
        empty_->setVisible(!any);
        refresh();
    }

    QPushButton* remove_;
    QLabel* empty_;
};

} // namespace yes_square::app
