#pragma once

#include "app/bench/field_form.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/picture_box.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/board/drawing_view.hpp"
#include "app/catalogue/entry_files.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

/// How entries of a kind are told and asked for.
template <class Entry>
struct EntriesSpec {
    std::string name; ///< begins each object's name: "bracket"
    QString words;    ///< over the table
    QStringList headings;
    std::function<QStringList(const Entry&, const Voice&)> cells;
    /// Members of the fitter's own entry, as a job file calls them, and what a field is called where it is not that.
    std::vector<std::pair<std::string_view, std::string_view>> own_rows;
    /// And of any entry.
    std::vector<std::pair<std::string_view, std::string_view>> rows = {};
    /// Rows of a form besides, for what lies within an entry.
    std::function<void(BoundForm&, const PartAccess<Entry>&)> more = {};
    /// Nothing: there is none. `asked` is the member that is being typed.
    std::function<Drawing(const Entry&, std::string_view asked, double width, double height, double text, const Voice&)>
        draw = {};
};

/// What is at hand of a kind: what ships, and the fitter's own, which is copied from it or taken in from a file and set
/// to what the packet or the rule says. The one in hand is drawn, and what is being typed stands out in the drawing.
template <class Entry>
class EntriesPage : public QWidget {
public:
    EntriesPage(Workbench& bench, EntriesSpec<Entry> spec, QWidget* parent = nullptr)
        : QWidget{parent}
        , bench_{bench}
        , spec_{std::move(spec)}
        , table_{read_only_table(spec_.headings, (spec_.name + "s-table").c_str(), this)}
        , copy_{button(tr("Copy as my own"), "copy-")}
        , remove_{button(tr("Remove my own"), "remove-")}
        , form_{new BoundForm{bench, this}}
        , said_{new QLabel{this}} {
        said_->setWordWrap(true);
        said_->hide();
        said_->setObjectName(text(spec_.name + "-said"));
        build();
        connect(copy_, &QPushButton::clicked, this, [this] { copy_selected(); });
        connect(remove_, &QPushButton::clicked, this,
                [this] { bench_.edit(tr("Remove my own"), [&](Job& job) { remove_own<Entry>(job, id_); }); });
        connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
            const QTableWidgetItem* item = table_->item(table_->currentRow(), 0);
            take(item ? item->data(Qt::UserRole).toString().toStdString() : std::string{});
        });
        connect(&bench_, &Workbench::changed, this, [this] { refresh(); });
        if (!entries().empty())
            id_ = entries().front().id;
        refresh();
    }

    const Entry* selected() const { return in(bench_.job()); }
    void select(const std::string& id) {
        id_ = id;
        refresh();
    }
    void copy_selected() {
        bench_.edit(tr("Copy as my own"), [&](Job& job) {
            if (const Entry* copy = copy_as_own<Entry>(job.catalogue, id_))
                id_ = copy->id;
        });
        refresh();
        if (auto* name = form_->findChild<QLineEdit*>(text(spec_.name + "-name"))) {
            name->setFocus();
            name->selectAll();
        }
    }
    /// From a table or a catalogue document, by the file's ending. What is wrong is said on the page.
    void take_in(const QString& path) {
        QString problem;
        const auto taken = read_entries<Entry>(path, problem);
        if (problem.isEmpty()) {
            bench_.edit(tr("Take in %1").arg(path), [&](Job& job) { yes_square::take_in(job.catalogue, taken); });
            problem = tr("%n taken in as your own", "", static_cast<int>(taken.size()));
        }
        tell(problem);
    }
    /// The fitter's own, or all where there are none.
    void give_out(const QString& path) {
        std::vector<Entry> given;
        std::ranges::copy_if(entries(), std::back_inserter(given), &Entry::own);
        if (given.empty())
            given = entries();
        const QString problem = write_entries<Entry>(path, given);
        tell(problem.isEmpty() ? tr("%n written to %1", "", static_cast<int>(given.size())).arg(path) : problem);
    }

private:
    static constexpr bool pictured = requires(const Entry& entry) { entry.picture; };

    static QString tr(const char* words, const char* about = nullptr, int n = -1) {
        return QCoreApplication::translate("EntriesPage", words, about, n);
    }
    QPushButton* button(const QString& words, const char* name) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(text(name + spec_.name));
        made->setAutoDefault(false); // Enter in a field goes on to the next
        return made;
    }
    void tell(const QString& words) {
        said_->setText(words);
        said_->setVisible(!words.isEmpty());
    }
    const std::vector<Entry>& entries() const { return bench_.job().catalogue.*entries_of<Entry>; }
    const Entry* in(const Job& job) const {
        const auto& all = job.catalogue.*entries_of<Entry>;
        const auto found = std::ranges::find(all, id_, &Entry::id);
        return found == all.end() ? nullptr : &*found;
    }
    PartAccess<Entry> access(bool own_alone) {
        return {[this, own_alone] {
                    const Entry* entry = selected();
                    return entry && (entry->own || !own_alone) ? entry : nullptr;
                },
                [this, own_alone](Job& job, const std::function<void(Entry&)>& to) {
                    for (Entry& entry : job.catalogue.*entries_of<Entry>)
                        if (entry.id == id_ && (entry.own || !own_alone))
                            to(entry);
                }};
    }

    void build() {
        auto* words = new QLabel{spec_.words, this};
        words->setWordWrap(true);
        auto* take_in_button = button(tr("Take in..."), "take-in-");
        auto* give_out_button = button(tr("Give out..."), "give-out-");
        connect(take_in_button, &QPushButton::clicked, this, [this] {
            if (const QString path = ask_entries_to_read(this); !path.isEmpty())
                take_in(path);
        });
        connect(give_out_button, &QPushButton::clicked, this, [this] {
            if (const QString path = ask_entries_to_write(this); !path.isEmpty())
                give_out(path);
        });
        auto* buttons = new QHBoxLayout;
        for (QPushButton* each : {copy_, remove_, take_in_button, give_out_button})
            buttons->addWidget(each);
        buttons->addStretch(1);
        for (const bool own_alone : {true, false}) {
            FieldForm<Entry> rows{*form_, access(own_alone), spec_.name};
            for (const auto& [member, object] : own_alone ? spec_.own_rows : spec_.rows)
                rows.row(member, {}, {}, object);
        }
        if (spec_.more)
            spec_.more(*form_, access(true));
        table_->setMinimumWidth(spec_.draw ? 440 : 560);
        auto* left = new QVBoxLayout;
        left->addWidget(table_, 3);
        left->addLayout(buttons);
        left->addWidget(said_);
        if (spec_.draw) {
            auto* seen = new QHBoxLayout;
            seen->addWidget(drawing(), 3);
            if constexpr (pictured)
                seen->addWidget(picture(), 1);
            left->addLayout(seen, 2);
        }
        auto* right = scrolled(form_);
        right->setMinimumWidth(spec_.draw ? 430 : 380);
        auto* both = new QHBoxLayout;
        both->addLayout(left, 5);
        both->addWidget(right, 4);
        auto* column = new QVBoxLayout{this};
        column->addWidget(words);
        column->addLayout(both, 1);
    }
    PictureBox* picture() {
        picture_ = new PictureBox{text(spec_.name),
                                  [this](const QString& kept) {
                                      bench_.edit(tr("Picture of my own"), [&](Job& job) {
                                          access(true).change(job, [&](Entry& entry) {
                                              if constexpr (pictured)
                                                  entry.picture = kept.toStdString();
                                          });
                                      });
                                  },
                                  this};
        return picture_;
    }
    DrawingView* drawing() {
        drawing_ = new DrawingView{[this](double width, double height, double size) {
                                       const Entry* entry = selected();
                                       return entry ? spec_.draw(*entry, asked_, width, height, size, bench_.voice())
                                                    : Drawing{width, height, {}};
                                   },
                                   this};
        drawing_->setObjectName(text(spec_.name + "-drawing"));
        drawing_->setMinimumHeight(190);
        drawing_->setAccessibleName(tr("What is asked for, drawn"));
        connect(qApp, &QApplication::focusChanged, this, [this](QWidget*, QWidget* now) {
            const bool ours = now && form_->isAncestorOf(now);
            asked_ = ours ? now->objectName().section(QLatin1Char('-'), -1).toStdString() : std::string{};
            drawing_->redraw();
        });
        return drawing_;
    }

    void take(const std::string& id) {
        id_ = id;
        form_->refresh();
        copy_->setEnabled(selected() != nullptr);
        remove_->setEnabled(selected() && selected()->own);
        if (drawing_)
            drawing_->redraw();
        if constexpr (pictured)
            if (picture_)
                picture_->show_picture(selected() ? selected()->picture : std::string{}, selected() && selected()->own);
    }
    void refresh() {
        const QSignalBlocker quiet{table_};
        table_->setRowCount(0);
        const Voice voice = bench_.voice();
        for (const Entry& entry : entries()) {
            add_row(table_, spec_.cells(entry, voice), text(entry.id));
            if (entry.id == id_) {
                table_->selectRow(table_->rowCount() - 1);
                table_->scrollToItem(table_->currentItem());
            }
        }
        take(selected() ? id_ : std::string{});
    }

    Workbench& bench_;
    EntriesSpec<Entry> spec_;
    QTableWidget* table_;
    QPushButton* copy_;
    QPushButton* remove_;
    BoundForm* form_;
    QLabel* said_;
    DrawingView* drawing_ = nullptr;
    PictureBox* picture_ = nullptr;
    std::string id_ = {};
    std::string asked_ = {};
};

} // namespace yes_square::app
