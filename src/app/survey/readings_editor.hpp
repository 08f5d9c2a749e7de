#pragma once

#include "app/bench/length_field.hpp"
#include "app/bench/workbench.hpp"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QWidget>
#include <functional>

namespace yes_square::app {

/// Whether a figure is a place along the wall: of a point, or of the edge that a tape from the left reaches first.
enum class Along { no, point, edge };

/// A figure that a reading is made of.
struct ReadingField {
    QString key; ///< of the field, the same for the same figure in every kind
    QString label;
    bool optional = false;
    bool stays = false;    ///< is kept for the next reading: the height of a string
    bool positive = false; ///< must be more than 0
    Along along = Along::no;
    QString from_right = {}; ///< the label of an edge where the tape comes from the right
};

/// A reading as the list shows it.
struct ReadingRow {
    Length at; ///< rows stand in this order
    QString words;
    int list = 0; ///< which of the wall's lists it is in, for `erase`
    std::size_t index = 0;
};

/// What readings an editor takes and where they go.
struct ReadingsSpec {
    QString name;       ///< object names begin with it: "floor-x"
    QString kind_label; ///< empty: there is one kind only
    QStringList kinds = {};
    std::function<std::vector<ReadingField>(int kind)> fields;
    std::function<void(Wall&, int kind, const std::vector<std::optional<Length>>&)> add;
    std::function<std::vector<ReadingRow>(const Wall&, const Voice&, const Reader&)> rows;
    std::function<void(Wall&, const ReadingRow&)> erase;
};

/// Readings taken one after another: figures in walking order, Enter from each to the next, and from the last needed
/// one back to the first once the reading is in. A column or table from the clipboard goes in whole or not at all. What
/// was read stands below; Delete takes the selected one out.
class ReadingsEditor : public QWidget {
    Q_OBJECT
public:
    ReadingsEditor(Workbench& bench, ReadingsSpec spec, QWidget* parent = nullptr);

    int kind() const { return kinds_ ? kinds_->currentIndex() : 0; }
    /// The field with this key, nullptr if there is none.
    LengthField* field(const QString& key) const;
    LengthField* first_field() const;

signals:
    void kind_chosen(int kind);

private:
    struct Row {
        QString key;
        QLabel* label = nullptr;
        LengthField* field = nullptr;
    };
    void fit_fields();
    /// Places as the wall keeps them, of figures as the tape reads them.
    std::vector<std::optional<Length>> off_tape(std::vector<std::optional<Length>> figures) const;
    bool on_wall(const std::vector<std::optional<Length>>& figures);
    void refresh();
    /// Adds the reading if every figure it needs stands.
    void add_if_whole();
    void add_pasted(const QStringList& lines);
    void remove_selected();
    void say(const QString& words);
    std::vector<ReadingField> wanted() const { return spec_.fields(kind()); }

    Workbench& bench_;
    ReadingsSpec spec_;
    QComboBox* kinds_ = nullptr;
    std::vector<Row> rows_;
    QLabel* message_;
    QListWidget* list_;
    std::vector<ReadingRow> shown_;
    TapeEnd shown_from_ = TapeEnd::left; ///< by which the labels are
};

} // namespace yes_square::app
